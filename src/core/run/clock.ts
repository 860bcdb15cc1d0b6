import { TZDate } from "@date-fns/tz";
import type { Plan } from "../plan/schema";
import { clockText, wallMinute } from "../shared/clock";

type Dated = Pick<Plan, "origin" | "zone">;

/** The moment of minute 0, ms since 1970. Without a zone of the plan or the device: in UTC. */
function originOf({ origin, zone }: Dated, deviceZone?: string): number {
  const [year, month, day] = origin.slice(0, 10).split("-").map(Number);
  return new TZDate(year, month - 1, day, 0, 0, zone ?? deviceZone ?? "UTC").getTime();
}

/** Reads moments in UTC as minutes from a plan's origin, with parts of one. */
export function minuteReader(plan: Dated): (at: string, deviceZone?: string) => number {
  // Finding out where a zone's midnight lies takes longer than all the rest.
  const origins = new Map<string | undefined, number>();
  return (at, deviceZone) => {
    const began = origins.get(deviceZone) ?? originOf(plan, deviceZone);
    origins.set(deviceZone, began);
    return (Date.parse(at) - began) / 60_000;
  };
}

/** The moment in UTC of a minute of a plan. */
export const momentOf = (plan: Dated, minute: number, deviceZone?: string): string =>
  new Date(originOf(plan, deviceZone) + minute * 60_000).toISOString();

/** Minutes of a plan as a clock on the wall shows them, where the zone's change is counted. */
export const wallClockOf =
  ({ clockChanges }: Pick<Plan, "clockChanges">) =>
  (minute: number): string =>
    clockText(wallMinute(minute, clockChanges));
