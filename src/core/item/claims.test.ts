import fc from "fast-check";
import { demoItem, demoKitchen } from "@tests/demo";
import { ALLERGENS, allergensOf } from "../ingredients/allergen";
import { STANDARD } from "../ingredients/catalogue";
import { catalogueWith, OURS } from "../ingredients/own";
import { servedIn } from "../gathering/served";
import { GatheringSchema } from "../gathering/schema";
import { countWaves } from "../gathering/headcount";
import { claimsOf, suits } from "./claims";
import { claimsLine, dietWord, mayText } from "./claims-text";
import { addComponent, removeComponent, renameComponent } from "./desk";
import { dropGap, fillGap, rewriteGap } from "./gaps";
import { copyOf, fromLines, readLines } from "./recipe";
import { resolveItem } from "./resolve";
import type { Item } from "./schema";
import { applySwap, swapsFor } from "./swaps";

const claims = (item: Item, choices = {}) => claimsOf(resolveItem(item, choices, "base"));
const contains = (item: Item) => claims(item).contains.map((claim) => claim.allergen);
const FILLING = { in: "filling" } as const;
const DOUGH = { in: "dough", part: 0 } as const;
const bun = demoItem("mooring-bun");
const pie = demoItem("slipway-pie");

describe("claims follow every edit", () => {
  test("the desk's own exchange of butter for lard ends the vegetarians' share", () => {
    const at = pie.dough.parts[0].components.findIndex((c) => c.id === "butter");
    const lard = swapsFor(pie, DOUGH, at).find((swap) => swap.id === "lard")!;
    const next = applySwap(pie, DOUGH, at, lard);
    expect(claims(pie).diets.vegetarian.answer).toBe("yes");
    expect(claims(next).diets.vegetarian).toEqual({ answer: "no", because: ["lard"] });
    expect(suits({ diet: ["vegetarian"], avoid: [] }, claims(next))).toBe(false);
  });
  test("renaming, adding and taking out are seen at once", () => {
    const first = bun.filling.components[0];
    const prawns = renameComponent(bun, FILLING, 0, "prawns, chopped");
    expect(contains(prawns)).toContain("crustaceans");
    expect(contains(renameComponent(prawns, FILLING, 0, first.name))).toEqual(contains(bun));
    const wine = addComponent(bun, FILLING, "white wine", 40);
    expect(claims(wine).diets["alcohol-free"]).toEqual({ answer: "no", because: ["white wine"] });
    expect(contains(removeComponent(wine, FILLING, wine.filling.components.length - 1))).toEqual(contains(bun));
  });
  test("an option, the finish and another filling count", () => {
    expect(claims(pie, { "a-wash": "milk" }).contains.map((c) => c.allergen)).not.toContain("egg");
    const emptied = copyOf(bun, [], true);
    expect(contains(emptied)).toEqual(["gluten"]);
    const filled = {
      ...emptied,
      filling: { ...emptied.filling, ...fromLines(readLines("200 g rabbit", "us"), "filling", { components: [], gaps: [] }) },
    };
    expect(dietWord(claims(filled as Item))).toBe("with meat or fish");
  });
  test("milk with meat is not kosher, wherever each of them is", () => {
    const milky = addComponent(bun, FILLING, "kosher beef, minced", 200);
    expect(claims(milky).diets.kosher.answer).toBe("yes");
    expect(claims(addComponent(milky, DOUGH, "milk", 50)).diets.kosher).toEqual({
      answer: "no",
      because: ["milk", "kosher beef"],
    });
  });
  test("poultry in the stock is named", () =>
    expect(claims(addComponent(bun, FILLING, "poultry bouillon", 60)).diets.vegetarian).toEqual({
      answer: "no",
      because: ["poultry bouillon"],
    }));
  test("a cook adds an allergen by hand; taking one away needs a reason", () => {
    expect(contains({ ...bun, alsoContains: [{ allergen: "sesame" }] })).toContain("sesame");
    const without: Item = { ...bun, without: [{ allergen: "soy", why: "made of chickpeas", of: ["smoked tofu"] }] };
    expect(contains(without)).not.toContain("soy");
    // What is added later is not excused by it.
    expect(contains(addComponent(without, FILLING, "soy sauce", 10))).toContain("soy");
  });
});

