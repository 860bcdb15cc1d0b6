import { type Demand } from "../gathering/demands";
import { overlaps, sizeOf, type Range } from "../shared/range";
import type { Component, Item } from "../item/schema";
import { capacitiesOf, loadCapacity } from "../kitchen/capacity";
import type { Kitchen } from "../kitchen/schema";
import type { Group } from "./groups";
import { fillingFor, mixedDoughG } from "../item/yields";

export interface Ingredient {
  readonly id: string;
  /** Part of the dough, "filling", or what the finish is for. */
  readonly in: string;
  readonly name: string;
  /** Which of the catalogue's it is, where the cook said so. */
  readonly ingredient?: string;
  readonly grams: number;
  /** Share of this that is kept back at first and added by feel, %. */
  readonly holdBackPct?: number;
  /** Of the base that the item's fillings share. */
  readonly base?: true;
}

/** What is weighed together: one mixing of dough, one pot of filling, one finish. */
export interface Batch {
  readonly id: string;
  readonly item: string;
  readonly part: "dough" | "filling" | "finish";
  readonly pieces: number;
  readonly range: Range;
  readonly ingredients: readonly Ingredient[];
  /** g, the sum of the ingredients. */
  readonly totalG: number;
  /** All its steps are done before the plan begins. */
  readonly ahead?: true;
  /** The same for batches of different items that are made in one and then divided. */
  readonly together?: string;
}

/** Names a weight of a batch: with other grams it is another weight, and what was weighed out of it is not enough or too much. */
export const weightKey = (batch: Pick<Batch, "id">, line: Pick<Ingredient, "in" | "id" | "grams">): string =>
  `${batch.id} ${line.in} ${line.id} ${line.grams} g`;

const round = (g: number): number => Math.round(g * 10) / 10;

function batch(
  id: string,
  item: Item,
  part: Batch["part"],
  range: Range,
  lines: readonly Ingredient[],
  { ahead, together }: { ahead: boolean; together?: string },
): Batch {
  return {
    id,
    item: item.id,
    part,
    pieces: sizeOf(range),
    range,
    ingredients: lines,
    totalG: round(lines.reduce((sum, line) => sum + line.grams, 0)),
    ...(ahead && { ahead: true as const }),
    ...(together !== undefined && { together }),
  };
}

/** Every ingredient so many times. */
const times = (components: readonly (Component & { in: string })[], factor: number): Ingredient[] =>
  components.map((c) => ({
    id: c.id,
    in: c.in,
    name: c.name,
    ...(c.ingredient !== undefined && { ingredient: c.ingredient }),
    grams: round(c.grams * factor),
    ...(c.base && { base: true as const }),
  }));

/** Ingredients in proportion to their grams, together `total` g. */
function portion(components: readonly (Component & { in: string })[], total: number): Ingredient[] {
  return times(components, total / components.reduce((s, c) => s + c.grams, 0));
}

/** What goes into the pot for so many pieces, before it loses anything. */
function fillingOf({ resolved, item }: Pick<Demand, "resolved" | "item">, pieces: number): Ingredient[] {
  const components = resolved.fillingComponents.map((c) => ({ ...c, in: "filling" }));
  return times(components, fillingFor({ ...resolved, components }, pieces * item.piece.fillingG).factor);
}

/** What the pieces of one demand within a range take of the base that fillings share. */
function baseOf(demand: Demand, range: Range): Ingredient[] {
  const { range: own } = demand;
  const pieces = Math.max(0, Math.min(range[1], own[1]) - Math.max(range[0], own[0]));
  return fillingOf(demand, pieces).filter((line) => line.base);
}

/** How a base is divided: what each filling takes of it, by its id, as weighed raw, g. */
export function baseShares(
  batch: Pick<Batch, "item" | "range">,
  demands: readonly Demand[],
): { readonly filling: string; readonly grams: number }[] {
  const shares = new Map<string, number>();
  for (const demand of demands.filter(({ item, range }) => item.id === batch.item && overlaps(range, batch.range))) {
    const grams = baseOf(demand, batch.range).reduce((sum, line) => sum + line.grams, 0);
    shares.set(demand.resolved.filling, (shares.get(demand.resolved.filling) ?? 0) + grams);
  }
  return [...shares].map(([filling, grams]) => ({ filling, grams: round(grams) }));
}

/**
 * Grams of every batch of the plan. Dough: pieces × their dough, and the losses on top. Filling: the base scaled so
 * that after cooking and handling pieces × their filling are left. Finish: in proportion to the pieces whose path has
 * its step, or by the loads of that step.
 */
