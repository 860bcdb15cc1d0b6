import type { Strategy } from "../batching/strategy";
import { guessAt } from "../schedule/construct/schedule";
import type { Budget } from "../schedule/budget";
import { parseProblem, type Problem } from "../schedule/problem";
import { Solver } from "../schedule/solver";
import { expand, type Expansion } from "./expand/expand";
import type { Quantities } from "./quantities";
import type { PlanRequest } from "./request";
import type { Plan } from "./schema";

/** Repairs in a row that may come to nothing before a plan to go on from is given up. */
const MENDS = 20;

/** One way of dividing the work, expanded and searched only when its turn comes. */
export class Attempt {
  ruledOut = false;
  private made: { expansion: Expansion; problem: Problem; solver: Solver } | undefined;

  constructor(
    private readonly request: PlanRequest,
    private readonly q: Quantities,
    private readonly expanded: Expansion | undefined,
    readonly strategy: Strategy,
    private readonly seed: number,
  ) {}

  private get all() {
    if (this.made) return this.made;
    const expansion = this.expanded ?? expand(this.request, this.q.days, this.q.demands, this.strategy, this.q.beside);
    const parsed = parseProblem(expansion.problem);
    if (!parsed.ok) throw new Error(`the planner made a problem that breaks the format: ${JSON.stringify(parsed.issues[0])}`);
    return (this.made = { expansion, problem: parsed.value, solver: new Solver(parsed.value, this.seed) });
  }
  /**
   * Takes over the order of a plan with the same tasks, mended within a budget where there is one; false where that gives no
   * schedule.
   */
  goesOnFrom(plan: Plan, mending?: Budget): boolean {
    const guess = guessAt(this.problem, plan.solution);
    if (guess === undefined) return false;
    return this.solver.keepOrder(guess) || (mending !== undefined && this.solver.mend(guess, mending, MENDS));
  }
  get expansion(): Expansion {
    return this.all.expansion;
  }
  get problem(): Problem {
    return this.all.problem;
  }
  get solver(): Solver {
    return this.all.solver;
  }
}
