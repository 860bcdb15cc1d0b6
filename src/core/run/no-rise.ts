import { havePiecesInCommon, stepIn, type Plan } from "../plan/schema";
import type { Step } from "../item/step";
import type { RunState } from "./run-state";

const RISES: ReadonlySet<Step["kind"]> = new Set(["bulk-rest", "final-proof"]);

/** Rises to come of the dough that a step is of: those that fall away where baking powder takes the place of its yeast. */
export const risesToCome = (plan: Plan, { tasks }: Pick<RunState, "tasks">, task: string): string[] =>
  Object.keys(plan.tasks).filter((id) => {
    const step = stepIn(plan, id);
    const isRise = step !== undefined && (RISES.has(step.kind) || step.rest?.yeasted === true);
    const { item } = plan.tasks[id];
    return (
      isRise &&
      id !== task &&
      item === plan.tasks[task].item &&
      tasks.get(id)?.status === "waiting" &&
      havePiecesInCommon(plan.tasks[id], plan.tasks[task])
    );
  });