describe("what is not known", () => {
  const odd = addComponent(bun, FILLING, "glimmer paste", 30);
  test("never suits anybody who keeps to something", () => {
    expect(claimsLine(claims(odd))).toBe(
      "not known to be vegetarian: glimmer paste · contains gluten (wheat), soy; not known what is in glimmer paste",
    );
    for (const allergen of ALLERGENS) expect(suits({ diet: [], avoid: [allergen] }, claims(odd))).toBe(false);
    expect(suits({ diet: [], avoid: [] }, claims(odd))).toBe(true);
  });
  test("a gap counts like any line, until it is filled or left out", () => {
    const gapped: Item = { ...bun, gaps: [{ id: "x", in: "filling", text: "a handful of glimmer" }] };
    expect(claims(gapped).unknown).toEqual(["glimmer"]);
    expect(claims(dropGap(gapped, "x")).unknown).toEqual([]);
    const mended = rewriteGap(gapped, "x", "2 eggs");
    expect([mended.gaps, contains(mended)]).toEqual([undefined, ["gluten", "egg", "soy"]]);
    const weighed = fillGap(gapped, "x", 40, { name: "glimmer", ingredient: "feta" });
    expect(weighed.filling.components.at(-1)).toMatchObject({ grams: 40, text: "a handful of glimmer", ingredient: "feta" });
    expect(contains(weighed)).toContain("milk");
    const still = rewriteGap(gapped, "x", "some more glimmer");
    expect(still.gaps).toEqual([{ id: "x", in: "filling", text: "some more glimmer" }]);
  });
  test("what the cook has settled holds in every item", () => {
    const own = catalogueWith([
      { id: "own-glimmer", names: ["glimmer paste"], diets: { vegan: "yes", vegetarian: "yes" }, labelRead: true },
    ]);
    const said = claimsOf(resolveItem(odd, {}, "base"), own);
    expect([said.diets.vegan.answer, said.unknown, said.may]).toEqual(["yes", [], []]);
  });
});

describe("one oil for several", () => {
  const kitchen = demoKitchen("boathouse");
  const round = demoItem("oarlock-turnover");
  const prawn: Item = { ...addComponent(round, FILLING, "prawns", 100), id: "prawn", name: "Prawn discs" };
  const items = new Map([round, prawn].map((item) => [item.id, item]));
  const gathering = GatheringSchema.parse({
    id: "g",
    name: "G",
    date: { on: "2026-12-05" },
    guests: [{ count: 4, age: "adult", avoid: ["shellfish"] }],
    waves: [{ id: "w", name: "W", time: "18:00", items: [{ recipe: round.id }, { recipe: "prawn" }] }],
  });
  const before = (item: Item, order: number): Item => ({ ...item, fryOil: { ...item.fryOil, order } });
  test("what is fried after prawns may contain crustaceans, and is not counted for who avoids them", () => {
    const first = new Map([before(round, 2), before(prawn, 1)].map((item) => [item.id, item]));
    const { claims: shared, own } = servedIn(gathering, first)(first.get(round.id)!, { "e-heat": "fry" }, "base");
    expect(own.oil).toEqual([]);
    expect(shared.oil.map((claim) => claim.allergen)).toContain("crustaceans");
    expect(mayText(shared)).toContain("crustaceans, soy, milk, sesame (shares its oil with Prawn discs)");
    expect(shared.diets.vegan.answer).toBe("no");
    expect(countWaves(gathering, first, kitchen).unserved).toHaveLength(1);
  });
  test("what is fried first gets nothing of them", () => {
    const { claims: shared } = servedIn(gathering, items)(round, { "e-heat": "fry" }, "base");
    expect(shared.oil).toEqual([]);
    expect(countWaves(gathering, items, kitchen).unserved).toEqual([]);
  });
});

describe("in every item", () => {
  const names = [...STANDARD.values()].map((one) => one.name);
  const line = fc.oneof(fc.constantFrom(...names), fc.constantFrom("zorbel", "glimmer paste", "moon cheese"));
  const itemOf = (lines: readonly string[]): Item =>
    lines.reduce((item, name) => addComponent(item, FILLING, name, 10), copyOf(bun, [], true));
  test("taking an ingredient out never adds an allergen nor takes a diet away", () =>
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), fc.nat(), (lines, n) => {
        const item = itemOf(lines);
        const less = removeComponent(item, FILLING, n % lines.length);
        const [all, fewer] = [claims(item), claims(less)];
        for (const { allergen } of fewer.contains) expect(all.contains.map((c) => c.allergen)).toContain(allergen);
        for (const diet of ["vegetarian", "vegan", "halal", "kosher", "alcohol-free"] as const)
          if (all.diets[diet].answer === "yes") expect(fewer.diets[diet].answer).toBe("yes");
      }),
    ));
  test("an unknown ingredient never makes it suit anyone", () =>
    fc.assert(
      fc.property(fc.array(line, { maxLength: 5 }), fc.constantFrom(...ALLERGENS), (lines, avoid) => {
        const item = itemOf([...lines, "zorbel"]);
        for (const diet of ["vegetarian", "vegan", "halal", "kosher"] as const)
          expect(suits({ diet: [diet], avoid: [] }, claims(item))).toBe(false);
        expect(suits({ diet: [], avoid: [avoid] }, claims(item))).toBe(false);
      }),
    ));
  test("what is claimed of a line is claimed of the item", () =>
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
        const item = itemOf(lines);
        const said = contains(item);
        for (const name of lines) {
          const own = STANDARD.get([...STANDARD.values()].find((one) => one.name === name)?.id ?? "");
          for (const allergen of allergensOf(own?.contains ?? [])) expect(said).toContain(allergen);
        }
      }),
    ));
});

test("the catalogue of the application is ours where the cook has said nothing", () => expect(OURS.ingredients).toBe(STANDARD));
