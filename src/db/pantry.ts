import { asc } from "drizzle-orm";
import { PantrySchema, type PantryEntry } from "@/core/batching/shopping-list";
import type { Db } from "./database";
import { pantry } from "./schema";

/** One pantry for all gatherings. */
export const pantryRepository = (db: Db) => ({
  all: (): PantryEntry[] =>
    db
      .select()
      .from(pantry)
      .orderBy(asc(pantry.ingredient))
      .all()
      .map(({ packG, packPrice, ...row }) =>
        PantrySchema.parse({ ...row, ...(packG !== null && { packG }), ...(packPrice !== null && { packPrice }) }),
      ),
  save({ ingredient, haveG, packG, packPrice }: PantryEntry): void {
    const row = { ingredient, haveG, packG: packG ?? null, packPrice: packPrice ?? null };
    db.insert(pantry).values(row).onConflictDoUpdate({ target: pantry.ingredient, set: row }).run();
  },
});
