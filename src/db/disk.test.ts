import Database from "better-sqlite3";
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { saveGathering } from "@/app/g/[id]/actions";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { backupFolder, backupsOf, backUp } from "./backups";
import { closeDatabase, connect, database, NEWEST, openDatabase, readingOnly } from "./database";
import { seedDemo } from "./demo";
import { gatheringRepository } from "./gatherings";
import { markOpen, openedBy, prepareDatabase } from "./prepare";
import { restore } from "./restore";
import { troubleOf } from "./trouble";

jest.mock("next/cache", () => ({ revalidatePath: () => undefined }));
jest.mock("server-only", () => ({}));

const NOW = new Date("2026-11-25T08:00:00.000Z");
const DAY_MS = 24 * 3600_000;
let folder: string;
let file: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "unisynth-"));
  file = join(folder, "unisynth.db");
  process.env.UNISYNTH_DB = file;
});
afterEach(() => {
  closeDatabase();
  delete process.env.UNISYNTH_MOST_PAGES;
  chmodSync(folder, 0o755);
  rmSync(folder, { recursive: true, force: true });
});

async function filled(): Promise<void> {
  await prepareDatabase(file, NOW);
  const db = openDatabase(file);
  seedDemo(db, NOW.toISOString());
  db.$client.close();
}
const nameThere = () => {
  const found = gatheringRepository(database()).find("first-try");
  return found?.ok ? found.value.document.name : undefined;
};
const rename = async (name: string): Promise<string> => {
  const found = gatheringRepository(database()).find("first-try");
  if (!found?.ok) throw new Error("not there");
  return sentence(await saveGathering({ ...found.value.document, name }, found.value.revision));
};
const sentence = (result: Result<unknown>) => (result.ok ? "" : issueText(result.issues[0], "Saving"));
const troubleIn = async (work: () => unknown): Promise<string> => {
  try {
    await work();
    return "none";
  } catch (error) {
    return troubleOf(error, file)?.code ?? `no trouble: ${String(error)}`;
  }
};
/** As somebody whom file permissions hold back, which they do not the first user of a machine. */
async function asAnybody<T>(work: () => Promise<T>): Promise<T> {
  const isFirst = process.geteuid!() === 0;
  if (isFirst) process.seteuid!(65534);
  try {
    return await work();
  } finally {
    if (isFirst) process.seteuid!(0);
  }
}

test("the first start makes the file; a later one leaves it and copies it once a day", async () => {
  await filled();
  expect(nameThere()).toBe("First try");
  expect(backupsOf(file)).toEqual([]);
  await prepareDatabase(file, NOW);
  await prepareDatabase(file, new Date(NOW.getTime() + 3600_000));
  expect(backupsOf(file).map((one) => [one.reason, one.at])).toEqual([["daily", NOW.toISOString()]]);
  for (let day = 1; day <= 9; day++) await prepareDatabase(file, new Date(NOW.getTime() + day * DAY_MS));
  expect(backupsOf(file)).toHaveLength(7);
  expect(readdirSync(backupFolder(file)).filter((name) => !name.endsWith(".db"))).toEqual([]);
});

describe("a file that is not what it should be is said, and left as it is", () => {
  test("gone: nothing empty takes its place", async () => {
    await filled();
    await prepareDatabase(file, NOW);
    rmSync(file);
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("missing");
    expect(await troubleIn(database)).toBe("missing");
    expect(existsSync(file)).toBe(false);
    await prepareDatabase(file, NOW, { anew: true });
    expect(nameThere()).toBeUndefined();
  });
  test("deleted while it is in use: nothing is saved into nowhere, and it goes on where the file comes back", async () => {
    await filled();
    expect(await rename("A")).toBe("");
    database().$client.pragma("wal_checkpoint(TRUNCATE)");
    const copy = readFileSync(file);
    rmSync(file);
    expect(await troubleIn(() => rename("B"))).toBe("missing");
    expect(sentence(await saveGathering({ id: "first-try", name: "B", date: { on: "2026-12-01" } }, 1))).toContain(
      "is not there",
    );
    writeFileSync(file, copy);
    expect(nameThere()).toBe("A");
    expect(await rename("C")).toBe("");
  });
  test("empty", async () => {
    writeFileSync(file, "");
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("empty");
    expect(await troubleIn(database)).toBe("empty");
  });
  test("no database at all", async () => {
    writeFileSync(file, "not a database, ".repeat(300));
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("corrupt");
    expect(await troubleIn(database)).toBe("corrupt");
  });
  test("a database of another program", async () => {
    const other = new Database(file);
    other.exec("create table notes (text)");
    other.close();
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("not-ours");
    expect(await troubleIn(database)).toBe("not-ours");
  });
  test("newer than the program", async () => {
    await filled();
    const connection = connect(file);
    connection.prepare("insert into __drizzle_migrations (hash, created_at) values ('x', ?)").run(NEWEST + 1);
    connection.close();
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("newer");
    expect(await troubleIn(database)).toBe("newer");
  });
  test("older: copied first, then brought up to date; not before it is", async () => {
    writeFileSync(file, readFileSync("tests/fixtures/before-rooms.db"));
    expect(await troubleIn(database)).toBe("older");
    await prepareDatabase(file, NOW);
    expect(database().$client.prepare("select count(*) as n from items").get()).toEqual({ n: expect.any(Number) });
    const [before] = backupsOf(file).filter((one) => one.reason === "before-migration");
    const old = new Database(before.file, { readonly: true });
    expect(old.prepare("select count(*) as n from __drizzle_migrations").get()).not.toEqual({ n: 9 });
    old.close();
  });
  test("damaged inside, after a server that was killed", async () => {
    await filled();
    const pages = readFileSync(file);
    // Somewhere in the middle, where a page of a table begins.
    pages.fill(0xab, Math.floor(pages.length / 8192) * 4096, Math.floor(pages.length / 8192) * 4096 + 4096);
    writeFileSync(file, pages);
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("none");
    writeFileSync(`${file}.open`, "999999999");
    expect(openedBy(file)).toBe("killed");
    expect(await troubleIn(() => prepareDatabase(file, NOW))).toBe("corrupt");
    // What can be read still is.
    expect(database().$client.prepare("select count(*) as n from sqlite_master").get()).toBeDefined();
  });
  test("well, after a server that was killed: looked through, and then forgotten", async () => {
    await filled();
    writeFileSync(`${file}.open`, "999999999");
    await prepareDatabase(file, NOW);
    expect(openedBy(file)).toBeUndefined();
    const closed = markOpen(file);
    expect(openedBy(file)).toBe(process.pid);
    closed();
    expect(openedBy(file)).toBeUndefined();
  });
});

