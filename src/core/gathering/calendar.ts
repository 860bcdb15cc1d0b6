import { addDays, differenceInCalendarDays, format, parseISO } from "date-fns";
import { TZDate, tzOffset } from "@date-fns/tz";
import { MINUTES_A_DAY, minutesOfClock, type ClockChange } from "../shared/clock";
import type { Occasion } from "./occasion";
import type { Gathering } from "./schema";

const WEEKDAYS = ["Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"];

/** Every date that is said by its weekday. */
export const RELATIVE_DATES: readonly string[] = WEEKDAYS.map((day) => `next ${day}`);

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
  /** Changes of the wall clock within the plan's days, in order; none where no zone is known. */
  readonly clockChanges: readonly ClockChange[];
  /** Minute of a clock time on a day (days from the gathering's date). A time that a clock change leaves out is the one after it. */
  minute(day: number, clock: string): number;
}

/** Days from minute 0 in which clock changes are looked for: no gathering reaches further. */
const DAYS_AHEAD = 62;

/** The calendar of a gathering. Minute 0 is 00:00 local time of the first day on which a cook has hours; without any hours, of its date. */
export function planDays(request: Pick<Occasion, "today" | "gathering" | "kitchen" | "zone">): PlanDays {
  const date = gatheringDate(request.gathering.date, request.today);
  const days = request.kitchen.cooks.flatMap((cook) => cook.hours.map((hours) => hours.day));
  const firstDay = days.length > 0 ? Math.min(...days) : 0;
  const originDate = format(addDays(parseISO(date), firstDay), "yyyy-MM-dd");
  const clockChanges = request.zone === undefined ? [] : changesIn(originDate, request.zone);
  return {
    date,
    firstDay,
    originDate,
    clockChanges,
    minute(day, clock) {
      const wall = (day - firstDay) * MINUTES_A_DAY + (minutesOfClock(clock) ?? 0);
      return minuteAtWall(wall, clockChanges);
    },
  };
}

/** Minute of the plan that is now; 0 or less where the plan's days have not begun, or nobody says what time it is. */
export const minuteNow = (
  days: PlanDays,
  { today, now }: { readonly today: string; readonly now?: string | undefined },
): number => (now === undefined ? 0 : days.minute(daysBetween(days.date, today), now));

/** The first minute of the plan at which the wall clock shows so many minutes since the origin, or the first after it. */
export function minuteAtWall(wall: number, changes: readonly ClockChange[]): number {
  let shift = 0;
  for (const { at, shiftMin } of changes) {
    if (wall - shift < at) break;
    // What the clock leaves out by going forward is as late as if it had not.
    if (wall - shiftMin < at) return at;
    shift = shiftMin;
  }
  return wall - shift;
}

/** Minutes from the origin at which a zone's clock changes. */
function changesIn(originDate: string, zone: string): ClockChange[] {
  const [year, month, day] = originDate.split("-").map(Number);
  const origin = new TZDate(year, month - 1, day, 0, 0, zone).getTime();
  const offsetAt = (minute: number) => tzOffset(zone, new Date(origin + minute * 60_000));
  const atOrigin = offsetAt(0);
  const shiftAt = (minute: number) => offsetAt(minute) - atOrigin;
  const changes: ClockChange[] = [];
  let after = 0;
  for (let day = 0; day < DAYS_AHEAD; day++) {
    let [from, to] = [day * MINUTES_A_DAY, (day + 1) * MINUTES_A_DAY];
    const before = after;
    after = shiftAt(to);
    if (before === after) continue;
    while (to - from > 1) {
      const middle = Math.floor((from + to) / 2);
      if (shiftAt(middle) === before) from = middle;
      else to = middle;
    }
    changes.push({ at: to, shiftMin: after });
  }
  return changes;
}

/** Whole days from one date to another, both yyyy-mm-dd. */
export const daysBetween = (from: string, to: string): number => differenceInCalendarDays(parseISO(to), parseISO(from));
