import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import { bakeTime, SAME_LOAD } from "../process/oven";
import type { RunState } from "./run-state";

/** Pieces that came out heavier than they should go into one load and stay in when the others come out. */
export interface OddLoad {
  /** The bake that they go into: the last that is still to begin. */
  readonly task: string;
  readonly kind: "odd";
  /** Each of them, g of dough. */
  readonly grams: readonly number[];
  /** The heaviest needs so many minutes more than the others. */
  readonly minutes: number;
}

/**
 * The load that heavy pieces go into, and how much longer they stay in it; undefined where they need no minute more, or no bake is to
 * come. Source: a piece bakes by the square root of its weight, see `bakeTime`.
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
  const bakes = plan.solution.tasks
    .filter(({ id }) => {
      const step = stepIn(plan, id);
      const isBake = step !== undefined && isHeat(step) && step.kind === "bake" && step.part === "piece";
      return isBake && plan.tasks[id].item === item && tasks.get(id)?.status === "waiting";
    })
    .sort((a, b) => a.start - b.start);
  const last = bakes.at(-1);
  if (!last) return undefined;
  const longer = (pieceG: number): number => {
    const baked = bakeTime({
      ...SAME_LOAD,
      refMin: last.end - last.start,
      refC: REF_C,
      refPieceG: rightG,
      pieceG,
      trays: 1,
    });
    return baked.ok ? Math.round(baked.value.minutes - (last.end - last.start)) : 0;
  };
  const heavy = grams.filter((one) => one > rightG && longer(one) >= 1);
  if (heavy.length === 0) return undefined;
  return { kind: "odd", task: last.id, grams: heavy, minutes: longer(Math.max(...heavy)) };
}

/** Any setting: it is the same for the heavy piece and the others. */
const REF_C = 180;
