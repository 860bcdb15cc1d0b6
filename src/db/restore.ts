import { existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { dirname, resolve } from "node:path";
import Database from "better-sqlite3";
import { fail, ok, type Result } from "@/core/shared/issue";
import { backUp, hasContent, removeDatabase, removeJournals, stampOf } from "./backups";
import { ageOf, migratedUntil } from "./database";
import { checkWhole, openedBy } from "./prepare";
import { DatabaseTrouble, troubleOf } from "./trouble";

const refused = (got: unknown, wanted: string) => fail({ code: "unknown", path: ["FILE"], got, wanted });

/**
 * Puts a backup in the place of the data file; what stood there is copied to the backups first, or set aside where it is too
 * damaged to be copied. Issues: a file that is not there, damaged, newer or not ours; a server that has the data open.
 * @returns where what stood there went; undefined where nothing did
 */
export async function restore(backup: string, file: string, now: Date): Promise<Result<{ readonly before: string | undefined }>> {
  if (!hasContent(backup)) return refused(backup, "a backup that is there and has something in it");
  if (resolve(backup) === resolve(file)) return refused(backup, "another file than the data file itself");
  const server = openedBy(file);
  if (typeof server === "number")
    return refused(backup, `that the server which has the data open (process ${server}) is stopped first`);
  const part = `${file}.${process.pid}.part`;
  try {
    const source = new Database(backup, { readonly: true });
    try {
      checkWhole(source, backup);
      const until = migratedUntil(source, backup);
      if (until === 0) throw new DatabaseTrouble("not-ours", backup);
      if (ageOf(until) === "newer") throw new DatabaseTrouble("newer", backup);
      mkdirSync(dirname(file), { recursive: true });
      await source.backup(part);
    } finally {
      source.close();
    }
    const before = existsSync(file) ? await setAside(file, now) : undefined;
    // A journal of what stood there would be read into what comes in its place.
    removeJournals(file);
    renameSync(part, file);
    rmSync(`${file}.open`, { force: true });
    return ok({ before });
  } catch (error) {
    const trouble = troubleOf(error, backup);
    if (!trouble) throw error;
    return refused(backup, `a whole backup of Unisynth: ${trouble.sentences[0]}`);
  } finally {
    removeDatabase(part);
  }
}

async function setAside(file: string, now: Date): Promise<string> {
  try {
    const connection = new Database(file);
    try {
      return await backUp(connection, file, "before-restore", now);
    } finally {
      connection.close();
    }
  } catch {
    const aside = `${file}.${stampOf(now)}.damaged`;
    for (const end of ["", "-wal"]) if (existsSync(file + end)) renameSync(file + end, aside + end);
    return aside;
  }
}
