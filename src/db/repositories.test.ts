import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { demoInput, expectRequest } from "@tests/demo";
import type { KeptPlan } from "@/core/plan/kept-plan";
import { makePlan } from "@/core/plan/pipeline";
import type { Result } from "@/core/shared/issue";
import { issueText } from "@/core/shared/issue-text";
import { openDatabase, type Db } from "./database";
import { clearAll, seedDemo } from "./demo";
import { gatheringRepository, type Side } from "./gatherings";
import { itemRepository } from "./items";
import { kitchenRepository } from "./kitchens";
import { pantryRepository } from "./pantry";
import { planRepository } from "./plans";

const NOW = "2026-11-25T08:00:00.000Z";
function valueOf<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(issueText(result.issues[0]));
  return result.value;
}

let db: Db;
beforeEach(() => {
  db = openDatabase(":memory:");
  seedDemo(db, NOW);
});

const gathering = (id: string) => valueOf(gatheringRepository(db).find(id)!);
const item = (id: string) => valueOf(itemRepository(db).find(id)!);

test("the demo is nine items, three kitchens and three gatherings, and comes back as it went in", () => {
  expect(itemRepository(db).all()).toHaveLength(9);
  const listed = gatheringRepository(db).page({ today: "2026-11-25", side: "coming", from: 0, most: 10 });
  expect(listed.rows.map(({ id }) => gathering(id).kitchenId).sort()).toEqual(["boathouse", "first-kitchen", "quiet-flat"]);
  const request = expectRequest(demoInput("first-try"));
  expect(item("slipway-pie")).toEqual({ document: request.items[0], revision: 1 });
  expect(valueOf(kitchenRepository(db).find("first-kitchen")!).document).toEqual(request.kitchen);
  expect(gathering("first-try").document).toEqual({ ...request.gathering, kitchen: "first-kitchen" });
});

const renameTry = (name: string) => gatheringRepository(db).save({ ...gathering("first-try").document, name }, { savedAt: NOW });

test("a second start changes nothing that the user changed; a reset restores the demo", () => {
  renameTry("Second try");
  expect(seedDemo(db, NOW)).toBe(false);
  expect(gathering("first-try").document.name).toBe("Second try");
  clearAll(db);
  seedDemo(db, NOW);
  expect(gathering("first-try").document.name).toBe("First try");
});

describe("revisions", () => {
  test("who saves from an older revision is told of what stands, and nothing is overwritten", () => {
    const repository = gatheringRepository(db);
    const { document } = gathering("first-try");
    expect(repository.save({ ...document, name: "A" }, { savedAt: NOW, from: 1 })).toMatchObject({
      ok: true,
      value: { revision: 2 },
    });
    const second = repository.save({ ...document, name: "B" }, { savedAt: NOW, from: 1 });
    expect(second).toMatchObject({
      ok: false,
      issues: [{ code: "conflict", got: { revision: 2, document: { name: "A" } } }],
    });
    expect(gathering("first-try").document.name).toBe("A");
  });
  test("the same for items, and for one that is gone", () => {
    const repository = itemRepository(db);
    const { document } = item("slipway-pie");
    repository.save({ ...document, name: "A" }, { savedAt: NOW, from: 1 });
    expect(repository.save({ ...document, name: "B" }, { savedAt: NOW, from: 1 })).toMatchObject({
      issues: [{ code: "conflict" }],
    });
    expect(repository.save({ ...document, id: "gone" }, { savedAt: NOW, from: 4 })).toMatchObject({
      issues: [{ code: "conflict", got: null }],
    });
  });
  test("every version of an item is kept, and the database refuses to change one", () => {
    const repository = itemRepository(db);
    const { document } = item("slipway-pie");
    repository.save({ ...document, name: "Other pies" }, { savedAt: "2026-11-26T08:00:00.000Z", from: 1 });
    const versions = repository.versions("slipway-pie");
    expect(versions.map(({ revision, item }) => [revision, valueOf(item).document.name])).toEqual([
      [2, "Other pies"],
      [1, "Slipway pies"],
    ]);
    expect(refusal(sql`update item_versions set name = 'x'`)).toMatch(/append-only/);
    expect(refusal(sql`delete from item_versions`)).toMatch(/append-only/);
  });
});

