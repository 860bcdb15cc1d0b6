import { z } from "zod";
import { matchIngredient, SHOP_GROUPS, shopGroup } from "../ingredients/names";
import { choosePacks, consolidate, costPerPiece, type PackChoice } from "./shopping";
import { sum } from "../shared/rounding";
import type { Batch } from "./batches";
import type { Item } from "../item/schema";

/** What the cook has of an ingredient, and how it is sold. */
export const PantrySchema = z.object({
  ingredient: z.string().min(1).max(120),
  haveG: z.number().min(0).max(1000000),
  /** Size of one pack, g; without it the weight is bought as it is. */
  packG: z.number().gt(0).max(100000).optional(),
  /** Price of one pack in the smallest coin. */
  packPrice: z.int().min(0).max(10000000).optional(),
});
export type PantryEntry = z.output<typeof PantrySchema>;

export interface ListLine {
  /** Key under which the pantry knows it. */
  readonly ingredient: string;
  readonly name: string;
  readonly needG: number;
  readonly haveG: number;
  readonly buyG: number;
  /** Names of the items it goes into. */
  readonly items: readonly string[];
  readonly packG?: number;
  readonly packPrice?: number;
  readonly packs?: PackChoice;
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

/** The key of an ingredient: the table's where it is known, else its plain name. */
export const pantryKey = (name: string): string => matchIngredient(name) ?? name.split(",")[0].trim().toLowerCase();

/**
 * One list over all batches, the pantry taken off, rounded up to packs, grouped as people shop.
 * @param startOf first minute at which a batch is weighed; undefined where it is not planned
 */
export function shoppingList(
  batches: readonly Batch[],
  items: readonly Item[],
  pantry: readonly PantryEntry[],
  startOf: (batch: Batch) => number | undefined,
): ShoppingList {
  const names = new Map<string, string>();
  const first = new Map<string, number>();
  const needs = batches.flatMap((batch) => {
    const at = startOf(batch);
    return batch.ingredients.map((line) => {
      const key = pantryKey(line.name);
      const name = line.name.split(",")[0];
      const known = names.get(key);
      if (known === undefined || name.length < known.length) names.set(key, name);
      if (at !== undefined) first.set(key, Math.min(at, first.get(key) ?? Infinity));
      return { ingredient: key, grams: line.grams, item: items.find((item) => item.id === batch.item)?.name ?? batch.item };
    });
  });
  const byKey = new Map(pantry.map((entry) => [entry.ingredient, entry]));
  const { lines } = consolidate({
    needs: needs.filter((need) => need.ingredient !== FREE),
    pantry: pantry.map((entry) => ({ ingredient: entry.ingredient, grams: entry.haveG })),
    tolerancePct: 0,
  });
  const list = lines.map((line): ListLine => {
    const { packG, packPrice } = byKey.get(line.ingredient) ?? {};
    const packs =
      packG !== undefined ? choosePacks({ needG: line.buyG, packs: [{ sizeG: packG, price: packPrice ?? 0 }] }) : undefined;
    return { ...line, name: names.get(line.ingredient)!, packG, packPrice, packs, firstAt: first.get(line.ingredient) };
  });
  const priced = list.filter((line) => line.packG !== undefined && line.packPrice !== undefined);
  const pieces = new Map<string, number>();
  for (const batch of batches) if (batch.part === "dough") pieces.set(batch.item, (pieces.get(batch.item) ?? 0) + batch.pieces);
  const made = sum([...pieces.values()]);
  const cost =
    priced.length > 0 && made > 0
      ? costPerPiece({
          pieces: made,
          lines: priced.map((line) => ({ usedG: line.needG, cost: line.packPrice!, packG: line.packG! })),
          energyKWh: 0,
          energyPrice: 0,
        })
      : undefined;
  const groupOf = (line: ListLine) => shopGroup(line.ingredient);
  return {
    groups: SHOP_GROUPS.map((name) => ({ name, lines: list.filter((line) => groupOf(line) === name) })).filter(
      (group) => group.lines.length > 0,
    ),
    cost: sum(list.map((line) => (line.packPrice !== undefined ? (line.packs?.cost ?? 0) : 0))),
    perPiece: cost?.perPiece,
    unpriced: list.length - priced.length,
  };
}
