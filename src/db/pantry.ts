import { asc } from "drizzle-orm";
import { PantrySchema, type PantryEntry } from "@/core/batching/shopping-list";
import { parseWith } from "@/core/shared/parse";
import type { Db } from "./database";
import { parsedJson, type Unreadable } from "./documents";
import { pantry } from "./schema";

/** One pantry for all gatherings. */
export const pantryRepository = (db: Db) => ({
  /** What the cook has, entries that cannot be read apart. */
  list(): { readonly readable: readonly PantryEntry[]; readonly unreadable: readonly Unreadable[] } {
    const readable: PantryEntry[] = [];
    const unreadable: Unreadable[] = [];
    for (const { packs, ...row } of db.select().from(pantry).orderBy(asc(pantry.ingredient)).all()) {
      const read = parseWith(PantrySchema, { ...row, packs: parsedJson(packs) });
      if (read.ok) readable.push(read.value);
      else unreadable.push({ id: row.ingredient, name: row.ingredient, issue: read.issues[0] });
    }
    return { readable, unreadable };
  },
  save({ ingredient, haveG, packs }: PantryEntry): void {
    const row = { ingredient, haveG, packs: JSON.stringify(packs) };
    db.insert(pantry).values(row).onConflictDoUpdate({ target: pantry.ingredient, set: row }).run();
  },
});
