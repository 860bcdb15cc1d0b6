import fc from "fast-check";
import { hostileIn, LONGEST_TEXT, MOST_LEVELS } from "./guard";
import { issueText } from "./issue-text";

const said = (input: unknown) => {
  const issue = hostileIn(input);
  return issue && issueText(issue);
};

test("an object's inside is no field", () =>
  expect(said(JSON.parse('{"a":[{"__proto__":{"x":1}}]}'))).toBe(
    'a[0].__proto__ is "__proto__", which is not known; expected the name of a field',
  ));

test("a text without end is told by its length", () =>
  expect(said({ name: "x".repeat(10_000_000) })).toContain(
    `(10000000 characters)"; expected at most ${LONGEST_TEXT} characters`,
  ));

test("what contains itself ends", () => {
  const ring: Record<string, unknown> = {};
  ring.self = ring;
  expect(said(ring)).toContain(`expected at most ${MOST_LEVELS} levels`);
});

test("whatever JSON can hold in a document of usual depth passes", () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
      const keys = JSON.stringify(value).match(/"(__proto__|constructor|prototype)":/);
      expect(hostileIn(value) === undefined).toBe(keys === null);
    }),
  );
});
