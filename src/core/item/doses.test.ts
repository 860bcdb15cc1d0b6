import fc from "fast-check";
import { expectRequest, supperInput } from "@tests/demo";
import { doseNeeds, dosesOf } from "../batching/dose-needs";
import { catalogueOf } from "../ingredients/own";
import { quantitiesOf } from "../plan/quantities";
import { dosesFor, doseText, doseTexts, linesFor } from "./doses";
import { makeItem } from "./making/make-item";
import { RecipeInputSchema } from "./making/recipe-input";

function made(recipe: object, choices = {}) {
  const one = makeItem(RecipeInputSchema.parse(recipe), { taken: [], choices });
  if (!one.ok) throw new Error(JSON.stringify(one.issues));
  return one.value.item;
}
const DUMPLINGS = {
  name: "Dumplings",
  makes: 24,
  dough: ["400 g flour", "200 g water"],
  fillings: ["500 g raw minced pork", "60 g water", "2 spring onions", "30 g dried shiitake"],
  method: ["Mix. Fill. Steam 10 min."],
};
const SODA = { doses: [{ what: "Baking soda", by: "meat" as const, gPerKg: 3 }] };

test("750 g of meat take 2.3 g of soda at 3 g for a kilogram, half a level teaspoon", () => {
  expect(doseTexts(SODA, [{ name: "beef, cut across the grain", grams: 750 }])).toEqual([
    "Baking soda: 2.3 g (½ tsp level), for 750 g of meat.",
  ]);
  // Nothing to dose by is no dose, and not one of nothing.
  expect(dosesFor(SODA, [{ name: "tofu", grams: 750 }])).toEqual([]);
});

test("what the cook says is meat is meat", () => {
  const own = catalogueOf([{ id: "yard-mix", names: ["Yard mix"], hazard: "mincedMeat" }]);
  const lines = [{ name: "Yard mix", grams: 500 }];
  expect(doseTexts(SODA, lines, own)).toEqual(["Baking soda: 1.5 g (¼ tsp level), for 500 g of meat."]);
  expect(doseTexts(SODA, lines)).toEqual([]);
});

test("a dose goes by all that is of its kind, and by nothing else", () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom("minced beef", "pork shoulder", "lamb"), { minLength: 1, maxLength: 4 }),
      fc.double({ min: 1, max: 3000, noNaN: true }),
      fc.double({ min: 0, max: 3000, noNaN: true }),
      (names, eachG, onionG) => {
        const meat = names.map((name) => ({ name, grams: eachG }));
        const [one] = dosesFor(SODA, [...meat, { name: "onion", grams: onionG }]);
        // By what the scale shows: within half a gram.
        expect(Math.abs(one.byG - names.length * eachG)).toBeLessThanOrEqual(0.5);
        expect(one.grams).toBeCloseTo((3 * one.byG) / 1000, 9);
      },
    ),
  );
});

test("a step of an item doses by the batch at hand, on the sheet, and is on the shopping list", () => {
  const item = made(DUMPLINGS, { tenderising: "alkali" });
  // Rinsed, it goes on at once.
  expect(item.steps.find(({ id }) => id === "mix-filling")!.after).toEqual([{ step: "rinse-meat", maxGapMin: 15 }]);
  const set = item.steps.find(({ id }) => id === "set-filling")!;
  expect([set.rest!.max <= 60, set.ahead]).toEqual([true, undefined]);
  const soak = item.steps.find(({ id }) => id === "soak-filling")!;
  expect(doseTexts(soak, linesFor(item, soak))).toEqual([
    "Soaked and pressed, about: 90 g, for 30 g of dried mushrooms.",
    "Liquor, about: 180 g, for 30 g of dried mushrooms.",
  ]);
  const q = quantitiesOf(expectRequest(supperInput("launch-night", item, 72, "18:30")));
  const filling = q.batches.filter(({ part }) => part === "filling");
  const meatG = filling.flatMap(({ ingredients }) => ingredients).find(({ name }) => /pork/.test(name))!.grams;
  expect(meatG).toBeGreaterThan(1400);
  const doses = filling.flatMap((batch) => dosesOf(batch, q.demands));
  const soda = doses.find(({ dose }) => dose.what === "Baking soda")!;
  expect(soda.grams).toBeCloseTo((3 * meatG) / 1000, 2);
  expect(doseText(soda)).toMatch(/^4\.\d g \(1 tsp level\), for 1\.\d+ kg of meat$/);
  expect(doseNeeds(q.batches, q.demands)).toEqual([
    { name: "Baking soda", grams: soda.grams, items: ["Dumplings"], why: "beside", fills: 1 },
  ]);
  expect(doses.find(({ dose }) => dose.what === "Liquid each time")!.grams).toBeCloseTo((meatG * 60) / 500 / 3, 1);
});

test("soda that the recipe weighs is that of the recipe, and bought once", () => {
  const item = made({
    ...DUMPLINGS,
    fillings: ["500 g raw minced pork", "2 g baking soda"],
    method: ["Stir the soda into the meat, rinse after 15 min. Fill. Steam 10 min."],
  });
  const soda = item.steps.find(({ id }) => id === "tenderise-meat")!;
  expect(soda.do).toBe("Stir the baking soda into the meat; into the fridge.");
  expect(doseTexts(soda, linesFor(item, soda))).toEqual(["Baking soda: 2 g (½ tsp level)."]);
  const q = quantitiesOf(expectRequest(supperInput("launch-night", item, 48, "18:30")));
  expect(doseNeeds(q.batches, q.demands)).toEqual([]);
});
