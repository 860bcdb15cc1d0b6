import { waterShare } from "../ingredients/water";
import { fail, ok, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";

interface PercentLine {
  readonly id: string;
  readonly role: string;
  readonly pct: number;
}
interface GramLine {
  readonly id: string;
  readonly role: string;
  readonly grams: number;
}

const added = (lines: readonly (readonly [string, number])[]): Record<string, number> => {
  const out: Record<string, number> = {};
  for (const [id, value] of lines) out[id] = (out[id] ?? 0) + value;
  return out;
};

/**
 * Baker's percentages to grams, from the flour or from the dough. Issues: `inconsistent` doughG (both or neither given),
 * `inconsistent` lines (flour is not 100 %). Source: definition of the baker's percentage.
 */
export function gramsFromPercents(input: { lines: readonly PercentLine[]; flourG?: number; doughG?: number }): Result<{
  flourG: number;
  doughG: number;
  sumPct: number;
  grams: Record<string, number>;
}> {
  const { lines } = input;
  if ((input.flourG === undefined) === (input.doughG === undefined))
    return fail({ code: "inconsistent", path: ["doughG"], got: input.doughG, wanted: "either the flour or the dough, g" });
  const flourPct = sum(lines.filter((line) => line.role === "flour").map((line) => line.pct));
  if (Math.abs(flourPct - 100) > 0.5)
    return fail({ code: "inconsistent", path: ["lines"], got: flourPct, wanted: "flour that adds up to 100 %" });
  const sumPct = sum(lines.map((line) => line.pct));
  const flourG = input.flourG ?? input.doughG! / (sumPct / 100);
  return ok({
    flourG,
    doughG: (flourG * sumPct) / 100,
    sumPct,
    grams: added(lines.map(({ id, pct }) => [id, (flourG * pct) / 100])),
  });
}

/** Grams on the flour, %. Source: definition of the baker's percentage. */
export const bakersPct = (grams: number, flourG: number): number => (100 * grams) / flourG;

/** How a liquid that is held back goes in: first, then by the spoon, g. */
export const heldBack = (grams: number, pct: number): { firstG: number; restG: number } => {
  const restG = (grams * pct) / 100;
  return { firstG: grams - restG, restG };
};

/** Grams to baker's percentages. Issues: `inconsistent` lines (no flour). */
export function percentsFromGrams({
  lines,
}: {
  lines: readonly GramLine[];
}): Result<{ flourG: number; pct: Record<string, number>; sumPct: number }> {
  const flourG = sum(lines.filter((line) => line.role === "flour").map((line) => line.grams));
  if (flourG <= 0) return fail({ code: "inconsistent", path: ["lines"], got: flourG, wanted: "some flour" });
  const pct = added(lines.map(({ id, grams }) => [id, bakersPct(grams, flourG)]));
  return ok({ flourG, pct, sumPct: sum(Object.values(pct)) });
}

/** Water in all the lines, on the flour; milk, egg and butter count by what they hold. */
export function hydration({
  flourG,
  lines,
}: {
  flourG: number;
  lines: readonly { id: string; grams: number; waterPct?: number }[];
}): { waterG: number; hydrationPct: number } {
  const waterG = sum(lines.map((line) => (line.grams * (line.waterPct ?? waterShare(line.id))) / 100));
  return { waterG, hydrationPct: (100 * waterG) / flourG };
}

/** Pastry by parts of flour to fat. Issues: `out_of_range` fatParts (more than 1.2 of fat to 1 of flour). */
export function pastryByParts(input: {
  doughG: number;
  flourParts: number;
  fatParts: number;
  waterPct: number;
  saltPct: number;
}): Result<{
  flourG: number;
  fatG: number;
  waterG: number;
  saltG: number;
}> {
  const ratio = input.fatParts / input.flourParts;
  if (ratio > 1.2)
    return fail({
      code: "out_of_range",
      path: ["fatParts"],
      got: input.fatParts,
      wanted: "at most 1.2 parts of fat to 1 of flour",
    });
  const flourG = input.doughG / (1 + ratio + input.waterPct / 100 + input.saltPct / 100);
  return ok({ flourG, fatG: flourG * ratio, waterG: (flourG * input.waterPct) / 100, saltG: (flourG * input.saltPct) / 100 });
}

/** Water kept back at first, and the hydration that results. Issues: `out_of_range` addedG (more than twice the water). */
export function holdBack(input: { flourG: number; waterG: number; holdBackPct: number; addedG?: number }): Result<{
  firstG: number;
  heldG: number;
  firstHydrationPct: number;
  fullHydrationPct: number;
  finalHydrationPct?: number;
}> {
  const { flourG, waterG, addedG } = input;
  const { firstG, restG: heldG } = heldBack(waterG, input.holdBackPct);
  const pct = (grams: number) => bakersPct(grams, flourG);
  if (addedG !== undefined && firstG + addedG > 2 * waterG)
    return fail({ code: "out_of_range", path: ["addedG"], got: addedG, wanted: "no more than twice the water in all" });
  const base = { firstG, heldG, firstHydrationPct: pct(firstG), fullHydrationPct: pct(waterG) };
  return ok(addedG === undefined ? base : { ...base, finalHydrationPct: pct(firstG + addedG) });
}
