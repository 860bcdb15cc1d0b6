import { DOUGHS, FAMILY_IDS, type FamilyId } from "../doughs";
import { footprintMm } from "../piece-geometry";
import { SHAPES, type Shape } from "../shapes";
import { draw, type Drawing } from "./draw";
import { reach } from "./marks";
import { heapRadius } from "./measures";

const drawing = (shape: Shape, family: FamilyId, doughG: number, fillingG: number, vented = false): Drawing => {
  const dough = DOUGHS[family];
  return draw({ shape, dough, doughG, fillingG, footprintMm: footprintMm(shape, dough, doughG, doughG + fillingG), vented });
};

test.each(SHAPES.map((shape) => [shape.id, shape] as const))(
  "%s is drawn from its blank to how it lies, inside its frame",
  (_, shape) => {
    for (const family of FAMILY_IDS.filter((id) => shape.fits.includes(id))) {
      const [least, usual, most] = DOUGHS[family].pieceG;
      for (const doughG of [least, usual, most]) {
        const { stages, halfMm } = drawing(shape, family, doughG, doughG * 0.7);
        expect(stages.map(({ id }) => id)).toEqual(expect.arrayContaining(["blank", "fill", "done"]));
        expect(stages[0].id).toBe("blank");
        expect(stages.at(-1)!.id).toBe("done");
        for (const { words, marks } of stages) {
          expect(words).toMatch(/\.$/);
          expect(marks.length).toBeGreaterThan(0);
          for (const { path } of marks) {
            expect(path).not.toMatch(/NaN|Infinity|undefined/);
            expect(reach(path)).toBeLessThanOrEqual(halfMm);
          }
        }
      }
    }
  },
);

test("a heavier piece is drawn larger, by its weight: four times the dough is twice as far across", () => {
  const shape = SHAPES.find(({ id }) => id === "half-moon")!;
  const [small, large] = [25, 100].map((grams) => drawing(shape, "SH", grams, grams).measures.acrossMm);
  expect(large / small).toBeCloseTo(2, 1);
});

test("a fried piece has no holes, a baked one has; the heap is as large as the filling weighs", () => {
  const shape = SHAPES.find(({ id }) => id === "half-moon")!;
  const marks = (vented: boolean) => drawing(shape, "SH", 55, 45, vented).stages.at(-1)!.marks.length;
  expect(marks(true)).toBeGreaterThan(marks(false));
  const r = heapRadius(45_000);
  expect((Math.PI * r ** 3) / 3).toBeCloseTo(45_000, 0);
});
