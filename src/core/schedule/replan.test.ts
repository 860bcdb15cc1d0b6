import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { replan, type SoFar } from "./replan";
import { solve } from "./solve";
import { verify } from "./verify";

const now = () => 0;
const LIMITS = { now, iterations: 40, dives: 200 };
const soFarAt = (tasks: readonly { id: string; start: number; end: number }[], minute: number): SoFar => ({
  now: minute,
  done: tasks.filter((t) => t.end <= minute),
  running: tasks.filter((t) => t.start < minute && t.end > minute).map(({ id, start }) => ({ id, start })),
  locked: [],
  changed: [],
});

describe("the rest of a day", () => {
  const kitchen = {
    format: "unisynth-problem/1",
    horizon: 300,
    resources: [
      { id: "ada", kind: "pool", capacity: 1 },
      { id: "ben", kind: "pool", capacity: 1 },
    ],
    tasks: [
      { id: "mix", duration: 20, uses: [{ resource: "ada" }] },
      { id: "shape", duration: 30, uses: [{ resource: "ada" }], after: [{ task: "mix" }] },
      { id: "serve", duration: 5, uses: [{ resource: "ada" }], after: [{ task: "shape" }], due: 100, earlyCost: 1, latest: 100 },
      { id: "dip", duration: 40, uses: [{ resource: "ben" }], due: 100, earlyCost: 0.1, latest: 120 },
    ],
    costs: { makespan: 0, span: 0 },
  };
  const day = expectProblem(kitchen);
  const plan = {
    ...solve(day, LIMITS),
    tasks: [
      { id: "mix", start: 30, end: 50, taken: ["ada"] },
      { id: "shape", start: 55, end: 85, taken: ["ada"] },
      { id: "serve", start: 95, end: 100, taken: ["ada"] },
      { id: "dip", start: 60, end: 100, taken: ["ben"] },
    ],
  };
  test("nothing has happened: nothing is moved", () =>
    expect(replan(day, plan, soFarAt(plan.tasks, 40), LIMITS).moves).toEqual([]));
  test("ten minutes more for one task move what depends on it and nothing else", () => {
    const soFar = { ...soFarAt(plan.tasks, 45), changed: [{ id: "mix", minutes: 30 }] };
    const { moves, late } = replan(day, plan, soFar, LIMITS);
    expect(moves.map((m) => m.id)).toEqual(["mix", "shape"]);
    expect(moves[1]).toMatchObject({ from: { start: 55 }, to: { start: 60 } });
    expect(late).toEqual([]);
  });
  test("what cannot be met any more slips by no more than it must, and is said", () => {
    const soFar = { ...soFarAt(plan.tasks, 45), changed: [{ id: "mix", minutes: 50 }] };
    const { late, solution } = replan(day, plan, soFar, LIMITS);
    expect(late).toEqual([{ id: "serve", minutes: 15 }]);
    expect(solution.tasks.find((t) => t.id === "dip")).toMatchObject({ start: 60 });
  });
  test("a locked task stays, and the others go round it", () => {
    const soFar = { ...soFarAt(plan.tasks, 45), locked: ["shape"], changed: [{ id: "serve", notBefore: 92 }] };
    expect(replan(day, plan, soFar, LIMITS).moves.map((m) => m.id)).not.toContain("shape");
  });
  test("a rest that has gone on too long is named and does not make the day impossible", () => {
    const waits = expectProblem({
      ...kitchen,
      tasks: [
        { id: "rise", duration: 20 },
        { id: "bake", duration: 20, uses: [{ resource: "ada" }], after: [{ task: "rise", max: 10 }] },
      ],
    });
    const old = {
      ...plan,
      tasks: [
        { id: "rise", start: 0, end: 20, taken: [] },
        { id: "bake", start: 25, end: 45, taken: ["ada"] },
      ],
    };
    const { broken, solution } = replan(waits, old, soFarAt([old.tasks[0]], 60), LIMITS);
    expect(broken).toEqual([["bake", "rise"]]);
    expect(solution.tasks.find((t) => t.id === "bake")).toMatchObject({ start: 60 });
  });
  test("in any kitchen: the rules hold, what is over stands, and nothing begins before now", () =>
    fc.assert(
      fc.property(anyProblem(7), fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 12 }), (input, minute, more) => {
        const any = expectProblem(input);
        const old = solve(any, { now, iterations: 20, dives: 30 });
        if (old.status === "infeasible") return;
        const soFar = soFarAt(old.tasks, minute);
        const slow = soFar.running.find((t) => typeof any.tasks.find((x) => x.id === t.id)!.duration === "number");
        const was = old.tasks.find((t) => t.id === slow?.id);
        const changed = was && more > 0 ? [{ id: was.id, minutes: was.end - was.start + more }] : [];
        const { solution, problem } = replan(any, old, { ...soFar, changed }, LIMITS);
        if (solution.status === "infeasible") return expect(more).toBeGreaterThan(0);
        expect(verify(problem, solution)).toEqual([]);
        for (const task of solution.tasks) {
          const over = soFar.done.find((t) => t.id === task.id);
          if (over) expect([task.start, task.end]).toEqual([over.start, over.end]);
          else if (!soFar.running.some((t) => t.id === task.id || `${t.id} began` === task.id))
            expect(task.start).toBeGreaterThanOrEqual(minute);
        }
      }),
      { numRuns: 50 },
    ));
});
