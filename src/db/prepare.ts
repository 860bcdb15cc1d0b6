import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";
import { backUp, backupsOf, hasContent, isDue } from "./backups";
import { ageOf, bind, connect, migrateNow, migratedUntil, openDatabase, type Connection } from "./database";
import { DatabaseTrouble, troubleOf } from "./trouble";

/** Beside the data file while a server has it open: what a server that was killed leaves behind. */
const markerOf = (file: string): string => `${file}.open`;

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
};

/** The server that has the file open; "killed" where one was and did not end by itself. */
export function openedBy(file: string): number | "killed" | undefined {
  const marker = markerOf(file);
  if (!existsSync(marker)) return undefined;
  const pid = Number(readFileSync(marker, "utf8"));
  return Number.isInteger(pid) && pid > 0 && isAlive(pid) ? pid : "killed";
}

/** Says that this process has the file open. @returns how to say that it ended by itself */
export function markOpen(file: string): () => void {
  try {
    writeFileSync(markerOf(file), String(process.pid));
  } catch {
    // Where nothing can be written nothing can be damaged either.
  }
  return () => rmSync(markerOf(file), { force: true });
}

/** What SQLite says of the file as a whole: throws `corrupt` unless all of it is well. */
export function checkWhole(connection: Connection, file: string): void {
  const [first] = connection.pragma("integrity_check(1)") as { integrity_check: string }[];
  if (first?.integrity_check !== "ok") throw new DatabaseTrouble("corrupt", file, { cause: new Error(first?.integrity_check) });
}

/**
 * Makes a data file ready to be used: creates the first one, checks one whose server was killed, copies and migrates one of an
 * older version, and makes the copy of the day. A file that had a past and is gone or empty is not begun anew, unless somebody
 * asks for that.
 * @throws DatabaseTrouble with nothing changed
 */
export async function prepareDatabase(file: string, now: Date, { anew = false } = {}): Promise<void> {
  try {
    if (!hasContent(file)) {
      if (existsSync(file) && !anew) throw new DatabaseTrouble("empty", file);
      if (backupsOf(file).length > 0 && !anew) throw new DatabaseTrouble("missing", file);
      mkdirSync(dirname(file), { recursive: true });
      openDatabase(file).$client.close();
      return;
    }
    const connection = connect(file);
    try {
      if (openedBy(file) === "killed") {
        checkWhole(connection, file);
        rmSync(markerOf(file), { force: true });
      }
      const until = migratedUntil(connection, file);
      const age = ageOf(until);
      if (age === "newer") throw new DatabaseTrouble("newer", file);
      if (age === "older") {
        if (until > 0) await backUp(connection, file, "before-migration", now);
        migrateNow(bind(connection));
      }
      if (isDue(file, now)) await backUp(connection, file, "daily", now);
    } finally {
      connection.close();
    }
  } catch (error) {
    throw troubleOf(error, file) ?? error;
  }
}
