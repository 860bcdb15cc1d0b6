import { Budget, type SolveOptions } from "./budget";
import { leastDuration, type Pool, type Problem, type Task } from "./problem";
import type { Placed, Solution } from "./solution";
import type { Guess } from "./search";
import { Solver, type Answer } from "./solver";

/** What is known of a day that is under way, in the plan's minutes. */
export interface SoFar {
  readonly now: number;
  /** Tasks that are over, as they were. */
  readonly done: readonly { readonly id: string; readonly start: number; readonly end: number }[];
  /** Tasks under way, with the end that is expected where it is known. */
  readonly running: readonly { readonly id: string; readonly start: number; readonly end?: number }[];
  /** Tasks that the cook wants to stay where they are. */
  readonly locked: readonly string[];
  /** Tasks that will take so many minutes instead, or cannot begin before a minute. */
  readonly changed: readonly { readonly id: string; readonly minutes?: number; readonly notBefore?: number }[];
}

export interface Move {
  readonly id: string;
  readonly from: { readonly start: number; readonly end: number };
  readonly to: { readonly start: number; readonly end: number };
}

export interface Replanned {
  readonly solution: Answer;
  /** What is no longer where the cook last saw it. */
  readonly moves: readonly Move[];
  /** Waits that can no longer be kept short enough, such as a rest that went on too long: [task, the one it waited for]. */
  readonly broken: readonly (readonly [string, string])[];
  /** Deadlines that can no longer be met, and by how many minutes each is missed at the least cost found. */
  readonly late: readonly { readonly id: string; readonly minutes: number }[];
  /** Pools that are needed longer than their hours, and by how many minutes; only where the day cannot go on otherwise. */
  readonly beyond: readonly { readonly resource: string; readonly minutes: number }[];
  /** Tasks under way that nobody looks after at a minute at which somebody should, because what runs late takes them. */
  readonly unattended: readonly { readonly id: string; readonly minute: number }[];
  /** The problem that was solved: the rest of the day, with what is fixed in it. */
  readonly problem: Problem;
}

/** Cost of a minute by which a task that the cook has seen is moved; small against what a wave that slips costs. */
const MOVE_COST = 0.05;

/** Cost of a minute by which a deadline is missed once it cannot be met, and how far the day may then run on, min. */
const LATE_COST = 5;
const OVERRUN = 240;
/** Share of the time left that the search for a first schedule may take before more gives way. */
const FIRST_SHARE = 0.4;

/** Repairs in a row that may come to nothing while a first answer of any kind is looked for. */
const QUICK_REPAIRS = 12;

export interface ReplanOptions extends Omit<SolveOptions, "better"> {
  /** Told of the first answer and of each better one. */
  readonly better?: (answer: Replanned) => void;
}

/**
 * The problem of the rest of a day: what is done or under way is fixed, nothing else begins before now, and every
 * minute by which a task moves from its old place costs a little.
 */
