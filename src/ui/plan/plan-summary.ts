import { addDays, format, parseISO } from "date-fns";
import { clockText, MINUTES_A_DAY } from "@/core/shared/clock";
import type { Plan } from "@/core/plan/plan";
import type { PlanRequest } from "@/core/plan/request";
import { planDays } from "@/core/gathering/calendar";

/** A wave, or a deadline of the freezer, as a line on the timeline. */
export interface Target {
  readonly id: string;
  readonly name: string;
  readonly minute: number;
}

/** Waves in time order, then the freezer's deadlines by their time. */
export function targetsOf(request: PlanRequest): Target[] {
  const days = planDays(request);
  const waves = request.gathering.waves
    .filter((w) => w.items.length > 0)
    .map((w) => ({ id: w.id, name: w.name, minute: days.minute(0, w.time) }));
  const byMinute = new Map<number, Target>();
  for (const entry of request.gathering.freezer) {
    const minute = days.minute(entry.by.day, entry.by.time);
    byMinute.set(minute, { id: `freezer-${minute}`, name: "Freezer", minute });
  }
  return [...waves, ...byMinute.values()].sort((a, b) => a.minute - b.minute);
}

/** "Sat 28 Nov" for a minute of the plan. */
export const dayText = (origin: string, minute: number): string =>
  format(addDays(parseISO(origin.slice(0, 10)), Math.floor(minute / MINUTES_A_DAY)), "EEE d MMM");

/** Clock time, with the day in front where the plan runs over several. */
export const momentText = (
  origin: string,
  minute: number,
  severalDays: boolean,
  clock: (minute: number) => string = clockText,
): string =>
  severalDays
    ? `${format(addDays(parseISO(origin.slice(0, 10)), Math.floor(minute / MINUTES_A_DAY)), "EEE")} ${clock(minute)}`
    : clock(minute);

export interface CookUse {
  readonly id: string;
  readonly name: string;
  /** Minutes at work on tasks. */
  readonly busy: number;
  /** Minutes there, from the first task of the plan to the end of their hours. */
  readonly there: number;
}

export interface PlanSummary {
  readonly firstStart: number;
  readonly lastEnd: number;
  readonly severalDays: boolean;
  readonly cooks: readonly CookUse[];
}

/** What the strip at the top says of a plan; undefined where there is nothing to do. */
export function summarise(plan: Plan, request: PlanRequest): PlanSummary | undefined {
  if (plan.solution.tasks.length === 0) return undefined;
  const placed = new Map(plan.solution.tasks.map((task) => [task.id, task]));
  const firstStart = Math.min(...plan.solution.tasks.map((task) => task.start));
  const lastEnd = Math.max(...plan.solution.tasks.map((task) => task.end));
  const cooks = request.kitchen.cooks.map((cook): CookUse => {
    const calendar = plan.problem.resources.find((r) => r.id === cook.id);
    const windows = calendar?.kind === "pool" ? (calendar.calendar ?? []) : [];
    const there = windows.reduce((sum, [from, to]) => sum + Math.max(0, Math.min(to, lastEnd) - Math.max(from, firstStart)), 0);
    let busy = 0;
    for (const task of plan.problem.tasks) {
      const entry = placed.get(task.id);
      task.uses.forEach((use, u) => {
        if (!entry || entry.taken[u] !== cook.id) return;
        const minutes =
          use.minutes === undefined
            ? entry.end - entry.start
            : Array.isArray(use.minutes)
              ? use.minutes[(use.resource as string[]).indexOf(cook.id)]
              : use.minutes;
        busy += minutes;
      });
    }
    return { id: cook.id, name: cook.name, busy, there };
  });
  return {
    firstStart,
    lastEnd,
    severalDays: Math.floor(firstStart / MINUTES_A_DAY) !== Math.floor((lastEnd - 1) / MINUTES_A_DAY),
    cooks,
  };
}
