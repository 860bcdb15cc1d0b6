import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { compile } from "../compile";
import { takenFrom, takenUntil } from "../model";
import { Occupancy } from "./occupancy";
import type { Problem } from "../problem";
import { placedIn } from "./schedule";
import { solve } from "../solve";
import { verify } from "../verify";

/** What the verifier says of the pools and chambers of the placed tasks by themselves. */
function broken(problem: Problem, occupancy: Occupancy): string[] {
  const kept = problem.tasks.map((task, i) => ({ task, i })).filter(({ i }) => occupancy.isPlaced(i));
  const part: Problem = {
    ...problem,
    tasks: kept.map(({ task }) => ({ ...task, after: [], earliest: undefined, latest: undefined })),
  };
  const starts = Int32Array.from(kept, ({ i }) => occupancy.startOf(i));
  const ends = Int32Array.from(kept, ({ i }) => occupancy.endOf(i));
  const tasks = placedIn(part, { starts, ends, choices: kept.map(({ i }) => occupancy.choices[i]) });
  return verify(part, { format: "unisynth-solution/1", status: "feasible", cost: 0, bound: 0, why: [], tasks })
    .filter(({ rule }) => rule === "pools" || rule === "chambers")
    .map(({ text }) => text);
}

const step = fc.record({
  task: fc.nat(8),
  start: fc.integer({ min: 0, max: 120 }),
  longer: fc.nat(20),
  choice: fc.nat(1),
  removes: fc.boolean(),
});

test("whatever is placed and taken out again, what stands keeps the rules of every resource", () => {
  let placed = 0;
  let refused = 0;
  fc.assert(
    fc.property(anyProblem(9), fc.array(step, { minLength: 10, maxLength: 60 }), (input, steps) => {
      const problem = expectProblem(input);
      const model = compile(problem);
      const occupancy = new Occupancy(model);
      for (const { task: wanted, start, longer, choice, removes } of steps) {
        const i = wanted % model.n;
        if (occupancy.isPlaced(i)) {
          if (removes && occupancy.recoversEverywhere()) occupancy.remove(i);
          continue;
        }
        const byChoice = model.durationOf[i] >= 0;
        const lengths = model.durations[i];
        const forced = byChoice ? choice % lengths.length : -1;
        const length = byChoice ? lengths[forced] : Math.min(model.most[i], model.least[i] + longer);
        if (occupancy.place(i, start, start + length, forced)) placed++;
        else refused++;
      }
      // What was taken out may have bridged a pause: that alone is not the occupancy's to keep.
      const faults = broken(problem, occupancy).filter((text) => occupancy.recoversEverywhere() || !/recover/i.test(text));
      expect(faults).toEqual([]);
    }),
    { numRuns: 200 },
  );
  expect(placed).toBeGreaterThan(300);
  expect(refused).toBeGreaterThan(50);
});

test("a refusal says how far the task must move at the least: nothing nearer fits", () => {
  fc.assert(
    fc.property(anyProblem(9), fc.array(step, { minLength: 10, maxLength: 40 }), (input, steps) => {
      const problem = expectProblem(input);
      const model = compile(problem);
      const occupancy = new Occupancy(model);
      for (const { task: wanted, start } of steps) {
        const i = wanted % model.n;
        if (occupancy.isPlaced(i) || model.durationOf[i] >= 0) continue;
        const length = model.least[i];
        if (occupancy.place(i, start, start + length)) continue;
        const { back, on } = occupancy;
        for (let away = 1; away < Math.min(on, 40); away++)
          expect(occupancy.place(i, start + away, start + away + length)).toBe(false);
        for (let away = 1; away < Math.min(back, 40) && away <= start; away++)
          expect(occupancy.place(i, start - away, start - away + length)).toBe(false);
      }
    }),
    { numRuns: 100 },
  );
});

test("of two ovens the one that is warm is taken, and the slower one only when it is", () => {
  const oven = (id: string, heat: number) => ({ id, kind: "chamber", slots: 1, start: 20, heat, cool: 5 });
  const bake = (id: string) => ({ id, duration: 10, uses: [{ resource: ["slow", "quick"], setting: 220 }] });
  const day = { format: "unisynth-problem/1", horizon: 100, tasks: [bake("pies"), bake("buns")], costs: { makespan: 1 } };
  const problem = expectProblem({ ...day, resources: [oven("slow", 5), oven("quick", 10)] });
  const occupancy = new Occupancy(compile(problem));
  expect([occupancy.place(0, 20, 30), occupancy.place(1, 25, 35)]).toEqual([true, false]);
  expect(problem.tasks[0].uses[0].resource[occupancy.choices[0][0]]).toBe("quick");
  expect(occupancy.on).toBe(5);
  expect(occupancy.place(1, 40, 50)).toBe(true);
  const best = solve(problem, { now: () => 0, iterations: 400 });
  expect(verify(problem, best)).toEqual([]);
  // Both in the quick oven, one after the other, are over sooner than one of them waits for the slow one.
  expect(best).toMatchObject({ status: "optimal", cost: 40 });
});

test("a part stays with its end of the task, however long the task is", () => {
  const model = compile(
    expectProblem({
      format: "unisynth-problem/1",
      horizon: 100,
      resources: [{ id: "ada", kind: "pool", capacity: 1 }],
      tasks: [
        {
          id: "rest",
          duration: [20, 60],
          uses: [{ resource: "ada", from: 2, minutes: 3 }, { resource: "ada", from: -5, minutes: 4 }, { resource: "ada" }],
        },
      ],
      costs: {},
    }),
  );
  const [first, last, whole] = model.uses[0];
  const minutes = (use: typeof first, end: number) => [takenFrom(use, 10, end), takenUntil(use, 0, 10, end)];
  expect([minutes(first, 30), minutes(first, 70)]).toEqual([
    [12, 15],
    [12, 15],
  ]);
  expect([minutes(last, 30), minutes(last, 70)]).toEqual([
    [25, 29],
    [65, 69],
  ]);
  expect(minutes(whole, 70)).toEqual([10, 70]);
});
