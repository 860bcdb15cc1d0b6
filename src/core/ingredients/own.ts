import { z } from "zod";
import type { DocumentKind } from "../shared/documents";
import { ALLERGENS, tagsFor, type AllergenTag } from "./allergen";
import { STANDARD, type Ingredient } from "./catalogue";
import { indexOf, STANDARD_INDEX, type Index } from "./find";
import { DIETS, HAZARDS, type Diets } from "./kinds";

const pct = z.number().min(0).max(100);
const pieceG = z.number().gt(0).max(20000);

/**
 * What a cook adds to the catalogue or overrules in it: their flour's protein, their cup, their onion, what a label says.
 * `id` is one of the catalogue's, or new.
 */
export const OwnIngredientSchema = z.strictObject({
  id: z.string().min(1).max(80),
  /** The words that mean it, the shown one first. */
  names: z.array(z.string().trim().min(1).max(120)).min(1).max(20),
  /** Figures of another ingredient that it has unless it says otherwise. */
  like: z.string().min(1).max(80).optional(),
  gramsPerCup: z.number().gt(0).max(1000).optional(),
  pieces: z.record(z.string().min(1).max(20), pieceG).optional(),
  trimmedG: pieceG.optional(),
  waterPct: pct.optional(),
  fatPct: pct.optional(),
  proteinPct: pct.optional(),
  saltPct: pct.optional(),
  cookLossPct: z.number().min(-900).max(95).optional(),
  diets: z.partialRecord(z.enum(DIETS), z.enum(["yes", "no"])).optional(),
  hazard: z.enum(HAZARDS).optional(),
  /** In it beyond what is known of it. */
  contains: z.array(z.enum(ALLERGENS)).optional(),
  /** The label was read: what it may contain is in `contains`, and nothing else. */
  labelRead: z.boolean().optional(),
  /** Not in this one although it usually is, and why. */
  without: z.array(z.strictObject({ allergen: z.enum(ALLERGENS), why: z.string().trim().min(3).max(300) })).optional(),
});
export type OwnIngredient = z.output<typeof OwnIngredientSchema>;

/** Own ingredients as they are stored. */
export const OWN_INGREDIENT_DOCUMENT: DocumentKind<typeof OwnIngredientSchema> = {
  schema: OwnIngredientSchema,
  version: 1,
  upcasters: {},
};

/** What is known of ingredients: ours, with the cook's own over it. */
export interface Catalogue {
  readonly ingredients: ReadonlyMap<string, Ingredient>;
  readonly index: Index;
  readonly own: readonly OwnIngredient[];
}

export const OURS: Catalogue = { ingredients: STANDARD, index: STANDARD_INDEX, own: [] };

const NOTHING: Omit<Ingredient, "id" | "name" | "names"> = {
  kinds: [],
  shopGroup: "Other",
  flour: false,
  dry: false,
  whole: false,
  per100: {},
  basis: "own",
  pieces: {},
  contains: [],
  may: [],
  diets: Object.fromEntries(DIETS.map((diet) => [diet, "depends"])) as unknown as Diets,
  kosherClass: "pareve",
  honey: false,
  hazard: null,
};

/** The catalogue with a cook's own ingredients in it. */
export function catalogueWith(own: readonly OwnIngredient[]): Catalogue {
  if (own.length === 0) return OURS;
  const ingredients = new Map(STANDARD);
  for (const entry of own) ingredients.set(entry.id, ownIngredient(entry, ingredients));
  return { ingredients, index: indexOf(ingredients.values()), own };
}

function ownIngredient(entry: OwnIngredient, known: ReadonlyMap<string, Ingredient>): Ingredient {
  const base = known.get(entry.id) ?? (entry.like === undefined ? undefined : known.get(entry.like)) ?? NOTHING;
  const isNew = base === NOTHING;
  const without = new Set<AllergenTag>((entry.without ?? []).flatMap(({ allergen }) => tagsFor(allergen)));
  const added = (entry.contains ?? []).flatMap((allergen) => tagsFor(allergen));
  const contains = [...new Set([...base.contains, ...added])].filter((tag) => !without.has(tag));
  const { waterPct: water, fatPct: fat, proteinPct: protein, saltPct: salt } = entry;
  return {
    ...base,
    id: entry.id,
    name: entry.names[0],
    names: known.has(entry.id) ? [...new Set([...entry.names, ...known.get(entry.id)!.names])] : entry.names,
    basis: "own",
    per100: {
      ...base.per100,
      ...(water !== undefined && { water }),
      ...(fat !== undefined && { fat }),
      ...(protein !== undefined && { protein }),
      ...(salt !== undefined && { salt }),
    },
    gramsPerCup: entry.gramsPerCup ?? base.gramsPerCup,
    pieces: { ...base.pieces, ...entry.pieces },
    trimmed: entry.trimmedG ?? (entry.pieces?.each !== undefined ? undefined : base.trimmed),
    contains,
    // Of something new nobody knows what else is in it until its label was read.
    may: entry.labelRead
      ? []
      : isNew
        ? NO_LABEL.filter((tag) => !contains.includes(tag) && !without.has(tag))
        : base.may.filter((tag) => !without.has(tag)),
    diets: { ...base.diets, ...entry.diets },
    hazard: entry.hazard ?? base.hazard,
    cookLossPct: entry.cookLossPct ?? base.cookLossPct,
  };
}

const NO_LABEL: readonly AllergenTag[] = ALLERGENS.flatMap((allergen) => tagsFor(allergen));

let last: { key: string; catalogue: Catalogue } | undefined;
/** The catalogue for a list of own ingredients; the last one is kept, since every view asks for the same. */
export function catalogueOf(own: readonly OwnIngredient[] | undefined): Catalogue {
  if (!own || own.length === 0) return OURS;
  const key = JSON.stringify(own);
  if (last?.key !== key) last = { key, catalogue: catalogueWith(own) };
  return last.catalogue;
}
