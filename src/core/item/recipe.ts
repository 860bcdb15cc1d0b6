import { fillingFor, usableDoughG } from "./yields";
import type { Component, Item } from "./schema";
import { weighLine, type Weighed } from "../ingredients/household";
import { readOvenTemperature } from "../quantities/oven-text";
import { parseLine, type ParsedLine } from "../ingredients/parse-line";
import type { System } from "../quantities/unit-table";
import { fail, ok, type Issue, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";
import { freshId } from "./desk";
import { isFlour } from "../ingredients/flour";
import { dietsOf, tagsOf } from "../ingredients/tags";

/** One pasted line and what was understood of it. */
export interface ReadLine {
  readonly text: string;
  readonly line: ParsedLine | undefined;
  readonly weighed: Weighed | undefined;
  /** Name of the ingredient as it will stand in the formula. */
  readonly name: string;
  readonly issue: Issue | undefined;
}

/** Reads pasted ingredient lines; blank ones are passed over. */
export function readLines(text: string, system: System): ReadLine[] {
  return text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== "")
    .map((line) => readOne(line, system));
}

/** Reads one line of a recipe and weighs it by the cups and spoons of a system. */
export function readOne(text: string, system: System): ReadLine {
  const parsed = parseLine(text);
  if (!parsed.ok) return { text, line: undefined, weighed: undefined, name: text.trim(), issue: parsed.issues[0] };
  const line = parsed.value;
  return { text, line, weighed: weighLine(line, system), name: line.rest || text.trim(), issue: undefined };
}

/** A recipe as it is typed from paper. */
export interface RecipeForm {
  readonly name: string;
  readonly pieces: number;
  readonly dough: string;
  readonly filling: string;
  /** As written: "375 °F", "gas 5". */
  readonly temperature: string;
  readonly minutes: number;
  readonly system: System;
}

const MEASURE = /^[^a-zA-Z]*(?:[a-zA-Z.]+\.?)?/;

/** A line's own measure, kept beside its grams. */
export const measureOfLine = (read: ReadLine): string | undefined => {
  const words =
    (read.line && read.line.rest && read.text.slice(0, read.text.length - read.line.rest.length).trim()) ||
    MEASURE.exec(read.text)?.[0].trim();
  return words ? words.replace(/,$/, "").slice(0, 60) : undefined;
};

function components(lines: readonly ReadLine[], place: "dough" | "filling"): Component[] {
  const out: Component[] = [];
  for (const read of lines) {
    if (read.weighed?.kind !== "weighed" || !(read.weighed.grams > 0)) continue;
    const id = freshId(
      read.name,
      out.map((c) => c.id),
    );
    const measure = measureOfLine(read);
    out.push({
      id,
      name: read.name.slice(0, 120),
      grams: Math.round(read.weighed.grams * 10) / 10,
      ...(place === "dough" ? isFlour(read.name) && { flour: true } : { cook: true }),
      ...(measure && { measure }),
    });
  }
  return out;
}

