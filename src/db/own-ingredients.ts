import { asc, eq } from "drizzle-orm";
import { OWN_INGREDIENT_DOCUMENT, type OwnIngredient } from "@/core/ingredients/own";
import { readDocument } from "@/core/shared/documents";
import type { Db } from "./database";
import { parsedJson, type Unreadable } from "./documents";
import { ownIngredients } from "./schema";

/** What the cook knows better about ingredients than the catalogue: one list for all items. */
export const ownIngredientRepository = (db: Db) => ({
  list(): { readonly readable: readonly OwnIngredient[]; readonly unreadable: readonly Unreadable[] } {
    const readable: OwnIngredient[] = [];
    const unreadable: Unreadable[] = [];
    for (const row of db.select().from(ownIngredients).orderBy(asc(ownIngredients.id)).all()) {
      const read = readDocument(OWN_INGREDIENT_DOCUMENT, row.schemaVersion, parsedJson(row.data));
      if (read.ok) readable.push(read.value);
      else unreadable.push({ id: row.id, name: row.id, issue: read.issues[0] });
    }
    return { readable, unreadable };
  },
  save(entry: OwnIngredient): void {
    const row = { id: entry.id, schemaVersion: OWN_INGREDIENT_DOCUMENT.version, data: JSON.stringify(entry) };
    db.insert(ownIngredients).values(row).onConflictDoUpdate({ target: ownIngredients.id, set: row }).run();
  },
  remove(id: string): void {
    db.delete(ownIngredients).where(eq(ownIngredients.id, id)).run();
  },
});
