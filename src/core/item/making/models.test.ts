import fc from "fast-check";
import { doughShares, type DoughShares } from "../families";
import type { Component } from "../schema";
import { DOUGHS } from "./doughs";
import { makeItem } from "./make-item";
import { measuredDough } from "./measured-dough";
import { RecipeInputSchema } from "./recipe-input";
import { restInRoom } from "../rest-in-room";

const SHARES: DoughShares = { water: 58, fat: 10, sugar: 8, salt: 1.8, yeast: 1.4, semolina: 0 };
const stepsOf = (recipe: object, choices = {}) => {
  const made = makeItem(RecipeInputSchema.parse({ name: "It", makes: 16, ...recipe }), { taken: [], choices });
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return (id: string) => made.value.item.steps.find((step) => step.id === id)!;
};
const PIES = {
  dough: ["500 g flour", "280 g butter", "150 g water"],
  fillings: ["700 g minced beef", "200 g onions"],
  method: ["Cook the filling 25 min.", "Fold over.", "Bake at 190 C."],
};

test("the usual formulas rise as is usual for them", () => {
  const window = ({ min, target, max }: { min: number; target: number; max: number }) => [min, target, max];
  expect(window(measuredDough(DOUGHS.EY, SHARES).first!)).toEqual([54, 77, 116]);
  expect(window(measuredDough(DOUGHS.EY, SHARES).final!)).toEqual([34, 48, 72]);
  const lean = { ...SHARES, fat: 2, sugar: 1, salt: 2, yeast: 1 };
  expect(window(measuredDough(DOUGHS.LY, lean).first!)).toEqual([64, 92, 138]);
});

test("more yeast is never slower; sugar beyond a little never makes it quicker", () => {
  const minutes = (shares: DoughShares) => measuredDough(DOUGHS.EY, shares).first!.target;
  fc.assert(
    fc.property(fc.double({ min: 0.2, max: 4, noNaN: true }), fc.double({ min: 0, max: 3, noNaN: true }), (yeast, more) => {
      expect(minutes({ ...SHARES, yeast: yeast + more })).toBeLessThanOrEqual(minutes({ ...SHARES, yeast }));
    }),
  );
  expect(minutes({ ...SHARES, sugar: 25 })).toBeGreaterThan(minutes(SHARES));
});

test("what cannot be worked out stays as is usual for the dough", () => {
  expect(measuredDough(DOUGHS.EY, undefined)).toBe(DOUGHS.EY);
  expect(measuredDough(DOUGHS.EY, { ...SHARES, yeast: 0 }).first).toBe(DOUGHS.EY.first);
  expect(measuredDough(DOUGHS.EY, { ...SHARES, yeast: 30 }).first).toBe(DOUGHS.EY.first);
});

test("a stiffer dough without yeast rests longer, and its rest follows the room", () => {
  const soft = measuredDough(DOUGHS.CW, { ...SHARES, water: 50 }).first!;
  const stiff = measuredDough(DOUGHS.CW, { ...SHARES, water: 40 }).first!;
  expect(stiff.min).toBeGreaterThan(soft.min);
  expect(soft.follows).toEqual({ by: "relaxation" });
  expect([soft.min, soft.target, soft.max]).toEqual([34, 51, 240]);
});

test("a bake that is only said to be hotter is shorter, and a heavier piece longer", () => {
  const minutes = (dough: readonly string[], at: string) =>
    stepsOf({ ...PIES, dough, method: ["Cook the filling 25 min.", "Fold over.", `Bake at ${at} C.`] })("heat").time.fixedMin;
  expect(minutes(PIES.dough, "205")).toBeLessThan(minutes(PIES.dough, "190"));
  expect(minutes(["900 g flour", "500 g butter", "270 g water"], "190")).toBeGreaterThan(minutes(PIES.dough, "190"));
});

test("flat bags in ice water cool a filling in minutes, in any room and without a place in the fridge", () => {
  const [flat, ice] = ["flat", "ice"].map((cooling) => stepsOf(PIES, { cooling }));
  const rest = ice("cool-filling").rest!;
  expect(rest.min).toBeLessThan(0.5 * flat("cool-filling").rest!.min);
  expect(rest.follows).toBeUndefined();
  expect(ice("cool-filling").equipment.map(({ id }) => id)).toEqual(["bowl"]);
  expect(ice("cool-filling").caution).toMatch(/closed tightly/);
});

test("a filling that lies deeper cools later, and where that is too slow the usual guidance is named", () => {
  const [flat, dish, deep] = ["flat", "dish", "deep"].map((cooling) => stepsOf(PIES, { cooling }));
  const ready = (step: typeof flat) => step("cool-filling").rest!.target;
  expect(ready(flat)).toBeLessThan(ready(dish));
  expect(ready(dish)).toBeLessThan(ready(deep));
  expect(flat("cool-filling").caution).not.toMatch(/from 57 to 21/);
  expect(deep("cool-filling").caution).toMatch(/about 3 h .* from 57 to 21 °C/);
  expect(deep("set-filling").rest!.min).toBeGreaterThan(flat("set-filling").rest!.min);
});

test("a thicker piece is hard in the freezer later", () => {
  const thin = stepsOf({ ...PIES, makes: 40 })("freeze").rest!.min;
  const thick = stepsOf({ ...PIES, makes: 8 })("freeze").rest!.min;
  expect(thick).toBeGreaterThanOrEqual(thin);
});

test("a dough's shares are those that its rises are worked out from", () => {
  const lines: Component[] = [
    { id: "f", name: "strong flour", grams: 500, flour: true },
    { id: "y", name: "instant yeast", grams: 10 },
  ];
  expect(doughShares(lines)!.yeast).toBeCloseTo(2, 6);
});

test("how much water a steamer and a lidded pan take stands at their step, more for longer", () => {
  const water = (method: string) =>
    Number(
      /(\d+) ml of water/.exec(
        stepsOf({
          dough: ["400 g flour", "200 g cold water"],
          fillings: ["400 g minced pork"],
          method: ["Roll discs, fill, pleat.", method],
          makes: 30,
        })("heat").do,
      )![1],
    );
  expect(water("Steam for 30 minutes.")).toBeGreaterThan(water("Steam for 8 minutes."));
  expect(water("Fry in a pan, add water, cover with a lid and steam 15 minutes.")).toBeGreaterThan(
    water("Fry in a pan, add water, cover with a lid and steam 9 minutes."),
  );
});

test("fat-rich dough chills longer where the room is warm, and no shorter where it is a little cooler", () => {
  const rest = stepsOf(PIES)("rest-dough").rest!;
  expect(rest).toMatchObject({ where: "fridge", follows: { by: "chilling" } });
  const at = (roomC: number) => restInRoom(rest, roomC).readyMin;
  expect(at(21)).toBeCloseTo(rest.min);
  expect(at(19)).toBeCloseTo(rest.min);
  expect(at(28)).toBeGreaterThan(1.15 * rest.min);
  expect(at(32)).toBeGreaterThan(at(28));
  expect(restInRoom(rest, 32).tooFarMin).toBe(rest.max);
});
