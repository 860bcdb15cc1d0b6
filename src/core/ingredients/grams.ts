import { fail, ok, type Result } from "../shared/issue";
import ingredients from "../tables/ingredients.json";
import { measureOf, type System } from "../quantities/unit-table";
import type { PieceWeight } from "./catalogue";

export type Size = "small" | "medium" | "large";
const SIZES: readonly Size[] = ["small", "medium", "large"];

/** How an ingredient is measured: g in 240 ml, and g a piece by unit. */
export interface Measured {
  readonly gramsPerCup?: number;
  readonly pieces: Readonly<Record<string, PieceWeight>>;
}

const DENSITY: Readonly<Record<string, number>> = ingredients.gramsPerCup240;

/** What the table has of an ingredient; undefined where it has neither a density nor a weight a piece. */
function inTable(id: string): Measured | undefined {
  const pieces = ingredients.unitWeights.filter((w) => w.ingredient === id);
  if (!Object.hasOwn(DENSITY, id) && pieces.length === 0) return undefined;
  return {
    gramsPerCup: Object.hasOwn(DENSITY, id) ? DENSITY[id] : undefined,
    pieces: Object.fromEntries(pieces.map((w) => [w.unit, w.g as PieceWeight])),
  };
}

export const ofSize = (weight: PieceWeight, size: Size): number =>
  typeof weight === "number" ? weight : weight[SIZES.indexOf(size)];

/** Grams of one unit: by mass, else by its weight a piece, else by its density; undefined where it cannot be weighed so. */
export function gramsOfUnit(
  unit: string,
  size: Size,
  system: System,
  measured: Measured | undefined,
): { grams: number; via: "mass" | "density" | "unitWeight" } | undefined {
  const measure = measureOf(unit, system);
  if (measure?.dimension === "mass") return { grams: measure.factor, via: "mass" };
  if (measured && Object.hasOwn(measured.pieces, unit)) return { grams: ofSize(measured.pieces[unit], size), via: "unitWeight" };
  if (measure?.dimension === "volume" && measured?.gramsPerCup !== undefined)
    return { grams: (measure.factor * measured.gramsPerCup) / 240, via: "density" };
  return undefined;
}

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
  const measured = inTable(ingredient);
  const one = gramsOfUnit(unit, size, system, measured);
  if (one) return ok({ grams: amount * one.grams, via: one.via });
  return measured
    ? fail({ code: "unknown", path: ["unit"], got: unit, wanted: `a measure in which ${ingredient} can be weighed` })
    : fail({
        code: "unknown",
        path: ["ingredient"],
        got: ingredient,
        wanted: "an ingredient with a density or a weight a piece",
      });
}
