import fc from "fast-check";
import { readFileSync } from "node:fs";
import { anyProblem, expectProblem } from "@tests/any-problem";
import type { Problem } from "./problem";
import { SolutionSchema, type Solution } from "./solution";
import { verify } from "./verify";

const read = (name: string, kind: string) => JSON.parse(readFileSync(`tests/examples/${name}.${kind}.json`, "utf8"));
test.each(["first-loaf", "lone-cook", "mixed-crew", "supper-for-thirty", "two-heats"])("the solution of %s stands", (name) => {
  expect(verify(expectProblem(read(name, "problem")), SolutionSchema.parse(read(name, "solution")))).toEqual([]);
});

/** Two loads, a cook with a break, a stretchable rest. */
const problem = expectProblem({
  format: "unisynth-problem/1",
  horizon: 200,
  resources: [
    {
      id: "ada",
      kind: "pool",
      capacity: 1,
      calendar: [
        [0, 50, 1],
        [60, 200, 1],
      ],
    },
    { id: "oven", kind: "chamber", slots: 2, start: 20, heat: 10, cool: 5 },
    { id: "fryer", kind: "chamber", slots: 1, start: 180, heat: 10, cool: 5, recovery: 4, ranked: true },
    { id: "steamer", kind: "chamber", slots: 3, start: 100, heat: 10, cool: 5 },
  ],
  tasks: [
    { id: "mix", duration: 10, uses: [{ resource: "ada" }], earliest: 5 },
    { id: "rest", duration: [20, 40], after: [{ task: "mix", max: 5 }], stretchCost: 1 },
    { id: "low", duration: 20, uses: [{ resource: "oven", setting: 180 }] },
    { id: "high", duration: 20, uses: [{ resource: "oven", setting: 220, amount: 2 }], latest: 120 },
    { id: "plain", duration: 5, uses: [{ resource: "fryer", setting: 180, rank: 0 }] },
    { id: "spiced", duration: 5, uses: [{ resource: "fryer", setting: 180, rank: 1 }] },
    { id: "lid", duration: 10, uses: [{ resource: "steamer", setting: 100, sealed: 10 }] },
    { id: "other", duration: 10, uses: [{ resource: "steamer", setting: 100 }] },
  ],
  costs: { makespan: 1 },
});

const good: Solution = SolutionSchema.parse({
  format: "unisynth-solution/1",
  status: "feasible",
  cost: 80,
  bound: 10,
  tasks: [
    { id: "mix", start: 5, end: 15, taken: ["ada"] },
    { id: "rest", start: 15, end: 35, taken: [] },
    { id: "low", start: 20, end: 40, taken: ["oven"] },
    { id: "high", start: 60, end: 80, taken: ["oven"] },
    { id: "plain", start: 0, end: 5, taken: ["fryer"] },
    { id: "spiced", start: 9, end: 14, taken: ["fryer"] },
    { id: "lid", start: 0, end: 10, taken: ["steamer"] },
    { id: "other", start: 10, end: 20, taken: ["steamer"] },
  ],
});

const moved = (id: string, start: number, end: number): Solution => ({
  ...good,
  tasks: good.tasks.map((t) => (t.id === id ? { ...t, start, end } : t)),
});
/** What is broken beside the cost, which moves along. */
const broken = (solution: Solution) =>
  [...new Set(verify(problem, solution).map((v) => v.rule))].filter((rule) => rule !== "cost");

test("a good solution has nothing against it", () => expect(verify(problem, good)).toEqual([]));

test.each<[string, Solution, string]>([
  ["a missing task", { ...good, tasks: good.tasks.slice(1) }, "tasks"],
  ["a task that stands twice", { ...good, tasks: [...good.tasks, good.tasks[0]] }, "tasks"],
  ["a task that is not in the problem", { ...good, tasks: [...good.tasks, { ...good.tasks[0], id: "zest" }] }, "tasks"],
  ["a length that is not the task's", moved("mix", 5, 16), "time"],
  ["a rest beyond its window", moved("rest", 15, 56), "time"],
  ["an end beyond the horizon", moved("other", 195, 205), "time"],
  ["a start before its earliest", moved("mix", 4, 14), "limits"],
  ["an end after its latest", moved("high", 101, 121), "limits"],
  ["a start before what it follows", moved("rest", 14, 34), "after"],
  ["a start too long after what it follows", moved("rest", 21, 41), "after"],
  ["a cook at work in the break", moved("mix", 45, 55), "pools"],
  ["two settings at once", moved("high", 39, 59), "chambers"],
  ["no time to change the setting", moved("high", 43, 63), "chambers"],
  ["an oven that is not warm yet", moved("low", 15, 35), "chambers"],
  ["no time to recover", moved("spiced", 8, 13), "chambers"],
  ["a lower rank after a higher", moved("plain", 20, 25), "chambers"],
  ["a lid lifted while sealed", moved("other", 5, 15), "chambers"],
  [
    "a resource that the use does not list",
    { ...good, tasks: good.tasks.map((t) => (t.id === "mix" ? { ...t, taken: ["oven"] } : t)) },
    "choices",
  ],
  ["optimal without proof", { ...good, status: "optimal" }, "status"],
  ["a bound above the cost", { ...good, bound: 81 }, "status"],
])("%s is caught", (_name, solution, rule) => expect(broken(solution)).toContain(rule));

