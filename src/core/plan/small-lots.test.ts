import { demoInput, demoItem, equipped, expectRequest, supperInput } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { ItemSchema, type Item } from "../item/schema";
import type { Step } from "../item/step";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";

/** A dumpling whose raw filling may wait minutes, before it is filled in and after, and a pan that takes four. */
function hurried(over: Partial<Item["capacity"]> = {}): Item {
  const item = demoItem("reed-pocket");
  const raw = new Set(["d-cook", "d-cool-filling"]);
  const steps = item.steps
    .filter(({ id }) => !raw.has(id))
    .map((step): Step => {
      switch (step.id) {
        case "d-mix-filling":
          return { ...step, after: [{ step: "d-prep" }], equipment: [{ id: "bowl" }], ahead: undefined };
        case "d-fill":
          return {
            ...step,
            after: [
              { step: "d-roll", maxGapMin: 15 },
              { step: "d-mix-filling", maxGapMin: 15 },
            ],
          };
        case "d-pan":
          return { ...step, after: [{ step: "d-seal", maxGapMin: 15 }] };
        case "d-serve":
          return { ...step, after: [{ step: "d-pan", maxGapMin: 90 }], hold: { best: "warm", maxMin: 90, how: "" } };
        default:
          return step;
      }
    });
  return ItemSchema.parse({
    ...item,
    steps,
    schools: [],
    filling: { ...item.filling, variants: [] },
    capacity: { ...item.capacity, ...over },
  });
}

const request = (pieces: number, kitchen: object = {}, item = hurried()) =>
  expectRequest(
    supperInput("quiet-evenings", item, pieces, "21:30", {
      kitchen: equipped("quiet-evenings", { "lidded-pan": { count: 1, mm: 150 }, ...kitchen }),
    }),
  );

test("pieces that may wait only minutes for one small pan: they are shaped and filled at its pace, the filling in portions", () => {
  const asked = request(24);
  const plan = makePlan(asked, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(asked, plan)).toEqual([]);
  expect(plan.loads.map(({ pieces }) => pieces)).toEqual([4, 4, 4, 4, 4, 4]);
  expect(plan.batches.filter(({ part }) => part === "filling").length).toBeGreaterThan(1);
});

test("a board that the item says nothing of takes as many by its area as a tray", () => {
  const asked = request(12, {}, hurried({ perBoard: undefined }));
  const plan = makePlan(asked, { now: () => 0 });
  expect(brokenRules(asked, plan)).toEqual([]);
  expect(plan.solution.status).not.toBe("infeasible");
});

test("a filling too large for its pot is cooked in two, each with its weight", () => {
  const input = demoInput("quiet-evenings");
  const item = demoItem("reed-pocket");
  const one = (litres: number[]) =>
    expectRequest({
      ...input,
      items: [item],
      kitchen: equipped("quiet-evenings", { pot: { litres } }),
      gathering: {
        ...input.gathering,
        rules: [],
        freezer: [{ recipe: item.id, pieces: 36, by: { day: 1, time: "22:00" } }],
      },
    });
  const fillings = (litres: number[]) => quantitiesOf(one(litres)).batches.filter(({ part }) => part === "filling");
  const [whole] = fillings([5]);
  const halves = fillings([whole.totalG / 1000]);
  expect(fillings([5])).toHaveLength(1);
  expect(halves).toHaveLength(2);
  for (const { totalG } of halves) expect(totalG).toBeLessThanOrEqual(0.75 * whole.totalG);
  expect(halves[0].totalG + halves[1].totalG).toBeCloseTo(whole.totalG, 0);
  const asked = one([whole.totalG / 1000]);
  const plan = makePlan(asked, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(asked, plan)).toEqual([]);
  expect(plan.solution.tasks.filter(({ id }) => id.startsWith(`${item.id}/d-cook/`))).toHaveLength(2);
});

test("a mixer that is washed between two doughs is not free for the second before it is", () => {
  const input = demoInput("launch-night");
  const own = input.kitchen as { equipment: Record<string, object> };
  const asked = (washMin: number) =>
    expectRequest({
      ...input,
      kitchen: { ...own, equipment: { ...own.equipment, mixer: { ...own.equipment.mixer, washMin } } },
    });
  const request = asked(6);
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const washed = plan.solution.tasks.filter(({ id }) => id.endsWith("/wash-mixer"));
  expect(washed.length).toBeGreaterThan(1);
  for (const { start, end } of washed) expect(end - start).toBeGreaterThanOrEqual(6);
  expect(quantitiesOf(asked(0)).expansion.problem.tasks.some(({ id }) => id.endsWith("/wash-mixer"))).toBe(false);
});
