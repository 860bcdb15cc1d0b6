import { proxy, wrap, type Remote } from "comlink";
import type { Plan } from "@/core/plan/plan";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import type { Replanned } from "@/core/schedule/replan/replan";
import type { SoFar } from "@/core/schedule/replan/rest-of-day";
import type { PlanService } from "./plan.protocol";

export interface Run<T> {
  readonly done: Promise<T>;
  /** Ends the search at once; `done` then never settles. */
  cancel(): void;
}

/** One question to a worker of its own, so that a search in progress never blocks typing and can be stopped at any moment. */
function ask<T>(question: (service: Remote<PlanService>) => Promise<T>): Run<T> {
  const worker = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  const done = question(wrap<PlanService>(worker)).finally(() => worker.terminate());
  return { done, cancel: () => worker.terminate() };
}

export const runPlan = (
  request: PlanRequest,
  told: { better: (plan: Plan) => void; progress: (state: Progress) => void },
  from?: Plan,
): Run<Plan> => ask((service) => service.plan(request, from, proxy(told.better), proxy(told.progress)));

export const runReplan = (plan: Plan, soFar: SoFar, seconds: number, better: (answer: Replanned) => void): Run<Replanned> =>
  ask((service) => service.replan(plan.problem, plan.solution, soFar, seconds, proxy(better)));
