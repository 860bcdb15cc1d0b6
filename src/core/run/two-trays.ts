import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import { candidatesOf, type Chamber, type Problem, type Task, type Use } from "../schedule/problem";
import type { RunState } from "./run-state";

/** Two trays at once take so many times as long: each is in the other's way. */
const LONGER = 1.15;

/** A use of an oven that one tray has to itself although more would fit. */
function isAlone(use: Use, chambers: ReadonlyMap<string, Chamber>): boolean {
  return candidatesOf(use).every((id) => {
    const slots = chambers.get(id)?.slots ?? 0;
    return slots >= 2 && use.amount === slots;
  });
}

const chambersIn = ({ resources }: Problem): ReadonlyMap<string, Chamber> =>
  new Map(resources.flatMap((one) => (one.kind === "chamber" ? [[one.id, one] as const] : [])));

/** Loads of an oven that are still to come and have it to themselves: one tray each, in an oven of several shelves. */
function aloneIn(
  plan: Plan,
  problem: Problem,
  { tasks }: Pick<RunState, "tasks">,
): { task: Task; use: number; ids: readonly string[] }[] {
  const chambers = chambersIn(problem);
  return problem.tasks.flatMap((task) => {
    const step = stepIn(plan, task.id);
    if (tasks.get(task.id)?.status !== "waiting" || !step || !isHeat(step)) return [];
    const isTray = step.equipment.some(({ id, most }) => id === "oven" && most !== undefined);
    const use = task.uses.findIndex((one) => candidatesOf(one).some((id) => chambers.has(id)));
    const { what } = plan.tasks[task.id];
    const isOne = what.code === "step" && (what.carriers ?? 1) === 1;
    if (!isTray || use < 0 || !isOne || !isAlone(task.uses[use], chambers)) return [];
    return [{ task, use, ids: candidatesOf(task.uses[use]) }];
  });
}

/** Ovens that could take two of the trays that are still to come at once, and do not. */
export function ovensForTwo(plan: Plan, state: RunState): string[] {
  const alone = aloneIn(plan, plan.problem, state);
  const ids = [...new Set(alone.flatMap((one) => one.ids))];
  return ids.filter((id) => !state.doubled.has(id) && alone.filter((one) => one.ids.includes(id)).length > 1);
}

/** A day on which ovens that had one tray at a time take two, each a little longer in them. */
export function withTwoTrays(plan: Plan, problem: Problem, state: RunState): Problem {
  if (state.doubled.size === 0) return problem;
  const chambers = chambersIn(problem);
  const shared = new Map(
    aloneIn(plan, problem, state).flatMap(({ task, use, ids }) =>
      ids.every((id) => state.doubled.has(id)) ? [[task.id, use] as const] : [],
    ),
  );
  return {
    ...problem,
    tasks: problem.tasks.map((task) => {
      const at = shared.get(task.id);
      if (at === undefined) return task;
      const half = Math.floor(Math.min(...candidatesOf(task.uses[at]).map((id) => chambers.get(id)!.slots)) / 2);
      return {
        ...task,
        duration: typeof task.duration === "number" ? Math.ceil(task.duration * LONGER) : task.duration,
        uses: task.uses.map((use, u) => (u === at ? { ...use, amount: half } : use)),
      };
    }),
  };
}
