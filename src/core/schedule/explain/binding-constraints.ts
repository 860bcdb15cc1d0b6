import { compile } from "../compile";
import { takenFrom, takenUntil, warmAt, type Model, type ModelUse } from "../model";
import { Occupancy } from "../construct/occupancy";
import type { Problem } from "../problem";
import type { Solution } from "../solution";

/** What keeps a task from being a minute later (or earlier). */
export type Hold =
  /** Another task follows (or comes before) at once, or may wait no longer; `gives`: a rest that could be longer or shorter. */
  | { readonly kind: "link" | "wait"; readonly task: number; readonly gives?: true }
  /** A resource is taken by another task from then on (or until then). */
  | { readonly kind: "taken"; readonly resource: number; readonly task: number; readonly gives?: true }
  /** A chamber is on its way to another setting, or recovers, for another load. */
  | { readonly kind: "change"; readonly resource: number; readonly task: number; readonly minutes: number }
  /** A chamber has only just become hot. */
  | { readonly kind: "heat"; readonly resource: number }
  /** A resource is not there. */
  | { readonly kind: "hours"; readonly resource: number }
  /** Its own limit or due time, or the end (or beginning) of the plan. */
  | { readonly kind: "limit" | "due" | "edge" };

export interface Holds {
  readonly later: readonly Hold[];
  readonly earlier: readonly Hold[];
}

const NO_HOLDS: Holds = { later: [], earlier: [] };

/**
 * What holds each task of a schedule where it is, either way; tasks in the problem's order. A task moves as a whole,
 * with what it took: nothing held means that it could move by a minute.
 */
export function holdsOf(problem: Problem, solution: Solution): Holds[] {
  if (solution.tasks.length === 0) return problem.tasks.map(() => NO_HOLDS);
  const model = compile(problem);
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  const starts = Int32Array.from(problem.tasks, (task) => placed.get(task.id)!.start);
  const ends = Int32Array.from(problem.tasks, (task) => placed.get(task.id)!.end);
  const index = new Map(problem.resources.map((resource, r) => [resource.id, r]));
  const choices = problem.tasks.map((task, i) =>
    task.uses.map((_, u) => model.uses[i][u].resources.indexOf(index.get(placed.get(task.id)!.taken[u])!)),
  );
  const occupancy = new Occupancy(model);
  problem.tasks.forEach((_, i) => occupancy.placeExactly(i, starts[i], ends[i], choices[i], false));
  const users: Interval[][] = problem.resources.map(() => []);
  problem.tasks.forEach((_, i) =>
    model.uses[i].forEach((use, u) =>
      users[use.resources[choices[i][u]]].push(intervalOf(i, use, choices[i][u], starts[i], ends[i])),
    ),
  );
  return problem.tasks.map((task, i) => {
    occupancy.remove(i);
    const sides = ([1, -1] as const).map((step): Hold[] => {
      const holds: Hold[] = [];
      if (ends[i] + step > problem.horizon || starts[i] + step < 0) holds.push({ kind: "edge" });
      const limit =
        step > 0
          ? task.latest !== undefined && ends[i] >= task.latest
          : task.earliest !== undefined && starts[i] <= task.earliest;
      if (limit) holds.push({ kind: "limit" });
      if (task.due === ends[i] && (step > 0 ? task.lateCost : task.earlyCost) > 0) holds.push({ kind: "due" });
      if (step < 0)
        model.uses[i].forEach((use, u) => {
          const resource = use.resources[choices[i][u]];
          const chamber = model.chambers[resource];
          if (chamber && starts[i] <= warmAt(chamber, use.setting) && starts[i] > 0) holds.push({ kind: "heat", resource });
        });
      holds.push(...linkHolds(model, i, step, starts, ends));
      if (!holds.some((hold) => hold.kind === "edge")) {
        if (occupancy.placeExactly(i, starts[i] + step, ends[i] + step, choices[i])) occupancy.remove(i);
        else {
          const held = resourceHold(model, users[occupancy.refusedBy], occupancy.refusedBy, i, step, choices[i], starts, ends);
          // A tray that waits has it because of this task, and would begin to wait when this one is over.
          const giving = holds.some((h) => "gives" in h && "task" in held && h.task === held.task);
          holds.push(giving && held.kind === "taken" ? { ...held, gives: true } : held);
        }
      }
      return holds;
    });
    occupancy.placeExactly(i, starts[i], ends[i], choices[i]);
    return { later: sides[0], earlier: sides[1] };
  });
}

interface Interval {
  readonly task: number;
  readonly from: number;
  readonly to: number;
}

function intervalOf(task: number, use: ModelUse, choice: number, start: number, end: number): Interval {
  return { task, from: takenFrom(use, start, end), to: takenUntil(use, choice, start, end) };
}

/** Links that are tight: moving both ends of the task by `step` would break them. */
function linkHolds(model: Model, i: number, step: 1 | -1, starts: Int32Array, ends: Int32Array): Hold[] {
  const at = (node: number) => ((node & 1) === 0 ? starts[node >> 1] : ends[node >> 1]);
  const holds: Hold[] = [];
  // A later start or an earlier end takes from a task's length, the others add to it.
  const gives = (node: number) => {
    const j = node >> 1;
    const length = ends[j] - starts[j];
    const room = ((node & 1) === 0) === step > 0 ? length > model.least[j] : length < model.most[j];
    return room && model.durationOf[j] < 0 ? ({ gives: true } as const) : {};
  };
  for (const node of [2 * i, 2 * i + 1]) {
    // value(to) − value(node) ≥ weight: later is what a forward arc forbids, earlier what one that comes in forbids.
    if (step > 0) {
      for (let a = model.arcStart[node]; a < model.arcStart[node + 1]; a++) {
        const to = model.arcTo[a];
        if (to >> 1 !== i && at(to) - at(node) <= model.arcWeight[a])
          holds.push({ kind: (node & 1) === 1 ? "link" : "wait", task: to >> 1, ...gives(to) });
      }
    } else
      for (let a = model.backStart[node]; a < model.backStart[node + 1]; a++) {
        const from = model.backFrom[a];
        if (from >> 1 !== i && at(node) - at(from) <= model.backWeight[a])
          holds.push({ kind: (node & 1) === 0 ? "link" : "wait", task: from >> 1, ...gives(from) });
      }
  }
  return holds.filter(
    (hold, k) => holds.findIndex((other) => "task" in other && "task" in hold && other.task === hold.task) === k,
  );
}

