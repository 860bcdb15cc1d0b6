import { z } from "zod";
import { SHOP_GROUPS } from "../ingredients/kinds";
import { identityOf, ingredientOf, type Named } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { ofSize } from "../ingredients/grams";
import { choosePacks, consolidate, costPerPiece, type PackChoice } from "./shopping";
import { sum, up } from "../shared/rounding";
import type { Batch } from "./batches";
import type { Item } from "../item/schema";

/** One way in which something is sold. */
export const PackSchema = z.object({
  sizeG: z
    .number({ error: "grams in a pack, above 0 and at most 100000" })
    .min(0.1, { error: "at least 0.1 g" })
    .max(100000, { error: "at most 100000 g" }),
  /** In the smallest coin. */
  price: z
    .int({ error: "a price" })
    .min(0, { error: "a price of 0 or more" })
    .max(10000000, { error: "a smaller price" })
    .optional(),
});

/** What the cook has of an ingredient, and how it is sold. */
export const PantrySchema = z.object({
  ingredient: z.string().min(1).max(200),
  haveG: z.number().min(0).max(1000000),
  /** Without any the weight is bought as it is. */
  packs: z.array(PackSchema).max(4, { error: "at most 4 sizes of pack" }).default([]),
});
export type PantryEntry = z.output<typeof PantrySchema>;

/** Something that is needed beside what is weighed into the pieces: the fill of a fryer, what goes into a dip. */
export interface ExtraNeed extends Named {
  readonly grams: number;
  /** Items that it is for. */
  readonly items: readonly string[];
  readonly why: "fryer-fill" | "beside";
  /** How often the vessel is filled. */
  readonly fills: number;
}

/** So many whole ones: "4 eggs", "2 tins". */
export interface WholeCount {
  readonly n: number;
  readonly unit: string;
  /** g each. */
  readonly eachG: number;
}

export interface ListLine {
  /** Key under which the pantry knows it. */
  readonly ingredient: string;
  readonly name: string;
  /** g as it is bought, what is trimmed off included. */
  readonly needG: number;
  /** g as it goes in, where that is less. */
  readonly usedG?: number;
  readonly haveG: number;
  readonly buyG: number;
  /** Names of the items it goes into. */
  readonly items: readonly string[];
  /** What is to be bought in whole ones, where it is sold so. */
  readonly count?: WholeCount;
  readonly soldIn: PantryEntry["packs"];
  readonly packs?: PackChoice;
  /** What is not for the pieces themselves. */
  readonly extra?: ExtraNeed["why"];
  /** First minute at which it is needed; undefined where that is not known. */
  readonly firstAt?: number;
}

export interface ShoppingList {
  readonly groups: readonly { readonly name: string; readonly lines: readonly ListLine[] }[];
  /** What the packs cost together, in the smallest coin; lines without a price are not in it. */
  readonly cost: number;
  /** What goes into the pieces costs, a piece; undefined where no price is known. */
  readonly perPiece: number | undefined;
  readonly unpriced: number;
}

/** Comes from the tap. */
const FREE = "water";

/** The key of an ingredient: the catalogue's where it is known, in its form; else its plain name. */
export const pantryKey = (line: Named, catalogue: Catalogue = OURS): string => identityOf(line, catalogue);

/** What is bought for what goes in: whole onions for peeled ones. */
function wholeG(line: Named & { readonly grams: number }, catalogue: Catalogue): number {
  const ingredient = ingredientOf(line, catalogue);
  const each = ingredient?.pieces.each;
  if (ingredient?.trimmed === undefined || each === undefined) return line.grams;
  return (line.grams * ofSize(each, "medium")) / ofSize(ingredient.trimmed, "medium");
}

/** Sold by the piece, in the order in which a shop is asked for it. */
const SOLD_BY: readonly string[] = ["each", "head", "bulb", "tin", "can", "jar", "cube", "sachet", "block", "leaf"];
/** Below this a piece is not counted, g: nobody counts beans. */
const COUNTED_FROM_G = 2;

function wholeCount(line: Named, buyG: number, catalogue: Catalogue): WholeCount | undefined {
  const ingredient = ingredientOf(line, catalogue);
  if (!ingredient || buyG <= 0) return undefined;
  const unit = SOLD_BY.find((name) => ingredient.pieces[name] !== undefined);
  if (unit === undefined) return undefined;
  const eachG = ofSize(ingredient.pieces[unit], "medium");
  return eachG < COUNTED_FROM_G && unit === "each" ? undefined : { n: up(buyG / eachG), unit, eachG };
}

