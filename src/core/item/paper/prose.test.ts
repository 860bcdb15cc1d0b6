import { makeItem } from "../making/make-item";
import { RecipeInputSchema } from "../making/recipe-input";
import { readPaper } from "./sections";

const parts = (text: string) => {
  const { dough, fillings, finish } = readPaper(text, "metric");
  const of = (lines: typeof dough) => lines.map(({ name, grams }) => `${name} ${grams === null ? "?" : Math.round(grams)}`);
  return { dough: of(dough), filling: of(fillings.flatMap(({ lines }) => lines)), finish: of(finish) };
};

test("a recipe that is told and not listed is weighed; what is named without an amount is not lost", () => {
  expect(
    parts(
      "I put 500 g of flour in a bowl with a teaspoon of salt and rub in 200 g of cold butter. Then 120 ml of iced water goes in. Leave it in the fridge for an hour. " +
        "For the inside I mash 300 g of feta with 2 eggs, a handful of chopped parsley and some pepper. Roll it out 3 mm thick, cut rounds of 10 cm, fold over. Bake at 190 degrees, 22 minutes or so.",
    ),
  ).toEqual({
    dough: ["flour 500", "salt 6", "cold butter 200", "iced water 120"],
    filling: ["feta 300", "eggs 102", "chopped parsley 10", "pepper ?"],
    finish: [],
  });
  expect(
    parts(
      "300 g Mehl mit 1 Ei und 120 ml Wasser verkneten und 30 Minuten ruhen lassen. Für die Füllung 500 g Kartoffeln kochen.",
    ),
  ).toEqual({
    dough: ["Mehl 300", "Ei 51", "Wasser 120"],
    filling: ["Kartoffeln 500"],
    finish: [],
  });
});

test("half a sentence among ingredients is what it names", () => {
  expect(
    parts(
      "Dough: bring 150 ml water and 120 g lard to the boil, pour onto 400 g plain flour\nFilling: 250 g prunes simmered with 50 g sugar",
    ),
  ).toEqual({
    dough: ["water 150", "lard 120", "plain flour 400"],
    filling: ["prunes simmered 250", "sugar 50"],
    finish: [],
  });
});

const made = (text: string) => {
  const result = makeItem(RecipeInputSchema.parse({ name: "Rolls", text }), { taken: [] });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const BASE =
  "Makes 12\nDough: 500 g flour, 250 ml milk, 60 g butter, 7 g instant yeast\nFilling: 300 g cooked ham\nKnead 10 min.";

test("two values for one thing are both kept, and the longer time is planned with", () => {
  const { item, gaps } = made(
    `${BASE} Let it rise 1 hour or 90 minutes if it is cold. Fill. Bake at 180 °C (my oven: 200 °C) for 20 min.`,
  );
  expect(item.steps.find(({ id }) => id === "rest-dough")?.rest).toMatchObject({ min: 60, target: 90 });
  expect(gaps.filter(({ about }) => about === "two-values").map(({ text, taken }) => [text, taken])).toEqual([
    ["two times for the first rest: 60 and 90 min", "90 min"],
    ["two settings for the heat: 160 and 180 °C", "160 °C"],
  ]);
  // One setting on several scales is one value.
  expect(made(`${BASE} Fill. Bake at 200C/180C fan/gas 6 for 20 min.`).gaps.some(({ about }) => about === "two-values")).toBe(
    false,
  );
});

test("a bake at two settings is two steps, the pieces staying in", () => {
  for (const text of [
    "Bake 10 min at 220 °C then 15 min at 180.",
    "Bake at 220 °C for 10 min. Turn the oven down to 180 °C and bake another 15 minutes.",
  ]) {
    const heats = made(`${BASE} Fill. ${text}`).item.steps.filter(({ kind }) => kind === "bake");
    expect(heats.map(({ id, time, equipment }) => [id, time.fixedMin, equipment[0].settingC])).toEqual([
      ["heat-first", 10, 200],
      ["heat", 15, 160],
    ]);
    expect(heats[1].after).toEqual([{ step: "heat-first", maxGapMin: 15 }]);
  }
});

test("nothing that is named gets lost where a sentence goes on", () => {
  expect(parts("Dough: 300 g flour, 200 g butter, 1 egg make a short dough").dough).toEqual([
    "flour 300",
    "butter 200",
    "egg 51",
  ]);
  expect(parts("Filling: 200 g minced beef browned with 1 onion and curry powder").filling).toEqual([
    "minced beef browned 200",
    "onion 110",
    "curry powder ?",
  ]);
  // What is done stands behind a list.
  expect(parts("Dough: 300g flour, 180ml water, salt. Rest in oil 1 hour.").dough).toEqual(["flour 300", "water 180", "salt ?"]);
});

test("a time belongs to what it stands with", () => {
  const rest = (text: string) => made(`${BASE.replace("Knead 10 min.", "")}${text} Fill. Bake at 180 °C for 20 min.`).item.steps;
  const of = (steps: ReturnType<typeof rest>, id: string) => steps.find((step) => step.id === id)!;
  const kneaded = rest("Knead 8 minutes, double.");
  expect(of(kneaded, "rest-dough").rest!.target).toBeGreaterThan(40);
  expect(of(rest("Knead, rest an hour and a half."), "rest-dough").rest!.target).toBe(90);
  expect(of(rest("Alles zu einem Teig kneten und 30 Minuten kühl stellen."), "rest-dough").rest!.min).toBe(30);
});
