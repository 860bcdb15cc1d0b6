import { candidatesOf, takenIn, type Problem, type Task, type Use } from "../problem";
import type { Guess } from "../construct/schedule";
import type { Placed, Solution } from "../solution";
import { heldUp, withHours } from "./hours";

/** What is known of a day that is under way, in the plan's minutes. */
export interface ExecutionState {
  readonly now: number;
  /** Tasks that are over, as they were. */
  readonly done: readonly { readonly id: string; readonly start: number; readonly end: number }[];
  /** Tasks under way, with the end that is expected where it is known, or the minute before which they are not over. */
  readonly running: readonly {
    readonly id: string;
    readonly start: number;
    readonly end?: number;
    readonly noEarlier?: number;
  }[];
  /** Tasks that the cook wants to stay where they are. */
  readonly locked: readonly string[];
  /** Tasks that will take so many minutes instead, or cannot begin before a minute. */
  readonly changed: readonly { readonly id: string; readonly minutes?: number; readonly notBefore?: number }[];
  /** Pools whose hours do not run on: whoever left is asked to stay only where nothing goes without them. */
  readonly gone?: readonly string[];
}

/** Cost of a minute by which a task that the cook has seen is moved; small against what a wave that slips costs. */
const MOVE_COST = 0.05;

/**
 * The problem of the rest of a day: what is done or under way is fixed, nothing else begins before now, and every
 * minute by which a task moves from its old place costs a little.
 */
export function restOf(problem: Problem, old: Solution, soFar: ExecutionState): Problem {
  const { now } = soFar;
  const done = new Map(soFar.done.map((task) => [task.id, task]));
  const running = new Map(soFar.running.map((task) => [task.id, task]));
  const changed = new Map(soFar.changed.map((task) => [task.id, task]));
  const locked = new Set(soFar.locked);
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const marks: Task[] = [];
  const chambers = new Set(problem.resources.filter((r) => r.kind === "chamber").map((r) => r.id));
  // Of the loads that are over only the last of each chamber counts.
  const lastLoad = new Map<string, string>();
  for (const task of [...soFar.done].sort((a, b) => a.end - b.end))
    for (const id of placed.get(task.id)?.taken ?? []) if (chambers.has(id)) lastLoad.set(id, task.id);

  const over = overCapacity(problem, placed, soFar);
  const tasks = problem.tasks.map((task): Task => {
    const was = placed.get(task.id)!;
    const ended = done.get(task.id);
    if (ended) {
      const uses = task.uses.flatMap((use, u) =>
        lastLoad.get(was.taken[u]) === task.id && ended.end > ended.start
          ? [{ ...use, resource: was.taken[u], sealed: 0, rank: use.rank }]
          : [],
      );
      return {
        ...task,
        duration: ended.end - ended.start,
        uses,
        after: [],
        earliest: ended.start,
        latest: ended.end,
        due: undefined,
        earlyCost: 0,
        lateCost: 0,
        stretchCost: 0,
      };
    }
    const change = changed.get(task.id);
    const after = task.after.map((link) => {
      const before = done.get(link.task);
      if (!before || link.max === undefined || running.has(task.id) || now - before.end <= link.max) return link;
      return { ...link, max: undefined };
    });
    const seen = task.due === undefined || (task.earlyCost === 0 && task.lateCost === 0);
    const kept = { ...task, after, ...(seen && { due: was.end, earlyCost: MOVE_COST, lateCost: MOVE_COST }) };
    const underWay = running.get(task.id);
    if (underWay) return startedAt(kept, was, { ...underWay, over: over.get(task.id) }, now, marks, change?.minutes);
    const wanted = change?.minutes !== undefined ? withMinutes(kept, change.minutes) : kept;
    const from = Math.max(now, task.earliest ?? 0, change?.notBefore ?? 0);
    if (locked.has(task.id) && was.start >= from)
      return { ...settled(wanted, was), duration: was.end - was.start, earliest: was.start, latest: was.end, stretchCost: 0 };
    return { ...wanted, earliest: from };
  });
  // A task has a due time already, so that a deadline which may have to give way becomes a mark in time at its end.
  const deadlines = tasks.flatMap((task) =>
    task.latest === undefined || done.has(task.id) ? [] : [mark(`${task.id}${DEADLINE}`, { latest: task.latest }, task.id)],
  );
  const rest = { ...problem, tasks: [...marks, ...tasks, ...deadlines] };
  return withHours(rest, (hours, pool) =>
    heldUp(
      hours,
      soFar.running.flatMap(({ id, start, end }) => {
        const u = placed.get(id)!.taken.indexOf(pool);
        if (end === undefined || u < 0) return [];
        const { from, amount } = problem.tasks.find((task) => task.id === id)!.uses[u];
        return from === undefined ? [{ start, end, amount }] : [];
      }),
    ),
  );
}

