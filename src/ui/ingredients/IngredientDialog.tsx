"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { ALLERGENS, allergensOf, type Allergen } from "@/core/ingredients/allergen";
import type { Ingredient } from "@/core/ingredients/catalogue";
import { DIETS } from "@/core/ingredients/kinds";
import type { Named } from "@/core/ingredients/lookup";
import { OwnIngredientSchema, type OwnIngredient } from "@/core/ingredients/own";
import { knownIn, ownEntry } from "@/core/ingredients/settle";
import { issueText } from "@/core/shared/issue-text";
import { parseWith } from "@/core/shared/parse";
import { Banner } from "../kit/Banner";
import { NumberField } from "../kit/NumberField";
import { useCatalogue } from "./CatalogueProvider";

const ANSWER = { yes: "yes", no: "no", depends: "not known" } as const;
const BASIS = {
  measured: "tables of measured foods",
  label: "usual labels",
  kitchen: "kitchen figures",
  own: "your own figures",
} as const;

const FIGURES = [
  ["gramsPerCup", "A cup of 240 ml, g"],
  ["eachG", "One piece, g"],
  ["trimmedG", "One piece trimmed, g"],
  ["waterPct", "Water, %"],
  ["fatPct", "Fat, %"],
  ["proteinPct", "Protein, %"],
  ["saltPct", "Salt, %"],
  ["cookLossPct", "Lost over heat, %"],
] as const;
type Figure = (typeof FIGURES)[number][0];

/** How a cup of flour is filled, and what 1 ml of it weighs then. Kitchen figures. */
const SCOOPED = [
  ["sifted", 0.47],
  ["spooned", 0.53],
  ["scooped", 0.6],
] as const;

const FIELD_NAMES: Readonly<Record<string, string>> = Object.fromEntries([
  ...FIGURES,
  ["pieces", "One piece"],
  ["without", "The reason"],
]);

const figureOf = (entry: OwnIngredient, key: Figure): number | undefined => (key === "eachG" ? entry.pieces?.each : entry[key]);

/** What the catalogue has of a figure, to stand in the empty field. */
function ours(known: Ingredient | undefined, key: Figure): number | undefined {
  const middle = (weight: number | readonly number[] | undefined) => (typeof weight === "number" ? weight : weight?.[1]);
  if (!known) return undefined;
  return {
    gramsPerCup: known.gramsPerCup,
    eachG: middle(known.pieces.each),
    trimmedG: middle(known.trimmed),
    waterPct: known.per100.water,
    fatPct: known.per100.fat,
    proteinPct: known.per100.protein,
    saltPct: known.per100.salt,
    cookLossPct: known.cookLossPct,
  }[key];
}