describe("what is damaged is shown as such and breaks nothing else", () => {
  test.each([
    ["a field of the wrong type", `json_set(data, '$.steps[0].time.fixedMin', 'soon')`, /steps\[0\]\.time\.fixedMin is "soon"/],
    [
      "a key that is no field",
      `json_set(data, '$.schools', json('[{"id":"s","options":[{"id":"o","name":"O","changes":[{"step":"x","set":{"__proto__.x":1}}]}]}]'))`,
      /__proto__\.x/,
    ],
    ["a newer version", `data, schema_version = 99`, /schemaVersion is 99/],
    ["a text without end", `json_set(data, '$.line', '${"x".repeat(200_000)}')`, /line .*at most 100000 characters/],
  ])("%s", (_, value, sentence) => {
    db.run(sql.raw(`update items set data = ${value} where id = 'slipway-pie'`));
    const { readable, unreadable } = itemRepository(db).list();
    expect(readable).toHaveLength(8);
    expect(unreadable).toMatchObject([{ id: "slipway-pie", name: "Slipway pies" }]);
    expect(issueText(unreadable[0].issue)).toMatch(sentence);
    expect(itemRepository(db).find("slipway-pie")!.ok).toBe(false);
  });
  test("a gathering that is no gathering", () => {
    db.run(sql`update gatherings set data = '{"waves": 7}' where id = 'first-try'`);
    const { rows } = gatheringRepository(db).page({ today: "2026-11-25", side: "coming", from: 0, most: 10 });
    expect(rows.filter((row) => row.isDamaged).map((row) => row.name)).toEqual(["First try"]);
    expect(rows).toHaveLength(3);
    expect(gatheringRepository(db).find("first-try")!.ok).toBe(false);
  });
});

describe("the list of gatherings", () => {
  const WEDNESDAY = "2026-11-25";
  const page = (side: Side, from = 0, most = 10) => gatheringRepository(db).page({ today: WEDNESDAY, side, from, most });
  const add = (id: string, date: { on: string } | { relative: string }) =>
    gatheringRepository(db).save({ ...gathering("first-try").document, id, name: id, date }, { savedAt: NOW });

  test("the next one in a kitchen or with an item, from today on, and none where nothing names it", () => {
    const next = gatheringRepository(db).nextWith;
    expect(next({ item: "slipway-pie" }, WEDNESDAY)).toBe("launch-night");
    expect(next({ kitchen: "first-kitchen" }, WEDNESDAY)).toBe("first-try");
    add("today", { on: WEDNESDAY });
    expect(next({ item: "slipway-pie" }, WEDNESDAY)).toBe("today");
    add("yesterday", { on: "2026-11-24" });
    expect(next({ item: "slipway-pie" }, WEDNESDAY)).toBe("today");
    expect(next({ item: "slipway" }, WEDNESDAY)).toBeUndefined();
  });

  test("what is coming, the next first; what is past, the last first; weekdays fall where they do today", () => {
    clearAll(db);
    seedDemo(db, NOW);
    db.run(sql`delete from gatherings where id <> 'first-try'`);
    add("yesterday", { on: "2026-11-24" });
    add("long ago", { on: "2020-02-29" });
    add("today", { on: WEDNESDAY });
    add("thursday", { relative: "next Thursday" });
    add("far", { on: "2027-06-01" });
    add("wednesday", { relative: "next Wednesday" });
    expect(page("coming").rows.map((row) => [row.id, row.date])).toEqual([
      ["today", "2026-11-25"],
      ["thursday", "2026-11-26"],
      ["first-try", "2026-11-29"],
      ["wednesday", "2026-12-02"],
      ["far", "2027-06-01"],
    ]);
    expect(page("past").rows.map((row) => row.id)).toEqual(["yesterday", "long ago"]);
    expect(page("past").counts).toEqual({ coming: 5, past: 2, away: 0 });
    expect(page("coming", 1, 2).rows.map((row) => row.id)).toEqual(["thursday", "first-try"]);
  });
  test("what is put away is there until it is brought back, or taken out for good", () => {
    gatheringRepository(db).archive("first-try", NOW);
    expect(page("coming").rows.map((row) => row.id)).not.toContain("first-try");
    expect(page("away").rows.map((row) => row.id)).toEqual(["first-try"]);
    gatheringRepository(db).archive("first-try", null);
    expect(page("coming").rows.map((row) => row.id)).toContain("first-try");
    gatheringRepository(db).remove("first-try");
    expect(gatheringRepository(db).find("first-try")).toBeUndefined();
  });
  test("what it shows follows what is saved", () => {
    const { document, revision } = gathering("first-try");
    const guests = [{ count: 3, age: "adult" as const, diet: [], avoid: [] }];
    gatheringRepository(db).save({ ...document, guests, line: "by the water" }, { savedAt: NOW, from: revision });
    expect(page("coming").rows.find((row) => row.id === "first-try")).toMatchObject({ guests: 3, line: "by the water" });
  });
  test("documents and plans are not read for it", () => {
    const plan = (query: string) =>
      (db.$client.prepare(`explain query plan ${query}`).all() as { detail: string }[]).map((row) => row.detail).join("; ");
    expect(plan("select id, name, line, day, guests from gatherings order by day, name, id")).toContain(
      "USING COVERING INDEX gatherings_listed",
    );
    expect(
      plan("select origin, first_start, last_end, cost, status from plans where gathering_id = 'x' order by id desc limit 1"),
    ).toBe("SEARCH plans USING COVERING INDEX plans_glanced (gathering_id=?)");
  });
});

