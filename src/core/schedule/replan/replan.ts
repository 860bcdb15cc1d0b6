import { Budget, type SolveOptions } from "../budget";
import { candidatesOf, takenIn, type Problem } from "../problem";
import type { Placed, Solution } from "../solution";
import { refused } from "../refused";
import { compile, hasSameShape } from "../compile";
import type { Model } from "../model";
import { Solver } from "../solver";
import { mayKeepOrder } from "../timing/retime";
import type { Guess } from "../construct/schedule";
import { lineUp } from "./line-up";
import { rungsOf } from "./relaxation-ladder";
import { gapsIn, hoursOf } from "./hours";
import { guessOf, restOf, type ExecutionState } from "./execution-state";

export interface Move {
  readonly id: string;
  readonly from: { readonly start: number; readonly end: number };
  readonly to: { readonly start: number; readonly end: number };
}

export interface Replanned {
  readonly solution: Solution;
  /** What is no longer where the cook last saw it. */
  readonly moves: readonly Move[];
  /** Waits that can no longer be kept short enough, such as a rest that went on too long: [task, the one it waited for]. */
  readonly broken: readonly (readonly [string, string])[];
  /** Deadlines that can no longer be met, and by how many minutes each is missed at the least cost found. */
  readonly late: readonly { readonly id: string; readonly minutes: number }[];
  /** Pools that are needed outside their hours, and for how many minutes; only where the day cannot go on otherwise. */
  readonly beyond: readonly { readonly resource: string; readonly minutes: number }[];
  /** Tasks under way that nobody looks after at a minute at which somebody should, because what runs late takes them. */
  readonly unattended: readonly { readonly id: string; readonly minute: number }[];
  /** The problem that was solved: the rest of the day, with what is fixed in it. */
  readonly problem: Problem;
}

/** Share of the time left that the search for a first schedule may take before more gives way. */
const FIRST_SHARE = 0.4;

/** Repairs in a row that may come to nothing while a first answer of any kind is looked for. */
const QUICK_REPAIRS = 12;

/** What a re-plan asks of people, for comparison: a minute late of a wave's task, a minute beyond hours, a wait that is too long, a look that nobody is free for. */
const HARM = { late: 5, beyond: 3, broken: 20, unattended: 5 } as const;

/** What has to be gained before an order that holds is given up: five minutes of two tasks. */
const LEAST_GAIN = 50;

const harmOf = ({ late, beyond, broken, unattended }: Replanned): number =>
  late.reduce((sum, { minutes }) => sum + HARM.late * minutes, 0) +
  beyond.reduce((sum, { minutes }) => sum + HARM.beyond * minutes, 0) +
  HARM.broken * broken.length +
  HARM.unattended * unattended.length;

/** Whether a re-plan is late, or asks people to stay longer. */
const asksForMore = ({ late, beyond }: Replanned): boolean => late.length > 0 || beyond.length > 0;

export interface ReplanOptions extends Omit<SolveOptions, "better"> {
  /** Told of the first answer and of each better one. */
  readonly better?: (answer: Replanned) => void;
  /** Improves only what is late or asks people to stay longer: nothing else moves. */
  readonly onlyWhereWorse?: boolean;
  /** Looks no further where the order holds. */
  readonly onlyKeep?: boolean;
  /** The first answer of any kind, and nothing better. */
  readonly onlyFirst?: boolean;
}

/**
 * A plan for the rest of the day that changes no more than it needs. First the old order at new times, or all lined up
 * anew (`lineUp`) where that asks less of people, with as much giving way as must (`rungsOf`); each is told as soon as it is found.
 * Then as little as possible may give way: what still holds is kept and the rest placed anew. At last the usual
 * improvement, as long as the limits allow.
 */
