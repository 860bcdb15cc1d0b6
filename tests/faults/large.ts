import type { ProblemInput } from "@/core/schedule/problem";

type Task = ProblemInput["tasks"][number];

const hands = (units: number) => ({ id: "hands", kind: "pool" as const, capacity: units });
const oven = { id: "oven", kind: "chamber" as const, slots: 2, start: 20, heat: 10, cool: 5 };

const problem = (horizon: number, resources: ProblemInput["resources"], tasks: Task[]): ProblemInput => ({
  format: "unisynth-problem/1",
  horizon,
  resources,
  tasks,
  costs: { makespan: 1, span: 1 },
});

const each = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));

/** A kitchen's usual tasks, three steps a piece, with some heat. */
const ordinary = (n: number): Task[] =>
  each(n, (i) => ({
    id: `t${i}`,
    duration: i % 3 === 1 ? [10, 60] : 5 + (i % 7),
    uses:
      i % 3 === 1
        ? []
        : i % 3 === 2
          ? [
              { resource: "oven", setting: 180 + 20 * (i % 2) },
              { resource: "hands", from: 0, minutes: 1 },
            ]
          : [{ resource: "hands" }],
    after: i % 3 === 0 ? [] : [{ task: `t${i - 1}`, max: 90 }],
  }));

/** Problems that are right and larger, longer or wider than any kitchen's: whatever is done with them has to end in time. */
export const LARGE_PROBLEMS: Readonly<Record<string, () => ProblemInput>> = {
  "50 tasks in a horizon of 10 million": () => problem(1e7, [hands(1), oven], ordinary(50)),
  "400 tasks in a horizon of 10 million": () => problem(1e7, [hands(1), oven], ordinary(400)),
  "50 tasks due at 5 million": () =>
    problem(
      1e7,
      [hands(1), oven],
      ordinary(50).map((task) => ({ ...task, due: 5e6, earlyCost: 1, lateCost: 1 })),
    ),
  "2,100 ordinary tasks": () => problem(60_000, [hands(2), oven], ordinary(2100)),
  "12,000 ordinary tasks": () => problem(400_000, [hands(2), oven], ordinary(12_000)),
  "one task with 500 uses": () =>
    problem(1000, [hands(500)], [{ id: "a", duration: 10, uses: each(500, () => ({ resource: "hands" })) }]),
  "one task with 500 uses of a choice": () =>
    problem(
      1000,
      each(20, (i) => ({ ...hands(25), id: `h${i}` })),
      [{ id: "a", duration: 10, uses: each(500, () => ({ resource: each(20, (i) => `h${i}`) })) }],
    ),
  "a chain of 20,000": () =>
    problem(
      200_000,
      [hands(1)],
      each(20_000, (i) => ({
        id: `t${i}`,
        duration: 5,
        uses: [{ resource: "hands" }],
        after: i === 0 ? [] : [{ task: `t${i - 1}` }],
      })),
    ),
  "300 tasks that may take any of 300": () =>
    problem(
      5000,
      each(300, (i) => ({ ...hands(1), id: `h${i}` })),
      each(300, (i) => ({ id: `t${i}`, duration: 30, uses: [{ resource: each(300, (k) => `h${k}`) }] })),
    ),
  "a task with 40,000 candidates": () =>
    problem(
      100,
      each(40_000, (i) => ({ ...hands(1), id: `h${i}` })),
      [{ id: "a", duration: 10, uses: [{ resource: each(40_000, (k) => `h${k}`) }] }],
    ),
  "a calendar of 20,000 windows": () =>
    problem(
      1e6,
      [{ ...hands(1), calendar: each(20_000, (i) => [i * 50, i * 50 + 20, 1] as [number, number, number]) }],
      ordinary(300).map((task) => ({ ...task, uses: [{ resource: "hands" }] })),
    ),
  "3,000 loads of one oven": () =>
    problem(
      300_000,
      [oven],
      each(3000, (i) => ({ id: `t${i}`, duration: 20, uses: [{ resource: "oven", setting: 160 + 10 * (i % 9) }] })),
    ),
  "a hundred tasks without room": () =>
    problem(
      400,
      [hands(1)],
      each(100, (i) => ({ id: `t${i}`, duration: 5, uses: [{ resource: "hands" }] })),
    ),
  "2,000 tasks each after 40": () =>
    problem(
      1e6,
      [hands(1)],
      each(2000, (i) => ({
        id: `t${i}`,
        duration: 5,
        uses: [{ resource: "hands" }],
        after: each(Math.min(i, 40), (k) => ({ task: `t${i - 1 - k}` })),
      })),
    ),
};
