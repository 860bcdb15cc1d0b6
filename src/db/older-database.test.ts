import { copyFileSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ItemSchema } from "@/core/item/schema";
import { keptPlanIssues } from "@/core/plan/check-kept";
import { taskShares } from "@/core/plan/schema";
import { openDatabase, type Db } from "./database";
import { gatheringRepository } from "./gatherings";
import { itemRepository } from "./items";
import { kitchenRepository } from "./kitchens";
import { pantryRepository } from "./pantry";
import { planRepository } from "./plans";

/** What the version before documents had revisions read from the database beside it. */
const before = JSON.parse(readFileSync("tests/fixtures/before-rooms.json", "utf8"));

let folder: string;
let db: Db;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "unisynth-"));
  copyFileSync("tests/fixtures/before-rooms.db", join(folder, "unisynth.db"));
  db = openDatabase(join(folder, "unisynth.db"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test("every item is there as it was, renamed, measured, used and put away ones included", () => {
  const { readable, unreadable } = itemRepository(db).list({ archived: true });
  expect(unreadable).toEqual([]);
  // They are known by rule as well, and nothing else about them is new.
  expect(readable.every(({ document }) => document.making?.called !== undefined)).toBe(true);
  expect(readable.map(({ document }) => ({ ...document, making: undefined }))).toEqual(
    before.items.map((item: unknown) => ({ ...ItemSchema.parse(item), making: undefined })),
  );
  expect(readable.map(({ document }) => document.name)).toContain("Harbour pies");
  expect(readable.every(({ revision }) => revision === 1)).toBe(true);
  expect(itemRepository(db).isArchived("buoy-round")).toBe(true);
  expect(itemRepository(db).versions("own-bun")).toHaveLength(1);
});

test("gatherings, kitchens and pantry are there as they were", () => {
  const found = before.gatherings.map(({ gathering }: { gathering: { id: string } }) =>
    gatheringRepository(db).find(gathering.id),
  );
  expect(
    found.map((one: { value: { document: unknown; kitchenId: string } }) => ({
      gathering: one.value.document,
      kitchenId: one.value.kitchenId,
    })),
  ).toEqual(before.gatherings);
  for (const kitchen of before.kitchens)
    expect(kitchenRepository(db).find(kitchen.id)).toMatchObject({ ok: true, value: { document: kitchen } });
  const pantry = before.pantry.map(({ packG, packPrice, ...entry }: { packG: number; packPrice: number }) => ({
    ...entry,
    packs: [{ sizeG: packG, price: packPrice }],
  }));
  expect(pantryRepository(db).list().readable).toEqual(pantry);
});

test.each(["first-try", "quiet-evenings"])("the plan of %s has the same timetable, and stands by itself now", (id) => {
  const stored = planRepository(db).latest(id)!;
  expect(keptPlanIssues(stored)).toEqual([]);
  const { plan } = stored;
  expect(planRepository(db).glance(id)).toMatchObject({
    origin: plan.origin,
    cost: plan.solution.cost,
    firstStart: Math.min(...plan.solution.tasks.map((task) => task.start)),
  });
  for (const info of Object.values(plan.tasks)) {
    expect(info.step === null || plan.steps[info.as!].id === info.step).toBe(true);
    for (const { item } of taskShares(info)) expect(plan.day.items.map((one) => one.id)).toContain(item);
  }
  expect(plan.day.targets.length).toBeGreaterThan(0);
});
