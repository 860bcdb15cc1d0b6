import { readOne } from "../item/recipe";
import { dietsOf, tagsOf } from "./tags";
import { matchIngredient } from "./names";
import { otherUnitAt } from "../quantities/unit-table";

const grams = (text: string): number | undefined => {
  const { weighed } = readOne(text, "metric");
  return weighed?.kind === "weighed" ? Math.round(weighed.grams) : undefined;
};

describe("N120: lines in other words, spoons and languages", () => {
  test.each([
    ["2 dessert spoons sugar", 17],
    ["1 water glass of milk", 206],
    ["2 EL Zucker", 25],
    ["3 TL Salz", 18],
    ["1 tasse de farine", 130],
    ["2 cuillères à soupe d'huile", 27],
    ["1 cucharada de azúcar", 13],
    ["1 bicchiere di latte", 206],
    ["2 su bardağı süt", 412],
    ["1 szklanka wody", 200],
    ["250 g Mehl", 250],
    ["2 Zwiebeln", 300],
  ])("%s weighs %i g", (text, expected) => expect(grams(text)).toBe(expected));

  test("English lines are read as before", () => {
    expect(otherUnitAt("cups flour")).toBeUndefined();
    expect(readOne("2 tasty onions", "us").name).toBe("tasty onions");
    expect(grams("1 cup flour")).toBe(130);
  });
  test("allergens and diets are found in other languages too", () => {
    expect(tagsOf(["Weizenmehl", "lait entier", "huevos", "amandes"])).toEqual(["gluten", "milk", "egg", "tree nuts"]);
    expect(dietsOf(["Hackfleisch"])).toEqual([]);
    expect(dietsOf(["farine", "eau", "sel"])).toEqual(["vegetarian", "vegan"]);
  });
  test("words that mean something in English are left alone", () => {
    expect(matchIngredient("sugar")).toBe("sugar-granulated");
    expect(tagsOf(["sole of a pan", "room-warm water"])).toEqual([]);
  });
});
