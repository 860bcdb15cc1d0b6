import { eggGrams, noSuchEgg } from "../quantities/units";
import { ok, type Result } from "../shared/issue";
import { up } from "../shared/rounding";

/** Whole eggs for egg in grams and a wash: what is short is made up with water or milk, what is left has a use. Issues: `unknown` size. */
export function wholeEggs(input: { neededG: number; washG: number; region: string; size: string; shortPct: number }): Result<{
  eggs: number;
  gotG: number;
  shortG: number;
  leftG: number;
}> {
  const each = eggGrams(input.region, input.size, "whole");
  if (each === undefined) return noSuchEgg(input);
  const total = input.neededG + input.washG;
  if (total === 0) return ok({ eggs: 0, gotG: 0, shortG: 0, leftG: 0 });
  const eggs = Math.max(1, up((total - (input.neededG * input.shortPct) / 100) / each));
  const gotG = eggs * each;
  return ok({ eggs, gotG, shortG: Math.max(0, total - gotG), leftG: Math.max(0, gotG - total) });
}

export type Yeast = "fresh" | "active-dry" | "instant";
/** What replaces 1 g of fresh yeast, g. */
const EQUAL_TO_FRESH: Readonly<Record<Yeast, number>> = { fresh: 1, "active-dry": 0.4, instant: 0.33 };

/** The same rise from another kind of yeast. */
export const convertYeast = ({ grams, from, to }: { grams: number; from: Yeast; to: Yeast }): { grams: number } => ({
  grams: (grams / EQUAL_TO_FRESH[from]) * EQUAL_TO_FRESH[to],
});
