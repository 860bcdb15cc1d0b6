"use client";
import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { FAMILIES } from "@/core/item/families";
import { FILLINGS } from "@/core/item/making/fillings";
import { methodsOf } from "@/core/item/making/doughs";
import type { Made } from "@/core/item/making/make-item";
import { METHODS } from "@/core/item/making/methods";
import { easierText } from "@/core/item/making/shapes";
import { shapesFor } from "@/core/item/making/propose";
import type { MissingFigure } from "@/core/item/making/understand";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";

/** What the cook says otherwise than was proposed, by id. */
export interface Chosen {
  readonly family?: string | undefined;
  readonly method?: string | undefined;
  readonly shape?: string | undefined;
  readonly filling?: string | undefined;
}

const ABOUT: Readonly<Record<MissingFigure["about"], string>> = {
  family: "Which dough",
  method: "How finished",
  shape: "Shape",
  filling: "Filling",
  pieces: "Pieces",
  heat: "How hot",
  minutes: "How long",
  line: "A line",
  "filling-over": "Left over",
  beside: "Beside it",
  "two-values": "Two values",
};

/** What kind of thing a recipe is: the proposal with its reason, changed with one press; and what it does not say. */
export function HowItIsMade({ made, chosen, onChoose }: { made: Made; chosen: Chosen; onChoose: (edit: Chosen) => void }) {
  const { heat } = useDisplay();
  const { family, method, shape, filling, gaps } = made;
  const rows = [
    {
      key: "family" as const,
      label: "Kind of dough",
      value: family.value as string,
      because: family.because,
      options: FAMILIES.map(({ id, name }) => ({ id, name })),
    },
    {
      key: "method" as const,
      label: "Finished",
      value: method.value as string,
      because: method.because,
      options: methodsOf(family.value).map((id) => ({ id: id as string, name: METHODS[id].name })),
    },
    {
      key: "shape" as const,
      label: "Shape",
      value: shape.value.id,
      because: `${shape.because}; ${shape.value.seconds} s a piece, difficulty ${shape.value.difficulty} of 4${easierText(shape.value)}`,
      options: uniqueById([shape.value, ...shapesFor(family.value, method.value)]).map(({ id, name }) => ({ id, name })),
    },
    {
      key: "filling" as const,
      label: "Filling is",
      value: filling.value as string,
      because: filling.because,
      options: Object.values(FILLINGS).map(({ id, name }) => ({ id: id as string, name })),
    },
  ];
  return (
    <Paper component="section" aria-label="How it is made" sx={{ p: 2, display: "grid", gap: 1.25 }}>
      <Typography variant="h2">How it is made</Typography>
      {rows.map(({ key, label, value, because, options }) => (
        <Box
          key={key}
          sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)", gap: 1.5, alignItems: "center" }}
        >
          <TextField
            select
            label={label}
            value={value}
            onChange={(event) =>
              onChoose(
                // Another dough or way of finishing has shapes of its own.
                key === "family"
                  ? { family: event.target.value, shape: undefined }
                  : key === "method"
                    ? { method: event.target.value, shape: undefined }
                    : { [key]: event.target.value },
              )
            }
          >
            {options.map((option) => (
              <MenuItem key={option.id} value={option.id}>
                {option.name}
              </MenuItem>
            ))}
          </TextField>
          <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
            {chosen[key] ? `by your word${key === "shape" ? because.slice(because.indexOf(";")) : ""}` : because}
          </Box>
        </Box>
      ))}
      {gaps.length > 0 && (
        <Box component="ul" aria-label="What the recipe does not say" sx={{ m: 0, p: 0, listStyle: "none", fontSize: "0.85rem" }}>
          {gaps.map(({ about, text, usual, taken }) => (
            <Box
              component="li"
              key={`${about} ${text}`}
              sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 0.6, color: COLOUR.caution }}
            >
              <strong>{ABOUT[about]}</strong>: {text}
              {usual && `; usual is ${heat(usual)}`}
              {taken && `; taken for now: ${heat(taken)}`}
            </Box>
          ))}
        </Box>
      )}
    </Paper>
  );
}

const uniqueById = <T extends { readonly id: string }>(all: readonly T[]): T[] =>
  all.filter((one, k) => all.findIndex(({ id }) => id === one.id) === k);
