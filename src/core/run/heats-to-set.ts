import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import type { Chamber } from "../schedule/problem";
import { changeover } from "../schedule/model";
import type { Solution } from "../schedule/solution";
import { isOpen, type RunState } from "./replay";

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
    const settingC = next && settings.get(next.id)?.[next.taken.indexOf(resource)];
    if (!next || settingC === undefined) return [];
    const last = loads
      .filter(({ id }) => state.tasks.get(id)?.start !== undefined && state.tasks.get(id)?.status !== "skipped")
      .at(-1);
    const isBusy = loads.some(({ id }) => state.tasks.get(id)?.status === "running" && isOpen(state.tasks.get(id)));
    const set = state.set.get(resource);
    // What was put in last tells what it is set to, unless somebody set it since.
    const lastC = last && settings.get(last.id)?.[last.taken.indexOf(resource)];
    const nowC = set && set.minute >= (state.tasks.get(last?.id ?? "")?.start ?? -Infinity) ? set.c : lastC;
    if (nowC === settingC || isBusy) return [];
    const minutes = changeover(chamber, nowC ?? chamber.start, settingC);
    return minutes <= 0 ? [] : [{ resource, settingC, at: next.start - minutes, task: next.id, goesIn: next.start }];
  });
}