test("items come a page at a time, in the cook's order, with how many there are; names from columns alone", () => {
  const all = itemRepository(db)
    .all()
    .map(({ id }) => id);
  const page = (from: number) => itemRepository(db).page(from, 4);
  expect([0, 4, 8].flatMap((from) => page(from).readable.map(({ document }) => document.id))).toEqual(all);
  itemRepository(db).archive(all[0], NOW);
  expect(page(0)).toMatchObject({ count: 8 });
  expect(page(0).readable[0].document.id).toBe(all[1]);
  expect(
    itemRepository(db)
      .names()
      .filter(({ isAway }) => isAway)
      .map(({ id }) => id),
  ).toEqual([all[0]]);
});

test("a pantry entry that cannot be is listed apart", () => {
  const butter = { ingredient: "butter", haveG: 120, packs: [{ sizeG: 250 }, { sizeG: 500, price: 419 }] };
  pantryRepository(db).save(butter);
  db.run(sql`insert into pantry (ingredient, have_g, packs) values ('saffron', 1, '[{"sizeG": 1, "price": 99999999999}]')`);
  const { readable, unreadable } = pantryRepository(db).list();
  expect(readable).toEqual([butter]);
  expect(unreadable.map((row) => issueText(row.issue))).toEqual(["packs[0].price is 99999999999; expected a smaller price"]);
});

describe("plans", () => {
  const request = expectRequest(demoInput("first-try"));
  const plan = makePlan(request, { now: () => 0 });
  const kept = JSON.parse(JSON.stringify({ request, plan, search: "ended" })) as KeptPlan;

  test("a plan is kept with the items and the kitchen it was made from, and in short in columns", () => {
    planRepository(db).save("first-try", kept, NOW);
    itemRepository(db).save({ ...item("slipway-pie").document, name: "Other pies" }, { savedAt: NOW });
    const stored = planRepository(db).latest("first-try")!;
    expect(stored.request.items[0].name).toBe("Slipway pies");
    expect(stored.plan).toEqual(kept.plan);
    expect(planRepository(db).glance("first-try")).toEqual({
      origin: plan.origin,
      firstStart: Math.min(...plan.solution.tasks.map((t) => t.start)),
      lastEnd: Math.max(...plan.solution.tasks.map((t) => t.end)),
      cost: plan.solution.cost,
      status: plan.solution.status,
    });
  });
  test("one that was cut off says so", () => {
    planRepository(db).save("first-try", { ...kept, search: "cut-off" }, NOW);
    expect(planRepository(db).latest("first-try")!.search).toBe("cut-off");
  });
  test("the latest few are kept, and whatever something refers to", () => {
    const ids = Array.from({ length: 3 }, (_, i) => planRepository(db).save("first-try", kept, `2026-11-25T08:0${i}:00.000Z`));
    planRepository(db).refer(ids[0], "run", "r1");
    for (let i = 3; i < 9; i++) planRepository(db).save("first-try", kept, `2026-11-25T08:0${i}:00.000Z`);
    expect(db.all<{ id: number }>(sql`select id from plans order by id`).map((row) => row.id)).toEqual([ids[0], 5, 6, 7, 8, 9]);
    expect(planRepository(db).latest("first-try")!.savedAt).toBe("2026-11-25T08:08:00.000Z");
    expect(refusal(sql`delete from plans where id = ${ids[0]}`)).toMatch(/FOREIGN KEY/);
  });
  test("one that cannot be read is as good as none; one without a timetable is not kept", () => {
    planRepository(db).save("first-try", kept, NOW);
    db.run(sql`update plans set plan = '{"format":"unisynth-plan/0"}'`);
    expect(planRepository(db).latest("first-try")).toBeUndefined();
    const none = { ...kept, plan: { ...kept.plan, solution: { ...kept.plan.solution, status: "infeasible" as const } } };
    expect(() => planRepository(db).save("first-try", none, NOW)).toThrow(/timetable/);
  });
});

/** What SQLite itself said to a statement; "" when it did not mind. */
function refusal(statement: ReturnType<typeof sql>): string {
  try {
    db.run(statement);
    return "";
  } catch (error) {
    return String((error as Error).cause ?? error);
  }
}

test("the database itself refuses what cannot be: no steps, no JSON, a kitchen that is not there", () => {
  expect(refusal(sql`update items set data = '{"steps":[]}'`)).toMatch(/CHECK/);
  expect(refusal(sql`update kitchens set data = 'soup'`)).toMatch(/CHECK/);
  expect(refusal(sql`update gatherings set kitchen_id = 'attic'`)).toMatch(/FOREIGN KEY/);
  expect(refusal(sql`update items set name = 'Pies'`)).toBe("");
});

test("a file database runs in WAL mode with foreign keys on, and opens again", () => {
  const folder = mkdtempSync(join(tmpdir(), "unisynth-"));
  try {
    const file = join(folder, "deep", "unisynth.db");
    const first = openDatabase(file);
    seedDemo(first, NOW);
    const second = openDatabase(file);
    expect(second.all<{ journal_mode: string }>(sql`pragma journal_mode`)[0].journal_mode).toBe("wal");
    expect(second.all<{ foreign_keys: number }>(sql`pragma foreign_keys`)[0].foreign_keys).toBe(1);
    expect(itemRepository(second).count()).toBe(9);
  } finally {
    rmSync(folder, { recursive: true });
  }
});
