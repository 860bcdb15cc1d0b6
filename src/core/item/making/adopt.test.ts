import { DEMO_GATHERINGS, demoInput, demoItem } from "@tests/demo";
import { itemIssues } from "../check";
import { claimsOf } from "../claims";
import { resolveItem } from "../resolve";
import { ItemSchema, type Item } from "../schema";
import { isHeat } from "../step";
import { adopted, byRule } from "./adopt";
import { remake } from "./remake";

const ITEMS = [...new Set(DEMO_GATHERINGS.flatMap((id) => demoInput(id).items.map((item) => item.id)))].map(demoItem);
/** Items that are one thing only, without variants of their filling. */
const PLAIN = ITEMS.filter((item) => byRule(item) !== undefined);
const heatOf = (item: Item) => resolveItem(item, {}, "base").steps.find((step) => isHeat(step) && step.path.includes("fresh"))!;

test.each(PLAIN.map((item) => [item.name, item] as const))("%s: by rule it is what it was, with its own heat", (_, item) => {
  const made = byRule(item)!;
  const next = adopted(item, made);
  expect(ItemSchema.safeParse(next).success).toBe(true);
  expect(itemIssues({ items: [next] })).toEqual([]);
  expect(heatOf(next).kind).toBe(heatOf(item).kind);
  const setting = (one: Item) => heatOf(one).equipment.find(({ settingC }) => settingC !== undefined)?.settingC;
  expect(setting(next)).toBe(setting(item));
  // Formula, piece, keeping and what carriers take are the cook's.
  expect([next.dough, next.filling, next.piece, next.storage]).toEqual([item.dough, item.filling, item.piece, item.storage]);
  for (const [key, value] of Object.entries(item.capacity))
    if (/^per/.test(key)) expect([key, next.capacity[key as keyof typeof next.capacity]]).toEqual([key, value]);
  const contains = (one: Item) => claimsOf(resolveItem(one, {}, "base")).contains.map(({ allergen }) => allergen);
  expect(contains(next)).toEqual(contains(item));
});

test("then it is made otherwise like any other: baked to fried and back", () => {
  const pie = demoItem("slipway-pie");
  const next = adopted(pie, byRule(pie)!);
  const fried = remake(next, { method: "fry" })!.item;
  expect(heatOf(fried).kind).toBe("fry");
  expect(itemIssues({ items: [fried] })).toEqual([]);
  expect(remake(fried, { method: "tray" })!.item.steps).toEqual(next.steps);
});

test("what is made by rule already, or has variants of its filling, is not asked", () => {
  expect(PLAIN.length).toBeGreaterThan(4);
  const varied = ITEMS.filter((item) => (item.filling.variants ?? []).length > 0);
  expect(varied.length).toBeGreaterThan(0);
  varied.forEach((item) => expect(byRule(item)).toBeUndefined());
  const pie = demoItem("slipway-pie");
  expect(byRule(adopted(pie, byRule(pie)!))).toBeUndefined();
});
