import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import type { Chamber } from "../schedule/problem";
import { changeover } from "../schedule/model";
import type { Placed, Solution } from "../schedule/solution";
import type { RunState } from "./run-state";

/** A heat that has to be set so early that it is there when what goes into it is ready. */
export interface HeatToSet {
  /** The oven, steamer or fryer, as the plan's problem names it. */
  readonly resource: string;
  readonly settingC: number;
  /** Minute at which it is set. */
  readonly at: number;
  /** The load that it is for, and when that goes in. */
  readonly task: string;
  readonly goesIn: number;
}

/**
 * The next heat of each oven, steamer and fryer that has yet to be set: counted back from when its load goes in as the day now stands, so
 * that it slides with what comes before it.
 */
export function heatsToSet(plan: Plan, state: RunState, rest: { readonly solution: Solution }): HeatToSet[] {
  const chambers = plan.problem.resources.filter((one): one is Chamber => one.kind === "chamber");
  const settings = new Map(plan.problem.tasks.map(({ id, uses }) => [id, uses.map(({ setting }) => setting)]));
  return chambers.flatMap((chamber): HeatToSet[] => {
    const { id: resource } = chamber;
    const loads = rest.solution.tasks
      .filter(({ id, taken }) => {
        const step = stepIn(plan, id);
        return taken.includes(resource) && step !== undefined && isHeat(step);
      })
      .sort((a, b) => a.start - b.start);
    const next = loads.find(({ id }) => state.tasks.get(id)?.status === "waiting");
    const settingOf = ({ id, taken }: Placed) => settings.get(id)?.[taken.indexOf(resource)];
    const settingC = next && settingOf(next);
    if (!next || settingC === undefined) return [];
    if (loads.some(({ id }) => state.tasks.get(id)?.status === "running")) return [];
    const last = loads.findLast(({ id }) => {
      const run = state.tasks.get(id);
      return run?.start !== undefined && run.status !== "skipped";
    });
    const set = state.set.get(resource);
    // What was put in last tells what it is set to, unless somebody set it since.
    const lastC = last && settingOf(last);
    const lastStart = (last && state.tasks.get(last.id)?.start) ?? -Infinity;
    const nowC = set && set.minute >= lastStart ? set.c : lastC;
    if (nowC === settingC) return [];
    const minutes = changeover(chamber, nowC ?? chamber.start, settingC);
    return minutes <= 0 ? [] : [{ resource, settingC, at: next.start - minutes, task: next.id, goesIn: next.start }];
  });
}
