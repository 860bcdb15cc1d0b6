import { demoItem, demoKitchen } from "@tests/demo";
import { shoppingList } from "../batching/shopping-list";
import { exchangeFat, effectiveProtein, fatRatioText, FATS } from "../ingredients/exchange";
import { catalogueWith, OURS } from "../ingredients/own";
import { readLine } from "../ingredients/read-line";
import { convertYeast } from "../ingredients/yeast";
import { readOvenTemperature } from "../quantities/oven-text";
import { quantitiesOf } from "../plan/quantities";
import { parseRequest } from "../plan/request-check";
import { roundsFromSheet } from "../quantities/packing";
import { wholeUnits } from "../ingredients/whole-units";
import { itemChecks, doughProtein } from "./checks";
import { checkText } from "./checks-text";
import { deskTotals, scaleDough } from "./desk";
import { cutWithRerolls } from "./dough";
import { familyOf } from "./families";
import { fillingFor, mixedDoughG } from "./yields";
import { proposalFor } from "./proposals";
import { fromLines, readLines } from "./recipe";
import { binders, saltBudget, saltSources } from "./seasoning";
import type { Item } from "./schema";
import { swapsFor } from "./swaps";

const pie = demoItem("slipway-pie");
const bun = demoItem("bow-seat-bun");
const none = { components: [], gaps: [] };
const withDough = (item: Item, text: string): Item => ({
  ...item,
  dough: {
    ...item.dough,
    parts: [{ id: "dough", name: "Dough", components: fromLines(readLines(text, "us"), "dough", none).components }],
  },
});
const shown = { weight: (g: number) => `${Math.round(g)} g`, degrees: (c: number) => `${Math.round(c)} °C` };
const said = (item: Item) =>
  itemChecks(item)
    .map((check) => checkText(check, shown))
    .join(" ");