export function batchesOf(groups: readonly Group[], demands: readonly Demand[], kitchen: Kitchen): Batch[] {
  const batches: Batch[] = [];
  const number = new Map<string, number>();
  const next = (item: Item, part: string) => {
    const key = `${item.id}/${part}`;
    number.set(key, (number.get(key) ?? 0) + 1);
    return `${key}/${number.get(key)}`;
  };
  for (const group of groups) {
    const { item, part, ahead } = group;
    // What fillings share is weighed with each of them; at the scale it is one, see `weighingsOf`.
    if (group.base) continue;
    const { resolved } = group.demands[0];
    group.mixes.forEach((range, mix) => {
      const pieces = sizeOf(range);
      if (pieces === 0) return;
      const made = { ahead, together: group.together && `${group.together}/${mix + 1}` };
      if (part === "dough" && item.piece.doughG > 0) {
        const lines = portion(resolved.dough, mixedDoughG(item, pieces)).map((line) =>
          line.id === resolved.holdBack?.component ? { ...line, holdBackPct: resolved.holdBack.pct } : line,
        );
        batches.push(batch(next(item, part), item, part, range, lines, made));
      }
      if (part === "filling" && item.piece.fillingG > 0 && resolved.fillingComponents.length > 0) {
        batches.push(batch(next(item, part), item, part, range, fillingOf({ resolved, item }, pieces), made));
      }
    });
  }
  for (const demand of demands) {
    // What is done ahead was finished ahead too; its weights are listed for the shopping.
    const onPath = demand.resolved.steps.filter((step) => step.path.includes(demand.path));
    for (const entry of demand.resolved.finish) {
      const step = onPath.find((s) => s.id === entry.step);
      if (!step) continue;
      const pieces = sizeOf(demand.range);
      const load = entry.per === "load" ? loadCapacity(step, capacitiesOf(demand.item, kitchen)) : undefined;
      const factor = load ? Math.ceil(pieces / load) : pieces / demand.item.base.pieces;
      const lines = times(
        entry.components.map((c) => ({ ...c, in: entry.what })),
        factor,
      );
      batches.push(
        batch(next(demand.item, "finish"), demand.item, "finish", demand.range, lines, { ahead: demand.done.has(step.id) }),
      );
    }
  }
  return batches;
}

/** What one weighing comes to for each of the items that it is for. */
export interface ItemPart {
  readonly item: string;
  readonly pieces: number;
  readonly totalG: number;
}

/** A batch as it stands at the scale: with those it is mixed or cooked in one with. */
export interface Weighing extends Batch {
  /** Its parts by item; one where nothing is made together. */
  readonly shares: readonly ItemPart[];
  /** It is what all fillings of the item share. */
  readonly base?: true;
}

/**
 * Batches as they are weighed: those that are made together as one, with the first one's item and range; what the fillings of an
 * item share as one of its own, before them.
 */
export function weighingsOf(batches: readonly Batch[]): Weighing[] {
  const sets = new Map<string, Batch[]>();
  for (const one of batches) {
    const key = one.together ?? one.id;
    sets.set(key, [...(sets.get(key) ?? []), one]);
  }
  const all = [...sets].map(([id, set]): Weighing => {
    const [first] = set;
    return {
      ...first,
      id,
      ...summed(set),
      pieces: set.reduce((sum, one) => sum + one.pieces, 0),
      shares: set.map(({ item, pieces, totalG }) => ({ item, pieces, totalG })),
    };
  });
  const based = all.filter(({ ingredients }) => ingredients.some((line) => line.base));
  if (based.length === 0) return all;
  const ofBase = [...new Set(based.map(({ item }) => item))].map((item): Weighing => {
    const mine = based.filter((one) => one.item === item);
    const set = mine.map((one) => ({ ...one, ingredients: one.ingredients.filter((line) => line.base) }));
    const pieces = mine.reduce((sum, one) => sum + one.pieces, 0);
    const made = summed(set);
    const range: Range = [Math.min(...mine.map((one) => one.range[0])), Math.max(...mine.map((one) => one.range[1]))];
    return {
      ...mine[0],
      id: `${item}/base`,
      ...made,
      base: true,
      pieces,
      range,
      shares: [{ item, pieces, totalG: made.totalG }],
    };
  });
  const own = all.map((one): Weighing => {
    if (!based.includes(one)) return one;
    const ingredients = one.ingredients.filter((line) => !line.base);
    return { ...one, ingredients, totalG: round(ingredients.reduce((sum, line) => sum + line.grams, 0)) };
  });
  return [...ofBase, ...own.filter(({ ingredients }) => ingredients.length > 0)];
}

/** Ingredients of several batches of the same things, each once, and what they weigh together, g. */
function summed(set: readonly Pick<Batch, "ingredients">[]): Pick<Batch, "ingredients" | "totalG"> {
  const all = set.map(({ ingredients }) => byName(ingredients));
  const ingredients = [...all[0]].map(([key, line]) => ({
    ...line,
    grams: round(all.reduce((sum, lines) => sum + (lines.get(key)?.grams ?? 0), 0)),
  }));
  return { ingredients, totalG: round(ingredients.reduce((sum, line) => sum + line.grams, 0)) };
}

/** Items that share a mix call an ingredient by one name, if not by one id; where it comes twice, the larger is the first. */
function byName(lines: readonly Ingredient[]): Map<string, Ingredient> {
  const key = (line: Ingredient) => line.name.trim().toLowerCase();
  const rank = (line: Ingredient) =>
    lines.filter(
      (other) =>
        key(other) === key(line) &&
        (other.grams > line.grams || (other.grams === line.grams && lines.indexOf(other) < lines.indexOf(line))),
    ).length;
  return new Map(lines.map((line) => [`${key(line)} ${rank(line)}`, line]));
}

/** Batches that weigh for any of these pieces. */
export const batchesFor = <B extends Batch>(batches: readonly B[], item: string, range: Range): B[] =>
  batches.filter((b) => b.item === item && overlaps(b.range, range));
