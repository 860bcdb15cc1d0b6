import { ABOUT } from "./about";
import { readdirSync, readFileSync } from "node:fs";
import { METHODS } from "./methods";
import { pathText } from "../shared/issue-text";

interface Case {
  readonly in: Record<string, unknown>;
  readonly out: unknown;
  readonly tolerance: number;
}

const files = readdirSync("tests/vectors").map(
  (name) => JSON.parse(readFileSync(`tests/vectors/${name}`, "utf8")) as { method: string; cases: Case[] },
);

/** The answer with every number rounded to the tolerance of the wanted one, so that the two can be compared as they stand. */
function close(got: unknown, want: unknown, tolerance: number): unknown {
  if (typeof got === "number" && typeof want === "number")
    return Math.abs(got - want) <= tolerance * Math.max(1, Math.abs(want)) ? want : got;
  if (Array.isArray(got) && Array.isArray(want)) return got.map((value, i) => close(value, want[i], tolerance));
  if (got !== null && want !== null && typeof got === "object" && typeof want === "object")
    return Object.fromEntries(
      Object.entries(got).map(([key, value]) => [key, close(value, (want as Record<string, unknown>)[key], tolerance)]),
    );
  return got;
}

describe.each(files.map(({ method, cases }) => [method, cases] as const))("%s", (method, cases) => {
  test.each(cases.map((one, i) => [i, one] as const))("known answer %i", (_i, one) => {
    const answer = METHODS[method]!(one.in);
    const got = answer.ok ? answer.value : { error: { code: answer.issues[0].code, field: pathText(answer.issues[0].path) } };
    expect(close(got, one.out, one.tolerance)).toEqual(one.out);
  });
});

test("every method has known answers", () => {
  expect(Object.keys(METHODS).sort()).toEqual(files.map((file) => file.method).sort());
});

test("every model of what happens says what it is", () => {
  const models = Object.keys(METHODS).filter((name) =>
    /^(?:temperature|proof|rest|chill|oven|steam|fry|pan|cool|freeze|frozen|safety|hands)\./.test(name),
  );
  expect(models.length).toBeGreaterThan(25);
  expect(models.filter((name) => !(name in ABOUT))).toEqual([]);
});
