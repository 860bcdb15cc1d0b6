import { fail, ok, type Result } from "../shared/issue";
import { EPSILON, sum } from "../shared/rounding";
import { apportion } from "../quantities/apportion";
import { HAND_WORK, type HandOperation } from "../tables/hand-work";

/** Speed of a hand at its 20th piece against a practised one's, and what doubling the pieces leaves of the time. */
const SKILL = { beginner: [1.6, 0.88], practised: [1, 0.95], expert: [0.7, 0.98] } as const;
export type HandSkill = keyof typeof SKILL;
/** Learning goes on to this piece. */
const LEARNT_AT = 60;
const KNOWN_AT = 20;

export interface HandsInput {
  readonly operation?: HandOperation | undefined;
  readonly secondsPerPiece?: number | undefined;
  readonly pieces: number;
  readonly fixedMin?: number | undefined;
  readonly skill: HandSkill;
  readonly doneBefore: number;
  readonly factor: number;
}

/**
 * Hands-on minutes of one cook at one operation: each piece is a little quicker than the one before (Wright's learning curve).
 * Issues: `missing` secondsPerPiece (neither that nor an operation).
 */
export function handsTime({ operation, secondsPerPiece, pieces, fixedMin, skill, doneBefore, factor }: HandsInput): Result<{
  readonly minutes: number;
  readonly firstS: number | null;
  readonly lastS: number | null;
  readonly meanS: number | null;
}> {
  const known = operation && HAND_WORK[operation];
  const seconds = secondsPerPiece ?? known?.secondsPerPiece;
  if (seconds === undefined)
    return fail({ code: "missing", path: ["secondsPerPiece"], wanted: "seconds for one piece, or an operation" });
  const [speed, learning] = SKILL[skill];
  const at = (n: number): number =>
    seconds * factor * speed * (Math.min(LEARNT_AT, Math.max(1, doneBefore + n)) / KNOWN_AT) ** Math.log2(learning);
  const all = Array.from({ length: pieces }, (_, k) => at(k + 1));
  const total = sum(all);
  const minutes = (fixedMin ?? known?.fixedMin ?? 0) + total / 60;
  return ok({
    minutes,
    firstS: pieces > 0 ? all[0] : null,
    lastS: pieces > 0 ? all[pieces - 1] : null,
    meanS: pieces > 0 ? total / pieces : null,
  });
}

/** Several cooks at the same work: minutes, and how many pieces are whose. */
export function handsParallel({
  pieces,
  secondsPerPiece,
  fixedMin,
  skills,
  coordinationPct,
}: {
  readonly pieces: number;
  readonly secondsPerPiece: number;
  readonly fixedMin: number;
  readonly skills: readonly HandSkill[];
  readonly coordinationPct: number;
}) {
  const speeds = skills.map((skill) => 1 / SKILL[skill][0]);
  const minutes =
    fixedMin + ((pieces * secondsPerPiece) / 60 / sum(speeds)) * (1 + (coordinationPct / 100) * (skills.length - 1));
  const shares = speeds.map((weight, k) => ({ id: String(k), weight, min: 0 }));
  const divided = apportion({ total: pieces, shares });
  return { minutes, piecesByCook: divided.ok ? shares.map(({ id }) => divided.value.counts[id]) : shares.map(() => 0) };
}

export interface LineStage {
  readonly id: string;
  readonly seconds: number;
  readonly cooks: number;
}

/** A line of stages: minutes for a lot, s between finished pieces, and the stage that sets the pace, the first on a tie. */
export function handsLine({ pieces, stages }: { readonly pieces: number; readonly stages: readonly LineStage[] }) {
  const loads = stages.map(({ id, seconds, cooks }) => ({ id, s: seconds / cooks }));
  const slowest = loads.reduce((most, one) => (one.s > most.s + EPSILON ? one : most));
  const cycleS = slowest.s;
  return {
    minutes: (sum(stages.map(({ seconds }) => seconds)) + (pieces - 1) * cycleS) / 60,
    cycleS,
    bottleneck: slowest.id,
  };
}
