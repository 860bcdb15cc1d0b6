import { EPSILON, sum } from "../shared/rounding";

/** One line of the shopping list, g. */
export interface ShoppingLine {
  readonly ingredient: string;
  readonly needG: number;
  readonly haveG: number;
  readonly buyG: number;
  readonly items: readonly string[];
}

const byCode = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** One list over all items, the pantry taken off; what is short by less than the tolerance is not bought. Sorted by ingredient. */
export function consolidate(input: {
  needs: readonly { ingredient: string; grams: number; item: string }[];
  pantry: readonly { ingredient: string; grams: number }[];
  tolerancePct: number;
}): { lines: ShoppingLine[] } {
  const ids = [...new Set(input.needs.map((need) => need.ingredient))].sort(byCode);
  return {
    lines: ids.map((ingredient) => {
      const own = input.needs.filter((need) => need.ingredient === ingredient);
      const needG = sum(own.map((need) => need.grams));
      const haveG = sum(input.pantry.filter((entry) => entry.ingredient === ingredient).map((entry) => entry.grams));
      const short = needG - haveG;
      return {
        ingredient,
        needG,
        haveG,
        buyG: short <= (needG * input.tolerancePct) / 100 + EPSILON ? 0 : short,
        items: [...new Set(own.map((need) => need.item))].sort(byCode),
      };
    }),
  };
}

export interface Pack {
  readonly sizeG: number;
  /** In the smallest coin. */
  readonly price: number;
}

/** Combinations of packs that are looked at, at most. */
const MOST_LOOKS = 500_000;

export interface PackChoice {
  readonly counts: number[];
  readonly boughtG: number;
  readonly leftG: number;
  readonly cost: number;
}

/**
 * Whole packs that cover a need: the cheapest, then the least bought, then the fewest packs, then more of the first.
 * Exact for what shops sell: a cover never needs more of a pack than the need by itself, and what the others leave is bounded
 * alike. Of very many or very small packs, where that would go on and on, the best of the first combinations.
 */
export function choosePacks({ needG, packs }: { needG: number; packs: readonly Pack[] }): PackChoice {
  let best: PackChoice | undefined;
  const counts = packs.map(() => 0);
  const least = packs.map((pack) => pack.price / pack.sizeG);
  for (let i = least.length - 2; i >= 0; i--) least[i] = Math.min(least[i], least[i + 1]);
  let looks = 0;
  const consider = (boughtG: number, cost: number): void => {
    const choice = { counts: [...counts], boughtG, leftG: boughtG - needG, cost };
    if (!best || isBetter(choice, best)) best = choice;
  };
  const walk = (i: number, boughtG: number, cost: number): void => {
    const open = needG - boughtG;
    if (open <= EPSILON) return consider(boughtG, cost);
    if (i === packs.length || (best && cost + open * least[i] > best.cost + 1e-6)) return;
    const most = Math.ceil(open / packs[i].sizeG - EPSILON);
    const from = i === packs.length - 1 ? most : 0;
    for (let n = most; n >= from && ++looks <= MOST_LOOKS; n--) {
      counts[i] = n;
      walk(i + 1, boughtG + n * packs[i].sizeG, cost + n * packs[i].price);
    }
    counts[i] = 0;
  };
  walk(0, 0, 0);
  return best!;
}

function isBetter(a: PackChoice, b: PackChoice): boolean {
  if (a.cost !== b.cost) return a.cost < b.cost;
  if (Math.abs(a.boughtG - b.boughtG) > EPSILON) return a.boughtG < b.boughtG;
  const packs = sum(a.counts) - sum(b.counts);
  if (packs !== 0) return packs < 0;
  const differs = a.counts.findIndex((n, i) => n !== b.counts[i]);
  return differs >= 0 && a.counts[differs] > b.counts[differs];
}

/** Cost in the smallest coin, not rounded: what goes in, what the shop takes, the energy, and the first and last a piece. */
export function costPerPiece(input: {
  pieces: number;
  lines: readonly { usedG: number; boughtG?: number; cost: number; packG: number }[];
  energyKWh: number;
  energyPrice: number;
}): { used: number; bought: number; energy: number; perPiece: number } {
  const used = sum(input.lines.map((line) => (line.cost * line.usedG) / line.packG));
  const bought = sum(input.lines.map((line) => (line.cost * (line.boughtG ?? line.usedG)) / line.packG));
  const energy = input.energyKWh * input.energyPrice;
  return { used, bought, energy, perPiece: (used + energy) / input.pieces };
}
