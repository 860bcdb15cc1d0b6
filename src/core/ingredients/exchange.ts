import { sum } from "../shared/rounding";

/** Protein of a mixture of flours and starches, %; 0 without any. */
export function effectiveProtein(lines: readonly { grams: number; proteinPct: number }[]): number {
  const grams = sum(lines.map((line) => line.grams));
  return grams > 0 ? sum(lines.map((line) => line.grams * line.proteinPct)) / grams : 0;
}

export interface Fat {
  readonly fatPct: number;
  readonly waterPct: number;
  readonly saltPct: number;
}
/** What fats are made of, %. */
export const FATS = {
  butter: { fatPct: 82, waterPct: 16, saltPct: 0 },
  "salted-butter": { fatPct: 81, waterPct: 16, saltPct: 1.5 },
  margarine: { fatPct: 80, waterPct: 16, saltPct: 0 },
  "salted-margarine": { fatPct: 80, waterPct: 16, saltPct: 1.5 },
  shortening: { fatPct: 100, waterPct: 0, saltPct: 0 },
  lard: { fatPct: 100, waterPct: 0, saltPct: 0 },
  oil: { fatPct: 100, waterPct: 0, saltPct: 0 },
} as const satisfies Record<string, Fat>;

/** As much of another fat as brings the same fat, with the water to add (or leave out, < 0) and the salt to leave out (or add, < 0), g. */
export function exchangeFat(grams: number, from: Fat, to: Fat): { grams: number; addWaterG: number; leaveOutSaltG: number } {
  const other = (grams * from.fatPct) / to.fatPct;
  return {
    grams: other,
    addWaterG: (grams * from.waterPct - other * to.waterPct) / 100,
    leaveOutSaltG: (other * to.saltPct - grams * from.saltPct) / 100,
  };
}

/** Self-raising flour carries about this much leavener, %. */
const LEAVENER_PCT = 5;

/** Self-raising for plain flour: the leavener that is in it already, and how much of the recipe's own to leave out, g. */
export function exchangeForSelfRaising(flourG: number, bakingPowderG: number): { inItG: number; leaveOutG: number } {
  const inItG = (flourG * LEAVENER_PCT) / 100;
  return { inItG, leaveOutG: Math.min(bakingPowderG, inItG) };
}

/** Fat on flour by weight in words; a "two to one" by cups is not one by weight. */
export function fatRatioText(fatG: number, flourG: number): string {
  const ratio = fatG / flourG;
  const parts = ratio > 0.505 ? "richer than 1 : 2 by weight" : ratio < 0.495 ? "leaner than 1 : 2 by weight" : "1 : 2 by weight";
  return `${ratio.toFixed(2)} g of fat to 1 g of flour, ${parts}`;
}
