import { havePiecesInCommon, stepIn, type Plan } from "@/core/plan/schema";
import type { RunState } from "@/core/run/run-state";
import type { Step } from "@/core/item/step";

/** Steps that something weighed goes into, and that a timer or a heat begins with. */
const TAKES: ReadonlySet<Step["kind"]> = new Set(["mix", "knead", "cook-filling"]);

/** Whether a step should not begin before all that goes into it is weighed out, and nobody said yet that it is. */
export function asksForWeights(plan: Plan, { tasks }: RunState, task: string): boolean {
  const step = stepIn(plan, task);
  if (!step || !TAKES.has(step.kind)) return false;
  return ![...tasks].some(([id, { status }]) => {
    const other = stepIn(plan, id);
    const isWeighing = status === "done" && other?.kind === "weigh" && other.part === step.part;
    return isWeighing && havePiecesInCommon(plan.tasks[id], plan.tasks[task]);
  });
}
