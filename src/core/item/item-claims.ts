import { DIETS, worst, worstHazard, type Diet } from "../ingredients/kinds";
import { OURS, type Catalogue } from "../ingredients/own";
import { ALLERGENS } from "../ingredients/allergen";
import { claimsOf, type AllergenClaim, type Claim, type ItemClaims } from "./claims";
import { resolveItem } from "./resolve";
import type { Choices, Item } from "./schema";

/** The fillings of an item by their ids, the first one "base". */
export const fillingsIn = (item: Pick<Item, "filling">): string[] => [
  "base",
  ...(item.filling.variants ?? []).map(({ id }) => id),
];

const each = (words: readonly string[]): string[] => [...new Set(words)];

/** Allergens of several fillings, each once. */
const merged = (all: readonly AllergenClaim[]): AllergenClaim[] =>
  ALLERGENS.flatMap((allergen) => {
    const own = all.filter((one) => one.allergen === allergen);
    return own.length === 0
      ? []
      : [{ allergen, tags: [...new Set(own.flatMap(({ tags }) => tags))], from: each(own.flatMap(({ from }) => from)) }];
  });

function dietOfAll(diet: Diet, all: readonly ItemClaims[]): Claim {
  const answer = worst(all.map(({ diets }) => diets[diet].answer));
  return { answer, because: each(all.flatMap(({ diets }) => (diets[diet].answer === answer ? diets[diet].because : []))) };
}

/**
 * What is said of an item as a whole: whoever eats of it may get any of its fillings. A gathering, whose parts are known, says it of
 * each of them.
 */
export function itemClaims(item: Item, choices: Choices = {}, catalogue: Catalogue = OURS): ItemClaims {
  const all = fillingsIn(item).map((filling) => claimsOf(resolveItem(item, choices, filling), catalogue));
  const [first] = all;
  if (all.length === 1) return first;
  const contains = merged(all.flatMap((one) => one.contains));
  const isIn = new Set(contains.map(({ allergen }) => allergen));
  return {
    diets: Object.fromEntries(DIETS.map((diet) => [diet, dietOfAll(diet, all)])) as ItemClaims["diets"],
    contains,
    may: merged(all.flatMap((one) => one.may)).filter(({ allergen }) => !isIn.has(allergen)),
    oil: merged(all.flatMap((one) => one.oil)).filter(({ allergen }) => !isIn.has(allergen)),
    unknown: each(all.flatMap((one) => one.unknown)),
    hazard: worstHazard(all.map((one) => one.hazard)),
    honey: each(all.flatMap((one) => one.honey)),
    rennet: each(all.flatMap((one) => one.rennet)),
  };
}
