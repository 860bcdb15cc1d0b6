import { eq } from "drizzle-orm";
import { KITCHEN_DOCUMENT, type Kitchen } from "@/core/kitchen/schema";
import type { Result } from "@/core/shared/issue";
import type { Db } from "./database";
import { readRow, toRow, type Stored } from "./documents";
import { kitchens } from "./schema";

export const kitchenRepository = (db: Db) => ({
  find(id: string): Result<Stored<Kitchen>> | undefined {
    const row = db.select().from(kitchens).where(eq(kitchens.id, id)).all().at(0);
    return row && readRow(KITCHEN_DOCUMENT, row);
  },
  save(kitchen: Kitchen, position = 0): void {
    const row = { ...toRow(KITCHEN_DOCUMENT, kitchen), position };
    db.insert(kitchens).values(row).onConflictDoUpdate({ target: kitchens.id, set: row }).run();
  },
});
