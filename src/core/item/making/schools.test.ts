import { claimsOf } from "../claims";
import { itemIssues } from "../check";
import { itemChecks } from "../checks";
import { checkText } from "../checks-text";
import { resolveItem } from "../resolve";
import { FAMILY_IDS, METHOD_IDS } from "./doughs";
import { FILLING_IDS } from "./fillings";
import { makeItem, type Made } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";
import { asMade, remake } from "./remake";
import { schoolOffers } from "./school-offers";
import { SCHOOLS } from "./schools";

const made = (recipe: object, options: object = {}): Made => {
  const result = makeItem(RecipeInputSchema.parse(recipe), { taken: [], ...options });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const BUNS = {
  name: "Lantern buns",
  makes: 12,
  dough: ["400 g bread flour", "230 g water", "5 g active dry yeast", "40 g butter", "7 g salt"],
  fillings: ["300 g minced pork", "200 g cabbage", "2 tbsp soy sauce"],
  finish: ["1 egg"],
  method: [
    "Knead 8 min.",
    "Let rise for 1 hour until doubled.",
    "Fill with the raw filling, shape balls.",
    "Bake at 190 C for 20 min.",
  ],
};
const offersOf = (one: Made, choices = {}) => schoolOffers(one.plain, choices);
const offered = (one: Made) => offersOf(one).map(({ id }) => id);

test("each item is asked what fits it, and nothing else", () => {
  expect(offered(made(BUNS))).toEqual([
    ...["rises", "waking", "kneading", "kneaded", "wash", "coats", "setting", "trays", "stages", "salting", "tenderising", "cut"],
  ]);
  const pies = made({
    name: "Pies",
    makes: 10,
    dough: ["300 g flour", "160 g butter", "90 g water"],
    fillings: ["500 g apples"],
    method: ["Bake 25 min at 190 C."],
  });
  expect(offered(pies)).toEqual([
    ...[
      "cold-rest",
      "rubbing",
      "fat-form",
      "bought",
      "formed-cold",
      "wash",
      "rim",
      "vents",
      "setting",
      "trays",
      "stages",
      "cooling",
      "tempering",
    ],
  ]);
  const hen = made({ ...BUNS, fillings: ["300 g minced chicken"] });
  expect(offered(hen)).not.toContain("tenderising");
});

test("what an answer does is said before it is taken: minutes, and steps that come and go", () => {
  const offers = offersOf(made(BUNS));
  const option = (school: string, id: string) =>
    offers.find((offer) => offer.id === school)!.options.find((one) => one.id === id)!;
  const once = option("rises", "once").effect!;
  expect(once.removed.map(({ id }) => id)).toEqual(["rest-dough"]);
  expect(once.leadMin).toBeLessThan(-30);
  const hand = option("kneading", "hand").effect!;
  expect(hand.handsMin).toBeGreaterThan(5);
  expect(option("coats", "two").effect!.added.map(({ id }) => id)).toEqual(["wash-dries", "wash-again"]);
  expect(option("tenderising", "alkali").effect!.added.map(({ id, rest }) => [id, rest?.max])).toEqual([
    ["tenderise-meat", 24],
    ["rinse-meat", undefined],
  ]);
  expect(option("rises", "twice").effect).toBeUndefined();
});

test("taken on the desk, it is on the item, stays when the shape changes, and going back undoes it", () => {
  const item = made(BUNS).item;
  const two = remake(item, { choices: { coats: "two", rises: "night" } })!;
  expect(two.unused).toEqual([]);
  expect(two.item.finish.map(({ step, components }) => [step, components.map(({ grams }) => grams)])).toEqual([
    ["wash", item.finish[0].components.map(({ grams }) => grams)],
    ["wash-again", item.finish[0].components.map(({ grams }) => grams)],
  ]);
  expect(two.item.steps.find(({ id }) => id === "rest-dough")!.rest!.where).toBe("fridge");
  expect(itemIssues({ items: [two.item] })).toEqual([]);
  const otherShape = remake(two.item, { shape: "roll-up" })!.item;
  expect(otherShape.steps.map(({ id }) => id)).toEqual(expect.arrayContaining(["wash-again"]));
  const back = remake(two.item, { choices: {} })!.item;
  expect(back.steps).toEqual(item.steps);
  expect(claimsOf(resolveItem(back, {}, "base")).contains).toEqual(claimsOf(resolveItem(item, {}, "base")).contains);
});

test("every answer to every question, for every dough and way of finishing, leaves an item without a fault", () => {
  const seen = new Set<string>();
  FAMILY_IDS.forEach((family, f) =>
    METHOD_IDS.forEach((method, m) => {
      const others = FILLING_IDS[(f * METHOD_IDS.length + m) % FILLING_IDS.length];
      const filling = method === "dish" ? "meat-in-sauce" : (f + m) % 3 === 0 ? "raw-meat" : others;
      // With a wash of its own and without.
      const recipe = { ...BUNS, family, ...((f + m) % 2 === 0 && { finish: [] }) };
      const one = made(recipe, { method, filling });
      for (const offer of offersOf(one))
        for (const option of offer.options) {
          seen.add(`${offer.id} ${option.id}`);
          const { item } = made(recipe, { method, filling, choices: { [offer.id]: option.id } });
          expect(itemIssues({ items: [item] })).toEqual([]);
        }
    }),
  );
  // Every answer is somebody's.
  expect(
    SCHOOLS.flatMap(({ id, options }) => options.map((option) => `${id} ${option.id}`)).filter((one) => !seen.has(one)),
  ).toEqual([]);
});

test("an item that was made so says its answers again when it is opened", () => {
  const { item } = remake(made(BUNS).item, { choices: { kneading: "hand" } })!;
  const again = asMade(item)!;
  expect(offersOf(again, item.making!.choices).find(({ id }) => id === "kneading")!.chosen).toBe("hand");
  expect(again.item.steps).toEqual(item.steps);
});

test("salt on raw cabbage is asked about, and no more once it is squeezed", () => {
  const salty = { ...BUNS, fillings: ["300 g minced pork", "200 g cabbage", "6 g salt"] };
  const codes = (item: Made["item"]) => itemChecks(item).map(({ code }) => code);
  const item = made(salty).item;
  expect(codes(item)).toContain("salt-on-watery");
  const check = itemChecks(item).find(({ code }) => code === "salt-on-watery")!;
  expect(checkText(check, { weight: String, degrees: String })).toMatch(/^Salt draws water out of cabbage: salted by itself/);
  expect(codes(remake(item, { choices: { salting: "apart" } })!.item)).not.toContain("salt-on-watery");
});

test("what a choice puts in the place of the recipe's own is on the label, and the recipe's own comes back", () => {
  const pies = made({
    name: "Pies",
    makes: 10,
    dough: ["300 g flour", "160 g butter", "90 g water"],
    fillings: ["500 g apples"],
    finish: ["2 tbsp milk"],
    method: ["Bake 25 min at 190 C."],
  }).item;
  const contains = (item: Made["item"]) => claimsOf(resolveItem(item, {}, "base")).contains.flatMap(({ tags }) => tags);
  const choose = (item: Made["item"], choices: Record<string, string>) => remake(item, { choices })!.item;
  expect(contains(pies)).not.toContain("egg");
  const washed = choose(pies, { wash: "yolk" });
  expect(washed.finish.map(({ step, components }) => [step, components.map(({ name }) => name)])).toEqual([
    ["wash", ["egg yolk"]],
  ]);
  expect(contains(washed)).toContain("egg");
  // What the cook then weighs of it stays, whatever else changes.
  const own = {
    ...washed,
    finish: washed.finish.map((entry) => ({ ...entry, components: [{ ...entry.components[0], grams: 99 }] })),
  };
  expect(choose(own, { wash: "yolk", vents: "slit" }).finish[0].components[0].grams).toBe(99);
  expect(choose(own, {}).finish).toEqual(pies.finish);
  const none = choose(pies, { wash: "none" });
  expect([none.finish, none.steps.some(({ id }) => id === "wash")]).toEqual([[], false]);
  expect(choose(none, {})).toEqual(pies);
  const rim = choose(pies, { rim: "egg" });
  expect(contains(rim)).toContain("egg");
  expect(rim.steps.find(({ id }) => id === "seal")!.do).toMatch("A thin film of egg on the rim");
  expect(choose(rim, {})).toEqual(pies);
});

test("a bought dough needs no mixing and no rest, is on the shopping list, and is made again when it is taken back", () => {
  const pies = made({
    name: "Pies",
    makes: 10,
    dough: ["300 g flour", "160 g butter", "90 g water", "5 g salt"],
    fillings: ["500 g apples"],
    method: ["Bake 25 min at 190 C."],
  }).item;
  const bought = remake(pies, { choices: { bought: "bought" } })!.item;
  expect(bought.dough.parts.flatMap(({ components }) => components.map(({ name, grams }) => [name, grams]))).toEqual([
    ["shortcrust pastry, bought", 555],
  ]);
  expect(bought.steps.filter(({ part }) => part === "dough").map(({ id }) => id)).toEqual(["rest-dough"]);
  expect(itemIssues({ items: [bought] })).toEqual([]);
  const cross = remake(bought, { choices: { bought: "bought", vents: "cross" } })!.item;
  expect(cross.dough).toEqual(bought.dough);
  expect(remake(cross, { choices: {} })!.item).toEqual(pies);
});

test("a hot start takes the same time in all, and another setting its own", () => {
  const heats = (choices: Record<string, string>) =>
    made(BUNS, { choices }).item.steps.flatMap(({ kind, time, equipment }) =>
      kind === "bake" ? [[time.fixedMin, equipment[0].settingC]] : [],
    );
  expect(heats({})).toEqual([[20, 170]]);
  expect(heats({ stages: "hot-start" })).toEqual([
    [7, 190],
    [13, 160],
  ]);
  expect(heats({ setting: "gentler" })).toEqual([[24, 155]]);
  expect(heats({ setting: "gentler", stages: "hot-start" })).toEqual([
    [8, 175],
    [16, 145],
  ]);
});

test("what an answer puts in and leaves out is said in grams", () => {
  const wash = offersOf(made(BUNS)).find(({ id }) => id === "wash")!;
  const milk = wash.options.find(({ effect }) => effect?.grams.some(({ name, grams }) => /milk/.test(name) && grams > 0))!;
  expect(milk.effect!.grams.some(({ name, grams }) => /egg/.test(name) && grams < 0)).toBe(true);
  const rises = offersOf(made(BUNS)).find(({ id }) => id === "rises")!;
  expect(rises.options.flatMap(({ effect }) => effect?.grams ?? [])).toEqual([]);
});
