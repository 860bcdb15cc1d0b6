import Database from "better-sqlite3";
import { drizzle, type BetterSQLite3Database } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { chmodSync, copyFileSync, existsSync, mkdirSync, mkdtempSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import journal from "./migrations/meta/_journal.json";
import * as schema from "./schema";
import { DatabaseTrouble, troubleOf } from "./trouble";

export type Connection = Database.Database;
export type Db = BetterSQLite3Database<typeof schema> & { readonly $client: Connection };

/** Where the data lies: UNISYNTH_DB, or data/unisynth.db below the working folder. */
export const databaseFile = (): string => process.env.UNISYNTH_DB ?? join(process.cwd(), "data", "unisynth.db");

/** SQLite itself waits only so long for a lock, ms: the whole server waits with it. Whoever writes tries again. */
const BUSY_MS = 80;
/** A file that could only be read is tried again for writing after so long, ms. */
const AGAIN_MS = 3000;

/** How far a database is: the time of its last migration; 0 for a new file. Throws `not-ours` for one of another program. */
export function migratedUntil(connection: Connection, file: string): number {
  const table = (name: string) =>
    connection.prepare("select 1 from sqlite_master where type = 'table' and name = ?").get(name) !== undefined;
  if (!table("__drizzle_migrations")) {
    const others = connection.prepare("select count(*) as n from sqlite_master").get() as { n: number };
    if (others.n > 0) throw new DatabaseTrouble("not-ours", file);
    return 0;
  }
  const row = connection.prepare("select max(created_at) as at from __drizzle_migrations").get() as { at: number | null };
  return Number(row.at ?? 0);
}

/** The time of the newest migration that this program has. */
export const NEWEST: number = Math.max(...journal.entries.map((entry) => entry.when));

/** How a file's last migration stands to the newest of this program. */
export const ageOf = (until: number): "older" | "newer" | "current" =>
  until < NEWEST ? "older" : until > NEWEST ? "newer" : "current";

/** Opens a file as SQLite, for writing. */
export function connect(file: string): Connection {
  const connection = new Database(file);
  try {
    connection.pragma(`busy_timeout = ${BUSY_MS}`);
    connection.pragma("journal_mode = WAL");
    // What was answered "kept" is on the disk, also when the power goes.
    connection.pragma("synchronous = FULL");
    connection.pragma("foreign_keys = ON");
    // A disk that fills up, tried out: pages of 4 kB that the file may have at the most.
    if (process.env.UNISYNTH_MOST_PAGES) connection.pragma(`max_page_count = ${Number(process.env.UNISYNTH_MOST_PAGES)}`);
    return connection;
  } catch (error) {
    connection.close();
    throw error;
  }
}

export const bind = (connection: Connection): Db => drizzle(connection, { schema });

/** Brings a database to the newest migration. */
export const migrateNow = (db: Db): void => migrate(db, { migrationsFolder: join(process.cwd(), "src", "db", "migrations") });

/** Opens a database file, creates it if need be, and brings it to the newest migration. */
export function openDatabase(file: string): Db {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const db = bind(connect(file));
  migrateNow(db);
  return db;
}

/** The connection of this process, to which file on the disk, and whether it can only be read. */
interface Held {
  readonly db: Db;
  readonly file: string;
  readonly inode: bigint;
  readonly readOnlySince?: number;
}

const holder = globalThis as { unisynthDatabase?: Held };

/** Which file of the disk a name stands for now; undefined where none is there. */
const inodeOf = (file: string): bigint | undefined =>
  statSync(/* turbopackIgnore: true */ file, { bigint: true, throwIfNoEntry: false })?.ino;

function forget(): void {
  holder.unisynthDatabase?.db.$client.close();
  holder.unisynthDatabase = undefined;
}

/** Opens a file that is there and current; where it cannot be written it is opened for reading. */
function hold(file: string): Held {
  if (file === ":memory:") return { db: openDatabase(file), file, inode: 0n };
  const inode = inodeOf(file);
  if (inode === undefined) throw new DatabaseTrouble("missing", file);
  if (statSync(/* turbopackIgnore: true */ file).size === 0) throw new DatabaseTrouble("empty", file);
  let connection: Connection;
  let readOnlySince: number | undefined;
  try {
    connection = connect(file);
    // Opening alone tells nothing of writing: this takes the lock to write, and changes nothing.
    connection.exec("begin immediate; rollback");
  } catch (error) {
    const trouble = troubleOf(error, file);
    if (trouble?.code === "locked") connection = new Database(file, { timeout: BUSY_MS });
    else if (trouble?.code === "read-only" || trouble?.code === "unreadable" || trouble?.code === "full") {
      connection = openToRead(file);
      readOnlySince = Date.now();
    } else throw error;
  }
  try {
    const age = ageOf(migratedUntil(connection, file));
    if (age !== "current") throw new DatabaseTrouble(age, file);
  } catch (error) {
    connection.close();
    throw error;
  }
  return { db: bind(connection), file, inode, ...(readOnlySince !== undefined && { readOnlySince }) };
}

/** A connection that only reads. Where SQLite needs to write beside the file to read it, a copy elsewhere is read. */
function openToRead(file: string): Connection {
  try {
    const connection = new Database(file, { readonly: true, timeout: BUSY_MS });
    connection.prepare("select count(*) from sqlite_master").get();
    return connection;
  } catch (error) {
    if (troubleOf(error, file)?.code === "corrupt") throw error;
    const copy = join(mkdtempSync(join(tmpdir(), "unisynth-")), "unisynth.db");
    for (const end of ["", "-wal"].filter((one) => existsSync(/* turbopackIgnore: true */ file + one))) {
      copyFileSync(/* turbopackIgnore: true */ file + end, copy + end);
      chmodSync(copy + end, 0o600);
    }
    // Taken together with what its journal holds, and then only read: what were written to a copy would be lost.
    const whole = new Database(copy);
    whole.pragma("journal_mode = DELETE");
    whole.close();
    return new Database(copy, { readonly: true });
  }
}

/**
 * The one connection of this process. It is looked at each time whether the file is still the one that was opened: a file
 * that was deleted or exchanged would take everything that is written along with it.
 * @throws DatabaseTrouble where it cannot even be read
 */
export function database(): Db {
  const file = databaseFile();
  try {
    const held = holder.unisynthDatabase;
    if (held && held.file !== ":memory:") {
      const again = held.readOnlySince !== undefined && Date.now() - held.readOnlySince > AGAIN_MS;
      if (again || held.file !== file || inodeOf(file) !== held.inode) forget();
    }
    return (holder.unisynthDatabase ??= hold(file)).db;
  } catch (error) {
    throw troubleOf(error, file) ?? error;
  }
}

/** Why nothing can be saved while pages can be read; undefined while all is well. */
export const readingOnly = (): DatabaseTrouble | undefined =>
  holder.unisynthDatabase?.readOnlySince === undefined
    ? undefined
    : new DatabaseTrouble("read-only", holder.unisynthDatabase.file);

/** Closes the connection of this process; the next who asks opens it anew. */
export const closeDatabase = forget;
