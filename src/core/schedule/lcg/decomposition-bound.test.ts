import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { kitchen } from "@tests/kitchens";
import { seeded } from "../../shared/chance";
import { Budget } from "../budget";
import { leastSpan } from "../construct/energy";
import { compile } from "../compile";
import type { Problem } from "../problem";
import { Search } from "../construct/search";
import { solve } from "../solve";
import { Solver } from "../solver";
import { Parts } from "./decomposition-bound";

const now = () => 0;

/**
 * The bound that shares of at most so many tasks come to in so many looks, begun at a schedule that is so many minutes
 * later than a good one; undefined where no schedule is found.
 */
function boundOf(problem: Problem, most: number, looks: number, later = 0): number | undefined {
  const solver = new Solver(problem, 1);
  if (solver.findFirst(new Budget({ now, passes: 60 })) !== "found") return undefined;
  const model = compile(problem);
  const { windows, leastEnds } = new Search(model, seeded(1));
  const best = solver.best!;
  const like = { ...best, starts: best.starts.map((t) => t + later), ends: best.ends.map((t) => t + later) };
  const shares = new Parts(model, windows.lo, windows.hi, like, most, leastEnds, seeded(2), () => true);
  for (let look = 0; look < looks; look++) shares.step(() => false);
  return shares.bound;
}

test("shares never promise more than the best schedule costs, however the tasks are dealt out", () => {
  let raised = 0;
  fc.assert(
    fc.property(anyProblem(6), fc.integer({ min: 1, max: 6 }), (input, most) => {
      const problem = expectProblem(input);
      const bound = boundOf(problem, most, 12);
      if (bound === undefined) return;
      const best = solve(problem, { now, iterations: 150 });
      expect(bound).toBeLessThanOrEqual(best.cost + 1e-6);
      if (bound > 0) raised++;
    }),
    { numRuns: 60 },
  );
  expect(raised).toBeGreaterThan(10);
});

describe("what is left out of a share may be what makes its schedule possible", () => {
  const due = (id: string, start: number, end: number) => ({ id, duration: end - start, due: end, earlyCost: 1, lateCost: 1 });
  const day = (resources: object[], tasks: object[]) =>
    expectProblem({ format: "unisynth-problem/1", horizon: 200, resources, tasks, costs: {} });
  const optimum = (problem: Problem) => {
    const best = solve(problem, { now, iterations: 200 });
    expect(best).toMatchObject({ status: "optimal", cost: 0 });
    return best.cost;
  };
  test("a load that bridges the pause between two others", () => {
    const pan = { id: "pan", kind: "chamber", slots: 2, start: 180, heat: 10, cool: 5, recovery: 10 };
    const load = (id: string, start: number, end: number) => ({
      ...due(id, start, end),
      uses: [{ resource: "pan", setting: 180 }],
    });
    const problem = day([pan], [load("first", 20, 30), load("bridge", 28, 36), load("last", 34, 44)]);
    for (const most of [1, 2, 3]) expect(boundOf(problem, most, 20, 30)).toBeLessThanOrEqual(optimum(problem) + 1e-6);
  });
  test("a chamber that is warm already, beside one that is not", () => {
    const oven = (id: string, start: number) => ({ id, kind: "chamber", slots: 1, start, heat: 2, cool: 2, recovery: 0 });
    const bake = { ...due("bake", 5, 15), uses: [{ resource: ["cold", "warm"], setting: 200 }] };
    const problem = day([oven("cold", 20), oven("warm", 198)], [bake, due("rest", 0, 90)]);
    for (const most of [1, 2]) expect(boundOf(problem, most, 20, 30)).toBeLessThanOrEqual(optimum(problem) + 1e-6);
  });
});

test("a day of one share is bounded by its optimum", () => {
  const problem = expectProblem(kitchen(12, 1));
  const best = solve(problem, { now, iterations: 400 });
  expect(best.status).toBe("optimal");
  expect(boundOf(problem, 12, 60)).toBeCloseTo(best.cost, 3);
});

test("no schedule spans fewer minutes than its work and its chains take", () => {
  fc.assert(
    fc.property(anyProblem(7), (input) => {
      const problem = expectProblem(input);
      const { tasks } = solve(problem, { now, iterations: 60, passes: 60 });
      if (tasks.length === 0) return;
      const span = Math.max(...tasks.map((t) => t.end)) - Math.min(...tasks.map((t) => t.start));
      expect(leastSpan(compile(problem))).toBeLessThanOrEqual(span);
    }),
    { numRuns: 150 },
  );
});

test("two cooks share the work of both, and a chain is as long as its lags", () => {
  const spanOf = (tasks: object[]) =>
    leastSpan(
      compile(
        expectProblem({
          format: "unisynth-problem/1",
          horizon: 500,
          resources: [
            { id: "ada", kind: "pool", capacity: 1 },
            { id: "ben", kind: "pool", capacity: 1 },
          ],
          tasks,
          costs: { span: 1 },
        }),
      ),
    );
  const either = { uses: [{ resource: ["ada", "ben"] }] };
  const roll = { id: "roll", duration: 30, ...either };
  const fill = { id: "fill", duration: 31, ...either };
  expect(spanOf([roll, fill, { id: "weigh", duration: 20, uses: [{ resource: "ada" }] }])).toBe(41);
  expect(spanOf([roll, { ...fill, after: [{ task: "roll", min: 45 }] }])).toBe(106);
});
