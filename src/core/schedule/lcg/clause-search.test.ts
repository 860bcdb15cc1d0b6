import fc from "fast-check";
import { expectProblem } from "@tests/any-problem";
import { seeded } from "../../shared/chance";
import { compile } from "../compile";
import type { Problem, ProblemInput } from "../problem";
import { Search } from "../construct/search";
import type { Solution } from "../solution";
import { verify } from "../verify";
import { ClauseSearch } from "./clause-search";

const HORIZON = 26;

/** Three tasks with little room and a bit of every rule, few enough times to try them all. */
const tinyProblem: fc.Arbitrary<ProblemInput> = fc
  .array(
    fc.record({
      kind: fc.constantFrom("hands", "either", "rest", "bake", "fry", "tended"),
      minutes: fc.integer({ min: 2, max: 7 }),
      setting: fc.constantFrom(30, 50),
      sealed: fc.boolean(),
      rank: fc.integer({ min: 0, max: 1 }),
      wait: fc.option(fc.integer({ min: 0, max: 5 }), { nil: undefined }),
      follows: fc.boolean(),
      due: fc.option(fc.integer({ min: 5, max: 24 }), { nil: undefined }),
    }),
    { minLength: 3, maxLength: 3 },
  )
  .chain((sketches) =>
    fc.record({ makespan: fc.constantFrom(0, 1), slots: fc.constantFrom(1, 2), recovery: fc.constantFrom(0, 2) }).map((over) => ({
      format: "unisynth-problem/1" as const,
      horizon: HORIZON,
      resources: [
        {
          id: "ada",
          kind: "pool" as const,
          capacity: 1,
          calendar: [
            [0, 9, 1],
            [11, HORIZON, 1],
          ] as [number, number, number][],
        },
        { id: "ben", kind: "pool" as const, capacity: 1, calendar: [[4, 20, 1]] as [number, number, number][] },
        { id: "oven", kind: "chamber" as const, slots: over.slots, start: 20, heat: 10, cool: 5, recovery: over.recovery },
        { id: "fryer", kind: "chamber" as const, slots: 2, start: 30, heat: 10, cool: 5, recovery: over.recovery, ranked: true },
      ],
      tasks: sketches.map(({ kind, minutes, setting, sealed, rank, wait, follows, due }, i) => {
        const common = {
          id: `t${i}`,
          after: follows && i > 0 ? [{ task: `t${i - 1}`, ...(wait !== undefined && { max: wait }) }] : [],
          ...(due !== undefined && { due, earlyCost: 1, lateCost: 2 }),
        };
        if (kind === "hands") return { ...common, duration: minutes, uses: [{ resource: "ada" }] };
        if (kind === "either")
          return { ...common, duration: { of: 0, minutes: [minutes, minutes + 2] }, uses: [{ resource: ["ada", "ben"] }] };
        if (kind === "rest")
          return {
            ...common,
            // One that may be no rest at all takes nothing then, and may lie where there is nothing to take.
            duration: [sealed ? 0 : minutes, minutes + 4] as [number, number],
            stretchCost: 0.5,
            uses: rank === 1 ? [{ resource: "ada" }] : [],
          };
        if (kind === "bake")
          return { ...common, duration: minutes, uses: [{ resource: "oven", setting, sealed: sealed ? minutes : 0 }] };
        if (kind === "fry") return { ...common, duration: minutes, uses: [{ resource: "fryer", setting, rank }] };
        return {
          ...common,
          duration: minutes,
          uses: [
            { resource: ["ada", "ben"], from: 0, minutes: [1, 2] },
            { resource: "ada", from: -1, minutes: 1 },
          ],
        };
      }),
      costs: { makespan: over.makespan },
    })),
  );

/** The least cost of all schedules, by trying every start, length and choice against the verifier; Infinity without one. */
function leastCost(problem: Problem): number {
  const ways = problem.tasks.map((task) => {
    const choices = task.uses.reduce<string[][]>(
      (rows, use) =>
        rows.flatMap((row) => (typeof use.resource === "string" ? [use.resource] : use.resource).map((r) => [...row, r])),
      [[]],
    );
    return choices.flatMap((taken) => {
      const { duration } = task;
      const lengths =
        typeof duration === "number"
          ? [duration]
          : Array.isArray(duration)
            ? Array.from({ length: duration[1] - duration[0] + 1 }, (_, k) => duration[0] + k)
            : [duration.minutes[(task.uses[duration.of].resource as string[]).indexOf(taken[duration.of])]];
      return lengths.flatMap((length) =>
        Array.from({ length: HORIZON - length + 1 }, (_, start) => ({ id: task.id, start, end: start + length, taken })),
      );
    });
  });
  const alone = ways.map((list, i) =>
    list.filter((entry) => holds({ ...problem, tasks: [{ ...problem.tasks[i], after: [] }] }, [entry]) !== undefined),
  );
  let least = Infinity;
  for (const a of alone[0])
    for (const b of alone[1]) {
      const two = { ...problem, tasks: problem.tasks.slice(0, 2) };
      if (holds(two, [a, b]) === undefined) continue;
      for (const c of alone[2]) {
        const cost = costIfCheaper(problem, [a, b, c], least);
        if (cost < least && holds(problem, [a, b, c]) !== undefined) least = cost;
      }
    }
  return least;
}

