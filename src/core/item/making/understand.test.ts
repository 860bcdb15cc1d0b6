import { doseTexts } from "../doses";
import { itemChecks } from "../checks";
import { claimsOf } from "../claims";
import { resolveItem } from "../resolve";
import { makeItem } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";

const made = (recipe: object) => {
  const result = makeItem(RecipeInputSchema.parse({ name: "It", makes: 12, ...recipe }), { taken: [] });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const heat = ({ item }: ReturnType<typeof made>) => item.steps.find(({ id }) => id === "heat")!;

test("a large part of a filling that nobody knows may be meat: it is asked, and heated as what asks for the most meanwhile", () => {
  const strange = made({
    dough: ["400 g flour", "220 ml water"],
    fillings: ["250 g grumblewort", "100 g onion"],
    method: ["Steam 8 min."],
  });
  expect(strange.gaps.map(({ text }) => text)).toContainEqual(expect.stringMatching(/^what grumblewort is: until it is said/));
  expect(heat(strange).coreC).toBe(74);
  const spice = made({
    dough: ["400 g flour", "220 ml water"],
    fillings: ["350 g onion", "5 g grumblewort"],
    method: ["Steam 8 min."],
  });
  expect(spice.gaps.map(({ text }) => text).join()).not.toMatch(/grumblewort is/);
  expect(heat(spice).coreC).toBeUndefined();
});

test("water that steams the pieces is none that wets the dough, and what is cooked at 180 °C is in the oven", () => {
  const steamed = made({
    text: "Dough: 300 g flour, 150 ml cold water\nFilling: 350 g minced pork\nFold, steam over boiling water 8 min.",
  });
  expect(steamed.family.value).toBe("CW");
  const oven = made({
    text: "Pâte: 300 g de farine, 150 g de beurre, 70 g d'eau\nFarce: 400 g de porc haché, 1 oignon\nGarnir la pâte. Cuire 45 minutes à 180 °C.",
  });
  expect([oven.method.value, oven.filling.value, heat(oven).time.fixedMin]).toEqual(["tray", "raw-meat", 45]);
});

test("in a cook's own shorthand: what is brushed on in passing, what is fried for the filling, how many, and a list with a name of its own", () => {
  const { item, making, filling } = made({
    makes: undefined,
    text: `For 12 tarts
Pastry - 250 g flour, 125 g butter, 40 g icing sugar, 2 tbsp water
Custard: 300 ml milk, 100 ml cream, 4 egg yolks, 80 g sugar
Chill the pastry 1 hr, line a muffin tin, blind bake 15 min. Whisk the custard, pour in, bake 20 min at 150.`,
  });
  expect([making.pieces, filling.value, item.making!.method]).toEqual([12, "egg-bound", "blind"]);
  expect(item.filling.components).toHaveLength(4);
  const parcels = made({
    dough: "300 g flour\n180 ml water\n60 ml oil plus more for the table",
    fillings: "300 g minced lamb\n200 g onions",
    method:
      "Knead, soak in oil 1 hour. Fry onions and lamb 15 min, cool. Stretch, fill, fold in a square. Brush with egg and bake at 200 C, 20 min.",
  });
  expect(parcels.filling.value).toBe("meat-in-sauce");
  expect(parcels.making.lines.dough.map(({ name }) => name)).toEqual(["flour", "water", "oil"]);
  expect(parcels.item.steps.find(({ id }) => id === "rest-dough")!.rest!.target).toBe(60);
  expect(parcels.finish.map(({ name }) => name)).toEqual(["egg"]);
  expect(claimsOf(resolveItem(parcels.item, {}, "base")).contains.map(({ allergen }) => allergen)).toContain("egg");
});

test("what is brushed on hot from the oven is no wash, and is on the label all the same", () => {
  const { item } = made({
    dough: "400 g flour\n240 ml water\n6 g instant yeast",
    fillings: "200 g ham",
    method: "Knead, rise 1 hour, fill. Bake at 200 C for 20 min. Brush with melted butter while hot.",
  });
  expect(item.steps.map(({ id }) => id)).not.toContain("wash");
  expect(item.finish.map(({ step, components }) => [step, components[0].name])).toEqual([["cool", "butter"]]);
  expect(claimsOf(resolveItem(item, {}, "base")).contains.map(({ allergen }) => allergen)).toContain("milk");
});

test("frozen pieces from a packet with oil and water beside them are pieces, not a dough of oil and water", () => {
  const { making, item } = made({
    makes: undefined,
    text: "30 frozen dumplings\n2 tbsp oil\n100 ml water\nCold pan, add water, cover, steam 6 min.",
  });
  expect([making.bought, making.pieces, item.steps[0].id]).toEqual(["pieces", 30, "heat"]);
});

test("liquid goes into raw meat by thirds, and more than it takes up is said; cheese is no liquid", () => {
  const mixed = (fillings: string) =>
    made({ dough: "300 g flour\n150 ml water", fillings, method: "Fill with the raw filling, steam 8 min." }).item.steps.find(
      ({ id }) => id === "mix-filling",
    )!.do;
  expect(mixed("400 g minced pork\n100 ml stock")).toMatch(/^The liquid into the meat by thirds/);
  expect(mixed("400 g minced pork\n100 ml stock")).not.toMatch(/may run/);
  expect(mixed("300 g minced pork\n150 ml stock")).toMatch(/That is 5\d % of the meat, and it takes up about 30 %/);
  expect(mixed("400 g minced pork\n100 g feta")).not.toMatch(/liquid/);
});

test("what is blanched counts from when the water boils again, and dried mushrooms leave their liquor", () => {
  const { steps } = made({
    name: "Parcels",
    makes: 20,
    dough: ["300 g flour", "150 g water"],
    fillings: ["300 g minced pork", "200 g chinese cabbage", "30 g dried shiitake mushrooms"],
    method: ["Blanch the cabbage for 4 minutes.", "Mix the filling raw.", "Fill, pleat. Steam for 8 min."],
  }).item;
  const step = (id: string) => steps.find((one) => one.id === id)!;
  expect(step("blanch-filling").do).toMatch("4 min from when it boils again");
  expect(step("blanch-filling").rest).toMatchObject({ min: 4, target: 4 });
  expect(step("drain-filling").after).toEqual([{ step: "blanch-filling", maxGapMin: 0 }]);
  const { doses } = step("soak-filling");
  expect(doseTexts({ doses }, [{ name: "dried shiitake mushrooms", grams: 30 }]).join(" ")).toMatch(/about: 90 g.*about: 180 g/);
  expect(step("soak-filling").rest).toMatchObject({ min: 20, target: 30 });
});

test("raw roots in a short bake are asked about, with how small they would have to be", () => {
  const pasties = (potato: string, method: string) => {
    const { item } = made({
      name: "Pasties",
      makes: 6,
      dough: ["450 g flour", "200 g lard", "120 g water"],
      fillings: ["400 g beef skirt", potato],
      method: [method],
    });
    return itemChecks(item).filter(({ code }) => code === "raw-root");
  };
  const RAW = "Pile the raw filling on. Fold over. Bake 28 min at 200 °C.";
  expect(pasties("300 g potato, 15 mm dice", RAW)).toMatchObject([{ names: ["potato"], mm: 15, mostMm: 6, minutes: 28 }]);
  expect(pasties("300 g potato, in 1.5 cm cubes", RAW)).toMatchObject([{ mm: 15 }]);
  expect(pasties("300 g potato, 6 mm dice", RAW)).toEqual([]);
  expect(pasties("300 g potato, 15 mm dice", "Simmer the filling 40 min. Fold over. Bake 28 min at 200 °C.")).toEqual([]);
});

describe("what is said in passing", () => {
  const stepsOf = (text: string, makes?: number) => {
    const { item, method, shape } = made({ text, makes });
    return { item, method: method.value, shape: shape.value.id, step: (id: string) => item.steps.find((one) => one.id === id) };
  };
  const BUNS = "Dough\n500 g flour\n7 g instant yeast\n250 ml milk\n80 g butter\n40 g sugar\nFilling\n300 g plum jam\n";

  test("a second rise is the pieces', and a bake needs no verb", () => {
    const { step } = stepsOf(`${BUNS}Method\nKnead, rise till doubled.\nShape, second rise 20-25 min.\n190°C, 18-22 min`, 20);
    expect(step("rest-formed")?.rest).toMatchObject({ min: 20, target: 23 });
    expect(step("rest-dough")?.rest?.target).toBeGreaterThan(40);
    expect(step("heat")).toMatchObject({ time: { fixedMin: 20 } });
    expect(step("heat")?.equipment).toContainEqual({ id: "oven", settingC: 170 });
  });

  test("oil, water and a lid are a lidded pan, for all its minutes together", () => {
    const { method, step } = stepsOf(
      "Dough\n400 g flour\n210 g boiling water\nFilling\n300 g pork mince\nMethod\nRoll discs, fill, pleat.\nFry in a little oil for 2 minutes, add 100 ml water, lid on for 6-8 minutes, lid off until crisp.",
      50,
    );
    expect(method).toBe("pan");
    expect(step("heat")?.time.fixedMin).toBe(9);
  });

  test("a filling that is cooked and pieces that are baked in one sentence are two heats; a case without a lid is open", () => {
    const { shape, step, item } = stepsOf(
      "Shortcrust\n300 g flour\n150 g butter\n60 ml water\n\nFilling\n3 leeks\n200 ml cream\n2 eggs\n\nMakes 12 in a muffin tin.\nLine the tins, blind bake 12 min at 180 C fan. Sweat the leeks, cool, stir in cream and eggs, pour in, bake another 20 mins.",
    );
    expect([shape, item.base.pieces, step("heat")?.time.fixedMin]).toEqual(["tartlet", 12, 20]);
  });

  test("pieces are counted where they are cut; stages of one pot add up", () => {
    const { item, step } = stepsOf(
      "Mix 260 g flour, 50 g shortening cut in, 120 ml ice water. Poach 700 g chicken thighs for 25 min, shred. Add 100 ml cream, simmer 10 min. Cut 16 rounds, fill, seal. Deep fry in hot oil at 175 °C, 3 minutes a side.",
    );
    expect(item.base.pieces).toBe(16);
    expect(item.dough.parts[0].components.map(({ name }) => name)).toContain("shortening");
    expect(step("cook-filling")?.time.fixedMin).toBe(35);
    expect(step("heat")?.time.fixedMin).toBe(6);
  });
});
