import { freshId } from "../shared/fresh-id";
import { fillingFor, usableDoughG } from "./yields";
import type { Component, Item } from "./schema";
import { ingredientOf, isFlour } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { readLine, type Reading } from "../ingredients/read-line";
import { readOvenTemperature, type OvenRead } from "../quantities/oven-text";
import type { System } from "../quantities/unit-table";
import { failWith, ok, type Issue, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";
import { holdBackFor } from "./by-feel";

/** Reads recipe lines; blank ones are passed over. */
export const readLines = (text: string, system: System, catalogue: Catalogue = OURS): Reading[] =>
  text
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== "")
    .map((line) => readLine(line, system, catalogue.index));

/** A recipe as it is typed from paper. */
export interface RecipeForm {
  readonly name: string;
  readonly pieces: number;
  readonly dough: string;
  readonly filling: string;
  /** As written: "375 °F", "gas 5", "400 F, then 350 F". */
  readonly temperature: string;
  readonly minutes: number;
  readonly system: System;
  /** Figures that were taken from what is usual, since the recipe does not say. */
  readonly guessed?: readonly Guessed[];
  /** How much cooler this cook's fan oven is set, °C. */
  readonly fanLessC?: number;
}
export type Guessed = NonNullable<Item["guessed"]>[number];

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

/**
 * A new item from a recipe on paper: the formula as typed, the process of an item that is made the same way. A line that
 * cannot be weighed is kept as a gap. All issues at once, by field.
 */
export function itemFromRecipe(
  form: RecipeForm,
  like: Item,
  taken: readonly string[],
  catalogue: Catalogue = OURS,
): Result<Item> {
  const issues: Issue[] = [];
  const refuse = (code: Issue["code"], path: string, got: unknown, wanted: string) =>
    issues.push({ code, path: [path], got, wanted });
  if (form.name.trim() === "") refuse("missing", "name", undefined, "a name");
  if (!Number.isInteger(form.pieces) || form.pieces < 1 || form.pieces > 2000)
    refuse("out_of_range", "pieces", form.pieces, "a whole number of pieces from 1 to 2000");
  const none = { components: [], gaps: [] };
  const dough = fromLines(readLines(form.dough, form.system, catalogue), "dough", none, catalogue);
  const filling = fromLines(
    readLines(form.filling, form.system, catalogue),
    "filling",
    { components: [], gaps: dough.gaps },
    catalogue,
  );
  if (dough.components.length === 0) refuse("missing", "dough", undefined, "the ingredients of the dough, one a line");
  else if (dough.gaps.length === 0 && !dough.components.some((c) => c.flour))
    refuse("inconsistent", "dough", form.dough.split("\n")[0], "a dough with some flour in it");
  const heated = like.steps.some((step) => ovenOf(step));
  const oven = heated ? readOvenTemperature(form.temperature, form.fanLessC) : undefined;
  if (oven && !oven.ok) issues.push(oven.issues[0]);
  if (heated && !(form.minutes > 0 && form.minutes <= 300))
    refuse("out_of_range", "minutes", form.minutes, "minutes in the oven from 1 to 300");
  if (issues.length > 0) return failWith(issues);

  const usableDough = usableDoughG(like, sum(dough.components.map((c) => c.grams)));
  const { cookingLossPct, handlingLossPct } = like.filling;
  const { usableG: usableFilling } = fillingFor({ components: filling.components, cookingLossPct, handlingLossPct });
  const round = (g: number) => Math.floor(g * 10) / 10;
  return ok({
    ...like,
    id: freshId(form.name, taken),
    name: form.name.trim(),
    line: `Made like ${like.name}.`,
    alsoContains: undefined,
    without: undefined,
    gaps: filling.gaps.length > 0 ? filling.gaps : undefined,
    guessed: form.guessed && form.guessed.length > 0 ? [...form.guessed] : undefined,
    written: { dough: form.dough.slice(0, 20000), filling: form.filling.slice(0, 20000), oven: form.temperature.slice(0, 200) },
    measures: form.system,
    base: { pieces: form.pieces },
    dough: {
      parts: [{ id: "dough", name: "Dough", components: dough.components }],
      netLossPct: like.dough.netLossPct,
      targetC: like.dough.targetC,
      holdBack: holdBackFor(dough.components, catalogue),
    },
    filling: { ...like.filling, note: undefined, components: filling.components, variants: undefined },
    finish: [],
    piece: { ...like.piece, doughG: round(usableDough / form.pieces), fillingG: round(usableFilling / form.pieces) },
    schools: [],
    faults: [],
    steps: like.steps
      .filter((step) => !step.when || isDefault(like, step.when))
      .map((step) => withOven({ ...step, when: undefined }, oven?.ok ? oven.value : undefined, form.minutes)),
  });
}

const isDefault = (item: Item, { school, option }: { school: string; option: string }): boolean => {
  const options = item.schools.find((s) => s.id === school)?.options ?? [];
  return (options.find((o) => o.default) ?? options[0])?.id === option;
};

const ovenOf = (step: Item["steps"][number]) => (step.kind === "bake" ? step.equipment.find((e) => e.id === "oven") : undefined);

function withOven(step: Item["steps"][number], read: OvenRead | undefined, minutes: number): Item["steps"][number] {
  if (read === undefined || !ovenOf(step)) return step;
  // What the plan cannot hold in one setting is said where it is done.
  const second = read.toFanC !== undefined || read.then.length > 0 ? ` The recipe says: ${read.read}.` : "";
  const last = (step.tend ?? []).filter((tend) => tend.fromMin < 0 || tend.fromMin + tend.minutes <= minutes);
  return {
    ...step,
    do: `${step.do}${second}`.slice(0, 600),
    time: { ...step.time, fixedMin: minutes },
    tend: step.tend && last,
    equipment: step.equipment.map((e) => (e.id === "oven" ? { ...e, settingC: read.fanC } : e)),
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
