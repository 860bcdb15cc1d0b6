import { idOf, ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { sum } from "../shared/rounding";
import { doughComponents, doughTotals } from "./desk";
import type { Component, Item } from "./schema";

/** A figure's range: implausible below `least` or above `most`, usual from `from` to `to`. */
export interface Usual {
  readonly least: number;
  readonly from: number;
  readonly to: number;
  readonly most: number;
}

/** What is usual of a kind of dough, % of the flour, mm and °C of a fan oven. Our own kitchen figures. */
export interface Family {
  readonly id: string;
  readonly name: string;
  readonly water: Usual;
  /** As weighed. */
  readonly fat: Usual;
  readonly sugar: Usual;
  readonly salt: Usual;
  /** As instant yeast; undefined for a dough without. */
  readonly yeast?: Usual;
  /** Of the sheet or disc before it is filled. */
  readonly sheetMm?: Usual;
  readonly ovenC: { readonly from: number; readonly to: number; readonly usual: number };
  readonly bakeMin: { readonly from: number; readonly to: number; readonly usual: number };
}

const range = (least: number, from: number, to: number, most: number): Usual => ({ least, from, to, most });
const heat = (from: number, to: number, usual: number) => ({ from, to, usual });

export const FAMILIES: readonly Family[] = [
  {
    id: "EY",
    name: "enriched yeast dough",
    water: range(45, 52, 64, 74),
    fat: range(2, 4, 20, 40),
    sugar: range(0, 4, 14, 25),
    salt: range(0.8, 1.4, 2, 2.5),
    yeast: range(0.4, 0.8, 2, 3),
    sheetMm: range(3, 4, 6, 12),
    ovenC: heat(175, 190, 180),
    bakeMin: heat(14, 24, 18),
  },
  {
    id: "LY",
    name: "lean yeast dough",
    water: range(50, 56, 66, 78),
    fat: range(0, 0, 5, 8),
    sugar: range(0, 0, 3, 6),
    salt: range(1.2, 1.8, 2.2, 2.6),
    yeast: range(0.2, 0.8, 1.5, 2.5),
    sheetMm: range(2, 3, 8, 12),
    ovenC: heat(190, 225, 205),
    bakeMin: heat(12, 24, 17),
  },
  {
    id: "SY",
    name: "steamed yeast dough",
    water: range(42, 46, 54, 60),
    fat: range(0, 0, 5, 10),
    sugar: range(0, 4, 14, 20),
    salt: range(0, 0.2, 1, 1.8),
    yeast: range(0.4, 0.8, 1.5, 2.5),
    sheetMm: range(2, 3, 6, 12),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(14, 24, 20),
  },
  {
    id: "PY",
    name: "yeast dough for the pan",
    water: range(48, 52, 62, 70),
    fat: range(0, 0, 5, 8),
    sugar: range(0, 1, 6, 12),
    salt: range(0, 0.4, 1.8, 2.2),
    yeast: range(0.4, 0.8, 2, 3),
    sheetMm: range(2, 3, 5, 10),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(14, 24, 20),
  },
  {
    id: "HW",
    name: "hot-water dough",
    water: range(45, 50, 60, 68),
    fat: range(0, 0, 4, 8),
    sugar: range(0, 0, 1, 3),
    salt: range(0, 0.3, 1.5, 2.2),
    sheetMm: range(0.8, 1, 2.5, 4),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(12, 25, 18),
  },
  {
    id: "CW",
    name: "cold-water dough",
    water: range(36, 42, 52, 58),
    fat: range(0, 0, 2, 5),
    sugar: range(0, 0, 0, 2),
    salt: range(0, 0.5, 1.5, 2.2),
    sheetMm: range(0.8, 1, 2.5, 4),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(12, 25, 18),
  },
  {
    id: "SS",
    name: "stretched sheet",
    water: range(50, 54, 64, 70),
    fat: range(0, 2, 8, 15),
    sugar: range(0, 0, 1, 3),
    salt: range(1, 1.5, 2.2, 2.6),
    sheetMm: range(0.2, 0.3, 0.8, 2),
    ovenC: heat(195, 225, 220),
    bakeMin: heat(14, 30, 20),
  },
  {
    id: "SH",
    name: "shortcrust",
    water: range(6, 15, 40, 48),
    fat: range(35, 50, 90, 110),
    sugar: range(0, 0, 40, 60),
    salt: range(0.2, 0.6, 2, 2.5),
    sheetMm: range(1.5, 2.5, 4, 6),
    ovenC: heat(175, 200, 190),
    bakeMin: heat(16, 35, 24),
  },
  {
    id: "FS",
    name: "flaky shortcrust",
    water: range(22, 32, 48, 58),
    fat: range(45, 60, 85, 110),
    sugar: range(0, 0, 2, 8),
    salt: range(0.6, 1.2, 2, 2.5),
    sheetMm: range(2, 3, 4, 6),
    ovenC: heat(185, 215, 200),
    bakeMin: heat(18, 40, 24),
  },
  {
    id: "FR",
    name: "dough for frying",
    water: range(28, 34, 46, 52),
    fat: range(6, 12, 28, 40),
    sugar: range(0, 0, 3, 8),
    salt: range(0.8, 1.5, 2, 2.4),
    sheetMm: range(1.2, 2, 4, 5),
    ovenC: heat(180, 200, 190),
    bakeMin: heat(16, 30, 22),
  },
  {
    id: "OS",
    name: "oil shortcrust with semolina",
    water: range(28, 34, 44, 50),
    fat: range(8, 12, 25, 32),
    sugar: range(0, 0, 1, 4),
    salt: range(0.6, 1, 2, 2.4),
    sheetMm: range(2, 3, 5, 15),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(14, 26, 20),
  },
  {
    id: "BD",
    name: "batter dough",
    water: range(54, 58, 72, 88),
    fat: range(3, 6, 15, 25),
    sugar: range(0, 0, 2, 5),
    salt: range(0.8, 1.5, 2.2, 2.6),
    sheetMm: range(0.4, 0.5, 1.2, 3),
    ovenC: heat(190, 210, 200),
    bakeMin: heat(12, 24, 20),
  },
];

/** What a dough has of each thing that tells its kind, % of the flour. */
export interface DoughShares {
  readonly water: number;
  readonly fat: number;
  readonly sugar: number;
  readonly salt: number;
  readonly yeast: number;
  readonly semolina: number;
}

/** What replaces 1 g of instant yeast, g. */
const AS_INSTANT: Readonly<Record<string, number>> = { "yeast-instant": 1, "yeast-active-dry": 1 / 1.25, "yeast-fresh": 1 / 3 };

/** Shares of a dough; undefined without any flour. */
export function doughShares(dough: readonly Component[], catalogue: Catalogue = OURS): DoughShares | undefined {
  const totals = doughTotals(dough, catalogue);
  if (totals.flourG <= 0) return undefined;
  const onFlour = (grams: readonly number[]) => (100 * sum(grams)) / totals.flourG;
  const sweet = dough.filter((c) => ingredientOf(c, catalogue)?.kinds.some((kind) => kind === "sugar" || kind === "sweet"));
  return {
    water: totals.hydrationPct,
    fat: totals.fatPct,
    sugar: onFlour(sweet.map((c) => c.grams)),
    salt: totals.saltPct,
    yeast: onFlour(dough.map((c) => c.grams * (AS_INSTANT[idOf(c, catalogue) ?? ""] ?? 0))),
    semolina: onFlour(dough.filter((c) => idOf(c, catalogue) === "semolina").map((c) => c.grams)),
  };
}

const byId = (id: string): Family => FAMILIES.find((family) => family.id === id)!;

/** The kind of dough that an item's formula and method are nearest to; undefined without any flour. */
export function familyOf(item: Item, catalogue: Catalogue = OURS): Family | undefined {
  const shares = doughShares(doughComponents(item), catalogue);
  if (!shares) return undefined;
  const fresh = item.steps.filter((step) => step.path.includes("fresh"));
  const kinds = new Set(fresh.map((step) => step.kind));
  const uses = (id: string) => fresh.some((step) => step.equipment.some((e) => e.id === id));
  if (shares.yeast > 0 || kinds.has("final-proof")) {
    if (kinds.has("steam")) return byId("SY");
    if (kinds.has("pan-fry")) return byId("PY");
    return byId(shares.fat >= 4 || shares.sugar >= 4 ? "EY" : "LY");
  }
  if (shares.fat >= 45) return byId(shares.fat > 75 || shares.water >= 42 ? "FS" : "SH");
  if (shares.semolina >= 10) return byId("OS");
  if (shares.fat >= 10) return byId(shares.water >= 54 ? "BD" : shares.fat >= 35 && !uses("fryer") ? "SH" : "FR");
  const hot = item.dough.parts.some((part) => part.components.some((c) => /\b(?:boiling|hot)\b/i.test(c.name)));
  if (hot) return byId("HW");
  return byId(shares.water > 52 ? "SS" : "CW");
}
