import { expectRequest, supperInput } from "@tests/demo";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { verify } from "../schedule/verify";
import { makePlan } from "./pipeline";

const RECIPE = RecipeInputSchema.parse({
  name: "Pies",
  makes: 24,
  dough: ["500 g flour", "280 g butter", "150 g water"],
  fillings: ["900 g apples", "80 g sugar"],
  method: ["Cook the apples 10 min.", "Fold over.", "Bake 20 min at 190 C."],
});

/** Trays of each oven load of 36 pies, when the loads are in, and how long one lasts, min. */
function loads(trays: string) {
  const made = makeItem(RECIPE, { taken: [], choices: { trays } });
  if (!made.ok) throw new Error("not made");
  const { item } = made.value;
  item.capacity = { ...item.capacity, perTray: 12 };
  const plan = makePlan(expectRequest(supperInput("launch-night", item, 36, "18:30", { solve: { seed: 1, iterations: 0 } })), {
    now: () => 0,
  });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(verify(plan.problem, plan.solution)).toEqual([]);
  const baked = plan.loads.filter(({ chamber }) => chamber === "oven");
  const spans = plan.solution.tasks
    .filter(({ id }) => plan.tasks[id]?.step === "heat")
    .map(({ start, end }) => [start, end] as const)
    .sort((a, b) => a[0] - b[0]);
  return { carriers: baked.map(({ carriers }) => carriers), spans, minutes: spans[0][1] - spans[0][0] };
}

test("as many trays as there are shelves, one by itself, or two that shield each other and take longer", () => {
  const shelves = loads("shelves");
  expect(shelves.carriers).toEqual([3]);
  expect(shelves.minutes).toBe(20);
  const one = loads("one");
  expect(one.carriers).toEqual([1, 1, 1]);
  expect(one.spans.every(([start], k) => k === 0 || start >= one.spans[k - 1][1])).toBe(true);
  const two = loads("two");
  expect(Math.max(...two.carriers)).toBe(2);
  expect(two.minutes).toBe(21);
  expect(two.spans[1][0]).toBeGreaterThanOrEqual(two.spans[0][1]);
});
