import type { Item } from "./schema";
import type { Step } from "./step";

/** A step after which what is made may wait for another day. */
export interface Keepable {
  readonly step: Step;
  /** Where it is kept and for how long at the most, h; undefined where nobody says. */
  readonly keeps: { readonly where: string; readonly hours: number } | undefined;
}

/** At least overnight. */
const OVERNIGHT_H = 8;

/** The steps of an item up to which it can be made a day before, as the recipe says how long it keeps; the freezer's too. */
export const keepable = (item: Item): Keepable[] =>
  item.steps.flatMap((step): Keepable[] => {
    if (step.kind === "bag") return [{ step, keeps: { where: "freezer", hours: Infinity } }];
    return step.ahead && step.ahead.hours >= OVERNIGHT_H ? [{ step, keeps: step.ahead }] : [];
  });
