import { demoItem } from "@tests/demo";
import {
  cutterFor,
  divisionSteps,
  fillForPiece,
  latticeStrips,
  ropeMarks,
  stretchedSheets,
  weighIn,
} from "../quantities/portions";
import { biteOf, doughProtein, itemChecks } from "./checks";
import { checkText } from "./checks-text";
import { effectiveProtein, exchangeFat, exchangeForSelfRaising, fatRatioText, FATS } from "../ingredients/exchange";
import { bindable, fillingLimit, isRaw, saltBudget, saltSources, spoonGrams, thicken } from "./seasoning";

describe("exchanges", () => {
  test("N27: two to one by cups is 0.91 by weight", () =>
    expect(fatRatioText(341, 375)).toBe("0.91 g of fat to 1 g of flour, richer than 1 : 2 by weight"));
  test("N28: 300 g of self-raising flour carry 15 g of leavener, so the recipe's 6 g stay out", () =>
    expect(exchangeForSelfRaising(300, 6)).toMatchObject({ inItG: 15, leaveOutG: 6 }));
  test("N29: starch weakens flour", () =>
    expect(
      effectiveProtein([
        { grams: 320, proteinPct: 11 },
        { grams: 40, proteinPct: 0 },
      ]),
    ).toBeCloseTo(9.8, 1));
  test("N30: 200 g of butter are 164 g of shortening and 32 g of water; salted margarine brings salt", () => {
    expect(exchangeFat(200, FATS.butter, FATS.shortening)).toEqual({ grams: 164, addWaterG: 32, leaveOutSaltG: 0 });
    expect(exchangeFat(200, FATS.margarine, FATS["salted-margarine"]).leaveOutSaltG).toBeCloseTo(3, 9);
  });
});

describe("seasoning and binding", () => {
  test("N48: soy and seasoned meat carry salt already; half of the rest goes in first", () => {
    const { wantedG, carriedG, leftG, firstG } = saltBudget(800, 1.2, [
      { grams: 40, saltPct: 15 },
      { grams: 180, saltPct: 1 },
    ]);
    expect([wantedG, carriedG, leftG, firstG].map((g) => Math.round(g * 10) / 10)).toEqual([9.6, 7.8, 1.8, 0.9]);
  });
  test("N43: 400 ml at 4 %", () => expect(thicken(400, 4)).toMatchObject({ starchG: 16, flourG: 32, slurryWaterG: 32 }));
  test("N40: a skin of 30 g closes over 24 g, a learner's over 16 g", () =>
    expect(fillingLimit(30, 0.8)).toEqual({ mostG: 24, learnerG: 16 }));
  test("N41: a level spoon of 1.05 g/ml is 16 g, a rounded one 24 g", () =>
    expect(Object.values(spoonGrams(1.05)).map(Math.round)).toEqual([16, 24]));
});

describe("dividing", () => {
  test("N69: 1,512 g in 28, and three heavy ones leave less for the rest", () => {
    const { pieceG, leastG, mostG, restG } = weighIn(1512, 28, 5, [57, 57, 57]);
    expect([pieceG, Math.round(leastG), Math.round(mostG), Math.round(restG! * 10) / 10]).toEqual([54, 51, 57, 53.6]);
  });
  test("N70: 24 by eye, and a rope of 72 cm marked every 3 cm", () => {
    expect(divisionSteps(24)).toEqual([2, 2, 2, 3]);
    expect(ropeMarks(720, 24).slice(0, 2)).toEqual([30, 60]);
  });
  test("N71: a light piece takes less filling", () => expect(fillForPiece(51, 0.5)).toBe(25.5));
  test("N74: 14 cm from a dish of 11 cm: a 15 cm bowl", () =>
    expect(cutterFor(110, 15, [120, 150, 180])).toEqual({ cutMm: 140, useMm: 150 }));
  test("N75: half a kilo at half a millimetre is too wide for the table, so two", () => {
    const { sheets, diameterMm } = stretchedSheets(500, 0.5, 900, 1.155);
    expect([sheets, Math.round(diameterMm / 10)]).toEqual([2, 74]);
  });
  test("N76: eight strips each way", () => expect(latticeStrips(240, 15, 15)).toBe(8));
});

describe("what a cook would ask", () => {
  const pie = demoItem("slipway-pie");
  const shown = { weight: (grams: number) => `${grams.toFixed(1)} g`, degrees: (celsius: number) => `${celsius} °C` };
  const said = (item: typeof pie) => checkText(itemChecks(item)[0], shown);
  test("the demo's items raise no doubt", () => expect(itemChecks(pie)).toEqual([]));
  test("N21: a sheet of 40 mm, pieces that cannot be had, a salt that is a slip", () => {
    const salty = {
      ...pie,
      dough: {
        ...pie.dough,
        parts: pie.dough.parts.map((p) => ({
          ...p,
          components: p.components.map((c) => (c.id === "salt" ? { ...c, grams: 100 } : c)),
        })),
      },
    };
    expect(said({ ...pie, piece: { ...pie.piece, thicknessMm: 40 } })).toContain("The sheet is 40 mm thick");
    expect(said({ ...pie, piece: { ...pie.piece, doughG: 70 } })).toContain("51.1 g each is possible");
    expect(said(salty)).toBe("Salt is 20 % of the flour; 0.6 to 2 % is usual for a shortcrust.");
  });
  test("N20: what is not said is a gap", () => {
    expect(itemChecks({ ...pie, filling: { ...pie.filling, components: [] } })).toContainEqual({
      kind: "gap",
      code: "no-filling",
    });
  });
  test("strong flour springs back", () => expect(biteOf(doughProtein(demoItem("bow-seat-bun"))!)).toBe("strong"));
});

test("what of a filling is salty, runs, or is raw", () => {
  const filling = [
    { name: "minced pork", grams: 400 },
    { name: "soy sauce", grams: 40 },
    { name: "chicken stock", grams: 100 },
    { name: "unsalted butter", grams: 20 },
    { name: "fine salt", grams: 3 },
  ];
  const { carried, addedG } = saltSources(filling);
  expect(carried.map((c) => [c.name, c.saltPct])).toEqual([
    ["soy sauce", 15],
    ["chicken stock", 0.8],
  ]);
  expect([addedG, bindable(filling), isRaw(filling)]).toEqual([3, 100, true]);
  expect(isRaw(filling.map((c) => ({ ...c, cook: true })))).toBe(false);
});
