import { sql } from "drizzle-orm";
import { ItemSchema } from "@/core/item/schema";
import { GatheringSchema } from "@/core/gathering/schema";
import { KitchenSchema } from "@/core/kitchen/schema";
import type { Db } from "./database";
import demoGatherings from "./demo/gatherings.json";
import demoItems from "./demo/items.json";
import demoKitchens from "./demo/kitchens.json";
import { gatheringRepository } from "./gatherings";
import { itemRepository } from "./items";
import { kitchenRepository } from "./kitchens";
import { gatherings, items, kitchens, ownIngredients, pantry, planReferences, plans, runEvents, runs } from "./schema";

/** Fills an empty database with the demo: nine items, three kitchens, three gatherings whose dates follow today. */
export function seedDemo(db: Db, savedAt: string): boolean {
  if (itemRepository(db).count() > 0) return false;
  db.transaction(() => {
    demoItems.forEach((item, i) => itemRepository(db).save(ItemSchema.parse(item), { savedAt, position: i }));
    demoKitchens.forEach((kitchen, i) => kitchenRepository(db).save(KitchenSchema.parse(kitchen), { position: i }));
    demoGatherings.forEach((gathering, i) =>
      gatheringRepository(db).save(GatheringSchema.parse(gathering), { savedAt, kitchenId: gathering.kitchen, position: i }),
    );
  });
  return true;
}

/** Takes out everything, so that the demo can be filled in anew. */
export function clearAll(db: Db): void {
  db.transaction((tx) => {
    // What happened is append-only, but for whoever throws everything away.
    const { trigger } = tx.get<{ trigger: string }>(
      sql`select sql as "trigger" from sqlite_master where name = 'run_events_are_kept'`,
    );
    tx.run(sql`drop trigger run_events_are_kept`);
    tx.delete(runEvents).run();
    tx.run(sql.raw(trigger));
    for (const table of [planReferences, runs, plans, gatherings, kitchens, items, pantry, ownIngredients])
      tx.delete(table)
        .where(sql`1 = 1`)
        .run();
  });
}
