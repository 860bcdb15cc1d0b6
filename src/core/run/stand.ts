import { isHeat } from "../item/step";
import { USUAL_ROOM } from "../kitchen/room";
import { outOfCold, type OutOfCold } from "../plan/out-of-cold";
import { stepIn, type Plan } from "../plan/schema";
import { takingsOf } from "../plan/takes";
import type { Placed } from "../schedule/solution";
import type { Replanned } from "../schedule/replan/replan";
import type { Place } from "./events";
import { peopleIn } from "./helpers";
import { isOpen, type Cooled, type RunState, type TaskRun } from "./run-state";

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
  /** Where it waits, being ready too early. */
  readonly held?: Place;
}

/** A lot that has to be hot in time, min out of the cold so far. */
export interface FoodClock {
  /** Its heat. */
  readonly task: string;
  readonly usedMin: number;
  readonly limitMin: number;
  readonly level: "ok" | "soon" | "over";
  /** How much of the lot it is for, of 1. */
  readonly share: number;
  /** It lies in the fridge: its minutes stand still. */
  readonly isCold: boolean;
}

const NEXT = 2;
/** A bake is looked at when so much of it is over. */
const LOOK_AT = 0.8;
/** How long after it began a heat of so many minutes is looked at, min. */
export const firstLookAfter = (minutes: number): number => Math.floor(LOOK_AT * minutes);
/** From this share of the limit on it is said. */
const SOON = 0.875;
export const soonMin = (limitMin: number): number => SOON * limitMin;

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

/** In the fridge a rise goes on so many times as slowly. */
const COLD_SLOWS = 8;

/** When a rest has gone too far: cold it keeps for longer, knocked back it begins anew. */
function tooFarAt({ start = 0, held }: TaskRun, longest: number): number {
  const usual = start + longest;
  if (held?.place === "fridge") return held.since + COLD_SLOWS * Math.max(0, usual - held.since);
  return held?.place === "knocked-back" ? held.since + longest : usual;
}

/** What runs without hands: until when, and when it has gone too far. */
export function clocksOf(plan: Plan, state: RunState): RunningClock[] {
  const durations = new Map(plan.problem.tasks.map(({ id, duration }) => [id, duration]));
  return [...state.tasks].flatMap(([task, now]): RunningClock[] => {
    const step = stepIn(plan, task);
    if (now.status !== "running" || !step || step.attention === "hands-on" || now.start === undefined) return [];
    const target = now.expectedEnd ?? now.start;
    const duration = durations.get(task);
    const first = plan.tasks[task].rise?.firstLookMin ?? (isHeat(step) ? firstLookAfter(target - now.start) : undefined);
    const lookAt = now.lookAgain ?? (first === undefined ? target : now.start + first);
    return [
      {
        task,
        since: now.start,
        lookAt: Math.min(lookAt, target),
        target,
        ...(step.rest && Array.isArray(duration) && { tooFar: tooFarAt(now, duration[1]) }),
        ...(now.held && { held: now.held.place }),
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

/** The parts of a lot that went their own ways, each with the stretches that it lay in the fridge again, min. */
function partsOf(cooled: readonly Cooled[], now: number): { share: number; pausedMin: number; isCold: boolean }[] {
  let out = { share: 1, pausedMin: 0 };
  let cold: { share: number; pausedMin: number; since: number } | undefined;
  for (const { minute, share, isOut } of cooled) {
    if (isOut) {
      // It lies on the table again with the rest: the lot counts as what was out longest.
      if (cold && out.share <= EVEN) out = { share: 1, pausedMin: cold.pausedMin + minute - cold.since };
      else out = { ...out, share: 1 };
      cold = undefined;
    } else if (!cold) {
      cold = { share: Math.min(1, share), pausedMin: out.pausedMin, since: minute };
      out = { ...out, share: 1 - cold.share };
    }
  }
  return [
    ...(out.share > EVEN ? [{ ...out, isCold: false }] : []),
    ...(cold ? [{ share: cold.share, pausedMin: cold.pausedMin + Math.max(0, now - cold.since), isCold: true }] : []),
  ];
}
/** How long all of a lot lay in the fridge again on its way to a heat, min: of the part that was out longest. */
export const pausedMin = ({ cooled }: Pick<RunState, "cooled">, heat: string, until: number): number =>
  Math.min(...partsOf(cooled.get(heat) ?? [], until).map((part) => part.pausedMin));

/** Nothing is left of a lot. */
const EVEN = 1e-6;

/**
 * How long each lot whose heat is still to come was out of the cold, all stretches until now together; the part of it that went back into
 * the fridge by itself.
 */
export function foodClocks(plan: Plan, state: RunState, now: number): FoodClock[] {
  const went = asItWent(plan, state, now);
  return plan.solution.tasks.flatMap((entry): FoodClock[] => {
    const own = state.tasks.get(entry.id);
    const step = stepIn(plan, entry.id);
    if (!step || !isHeat(step) || step.coreC === undefined || own?.status !== "waiting") return [];
    const cold = coldIn(plan, [...went, { ...entry, start: now, end: now }], entry.id);
    if (!cold || cold.usedMin <= 0) return [];
    const { limitMin } = cold;
    return partsOf(state.cooled.get(entry.id) ?? [], now).map(({ share, pausedMin, isCold }) => {
      const usedMin = Math.max(0, cold.usedMin - pausedMin);
      const level = usedMin >= limitMin ? "over" : usedMin >= soonMin(limitMin) ? "soon" : "ok";
      return { task: entry.id, usedMin, limitMin, level, share, isCold };
    });
  });
}