test("held by another program: others are not kept waiting, and the save goes through when it is let go", async () => {
  await filled();
  database();
  const other = new Database(file);
  other.exec("begin immediate");
  const saving = rename("Later");
  const began = performance.now();
  // While the save waits its turn, reading goes on.
  expect(nameThere()).toBe("First try");
  await new Promise((wake) => setTimeout(wake, 100));
  expect(nameThere()).toBe("First try");
  expect(performance.now() - began).toBeLessThan(1000);
  other.exec("rollback");
  expect(await saving).toBe("");
  expect(nameThere()).toBe("Later");
  other.exec("begin immediate");
  expect(await rename("Never")).toMatch(/is held by another program.*waits on this device/);
  other.close();
  expect(await rename("Now")).toBe("");
});

test("no room left: said, nothing that was saved is harmed, and it goes on where there is room again", async () => {
  await filled();
  process.env.UNISYNTH_MOST_PAGES = "1";
  const found = gatheringRepository(database()).find("first-try");
  if (!found?.ok) throw new Error("not there");
  const long = { ...found.value.document, guests: found.value.document.guests, line: "x".repeat(600) };
  const refused: string[] = [];
  for (let i = 0; i < 40; i++) {
    const id = `more-${i}`;
    try {
      gatheringRepository(database()).save({ ...long, id }, { savedAt: NOW.toISOString() });
    } catch (error) {
      refused.push(troubleOf(error, file)!.code);
    }
  }
  expect(new Set(refused)).toEqual(new Set(["full"]));
  expect(nameThere()).toBe("First try");
  delete process.env.UNISYNTH_MOST_PAGES;
  closeDatabase();
  expect(await rename("Room again")).toBe("");
});

test("not to be written: pages are read, saving says so, and it goes on where writing is allowed again", async () => {
  await filled();
  // Left as by a server that ended by itself: no journal beside the file.
  const plain = new Database(file);
  plain.pragma("wal_checkpoint(TRUNCATE)");
  plain.close();
  chmodSync(file, 0o444);
  chmodSync(folder, 0o555);
  await asAnybody(async () => {
    expect(nameThere()).toBe("First try");
    expect(readingOnly()?.code).toBe("read-only");
    expect(await rename("Never")).toMatch(/can be read but not written.*waits on this device/);
    closeDatabase();
  });
  chmodSync(folder, 0o755);
  chmodSync(file, 0o644);
  expect(await rename("Again")).toBe("");
  expect(readingOnly()).toBeUndefined();
});

test("not to be read at all", async () => {
  await filled();
  chmodSync(file, 0o000);
  await asAnybody(async () => expect(["unreadable", "read-only"]).toContain(await troubleIn(database)));
});

describe("bringing back a backup", () => {
  const saved = async () => {
    await filled();
    const connection = connect(file);
    const backup = await backUp(connection, file, "daily", NOW);
    connection.close();
    return backup;
  };
  test("what stood there is kept beside it", async () => {
    const backup = await saved();
    expect(await rename("After the backup")).toBe("");
    closeDatabase();
    const done = await restore(backup, file, NOW);
    expect(done.ok).toBe(true);
    expect(nameThere()).toBe("First try");
    const before = new Database(done.ok ? done.value.before! : "", { readonly: true });
    expect(before.prepare("select name from gatherings where id = 'first-try'").get()).toEqual({ name: "After the backup" });
    before.close();
  });
  test("in the place of a file that is damaged beyond reading, or gone", async () => {
    const backup = await saved();
    closeDatabase();
    writeFileSync(file, "broken".repeat(1000));
    expect(await restore(backup, file, NOW)).toMatchObject({ ok: true });
    expect(nameThere()).toBe("First try");
    closeDatabase();
    rmSync(file);
    expect(await restore(backup, file, NOW)).toEqual({ ok: true, value: { before: undefined } });
    expect(nameThere()).toBe("First try");
  });
  test("what is no whole backup changes nothing", async () => {
    const backup = await saved();
    truncateSync(backup, 8192);
    writeFileSync(join(folder, "other.db"), "x".repeat(5000));
    for (const bad of [backup, join(folder, "other.db"), join(folder, "gone.db"), file])
      expect(sentence(await restore(bad, file, NOW))).toMatch(/expected (a whole backup|a backup that is there|another file)/);
    expect(nameThere()).toBe("First try");
    const closed = markOpen(file);
    expect(sentence(await restore(join(folder, "other.db"), file, NOW))).toContain("is stopped first");
    closed();
  });
});
