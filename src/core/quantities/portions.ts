import { sum } from "../shared/rounding";

/** Piece weight, what is still accepted, and what the rest must average after some were weighed, g. */
export function weighIn(
  doughG: number,
  pieces: number,
  tolerancePct: number,
  weighed: readonly number[],
): { pieceG: number; leastG: number; mostG: number; restG: number | undefined } {
  const pieceG = doughG / pieces;
  const left = pieces - weighed.length;
  return {
    pieceG,
    leastG: pieceG * (1 - tolerancePct / 100),
    mostG: pieceG * (1 + tolerancePct / 100),
    restG: left > 0 ? (doughG - sum(weighed)) / left : undefined,
  };
}

/** Cuts that divide a dough into n equal pieces by eye: halves as long as they go, then thirds, then fifths and so on. */
export function divisionSteps(pieces: number): number[] {
  const steps: number[] = [];
  let left = pieces;
  for (let by = 2; left > 1;) {
    if (left % by === 0) {
      steps.push(by);
      left /= by;
    } else by++;
  }
  return steps;
}

/** Where a rope is marked for n equal pieces, mm from its end. */
export const ropeMarks = (lengthMm: number, pieces: number): number[] =>
  Array.from({ length: pieces - 1 }, (_, i) => ((i + 1) * lengthMm) / pieces);

/** Filling for a piece that came out uneven: in its own proportion, not the formula's weight, g. */
export const fillForPiece = (pieceG: number, ratio: number): number => pieceG * ratio;

/** The round to cut for a dish, and the smallest of the cook's own things that is at least that wide, mm. */
export function cutterFor(
  rimMm: number,
  overhangMm: number,
  own: readonly number[],
): { cutMm: number; useMm: number | undefined } {
  const cutMm = rimMm + 2 * overhangMm;
  const wide = own.filter((mm) => mm >= cutMm);
  return { cutMm, useMm: wide.length > 0 ? Math.min(...wide) : undefined };
}

/** A dough stretched to a thickness as one circle, or in as few equal circles as the table takes, mm. */
export function stretchedSheets(
  massG: number,
  thicknessMm: number,
  tableMm: number,
  density: number,
): { sheets: number; diameterMm: number } {
  const across = (n: number) => Math.sqrt((4 * massG * 1000) / (n * density * thicknessMm * Math.PI));
  let sheets = 1;
  while (across(sheets) > tableMm) sheets++;
  return { sheets, diameterMm: across(sheets) };
}

/** Strips of a lattice each way over a dish. */
export const latticeStrips = (widthMm: number, stripMm: number, gapMm: number): number =>
  Math.floor(widthMm / (stripMm + gapMm) + 1e-9);
