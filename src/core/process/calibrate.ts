import { fail, ok, type Result } from "../shared/issue";
import { EPSILON } from "../shared/rounding";

/** What is taken where nobody says, by what is compared. */
const DEFAULTS = {
  ratio: { prior: 1, lo: 0.5, hi: 2, spreadFloor: 0.05 },
  difference: { prior: 0, lo: -10, hi: 10, spreadFloor: 0.5 },
} as const;
/** Far from the others: so many spreads. Fewer observations than this are all kept. */
const FAR = 3;
const LEAST_TO_DROP = 4;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
}

export interface ShrinkInput {
  readonly scale: keyof typeof DEFAULTS;
  readonly observations: readonly number[];
  readonly priorWeight: number;
  readonly prior?: number | undefined;
  readonly spreadFloor?: number | undefined;
  readonly lo?: number | undefined;
  readonly hi?: number | undefined;
  readonly last: number;
}

/**
 * A factor, or a difference, from what was measured: what lies far off is dropped, the rest is drawn towards what was thought before.
 * Issues: `out_of_range` prior, observations[i]; `inconsistent` lo.
 */
export function shrink(input: ShrinkInput): Result<{
  readonly value: number;
  readonly used: number;
  readonly dropped: number;
  readonly weight: number;
}> {
  const { scale, observations, priorWeight, last } = input;
  const usual = DEFAULTS[scale];
  const prior = input.prior ?? usual.prior;
  const [lo, hi] = [input.lo ?? usual.lo, input.hi ?? usual.hi];
  const isRatio = scale === "ratio";
  if (isRatio && prior <= 0) return fail({ code: "out_of_range", path: ["prior"], got: prior, wanted: "above 0" });
  if (lo > hi) return fail({ code: "inconsistent", path: ["lo"], got: lo, wanted: `at most hi, ${hi}` });
  const wrong = isRatio ? observations.findIndex((one) => one <= 0) : -1;
  if (wrong >= 0)
    return fail({ code: "out_of_range", path: ["observations", wrong], got: observations[wrong], wanted: "above 0" });
  const to = (x: number) => (isRatio ? Math.log(x) : x);
  const back = (x: number) => (isRatio ? Math.exp(x) : x);
  const clamp = (x: number) => Math.min(hi, Math.max(lo, x));
  const seen = observations.slice(-last).map(to);
  if (seen.length === 0) return ok({ value: clamp(prior), used: 0, dropped: 0, weight: 0 });
  const centre = median(seen);
  const spread = Math.max(1.4826 * median(seen.map((x) => Math.abs(x - centre))), input.spreadFloor ?? usual.spreadFloor);
  const kept = seen.length >= LEAST_TO_DROP ? seen.filter((x) => Math.abs(x - centre) <= FAR * spread + EPSILON) : seen;
  const weight = kept.length / (kept.length + priorWeight);
  return ok({
    value: clamp(back((1 - weight) * to(prior) + weight * median(kept))),
    used: kept.length,
    dropped: seen.length - kept.length,
    weight,
  });
}
