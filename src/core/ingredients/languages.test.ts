import { allergensOf } from "./allergen";
import { lineClaims } from "./claims";
import { findIngredient } from "./find";
import { idOf } from "./lookup";
import { OURS } from "./own";
import { readLine } from "./read-line";
import { otherUnitAt } from "../quantities/unit-table";

const read = (text: string) => readLine(text, "metric", OURS.index);
const grams = (text: string): number => Math.round(read(text).grams!);
const allergens = (name: string) => allergensOf(lineClaims(findIngredient(name), name).contains);

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
    ["2 sdm minyak goreng", 27],
    ["3 siung bawang putih", 12],
    ["強力粉 200g", 200],
    ["大さじ1 醤油", 16],
    ["面粉500克", 500],
    ["मैदा 2 कप", 260],
  ])("%s weighs %i g", (text, expected) => expect(grams(text)).toBe(expected));

  test("English lines are read as before", () => {
    expect(otherUnitAt("cups flour")).toBeUndefined();
    expect(read("2 tasty onions").name).toBe("tasty onions");
    expect(grams("1 cup flour")).toBe(130);
  });
  test.each([
    ["Weizenmehl", ["gluten"]],
    ["lait entier", ["milk"]],
    ["huevos", ["egg"]],
    ["amandes effilées", ["tree nuts"]],
    ["醤油", ["gluten", "soy"]],
    ["udang", ["crustaceans"]],
    ["tereyağı", ["milk"]],
    ["małże", ["molluscs"]],
    ["豆腐", ["soy"]],
    ["तिल", ["sesame"]],
  ])("what is in %s is found", (name, expected) => expect(allergens(name)).toEqual(expected));
  test("words that mean something in English are left alone", () => {
    expect(idOf({ name: "sugar" })).toBe("sugar-granulated");
    expect(allergens("sole of a pan")).toEqual([]);
    expect(allergens("sel et poivre")).toEqual([]);
  });
});
