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
