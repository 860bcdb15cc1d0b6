import type { Budget } from "./budget";
import { whyNone, whyNotFound } from "./explain/why-none";
import { shopOf } from "./jobshop/shop";
import { compile } from "./compile";
import type { Problem } from "./problem";
import { costOf, placedIn, type Guess, type Schedule } from "./construct/schedule";
import type { ScheduleReason } from "./reason";
import type { Solution } from "./solution";
import { Bounds } from "./improve/bounds";
import { FirstSchedule } from "./improve/first";
import { Improvement } from "./improve/improvement";
import { Known } from "./improve/known";

/**
 * Why there is no schedule; `proof` where none exists for certain: because some task has no room even
 * alone ("windows"), or because the whole search came to its end ("search").
 */
export interface Refusal {
  readonly reasons: readonly ScheduleReason[];
  readonly proof?: "windows" | "search";
}

/** One problem and all that was found and learned about it so far; a search that ran into a limit goes on from there. */
export class Solver {
  private readonly known: Known;
  private readonly bounds: Bounds;
  private readonly first: FirstSchedule;
  private readonly improvement: Improvement;

  constructor(
    private readonly problem: Problem,
    seed: number,
    model = compile(problem),
  ) {
    this.known = new Known(model, seed);
    const shop = this.known.search.stuck >= 0 ? undefined : shopOf(this.known.model);
    this.bounds = new Bounds(this.known, shop);
    this.first = new FirstSchedule(this.known);
    this.improvement = new Improvement(this.known, this.bounds, shop);
  }

  get best(): Schedule | undefined {
    return this.known.best;
  }

  /** Cost that no schedule goes below. */
  get bound(): number {
    return this.bounds.value;
  }

  /** Looks for a first schedule. "none": it is proven that there is none. */
  findFirst(budget: Budget): "found" | "none" | "stopped" {
    return this.first.find(budget);
  }

  /** A first schedule in the order and with the choices of another one, which need not keep the rules; false where no times do. */
  keepOrder(guess: Guess, inOrder?: Guess): boolean {
    return this.first.keepOrder(guess, inOrder);
  }

  /** A first schedule near another one, which need not keep the rules. False where so many repairs in a row come to nothing. */
  mend(guess: Guess, budget: Budget, repairs?: number): boolean {
    return this.first.mend(guess, budget, repairs);
  }

  /** Improves until the bound is met or the budget is spent; `better` is told of each better schedule. */
  improve(budget: Budget, better: () => void): void {
    this.improvement.run(budget, better);
  }

  /** Why there is no schedule, or none was found. */
  refusal(): Refusal {
    const { problem } = this;
    const { model, search, learnt } = this.known;
    if (search.stuck >= 0) return { reasons: whyNone(problem, model, search.stuck), proof: "windows" };
    const proven = learnt?.exhausted === true;
    const { nearest } = this.first;
    const leftOut = proven || !nearest ? [] : problem.tasks.flatMap((_, i) => (nearest.starts[i] < 0 ? [i] : []));
    return { reasons: whyNotFound(problem, model, search, proven, leftOut), ...(proven && { proof: "search" as const }) };
  }

  /** The best schedule so far; without one, "infeasible" and no word why. */
  solution(): Solution {
    const { problem } = this;
    const { model, best } = this.known;
    if (!best) return { format: "unisynth-solution/1", status: "infeasible", cost: 0, bound: 0, tasks: [], why: [] };
    const cost = costOf(model, best.starts, best.ends);
    return {
      format: "unisynth-solution/1",
      status: this.bounds.met ? "optimal" : "feasible",
      cost,
      bound: Math.min(this.bounds.value, cost),
      tasks: placedIn(problem, best),
      why: [],
    };
  }
}
