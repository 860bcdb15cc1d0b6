import { fail, ok, type Result } from "../shared/issue";
import { EPSILON, sum } from "../shared/rounding";
import { normalCdf, normalQuantile } from "./normal";

const Z90 = 1.2815515655446004;

/** A duration by its middle and by what it stays below nine times in ten, min; `loading`: how far it goes with all others. */
export interface Uncertain {
  readonly p50: number;
  readonly p90: number;
  readonly loading: number;
}

const sigmaOf = ({ p50, p90 }: Pick<Uncertain, "p50" | "p90">): number => Math.log(p90 / p50) / Z90;

/** The first step whose longer figure is shorter than its middle, as a fault. */
function downwards(steps: readonly Pick<Uncertain, "p50" | "p90">[]) {
  const at = steps.findIndex(({ p50, p90 }) => p90 < p50);
  return at < 0
    ? undefined
    : fail({ code: "inconsistent", path: ["steps", at, "p90"], got: steps[at].p90, wanted: `at least p50, ${steps[at].p50}` });
}

/** One log-normal duration. Issues: `inconsistent` p90. */
export function lognormal({ p50, p90, q }: { readonly p50: number; readonly p90: number; readonly q: number }): Result<{
  readonly mu: number;
  readonly sigma: number;
  readonly mean: number;
  readonly quantile: number;
}> {
  if (p90 < p50) return fail({ code: "inconsistent", path: ["p90"], got: p90, wanted: `at least p50, ${p50}` });
  const [mu, sigma] = [Math.log(p50), sigmaOf({ p50, p90 })];
  return ok({ mu, sigma, mean: p50 * Math.exp(sigma ** 2 / 2), quantile: Math.exp(mu + sigma * normalQuantile(q)) });
}

/**
 * Steps one after another: their sum is matched by its first two moments (Fenton-Wilkinson), approximately.
 * Issues: `inconsistent` steps[i].p90.
 */
export function riskChain({
  steps,
  fixedMin,
  availableMin,
  confidence,
}: {
  readonly steps: readonly Uncertain[];
  readonly fixedMin: number;
  readonly availableMin?: number | undefined;
  readonly confidence: number;
}): Result<{
  readonly mean: number;
  readonly sd: number;
  readonly p50: number;
  readonly atConfidence: number;
  readonly bufferMin: number;
  readonly pReady?: number;
}> {
  const wrong = downwards(steps);
  if (wrong) return wrong;
  const sigmas = steps.map(sigmaOf);
  const means = steps.map(({ p50 }, i) => p50 * Math.exp(sigmas[i] ** 2 / 2));
  const total = sum(means);
  const variance = Math.max(
    0,
    sum(
      steps.flatMap((a, i) =>
        steps.map((b, j) => means[i] * means[j] * (Math.exp((i === j ? 1 : a.loading * b.loading) * sigmas[i] * sigmas[j]) - 1)),
      ),
    ),
  );
  const spread2 = Math.log(1 + variance / total ** 2);
  const spread = Math.sqrt(spread2);
  const mu = Math.log(total) - spread2 / 2;
  const p50 = Math.exp(mu) + fixedMin;
  const atConfidence = Math.exp(mu + spread * normalQuantile(confidence)) + fixedMin;
  const ready = (): number => {
    const there = availableMin! - fixedMin;
    if (there <= 0) return 0;
    if (spread < 1e-12) return there >= total - EPSILON ? 1 : 0;
    return normalCdf((Math.log(there) - mu) / spread);
  };
  return ok({
    mean: total + fixedMin,
    sd: Math.sqrt(variance),
    p50,
    atConfidence,
    bufferMin: atConfidence - p50,
    ...(availableMin !== undefined && { pReady: ready() }),
  });
}

export interface SimulatedStep extends Uncertain {
  readonly id: string;
  readonly after: readonly string[];
  readonly earliest: number;
}

/** Quantile of a list, linear between its values. */
function quantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  const h = (sorted.length - 1) * q;
  const i = Math.floor(h);
  return i + 1 < sorted.length ? sorted[i] + (h - i) * (sorted[i + 1] - sorted[i]) : sorted[i];
}

/**
 * A plan against draws that are given: when each ends, and how often it is ready in time.
 * Issues: `inconsistent` steps[i].id (seen before), steps[i].p90, draws[d]; `unknown` steps[i].after[k].
 */
export function riskSimulate({
  steps,
  draws,
  serveAt,
  confidence,
}: {
  readonly steps: readonly SimulatedStep[];
  readonly draws: readonly (readonly number[])[];
  readonly serveAt: number;
  readonly confidence: number;
}): Result<{
  readonly finish: readonly number[];
  readonly pReady: number;
  readonly p50: number;
  readonly atConfidence: number;
  readonly bufferMin: number;
}> {
  const seen = new Set<string>();
  for (const [i, { id, after }] of steps.entries()) {
    if (seen.has(id))
      return fail({ code: "inconsistent", path: ["steps", i, "id"], got: id, wanted: "an id that no other step has" });
    const lost = after.findIndex((one) => !seen.has(one));
    if (lost >= 0)
      return fail({ code: "unknown", path: ["steps", i, "after", lost], got: after[lost], wanted: "the id of an earlier step" });
    seen.add(id);
  }
  const wrong = downwards(steps);
  if (wrong) return wrong;
  const short = draws.findIndex((draw) => draw.length !== steps.length + 1);
  if (short >= 0)
    return fail({
      code: "inconsistent",
      path: ["draws", short],
      got: draws[short].length,
      wanted: `${steps.length + 1} numbers`,
    });
  const finish = draws.map((z) => {
    const ends = new Map<string, number>();
    for (const [i, step] of steps.entries()) {
      const start = Math.max(step.earliest, ...step.after.map((id) => ends.get(id)!));
      const { loading } = step;
      const drawn = sigmaOf(step) * (loading * z[0] + Math.sqrt(1 - loading ** 2) * z[i + 1]);
      ends.set(step.id, start + Math.exp(Math.log(step.p50) + drawn));
    }
    return Math.max(...ends.values());
  });
  const [p50, atConfidence] = [quantile(finish, 0.5), quantile(finish, confidence)];
  const pReady = finish.filter((end) => end <= serveAt + EPSILON).length / finish.length;
  return ok({ finish, pReady, p50, atConfidence, bufferMin: atConfidence - p50 });
}
