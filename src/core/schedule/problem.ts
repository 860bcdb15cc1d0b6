import { z } from "zod";
import { fail, failWith, ok, type Issue, type Result } from "../shared/issue";
import { passingOver } from "../shared/known-keys";
import { repeatedIds } from "../shared/repeated";
import { parseWith } from "../shared/parse";

/** Largest number of tasks that is read at all; beyond it the answer is an error at once, never a hang. */
export const MAX_TASKS = 20000;
const LARGE = 1e7;

/** The format promises that a field which it does not name is passed over. */
const open = <T extends z.core.$ZodLooseShape>(shape: T) => passingOver(z.object(shape));

const minutes = z.int().min(-LARGE).max(LARGE);
const count = z.int().min(0).max(LARGE);
const cost = z.number().min(0).max(1e9);
const id = z.string().min(1);

const PoolSchema = open({
  id,
  kind: z.literal("pool"),
  capacity: count,
  calendar: z.array(z.tuple([minutes, minutes, count], { error: "[from, to, units], three whole numbers" })).optional(),
});

const ChamberSchema = open({
  id,
  kind: z.literal("chamber"),
  slots: count,
  start: z.number(),
  heat: z.number().gt(0),
  cool: z.number().gt(0),
  recovery: count.default(0),
  ranked: z.boolean().default(false),
});

const UseSchema = open({
  resource: z.union([id, z.array(id).min(1)], { error: "a resource id or a list of them that is not empty" }),
  amount: z.int().min(1).max(LARGE).default(1),
  setting: z.number().optional(),
  sealed: count.default(0),
  rank: z.number().default(0),
  from: minutes.optional(),
  minutes: z.union([count, z.array(count).min(1)], { error: "whole minutes, or a list of them" }).optional(),
});

const DurationSchema = z.union([count, z.tuple([count, count]), open({ of: count, minutes: z.array(count).min(1) })], {
  error: "whole minutes, [min, max], or { of, minutes }",
});

const TaskSchema = open({
  id,
  label: z.string().optional(),
  duration: DurationSchema,
  uses: z.array(UseSchema).default([]),
  after: z.array(open({ task: id, min: minutes.default(0), max: minutes.optional() })).default([]),
  earliest: minutes.optional(),
  latest: minutes.optional(),
  due: minutes.optional(),
  earlyCost: cost.default(0),
  lateCost: cost.default(0),
  stretchCost: cost.default(0),
});

export const ProblemSchema = open({
  format: z.literal("unisynth-problem/1"),
  horizon: z.int().min(0).max(LARGE),
  resources: z.array(z.discriminatedUnion("kind", [PoolSchema, ChamberSchema], { error: 'a kind "pool" or "chamber"' })),
  tasks: z.array(TaskSchema).max(MAX_TASKS),
  costs: open({ makespan: cost.default(0), span: cost.default(0) }).default({ makespan: 0, span: 0 }),
});

/** A schedule problem as written; see the README for the format. Minutes are whole, intervals half open. */
export type ProblemInput = z.input<typeof ProblemSchema>;
export type Problem = z.output<typeof ProblemSchema>;
export type Resource = Problem["resources"][number];
export type Pool = Extract<Resource, { kind: "pool" }>;
export type Chamber = Extract<Resource, { kind: "chamber" }>;
export type Task = Problem["tasks"][number];
export type Use = Task["uses"][number];

/** The resources a use may take, in its order. */
export const candidatesOf = (use: Use): readonly string[] => (typeof use.resource === "string" ? [use.resource] : use.resource);

/** The minutes [from, until) in which a use of a task on [start, end) takes its units, with one of its candidates (a position). */
export function takenIn({ from, minutes }: Use, choice: number, start: number, end: number): readonly [number, number] {
  if (from === undefined || minutes === undefined) return [start, end];
  const begin = (from >= 0 ? start : end) + from;
  return [begin, begin + (Array.isArray(minutes) ? minutes[choice] : minutes)];
}

