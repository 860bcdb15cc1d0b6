import fc from "fast-check";
import { parseProblem, type Problem, type ProblemInput } from "@/core/schedule/problem";

type Task = ProblemInput["tasks"][number];

/**
 * Small kitchens with a bit of every rule of the format: alike and unlike cooks, a break, an oven at two settings and a
 * smaller one that heats up more slowly, a sealed or recovering chamber, stretchable rests (some may be left out), parts, lags
 * and due times.
 * The horizon is roomy, so most have a schedule.
 */
export const anyProblem = (most = 9): fc.Arbitrary<ProblemInput> =>
  fc
    .record({
      tasks: fc.array(anyTask, { minLength: 1, maxLength: most }),
      makespan: fc.constantFrom(0, 1),
      breakAt: fc.integer({ min: 20, max: 60 }),
    })
    .map(({ tasks, makespan, breakAt }) => ({
      format: "unisynth-problem/1" as const,
      horizon: 400,
      resources: [
        {
          id: "ada",
          kind: "pool" as const,
          capacity: 1,
          calendar: [
            [0, breakAt, 1],
            [breakAt + 10, 400, 1],
          ] as [number, number, number][],
        },
        { id: "ben", kind: "pool" as const, capacity: 1 },
        { id: "bowls", kind: "pool" as const, capacity: 2 },
        { id: "board", kind: "pool" as const, capacity: 1 },
        { id: "oven", kind: "chamber" as const, slots: 2, start: 20, heat: 12, cool: 6 },
        { id: "little oven", kind: "chamber" as const, slots: 1, start: 20, heat: 3, cool: 4 },
        { id: "fryer", kind: "chamber" as const, slots: 2, start: 20, heat: 20, cool: 2, recovery: 3, ranked: true },
      ],
      tasks: tasks.map((task, i) => taskOf(task, i)),
      costs: { makespan, span: 0.5 },
    }));

const anyTask = fc.record({
  kind: fc.constantFrom("hands", "either", "rest", "bake", "fry", "tended"),
  minutes: fc.integer({ min: 2, max: 15 }),
  setting: fc.constantFrom(180, 220),
  anyOven: fc.boolean(),
  sealed: fc.boolean(),
  rank: fc.integer({ min: 0, max: 1 }),
  follows: fc.integer({ min: 0, max: 3 }),
  wait: fc.option(fc.integer({ min: 5, max: 60 }), { nil: undefined }),
  due: fc.option(fc.integer({ min: 60, max: 300 }), { nil: undefined }),
});

type Sketch = typeof anyTask extends fc.Arbitrary<infer T> ? T : never;

function taskOf(sketch: Sketch, i: number): Task {
  const { kind, minutes, setting, anyOven, sealed, rank, follows, wait, due } = sketch;
  const after = follows > 0 && i >= follows ? [{ task: `t${i - follows}`, ...(wait !== undefined && { max: wait }) }] : [];
  const common = { id: `t${i}`, after, ...(due !== undefined && { due, earlyCost: 1, lateCost: 3 }) };
  switch (kind) {
    case "hands":
      return { ...common, duration: minutes, uses: [{ resource: ["ada", "ben"] }, { resource: "bowls" }] };
    case "either":
      return { ...common, duration: { of: 0, minutes: [minutes, minutes + 4] }, uses: [{ resource: ["ada", "ben"] }] };
    case "rest":
      // One that may be no rest at all takes nothing of what it lists.
      return {
        ...common,
        duration: [sealed ? 0 : minutes, minutes * 3],
        stretchCost: 0.1,
        uses: [{ resource: anyOven ? "board" : "bowls" }],
      };
    case "bake":
      return {
        ...common,
        duration: minutes,
        uses: [
          { resource: anyOven ? ["oven", "little oven"] : "oven", setting, sealed: sealed ? minutes : 0 },
          { resource: ["ada", "ben"], from: 0, minutes: 1 },
        ],
      };
    case "fry":
      return { ...common, duration: minutes, uses: [{ resource: "fryer", setting: 180, rank }, { resource: "ben" }] };
    default:
      return {
        ...common,
        duration: minutes + 4,
        uses: [
          { resource: ["ada", "ben"], from: 0, minutes: [1, 2] },
          { resource: "ada", from: -2, minutes: 2 },
        ],
      };
  }
}

/** A problem that is known to be right. */
export function expectProblem(input: unknown): Problem {
  const parsed = parseProblem(input);
  if (!parsed.ok) throw new Error(`not a problem: ${JSON.stringify(parsed.issues)}`);
  return parsed.value;
}
