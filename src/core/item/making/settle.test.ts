import { makeItem } from "./make-item";
import { RecipeInputSchema } from "./recipe-input";
import { remake } from "./remake";
import { capacityByMeasures, setCapacity, settled } from "./settle";
import type { Item } from "../schema";

const pies = (): Item => {
  const made = makeItem(
    RecipeInputSchema.parse({
      name: "Pies",
      makes: 12,
      dough: ["400 g flour", "200 g butter", "120 g water"],
      fillings: ["400 g apples"],
      method: ["Fold to half-moons. Bake 25 min at 190 C."],
    }),
    { taken: [] },
  );
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return made.value.item;
};
const heavier = (item: Item, doughG: number): Item => settled(item, { ...item, piece: { ...item.piece, doughG } });

test("a heavier piece lies larger and a tray takes fewer, at once", () => {
  const item = pies();
  const large = heavier(item, 2 * item.piece.doughG);
  expect(large.piece.footprintMm![0]).toBeGreaterThan(item.piece.footprintMm![0] * 1.3);
  expect(large.capacity.perTray).toBeLessThan(item.capacity.perTray);
  expect(heavier(large, item.piece.doughG)).toEqual(item);
});

test("the cook's own number stands against the measures, also where the item is made otherwise, until it is taken back", () => {
  const own = setCapacity(pies(), "perTray", 7);
  expect(own.capacity.perTray).toBe(7);
  expect(heavier(own, 120).capacity.perTray).toBe(7);
  const other = remake(own, { shape: "rope-half-moon" })!.item;
  expect(other.capacity.perTray).toBe(7);
  const back = setCapacity(other, "perTray", undefined);
  expect(back.capacity.perTray).toBe(capacityByMeasures(back)!.perTray);
  expect(back.making!.ownCapacity).toBeUndefined();
});

test("a size that the cook measured is taken as it is", () => {
  const item = pies();
  const measured = settled(item, { ...item, piece: { ...item.piece, footprintMm: [60, 40] } });
  expect(measured.piece.footprintMm).toEqual([60, 40]);
  expect(measured.capacity.perTray).toBeGreaterThan(item.capacity.perTray);
});
