import { bakersPct, hydration } from "./formula";
import { fillingFor, usableDoughG } from "./yields";
import { isFlour } from "../ingredients/flour";
import { FAT_PCT } from "../ingredients/fat";
import type { Component, Item } from "./schema";
import { matchIngredient } from "../ingredients/names";
import { fail, ok, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";
import { balance } from "./filling";

/** Where a component stands: a part of the dough (its place), or the filling. */
export type Place = { readonly in: "dough"; readonly part: number } | { readonly in: "filling" };

/** The components at a place. */
export const componentsAt = (item: Item, place: Place): readonly Component[] =>
  place.in === "dough" ? item.dough.parts[place.part].components : item.filling.components;

/** The item with other components at a place. */
export const withComponents = (item: Item, place: Place, components: Component[]): Item =>
  place.in === "filling"
    ? { ...item, filling: { ...item.filling, components } }
    : {
        ...item,
        dough: { ...item.dough, parts: item.dough.parts.map((part, i) => (i === place.part ? { ...part, components } : part)) },
      };

/** What the whole dough and filling of a base batch come to. */
export interface DeskTotals {
  readonly flourG: number;
  readonly doughG: number;
  /** Dough that reaches the pieces, after what is lost on the way, g. */
  readonly usableDoughG: number;
  readonly hydrationPct: number;
  /** Fat on flour by weight; a "2 : 1" by cups is not one by weight. */
  readonly fatPct: number;
  readonly saltPct: number;
  readonly rawFillingG: number;
  readonly usableFillingG: number;
  /** Flour-weighted share of each component of the dough, %, in the order of the parts. */
  readonly pct: readonly (readonly number[])[];
  readonly balance: ReturnType<typeof balance> | undefined;
}

/** How much a filling may stray from the formula's fill a piece, %. */
const STRETCH_PCT = 10;

/** Sums, percentages and the balance of dough to filling. Without any flour the percentages are 0. */
export function deskTotals(item: Item): DeskTotals {
  const dough = item.dough.parts.flatMap((part) => part.components);
  const flourG = sum(dough.filter((c) => c.flour).map((c) => c.grams));
  const doughG = sum(dough.map((c) => c.grams));
  const onFlour = (grams: number) => (flourG > 0 ? bakersPct(grams, flourG) : 0);
  const named = dough.map((c) => ({ id: matchIngredient(c.name) ?? "", grams: c.grams }));
  const fatG = sum(named.map((c) => (c.grams * (FAT_PCT[c.id] ?? 0)) / 100));
  const saltG = sum(named.filter((c) => c.id.startsWith("salt")).map((c) => c.grams));
  const { components } = item.filling;
  const usableG = usableDoughG(item, doughG);
  const { usableG: usableFillingG } = fillingFor(item.filling);
  const { doughG: perDough, fillingG: perFilling } = item.piece;
  return {
    flourG,
    doughG,
    usableDoughG: usableG,
    hydrationPct: flourG > 0 ? hydration({ flourG, lines: named }).hydrationPct : 0,
    fatPct: onFlour(fatG),
    saltPct: onFlour(saltG),
    rawFillingG: sum(components.map((c) => c.grams)),
    usableFillingG,
    pct: item.dough.parts.map((part) => part.components.map((c) => onFlour(c.grams))),
    balance:
      perDough > 0 && perFilling > 0 && usableG > 0 && usableFillingG > 0
        ? balance({
            doughG: usableG,
            fillingG: usableFillingG,
            doughPerPieceG: perDough,
            fillingPerPieceG: perFilling,
            stretchPct: STRETCH_PCT,
          })
        : undefined,
  };
}

/** Types grams: the percentages follow. Issues: `out_of_range` grams. */
export function setGrams(item: Item, place: Place, index: number, grams: number): Result<Item> {
  if (!(grams > 0) || grams > 100000)
    return fail({ code: "out_of_range", path: ["grams"], got: grams, wanted: "above 0 and at most 100000 g" });
  return ok(
    withComponents(
      item,
      place,
      componentsAt(item, place).map((c, i) => (i === index ? { ...c, grams } : c)),
    ),
  );
}

/**
 * Types a baker's percentage: the grams follow. For one of several flours the others share what is left of the 100 %,
 * so that the flour's weight stands. Issues: `out_of_range` pct, `inconsistent` pct (a single flour is the 100 %).
 */
export function setPercent(item: Item, part: number, index: number, pct: number): Result<Item> {
  if (!(pct > 0) || pct > 400)
    return fail({ code: "out_of_range", path: ["pct"], got: pct, wanted: "above 0 and at most 400 % of the flour" });
  const { flourG } = deskTotals(item);
  const place: Place = { in: "dough", part };
  const target = componentsAt(item, place)[index];
  if (!target.flour) return setGrams(item, place, index, (flourG * pct) / 100);
  const others = flourG - target.grams;
  if (others <= 0 || pct >= 100)
    return fail({
      code: "inconsistent",
      path: ["pct"],
      got: pct,
      wanted: others <= 0 ? "100 %, since it is the only flour" : "less than 100 %, since there is other flour",
    });
  const factor = (flourG * (1 - pct / 100)) / others;
  return ok({
    ...item,
    dough: {
      ...item.dough,
      parts: item.dough.parts.map((p, k) => ({
        ...p,
        components: p.components.map((c, i) =>
          k === part && i === index ? { ...c, grams: (flourG * pct) / 100 } : c.flour ? { ...c, grams: c.grams * factor } : c,
        ),
      })),
    },
  });
}

/** The whole dough, or filling, times a factor; what a batch yields moves with the dough. */
export function scaleFilling(item: Item, factor: number): Item {
  return {
    ...item,
    filling: { ...item.filling, components: item.filling.components.map((c) => ({ ...c, grams: c.grams * factor })) },
  };
}

/** Adds a line at the end, under an id that no other has. Grams > 0; `measure`: the words it was typed in. */
export function addComponent(item: Item, place: Place, name: string, grams: number, measure?: string): Item {
  const components = componentsAt(item, place);
  const id = freshId(
    name,
    components.map((c) => c.id),
  );
  const flour = place.in === "dough" && isFlour(name);
  return withComponents(item, place, [
    ...components,
    { id, name, grams, ...(flour && { flour }), ...(measure && { measure }), ...(place.in === "filling" && { cook: true }) },
  ]);
}

/** Takes a component out; the last one of a dough part stays. */
export function removeComponent(item: Item, place: Place, index: number): Item {
  const components = componentsAt(item, place);
  if (place.in === "dough" && components.length === 1) return item;
  return withComponents(
    item,
    place,
    components.filter((_, i) => i !== index),
  );
}

/** Gives a line another name; its grams stay. */
export const renameComponent = (item: Item, place: Place, index: number, name: string): Item =>
  withComponents(
    item,
    place,
    componentsAt(item, place).map((c, i) => (i === index ? { ...c, name } : c)),
  );

/** An id from a name that none of the others has. */
export function freshId(name: string, taken: readonly string[]): string {
  const base =
    name
      .toLowerCase()
      .split(",")[0]
      .normalize("NFD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 40) || "part";
  let id = base;
  for (let n = 2; taken.includes(id); n++) id = `${base}-${n}`;
  return id;
}
