import type { Result } from "../shared/issue";
import { pathText } from "../shared/issue-text";
import { fields, filled, list, num, oneOf, whole, yesOrNo } from "./field";
import { readInput } from "./read-input";

const firstIssue = <T>(result: Result<T>) => (result.ok ? undefined : result.issues[0]);

describe("inputs of methods", () => {
  const rules = fields({
    grams: num(0, 100, { above: true, unit: "g" }),
    pieces: whole(1, 10).default(4),
    size: oneOf(["S", "M"]).optional(),
    lines: list(fields({ id: filled, wet: yesOrNo.default(false) }), 1),
  });
  const good = { grams: 5, lines: [{ id: "a" }] };
  test("defaults are filled in, what is optional stays out, what is not listed is dropped", () => {
    expect(readInput(rules, { ...good, extra: 1, size: null })).toEqual({
      ok: true,
      value: { grams: 5, pieces: 4, lines: [{ id: "a", wet: false }] },
    });
  });
  test.each<[unknown, string, string]>([
    [7, "wrong_type", ""],
    [{ ...good, grams: null }, "missing", "grams"],
    [{ ...good, grams: 0 }, "out_of_range", "grams"],
    [{ ...good, grams: Infinity }, "wrong_type", "grams"],
    [{ ...good, pieces: 2.5 }, "not_an_integer", "pieces"],
    [{ ...good, pieces: 11.5 }, "not_an_integer", "pieces"],
    [{ ...good, size: 3 }, "unknown", "size"],
    [{ ...good, lines: [] }, "missing", "lines"],
    [{ ...good, lines: {} }, "wrong_type", "lines"],
    [{ ...good, lines: [{ id: " " }] }, "missing", "lines[0].id"],
    [{ ...good, lines: [{ id: "a" }, null] }, "missing", "lines[1]"],
    [{ ...good, lines: [{ id: "a", wet: "yes" }] }, "wrong_type", "lines[0].wet"],
  ])("%j", (input, code, field) => {
    const issue = firstIssue(readInput(rules, input))!;
    expect([issue.code, pathText(issue.path)]).toEqual([code, field]);
  });
  test("the first fault in the order of the rules is the answer", () =>
    expect(firstIssue(readInput(rules, { pieces: 99 }))!.path).toEqual(["grams"]));
  test("what was expected carries its unit", () =>
    expect(firstIssue(readInput(rules, { ...good, grams: 101 }))!.wanted).toBe("above 0 and at most 100 g"));
});
