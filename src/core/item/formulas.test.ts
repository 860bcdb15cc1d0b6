import { freshId } from "../shared/fresh-id";
import fc from "fast-check";
import { demoItem } from "@tests/demo";
import { ItemSchema } from "./schema";
import type { Result } from "../shared/issue";
import { issueText } from "../shared/issue-text";
import { addComponent, componentsAt, deskTotals, removeComponent, scaleFilling, setGrams, setPercent } from "./desk";
import { cutWithRerolls, doughFor, doughForRounds, piecesFromDough } from "./dough";
import { wholeEggs } from "../ingredients/eggs";
import { convertYeast } from "../ingredients/yeast";
import { balance, fillingYield } from "./filling";
import { gramsFromPercents, holdBack, hydration, percentsFromGrams } from "./formula";
import { waterShare } from "../ingredients/water";
import { makeItem } from "./making/make-item";
import { RecipeInputSchema } from "./making/recipe-input";
import { copyOf, measuredIn, readLines } from "./recipe";
import { claimsOf } from "./claims";
import { resolveItem } from "./resolve";
import { propagateAllergens } from "../ingredients/allergens";
import { orderLoads } from "../batching/load-order";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(issueText(result.issues[0]));
  return result.value;
};
const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);

describe("baker's percentages", () => {
  test("N24: 354 g of water on 600 g of flour are 59 %", () => {
    const lines = [
      { id: "flour", role: "flour", grams: 600 },
      { id: "water", role: "water", grams: 354 },
    ];
    expect(value(percentsFromGrams({ lines })).pct.water).toBeCloseTo(59, 9);
  });
  test("grams to percentages and back to the same grams", () => {
    const line = fc.record({ grams: fc.double({ min: 0.5, max: 2000, noNaN: true }) });
    fc.assert(
      fc.property(fc.double({ min: 50, max: 3000, noNaN: true }), fc.array(line, { maxLength: 5 }), (flour, others) => {
        const lines = [
          { id: "flour", role: "flour", grams: flour },
          ...others.map(({ grams }, i) => ({ id: `l${i}`, role: "other", grams })),
        ];
        const { pct, sumPct } = value(percentsFromGrams({ lines }));
        const back = value(
          gramsFromPercents({
            lines: lines.map(({ id, role }) => ({ id, role, pct: pct[id] })),
            doughG: sum(lines.map((l) => l.grams)),
          }),
        );
        for (const { id, grams } of lines) expect(back.grams[id]).toBeCloseTo(grams, 6);
        expect(back.sumPct).toBeCloseTo(sumPct, 9);
      }),
    );
  });
  test("water counts in milk, egg and butter", () => {
    const lines = [
      { id: "milk", grams: 180 },
      { id: "egg", grams: 50 },
      { id: "butter", grams: 60 },
    ];
    expect(hydration({ flourG: 400, lines }).waterG).toBeCloseTo(180 * 0.88 + 50 * 0.76 + 60 * 0.16, 9);
    expect(waterShare("quince")).toBe(0);
  });
  test("N26: of 310 g a tenth is kept back, and what is added counts", () => {
    expect(value(holdBack({ flourG: 500, waterG: 310, holdBackPct: 10, addedG: 24 }))).toMatchObject({
      firstG: 279,
      heldG: 31,
      finalHydrationPct: 60.6,
    });
    expect(holdBack({ flourG: 500, waterG: 100, holdBackPct: 10, addedG: 200 }).ok).toBe(false);
  });
});

