"use client";
import Box from "@mui/material/Box";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { readLines, type ReadLine } from "@/core/item/recipe";
import { ASSUMED_ML, type System } from "@/core/quantities/unit-table";
import { issueText } from "@/core/shared/issue-text";
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

const SPOON_NAME: Readonly<Record<string, string>> = {
  dessertspoon: "dessert spoon",
  coffeespoon: "coffee spoon",
  waterglass: "water glass",
  teaglass: "tea glass",
};

/** What a line was understood as: grams and how they were come by, or what is missing. */
export function understood(read: ReadLine): { good: boolean; text: string } {
  if (read.issue) return { good: false, text: issueText(read.issue, "this line") };
  const { weighed, line } = read;
  if (!weighed || weighed.kind === "open")
    return weighed?.why === "no-amount"
      ? {
          good: line?.kind === "toTaste",
          text: line?.kind === "toTaste" ? `${read.name}: to taste, not weighed` : "no amount: not weighed",
        }
      : { good: false, text: `${read.name} has no density here: give its weight, such as “120 g ${read.name}”` };
  const span =
    weighed.minG === weighed.maxG
      ? round(weighed.grams)
      : `${round(weighed.minG)} to ${round(weighed.maxG)}, middle ${round(weighed.grams)}`;
  const via = { mass: "by weight", density: `as ${weighed.ingredient}`, unitWeight: `as ${weighed.ingredient}, a usual piece` }[
    weighed.via
  ];
  const assumed =
    line!.unit && Object.hasOwn(ASSUMED_ML, line!.unit)
      ? `, a ${SPOON_NAME[line!.unit]} taken as ${ASSUMED_ML[line!.unit]} ml`
      : "";
  return { good: true, text: `${line!.approx ? "about " : ""}${span} of ${read.name} (${via}${assumed})` };
}

/** Ingredient lines as they stand on paper, with what was understood beside each; mended by typing on. */
export function PasteLines({ label, value, onChange, system, error, placeholder }: Props) {
  const lines = readLines(value, system);
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
      <Box role="list" aria-label={`${label} as understood`} sx={{ fontSize: "0.85rem" }}>
        {lines.length === 0 && <Typography color="text.secondary">What is understood of each line appears here.</Typography>}
        {lines.map((read, i) => {
          const { good, text } = understood(read);
          return (
            <Box
              key={i}
              role="listitem"
              sx={{ display: "flex", gap: 1, py: 0.5, borderTop: i > 0 ? `1px solid ${COLOUR.line}` : 0 }}
            >
              <Box component="span" aria-hidden sx={{ color: good ? COLOUR.fits : COLOUR.ember, fontWeight: 700, width: 14 }}>
                {good ? "✓" : "?"}
              </Box>
              <Box sx={{ color: good ? COLOUR.ink : COLOUR.ember }}>{text}</Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
