import { HAZARD_TEXT, hazardsOf } from "./hazards";
import { lidLock } from "./lid-lock";
import type { Step } from "./step";

const step = (said: string, more: Partial<Step> = {}) =>
  ({ do: said, kind: "pan-fry", equipment: [], attention: "hands-on", ...more }) as unknown as Step;

test("a step that adds water to a hot pan says heat off, the lid as a shield, measured first", () => {
  const [first] = hazardsOf(step("Add water to the hot pan."));
  expect(first).toBe("water-into-fat");
  expect(HAZARD_TEXT[first]).toMatch(/heat off, the water measured first, the lid as a shield/);
  for (const said of ["Pour the stock into the hot wok.", "Into the hot pan add 60 ml of water, lid on."])
    expect(hazardsOf(step(said))).toContain("water-into-fat");
  expect(hazardsOf(step("Oil, pieces and water in the cold pan, the lid on."))).not.toContain("water-into-fat");
});

test("what can hurt follows from a step's own words and from what it takes", () => {
  expect(hazardsOf(step("Knead until smooth.", { kind: "knead", equipment: [{ id: "mixer" }] }))).toEqual(["mixer"]);
  expect(hazardsOf(step("Cook them through.", { kind: "fry" }))).toEqual(["deep-oil"]);
  expect(hazardsOf(step("Chop the raw chicken with a knife.", { kind: "weigh" }))).toEqual(["blade", "raw-hands"]);
  expect(hazardsOf(step("Pour it into the glass dish.", { kind: "fill" }))).toEqual(["glass"]);
  expect(hazardsOf(step("Cover it and let it rest.", { kind: "bench-rest" }))).toEqual([]);
  expect(hazardsOf(step("Roll out a sheet to cutting thickness.", { kind: "roll" }))).toEqual([]);
});

test("a lid is locked where a raised dough would fall in, and nowhere else", () => {
  const steam = step("", { kind: "steam" });
  const pan = step("", { equipment: [{ id: "lidded-pan" }] });
  expect(lidLock(steam, true)).toEqual({ code: "steam-falls", share: 0.8 });
  expect(lidLock(pan, true)).toEqual({ code: "pan-falls", share: 1 });
  expect(lidLock(steam, false)).toBeUndefined();
  expect(lidLock(pan, false)).toBeUndefined();
  expect(lidLock(step("", { kind: "bake" }), true)).toBeUndefined();
});
