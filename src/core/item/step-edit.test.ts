import { demoItem } from "@tests/demo";
import { itemIssues } from "./check";
import { hazardsOf } from "./hazards";
import { ItemSchema, type Item } from "./schema";
import type { Result } from "../shared/issue";
import { addBlindBake, editStep, heatedBy, removeStep } from "./step-edit";

const value = (result: Result<Item>): Item => {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const pie = demoItem("slipway-pie");

describe("steps on the desk", () => {
  test("a time, a rest and the oven's heat are changed, the rest of the item stands", () => {
    const next = value(editStep(pie, "a-bake", { fixedMin: 31, ovenC: 195 }));
    const bake = next.steps.find((s) => s.id === "a-bake")!;
    expect([bake.time.fixedMin, heatedBy(bake)!.settingC]).toEqual([31, 195]);
    expect(next.dough).toBe(pie.dough);
    const chilled = value(editStep(pie, "a-chill", { restTarget: 60 }));
    expect(chilled.steps.find((s) => s.id === "a-chill")!.rest!.target).toBe(60);
  });
  test("a step is called what the cook calls it, and what can hurt is read from that too; emptied it goes by its kind", () => {
    const own = value(editStep(pie, "a-cool", { title: "Add water to the hot pan " }));
    const step = own.steps.find((s) => s.id === "a-cool")!;
    expect(step.title).toBe("Add water to the hot pan ");
    expect(hazardsOf(step)).toContain("water-into-fat");
    for (const title of ["", "  "])
      expect(value(editStep(own, "a-cool", { title })).steps.find((s) => s.id === "a-cool")!.title).toBeUndefined();
    expect(editStep(pie, "a-cool", { title: "x".repeat(41) })).toMatchObject({ ok: false, issues: [{ path: ["title"] }] });
  });
  test("a rest that runs backwards and a step that is not there are refused", () => {
    expect(editStep(pie, "a-chill", { restMin: 900, restTarget: 10 })).toMatchObject({
      ok: false,
      issues: [{ code: "inconsistent" }],
    });
    expect(editStep(pie, "nowhere", {})).toMatchObject({ ok: false, issues: [{ code: "unknown" }] });
    expect(editStep(pie, "a-bake", { ovenC: 900 })).toMatchObject({ ok: false, issues: [{ code: "out_of_range" }] });
  });
  test("what it took here is kept beside the recipe's figure, and forgotten again", () => {
    const seen = value(editStep(pie, "a-bake", { tookMin: 40 }));
    expect(seen.steps.find((s) => s.id === "a-bake")!.tookMin).toBe(40);
    expect(value(editStep(seen, "a-bake", { tookMin: null })).steps.find((s) => s.id === "a-bake")!.tookMin).toBeUndefined();
  });
  test("any step but the last of all can go, and the others stay linked", () => {
    for (const step of pie.steps) {
      const next = removeStep(pie, step.id);
      expect(ItemSchema.safeParse(next).success).toBe(true);
      expect(itemIssues({ items: [next] })).toEqual([]);
    }
  });
  test("N37: blind baking is two slots of the oven, 12 and 3 min, with 2 min by hand between", () => {
    const next = value(addBlindBake(pie));
    const added = next.steps.filter((s) => !pie.steps.some((old) => old.id === s.id));
    expect(added.map((s) => [s.kind, s.time.fixedMin, s.attention])).toEqual([
      ["blind-bake", 12, "none"],
      ["dock", 2, "hands-on"],
      ["blind-bake", 3, "none"],
    ]);
    expect(itemIssues({ items: [next] })).toEqual([]);
    expect(addBlindBake(next)).toMatchObject({ ok: false });
    expect(addBlindBake(demoItem("reed-pocket"))).toMatchObject({ ok: false });
  });
});
