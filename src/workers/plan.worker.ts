/// <reference lib="webworker" />
import { expose } from "comlink";
import { beginPlan } from "@/core/plan/pipeline";
import type { Plan } from "@/core/plan/schema";
import { slipOf } from "@/core/plan/slip";
import { arrangementOf } from "@/core/run/arrangement";
import { replay } from "@/core/run/replay";
import { reordered } from "@/core/run/reorder";
import { REST_SEARCH, restOfDay } from "@/core/run/rest-of-day";
import { effectOf } from "@/core/run/ways-out";
import { replan } from "@/core/schedule/replan/replan";
import type { PlanService } from "./plan.protocol";

/** Better plans and progress are told at most this often, ms: a plan is large and the screen need not flicker. */
const EVERY_MS = 300;

/** So long the page has the processor to itself to draw a first plan, before the search for better ones goes on, ms. */
const DRAWN_MS = 300;

/** A re-plan takes three times as long the first time as the twentieth: so many slips of a day are worked out for practice. */
const REHEARSALS = 20;
const LATE_MIN = 10;

/** So long a machine that is slow looks for a first plan, s: on a phone at its last few per cent a good day takes a minute. */
const PATIENCE_S = 150;

const now = () => performance.now();

/** Tells at once the first time and then only now and then. */
function seldom<T>(tell: (news: T) => void): (news: T) => void {
  let told = -Infinity;
  return (news) => {
    if (now() - told < EVERY_MS) return;
    told = now();
    tell(news);
  };
}

let cooked: Plan | undefined;

const service: PlanService = {
  async plan(request, from, better, progress) {
    const { plan, improve } = beginPlan(request, {
      now,
      from,
      patience: PATIENCE_S,
      better: seldom(better),
      progress: seldom(progress),
    });
    if (!improve) return plan;
    await new Promise((resolve) => setTimeout(resolve, DRAWN_MS));
    return improve();
  },
  async cook(plan) {
    cooked = plan;
  },
  async first(state, minute) {
    if (!cooked) throw new Error("no plan is cooked");
    return restOfDay(cooked, state, minute, { ...REST_SEARCH, onlyFirst: true });
  },
  async rest(state, minute) {
    if (!cooked) throw new Error("no plan is cooked");
    const rest = restOfDay(cooked, state, minute);
    return { rest, arranged: arrangementOf(cooked, state, rest) };
  },
  async rehearse() {
    const steps = cooked?.solution.tasks.filter(({ id }) => cooked?.tasks[id]?.step) ?? [];
    for (let k = 0; cooked && k < REHEARSALS; k++) {
      const { id } = steps[Math.floor((k * steps.length) / REHEARSALS)];
      replan(cooked.problem, cooked.solution, slipOf(cooked, id, LATE_MIN), { ...REST_SEARCH, onlyFirst: true });
      // A question that came meanwhile goes first.
      await new Promise((resolve) => setTimeout(resolve));
    }
  },
  async tried(events, way, minute) {
    if (!cooked) throw new Error("no plan is cooked");
    return effectOf(cooked, events, way, minute);
  },
  async reorder(events, wish, minute) {
    if (!cooked) throw new Error("no plan is cooked");
    return reordered(cooked, replay(cooked, events), minute, wish);
  },
  async replan(problem, old, soFar, seconds, better) {
    return replan(problem, old, soFar, { now, seconds, better: seldom(better) });
  },
};

expose(service);
