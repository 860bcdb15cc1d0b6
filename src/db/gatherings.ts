import { asc, eq } from "drizzle-orm";
import { GATHERING_DOCUMENT, type Gathering } from "@/core/gathering/schema";
import { ok, type Result } from "@/core/shared/issue";
import type { Db } from "./database";
import { conflict, readRow, readRows, toRow, type Listed, type Saving, type Stored } from "./documents";
import { gatherings } from "./schema";

/** A gathering with the kitchen it is held in. */
export interface StoredGathering extends Stored<Gathering> {
  readonly kitchenId: string;
}

export const gatheringRepository = (db: Db) => {
  const rowOf = (id: string) => db.select().from(gatherings).where(eq(gatherings.id, id)).all().at(0);
  return {
    list: (): Listed<Gathering> =>
      readRows(GATHERING_DOCUMENT, db.select().from(gatherings).orderBy(asc(gatherings.position), asc(gatherings.name)).all()),
    /** Undefined where there is none. */
    find(id: string): Result<StoredGathering> | undefined {
      const row = rowOf(id);
      if (!row) return undefined;
      const read = readRow(GATHERING_DOCUMENT, row);
      return read.ok ? ok({ ...read.value, kitchenId: row.kitchenId }) : read;
    },
    isThere: (id: string): boolean => rowOf(id) !== undefined,
    /** Adds a gathering, or the next revision of it; its kitchen stays unless one is named. Issues: `conflict`. */
    save(
      gathering: Gathering,
      { savedAt, from, kitchenId, position }: Saving & { kitchenId?: string; position?: number },
    ): Result<{ id: string; revision: number }> {
      return db.transaction((tx) => {
        const there = rowOf(gathering.id);
        if (from !== undefined && there?.revision !== from) return conflict(GATHERING_DOCUMENT, there);
        const row = {
          ...toRow(GATHERING_DOCUMENT, gathering),
          kitchenId: kitchenId ?? there?.kitchenId ?? gathering.kitchen ?? "",
          revision: (there?.revision ?? 0) + 1,
          savedAt,
          ...(position !== undefined && { position }),
        };
        tx.insert(gatherings).values(row).onConflictDoUpdate({ target: gatherings.id, set: row }).run();
        return ok({ id: row.id, revision: row.revision });
      });
    },
  };
};
