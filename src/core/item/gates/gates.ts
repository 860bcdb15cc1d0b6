import { bindable } from "../seasoning";
import { OURS, type Catalogue } from "../../ingredients/own";
import { fillingComponents } from "../desk";
import { gramsOf, linesFor } from "../doses";
import type { Component, Item } from "../schema";
import { isHeat, type Step } from "../step";
import { countedOut, type CountedOut } from "../whole-spices";

/** Something to be looked at before work goes on, in codes. Worded in `gate-text`. */
export type Gate =
  /** Liquid of a cooled filling; `starchG`: what one more per cent of starch is. */
  | { readonly kind: "runs"; readonly starchG: number }
  /** A filling that meets the dough, or a cooked part that meets the yeast, °C at the most. */
  | { readonly kind: "filling-warm"; readonly mostC: number }
  | { readonly kind: "paste-warm"; readonly mostC: number }
  /** Whole spices and bones that come out again. */
  | { readonly kind: "counted"; readonly what: readonly CountedOut[] }
  /** Yeast that is woken; past `limitMin` without froth it is dead. `powderG` of baking powder raise the same flour. */
  | { readonly kind: "froth"; readonly limitMin: number; readonly powderG: number }
  /** The core of the two largest pieces of a load, °C at the least. */
  | { readonly kind: "core"; readonly leastC: number };

/** The kinds of gates; those of `Gate`, no more and no fewer. */
export const GATE_KINDS = [
  "runs",
  "filling-warm",
  "paste-warm",
  "counted",
  "froth",
  "core",
] as const satisfies readonly Gate["kind"][];

/** A cooked part of the flour is no warmer when it meets the yeast, °C. */
const PASTE_MOST_C = 29;
/** One more per cent of the liquid binds what still runs. */
const STARCH_PART = 0.01;

/** Baking powder in place of yeast, g for each kg of flour. A kitchen figure of our own. */
const POWDER_G = 40;

type Line = Pick<Component, "id" | "name" | "ingredient" | "grams">;

/** Lines of a filling as they are at hand, with how often what the recipe says of each goes in. */
function fillingAtHand(item: Item, lines: readonly Line[]) {
  const all = fillingComponents(item);
  return lines.flatMap((line) => {
    const written = all.find(({ id, name }) => id === line.id && name === line.name);
    return written ? [{ ...written, grams: line.grams, times: line.grams / written.grams }] : [];
  });
}

/**
 * The gates of a step, in the order in which they are asked. They follow from what the item is, whoever wrote its steps.
 * @param atHand what is weighed for the step's part on the day, g; else as the recipe has it
 */
export function gatesOf(
  item: Item,
  step: Step,
  atHand: readonly Line[] = linesFor(item, step),
  catalogue: Catalogue = OURS,
): Gate[] {
  const gates: Gate[] = [];
  const mixes = item.steps.findIndex(({ part, kind }) => part === "dough" && (kind === "mix" || kind === "knead"));
  const isBeforeMixing = step.part === "dough" && item.steps.findIndex(({ id }) => id === step.id) < mixes;
  if (isBeforeMixing && step.kind === "bench-rest" && step.rest)
    gates.push({ kind: "froth", limitMin: step.rest.max, powderG: (POWDER_G * gramsOf("flour", atHand, catalogue)) / 1000 });
  if (isBeforeMixing && step.kind === "cool") gates.push({ kind: "paste-warm", mostC: PASTE_MOST_C });
  if (step.kind === "cool-filling") {
    const filling = fillingAtHand(item, atHand);
    const what = countedOut(filling);
    if (what.length > 0) gates.push({ kind: "counted", what });
    const liquidG = bindable(filling, catalogue);
    gates.push({ kind: "runs", starchG: liquidG * STARCH_PART });
  }
  const { useAtMaxC } = item.filling;
  // What is filled into baked pieces, or lies hot under a lid, has no such limit.
  if (step.kind === "fill" && item.filling.components.length > 0 && useAtMaxC !== undefined && useAtMaxC < WARM_C)
    gates.push({ kind: "filling-warm", mostC: useAtMaxC });
  if (isHeat(step) && step.coreC !== undefined) gates.push({ kind: "core", leastC: step.coreC });
  return gates;
}

/** A filling that may be warmer than this is meant to be hot, °C. */
const WARM_C = 60;
