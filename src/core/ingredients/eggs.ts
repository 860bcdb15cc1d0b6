import { fail, ok, type Result } from "../shared/issue";
import ingredients from "../tables/ingredients.json";

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

export type EggPart = "whole" | "white" | "yolk";

const EGGS: Readonly<Record<string, Readonly<Record<EggPart, number>> | undefined>> = ingredients.eggs;

/** One egg of a size without its shell, g; undefined where the region has no such size. */
export const eggGrams = (region: string, size: string, part: EggPart): number | undefined => EGGS[`${region}-${size}`]?.[part];

/** Eggs in grams without shell. Issues: `unknown` size. */
export function eggs(input: { count: number; region: string; size: string; part: EggPart }): Result<{ grams: number }> {
  const each = eggGrams(input.region, input.size, input.part);
  return each === undefined ? noSuchEgg(input) : ok({ grams: input.count * each });
}

/** The issue for a region and size that have no egg: `unknown` size. */
export const noSuchEgg = ({ region, size }: { region: string; size: string }) =>
  fail({ code: "unknown", path: ["size"], got: size, wanted: `a size of eggs sold in ${region}` });
