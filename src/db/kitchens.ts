import { eq } from "drizzle-orm";
import { KitchenSchema, type Kitchen } from "@/core/kitchen/schema";
import type { Db } from "./database";
import { kitchens } from "./schema";

const toKitchen = (row: typeof kitchens.$inferSelect): Kitchen =>
  KitchenSchema.parse({ ...JSON.parse(row.data), id: row.id, name: row.name });

export const kitchenRepository = (db: Db) => ({
  find: (id: string): Kitchen | undefined => db.select().from(kitchens).where(eq(kitchens.id, id)).all().map(toKitchen)[0],
  save(kitchen: Kitchen, position = 0): void {
    const { id, name, ...data } = kitchen;
    const row = { id, name, position, data: JSON.stringify(data) };
    db.insert(kitchens).values(row).onConflictDoUpdate({ target: kitchens.id, set: row }).run();
  },
});
