import Database from "better-sqlite3";
import { drizzle, type BetterSQLite3Database } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { mkdirSync } from "node:fs";
import { dirname, join } from "node:path";
import * as schema from "./schema";

export type Db = BetterSQLite3Database<typeof schema>;

/** Where the data lies: UNISYNTH_DB, or data/unisynth.db below the working folder. */
export const databaseFile = (): string => process.env.UNISYNTH_DB ?? join(process.cwd(), "data", "unisynth.db");

/** Opens a database file, creates it if need be, and brings it to the newest migration. */
export function openDatabase(file: string): Db {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const connection = new Database(file);
  connection.pragma("journal_mode = WAL");
  connection.pragma("foreign_keys = ON");
  connection.pragma("busy_timeout = 3000");
  const db = drizzle(connection, { schema });
  migrate(db, { migrationsFolder: join(process.cwd(), "src", "db", "migrations") });
  return db;
}

const holder = globalThis as { unisynthDatabase?: Db };

/** The one connection of this process. */
export const database = (): Db => (holder.unisynthDatabase ??= openDatabase(databaseFile()));
