import { Budget, type SolveOptions } from "./budget";
import type { Problem } from "./problem";
import { infeasibleSubset, subsetReason } from "./explain/infeasible-subset";
import type { ScheduleReason } from "./reason";
import { refused } from "./refused";
import type { Solution } from "./solution";
import { Solver, type Refusal } from "./solver";

/**
 * Schedules a problem: a first schedule, then better ones until the optimum is proven or a limit is reached.
 * Deterministic for a seed and an iteration limit when no time limit cuts in.
 * @returns the best schedule found, with a proven lower bound; or status "infeasible" with what binds
 */
export function solve(problem: Problem, options: SolveOptions): Solution & Pick<Refusal, "proof"> {
  const solver = new Solver(problem, options.seed ?? 1);
  const budget = new Budget(options);
  if (solver.findFirst(budget) !== "found") {
    const refusal = solver.refusal();
    return refused(problem, { ...refusal, reasons: explained(problem, refusal, options) });
  }
  options.better?.(solver.solution());
  solver.improve(budget, () => options.better?.(solver.solution()));
  return solver.solution();
}

/** Up to so many tasks an infeasible subset is short enough to be read. */
const READABLE = 8;
/** Time that the search for one may take when time is limited at all, s. */
const SUBSET_SECONDS = 1.5;

/** The reasons for a no; where it is proven, with the few tasks that cannot hold together where they can be found. */
function explained(problem: Problem, { reasons, proof }: Refusal, { now, seconds }: SolveOptions): readonly ScheduleReason[] {
  if (proof === undefined) return reasons;
  const core = infeasibleSubset(problem, {
    now,
    seconds: seconds === undefined ? undefined : Math.min(SUBSET_SECONDS, 0.5 * seconds + 0.2),
  });
  if (!core || core.length < 2 || core.length > READABLE) return reasons;
  return [...reasons, subsetReason(problem, core)];
}