export function replan(problem: Problem, old: Solution, soFar: ExecutionState, options: ReplanOptions): Replanned {
  const strict = restOf(problem, old, soFar);
  const until = options.seconds === undefined ? undefined : options.now() + options.seconds * 1000;
  const { better, onlyWhereWorse = false, onlyKeep = false, onlyFirst = false, ...limits } = options;
  const budget = (share: number) =>
    new Budget({ ...limits, seconds: until === undefined ? undefined : (share * Math.max(50, until - options.now())) / 1000 });
  const begun = new Set([...soFar.done, ...soFar.running].map((task) => task.id));
  const rungs = rungsOf(strict, soFar);
  const was = guessOf(strict, problem, old, soFar);
  const models: Model[] = [];
  // Most rungs differ by their hours and bounds alone.
  const likeOf = (way: number) => rungs.findIndex((rung, other) => other in models && hasSameShape(rung, rungs[way]));
  const modelOf = (way: number) => (models[way] ??= compile(rungs[way], models[likeOf(way)]));
  const newSolver = (way: number) => new Solver(rungs[way], options.seed ?? 1, modelOf(way));
  const made: Solver[] = [];
  const solverOf = (way: number) => (made[way] ??= newSolver(way));
  const before = { strict, problem, old, begun, running: soFar.running };
  const answer = (way: number) => answerOf(solverOf(way), rungs[way], before);
  /** The least that has to give way for an order to hold, by a solver of its own; undefined where it holds in no way. */
  const keeping = (guess: Guess, inOrder: Guess) => {
    const may = (way: number) => mayKeepOrder(modelOf(way), inOrder);
    // On most days nothing has to give way: that is tried by itself before the rest is halved. A solver is dear: only the
    // least that may do has one, and those beyond it where it does not do.
    for (let way = may(0) ? 0 : 1 + firstThat(rungs.length - 1, (at) => may(at + 1)); way < rungs.length; way++) {
      const solver = newSolver(way);
      if (solver.keepOrder(guess, inOrder)) return { way, solver, answer: answerOf(solver, rungs[way], before) };
    }
    return undefined;
  };
  // The order as it was; where that asks for anything, it is compared with all lined up behind what is over and under way.
  const plain = keeping(was, was);
  if (plain) better?.(plain.answer);
  if (plain && onlyFirst) return plain.answer;
  const line = plain?.way === 0 ? undefined : lineUp(strict, was, soFar);
  const lined = line && keeping({ ...was, choices: line.choices }, line);
  const kept = plain && lined ? (harmOf(lined.answer) < harmOf(plain.answer) ? lined : plain) : (plain ?? lined);
  for (const one of [plain, lined, kept]) if (one) made[one.way] = one.solver;
  const mended = () => rungs.findIndex((_, way) => solverOf(way).mend(was, budget(FIRST_SHARE), QUICK_REPAIRS));
  const quick = kept?.way ?? mended();
  const first = kept?.answer ?? (quick >= 0 ? answer(quick) : undefined);
  if (first && first !== plain?.answer) better?.(first);
  if (first && onlyFirst) return first;
  if (kept && (onlyKeep || (onlyWhereWorse && !asksForMore(kept.answer)))) return kept.answer;
  const guesses = quick >= 0 ? [solverOf(quick).best!, was] : [was];
  for (let way = 0; way < rungs.length; way++) {
    const solver = solverOf(way);
    if (!solver.best) {
      const share = budget(FIRST_SHARE);
      // Where the order holds, only little is tried to ask less of anybody.
      if (!guesses.some((guess) => solver.mend(guess, share, kept && QUICK_REPAIRS))) {
        if (kept || solver.findFirst(share) !== "found") continue;
      }
    }
    // Less gives way, and it may still be worse: what asks no more of anybody and is hours late is no better than what is not.
    const chosen = first && quick > way && harmOf(first) < harmOf(answer(way)) ? quick : way;
    const found = answer(chosen);
    if (chosen !== quick) better?.(found);
    if (!onlyWhereWorse || asksForMore(found)) solverOf(chosen).improve(budget(1), () => better?.(answer(chosen)));
    const last = answer(chosen);
    // People who know what comes next are not sent another way for little.
    return onlyWhereWorse && kept && harmOf(kept.answer) - harmOf(last) < LEAST_GAIN ? kept.answer : last;
  }
  return answer(0);
}