function costIfCheaper(problem: Problem, tasks: Solution["tasks"], least: number): number {
  let cost = problem.costs.makespan * Math.max(...tasks.map((t) => t.end));
  problem.tasks.forEach((task, i) => {
    const { start, end } = tasks[i];
    if (task.due !== undefined)
      cost += task.earlyCost * Math.max(0, task.due - end) + task.lateCost * Math.max(0, end - task.due);
    if (Array.isArray(task.duration)) cost += task.stretchCost * (end - start - task.duration[0]);
  });
  return Math.min(cost, least + 1);
}

/** True where only the stated cost is wrong, which it always is here. */
function holds(problem: Problem, tasks: Solution["tasks"]): true | undefined {
  const solution: Solution = { format: "unisynth-solution/1", status: "feasible", cost: 0, bound: 0, tasks, why: [] };
  return verify(problem, solution).every((v) => v.rule === "cost") ? true : undefined;
}

test("the optimum it proves, or the lack of any schedule, is what trying everything gives", () => {
  fc.assert(
    fc.property(tinyProblem, (input) => {
      const problem = expectProblem(input);
      const model = compile(problem);
      const chance = seeded(1);
      const search = new Search(model, chance);
      const wanted = leastCost(problem);
      if (search.stuck >= 0) return expect(wanted).toBe(Infinity);
      const learning = new ClauseSearch(model, search.windows.lo, search.windows.hi, chance);
      let best = Infinity;
      for (;;) {
        const target = best === Infinity ? undefined : best - 1e-4;
        const outcome = learning.run({ target, conflicts: 1e6, spent: () => false, late: () => false });
        if (outcome.kind !== "found") break;
        expect(outcome.schedule.cost).toBeLessThan(best);
        best = outcome.schedule.cost;
      }
      expect(best === Infinity ? best : Math.round(best * 1000)).toBe(wanted === Infinity ? wanted : Math.round(wanted * 1000));
      if (best < Infinity) expect(learning.bound).toBeCloseTo(best, 6);
    }),
    { numRuns: 60 },
  );
});

test("a rest that may be left out lies within what takes the only unit", () => {
  const problem = expectProblem({
    format: "unisynth-problem/1",
    horizon: 30,
    resources: [{ id: "board", kind: "pool", capacity: 1 }],
    tasks: [
      { id: "shape", duration: 10, uses: [{ resource: "board" }], latest: 10 },
      { id: "rest", duration: [0, 5], uses: [{ resource: "board" }], earliest: 4, latest: 6 },
    ],
    costs: { makespan: 1, span: 0 },
  });
  const model = compile(problem);
  const search = new Search(model, seeded(1));
  const learning = new ClauseSearch(model, search.windows.lo, search.windows.hi, seeded(1));
  const outcome = learning.run({ conflicts: 1000, spent: () => false, late: () => false });
  expect(outcome).toMatchObject({ kind: "found", schedule: { cost: 10 } });
});

test("a neighbourhood keeps the other tasks where they are", () => {
  const problem = expectProblem({
    format: "unisynth-problem/1",
    horizon: 60,
    resources: [{ id: "ada", kind: "pool", capacity: 1 }],
    tasks: [0, 1, 2].map((i) => ({ id: `t${i}`, duration: 10, uses: [{ resource: "ada" }], due: 10, lateCost: 1 + i })),
    costs: { makespan: 0, span: 0 },
  });
  const model = compile(problem);
  const search = new Search(model, seeded(1));
  const learning = new ClauseSearch(model, search.windows.lo, search.windows.hi, seeded(1));
  const like = {
    starts: Int32Array.of(0, 10, 20),
    ends: Int32Array.of(10, 20, 30),
    choices: model.uses.map(() => Int32Array.of(0)),
    cost: 80,
  };
  const options = { conflicts: 1000, spent: () => false, late: () => false, like, keep: (task: number) => task === 1 };
  const outcome = learning.run({ ...options, target: 60 });
  expect(outcome.kind === "found" && Array.from(outcome.schedule.starts)).toEqual([20, 10, 0]);
  expect(learning.run({ ...options, target: 30 }).kind).toBe("none");
  expect(learning.exhausted).toBe(false);
});
