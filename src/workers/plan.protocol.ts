import type { Plan } from "@/core/plan/schema";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import type { Problem } from "@/core/schedule/problem";
import type { Replanned } from "@/core/schedule/replan/replan";
import type { ExecutionState } from "@/core/schedule/replan/execution-state";
import type { Solution } from "@/core/schedule/solution";

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
}
