/** Everything that keeps a database from being read or written. */
export type TroubleCode =
  "missing" | "empty" | "unreadable" | "read-only" | "corrupt" | "full" | "locked" | "older" | "newer" | "not-ours";

/** What is said of each: what is wrong, what is safe, what to do. One sentence each. */
const TEXTS: Readonly<Record<TroubleCode, (file: string) => readonly [wrong: string, safe: string, todo: string]>> = {
  missing: (file) => [
    `The data file ${file} is not there.`,
    "Nothing was written in its place, and what is open in a page stays in that page.",
    "Put the file back, bring back a backup with “npm run restore”, or begin anew with “npm run demo -- --reset”.",
  ],
  empty: (file) => [
    `The data file ${file} has nothing in it.`,
    "It was left as it is.",
    "Bring back a backup with “npm run restore”, or delete the file to begin anew.",
  ],
  unreadable: (file) => [
    `The data file ${file} cannot be opened.`,
    "Nothing in it was changed.",
    "See that the disk is there and that the file and its folder may be read.",
  ],
  "read-only": (file) => [
    `The data file ${file} can be read but not written.`,
    "What was saved is there to be read; nothing new is saved, and it waits on this device.",
    "Allow writing to the file and its folder.",
  ],
  corrupt: (file) => [
    `The data file ${file} is damaged.`,
    "What can still be read is shown; what was saved in the damaged part may be lost.",
    "Stop Unisynth and bring back a backup with “npm run restore”.",
  ],
  full: (file) => [
    `There is no room left for the data file ${file}.`,
    "What was saved before is safe; nothing new is saved, and it waits on this device.",
    "Make room on the disk.",
  ],
  locked: (file) => [
    `The data file ${file} is held by another program.`,
    "What was saved is safe; what is new waits on this device and is tried again.",
    "Wait a moment, or end the other program.",
  ],
  older: (file) => [
    `The data file ${file} was written by an older Unisynth and could not be brought up to date.`,
    "It was left as it is.",
    "Allow writing to the file and its folder, and start again.",
  ],
  newer: (file) => [
    `The data file ${file} was written by a newer Unisynth than this.`,
    "It was left as it is.",
    "Start the newer one, or set UNISYNTH_DB to another file.",
  ],
  "not-ours": (file) => [
    `The file ${file} is a database, but not one of Unisynth.`,
    "It was left as it is.",
    "Set UNISYNTH_DB to another file.",
  ],
};

/** A database that cannot be used as asked. Its message is the whole of what is said. */
export class DatabaseTrouble extends Error {
  constructor(
    readonly code: TroubleCode,
    readonly file: string,
    options?: ErrorOptions,
  ) {
    super(TEXTS[code](file).join(" "), options);
  }

  /** What is wrong, what is safe, and what to do. */
  get sentences(): readonly [wrong: string, safe: string, todo: string] {
    return TEXTS[this.code](this.file);
  }
}

const BY_CODE: readonly (readonly [RegExp, TroubleCode])[] = [
  [/^SQLITE_READONLY_DBMOVED/, "missing"],
  [/^(SQLITE_BUSY|SQLITE_LOCKED|SQLITE_PROTOCOL)/, "locked"],
  [/^(SQLITE_READONLY|EROFS)/, "read-only"],
  [/^(SQLITE_FULL|ENOSPC|EDQUOT|EFBIG|SQLITE_IOERR_WRITE)/, "full"],
  [/^(SQLITE_CORRUPT|SQLITE_NOTADB|SQLITE_IOERR_SHORT_READ)/, "corrupt"],
  [/^(SQLITE_CANTOPEN|SQLITE_IOERR|SQLITE_PERM|SQLITE_AUTH|EACCES|EPERM|EIO)/, "unreadable"],
  [/^ENOENT/, "missing"],
];

interface Caused {
  readonly code: unknown;
  readonly message: string;
  readonly cause: Partial<Caused>;
}

/** The trouble behind an error of the database or the disk; undefined for an error that is none. */
export function troubleOf(error: unknown, file: string): DatabaseTrouble | undefined {
  // Errors of SQLite may come from another realm: they are known by what they have, not by what made them.
  for (let at = error as Partial<Caused> | undefined | null; at !== null && typeof at === "object"; at = at.cause) {
    if (at instanceof DatabaseTrouble) return at;
    const { code } = at;
    if (typeof code !== "string") continue;
    const found = BY_CODE.find(([pattern]) => pattern.test(code));
    if (found) return new DatabaseTrouble(found[1], file, { cause: error });
    if (code === "SQLITE_ERROR" && /no such (table|column)/.test(at.message ?? ""))
      return new DatabaseTrouble("not-ours", file, { cause: error });
  }
  return undefined;
}
