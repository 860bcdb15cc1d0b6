import type { Plan } from "@/core/plan/plan";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";

/** What the planning worker can be asked. Callbacks come as Comlink proxies. */
export interface PlanService {
  /** Plans a request that was checked before; tells of the first plan and of better ones, and answers with the last. */
  plan(request: PlanRequest, better: (plan: Plan) => void, progress: (state: Progress) => void): Promise<Plan>;
}