/** What the cook knows better about one ingredient: their bag's protein, their cup, their onion, what its label says. */
export function IngredientDialog({ line, onClose }: { line: Named; onClose: () => void }) {
  const { catalogue, keep, forget } = useCatalogue();
  const [entry, setEntry] = useState(() => ownEntry(line, catalogue));
  const [refused, setRefused] = useState<string | undefined>(undefined);
  const known =
    catalogue.ingredients.get(entry.id) ?? (entry.like !== undefined ? catalogue.ingredients.get(entry.like) : undefined);
  const stored = catalogue.own.some((one) => one.id === entry.id);
  const sure = knownIn(entry.id);
  const without = new Map((entry.without ?? []).map(({ allergen, why }) => [allergen, why]));
  const inIt = (allergen: Allergen) =>
    (entry.contains ?? []).includes(allergen) || (sure.includes(allergen) && !without.has(allergen));
  const maybe = allergensOf(known?.may ?? []);
  const set = (edit: Partial<OwnIngredient>) => setEntry((now) => ({ ...now, ...edit }));
  const setFigure = (key: Figure, value: number | undefined) =>
    key === "eachG" ? set({ pieces: value === undefined ? undefined : { ...entry.pieces, each: value } }) : set({ [key]: value });
  const toggle = (allergen: Allergen) => {
    if (!sure.includes(allergen))
      return set({
        contains: inIt(allergen) ? (entry.contains ?? []).filter((a) => a !== allergen) : [...(entry.contains ?? []), allergen],
      });
    const rest = (entry.without ?? []).filter((one) => one.allergen !== allergen);
    set({ without: without.has(allergen) ? rest : [...rest, { allergen, why: "" }] });
  };
  const save = () => {
    const parsed = parseWith(OwnIngredientSchema, entry);
    if (!parsed.ok) return setRefused(issueText(parsed.issues[0], FIELD_NAMES[String(parsed.issues[0].path[0])]));
    keep(parsed.value);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="own-title">
      <DialogTitle id="own-title" variant="h2">
        What is known of {entry.names[0]}
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Typography variant="body2" color="text.secondary">
          {known ? `The figures in grey rest on ${BASIS[known.basis]}.` : "Nothing is known of it yet."} What you type here holds
          for every recipe.
        </Typography>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.25, pt: 1 }}>
          {FIGURES.map(([key, label]) => (
            <NumberField
              key={key}
              label={label}
              value={figureOf(entry, key)}
              placeholder={ours(known, key) === undefined ? "not known" : String(Math.round(ours(known, key)! * 10) / 10)}
              onChange={(value) => setFigure(key, value)}
              width={164}
            />
          ))}
        </Box>
        {known?.flour && (
          <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", flexWrap: "wrap", fontSize: "0.85rem" }}>
            <span>Your cup is</span>
            {SCOOPED.map(([name, density]) => (
              <Button key={name} size="small" onClick={() => set({ gramsPerCup: Math.round(density * 2400) / 10 })}>
                {name}, {density} g in 1 ml
              </Button>
            ))}
          </Box>
        )}
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.25 }}>
          {DIETS.map((diet) => (
            <TextField
              key={diet}
              select
              label={diet}
              value={entry.diets?.[diet] ?? ""}
              onChange={(e) => {
                const { [diet]: _, ...rest } = entry.diets ?? {};
                set({ diets: e.target.value === "" ? rest : { ...rest, [diet]: e.target.value as "yes" | "no" } });
              }}
              slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
              sx={{ width: 130 }}
            >
              <MenuItem value="">{known ? ANSWER[known.diets[diet]] : "not known"}</MenuItem>
              <MenuItem value="yes">yes, I know</MenuItem>
              <MenuItem value="no">no, I know</MenuItem>
            </TextField>
          ))}
        </Box>
        <Box role="group" aria-label="Allergens in it">
          <Typography variant="h3">In it</Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "1fr 1fr 1fr" } }}>
            {ALLERGENS.map((allergen) => (
              <FormControlLabel
                key={allergen}
                control={<Checkbox checked={inIt(allergen)} onChange={() => toggle(allergen)} size="small" />}
                label={maybe.includes(allergen) && !inIt(allergen) && !entry.labelRead ? `${allergen} (may be)` : allergen}
              />
            ))}
          </Box>
          <FormControlLabel
            control={
              <Checkbox
                checked={entry.labelRead === true}
                onChange={(e) => set({ labelRead: e.target.checked ? true : undefined })}
              />
            }
            label="I read the label: nothing else is in it"
          />
          {(entry.without ?? []).map(({ allergen, why }) => (
            <TextField
              key={allergen}
              fullWidth
              label={`Why is there no ${allergen} in it?`}
              value={why}
              onChange={(e) =>
                set({ without: entry.without!.map((one) => (one.allergen === allergen ? { ...one, why: e.target.value } : one)) })
              }
              sx={{ mt: 1 }}
            />
          ))}
        </Box>
        {refused && (
          <Banner kind="refused" role="alert">
            {refused}
          </Banner>
        )}
      </DialogContent>
      <DialogActions>
        {stored && (
          <Button
            onClick={() => {
              forget(entry.id);
              onClose();
            }}
          >
            Back to what the catalogue says
          </Button>
        )}
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={save}>
          Keep it for good
        </Button>
      </DialogActions>
    </Dialog>
  );
}
