import type { Plan } from "../plan/schema";
import { candidatesOf, type Pool, type Problem } from "../schedule/problem";
import type { ExecutionState } from "../schedule/replan/execution-state";
import { movesBetween, replan, type Replanned, type ReplanOptions } from "../schedule/replan/replan";
import type { Solution } from "../schedule/solution";
import { withHelpers, withStandIns } from "./helpers";
import { lengthIn, plannedMinutes } from "./replay";
import { isOpen, type RunState } from "./run-state";
import { withTwoTrays } from "./two-trays";

/** What the scheduler has to know of a day that is under way, whole minutes. */
export function executionOf(plan: Plan, { tasks }: RunState, now: number): ExecutionState {
  const { problem } = plan;
  // Asked for by few tasks on few days.
  let planned: ReadonlyMap<string, number> | undefined;
  const plannedMin = (id: string): number => (planned ??= plannedMinutes(plan)).get(id)!;
  const mayWait = new Set(problem.tasks.flatMap(({ id, duration }) => (Array.isArray(duration) ? [id] : [])));
  const done: { id: string; start: number; end: number }[] = [];
  const running: { id: string; start: number; end?: number; noEarlier?: number }[] = [];
  const changed: { id: string; notBefore?: number; minutes?: number }[] = [];
  for (const [id, task] of tasks) {
    if (!isOpen(task)) done.push({ id, start: task.start!, end: task.end! });
    else if (task.status === "running") {
      const ready = Math.max(now, task.expectedEnd ?? now);
      running.push({ id, start: task.start!, ...(mayWait.has(id) ? { noEarlier: ready } : { end: ready }) });
    } else if (task.notBefore !== undefined || task.minutes !== undefined || task.odd)
      changed.push({
        id,
        ...(task.notBefore !== undefined && { notBefore: task.notBefore }),
        ...((task.minutes !== undefined || task.odd) && {
          minutes: leastFor(problem, id, lengthIn(task, plannedMin(id))),
        }),
      });
  }
  return { now, done, running, locked: [], changed };
}

/** A task is no shorter than what hands do in it at fixed minutes of it. */
function leastFor({ tasks }: Problem, id: string, minutes: number): number {
  const parts = tasks
    .find((task) => task.id === id)!
    .uses.map(({ from, minutes: length = 0 }) =>
      from === undefined ? 0 : from < 0 ? -from : from + (Array.isArray(length) ? Math.max(...length) : length),
    );
  return Math.max(1, minutes, ...parts);
}

/** A day whose cooks who left are not there from then on. */
function withoutThose(problem: Problem, away: RunState["away"]): Problem {
  if (away.size === 0) return problem;
  const shortened = (pool: Pool, from: number): Pool => ({
    ...pool,
    calendar: (pool.calendar ?? [[0, problem.horizon, pool.capacity]]).flatMap(([a, b, units]) =>
      a < from ? [[a, Math.min(b, from), units] as [number, number, number]] : [],
    ),
  });
  return {
    ...problem,
    resources: problem.resources.map((resource) => {
      const from = away.get(resource.id);
      return from === undefined || resource.kind !== "pool" ? resource : shortened(resource, from);
    }),
  };
}

/** What is kept hot may wait for as long as it must. */
function withKeptWarm(problem: Problem, { tasks }: RunState): Problem {
  const isWarm = (id: string) => tasks.get(id)?.held?.place === "warm";
  if (![...tasks.keys()].some(isWarm)) return problem;
  return {
    ...problem,
    tasks: problem.tasks.map((task) => ({
      ...task,
      after: task.after.map((link) => (isWarm(link.task) ? { ...link, max: undefined } : link)),
    })),
  };
}