describe("dough and filling", () => {
  test("N35: 45 pieces of 38 g with 4 % lost need 1,781 g", () => {
    expect(Math.round(doughFor({ pieces: 45, doughPerPieceG: 38, batches: 1, bowlLossG: 0, handlingLossPct: 4 }).doughG)).toBe(
      1781,
    );
  });
  test("dough for n pieces makes n pieces, and n times one piece is n pieces before rounding", () => {
    const losses = fc.record({
      doughPerPieceG: fc.integer({ min: 5, max: 200 }),
      batches: fc.integer({ min: 1, max: 4 }),
      bowlLossG: fc.integer({ min: 0, max: 20 }),
      handlingLossPct: fc.integer({ min: 0, max: 20 }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), losses, (pieces, over) => {
        const { doughG } = doughFor({ ...over, pieces });
        expect(piecesFromDough({ ...over, doughG }).pieces).toBe(pieces);
        const alone = doughFor({ ...over, pieces: 1, bowlLossG: 0 }).doughG;
        expect(doughFor({ ...over, pieces, bowlLossG: 0 }).doughG).toBeCloseTo(pieces * alone, 6);
      }),
    );
  });
  test("offcuts: what is cut and the scraps are the dough, and the least dough for so many is enough", () => {
    const { byRoll, pieces, scrapsG } = cutWithRerolls({ doughG: 1000, pieceG: 30, cutFrac: 0.7, rerolls: 2 });
    expect(byRoll).toEqual([23, 7, 2]);
    expect(pieces * 30 + scrapsG).toBeCloseTo(1000, 9);
    const { doughG } = doughForRounds({ pieces: 32, pieceG: 30, cutFrac: 0.7, rerolls: 2 });
    expect(cutWithRerolls({ doughG, pieceG: 30, cutFrac: 0.7, rerolls: 2 }).pieces).toBeGreaterThanOrEqual(32);
    expect(cutWithRerolls({ doughG: doughG - 1, pieceG: 30, cutFrac: 0.7, rerolls: 2 }).pieces).toBeLessThan(32);
  });
  test("N39: 760 g of dough and 540 g of filling end apart", () => {
    expect(balance({ doughG: 760, fillingG: 540, doughPerPieceG: 19, fillingPerPieceG: 12, stretchPct: 10 })).toMatchObject({
      pieces: 40,
      limiting: "dough",
      fillingLeftG: 60,
      fillingToUseAllG: 13.5,
      stretchOk: false,
    });
  });
  test("N42: 900 g of cooked meat at a quarter lost are 1,200 g raw", () => {
    expect(
      value(
        fillingYield({
          lines: [{ id: "meat", grams: 1000, lossPct: 25 }],
          evaporationPct: 0,
          drainPct: 0,
          potLossG: 0,
          needG: 900,
        }),
      ).factor,
    ).toBeCloseTo(1.2, 9);
  });
  test("N18, N7: yeast of another kind, and whole eggs for grams", () => {
    expect(convertYeast({ grams: 6, from: "instant", to: "fresh" }).grams).toBeCloseTo(18.18, 2);
    expect(value(wholeEggs({ neededG: 75, washG: 20, region: "eu", size: "M", shortPct: 5 }))).toEqual({
      eggs: 2,
      gotG: 102,
      shortG: 0,
      leftG: 7,
    });
    expect(wholeEggs({ neededG: 75, washG: 0, region: "eu", size: "J", shortPct: 5 }).ok).toBe(false);
  });
});

describe("the desk", () => {
  const pie = demoItem("slipway-pie");
  const dough = { in: "dough", part: 0 } as const;

  test("the demo's dough and filling end together at the base batch", () => {
    expect(deskTotals(pie)).toMatchObject({ flourG: 500, doughG: 918, balance: { pieces: 16, limiting: "both" } });
  });
  test("percentages and grams agree after any edit", () => {
    const edit = fc.record({ index: fc.nat(5), pct: fc.double({ min: 0.5, max: 95, noNaN: true }), byGrams: fc.boolean() });
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 6 }), (edits) => {
        let item = pie;
        for (const { index, pct, byGrams } of edits) {
          const next = byGrams ? setGrams(item, dough, index, pct * 5) : setPercent(item, 0, index, pct);
          if (next.ok) item = next.value;
        }
        const totals = deskTotals(item);
        componentsAt(item, dough).forEach((c, i) => {
          expect(c.grams).toBeGreaterThan(0);
          expect((totals.pct[0][i] * totals.flourG) / 100).toBeCloseTo(c.grams, 6);
        });
        const flourPct = sum(componentsAt(item, dough).map((c, i) => (c.flour ? totals.pct[0][i] : 0)));
        expect(flourPct).toBeCloseTo(100, 6);
      }),
    );
  });
  test("a flour's share moves the other flours and leaves their sum", () => {
    const next = value(setPercent(pie, 0, 1, 30));
    expect(deskTotals(next).flourG).toBeCloseTo(500, 9);
    expect(
      componentsAt(next, dough)
        .map((c) => Math.round(c.grams))
        .slice(0, 2),
    ).toEqual([350, 150]);
  });
  test("the only flour is the 100 %", () => {
    const single = removeComponent(pie, dough, 1);
    const refused = setPercent(single, 0, 0, 80);
    expect(!refused.ok && issueText(refused.issues[0])).toContain("100 %, since it is the only flour");
  });
  test("more filling by the factor of the gap ends together", () => {
    const short = scaleFilling(pie, 0.8);
    const { usableDoughG, usableFillingG } = deskTotals(short);
    const mended = scaleFilling(short, (usableDoughG / 50) * (46 / usableFillingG));
    expect(deskTotals(mended).balance!.limiting).toBe("both");
  });
  test("what is added has an id of its own, and the last of a dough stays", () => {
    const added = addComponent(pie, { in: "filling" }, "butter", 20, "2 tbsp");
    expect(added.filling.components.map((c) => c.id)).toContain("butter-2");
    expect(freshId("Ä pie, small", ["a-pie"])).toBe("a-pie-2");
    let item = pie;
    for (let i = 0; i < 9; i++) item = removeComponent(item, dough, 0);
    expect(componentsAt(item, dough)).toHaveLength(1);
  });
});

