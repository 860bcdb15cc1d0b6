import fc from "fast-check";
import { demoItem, demoKitchen } from "@tests/demo";
import { claimsOf, suits } from "../item/claims";
import { resolveItem } from "../item/resolve";
import { countWaves } from "./headcount";
import { GatheringSchema } from "./schema";

const kitchen = demoKitchen("boathouse");
const items = new Map(["bow-seat-bun", "mooring-bun", "oarlock-turnover", "slipway-pie"].map((id) => [id, demoItem(id)]));
const count = (guests: object[], recipes: string[]) =>
  countWaves(
    GatheringSchema.parse({
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      guests,
      waves: [{ id: "w", name: "W", time: "18:00", items: recipes.map((recipe) => ({ recipe })) }],
    }),
    items,
    kitchen,
  );

test("a single item is eaten at its own rate: 10 adults at 2 pies each", () => {
  expect(count([{ count: 10, age: "adult" }], ["slipway-pie"]).counts[0].needed).toBe(20);
});

test("the sum over ages is rounded up once: 3 × 0.9 + 2 × 0.5 of steamed buns", () => {
  const { counts } = count(
    [
      { count: 3, age: "adult" },
      { count: 2, age: "child" },
    ],
    ["mooring-bun", "oarlock-turnover"],
  );
  expect(counts[0].needed).toBe(4);
});

test("a spare comes on top, a quarter at the most", () => {
  const gathering = (sparePct: number) =>
    GatheringSchema.parse({
      id: "g",
      name: "G",
      date: { on: "2026-12-05" },
      sparePct,
      guests: [{ count: 10, age: "adult" }],
      waves: [{ id: "w", name: "W", time: "18:00", items: [{ recipe: "slipway-pie" }] }],
    });
  const made = (sparePct: number) => countWaves(gathering(sparePct), items, kitchen).counts[0].pieces;
  expect([made(0), made(10), made(25)]).toEqual([20, 24, 25]);
});

test("who may not eat an item is not counted for it, and eats more of the rest", () => {
  const all = count([{ count: 12, age: "adult" }], ["bow-seat-bun", "oarlock-turnover"]).counts;
  const some = count(
    [
      { count: 6, age: "adult" },
      { count: 6, age: "adult", diet: ["vegetarian", "vegan"] },
    ],
    ["bow-seat-bun", "oarlock-turnover"],
  ).counts;
  expect(some[0].needed).toBe(8);
  expect(some[0].needed!).toBeLessThan(all[0].needed!);
  expect(some[1].needed!).toBeGreaterThan(all[1].needed!);
});

test("a wave in which a guest has nothing says for whom", () => {
  const { unserved } = count([{ count: 2, age: "adult", avoid: ["gluten"] }], ["slipway-pie"]);
  expect(unserved).toMatchObject([{ wave: "w", guests: { count: 2, avoid: ["gluten"] } }]);
});

test("vegan food suits vegetarians; an allergen in it suits nobody who avoids it", () => {
  const food = claimsOf(resolveItem(demoItem("mooring-bun"), {}, "base"));
  expect(suits({ diet: ["vegetarian"], avoid: [] }, food)).toBe(true);
  expect(suits({ diet: [], avoid: ["soy"] }, food)).toBe(false);
});

test("pieces are at least what is needed and at most a quarter more", () => {
  const group = fc.record({
    count: fc.integer({ min: 0, max: 60 }),
    age: fc.constantFrom("adult", "teen", "child"),
    diet: fc.constantFrom([], ["vegetarian"], ["vegetarian", "vegan"]),
  });
  fc.assert(
    fc.property(
      fc.array(group, { minLength: 1, maxLength: 4 }),
      fc.subarray([...items.keys()], { minLength: 1 }),
      (guests, recipes) => {
        for (const { needed, pieces } of count(guests, recipes).counts) {
          expect(pieces).toBeGreaterThanOrEqual(needed!);
          expect(pieces).toBeLessThanOrEqual(needed! * 1.25 + 1e-9);
        }
      },
    ),
  );
});
