import { readFileSync } from "node:fs";
import { expectProblem } from "@tests/any-problem";
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
