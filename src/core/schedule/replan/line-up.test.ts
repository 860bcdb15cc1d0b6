import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { solve } from "../solve";
import { verify } from "../verify";
import { restOf, guessOf, type ExecutionState } from "./execution-state";
import { lineUp } from "./line-up";
import { replan } from "./replan";

const LIMITS = { now: () => 0, iterations: 0, passes: 40 };
const pool = (id: string, capacity = 1) => ({ id, kind: "pool" as const, capacity });

describe("a day that goes otherwise than it was planned", () => {
  it("two loads that are in an oven for one are no reason not to go on", () => {
    const day = expectProblem({
      format: "unisynth-problem/1",
      horizon: 200,
      resources: [{ id: "oven", kind: "chamber", slots: 1, start: 20, heat: 20, cool: 5 }],
      tasks: ["a", "b", "c"].map((id) => ({ id, duration: 20, uses: [{ resource: "oven", setting: 180 }] })),
    });
    const plan = solve(day, LIMITS);
    const soFar: ExecutionState = {
      now: 30,
      done: [],
      running: [
        { id: "a", start: 10, end: 35 },
        { id: "b", start: 28, end: 48 },
      ],
      locked: [],
      changed: [],
    };
    const { solution, problem } = replan(day, plan, soFar, LIMITS);
    expect(verify(problem, solution)).toEqual([]);
    const [a, b, c] = ["a", "b", "c"].map((id) => solution.tasks.find((task) => task.id === id)!);
    expect([a.start, b.start]).toEqual([10, 28]);
    expect(c.start).toBeGreaterThanOrEqual(b.end);
  });

  it("what was begun out of turn comes first, and the others keep theirs", () => {
    const day = expectProblem({
      format: "unisynth-problem/1",
      horizon: 200,
      resources: [pool("hands")],
      tasks: ["a", "b", "c"].map((id) => ({ id, duration: 10, uses: [{ resource: "hands" }] })),
    });
    const at = (id: string, start: number) => ({ id, start, end: start + 10, taken: ["hands"] });
    const plan = { ...solve(day, LIMITS), tasks: [at("a", 0), at("b", 10), at("c", 20)] };
    const soFar: ExecutionState = { now: 5, done: [], running: [{ id: "c", start: 2, end: 12 }], locked: [], changed: [] };
    const { solution } = replan(day, plan, soFar, LIMITS);
    const start = (id: string) => solution.tasks.find((task) => task.id === id)!.start;
    expect([start("c"), start("a"), start("b")]).toEqual([2, 12, 22]);
  });

  it("hands that are free take what would have to wait", () => {
    const day = expectProblem({
      format: "unisynth-problem/1",
      horizon: 200,
      resources: [pool("ada"), pool("ben")],
      tasks: [
        { id: "a", duration: 10, uses: [{ resource: "ada" }] },
        { id: "b", duration: 10, uses: [{ resource: ["ada", "ben"] }], latest: 22 },
      ],
    });
    const plan = {
      ...solve(day, LIMITS),
      tasks: [
        { id: "a", start: 0, end: 10, taken: ["ada"] },
        { id: "b", start: 10, end: 20, taken: ["ada"] },
      ],
    };
    const soFar: ExecutionState = { now: 11, done: [], running: [{ id: "a", start: 0, end: 40 }], locked: [], changed: [] };
    const { solution, late } = replan(day, plan, soFar, LIMITS);
    expect(solution.tasks.find(({ id }) => id === "b")).toMatchObject({ start: 11, taken: ["ben"] });
    expect(late).toEqual([]);
  });
});

test("lined up, a day of which nothing is late stays where it was", () => {
  fc.assert(
    fc.property(anyProblem(6), (input) => {
      const day = expectProblem(input);
      const plan = solve(day, { ...LIMITS, passes: 100 });
      fc.pre(plan.tasks.length > 0);
      const soFar: ExecutionState = { now: 0, done: [], running: [], locked: [], changed: [] };
      const rest = restOf(day, plan, soFar);
      const was = guessOf(rest, day, plan, soFar);
      fc.pre(plan.tasks.every(({ start }) => start >= 0));
      const line = lineUp(rest, was, soFar);
      rest.tasks.forEach((task, i) => {
        if (plan.tasks.some(({ id }) => id === task.id) && task.uses.length > 0) expect(line.starts[i]).toBeGreaterThanOrEqual(0);
      });
      expect([...line.ends].every((end, i) => end >= line.starts[i])).toBe(true);
    }),
    { numRuns: 40 },
  );
});
