import { isHeat } from "../item/step";
import type { Kitchen } from "../kitchen/schema";
import { outOfCold } from "../plan/out-of-cold";
import { stepIn, type Plan } from "../plan/schema";
import { takingsOf } from "../plan/takes";
import type { Replanned } from "../schedule/replan/replan";
import type { RunState } from "./replay";

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
  return [...plan.day.cooks.map(({ id }) => id), ...state.joined.keys()].map((cook) => {
    // The rest of the day may need even who left; they are not there all the same.
    if (state.away.has(cook)) return { cook, isAway: true, now: [], next: [] };
    const own = takings.filter(({ resource }) => resource === cook).sort((a, b) => a.from - b.from);
    const isOpen = (task: string) => !["done", "skipped"].includes(state.tasks.get(task)?.status ?? "done");
    const at = own.filter(
      ({ task, from, to }) => isOpen(task) && from <= now && (to > now || state.tasks.get(task)?.status === "waiting"),
    );
    const later = own.filter(({ task, from }) => isOpen(task) && from > now);
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

const USUAL_ROOM: Kitchen["roomC"] = [{ from: "00:00", to: "24:00", c: 21 }];

/** How long each lot whose heat is still to come was out of the cold, all stretches until now together. */
export function foodClocks(plan: Plan, state: RunState, now: number): FoodClock[] {
  const { roomC = USUAL_ROOM, guide } = plan.day.kitchen;
  const begun = plan.solution.tasks.flatMap((entry) => {
    const { status, start, end } = state.tasks.get(entry.id) ?? {};
    return start === undefined || start > now || status === "skipped"
      ? []
      : [{ ...entry, start, end: Math.min(now, end ?? now) }];
  });
  return plan.solution.tasks.flatMap((entry): FoodClock[] => {
    const own = state.tasks.get(entry.id);
    const step = stepIn(plan, entry.id);
    if (!step || !isHeat(step) || step.coreC === undefined || own?.status !== "waiting") return [];
    const until = { ...entry, start: now, end: now };
    const cold = outOfCold({ ...plan, solution: { ...plan.solution, tasks: [...begun, until] } }, entry.id, {
      roomC,
      ...(guide !== undefined && { guide }),
    });
    if (!cold || cold.usedMin <= 0) return [];
    const { usedMin, limitMin } = cold;
    const level = usedMin >= limitMin ? "over" : usedMin >= SOON * limitMin ? "soon" : "ok";
    return [{ task: entry.id, usedMin, limitMin, level }];
  });
}
