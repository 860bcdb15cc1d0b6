import { DEMO_GATHERINGS, demoInput, demoItem } from "@tests/demo";
import { itemIssues } from "../check";
import { claimsOf } from "../claims";
import { addComponent } from "../desk";
import { addFilling } from "../more-fillings";
import { resolveItem } from "../resolve";
import { ItemSchema, type Item } from "../schema";
import { isHeat, type Step } from "../step";
import { byRule, byRuleAlone, ownPlaces, recognised } from "./adopt";
import { followLines } from "./follow-lines";
import { remake } from "./remake";

const ITEMS = [...new Set(DEMO_GATHERINGS.flatMap((id) => demoInput(id).items.map((item) => item.id)))]
  .map(demoItem)
  .map(({ making: _, ...item }) => item as Item);
const heatOf = (item: Item) => resolveItem(item, {}, "base").steps.find((step) => isHeat(step) && step.path.includes("fresh"))!;
const setting = (one: Item) => heatOf(one).equipment.find(({ settingC }) => settingC !== undefined)?.settingC;
const contains = (one: Item) => claimsOf(resolveItem(one, {}, "base")).contains.map(({ allergen }) => allergen);

describe.each(ITEMS.map((item) => [item.name, item] as const))("%s", (_, item) => {
  const known = recognised(item);

  test("it is known by rule, and nothing about it changes", () => {
    expect(known.making).toBeDefined();
    expect({ ...known, making: undefined }).toEqual({ ...item, making: undefined });
    expect(ItemSchema.safeParse(known).success).toBe(true);
    expect(byRule(known)).toBeUndefined();
  });

  test("raw chicken that is added to it has its core measured, and nothing else of its steps changes", () => {
    const more = addComponent(known, { in: "filling" }, "chicken thigh, raw", 300);
    const { item: next, unused } = followLines(known, known, more);
    expect(unused).toEqual([]);
    const heats = next.steps.filter((step) => isHeat(step) && step.path.includes("fresh"));
    expect(Math.max(...[...heats, ...next.steps].map(({ coreC = 0 }) => coreC))).toBeGreaterThanOrEqual(74);
    const chicken = { id: "chicken", name: "chicken thigh, raw", grams: 300 };
    const two = followLines(known, known, addFilling(known, "Chicken", [chicken])).item;
    const cores = resolveItem(two, {}, "chicken").steps.map(({ coreC = 0 }) => coreC);
    expect(Math.max(...cores)).toBeGreaterThanOrEqual(74);
    const salted = followLines(known, known, addComponent(known, { in: "filling" }, "fine salt", 1)).item;
    const same = remake(known, {})!.item;
    const plain = ({ steps }: Item) => steps.map(({ id, kind, time, rest, equipment }) => ({ id, kind, time, rest, equipment }));
    expect(plain(salted)).toEqual(plain(same));
  });

  test("made anew it keeps its own figures, with the core that the rule asks for", () => {
    const { item: again, unused } = remake(known, {})!;
    expect(unused).toEqual([]);
    const plain = (one: Item) =>
      one.steps
        // A step from before it had a name of its own gets that of the rule.
        .map(({ sources: _s, coreC: _c, title: _t, ...step }) => JSON.parse(JSON.stringify(step)) as Step)
        // A core that the rule asks for brings its probe with it.
        .map((step) => ({ ...step, equipment: step.equipment.filter(({ id }) => id !== "probe") }))
        .sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(plain(again)).toEqual(plain(item));
    for (const step of item.steps)
      if (step.coreC !== undefined)
        expect(again.steps.find(({ id }) => id === step.id)!.coreC).toBeGreaterThanOrEqual(step.coreC);
    expect(itemIssues({ items: [again] })).toEqual([]);
    const kept = ({ dough, filling, piece, storage, capacity, schools }: Item): unknown =>
      JSON.parse(JSON.stringify([dough, filling, piece, storage, capacity, schools]));
    expect(kept(again)).toEqual(kept(item));
  });

  test("with the steps of the rule alone it is what it was, with its own heat", () => {
    expect(ownPlaces(known)).toBeGreaterThan(0);
    const alone = byRuleAlone(known);
    expect(ownPlaces(alone)).toBe(0);
    expect(itemIssues({ items: [alone] })).toEqual([]);
    expect([heatOf(alone).kind, setting(alone)]).toEqual([heatOf(item).kind, setting(item)]);
    expect([alone.dough, alone.piece, alone.storage]).toEqual([item.dough, item.piece, item.storage]);
    expect(alone.capacity).toEqual(item.capacity);
    expect(contains(alone)).toEqual(contains(item));
  });

  test("finished another way it is right as well, and says what it could not keep", () => {
    for (const method of ["tray", "fry", "steam", "pan"] as const) {
      const other = remake(known, { method });
      if (!other) continue;
      expect(itemIssues({ items: [other.item] })).toEqual([]);
      expect(ItemSchema.safeParse(other.item).success).toBe(true);
      expect(contains(other.item)).toEqual(expect.arrayContaining(contains({ ...item, finish: [], schools: [] })));
    }
  });
});

test("baked to fried: the vent goes, the oil comes, and what the cook has of kneading stays", () => {
  const pie = recognised(demoItem("slipway-pie"));
  const fried = remake(pie, { method: "fry" })!;
  expect(heatOf(fried.item).kind).toBe("fry");
  const knead = (item: Item) => item.steps.filter(({ kind }) => kind === "knead" || kind === "mix").map(({ time }) => time);
  expect(knead(fried.item)).toEqual(knead(pie));
});
