import { claimsOf } from "../claims";
import { itemIssues } from "../check";
import { resolveItem } from "../resolve";
import { ItemSchema, type Item } from "../schema";
import { addStep, moveStep, splitStep } from "../step-add";
import { editStep, removeStep } from "../step-edit";
import { FAMILY_IDS, METHOD_IDS } from "./doughs";
import { makeItem } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";
import { remake } from "./remake";
import { stepEdits } from "./step-edits";

const PIES = {
  name: "Corner pies",
  makes: 12,
  text: `Dough
400 g flour
130 g lard
150 g water
8 g salt
Filling
400 g beef mince
1 onion
Egg wash
1 egg
Method
Rest the dough 30 min. Brown the beef with the onion for 20 minutes, cool.
Roll, fill, fold over, crimp. Bake at 190 °C for 25 min.`,
};

const pies = (): Item => {
  const made = makeItem(RecipeInputSchema.parse(PIES), { taken: [] });
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return made.value.item;
};
const ids = ({ steps }: Item) => steps.map(({ id }) => id);
const otherwise = (item: Item, how: object) => remake(item, how)!;
const contains = (item: Item) => claimsOf(resolveItem(item, {}, "base")).contains.map(({ allergen }) => allergen);

test("baked to fried: vent and wash go, with the egg in it; chill, oil, loads and cautions come; and back again it is as it was", () => {
  const baked = pies();
  expect(ids(baked)).toEqual(expect.arrayContaining(["wash", "vent", "cool"]));
  expect(contains(baked)).toContain("egg");
  const { item: fried, unused } = otherwise(baked, { method: "fry" });
  expect(unused).toEqual([]);
  expect(ids(fried)).not.toEqual(expect.arrayContaining(["wash"]));
  expect(ids(fried)).not.toContain("vent");
  expect(ids(fried)).toContain("drain");
  expect(contains(fried)).not.toContain("egg");
  const heat = fried.steps.find(({ id }) => id === "heat")!;
  expect(heat).toMatchObject({ kind: "fry", attention: "hands-on" });
  expect(heat.caution).toMatch(/never water/);
  expect(fried.capacity.perFryerLoad).toBeGreaterThan(0);
  expect(itemIssues({ items: [fried] })).toEqual([]);
  expect(ItemSchema.safeParse(fried).success).toBe(true);
  expect(otherwise(fried, { method: "tray" }).item).toEqual(baked);
});

test("what the cook changed about steps stays; what has no place any more is given back", () => {
  let item = pies();
  const edited = editStep(item, "heat", { fixedMin: 31 });
  if (!edited.ok) throw new Error(JSON.stringify(edited.issues));
  item = removeStep(edited.value, "vent");
  item = {
    ...item,
    steps: item.steps.map((step) => (step.id === "wash" ? { ...step, time: { fixedMin: 9, secPerPiece: 1 } } : step)),
  };
  const { item: steamy, unused } = otherwise(item, { shape: "rope-half-moon" });
  expect(unused).toEqual([]);
  expect(steamy.steps.find(({ id }) => id === "heat")!.time.fixedMin).toBe(31);
  expect(ids(steamy)).not.toContain("vent");
  expect(steamy.steps.find(({ id }) => id === "seal")!.time.secPerPiece).toBe(60);
  const fried = otherwise(item, { method: "fry" });
  // Minutes in the oven are none in the oil.
  expect(fried.unused.map((edit) => (edit.kind === "changed" ? edit.step : ""))).toEqual(["wash", "heat"]);
  expect(fried.item.steps.find(({ id }) => id === "heat")!.time.fixedMin).toBeLessThan(10);
});

test("a step that was kept before it had a name is not edited; one that the cook calls otherwise keeps that name", () => {
  const item = pies();
  const vent = item.steps.find(({ id }) => id === "vent")!;
  expect(vent.title).toBe("Vent");
  const called = (title: string | undefined) => item.steps.map((step) => (step === vent ? { ...step, title } : step));
  expect(stepEdits(item.steps, called(undefined))).toEqual([]);
  const own = { ...item, steps: called("Three slits") };
  expect(otherwise(own, { shape: "rope-half-moon" }).item.steps.find(({ id }) => id === "vent")!.title).toBe("Three slits");
});

test("a step that the cook added comes after what it came after, and what followed it follows it", () => {
  const item = pies();
  const seal = item.steps.find(({ id }) => id === "seal")!;
  const extra = { ...seal, id: "second-chill", kind: "chill" as const, after: [{ step: "rest-formed" }] };
  const steps = item.steps.flatMap((step) =>
    step.id === "rest-formed"
      ? [step, extra]
      : [step.after.some((link) => link.step === "rest-formed") ? { ...step, after: [{ step: "second-chill" }] } : step],
  );
  const own = { ...item, steps };
  expect(stepEdits(item.steps, steps)).toEqual([{ kind: "added", step: extra }]);
  const { item: fried } = otherwise(own, { method: "fry" });
  expect(fried.steps.find(({ id }) => id === "heat")!.after.map(({ step }) => step)).toEqual(["second-chill"]);
  expect(itemIssues({ items: [fried] })).toEqual([]);
});

test("pieces that are bought ready are only heated, whichever way of finishing the cook says", () => {
  const bought = makeItem(RecipeInputSchema.parse({ name: "From the shop", dough: ["24 frozen dumplings"] }), { taken: [] });
  if (!bought.ok) throw new Error(JSON.stringify(bought.issues));
  for (const family of FAMILY_IDS)
    for (const method of METHOD_IDS) {
      const { item } = otherwise(bought.value.item, { family, method });
      expect(itemIssues({ items: [item] })).toEqual([]);
      expect(item.steps[0].id).toBe("heat");
    }
});

test("steps added, moved and split stay where the item is made otherwise, or are given back; the item is right either way", () => {
  const take = (result: { ok: true; value: { item: Item } } | { ok: false; issues: readonly unknown[] }) => {
    if (!result.ok) throw new Error(JSON.stringify(result.issues));
    return result.value.item;
  };
  const night = take(addStep(pies(), "seal", "night"));
  const split = take(splitStep(night, "heat"));
  const moved = moveStep(split, "wash", "earlier");
  if (!moved.ok) throw new Error(JSON.stringify(moved.issues));
  const own = moved.value;
  const roped = otherwise(own, { shape: "rope-half-moon" });
  expect(roped.unused).toEqual([]);
  expect(ids(roped.item)).toEqual(expect.arrayContaining(["night", "heat-first"]));
  expect(roped.item.steps.find(({ id }) => id === "rest-formed")!.after[0].step).toBe("wash");
  expect(roped.item.steps.find(({ id }) => id === "heat")!.after).toEqual([{ step: "heat-first" }]);
  for (const family of FAMILY_IDS)
    for (const method of METHOD_IDS) {
      const other = remake(own, { family, method });
      if (other) expect(itemIssues({ items: [other.item] })).toEqual([]);
    }
});
