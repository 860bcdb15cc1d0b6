import { StepSchema, type Step } from "../step";
import { OPERATIONS } from "./hands";
import type { Making } from "./making";
import { dividing, doughSteps } from "./steps/dough-steps";
import { fillingSteps } from "./steps/filling-steps";
import { frozenSteps } from "./steps/frozen-steps";
import { blindSteps, heatFigures, heatStep, servingSteps } from "./steps/heat-steps";
import { formingSteps } from "./steps/piece-steps";
import { byHand, type StepInput } from "./steps/step-input";

/**
 * The steps of an item, from weighing to the table, into the freezer and from it, in the order in which they are derived: dough, filling,
 * forming, what formed pieces need, wash, vent, heat, what comes after. The same making gives the same steps.
 */
export function generateSteps(making: Making): Step[] {
  const { dough, method } = making;
  const doughPart = doughSteps(making);
  const fillingPart = making.bought === "pieces" ? [] : fillingSteps(making);
  const lastDough = doughPart.at(-1)?.id;
  const lastFilling = fillingPart.at(-1)?.id;
  const divided = lastDough === undefined ? [] : dividing(making, lastDough);
  const begin = divided.at(-1)?.id ?? lastDough ?? "";
  const forming = formingSteps(making, begin, lastFilling);
  const path: StepInput["path"] = dough.freeze === "cooked" || method.id === "dish" ? ["fresh", "freezer"] : ["fresh"];
  const figures = heatFigures(making);
  const before: StepInput[] = [];
  let last = forming.last;
  if (method.id === "blind") {
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
    ...(making.bought === "pieces" && { path: ["fresh"] as const }),
  } as Partial<StepInput>);
  const isFilledAfter = making.shape.id === "filled-after";
  const serving = servingSteps(making, "heat", path);
  if (isFilledAfter && lastFilling !== undefined) {
    const fill = serving.steps.find(({ id }) => id === "fill");
    fill?.after?.push({ step: lastFilling });
  }
  const frozen = frozenSteps(making, forming.formed, serving.finished);
  const all = [...doughPart, ...fillingPart, ...divided, ...forming.steps, ...before, heat, ...serving.steps, ...frozen];
  // A step that only what is frozen raw passes by, or that has no freezer to go to, is on no such path.
  const toFreezer = frozen.length > 0;
  return all
    .map((step) => (toFreezer ? step : { ...step, path: step.path.filter((one) => one === "fresh") }))
    .filter((step) => step.path.length > 0)
    .map((step) => StepSchema.parse(onItsPath(step, making, toFreezer)));
}

/** Between the last work on raw pieces and the heat, min. */
function maxWait({ dough, formed }: Making & { readonly formed?: string }, last: string): { maxGapMin?: number } {
  void formed;
  if (last === "wash" || last === "vent") return { maxGapMin: 20 };
  if (last === "seal" && dough.sealedMaxMin !== undefined) return { maxGapMin: dough.sealedMaxMin };
  return {};
}

/** Raw pieces are frozen before wash and vent; what is frozen cooked passes all that fresh ones do. */
function onItsPath(step: StepInput, { dough, method }: Making, toFreezer: boolean): StepInput {
  const isRaw = toFreezer && dough.freeze === "raw" && method.id !== "dish";
  if (isRaw && ["wash", "vent", "rest-formed"].includes(step.id)) return { ...step, path: ["fresh"] };
  return step;
}
