import type { Model } from "../model";
import { candidatesOf, type Problem } from "../problem";
import type { Placed, Solution } from "../solution";

/** A schedule in arrays: start and end of each task (−1: not placed), and the choice of each use. */
export interface Schedule {
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  readonly choices: readonly Int32Array[];
  readonly cost: number;
}

/** Where tasks might stand and what they might take; it need not keep the rules. */
export type Guess = Omit<Schedule, "cost">;

/** A solution as a guess at a problem with the same tasks; undefined where a task or what it takes is not there. */
export function guessAt(problem: Problem, solution: Solution): Guess | undefined {
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  if (problem.tasks.length !== placed.size || problem.tasks.some(({ id }) => !placed.has(id))) return undefined;
  const at = problem.tasks.map(({ id }) => placed.get(id)!);
  const choices = problem.tasks.map((task, i) =>
    Int32Array.from(task.uses, (use, u) => candidatesOf(use).indexOf(at[i].taken[u])),
  );
  if (choices.some((list) => list.includes(-1))) return undefined;
  return { starts: Int32Array.from(at, (t) => t.start), ends: Int32Array.from(at, (t) => t.end), choices };
}

/** A schedule as the tasks of a solution. */
export function placedIn(problem: Problem, { starts, ends, choices }: Guess): Placed[] {
  return problem.tasks.map((task, i) => ({
    id: task.id,
    start: starts[i],
    end: ends[i],
    taken: task.uses.map((use, u) => candidatesOf(use)[choices[i][u]]),
  }));
}

/** Whether two tasks' choices are the same, use by use. */
export const sameChoices = (a: Int32Array, b: Int32Array): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/** The objective of the format. */
export function costOf(model: Model, starts: ArrayLike<number>, ends: ArrayLike<number>): number {
  let cost = 0;
  let first = Infinity;
  let last = 0;
  for (let i = 0; i < model.n; i++) {
    if (ends[i] < model.due[i]) cost += model.early[i] * (model.due[i] - ends[i]);
    else if (ends[i] > model.due[i]) cost += model.late[i] * (ends[i] - model.due[i]);
    if (model.stretch[i] > 0) cost += model.stretch[i] * (ends[i] - starts[i] - model.least[i]);
    first = Math.min(first, starts[i]);
    last = Math.max(last, ends[i]);
  }
  return model.n === 0 ? 0 : cost + model.makespan * last + model.span * (last - first);
}
