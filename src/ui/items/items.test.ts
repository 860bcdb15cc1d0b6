import { demoItem } from "@tests/demo";
import { readOne } from "@/core/item/recipe";
import { balanceText, handsOnMinutes, itemCards, stepRows } from "./items.view-model";
import { understood } from "./PasteLines";

const bun = demoItem("bow-seat-bun");

test("a card says what a piece is, what a batch takes, what is in it", () => {
  expect(itemCards([demoItem("oarlock-turnover")])[0]).toMatchObject({
    piece: "25 g dough and 22 g filling · 28 a batch",
    contains: "contains gluten",
  });
});

test("a way that skips a step takes less of the hands and marks what it changes", () => {
  const twice = stepRows(bun, {});
  const once = stepRows(bun, { "b-wash": "once" });
  expect(twice.some((row) => row.changed)).toBe(false);
  expect(once.map((row) => row.id)).not.toContain("b-wash-1");
  expect(once.find((row) => row.id === "b-wash-2")!.changed).toBe(true);
  expect(handsOnMinutes(bun, { "b-wash": "once" })).toBeLessThan(handsOnMinutes(bun));
});

test("a step says its time: fixed and a piece, or a window that follows the room", () => {
  const rows = stepRows(bun, {});
  expect(rows.find((row) => row.id === "b-divide")!.time).toBe("2 min + 8 s a piece");
  expect(rows.find((row) => row.id === "b-bulk")!.time).toMatch(/\(55 min to 2 h\) at \d+ °C; follows the room$/);
  expect(rows.find((row) => row.id === "b-bake")!.where).toBe("oven 190 °C, fan, tray, probe");
});

test("a balance that is off is said in pieces and grams", () => {
  expect(balanceText(bun)).toBeUndefined();
  const short = { ...bun, piece: { ...bun.piece, fillingG: 50 } };
  expect(balanceText(short)).toMatch(
    /^The filling runs out first, after 12 pieces; \d+ g of dough is left, enough for 4 more\.$/,
  );
});

test.each([
  ["250 g plain flour", true, "250 g of plain flour (by weight)"],
  ["about 2 cups sugar", true, "about 400 g of sugar (as sugar-granulated)"],
  ["2 eggs", true, "102 g of eggs (as egg, a usual piece)"],
  ["salt to taste", true, "salt: to taste, not weighed"],
  ["2 cups quince", false, "quince has no density here: give its weight, such as “120 g quince”"],
  ["3-2 eggs", false, 'this line is "3-2 eggs", which does not fit with the rest; expected a range that goes up'],
])("%s", (text, good, said) => expect(understood(readOne(text, "us"))).toEqual({ good, text: said }));