describe("a recipe from paper", () => {
  const recipe = {
    name: "Corner pies",
    makes: 12,
    dough: "2½ cups all-purpose flour\n1 cup cold butter\n½ tsp salt\n6-8 tbsp ice water",
    fillings: "3 medium onions\n150 g cheddar\nsalt to taste",
    method: "Roll, fill, fold over.\nBake at 375 °F for 25 minutes.",
    measures: "us" as const,
  };
  const made = (over: object = {}, taken: string[] = []) =>
    value(makeItem(RecipeInputSchema.parse({ ...recipe, ...over }), { taken })).item;
  test("it becomes an item that the schema takes, in grams, with the oven set", () => {
    const item = made({}, ["corner-pie"]);
    expect(ItemSchema.safeParse(item).success).toBe(true);
    expect(item).toMatchObject({ id: "corner-pies", base: { pieces: 12 }, gaps: [{ in: "filling", text: "salt to taste" }] });
    const claims = claimsOf(resolveItem(item, {}, "base"));
    expect(claims.contains.map((c) => c.allergen)).toEqual(["gluten", "milk"]);
    expect(claims.diets.vegetarian.answer).toBe("yes");
    const bake = item.steps.find((s) => s.kind === "bake")!;
    expect([bake.time.fixedMin, bake.equipment[0].settingC]).toEqual([25, 170]);
    expect(deskTotals(item).balance).toMatchObject({ pieces: 12 });
    expect(item.dough.parts[0].components[0]).toMatchObject({ name: "all-purpose flour", flour: true, measure: "2½ cups" });
  });
  test("a tablespoon is 15 ml or 20 ml by the recipe's own standard, which stays with it", () => {
    const item = made({ dough: "300 g flour\n3 tbsp water" });
    expect(item.measures).toBe("us");
    const water = (i: typeof item) => i.dough.parts[0].components.find((c) => c.name === "water")!;
    expect(water(item)).toMatchObject({ grams: 45, measure: "3 tbsp" });
    const australian = measuredIn(item, "au");
    expect(water(australian)).toMatchObject({ grams: 60, measure: "3 tbsp" });
    expect(australian.measures).toBe("au");
    // What was given by weight stays, and the way back is the way there.
    expect(australian.dough.parts[0].components[0].grams).toBe(300);
    expect(measuredIn(australian, "us")).toEqual(item);
  });
  test("blank lines are passed over, wrong ones keep their place", () => {
    expect(readLines("1 egg\n\n1/0 cup oil\n", "us").map((read) => read.gap)).toEqual([null, "unreadable"]);
  });
  test("a copy has a name and an id of its own", () => {
    expect(copyOf(demoItem("slipway-pie"), ["slipway-pie"], true)).toMatchObject({
      id: "slipway-pies",
      name: "Slipway pies, another filling",
      filling: { components: [] },
    });
  });
});

describe("allergens", () => {
  test("sub-recipes bring theirs to any depth, shared oil may", () => {
    const ingredients = [
      { id: "flour", contains: ["wheat"], mayContain: [], uses: [] },
      { id: "paste", contains: [], mayContain: ["tree nuts"], uses: ["flour"] },
    ] as const;
    const { items } = value(
      propagateAllergens({ regime: "eu", ingredients, items: [{ id: "bun", ingredients: ["paste"], medium: ["fish"] }] }),
    );
    expect(items.bun).toEqual({ contains: ["gluten"], mayContain: ["fish", "tree nuts"] });
  });
  test("plain before spiced: nobody gets a tag to avoid", () => {
    const answer = value(
      orderLoads({
        medium: [],
        loads: [
          { id: "prawn", tags: ["crustaceans"], avoid: [] },
          { id: "rice", tags: [], avoid: ["crustaceans"] },
        ],
      }),
    );
    expect(answer).toMatchObject({ order: ["rice", "prawn"], ok: true });
  });
});
