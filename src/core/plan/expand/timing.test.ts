import { demoItem, demoKitchen } from "@tests/demo";
import type { Step } from "../../item/step";
import { leastForTends, restWindow, stepHere, tendsOf } from "./timing";
import { trayCoolingMin } from "../../process/cool";
import { yeastFactor } from "../../process/in-room";
import { relaxation } from "../../process/rest";

const step = (item: string, id: string): Step => demoItem(item).steps.find((s) => s.id === id)!;
const at = (c: number) => ({ ...demoKitchen("boathouse"), roomC: [{ from: "06:00", to: "23:00", c }] });

test("ten degrees colder doubles the time of a yeasted rest", () => {
  expect(yeastFactor(24, 14)).toBe(2);
  expect(yeastFactor(24, 24)).toBe(1);
});

test("a bulk rest of 55 to 120 min at its own temperature is longer in a cool room", () => {
  const bulk = step("bow-seat-bun", "b-bulk");
  const own = restWindow(bulk, at(bulk.rest!.atC), [600, 900]);
  expect([own.min, own.max]).toEqual([55, 120]);
  const cool = restWindow(bulk, at(bulk.rest!.atC - 4), [600, 900]);
  expect(cool.min).toBe(Math.ceil(55 * 2 ** 0.4));
  expect(cool.max).toBe(Math.floor(120 * 2 ** 0.4));
});

test("a rest in the fridge does not follow the room", () => {
  const chill = step("slipway-pie", "a-chill-formed");
  expect(restWindow(chill, at(30), [600, 900]).min).toBe(15);
});

test("a stretched sheet relaxes in 43 min at 32 °C and in 86 at 15 °C; a few degrees more shorten nothing", () => {
  const ready = relaxation({ kind: "stretched", tempC: 22, hydrationPct: 60, factor: 1 }).readyMin;
  const sheet: Step = {
    ...step("slipway-pie", "a-chill-formed"),
    equipment: [],
    tend: [],
    rest: { min: ready, target: 97, max: 240, atC: 22, where: "room", follows: { by: "relaxation" } },
  };
  expect([32, 15].map((c) => restWindow(sheet, at(c), [600, 900]).min)).toEqual([44, 87]);
  expect(restWindow(sheet, at(24), [600, 900]).min).toBe(Math.ceil(ready));
  expect(restWindow(sheet, at(32), [600, 900]).max).toBe(240);
});

test("a spread filling cools sooner in a cold room, and later where it is deeper", () => {
  const cooling = (depthMm: number): Step => ({
    ...step("slipway-pie", "a-chill-formed"),
    equipment: [],
    tend: [],
    rest: {
      ...{ min: trayCoolingMin(95, 25, 21, depthMm).roomMin, target: 60, max: 300, atC: 21, where: "room" },
      follows: { by: "cooling", fromC: 95, toC: 25, depthMm },
    },
  });
  const min = (depthMm: number, c: number) => restWindow(cooling(depthMm), at(c), [600, 900]).min;
  expect(min(10, 21)).toBe(48);
  expect(min(10, 10)).toBeLessThan(min(10, 21));
  expect(min(25, 21)).toBeGreaterThan(min(10, 21));
});

test("where the room changes within reach, the window is right on both sides of the change", () => {
  const proof = step("bow-seat-bun", "b-proof");
  const kitchen = {
    ...demoKitchen("boathouse"),
    roomC: [
      { from: "06:00", to: "13:00", c: 20 },
      { from: "13:00", to: "23:00", c: 23 },
    ],
  };
  const window = restWindow(proof, kitchen, [13 * 60 - 60, 13 * 60 + 60]);
  const factor = (c: number) => yeastFactor(proof.rest!.atC, c);
  expect(window.min).toBeGreaterThanOrEqual(Math.ceil(35 * factor(20)));
  expect(window.max).toBeLessThanOrEqual(Math.floor(75 * factor(23)));
});

test("a slow cook's tend grows up to the next one, and no further", () => {
  const cook = (skill: "beginner" | "experienced") => ({ ...demoKitchen("boathouse").cooks[0], skill });
  const tends = tendsOf(
    {
      ...step("slipway-pie", "a-bake"),
      tend: [
        { fromMin: 0, minutes: 4 },
        { fromMin: 5, minutes: 2 },
        { fromMin: -1, minutes: 1 },
      ],
    },
    [cook("beginner"), cook("experienced")],
    24,
  );
  expect(tends.map((t) => t.minutes)).toEqual([
    [5, 4],
    [3, 2],
    [1, 1],
  ]);
});

test("tends at both ends need their length", () => {
  expect(
    leastForTends({
      ...step("slipway-pie", "a-bake"),
      tend: [
        { fromMin: 2, minutes: 3 },
        { fromMin: -4, minutes: 2 },
      ],
    }),
  ).toBe(9);
});

test("without a mixer the dough is made by hand, on the worktop", () => {
  const mix = stepHere(step("bow-seat-bun", "b-knead"), demoKitchen("first-kitchen"));
  expect(mix).toMatchObject({ attention: "hands-on", time: { fixedMin: 19 } });
  expect(mix.equipment.map((e) => e.id)).toEqual(["probe", "worktop"]);
});
