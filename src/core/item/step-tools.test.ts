import { demoItem } from "@tests/demo";
import { isHeat, type Step } from "./step";
import { addTool, canDrop, dropTool, setCore, toolsToAdd } from "./step-tools";

const item = demoItem("slipway-pie");
const bake = item.steps.find((step) => isHeat(step) && step.path.includes("fresh"))!;
const byHand = item.steps.find(({ kind }) => kind === "roll")!;
const stepOf = (result: ReturnType<typeof addTool>, id: string): Step => {
  if (!result.ok) throw new Error(result.issues[0].wanted);
  return result.value.steps.find((step) => step.id === id)!;
};

test("a thing that is added is taken, and can be dropped again", () => {
  expect(toolsToAdd(byHand)).toContain("rack");
  const more = addTool(item, byHand.id, "rack");
  expect(stepOf(more, byHand.id).equipment).toContainEqual({ id: "rack" });
  expect(toolsToAdd(stepOf(more, byHand.id))).not.toContain("rack");
  expect(stepOf(dropTool(more.ok ? more.value : item, byHand.id, "rack"), byHand.id)).toEqual(byHand);
});

test("what heats pieces stays, and what holds them in it", () => {
  expect(canDrop(bake, "oven")).toBe(false);
  expect(canDrop(bake, "tray")).toBe(false);
  expect(toolsToAdd(bake)).not.toContain("lidded-pan");
  expect(dropTool(item, bake.id, "oven").ok).toBe(false);
});

test("a core takes a probe with it, and cannot be colder than what is in it asks", () => {
  const { equipment, coreC } = stepOf(setCore(item, bake.id, 80, 74), bake.id);
  expect([coreC, equipment.filter(({ id }) => id === "probe").length]).toEqual([80, 1]);
  expect(stepOf(setCore(item, bake.id, 73.9, 74), bake.id).coreC).toBe(74);
  for (const typed of [60, undefined, NaN, 300]) expect(setCore(item, bake.id, typed, 74).ok).toBe(false);
  expect(stepOf(setCore(item, bake.id, undefined, undefined), bake.id).coreC).toBeUndefined();
});
