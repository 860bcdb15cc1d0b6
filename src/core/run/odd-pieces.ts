import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import { bakeTime, SAME_LOAD } from "../process/oven";
import { steamTime } from "../process/steam";
import type { RunState } from "./run-state";

/** Pieces that came out heavier than they should go into one load and stay in when the others come out. */
export interface OddLoad {
  /** The bake or steaming that they go into: the last that is still to begin. */
  readonly task: string;
  readonly kind: "odd";
  /** Each of them, g of dough. */
  readonly grams: readonly number[];
  /** The heaviest needs so many minutes more than the others. */
  readonly minutes: number;
}

/**
 * The load that heavy pieces go into, and how much longer they stay in it; undefined where they need no minute more, or no oven and no
 * steamer is to come: nobody has a rule for oil. Source: a piece takes as long as the square root of its weight, see `bakeTime` and
 * `steamTime`.
 * @param grams of dough, of each piece that was weighed
 * @param rightG of dough, of a piece as it should be
 */
export function oddLoad(
  plan: Plan,
  { tasks }: Pick<RunState, "tasks">,
  item: string,
  grams: readonly number[],
  rightG: number,
): OddLoad | undefined {
  const loads = plan.solution.tasks
    .filter(({ id }) => {
      const step = stepIn(plan, id);
      const isIt = step !== undefined && isHeat(step) && step.part === "piece" && Object.hasOwn(MINUTES, step.kind);
      return isIt && plan.tasks[id].item === item && tasks.get(id)?.status === "waiting";
    })
    .sort((a, b) => a.start - b.start);
  const last = loads.at(-1);
  if (!last) return undefined;
  const minutesOf = MINUTES[stepIn(plan, last.id)!.kind as keyof typeof MINUTES];
  const refMin = last.end - last.start;
  const longer = (pieceG: number): number => Math.round(minutesOf({ refMin, refPieceG: rightG, pieceG }) - refMin);
  const heavy = grams.filter((one) => one > rightG && longer(one) >= 1);
  if (heavy.length === 0) return undefined;
  return { kind: "odd", task: last.id, grams: heavy, minutes: longer(Math.max(...heavy)) };
}

interface Known {
  readonly refMin: number;
  readonly refPieceG: number;
  readonly pieceG: number;
}

/** Any setting: it is the same for the heavy piece and the others. */
const REF_C = 180;

/** Minutes of another piece in the same load as those that are known. */
const MINUTES = {
  bake: (known: Known): number => {
    const baked = bakeTime({ ...SAME_LOAD, ...known, refC: REF_C, trays: 1 });
    return baked.ok ? baked.value.minutes : known.refMin;
  },
  steam: (known: Known): number => steamTime({ ...known, tiers: 1, frozen: false, lidLifts: 0, factor: 1 }).minutes,
} as const;
