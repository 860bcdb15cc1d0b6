import { groupsOf, type AllergenTag, type Regime } from "./allergen";
import { fail, ok, type Result } from "../shared/issue";

interface Ingredient {
  readonly id: string;
  readonly contains: readonly AllergenTag[];
  readonly mayContain: readonly AllergenTag[];
  readonly uses: readonly string[];
}
interface Item {
  readonly id: string;
  readonly ingredients: readonly string[];
  readonly medium: readonly AllergenTag[];
}

/**
 * Allergens of items from their ingredients, through sub-recipes to any depth, with what shared oil or steam may bring.
 * Issues on `items[k].ingredients[j]`: `unknown` (no such ingredient), `inconsistent` (one that uses itself).
 */
export function propagateAllergens(input: {
  regime: Regime;
  ingredients: readonly Ingredient[];
  items: readonly Item[];
}): Result<{
  items: Record<string, { contains: string[]; mayContain: string[] }>;
}> {
  const byId = new Map(input.ingredients.map((ingredient) => [ingredient.id, ingredient]));
  const items: Record<string, { contains: string[]; mayContain: string[] }> = {};
  for (const [k, item] of input.items.entries()) {
    const contains = new Set<AllergenTag>();
    const may = new Set<AllergenTag>(item.medium);
    /** What is wrong below an ingredient, if anything. */
    const walk = (id: string, above: readonly string[]): "unknown" | "inconsistent" | undefined => {
      const ingredient = byId.get(id);
      if (!ingredient) return "unknown";
      if (above.includes(id)) return "inconsistent";
      ingredient.contains.forEach((tag) => contains.add(tag));
      ingredient.mayContain.forEach((tag) => may.add(tag));
      for (const used of ingredient.uses) {
        const wrong = walk(used, [...above, id]);
        if (wrong) return wrong;
      }
      return undefined;
    };
    for (const [j, id] of item.ingredients.entries()) {
      const wrong = walk(id, []);
      if (wrong)
        return fail({
          code: wrong,
          path: ["items", k, "ingredients", j],
          got: id,
          wanted: wrong === "unknown" ? "ingredients that are all listed" : "an ingredient that does not use itself",
        });
    }
    const shown = groupsOf(contains, input.regime);
    items[item.id] = { contains: shown, mayContain: groupsOf(may, input.regime).filter((group) => !shown.includes(group)) };
  }
  return ok({ items });
}
