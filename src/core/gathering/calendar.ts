import { addDays, differenceInCalendarDays, format, parseISO } from "date-fns";
import { MINUTES_A_DAY, minutesOfClock } from "../shared/clock";
import type { Occasion } from "./occasion";
import type { Gathering } from "./schema";

const WEEKDAYS = ["Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"];

/** The gathering's date as yyyy-mm-dd: "next Saturday" is the first one after today, never today. */
export function gatheringDate(date: Gathering["date"], today: string): string {
  if ("on" in date) return date.on;
  const wanted = WEEKDAYS.indexOf(date.relative.slice("next ".length));
  const from = parseISO(today);
  const ahead = (wanted - from.getDay() + 6) % 7;
  return format(addDays(from, ahead + 1), "yyyy-MM-dd");
}

/** The planning calendar: where minute 0 lies, and days and clock times as minutes from it. */
export interface PlanDays {
  /** Date of minute 0, yyyy-mm-dd: the first day on which a cook has hours. */
  readonly originDate: string;
  readonly date: string;
  readonly firstDay: number;
  /** Minute of a clock time on a day (days from the gathering's date). */
  minute(day: number, clock: string): number;
}

export function planDays(request: Pick<Occasion, "today" | "gathering" | "kitchen">): PlanDays {
  const date = gatheringDate(request.gathering.date, request.today);
  const days = request.kitchen.cooks.flatMap((cook) => cook.hours.map((hours) => hours.day));
  const firstDay = days.length > 0 ? Math.min(...days) : 0;
  return {
    date,
    firstDay,
    originDate: format(addDays(parseISO(date), firstDay), "yyyy-MM-dd"),
    minute: (day, clock) => (day - firstDay) * MINUTES_A_DAY + (minutesOfClock(clock) ?? 0),
  };
}

/** Whole days from one date to another, both yyyy-mm-dd. */
export const daysBetween = (from: string, to: string): number => differenceInCalendarDays(parseISO(to), parseISO(from));
