import { OURS, type Catalogue } from "../../ingredients/own";
import type { Item } from "../schema";
import { resolveItem } from "../resolve";
import { isHeat, type Step } from "../step";
import { withVariantChanges } from "../step-edit";
import { usualMinutes } from "../step-minutes";
import { makeItem, type Made } from "./make-item";
import { sameSteps } from "./called";
import { recipeOf } from "./as-recipe";
import { asMade } from "./remake";
import { stepEdits } from "./step-edits";
import { CARRIERS } from "./settle";

/** A rest so long is a night, min. */
const NIGHT_MIN = 360;

const minutesOf = (step: Step, pieces: number): number => Math.max(1, Math.round(usualMinutes(step, pieces)));
const saidLength = (minutes: number): string => (minutes >= NIGHT_MIN ? "overnight" : `${minutes} min`);

/** The flour is scalded, in the words of a step. */
const HOT_WATER = /\b(?:boiling|hot|boiled|scald\w*)\b[^.]*\b(?:water|flour)\b|\bwater\b[^.]*\b(?:9\d|100) °C/i;

/** What a step says in a sentence that can be read again: what is done, how long, how hot. Undefined where that says nothing of the kind of thing. */
function sentenceOf(step: Step, pieces: number): string | undefined {
  const minutes = minutesOf(step, pieces);
  const hot = step.equipment.find(({ settingC }) => settingC !== undefined);
  const at = hot && hot.id !== "steamer" ? ` at ${hot.settingC} °C${hot.id === "oven" ? " fan" : ""}` : "";
  const cold = step.rest?.where === "fridge" ? " in the fridge" : "";
  switch (step.kind) {
    case "mix":
      return step.part === "dough" && HOT_WATER.test(step.do) ? "Pour the boiling water over the flour." : undefined;
    case "knead":
      return `Knead the dough ${minutes} min.`;
    case "bulk-rest":
      return `Let the dough rise ${saidLength(minutes)}${cold}.`;
    case "bench-rest":
    case "chill":
      if (step.part === "dough") return `${cold ? "Chill" : "Rest"} the dough ${saidLength(minutes)}${cold}.`;
      return step.part === "filling" && cold ? `Chill the filling ${saidLength(minutes)}${cold}.` : undefined;
    case "final-proof":
      return `Let the shaped pieces rise ${minutes} min.`;
    case "blind-bake":
      return `Bake blind${at} for ${minutes} min.`;
    case "bake":
      return `Bake${at} for ${minutes} min.`;
    case "steam":
      return `Steam for ${minutes} min.`;
    case "fry":
      return `Deep-fry in oil${at} for ${minutes} min.`;
    case "pan-fry":
      return step.equipment.some(({ id }) => id === "lidded-pan")
        ? `Fry in a pan, add water, cover with a lid and steam ${minutes} min.`
        : `Cook in a dry pan, ${minutes} min.`;
    default:
      return undefined;
  }
}

/** The steps of an item as it is made where nothing is chosen, for the table. */
const freshSteps = (item: Item): readonly Step[] =>
  resolveItem(item, {}, "base").steps.filter(({ path }) => path.includes("fresh"));

/** What the recipe of an item with steps of its own would read like. */
function textOf(item: Item): string {
  const fresh = freshSteps(item);
  const cooking = fresh.filter(({ kind }) => kind === "cook-filling");
  const minutes = cooking.reduce((sum, step) => sum + minutesOf(step, item.base.pieces), 0);
  return [
    ...fresh.flatMap((step) => sentenceOf(step, item.base.pieces) ?? []),
    ...(cooking.length > 0 ? [`Cook the filling ${minutes} min.`] : []),
    ...(item.piece.shape ? [`Shape: ${item.piece.shape}.`] : []),
  ].join("\n");
}

/**
 * What an item that has steps of its own would be by rule, from its lines and from what its steps say; undefined for one that is
 * made by rule already, or of which nothing can be weighed.
 */
export function byRule(item: Item, catalogue: Catalogue = OURS): Made | undefined {
  if (item.making) return undefined;
  const recipe = recipeOf(item, { says: textOf(item) }, catalogue);
  if (!recipe.ok) return undefined;
  const isBlind = freshSteps(item).some(({ kind }) => kind === "blind-bake");
  const made = makeItem(recipe.value, { taken: [], catalogue, ...(isBlind && { method: "blind" as const }) });
  return made.ok ? made.value : undefined;
}

/**
 * An item with steps of its own as one that is made by rule, and changed by its cook wherever it is otherwise: nothing about it
 * changes but what is known of it. What cannot be made by rule stays as it is.
 */
export function recognised(item: Item, catalogue: Catalogue = OURS): Item {
  const made = byRule(item, catalogue);
  if (!made?.item.making) return item;
  const called = sameSteps(made.item.steps, item.steps);
  const ownCapacity = Object.fromEntries(
    CARRIERS.flatMap((carrier) => {
      const own = item.capacity[carrier];
      return own === undefined ? [] : [[carrier, own]];
    }),
  );
  return { ...item, making: { ...made.item.making, says: textOf(item), called, ownCapacity } };
}

/** Where what was put on the pieces goes: to the step of the same kind, else to the heat's, else to the table. */
function placeOf(before: Step | undefined, steps: readonly Step[]): string {
  const alike = steps.find(({ kind, path }) => kind === before?.kind && path.includes("fresh"));
  const heat = before && isHeat(before) ? steps.find((step) => isHeat(step) && step.path.includes("fresh")) : undefined;
  return (alike ?? heat ?? steps.find(({ kind }) => kind === "serve") ?? steps[steps.length - 1]).id;
}

/**
 * An item whose steps are those of the rule from now on. Its formula, its piece, what a carrier takes, how it keeps and how many are
 * eaten stay as the cook has them; its own steps, with the choices and hints that hang on them, fall away.
 */
export function byRuleAlone(item: Item, catalogue: Catalogue = OURS): Item {
  if (!item.making) return item;
  const { called: _own, ...making } = item.making;
  const made = asMade(item, making, catalogue);
  if (!made) return item;
  const { steps, faults, fryOil } = made.item;
  const isThere = (id: string) => steps.some((step) => step.id === id);
  return {
    ...item,
    making,
    steps,
    ...(fryOil && { fryOil: item.fryOil ?? fryOil }),
    finish: item.finish.map((entry) => ({
      ...entry,
      step: placeOf(
        item.steps.find(({ id }) => id === entry.step),
        steps,
      ),
    })),
    filling: withVariantChanges(item.filling, ({ step }) => isThere(step)),
    schools: [],
    faults,
  };
}

/** Places in which an item's steps are not those of the rule. */
export function ownPlaces(item: Item, catalogue: Catalogue = OURS): number {
  const made = asMade(item, item.making, catalogue);
  return made ? stepEdits(made.item.steps, item.steps).length : 0;
}
