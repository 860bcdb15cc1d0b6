"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useDeferredValue, useMemo, useState } from "react";
import { fatRatioText } from "@/core/ingredients/exchange";
import { answerText, questionText } from "@/core/item/ways-text";
import { richnessOf, RICHNESS, setRichness, waysOf } from "@/core/item/ways";
import type { Made } from "@/core/item/making/make-item";
import { schoolOffers } from "@/core/item/making/school-offers";
import { SCHOOL_PARTS, schoolPart, type SchoolChoices, type SchoolPart } from "@/core/item/making/schools";
import type { Item } from "@/core/item/schema";
import { useDisplay } from "../kit/use-display";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { COLOUR } from "../theme/tokens";
import { effectText } from "./school-text";

interface Props {
  readonly item: Item;
  readonly onChange: (item: Item) => void;
  /** What it is by rule; undefined where it was not made so. */
  readonly made: Made | undefined;
  /** Takes the option of a school. */
  readonly onChoose: (choices: SchoolChoices) => void;
}

const PART_WORD: Readonly<Record<SchoolPart, string>> = {
  dough: "The dough",
  pieces: "The pieces",
  heat: "The heat",
  filling: "The filling",
};

/** Where cooks differ, worked out for this item: each answer says what it does before it is taken. */
export function WaysCard({ item, onChange, made, onChoose }: Props) {
  const { catalogue } = useCatalogue();
  const { fine: weight } = useDisplay();
  const choices = item.making?.choices;
  // Each answer is worked out to the last step: that gives way to whoever types.
  const plain = useDeferredValue(made?.plain);
  const offers = useMemo(() => (plain ? schoolOffers(plain, choices ?? {}) : []), [plain, choices]);
  const ratio = richnessOf(item);
  const ways = waysOf(item, catalogue);
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
      {SCHOOL_PARTS.map((part) => {
        const asked = offers.filter(({ id }) => schoolPart(id) === part);
        return (
          asked.length > 0 && (
            <Box key={part} role="group" aria-label={PART_WORD[part]}>
              <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
                {PART_WORD[part]}
              </Typography>
              {asked.map((offer) => (
                <Question
                  key={offer.id}
                  question={offer.question}
                  chosen={offer.chosen}
                  options={offer.options.map(({ id, name, note, effect }) => ({
                    id,
                    name,
                    effect: [note, effect && effectText(effect, weight)].filter(Boolean).join(". "),
                  }))}
                  onChoose={(id) => onChoose({ ...choices, [offer.id]: id })}
                />
              ))}
            </Box>
          )
        );
      })}
      {ways.length > 0 && (
        <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
          What is weighed
        </Typography>
      )}
      {ways.map((way) => (
        <Question
          key={way.id}
          question={questionText(way)}
          chosen={way.chosen}
          options={way.options.map((option) => ({ id: option.id, ...answerText(way, option, weight) }))}
          onChoose={(id) => onChange(way.options.find((option) => option.id === id)!.item)}
        />
      ))}
    </Paper>
  );
}

interface QuestionProps {
  readonly question: string;
  readonly options: readonly { readonly id: string; readonly name: string; readonly effect: string }[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** One question: its answers, and below them what the chosen one does, or the one that is looked at. */
function Question({ question, options, chosen, onChoose }: QuestionProps) {
  const [looked, setLooked] = useState<string | undefined>(undefined);
  const shown = options.find((option) => option.id === (looked ?? chosen));
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
          value={chosen ?? null}
          aria-label={question}
          onChange={(_, id: string | null) => id && onChoose(id)}
        >
          {options.map((option) => (
            <ToggleButton
              key={option.id}
              value={option.id}
              onMouseEnter={() => setLooked(option.id)}
              onMouseLeave={() => setLooked(undefined)}
              onFocus={() => setLooked(option.id)}
              onBlur={() => setLooked(undefined)}
              sx={{ textTransform: "none", minHeight: 34 }}
            >
              {option.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Typography variant="caption" sx={{ display: "block", minHeight: 20 }}>
        {shown ? `${looked && looked !== chosen ? "would be: " : ""}${shown.effect}` : "this item goes its own way"}
      </Typography>
    </Box>
  );
}
