import type { Step } from "../../item/step";
import type { Kitchen } from "../../kitchen/schema";
import { type Demand } from "../../gathering/demands";
import { stepHere } from "./timing";

/** The demands with their steps as this kitchen does them, and the steps that are done by hand for want of a machine. */
export function stepsHere(demands: readonly Demand[], kitchen: Kitchen): { here: Demand[]; byHand: ReadonlySet<Step> } {
  const byHand = new Set<Step>();
  const here = demands.map((demand) => ({
    ...demand,
    steps: demand.steps.map((step) => {
      const own = stepHere(step, kitchen);
      if (own !== step) byHand.add(own);
      return own;
    }),
  }));
  return { here, byHand };
}
