import { isHeat, type Step } from "../../item/step";
import type { Kitchen } from "../../kitchen/schema";
import { heldHotText } from "../../item/keep-warm";
import { coreFor } from "../../process/safety";
import { type Demand } from "../../gathering/demands";
import type { Gathering } from "../../gathering/schema";
import { stepHere } from "./timing";

/** So much longer over the heat where nobody can measure the core: said, and not planned, since the recipe's minutes stand. */
const UNREAD_SHARE = 0.2;
/** Longest caution of a step. */
const MOST_TEXT = 600;
const UK_COOLING = "Into the fridge within 90 min of the hob: the usual guidance here. Local rules come first.";

/** Whether a step's core is to be measured and this kitchen has nothing to measure it with. */
export const isUnread = (step: Pick<Step, "kind" | "coreC">, kitchen: Kitchen): boolean =>
  step.coreC !== undefined && isHeat(step) && (kitchen.equipment.probe?.count ?? 0) === 0;

/** The step with what the figures usual here say of it: cooling, waiting hot, and its core where that is higher. */
function guided(step: Step, { guide }: Kitchen): Step {
  if (guide === "uk" && step.kind === "cool-filling") return { ...step, caution: cautioned(UK_COOLING, step) };
  if (step.caution === heldHotText()) return { ...step, caution: heldHotText(guide) };
  if (step.coreC === undefined || guide === undefined) return step;
  const here = coreFor({ contents: ["leftovers"], reheat: step.kind === "reheat", guide }).coreC;
  // What asks for less than leftovers do in the first guide asks for its own figure; the others make no difference of it.
  return guide === "us" || here <= step.coreC ? step : { ...step, coreC: here };
}

/** A caution before the step's own. */
const cautioned = (said: string, { caution }: Step): string => [said, caution].filter(Boolean).join(" ").slice(0, MOST_TEXT);

/** The step as it is done where its core cannot be measured: said at the step. */
function unread(step: Step, kitchen: Kitchen): Step {
  if (!isUnread(step, kitchen)) return step;
  const more = Math.max(1, Math.ceil(step.time.fixedMin * UNREAD_SHARE));
  const said = `No thermometer here: ${more} min more than planned, and the signs of doneness. That is weaker evidence than a reading; local rules come first.`;
  return { ...step, caution: cautioned(said, step) };
}

type Lengths = NonNullable<Gathering["lengths"]>;

/** A step that takes as long as the cook says this time. A rest lasts so long, whatever the room. */
function asTyped(step: Step, { minutes, instead }: Lengths[number]): Step {
  const { rest, time } = step;
  if (rest) {
    const { yeasted: _warmth, follows: _room, ...others } = rest;
    return { ...step, rest: { ...others, min: minutes, target: minutes, max: Math.max(minutes, rest.max) } };
  }
  const factor = minutes / instead;
  return { ...step, time: { fixedMin: time.fixedMin * factor, secPerPiece: time.secPerPiece * factor } };
}

/**
 * The demands with their steps as this kitchen does them this time, and where the length of a step comes from where that is not the
 * step's own word: done by hand for want of a machine, or typed.
 */
export function stepsHere(
  demands: readonly Demand[],
  kitchen: Kitchen,
  lengths: Lengths = [],
): { here: Demand[]; lengthFrom: ReadonlyMap<Step, "by-hand" | "typed"> } {
  const lengthFrom = new Map<Step, "by-hand" | "typed">();
  const here = demands.map((demand) => ({
    ...demand,
    steps: demand.steps.map((step) => {
      const typed = lengths.find((one) => one.recipe === demand.item.id && one.step === step.id);
      const byHand = stepHere(step, kitchen);
      const own = unread(guided(typed ? asTyped(byHand, typed) : byHand, kitchen), kitchen);
      if (typed) lengthFrom.set(own, "typed");
      else if (byHand !== step) lengthFrom.set(own, "by-hand");
      return own;
    }),
  }));
  return { here, lengthFrom };
}
