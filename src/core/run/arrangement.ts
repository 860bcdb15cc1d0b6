import type { Plan } from "../plan/schema";
import type { Replanned } from "../schedule/replan/replan";
import type { Placed } from "../schedule/solution";
import type { Telling } from "./events";
import type { RunState } from "./run-state";
import { timetableIn } from "./rest-of-day";

/**
 * What is told so that every device goes on from one rest of the day: where its tasks stand now, if anything comes sooner than it did or
 * is done by others. Undefined where all that changed is that things begin later: that follows from what happened.
 */
export function arrangementOf(plan: Plan, state: RunState, rest: Pick<Replanned, "solution">): Telling | undefined {
  if (state.isArranged) return undefined;
  const before = new Map(timetableIn(plan, state).tasks.map((task) => [task.id, task]));
  const isOther = waitingIn(state, rest).some(({ id, start, taken }) => {
    const was = before.get(id)!;
    return start < was.start || taken.some((one, u) => one !== was.taken[u]);
  });
  return isOther ? arranged(state, rest) : undefined;
}

const waitingIn = ({ tasks }: RunState, { solution }: Pick<Replanned, "solution">): Placed[] =>
  solution.tasks.filter(({ id }) => tasks.get(id)?.status === "waiting");

/** A rest of the day as it is told: where what is still to begin stands in it. */
export const arranged = (state: RunState, rest: Pick<Replanned, "solution">): Telling => ({
  kind: "arranged",
  tasks: waitingIn(state, rest).map(({ id, start, end, taken }) => ({ id, start, end, taken })),
});
