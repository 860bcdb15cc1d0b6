import { Budget } from "../budget";
import { compile } from "../compile";
import { candidatesOf, leastDuration, type Problem, type Resource } from "../problem";
import type { ScheduleReason } from "../reason";
import { Solver } from "../solver";
import { Windows } from "../construct/windows";

export interface SubsetOptions {
  readonly now: () => number;
  /** Time limit for the whole search for a smaller set, s; without it only the number of questions limits it. */
  readonly seconds?: number;
}

/**
 * The problem with these tasks only, so that it is never harder: links to others fall away, and a chamber need not recover
 * where a load that is left out could bridge the pause.
 */
function only(problem: Problem, keep: ReadonlySet<string>): Problem {
  const leftOut = new Set(
    problem.tasks.filter((task) => !keep.has(task.id)).flatMap((task) => task.uses.flatMap((use) => candidatesOf(use))),
  );
  return {
    ...problem,
    resources: problem.resources.map((resource) =>
      resource.kind === "chamber" && resource.slots > 1 && leftOut.has(resource.id) ? { ...resource, recovery: 0 } : resource,
    ),
    tasks: problem.tasks
      .filter((task) => keep.has(task.id))
      .map((task) => ({ ...task, after: task.after.filter((link) => keep.has(link.task)) })),
  };
}

/** Dead ends that one question "is it still impossible?" may cost; without an answer the tasks stay in. */
const PASSES = 12;
/** Questions that are asked in all. */
const QUESTIONS = 120;

/**
 * A small set of tasks that cannot hold together, by leaving tasks out, half of them at first and then fewer and fewer,
 * as long as the rest is proven impossible. Undefined where the whole is not proven so. Every member counts, up to the
 * time limit: without any one of them no proof was found.
 */
export function infeasibleSubset(problem: Problem, options: SubsetOptions): string[] | undefined {
  const limit = options.seconds === undefined ? Infinity : options.now() + options.seconds * 1000;
  let asked = 0;
  const impossible = (tasks: readonly string[]): boolean => {
    if (tasks.length === 0 || ++asked > QUESTIONS || options.now() >= limit) return false;
    const solver = new Solver(only(problem, new Set(tasks)), 1);
    const seconds = limit === Infinity ? undefined : (limit - options.now()) / 1000;
    const budget = new Budget({ now: options.now, seconds, passes: PASSES });
    return solver.findFirst(budget) === "none";
  };
  let core = problem.tasks.map((task) => task.id);
  if (!impossible(core)) return undefined;
  for (let size = Math.ceil(core.length / 2); size >= 1; size = size === 1 ? 0 : Math.ceil(size / 2))
    for (let at = 0; at < core.length && core.length > 1;) {
      const without = [...core.slice(0, at), ...core.slice(at + size)];
      if (without.length > 0 && impossible(without)) core = without;
      else at += size;
    }
  return core;
}

/** An infeasible subset with what its tasks share and the time that they have for it. */
export function subsetReason(problem: Problem, core: readonly string[]): ScheduleReason {
  const part = only(problem, new Set(core));
  const windows = new Windows(compile(part));
  windows.propagateAll();
  const timed = (i: number) => ({ task: part.tasks[i].id, minutes: leastDuration(part.tasks[i]) });
  const all = part.tasks.map((_, i) => i);
  const users = problem.resources.map(({ id }) =>
    all.filter((i) => part.tasks[i].uses.some((use) => candidatesOf(use).includes(id))),
  );
  // What is fought over: the resource that keeps the most minutes of the subset busy for its size.
  const load = problem.resources.map((resource, r) => {
    const minutes = users[r].reduce((total, i) => total + leastDuration(part.tasks[i]), 0);
    return users[r].length > 1 ? minutes / Math.max(1, unitsOf(resource)) : 0;
  });
  const r = load.indexOf(Math.max(...load));
  const fighting = load[r] > 0 ? users[r] : all;
  return {
    code: "infeasible-subset",
    tasks: fighting.map(timed),
    earliest: Math.min(...fighting.map((i) => windows.lo[2 * i])),
    latest: Math.max(...fighting.map((i) => windows.hi[2 * i + 1])),
    ...(load[r] > 0 && { shares: { resource: problem.resources[r].id, units: unitsOf(problem.resources[r]) } }),
    others: all.filter((i) => !fighting.includes(i)).map(timed),
  };
}

const unitsOf = (resource: Resource): number => (resource.kind === "pool" ? resource.capacity : resource.slots);
