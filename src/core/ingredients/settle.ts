import { allergensOf, type Allergen } from "./allergen";
import { STANDARD } from "./catalogue";
import { findIngredient } from "./find";
import type { Diet } from "./kinds";
import type { Named } from "./lookup";
import type { Catalogue, OwnIngredient } from "./own";

/** The words that a line is known by from now on: what stands before its first comma. */
const wordsFor = (line: Named): string => line.name.split(",")[0].trim().toLowerCase().slice(0, 120);

const slugOf = (words: string): string =>
  `own-${
    words
      .normalize("NFD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 60) || "ingredient"
  }`;

/** The cook's own entry for a line: the one there is, one over the catalogue's, or one for what nobody knows yet. */
export function ownEntry(line: Named, catalogue: Catalogue): OwnIngredient {
  const words = wordsFor(line);
  const chosen = line.ingredient !== undefined ? catalogue.ingredients.get(line.ingredient) : undefined;
  const found = findIngredient(line.name, catalogue.index);
  const known = chosen ?? (found && found.strange.length === 0 && found.inHead === 1 ? found.main : undefined);
  const id = known?.id ?? slugOf(words);
  const there = catalogue.own.find((entry) => entry.id === id);
  if (there) return there;
  if (known && STANDARD.has(known.id)) return { id, names: [known.name] };
  return { id, names: [words], ...(found && { like: found.main.id }) };
}

/** The answer to one question about a diet, for good. What is vegan is vegetarian, and what is not vegetarian is not vegan. */
export function settleDiet(entry: OwnIngredient, diet: Diet, answer: "yes" | "no"): OwnIngredient {
  const diets = { ...entry.diets, [diet]: answer };
  if (diet === "vegan" && answer === "yes") diets.vegetarian = "yes";
  if (diet === "vegetarian" && answer === "no") diets.vegan = "no";
  return { ...entry, diets };
}

/** Allergens that the catalogue itself knows to be in an ingredient: to take one away asks for a reason. */
export const knownIn = (id: string): Allergen[] => allergensOf(STANDARD.get(id)?.contains ?? []);
