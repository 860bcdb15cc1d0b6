import type { Ingredient } from "./catalogue";
import { findIngredient } from "./find";
import { OURS, type Catalogue } from "./own";

/** A line's name, and the ingredient that the cook chose for it. */
export interface Named {
  readonly name: string;
  readonly ingredient?: string;
}

/** The ingredient of a line: the chosen one, else the one its name tells; undefined where that is not quite known. */
export function ingredientOf(line: Named, catalogue: Catalogue = OURS): Ingredient | undefined {
  if (line.ingredient !== undefined) return catalogue.ingredients.get(line.ingredient);
  const found = findIngredient(line.name, catalogue.index);
  return found && found.strange.length === 0 ? found.main : undefined;
}

/** Its id; undefined where it is not known. */
export const idOf = (line: Named, catalogue: Catalogue = OURS): string | undefined => ingredientOf(line, catalogue)?.id;

/** Whether a line is a flour, which counts towards the 100 %. */
export const isFlour = (line: Named, catalogue: Catalogue = OURS): boolean => ingredientOf(line, catalogue)?.flour === true;

const FATS: ReadonlySet<string> = new Set(["butter", "oil", "fat", "plant-fat", "animal-fat"]);
/** Whether a line is a fat as it is weighed: butter is one with all its water. */
export const isFat = (line: Named, catalogue: Catalogue = OURS): boolean =>
  ingredientOf(line, catalogue)?.kinds.some((kind) => FATS.has(kind)) === true;

const YEASTS: ReadonlySet<string> = new Set(["yeast-instant", "yeast-active-dry", "yeast-fresh"]);
/** Whether a line is yeast, in any of its forms. */
export const isYeast = (line: Named, catalogue: Catalogue = OURS): boolean => YEASTS.has(idOf(line, catalogue) ?? "");

/** Water that wets a dough, % of the line; 0 for dry goods, undefined where it is not known. */
export function waterPct(line: Named, catalogue: Catalogue = OURS): number | undefined {
  const ingredient = ingredientOf(line, catalogue);
  return ingredient?.dry ? 0 : ingredient?.per100.water;
}

/** Pure fat, % of the line; undefined where it is not known. */
export const fatPct = (line: Named, catalogue: Catalogue = OURS): number | undefined => ingredientOf(line, catalogue)?.per100.fat;

/**
 * What makes two lines one on a shopping list: the same ingredient in the same form. What is not quite known, or named
 * together with something else, is only the same as itself.
 */
export function identityOf(line: Named, catalogue: Catalogue = OURS): string {
  const chosen = line.ingredient !== undefined ? catalogue.ingredients.get(line.ingredient) : undefined;
  const found = findIngredient(line.name, catalogue.index);
  const plain = line.name.split(",")[0].trim().toLowerCase();
  const forms = found ? [...found.free.map((tag) => `${tag}-free`), ...found.said].sort() : [];
  if (chosen) return [chosen.id, ...forms].join(" ");
  if (!found || found.strange.length > 0 || found.inHead > 1) return plain;
  return [found.main.id, ...forms].join(" ");
}
