import { Budget, type SolveOptions } from "./budget";
import type { Problem } from "./problem";
import { Solver, type Answer } from "./solver";

/**
 * Schedules a problem: a first schedule, then better ones until the optimum is proven or a limit is reached.
 * Deterministic for a seed and an iteration limit when no time limit cuts in.
 * @returns the best schedule found, with a proven lower bound; or status "infeasible" with what binds
 */
export function solve(problem: Problem, options: SolveOptions): Answer {
  const solver = new Solver(problem, options.seed ?? 1);
  const budget = new Budget(options);
  if (solver.findFirst(budget) !== "found") return solver.refusal();
  options.better?.(solver.solution());
  solver.improve(budget, () => options.better?.(solver.solution()));
  return solver.solution();
}
