import Papa from "papaparse";
import { demoInput } from "@tests/demo";
import { shoppingList, type ListLine } from "@/core/batching/shopping-list";
import type { Batch } from "@/core/batching/batches";
import { parseRequest } from "@/core/plan/request-check";
import { quantitiesOf } from "@/core/plan/quantities";
import { claimsOf } from "@/core/item/claims";
import { claimsLine, containsText } from "@/core/item/claims-text";
import { demandRow } from "../gathering/gathering.view-model";
import { countText, packText, shoppingTable } from "./shopping.view-model";
import { labelsOf } from "./labels.view-model";

const batch = (names: readonly (readonly [string, number])[]): Batch => ({
  id: "b",
  item: "x",
  part: "filling",
  pieces: 10,
  range: [0, 10],
  ingredients: names.map(([name, grams], i) => ({ id: String(i), in: "filling", name, grams })),
  totalG: 0,
});
const list = (names: readonly (readonly [string, number])[], pantry = [] as Parameters<typeof shoppingList>[2]) =>
  shoppingList([batch(names)], [], pantry, () => undefined);
const lines = (names: readonly (readonly [string, number])[]): ListLine[] => list(names).groups.flatMap((group) => group.lines);

test("things that are not the same stay apart, the same in other words come together", () => {
  const keys = lines([
    ["poultry stock, celery-free", 100],
    ["vegetable stock, celery-free", 100],
    ["vegetable stock", 100],
    ["sunflower oil", 10],
    ["rapeseed oil", 10],
    ["butter, melted", 20],
    ["unsalted butter", 30],
  ]).map((line) => [line.ingredient, line.needG]);
  expect(keys).toHaveLength(6);
  expect(keys).toContainEqual(["butter", 50]);
});

test("whole ones: eggs without a rest, onions with their skins, tins", () => {
  const bought = lines([
    ["eggs", 120],
    ["onion, chopped", 220],
    ["canned tomatoes", 500],
  ]);
  const [egg, onion, tin] = ["egg", "onion", "tomatoes-canned"].map((id) => bought.find((line) => line.ingredient === id)!);
  expect([onion.needG, onion.usedG, countText(onion.count!)]).toEqual([300, 220, "2 of 150 g"]);
  expect(countText(tin.count!)).toBe("2 tins of 400 g");
  expect(countText(egg.count!)).toBe("3 of 51 g");
});

test("packs of two sizes are said with what is left and the price", () => {
  const [line] = list(
    [["minced beef", 620]],
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
  ).groups[0].lines;
  expect(
    packText(
      line,
      (g) => `${g} g`,
      (price) => `€${price / 100}`,
    ),
  ).toBe("1 × 250 g + 1 × 500 g, 130 g left, €6");
});

test("a table reads back in a spreadsheet, by either separator, and a formula stays a text", () => {
  for (const separator of [",", ";"] as const) {
    const text = shoppingTable(list([["=1+1", 5]]), { day: () => "", price: String, separator });
    const [row] = Papa.parse<Record<string, string>>(text, { header: true, delimiter: separator }).data;
    expect(row.ingredient).toBe("'=1+1");
    expect(text.startsWith(["group", "ingredient"].join(separator))).toBe(true);
  }
});

test("labels say for each plate what the gathering says", () => {
  const parsed = parseRequest(demoInput("launch-night"));
  if (!parsed.ok) throw new Error("the demo is right");
  const q = quantitiesOf(parsed.value);
  const labels = labelsOf(parsed.value, q, String);
  // The desk, the gathering's rows and the labels say one thing.
  for (const { item, resolved, for: target } of q.demands) {
    const label = labels.find((one) => one.key === `${target} ${item.id} ${resolved.filling}`)!;
    const own = claimsOf(resolved);
    expect(label.contains).toBe(containsText(own));
    expect(demandRow(q, target, item.id)!.claims.some((line) => line.startsWith(claimsLine(own)))).toBe(true);
  }
  const tartlet = labels.find((label) => label.name === "Compass tartlets")!;
  expect([tartlet.contains, tartlet.suits.includes("vegan")]).toEqual(["contains gluten (wheat), egg, milk, tree nuts", false]);
});