/** Who has the resource next (or had it last), where a minute's move is refused. */
function resourceHold(
  model: Model,
  users: readonly Interval[],
  resource: number,
  i: number,
  step: 1 | -1,
  choices: readonly number[],
  starts: Int32Array,
  ends: Int32Array,
): Hold {
  const own = model.uses[i].flatMap((use, u) =>
    use.resources[choices[u]] === resource ? [intervalOf(i, use, choices[u], starts[i], ends[i])] : [],
  );
  let nearest: Interval | undefined;
  let gap = Infinity;
  for (const mine of own)
    for (const other of users) {
      if (other.task === i || other.to <= other.from) continue;
      const apart = step > 0 ? other.from - mine.to : mine.from - other.to;
      if (apart >= 0 && apart < gap) {
        gap = apart;
        nearest = other;
      }
    }
  const chamber = model.chambers[resource];
  if (nearest && gap === 0) return { kind: "taken", resource, task: nearest.task };
  if (nearest && chamber) return { kind: "change", resource, task: nearest.task, minutes: gap };
  if (!chamber) return { kind: "hours", resource };
  // Beside it: a sealed load, or one at the same minute.
  const beside = users.find(
    (other) => other.task !== i && own.some((mine) => other.from < mine.to + 1 && mine.from - 1 < other.to),
  );
  return beside ? { kind: "taken", resource, task: beside.task } : { kind: "hours", resource };
}

export interface ChainStep {
  readonly task: number;
  readonly hold: Hold;
}

/**
 * The chain of reasons from a task to the wave or to the beginning: each step is what holds the task before it. Later
 * first, as time counts back from serving; where nothing holds it from being later, why it is not earlier.
 */
export function chainOf(holds: readonly Holds[], task: number): { direction: "later" | "earlier"; steps: ChainStep[] } {
  const walk = (direction: "later" | "earlier"): ChainStep[] => {
    const steps: ChainStep[] = [];
    const seen = new Set([task]);
    for (let at = task; ;) {
      const list = holds[at][direction];
      const end = list.find(
        (h) => h.kind === "due" || h.kind === "limit" || h.kind === "hours" || h.kind === "heat" || h.kind === "edge",
      );
      const next = list.find((h) => "task" in h && !("gives" in h) && !seen.has(h.task));
      const hold = end ?? next;
      if (!hold) return steps;
      steps.push({ task: at, hold });
      if (!("task" in hold)) return steps;
      seen.add(hold.task);
      at = hold.task;
    }
  };
  const later = walk("later");
  return later.length > 0 ? { direction: "later", steps: later } : { direction: "earlier", steps: walk("earlier") };
}

export interface Bottleneck {
  readonly resource: number;
  /** Share of what was there, between the first start and the last end of the plan, that is taken, 0 to 1. */
  readonly use: number;
  /** How many tasks it holds where they are. */
  readonly holds: number;
}

/** The resource that most tasks wait for; of two the fuller one. Undefined where nothing waits for any. */
export function bottleneckOf(problem: Problem, solution: Solution, holds: readonly Holds[]): Bottleneck | undefined {
  const model = compile(problem);
  const counts = problem.resources.map(() => 0);
  for (const { later, earlier } of holds)
    for (const hold of [...later, ...earlier])
      if ((hold.kind === "taken" || hold.kind === "change") && "resource" in hold) counts[hold.resource]++;
  const all = counts.map((count, resource) => ({
    resource,
    holds: count,
    use: count > 0 ? useOf(model, problem, solution, resource) : 0,
  }));
  const best = all.sort((a, b) => b.holds * b.use - a.holds * a.use)[0];
  return best && best.holds > 0 ? best : undefined;
}

/** Share of a resource's units, or of a chamber's time, that a schedule takes while it is there; whole plan. */
function useOf(model: Model, problem: Problem, solution: Solution, resource: number): number {
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  const first = Math.min(...solution.tasks.map((task) => task.start));
  const last = Math.max(...solution.tasks.map((task) => task.end));
  const { id } = problem.resources[resource];
  const taken = new Int32Array(problem.horizon + 1);
  problem.tasks.forEach((task, i) =>
    task.uses.forEach((_, u) => {
      const entry = placed.get(task.id)!;
      if (entry.taken[u] !== id) return;
      const use = model.uses[i][u];
      const { from, to } = intervalOf(i, use, use.resources.indexOf(resource), entry.start, entry.end);
      for (let minute = from; minute < to; minute++) taken[minute] += use.amount;
    }),
  );
  const units = model.units[resource];
  let busy = 0;
  let there = 0;
  for (let minute = first; minute < last; minute++) {
    const has = units ? units[minute] : 1;
    there += has;
    busy += units ? taken[minute] : Math.min(1, taken[minute]);
  }
  return there > 0 ? busy / there : 0;
}