const making = (item: Item, pieces: number) => {
  const request = parseRequest({
    format: "unisynth-request/1",
    today: "2026-11-29",
    items: [item],
    kitchen: demoKitchen("boathouse"),
    gathering: {
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      waves: [{ id: "w", name: "W", time: "18:00", items: [{ recipe: item.id, pieces }] }],
    },
  });
  if (!request.ok) throw new Error(JSON.stringify(request.issues));
  return quantitiesOf(request.value);
};
test("N6: a pan of 12 with 20 g of oil a load takes 60 g for 36; a fryer is filled once, whatever is fried", () => {
  const round = demoItem("reed-pocket");
  const step = round.steps.find((one) => one.lot === "load" && one.path.includes("fresh"))!;
  const perLoad: Item = {
    ...round,
    finish: [{ step: step.id, what: "pan oil", per: "load", components: [{ id: "oil", name: "sunflower oil", grams: 20 }] }],
    capacity: { ...round.capacity, perPanLoad: 12, panDiameterMm: 300 },
  };
  const finish = making(perLoad, 36).batches.filter((batch) => batch.part === "finish");
  expect(finish.flatMap((batch) => batch.ingredients.map((line) => line.grams))).toEqual([60]);
  const fried = demoItem("oarlock-turnover");
  expect(making(fried, 28).vessels).toEqual(making(fried, 56).vessels);
  expect(making(fried, 28).vessels).toMatchObject([{ name: "frying oil", fills: 1, items: ["Oarlock turnovers"] }]);
  expect(making(fried, 28).vessels[0].grams).toBeCloseTo((4000 * 218) / 240, 6);
});
test("N13: 2½ cups by the cook's own flour, 0.53 g in 1 ml", () => {
  const own = catalogueWith([{ id: "flour-plain", names: ["plain wheat flour"], gramsPerCup: 0.53 * 240 }]);
  expect(readLine("2½ cups flour", "us", own.index).grams).toBeCloseTo(318, 0);
  expect(readLine("2½ cups flour", "metric", own.index).grams).toBeCloseTo(331, 0);
});
test("N14: the cook's own onion", () => {
  const own = catalogueWith([{ id: "onion", names: ["onion"], pieces: { each: 120 } }]);
  expect(readLine("4 onions", "us", own.index).grams).toBe(480);
});
test("N16: 430 °F is 200 °C in a fan oven, 221 without, gas 7; the cook's fan may differ", () => {
  const read = readOvenTemperature("430 °F");
  expect(read.ok && read.value).toMatchObject({ fanC: 200, staticC: 221, gas: 7 });
  const mine = readOvenTemperature("200 °C", 15);
  expect(mine.ok && mine.value.fanC).toBe(185);
});
test("N16: two values are both kept", () => {
  const range = readOvenTemperature("375-400 °F");
  expect(range.ok && [range.value.read, range.value.fanC, range.value.toFanC]).toEqual(["375 to 400 °F", 170, 185]);
  const stages = readOvenTemperature("400 F, then 350 F");
  expect(stages.ok && [stages.value.read, stages.value.then.map((heat) => heat.fanC)]).toEqual(["400 °F, then 350 °F", [160]]);
});
test("N17: 45 for the water of a yeast dough is asked about, and hot water harms it", () => {
  expect(said(withDough(bun, "500 g flour\n250 g water, 45\n7 g instant yeast\n9 g salt"))).toContain(
    "“water” is at 45: is that °C or °F? Write it behind the number. In °C it would harm the yeast.",
  );
  expect(said(withDough(bun, "500 g flour\n250 g water, 50 °C\n7 g instant yeast\n9 g salt"))).toContain(
    "above 43 °C yeast is harmed",
  );
  expect(said(withDough(bun, "500 g flour\n250 g water, 110 °F\n7 g instant yeast\n9 g salt"))).not.toContain("harm");
});
test("N18: 6 g of instant yeast as active dry and as fresh, at the scale and in the formula", () => {
  expect(convertYeast({ grams: 6, from: "instant", to: "fresh" }).grams).toBeCloseTo(18, 0);
  expect(wholeUnits({ name: "active dry yeast" }, 7.3)).toContain("18 g fresh");
  const at = bun.dough.parts[1].components.findIndex((c) => c.id === "yeast");
  expect(swapsFor(bun, { in: "dough", part: 1 }, at).map((swap) => swap.lines[0].name)).toEqual([
    "active dry yeast",
    "fresh yeast",
  ]);
});
test("N20: a recipe without an oven's heat cannot claim one; what is usual is proposed and marked as guessed", () => {
  const bare: Item = {
    ...bun,
    steps: bun.steps.map((step) => ({
      ...step,
      equipment: step.equipment.map(({ settingC: _, ...e }) =>
        e.id === "oven" ? e : { ...e, ...(_ !== undefined && { settingC: _ }) },
      ),
    })),
  };
  const gap = itemChecks(bare).find((check) => check.code === "no-oven-setting")!;
  expect(checkText(gap, shown)).toContain("175 °C to 190 °C is usual for an enriched yeast dough");
  const guessed = proposalFor(bare, gap)!;
  expect(guessed.guessed).toEqual(["oven"]);
  expect(guessed.steps.flatMap((s) => s.equipment).find((e) => e.id === "oven")!.settingC).toBe(180);
});
test("N21: a sheet of 40 mm, potatoes for 40 s, 18 pieces of 70 g from 980 g", () => {
  const thick = { ...pie, piece: { ...pie.piece, thicknessMm: 40 } };
  expect(said(thick)).toContain("40 mm thick; 2.5 to 4 mm is usual for a shortcrust. 4 mm is proposed.");
  const check = itemChecks(thick).find((one) => one.code === "thickness")!;
  expect(proposalFor(thick, check)!.piece.thicknessMm).toBe(4);
  const raw: Item = {
    ...pie,
    filling: { ...pie.filling, components: [{ id: "p", name: "potato, 10 mm dice", grams: 400, cook: true }] },
    steps: pie.steps.map((s) => (s.kind === "cook-filling" ? { ...s, time: { fixedMin: 40 / 60, secPerPiece: 0 } } : s)),
  };
  expect(said(raw)).toContain("Potato is cooked for 40 s; raw and diced it takes 8 min at least.");
  const short: Item = {
    ...pie,
    base: { pieces: 18 },
    dough: {
      ...pie.dough,
      netLossPct: 0,
      parts: [{ ...pie.dough.parts[0], components: [{ id: "f", name: "flour", grams: 980, flour: true }] }],
    },
    piece: { ...pie.piece, doughG: 70 },
  };
  expect(said(short)).toContain("54 g each is possible");
});
test("N25: water of milk, egg and butter; of mayonnaise too", () => {
  const totals = deskTotals(withDough(pie, "400 g flour\n180 g milk\n50 g egg\n60 g butter"));
  expect(Math.round((totals.hydrationPct * 400) / 100)).toBe(206);
  const rich = deskTotals(withDough(pie, "400 g flour\n100 g mayonnaise\n50 g onion, grated"));
  expect(rich.hydrationPct).toBeCloseTo((19 + 44.5) / 4, 1);
  expect(rich.pureFatPct).toBeGreaterThan(19);
});
test("N27: 3 cups of flour and 1½ cups of butter are 0.91 by weight", () => {
  const { fatPct, flourG } = deskTotals(withDough(pie, "3 cups flour\n1½ cups butter"));
  expect(fatRatioText((fatPct * flourG) / 100, flourG)).toBe("0.91 g of fat to 1 g of flour, richer than 1 : 2 by weight");
});
test("N29: the protein of the cook's own bag, weakened by starch", () => {
  const own = catalogueWith([{ id: "flour-plain", names: ["plain wheat flour"], proteinPct: 11 }]);
  const item = withDough(pie, "320 g plain flour\n40 g corn starch");
  const starch = effectiveProtein([
    { grams: 320, proteinPct: 11 },
    { grams: 40, proteinPct: 0.3 },
  ]);
  expect(doughProtein(item, own)).toBeCloseTo(starch, 6);
  expect(Math.round(10 * doughProtein(item, own)!)).toBe(98);
});
test("N30: 200 g of butter as shortening, and the salt of margarine", () => {
  expect(exchangeFat(200, FATS.butter, FATS.shortening)).toMatchObject({ grams: 164, addWaterG: 32 });
});
test("N35: 45 pieces of 38 g with 4 % lost", () => {
  const item = { ...pie, piece: { ...pie.piece, doughG: 38 }, dough: { ...pie.dough, netLossPct: 4 } };
  expect(Math.round(mixedDoughG(item, 45))).toBe(1781);
});
test("N36: 9 cm rounds from 40 by 30 cm, and 4 more from the offcuts", () => {
  const { pieces, cutFrac } = roundsFromSheet({ widthMm: 300, lengthMm: 400, cutMm: 90, gapMm: 0, layout: "best" });
  expect([pieces, Math.round(100 * cutFrac)]).toEqual([12, 64]);
  expect(cutWithRerolls({ doughG: pieces / cutFrac + 1e-6, pieceG: 1, cutFrac, rerolls: 1 }).byRoll[1]).toBe(4);
});
test("N39: 760 g of dough for 40, filling for 45: 1.125 times the dough", () => {
  const item: Item = {
    ...pie,
    dough: {
      ...pie.dough,
      netLossPct: 0,
      parts: [{ ...pie.dough.parts[0], components: [{ id: "f", name: "flour", grams: 760, flour: true }] }],
    },
    filling: { components: [{ id: "x", name: "mash", grams: 540 }], cookingLossPct: 0, handlingLossPct: 0 },
    piece: { ...pie.piece, doughG: 19, fillingG: 12 },
  };
  expect(deskTotals(item).balance).toMatchObject({ pieces: 40, limiting: "dough", fillingLeftG: 60 });
  expect(deskTotals(scaleDough(item, 45 / 40)).balance).toMatchObject({ pieces: 45, limiting: "both" });
});
test("N42: 900 g of cooked chicken are 1200 g to buy", () => {
  const { components } = fromLines(readLines("400 g chicken", "us"), "filling", none);
  expect(components[0].lossPct).toBe(25);
  const { factor } = fillingFor({ components, cookingLossPct: 0, handlingLossPct: 0 }, 900);
  expect(400 * factor).toBeCloseTo(1200, 6);
});
test("N43: 400 ml at 4 %: starch, roux, egg, gelatin, as lines of the formula", () =>
  expect(binders(400, 4).map(({ id, lines }) => [id, lines.map((line) => line.grams)])).toEqual([
    ["slurry", [16, 32]],
    ["roux", [32, 32]],
    ["paste", [32, 32]],
    ["egg", [40]],
    ["gelatin", [8]],
  ]));
