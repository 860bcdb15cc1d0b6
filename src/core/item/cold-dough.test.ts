import { demoItem } from "@tests/demo";
import { coldFor } from "./cold-dough";

const pie = demoItem("slipway-pie");
const rolls = (item = pie) => item.steps.find(({ kind, part }) => kind === "roll" && part === "piece")!;

test("a sheet of short dough is cold for less long where it is warm, and for ever in a cold room", () => {
  const at = (roomC: number) => coldFor(pie, rolls(), roomC);
  expect(at(17)).toBeNull();
  expect(at(21)!).toBeGreaterThan(at(26)!);
  expect(at(26)!).toBeGreaterThan(3);
});

test("dough without much fat, and other steps, have no such clock", () => {
  const bun = demoItem("bow-seat-bun");
  expect(coldFor(bun, rolls(bun), 26)).toBeUndefined();
  expect(
    coldFor(
      pie,
      pie.steps.find(({ kind }) => kind === "bake")!,
      26,
    ),
  ).toBeUndefined();
});
