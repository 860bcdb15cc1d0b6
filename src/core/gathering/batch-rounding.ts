import { EPSILON, up } from "../shared/rounding";

export interface BatchOffer {
  /** Times the recipe is made. */
  readonly factor: number;
  readonly pieces: number;
  /** Pieces more than are needed. */
  readonly surplus: number;
}

/** How often a recipe is made for so many pieces: exactly, and up to the next half and the next whole batch. */
export function batchOffers(needed: number, recipeYield: number): Record<"exact" | "half" | "whole", BatchOffer> {
  const offer = (factor: number): BatchOffer => {
    const pieces = Math.max(needed, Math.floor(factor * recipeYield + EPSILON));
    return { factor, pieces, surplus: pieces - needed };
  };
  const exact = needed / recipeYield;
  return { exact: { factor: exact, pieces: needed, surplus: 0 }, half: offer(up(exact * 2) / 2), whole: offer(up(exact)) };
}