/**
 * One list over all batches, by what an ingredient is and in which form, the pantry taken off, rounded up to packs,
 * grouped as people shop.
 * @param startOf first minute at which a batch is weighed; undefined where it is not planned
 */
export function shoppingList(
  batches: readonly Batch[],
  items: readonly Item[],
  pantry: readonly PantryEntry[],
  startOf: (batch: Batch) => number | undefined,
  extras: readonly ExtraNeed[] = [],
  catalogue: Catalogue = OURS,
): ShoppingList {
  const named = new Map<string, Named>();
  const first = new Map<string, number>();
  const used = new Map<string, number>();
  const extra = new Map<string, ExtraNeed["why"]>();
  const note = (line: Named & { readonly grams: number }): string => {
    const key = pantryKey(line, catalogue);
    const name = line.name.split(",")[0];
    const known = named.get(key);
    if (known === undefined || name.length < known.name.length) named.set(key, { name, ingredient: line.ingredient });
    used.set(key, (used.get(key) ?? 0) + line.grams);
    return key;
  };
  const needs = batches.flatMap((batch) => {
    const at = startOf(batch);
    return batch.ingredients.map((line) => {
      const key = note(line);
      if (at !== undefined) first.set(key, Math.min(at, first.get(key) ?? Infinity));
      const item = items.find((one) => one.id === batch.item)?.name ?? batch.item;
      return { ingredient: key, grams: wholeG(line, catalogue), item };
    });
  });
  for (const need of extras) {
    const key = note(need);
    if (need.why === "fryer-fill") extra.set(key, need.why);
    for (const item of need.items) needs.push({ ingredient: key, grams: need.grams / need.items.length, item });
  }
  const byKey = new Map(pantry.map((entry) => [entry.ingredient, entry]));
  const { lines } = consolidate({
    needs: needs.filter((need) => need.ingredient !== FREE),
    pantry: pantry.map((entry) => ({ ingredient: entry.ingredient, grams: entry.haveG })),
    tolerancePct: 0,
  });
  const list = lines.map((line): ListLine => {
    const soldIn = byKey.get(line.ingredient)?.packs ?? [];
    const packs =
      soldIn.length > 0
        ? choosePacks({ needG: line.buyG, packs: soldIn.map(({ sizeG, price }) => ({ sizeG, price: price ?? 0 })) })
        : undefined;
    const usedG = used.get(line.ingredient)!;
    return {
      ...line,
      name: named.get(line.ingredient)!.name,
      ...(line.needG - usedG > 0.5 && { usedG }),
      count: wholeCount(named.get(line.ingredient)!, line.buyG, catalogue),
      soldIn,
      packs,
      extra: extra.get(line.ingredient),
      firstAt: first.get(line.ingredient),
    };
  });
  const isPriced = (line: ListLine) => line.soldIn.length > 0 && line.soldIn.every((pack) => pack.price !== undefined);
  const priced = list.filter(isPriced);
  const pieces = new Map<string, number>();
  for (const batch of batches) if (batch.part === "dough") pieces.set(batch.item, (pieces.get(batch.item) ?? 0) + batch.pieces);
  const made = sum([...pieces.values()]);
  const cost =
    priced.length > 0 && made > 0
      ? costPerPiece({
          pieces: made,
          lines: priced.map((line) => {
            const [pack] = line.soldIn;
            return { usedG: line.needG, cost: pack.price!, packG: pack.sizeG };
          }),
          energyKWh: 0,
          energyPrice: 0,
        })
      : undefined;
  const groupOf = (line: ListLine) => ingredientOf(named.get(line.ingredient)!, catalogue)?.shopGroup ?? "Other";
  return {
    groups: SHOP_GROUPS.map((name) => ({ name, lines: list.filter((line) => groupOf(line) === name) })).filter(
      (group) => group.lines.length > 0,
    ),
    cost: sum(priced.map((line) => line.packs?.cost ?? 0)),
    perPiece: cost?.perPiece,
    unpriced: list.length - priced.length,
  };
}
