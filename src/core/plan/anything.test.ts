import fc from "fast-check";
import { verify } from "../schedule/verify";
import { anyRequest } from "@tests/any-request";
import { makePlan } from "./pipeline";
import { parseRequest } from "./request-check";

/** A clock on which each look takes a moment, so that a plan depends on its request alone. */
function steadyClock(): () => number {
  let at = 0;
  return () => (at += 0.05);
}

test("whatever passes the door is planned or refused, and never ends in a fault", () => {
  let passed = 0;
  const why = new Map<string, number>();
  fc.assert(
    fc.property(anyRequest, (input) => {
      const parsed = parseRequest(input);
      if (!parsed.ok) {
        const key = JSON.stringify([parsed.issues[0].code, parsed.issues[0].path.map((k) => typeof k === "number" ? "#" : k).join("."), parsed.issues[0].wanted]);
        why.set(key, (why.get(key) ?? 0) + 1);
        return;
      }
      passed++;
      const plan = makePlan({ ...parsed.value, solve: { seconds: 0.05, seed: 1 } }, { now: steadyClock() });
      if (plan.solution.status === "infeasible") expect(plan.solution.tasks).toEqual([]);
      else expect(verify(plan.problem, plan.solution)).toEqual([]);
    }),
    { numRuns: Number(process.env.RUNS ?? 2000), seed: Number(process.env.SEED ?? 7), endOnFailure: true },
  );
  console.log(passed, [...why].sort((a, b) => b[1] - a[1]).slice(0, 12));
});
