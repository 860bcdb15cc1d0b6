import { sql } from "drizzle-orm";
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";

/** What every stored document has: its JSON, the version it was written in, and how often it was saved. */
const document = {
  data: text("data").notNull(),
  schemaVersion: integer("schema_version").notNull().default(1),
  /** Counts the savings: one who saves says which revision they began from. */
  revision: integer("revision").notNull().default(1),
};

/**
 * Columns hold what is searched, sorted or counted; the rest is one JSON document, which the core's schemas parse when it is
 * read. The database checks that it is JSON at all.
 */
export const items = sqliteTable(
  "items",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    position: integer("position").notNull().default(0),
    ...document,
    /** When it was put away; null while it is in use. */
    archivedAt: text("archived_at"),
  },
  (t) => [
    index("items_listed").on(t.archivedAt, t.position, t.name, t.id),
    check("items_name", sql`length(trim(${t.name})) > 0`),
    check("items_data", sql`json_valid(${t.data}) and json_array_length(${t.data}, '$.steps') > 0`),
  ],
);

/** Every item as it ever was saved. Append-only: triggers refuse changes. */
export const itemVersions = sqliteTable(
  "item_versions",
  {
    itemId: text("item_id").notNull(),
    ...document,
    name: text("name").notNull(),
    savedAt: text("saved_at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.itemId, t.revision] }), check("item_versions_data", sql`json_valid(${t.data})`)],
);

export const kitchens = sqliteTable(
  "kitchens",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    position: integer("position").notNull().default(0),
    ...document,
    /** When it was put away; null while it can be chosen. */
    archivedAt: text("archived_at"),
  },
  (t) => [check("kitchens_name", sql`length(trim(${t.name})) > 0`), check("kitchens_data", sql`json_valid(${t.data})`)],
);

export const gatherings = sqliteTable(
  "gatherings",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    position: integer("position").notNull().default(0),
    kitchenId: text("kitchen_id")
      .notNull()
      .references(() => kitchens.id),
    ...document,
    savedAt: text("saved_at").notNull(),
    /** What the list of gatherings shows and sorts by: `next Saturday` or yyyy-mm-dd, how many guests, the line below the name. */
    day: text("day").notNull().default(""),
    guests: integer("guests").notNull().default(0),
    line: text("line").notNull().default(""),
    /** When it was put away; null while it is in the list. */
    archivedAt: text("archived_at"),
  },
  (t) => [
    // Everything the list needs: large documents are not read for it.
    index("gatherings_listed").on(t.archivedAt, t.day, t.name, t.id, t.guests, t.line),
    check("gatherings_name", sql`length(trim(${t.name})) > 0`),
    check("gatherings_data", sql`json_valid(${t.data})`),
  ],
);

/** What the cook has, and how it is sold. */
export const pantry = sqliteTable(
  "pantry",
  {
    ingredient: text("ingredient").primaryKey(),
    haveG: real("have_g").notNull().default(0),
    /** Sizes in which it is sold, with their prices: JSON, a list. */
    packs: text("packs").notNull().default("[]"),
  },
  (t) => [check("pantry_have", sql`${t.haveG} >= 0`)],
);

/** What the cook knows better about an ingredient than the catalogue, a document each. */
export const ownIngredients = sqliteTable("own_ingredients", {
  id: text("id").primaryKey(),
  schemaVersion: integer("schema_version").notNull().default(1),
  data: text("data").notNull(),
});

/** Plans as they were accepted, with the request (items and kitchen included) that they were made from. */
export const plans = sqliteTable(
  "plans",
  {
    id: integer("id").primaryKey({ autoIncrement: true }),
    gatheringId: text("gathering_id")
      .notNull()
      .references(() => gatherings.id, { onDelete: "cascade" }),
    schemaVersion: integer("schema_version").notNull().default(1),
    status: text("status", { enum: ["optimal", "feasible"] }).notNull(),
    /** 1 where a better plan was still looked for when it was kept. */
    cutOff: integer("cut_off", { mode: "boolean" }).notNull().default(false),
    cost: real("cost").notNull().default(0),
    /** Local date and time of minute 0, and what the wall clock shows from there at the first start and the last end, min. */
    origin: text("origin").notNull().default(""),
    firstStart: integer("first_start").notNull().default(0),
    lastEnd: integer("last_end").notNull().default(0),
    request: text("request").notNull(),
    plan: text("plan").notNull(),
    savedAt: text("saved_at").notNull(),
  },
  (t) => [
    // Everything a glance needs: the plans themselves are large.
    index("plans_glanced").on(t.gatheringId, t.id, t.origin, t.firstStart, t.lastEnd, t.cost, t.status),
    check("plans_status", sql`${t.status} in ('optimal', 'feasible')`),
    check("plans_request", sql`json_valid(${t.request})`),
    check("plans_plan", sql`json_valid(${t.plan})`),
  ],
);

/** What else refers to a plan, by kind and id: such a plan is never pruned. */
export const planReferences = sqliteTable(
  "plan_references",
  {
    planId: integer("plan_id")
      .notNull()
      .references(() => plans.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    reference: text("reference").notNull(),
  },
  (t) => [primaryKey({ columns: [t.planId, t.kind, t.reference] })],
);

/** Days under way: the plan that is cooked, and how far its clock is from the one on the wall where it is practised, ms. */
export const runs = sqliteTable(
  "runs",
  {
    id: text("id").primaryKey(),
    gatheringId: text("gathering_id")
      .notNull()
      .references(() => gatherings.id, { onDelete: "restrict" }),
    planId: integer("plan_id")
      .notNull()
      .references(() => plans.id, { onDelete: "restrict" }),
    startedAt: text("started_at").notNull(),
    shiftMs: integer("shift_ms").notNull().default(0),
  },
  (t) => [index("runs_listed").on(t.gatheringId, t.startedAt)],
);

/** What happened in a run, in the order in which it came in. Append-only: triggers refuse changes. */
export const runEvents = sqliteTable(
  "run_events",
  {
    runId: text("run_id")
      .notNull()
      .references(() => runs.id, { onDelete: "restrict" }),
    sequence: integer("sequence").notNull(),
    eventId: text("event_id").notNull(),
    at: text("at").notNull(),
    receivedAt: text("received_at").notNull(),
    device: text("device").notNull(),
    kind: text("kind").notNull(),
    task: text("task"),
    data: text("data").notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.runId, t.sequence] }),
    uniqueIndex("run_events_once").on(t.runId, t.eventId),
    check("run_events_data", sql`json_valid(${t.data})`),
  ],
);

/** Other devices that were let in; only a hash of what each shows is kept. */
export const devices = sqliteTable("devices", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  pairedAt: text("paired_at").notNull(),
  secret: text("secret").notNull().unique(),
});

/** The code that lets one device in, while there is one: its hash, until when (ms since 1970) and for how many tries. */
export const deviceCode = sqliteTable(
  "device_code",
  {
    id: integer("id").primaryKey(),
    hash: text("hash").notNull(),
    until: integer("until").notNull(),
    tries: integer("tries").notNull(),
  },
  (t) => [check("device_code_one", sql`${t.id} = 1`)],
);
