import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { namesIn, scheduleReasonText } from "../reason-text";
import { infeasibleSubset, subsetReason } from "./infeasible-subset";
import { bottleneckOf, chainOf, holdsOf } from "./binding-constraints";
import { outOfReach } from "../out-of-reach";
import { solve } from "../solve";
import { verify } from "../verify";

const now = () => 0;
const problem = (tasks: object[], resources: object[] = [{ id: "hands", kind: "pool", capacity: 1 }], horizon = 100) =>
  expectProblem({ format: "unisynth-problem/1", horizon, resources, tasks, costs: { makespan: 1, span: 0 } });

describe("what holds a task where it is", () => {
  test("a chain of hands and a due time, back from the wave", () => {
    const day = problem([
      { id: "mix", duration: 10, uses: [{ resource: "hands" }] },
      { id: "shape", duration: 20, uses: [{ resource: "hands" }], after: [{ task: "mix", max: 0 }] },
      { id: "serve", duration: 5, uses: [{ resource: "hands" }], after: [{ task: "shape" }], latest: 60 },
    ]);
    const solution = {
      ...solve(day, { now, iterations: 20 }),
      tasks: [
        { id: "mix", start: 25, end: 35, taken: ["hands"] },
        { id: "shape", start: 35, end: 55, taken: ["hands"] },
        { id: "serve", start: 55, end: 60, taken: ["hands"] },
      ],
    };
    expect(verify(day, { ...solution, cost: 60, bound: 0, status: "feasible" })).toEqual([]);
    const { direction, steps } = chainOf(holdsOf(day, solution), 0);
    expect(direction).toBe("later");
    expect(steps.map((s) => [s.task, s.hold.kind])).toEqual([
      [0, "link"],
      [1, "link"],
      [2, "limit"],
    ]);
  });
  test("a tray that waits for what comes next is no reason, as it could begin to wait later", () => {
    const day = problem(
      [
        { id: "bake", duration: 20, uses: [{ resource: "tray" }] },
        { id: "waits", duration: [0, 60], uses: [{ resource: "tray" }], after: [{ task: "bake", max: 0 }] },
        { id: "serve", duration: 5, uses: [{ resource: "hands" }], after: [{ task: "waits", max: 0 }], latest: 60 },
      ],
      ["hands", "tray"].map((id) => ({ id, kind: "pool", capacity: 1 })),
    );
    const solution = {
      ...solve(day, { now, iterations: 5 }),
      tasks: [
        { id: "bake", start: 10, end: 30, taken: ["tray"] },
        { id: "waits", start: 30, end: 55, taken: ["tray"] },
        { id: "serve", start: 55, end: 60, taken: ["hands"] },
      ],
    };
    const holds = holdsOf(day, solution);
    expect(holds[0].later.length).toBeGreaterThan(0);
    expect(holds[0].later.every((hold) => "gives" in hold)).toBe(true);
    expect(chainOf(holds, 0).steps).toEqual([]);
  });
  test("an oven's changeover is named with the load that it is for", () => {
    const oven = { id: "oven", kind: "chamber", slots: 1, start: 20, heat: 10, cool: 5 };
    const day = problem(
      [
        { id: "a", duration: 30, uses: [{ resource: "oven", setting: 180 }] },
        { id: "b", duration: 20, uses: [{ resource: "oven", setting: 220 }] },
      ],
      [oven],
      200,
    );
    const solution = {
      format: "unisynth-solution/1" as const,
      status: "feasible" as const,
      cost: 70,
      bound: 0,
      why: [],
      tasks: [
        { id: "a", start: 16, end: 46, taken: ["oven"] },
        { id: "b", start: 50, end: 70, taken: ["oven"] },
      ],
    };
    const holds = holdsOf(day, solution);
    expect(holds[1].earlier).toContainEqual({ kind: "change", resource: 0, task: 0, minutes: 4 });
    expect(bottleneckOf(day, solution, holds)).toEqual({ resource: 0, holds: 2, use: expect.closeTo(50 / 54, 6) });
  });
  test("where nothing holds a task it can be moved by a minute, and the rules still hold", () =>
    fc.assert(
      fc.property(anyProblem(), (input) => {
        const day = expectProblem(input);
        const solution = solve(day, { now, iterations: 30, passes: 30 });
        if (solution.status === "infeasible") return;
        holdsOf(day, solution).forEach((holds, i) => {
          for (const [side, step] of [
            [holds.later, 1],
            [holds.earlier, -1],
          ] as const) {
            const stands = side.filter((hold) => hold.kind !== "due");
            const moved = solution.tasks.map((task) =>
              task.id === day.tasks[i].id ? { ...task, start: task.start + step, end: task.end + step } : task,
            );
            const broken = verify(day, { ...solution, tasks: moved, status: "feasible" }).filter(
              ({ rule }) => rule !== "cost" && rule !== "status",
            );
            expect([day.tasks[i].id, step, broken.length > 0]).toEqual([day.tasks[i].id, step, stands.length > 0]);
          }
        });
      }),
      { numRuns: 60 },
    ));
});

describe("what cannot hold together", () => {
  const steamer = { id: "steamer", kind: "chamber", slots: 1, start: 20, heat: 20, cool: 5 };
  const hands = { id: "hands", kind: "pool", capacity: 2 };
  const day = problem(
    [
      { id: "s1", label: "Steam load 1", duration: 25, uses: [{ resource: "steamer", setting: 100 }] },
      { id: "s2", label: "Steam load 2", duration: 25, uses: [{ resource: "steamer", setting: 100 }] },
      ...[1, 2].map((k) => ({
        id: `e${k}`,
        label: `Serve ${k}`,
        duration: 1,
        after: [{ task: `s${k}`, max: 5 }],
        earliest: 110,
        latest: 116,
        uses: [{ resource: "hands" }],
      })),
      ...[1, 2, 3, 4].map((k) => ({ id: `p${k}`, duration: 10, uses: [{ resource: "hands" }] })),
    ],
    [steamer, hands],
    200,
  );
  test("two steamer loads that must come out within minutes of each other, and nothing else", () => {
    const core = infeasibleSubset(day, { now });
    expect(core).toEqual(["s1", "s2", "e1", "e2"]);
    expect(scheduleReasonText(subsetReason(day, core!), namesIn(day))).toMatch(
      /^Steam load 1 \(25 min\) and Steam load 2 \(25 min\) cannot both be done between minute 80 \(01:20\) and minute 115 \(01:55\) with 1 of steamer/,
    );
    expect(solve(day, { now, iterations: 1 }).why.at(-1)).toMatch(/cannot both be done/);
  });
  test("a day that can be done has no conflict", () =>
    expect(infeasibleSubset(problem([{ id: "x", duration: 5 }]), { now })).toBeUndefined());
});

test("a duration beyond the horizon or every window is said at once, by its field", () => {
  const cook = {
    id: "cook",
    kind: "pool",
    capacity: 1,
    calendar: [
      [0, 10, 1],
      [10, 15, 1],
      [20, 30, 1],
    ],
  };
  const uses = [{ resource: "cook" }];
  expect(outOfReach(problem([{ id: "x", duration: 101 }]))[0]).toMatchObject({ path: ["tasks", 0, "duration"], got: 101 });
  expect(outOfReach(problem([{ id: "x", duration: 16, uses }], [cook]))[0]).toMatchObject({ got: 16 });
  expect(outOfReach(problem([{ id: "x", duration: 15, uses }], [cook]))).toEqual([]);
});
