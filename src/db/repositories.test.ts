import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "@/core/plan/pipeline";
import { openDatabase, type Db } from "./database";
import { clearAll, seedDemo } from "./demo";
import { gatheringRepository } from "./gatherings";
import { itemRepository } from "./items";
import { kitchenRepository } from "./kitchens";
import { planRepository } from "./plans";

const NOW = "2026-11-25T08:00:00.000Z";
let db: Db;
beforeEach(() => {
  db = openDatabase(":memory:");
  seedDemo(db, NOW);
});

test("the demo is nine items, three kitchens and three gatherings, and comes back as it went in", () => {
  expect(itemRepository(db).all()).toHaveLength(9);
  expect(
    gatheringRepository(db)
      .all()
      .map((g) => g.kitchenId),
  ).toEqual(["boathouse", "quiet-flat", "first-kitchen"]);
  const request = expectRequest(demoInput("first-try"));
  expect(itemRepository(db).find("slipway-pie")).toEqual(request.items[0]);
  expect(kitchenRepository(db).find("first-kitchen")).toEqual(request.kitchen);
  expect(gatheringRepository(db).find("first-try")!.gathering).toEqual({ ...request.gathering, kitchen: "first-kitchen" });
});

test("a second start changes nothing that the user changed", () => {
  const repository = gatheringRepository(db);
  const { gathering, kitchenId } = repository.find("first-try")!;
  repository.save({ ...gathering, name: "Second try" }, kitchenId, NOW);
  expect(seedDemo(db, NOW)).toBe(false);
  expect(repository.find("first-try")!.gathering.name).toBe("Second try");
});

test("a reset restores the demo", () => {
  const repository = gatheringRepository(db);
  const { gathering, kitchenId } = repository.find("first-try")!;
  repository.save({ ...gathering, name: "Second try" }, kitchenId, NOW);
  clearAll(db);
  seedDemo(db, NOW);
  expect(repository.find("first-try")!.gathering.name).toBe("First try");
});

test("a plan is kept with the items and the kitchen it was made from", () => {
  const request = expectRequest(demoInput("first-try"));
  const plan = makePlan(request, { now: () => 0 });
  planRepository(db).save("first-try", request, plan, NOW);
  const item = itemRepository(db).find("slipway-pie")!;
  itemRepository(db).save({ ...item, name: "Other pies" });
  const stored = planRepository(db).latest("first-try")!;
  expect(stored.request.items[0].name).toBe("Slipway pies");
  expect(stored.plan.solution).toEqual(plan.solution);
});

test("only the latest few plans of a gathering are kept", () => {
  const request = expectRequest(demoInput("first-try"));
  const plan = makePlan(request, { now: () => 0 });
  for (let i = 0; i < 8; i++) planRepository(db).save("first-try", request, plan, `2026-11-25T08:0${i}:00.000Z`);
  expect(db.all<{ n: number }>(sql`select count(*) as n from plans`)[0].n).toBe(5);
  expect(planRepository(db).latest("first-try")!.savedAt).toBe("2026-11-25T08:07:00.000Z");
});

test("a kept plan that cannot be read any more is as good as none", () => {
  const request = expectRequest(demoInput("first-try"));
  planRepository(db).save("first-try", request, makePlan(request, { now: () => 0 }), NOW);
  expect(planRepository(db).latest("first-try")).toBeDefined();
  db.run(sql`update plans set plan = '{"format":"unisynth-plan/0"}'`);
  expect(planRepository(db).latest("first-try")).toBeUndefined();
});

test("a plan without a timetable is not kept", () => {
  const request = expectRequest(demoInput("first-try"));
  const plan = makePlan(request, { now: () => 0 });
  expect(() =>
    planRepository(db).save("first-try", request, { ...plan, solution: { ...plan.solution, status: "infeasible" } }, NOW),
  ).toThrow(/timetable/);
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
  expect(refusal(sql`update items set steps = '[]'`)).toMatch(/CHECK/);
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
