import { StepSchema, type Step } from "../step";
import { OPERATIONS } from "./hands";
import { freezesRaw, type Making } from "./making";
import { dividing, doughSteps } from "./steps/dough-steps";
import { fillingSteps } from "./steps/filling-steps";
import { frozenSteps } from "./steps/frozen-steps";
import { blindSteps, firstHeat, heatFigures, heatStep, servingSteps } from "./steps/heat-steps";
import { formingSteps, SECOND_COAT } from "./steps/piece-steps";
import { byHand, type StepInput } from "./steps/step-input";

/**
 * The steps of an item, from weighing to the table, into the freezer and from it, in the order in which they are derived: dough, filling,
 * forming, what formed pieces need, wash, vent, heat, what comes after. The same making gives the same steps.
 */
export function generateSteps(making: Making): Step[] {
  const doughPart = doughSteps(making);
  const fillingPart = making.bought === "pieces" ? [] : fillingSteps(making);
  const lastDough = doughPart.at(-1)?.id;
  const lastFilling = fillingPart.at(-1)?.id;
  const divided = lastDough === undefined ? [] : dividing(making, lastDough);
  const begin = divided.at(-1)?.id ?? lastDough ?? "";
  const forming = formingSteps(making, begin, lastFilling);
  const path: StepInput["path"] = freezesRaw(making) ? ["fresh"] : ["fresh", "freezer"];
  const figures = heatFigures(making);
  const before: StepInput[] = [];
  let last = forming.last;
  // What is bought ready is no case that is filled after it was baked.
  if (making.method.id === "blind" && making.bought !== "pieces") {
    before.push(...blindSteps(making, last));
    before.push(
      byHand(
        {
          id: "fill",
          kind: "fill",
          part: "piece",
          do: "Fill the cases to 85 % at the most.",
          equipment: [{ id: "worktop" }, { id: "scale" }],
          after: [{ step: "blind-bake", minGapMin: 10 }, ...(lastFilling !== undefined ? [{ step: lastFilling }] : [])],
          sources: { hands: "table" },
        },
        OPERATIONS.fill,
      ),
    );
    last = "fill";
  }
  const heat = heatStep(making, "heat", figures, {
    path,
    after: last === "" ? [] : [{ step: last, ...maxWait(making, last) }],
  });
  const serving = servingSteps(making, "heat", lastFilling, path);
  const frozen = frozenSteps(making, serving.finished);
  const all = [
    ...doughPart,
    ...fillingPart,
    ...divided,
    ...forming.steps,
    ...before,
    ...firstHeat(making, heat),
    ...serving.steps,
    ...frozen,
  ];
  // A step that only what is frozen raw passes by, or that has no freezer to go to, is on no such path.
  const toFreezer = frozen.length > 0;
  return all
    .map((step) => (toFreezer ? step : { ...step, path: step.path.filter((one) => one === "fresh") }))
    .filter((step) => step.path.length > 0)
    .map((step) => StepSchema.parse(onItsPath(step, making, toFreezer)));
}

/** Between the last work on raw pieces and the heat, min. */
function maxWait({ dough }: Making, last: string): { maxGapMin?: number } {
  if (["wash", SECOND_COAT, "vent"].includes(last)) return { maxGapMin: 20 };
  if (last === "seal" && dough.sealedMaxMin !== undefined) return { maxGapMin: dough.sealedMaxMin };
  return {};
}

/** Raw pieces are frozen before wash and vent; what is frozen cooked passes all that fresh ones do. */
function onItsPath(step: StepInput, making: Making, toFreezer: boolean): StepInput {
  if (toFreezer && freezesRaw(making) && ["wash", "wash-dries", SECOND_COAT, "vent", "rest-formed"].includes(step.id))
    return { ...step, path: ["fresh"] };
  return step;
}