/** The least way that will do, where all that give more will do as well: by halving, since each try costs the same. */
function firstThat(rungs: number, willDo: (way: number) => boolean): number {
  let low = 0;
  let high = rungs;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (willDo(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** How long outside its hours each pool is needed at the most, counted from when they ended, min; only what is. */
function beyondHours(problem: Problem, solution: Solution): { resource: string; minutes: number }[] {
  const most = new Map<string, number>();
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const hours = new Map(problem.resources.map((resource) => [resource.id, hoursOf(resource)]));
  for (const { id, start, end, taken } of solution.tasks)
    tasks.get(id)?.uses.forEach((use, u) => {
      const own = hours.get(taken[u]);
      if (!own) return;
      const [from, until] = takenIn(use, candidatesOf(use).indexOf(taken[u]), start, end);
      for (const [a, b] of gapsIn(own, from, until)) {
        const ended = own.reduce((last, [, to, units]) => (units > 0 && to <= a ? Math.max(last, to) : last), 0);
        most.set(taken[u], Math.max(most.get(taken[u]) ?? 0, b - (ended > 0 ? ended : a)));
      }
    });
  return [...most].map(([resource, minutes]) => ({ resource, minutes }));
}

/** What stands elsewhere than it did. */
export function movesBetween(old: readonly Placed[], tasks: readonly Placed[]): Move[] {
  const placed = new Map(old.map((task) => [task.id, task]));
  return tasks.flatMap(({ id, start, end }): Move[] => {
    const was = placed.get(id);
    return !was || (was.start === start && was.end === end)
      ? []
      : [{ id, from: { start: was.start, end: was.end }, to: { start, end } }];
  });
}

interface Before {
  readonly problem: Problem;
  readonly old: Solution;
  /** The rest of the day with all that was asked. */
  readonly strict: Problem;
  readonly begun: ReadonlySet<string>;
  readonly running: ExecutionState["running"];
}

/** Parts of what is under way that fall into what runs late, at the same cook. */
function unattendedIn(strict: Problem, solution: Solution, running: ExecutionState["running"]): { id: string; minute: number }[] {
  const at = new Map(solution.tasks.map((task) => [task.id, task]));
  const late = running.flatMap(({ id, end }) => (end === undefined || !at.has(id) ? [] : [{ ...at.get(id)!, end }]));
  return strict.tasks.flatMap((task) => {
    const own = at.get(task.id);
    if (!own || !running.some(({ id, end }) => id === task.id && end === undefined)) return [];
    return task.uses.flatMap((use, u) => {
      if (use.from === undefined) return [];
      const [minute] = takenIn(use, candidatesOf(use).indexOf(own.taken[u]), own.start, own.end);
      const busy = late.some((other) => other.start <= minute && minute < other.end && other.taken.includes(own.taken[u]));
      return busy ? [{ id: task.id, minute }] : [];
    });
  });
}

function answerOf(solver: Solver, solved: Problem, { problem, old, strict, begun, running }: Before): Replanned {
  const placed = new Map(old.tasks.map((task) => [task.id, task]));
  const deadlines = new Map(strict.tasks.flatMap((task) => (task.latest === undefined ? [] : [[task.id, task.latest] as const])));
  const solution = solver.best ? solver.solution() : refused(solved, solver.refusal());
  const today = solution.tasks.filter((task) => placed.has(task.id));
  const at = new Map(today.map((task) => [task.id, task]));
  const moves = movesBetween(old.tasks, today);
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
  const unattended = unattendedIn(strict, solution, running);
  return { solution, moves, broken, late, beyond, unattended, problem: solved };
}
