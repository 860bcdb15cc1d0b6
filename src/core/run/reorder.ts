import type { Plan } from "../plan/schema";
import { leastDuration, type Problem } from "../schedule/problem";
import { replan, type Replanned } from "../schedule/replan/replan";
import { arranged } from "./arrangement";
import type { Telling } from "./events";
import type { RunState } from "./run-state";
import { REST_SEARCH, restInput } from "./rest-of-day";

/** A task that somebody wants to begin before another one, or after it. */
export interface Wish {
  readonly task: string;
  readonly place: "before" | "after";
  readonly other: string;
}

/** What a wish comes to: the rest of the day with it, or why it cannot be. */
export type Reordered =
  | { readonly ok: true; readonly rest: Replanned; readonly tell: Telling }
  /** `over`: one of them has begun; `needs`: the first needs what the other leaves; `no-room`: no timetable has it so. */
  | { readonly ok: false; readonly code: "over" | "needs" | "no-room" };

/** The rest of a day with two of its tasks in the order that somebody wants, the others moved as little as that asks. */
export function reordered(plan: Plan, state: RunState, now: number, { task, place, other }: Wish): Reordered {
  const [first, second] = place === "before" ? [task, other] : [other, task];
  if ([first, second].some((id) => state.tasks.get(id)?.status !== "waiting")) return { ok: false, code: "over" };
  // What the first comes after, through all between, cannot come after it.
  if (first === second || comesAfter(plan.problem, first, second)) return { ok: false, code: "needs" };
  const { plan: today, soFar } = restInput(plan, state, now);
  const rest = replan(withOrder(today.problem, first, second), today.solution, soFar, REST_SEARCH);
  const placed = new Map(rest.solution.tasks.map((one) => [one.id, one]));
  const [a, b] = [placed.get(first), placed.get(second)];
  if (!a || !b || a.start > b.start) return { ok: false, code: "no-room" };
  return { ok: true, rest, tell: arranged(state, rest) };
}

/** Whether a task comes after another, directly or through what lies between. */
function comesAfter({ tasks }: Problem, task: string, other: string): boolean {
  const links = new Map(tasks.map(({ id, after }) => [id, after.map((link) => link.task)]));
  const seen = new Set<string>();
  const open = [task];
  while (open.length > 0)
    for (const id of links.get(open.pop()!) ?? []) {
      if (id === other) return true;
      if (!seen.has(id)) {
        seen.add(id);
        open.push(id);
      }
    }
  return false;
}

/** A problem in which a task begins no sooner than another has begun. */
const withOrder = (problem: Problem, first: string, second: string): Problem => {
  const least = leastDuration(problem.tasks.find(({ id }) => id === first)!);
  return {
    ...problem,
    tasks: problem.tasks.map((one) =>
      // Hands that both take keep them apart by themselves.
      one.id === second ? { ...one, after: [...one.after, { task: first, min: -least }] } : one,
    ),
  };
};
