import { makeItem } from "@/core/item/making/make-item";
import { RecipeInputSchema } from "@/core/item/making/recipe-input";
import { makePlan } from "@/core/plan/pipeline";
import type { Plan } from "@/core/plan/schema";
import type { PlanRequest } from "@/core/plan/request";
import { momentOf } from "@/core/run/clock";
import type { RunEvent, Telling } from "@/core/run/events";
import { demoInput, expectRequest, supperInput } from "./demo";

/** A plan that is the same each time: the first that is found. */
export const firstPlan = (request: PlanRequest): Plan =>
  makePlan({ ...request, solve: { ...request.solve, seed: 1, iterations: 0 } }, { now: () => 0 });

/** What a demo gathering's first plan is. */
export const demoPlan = (id: string): Plan => firstPlan(expectRequest(demoInput(id)));

/** A day on which nothing is served but so many pieces of a recipe. */
export function ownDay(recipe: object, pieces: number, choices = {}) {
  const made = makeItem(RecipeInputSchema.parse(recipe), { taken: [], choices });
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  const plan = firstPlan(expectRequest(supperInput("launch-night", made.value.item, pieces, "18:30")));
  return { plan, item: made.value.item, ...cookedDay(plan) };
}

/** A day of a plan, as told by its devices. */
export function cookedDay(plan: Plan) {
  let count = 0;
  const said = (minute: number, telling: Telling, device = "phone"): RunEvent =>
    ({ id: `e${count++}`, device, at: momentOf(plan, minute), ...telling }) as RunEvent;
  const own = plan.solution.tasks.filter(({ id }) => plan.tasks[id]?.step);
  return {
    said,
    /** Tasks that somebody does, of no wait. */
    own,
    start: Math.min(...plan.solution.tasks.map((one) => one.start)),
    /** Everything begun and over as it was planned, up to a minute. */
    asPlanned: (until: number): RunEvent[] =>
      own.flatMap(({ id, start, end }) => [
        ...(start <= until ? [said(start, { kind: "started", task: id })] : []),
        ...(end <= until ? [said(end, { kind: "done", task: id })] : []),
      ]),
  };
}
