import type { Component } from "./schema";

/** What is taken out again before a filling is used. */
const TAKEN_OUT =
  /bay lea|cinnamon stick|star anise|cardamom pod|whole clove|^cloves$|peppercorn|bouquet|bone|sprig|lemon ?grass|kaffir|orange peel|lemon peel|cheesecloth/i;

/** One kind of thing that is counted in and out; `count` where the recipe says how many. */
export interface CountedOut {
  readonly name: string;
  readonly count: number | undefined;
}

/** Whole spices, leaves and bones of a filling, as they are counted in and out again. */
export const countedOut = (components: readonly Pick<Component, "name" | "text" | "measure">[]): CountedOut[] =>
  components
    .filter(({ name }) => TAKEN_OUT.test(name))
    .map(({ name, text, measure }) => {
      const said = /^\s*(\d{1,2})(?!\s*(?:g|kg|ml|l|oz|tsp|tbsp)\b)/i.exec(measure ?? text ?? "");
      return { name: name.split(",")[0].trim(), count: said ? Number(said[1]) : undefined };
    });
