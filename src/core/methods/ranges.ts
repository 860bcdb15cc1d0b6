import { z } from "zod";
import type { Explained } from "./about";
import { INPUTS } from "./inputs";

/** For which inputs a method holds, by their names. */
export type Ranges = Readonly<Record<string, readonly [least: number, most: number]>>;

/** The range of a number, without its default. */
function numberIn(rule: unknown): readonly [number, number] | undefined {
  let inner = rule as { readonly def?: { readonly innerType?: unknown } } | undefined;
  while (inner?.def?.innerType) inner = inner.def.innerType as typeof inner;
  const { minValue, maxValue } = (inner ?? {}) as { minValue?: unknown; maxValue?: unknown };
  return inner instanceof z.ZodNumber && typeof minValue === "number" && typeof maxValue === "number"
    ? [minValue, maxValue]
    : undefined;
}

/** The ranges of a method's own numbers. */
export const rangesIn = (name: Explained): Ranges =>
  Object.fromEntries(
    Object.entries((INPUTS[name] as unknown as z.ZodObject).shape).flatMap(([key, rule]) => {
      const range = numberIn(rule);
      return range ? [[key, range] as const] : [];
    }),
  );
