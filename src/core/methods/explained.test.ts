import { explained } from "./explained";

test("an answer comes with its units, what it holds for, how sure it is and its source", () => {
  const answer = explained("oven.bakeTime", {
    refMin: 25,
    refC: 200,
    ovenC: 180,
    refPieceG: 80,
    pieceG: 120,
    refTrayG: 800,
    trayG: 960,
    trays: 2,
  });
  if (!answer.ok) throw new Error("refused");
  const { units, plusMinusPct, source, holdsFor } = answer.value;
  expect(units).toEqual({ minutes: "min", checkAtMin: "min", swapAtMin: "min" });
  expect(plusMinusPct).toBe(15);
  expect(source).toMatch(/root of the mass/);
  expect(holdsFor.ovenC[0]).toBeLessThan(180);
  expect(holdsFor.ovenC[1]).toBeGreaterThan(200);
});

test.each([
  [
    "cool.newton",
    { startC: 90, ambientC: 21, minutes: 30, depthMm: 20, faces: 2, medium: "air" },
    { tauMin: "min", tempC: "°C" },
  ],
  ["freeze.plank", { shape: "sphere", sizeMm: 28, startC: 8, endC: -12, ambientC: -18 }, { minutes: "min", enthalpyKJ: "kJ/kg" }],
  ["hands.time", { operation: "purse", pieces: 12 }, { minutes: "min", firstS: "s", lastS: "s", meanS: "s" }],
  ["safety.core", { contents: ["poultry"] }, { coreC: "°C" }],
] as const)("%s names the units of its figures", (name, input, units) => {
  const answer = explained(name, input);
  expect(answer.ok && answer.value.units).toMatchObject(units);
});

test("outside its range a model says so instead of answering", () => {
  const answer = explained("oven.bakeTime", { refMin: 25, refC: 200, ovenC: 240, refPieceG: 80, refTrayG: 800 });
  expect(answer.ok).toBe(false);
});
