import { asc, count, desc, eq, isNull, sql, type SQL } from "drizzle-orm";
import type { Item } from "@/core/item/schema";
import { ITEM_DOCUMENT } from "@/core/item/versions";
import { ok, type Result } from "@/core/shared/issue";
import type { Db } from "./database";
import { conflict, readRow, readRows, toRow, type Listed, type Saving, type Stored } from "./documents";
import { items, itemVersions } from "./schema";

/** Items in the cook's order. */
export const itemRepository = (db: Db) => {
  const rowOf = (id: string) => db.select().from(items).where(eq(items.id, id)).all().at(0);
  return {
    /** Those in use; with the archived ones where a gathering may still name them. */
    list: ({ archived = false } = {}): Listed<Item> =>
      readRows(
        ITEM_DOCUMENT,
        db
          .select()
          .from(items)
          .where(archived ? undefined : isNull(items.archivedAt))
          .orderBy(asc(items.position), asc(items.name))
          .all(),
      ),
    /** A part of those in use, with how many there are. */
    page(from: number, most: number): Listed<Item> & { readonly count: number } {
      const inUse = isNull(items.archivedAt);
      const rows = db
        .select()
        .from(items)
        .where(inUse)
        .orderBy(asc(items.position), asc(items.name))
        .limit(most)
        .offset(from)
        .all();
      return { ...readRows(ITEM_DOCUMENT, rows), count: db.select({ n: count() }).from(items).where(inUse).all()[0].n };
    },
    /** Ids and names of all, from columns alone. */
    names: (): { readonly id: string; readonly name: string; readonly isAway: boolean }[] =>
      db
        .select({ id: items.id, name: items.name, archivedAt: items.archivedAt })
        .from(items)
        .orderBy(asc(items.position), asc(items.name))
        .all()
        .map(({ archivedAt, ...row }) => ({ ...row, isAway: archivedAt !== null })),
    /** The same without those that cannot be read. */
    all({ archived = false } = {}): Item[] {
      return this.list({ archived }).readable.map(({ document }) => document);
    },
    /** Undefined where there is none. */
    find(id: string): Result<Stored<Item>> | undefined {
      const row = rowOf(id);
      return row && readRow(ITEM_DOCUMENT, row);
    },
    isArchived: (id: string): boolean => rowOf(id)?.archivedAt != null,
    /** Ids of those that are not put away. */
    idsInUse: (): string[] =>
      db
        .select({ id: items.id })
        .from(items)
        .where(isNull(items.archivedAt))
        .orderBy(asc(items.position), asc(items.name))
        .all()
        .map((row) => row.id),
    /** Where an item stands among all, archived ones included. */
    placeOf: (id: string): number =>
      db
        .select({ id: items.id })
        .from(items)
        .orderBy(asc(items.position), asc(items.name))
        .all()
        .findIndex((row) => row.id === id),
    /** Adds an item at the end, or the next revision of it where it stands. Issues: `conflict`. */
    save(item: Item, { savedAt, from, position }: Saving & { position?: number }): Result<{ id: string; revision: number }> {
      return db.transaction((tx) => {
        const there = rowOf(item.id);
        if (from !== undefined && (there?.revision ?? 0) !== from) return conflict(ITEM_DOCUMENT, there);
        const most = (column: SQL, where: SQL) => tx.get<{ n: number | null }>(sql`select max(${column}) as n ${where}`).n;
        const last = most(sql`position`, sql`from ${items}`) ?? -1;
        // A database that was emptied for the demo keeps its versions: they go on counting from there.
        const newest = most(sql`revision`, sql`from ${itemVersions} where ${itemVersions.itemId} = ${item.id}`) ?? 0;
        const row = { ...toRow(ITEM_DOCUMENT, item), revision: Math.max(there?.revision ?? 0, newest) + 1 };
        tx.insert(items)
          .values({ ...row, position: position ?? last + 1 })
          .onConflictDoUpdate({ target: items.id, set: row })
          .run();
        const { id, ...version } = row;
        tx.insert(itemVersions)
          .values({ ...version, itemId: id, savedAt })
          .run();
        return ok({ id, revision: row.revision });
      });
    },
    /** Versions of an item that were saved, the newest first, `most` of them at the most. */
    versions: (id: string, most = 500): { revision: number; savedAt: string; item: Result<Stored<Item>> }[] =>
      db
        .select()
        .from(itemVersions)
        .where(eq(itemVersions.itemId, id))
        .orderBy(desc(itemVersions.revision))
        .limit(most)
        .all()
        .map((row) => ({
          revision: row.revision,
          savedAt: row.savedAt,
          item: readRow(ITEM_DOCUMENT, { ...row, id: row.itemId }),
        })),
    /** Puts an item away (a time) or brings it back (null). */
    archive(id: string, at: string | null): void {
      db.update(items).set({ archivedAt: at }).where(eq(items.id, id)).run();
    },
    count: (): number =>
      db
        .select({ n: sql<number>`count(*)` })
        .from(items)
        .all()[0].n,
  };
};
