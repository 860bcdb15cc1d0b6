import { DEMO_GATHERINGS, demoInput, demoItem } from "@tests/demo";
import { itemIssues } from "./check";
import { ItemSchema, type Item } from "./schema";
import { addStep, addableAfter, canMove, moveStep, splitStep } from "./step-add";
import { removeStep } from "./step-edit";

const ITEMS = [...new Set(DEMO_GATHERINGS.flatMap((id) => demoInput(id).items.map((item) => item.id)))].map(demoItem);
const isRight = (item: Item) => {
  expect(ItemSchema.safeParse(item).success).toBe(true);
  expect(itemIssues({ items: [item] })).toEqual([]);
};
const value = <T>(result: { ok: true; value: T } | { ok: false; issues: readonly unknown[] }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};

test("whatever can be added behind any step of any item leaves an item, and taking it out again leaves the one there was", () => {
  for (const item of ITEMS)
    for (const step of item.steps)
      for (const what of addableAfter(step)) {
        const { item: next, id } = value(addStep(item, step.id, what));
        isRight(next);
        expect(next.steps.find((one) => one.id === id)!.after[0].step).toBe(step.id);
        const order = (one: Item) => one.steps.map(({ id: name, after }) => [name, after.map((link) => link.step).sort()]);
        expect(order(removeStep(next, id))).toEqual(order(item));
      }
});

test("any step that can change places does, and comes back", () => {
  let moved = 0;
  for (const item of ITEMS)
    for (const step of item.steps)
      for (const way of ["earlier", "later"] as const) {
        const next = moveStep(item, step.id, way);
        expect(next.ok).toBe(canMove(item, step.id, way));
        if (!next.ok) continue;
        isRight(next.value);
        moved++;
      }
  expect(moved).toBeGreaterThan(100);
});

test("a step is split in two that take as long together; what it ends with is the second's", () => {
  for (const item of ITEMS)
    for (const step of item.steps) {
      const split = splitStep(item, step.id);
      if (!split.ok) continue;
      isRight(split.value.item);
      const [first, second] = [split.value.id, step.id].map((id) => split.value.item.steps.find((one) => one.id === id)!);
      expect(first.time.fixedMin + second.time.fixedMin).toBeCloseTo(step.time.fixedMin, 6);
      expect(first.time.secPerPiece + second.time.secPerPiece).toBeCloseTo(step.time.secPerPiece, 6);
      expect([first.coreC, second.coreC]).toEqual([undefined, step.coreC]);
    }
});

test("nothing is added behind the table or the freezer bag, and a step that is not there is said", () => {
  const pie = demoItem("slipway-pie");
  const serve = pie.steps.find(({ kind }) => kind === "serve")!;
  expect(addStep(pie, serve.id, "night")).toMatchObject({ ok: false, issues: [{ code: "inconsistent" }] });
  expect(addStep(pie, "nowhere", "night")).toMatchObject({ ok: false, issues: [{ code: "unknown" }] });
  expect(splitStep(pie, "nowhere")).toMatchObject({ ok: false });
});
