import fc from "fast-check";
import { householdText } from "../ingredients/household";
import { idOf } from "../ingredients/lookup";
import { dialOf } from "./heat-words";
import { doughPortions } from "./portion-text";
import { wholeUnits } from "../ingredients/whole-units";
import { readOvenTemperature } from "./oven-text";
import { parseLine, type ParsedLine } from "../ingredients/parse-line";
import { piecesForGuests, piecesFromStock } from "./count";
import { piecesByDiet } from "./count-by-diet";
import { apportion } from "./apportion";
import { displayMass, displayOunces, displayVolume } from "./display";
import { cutLog, disc, liningOf } from "./geometry";
import { piecesOnCarrier, roundsFromSheet } from "./packing";
import { choosePacks, consolidate, costPerPiece } from "../batching/shopping";
import { splitBatches } from "../batching/split";
import { scaleIngredient } from "./scale";
import { convert } from "./units";
import { convertTemperature } from "./temperature";
import { ovenDial } from "./oven-dial";
import { toGrams } from "../ingredients/grams";
import { issueText } from "../shared/issue-text";
import type { Result } from "../shared/issue";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(issueText(result.issues[0]));
  return result.value;
};
const line = (text: string): ParsedLine => value(parseLine(text));

describe("what cooks write", () => {
  test.each<[string, Partial<ParsedLine>]>([
    ["2½ cups flour", { kind: "exact", min: 2.5, max: 2.5, unit: "cup", rest: "flour" }],
    ["1 1/2 tsp salt", { min: 1.5, unit: "tsp", rest: "salt" }],
    ["6-8 tbsp ice water", { kind: "range", min: 6, max: 8, unit: "tbsp", rest: "ice water" }],
    ["2 eggs", { min: 2, unit: "each", rest: "eggs" }],
    ["1 sachet yeast", { min: 1, unit: "sachet", rest: "yeast" }],
    ["pinch of nutmeg", { min: 1, unit: "pinch", rest: "nutmeg" }],
    ["3 T butter", { min: 3, unit: "tbsp" }],
    ["3 t butter", { min: 3, unit: "tsp" }],
    ["about 1,200 g flour", { min: 1200, unit: "g", approx: true }],
    ["2 x 400 g tins tomatoes", { min: 800, unit: "g" }],
    ["salt to taste", { kind: "toTaste", min: null, unit: null, rest: "salt" }],
    ["half a lemon", { min: 0.5, unit: "each", rest: "lemon" }],
    ["flour for dusting", { kind: "toTaste", rest: "flour" }],
    ["a leftover", { kind: "exact", min: 1, unit: "each", rest: "leftover" }],
  ])("%s", (text, wanted) => expect(line(text)).toMatchObject(wanted));

  test.each([
    ["3-2 eggs", "a range that goes up"],
    ["1/0 cup oil", "a fraction whose lower number is not 0"],
    ["-2 cups flour", "an amount of 0 or more"],
  ])("%s is refused", (text, wanted) => {
    const parsed = parseLine(text);
    expect(!parsed.ok && issueText(parsed.issues[0])).toContain(wanted);
  });

  test("whatever is typed, it answers and never with a negative or crossed amount", () => {
    const piece = fc.constantFrom(
      "1",
      "½",
      "2-3",
      " cups ",
      "tbsp",
      "/",
      "-",
      ".",
      ",",
      "to",
      " a ",
      "egg",
      "about ",
      "×",
      "0",
      "pinch",
      "¼",
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), (parts) => {
        const parsed = parseLine(parts.join(""));
        if (!parsed.ok || parsed.value.min === null) return;
        expect(parsed.value.min).toBeGreaterThanOrEqual(0);
        expect(parsed.value.max!).toBeGreaterThanOrEqual(parsed.value.min);
      }),
      { numRuns: 400 },
    );
  });
});

