import { sum } from "../shared/rounding";

/** Salt still to add, half now and the rest after tasting, g. Raw meat is never tasted: fry a test piece. */
export function saltBudget(
  totalG: number,
  saltPct: number,
  carried: readonly { grams: number; saltPct: number }[],
): { wantedG: number; carriedG: number; leftG: number; firstG: number } {
  const wantedG = (totalG * saltPct) / 100;
  const carriedG = sum(carried.map((line) => (line.grams * line.saltPct) / 100));
  const leftG = Math.max(0, wantedG - carriedG);
  return { wantedG, carriedG, leftG, firstG: leftG / 2 };
}

/** Starch that binds a liquid at a rate (% of it), the same bind from flour, and the water to stir the starch into (twice its weight), g. */
export function thicken(
  liquidG: number,
  ratePct: number,
): { starchG: number; flourG: number; slurryWaterG: number; thirdsG: number } {
  const starchG = (liquidG * ratePct) / 100;
  return { starchG, flourG: 2 * starchG, slurryWaterG: 2 * starchG, thirdsG: starchG / 3 };
}

/** A learner closes about two thirds of what a practised hand does. */
const LEARNER_SHARE = 2 / 3;

/** The most filling a skin closes over, and a learner's first pieces, g. `ratio` is filling to skin by weight. */
export const fillingLimit = (skinG: number, ratio: number): { mostG: number; learnerG: number } => ({
  mostG: skinG * ratio,
  learnerG: skinG * ratio * LEARNER_SHARE,
});

/** A level and a rounded tablespoon (15 ml) of a filling, g. */
export const spoonGrams = (densityGPerMl: number): { levelG: number; roundedG: number } => ({
  levelG: 15 * densityGPerMl,
  roundedG: 22.5 * densityGPerMl,
});
