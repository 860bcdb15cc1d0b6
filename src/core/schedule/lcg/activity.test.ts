import fc from "fast-check";
import { Activity } from "./activity";

type Step = { kind: "credit" | "putBack"; x: number } | { kind: "age" | "drop" };
const VARS = 40;
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ kind: fc.constantFrom("credit" as const, "putBack" as const), x: fc.nat(VARS - 1) }),
  fc.record({ kind: fc.constantFrom("age" as const, "drop" as const) }),
);

test("the first is always the one with the largest part, of equals the oldest", () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 300 }), (steps) => {
      const activity = new Activity();
      for (let x = 0; x < VARS; x++) activity.addVar();
      // The same by hand: parts that grow, and a set that is looked through.
      const part = new Array<number>(VARS).fill(0);
      const inside = new Set(part.keys());
      let weight = 1;
      const first = () => [...inside].sort((a, b) => part[b] - part[a] || a - b)[0] ?? -1;
      for (const s of steps) {
        if (s.kind === "credit") {
          activity.credit(s.x);
          part[s.x] += weight;
        } else if (s.kind === "putBack") {
          activity.putBack(s.x);
          inside.add(s.x);
        } else if (s.kind === "age") {
          activity.age();
          weight *= 1.05;
        } else if (inside.size > 0) {
          inside.delete(first());
          activity.dropFirst();
        }
        expect(activity.first()).toBe(first());
      }
    }),
  );
});

test("parts stay comparable after very many dead ends", () => {
  const activity = new Activity();
  activity.addVar();
  activity.addVar();
  activity.credit(0);
  for (let k = 0; k < 20_000; k++) activity.age();
  activity.credit(1);
  expect(activity.first()).toBe(1);
});
