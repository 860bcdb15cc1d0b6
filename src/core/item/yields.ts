import { doughFor, usableDough } from "./dough";
import { fillingYield } from "./filling";
import type { Component, Item } from "./schema";

/** Something whose dough loses a share on the way. */
type Lossy = { readonly dough: Pick<Item["dough"], "netLossPct"> };

/** What is lost of an item's dough: nothing is said of bowls, a share of it on the way. */
const lossesOf = (item: Lossy) => ({ batches: 1, bowlLossG: 0, handlingLossPct: item.dough.netLossPct });

/** Dough to mix for so many pieces of an item, g: their weight and what is lost on the way. */
export const mixedDoughG = (item: Item, pieces: number): number =>
  doughFor({ ...lossesOf(item), pieces, doughPerPieceG: item.piece.doughG }).doughG;

/** What of a dough of an item reaches its pieces, g. */
export const usableDoughG = (item: Lossy, doughG: number): number => usableDough({ ...lossesOf(item), doughG });

interface Filling {
  readonly components: readonly Pick<Component, "id" | "grams" | "cook" | "lossPct">[];
  /** Lost by what is cooked, and by all of it afterwards, %. */
  readonly cookingLossPct: number;
  readonly handlingLossPct: number;
}

/**
 * What a filling yields, and by what every line of it is multiplied for a need.
 * @param needG filling in the pieces, g
 * @returns usable g and the factor; 0 where nothing is in it, or nothing would be left
 */
export function fillingFor(
  { components, cookingLossPct, handlingLossPct }: Filling,
  needG = 0,
): { usableG: number; factor: number } {
  const made = fillingYield({
    lines: components.map(({ id, grams, cook, lossPct }) => ({ id, grams, lossPct: cook ? (lossPct ?? cookingLossPct) : 0 })),
    evaporationPct: 0,
    drainPct: handlingLossPct,
    potLossG: 0,
    needG,
  });
  if (!made.ok || made.value.cookedG <= 0) return { usableG: 0, factor: 0 };
  return { usableG: made.value.cookedG, factor: made.value.factor ?? 0 };
}
