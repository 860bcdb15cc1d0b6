import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON, sum } from "../shared/rounding";

/** Raw to cooked filling, and by what every line is multiplied for a need. Issues: `out_of_range` lines (nothing in it). */
export function fillingYield(input: {
  lines: readonly { id: string; grams: number; lossPct: number }[];
  evaporationPct: number;
  drainPct: number;
  potLossG: number;
  needG?: number;
}): Result<{ rawG: number; cookedG: number; yieldFrac: number; factor?: number }> {
  const rawG = sum(input.lines.map((line) => line.grams));
  if (rawG === 0) return fail({ code: "out_of_range", path: ["lines"], got: 0, wanted: "more than 0 g together" });
  const kept =
    sum(input.lines.map((line) => line.grams * (1 - line.lossPct / 100))) *
    (1 - input.evaporationPct / 100) *
    (1 - input.drainPct / 100);
  const cookedG = Math.max(0, kept - input.potLossG);
  const base = { rawG, cookedG, yieldFrac: cookedG / rawG };
  return ok(input.needG === undefined ? base : { ...base, factor: (input.needG + input.potLossG) / kept });
}

/** Which runs out first, dough or filling, what is left of the other, and the filling a piece that would use all of it. */
export function balance(input: {
  doughG: number;
  fillingG: number;
  doughPerPieceG: number;
  fillingPerPieceG: number;
  stretchPct: number;
}): {
  pieces: number;
  limiting: "dough" | "filling" | "both";
  doughLeftG: number;
  fillingLeftG: number;
  fillingToUseAllG: number | null;
  stretchOk: boolean;
} {
  const byDough = down(input.doughG / input.doughPerPieceG);
  const byFilling = down(input.fillingG / input.fillingPerPieceG);
  const pieces = Math.min(byDough, byFilling);
  const fillingToUseAllG = byDough === 0 ? null : input.fillingG / byDough;
  return {
    pieces,
    limiting: byDough === byFilling ? "both" : byDough < byFilling ? "dough" : "filling",
    doughLeftG: input.doughG - pieces * input.doughPerPieceG,
    fillingLeftG: input.fillingG - pieces * input.fillingPerPieceG,
    fillingToUseAllG,
    stretchOk:
      fillingToUseAllG !== null && Math.abs(fillingToUseAllG / input.fillingPerPieceG - 1) <= input.stretchPct / 100 + EPSILON,
  };
}
