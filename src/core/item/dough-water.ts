import { doughTemperature, kneadingRise, waterFor, type HeatPart } from "../process/mixing";
import { ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { sum } from "../shared/rounding";
import type { Component, Item } from "./schema";

/** Yeast meets no warmer liquid, °C. */
const YEAST_MOST_C = 40;
const FRIDGE_C = 5;
const TAP_C = 15;
const COLD_KINDS = ["dairy", "butter", "egg"] as const;

const kindsOf = (line: Component, catalogue: Catalogue): readonly string[] => ingredientOf(line, catalogue)?.kinds ?? [];

const kindOf = (line: Component, catalogue: Catalogue): HeatPart["kind"] => {
  const kinds = kindsOf(line, catalogue);
  if (ingredientOf(line, catalogue)?.flour) return "flour";
  if (kinds.includes("water")) return "water";
  if (kinds.includes("egg")) return "egg";
  if (kinds.some((kind) => ["butter", "oil", "fat", "plant-fat", "animal-fat"].includes(kind))) return "fat";
  if (kinds.includes("dairy") || kinds.includes("plant-drink")) return "milk";
  if (kinds.includes("sugar") || kinds.includes("sweet")) return "sugar";
  return kinds.includes("salt") ? "salt" : "other";
};

/** The liquid of a dough, and how warm it must be: as it comes out with the rest at the room's temperature, and what is kept cold from the fridge. */
export interface DoughWater {
  readonly liquid: string;
  readonly grams: number;
  readonly useC: number;
  readonly iceG: number;
  /** What the dough comes to, °C. */
  readonly doughC: number;
}

/**
 * How warm the largest liquid of a dough must be for it to come to `wantedC`; undefined where it has none. What goes into it as a part
 * of its own (a cooked paste) is at the room's temperature by then.
 * @param kneading how it is kneaded, and for how many minutes
 */
export function doughWater(
  all: Item["dough"]["parts"],
  wantedC: number,
  roomC: number,
  kneading: { readonly mixing: "hand" | "mixerMedium"; readonly minutes: number },
  catalogue: Catalogue = OURS,
): DoughWater | undefined {
  const flourIn = ({ components }: (typeof all)[number]) =>
    sum(components.filter(({ flour }) => flour).map(({ grams }) => grams));
  const main = all.reduce((most, part) => (flourIn(part) > flourIn(most) ? part : most));
  const pasteG = sum(all.flatMap((part) => (part === main ? [] : part.components.map(({ grams }) => grams))));
  const lines = main.components;
  const parts = lines.map((line) => ({ line, kind: kindOf(line, catalogue) }));
  const [liquid] = parts.filter(({ kind }) => kind === "water" || kind === "milk").sort((a, b) => b.line.grams - a.line.grams);
  const others = parts.filter((part) => part !== liquid);
  if (!liquid || others.length === 0 || sum(others.map(({ line }) => line.grams)) <= 0) return undefined;
  const isCold = (line: Component) => COLD_KINDS.some((kind) => kindsOf(line, catalogue).includes(kind));
  const { riseC } = kneadingRise(kneading);
  const isYeasted = lines.some((line) => kindsOf(line, catalogue).includes("yeast"));
  const heat: HeatPart[] = [
    ...others.map(({ line, kind }): HeatPart => ({ kind, grams: line.grams, tempC: isCold(line) ? FRIDGE_C : roomC })),
    ...(pasteG > 0 ? [{ kind: "paste" as const, grams: pasteG, tempC: roomC }] : []),
  ];
  const found = waterFor({
    desiredC: wantedC,
    riseC,
    waterG: liquid.line.grams,
    tapC: TAP_C,
    iceC: -18,
    parts: heat,
    ...(isYeasted && { yeastMaxC: YEAST_MOST_C }),
  });
  if (found.ok) {
    const { useC, iceG, doughC } = found.value;
    return { liquid: liquid.line.name, grams: liquid.line.grams, useC, iceG, doughC };
  }
  // No ice in the world makes it so cold: as cold as the tap runs.
  const { doughC } = doughTemperature({ parts: [...heat, { kind: liquid.kind, grams: liquid.line.grams, tempC: TAP_C }], riseC });
  return { liquid: liquid.line.name, grams: liquid.line.grams, useC: TAP_C, iceG: 0, doughC };
}
