import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { kitchen } from "@tests/kitchens";
import { seeded } from "../../shared/random";
import { Budget } from "../budget";
import { leastSpan } from "../energy";
import { compile } from "../model";
import type { Problem } from "../problem";
import { Search } from "../search";
import { solve } from "../solve";
import { Solver } from "../solver";
import { Shares } from "./shares";

const now = () => 0;

/** The bound that shares of at most so many tasks come to in so many looks; undefined where no schedule is found. */
function boundOf(problem: Problem, most: number, looks: number): number | undefined {
  const solver = new Solver(problem, 1);
  if (solver.findFirst(new Budget({ now, dives: 60 })) !== "found") return undefined;
  const model = compile(problem);
  const { windows, leastSpan: span, firstStart } = new Search(model, seeded(1));
  const ends = model.span * span + model.makespan * (firstStart + span);
  const shares = new Shares(model, windows.lo, windows.hi, solver.best!, most, ends, seeded(2), () => true);
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
      const { tasks } = solve(problem, { now, iterations: 60, dives: 60 });
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
