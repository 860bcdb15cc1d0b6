import fc from "fast-check";
import { clockText } from "./clock";
import { readClock, readNumber } from "./typed";

test.each([
  ["13.30", "13:30"],
  ["1330", "13:30"],
  ["1pm", "13:00"],
  ["13:30", "13:30"],
  ["6:30 PM", "18:30"],
  ["12 am", "00:00"],
  ["12.15 p.m.", "12:15"],
  ["9", "09:00"],
  ["930", "09:30"],
  ["18h", "18:00"],
  ["18 h 05", "18:05"],
  ["24:00", "24:00"],
  ["noon", "12:00"],
])("%s is %s", (typed, time) => expect(readClock(typed)).toBe(time));

test.each(["", "25:00", "13:60", "13 pm", "0 am", "half", "1:2:3", "24:01", "12:5x", "99"])("%j is no time", (typed) =>
  expect(readClock(typed)).toBeUndefined(),
);

test("whatever the clock shows is read as it is", () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), fc.constantFrom("24" as const, "12" as const), (minute, style) => {
      expect(readClock(clockText(minute, style))).toBe(clockText(minute));
    }),
  ));

test.each([
  ["3,5", 3.5],
  ["3.5", 3.5],
  ["½", 0.5],
  ["1½", 1.5],
  ["1 1/2", 1.5],
  ["2/3", 2 / 3],
  [" 12 ", 12],
  ["-4", -4],
  ["−18", -18],
  [".5", 0.5],
])("%s is %f", (typed, value) => expect(readNumber(typed)).toBeCloseTo(value));

test.each(["", "a few", "1/0", "1,000,000", "--3", "1e9", "NaN", "Infinity"])("%j is no number", (typed) =>
  expect(readNumber(typed)).toBeUndefined(),
);
