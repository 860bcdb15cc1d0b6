import type { Plan } from "@/core/plan/schema";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import type { Problem } from "@/core/schedule/problem";
import type { Replanned } from "@/core/schedule/replan/replan";
import type { ExecutionState } from "@/core/schedule/replan/execution-state";
import type { Solution } from "@/core/schedule/solution";
import type { RunEvent, Telling } from "@/core/run/events";
import type { Reordered, Wish } from "@/core/run/reorder";
import type { WayEffect, WayOut } from "@/core/run/ways-out";
import type { RunState } from "@/core/run/run-state";

/** The rest of a day under way, and what is told of it so that all devices go on from the same. */
export interface RestAnswer {
  readonly rest: Replanned;
  readonly arranged: Telling | undefined;
}

/** What the planning worker can be asked. Callbacks come as Comlink proxies. */
export interface PlanService {
  /**
   * Plans a request that was checked before, on from a plan where one is given; tells of the first plan and of better
   * ones, and answers with the last.
   */
  plan(
    request: PlanRequest,
    from: Plan | undefined,
    better: (plan: Plan) => void,
    progress: (state: Progress) => void,
  ): Promise<Plan>;
  /** The rest of a day that is under way, within so many seconds; tells of the first answer and of better ones. */
  replan(
    problem: Problem,
    old: Solution,
    soFar: ExecutionState,
    seconds: number,
    better: (answer: Replanned) => void,
  ): Promise<Replanned>;
  /** The plan whose rest is asked for from now on. */
  cook(plan: Plan): Promise<void>;
  /** The first answer to what the rest of the day that is cooked is. */
  first(state: RunState, minute: number): Promise<Replanned>;
  /** Works out a few slips of the day that is cooked, of no interest to anybody, so that the next answer comes quicker. */
  rehearse(): Promise<void>;
  /** The rest of the day that is cooked, as far as it is worked out by counting. */
  rest(state: RunState, minute: number): Promise<RestAnswer>;
  /** What a way out of being late leads to, for the plan that is cooked. */
  tried(events: readonly RunEvent[], way: WayOut, minute: number): Promise<WayEffect>;
  /** The rest of the day that is cooked, with two of its tasks in the order that somebody wants. */
  reorder(events: readonly RunEvent[], wish: Wish, minute: number): Promise<Reordered>;
}
