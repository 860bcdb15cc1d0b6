import fc from "fast-check";
import { OURS } from "./own";
import { readLine } from "./read-line";
import { readingDocument } from "./reading";

const read = (text: string) => readLine(text, "us", OURS.index);

describe("amounts wherever they stand", () => {
  test.each([
    ["butter 4 sticks", "butter", 453.6],
    ["salt 1 tsp", "salt", 6],
    ["flour: 500 g", "flour-plain", 500],
    ["Flour – 500 g", "flour-plain", 500],
    ["eggs 2", "egg", 102],
    ["eggs x 3", "egg", 153],
    ["pork mince, 1 lb", "pork-minced", 453.6],
    ["500g/1lb 2oz plain flour", "flour-plain", 500],
    ["1 cup (240 ml) milk", "milk", 247],
    ["1 tablespoon plus 1 teaspoon sugar", "sugar-granulated", 16.7],
    ["2 1/2 cups sugar", "sugar-granulated", 500],
    ["1½ cups warm water (about 40 °C)", "water", 360],
  ])("%s", (text, id, grams) => {
    const { found, grams: got, gap } = read(text);
    expect([found?.main.id, Math.round(got! * 10) / 10, gap]).toEqual([id, grams, null]);
  });
  test("weights in brackets win: of all that is counted, or of each pack", () => {
    expect(read("3 onions (about 300 g)")).toMatchObject({ grams: 300, approx: true });
    expect(read("4 chicken breasts (about 180 g each)").grams).toBe(720);
    expect(read("2 sticks (226 g) butter").grams).toBe(226);
    expect(read("2 tins (400 g) chopped tomatoes").grams).toBe(800);
    expect(read("2 cans (800 g) chopped tomatoes").grams).toBe(800);
    expect(read("2 cups (250 g) flour").grams).toBe(250);
  });
  test("a range keeps both ends, and what was added by eye is the upper one", () => {
    expect(read("6-8 tbsp water")).toMatchObject({ minG: 90, maxG: 120, grams: 105 });
    expect(read("water by eye, 520 ml start, +35")).toMatchObject({ minG: 520, maxG: 555, grams: 555 });
  });
  test("sizes, temperatures and types are no amounts", () => {
    expect(read("water, 28 °C").gap).toBe("no-amount");
    expect(read("500 g Weizenmehl Type 550").grams).toBe(500);
    expect(read("ham in 8 mm dice, 200 g").grams).toBe(200);
  });
});

describe("what cooks call things by", () => {
  test.each([
    ["1 egg yolk", "egg-yolk", 17],
    ["yolks of 2 eggs", "egg-yolk", 34],
    ["1 egg plus 2 yolks", "egg", 85],
    ["a glass of warm milk", "milk", 205.8],
    ["½ cup breadcrumbs", "breadcrumbs-dry", 55],
    ["1 tsp cardamom", "cardamom", 2],
    ["a thumb of ginger", "ginger", 20],
    ["1.5 inch ginger", "ginger", 15],
    ["6 cabbage leaves", "cabbage", 150],
    ["1 can (14 oz) tomatoes", "tomatoes-canned", 396.9],
    ["one 400g tin chickpeas, drained", "chickpeas-cooked", 240],
    ["a jar of passata", "passata", 680],
    ["juice of 1 lemon", "lemon-juice", 45],
    ["a dozen eggs", "egg", 612],
    ["3 garlic cloves, crushed", "garlic", 12],
    ["1 (8-ounce) package cream cheese", "cream-cheese", 226.8],
  ])("%s", (text, id, grams) => {
    const { found, grams: got } = read(text);
    expect([found?.main.id, Math.round(got! * 10) / 10]).toEqual([id, grams]);
  });
  test("N14: peeled onions weigh less than bought ones, large ones half as much again", () => {
    expect(read("4 medium onions")).toMatchObject({ grams: 440, wholeG: 600 });
    expect(read("4 large onions").grams).toBe(660);
  });
  test("N12: a glass is taken to be of a usual size, and says so", () =>
    expect(read("1 glass milk").assumed).toEqual({ unit: "waterglass", ml: 200 }));
});

describe("no line disappears", () => {
  test("a line that is not understood is a gap with guesses", () => {
    const { lines } = readingDocument(
      "200 g zorbel\n1 can (14 oz)\na handful of glimmer\nbutter\n1/0 cup flour\nFor the dough:",
      "us",
      OURS,
    );
    expect(lines.map(({ ingredient, gap }) => [ingredient, gap])).toEqual([
      [null, "missing: what it is"],
      [null, "missing: what it is"],
      [null, "missing: what it is"],
      ["butter", "missing: how much of it"],
      ["flour-plain", "missing: an amount that can be read"],
      [null, "nothing to weigh: a heading"],
    ]);
    expect(lines[0]).toMatchObject({ grams: 200, allergens: [], hazard: null });
    expect(lines[0].diets).toEqual({ vegetarian: null, vegan: null, halal: null, kosher: null });
    expect(lines[0].guesses.length).toBeGreaterThan(0);
  });
  test("every line of a text comes back with its own words, whatever they are", () =>
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 60 }), { maxLength: 6 }), (texts) => {
        const wanted = texts.flatMap((text) => text.split(/\r\n|\r|\n/)).filter((line) => line.trim() !== "");
        const { lines } = readingDocument(texts.join("\n"), "metric", OURS);
        expect(lines.map((line) => line.text)).toEqual(wanted);
        for (const line of lines) expect(line.gap !== null || (line.grams !== null && line.ingredient !== null)).toBe(true);
      }),
    ));
  test("what is read, written as amount and name and read again is the same", () => {
    const amount = fc.tuple(fc.integer({ min: 1, max: 900 }), fc.constantFrom("g", "cup", "tbsp", "tsp", "oz", "lb", "ml"));
    const name = fc.constantFrom(...[...OURS.ingredients.values()].filter((one) => one.gramsPerCup).map((one) => one.name));
    fc.assert(
      fc.property(amount, name, ([n, unit], ingredient) => {
        const once = read(`${n} ${unit} ${ingredient}`);
        const twice = read(`${once.amount} ${once.name}`);
        expect([twice.grams, twice.found?.main.id, twice.amount, twice.name]).toEqual([
          once.grams,
          once.found?.main.id,
          once.amount,
          once.name,
        ]);
      }),
    );
  });
});
