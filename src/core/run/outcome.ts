import { isHeat } from "../item/step";
import { havePiecesInCommon, stepIn, type Plan } from "../plan/schema";
import { isFreezerDeadline, targetsIn } from "../plan/targets";
import type { Placed } from "../schedule/solution";
import { isOpen, type RunState } from "./run-state";
import { asItWent, coldIn, pausedMin } from "./stand";

/** What became of the pieces of one item for one wave, or for the freezer. */
export interface Served {
  readonly for: string;
  readonly item: string;
  readonly pieces: number;
  /** Burnt, dropped or eaten; and put raw into the freezer instead. */
  readonly lost: number;
  readonly frozen: number;
  /** Minute at which the last of it was ready; undefined while anything is still to be done. */
  readonly readyAt: number | undefined;
  /** By how much it came too late, min. */
  readonly lateMin: number;
  /** Of what is best hot or warm: whether it was eaten within the time it keeps so. */
  readonly wasHot: boolean | undefined;
}

/** What could make somebody ill, as far as the day's record says. */
export type Unsafe =
  /** A core that was to be measured was not, or was below its figure. */
  | {
      readonly code: "core";
      readonly task: string;
      readonly coreC: number | undefined;
      readonly wantedC: number;
      readonly reason: string | undefined;
    }
  | { readonly code: "out-of-cold"; readonly task: string; readonly usedMin: number; readonly limitMin: number };

export interface Outcome {
  readonly served: readonly Served[];
  readonly unsafe: readonly Unsafe[];
  readonly isOver: boolean;
}

/** What a day came to: what was served, hot or not, late, wasted, and what may not be safe. */
export function outcomeOf(plan: Plan, state: RunState): Outcome {
  const entries = plan.solution.tasks.flatMap(({ id }) => {
    const info = plan.tasks[id];
    return info?.step ? [{ id, info, step: stepIn(plan, id), run: state.tasks.get(id)! }] : [];
  });
  const served = plan.pieces.flatMap((share): Served[] => {
    const [from, to] = share.range;
    const own = entries.filter(({ info }) => havePiecesInCommon(info, share) && info.for.includes(share.for));
    if (own.length === 0) return [];
    const count = (gone: "lost" | "frozen") => {
      const pieces = new Set<number>();
      for (const { info, run } of own)
        if (run.gone === gone) for (let k = Math.max(from, info.range[0]); k < Math.min(to, info.range[1]); k++) pieces.add(k);
      return pieces.size;
    };
    const ids = new Set(own.flatMap(({ id }) => targetsIn(plan, id)));
    const isTheirs = (id: string) => (share.for === "freezer" ? isFreezerDeadline(id) && ids.has(id) : id === share.for);
    const target = plan.day.targets.find(({ id }) => isTheirs(id))?.minute;
    const isReady = own.every(({ run }) => !isOpen(run));
    const readyAt = isReady ? Math.max(...own.map(({ run }) => run.end!)) : undefined;
    const hold = own.find(({ step }) => step?.hold)?.step?.hold;
    const heatEnd = Math.max(
      ...own.flatMap(({ step, run }) => (step && isHeat(step) && run.status === "done" && !run.gone ? run.end! : [])),
    );
    const eaten = readyAt === undefined ? undefined : Math.max(readyAt, target ?? readyAt);
    const keeps = hold && /hot|warm/.test(hold.best) && Number.isFinite(heatEnd);
    return [
      {
        for: share.for,
        item: share.item,
        pieces: share.pieces,
        lost: count("lost"),
        frozen: count("frozen"),
        readyAt,
        lateMin: readyAt === undefined || target === undefined ? 0 : Math.max(0, readyAt - target),
        wasHot: keeps && eaten !== undefined ? eaten - heatEnd <= hold.maxMin : undefined,
      },
    ];
  });
  const went = asItWent(plan, state);
  return {
    served: joined(served),
    unsafe: entries.flatMap(({ id }) => unsafeIn(plan, state, went, id)),
    isOver: entries.every(({ run }) => !isOpen(run)),
  };
}

/** One line for an item and a wave, whatever fillings it has. */
function joined(all: readonly Served[]): Served[] {
  const by = new Map<string, Served>();
  for (const one of all) {
    const key = `${one.for} ${one.item}`;
    const was = by.get(key);
    if (!was) by.set(key, one);
    else
      by.set(key, {
        ...was,
        pieces: was.pieces + one.pieces,
        lost: was.lost + one.lost,
        frozen: was.frozen + one.frozen,
        readyAt: was.readyAt === undefined || one.readyAt === undefined ? undefined : Math.max(was.readyAt, one.readyAt),
        lateMin: Math.max(was.lateMin, one.lateMin),
        wasHot: was.wasHot === false || one.wasHot === false ? false : (was.wasHot ?? one.wasHot),
      });
  }
  return [...by.values()];
}

function unsafeIn(plan: Plan, state: RunState, went: Placed[], id: string): Unsafe[] {
  const step = stepIn(plan, id);
  const run = state.tasks.get(id)!;
  if (!step || !isHeat(step) || step.coreC === undefined || run.status !== "done" || run.gone) return [];
  const found: Unsafe[] = [];
  if (run.coreC === undefined || run.coreC < step.coreC)
    found.push({ code: "core", task: id, coreC: run.coreC, wantedC: step.coreC, reason: run.reason });
  const cold = coldIn(plan, went, id);
  const usedMin = (cold?.usedMin ?? 0) - pausedMin(state, id, run.start!);
  if (cold && !cold.isWithin && usedMin > cold.limitMin)
    found.push({ code: "out-of-cold", task: id, usedMin, limitMin: cold.limitMin });
  return found;
}
