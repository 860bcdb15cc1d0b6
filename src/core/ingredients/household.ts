import ingredients from "../tables/ingredients.json";
import { displayVolume, fractionText } from "../quantities/display";
import { matchIngredient } from "./names";
import type { ParsedLine } from "./parse-line";
import type { System } from "../quantities/unit-table";
import { measureOf } from "../quantities/unit-table";
import { isKnownIngredient, toGrams } from "./grams";
import { eggGrams } from "./eggs";

const DENSITY: Readonly<Record<string, number>> = ingredients.gramsPerCup240;

/**
 * Grams of a named ingredient as cups and spoons, or as eggs; undefined where there is no density to go by.
 * @param grams > 0, g
 */
export function householdText(name: string, grams: number, system: System): string | undefined {
  const id = matchIngredient(name);
  if (!id || !(grams > 0)) return undefined;
  if (id === "egg") {
    const n = grams / eggGrams("eu", "M", "whole")!;
    const halves = Math.round(n * 2) / 2;
    if (halves > 0 && Math.abs(n - halves) <= 0.12 * n) return `${fractionText(halves)} ${halves > 1 ? "eggs" : "egg"}`;
  }
  if (!Object.hasOwn(DENSITY, id)) return undefined;
  return displayVolume({ ml: (grams * 240) / DENSITY[id], system }).text;
}

/** A line that was read, in grams: or why it cannot be weighed. A range is weighed at its middle. */
export type Weighed =
  | {
      readonly kind: "weighed";
      readonly grams: number;
      readonly minG: number;
      readonly maxG: number;
      readonly ingredient: string | undefined;
      readonly via: "mass" | "density" | "unitWeight";
    }
  | { readonly kind: "open"; readonly why: "no-amount" | "needs-density" | "needs-weight" };

/** Grams of a parsed ingredient line in a system of cups and spoons. */
export function weighLine(line: ParsedLine, system: System): Weighed {
  if (line.min === null || line.max === null || line.unit === null) return { kind: "open", why: "no-amount" };
  const ingredient = matchIngredient(line.rest);
  const size = /\b(small|large)\b/i.exec(line.rest)?.[1].toLowerCase() as "small" | "large" | undefined;
  const measure = measureOf(line.unit, system);
  const each = toGrams({ amount: 1, unit: line.unit, ingredient: ingredient ?? line.rest, size: size ?? "medium", system });
  if (!each.ok)
    return {
      kind: "open",
      why:
        measure?.dimension === "volume" || (ingredient !== undefined && isKnownIngredient(ingredient) && measure !== undefined)
          ? "needs-density"
          : "needs-weight",
    };
  const { grams, via } = each.value;
  return {
    kind: "weighed",
    grams: (grams * (line.min + line.max)) / 2,
    minG: grams * line.min,
    maxG: grams * line.max,
    ingredient,
    via,
  };
}
