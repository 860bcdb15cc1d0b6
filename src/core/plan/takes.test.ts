import { demoInput, expectRequest } from "@tests/demo";
import { paceTogether } from "../kitchen/pace";
import { makePlan } from "./pipeline";
import type { Plan } from "./schema";
import { handsIn, takingsOf } from "./takes";

/** A rise of 75 min from minute 60, with what a cook does meanwhile. */
function rising(work: readonly (readonly [number, number])[]): Plan {
  const tasks = work.map(([start, end], k) => ({ id: `w${k}`, start, end, taken: ["ada"] }));
  return {
    day: { cooks: [{ id: "ada", name: "Ada", skill: "intermediate" }] },
    problem: {
      resources: [{ id: "ada", kind: "pool", capacity: 1, calendar: [[0, 600, 1]] }],
      tasks: tasks.map(({ id }) => ({ id, uses: [{ resource: "ada" }] })),
    },
    solution: { tasks },
  } as unknown as Plan;
}

test("75 min of rise hold a 45 min filling and a 20 min dip, and 10 min are spare", () => {
  const [ada] = handsIn(
    rising([
      [60, 105],
      [105, 125],
      [140, 150],
    ]),
    60,
    135,
  );
  expect(ada).toEqual({ cook: "ada", thereMin: 75, busyMin: 65 });
});

test("over a whole plan every minute of hands is counted once", () => {
  const plan = makePlan({ ...expectRequest(demoInput("first-try")), solve: { seed: 1, iterations: 50 } }, { now: () => 0 });
  const all = takingsOf(plan).filter(({ resource }) => resource === "teo");
  const [teo] = handsIn(plan, 0, plan.problem.horizon);
  expect(teo.busyMin).toBe(all.reduce((sum, { from, to }) => sum + to - from, 0));
  expect(teo.busyMin).toBeLessThanOrEqual(teo.thereMin);
});

test("two people at 1.5 and 2.5 min a piece: 0.94 min a piece together", () => {
  expect(paceTogether([1.5, 2.5])).toBeCloseTo(0.94, 2);
});
