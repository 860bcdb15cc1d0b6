import { changeover } from "../model";
import type { Chamber } from "../problem";

/** What wants room: so much, at a setting of a chamber, with a seal and a rank. */
interface Want {
  readonly amount: number;
  readonly setting?: number | undefined;
  readonly sealed: number;
  readonly rank: number;
}

/** What has room, from a minute to another. */
export interface Span extends Want {
  readonly from: number;
  /** Moved where something waits until what comes next begins. */
  to: number;
}

/** What a resource has to give, and to whom it has given it. */
export interface Room {
  readonly units: number;
  readonly chamber: Chamber | undefined;
  readonly gaps: readonly (readonly [number, number])[];
  readonly spans: Span[];
}

/** Until when a resource has no room in [from, to); undefined where it has. */
export function busyUntil({ units, chamber, gaps, spans }: Room, from: number, to: number, want: Want): number | undefined {
  if (to <= from) return undefined;
  const gap = gaps.find(([a, b]) => a < to && from < b);
  if (gap) return gap[1];
  if (chamber) {
    const until = shutUntil(chamber, spans, from, to, want);
    if (until !== undefined) return until;
  }
  const over = spans.filter((span) => span.from < to && from < span.to);
  // Most that is taken at once is taken where something begins.
  for (const at of [from, ...over.map((span) => span.from).filter((minute) => minute > from)]) {
    const there = over.filter((span) => span.from <= at && at < span.to);
    if (there.reduce((sum, span) => sum + span.amount, 0) + want.amount > units) return Math.min(...there.map((span) => span.to));
  }
  return undefined;
}

/** Until when a chamber is at another setting, on its way to one, recovering, shut, or waits for a higher rank. */
function shutUntil(
  chamber: Chamber,
  spans: readonly Span[],
  from: number,
  to: number,
  { setting = 0, sealed, rank }: Want,
): number | undefined {
  for (const span of spans) {
    const other = span.setting ?? 0;
    const isClosed = chamber.recovery > 0 || sealed > 0 || span.sealed > 0;
    const isTogether = other === setting && (!isClosed || (span.from === from && span.to === to));
    if (isTogether) {
      if (from < span.to && span.from < to) continue;
    } else {
      const after = Math.max(chamber.recovery, changeover(chamber, other, setting));
      const before = Math.max(chamber.recovery, changeover(chamber, setting, other));
      if (from < span.to + after && span.from < to + before) return span.to + after;
    }
    if (chamber.ranked && span.rank < rank && from < span.from) return span.from;
  }
  return undefined;
}
