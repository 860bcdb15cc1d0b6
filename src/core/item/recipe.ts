import { freshId } from "../shared/fresh-id";
import type { Component, Item } from "./schema";
import { ingredientOf, isFlour } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { readLine, type Reading } from "../ingredients/read-line";
import type { System } from "../quantities/unit-table";

/** Reads recipe lines; blank ones are passed over. */
export const readLines = (text: string, system: System, catalogue: Catalogue = OURS): Reading[] =>
  text
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== "")
    .map((line) => readLine(line, system, catalogue.index));

/** Longest line that is kept, and longest name of an ingredient. */
const MOST_TEXT = 300;
const MOST_NAME = 120;

/** Whether a line can stand in a formula: it has a weight. */
export const isWeighed = (reading: Reading): reading is Reading & { readonly grams: number } =>
  reading.grams !== null && reading.grams > 0;

/** A line as a component, under an id that no other has. */
export function componentFrom(
  reading: Reading & { readonly grams: number },
  place: "dough" | "filling",
  taken: readonly string[],
  catalogue: Catalogue = OURS,
): Component {
  const name = reading.name.slice(0, MOST_NAME);
  const flour = place === "dough" && isFlour({ name }, catalogue);
  const loss = ingredientOf({ name }, catalogue)?.cookLossPct;
  return {
    id: freshId(name, taken),
    name,
    grams: Math.round(reading.grams * 10) / 10,
    ...(flour && { flour }),
    ...(place === "filling" && { cook: true, ...(loss !== undefined && { lossPct: loss }) }),
    ...(reading.amount !== null && { measure: reading.amount.slice(0, 60) }),
    text: reading.text.trim().slice(0, MOST_TEXT),
  };
}

/** Lines as components, and those that cannot be weighed as gaps with what was written. */
export function fromLines(
  readings: readonly Reading[],
  place: "dough" | "filling",
  before: { readonly components: readonly Component[]; readonly gaps: readonly NonNullable<Item["gaps"]>[number][] },
  catalogue: Catalogue = OURS,
): { components: Component[]; gaps: NonNullable<Item["gaps"]> } {
  const components = [...before.components];
  const gaps = [...before.gaps];
  for (const reading of readings) {
    if (reading.heading) continue;
    if (isWeighed(reading))
      components.push(
        componentFrom(
          reading,
          place,
          components.map((c) => c.id),
          catalogue,
        ),
      );
    else
      gaps.push({
        id: freshId(
          reading.name,
          gaps.map((gap) => gap.id),
        ),
        in: place,
        text: reading.text.trim().slice(0, MOST_TEXT),
      });
  }
  return { components, gaps };
}

/** The item with its measures in another system's cups and spoons: what was typed stands and its grams follow. */
export function measuredIn(item: Item, system: System, catalogue: Catalogue = OURS): Item {
  const reread = (c: Component): Component => {
    const read = c.measure === undefined ? undefined : readLine(`${c.measure} ${c.name}`, system, catalogue.index);
    if (!read || !isWeighed(read)) return c;
    return { ...c, grams: Math.round(read.grams * 10) / 10 };
  };
  const all = <T extends { components: Component[] }>(place: T): T => ({ ...place, components: place.components.map(reread) });
  return {
    ...item,
    measures: system,
    dough: { ...item.dough, parts: item.dough.parts.map(all) },
    filling: { ...all(item.filling), ...(item.filling.variants && { variants: item.filling.variants.map(all) }) },
    finish: item.finish.map(all),
  };
}

/** A copy under a name of its own. With `emptied` the filling is left out, to try another in the same dough. */
export function copyOf(item: Item, taken: readonly string[], emptied: boolean): Item {
  const name = `${item.name}${emptied ? ", another filling" : " (copy)"}`;
  return {
    ...item,
    id: freshId(name, taken),
    name,
    ...(emptied && {
      filling: { ...item.filling, components: [], variants: undefined, note: undefined },
      gaps: item.gaps?.filter((gap) => gap.in !== "filling"),
    }),
  };
}
