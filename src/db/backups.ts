import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { basename, dirname, join } from "node:path";
import type { Connection } from "./database";

export type BackupReason = "daily" | "before-migration" | "before-reset" | "before-restore";

/** How many of each kind are kept: the oldest go when a newer one is complete. */
const KEPT: Readonly<Record<BackupReason, number>> = {
  daily: 7,
  "before-migration": 3,
  "before-reset": 3,
  "before-restore": 3,
};
const DAY_MS = 24 * 3600_000;

export interface Backup {
  readonly file: string;
  readonly reason: BackupReason;
  /** ISO time, UTC. */
  readonly at: string;
}

export const backupFolder = (file: string): string => join(dirname(file), "backups");

const PATTERN = /-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z-(daily|before-migration|before-reset|before-restore)\.db$/;

/** A time as a part of a file's name. */
export const stampOf = (now: Date): string => now.toISOString().replace(/[:.]/g, "-");

/** What SQLite keeps beside a file. */
export function removeJournals(file: string): void {
  for (const end of ["-wal", "-shm", "-journal"]) rmSync(file + end, { force: true });
}

export function removeDatabase(file: string): void {
  rmSync(file, { force: true });
  removeJournals(file);
}

/** The backups of a database, the newest first. */
export function backupsOf(file: string): Backup[] {
  const folder = backupFolder(file);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.startsWith(`${basename(file, ".db")}-`))
    .flatMap((name): Backup[] => {
      const found = PATTERN.exec(name);
      if (!found) return [];
      const [, date, h, m, s, ms, reason] = found;
      return [{ file: join(folder, name), reason: reason as BackupReason, at: `${date}T${h}:${m}:${s}.${ms}Z` }];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Copies a database while it is in use, whole or not at all, and lets go of the oldest copies of that kind. */
export async function backUp(connection: Connection, file: string, reason: BackupReason, now: Date): Promise<string> {
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true });
  const name = `${basename(file, ".db")}-${stampOf(now)}-${reason}.db`;
  const unfinished = join(folder, `${name}.${process.pid}.part`);
  try {
    await connection.backup(unfinished);
    renameSync(unfinished, join(folder, name));
  } finally {
    removeDatabase(unfinished);
  }
  for (const old of backupsOf(file)
    .filter((backup) => backup.reason === reason)
    .slice(KEPT[reason]))
    rmSync(old.file, { force: true });
  return join(folder, name);
}

/** Whether the last copy of the day is older than a day. */
export function isDue(file: string, now: Date): boolean {
  const last = backupsOf(file).find((backup) => backup.reason === "daily");
  return last === undefined || now.getTime() - Date.parse(last.at) >= DAY_MS;
}

/** Whether a file is there with anything in it. */
export const hasContent = (file: string): boolean => existsSync(file) && statSync(file).size > 0;
