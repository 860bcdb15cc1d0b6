import fc from "fast-check";
import { demoInput, demoItem, expectRequest } from "@tests/demo";
import { brokenRules } from "@tests/plan-rules";
import { makePlan } from "../plan/pipeline";
import { parseRequest } from "../plan/request-check";
import { quantitiesOf } from "../plan/quantities";
import { batchOffers } from "./batch-rounding";
import { eatersOf, piecesInRole } from "./appetite";
import type { GatheringInput } from "./schema";

type Over = Partial<GatheringInput>;
const TWO = ["hawser-coil", "bow-seat-bun"] as const;

const inputOf = (over: Over, recipes: readonly string[] = TWO) => {
  const input = demoInput("launch-night");
  return {
    ...input,
    items: recipes.map((id) => demoItem(id)),
    gathering: {
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      guests: [
        { count: 14, age: "adult", appetite: 1 },
        { count: 6, age: "child", appetite: 0.5 },
      ],
      ...over,
    },
  };
};
const quantities = (over: Over, recipes?: readonly string[]) => quantitiesOf(expectRequest(inputOf(over, recipes)));
const wave = (items: NonNullable<GatheringInput["waves"]>[number]["items"], more: object = {}) => ({
  id: "w",
  name: "W",
  time: "18:30",
  items,
  ...more,
});
const shared = (rounding: "exact" | "carriers" | "whole-batch") =>
  wave([
    { recipe: TWO[0], share: 40, rounding },
    { recipe: TWO[1], share: 60, rounding },
  ]);

test("14 adults and 6 children at half an appetite are 17 eaters; at 5 each, 40 to 60, a tenth to spare: 38 and 57", () => {
  const { headcount } = quantities({ sparePct: 10, waves: [{ ...shared("exact"), piecesAHead: 5 }] });
  expect(eatersOf(expectRequest(inputOf({})).gathering.guests)).toBe(17);
  expect(headcount.counts.map(({ needed, pieces }) => [needed, pieces])).toEqual([
    [34, 38],
    [51, 57],
  ]);
});

test("a share alone divides what the items' own rates come to, and one without takes the rest", () => {
  const all = quantities({ waves: [wave(TWO.map((recipe) => ({ recipe, rounding: "exact" as const })))] }).headcount.counts;
  const cut = quantities({ waves: [wave([{ recipe: TWO[0], share: 25, rounding: "exact" }, { recipe: TWO[1] }])] });
  const total = all[0].fromGuests + all[1].fromGuests;
  expect(cut.headcount.counts[0].fromGuests).toBeCloseTo(total / 4);
  expect(cut.headcount.counts[1].fromGuests).toBeCloseTo((3 * total) / 4);
});

test("38 for the table, 24 wanted in the freezer, 9 there: 53 are made", () => {
  const { demands } = quantities(
    {
      waves: [wave([{ recipe: TWO[1], pieces: 38 }])],
      freezer: [{ recipe: TWO[1], pieces: 24, onHand: 9, by: { day: 0, time: "20:00" } }],
    },
    [TWO[1]],
  );
  expect(demands.map((demand) => [demand.for, demand.range[1] - demand.range[0]])).toEqual([
    ["w", 38],
    ["freezer", 15],
  ]);
});

test("more in the freezer than is to stay there is served first, from frozen", () => {
  const { demands } = quantities(
    {
      waves: [wave([{ recipe: "oarlock-turnover", pieces: 20 }])],
      freezer: [{ recipe: "oarlock-turnover", pieces: 4, onHand: 12, by: { day: 0, time: "20:00" } }],
    },
    ["oarlock-turnover"],
  );
  expect(demands.map(({ for: wanted, path, range }) => [wanted, path, range])).toEqual([
    ["w", "from-freezer", [0, 8]],
    ["w", "fresh", [8, 20]],
  ]);
});

test("53 pieces of a recipe for 18: 2.944 exactly, 3 whole, one over", () => {
  const offers = batchOffers(53, 18);
  expect(offers.exact.factor).toBeCloseTo(2.944, 3);
  expect(offers.whole).toEqual({ factor: 3, pieces: 54, surplus: 1 });
  expect(offers.half).toEqual({ factor: 3, pieces: 54, surplus: 1 });
});