describe("names of ingredients", () => {
  test.each([
    ["plain wheat flour, low protein", "flour-plain"],
    ["strong wheat flour", "flour-bread"],
    ["all-purpose flour", "flour-plain"],
    ["butter, unsalted, cold", "butter"],
    ["buttermilk", "buttermilk"],
    ["cream cheese", "cream-cheese"],
    ["3 medium onions", "onion"],
    ["cornstarch", "starch-corn"],
    ["sugar", "sugar-granulated"],
    ["extra virgin olive oil", "oil-olive"],
    ["strong coffee, cold", "coffee"],
    ["moon dust", undefined],
  ])("%s is %s", (name, id) => expect(idOf({ name })).toBe(id));
});

describe("weights and measures", () => {
  test("N12: three tablespoons are 45 ml, in Australia 60", () => {
    expect(value(convert({ value: 3, from: "tbsp", to: "ml", system: "us" })).value).toBe(45);
    expect(value(convert({ value: 3, from: "tbsp", to: "ml", system: "au" })).value).toBe(60);
  });
  test("N13: 2.5 cups of plain flour weigh more with a 250 ml cup", () => {
    const cups = (system: "us" | "metric") =>
      value(toGrams({ amount: 2.5, unit: "cup", ingredient: "flour-plain", size: "medium", system })).grams;
    expect([Math.round(cups("us")), Math.round(cups("metric"))]).toEqual([313, 326]);
  });
  test("N15, N16: sticks, and 430 °F in a fan oven", () => {
    expect(
      Math.round(value(toGrams({ amount: 3, unit: "stick", ingredient: "butter", size: "medium", system: "us" })).grams),
    ).toBe(340);
    const c = value(convertTemperature({ value: 430, from: "F", to: "C" })).value;
    expect(Math.round(c)).toBe(221);
    expect(ovenDial({ celsius: c, from: "conventional", to: "fan" }).dialC).toBe(200);
    expect(value(convertTemperature({ value: 430, from: "F", to: "gas" })).value).toBe(7);
  });
  test("N17: without a unit 340 is °F, 180 is °C, and 240 is asked about", () => {
    expect(value(readOvenTemperature("340")).read).toBe("340 °F");
    expect(value(readOvenTemperature("180")).read).toBe("180 °C");
    expect(readOvenTemperature("240").ok).toBe(false);
    expect(value(readOvenTemperature("gas mark 5")).fanC).toBe(170);
    expect(value(readOvenTemperature("190 °C fan")).fanC).toBe(190);
    expect(readOvenTemperature("4000 F").ok).toBe(false);
  });
  test("grams go back to cups and eggs", () => {
    expect(householdText({ name: "plain wheat flour" }, 250, "us")).toBe("2 cup");
    expect(householdText({ name: "whole egg" }, 102, "us")).toBe("2 eggs");
    expect(householdText({ name: "moon dust" }, 100, "us")).toBeUndefined();
  });

  const units = fc.constantFrom("g", "kg", "oz", "lb", "mg");
  test("there and back is where it was", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1e5, noNaN: true }), units, units, (amount, from, to) => {
        const there = value(convert({ value: amount, from, to, system: "us" })).value;
        expect(value(convert({ value: there, from: to, to: from, system: "us" })).value / amount).toBeCloseTo(1, 9);
      }),
    );
  });
  test("rounding never loses more than half the step that is shown", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 9000, noNaN: true }), (grams) => {
        const shown = displayMass({ grams, resolutionG: 0.1 });
        expect(Math.abs(shown.value - grams)).toBeLessThanOrEqual(shown.stepG * (grams < shown.stepG ? 1 : 0.5) + 1e-6);
        expect(displayOunces({ grams }).shownG).toBeGreaterThan(0);
      }),
    );
  });
  test("cups and spoons are never off by more than an eighth above a spoon", () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 3000, noNaN: true }), (ml) =>
        expect(Math.abs(displayVolume({ ml, system: "metric" }).errorPct)).toBeLessThanOrEqual(13),
      ),
    );
  });
});

