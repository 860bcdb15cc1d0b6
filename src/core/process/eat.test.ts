import fc from "fast-check";
import { coolToEatMin } from "./eat";

const pie = { coreC: 88, pieceG: 150, roomC: 21, eater: "adult" } as const;

test("a pie of 150 g out at 88 °C is eaten after 25 min, by a child later", () => {
  expect(coolToEatMin(pie)).toBe(25);
  expect(coolToEatMin({ ...pie, eater: "child" })).toBe(38);
});

test("hotter, heavier, warmer kitchens and children wait no shorter; what is cool enough does not wait", () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      number(20, 99),
      number(0, 20),
      number(5, 900),
      number(0, 300),
      number(5, 40),
      (coreC, hotter, pieceG, heavier, roomC) => {
        const wait = (more: object) => coolToEatMin({ coreC, pieceG, roomC, eater: "adult", ...more });
        expect(wait({ coreC: coreC + hotter })).toBeGreaterThanOrEqual(wait({}));
        expect(wait({ pieceG: pieceG + heavier })).toBeGreaterThanOrEqual(wait({}));
        expect(wait({ roomC: Math.min(45, roomC + 3) })).toBeGreaterThanOrEqual(wait({}));
        expect(wait({ eater: "child" })).toBeGreaterThanOrEqual(wait({}));
      },
    ),
  );
  expect(coolToEatMin({ ...pie, coreC: 55 })).toBe(0);
});
