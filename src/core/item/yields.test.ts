import fc from "fast-check";
import { demoItem } from "@tests/demo";
import { balance } from "./filling";
import { deskTotals } from "./desk";
import { fillingFor, mixedDoughG, usableDoughG } from "./yields";

const pie = demoItem("slipway-pie");

test("dough that is mixed for some pieces is, less its losses, what they weigh", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), (pieces) => {
      expect(usableDoughG(pie, mixedDoughG(pie, pieces))).toBeCloseTo(pieces * pie.piece.doughG, 6);
    }),
  );
});

test("a filling that is multiplied for a need yields it", () => {
  const { components } = pie.filling;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 20000 }),
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 0, max: 40 }),
      (needG, cooking, handling) => {
        const losses = { cookingLossPct: cooking, handlingLossPct: handling };
        const { factor } = fillingFor({ components, ...losses }, needG);
        const more = components.map((c) => ({ ...c, grams: c.grams * factor }));
        expect(fillingFor({ components: more, ...losses }).usableG).toBeCloseTo(needG, 4);
      },
    ),
  );
});

test("nothing yields nothing, and what is all lost is not multiplied without end", () => {
  expect(fillingFor({ components: [], cookingLossPct: 0, handlingLossPct: 0 }, 100)).toEqual({ usableG: 0, factor: 0 });
  const gone = { components: [{ id: "a", grams: 10, cook: true }], cookingLossPct: 100, handlingLossPct: 0 };
  expect(fillingFor(gone, 100)).toEqual({ usableG: 0, factor: 0 });
});

test("the desk, the planner and the balance speak of the same grams", () => {
  const totals = deskTotals(pie);
  expect(totals.usableDoughG).toBeCloseTo(usableDoughG(pie, totals.doughG), 9);
  expect(totals.usableFillingG).toBeCloseTo(fillingFor(pie.filling).usableG, 9);
  expect(totals.balance).toEqual(
    balance({
      doughG: totals.usableDoughG,
      fillingG: totals.usableFillingG,
      doughPerPieceG: pie.piece.doughG,
      fillingPerPieceG: pie.piece.fillingG,
      stretchPct: 10,
    }),
  );
});