/** The mark in time at which a task under way began. */
export const beganId = (task: string): string => `${task} began`;
const DEADLINE = " by then";
/** Whether it is the mark in time by which another task should be over. */
export const isDeadline = (task: Task): boolean => task.id.endsWith(DEADLINE) && task.duration === 0;

/** A moment without length, at the end of another task where one is given. */
const mark = (id: string, times: { earliest?: number; latest?: number }, at?: string): Task => ({
  id,
  duration: 0,
  uses: [],
  after: at === undefined ? [] : [{ task: at, min: 0, max: 0 }],
  ...times,
  earlyCost: 0,
  lateCost: 0,
  stretchCost: 0,
});

/**
 * What is under way and takes more of a pool than there is: uses by task. It happens all the same (somebody does two things at once, or
 * begins one while their hands are at another), and is no reason why the rest could not go on.
 */
function overCapacity(
  problem: Problem,
  placed: ReadonlyMap<string, Placed>,
  { running, now }: ExecutionState,
): ReadonlyMap<string, ReadonlySet<number>> {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const left = new Map(problem.resources.flatMap((one) => (one.kind === "pool" ? [[one.id, one.capacity] as const] : [])));
  const chambers = new Map(problem.resources.flatMap((one) => (one.kind === "chamber" ? [[one.id, one] as const] : [])));
  const loads = new Map<string, { id: string; u: number; use: Use }[]>();
  const over = new Map<string, Set<number>>();
  const drop = (id: string, u: number) => over.set(id, (over.get(id) ?? new Set()).add(u));
  const inOrder = [...running].sort((a, b) => a.start - b.start);
  const take = (id: string, u: number, { amount }: Use, taken: string) => {
    const free = left.get(taken);
    if (free === undefined) return;
    if (amount <= free) left.set(taken, free - amount);
    else drop(id, u);
  };
  for (const { id } of inOrder)
    tasks.get(id)?.uses.forEach((use, u) => {
      const taken = placed.get(id)?.taken[u];
      if (taken === undefined || use.from !== undefined) return;
      if (chambers.has(taken)) loads.set(taken, [...(loads.get(taken) ?? []), { id, u, use }]);
      else take(id, u, use, taken);
    });
  // Looks that have begun come after what hands are at all the time.
  for (const { id, start } of inOrder)
    tasks.get(id)?.uses.forEach((use, u) => {
      const taken = placed.get(id)?.taken[u];
      if (taken === undefined || use.from === undefined || use.from < 0 || start + use.from > now) return;
      const [, until] = takenIn(use, candidatesOf(use).indexOf(taken), start, start);
      if (until > now) take(id, u, use, taken);
    });
  // Of loads that cannot be in together the last that went in is: what was in before has been taken out of its way.
  for (const [id, list] of loads) {
    const { slots, recovery } = chambers.get(id)!;
    const last = list.at(-1)!;
    const isTogether =
      recovery === 0 &&
      list.every(({ use }) => use.setting === last.use.setting && use.sealed === 0) &&
      list.reduce((sum, { use }) => sum + use.amount, 0) <= slots;
    if (!isTogether) for (const { id, u } of list.slice(0, -1)) drop(id, u);
  }
  return over;
}

/** Each use with what it took, and a part by choice as long as that takes. */
function settled(task: Task, was: Placed): Task {
  return { ...task, uses: task.uses.map((use, u) => settledUse(use, was.taken[u])) };
}

