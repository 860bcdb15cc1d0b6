import { addComponent, removeComponent, renameComponent, type Place } from "../desk";
import { editStep } from "../step-edit";
import type { Item } from "../schema";
import { followLines, onlyLinesDiffer } from "./follow-lines";
import { makeItem } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";
import { remake } from "./remake";

const FILLING: Place = { in: "filling" };
const text = (filling: string, method: string) =>
  `Dough\n500 g flour\n250 g butter\n120 ml water\n8 g salt\nFilling\n${filling}\nMethod\n${method}`;
const made = (filling: string, method = "Cook the filling 15 min. Roll, fill, fold over. Bake at 190 °C for 25 min."): Item => {
  const item = makeItem(RecipeInputSchema.parse({ name: "Pies", makes: 16, text: text(filling, method) }), { taken: [] });
  if (!item.ok) throw new Error("not made");
  return item.value.item;
};
const followed = (from: Item, next: Item): Item => followLines(from, from, next).item;
const heatOf = (item: Item) => item.steps.find(({ id }) => id === "heat")!;

const vegetable = made("400 g potatoes, diced\n200 g onions");

test("raw chicken that is added has its core measured, and is not when it is taken out again", () => {
  const more = followed(vegetable, addComponent(vegetable, FILLING, "chicken thigh, raw", 300));
  expect(heatOf(more).coreC).toBe(74);
  expect(heatOf(more).equipment).toContainEqual({ id: "probe" });
  expect(followed(more, removeComponent(more, FILLING, 2)).steps).toEqual(vegetable.steps);
});

test("a filling that is not cooked becomes one of raw meat, with all that this asks", () => {
  const raw = made("300 g feta\n200 g spinach", "Mix the filling. Roll, fill, fold over. Bake at 190 °C for 25 min.");
  expect(raw.making?.filling).toBe("cheese");
  const meat = followed(raw, addComponent(raw, FILLING, "minced pork", 500));
  expect(meat.making?.filling).toBe("raw-meat");
  expect(heatOf(meat).coreC).toBe(71);
  expect(meat.filling.useAtMaxC).toBe(5);
});

test("a kind of filling that the cook chose stays", () => {
  const { item: chosen } = remake(vegetable, { filling: "vegetable" })!;
  expect(vegetable.making?.filling).toBe("mash");
  expect(followed(chosen, addComponent(chosen, FILLING, "cheddar", 50)).making?.filling).toBe("vegetable");
});

test("what the cook changed stays, through words that are half typed", () => {
  const longer = editStep(vegetable, "heat", { fixedMin: 31, do: "Bake them as grandmother did." });
  if (!longer.ok) throw new Error("refused");
  const own = longer.value;
  let now = addComponent(own, FILLING, "x", 300);
  now = followLines(own, own, now).item;
  for (const word of ["c", "chi", "chick", "chicken", "chicken t", "chicken thigh, raw"])
    now = followLines(own, now, renameComponent(now, FILLING, 2, word)).item;
  expect(heatOf(now)).toMatchObject({ time: { fixedMin: 31 }, do: "Bake them as grandmother did.", coreC: 74 });
});

test("only changes of what goes in are followed", () => {
  expect(onlyLinesDiffer(vegetable, addComponent(vegetable, FILLING, "salt", 5))).toBe(true);
  expect(onlyLinesDiffer(vegetable, { ...vegetable, name: "Others" })).toBe(false);
  expect(onlyLinesDiffer(vegetable, vegetable)).toBe(false);
});
