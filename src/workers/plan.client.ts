import { proxy, wrap } from "comlink";
import type { Plan } from "@/core/plan/plan";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import type { PlanService } from "./plan.protocol";

export interface PlanRun {
  readonly done: Promise<Plan>;
  /** Ends the search at once; `done` then never settles. */
  cancel(): void;
}

/** Plans in a worker of its own, so that a search in progress never blocks typing and can be stopped at any moment. */
export function runPlan(
  request: PlanRequest,
  told: { better: (plan: Plan) => void; progress: (state: Progress) => void },
): PlanRun {
  const worker = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  const service = wrap<PlanService>(worker);
  const done = service.plan(request, proxy(told.better), proxy(told.progress)).finally(() => worker.terminate());
  return { done, cancel: () => worker.terminate() };
}