/** Waits of the plan's own last from what they wait after to what they wait for: nobody begins or ends them. */
function withWaits(plan: Plan, state: RunState): RunState {
  const tasks = new Map(state.tasks);
  const ends = (ids: readonly string[]) => ids.map((id) => tasks.get(id));
  for (const { id, after } of plan.problem.tasks) {
    if (plan.tasks[id]?.what.code !== "wait" || tasks.get(id)?.status !== "waiting") continue;
    const before = ends(after.map((link) => link.task));
    if (before.length === 0 || before.some((one) => one?.end === undefined)) continue;
    const start = Math.max(...before.map((one) => one!.end!));
    const next = plan.problem.tasks.filter((one) => one.after.some((link) => link.task === id)).map((one) => tasks.get(one.id));
    const isOver = next.length > 0 && next.every((one) => one?.start !== undefined);
    if (isOver)
      tasks.set(id, { status: "done", start, end: Math.max(start, ...next.map((one) => one!.start!)), isAssumed: true });
    else tasks.set(id, { status: "running", start });
  }
  return { ...state, tasks };
}

/** What a search for the rest of a day is given: the plan with whoever is there, as it was arranged last, and how far it has come. */
export function restInput(plan: Plan, state: RunState, now: number): { readonly plan: Plan; readonly soFar: ExecutionState } {
  const soFar = withWaits(plan, state);
  const { done, running, ...rest } = executionOf(plan, soFar, now);
  // The end of a wait is not known: it lasts until what it waits for begins.
  const open = running.map((one) => (plan.tasks[one.id]?.what.code === "wait" ? { id: one.id, start: one.start } : one));
  const there = withStandIns(plan, withoutThose(plan.problem, state.away), state);
  const problem = withKeptWarm(withTwoTrays(plan, withHelpers(plan, there, state), state), state);
  return {
    plan: { ...plan, problem, solution: timetableIn(plan, state) },
    soFar: { ...rest, done, running: open, gone: [...state.away.keys()] },
  };
}

/** The timetable as it was last chosen: the plan's, with what was moved since, and with what was truly taken by what has begun. */
export function timetableIn({ solution, problem }: Plan, { arranged = [], tasks }: RunState): Solution {
  const moved = new Map(arranged.map((task) => [task.id, task]));
  const uses = new Map(problem.tasks.map((task) => [task.id, task.uses]));
  return {
    ...solution,
    tasks: solution.tasks.map((task) => {
      const now = moved.get(task.id);
      const placed = now && now.end >= now.start && now.taken.length === task.taken.length ? now : task;
      const { taken, cook } = tasks.get(task.id) ?? {};
      if (taken?.length === task.taken.length) return { ...placed, taken: [...taken] };
      // Who began it has its hands, whoever was to.
      const isTheirs = (u: number) =>
        cook !== undefined && uses.get(task.id)?.[u].from === undefined && candidatesOf(uses.get(task.id)![u]).includes(cook);
      return { ...placed, taken: placed.taken.map((one, u) => (isTheirs(u) ? cook! : one)) };
    }),
  };
}

/** No more than this is looked for: counted and not timed, so that every device finds the same, and nothing moves that need not. */
export const REST_SEARCH = { now: () => 0, iterations: 30, passes: 40, seed: 1, onlyWhereWorse: true } as const;

/** The rest of a day, planned again: what is done stays as it was, what is under way as it is, and no more changes than must. */
export function restOfDay(plan: Plan, state: RunState, now: number, options: ReplanOptions = REST_SEARCH): Replanned {
  const input = restInput(plan, state, now);
  // What was arranged upon all that happened is kept, however much time goes by.
  return replan(input.plan.problem, input.plan.solution, input.soFar, { ...options, onlyKeep: state.isArranged });
}

/** The rest of a day with what moved since before whatever happened last: how it was arranged upon that is part of what it comes to. */
export function sinceLast(plan: Plan, { arrangedBefore, ...state }: RunState, rest: Replanned): Replanned {
  if (!state.isArranged) return rest;
  const before = timetableIn(plan, { ...state, arranged: arrangedBefore ?? [] });
  return { ...rest, moves: movesBetween(before.tasks, rest.solution.tasks) };
}
