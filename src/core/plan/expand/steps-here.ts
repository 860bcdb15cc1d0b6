import { isHeat, type Step } from "../../item/step";
import type { Kitchen } from "../../kitchen/schema";
import { type Demand } from "../../gathering/demands";
import { stepHere } from "./timing";

/** So much longer over the heat where nobody can measure the core: said, and not planned, since the recipe's minutes stand. */
const UNREAD_SHARE = 0.2;
/** Longest caution of a step. */
const MOST_TEXT = 600;

/** Whether a step's core is to be measured and this kitchen has nothing to measure it with. */
export const isUnread = (step: Pick<Step, "kind" | "coreC">, kitchen: Kitchen): boolean =>
  step.coreC !== undefined && isHeat(step) && (kitchen.equipment.probe?.count ?? 0) === 0;

/** The step as it is done where its core cannot be measured: said at the step. */
function unread(step: Step, kitchen: Kitchen): Step {
  if (!isUnread(step, kitchen)) return step;
  const more = Math.max(1, Math.ceil(step.time.fixedMin * UNREAD_SHARE));
  const said = `No thermometer here: ${more} min more than planned, and the signs of doneness. That is weaker evidence than a reading; local rules come first.`;
  return { ...step, caution: [said, step.caution].filter(Boolean).join(" ").slice(0, MOST_TEXT) };
}

/** The demands with their steps as this kitchen does them, and the steps that are done by hand for want of a machine. */
export function stepsHere(demands: readonly Demand[], kitchen: Kitchen): { here: Demand[]; byHand: ReadonlySet<Step> } {
  const byHand = new Set<Step>();
  const here = demands.map((demand) => ({
    ...demand,
    steps: demand.steps.map((step) => {
      const own = stepHere(step, kitchen);
      if (own !== step) byHand.add(own);
      return unread(own, kitchen);
    }),
  }));
  return { here, byHand };
}
