import type { Component, Item } from "./schema";
import { idOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { doughComponents } from "./desk";
import { mainFlour } from "./resolve";
import { fail, ok, type Result } from "../shared/issue";

/** A correction by feel is this share of the flour: "sticky" adds as much flour, "dry" as much liquid. */
const CORRECTION = 0.02;

/** Flour to add to a dough that is sticky, g, and what is then in it. */
export const stickyCorrection = (flourG: number): { addG: number; flourG: number } => ({
  addG: flourG * CORRECTION,
  flourG: flourG * (1 + CORRECTION),
});

/** Liquids of which a part is held back at first. */
const LIQUIDS: ReadonlySet<string> = new Set(["water", "milk", "buttermilk"]);
/** Held back at first unless the cook says otherwise, % of the liquid. */
const HELD_BACK_PCT = 10;

/** The liquid of a dough that part of is kept back at first, the heaviest one; undefined where it has none. */
export function holdBackFor(dough: readonly Component[], catalogue: Catalogue = OURS): Item["dough"]["holdBack"] {
  const liquid = dough.filter((c) => LIQUIDS.has(idOf(c, catalogue) ?? "")).sort((a, b) => b.grams - a.grams)[0];
  return liquid && { component: liquid.id, pct: HELD_BACK_PCT };
}

const mapDough = (item: Item, change: (c: Component) => Component): Item => ({
  ...item,
  dough: { ...item.dough, parts: item.dough.parts.map((part) => ({ ...part, components: part.components.map(change) })) },
});

/**
 * Notes what went in by feel, for the flour that the dough has now; the recipe's own figure stands beside it.
 * @param batchG  what went in, g
 * @param plannedG what the batch's sheet said, g; > 0
 * Issues: `unknown` component, `out_of_range` used (less than half or more than twice the plan).
 */
export function noteUsed(item: Item, component: string, batchG: number, plannedG: number): Result<Item> {
  const dough = doughComponents(item);
  const target = dough.find((c) => c.id === component);
  const flour = mainFlour(dough);
  if (!target || !flour)
    return fail({ code: "unknown", path: ["component"], got: component, wanted: "a component of a dough with flour" });
  if (!(batchG >= plannedG / 2 && batchG <= plannedG * 2))
    return fail({
      code: "out_of_range",
      path: ["used"],
      got: batchG,
      wanted: `between ${Math.round(plannedG / 2)} and ${Math.round(plannedG * 2)} g`,
    });
  const basis = target.lastUsed?.flour === flour.name ? target.lastUsed.grams : target.grams;
  const grams = Math.round((basis * batchG * 10) / plannedG) / 10;
  return ok(mapDough(item, (c) => (c.id === component ? { ...c, lastUsed: { grams, flour: flour.name } } : c)));
}

/** Takes the noted figure as the recipe's own, or forgets it. */
export const settleUsed = (item: Item, component: string, take: boolean): Item =>
  mapDough(item, (c) => {
    if (c.id !== component || !c.lastUsed) return c;
    const { lastUsed, ...rest } = c;
    return take ? { ...rest, grams: lastUsed.grams, measure: undefined } : rest;
  });
