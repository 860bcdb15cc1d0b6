import { inRow, ringsOf, spotsInCircle, type CarrierInput, type Layout } from "./packing";

/** A piece as it lies: the middle of it from the carrier's corner, and its two sides (the same for a round one), mm. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

const { sqrt } = Math;

/** Middles of so many pieces of width d in a row, spread evenly about the middle of its length. */
function along(length: number, d: number, gap: number, count: number): number[] {
  const taken = count * d + (count - 1) * gap;
  return Array.from({ length: count }, (_, i) => (length - taken) / 2 + d / 2 + i * (d + gap));
}

const grid = (width: number, length: number, a: number, b: number, gap: number): Spot[] =>
  along(length, b, gap, inRow(length, b, gap)).flatMap((y) =>
    along(width, a, gap, inRow(width, a, gap)).map((x) => ({ x, y, w: a, h: b })),
  );

/** Rounds in rows that are shifted by half a piece, along the second side. */
function shifted(width: number, length: number, d: number, gap: number): Spot[] {
  const pitch = d + gap;
  const odd = inRow(width, d, gap);
  if (odd === 0 || inRow(length, d, gap) === 0) return [];
  const rowPitch = (pitch * sqrt(3)) / 2;
  const rows = inRow(length, d, rowPitch - d);
  const even = width - pitch / 2 < d ? 0 : inRow(width - pitch / 2, d, gap);
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: row % 2 === 0 ? odd : even }, (_piece, i) => ({
      x: d / 2 + (row % 2 === 0 ? 0 : pitch / 2) + i * pitch,
      y: d / 2 + row * rowPitch,
      w: d,
      h: d,
    })),
  ).flat();
}

const turned = (spots: readonly Spot[]): Spot[] => spots.map(({ x, y, w, h }) => ({ x: y, y: x, w: h, h: w }));
const most = (...all: readonly (readonly Spot[])[]): readonly Spot[] =>
  all.reduce((best, one) => (one.length > best.length ? one : best));
const moved = (spots: readonly Spot[], by: number): Spot[] => spots.map((spot) => ({ ...spot, x: spot.x + by, y: spot.y + by }));

/** Rounds on a sheet as `roundsFromSheet` counts them. */
export function roundSpots(input: {
  widthMm: number;
  lengthMm: number;
  cutMm: number;
  gapMm: number;
  layout: Layout;
}): readonly Spot[] {
  const { widthMm: w, lengthMm: l, cutMm, gapMm, layout } = input;
  const square = grid(w, l, cutMm, cutMm, gapMm);
  const hex = most(shifted(w, l, cutMm, gapMm), turned(shifted(l, w, cutMm, gapMm)));
  return layout === "square" ? square : layout === "hex" ? hex : most(square, hex);
}

/** Pieces on a carrier as `piecesOnCarrier` counts them, grown. */
export function carrierSpots(input: CarrierInput): readonly Spot[] {
  const { carrier, widthMm, lengthMm, marginMm, gapMm, growth } = input;
  const isRound = input.piece === "round";
  const a = input.pieceMm * growth;
  const b = isRound ? a : (input.piece2Mm ?? input.pieceMm) * growth;
  if (carrier === "rect") {
    const [w, l] = [widthMm - 2 * marginMm, (lengthMm ?? widthMm) - 2 * marginMm];
    const grids = [grid(w, l, a, b, gapMm), grid(w, l, b, a, gapMm)];
    const hex = isRound && input.stagger ? [shifted(w, l, a, gapMm), turned(shifted(l, w, a, gapMm))] : [];
    return moved(most(...grids, ...hex), marginMm);
  }
  const radius = widthMm / 2 - marginMm;
  const middles = isRound ? ringSpots(radius, a, gapMm) : spotsInCircle(radius, a, b, gapMm);
  return middles.map(([x, y]) => ({ x: x + widthMm / 2, y: y + widthMm / 2, w: a, h: b }));
}

/** Rounds in rings, about 0, 0. */
const ringSpots = (radius: number, d: number, gap: number): (readonly [number, number])[] =>
  ringsOf(radius, d, gap).flatMap(({ r, count }) =>
    Array.from({ length: count }, (_, i) => {
      const turn = (2 * Math.PI * i) / count;
      return count === 1 ? ([0, 0] as const) : ([r * Math.cos(turn), r * Math.sin(turn)] as const);
    }),
  );
