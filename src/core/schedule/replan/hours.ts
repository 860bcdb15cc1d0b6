import type { Pool, Problem, Resource } from "../problem";

/** Minutes by which a day may run on beyond its deadlines and hours. */
export const OVERRUN = 240;

/** When units of a pool are there: [from, to, units]. */
export type Hours = NonNullable<Pool["calendar"]>;

/** The hours of a pool in the order of time; undefined where its units are always there. */
export const hoursOf = (resource: Resource): Hours | undefined =>
  resource.kind === "pool" && resource.calendar ? [...resource.calendar].sort((a, b) => a[0] - b[0]) : undefined;

/** The problem with each calendar, sorted, turned into another one. */
export function withHours(problem: Problem, turn: (hours: Hours, pool: string) => Hours): Problem {
  return {
    ...problem,
    resources: problem.resources.map((resource) => {
      const hours = hoursOf(resource);
      return hours ? { ...resource, calendar: turn(hours, resource.id) } : resource;
    }),
  };
}

/**
 * Hours that run on where they end for the day, beyond now, with as many units as were there before they ended; a pause in them, shorter
 * than the day may run on, stays.
 */
export const longer =
  (now: number) =>
  (hours: Hours): Hours => {
    let most = 0;
    return hours.map(([from, to, units], k) => {
      most = k > 0 && hours[k - 1][1] >= from ? Math.max(most, units) : units;
      const next = hours[k + 1]?.[0] ?? Infinity;
      return [from, next - to > OVERRUN ? Math.min(next, Math.max(to, now) + OVERRUN) : to, most];
    });
  };

/** Hours without pauses. */
export const unbroken = (hours: Hours): Hours =>
  hours.flatMap((window, k): Hours => {
    const next = hours[k + 1];
    const pause = next ? next[0] - window[1] : 0;
    return pause > 0 && pause <= OVERRUN ? [window, [window[1], next[0], Math.min(window[2], next[2])]] : [window];
  });

/** The minutes of [start, end) in which no unit is there, as spans; hours sorted. */
export function gapsIn(hours: Hours, start: number, end: number): [number, number][] {
  const gaps: [number, number][] = [];
  let from = start;
  for (const [a, b, units] of hours) {
    if (units === 0 || b <= from) continue;
    if (a >= end) break;
    if (a > from) gaps.push([from, a]);
    from = b;
  }
  return from < end ? [...gaps, [from, end]] : gaps;
}

/** Hours in which those whom something runs late for stay at it, whatever their hours are: as many as all of it takes at once. */
export function heldUp(hours: Hours, held: readonly { start: number; end: number; amount: number }[]): Hours {
  const open = held.flatMap(({ start, end, amount }) => gapsIn(hours, start, end).map(([from, to]) => ({ from, to, amount })));
  const times = [...new Set(open.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const stretches = times.slice(1).flatMap((to, k): Hours => {
    const from = times[k];
    const units = open.reduce((sum, one) => sum + (one.from <= from && one.to >= to ? one.amount : 0), 0);
    return units > 0 ? [[from, to, units]] : [];
  });
  return [...hours.filter(([, , units]) => units > 0), ...stretches];
}
