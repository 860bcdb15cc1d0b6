import { sql } from "drizzle-orm";
import { check, index, integer, real, sqliteTable, text } from "drizzle-orm/sqlite-core";

/** JSON columns are parsed by the core's schemas when they are read; the database checks that they are JSON at all. */
export const items = sqliteTable(
  "items",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    position: integer("position").notNull().default(0),
    /** Name, family, diets, allergens, pieces a guest, base batch. */
    about: text("about").notNull(),
    /** Dough, filling and finish with their losses, g and %. */
    formula: text("formula").notNull(),
    /** Piece and how many fit where, g and mm. */
    piece: text("piece").notNull(),
    steps: text("steps").notNull(),
    schools: text("schools").notNull(),
    storage: text("storage").notNull(),
    /** When it was put away; null while it is in use. */
    archivedAt: text("archived_at"),
  },
  (t) => [
    check("items_name", sql`length(trim(${t.name})) > 0`),
    check("items_about", sql`json_valid(${t.about})`),
    check("items_formula", sql`json_valid(${t.formula})`),
    check("items_piece", sql`json_valid(${t.piece})`),
    check("items_steps", sql`json_valid(${t.steps}) and json_array_length(${t.steps}) > 0`),
    check("items_schools", sql`json_valid(${t.schools})`),
    check("items_storage", sql`json_valid(${t.storage})`),
  ],
);

export const kitchens = sqliteTable(
  "kitchens",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    position: integer("position").notNull().default(0),
    data: text("data").notNull(),
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
    data: text("data").notNull(),
    savedAt: text("saved_at").notNull(),
  },
  (t) => [check("gatherings_name", sql`length(trim(${t.name})) > 0`), check("gatherings_data", sql`json_valid(${t.data})`)],
);

/** What the cook has, and how it is sold. */
export const pantry = sqliteTable(
  "pantry",
  {
    ingredient: text("ingredient").primaryKey(),
    haveG: real("have_g").notNull().default(0),
    packG: real("pack_g"),
    packPrice: integer("pack_price"),
  },
  (t) => [
    check("pantry_have", sql`${t.haveG} >= 0`),
    check("pantry_pack", sql`${t.packG} is null or ${t.packG} > 0`),
    check("pantry_price", sql`${t.packPrice} is null or ${t.packPrice} >= 0`),
  ],
);

/** Plans as they were accepted, with the request (items and kitchen included) that they were made from. */
export const plans = sqliteTable(
  "plans",
  {
    id: integer("id").primaryKey({ autoIncrement: true }),
    gatheringId: text("gathering_id")
      .notNull()
      .references(() => gatherings.id, { onDelete: "cascade" }),
    status: text("status", { enum: ["optimal", "feasible"] }).notNull(),
    request: text("request").notNull(),
    plan: text("plan").notNull(),
    savedAt: text("saved_at").notNull(),
  },
  (t) => [
    index("plans_by_gathering").on(t.gatheringId, t.id),
    check("plans_status", sql`${t.status} in ('optimal', 'feasible')`),
    check("plans_request", sql`json_valid(${t.request})`),
    check("plans_plan", sql`json_valid(${t.plan})`),
  ],
);
