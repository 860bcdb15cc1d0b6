import { expectRequest, supperInput } from "@tests/demo";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { outOfCold } from "./out-of-cold";
import { makePlan } from "./pipeline";
import { noteText } from "./reason-text";

function heats(fillings: string[], method: string, over: object = {}, day: object = {}) {
  const made = makeItem(
    RecipeInputSchema.parse({
      name: "Parcels",
      makes: 24,
      dough: ["400 g flour", "200 g cold water", "6 g salt"],
      fillings,
      method: [method, "Roll discs, fill, pleat.", "Steam for 10 minutes."],
    }),
    { taken: [] },
  );
  if (!made.ok) throw new Error("not made");
  const input = supperInput("launch-night", made.value.item, 24, "18:30", { solve: { seed: 1, iterations: 0 } });
  const request = expectRequest({ ...input, kitchen: { ...input.kitchen, ...over }, gathering: { ...input.gathering, ...day } });
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  const tasks = plan.solution.tasks.filter(({ id }) => plan.tasks[id]?.step === "heat");
  return { plan, request, tasks, told: tasks.map(({ id }) => outOfCold(plan, id, request.kitchen)) };
}

test("raw pork is counted from its weighing to the heat, and not while it lies in the fridge", () => {
  const { plan, tasks, told } = heats(["400 g minced pork", "100 g leek"], "Mix the filling.");
  expect(told.length).toBeGreaterThan(0);
  for (const [k, one] of told.entries()) {
    const weighed = plan.solution.tasks.find(({ id }) => plan.tasks[id]?.step === "prep-filling")!;
    expect(one!.limitMin).toBe(120);
    expect(one!.usedMin).toBeGreaterThan(0);
    expect(one!.usedMin).toBeLessThanOrEqual(tasks[k].start - weighed.start);
    expect(one!.isWithin).toBe(one!.usedMin <= 120);
  }
});

test("what needs no core is not counted; in a hot room an hour is the limit", () => {
  expect(heats(["400 g cabbage", "100 g leek"], "Cook the filling 10 minutes.").told).toEqual(
    heats(["400 g cabbage", "100 g leek"], "Cook the filling 10 minutes.").told.map(() => undefined),
  );
  const hot = heats(["400 g minced pork", "100 g leek"], "Mix the filling.", {
    roomC: [{ from: "00:00", to: "24:00", c: 34 }],
  });
  expect(hot.told.every((one) => one!.limitMin === 60)).toBe(true);
});

test("a lot that is out for too long is told with the plan, and at no other", () => {
  // Somebody takes an hour and a half to cut and weigh.
  const slow = { lengths: [{ recipe: "parcels", step: "prep-filling", minutes: 90, instead: 7 }] };
  const late = heats(["400 g minced pork", "100 g leek"], "Mix the filling.", {}, slow);
  const noted = late.plan.notes.find(({ code }) => code === "out-of-cold");
  if (noted?.code !== "out-of-cold") throw new Error("not noted");
  expect(noted.usedMin).toBe(Math.max(...late.told.map((one) => one!.usedMin)));
  expect(noteText(late.plan, noted)).toMatch(
    /^Parcels: what is raw in them is out of the cold for up to .*usual guidance is 2 h\./,
  );
  expect(heats(["400 g minced pork", "100 g leek"], "Mix the filling.").plan.notes).toEqual([]);
});
