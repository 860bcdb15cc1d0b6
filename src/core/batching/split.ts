import { fail, ok, type Result } from "../shared/issue";
import { EPSILON } from "../shared/rounding";
import type { Kitchen } from "../kitchen/schema";
import { evenParts } from "../quantities/apportion";

/** What a bowl or pot takes by its volume, and a mixer by its motor, g. Kitchen figures: half full to mix, three quarters to boil. */
export function vesselCapacity(input: {
  bowlMl: number;
  use: "mix" | "bulk" | "pot";
  growth: number;
  density: number;
  maxFlourG?: number;
  sumPct: number;
}): {
  capacityG: number;
  binding: "volume" | "motor";
} {
  const share = { mix: 0.5, bulk: 0.9 / input.growth, pot: 0.75 }[input.use];
  const volume = input.bowlMl * share * input.density;
  const motor = input.maxFlourG !== undefined && input.use === "mix" ? (input.maxFlourG * input.sumPct) / 100 : Infinity;
  return motor < volume ? { capacityG: motor, binding: "motor" } : { capacityG: volume, binding: "volume" };
}

/** What the largest pot takes of something as heavy as water, g or ml; undefined where there is none. */
export function largestPot({ equipment }: Pick<Kitchen, "equipment">): number | undefined {
  const litres = equipment.pot?.litres ?? [];
  if (litres.length === 0) return undefined;
  return vesselCapacity({ bowlMl: Math.max(...litres) * 1000, use: "pot", growth: 1, density: 1, sumPct: 100 }).capacityG;
}

/** Equal batches under a limit, as few as can be. Issues: `infeasible` capacityG (one piece is too much). */
export function splitBatches(input: {
  pieces: number;
  doughPerPieceG: number;
  capacityG: number;
  bowlLossG: number;
  handlingLossPct: number;
  minG: number;
}): Result<{
  batches: number;
  piecesPerBatch: number[];
  doughPerBatchG: number[];
  belowMin: boolean;
}> {
  const grams = (pieces: number) => (pieces * input.doughPerPieceG) / (1 - input.handlingLossPct / 100) + input.bowlLossG;
  const fits = (pieces: number) => grams(pieces) <= input.capacityG + EPSILON;
  if (!fits(1))
    return fail({
      code: "infeasible",
      path: ["capacityG"],
      got: input.capacityG,
      wanted: `at least the ${Math.ceil(grams(1))} g of one piece`,
    });
  let batches = 1;
  while (!fits(Math.ceil(input.pieces / batches))) batches++;
  const piecesPerBatch = evenParts(input.pieces, batches);
  const doughPerBatchG = piecesPerBatch.map(grams);
  return ok({ batches, piecesPerBatch, doughPerBatchG, belowMin: doughPerBatchG.some((g) => g < input.minG - EPSILON) });
}

/** Loads of a chamber or pan: as even as can be, or each full and the rest last. */
export function splitLoads({ pieces, capacity, mode }: { pieces: number; capacity: number; mode: "full" | "even" }): {
  loads: number;
  perLoad: number[];
} {
  const loads = Math.ceil(pieces / capacity);
  if (loads === 0) return { loads, perLoad: [] };
  return {
    loads,
    perLoad:
      mode === "even"
        ? evenParts(pieces, loads)
        : Array.from({ length: loads }, (_, i) => Math.min(capacity, pieces - i * capacity)),
  };
}
