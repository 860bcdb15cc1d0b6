import type { Strategy } from "../batching/strategy";
import { isHeat } from "../item/step";
import { isRise } from "../item/rest-in-room";
import { Budget, type SolveOptions } from "../schedule/budget";
import { Attempt } from "./attempt";
import { isServedWarm } from "./expand/rest-case";
import type { Quantities } from "./quantities";
import type { PlanRequest } from "./request";
import type { Plan } from "./schema";

/** So long a day is looked for that leaves time for care, ms or share of a short limit; in steps, where no clock limits the search. */
const CAREFUL_MS = 4000;
const CAREFUL_SHARE = 0.3;
const CAREFUL_STEPS = 10;

/** A way with care, where there is anything to take care of: time in hand for a slow rise, raw food soon at the heat; the most first. */
export function carefulWays({ expansion: { workload } }: Quantities, way: Strategy): Strategy[] {
  const rises = workload.works.some((work) => work.step.rest && isRise(work.step.rest) && isServedWarm(work));
  const isRaw = workload.works.some(({ step }) => isHeat(step) && step.coreC !== undefined);
  const both = { ...way, slowRises: rises, soonFromCold: isRaw };
  return [...(rises ? [both] : []), ...(isRaw ? [{ ...both, slowRises: false }] : [])];
}

/** The same day with care, begun from a plan without; undefined where none is found in its time. */
export function withCare(
  ways: readonly Strategy[],
  plan: Plan,
  request: PlanRequest,
  q: Quantities,
  { now, progress, seconds }: Pick<SolveOptions, "now" | "progress" | "seconds">,
): Attempt | undefined {
  return ways
    .map((way) => new Attempt(request, q, undefined, way, request.solve.seed ?? 1))
    .find((attempt) => {
      if (attempt.expansion.obstacles.length > 0) return false;
      const clock =
        seconds === undefined
          ? { passes: CAREFUL_STEPS }
          : { seconds, firstBy: now() + Math.min(CAREFUL_MS, 1000 * CAREFUL_SHARE * seconds) };
      return attempt.goesOnFrom(plan) || attempt.solver.findFirst(new Budget({ now, progress, ...clock })) === "found";
    });
}
