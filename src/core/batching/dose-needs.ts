import type { Demand } from "../gathering/demands";
import { OURS, type Catalogue } from "../ingredients/own";
import { dosesFor, type AtHand } from "../item/doses";
import { overlaps } from "../shared/range";
import { weighingsOf, type Batch, type Weighing } from "./batches";
import type { ExtraNeed } from "./shopping-list";

/** The doses that steps take for a batch, by what it weighs; each once, whatever demands the batch is for. */
export function dosesOf(
  batch: Pick<Weighing, "item" | "range" | "part" | "base" | "ingredients">,
  demands: readonly Demand[],
  catalogue: Catalogue = OURS,
): AtHand[] {
  const steps = demands
    .filter(({ item, range }) => item.id === batch.item && overlaps(range, batch.range))
    .flatMap(({ resolved, path }) => resolved.steps.filter((step) => step.path.includes(path)));
  const taking = steps.filter((step) => step.part === batch.part && step.base === batch.base && step.doses);
  return [...new Map(taking.map((step) => [step.id, step])).values()].flatMap((step) =>
    dosesFor(step, batch.ingredients, catalogue),
  );
}

/** What is dosed beside all that is weighed, for the shopping. */
export const doseNeeds = (batches: readonly Batch[], demands: readonly Demand[], catalogue: Catalogue = OURS): ExtraNeed[] =>
  weighingsOf(batches).flatMap((batch) =>
    dosesOf(batch, demands, catalogue)
      .filter(({ dose }) => dose.beside)
      .map(({ dose, grams }) => ({
        name: dose.what,
        grams,
        items: [demands.find(({ item }) => item.id === batch.item)!.item.name],
        why: "beside" as const,
        fills: 1,
      })),
  );
