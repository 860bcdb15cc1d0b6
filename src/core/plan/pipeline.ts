import { Budget, type Progress } from "../schedule/budget";
import { assemble, emptySolution, refuse } from "./assemble";
import { Attempt } from "./attempt";
import { PLAIN } from "../batching/strategy";
import { carefulWays, withCare } from "./careful";
import { quantitiesOf, strategiesFor } from "./quantities";
import type { PlanRequest } from "./request";
import type { PieceCount, Plan } from "./schema";

const samePieces = (a: readonly PieceCount[], b: readonly PieceCount[]): boolean =>
  a.length === b.length &&
  a.every((count, k) => count.for === b[k].for && count.item === b[k].item && count.pieces === b[k].pieces);

export interface PlanOptions {
  readonly now: () => number;
  /** A plan to go on from: where the request has the same tasks, its order is the first that is tried. */
  readonly from?: Plan;
  /** Told of every better plan on the way. */
  readonly better?: (plan: Plan) => void;
  readonly progress?: (state: Progress) => boolean | void;
  /**
   * A slow machine has so many seconds instead of those of the request before it says that no plan was found, as long as it
   * has tried little: a no that only means that the machine is slow is none. A first plan that comes late is still improved.
   */
  readonly patience?: number;
}

/** Time that a way of dividing the work gets for a first schedule before another has its turn, ms. */
const TURN_MS = 1200;
/** Share of a short time limit that the plain way has to itself first. */
const FIRST_SHARE = 0.8;
/** The same in steps, where no clock limits the search. */
const TURN_STEPS = 150;
/** Steps that a turn has, however slow the machine. */
const LEAST_STEPS = 4;
/** Share of the turns that a good machine takes in the time of the request: a slow one takes as many before it says no, and has as much of that time to improve. */
const LEAST_SHARE = 0.25;

/** A first plan, or a refusal, which `options.better` is told of; and what makes it better, where it can be made better. */
export interface Begun {
  readonly plan: Plan;
  readonly improve?: () => Plan;
}

/** What is to be made, for a day whose timetable was not found in its time. */
export function planWithoutTimetable(request: PlanRequest): Plan {
  const q = quantitiesOf(request);
  return refuse(request, q, q.limits.length > 0 ? q.limits : [{ code: "none-found" }]);
}

/** The whole pipeline: a first plan, made better as long as the limits of the request allow. */
export function makePlan(request: PlanRequest, options: PlanOptions): Plan {
  const { plan, improve } = beginPlan(request, options);
  return improve ? improve() : plan;
}

/**
 * Counts, quantities, problem, first schedule, plan. Where the rules leave a choice of carriers and parts, ways are tried
 * in turn until one has a timetable, the plain one every other time; with an iteration limit and no time limit the result
 * depends on the request alone.
 */
export function beginPlan(request: PlanRequest, options: PlanOptions): Begun {
  const q = quantitiesOf(request);
  if (q.limits.length > 0) return { plan: refuse(request, q, q.limits) };
  if (q.expansion.problem.tasks.length === 0) return { plan: assemble(request, q, q.expansion, emptySolution()) };
  const { seconds, seed, iterations } = request.solve;
  const began = options.now();
  let limit = seconds === undefined ? Infinity : began + seconds * 1000;
  const left = () => (limit - options.now()) / 1000;
  const { patience = 0 } = options;
  const firstLimit = began + 1000 * Math.max(seconds ?? Infinity, patience);
  /** So many turns are few: were the time of the request over after them, a no would be the machine's. */
  const areFew = (turns: number) => seconds !== undefined && turns * TURN_MS < LEAST_SHARE * seconds * 1000;
  let cancelled = false;
  const progress = (state: Progress): boolean => {
    cancelled ||= options.progress?.(state) === false;
    return !cancelled;
  };
  const attempts = strategiesFor(q).map(
    (strategy, i) => new Attempt(request, q, i === 0 ? q.expansion : undefined, strategy, (seed ?? 1) + i),
  );
  const careful = carefulWays(q, PLAIN).map((strategy) => new Attempt(request, q, undefined, strategy, seed ?? 1));
  const begun = (found: Attempt): Begun => {
    const planOf = (attempt: Attempt) => assemble(request, q, attempt.expansion, attempt.solver.solution(), attempt.problem);
    const first = planOf(found);
    options.better?.(first);
    const improve = () => {
      const leftNow = seconds === undefined ? undefined : left();
      const ways = careful.includes(found) || cancelled ? [] : carefulWays(q, found.strategy);
      const cared = withCare(ways, first, request, q, { now: options.now, progress, seconds: leftNow });
      const attempt = cared ?? found;
      if (cared) options.better?.(planOf(cared));
      const limits = seconds === undefined ? { iterations } : { seconds: left(), iterations: iterations ?? Infinity };
      attempt.solver.improve(new Budget({ now: options.now, progress, ...limits }), () => options.better?.(planOf(attempt)));
      return planOf(attempt);
    };
    return { plan: first, improve };
  };
  // Other counts are other tasks: then there is no use in expanding every way to find that out.
  const { from } = options;
  const goesOn = from && samePieces(from.pieces, q.pieces);
  const known =
    goesOn &&
    [...careful, ...attempts].find((attempt) => attempt.goesOnFrom(from, new Budget({ now: options.now, progress, seconds: 1 })));
  if (known) return begun(known);
  const turns = seconds === undefined ? 3 * attempts.length : Infinity;
  const turnClock = (turn: number) => {
    const most = (firstLimit - options.now()) / 1000;
    const ms = turn === 0 ? Math.max(TURN_MS, Math.min(3 * TURN_MS, 1000 * FIRST_SHARE * left())) : TURN_MS;
    return { seconds: most, firstBy: options.now() + Math.min(1000 * most, ms), firstSteps: patience > 0 ? LEAST_STEPS : 0 };
  };
  for (let turn = 0, next = 1; turn < turns && !cancelled; turn++) {
    if (left() <= 0 && (options.now() >= firstLimit || !areFew(turn))) break;
    const open = attempts.filter((attempt) => !attempt.ruledOut);
    if (open.length === 0) break;
    const plainsTurn = turn % 2 === 0 && !attempts[0].ruledOut;
    const attempt = plainsTurn ? attempts[0] : open[next++ % open.length];
    const clock = seconds === undefined ? { passes: TURN_STEPS } : turnClock(turn);
    const found = attempt.solver.findFirst(new Budget({ now: options.now, progress, ...clock }));
    // Windows that admit nothing stay empty however the work is divided on carriers.
    if (found === "none" && attempt.solver.refusal().proof === "windows") break;
    if (found === "none") attempt.ruledOut = true;
    if (found !== "found") continue;
    if (patience > 0 && seconds !== undefined) limit = Math.max(limit, options.now() + LEAST_SHARE * seconds * 1000);
    return begun(attempt);
  }
  return { plan: refuse(request, q, attempts[0].solver.refusal().reasons) };
}
