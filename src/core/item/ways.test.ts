import fc from "fast-check";
import { demoItem } from "@tests/demo";
import { ItemSchema, type Component, type Item } from "./schema";
import { asItTook, resolveItem } from "./resolve";
import { heldBack } from "./formula";
import { noteUsed, settleUsed, stickyCorrection } from "./by-feel";
import { componentsAt, deskTotals, withComponents, type Place } from "./desk";
import { crustShares, dishScale, latticeReserve, milderPart } from "./dish";
import items from "@/db/demo/items.json";
import { weightText } from "../quantities/display";
import { applySwap, swapsFor } from "./swaps";
import { swapText } from "./swaps-text";
import { answerText, questionText } from "./ways-text";
import { closesIn, richnessOf, RICHNESS, setRichness, waysOf } from "./ways";

const DOUGH: Place = { in: "dough", part: 0 };
const FILLING: Place = { in: "filling" };
const ITEMS = ["slipway-pie", "bow-seat-bun", "mooring-bun", "reed-pocket", "oarlock-turnover", "buoy-round", "hawser-coil"];
const line = (name: string, grams: number, more: Partial<Component> = {}): Component => ({
  id: name.replace(/[^a-z]+/gi, "-"),
  name,
  grams,
  ...more,
});
const withLines = (place: Place, lines: Component[]): Item => withComponents(demoItem("slipway-pie"), place, lines);
const listed = (item: Item, place: Place) => componentsAt(item, place).map((c) => [c.name, c.grams]);
const swapped = (item: Item, place: Place, index: number, id: string): Item => {
  const chosen = swapsFor(item, place, index).find((s) => s.id === id);
  if (!chosen) throw new Error(`no swap ${id}`);
  return applySwap(item, place, index, chosen);
};

describe("exchanges in a formula", () => {
  test("N28: self-raising for 300 g of plain flour takes out the 6 g of baking powder", () => {
    const item = withLines(DOUGH, [line("plain flour", 300, { flour: true }), line("baking powder", 6), line("butter", 150)]);
    expect(listed(swapped(item, DOUGH, 0, "self-raising"), DOUGH)).toEqual([
      ["self-raising flour", 300],
      ["butter", 150],
    ]);
    expect(swapText(swapsFor(item, DOUGH, 0)[0], weightText)).toContain("15 g of leavener is in it already");
  });
  test("N30: 200 g of butter become 164 g of shortening and 32 g of water", () => {
    const item = withLines(DOUGH, [line("plain flour", 400, { flour: true }), line("unsalted butter", 200), line("water", 60)]);
    expect(listed(swapped(item, DOUGH, 1, "shortening"), DOUGH)).toEqual([
      ["plain flour", 400],
      ["shortening", 164],
      ["water", 92],
    ]);
  });
  test("N30: 200 g of salted margarine bring 3 g of salt, which the recipe's own salt loses", () => {
    const item = withLines(DOUGH, [line("plain flour", 400, { flour: true }), line("butter", 200), line("salt", 8)]);
    const salt = listed(swapped(item, DOUGH, 1, "salted-margarine"), DOUGH).find(([name]) => name === "salt")!;
    expect(salt[1]).toBeCloseTo(5, 0);
  });
  test("N109: 30 ml of rice wine become 10 g of soy and 20 g of water; unsalted fat for 160 g of salted margarine adds 2.4 g of salt", () => {
    const filling = withLines(FILLING, [line("minced pork", 400), line("rice wine", 30)]);
    expect(listed(swapped(filling, FILLING, 1, "soy-and-water"), FILLING).slice(1)).toEqual([
      ["soy sauce", 10],
      ["water", 20],
    ]);
    const dough = withLines(DOUGH, [line("plain flour", 400, { flour: true }), line("salted margarine", 160)]);
    expect(listed(swapped(dough, DOUGH, 1, "unsalted"), DOUGH)).toContainEqual(["salt", 2.4]);
  });
  test("meat stock gives way to vegetable stock, and a line without a rule has none", () => {
    const item = withLines(FILLING, [line("chicken stock", 200), line("unobtainium", 10)]);
    expect(swapsFor(item, FILLING, 0).map((s) => s.name)).toEqual(["vegetable stock"]);
    expect(swapsFor(item, FILLING, 1)).toEqual([]);
  });
  test("every exchange of every demo line leaves a right item without a negative weight, and fat stays", () => {
    for (const id of ITEMS) {
      const item = demoItem(id);
      const places: Place[] = [...item.dough.parts.map((_, part): Place => ({ in: "dough", part })), FILLING];
      for (const place of places)
        componentsAt(item, place).forEach((_, i) => {
          for (const chosen of swapsFor(item, place, i)) {
            const next = applySwap(item, place, i, chosen);
            expect(ItemSchema.safeParse(next).success).toBe(true);
            expect(componentsAt(next, place).every((c) => c.grams > 0)).toBe(true);
            if (place.in === "dough" && /lard|shortening|oil$|butter$/.test(chosen.id) && !/water/.test(chosen.id))
              expect(deskTotals(next).pureFatPct).toBeCloseTo(deskTotals(item).pureFatPct, 0);
          }
        });
    }
  });
});

