import fc from "fast-check";
import { makeItem } from "../making/make-item";
import { RecipeInputSchema } from "../making/recipe-input";
import { verdictOf } from "./answer";
import { questionOf, verdictText } from "./gate-text";
import { gatesOf, type Gate } from "./gates";

const item = (recipe: object) => {
  const made = makeItem(RecipeInputSchema.parse(recipe), { taken: [] });
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return made.value.item;
};
const gates = (recipe: object): Record<string, Gate[]> => {
  const one = item(recipe);
  return Object.fromEntries(
    one.steps
      .filter(({ path }) => path.includes("fresh"))
      .flatMap((step) => {
        const asked = gatesOf(one, step);
        return asked.length > 0 ? [[step.id, asked]] : [];
      }),
  );
};
const PIES = {
  name: "Pies",
  makes: 12,
  dough: ["300 g flour", "160 g butter", "90 g water"],
  fillings: ["400 g beef shin, diced", "400 ml beef stock", "2 cinnamon sticks", "1 star anise", "1 bay leaf"],
  method: ["Simmer the beef in the stock 2 hours, cool it.", "Fill. Bake 30 min at 190 C."],
};
const SHOWN = { weight: (grams: number) => `${Math.round(grams)} g`, degrees: (celsius: number) => `${celsius} °C` };

test("gates follow from what is in it and what is done with it", () => {
  const asked = gates(PIES);
  expect(Object.keys(asked)).toEqual(["cool-filling", "fill", "heat"]);
  expect(asked["cool-filling"]).toEqual([
    {
      kind: "counted",
      what: [
        { name: "cinnamon sticks", count: 2 },
        { name: "star anise", count: 1 },
        { name: "bay leaf", count: 1 },
      ],
    },
    { kind: "runs", starchG: 4 },
  ]);
  expect(asked.heat).toEqual([{ kind: "core", leastC: 74 }]);
  const buns = gates({
    name: "Buns",
    makes: 12,
    dough: ["400 g flour", "240 g water", "6 g active dry yeast", "40 g sugar"],
    fillings: ["300 g ham"],
    method: ["Let rise 1 hour. Fill. Bake 20 min at 180 C."],
  });
  expect(buns["wake-yeast"]).toEqual([{ kind: "froth", limitMin: 12, powderG: 16 }]);
  // A cold filling that is bought cooked holds no stew: nothing runs out of it.
  expect(buns["cool-filling"]).toBeUndefined();
});

test("liquid that runs is bound by one per cent of starch and looked at again", () => {
  const gate: Gate = { kind: "runs", starchG: 4 };
  const runs = verdictOf(gate, { kind: "yes" }, 21)!;
  expect(verdictText(gate, runs, SHOWN)).toBe(
    "Not yet: 4 g of starch, stirred into cold water, boiled up in it; cold again, look again.",
  );
  expect(verdictOf(gate, { kind: "no" }, 21)).toEqual({ open: true });
});

test("a filling at 46 °C waits about half an hour for a short dough", () => {
  const gate: Gate = { kind: "filling-warm", mostC: 20 };
  const verdict = verdictOf(gate, { kind: "measured", value: 46 }, 21)!;
  expect(verdict).toMatchObject({ open: false, waitMin: 37 });
  expect(verdictText(gate, verdict, SHOWN)).toBe(
    "Too warm: about 30 min on a tray, 10 mm deep, then 7 min in the fridge; measure again.",
  );
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 99, noNaN: true }),
      fc.double({ min: 0, max: 99, noNaN: true }),
      fc.integer({ min: 5, max: 35 }),
      (a, b, roomC) => {
        const wait = (value: number) => {
          const one = verdictOf(gate, { kind: "measured", value }, roomC)!;
          return one.open ? 0 : one.waitMin;
        };
        // What is warmer waits no shorter, whatever the room.
        expect(wait(Math.max(a, b))).toBeGreaterThanOrEqual(wait(Math.min(a, b)));
        expect(Number.isFinite(wait(a))).toBe(true);
      },
    ),
  );
});

test("each thing that was counted in has to come out", () => {
  const gate = gates(PIES)["cool-filling"][0];
  expect(verdictOf(gate, { kind: "ticked", count: 3 }, 21)).toMatchObject({ open: false, missing: 1 });
  expect(verdictOf(gate, { kind: "ticked", count: 4 }, 21)).toEqual({ open: true });
});

test("yeast without froth past its limit is thrown away before flour goes in; before it, it waits", () => {
  const gate: Gate = { kind: "froth", limitMin: 12, powderG: 16 };
  expect(verdictOf(gate, { kind: "measured", value: 8 }, 21)).toMatchObject({ open: false, code: "wait-froth", waitMin: 4 });
  const dead = verdictOf(gate, { kind: "no" }, 21)!;
  expect(dead).toMatchObject({ open: false, code: "no-froth", waitMin: 12 });
  expect(verdictText(gate, dead, SHOWN)).toMatch("throw it away before flour goes in");
});

test("a core that is short is heated on, and no other answer opens it", () => {
  const gate: Gate = { kind: "core", leastC: 74 };
  expect(questionOf(gate, SHOWN)).toMatch("74 °C at the least; local rules come first");
  expect(verdictOf(gate, { kind: "measured", value: 73.9 }, 21)).toMatchObject({ open: false, code: "core-short" });
  expect(verdictOf(gate, { kind: "yes" }, 21)).toBeUndefined();
});

test("of a larger batch more is counted out and more binds it: what is at hand, and not the recipe", () => {
  const pies = item(PIES);
  const cool = pies.steps.find(({ id }) => id === "cool-filling")!;
  const doubled = pies.filling.components.map((line) => ({ ...line, grams: line.grams * 2.5 }));
  expect(gatesOf(pies, cool, doubled)).toEqual([
    {
      kind: "counted",
      what: [
        { name: "cinnamon sticks", count: 5 },
        { name: "star anise", count: 3 },
        { name: "bay leaf", count: 3 },
      ],
    },
    { kind: "runs", starchG: 10 },
  ]);
});

test("dead yeast and no other: baking powder by the flour at hand, with how much of it and what that changes", () => {
  const gate: Gate = { kind: "froth", limitMin: 12, powderG: 16 };
  const text = verdictText(gate, verdictOf(gate, { kind: "no" }, 21)!, SHOWN);
  expect(text).toMatch("16 g of baking powder (1 tbsp + ½ tsp level) into the flour");
  expect(text).toMatch("Read its packet");
  expect(verdictOf(gate, { kind: "instead" }, 21)).toEqual({ open: true });
});