export function restOf(problem: Problem, old: Solution, soFar: SoFar): Problem {
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

  const tasks = problem.tasks.map((task): Task => {
    const was = placed.get(task.id)!;
    const over = done.get(task.id);
    if (over) {
      const uses = task.uses.flatMap((use, u) =>
        lastLoad.get(was.taken[u]) === task.id && over.end > over.start
          ? [{ ...use, resource: was.taken[u], sealed: 0, rank: use.rank }]
          : [],
      );
      return {
        ...task,
        duration: over.end - over.start,
        uses,
        after: [],
        earliest: over.start,
        latest: over.end,
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
    if (underWay) return startedAt(kept, was, underWay, now, marks, change?.minutes);
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

const beganId = (task: string): string => `${task} began`;
const DEADLINE = " by then";
const isDeadline = (task: Task): boolean => task.id.endsWith(DEADLINE) && task.duration === 0;

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

/** Each use with what it took, and a part by choice as long as that takes. */
function settled(task: Task, was: Placed): Task {
  return {
    ...task,
    uses: task.uses.map((use, u) => {
      const taken = was.taken[u];
      if (!Array.isArray(use.resource) || taken === undefined) return use;
      const choice = use.resource.indexOf(taken);
      return { ...use, resource: taken, ...(Array.isArray(use.minutes) && { minutes: use.minutes[choice] }) };
    }),
  };
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
  underWay: { start: number; end?: number },
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
  const low = Math.max(least, gone, wanted ?? 0);
  const high = wanted !== undefined ? low : Math.max(low, most);
  const taken = settled(task, was);
  return {
    ...taken,
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

/** The problem with deadlines that cost a lot to miss, but may be missed; those of tasks that are fixed stay. */
function softened(problem: Problem, fixed: ReadonlySet<string>): Problem {
  return {
    ...problem,
    horizon: problem.horizon + OVERRUN,
    tasks: problem.tasks.map((task) => {
      if (task.latest === undefined || fixed.has(task.id)) return task;
      const gives = { ...task, latest: undefined };
      return isDeadline(task) ? { ...gives, due: task.latest, lateCost: LATE_COST } : gives;
    }),
  };
}

/** Where each task of the rest stood, for a schedule that keeps what it can. */
function guessOf(rest: Problem, problem: Problem, old: Solution, soFar: SoFar): Guess {
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

type Hours = NonNullable<Pool["calendar"]>;

/** The problem with each calendar, sorted, turned into another one. */
function withHours(problem: Problem, turn: (hours: Hours, pool: string) => Hours): Problem {
  return {
    ...problem,
    resources: problem.resources.map((resource) =>
      resource.kind === "pool" && resource.calendar
        ? {
            ...resource,
            calendar: turn(
              [...resource.calendar].sort((a, b) => a[0] - b[0]),
              resource.id,
            ),
          }
        : resource,
    ),
  };
}

/** Hours that run on where they end for the day; a pause in them, shorter than the day may run on, stays. */
const longer = (hours: Hours): Hours =>
  hours.map(([from, to, units], k) =>
    (hours[k + 1]?.[0] ?? Infinity) - to > OVERRUN ? [from, to + OVERRUN, units] : [from, to, units],
  );

/** Hours without pauses. */
const unbroken = (hours: Hours): Hours =>
  hours.flatMap((window, k): Hours => {
    const next = hours[k + 1];
    const pause = next ? next[0] - window[1] : 0;
    return pause > 0 && pause <= OVERRUN ? [window, [window[1], next[0], Math.min(window[2], next[2])]] : [window];
  });

/** Hours in which those whom something runs late for stay at it, whatever their hours are. */
function heldUp(hours: Hours, held: readonly { start: number; end: number; amount: number }[]): Hours {
  const open = held.flatMap(({ start, end, amount }) => {
    const gaps: Hours = [];
    let from = start;
    for (const [a, b, units] of hours) {
      if (units === 0 || b <= from) continue;
      if (a >= end) break;
      if (a > from) gaps.push([from, a, amount]);
      from = b;
    }
    return from < end ? [...gaps, [from, end, amount] as Hours[number]] : gaps;
  });
  return [...hours.filter(([, , units]) => units > 0), ...open];
}

/**
 * The problem in which what is over or under way may be waited on for longer than it should be, and in which what goes
 * on by itself is not looked after while that which runs late takes longer.
 */
function patient(problem: Problem, { done, running }: SoFar): Problem {
  const begun = new Map<string, { start: number; end?: number }>([...done, ...running].map((task) => [task.id, task]));
  const taken = Math.max(0, ...running.map((task) => task.end ?? 0));
  return {
    ...problem,
    tasks: problem.tasks.map((task) => {
      const { duration } = task;
      const own = begun.get(task.id);
      const after = task.after.map((link) => (begun.has(link.task) ? { ...link, max: undefined } : link));
      if (!own) return { ...task, after };
      const end = own.start + leastDuration(task);
      const uses = task.uses.map((use) =>
        own.end === undefined && use.from !== undefined && (use.from < 0 ? end : own.start) + use.from < taken
          ? { ...use, minutes: 0 }
          : use,
      );
      return { ...task, after, uses, ...(Array.isArray(duration) && { duration: [duration[0], duration[1] + OVERRUN] }) } as Task;
    }),
  };
}

/**
 * A plan for the rest of the day that changes no more than it needs. First the old order at new times: with all that is
 * asked, else with deadlines that give way, else with hours that do as well, else without pauses, else with waits for what is begun; the first of
 * these that has an answer is told at once. Then as little as possible may give way: what still holds is kept and the
 * rest placed anew. At last the usual improvement, as long as the limits allow.
 */
export function replan(problem: Problem, old: Solution, soFar: SoFar, options: ReplanOptions): Replanned {
  const strict = restOf(problem, old, soFar);
  const until = options.seconds === undefined ? undefined : options.now() + options.seconds * 1000;
  const { better, ...limits } = options;
  const budget = (share: number) =>
    new Budget({ ...limits, seconds: until === undefined ? undefined : (share * Math.max(50, until - options.now())) / 1000 });
  const fixed = new Set([...soFar.done.map((d) => d.id), ...soFar.running.map((r) => beganId(r.id)), ...soFar.locked]);
  const soft = softened(strict, fixed);
  const begun = new Set([...soFar.done, ...soFar.running].map((task) => task.id));
  const long = withHours(soft, longer);
  const through = withHours(long, unbroken);
  const ways = [strict, soft, long, through, patient(through, soFar)];
  const was = guessOf(strict, problem, old, soFar);
  const made: Solver[] = [];
  const solverOf = (way: number) => (made[way] ??= new Solver(ways[way], options.seed ?? 1));
  const answer = (way: number) => answerOf(solverOf(way), ways[way], { strict, problem, old, begun, running: soFar.running });
  const firstOf = (finds: (solver: Solver) => boolean) => ways.findIndex((_, way) => finds(solverOf(way)));
  const kept = firstOf((solver) => solver.keepOrder(was));
  const quick = kept < 0 ? firstOf((solver) => solver.mend(was, budget(FIRST_SHARE), QUICK_REPAIRS)) : kept;
  if (quick >= 0) better?.(answer(quick));
  const guesses = quick >= 0 ? [solverOf(quick).best!, was] : [was];
  for (let way = 0; way < ways.length; way++) {
    const solver = solverOf(way);
    if (!solver.best) {
      const first = budget(FIRST_SHARE);
      if (!guesses.some((guess) => solver.mend(guess, first)) && solver.findFirst(first) !== "found") continue;
      better?.(answer(way));
    }
    solver.improve(budget(1), () => better?.(answer(way)));
    return answer(way);
  }
  return answer(0);
}

/** How far beyond its hours each pool is needed, min; only what is. */
function beyondHours(problem: Problem, solution: Solution): { resource: string; minutes: number }[] {
  const last = new Map<string, number>();
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  for (const { id, start, end, taken } of solution.tasks)
    tasks.get(id)?.uses.forEach((use, u) => {
      const choice = typeof use.resource === "string" ? 0 : use.resource.indexOf(taken[u]);
      const from = use.from === undefined ? start : (use.from < 0 ? end : start) + use.from;
      const until = use.from === undefined ? end : from + (Array.isArray(use.minutes) ? use.minutes[choice] : use.minutes!);
      const pool = problem.resources.find((resource) => resource.id === taken[u]);
      if (pool?.kind !== "pool" || !pool.calendar || until <= from) return;
      if (pool.calendar.some(([a, b, units]) => units > 0 && a < until && until <= b)) return;
      const closed = Math.max(0, ...pool.calendar.filter(([, b, units]) => units > 0 && b < until).map(([, b]) => b));
      last.set(pool.id, Math.max(last.get(pool.id) ?? 0, until - closed));
    });
  return [...last].map(([resource, minutes]) => ({ resource, minutes }));
}

interface Before {
  readonly problem: Problem;
  readonly old: Solution;
  /** The rest of the day with all that was asked. */
  readonly strict: Problem;
  readonly begun: ReadonlySet<string>;
  readonly running: SoFar["running"];
}

/** Parts of what is under way that fall into what runs late, at the same cook. */
function unattendedIn(strict: Problem, solution: Solution, running: SoFar["running"]): { id: string; minute: number }[] {
  const at = new Map(solution.tasks.map((task) => [task.id, task]));
  const late = running.flatMap(({ id, end }) => (end === undefined || !at.has(id) ? [] : [{ ...at.get(id)!, end }]));
  return strict.tasks.flatMap((task) => {
    const own = at.get(task.id);
    if (!own || !running.some(({ id, end }) => id === task.id && end === undefined)) return [];
    return task.uses.flatMap(({ from }, u) => {
      if (from === undefined) return [];
      const minute = (from < 0 ? own.end : own.start) + from;
      const busy = late.some((other) => other.start <= minute && minute < other.end && other.taken.includes(own.taken[u]));
      return busy ? [{ id: task.id, minute }] : [];
    });
  });
}

function answerOf(solver: Solver, solved: Problem, { problem, old, strict, begun, running }: Before): Replanned {
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const deadlines = new Map(strict.tasks.flatMap((task) => (task.latest === undefined ? [] : [[task.id, task.latest] as const])));
  const solution = solver.best ? solver.solution() : solver.refusal();
  const today = solution.tasks.filter((task) => placed.has(task.id));
  const at = new Map(today.map((task) => [task.id, task]));
  const moves = today.flatMap((task): Move[] => {
    const was = placed.get(task.id)!;
    return was.start === task.start && was.end === task.end
      ? []
      : [{ id: task.id, from: { start: was.start, end: was.end }, to: { start: task.start, end: task.end } }];
  });
  const late = today.flatMap((task) => {
    const minutes = task.end - (deadlines.get(task.id) ?? Infinity);
    return minutes > 0 ? [{ id: task.id, minutes }] : [];
  });
  const broken = problem.tasks.flatMap((task) =>
    task.after.flatMap(({ task: other, max }): [string, string][] =>
      max !== undefined && !begun.has(task.id) && (at.get(task.id)?.start ?? 0) - (at.get(other)?.end ?? 0) > max
        ? [[task.id, other]]
        : [],
    ),
  );
  const beyond = beyondHours({ ...strict, resources: problem.resources }, solution);
  return { solution, moves, broken, late, beyond, unattended: unattendedIn(strict, solution, running), problem: solved };
}
