import { batchesFor, weighingsOf, type Ingredient, type Weighing } from "@/core/batching/batches";
import type { Item } from "@/core/item/schema";
import type { Step } from "@/core/item/step";
import type { Plan } from "@/core/plan/schema";

type Finished = Pick<Item, "finish">;

/** What a step of a plan takes of what is weighed: a dough or a filling its own steps, what pieces are finished with that one step. */
export function takenWeights(plan: Plan, task: string, step: Step, made: Finished | undefined): Weighing[] {
  const { item, range } = plan.tasks[task];
  return batchesFor(weighed(plan.batches), item, range).filter((batch) => isTaken(batch, step, made));
}

const known = new WeakMap<Plan["batches"], Weighing[]>();

/** Batches of a plan as they are weighed, worked out once: every row of a list asks. */
function weighed(batches: Plan["batches"]): Weighing[] {
  const before = known.get(batches);
  if (before) return before;
  const all = weighingsOf(batches);
  known.set(batches, all);
  return all;
}

/** Lines that are weighed for a step of a plan, whatever batches they are of. */
export const takenLines = (plan: Plan, task: string, step: Step, made: Finished | undefined): Ingredient[] =>
  takenWeights(plan, task, step, made).flatMap(({ ingredients }) => ingredients);

const isTaken = (batch: Weighing, step: Step, made: Finished | undefined): boolean =>
  batch.part === "finish"
    ? made?.finish.some((entry) => entry.step === step.id && entry.what === batch.ingredients[0]?.in) === true
    : step.part === batch.part && step.base === batch.base;
