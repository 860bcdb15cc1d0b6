import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { replan, type Replanned } from "./replan";
import type { ExecutionState } from "./execution-state";
import { solve } from "../solve";
import { verify } from "../verify";

const now = () => 0;
const LIMITS = { now, iterations: 40, passes: 200 };
const soFarAt = (tasks: readonly { id: string; start: number; end: number }[], minute: number): ExecutionState => ({
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
  test("a deadline that gives way is missed by no more than it must, whatever the task would cost before it", () => {
    const relaxed = expectProblem({
      ...kitchen,
      tasks: kitchen.tasks.map((t) => (t.id === "serve" ? { ...t, due: 90, earlyCost: 0, lateCost: 0.5, latest: 110 } : t)),
    });
    const soFar = { ...soFarAt(plan.tasks, 45), changed: [{ id: "mix", minutes: 50 }] };
    expect(replan(relaxed, plan, soFar, LIMITS).late).toEqual([{ id: "serve", minutes: 5 }]);
    const slight = { ...soFar, changed: [{ id: "mix", minutes: 43 }] };
    expect(replan(relaxed, plan, slight, LIMITS).late).toEqual([]);
  });
  test("hours end where they must, and run on only where the day cannot go on otherwise", () => {
    const hired = expectProblem({
      ...kitchen,
      resources: [{ ...kitchen.resources[0], calendar: [[0, 110, 1]] }, kitchen.resources[1]],
    });
    const slip = (minutes: number) =>
      replan(hired, plan, { ...soFarAt(plan.tasks, 45), changed: [{ id: "mix", minutes }] }, LIMITS);
    expect(slip(40)).toMatchObject({ beyond: [], late: [{ id: "serve", minutes: 5 }] });
    expect(slip(60)).toMatchObject({ beyond: [{ resource: "ada", minutes: 15 }], late: [{ id: "serve", minutes: 25 }] });
  });
  test("a pause is worked through only where the day cannot go on otherwise, and it says how much of it", () => {
    const paused = expectProblem({
      ...kitchen,
      resources: [
        {
          ...kitchen.resources[0],
          calendar: [
            [0, 52, 1],
            [70, 300, 1],
          ],
        },
        kitchen.resources[1],
      ],
      tasks: kitchen.tasks.map((t) => (t.id === "shape" ? { ...t, after: [{ task: "mix", max: 5 }] } : t)),
    });
    const old = {
      ...plan,
      tasks: plan.tasks.map((t) =>
        t.id === "mix" ? { ...t, start: 20, end: 40 } : t.id === "shape" ? { ...t, start: 70, end: 100 } : t,
      ),
    };
    const soFar = { now: 40, done: [], running: [{ id: "mix", start: 20, end: 50 }], locked: [], changed: [] };
    const { beyond, solution } = replan(paused, old, soFar, LIMITS);
    expect(beyond).toEqual([{ resource: "ada", minutes: 18 }]);
    // As near to where it was as the wait after mixing allows.
    expect(solution.tasks.find((t) => t.id === "shape")).toMatchObject({ start: 55 });
  });
  test("what is over waits longer than it may only where it must, and is named", () => {
    const waits = expectProblem({
      ...kitchen,
      tasks: [
        { id: "rise", duration: 20 },
        { id: "mix", duration: 30, uses: [{ resource: "ada" }] },
        { id: "bake", duration: 20, uses: [{ resource: "ada" }], after: [{ task: "rise", max: 15 }] },
      ],
    });
    const old = {
      ...plan,
      tasks: [
        { id: "rise", start: 5, end: 25, taken: [] },
        { id: "mix", start: 0, end: 30, taken: ["ada"] },
        { id: "bake", start: 32, end: 52, taken: ["ada"] },
      ],
    };
    const late = (end: number) =>
      replan(
        waits,
        old,
        { now: 30, done: [old.tasks[0]], running: [{ id: "mix", start: 0, end }], locked: [], changed: [] },
        LIMITS,
      );
    expect(late(38).broken).toEqual([]);
    expect(late(60)).toMatchObject({ broken: [["bake", "rise"]], moves: [{ id: "mix" }, { id: "bake", to: { start: 60 } }] });
  });
  test("what goes on by itself is not stirred while the cook is held up, and it says when", () => {
    const stirred = expectProblem({
      ...kitchen,
      tasks: [
        { id: "knead", duration: 10, uses: [{ resource: "ada" }] },
        { id: "stew", duration: 60, uses: [{ resource: "ada", from: 20, minutes: 2 }] },
      ],
    });
    const old = {
      ...plan,
      tasks: [
        { id: "knead", start: 0, end: 10, taken: ["ada"] },
        { id: "stew", start: 0, end: 60, taken: ["ada"] },
      ],
    };
    const held = (end: number) =>
      replan(
        stirred,
        old,
        {
          now: 10,
          done: [],
          running: [
            { id: "knead", start: 0, end },
            { id: "stew", start: 0 },
          ],
          locked: [],
          changed: [],
        },
        LIMITS,
      );
    expect(held(18)).toMatchObject({ unattended: [], solution: { tasks: expect.anything() } });
    expect(held(30).unattended).toEqual([{ id: "stew", minute: 20 }]);
  });
  test("several things that run past the end of hours together, and what follows them", () => {
    const late = expectProblem({
      format: "unisynth-problem/1",
      horizon: 60,
      resources: [{ id: "about", kind: "pool", capacity: 9, calendar: [[0, 20, 9]] }],
      tasks: [
        { id: "bake", duration: 10, uses: [{ resource: "about" }] },
        { id: "steam", duration: 11, uses: [{ resource: "about" }] },
        { id: "fry", duration: 5, uses: [{ resource: "about" }], after: [{ task: "bake" }] },
        { id: "boil", duration: 5, uses: [{ resource: "about" }], after: [{ task: "steam", max: 5 }] },
        { id: "cool", duration: 20, uses: [{ resource: "about" }], after: [{ task: "bake", max: 0 }] },
      ],
      costs: { makespan: 0, span: 0 },
    });
    const old = {
      ...solve(late, LIMITS),
      tasks: [
        { id: "bake", start: 0, end: 10, taken: ["about"] },
        { id: "steam", start: 0, end: 11, taken: ["about"] },
        { id: "fry", start: 12, end: 17, taken: ["about"] },
        { id: "boil", start: 12, end: 17, taken: ["about"] },
        { id: "cool", start: 10, end: 20, taken: ["about"] },
      ],
    };
    const running = [
      { id: "bake", start: 12, end: 22 },
      { id: "steam", start: 12, end: 23 },
    ];
    const got = replan(late, old, { now: 15, done: [], running, locked: [], changed: [] }, LIMITS);
    expect(got.solution.tasks.map(({ id }) => id)).toEqual(expect.arrayContaining(["fry", "boil", "cool"]));
    expect(verify(got.problem, got.solution)).toEqual([]);
  });
  describe("what is under way and may not go on for long", () => {
    const meat = expectProblem({
      format: "unisynth-problem/1",
      horizon: 300,
      resources: [
        { id: "ada", kind: "pool", capacity: 1 },
        { id: "ben", kind: "pool", capacity: 1, calendar: [[0, 5, 1]] },
      ],
      tasks: [
        { id: "soda", duration: [8, 24], uses: [] },
        { id: "rinse", duration: 3, uses: [{ resource: "ada" }], after: [{ task: "soda", max: 0 }] },
        { id: "dough", duration: 10, uses: [] },
        { id: "roll", duration: 10, uses: [{ resource: "ada" }], after: [{ task: "dough", max: 15 }] },
      ],
      costs: { makespan: 0, span: 0 },
    });
    const old = {
      ...solve(meat, LIMITS),
      tasks: [
        { id: "soda", start: 40, end: 50, taken: [] },
        { id: "rinse", start: 50, end: 53, taken: ["ada"] },
        { id: "dough", start: 43, end: 53, taken: [] },
        { id: "roll", start: 55, end: 65, taken: ["ada"] },
      ],
    };
    const soFar = { now: 10, running: [{ id: "soda", start: 10, noEarlier: 18 }], locked: [], changed: [] };
    const endOf = ({ solution }: Replanned, id: string) => solution.tasks.find((task) => task.id === id)!.end;
    test("ends on time where something else that is over has to be waited on for too long", () => {
      // The dough was ready half an hour before anybody meant to roll it, and hands are at something else for a while.
      const busy = { ...soFar, done: [{ id: "dough", start: 0, end: 10 }], changed: [{ id: "roll", notBefore: 40 }] };
      const got = replan(meat, old, busy, LIMITS);
      expect(endOf(got, "soda") - 10).toBeLessThanOrEqual(24);
      expect(got.broken).toEqual([["roll", "dough"]]);
    });
    test("is said where nothing can be begun after it in time", () => {
      const late = { ...soFar, done: [], changed: [{ id: "rinse", notBefore: 40 }] };
      const got = replan(meat, old, late, LIMITS);
      expect(endOf(got, "soda")).toBeLessThanOrEqual(34);
      expect(got.broken).toEqual([["rinse", "soda"]]);
    });
  });
  test("however late, there is a way to go on, and the first one told keeps the rules", () =>
    fc.assert(
      fc.property(anyProblem(6), fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 90 }), (input, minute, more) => {
        const any = expectProblem(input);
        const old = solve(any, { now, iterations: 20, passes: 30 });
        const late = old.tasks.find((t) => t.start <= minute && minute < t.end);
        // What runs late holds its place: in a chamber that may be somebody else's next.
        if (!late || any.tasks.find((t) => t.id === late.id)!.uses.some((use) => use.setting !== undefined)) return;
        const running = soFarAt(old.tasks, late.end).running.filter((t) => t.id !== late.id);
        const soFar: ExecutionState = {
          now: late.end,
          done: old.tasks.filter((t) => t.id !== late.id && t.end <= late.end),
          running: [...running, { id: late.id, start: late.start, end: late.end + more }],
          locked: [],
          changed: [],
        };
        const told: Replanned[] = [];
        const last = replan(any, old, soFar, { ...LIMITS, better: (answer) => told.push(answer) });
        for (const { problem, solution } of [...told, last])
          if (solution.status !== "infeasible") expect(verify(problem, solution)).toEqual([]);
        if (told.length > 0) expect(last.solution.status).not.toBe("infeasible");
      }),
      { numRuns: 80 },
    ));
  test("in any kitchen: the rules hold, what is over stands, and nothing begins before now", () =>
    fc.assert(
      fc.property(anyProblem(7), fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 12 }), (input, minute, more) => {
        const any = expectProblem(input);
        const old = solve(any, { now, iterations: 20, passes: 30 });
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