describe("questions on which cooks differ", () => {
  const way = (item: Item, id: string) => waysOf(item).find((w) => w.id === id);
  test("C1: richness of a short dough is set by weight", () => {
    const pie = demoItem("slipway-pie");
    fc.assert(
      fc.property(fc.double({ min: RICHNESS.min, max: RICHNESS.max, noNaN: true }), (ratio) => {
        const next = setRichness(pie, ratio);
        expect(richnessOf(next)).toBeCloseTo(ratio, 6);
        expect(deskTotals(next).flourG).toBeCloseTo(deskTotals(pie).flourG, 9);
      }),
    );
    expect(richnessOf(demoItem("bow-seat-bun"))).toBeUndefined();
  });
  test("C6, C7: leavener and sugar go in, change and come out again", () => {
    const pie = demoItem("slipway-pie");
    for (const [id, name] of [
      ["leavener", "baking powder"],
      ["sugar", "sugar"],
    ] as const) {
      const two = way(pie, id)!.options.find((o) => o.id === "2")!.item;
      const grams = componentsAt(two, { in: "dough", part: pie.dough.parts.length - 1 }).find((c) => c.name === name)?.grams;
      expect(grams).toBeCloseTo(deskTotals(pie).flourG * 0.02, 1);
      expect(way(two, id)!.chosen).toBe("2");
      const none = way(two, id)!.options.find((o) => o.id === "0")!.item;
      expect(none.dough.parts.flatMap((p) => p.components).some((c) => c.name === name)).toBe(false);
    }
    expect(way(demoItem("compass-tartlet"), "sugar")).toBeUndefined();
    expect(way(demoItem("bow-seat-bun"), "leavener")).toBeUndefined();
  });
  test("C14: starch weakens the flour, its weight stands", () => {
    const pocket = demoItem("reed-pocket");
    const weak = way(pocket, "flour")!.options.find((o) => o.id === "weakened")!;
    expect(deskTotals(weak.item).flourG).toBeCloseTo(deskTotals(pocket).flourG, 6);
    expect(way(weak.item, "flour")!.chosen).toBe("weakened");
    expect(answerText({ id: "flour" }, weak, weightText).effect).toMatch(/% protein/);
  });
  test("C17, C38: cutting from a sheet brings offcuts, and a question about them", () => {
    const pocket = demoItem("reed-pocket");
    expect(way(pocket, "scraps")).toBeUndefined();
    const cut = way(pocket, "circles")!.options.find((o) => o.id === "cut")!.item;
    expect(cut.piece.cutDiameterMm).toBeGreaterThan(60);
    expect(way(cut, "scraps")!.chosen).toBe("chill");
    expect(way(cut, "circles")!.options.find((o) => o.id === "portioned")!.item.piece.cutDiameterMm).toBeUndefined();
  });
  test("C18, C19, C42: by eye, how full, by feel", () => {
    const bun = demoItem("mooring-bun");
    expect(way(bun, "measuring")!.options.find((o) => o.id === "eye")!.item.piece.portionBy).toBe("eye");
    expect(way(bun, "fullness")!.options.map((o) => o.item.piece.fillingG)).toEqual([19.5, 29.3, 36]);
    // A skin of 30 g whose shape closes over 0.8 of it takes 24 g, a learner's 16 g.
    expect(closesIn("round").map(([, ratio]) => Math.round(30 * ratio))).toEqual([16, 24, 30]);
    const exact = way(bun, "amounts")!.options.find((o) => o.id === "exact")!.item;
    expect(exact.dough.holdBack).toBeUndefined();
    expect(way(exact, "amounts")!.options.find((o) => o.id === "feel")!.item.dough.holdBack).toMatchObject({ pct: 10 });
  });
  test("every question and every answer has its words", () => {
    for (const { id } of items)
      for (const way of waysOf(demoItem(id))) {
        expect(questionText(way)).toMatch(/\?$/);
        for (const option of way.options) {
          const { name, effect } = answerText(way, option, weightText);
          expect(name).not.toBe("");
          expect(effect).not.toMatch(/undefined|NaN/);
        }
      }
  });
  test("every answer of every question is a right item", () => {
    for (const id of ITEMS)
      for (const { options } of waysOf(demoItem(id)))
        for (const option of options) expect(ItemSchema.safeParse(option.item).success).toBe(true);
  });
});

