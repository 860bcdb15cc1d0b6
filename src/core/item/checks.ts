import type { Component, Item } from "./schema";
import { matchIngredient } from "../ingredients/names";
import { down, sum } from "../shared/rounding";
import { deskTotals } from "./desk";
import { effectiveProtein, PROTEIN_PCT } from "../ingredients/exchange";
import { dietsOf } from "../ingredients/tags";

/** What a cook would ask about, in codes: a figure that can hardly be meant, or one that is not there. Worded in `checks-text.ts`. */
export type Check =
  /** Of the flour, %. */
  | { readonly kind: "doubt"; readonly code: "much-of"; readonly ingredient: string; readonly pct: number; readonly most: number }
  | { readonly kind: "doubt"; readonly code: "hydration"; readonly pct: number }
  | { readonly kind: "doubt"; readonly code: "thickness"; readonly mm: number }
  /** Weights in g a piece. */
  | {
      readonly kind: "doubt";
      readonly code: "short-of-dough";
      readonly pieces: number;
      readonly pieceG: number;
      readonly possibleG: number;
    }
  | { readonly kind: "doubt"; readonly code: "oven"; readonly step: string; readonly settingC: number }
  | { readonly kind: "gap"; readonly code: "no-flour" | "no-filling-weight" | "no-filling" }
  | { readonly kind: "gap"; readonly code: "no-oven-setting"; readonly step: string };

/** Usual limits on flour, %: beyond them a slip of the pen is likelier than a recipe. Our own kitchen figures. */
const USUAL: readonly { readonly of: readonly string[]; readonly ingredient: string; readonly most: number }[] = [
  { of: ["salt", "salt-coarse", "salt-flaky"], ingredient: "salt", most: 3.5 },
  { of: ["yeast-instant"], ingredient: "instant yeast", most: 3 },
  { of: ["yeast-active-dry"], ingredient: "dry yeast", most: 4 },
  { of: ["yeast-fresh"], ingredient: "fresh yeast", most: 9 },
  { of: ["baking-powder"], ingredient: "baking powder", most: 6 },
  { of: ["baking-soda"], ingredient: "baking soda", most: 2 },
];

/** What a cook would ask about: figures outside the usual, weights that do not add up, and what is not said at all. */
export function itemChecks(item: Item): Check[] {
  const totals = deskTotals(item);
  const dough = item.dough.parts.flatMap((part) => part.components);
  const checks: Check[] = [];
  const onFlour = (ids: readonly string[]) =>
    totals.flourG > 0
      ? (100 * sum(dough.filter((c) => ids.includes(matchIngredient(c.name) ?? "")).map((c) => c.grams))) / totals.flourG
      : 0;
  if (totals.flourG === 0) checks.push({ kind: "gap", code: "no-flour" });
  for (const { of, ingredient, most } of USUAL) {
    const pct = onFlour(of);
    if (pct > most) checks.push({ kind: "doubt", code: "much-of", ingredient, pct, most });
  }
  if (totals.flourG > 0 && (totals.hydrationPct < 15 || totals.hydrationPct > 95))
    checks.push({ kind: "doubt", code: "hydration", pct: totals.hydrationPct });
  const { thicknessMm, doughG, fillingG } = item.piece;
  if (thicknessMm !== undefined && (thicknessMm < 0.3 || thicknessMm > 15))
    checks.push({ kind: "doubt", code: "thickness", mm: thicknessMm });
  const { pieces } = item.base;
  const canMake = down(totals.usableDoughG / Math.max(1e-9, doughG));
  if (doughG > 0 && canMake < pieces)
    checks.push({ kind: "doubt", code: "short-of-dough", pieces, pieceG: doughG, possibleG: totals.usableDoughG / pieces });
  if (item.filling.components.length > 0 && fillingG === 0) checks.push({ kind: "gap", code: "no-filling-weight" });
  if (fillingG > 0 && item.filling.components.length === 0) checks.push({ kind: "gap", code: "no-filling" });
  for (const step of item.steps) {
    const oven = step.equipment.find((e) => e.id === "oven");
    if (oven && oven.settingC === undefined) checks.push({ kind: "gap", code: "no-oven-setting", step: step.id });
    if (oven?.settingC !== undefined && (oven.settingC < 120 || oven.settingC > 260))
      checks.push({ kind: "doubt", code: "oven", step: step.id, settingC: oven.settingC });
  }
  return checks;
}

/** Protein of the dough's flours and starches together, %; undefined where none is known. */
export function doughProtein(item: Item): number | undefined {
  const lines = item.dough.parts
    .flatMap((part) => part.components)
    .flatMap((c) => {
      const id = matchIngredient(c.name);
      return id !== undefined && id in PROTEIN_PCT ? [{ grams: c.grams, proteinPct: PROTEIN_PCT[id] }] : [];
    });
  return lines.length > 0 ? effectiveProtein(lines) : undefined;
}

/** Bite to expect of a flour mixture by its protein. */
export type Bite = "soft" | "tender" | "strong";
export const biteOf = (proteinPct: number): Bite => (proteinPct < 9.5 ? "soft" : proteinPct < 11.5 ? "tender" : "strong");

/** Components, finish included, for which the item is not of a diet, by their names. */
export function againstDiet(item: Item, diet: "vegetarian" | "vegan"): string[] {
  const all: readonly Component[] = [
    ...item.dough.parts.flatMap((p) => p.components),
    ...item.filling.components,
    ...item.finish.flatMap((f) => f.components),
  ];
  return [...new Set(all.filter((c) => !dietsOf([c.name]).includes(diet)).map((c) => c.name.split(",")[0]))];
}
