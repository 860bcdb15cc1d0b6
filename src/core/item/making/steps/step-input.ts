import type { z } from "zod";
import { plannedOf, type Length } from "../../paper/times";
import type { StepSchema } from "../../step";
import { listed } from "../../../shared/words";
import type { Operation } from "../hands";

/** A step as it is written down before its defaults are filled in. */
export type StepInput = z.input<typeof StepSchema>;
type Rest = NonNullable<StepInput["rest"]>;

const FRESH_AND_FREEZER: StepInput["path"] = ["fresh", "freezer"];

/** Longest text of a step. */
const MOST_TEXT = 590;
export const text = (...parts: readonly (string | false | undefined)[]): string =>
  parts
    .filter((part): part is string => Boolean(part))
    .join(" ")
    .slice(0, MOST_TEXT);

/** A shelf's part that a bowl of filling takes. */
export const SHELF = 0.5;

/** Cooling on a tray until it can be wrapped, min. */
export const COOL = { min: 25, target: 40, max: 120 } as const;

/** What lines are called in a sentence, each once: without how a thing is cut. */
export const namesIn = (lines: readonly { readonly name: string }[]): string =>
  listed([...new Set(lines.map(({ name }) => name.split(",")[0].trim()))]);

/** Work of hands on a batch, or on the pieces of a tray. */
export const byHand = (
  step: Pick<StepInput, "id" | "kind" | "part"> & Partial<StepInput>,
  { fixedMin, secPerPiece }: Operation,
): StepInput => ({
  path: FRESH_AND_FREEZER,
  lot: "batch",
  attention: "hands-on",
  hands: 1,
  time: { fixedMin: Math.round(fixedMin * 10) / 10, secPerPiece: Math.round(secPerPiece) },
  ...step,
});

/** A wait. */
export const waiting = (step: Pick<StepInput, "id" | "kind" | "part"> & Partial<StepInput>, rest: Rest): StepInput => ({
  path: FRESH_AND_FREEZER,
  lot: "batch",
  attention: "none",
  hands: 0,
  tend: [{ fromMin: 0, minutes: 1 }],
  rest,
  ...step,
});

/** A rest as the recipe has it, where it says so: ready at the least, too far some time after the most. */
export function restAs(rest: Rest, said: Length | undefined): { rest: Rest; from: "recipe" | "family" } {
  if (!said) return { rest, from: "family" };
  const { least, most } = said;
  const middle = Math.round(plannedOf(said));
  const roomy = Math.max(most, Math.round(middle * 1.5));
  return {
    rest: { ...rest, min: Math.round(least), target: middle, max: Math.max(roomy, Math.min(rest.max, middle * 2)) },
    from: "recipe",
  };
}

/** In the middle of what a recipe says, min. */
export const middleOf = (length: Length): number => Math.round(plannedOf(length) * 10) / 10;
