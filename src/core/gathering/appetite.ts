import type { Item } from "../item/schema";
import { APPETITE, PORTION_G, type Role } from "../quantities/count";
import { sum } from "../shared/rounding";
import type { Gathering, Guests } from "./schema";

type Wave = Gathering["waves"][number];

/** What a guest eats by age where nobody says otherwise, an adult being 1. */
const BY_AGE: Readonly<Record<Guests["age"], number>> = { adult: 1, teen: 1, child: APPETITE.child };

/** What one guest of a group eats, an adult being 1. */
export const weightOf = ({ appetite, age }: Pick<Guests, "appetite" | "age">): number => appetite ?? BY_AGE[age];

/** Guests as so many adults. */
export const eatersOf = (guests: readonly Guests[]): number => sum(guests.map((group) => group.count * weightOf(group)));

/** Pieces of one weight that one adult eats of them in a role, to the half piece; half a piece at the least. */
export const piecesInRole = (role: Role, pieceG: number): number =>
  Math.max(0.5, Math.round((2 * PORTION_G[role]) / Math.max(1, pieceG)) / 2);

/** Shares of a wave's entries in what is eaten, in all 1; undefined where each item's own rate says it. */
function sharesIn(wave: Wave, rates: readonly number[]): readonly number[] | undefined {
  const all = sum(rates);
  if (wave.items.every(({ share }) => share === undefined))
    return wave.piecesAHead === undefined ? undefined : rates.map((rate) => (all > 0 ? rate / all : 1 / rates.length));
  const claimed = sum(wave.items.map(({ share }) => share ?? 0));
  const without = wave.items.filter(({ share }) => share === undefined).length;
  const rest = without > 0 ? Math.max(0, 100 - claimed) / without : 0;
  const total = claimed + rest * without;
  return wave.items.map(({ share }) => (total > 0 ? (share ?? rest) / total : 0));
}

/**
 * Pieces of each of a wave's items that one guest of a group eats, not rounded, whatever may be in them: what the wave says of
 * pieces a head and shares; else what each item says for the age.
 */
export function ratesIn(wave: Wave, items: readonly Item[]): (guests: Guests) => readonly number[] {
  const alone = items.length === 1;
  const own = items.map((item) => (alone ? item.piecesPerGuestAlone : item.piecesPerGuest));
  const shares = sharesIn(
    wave,
    own.map(({ adult }) => adult),
  );
  return (guests) => {
    const weight = weightOf(guests);
    const rates = own.map((rate) => (guests.appetite === undefined ? rate[guests.age] : rate.adult * weight));
    if (!shares) return rates;
    const all = wave.piecesAHead === undefined ? sum(rates) : wave.piecesAHead * weight;
    return shares.map((share) => all * share);
  };
}
