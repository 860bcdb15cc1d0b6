import { fieldText, valueText } from "./difference-text";

const gathering = { name: "Lunch", waves: [{ id: "a", name: "Supper", time: "18:30" }], guests: [{ count: 3 }] };

test.each([
  [["name"], "Name"],
  [["sparePct"], "Spare pct"],
  [["waves", 0, "time"], "Waves · Supper · time"],
  [["guests", 0, "count"], "Guests · no. 1 · count"],
])("%j is %s", (path, text) => expect(fieldText(path, gathering)).toBe(text));

test.each([
  ["", "nothing"],
  [undefined, "nothing"],
  [7, "7"],
  [[], "nothing"],
  [[{ count: 3, age: "adult" }], "count 3, age adult"],
])("%j is shown as %s", (value, text) => expect(valueText(value).replace(/ ?, ?/g, ", ")).toBe(text));

test("a long value is cut short", () => expect(valueText("x".repeat(500))).toHaveLength(161));
