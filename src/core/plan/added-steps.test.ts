import { demoItem, expectRequest, supperInput } from "@tests/demo";
import { FRIDGE_HOURS } from "../tables/keeping";
import type { Item } from "../item/schema";
import { addStep } from "../item/step-add";
import { verify } from "../schedule/verify";
import { makePlan } from "./pipeline";

const value = <T>(result: { ok: true; value: T } | { ok: false; issues: readonly unknown[] }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};

/** A plan for 12 of an item; it must keep every rule. */
function planned(item: Item) {
  const input = supperInput("launch-night", item, 12, "18:30", { solve: { seed: 1, iterations: 0 } });
  // Everybody is there the evening before as well.
  const { cooks } = input.kitchen as { cooks: { id: string; hours: object[] }[] };
  const attendance = cooks.map(({ id: cook, hours }) => ({ cook, hours: [...hours, { day: -1, from: "18:00", to: "22:00" }] }));
  const request = expectRequest({ ...input, gathering: { ...input.gathering, attendance } });
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(verify(plan.problem, plan.solution)).toEqual([]);
  return plan;
}

test("a night in the fridge lasts no longer than what lies there keeps, and its work is done the evening before", () => {
  const pie = demoItem("slipway-pie");
  const seal = pie.steps.find(({ kind }) => kind === "seal")!;
  const { item, id } = value(addStep(pie, seal.id, "night"));
  const night = item.steps.find((step) => step.id === id)!;
  expect(night.rest!.max).toBeLessThanOrEqual(60 * (pie.storage?.fridge?.rawHours || FRIDGE_HOURS["shaped-raw-fish"]));
  const plan = planned(item);
  const served = plan.day.targets[0].minute;
  const starts = plan.solution.tasks.filter((task) => plan.tasks[task.id]?.step === seal.id).map((task) => task.start);
  expect(served - Math.max(...starts)).toBeGreaterThan(480);
});

test("a second bake takes the oven a second time, at its own setting", () => {
  const pie = demoItem("slipway-pie");
  const bake = pie.steps.find(({ kind }) => kind === "bake")!;
  const { item, id } = value(addStep(pie, bake.id, "second-bake"));
  const plan = planned(item);
  const loads = plan.solution.tasks.filter((task) => plan.tasks[task.id]?.step === id);
  expect(loads.length).toBeGreaterThan(0);
  expect(loads.every((task) => task.taken.some((unit) => unit.startsWith("oven")))).toBe(true);
});