test("a cost that is not the schedule's is caught", () =>
  expect(verify(problem, { ...good, cost: 79 }).map((v) => v.rule)).toEqual(["cost"]));

test("too many loads for the slots are named", () => {
  const crowded = moved("low", 60, 80);
  expect(broken(crowded)).toEqual(["chambers"]);
});

test("infeasible needs a reason and no tasks", () => {
  expect(verify(problem, { ...good, status: "infeasible", cost: 0, bound: 0, tasks: [], why: ["No oven."] })).toEqual([]);
  expect(verify(problem, { ...good, status: "infeasible", tasks: [], why: [] }).map((v) => v.rule)).toEqual(["status"]);
});

/** Every resource that is asked too much of, found minute by minute and pair by pair. */
function overasked(problem: Problem, { tasks }: Solution): { pools: Set<string>; chambers: Set<string> } {
  const bookings = problem.tasks.flatMap((task, i) =>
    task.uses.map((use, u) => {
      const { start, end, taken } = tasks[i];
      const resource = taken[u];
      const from = use.from === undefined ? start : (use.from >= 0 ? start : end) + use.from;
      const minutes = Array.isArray(use.minutes) ? use.minutes[(use.resource as string[]).indexOf(resource)] : use.minutes;
      return { task: i, use, resource, from, to: use.from === undefined ? end : from + minutes! };
    }),
  );
  const last = Math.max(...bookings.map((one) => one.to), 0);
  const pools = new Set<string>();
  const chambers = new Set<string>();
  for (const resource of problem.resources) {
    const mine = bookings.filter((one) => one.resource === resource.id);
    const at = (minute: number) =>
      mine.filter(({ from, to }) => from <= minute && minute < to).reduce((sum, { use }) => sum + use.amount, 0);
    if (resource.kind === "pool") {
      const there = (minute: number) =>
        Math.min(
          resource.capacity,
          resource.calendar ? (resource.calendar.find(([a, b]) => a <= minute && minute < b)?.[2] ?? 0) : resource.capacity,
        );
      for (let minute = Math.min(0, ...mine.map((one) => one.from)); minute < last; minute++)
        if (at(minute) > 0 && at(minute) > there(minute)) pools.add(resource.id);
      continue;
    }
    for (let minute = 0; minute < last; minute++) if (at(minute) > resource.slots) chambers.add(resource.id);
    const first = Math.min(...mine.map((one) => one.from));
    const busy = (minute: number) => mine.some(({ from, to }) => from <= minute && minute < to);
    for (const a of mine) {
      if (a.from === first && a.from < Math.ceil((a.use.setting! - resource.start) / resource.heat)) chambers.add(resource.id);
      for (const b of mine) {
        if (a === b) continue;
        const rise = b.use.setting! - a.use.setting!;
        const overlap = a.from < b.to && b.from < a.to;
        const change = Math.ceil(Math.abs(rise) / (rise > 0 ? resource.heat : resource.cool));
        if (rise !== 0 && (overlap || (a.to <= b.from && b.from - a.to < change))) chambers.add(resource.id);
        const shut = a.from + a.use.sealed;
        if ([b.from, b.to].some((moment) => a.from < moment && moment < shut)) chambers.add(resource.id);
        if (resource.ranked && a.from < b.from && a.use.rank > b.use.rank) chambers.add(resource.id);
      }
      // The pause before a load that begins a group.
      const before = Math.max(...mine.map((one) => one.to).filter((end) => end <= a.from));
      if (a.from > first && !busy(a.from - 1) && a.from - before < resource.recovery) chambers.add(resource.id);
      if (a.from > first && before === a.from && resource.recovery > 0)
        if (!mine.some((one) => one.from < a.from && a.from < one.to)) chambers.add(resource.id);
    }
  }
  return { pools, chambers };
}

test("what it says of pools and chambers is what a look at every minute and every pair says", () => {
  const placement = fc.array(fc.record({ start: fc.integer({ min: 0, max: 90 }), stretch: fc.nat(30), choice: fc.nat(5) }), {
    minLength: 12,
    maxLength: 12,
  });
  fc.assert(
    fc.property(anyProblem(7), placement, (input, places) => {
      const problem = expectProblem(input);
      const tasks = problem.tasks.map((task, i) => {
        const { start, stretch, choice } = places[i % places.length];
        const taken = task.uses.map(({ resource }) =>
          typeof resource === "string" ? resource : resource[choice % resource.length],
        );
        const { duration } = task;
        const minutes =
          typeof duration === "number"
            ? duration
            : Array.isArray(duration)
              ? Math.min(duration[1], duration[0] + stretch)
              : duration.minutes[(task.uses[duration.of].resource as string[]).indexOf(taken[duration.of])];
        return { id: task.id, start, end: start + minutes, taken };
      });
      const solution: Solution = { format: "unisynth-solution/1", status: "feasible", cost: 0, bound: 0, tasks, why: [] };
      const found = verify(problem, solution);
      const said = (rule: string) => new Set(found.filter((one) => one.rule === rule).map((one) => one.about[0]));
      expect({ pools: said("pools"), chambers: said("chambers") }).toEqual(overasked(problem, solution));
    }),
    { numRuns: 1500, seed: 20261129 },
  );
});
