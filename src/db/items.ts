import { asc, eq, isNull, sql } from "drizzle-orm";
import { ItemSchema, type Item } from "@/core/item/schema";
import type { Db } from "./database";
import { items } from "./schema";

type Row = typeof items.$inferSelect;
type NewRow = Omit<Row, "archivedAt">;

function toItem(row: Row): Item {
  const part = (text: string) => JSON.parse(text) as Record<string, unknown>;
  return ItemSchema.parse({
    id: row.id,
    name: row.name,
    ...part(row.about),
    ...part(row.formula),
    ...part(row.piece),
    ...part(row.storage),
    steps: JSON.parse(row.steps),
    schools: JSON.parse(row.schools),
  });
}

function toRow(item: Item, position: number): NewRow {
  const { id, name, dough, filling, finish, piece, capacity, storage, faults, fryOil, steps, schools, ...about } = item;
  return {
    id,
    name,
    position,
    about: JSON.stringify(about),
    formula: JSON.stringify({ dough, filling, finish }),
    piece: JSON.stringify({ piece, capacity, fryOil }),
    storage: JSON.stringify({ storage, faults }),
    steps: JSON.stringify(steps),
    schools: JSON.stringify(schools),
  };
}

/** Items in the cook's order. */
export const itemRepository = (db: Db) => ({
  /** Those in use; with the archived ones where a gathering may still name them. */
  all: ({ archived = false } = {}): Item[] =>
    db
      .select()
      .from(items)
      .where(archived ? undefined : isNull(items.archivedAt))
      .orderBy(asc(items.position), asc(items.name))
      .all()
      .map(toItem),
  find: (id: string): Item | undefined => db.select().from(items).where(eq(items.id, id)).all().map(toItem)[0],
  isArchived: (id: string): boolean => db.select().from(items).where(eq(items.id, id)).all()[0]?.archivedAt != null,
  /** Adds an item at the end, or replaces what was there under the same id, where it stands. */
  save(item: Item, position?: number): void {
    const last = db
      .select({ n: sql<number>`coalesce(max(position), -1)` })
      .from(items)
      .all()[0].n;
    const { position: _kept, ...change } = toRow(item, 0);
    db.insert(items)
      .values(toRow(item, position ?? last + 1))
      .onConflictDoUpdate({ target: items.id, set: change })
      .run();
  },
  /** Puts an item away (a time) or brings it back (null). */
  archive(id: string, at: string | null): void {
    db.update(items).set({ archivedAt: at }).where(eq(items.id, id)).run();
  },
  count: (): number =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(items)
      .all()[0].n,
});
