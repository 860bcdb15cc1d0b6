import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { BesideSchema, besideAmounts, offeredBeside } from "./beside";

const made = makeItem(
  RecipeInputSchema.parse({
    name: "Woven buns",
    makes: 20,
    text: `Dough: 500 g flour, 280 ml milk, 7 g instant yeast, 60 g butter
Filling: 400 g cooked ham
Chutney: 200 g apples, 60 g onions, 40 g sugar
Knead 8 min, let rise 1 hour. Simmer the chutney 25 minutes. Fill, weave, bake at 180 °C for 25 min.`,
  }),
  { taken: [] },
);
if (!made.ok) throw new Error(JSON.stringify(made.issues));
const { item, gaps } = made.value;

test("what a recipe serves beside its pieces is kept with the item, and said", () => {
  expect(item.beside).toMatchObject([{ name: "Chutney", kind: "dip", hobMin: 25, coolMin: 60 }]);
  expect(item.beside![0].components.map(({ name, grams }) => [name, grams])).toEqual([
    ["apples", 200],
    ["onions", 60],
    ["sugar", 40],
  ]);
  expect(gaps.map(({ text }) => text)).toContainEqual(expect.stringMatching(/^served beside it/));
  expect(item.filling.components.map(({ name }) => name)).toEqual(["cooked ham"]);
});

test("15 g for each of 44 pieces are 660 g, 2.2 times its recipe of 300 g; only its own item's pieces count", () => {
  const one = offeredBeside(item, item.beside![0], "supper");
  expect(BesideSchema.safeParse(one).success).toBe(true);
  expect(one).toMatchObject({ amount: 15, unit: "g", lot: 300, hobMin: 25 });
  const pieces = (_wave: string, recipe: string | undefined) => (recipe === "woven-buns" ? 44 : 200);
  const [amount] = besideAmounts([one], pieces, 10);
  expect(amount).toMatchObject({ count: 44, total: 660, lots: 2.2 });
  expect(amount.parts.map(({ name, grams }) => [name, grams])).toEqual([
    ["apples", 440],
    ["onions", 132],
    ["sugar", 88],
  ]);
});
