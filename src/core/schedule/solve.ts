import { Budget, type SolveOptions } from "./budget";
import type { Problem } from "./problem";
import { conflictOf, conflictText } from "./explain/infeasible-subset";
import { Solver, type Answer } from "./solver";

/**
 * Schedules a problem: a first schedule, then better ones until the optimum is proven or a limit is reached.
 * Deterministic for a seed and an iteration limit when no time limit cuts in.
 * @returns the best schedule found, with a proven lower bound; or status "infeasible" with what binds
 */
export function solve(problem: Problem, options: SolveOptions): Answer {
  const solver = new Solver(problem, options.seed ?? 1);
  const budget = new Budget(options);
  if (solver.findFirst(budget) !== "found") return explained(problem, solver.refusal(), options);
  options.better?.(solver.solution());
  solver.improve(budget, () => options.better?.(solver.solution()));
  return solver.solution();
}

/** Up to so many tasks a conflict is short enough to be read. */
const READABLE = 8;
/** Time that the search for a conflict may take when time is limited at all, s. */
const CONFLICT_SECONDS = 1.5;

/** A proven no, with the few tasks that cannot hold together where they can be found. */
function explained(problem: Problem, refusal: Answer, { now, seconds }: SolveOptions): Answer {
  if (refusal.proof === undefined) return refusal;
  const core = conflictOf(problem, {
    now,
    seconds: seconds === undefined ? undefined : Math.min(CONFLICT_SECONDS, 0.5 * seconds + 0.2),
  });
  if (!core || core.length < 2 || core.length > READABLE) return refusal;
  return { ...refusal, why: [...refusal.why, conflictText(problem, core)] };
}
