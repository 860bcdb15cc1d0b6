import { asc, count, eq, isNull } from "drizzle-orm";
import { KITCHEN_DOCUMENT, type Kitchen } from "@/core/kitchen/schema";
import { ok, type Result } from "@/core/shared/issue";
import type { Db } from "./database";
import { conflict, readRow, readRows, toRow, type Listed, type Saving, type Stored } from "./documents";
import { gatherings, kitchens } from "./schema";

/** Kitchens in the cook's order. */
export const kitchenRepository = (db: Db) => {
  const rowOf = (id: string) => db.select().from(kitchens).where(eq(kitchens.id, id)).all().at(0);
  return {
    /** Those that can be chosen; with the ones put away where a gathering may still be held in them. */
    list: ({ archived = false } = {}): Listed<Kitchen> =>
      readRows(
        KITCHEN_DOCUMENT,
        db
          .select()
          .from(kitchens)
          .where(archived ? undefined : isNull(kitchens.archivedAt))
          .orderBy(asc(kitchens.position), asc(kitchens.name))
          .all(),
      ),
    /** Undefined where there is none. */
    find(id: string): Result<Stored<Kitchen>> | undefined {
      const row = rowOf(id);
      return row && readRow(KITCHEN_DOCUMENT, row);
    },
    isArchived: (id: string): boolean => rowOf(id)?.archivedAt != null,
    /** Adds a kitchen, or the next revision of it. Issues: `conflict`. */
    save(
      kitchen: Kitchen,
      { from, position }: Partial<Saving> & { position?: number } = {},
    ): Result<{ id: string; revision: number }> {
      return db.transaction((tx) => {
        const there = rowOf(kitchen.id);
        if (from !== undefined && (there?.revision ?? 0) !== from) return conflict(KITCHEN_DOCUMENT, there);
        const row = {
          ...toRow(KITCHEN_DOCUMENT, kitchen),
          revision: (there?.revision ?? 0) + 1,
          ...(position !== undefined && { position }),
        };
        tx.insert(kitchens).values(row).onConflictDoUpdate({ target: kitchens.id, set: row }).run();
        return ok({ id: row.id, revision: row.revision });
      });
    },
    /** Puts a kitchen away (a time) or brings it back (null). */
    archive(id: string, at: string | null): void {
      db.update(kitchens).set({ archivedAt: at }).where(eq(kitchens.id, id)).run();
    },
    /** How many gatherings are held in it. */
    uses: (id: string): number => db.select({ n: count() }).from(gatherings).where(eq(gatherings.kitchenId, id)).all()[0].n,
  };
};