test("N48: salt of 800 g at 1.2 %, with soy and meat that the cook seasoned", () => {
  const own = catalogueWith([{ id: "own-seasoned-mince", names: ["seasoned mince"], like: "pork-minced", saltPct: 0.9 }]);
  const lines = [
    { name: "soy sauce", grams: 40 },
    { name: "seasoned mince", grams: 200 },
    { name: "champignons", grams: 200 },
    { name: "olive oil", grams: 20 },
    { name: "cabbage", grams: 340 },
  ];
  const { carried, unknown } = saltSources(lines, own);
  expect(carried.map((c) => c.name)).toEqual(["soy sauce", "seasoned mince"]);
  expect(unknown).toEqual([]);
  const budget = saltBudget(800, 1.2, carried);
  expect([budget.wantedG, budget.carriedG, budget.leftG, budget.firstG].map((g) => Math.round(10 * g) / 10)).toEqual([
    9.6, 7.8, 1.8, 0.9,
  ]);
  expect(saltSources([{ name: "zorbel", grams: 10 }], OURS).unknown).toEqual(["zorbel"]);
});
test("a kind of dough is told from its formula", () => {
  expect([pie, bun, demoItem("mooring-bun"), demoItem("keel-moon")].map((item) => familyOf(item)?.id)).toEqual([
    "SH",
    "EY",
    "SY",
    "FR",
  ]);
});
test("N10: several sizes of pack, the cheapest way", () => {
  const list = shoppingList(
    [
      {
        id: "b",
        item: "x",
        part: "filling",
        pieces: 1,
        range: [0, 1],
        ingredients: [{ id: "m", in: "filling", name: "minced beef", grams: 620 }],
        totalG: 620,
      },
    ],
    [],
    [
      {
        ingredient: "beef-minced",
        haveG: 0,
        packs: [
          { sizeG: 250, price: 210 },
          { sizeG: 500, price: 390 },
        ],
      },
    ],
    () => undefined,
  );
  expect(list.groups[0].lines[0].packs).toMatchObject({ counts: [1, 1], leftG: 130, cost: 600 });
});
