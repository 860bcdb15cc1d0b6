"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import { guesses } from "@/core/ingredients/guess";
import { GAP_TEXT } from "@/core/ingredients/read-line-text";
import { dropGap, fillGap, readGap, rewriteGap, type GapLine } from "@/core/item/gaps";
import type { Item } from "@/core/item/schema";
import { NumberField } from "../kit/NumberField";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { COLOUR } from "../theme/tokens";

/** What the recipe does not say yet: lines that cannot be weighed, and figures that were guessed. With any it is provisional. */
export function GapsCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const gaps = item.gaps ?? [];
  const guessed = item.guessed ?? [];
  if (gaps.length === 0 && guessed.length === 0) return null;
  return (
    <Paper
      component="section"
      aria-label="Still open"
      sx={{ p: 2, display: "grid", gap: 1, borderLeft: `4px solid ${COLOUR.caution}` }}
    >
      <Typography variant="h2">Still open</Typography>
      <Typography variant="body2" color="text.secondary">
        Until this is settled the item is provisional: its weights are without these lines.
      </Typography>
      {gaps.map((gap) => (
        <Gap key={gap.id} gap={gap} item={item} onChange={onChange} />
      ))}
      {guessed.map((what) => (
        <Box key={what} sx={{ display: "flex", alignItems: "center", gap: 1, fontSize: "0.9rem" }}>
          <span>{GUESSED_TEXT[what]} is guessed.</span>
          <Button
            size="small"
            sx={{ ml: "auto" }}
            onClick={() => {
              const rest = guessed.filter((one) => one !== what);
              onChange({ ...item, guessed: rest.length > 0 ? rest : undefined });
            }}
          >
            It is right
          </Button>
        </Box>
      ))}
    </Paper>
  );
}

const GUESSED_TEXT: Readonly<Record<NonNullable<Item["guessed"]>[number], string>> = {
  oven: "The oven's temperature",
  minutes: "The time in the oven",
  fillingG: "The filling of a piece",
  family: "The kind of dough",
};

const PLACE_TEXT: Readonly<Record<GapLine["in"], string>> = { dough: "dough", filling: "filling", finish: "finish" };

function Gap({ gap, item, onChange }: { gap: GapLine; item: Item; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const [text, setText] = useState(gap.text);
  const [grams, setGrams] = useState<number | undefined>(undefined);
  const reading = readGap(item, gap, catalogue);
  const near = useMemo(
    () => (reading.gap === "not-known" ? guesses(reading.name, catalogue.ingredients) : []),
    [reading.gap, reading.name, catalogue],
  );
  const right = grams !== undefined && grams > 0 && grams <= 100000;
  const take = (ingredient?: { id: string; name: string }) =>
    right && onChange(fillGap(item, gap.id, grams, { name: reading.name, ingredient: ingredient?.id, catalogue }));
  return (
    <Box
      role="group"
      aria-label={`Open line ${gap.text}`}
      sx={{ borderTop: `1px solid ${COLOUR.line}`, pt: 1, display: "grid", gap: 0.75 }}
    >
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        <TextField
          value={text}
          onChange={(e) => setText(e.target.value)}
          slotProps={{ htmlInput: { "aria-label": `Line of the ${PLACE_TEXT[gap.in]}` } }}
          sx={{ flex: "1 1 200px" }}
        />
        <Button
          size="small"
          variant="outlined"
          disabled={text.trim() === "" || text === gap.text}
          onClick={() => onChange(rewriteGap(item, gap.id, text, catalogue))}
        >
          Read it again
        </Button>
        <Button size="small" onClick={() => onChange(dropGap(item, gap.id))}>
          Leave it out
        </Button>
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", fontSize: "0.85rem" }}>
        <Box component="span" sx={{ color: COLOUR.caution }}>
          {PLACE_TEXT[gap.in]}, missing: {reading.gap ? GAP_TEXT[reading.gap] : "its weight"}
        </Box>
        <NumberField label={`Grams of ${reading.name}`} value={grams} onChange={setGrams} placeholder="grams" quiet width={84} />
        {reading.gap !== "not-known" && (
          <Button size="small" variant="outlined" disabled={!right} onClick={() => take()}>
            Weigh it so
          </Button>
        )}
        {near.map((guess) => (
          <Chip
            key={guess.id}
            size="small"
            variant="outlined"
            label={`as ${guess.name}`}
            disabled={!right}
            onClick={() => take(guess)}
          />
        ))}
      </Box>
    </Box>
  );
}
