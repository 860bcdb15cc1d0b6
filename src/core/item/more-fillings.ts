import { freshId } from "../shared/fresh-id";
import { sum } from "../shared/rounding";
import type { Component, Item } from "./schema";
import { fillingFor } from "./yields";

/** Longest name of a filling. */
const MOST_NAME = 120;

/** A filling of an item: the first, whose id is undefined, or one beside it. */
export interface OneFilling {
  readonly id: string | undefined;
  readonly name: string;
  readonly cookingLossPct: number;
  /** All of it as it is weighed, and what of it reaches the pieces, g. */
  readonly rawG: number;
  readonly usableG: number;
}

/** The fillings of an item, the first one first. */
export function fillingsOfItem({ filling }: Pick<Item, "filling">): OneFilling[] {
  const others = filling.variants ?? [];
  const all = [{ ...filling, id: undefined, name: filling.name ?? (others.length > 0 ? "Filling 1" : "Filling") }, ...others];
  return all.map(({ id, name, components, ...own }) => {
    const losses = {
      cookingLossPct: own.cookingLossPct ?? filling.cookingLossPct,
      handlingLossPct: own.handlingLossPct ?? filling.handlingLossPct,
    };
    return {
      id,
      name,
      cookingLossPct: losses.cookingLossPct,
      rawG: sum(components.map(({ grams }) => grams)),
      usableG: fillingFor({ components, ...losses }).usableG,
    };
  });
}

/** An item with one filling more, in which what all of them share is as well. */
export function addFilling(item: Item, name: string, lines: readonly Component[]): Item {
  const { filling } = item;
  const others = filling.variants ?? [];
  const base = filling.components.filter((line) => line.base);
  const called = name.trim().slice(0, MOST_NAME) || `Filling ${others.length + 2}`;
  const id = freshId(
    called,
    others.map((one) => one.id),
  );
  const own = {
    id: id === "base" ? "base-2" : id,
    name: called,
    components: [...base, ...lines],
    cookingLossPct: filling.cookingLossPct,
    handlingLossPct: filling.handlingLossPct,
    stepChanges: [],
  };
  return { ...item, filling: { ...filling, name: filling.name ?? "Filling 1", variants: [...others, own] } };
}

/** An item without one of its fillings; the first of all stays. */
export function removeFilling(item: Item, id: string): Item {
  const variants = item.filling.variants?.filter((one) => one.id !== id) ?? [];
  return { ...item, filling: { ...item.filling, variants: variants.length > 0 ? variants : undefined } };
}

/** Gives a filling another name, which is not blank. */
export function renameFilling(item: Item, id: string | undefined, text: string): Item {
  const name = text.slice(0, MOST_NAME);
  if (name.trim() === "") return item;
  if (id === undefined) return { ...item, filling: { ...item.filling, name } };
  return {
    ...item,
    filling: { ...item.filling, variants: item.filling.variants?.map((one) => (one.id === id ? { ...one, name } : one)) },
  };
}
