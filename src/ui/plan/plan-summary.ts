import { addDays, format, parseISO } from "date-fns";
import { clockText, MINUTES_A_DAY, wallMinute } from "@/core/shared/clock";
import { handsIn } from "@/core/plan/takes";
import type { Plan } from "@/core/plan/schema";

type When = Pick<Plan, "origin" | "clockChanges">;

/** "Sat 28 Nov" for a date, yyyy-mm-dd. */
export const dateText = (date: string): string => format(parseISO(date), "EEE d MMM");

const dayOf = ({ origin, clockChanges }: When, minute: number): Date =>
  addDays(parseISO(origin.slice(0, 10)), dayNumber({ clockChanges }, minute));

/** Days from the plan's first to the one of a minute. */
export const dayNumber = ({ clockChanges }: Pick<Plan, "clockChanges">, minute: number): number =>
  Math.floor(wallMinute(minute, clockChanges) / MINUTES_A_DAY);

/** "Sat 28 Nov" for a minute of the plan. */
export const dayText = (plan: When, minute: number): string => format(dayOf(plan, minute), "EEE d MMM");

/** Clock time, with the day in front where the plan runs over several. `clock`: of a minute of the plan. */
export const momentText = (
  plan: When,
  minute: number,
  severalDays: boolean,
  clock: (minute: number) => string = (m) => clockText(wallMinute(m, plan.clockChanges)),
): string => (severalDays ? `${format(dayOf(plan, minute), "EEE")} ${clock(minute)}` : clock(minute));

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

/** The first and the last minute at which something is done; undefined where nothing is. */
function spanOf({ solution }: Plan): { readonly firstStart: number; readonly lastEnd: number } | undefined {
  if (solution.tasks.length === 0) return undefined;
  return {
    firstStart: Math.min(...solution.tasks.map((task) => task.start)),
    lastEnd: Math.max(...solution.tasks.map((task) => task.end)),
  };
}

/** Whether a plan runs over more than one day: then times are said with theirs. */
export function isOverDays(plan: Plan): boolean {
  const span = spanOf(plan);
  return span !== undefined && dayNumber(plan, span.firstStart) !== dayNumber(plan, span.lastEnd - 1);
}

/** What the strip at the top says of a plan; undefined where there is nothing to do. */
export function summarise(plan: Plan): PlanSummary | undefined {
  const span = spanOf(plan);
  if (!span) return undefined;
  const { firstStart, lastEnd } = span;
  const hands = handsIn(plan, firstStart, lastEnd);
  const cooks = plan.day.cooks.map(({ id, name }, k): CookUse => ({
    id,
    name,
    busy: hands[k].busyMin,
    there: hands[k].thereMin,
  }));
  return {
    firstStart,
    lastEnd,
    severalDays: isOverDays(plan),
    cooks,
  };
}
