import { down, EPSILON, sum, up } from "../shared/rounding";

export type Appetite = "child" | "small" | "normal" | "large";
export type Role = "snack" | "starter" | "buffet" | "mainWithSides" | "main";

/** Share of a normal portion by appetite, and grams of a normal portion by role. Our own defaults; the log of leftovers corrects them. */
export const APPETITE: Readonly<Record<Appetite, number>> = { child: 0.5, small: 0.75, normal: 1, large: 1.4 };
export const PORTION_G: Readonly<Record<Role, number>> = { snack: 120, starter: 110, buffet: 220, mainWithSides: 240, main: 360 };

/** Guests to whole pieces of one size: what is served, and what must be made with stock and freezer taken into account. */
export function piecesForGuests(input: {
  guests: readonly { appetite: Appetite; n: number }[];
  role: Role;
  pieceG: number;
  kinds: number;
  sparePct: number;
  freezerPieces: number;
  fromStock: number;
}): { portions: number; exact: number; serve: number; make: number } {
  const portions = sum(input.guests.map(({ appetite, n }) => n * APPETITE[appetite]));
  // Of a buffet with several kinds people take a little more.
  const variety = input.role === "buffet" ? Math.min(1.2, 1 + 0.05 * (input.kinds - 1)) : 1;
  const exact = ((portions * PORTION_G[input.role]) / input.pieceG) * variety;
  const serve = up(exact * (1 + input.sparePct / 100));
  return { portions, exact, serve, make: Math.max(0, serve - input.fromStock) + input.freezerPieces };
}

/** How many pieces what there is allows, and which line limits; nulls where nothing is counted. */
export function piecesFromStock(input: { basePieces: number; lines: readonly { id: string; needG: number; haveG?: number }[] }): {
  factor: number | null;
  limiting: string | null;
  pieces: number | null;
} {
  let factor = Infinity;
  let limiting: string | null = null;
  for (const { id, needG, haveG } of input.lines) {
    if (!(needG > 0) || haveG === undefined) continue;
    if (limiting === null || haveG / needG < factor - EPSILON) {
      factor = haveG / needG;
      limiting = id;
    }
  }
  return limiting === null
    ? { factor: null, limiting: null, pieces: null }
    : { factor, limiting, pieces: down(input.basePieces * factor) };
}
