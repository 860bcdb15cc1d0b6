import { down, up } from "../shared/rounding";

interface Losses {
  readonly doughPerPieceG: number;
  readonly batches: number;
  readonly bowlLossG: number;
  readonly handlingLossPct: number;
}

/** Dough to mix for so many pieces, and what of it is lost, g. */
export function doughFor(input: Losses & { pieces: number }): { doughG: number; lossG: number } {
  const net = input.pieces * input.doughPerPieceG;
  const doughG = net / (1 - input.handlingLossPct / 100) + input.bowlLossG * input.batches;
  return { doughG, lossG: doughG - net };
}

/** What of a dough reaches the pieces, g. */
export const usableDough = (input: Omit<Losses, "doughPerPieceG"> & { doughG: number }): number =>
  Math.max(0, input.doughG - input.bowlLossG * input.batches) * (1 - input.handlingLossPct / 100);

/** Whole pieces from a dough, and what is left over, g. */
export function piecesFromDough(input: Losses & { doughG: number }): { pieces: number; leftG: number } {
  const usable = usableDough(input);
  const pieces = down(usable / input.doughPerPieceG);
  return { pieces, leftG: usable - pieces * input.doughPerPieceG };
}

interface Cutting {
  readonly pieceG: number;
  /** Share of a sheet that the rounds are, 0 to 1. */
  readonly cutFrac: number;
  /** How often the offcuts are rolled again. */
  readonly rerolls: number;
}

/** Rounds from a sheet whose offcuts are rolled again: pieces of each rolling, scraps at the end (g), and the share in the limit. */
export function cutWithRerolls({ doughG, pieceG, cutFrac, rerolls }: Cutting & { doughG: number }): {
  byRoll: number[];
  pieces: number;
  scrapsG: number;
  yieldFrac: number;
} {
  let left = doughG;
  const byRoll = Array.from({ length: rerolls + 1 }, () => {
    const n = down((left * cutFrac) / pieceG);
    left -= n * pieceG;
    return n;
  });
  return { byRoll, pieces: byRoll.reduce((a, b) => a + b, 0), scrapsG: left, yieldFrac: yieldOf(cutFrac, rerolls) };
}

const yieldOf = (cutFrac: number, rerolls: number): number => 1 - (1 - cutFrac) ** (rerolls + 1);

/** The least whole gram of dough that gives so many rounds. */
export function doughForRounds(input: Cutting & { pieces: number }): { doughG: number } {
  let doughG = up((input.pieces * input.pieceG) / yieldOf(input.cutFrac, input.rerolls));
  while (cutWithRerolls({ ...input, doughG }).pieces < input.pieces) doughG++;
  return { doughG };
}
