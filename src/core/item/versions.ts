import type { DocumentKind, Upcaster } from "../shared/documents";
import { allergensCalled, allergensOf, ALLERGENS, type Allergen } from "../ingredients/allergen";
import { lineClaims } from "../ingredients/claims";
import { findIngredient } from "../ingredients/find";
import { recognised } from "./making/adopt";
import { ItemSchema } from "./schema";
import { StepPatchesSchema } from "./step-patch";

type Fields = Record<string, unknown>;
const isFields = (value: unknown): value is Fields => value !== null && typeof value === "object" && !Array.isArray(value);
/** Each entry of a list changed; what is no list, or no document in it, stays as it is. */
const inEach = (list: unknown, change: (entry: Fields) => Fields): unknown =>
  Array.isArray(list) ? list.map((entry: unknown) => (isFields(entry) ? change(entry) : entry)) : list;

/** Changes as patches where they can be read; else as they stand, for the schema to say what is wrong with them. */
const asPatches = (changes: unknown): unknown => {
  const read = StepPatchesSchema.safeParse(changes ?? []);
  return read.success ? read.data : changes;
};

/** Version 1 had changes to steps as free fields under dotted names; since 2 they are typed patches. */
const typedPatches: Upcaster = (item) => ({
  ...item,
  filling: isFields(item.filling)
    ? {
        ...item.filling,
        ...(item.filling.variants !== undefined && {
          variants: inEach(item.filling.variants, (variant) => ({ ...variant, stepChanges: asPatches(variant.stepChanges) })),
        }),
      }
    : item.filling,
  schools: inEach(item.schools, (school) => ({
    ...school,
    options: inEach(school.options, (option) => ({ ...option, changes: asPatches(option.changes) })),
  })),
});

const listIn = (holder: unknown, key: string): Fields[] => {
  const list = isFields(holder) ? holder[key] : undefined;
  return Array.isArray(list) ? list.filter(isFields) : [];
};

/** All components of an item as it was written, wherever they stand. */
function componentsIn(item: Fields): Fields[] {
  const dough = [...listIn(item.dough, "parts"), ...listIn(item.dough, "variants")];
  const fillings = [item.filling, ...listIn(item.filling, "variants")];
  const options = listIn(item, "schools").flatMap((school) => listIn(school, "options"));
  const finish = [...listIn(item, "finish"), ...options.flatMap((option) => listIn(option, "finish"))];
  const swapped = options.flatMap((option) => listIn(option, "fillingSwap").map((swap) => swap.to)).filter(isFields);
  return [...[...dough, ...fillings, ...finish].flatMap((place) => listIn(place, "components")), ...swapped];
}

/** Allergens that somebody stated and that no line tells: kept, so that a claim never becomes weaker. */
const statedBeyond = (stated: unknown, told: ReadonlySet<string>): Allergen[] =>
  (Array.isArray(stated) ? stated : [])
    .flatMap(allergensCalled)
    .filter((word): word is Allergen => (ALLERGENS as readonly unknown[]).includes(word) && !told.has(word as string));

/**
 * Version 2 stored who may eat an item and what is in it. Since 3 both follow from its lines; allergens that were stated
 * beyond what the lines tell stay, by the cook's word.
 */
export const derivedClaims: Upcaster = (item) => {
  const told = (name: unknown): Allergen[] =>
    typeof name === "string" ? allergensOf(lineClaims(findIngredient(name), name).contains) : [];
  const all = componentsIn(item);
  const inLines = new Set<string>(all.flatMap((c) => told(c.name)));
  const change = (component: Fields): Fields => {
    const { allergens, ...rest } = component;
    const beyond = statedBeyond(allergens, new Set(told(component.name)));
    return beyond.length === 0 ? rest : { ...rest, contains: beyond };
  };
  const place = (holder: Fields): Fields => {
    const { diet: _, allergens: __, ...rest } = holder;
    return { ...rest, ...(rest.components !== undefined && { components: inEach(rest.components, change) }) };
  };
  const inPlaces = (holder: Fields, key: string): Fields =>
    holder[key] === undefined ? {} : { [key]: inEach(holder[key], place) };
  const { diet: _, allergens, dietNote: __, ...rest } = item;
  const beyond = statedBeyond(allergens, new Set([...inLines, ...all.flatMap((c) => statedBeyond(c.allergens, new Set()))]));
  return {
    ...rest,
    ...(beyond.length > 0 && { alsoContains: beyond.map((allergen) => ({ allergen, note: "as it was stated" })) }),
    dough: isFields(item.dough)
      ? { ...item.dough, ...inPlaces(item.dough, "parts"), ...inPlaces(item.dough, "variants") }
      : item.dough,
    filling: isFields(item.filling) ? { ...place(item.filling), ...inPlaces(item.filling, "variants") } : item.filling,
    ...inPlaces(item, "finish"),
    schools: inEach(item.schools, (school) => ({
      ...school,
      options: inEach(school.options, ({ addsDiet: _, removesAllergens: __, ...option }) => ({
        ...option,
        ...inPlaces(option, "finish"),
        ...(option.fillingSwap !== undefined && {
          fillingSwap: inEach(option.fillingSwap, (swap) => ({ ...swap, to: isFields(swap.to) ? change(swap.to) : swap.to })),
        }),
      })),
    })),
  };
};

/** Since version 4 an item with steps of its own is known by rule as well, as far as it can be. */
const knownByRule: Upcaster = (document) => {
  const read = ItemSchema.safeParse(document);
  if (!read.success || read.data.making) return document;
  const { making } = recognised(read.data);
  return making ? { ...document, making } : document;
};

/** An item from outside, which may state what is in it in the older way. */
export const asToday = (item: unknown): unknown => (isFields(item) ? derivedClaims(item) : item);

/** Items as they are stored. */
export const ITEM_DOCUMENT: DocumentKind<typeof ItemSchema> = {
  schema: ItemSchema,
  version: 4,
  upcasters: { 1: typedPatches, 2: derivedClaims, 3: knownByRule },
};
