import { demoInput, demoKitchen, expectRequest } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { OURS } from "../ingredients/own";
import { baseShares, weighingsOf } from "../batching/batches";
import { claimsOf } from "../item/claims";
import { itemDocument } from "../item/making/item-document";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { remake } from "../item/making/remake";
import { resolveItem } from "../item/resolve";
import { makePlan } from "./pipeline";
import { quantitiesOf } from "./quantities";
import { planTaskText } from "./task-text";

const made = makeItem(
  RecipeInputSchema.parse({
    name: "Three ways",
    makes: 24,
    text: `Dough: 500 g flour, 300 ml water, 7 g yeast, 20 g sugar
Base for the fillings: 400 g onions, 300 g cabbage, 300 g carrots
Mushroom filling: 300 g mushrooms, 1 tbsp soy sauce
Pork filling: 300 g minced pork
Chicken filling: 250 g raw chicken mince, 1 egg
Cook the base 12 min, divide in three. Cook the mushrooms 10 min. Mix the pork and the chicken in raw. Knead 8 min, rise 1 hour. Fill, shape balls, bake at 190 °C for 20 min.`,
  }),
  { taken: [] },
);
if (!made.ok) throw new Error(JSON.stringify(made.issues));
const { item } = made.value;

const input = demoInput("launch-night");
const kitchen = structuredClone(demoKitchen("boathouse")) as ReturnType<typeof demoKitchen>;
const hours = [{ day: 0, from: "08:00", to: "20:00" }];
const request = expectRequest({
  ...input,
  items: [item],
  kitchen: { ...kitchen, breaks: [], cooks: kitchen.cooks.slice(0, 2).map((cook) => ({ ...cook, hours, notFor: [] })) },
  solve: { seed: 1, iterations: 40 },
  gathering: {
    id: "g",
    name: "Supper",
    date: input.gathering.date,
    guests: [{ count: 8, age: "adult" }],
    waves: [
      {
        id: "w",
        name: "Supper",
        time: "19:00",
        items: [
          {
            recipe: item.id,
            pieces: 20,
            split: [
              { filling: "base", pieces: 8 },
              { filling: "filling-2", pieces: 7 },
              { filling: "filling-3", pieces: 5 },
            ],
          },
        ],
      },
    ],
  },
});

test("each filling has its own steps, core and label; the base is the same for all", () => {
  const of = (filling: string) => resolveItem(item, {}, filling);
  const core = (filling: string) => of(filling).steps.find(({ id }) => id === "heat")!.coreC;
  expect([core("base"), core("filling-2"), core("filling-3")]).toEqual([undefined, 71, 74]);
  const contains = (filling: string) => claimsOf(of(filling)).contains.map(({ allergen }) => allergen);
  expect(contains("base")).not.toContain("egg");
  expect(contains("filling-3")).toContain("egg");
  const based = (filling: string) => of(filling).steps.filter(({ base }) => base);
  expect(based("base").map(({ id }) => id)).toEqual(["prep-base", "cook-base", "cool-base", "divide-base"]);
  expect(based("filling-2")).toEqual(based("base"));
  expect(based("base").find(({ id }) => id === "cook-base")!.time.fixedMin).toBe(12);
  // Whoever asks of the item asks of all its fillings.
  const document = itemDocument(made.value, OURS);
  expect(document.allergens).toEqual(["gluten", "egg", "soy"]);
  expect(document.diets).toMatchObject({ vegetarian: false, vegan: false });
  expect(document.hazard).toBe("poultry");
  expect(document.steps.find(({ id }) => id === "heat")!.coreC).toBe(74);
});

test("the base is cooked once, divided by what each filling needs, and plants are finished before meat", () => {
  const q = quantitiesOf(request);
  const weighings = weighingsOf(q.batches);
  const [base, ...more] = weighings.filter((one) => one.base);
  expect(more).toEqual([]);
  expect(base.ingredients.map(({ name }) => name)).toEqual(["onions", "cabbage", "carrots"]);
  const shares = baseShares(base, q.demands);
  expect(shares.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(base.totalG, 0);
  const own = weighings.filter(({ part, base: isBase }) => part === "filling" && !isBase);
  expect(own.map(({ ingredients }) => ingredients.map(({ name }) => name))).toEqual([
    ["mushrooms", "soy sauce"],
    ["minced pork"],
    ["raw chicken mince", "egg"],
  ]);
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const placed = (step: string) =>
    plan.solution.tasks.filter(({ id }) => plan.tasks[id].step === step).sort((a, b) => a.start - b.start);
  const [cooked, ...again] = placed("cook-base");
  expect(again).toEqual([]);
  expect(planTaskText(plan, cooked.id)).toBe("Cook base of the fillings for 20 Three ways");
  const [mushrooms] = placed("cook-filling");
  const raw = placed("mix-filling");
  expect(raw).toHaveLength(2);
  raw.forEach((task) => expect(task.start).toBeGreaterThanOrEqual(mushrooms.end));
});

test("made another way all its fillings follow, and back again it is as it was", () => {
  const fried = remake(item, { method: "fry" })!.item;
  const heat = (filling: string) => resolveItem(fried, {}, filling).steps.find(({ id }) => id === "heat")!;
  expect([heat("base").kind, heat("filling-3").kind, heat("filling-3").coreC]).toEqual(["fry", "fry", 74]);
  expect(remake(fried, { method: "tray" })!.item).toEqual(item);
});
