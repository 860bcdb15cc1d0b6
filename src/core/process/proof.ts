import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON } from "../shared/rounding";

const clamp = (x: number, least: number, most: number): number => Math.min(most, Math.max(least, x));

/** By how much yeast is faster for 10 °C more, above and below 15 °C. */
interface Q10 {
  readonly q10Warm: number;
  readonly q10Cold: number;
}

/** Activity of yeast at a temperature, without unit: nothing at 0 °C and below, flat from 35, gone at 50. */
function activity(tempC: number, { q10Warm, q10Cold }: Q10): number {
  if (tempC <= 0 || tempC >= 50) return 0;
  const warm = (Math.log(q10Warm) / 10) * (clamp(tempC, 15, 35) - 15);
  const cold = (Math.log(q10Cold) / 10) * (Math.min(tempC, 15) - 15);
  const all = Math.exp(warm + cold);
  return tempC > 40 ? (all * (50 - tempC)) / 10 : all;
}

/** Speed of yeast at `tempC` against that at `refC`. Warmer is never slower up to 40 °C. */
export const proofRate = ({ tempC, refC, ...q10 }: Q10 & { readonly tempC: number; readonly refC: number }) => ({
  rate: activity(tempC, q10) / activity(refC, q10),
});

/** What slows or drives yeast, % on flour; yeast as instant. */
export interface YeastFormula {
  readonly yeastPct: number;
  readonly sugarPct: number;
  readonly saltPct: number;
  readonly fatPct: number;
}

/** A rise as it is known where nothing else is said: of 1 % of yeast and 2 % of salt at 26 °C. */
export const USUAL_PROOF = {
  refC: 26,
  ref: { yeastPct: 1, sugarPct: 0, saltPct: 2, fatPct: 0 },
  yeastExponent: 0.8,
  factor: 1,
  tooFarFactor: 1.5,
  q10Warm: 2,
  q10Cold: 4,
} as const;

const slowing = ({ sugarPct, saltPct, fatPct }: YeastFormula): number =>
  (1 + 0.04 * Math.max(0, sugarPct - 5)) * (1 + 0.1 * (saltPct - 2)) * (1 + 0.01 * Math.max(0, fatPct - 10));

export interface ProofInput extends Q10 {
  readonly refMin: number;
  readonly refC: number;
  readonly tempC: number;
  readonly ref: YeastFormula;
  readonly actual: YeastFormula;
  readonly yeastExponent: number;
  readonly factor: number;
  readonly tooFarFactor: number;
}

/**
 * Minutes of a rise at one temperature for a formula, from a rise that is known. Valid for 0.1 to 8 times the yeast.
 * Issues: `out_of_range` actual.yeastPct; `infeasible` tempC (yeast does nothing there).
 */
export function proofMinutes(
  input: ProofInput,
): Result<{ readonly readyMin: number; readonly tooFarMin: number; readonly atRefMin: number }> {
  const { refMin, ref, actual, yeastExponent, factor, tooFarFactor, tempC } = input;
  const share = actual.yeastPct / ref.yeastPct;
  if (share < 0.1 || share > 8)
    return fail({
      code: "out_of_range",
      path: ["actual", "yeastPct"],
      got: actual.yeastPct,
      wanted: "0.1 to 8 times the reference's yeast",
    });
  const { rate } = proofRate(input);
  if (!(rate > 0)) return fail({ code: "infeasible", path: ["tempC"], got: tempC, wanted: "above 0 and below 50 °C" });
  const atRefMin = ((refMin * share ** -yeastExponent * slowing(actual)) / slowing(ref)) * factor;
  const readyMin = atRefMin / rate;
  return ok({ readyMin, tooFarMin: readyMin * tooFarFactor, atRefMin });
}

const BY_CONTAINER = { tray: 0.6, covered: 1, bowl: 1.2 } as const;

/** Time constant with which a dough takes the room's temperature, min. */
export const doughTau = ({ massG, container }: { readonly massG: number; readonly container: keyof typeof BY_CONTAINER }) => ({
  tauMin: 133 * (massG / 1000) ** (1 / 3) * BY_CONTAINER[container],
});