/** Least duration, min: the number, the lower end of a window, or the quickest choice. */
export function leastDuration(task: Task): number {
  if (typeof task.duration === "number") return task.duration;
  return Array.isArray(task.duration) ? task.duration[0] : Math.min(...task.duration.minutes);
}

/** Reads a problem and checks all that the format asks. Every issue names its field by path. */
export function parseProblem(input: unknown): Result<Problem> {
  const raw = input as { tasks?: unknown } | null;
  if (raw !== null && typeof raw === "object" && Array.isArray(raw.tasks) && raw.tasks.length > MAX_TASKS)
    return fail({
      code: "out_of_range",
      path: ["tasks"],
      got: `${raw.tasks.length} tasks`,
      wanted: `at most ${MAX_TASKS} tasks`,
    });
  const parsed = parseWith(ProblemSchema, input);
  if (!parsed.ok) return parsed;
  const issues = [...resourceIssues(parsed.value), ...taskIssues(parsed.value)];
  if (issues.length === 0) issues.push(...ringIssues(parsed.value));
  return issues.length > 0 ? failWith(issues) : ok(parsed.value);
}

const duplicates = (ids: readonly { id: string }[], list: string): Issue[] => repeatedIds(ids, [list], "an id that no other has");

function resourceIssues(problem: Problem): Issue[] {
  const issues = [...duplicates(problem.resources, "resources"), ...duplicates(problem.tasks, "tasks")];
  problem.resources.forEach((resource, index) => {
    if (resource.kind !== "pool" || !resource.calendar) return;
    const path = ["resources", index, "calendar"];
    resource.calendar.forEach(([from, to], i) => {
      if (from >= to) issues.push({ code: "inconsistent", path: [...path, i], got: [from, to], wanted: "from before to" });
    });
    const sorted = [...resource.calendar].sort((a, b) => a[0] - b[0]);
    for (let i = 1; i < sorted.length; i++)
      if (sorted[i][0] < sorted[i - 1][1])
        issues.push({ code: "inconsistent", path, got: [sorted[i - 1], sorted[i]], wanted: "windows that do not overlap" });
  });
  return issues;
}

function taskIssues(problem: Problem): Issue[] {
  const issues: Issue[] = [];
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  const tasks = new Set(problem.tasks.map((task) => task.id));
  problem.tasks.forEach((task, t) => {
    const at = (...path: (string | number)[]) => ["tasks", t, ...path];
    const { duration } = task;
    if (Array.isArray(duration) && duration[0] > duration[1])
      issues.push({ code: "inconsistent", path: at("duration"), got: duration, wanted: "[min, max] with min at most max" });
    if (typeof duration === "object" && !Array.isArray(duration)) {
      const use = task.uses[duration.of];
      const fits =
        use && Array.isArray(use.resource) && use.from === undefined && use.resource.length === duration.minutes.length;
      if (!fits)
        issues.push({
          code: "inconsistent",
          path: at("duration", "of"),
          got: duration.of,
          wanted: "the number of a whole-task use whose resource list is as long as minutes",
        });
      else if (resources.get(use.resource[0])?.kind === "chamber")
        issues.push({ code: "inconsistent", path: at("duration", "of"), got: duration.of, wanted: "a use of pools" });
    }
    const least = leastDuration(task);
    task.uses.forEach((use, u) => issues.push(...useIssues(use, least, resources, (...path) => at("uses", u, ...path), task)));
    task.after.forEach((link, a) => {
      if (!tasks.has(link.task))
        issues.push({ code: "unknown", path: at("after", a, "task"), got: link.task, wanted: "the id of a task" });
      if (link.max !== undefined && link.max < link.min)
        issues.push({ code: "inconsistent", path: at("after", a, "max"), got: link.max, wanted: `at least min (${link.min})` });
    });
  });
  return issues;
}

