import type { Model } from "../model";
import type { Schedule } from "../construct/schedule";

/** Of all neighbourhoods at most so many are searched for a schedule of the same cost, where the length of the day is all that costs. */
const MOST = 0.6;

/**
 * Where the length of the day costs, it costs the same until the very first task can begin later (or the very last one end
 * sooner), and nothing says whether a change leads there. Of two schedules of the same cost the one is then taken whose
 * tasks lie closer to the other end.
 */
export class Sideways {
  /** Tasks are pushed late, away from the first start; else early, away from the last end. */
  readonly late: boolean;

  constructor(private readonly model: Model) {
    this.late = model.span >= model.makespan;
  }

  /** The share of neighbourhoods that are worth a search for the same cost: as the length of the day's in the cost. */
  share({ starts, ends, cost }: Schedule): number {
    const { span, makespan } = this.model;
    if (cost <= 0 || (span === 0 && makespan === 0)) return 0;
    const first = starts.reduce((a, b) => Math.min(a, b), Infinity);
    const last = ends.reduce((a, b) => Math.max(a, b), 0);
    return (MOST * (span * (last - first) + makespan * last)) / cost;
  }

  /** Whether a schedule leaves more room than another of the same cost at the end of the day that costs. */
  roomier(a: Schedule, b: Schedule): boolean {
    const sum = (of: Int32Array) => of.reduce((x, y) => x + y, 0);
    return this.late ? sum(a.starts) > sum(b.starts) : sum(a.ends) < sum(b.ends);
  }
}