function settledUse(use: Use, taken: string | undefined): Use {
  if (!Array.isArray(use.resource) || taken === undefined) return use;
  const choice = use.resource.indexOf(taken);
  return { ...use, resource: taken, ...(Array.isArray(use.minutes) && { minutes: use.minutes[choice] }) };
}

/** Of a task under way: what it holds is settled, parts that are over take nothing, and parts to come are anybody's still. */
function heldNow(task: Task, was: Placed, { start, end, now }: { start: number; end: number; now: number }): Task {
  const uses = task.uses.map((use, u): Use => {
    const { from, minutes } = use;
    if (from === undefined || minutes === undefined) return settledUse(use, was.taken[u]);
    const begins = (from >= 0 ? start : end) + from;
    if (begins >= now) return use;
    const left = (length: number) => Math.max(0, begins + length - now);
    return { ...use, from: now - start, minutes: Array.isArray(minutes) ? minutes.map(left) : left(minutes) };
  });
  return { ...task, uses };
}

function lengthOf(task: Task, was: Placed): readonly [number, number] {
  const { duration } = task;
  if (typeof duration === "number") return [duration, duration];
  if (Array.isArray(duration)) return [duration[0], duration[1]];
  const resource = task.uses[duration.of].resource;
  const minutes = duration.minutes[Array.isArray(resource) ? resource.indexOf(was.taken[duration.of]) : 0];
  return [minutes, minutes];
}

/** A task under way: its beginning is a mark in time that it hangs on, its end lies no earlier than now. */
function startedAt(
  task: Task,
  was: Placed,
  underWay: { start: number; end?: number; noEarlier?: number; over?: ReadonlySet<number> | undefined },
  now: number,
  marks: Task[],
  minutes: number | undefined,
): Task {
  const [least, most] = lengthOf(task, was);
  const { start } = underWay;
  const began = mark(beganId(task.id), { earliest: start, latest: start });
  marks.push(began);
  const gone = now - start;
  const wanted = underWay.end !== undefined ? underWay.end - start : minutes;
  const low = Math.max(least, gone, wanted ?? 0, (underWay.noEarlier ?? start) - start);
  const high = wanted !== undefined ? low : Math.max(low, most);
  const taken = heldNow(task, was, { start, end: start + low, now });
  return {
    ...taken,
    uses: taken.uses.filter((_, u) => !underWay.over?.has(u)),
    duration: low === high ? low : [low, high],
    stretchCost: low === high ? 0 : task.stretchCost,
    after: [{ task: began.id, min: 0, max: 0 }],
    earliest: start,
  };
}

/** A task that takes other minutes than planned; by choice, that long whoever does it. */
function withMinutes(task: Task, minutes: number): Task {
  if (typeof task.duration === "object" && !Array.isArray(task.duration))
    return { ...task, duration: { of: task.duration.of, minutes: task.duration.minutes.map(() => minutes) } };
  return { ...task, duration: minutes };
}

/** Where each task of the rest stood, for a schedule that keeps what it can. */
export function guessOf(rest: Problem, problem: Problem, old: Solution, soFar: ExecutionState): Guess {
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const began = new Map(soFar.running.map((task) => [task.id, task.start]));
  const over = new Map(soFar.done.map((task) => [task.id, task]));
  const before = new Map(problem.tasks.map((task) => [task.id, task]));
  const starts = Int32Array.from(rest.tasks, (task) =>
    isDeadline(task)
      ? placed.get(task.after[0].task)!.end
      : (over.get(task.id)?.start ?? began.get(task.id) ?? placed.get(task.id)?.start ?? task.earliest ?? 0),
  );
  const ends = Int32Array.from(rest.tasks, (task, i) => over.get(task.id)?.end ?? placed.get(task.id)?.end ?? starts[i]);
  const choices = rest.tasks.map((task) =>
    Int32Array.from(task.uses, (use) => {
      // A use that is settled lists one resource only.
      if (!Array.isArray(use.resource)) return 0;
      const u = before
        .get(task.id)!
        .uses.findIndex((other) => other === use || (other.resource === use.resource && other.from === use.from));
      return Math.max(0, use.resource.indexOf(placed.get(task.id)?.taken[u] ?? ""));
    }),
  );
  return { starts, ends, choices };
}
