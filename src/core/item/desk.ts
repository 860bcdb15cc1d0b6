import { freshId } from "../shared/fresh-id";
import { bakersPct, hydration } from "./formula";
import { fillingFor, usableDoughG } from "./yields";
import { fatPct, idOf, isFat, isFlour, waterPct } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import type { Component, Item } from "./schema";
import { fail, ok, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";
import { balance } from "./filling";

/** Where a component stands: a part of the dough, the filling, or an entry of the finish, by their places. */
export type Place =
  | { readonly in: "dough"; readonly part: number }
  /** The first filling, or one of those beside it by its id. */
  | { readonly in: "filling"; readonly of?: string | undefined }
  | { readonly in: "finish"; readonly entry: number };

/** The components at a place. */
export function componentsAt(item: Item, place: Place): readonly Component[] {
  if (place.in === "dough") return item.dough.parts[place.part].components;
  if (place.in === "finish") return item.finish[place.entry].components;
  return place.of === undefined
    ? item.filling.components
    : (item.filling.variants?.find(({ id }) => id === place.of)?.components ?? []);
}

/** The item with other components at a place. */
export function withComponents(item: Item, place: Place, components: Component[]): Item {
  if (place.in === "filling") return { ...item, filling: withFilling(item.filling, place.of, components) };
  if (place.in === "finish")
    return { ...item, finish: item.finish.map((entry, i) => (i === place.entry ? { ...entry, components } : entry)) };
  return {
    ...item,
    dough: { ...item.dough, parts: item.dough.parts.map((part, i) => (i === place.part ? { ...part, components } : part)) },
  };
}

/** Fillings of which one has other lines. What is of the base that they share is the same in all of them. */
function withFilling(filling: Item["filling"], of: string | undefined, components: Component[]): Item["filling"] {
  const own = of === undefined ? filling : filling.variants?.find(({ id }) => id === of);
  const sharesBase = [...(own?.components ?? []), ...components].some((line) => line.base);
  const base = components.filter((line) => line.base);
  const linesOf = (id: string | undefined, lines: Component[]): Component[] =>
    id === of ? components : sharesBase ? [...base, ...lines.filter((line) => !line.base)] : lines;
  return {
    ...filling,
    components: linesOf(undefined, filling.components),
    ...(filling.variants && {
      variants: filling.variants.map((one) => ({ ...one, components: linesOf(one.id, one.components) })),
    }),
  };
}

/** Changes one line of a place. */
export const changeComponent = (item: Item, place: Place, index: number, change: (c: Component) => Component): Item =>
  withComponents(
    item,
    place,
    componentsAt(item, place).map((c, i) => (i === index ? change(c) : c)),
  );

/** What the whole dough and filling of a base batch come to. */
export interface DeskTotals {
  readonly flourG: number;
  readonly doughG: number;
  /** Dough that reaches the pieces, after what is lost on the way, g. */
  readonly usableDoughG: number;
  readonly hydrationPct: number;
  /** Fats as they are weighed, on flour: 341 g of butter on 375 g are 0.91, whatever water is in it. */
  readonly fatPct: number;
  /** Pure fat of everything in it, egg and milk as well, on flour. */
  readonly pureFatPct: number;
  /** Lines whose water or fat is not known: the sums are without them. */
  readonly uncounted: readonly string[];
  readonly saltPct: number;
  readonly rawFillingG: number;
  readonly usableFillingG: number;
  /** Flour-weighted share of each component of the dough, %, in the order of the parts. */
  readonly pct: readonly (readonly number[])[];
  readonly balance: ReturnType<typeof balance> | undefined;
}

const SALTS: ReadonlySet<string> = new Set(["salt", "salt-coarse", "salt-flaky"]);
/** Whether a line is salt itself. */
export const isSalt = (c: Pick<Component, "name" | "ingredient">, catalogue: Catalogue = OURS): boolean =>
  SALTS.has(idOf(c, catalogue) ?? "");

/** How much a filling may stray from the formula's fill a piece, %. */
const STRETCH_PCT = 10;

const onFlour = (grams: number, flourG: number): number => (flourG > 0 ? bakersPct(grams, flourG) : 0);

/** All of a dough, its parts together. */
export const doughComponents = ({ dough }: Pick<Item, "dough">): readonly Component[] =>
  dough.parts.flatMap((part) => part.components);

/** Every component of every filling of an item, the first filling's before the others'. */
export const fillingComponents = ({ filling }: Pick<Item, "filling">): readonly Component[] =>
  [filling, ...(filling.variants ?? [])].flatMap(({ components }) => components);

type DoughTotals = Pick<DeskTotals, "flourG" | "doughG" | "hydrationPct" | "fatPct" | "pureFatPct" | "uncounted" | "saltPct">;

/** Sums and percentages of a dough by itself. Without any flour the percentages are 0. */
export function doughTotals(dough: readonly Component[], catalogue: Catalogue = OURS): DoughTotals {
  const flourG = sum(dough.filter((c) => c.flour).map((c) => c.grams));
  const lines = dough.map((c) => ({ id: c.id, grams: c.grams, waterPct: waterPct(c, catalogue) ?? 0 }));
  const fatG = sum(dough.filter((c) => isFat(c, catalogue)).map((c) => c.grams));
  const pureFatG = sum(dough.map((c) => (c.flour ? 0 : (c.grams * (fatPct(c, catalogue) ?? 0)) / 100)));
  const saltG = sum(dough.filter((c) => isSalt(c, catalogue)).map((c) => c.grams));
  return {
    flourG,
    doughG: sum(dough.map((c) => c.grams)),
    hydrationPct: flourG > 0 ? hydration({ flourG, lines }).hydrationPct : 0,
    fatPct: onFlour(fatG, flourG),
    pureFatPct: onFlour(pureFatG, flourG),
    uncounted: dough.filter((c) => waterPct(c, catalogue) === undefined).map((c) => c.name.split(",")[0]),
    saltPct: onFlour(saltG, flourG),
  };
}

/** Sums, percentages and the balance of dough to filling. Without any flour the percentages are 0. */
export function deskTotals(item: Item, catalogue: Catalogue = OURS): DeskTotals {
  const totals = doughTotals(doughComponents(item), catalogue);
  const { flourG, doughG } = totals;
  const { components } = item.filling;
  const usableG = usableDoughG(item, doughG);
  const { usableG: usableFillingG } = fillingFor(item.filling);
  const { doughG: perDough, fillingG: perFilling } = item.piece;
  return {
    ...totals,
    usableDoughG: usableG,
    rawFillingG: sum(components.map((c) => c.grams)),
    usableFillingG,
    pct: item.dough.parts.map((part) => part.components.map((c) => onFlour(c.grams, flourG))),
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
  return ok(changeComponent(item, place, index, (c) => ({ ...c, grams })));
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

/** The dough times a factor; its pieces stay as heavy, and more of them come out. */
export function scaleDough(item: Item, factor: number): Item {
  const more = (c: Component): Component => ({ ...c, grams: c.grams * factor, measure: undefined });
  return {
    ...item,
    dough: {
      ...item.dough,
      parts: item.dough.parts.map((part) => ({ ...part, components: part.components.map(more) })),
      ...(item.dough.variants && {
        variants: item.dough.variants.map((variant) => ({ ...variant, components: variant.components.map(more) })),
      }),
    },
  };
}

/** The filling times a factor. */
export function scaleFilling(item: Item, factor: number): Item {
  return {
    ...item,
    filling: {
      ...item.filling,
      components: item.filling.components.map((c) => ({ ...c, grams: c.grams * factor, measure: undefined })),
    },
  };
}

/** Adds a line at the end, under an id that no other has. Grams > 0; `measure`: the words it was typed in. */
export function addComponent(
  item: Item,
  place: Place,
  name: string,
  grams: number,
  measure?: string,
  catalogue: Catalogue = OURS,
): Item {
  const components = componentsAt(item, place);
  const id = freshId(
    name,
    components.map((c) => c.id),
  );
  const flour = place.in === "dough" && isFlour({ name }, catalogue);
  return withComponents(item, place, [
    ...components,
    { id, name, grams, ...(flour && { flour }), ...(measure && { measure }), ...(place.in === "filling" && { cook: true }) },
  ]);
}

/** Takes a component out; the last one of a dough part, and of a filling beside the first, stays. */
export function removeComponent(item: Item, place: Place, index: number): Item {
  const components = componentsAt(item, place);
  const isKept = place.in === "dough" || (place.in === "filling" && place.of !== undefined);
  if (isKept && components.length === 1) return item;
  if (place.in === "finish" && components.length === 1)
    return { ...item, finish: item.finish.filter((_, i) => i !== place.entry) };
  return withComponents(
    item,
    place,
    components.filter((_, i) => i !== index),
  );
}

/** Gives a line another name: its grams stay, what it is follows from the new name. */
export const renameComponent = (item: Item, place: Place, index: number, name: string, catalogue: Catalogue = OURS): Item =>
  changeComponent(item, place, index, ({ flour: _, ingredient: __, contains: ___, ...rest }) => ({
    ...rest,
    name,
    ...(place.in === "dough" && isFlour({ name }, catalogue) && { flour: true }),
  }));

/** Says which of the catalogue's a line is; its words stay. */
export const identifyComponent = (item: Item, place: Place, index: number, id: string, catalogue: Catalogue = OURS): Item =>
  changeComponent(item, place, index, ({ flour: _, ...c }) => ({
    ...c,
    ingredient: id,
    ...(place.in === "dough" && isFlour({ name: c.name, ingredient: id }, catalogue) && { flour: true }),
  }));
