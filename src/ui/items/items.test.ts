import { demoItem } from "@tests/demo";
import { OURS } from "@/core/ingredients/own";
import { readLine } from "@/core/ingredients/read-line";
import { balanceText, handsOnMinutes, itemCards, stepRows } from "./items.view-model";
import { understood } from "./PasteLines";

const bun = demoItem("bow-seat-bun");

test("a card says what a piece is, what a batch takes, what is in it", () => {
  expect(itemCards([demoItem("oarlock-turnover")])[0]).toMatchObject({
    piece: "25 g dough and 22 g filling · 28 a batch",
    contains: "vegan · contains gluten (wheat)",
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
  ["about 2 cups sugar", true, "about 400 g of sugar (as sugar)"],
  ["2 eggs", true, "102 g of eggs (as egg, a usual piece)"],
  ["salt to taste", true, "salt: to taste, kept as it is"],
  ["2 cups moon dust", false, "kept as a gap: what it is"],
  ["4 medium onions", true, "440 g of medium onions (as onion, a usual piece, 600 g before it is trimmed)"],
  ["3-2 eggs", false, "kept as a gap: expected a range that goes up"],
])("%s", (text, good, said) => expect(understood(readLine(text, "us", OURS.index))).toEqual({ good, text: said }));
