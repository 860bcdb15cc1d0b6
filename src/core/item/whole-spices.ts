import type { Component } from "./schema";

/** What is taken out again before a filling is used. */
const TAKEN_OUT =
  /bay lea|cinnamon stick|star anise|cardamom pod|whole clove|^cloves$|peppercorn|bouquet|bone|sprig|lemon ?grass|kaffir|orange peel|lemon peel|cheesecloth/i;

/** One kind of thing that is counted in and out; `count` where the recipe says how many. */
export interface CountedOut {
  readonly name: string;
  readonly count: number | undefined;
}

/** A part of one more is one more: none is left in. */
const WHOLE = 0.05;

/**
 * Whole spices, leaves and bones of a filling, as they are counted in and out again.
 * @param times how often what the recipe says goes in
 */
export const countedOut = (
  components: readonly (Pick<Component, "name" | "text" | "measure"> & { readonly times?: number })[],
): CountedOut[] =>
  components
    .filter(({ name }) => TAKEN_OUT.test(name))
    .map(({ name, text, measure, times = 1 }) => {
      const said = /^\s*(\d{1,2})(?!\s*(?:g|kg|ml|l|oz|tsp|tbsp)\b)/i.exec(measure ?? text ?? "");
      return { name: name.split(",")[0].trim(), count: said ? Math.ceil(Number(said[1]) * times - WHOLE) : undefined };
    });