function useIssues(
  use: Use,
  least: number,
  resources: ReadonlyMap<string, Resource>,
  at: (...path: (string | number)[]) => (string | number)[],
  task: Task,
): Issue[] {
  const issues: Issue[] = [];
  const listed = Array.isArray(use.resource);
  const candidates = candidatesOf(use);
  const kinds = new Set<string>();
  candidates.forEach((candidate, i) => {
    const resource = resources.get(candidate);
    const path = listed ? at("resource", i) : at("resource");
    if (!resource) return issues.push({ code: "unknown", path, got: candidate, wanted: "the id of a resource" });
    kinds.add(resource.kind);
    const room = resource.kind === "pool" ? resource.capacity : resource.slots;
    if (use.amount > room && candidates.length === 1)
      issues.push({
        code: "out_of_range",
        path: at("amount"),
        got: use.amount,
        wanted: `at most the ${room} that ${candidate} has`,
      });
  });
  if (kinds.size > 1)
    issues.push({ code: "inconsistent", path: at("resource"), got: use.resource, wanted: "all pools or all chambers" });
  const byChoice =
    Array.isArray(use.minutes) ||
    (typeof task.duration === "object" && !Array.isArray(task.duration) && task.uses[task.duration.of] === use);
  if (byChoice && listed && new Set(candidates).size < candidates.length)
    issues.push({ code: "inconsistent", path: at("resource"), got: use.resource, wanted: "a list that names no resource twice" });
  if ((use.from === undefined) !== (use.minutes === undefined))
    issues.push({
      code: "missing",
      path: at(use.from === undefined ? "from" : "minutes"),
      wanted: "from and minutes together, or neither",
    });
  if (kinds.has("chamber")) {
    if (use.setting === undefined) issues.push({ code: "missing", path: at("setting"), wanted: "a setting in °C for a chamber" });
    if (use.from !== undefined)
      issues.push({ code: "inconsistent", path: at("from"), got: use.from, wanted: "no part use of a chamber" });
    if (least < 1) issues.push({ code: "out_of_range", path: at("resource"), got: least, wanted: "a load of at least 1 minute" });
    if (use.sealed > least)
      issues.push({ code: "out_of_range", path: at("sealed"), got: use.sealed, wanted: `at most ${least} minutes` });
  }
  if (use.from !== undefined && use.minutes !== undefined) {
    const lengths = Array.isArray(use.minutes) ? use.minutes : [use.minutes];
    if (Array.isArray(use.minutes) && (!listed || lengths.length !== candidates.length))
      issues.push({
        code: "inconsistent",
        path: at("minutes"),
        got: use.minutes,
        wanted: "as many entries as the resource list has",
      });
    const { from } = use;
    const inside = (length: number) => (from >= 0 ? from + length <= least : -from <= least && length <= -from);
    if (!lengths.every(inside))
      issues.push({
        code: "out_of_range",
        path: at("minutes"),
        got: use.minutes,
        wanted: `a part inside the task's ${least} minutes`,
      });
  }
  return issues;
}

/** A ring of `after`s is an error whatever its lags. */
function ringIssues(problem: Problem): Issue[] {
  const index = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const waiting = problem.tasks.map((task) => task.after.length);
  const followers: number[][] = problem.tasks.map(() => []);
  problem.tasks.forEach((task, i) => task.after.forEach((link) => followers[index.get(link.task)!].push(i)));
  const ready = waiting.flatMap((n, i) => (n === 0 ? [i] : []));
  let done = 0;
  while (ready.length > 0) {
    done++;
    for (const next of followers[ready.pop()!]) if (--waiting[next] === 0) ready.push(next);
  }
  if (done === problem.tasks.length) return [];
  const stuck = waiting.findIndex((n) => n > 0);
  const { id, after } = problem.tasks[stuck];
  return [
    {
      code: "inconsistent",
      path: ["tasks", stuck, "after"],
      got: after.map((l) => l.task),
      wanted: `no ring of afters (${id} waits for itself)`,
    },
  ];
}
