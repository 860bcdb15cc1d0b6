import fc from "fast-check";
import { readFileSync } from "node:fs";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { hardDay } from "@tests/hard-days";
import type { ProblemInput } from "./problem";
import { solve } from "./solve";
import { SolutionSchema } from "./solution";
import { verify } from "./verify";

const example = (name: string, kind: "problem" | "solution") =>
  JSON.parse(readFileSync(`tests/examples/${name}.${kind}.json`, "utf8"));

/** A clock that stands still: only iterations limit the search. */
const now = () => 0;
const answer = (input: unknown, iterations: number, seed = 1) => solve(expectProblem(input), { now, iterations, seed });

const task = (id: string, over: Partial<ProblemInput["tasks"][number]> = {}) => ({ id, duration: 10, ...over });
const kitchen = (tasks: ProblemInput["tasks"], over: Partial<ProblemInput> = {}): ProblemInput => ({
  format: "unisynth-problem/1",
  horizon: 200,
  resources: [{ id: "hands", kind: "pool", capacity: 1 }],
  tasks,
  ...over,
});

describe("the worked examples", () => {
  test.each(["first-loaf", "two-heats", "mixed-crew"])("%s is reached at its proven optimum", (name) => {
    const problem = expectProblem(example(name, "problem"));
    const best = SolutionSchema.parse(example(name, "solution"));
    const found = solve(problem, { now, iterations: 20000, seed: 1 });
    expect(verify(problem, found)).toEqual([]);
    expect(found.cost).toBeCloseTo(best.cost, 6);
    expect(found.bound).toBeLessThanOrEqual(best.cost + 1e-6);
  });

  test("supper-for-thirty gets a schedule that keeps every rule", () => {
    const problem = expectProblem(example("supper-for-thirty", "problem"));
    const found = solve(problem, { now, iterations: 300, seed: 1 });
    expect(found.status).not.toBe("infeasible");
    expect(verify(problem, found)).toEqual([]);
  });

  test("lone-cook has none, and the reason names the fold and the hands", () => {
    const found = answer(example("lone-cook", "problem"), 10);
    expect(found.status).toBe("infeasible");
    expect(found.proof).toBe("windows");
    expect(found.why[0]).toMatch(/four hands.*2 of hands/);
  });
});

describe("any small kitchen", () => {
  test("a schedule that is found keeps every rule and states its cost and a bound below it", () => {
    fc.assert(
      fc.property(anyProblem(), (input) => {
        const problem = expectProblem(input);
        const found = solve(problem, { now, iterations: 60, passes: 300, seed: 1 });
        expect(verify(problem, found)).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  test("a claim of optimality is never refuted by a longer search", () => {
    fc.assert(
      fc.property(anyProblem(6), (input) => {
        const problem = expectProblem(input);
        const quick = solve(problem, { now, iterations: 20, passes: 300, seed: 1 });
        const long = solve(problem, { now, iterations: 400, passes: 300, seed: 7 });
        if (quick.status === "infeasible" || long.status === "infeasible") return;
        expect(quick.bound).toBeLessThanOrEqual(long.cost + 1e-6);
        if (quick.status === "optimal") expect(long.cost).toBeGreaterThanOrEqual(quick.cost - 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test("days that are hard on purpose: what is found keeps every rule, and no seed refutes what another has proven", () => {
    let none = 0;
    let optimal = 0;
    for (let seed = 0; seed < 30; seed++) {
      const problem = expectProblem(hardDay(6 + (seed % 9), seed, seed % 2 === 0 ? 0 : -3));
      const [a, b] = [1, 2].map((s) => solve(problem, { now, iterations: 100, passes: 60, seed: s }));
      for (const found of [a, b]) expect(verify(problem, found)).toEqual([]);
      if (a.proof || b.proof) {
        none++;
        expect([a.status, b.status]).toEqual(["infeasible", "infeasible"]);
      }
      if (a.status !== "optimal") continue;
      optimal++;
      if (b.status !== "infeasible") expect(b.cost).toBeGreaterThanOrEqual(a.cost - 1e-6);
    }
    expect(none).toBeGreaterThan(0);
    expect(optimal).toBeGreaterThan(5);
  });

  test("the same seed and iterations give the same schedule", () => {
    const input = example("supper-for-thirty", "problem");
    expect(JSON.stringify(answer(input, 40, 3))).toBe(JSON.stringify(answer(input, 40, 3)));
  });
});

test("nothing to do costs nothing", () => {
  expect(answer(kitchen([]), 10)).toMatchObject({ status: "optimal", cost: 0, tasks: [] });
});

test("two tasks for one pair of hands stand one after the other", () => {
  const found = answer(
    kitchen([task("a", { uses: [{ resource: "hands" }] }), task("b", { uses: [{ resource: "hands" }] })], {
      costs: { makespan: 1 },
    }),
    200,
  );
  expect(found.cost).toBe(20);
});

test("a window that is too short is proven to be so", () => {
  const found = answer(kitchen([task("a", { earliest: 50, latest: 55, label: "Bake" })]), 10);
  expect(found).toMatchObject({ status: "infeasible", proof: "windows" });
  expect(found.why[0]).toBe(
    "Bake takes at least 10 min, but what comes before and after it leaves only the time between minute 50 (00:50) and minute 55 (00:55).",
  );
});

test("a search that is told to stop gives what it has", () => {
  const problem = expectProblem(example("supper-for-thirty", "problem"));
  const found = solve(problem, { now, seed: 1, progress: (state) => state.phase === "first" });
  expect(verify(problem, found)).toEqual([]);
});
