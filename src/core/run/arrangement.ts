import type { Plan } from "../plan/schema";
import type { Replanned } from "../schedule/replan/replan";
import type { Telling } from "./events";
import type { RunState } from "./replay";
import { timetableIn } from "./rest-of-day";

/**
 * What is told so that every device goes on from one rest of the day: where its tasks stand now, if anything comes sooner than it did or
 * is done by others. Undefined where all that changed is that things begin later: that follows from what happened.
 */
export function arrangementOf(plan: Plan, state: RunState, rest: Pick<Replanned, "solution">): Telling | undefined {
  if (state.isArranged) return undefined;
  const before = new Map(timetableIn(plan, state).tasks.map((task) => [task.id, task]));
  const waiting = rest.solution.tasks.filter(({ id }) => before.has(id) && state.tasks.get(id)?.status === "waiting");
  const isOther = waiting.some(({ id, start, taken }) => {
    const was = before.get(id)!;
    return start < was.start || taken.some((one, u) => one !== was.taken[u]);
  });
  return isOther
    ? { kind: "arranged", tasks: waiting.map(({ id, start, end, taken }) => ({ id, start, end, taken })) }
    : undefined;
}
