import { doughWater } from "@/core/item/dough-water";
import type { Item } from "@/core/item/schema";
import type { Step } from "@/core/item/step";

/** Longest that a mixer kneads at a time, min. */
const KNEADS_MIN = 10;

/** How warm the liquid of a dough is poured, for the dough to come to what is wanted of it; undefined where nothing is wanted. */
export function waterText(made: Item, step: Step, roomC: number, degrees: (celsius: number) => string): string | undefined {
  const { targetC, parts } = made.dough;
  if (step.kind !== "weigh" || step.part !== "dough" || targetC === undefined) return undefined;
  const mix = made.steps.find(({ part, kind }) => part === "dough" && (kind === "knead" || kind === "mix"));
  const mixing = mix?.equipment.some(({ id }) => id === "mixer") ? ("mixerMedium" as const) : ("hand" as const);
  const minutes = Math.min(KNEADS_MIN, mix?.time.fixedMin ?? KNEADS_MIN);
  const found = doughWater(parts, targetC, roomC, { mixing, minutes });
  if (!found) return undefined;
  const { liquid, useC, iceG, grams, doughC } = found;
  const ice = iceG > 0 ? `, ${Math.round((100 * iceG) / grams)} % of it as ice` : "";
  const comes =
    Math.abs(doughC - targetC) > 1
      ? `the dough comes to ${degrees(Math.round(doughC))}, not ${degrees(targetC)}`
      : `for a dough of ${degrees(targetC)}`;
  return `${liquid.split(",")[0]} at about ${degrees(Math.round(useC))}${ice}, ${comes}, in a room of ${degrees(roomC)}`;
}