describe("how many", () => {
  test("portions by appetite: 14 adults and 6 children are 17", () => {
    const answer = piecesForGuests({
      guests: [
        { appetite: "normal", n: 14 },
        { appetite: "child", n: 6 },
      ],
      role: "main",
      pieceG: 90,
      kinds: 1,
      sparePct: 10,
      freezerPieces: 24,
      fromStock: 9,
    });
    expect(answer).toEqual({ portions: 17, exact: 68, serve: 75, make: 90 });
  });
  test("shares add up to the total and keep their bounds", () => {
    const share = fc.record({
      weight: fc.integer({ min: 0, max: 9 }),
      min: fc.integer({ min: 0, max: 5 }),
      extra: fc.option(fc.integer({ min: 0, max: 20 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.array(share, { minLength: 1, maxLength: 5 }), (total, list) => {
        const shares = list.map(({ weight, min, extra }, i) => ({
          id: `k${i}`,
          weight,
          min,
          ...(extra !== undefined && { max: min + extra }),
        }));
        const answer = apportion({ total, shares });
        if (!answer.ok) return;
        const counts = shares.map((s) => answer.value.counts[s.id]);
        expect(counts.reduce((a, b) => a + b, 0)).toBe(total);
        shares.forEach((s, i) => {
          expect(counts[i]).toBeGreaterThanOrEqual(s.min);
          if (s.max !== undefined) expect(counts[i]).toBeLessThanOrEqual(s.max);
        });
      }),
    );
  });
  test("a vegan group gets vegan pieces, with a guard on top", () => {
    const { byGroup } = value(
      piecesByDiet({
        groups: [{ diet: "vegan", pieces: 10 }],
        kinds: [
          { id: "bean", weight: 1, suits: ["vegan"] },
          { id: "ham", weight: 3, suits: [] },
        ],
        guardPct: 20,
      }),
    );
    expect(byGroup).toEqual({ vegan: { bean: 12 } });
  });
  test("N4: 730 g of mince, where 400 g make 20", () => {
    expect(
      piecesFromStock({
        basePieces: 20,
        lines: [
          { id: "mince", needG: 400, haveG: 730 },
          { id: "onion", needG: 90 },
        ],
      }),
    ).toMatchObject({ limiting: "mince", pieces: 36 });
  });
  test("N8: 2,400 g under a limit of 1,000 g are three equal mixes", () => {
    expect(
      value(splitBatches({ pieces: 48, doughPerPieceG: 50, capacityG: 1000, bowlLossG: 0, handlingLossPct: 0, minG: 0 }))
        .doughPerBatchG,
    ).toEqual([800, 800, 800]);
  });
  test("upwards strong spice grows more slowly, downwards straight", () => {
    expect(scaleIngredient({ amount: 10, kind: "spiceStrong", factor: 2 }).amount).toBeCloseTo(18.66, 2);
    expect(scaleIngredient({ amount: 10, kind: "spiceStrong", factor: 0.5 }).amount).toBe(5);
  });
});

describe("portions", () => {
  test("two of mass, thickness and diameter give the third, and back", () => {
    const { diameterMm } = value(disc({ massG: 50, thicknessMm: 3, density: 1.1 }));
    expect(value(disc({ diameterMm, thicknessMm: 3, density: 1.1 })).massG).toBeCloseTo(50, 9);
    expect(disc({ massG: 50, density: 1.1 }).ok).toBe(false);
  });
  test("N36: 9 cm rounds from 40 × 30 cm without gaps: twelve, 64 %", () => {
    expect(roundsFromSheet({ widthMm: 400, lengthMm: 300, cutMm: 90, gapMm: 0, layout: "square" })).toMatchObject({ pieces: 12 });
    expect(roundsFromSheet({ widthMm: 400, lengthMm: 300, cutMm: 90, gapMm: 0, layout: "square" }).cutFrac).toBeCloseTo(0.636, 3);
  });
  test("more room never holds fewer pieces", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 600 }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 20, max: 90 }),
        (width, more, piece) => {
          const on = (w: number) =>
            value(
              piecesOnCarrier({
                carrier: "rect",
                widthMm: w,
                lengthMm: 400,
                marginMm: 5,
                piece: "round",
                pieceMm: piece,
                growth: 1.1,
                gapMm: 10,
                stagger: true,
              }),
            ).pieces;
          expect(on(width + more)).toBeGreaterThanOrEqual(on(width));
        },
      ),
    );
  });
  test("a log is as long as all its cuts and its end", () => {
    const log = cutLog({ doughG: 950, logDiameterMm: 40, pieceG: 45, density: 1.1 });
    expect(log.pieces * 45 + log.endG).toBeCloseTo(950, 9);
    expect(log.lengthMm / log.cutMm).toBeCloseTo(950 / 45, 9);
  });
  test("a case wider at its base than at its top is no tapered tin", () => {
    expect(
      liningOf({
        baseMm: 90,
        topMm: 80,
        heightMm: 20,
        overhangMm: 5,
        thicknessMm: 3,
        density: 1.2,
        lidded: false,
        fillFrac: 0.85,
      }).ok,
    ).toBe(false);
  });
});

