/// <reference lib="webworker" />
import { expose } from "comlink";
import { makePlan } from "@/core/plan/make-plan";
import type { PlanRequest } from "@/core/plan/request";
import { replan } from "@/core/schedule/replan";
import type { PlanService } from "./plan.protocol";

/** Better plans and progress are told at most this often, ms: a plan is large and the screen need not flicker. */
const EVERY_MS = 300;

const service: PlanService = {
  async plan(request: PlanRequest, better, progress) {
    let toldPlan = -Infinity;
    let toldProgress = -Infinity;
    const now = () => performance.now();
    return makePlan(request, {
      now,
      better(plan) {
        if (now() - toldPlan < EVERY_MS) return;
        toldPlan = now();
        better(plan);
      },
      progress(state) {
        if (now() - toldProgress < EVERY_MS) return;
        toldProgress = now();
        progress(state);
      },
    });
  },
  async replan(problem, old, soFar, seconds) {
    return replan(problem, old, soFar, { now: () => performance.now(), seconds });
  },
};

expose(service);
