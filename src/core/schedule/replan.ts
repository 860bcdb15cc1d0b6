import { Budget, type SolveOptions } from "./budget";
import type { Problem, Task } from "./problem";
import type { Placed, Solution } from "./solution";
import { Solver, type Answer, type Guess } from "./solver";

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
  /** Links that what happened has broken already, such as a rest that went on too long: [task, the one it waited for]. */
  readonly broken: readonly (readonly [string, string])[];
  /** Deadlines that can no longer be met, and by how many minutes each is missed at the least cost found. */
  readonly late: readonly { readonly id: string; readonly minutes: number }[];
  /** The problem that was solved: the rest of the day, with what is fixed in it. */
  readonly problem: Problem;
}

/** Cost of a minute by which a task that the cook has seen is moved; small against what a wave that slips costs. */
const MOVE_COST = 0.05;

/** Cost of a minute by which a deadline is missed once it cannot be met, and how far the day may then run on, min. */
const LATE_COST = 5;
const OVERRUN = 240;
/** Share of the time that the search for a day with its deadlines may take before they give way. */
const STRICT_SHARE = 0.4;

/**
 * The problem of the rest of a day: what is done or under way is fixed, nothing else begins before now, and every
 * minute by which a task moves from its old place costs a little.
 */
export function restOf(
  problem: Problem,
  old: Solution,
  soFar: SoFar,
): { problem: Problem; broken: (readonly [string, string])[] } {
  const { now } = soFar;
  const done = new Map(soFar.done.map((task) => [task.id, task]));
  const running = new Map(soFar.running.map((task) => [task.id, task]));
  const changed = new Map(soFar.changed.map((task) => [task.id, task]));
  const locked = new Set(soFar.locked);
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const broken: (readonly [string, string])[] = [];
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
      broken.push([task.id, link.task]);
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
  // Links between what is over are history.
  const whole = { ...problem, tasks: [...marks, ...tasks] };
  return { problem: whole, broken };
}

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
  const mark = `${task.id} began`;
  marks.push({
    id: mark,
    duration: 0,
    uses: [],
    after: [],
    earliest: start,
    latest: start,
    earlyCost: 0,
    lateCost: 0,
    stretchCost: 0,
  });
  const gone = now - start;
  const wanted = underWay.end !== undefined ? underWay.end - start : minutes;
  const low = Math.max(least, gone, wanted ?? 0);
  const high = wanted !== undefined ? low : Math.max(low, most);
  const taken = settled(task, was);
  return {
    ...taken,
    duration: low === high ? low : [low, high],
    stretchCost: low === high ? 0 : task.stretchCost,
    after: [{ task: mark, min: 0, max: 0 }],
    earliest: start,
  };
}

/** A task that takes other minutes than planned; by choice, that long whoever does it. */
function withMinutes(task: Task, minutes: number): Task {
  if (typeof task.duration === "object" && !Array.isArray(task.duration))
    return { ...task, duration: { of: task.duration.of, minutes: task.duration.minutes.map(() => minutes) } };
  return { ...task, duration: minutes };
}

/** The problem with deadlines as due times that cost a lot to miss; what is fixed stays. */
function softened(problem: Problem, fixed: ReadonlySet<string>): Problem {
  return {
    ...problem,
    horizon: problem.horizon + OVERRUN,
    tasks: problem.tasks.map((task) =>
      task.latest === undefined || fixed.has(task.id)
        ? task
        : { ...task, latest: undefined, due: task.due ?? task.latest, lateCost: Math.max(LATE_COST, task.lateCost) },
    ),
  };
}

/** Where each task of the rest stood, for a schedule that keeps what it can. */
function guessOf(rest: Problem, problem: Problem, old: Solution, soFar: SoFar): Guess[] {
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const began = new Map(soFar.running.map((task) => [task.id, task.start]));
  const over = new Map(soFar.done.map((task) => [task.id, task]));
  const before = new Map(problem.tasks.map((task) => [task.id, task]));
  return rest.tasks.map((task): Guess => {
    const was = placed.get(task.id);
    const start = over.get(task.id)?.start ?? began.get(task.id) ?? was?.start ?? task.earliest ?? 0;
    const end = over.get(task.id)?.end ?? was?.end ?? start;
    const choices = Int32Array.from(task.uses, (use) => {
      // A use that is settled lists one resource only.
      if (!Array.isArray(use.resource)) return 0;
      const u = before
        .get(task.id)!
        .uses.findIndex((other) => other === use || (other.resource === use.resource && other.from === use.from));
      return Math.max(0, use.resource.indexOf(was?.taken[u] ?? ""));
    });
    return { start, end, choices };
  });
}

/**
 * A plan for the rest of the day that changes no more than it needs: at first what still holds is kept and only the
 * rest is placed anew, then it is improved as long as the limits allow. Where the deadlines can no longer be met they
 * give way, and it says by how much. `better` hears of the first answer.
 */
export function replan(problem: Problem, old: Solution, soFar: SoFar, options: SolveOptions): Replanned {
  const { problem: strict, broken } = restOf(problem, old, soFar);
  const from = options.now();
  const part = options.seconds === undefined ? undefined : options.seconds * STRICT_SHARE;
  const kept = search(strict, guessOf(strict, problem, old, soFar), options, part);
  if (kept.best) return answerOf(kept, strict, strict, old, broken);
  const fixed = new Set([...soFar.done.map((d) => d.id), ...soFar.locked]);
  const soft = softened(strict, fixed);
  const left = options.seconds === undefined ? undefined : Math.max(0.05, options.seconds - (options.now() - from) / 1000);
  const slipped = search(soft, guessOf(soft, problem, old, soFar), { ...options, seconds: left }, undefined);
  return slipped.best ? answerOf(slipped, soft, strict, old, broken) : answerOf(kept, strict, strict, old, broken);
}

/** Mends a guess, or finds a first schedule in the usual way, within `firstSeconds`; then improves it. */
function search(problem: Problem, guess: readonly Guess[], options: SolveOptions, firstSeconds: number | undefined): Solver {
  const solver = new Solver(problem, options.seed ?? 1);
  const first = new Budget(firstSeconds === undefined ? options : { ...options, seconds: firstSeconds });
  const from = options.now();
  if (!solver.mend(guess, first) && solver.findFirst(first) !== "found") return solver;
  options.better?.(solver.solution());
  const seconds = options.seconds === undefined ? undefined : Math.max(0, options.seconds - (options.now() - from) / 1000);
  solver.improve(new Budget({ ...options, seconds }), () => options.better?.(solver.solution()));
  return solver;
}

function answerOf(solver: Solver, solved: Problem, strict: Problem, old: Solution, broken: Replanned["broken"]): Replanned {
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const deadlines = new Map(strict.tasks.flatMap((task) => (task.latest === undefined ? [] : [[task.id, task.latest] as const])));
  const solution = solver.best ? solver.solution() : solver.refusal();
  const today = solution.tasks.filter((task) => placed.has(task.id));
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
  return { solution, moves, broken, late, problem: solved };
}
