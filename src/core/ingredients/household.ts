import { displayVolume, fractionText } from "../quantities/display";
import type { System } from "../quantities/unit-table";
import { eggGrams } from "./eggs";
import { ingredientOf, type Named } from "./lookup";
import { OURS, type Catalogue } from "./own";

/**
 * Grams of a line as cups and spoons, or as eggs; undefined where there is no density to go by.
 * @param grams > 0, g
 */
export function householdText(line: Named, grams: number, system: System, catalogue: Catalogue = OURS): string | undefined {
  const ingredient = ingredientOf(line, catalogue);
  if (!ingredient || !(grams > 0)) return undefined;
  if (ingredient.id === "egg") {
    const n = grams / eggGrams("eu", "M", "whole")!;
    const halves = Math.round(n * 2) / 2;
    if (halves > 0 && Math.abs(n - halves) <= 0.12 * n) return `${fractionText(halves)} ${halves > 1 ? "eggs" : "egg"}`;
  }
  if (ingredient.gramsPerCup === undefined) return undefined;
  return displayVolume({ ml: (grams * 240) / ingredient.gramsPerCup, system }).text;
}
