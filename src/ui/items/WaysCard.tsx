"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { fatRatioText } from "@/core/ingredients/exchange";
import { answerText, questionText } from "@/core/item/ways-text";
import { richnessOf, RICHNESS, setRichness, waysOf, type Way } from "@/core/item/ways";
import type { Item } from "@/core/item/schema";
import { useDisplay } from "../kit/use-display";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { COLOUR } from "../theme/tokens";

/** Where cooks differ, worked out for this item: each answer says what it does before it is taken. */
export function WaysCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const ratio = richnessOf(item);
  return (
    <Paper component="section" aria-label="Where cooks differ" sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        Where cooks differ
      </Typography>
      {ratio !== undefined && (
        <Box sx={{ py: 1 }}>
          <Typography variant="body2" id="richness">
            How rich a dough?
          </Typography>
          <Slider
            aria-labelledby="richness"
            value={Math.round(ratio * 100) / 100}
            min={RICHNESS.min}
            max={RICHNESS.max}
            step={0.05}
            marks={[
              { value: 0.5, label: "1 : 2" },
              { value: 0.7, label: "0.7" },
              { value: 0.9, label: "0.9" },
            ]}
            onChange={(_, value) => onChange(setRichness(item, value as number))}
            sx={{ mx: 1, width: "calc(100% - 16px)" }}
          />
          <Typography variant="caption">{fatRatioText(ratio, 1)}</Typography>
        </Box>
      )}
      {waysOf(item, catalogue).map((way) => (
        <Question key={way.id} way={way} onChange={onChange} />
      ))}
    </Paper>
  );
}

function Question({ way, onChange }: { way: Way; onChange: (item: Item) => void }) {
  const [looked, setLooked] = useState<string | undefined>(undefined);
  const { fine: weight } = useDisplay();
  const shown = way.options.find((o) => o.id === (looked ?? way.chosen));
  const question = questionText(way);
  return (
    <Box sx={{ py: 1, borderTop: `1px solid ${COLOUR.line}` }}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Typography variant="body2" sx={{ flex: "1 1 200px" }}>
          {question}
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          sx={{ flexWrap: "wrap" }}
          value={way.chosen ?? null}
          aria-label={question}
          onChange={(_, id: string | null) => id && onChange(way.options.find((o) => o.id === id)!.item)}
        >
          {way.options.map((option) => (
            <ToggleButton
              key={option.id}
              value={option.id}
              onMouseEnter={() => setLooked(option.id)}
              onMouseLeave={() => setLooked(undefined)}
              onFocus={() => setLooked(option.id)}
              onBlur={() => setLooked(undefined)}
              sx={{ textTransform: "none", minHeight: 34 }}
            >
              {answerText(way, option, weight).name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Typography variant="caption" sx={{ display: "block", minHeight: 20 }}>
        {shown
          ? `${looked && looked !== way.chosen ? "would be: " : ""}${answerText(way, shown, weight).effect}`
          : "this item goes its own way"}
      </Typography>
    </Box>
  );
}
