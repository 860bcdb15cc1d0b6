import type { Component, Item } from "./schema";
import { matchIngredient } from "../ingredients/names";
import { sum } from "../shared/rounding";
import { deskTotals } from "./desk";
import { effectiveProtein, PROTEIN_PCT } from "../ingredients/exchange";
import { dietsOf } from "../ingredients/tags";

export interface Check {
  /** A figure that can hardly be meant, or one that is not there. */
  readonly kind: "doubt" | "gap";
  readonly text: string;
}

/** Usual limits on flour, %: beyond them a slip of the pen is likelier than a recipe. Our own kitchen figures. */
const USUAL: readonly { readonly of: readonly string[]; readonly name: string; readonly most: number }[] = [
  { of: ["salt", "salt-coarse", "salt-flaky"], name: "Salt", most: 3.5 },
  { of: ["yeast-instant"], name: "Instant yeast", most: 3 },
  { of: ["yeast-active-dry"], name: "Dry yeast", most: 4 },
  { of: ["yeast-fresh"], name: "Fresh yeast", most: 9 },
  { of: ["baking-powder"], name: "Baking powder", most: 6 },
  { of: ["baking-soda"], name: "Baking soda", most: 2 },
];

/** What a cook would ask about: figures outside the usual, weights that do not add up, and what is not said at all. */
export function itemChecks(item: Item): Check[] {
  const totals = deskTotals(item);
  const dough = item.dough.parts.flatMap((part) => part.components);
  const checks: Check[] = [];
  const doubt = (text: string) => checks.push({ kind: "doubt", text });
  const gap = (text: string) => checks.push({ kind: "gap", text });
  const onFlour = (ids: readonly string[]) =>
    totals.flourG > 0
      ? (100 * sum(dough.filter((c) => ids.includes(matchIngredient(c.name) ?? "")).map((c) => c.grams))) / totals.flourG
      : 0;
  if (totals.flourG === 0) gap("The dough has no flour: percentages need one.");
  for (const { of, name, most } of USUAL) {
    const pct = onFlour(of);
    if (pct > most) doubt(`${name} is ${pct.toFixed(1)} % of the flour; up to ${most} % is usual.`);
  }
  if (totals.flourG > 0 && (totals.hydrationPct < 15 || totals.hydrationPct > 95))
    doubt(`Hydration is ${Math.round(totals.hydrationPct)} %; 15 to 95 % is usual for a dough that is filled.`);
  const { thicknessMm, doughG, fillingG } = item.piece;
  if (thicknessMm !== undefined && (thicknessMm < 0.3 || thicknessMm > 15))
    doubt(`The sheet is ${thicknessMm} mm thick; 2 to 4 mm is usual for a turnover, 15 mm the most for a bun.`);
  const canMake = Math.floor(totals.usableDoughG / Math.max(1e-9, doughG) + 1e-9);
  if (doughG > 0 && canMake < item.base.pieces)
    doubt(
      `${item.base.pieces} pieces of ${doughG} g need more dough than there is: ${(totals.usableDoughG / item.base.pieces).toFixed(1)} g each is possible.`,
    );
  if (item.filling.components.length > 0 && fillingG === 0) gap("How much filling goes into a piece is not said.");
  if (fillingG > 0 && item.filling.components.length === 0) gap("The filling has no ingredients yet.");
  for (const step of item.steps) {
    const oven = step.equipment.find((e) => e.id === "oven");
    if (oven && oven.settingC === undefined) gap(`The oven's temperature for “${step.id}” is not said.`);
    if (oven?.settingC !== undefined && (oven.settingC < 120 || oven.settingC > 260))
      doubt(`The oven is at ${oven.settingC} °C in “${step.id}”; 120 to 260 °C is usual.`);
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
export const biteText = (proteinPct: number): string =>
  proteinPct < 9.5 ? "soft, tears easily" : proteinPct < 11.5 ? "tender" : "strong, springs back";

/** Components, finish included, for which the item is not of a diet, by their names. */
export function againstDiet(item: Item, diet: "vegetarian" | "vegan"): string[] {
  const all: readonly Component[] = [
    ...item.dough.parts.flatMap((p) => p.components),
    ...item.filling.components,
    ...item.finish.flatMap((f) => f.components),
  ];
  return [...new Set(all.filter((c) => !dietsOf([c.name]).includes(diet)).map((c) => c.name.split(",")[0]))];
}
