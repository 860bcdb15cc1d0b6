import { asc, eq, sql } from "drizzle-orm";
import { ItemSchema, type Item } from "@/core/plan/item";
import type { Db } from "./database";
import { items } from "./schema";

type Row = typeof items.$inferSelect;

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

function toRow(item: Item, position: number): Row {
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
  all: (): Item[] => db.select().from(items).orderBy(asc(items.position), asc(items.name)).all().map(toItem),
  find: (id: string): Item | undefined => db.select().from(items).where(eq(items.id, id)).all().map(toItem)[0],
  save(item: Item, position = 0): void {
    const row = toRow(item, position);
    db.insert(items).values(row).onConflictDoUpdate({ target: items.id, set: row }).run();
  },
  count: (): number =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(items)
      .all()[0].n,
});
