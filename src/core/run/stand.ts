import { isHeat } from "../item/step";
import { USUAL_ROOM } from "../kitchen/room";
import { outOfCold, type OutOfCold } from "../plan/out-of-cold";
import { stepIn, type Plan } from "../plan/schema";
import { takingsOf } from "../plan/takes";
import type { Placed } from "../schedule/solution";
import type { Replanned } from "../schedule/replan/replan";
import { peopleIn } from "./helpers";
import { isOpen, type RunState } from "./replay";

/** A cook's hands: what they are at now, and the next two, by task. */
export interface CookStand {
  readonly cook: string;
  readonly isAway: boolean;
  readonly now: readonly string[];
  readonly next: readonly { readonly task: string; readonly at: number }[];
}

/** Something that runs without hands, min of the plan. */
export interface RunningClock {
  readonly task: string;
  readonly since: number;
  /** When it is first looked at, or again. */
  readonly lookAt: number;
  readonly target: number;
  /** Beyond this it has gone too far; undefined where nothing says so. */
  readonly tooFar?: number;
}

/** A lot that has to be hot in time, min out of the cold so far. */
export interface FoodClock {
  /** Its heat. */
  readonly task: string;
  readonly usedMin: number;
  readonly limitMin: number;
  readonly level: "ok" | "soon" | "over";
}

const NEXT = 2;
/** A bake is looked at when so much of it is over. */
const LOOK_AT = 0.8;
/** From this share of the limit on it is said. */
const SOON = 0.875;

/** Where a day as it will now go has everybody's hands. */
export function cooksNow(plan: Plan, state: RunState, rest: Pick<Replanned, "solution" | "problem">, now: number): CookStand[] {
  const takings = takingsOf(rest);
  return peopleIn(plan, state).map(({ id: cook }) => {
    // The rest of the day may need even who left; they are not there all the same.
    if (state.away.has(cook)) return { cook, isAway: true, now: [], next: [] };
    const own = takings.filter(({ resource }) => resource === cook).sort((a, b) => a.from - b.from);
    const open = own.filter(({ task }) => isOpen(state.tasks.get(task)));
    const at = open.filter(({ task, from, to }) => from <= now && (to > now || state.tasks.get(task)?.status === "waiting"));
    const later = open.filter(({ from }) => from > now);
    return {
      cook,
      isAway: false,
      now: [...new Set(at.map(({ task }) => task))],
      next: later.slice(0, NEXT).map(({ task, from }) => ({ task, at: from })),
    };
  });
}

/** What runs without hands: until when, and when it has gone too far. */
export function clocksOf(plan: Plan, state: RunState): RunningClock[] {
  const durations = new Map(plan.problem.tasks.map(({ id, duration }) => [id, duration]));
  return [...state.tasks].flatMap(([task, now]): RunningClock[] => {
    const step = stepIn(plan, task);
    if (now.status !== "running" || !step || step.attention === "hands-on" || now.start === undefined) return [];
    const target = now.expectedEnd ?? now.start;
    const duration = durations.get(task);
    const first = plan.tasks[task].rise?.firstLookMin ?? (isHeat(step) ? Math.floor(LOOK_AT * (target - now.start)) : undefined);
    const lookAt = now.lookAgain ?? (first === undefined ? target : now.start + first);
    return [
      {
        task,
        since: now.start,
        lookAt: Math.min(lookAt, target),
        target,
        ...(step.rest && Array.isArray(duration) && { tooFar: now.start + duration[1] }),
      },
    ];
  });
}

/** The timetable as it went: what is under way lasts until now, or, where no minute is given, has only begun. */
export function asItWent(plan: Plan, { tasks }: RunState, now?: number): Placed[] {
  return plan.solution.tasks.flatMap((entry) => {
    const { status, start, end } = tasks.get(entry.id) ?? {};
    if (start === undefined || status === "skipped" || (now !== undefined && start > now)) return [];
    return [{ ...entry, start, end: now === undefined ? (end ?? start) : Math.min(now, end ?? now) }];
  });
}

/** How long the lot of a heat was out of the cold in a timetable as it went. */
export function coldIn(plan: Plan, tasks: Placed[], heat: string): OutOfCold | undefined {
  const { roomC = USUAL_ROOM, guide } = plan.day.kitchen;
  return outOfCold({ ...plan, solution: { ...plan.solution, tasks } }, heat, { roomC, ...(guide !== undefined && { guide }) });
}

/** How long each lot whose heat is still to come was out of the cold, all stretches until now together. */
export function foodClocks(plan: Plan, state: RunState, now: number): FoodClock[] {
  const went = asItWent(plan, state, now);
  return plan.solution.tasks.flatMap((entry): FoodClock[] => {
    const own = state.tasks.get(entry.id);
    const step = stepIn(plan, entry.id);
    if (!step || !isHeat(step) || step.coreC === undefined || own?.status !== "waiting") return [];
    const cold = coldIn(plan, [...went, { ...entry, start: now, end: now }], entry.id);
    if (!cold || cold.usedMin <= 0) return [];
    const { usedMin, limitMin } = cold;
    const level = usedMin >= limitMin ? "over" : usedMin >= SOON * limitMin ? "soon" : "ok";
    return [{ task: entry.id, usedMin, limitMin, level }];
  });
}
