"use client";
import Box from "@mui/material/Box";
import Chip from "@mui/material/Chip";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { guesses } from "@/core/ingredients/guess";
import type { Catalogue } from "@/core/ingredients/own";
import { GAP_TEXT } from "@/core/ingredients/read-line-text";
import type { Reading } from "@/core/ingredients/read-line";
import { readLines } from "@/core/item/recipe";
import type { System } from "@/core/quantities/unit-table";
import { NumberField } from "../kit/NumberField";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { COLOUR } from "../theme/tokens";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly system: System;
  readonly error?: string;
  readonly placeholder: string;
}

const round = (grams: number): string => `${grams < 20 ? Math.round(grams * 10) / 10 : Math.round(grams)} g`;

const GLASS_NAME: Readonly<Record<string, string>> = {
  dessertspoon: "dessert spoon",
  coffeespoon: "coffee spoon",
  waterglass: "glass",
  teaglass: "tea glass",
};

/** What a line was understood as: grams and how they were come by, or what is missing. */
export function understood(reading: Reading): { good: boolean; text: string } {
  const { grams, minG, maxG, wholeG, via, found, name, assumed, approx, gap, heading, toTaste, wanted } = reading;
  if (heading) return { good: true, text: "a heading" };
  if (grams === null || via === null || minG === null || maxG === null)
    return {
      good: toTaste,
      text: toTaste
        ? `${name}: to taste, kept as it is`
        : `kept as a gap: ${wanted === undefined ? GAP_TEXT[gap ?? "no-amount"] : `expected ${wanted}`}`,
    };
  const span = minG === maxG ? round(grams) : `${round(minG)} to ${round(maxG)}, middle ${round(grams)}`;
  const as = found?.main.name ?? name;
  const how = { mass: "by weight", density: `as ${as}`, unitWeight: `as ${as}, a usual piece` }[via];
  const glass = assumed ? `, a ${GLASS_NAME[assumed.unit] ?? assumed.unit} taken as ${assumed.ml} ml` : "";
  const whole = wholeG === null ? "" : `, ${round(wholeG)} before it is trimmed`;
  const what = gap === "not-known" ? "; not known what it is" : "";
  return { good: gap === null, text: `${approx ? "about " : ""}${span} of ${name} (${how}${glass}${whole})${what}` };
}

/** Ingredient lines as they stand on paper, with what was understood beside each; mended by typing on, or by a guess. */
export function PasteLines({ label, value, onChange, system, error, placeholder }: Props) {
  const { catalogue } = useCatalogue();
  const lines = readLines(value, system, catalogue);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "minmax(260px, 1fr) 1.2fr" }, gap: 2 }}>
      <TextField
        label={label}
        multiline
        minRows={4}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        error={error !== undefined}
        helperText={error ?? "one ingredient a line, as written"}
        placeholder={placeholder}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {lines.length === 0 && (
        <Typography color="text.secondary" sx={{ fontSize: "0.85rem" }}>
          What is understood of each line appears here.
        </Typography>
      )}
      <Box {...(lines.length > 0 && { role: "list", "aria-label": `${label} as understood` })} sx={{ fontSize: "0.85rem" }}>
        {lines.map((reading, i) => {
          const { good, text } = understood(reading);
          return (
            <Box
              key={i}
              role="listitem"
              sx={{ display: "flex", gap: 1, py: 0.5, borderTop: i > 0 ? `1px solid ${COLOUR.line}` : 0 }}
            >
              <Box component="span" aria-hidden sx={{ color: good ? COLOUR.fits : COLOUR.caution, fontWeight: 700, width: 14 }}>
                {good ? "✓" : "?"}
              </Box>
              <Box sx={{ color: good ? COLOUR.ink : COLOUR.caution }}>
                {text}
                {reading.assumed && (
                  <Box component="span" sx={{ display: "inline-flex", gap: 0.5, ml: 1, alignItems: "center" }}>
                    <NumberField
                      label={`A ${GLASS_NAME[reading.assumed.unit] ?? reading.assumed.unit} in ${reading.name}, ml`}
                      value={reading.assumed.ml}
                      onChange={(ml) => ml !== undefined && ml > 0 && ml <= 2000 && onChange(inMl(value, reading, ml))}
                      width={72}
                      late
                      quiet
                    />
                    ml
                  </Box>
                )}
                {reading.gap === "not-known" && !reading.heading && (
                  <Near name={reading.name} catalogue={catalogue} onTake={(name) => onChange(renamed(value, reading, name))} />
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** The text with a line's words for an ingredient put in other words; what was written before stays in brackets. */
const renamed = (text: string, reading: Reading, name: string): string =>
  text.replace(reading.text, reading.text.replace(reading.name, `${name} (${reading.name.replace(/[()]/g, "")})`));

/** The text with a glass as so many ml: what was assumed is the cook's own now. */
function inMl(text: string, reading: Reading, ml: number): string {
  const { assumed, grams, found } = reading;
  const perMl = (found?.main.gramsPerCup ?? 0) / 240;
  if (!assumed || grams === null || perMl === 0) return text;
  const total = Math.round(((grams / perMl) * ml) / assumed.ml);
  return text.replace(reading.text, `${total} ml ${reading.name}`);
}

function Near({ name, catalogue, onTake }: { name: string; catalogue: Catalogue; onTake: (name: string) => void }) {
  const near = useMemo(() => guesses(name, catalogue.ingredients), [name, catalogue]);
  return (
    <Box component="span" sx={{ display: "inline-flex", gap: 0.5, ml: 1, flexWrap: "wrap" }}>
      {near.map((guess) => (
        <Chip key={guess.id} size="small" variant="outlined" label={`${guess.name}?`} onClick={() => onTake(guess.name)} />
      ))}
    </Box>
  );
}