describe("said as a cook does", () => {
  test("N19: on a dial of 9 whose medium is 5, medium-high is 6 to 7", () => {
    expect(dialOf("medium-high", 9, 5)).toEqual({ from: 6, to: 7 });
    expect(dialOf("medium", 9, 5)).toEqual({ from: 5, to: 5 });
    expect(dialOf("gently", 9, 5)).toBeUndefined();
    expect(dialOf("Cook slowly over medium-high heat", 9, 5)).toEqual({ from: 6, to: 7 });
    // Not inside other words, not the speed of a mixer, and not where one heat follows another.
    for (const text of ["cool to below 30 °C", "shallow fry", "slowly", "Knead on low until smooth", "high, then low"])
      expect([text, dialOf(text, 9, 5)]).toEqual([text, undefined]);
  });
  test("N7: 75 g of egg are two, with a use for the rest; yeast by the sachet or fresh", () => {
    expect(wholeUnits({ name: "whole egg" }, 75)).toBe("2 eggs (M), beaten, 27 g over: keep it for a wash");
    expect(wholeUnits({ name: "instant dry yeast" }, 7)).toBe("1 sachet of 7 g, or 8.5 g active dry, or 21 g fresh");
    expect(wholeUnits({ name: "butter" }, 75)).toBeUndefined();
  });
  test("24 pieces are a log and its cuts, or halves, halves, halves and thirds", () => {
    const lines = doughPortions(24, 58, { divided: true });
    expect(lines[0]).toBe("24 pieces of 58 g");
    expect(lines[2]).toBe("without a scale: halves, then halves, then halves, then thirds");
    expect(doughPortions(10, 24, { divided: false, sheetMm: 2.5 })[1]).toBe("a disc 2.5 mm thick is 105 mm across");
  });
});

describe("shopping", () => {
  test("N9, N10: one sum of three uses, the pantry off, two packs of 400", () => {
    const needs = [40, 35, 180].map((grams, i) => ({ ingredient: "butter", grams, item: `i${i}` }));
    expect(consolidate({ needs, pantry: [{ ingredient: "butter", grams: 55 }], tolerancePct: 0 }).lines).toEqual([
      { ingredient: "butter", needG: 255, haveG: 55, buyG: 200, items: ["i0", "i1", "i2"] },
    ]);
    expect(choosePacks({ needG: 650, packs: [{ sizeG: 400, price: 300 }] })).toMatchObject({ counts: [2], leftG: 150 });
  });
  test("no other choice of packs is cheaper", () => {
    const pack = fc.record({ sizeG: fc.integer({ min: 50, max: 600 }), price: fc.integer({ min: 10, max: 900 }) });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1500 }), fc.array(pack, { minLength: 2, maxLength: 2 }), (needG, packs) => {
        const best = choosePacks({ needG, packs });
        let least = Infinity;
        for (let a = 0; a <= Math.ceil(needG / packs[0].sizeG); a++)
          for (let b = 0; b <= Math.ceil(needG / packs[1].sizeG); b++)
            if (a * packs[0].sizeG + b * packs[1].sizeG >= needG)
              least = Math.min(least, a * packs[0].price + b * packs[1].price);
        expect(best.cost).toBe(least);
        expect(best.boughtG).toBeGreaterThanOrEqual(needG);
      }),
    );
  });
  test("a piece costs what goes in, not what the shop takes", () => {
    expect(
      costPerPiece({ pieces: 20, lines: [{ usedG: 300, boughtG: 500, cost: 250, packG: 500 }], energyKWh: 1.5, energyPrice: 30 }),
    ).toEqual({ used: 150, bought: 250, energy: 45, perPiece: 9.75 });
  });
});
