import { demoItem } from "@tests/demo";
import { degreesText } from "@/core/quantities/display";
import { waterText } from "./water-text";

const degrees = (celsius: number) => degreesText(celsius, "C");
const bun = demoItem("bow-seat-bun");
const weigh = bun.steps.find(({ kind, part }) => kind === "weigh" && part === "dough")!;

test("the liquid of a dough with a wanted temperature is said where it is weighed, warmer in a cold room", () => {
  expect(waterText(bun, weigh, 21, degrees)).toMatch(/^milk at about \d+ °C, .*in a room of 21 °C$/);
  const at = (roomC: number) => Number(/about (\d+)/.exec(waterText(bun, weigh, roomC, degrees)!)![1]);
  expect(at(16)).toBeGreaterThanOrEqual(at(26));
  expect(
    waterText(
      bun,
      bun.steps.find(({ kind }) => kind === "bake")!,
      21,
      degrees,
    ),
  ).toBeUndefined();
  const pie = demoItem("slipway-pie");
  expect(waterText({ ...pie, dough: { ...pie.dough, targetC: undefined } }, weigh, 21, degrees)).toBeUndefined();
});
