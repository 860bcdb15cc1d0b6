import { fail, ok, type Result } from "../shared/issue";
import ingredients from "../tables/ingredients.json";
import { measureOf, type System } from "../quantities/unit-table";

export type Size = "small" | "medium" | "large";

const SIZES: readonly Size[] = ["small", "medium", "large"];

const DENSITY: Readonly<Record<string, number>> = ingredients.gramsPerCup240;

/** Whether an ingredient has a density or a weight a piece, so that cups of it can be weighed. */
export const isKnownIngredient = (id: string): boolean =>
  Object.hasOwn(DENSITY, id) || ingredients.unitWeights.some((w) => w.ingredient === id);

/**
 * A kitchen measure of an ingredient in grams: by mass, else by its weight a piece, else by its density.
 * Issues: `unknown` ingredient, `unknown` unit. Source: usual kitchen densities (g per 240 ml); a scooped cup differs by 10 % and more.
 */
export function toGrams(input: {
  amount: number;
  unit: string;
  ingredient: string;
  size: Size;
  system: System;
}): Result<{ grams: number; via: "mass" | "density" | "unitWeight" }> {
  const { amount, unit, ingredient, size, system } = input;
  const measure = measureOf(unit, system);
  if (measure?.dimension === "mass") return ok({ grams: amount * measure.factor, via: "mass" });
  if (!isKnownIngredient(ingredient))
    return fail({
      code: "unknown",
      path: ["ingredient"],
      got: ingredient,
      wanted: "an ingredient with a density or a weight a piece",
    });
  const counted = ingredients.unitWeights.find((w) => w.ingredient === ingredient && w.unit === unit);
  if (counted) {
    const each = typeof counted.g === "number" ? counted.g : counted.g[SIZES.indexOf(size)];
    return ok({ grams: amount * each, via: "unitWeight" });
  }
  if (measure?.dimension === "volume" && Object.hasOwn(DENSITY, ingredient))
    return ok({ grams: (amount * measure.factor * DENSITY[ingredient]) / 240, via: "density" });
  return fail({ code: "unknown", path: ["unit"], got: unit, wanted: `a measure in which ${ingredient} can be weighed` });
}