describe("by feel", () => {
  test("N26: of 310 g, 279 first; sticky on 500 g of flour adds 10", () => {
    expect(heldBack(310, 10)).toEqual({ firstG: 279, restG: 31 });
    expect(stickyCorrection(500)).toEqual({ addG: 10, flourG: 510 });
  });
  const bun = (): Item =>
    withComponents(demoItem("mooring-bun"), DOUGH, [line("plain flour", 500, { flour: true }), line("water", 310)]);
  const noted = (used: number, planned: number): Item => {
    const next = noteUsed(bun(), "water", used, planned);
    if (!next.ok) throw new Error("refused");
    return next.value;
  };
  test("N26: 303 of 310 used is planned the next time, for this flour only", () => {
    const after = noted(606, 620);
    const grams = (item: Item) => resolveItem(item, {}, "base").dough.find((c) => c.id === "water")!.grams;
    expect(grams(after)).toBe(303);
    const other = withComponents(after, DOUGH, [
      { ...componentsAt(after, DOUGH)[0], name: "rye flour" },
      componentsAt(after, DOUGH)[1],
    ]);
    expect(grams(other)).toBe(310);
    expect(componentsAt(after, DOUGH)[1].grams).toBe(310);
    expect(componentsAt(settleUsed(after, "water", true), DOUGH)[1]).toMatchObject({ grams: 303 });
    expect(grams(settleUsed(after, "water", false))).toBe(310);
  });
  test("N23: by eye from 520, 35 more: 555 is suggested the next time", () => {
    const start = withComponents(bun(), DOUGH, [line("plain flour", 900, { flour: true }), line("water", 520)]);
    const after = noteUsed(start, "water", 555, 520);
    expect(after.ok && resolveItem(after.value, {}, "base").dough[1].grams).toBe(555);
  });
  test("a slip of the pen is refused", () => expect(noteUsed(bun(), "water", 31, 310).ok).toBe(false));
});

test("N22: stated 40 min, took 75: 75 are kept free, and a shorter observation changes nothing", () => {
  const rest = { min: 30, target: 40, max: 50, atC: 27, where: "room", yeasted: true };
  const step = { ...demoItem("bow-seat-bun").steps.find((s) => s.rest)!, rest };
  expect(asItTook({ ...step, tookMin: 75 }, 16).rest).toMatchObject({ min: 75, target: 75, max: 75, yeasted: false });
  expect(asItTook({ ...step, tookMin: 35 }, 16).rest).toEqual(rest);
  const plain = { ...step, rest: undefined, time: { fixedMin: 5, secPerPiece: 2 } };
  // 5 min and 2 s for each of 30 are 6 min; 8 is all of it, so the seconds do not come on top once more.
  const took = asItTook({ ...plain, tookMin: 8 }, 30).time;
  expect(took.fixedMin + (took.secPerPiece * 30) / 60).toBeCloseTo(8, 9);
  expect(asItTook({ ...plain, tookMin: 5.5 }, 30).time).toEqual(plain.time);
});

describe("dishes, crusts and parts of one dough", () => {
  test("N5: 1.2 to 1.8 l is 1.5 times the filling; a 20 cm lid to 30 × 22 cm is 2.1 times", () => {
    const scale = dishScale(
      { kind: "round", widthMm: 200, depthMm: 40 },
      { kind: "rectangle", widthMm: 300, lengthMm: 220, depthMm: 30 },
      { fromMl: 1200, toMl: 1800 },
    );
    expect(scale.fill).toBe(1.5);
    expect(scale.lid).toBeCloseTo(2.1, 2);
  });
  test("N37: a lid of 300 g, a double crust of 600 g, a lattice that keeps back 160 of 480 g", () => {
    expect(crustShares(300, "lid").totalG).toBe(300);
    expect(crustShares(300, "double").totalG).toBe(600);
    expect(latticeReserve(480)).toBe(160);
    const { topG, totalG } = crustShares(320, "lattice");
    expect([topG, totalG]).toEqual([latticeReserve(totalG), 480]);
  });
  test("N111: 12 of 60 pieces with 0.4 of the chilli", () =>
    expect(milderPart(1500, 10, 12 / 60, 0.4)).toEqual({ asideG: 300, restHeatG: 8, asideHeatG: 0.8 }));
});
