import { and, asc, count, desc, eq, isNotNull, isNull, not, sql } from "drizzle-orm";
import { gatheringDate, RELATIVE_DATES } from "@/core/gathering/calendar";
import { guestTotal } from "@/core/gathering/headcount";
import { GATHERING_DOCUMENT, type Gathering } from "@/core/gathering/schema";
import { ok, type Result } from "@/core/shared/issue";
import type { Db } from "./database";
import { conflict, readRow, toRow, type Saving, type Stored } from "./documents";
import { gatherings } from "./schema";

/** A gathering with the kitchen it is held in. */
export interface StoredGathering extends Stored<Gathering> {
  readonly kitchenId: string;
}

/** A gathering as the list shows it, from columns alone. */
export interface GatheringGlance {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  /** yyyy-mm-dd */
  readonly date: string;
  readonly guests: number;
  /** Its document has not what every gathering has: its page says more. */
  readonly isDamaged: boolean;
}

/** What is coming, the next first; what is past, the last first; what was put away. */
export type Side = "coming" | "past" | "away";

/** Which part of the list. */
export interface Part {
  /** yyyy-mm-dd */
  readonly today: string;
  readonly side: Side;
  readonly from: number;
  readonly most: number;
}

/** What a gathering's columns hold of its document. */
const listed = (gathering: Gathering) => ({
  day: "on" in gathering.date ? gathering.date.on : gathering.date.relative,
  guests: guestTotal(gathering),
  line: gathering.line,
});

/** The date of each row, as SQL: what is said by weekday falls on another date each week. */
const dateOn = (today: string) => {
  const cases = RELATIVE_DATES.map((relative) => sql`when ${relative} then ${gatheringDate({ relative }, today)}`);
  return sql<string>`case ${gatherings.day} ${sql.join(cases, sql` `)} else ${gatherings.day} end`;
};

export const gatheringRepository = (db: Db) => {
  const rowOf = (id: string) => db.select().from(gatherings).where(eq(gatherings.id, id)).all().at(0);
  return {
    /** A part of the list, with how many there are on each side. */
    page({ today, side, from, most }: Part): {
      readonly rows: GatheringGlance[];
      readonly counts: Readonly<Record<Side, number>>;
    } {
      const date = dateOn(today);
      const isPast = sql`${date} < ${today}`;
      const here = isNull(gatherings.archivedAt);
      const sides = { coming: and(here, not(isPast)), past: and(here, isPast), away: isNotNull(gatherings.archivedAt) };
      const numberOf = (one: Side) => db.select({ n: count() }).from(gatherings).where(sides[one]).all()[0].n;
      const rows = db
        .select({ id: gatherings.id, name: gatherings.name, line: gatherings.line, date, guests: gatherings.guests })
        .from(gatherings)
        .where(sides[side])
        .orderBy(side === "coming" ? asc(date) : desc(date), asc(gatherings.name), asc(gatherings.id))
        .limit(most)
        .offset(from)
        .all();
      const whole = db
        .select({
          isWhole: sql<number>`json_type(${gatherings.data}, '$.waves') is 'array' and json_type(${gatherings.data}, '$.date') is 'object'`,
        })
        .from(gatherings)
        .where(eq(gatherings.id, sql.placeholder("id")))
        .prepare();
      return {
        rows: rows.map((row) => ({ ...row, isDamaged: !whole.get({ id: row.id })?.isWhole })),
        counts: { coming: numberOf("coming"), past: numberOf("past"), away: numberOf("away") },
      };
    },
    /** The next one in a kitchen or with an item, from today on; undefined where there is none. */
    nextWith(of: { readonly kitchen: string } | { readonly item: string }, today: string): string | undefined {
      const date = dateOn(today);
      const concerns =
        "kitchen" in of
          ? eq(gatherings.kitchenId, of.kitchen)
          : // As it is written by JSON.stringify: reading every document for it would take a second with a few hundred of them.
            sql`instr(${gatherings.data}, ${`"recipe":${JSON.stringify(of.item)}`}) > 0`;
      return db
        .select({ id: gatherings.id })
        .from(gatherings)
        .where(and(concerns, isNull(gatherings.archivedAt), not(sql`${date} < ${today}`)))
        .orderBy(asc(date), asc(gatherings.id))
        .limit(1)
        .all()
        .at(0)?.id;
    },
    /** What it is called, from its column; undefined where there is none. */
    nameOf: (id: string): string | undefined =>
      db.select({ name: gatherings.name }).from(gatherings).where(eq(gatherings.id, id)).all().at(0)?.name,
    /** Undefined where there is none. */
    find(id: string): Result<StoredGathering> | undefined {
      const row = rowOf(id);
      if (!row) return undefined;
      const read = readRow(GATHERING_DOCUMENT, row);
      return read.ok ? ok({ ...read.value, kitchenId: row.kitchenId }) : read;
    },
    /** Puts a gathering away (a time) or brings it back (null). */
    archive(id: string, at: string | null): void {
      db.update(gatherings).set({ archivedAt: at }).where(eq(gatherings.id, id)).run();
    },
    /** Takes a gathering out for good, with its plans. Throws where something refers to one of them. */
    remove(id: string): void {
      db.delete(gatherings).where(eq(gatherings.id, id)).run();
    },
    isEmpty: (): boolean => db.select({ id: gatherings.id }).from(gatherings).limit(1).all().length === 0,
    isThere: (id: string): boolean => rowOf(id) !== undefined,
    /** Adds a gathering, or the next revision of it; its kitchen stays unless one is named. Issues: `conflict`. */
    save(
      gathering: Gathering,
      { savedAt, from, kitchenId, position }: Saving & { kitchenId?: string; position?: number },
    ): Result<{ id: string; revision: number }> {
      return db.transaction((tx) => {
        const there = rowOf(gathering.id);
        if (from !== undefined && (there?.revision ?? 0) !== from) return conflict(GATHERING_DOCUMENT, there);
        const row = {
          ...toRow(GATHERING_DOCUMENT, gathering),
          ...listed(gathering),
          kitchenId: kitchenId ?? gathering.kitchen ?? there?.kitchenId ?? "",
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
