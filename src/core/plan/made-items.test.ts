import { demoInput, demoKitchen, expectRequest } from "@tests/demo";
import { PAPER_RECIPES } from "@tests/paper-recipes";
import { brokenRules } from "@tests/plan-rules";
import { DOUGHS, FAMILY_IDS, METHOD_IDS } from "../item/making/doughs";
import { FILLING_IDS } from "../item/making/fillings";
import { makeItem, type Made } from "../item/making/make-item";
import { shapesFor } from "../item/making/propose";
import { schoolOffers } from "../item/making/school-offers";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { makePlan } from "./pipeline";
import { noteText } from "./reason-text";

const made = (recipe: object): Made => {
  const answer = makeItem(RecipeInputSchema.parse(recipe), { taken: [] });
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
};

/** A kitchen with everything, and two cooks who have the day and the evening before. */
function requestFor({ item }: Made, pieces: number) {
  const input = demoInput("launch-night");
  const kitchen = structuredClone(demoKitchen("boathouse")) as ReturnType<typeof demoKitchen>;
  const hours = [
    { day: -1, from: "15:00", to: "22:00" },
    { day: 0, from: "08:00", to: "20:00" },
  ];
  return expectRequest({
    ...input,
    items: [item],
    kitchen: { ...kitchen, breaks: [], cooks: kitchen.cooks.slice(0, 2).map((cook) => ({ ...cook, hours, notFor: [] })) },
    solve: { seed: 1, iterations: 60 },
    gathering: {
      id: "g",
      name: "Supper",
      date: input.gathering.date,
      guests: [{ count: 8, age: "adult" }],
      waves: [{ id: "w", name: "Supper", time: "19:00", items: [{ recipe: item.id, pieces }] }],
    },
  });
}

describe.each(PAPER_RECIPES.map((entry) => [entry.recipe.name, entry] as const))("%s", (_name, { recipe, expected, pieces }) => {
  const answer = made(recipe);
  test("is understood", () => {
    const { family, method, shape, hazard } = answer;
    expect({ family: family.value, method: method.value, shape: shape.value.id, hazard }).toMatchObject(expected);
  });
  test("becomes a plan that keeps the eight rules", () => {
    const request = requestFor(answer, pieces ?? 12);
    const plan = makePlan(request, { now: () => 0 });
    expect([plan.solution.status, plan.refusal]).not.toEqual(["infeasible", expect.anything()]);
    expect(plan.solution.status).not.toBe("infeasible");
    expect(brokenRules(request, plan)).toEqual([]);
  });
});

/** A plain recipe that may be made any way. */
const PLAIN = {
  name: "Any way",
  makes: 12,
  dough: ["400 g flour", "120 g butter", "160 g water", "6 g salt"],
  fillings: ["300 g chicken, minced", "200 g onion", "5 g salt"],
};
const EVERY = FAMILY_IDS.flatMap((family) =>
  METHOD_IDS.filter((method) => DOUGHS[family].methods.includes(method)).flatMap((method) =>
    shapesFor(family, method).map((shape) => [family, method, shape.id] as const),
  ),
);

describe("every kind of dough, way of finishing and shape that fit one another", () => {
  const makeAs = (family: string, method: string, shape: string, filling: (typeof FILLING_IDS)[number]) => {
    const answer = makeItem(RecipeInputSchema.parse({ ...PLAIN, family, method, shape }), { taken: [], filling });
    if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
    return answer.value;
  };

  test.each(EVERY)("%s %s %s: a plan that keeps every rule", (family, method, shape) => {
    const answer = makeAs(family, method, shape, "vegetable");
    expect(answer).toMatchObject({ family: { value: family }, method: { value: method }, shape: { value: { id: shape } } });
    // As many as one pan takes, or as a fryer gets through while the first may wait.
    const { perPanLoad = 8, perFryerLoad = 2 } = answer.item.capacity;
    const most = method === "fry" ? 4 * perFryerLoad : method === "pan" || method === "dry" ? perPanLoad : 8;
    const request = requestFor(answer, method === "dish" ? 1 : Math.min(8, most));
    const plan = makePlan(request, { now: () => 0 });
    expect(plan.refusal).toEqual([]);
    expect(brokenRules(request, plan)).toEqual([]);
  });

  test("the same making gives the same steps; nothing fried is vented; raw poultry is measured in every way of heating", () => {
    for (const [family, method, shape] of EVERY)
      for (const filling of FILLING_IDS) {
        const answer = makeAs(family, method, shape, filling);
        expect(makeAs(family, method, shape, filling).item).toEqual(answer.item);
        const { steps } = answer.item;
        const vents = steps.filter(({ kind }) => kind === "dock");
        if (!["tray", "dish", "tin"].includes(method)) expect(vents).toEqual([]);
        const heats = steps.filter(({ id }) => id === "heat" || id === "reheat");
        expect(heats.length).toBeGreaterThan(0);
        for (const step of heats)
          expect([family, method, shape, filling, step.id, step.coreC]).toEqual([family, method, shape, filling, step.id, 74]);
        // What is in it is on its label, whatever is done with it.
        expect(steps.every((step) => step.cue !== undefined || step.kind !== "bake")).toBe(true);
      }
  });
});

describe("whichever way a cook does it", () => {
  const cases = PAPER_RECIPES.flatMap(({ recipe, pieces }) => {
    const { plain } = made(recipe);
    return schoolOffers(plain, {}).flatMap(({ id, options }) =>
      options.filter(({ effect }) => effect).map((option) => [recipe.name, id, option.id, pieces ?? 12] as const),
    );
  });
  test.each(cases)("%s: %s %s keeps the eight rules", (name, school, option, pieces) => {
    const { recipe } = PAPER_RECIPES.find((entry) => entry.recipe.name === name)!;
    const answer = makeItem(RecipeInputSchema.parse(recipe), { taken: [], choices: { [school]: option } });
    if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
    const request = requestFor(answer.value, pieces);
    const plan = makePlan(request, { now: () => 0 });
    expect(plan.solution.status).not.toBe("infeasible");
    expect(brokenRules(request, plan)).toEqual([]);
  });
  test("there are enough of them", () => expect(cases.length).toBeGreaterThan(40));
});

test("without a thermometer it is said that what is to be measured needs longer, at the plan and at the step; with one it is not", () => {
  const answer = made({ ...PLAIN, fillings: ["300 g minced pork", "100 g onion"], method: ["Bake 20 min at 190 C."] });
  const request = requestFor(answer, 12);
  const planIn = (kitchen: typeof request.kitchen) => {
    const plan = makePlan({ ...request, kitchen }, { now: () => 0 });
    expect(brokenRules({ ...request, kitchen }, plan)).toEqual([]);
    return {
      notes: plan.notes.map((note) => noteText(plan, note)),
      heat: Object.values(plan.steps).find(({ id }) => id === "heat")!,
    };
  };
  const probed = planIn(request.kitchen);
  expect(probed.notes).toEqual([]);
  expect(probed.heat.caution).not.toMatch(/thermometer/);
  const { probe: _probe, ...equipment } = request.kitchen.equipment;
  const blind = planIn({ ...request.kitchen, equipment });
  expect(blind.notes).toEqual([
    expect.stringMatching(/^Any way: .* weaker evidence than a reading; raw poultry is better cooked/),
  ]);
  expect(blind.heat.caution).toMatch(/^No thermometer here: 4 min more than planned/);
});