export interface ProfileInput extends Q10 {
  readonly startMin: number;
  readonly atRefMin: number;
  readonly refC: number;
  readonly profile: readonly { readonly atMin: number; readonly tempC: number }[];
  readonly tauMin: number;
  readonly doughC?: number | undefined;
  readonly progress: number;
  readonly tooFarFactor: number;
  readonly horizonMin: number;
}

/** Temperature around the dough at a minute, between the points of a profile and constant outside. */
function ambientAt(profile: ProfileInput["profile"], minute: number): number {
  const next = profile.findIndex(({ atMin }) => atMin >= minute);
  if (next < 0) return profile[profile.length - 1].tempC;
  if (next === 0) return profile[0].tempC;
  const [a, b] = [profile[next - 1], profile[next]];
  return a.tempC + ((b.tempC - a.tempC) * (minute - a.atMin)) / (b.atMin - a.atMin);
}

/**
 * When a dough is ready and when too far, while the temperature around it changes; minute by minute.
 * Issues: `inconsistent` profile[i].atMin (times that do not go up).
 */
export function proofProfile(input: ProfileInput): Result<{
  readonly readyAtMin: number | null;
  readonly tooFarAtMin: number | null;
  readonly doughC: number | null;
}> {
  const { startMin, atRefMin, refC, profile, tauMin, tooFarFactor, horizonMin } = input;
  for (let i = 1; i < profile.length; i++)
    if (!(profile[i].atMin > profile[i - 1].atMin))
      return fail({
        code: "inconsistent",
        path: ["profile", i, "atMin"],
        got: profile[i].atMin,
        wanted: "later than the one before",
      });
  const reference = activity(refC, input);
  let done = input.progress;
  let tempC = tauMin > 0 ? (input.doughC ?? ambientAt(profile, startMin)) : ambientAt(profile, startMin);
  let readyAtMin: number | null = done >= 1 ? startMin : null;
  let doughC: number | null = done >= 1 ? tempC : null;
  let tooFarAtMin: number | null = done >= tooFarFactor ? startMin : null;
  for (let n = 0; n < horizonMin && tooFarAtMin === null; n++) {
    const t = startMin + n;
    const around = ambientAt(profile, t + 0.5);
    const next = tauMin > 0 ? around + (tempC - around) * Math.exp(-1 / tauMin) : around;
    const middle = tauMin > 0 ? (tempC + next) / 2 : around;
    const step = activity(middle, input) / reference / atRefMin;
    if (readyAtMin === null && done + step >= 1) {
      readyAtMin = t + (1 - done) / step;
      doughC = middle;
    }
    if (done + step >= tooFarFactor) tooFarAtMin = t + (tooFarFactor - done) / step;
    done += step;
    tempC = next;
  }
  return ok({ readyAtMin, tooFarAtMin, doughC });
}

/**
 * One lot of formed pieces: the first is older than the last. Minutes are from when the first was formed.
 * Issues: `inconsistent` tooFarMin (before it is ready).
 */
export function proofLot({
  pieces,
  secondsPerPiece,
  cooks,
  readyMin,
  tooFarMin,
}: Readonly<Record<"pieces" | "secondsPerPiece" | "cooks" | "readyMin" | "tooFarMin", number>>): Result<{
  readonly spreadMin: number;
  readonly earliestMin: number;
  readonly latestMin: number;
  readonly feasible: boolean;
  readonly maxPieces: number;
}> {
  if (tooFarMin < readyMin)
    return fail({ code: "inconsistent", path: ["tooFarMin"], got: tooFarMin, wanted: `at least readyMin, ${readyMin}` });
  const each = secondsPerPiece / 60 / cooks;
  const spreadMin = (pieces - 1) * each;
  const earliestMin = spreadMin + readyMin;
  return ok({
    spreadMin,
    earliestMin,
    latestMin: tooFarMin,
    feasible: earliestMin <= tooFarMin + EPSILON,
    maxPieces: 1 + down((tooFarMin - readyMin) / each),
  });
}
