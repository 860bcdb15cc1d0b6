import { doseTexts, linesFor } from "../doses";
import { allergensOf } from "../../ingredients/allergen";
import type { Catalogue } from "../../ingredients/own";
import { TRUTH, worstHazard } from "../../ingredients/kinds";
import { hottest } from "../hottest";
import { itemClaims } from "../item-claims";
import { doughComponents } from "../desk";
import { isProvisional } from "../gaps";
import type { Step } from "../step";
import type { Made } from "./make-item";
import type { MissingFigure } from "./understand";

/** The weights that a step takes, for the recipe's own batch. */
function weightsOf(step: Step, { item }: Made): string | undefined {
  const lines =
    step.id === "weigh-dough"
      ? doughComponents(item)
      : step.id === "prep-filling"
        ? item.filling.components.filter((line) => !line.base)
        : step.id === "prep-base"
          ? item.filling.components.filter((line) => line.base)
          : item.finish.filter((entry) => entry.step === step.id).flatMap((entry) => entry.components);
  if (lines.length === 0) return undefined;
  return `For ${item.base.pieces}: ${lines.map(({ name, grams }) => `${Math.round(grams * 10) / 10} g ${name}`).join(", ")}.`;
}

const gapText = ({ about, text, usual, taken }: MissingFigure): string =>
  [`${about}: ${text}`, usual && `usual ${usual}`, taken && `taken ${taken}`].filter(Boolean).join("; ");

/** A made item as `unisynth-item/1`: the item as a plan takes it, and what was understood. */
export function itemDocument(made: Made, catalogue: Catalogue) {
  const { item, family, method, shape, hazard, gaps } = made;
  const claims = itemClaims(item, {}, catalogue);
  const { vegetarian, vegan, halal, kosher } = claims.diets;
  return {
    format: "unisynth-item/1" as const,
    item,
    family: family.value,
    method: method.value,
    shape: shape.value.id,
    because: { family: family.because, method: method.because, shape: shape.because, filling: made.filling.because },
    gaps: gaps.map(gapText),
    provisional: isProvisional(item) || claims.unknown.length > 0,
    diets: {
      vegetarian: TRUTH[vegetarian.answer],
      vegan: TRUTH[vegan.answer],
      halal: TRUTH[halal.answer],
      kosher: TRUTH[kosher.answer],
    },
    allergens: allergensOf(claims.contains.flatMap(({ tags }) => tags)),
    mayContain: allergensOf(claims.may.flatMap(({ tags }) => tags)),
    hazard: worstHazard([hazard, ...made.others.map(({ making }) => making.hazard)]) ?? claims.hazard,
    steps: hottest(item).map((step) => ({
      id: step.id,
      kind: step.kind,
      ...(step.title !== undefined && { title: step.title }),
      text: [step.do, ...doseTexts(step, linesFor(item, step)), weightsOf(step, made)].filter(Boolean).join(" "),
      ...(step.rest ? { rest: step.rest } : { time: step.time }),
      ...(step.coreC !== undefined && { coreC: step.coreC }),
      ...(step.cue && { cue: step.cue }),
      ...(step.caution && { caution: step.caution }),
      source: step.sources ?? {},
    })),
  };
}
