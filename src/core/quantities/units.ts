import { fail, ok, type Result } from "../shared/issue";
import { near } from "../shared/rounding";
import ingredients from "../tables/ingredients.json";
import units from "../tables/units.json";
import { measureOf, type System } from "./unit-table";

/** An amount in another unit of the same dimension. Issues: `unknown` from or to, `inconsistent` to. */
export function convert(input: { value: number; from: string; to: string; system: System }): Result<{ value: number }> {
  const from = measureOf(input.from, input.system);
  const to = measureOf(input.to, input.system);
  const wanted = "a unit of mass, length or volume";
  if (!from) return fail({ code: "unknown", path: ["from"], got: input.from, wanted });
  if (!to) return fail({ code: "unknown", path: ["to"], got: input.to, wanted });
  if (from.dimension !== to.dimension)
    return fail({ code: "inconsistent", path: ["to"], got: input.to, wanted: `a unit of ${from.dimension}` });
  return ok({ value: (input.value * from.factor) / to.factor });
}

export type Scale = "C" | "F" | "gas";

export const fahrenheitOf = (celsius: number): number => (9 / 5) * celsius + 32;

/** Between °C, °F and gas mark. Issues: `unknown` value (no such mark), `out_of_range` value. */
export function convertTemperature({ value, from, to }: { value: number; from: Scale; to: Scale }): Result<{ value: number }> {
  const marks = units.gasMarks;
  const mark = marks.find((m) => m.mark === value);
  if (from === "gas" && !mark)
    return fail({
      code: "unknown",
      path: ["value"],
      got: value,
      wanted: `one of the marks ${marks.map((m) => m.mark).join(", ")}`,
    });
  const fahrenheit = from === "gas" ? mark!.f : from === "C" ? fahrenheitOf(value) : value;
  if (fahrenheit < -459.67)
    return fail({ code: "out_of_range", path: ["value"], got: value, wanted: "a temperature above absolute zero" });
  if (to === "F") return ok({ value: fahrenheit });
  if (to === "C") return ok({ value: ((fahrenheit - 32) * 5) / 9 });
  if (fahrenheit < 212.5 || fahrenheit > 487.5)
    return fail({
      code: "out_of_range",
      path: ["value"],
      got: value,
      wanted: "a temperature that a gas oven has (212.5 to 487.5 °F)",
    });
  const nearest = marks.reduce((best, m) => (Math.abs(m.f - fahrenheit) < Math.abs(best.f - fahrenheit) ? m : best));
  return ok({ value: nearest.mark });
}

export type OvenKind = "conventional" | "fan";

/** What a fan oven is set to for a conventional one's setting, and back; `dialC` to the nearest 5 °C. Kitchen figure. */
export function ovenDial({ celsius: c, from, to }: { celsius: number; from: OvenKind; to: OvenKind }): {
  celsius: number;
  dialC: number;
} {
  const celsius = from === to ? c : from === "conventional" ? c - Math.min(20, 0.1 * c) : Math.min(c + 20, c / 0.9);
  return { celsius, dialC: 5 * near(celsius / 5) };
}

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

export type EggPart = "whole" | "white" | "yolk";
const EGGS: Readonly<Record<string, Readonly<Record<EggPart, number>> | undefined>> = ingredients.eggs;

/** One egg of a size without its shell, g; undefined where the region has no such size. */
export const eggGrams = (region: string, size: string, part: EggPart): number | undefined => EGGS[`${region}-${size}`]?.[part];

/** Eggs in grams without shell. Issues: `unknown` size. */
export function eggs(input: { count: number; region: string; size: string; part: EggPart }): Result<{ grams: number }> {
  const each = eggGrams(input.region, input.size, input.part);
  return each === undefined ? noSuchEgg(input) : ok({ grams: input.count * each });
}

export const noSuchEgg = ({ region, size }: { region: string; size: string }) =>
  fail({ code: "unknown", path: ["size"], got: size, wanted: `a size of eggs sold in ${region}` });
