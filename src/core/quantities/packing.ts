import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON, sum } from "../shared/rounding";

/** Pieces of width d in a row of a length, with a gap between them. */
export const inRow = (length: number, d: number, gap: number): number =>
  length + EPSILON < d ? 0 : down((length + gap) / (d + gap));

/** Rounds in rows that are shifted by half a piece, along the second side. */
function shifted(width: number, length: number, d: number, gap: number): number {
  const pitch = d + gap;
  const odd = inRow(width, d, gap);
  if (odd === 0 || length + EPSILON < d) return 0;
  const rows = 1 + down((length - d) / ((pitch * Math.sqrt(3)) / 2));
  const even = width - pitch / 2 + EPSILON < d ? 0 : down((width - pitch / 2 + gap) / pitch);
  return Math.ceil(rows / 2) * odd + Math.floor(rows / 2) * even;
}

const hex = (width: number, length: number, d: number, gap: number): number =>
  Math.max(shifted(width, length, d, gap), shifted(length, width, d, gap));

export type Layout = "square" | "hex" | "best";

/** Rounds from a rolled sheet, and the share of the sheet that they are. */
export function roundsFromSheet(input: { widthMm: number; lengthMm: number; cutMm: number; gapMm: number; layout: Layout }): {
  pieces: number;
  layout: "square" | "hex";
  cutFrac: number;
} {
  const { widthMm, lengthMm, cutMm, gapMm } = input;
  const square = inRow(widthMm, cutMm, gapMm) * inRow(lengthMm, cutMm, gapMm);
  const staggered = hex(widthMm, lengthMm, cutMm, gapMm);
  const layout = input.layout === "best" ? (staggered > square ? "hex" : "square") : input.layout;
  const pieces = layout === "hex" ? staggered : square;
  return { pieces, layout, cutFrac: (pieces * (Math.PI / 4) * cutMm ** 2) / (widthMm * lengthMm) };
}

export interface CarrierInput {
  readonly carrier: "rect" | "round";
  readonly widthMm: number;
  readonly lengthMm?: number;
  readonly marginMm: number;
  readonly piece: "round" | "rect";
  readonly pieceMm: number;
  readonly piece2Mm?: number;
  readonly growth: number;
  readonly gapMm: number;
  readonly stagger: boolean;
}

/** Pieces on a tray, tier or pan after they have grown, and how much of it they cover. Issues: `missing` lengthMm. */
export function piecesOnCarrier(input: CarrierInput): Result<{ pieces: number; coverPct: number }> {
  const { carrier, widthMm, lengthMm, marginMm, gapMm, growth } = input;
  const round = input.piece === "round";
  const a = input.pieceMm * growth;
  const b = round ? a : (input.piece2Mm ?? input.pieceMm) * growth;
  const area = round ? (Math.PI / 4) * a ** 2 : a * b;
  if (carrier === "rect") {
    if (lengthMm === undefined) return fail({ code: "missing", path: ["lengthMm"], wanted: "the length of the carrier, mm" });
    const [w, l] = [widthMm - 2 * marginMm, lengthMm - 2 * marginMm];
    const grid = Math.max(inRow(w, a, gapMm) * inRow(l, b, gapMm), inRow(w, b, gapMm) * inRow(l, a, gapMm));
    const pieces = round && input.stagger ? Math.max(grid, hex(w, l, a, gapMm)) : grid;
    return ok({ pieces, coverPct: (100 * pieces * area) / (widthMm * lengthMm) });
  }
  const radius = widthMm / 2 - marginMm;
  const pieces = round ? sum(ringsOf(radius, a, gapMm).map(({ count }) => count)) : spotsInCircle(radius, a, b, gapMm).length;
  return ok({ pieces, coverPct: (100 * pieces * area) / ((Math.PI / 4) * widthMm ** 2) });
}

/** Rings of rounds from the rim inwards: how far each is from the middle, and how many lie in it. */
export function ringsOf(radius: number, d: number, gap: number): { readonly r: number; readonly count: number }[] {
  if (radius + EPSILON < d / 2) return [];
  const pitch = d + gap;
  const rings: { r: number; count: number }[] = [];
  for (let r = radius - d / 2; r >= -EPSILON; r -= pitch)
    rings.push({
      r,
      count: r < pitch / 2 - EPSILON ? 1 : Math.floor(Math.PI / Math.asin(Math.min(1, pitch / (2 * r))) + 1e-7),
    });
  return rings;
}

/** Centres of oblong pieces on the best of four grids, whole ones inside the circle only; the circle's middle is 0, 0. */
export function spotsInCircle(radius: number, a: number, b: number, gap: number): readonly (readonly [number, number])[] {
  let best: (readonly [number, number])[] = [];
  for (const ox of [0, 0.5])
    for (const oy of [0, 0.5]) {
      const spots: (readonly [number, number])[] = [];
      const columns = Math.ceil(radius / (a + gap)) + 1;
      const rows = Math.ceil(radius / (b + gap)) + 1;
      for (let x = -columns; x <= columns; x++)
        for (let y = -rows; y <= rows; y++) {
          const [atX, atY] = [(x + ox) * (a + gap), (y + oy) * (b + gap)];
          const [cx, cy] = [Math.abs(atX) + a / 2, Math.abs(atY) + b / 2];
          if (Math.sqrt(cx ** 2 + cy ** 2) <= radius + 1e-7) spots.push([atX, atY]);
        }
      if (spots.length > best.length) best = spots;
    }
  return best;
}
