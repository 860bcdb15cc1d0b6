import { asc, eq } from "drizzle-orm";
import { GatheringSchema, type Gathering } from "@/core/gathering/schema";
import type { Db } from "./database";
import { gatherings } from "./schema";

/** A gathering with the kitchen it is held in. */
export interface StoredGathering {
  readonly gathering: Gathering;
  readonly kitchenId: string;
}

const toStored = (row: typeof gatherings.$inferSelect): StoredGathering => ({
  gathering: GatheringSchema.parse({ ...JSON.parse(row.data), id: row.id, name: row.name }),
  kitchenId: row.kitchenId,
});

export const gatheringRepository = (db: Db) => ({
  all: (): StoredGathering[] =>
    db.select().from(gatherings).orderBy(asc(gatherings.position), asc(gatherings.name)).all().map(toStored),
  find: (id: string): StoredGathering | undefined =>
    db.select().from(gatherings).where(eq(gatherings.id, id)).all().map(toStored)[0],
  /** Adds a gathering, or replaces what the cook had before under the same id. */
  save(gathering: Gathering, kitchenId: string, savedAt: string, position?: number): void {
    const { id, name, ...data } = gathering;
    const row = { id, name, kitchenId, savedAt, data: JSON.stringify(data), ...(position !== undefined && { position }) };
    db.insert(gatherings).values(row).onConflictDoUpdate({ target: gatherings.id, set: row }).run();
  },
});