/** The item with its measures in another system's cups and spoons: what was typed stands and its grams follow. */
export function measuredIn(item: Item, system: System): Item {
  const reread = (c: Component): Component => {
    const read = c.measure === undefined ? undefined : readOne(`${c.measure} ${c.name}`, system);
    if (read?.weighed?.kind !== "weighed" || !(read.weighed.grams > 0)) return c;
    return { ...c, grams: Math.round(read.weighed.grams * 10) / 10 };
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
 * A new item from a recipe on paper: the formula as typed, the process of an item that is made the same way. Diet and
 * allergens follow from the names of the ingredients and want a look. All issues at once, by field.
 */
export function itemFromRecipe(form: RecipeForm, like: Item, taken: readonly string[]): Result<Item> {
  const issues: Issue[] = [];
  const refuse = (code: Issue["code"], path: string, got: unknown, wanted: string) =>
    issues.push({ code, path: [path], got, wanted });
  if (form.name.trim() === "") refuse("missing", "name", undefined, "a name");
  if (!Number.isInteger(form.pieces) || form.pieces < 1 || form.pieces > 2000)
    refuse("out_of_range", "pieces", form.pieces, "a whole number of pieces from 1 to 2000");
  const doughLines = readLines(form.dough, form.system);
  const fillingLines = readLines(form.filling, form.system);
  for (const [field, lines] of [
    ["dough", doughLines],
    ["filling", fillingLines],
  ] as const) {
    const wrong = lines.find((read) => read.issue);
    if (wrong) refuse(wrong.issue!.code, field, wrong.text, wrong.issue!.wanted ?? "an ingredient line");
    const open = lines.find((read) => read.weighed?.kind === "open" && read.weighed.why !== "no-amount");
    if (open) refuse("unknown", field, open.text, `an amount by weight, since “${open.name}” has no density here`);
  }
  const dough = components(doughLines, "dough");
  const filling = components(fillingLines, "filling");
  if (dough.length === 0) refuse("missing", "dough", undefined, "the ingredients of the dough, one a line");
  else if (!dough.some((c) => c.flour))
    refuse("inconsistent", "dough", form.dough.split("\n")[0], "a dough with some flour in it");
  const heated = like.steps.some((step) => ovenOf(step));
  const oven = heated ? readOvenTemperature(form.temperature) : undefined;
  if (oven && !oven.ok) issues.push(oven.issues[0]);
  if (heated && !(form.minutes > 0 && form.minutes <= 300))
    refuse("out_of_range", "minutes", form.minutes, "minutes in the oven from 1 to 300");
  if (issues.length > 0) return fail(...(issues as [Issue, ...Issue[]]));

  const usableDough = usableDoughG(like, sum(dough.map((c) => c.grams)));
  const { cookingLossPct, handlingLossPct } = like.filling;
  const all = filling.map((c) => ({ ...c, cook: true }));
  const { usableG: usableFilling } = fillingFor({ components: all, cookingLossPct, handlingLossPct });
  const names = [...dough, ...filling].map((c) => c.name);
  const round = (g: number) => Math.floor(g * 10) / 10;
  return ok({
    ...like,
    id: freshId(form.name, taken),
    name: form.name.trim(),
    line: `Made like ${like.name}.`,
    diet: dietsOf(names),
    allergens: tagsOf(names),
    dietNote: undefined,
    measures: form.system,
    base: { pieces: form.pieces },
    dough: {
      parts: [{ id: "dough", name: "Dough", components: dough }],
      netLossPct: like.dough.netLossPct,
      targetC: like.dough.targetC,
    },
    filling: { ...like.filling, note: undefined, components: filling, variants: undefined },
    finish: [],
    piece: { ...like.piece, doughG: round(usableDough / form.pieces), fillingG: round(usableFilling / form.pieces) },
    schools: [],
    faults: [],
    fryOil: like.fryOil && { ...like.fryOil, keepVeganOption: undefined, keepVegan: dietsOf(names).includes("vegan") },
    steps: like.steps
      .filter((step) => !step.when || isDefault(like, step.when))
      .map((step) => withOven({ ...step, when: undefined }, oven?.ok ? oven.value.fanC : undefined, form.minutes)),
  });
}

const isDefault = (item: Item, { school, option }: { school: string; option: string }): boolean => {
  const options = item.schools.find((s) => s.id === school)?.options ?? [];
  return (options.find((o) => o.default) ?? options[0])?.id === option;
};

const ovenOf = (step: Item["steps"][number]) => (step.kind === "bake" ? step.equipment.find((e) => e.id === "oven") : undefined);

function withOven(step: Item["steps"][number], fanC: number | undefined, minutes: number): Item["steps"][number] {
  if (fanC === undefined || !ovenOf(step)) return step;
  const last = (step.tend ?? []).filter((tend) => tend.fromMin < 0 || tend.fromMin + tend.minutes <= minutes);
  return {
    ...step,
    time: { ...step.time, fixedMin: minutes },
    tend: step.tend && last,
    equipment: step.equipment.map((e) => (e.id === "oven" ? { ...e, settingC: fanC } : e)),
  };
}

/** A copy under a name of its own. With `emptied` the filling is left out, to try another in the same dough. */
export function copyOf(item: Item, taken: readonly string[], emptied: boolean): Item {
  const name = `${item.name}${emptied ? ", another filling" : " (copy)"}`;
  return {
    ...item,
    id: freshId(name, taken),
    name,
    ...(emptied && { filling: { ...item.filling, components: [], variants: undefined, note: undefined } }),
  };
}
