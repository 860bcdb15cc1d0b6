import { changeComponent, componentsAt, removeComponent } from "./desk";
import { followLines } from "./making/follow-lines";
import { makeItem } from "./making/make-item";
import { RecipeInputSchema } from "./making/recipe-input";
import { addFilling, fillingsOfItem, removeFilling, renameFilling } from "./more-fillings";
import { resolveItem } from "./resolve";
import { ItemSchema, type Component, type Item } from "./schema";
import { isHeat } from "./step";

const made = makeItem(
  RecipeInputSchema.parse({
    name: "Buns",
    makes: 20,
    text: "Dough\n500 g flour\n300 ml milk\n7 g instant yeast\n60 g butter\n9 g salt\nFilling\n500 g leeks\n100 g cheddar\nMethod\nCook the filling 15 min. Knead, let rise 1 hour, fill, let rise 30 min. Bake at 190 °C for 20 min.",
  }),
  { taken: [] },
);
if (!made.ok) throw new Error("not made");
const plain = made.value.item;
const chicken: Component = { id: "chicken", name: "chicken thigh, raw", grams: 600, cook: true };
const added = (item: Item) => followLines(item, item, addFilling(item, "Chicken", [chicken])).item;
const heatCore = (item: Item, filling: string) =>
  resolveItem(item, {}, filling).steps.find((step) => isHeat(step) && step.path.includes("fresh"))!.coreC;

test("a filling that is added is made as it has to be, the first one as before", () => {
  const two = added(plain);
  expect(ItemSchema.safeParse(two).success).toBe(true);
  expect(fillingsOfItem(two).map(({ id, name, rawG }) => [id, name, rawG])).toEqual([
    [undefined, "Filling 1", 600],
    ["chicken", "Chicken", 600],
  ]);
  expect(heatCore(two, "chicken")).toBe(74);
  expect(heatCore(two, "base")).toBe(heatCore(plain, "base"));
});

test("taken out again, the item is as it was", () => {
  const two = added(plain);
  const back = removeFilling(two, "chicken");
  expect(followLines(two, two, back).item.steps).toEqual(plain.steps);
});

test("lines of each filling are changed by themselves; a name is never blank", () => {
  const two = addFilling(plain, "", [chicken]);
  const [, second] = fillingsOfItem(two);
  expect(second.name).toBe("Filling 2");
  const less = changeComponent(two, { in: "filling", of: second.id }, 0, (line) => ({ ...line, grams: 450 }));
  expect(fillingsOfItem(less).map(({ rawG }) => rawG)).toEqual([600, 450]);
  expect(removeComponent(less, { in: "filling", of: second.id }, 0)).toBe(less);
  expect(fillingsOfItem(renameFilling(less, second.id, "Hen"))[1].name).toBe("Hen");
  expect(renameFilling(less, second.id, "  ")).toBe(less);
});

test("the base that fillings share is changed in all of them at once", () => {
  const onion: Component = { id: "base-onion", name: "onion", grams: 200, cook: true, base: true };
  const based = { ...plain, filling: { ...plain.filling, components: [onion, ...plain.filling.components] } };
  const two = addFilling(based, "Chicken", [chicken]);
  expect(componentsAt(two, { in: "filling", of: "chicken" })).toEqual([onion, chicken]);
  const more = changeComponent(two, { in: "filling", of: "chicken" }, 0, (line) => ({ ...line, grams: 300 }));
  expect(componentsAt(more, { in: "filling" })[0].grams).toBe(300);
  expect(componentsAt(removeComponent(more, { in: "filling" }, 0), { in: "filling", of: "chicken" })).toEqual([chicken]);
});
