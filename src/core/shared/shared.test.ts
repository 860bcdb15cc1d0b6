import fc from "fast-check";
import { z } from "zod";
import { clockText, lengthText, minutesOfClock } from "./clock";
import type { Result } from "./issue";
import { issueText, pathText } from "./issue-text";
import { parseWith } from "./parse";
import { seeded } from "./chance";
import { down, near, up } from "./rounding";

const firstIssue = <T>(result: Result<T>) => (result.ok ? undefined : result.issues[0]);

describe("clock", () => {
  test.each([
    [0, "00:00"],
    [1110, "18:30"],
    [1440 + 65, "01:05"],
    [-30, "23:30"],
  ])("minute %i is %s", (minute, text) => expect(clockText(minute)).toBe(text));
  test.each([
    [45, "45 min"],
    [60, "1 h"],
    [125, "2 h 05"],
  ])("%i minutes are %s", (minutes, text) => expect(lengthText(minutes)).toBe(text));
  test("a time of day is read back as it was written", () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => expect(minutesOfClock(clockText(minute))).toBe(minute)));
  });
  test.each(["24:01", "7:5", "noon", "12:60", ""])("%s is no time of day", (text) =>
    expect(minutesOfClock(text)).toBeUndefined(),
  );
  test("the day ends at 24:00", () => expect(minutesOfClock("24:00")).toBe(1440));
});

describe("sentences for issues", () => {
  test("a path reads as people write it", () =>
    expect(pathText(["gathering", "guests", 0, "count"])).toBe("gathering.guests[0].count"));
  test.each([
    [{ code: "missing", path: ["name"], wanted: "a name" } as const, "name is missing; expected a name"],
    [{ code: "out_of_range", path: ["pieces"], got: 0, wanted: "1 or more" } as const, "pieces is 0; expected 1 or more"],
    [{ code: "unknown", path: [], got: "x" } as const, 'the input is "x", which is not known'],
    [{ code: "not_an_integer", path: ["n"], got: NaN } as const, "n is not a number"],
  ])("%j", (issue, text) => expect(issueText(issue)).toBe(text));
  test("the name on the screen stands for the path", () =>
    expect(issueText({ code: "missing", path: ["a", "b"] }, "Guests")).toBe("Guests is missing"));
  test("a long value is cut", () => expect(issueText({ code: "unreadable", path: ["t"], got: "y".repeat(200) })).toMatch(/…/));
});

describe("parsing with a schema", () => {
  const schema = z.object({
    n: z.int().min(1).max(9),
    kind: z.enum(["a", "b"]),
    list: z.array(z.string()).min(1),
    why: z.string().refine((t) => t !== "no", { error: "anything but no" }),
  });
  const good = { n: 3, kind: "a", list: ["x"], why: "yes" };
  test("what is right comes through", () => expect(parseWith(schema, good)).toEqual({ ok: true, value: good }));
  test.each([
    [{ ...good, n: "3" }, "wrong_type", "a number"],
    [{ ...good, n: 2.5 }, "not_an_integer", "a whole number"],
    [{ ...good, n: 0 }, "out_of_range", "a number of at least 1"],
    [{ ...good, n: 10 }, "out_of_range", "a number of at most 9"],
    [{ ...good, kind: "c" }, "unknown", 'one of "a", "b"'],
    [{ ...good, list: [] }, "out_of_range", "at least one entry"],
    [{ ...good, why: "no" }, "unreadable", "anything but no"],
    [{ ...good, why: undefined }, "missing", "a text"],
  ])("%j", (input, code, wanted) => expect(firstIssue(parseWith(schema, input))).toMatchObject({ code, wanted }));
  test("every fault is told, not the first alone", () => {
    const parsed = parseWith(schema, { n: 0, kind: "z", list: [], why: "no" });
    expect(parsed.ok ? 0 : parsed.issues.length).toBe(4);
  });
});

describe("rounding and chance", () => {
  test("a hair's breadth is no further carrier", () => {
    expect([up(3 + 1e-12), down(3 - 1e-12), near(2.5), near(2.4999)]).toEqual([3, 3, 3, 2]);
  });
  test("a seed gives the same sequence, another seed another", () => {
    const row = (seed: number) =>
      Array.from(
        { length: 5 },
        (
          (chance) => () =>
            chance.below(1000)
        )(seeded(seed)),
      );
    expect(row(7)).toEqual(row(7));
    expect(row(7)).not.toEqual(row(8));
  });
  test("below stays below", () => {
    const chance = seeded(3);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), (n) => {
        const value = chance.below(n);
        expect(Number.isInteger(value) && value >= 0 && value < n).toBe(true);
      }),
    );
  });
});
