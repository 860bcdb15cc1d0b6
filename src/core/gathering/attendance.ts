import type { PlanDays } from "./calendar";
import type { Occasion } from "./occasion";

type Span = readonly [number, number];

/** Spans merged where they touch or overlap, in order. */
export function merged(spans: readonly Span[]): Span[] {
  const result: [number, number][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = result.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else if (from < to) result.push([from, to]);
  }
  return result;
}

function without(spans: readonly Span[], holes: readonly Span[]): Span[] {
  return holes.reduce<Span[]>(
    (left, [from, to]) =>
      left.flatMap(([a, b]) => [[a, Math.min(b, from)] as const, [Math.max(a, to), b] as const].filter(([x, y]) => x < y)),
    [...spans],
  );
}

/** When each cook leaves, min: the end of every stretch of hours. */
export const leavingTimes = (kitchen: Occasion["kitchen"], days: PlanDays): number[] =>
  kitchen.cooks.flatMap((cook) => cook.hours.map((h) => days.minute(h.day, h.to)));

/** Minutes of the plan in which a cook works: hours less breaks. */
export function cookSpans(cook: Occasion["kitchen"]["cooks"][number], request: Occasion, days: PlanDays): Span[] {
  const hours = merged(cook.hours.map((h) => [days.minute(h.day, h.from), days.minute(h.day, h.to)] as const));
  return without(hours, breakSpans(request, days));
}

/** Breaks of the kitchen, in minutes of the plan, half open, in the order in which they are written. */
export const breakSpans = (request: Occasion, days: PlanDays): Span[] =>
  request.kitchen.breaks.map((b) => [days.minute(b.day, b.from), days.minute(b.day, b.to)] as const);