test("batches: never too few, never a whole batch too many, half never more than whole", () =>
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 60 }), (needed, recipeYield) => {
      const { half, whole } = batchOffers(needed, recipeYield);
      for (const offer of [half, whole]) expect(offer.pieces).toBe(needed + offer.surplus);
      expect(half.surplus).toBeGreaterThanOrEqual(0);
      expect(half.pieces).toBeLessThanOrEqual(whole.pieces);
      expect(whole.surplus).toBeLessThan(recipeYield);
      expect(whole.factor % 1).toBe(0);
    }),
  ));

test("what a whole batch makes beyond the guests goes where the cook says", () => {
  const entry = { recipe: TWO[1], rounding: "whole-batch" } as const;
  const size = demoItem(TWO[1]).base.pieces;
  for (const surplus of ["table", "freezer"] as const) {
    const { headcount, demands } = quantities({ waves: [wave([{ ...entry, surplus }])] }, [TWO[1]]);
    const [{ pieces, wanted }] = headcount.counts;
    expect(pieces % size).toBe(0);
    expect(pieces).toBeGreaterThan(wanted);
    expect(demands.map((demand) => [demand.for, demand.range[1] - demand.range[0]])).toEqual(
      surplus === "table"
        ? [["w", pieces]]
        : [
            ["w", wanted],
            ["freezer", pieces - wanted],
          ],
    );
  }
});

test("half of an item baked and half fried, in one wave, keeps every rule of a plan", () => {
  const input = inputOf(
    {
      waves: [
        wave([
          {
            recipe: "oarlock-turnover",
            pieces: 20,
            split: [
              { filling: "base", pieces: 10, choices: { "e-heat": "fry" } },
              { filling: "base", pieces: 10, choices: { "e-heat": "bake" } },
            ],
          },
        ]),
      ],
    },
    ["oarlock-turnover"],
  );
  const request = expectRequest(input);
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).not.toBe("infeasible");
  expect(brokenRules(request, plan)).toEqual([]);
  const chambers = plan.loads.map((load) => [load.chamber, load.range]);
  expect(chambers.filter(([chamber]) => chamber === "oven")).toEqual([["oven", [10, 20]]]);
  expect(chambers.filter(([chamber]) => chamber === "fryer").length).toBeGreaterThan(0);
});

describe("who is there", () => {
  const asIs = demoInput("launch-night");
  const cooks = (attendance: GatheringInput["attendance"], breaks?: GatheringInput["breaks"]) => {
    const gathering = { ...asIs.gathering, attendance, ...(breaks && { breaks }) };
    return parseRequest({ ...asIs, gathering });
  };

  test("hours of the day itself stand in place of the usual ones, and a helper is one more cook", () => {
    const read = cooks([
      { cook: "maren", hours: [{ day: 0, from: "15:00", to: "18:30" }] },
      { cook: "child", name: "Sol", skill: "beginner", hours: [{ day: 0, from: "15:00", to: "17:00" }], notFor: ["fry"] },
    ]);
    const { kitchen } = expectRequest(read.ok ? read.value : {});
    expect(kitchen.cooks.find(({ id }) => id === "maren")?.hours).toEqual([{ day: 0, from: "15:00", to: "18:30" }]);
    expect(kitchen.cooks.at(-1)).toMatchObject({ id: "child", name: "Sol", skill: "beginner", notFor: ["fry"] });
    expect(kitchen.cooks).toHaveLength((asIs.kitchen as { cooks: unknown[] }).cooks.length + 1);
  });

  test.each([
    [[{ cook: "who", hours: [] }], ["gathering", "attendance", 0, "name"]],
    [[{ cook: "maren", hours: [{ day: 0, from: "15:00", to: "14:00" }] }], ["gathering", "attendance", 0, "hours", 0, "to"]],
    [
      [
        { cook: "maren", hours: [] },
        { cook: "maren", hours: [] },
      ],
      ["gathering", "attendance", 1, "id"],
    ],
  ])("what does not fit is said at its field: %j", (attendance, path) => {
    const read = cooks(attendance);
    expect(read.ok ? [] : read.issues.map((issue) => issue.path)).toContainEqual(path);
  });
});

test("a role and a weight give pieces a head", () => {
  expect(piecesInRole("main", 90)).toBe(4);
  expect(piecesInRole("snack", 60)).toBe(2);
  expect(piecesInRole("starter", 5000)).toBe(0.5);
});
