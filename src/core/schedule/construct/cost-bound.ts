import type { Model } from "../model";
import { leastSpan } from "./energy";
import type { Occupancy } from "./occupancy";
import type { Windows } from "./windows";

/**
 * What any schedule inside the present windows costs at the least: each task by itself, and the day's span and last end.
 * Invariant: between two calls of `setInPlay` the windows of what was placed then do not change, so of those only the sum,
 * the first start and the last end are kept.
 */
export class CostBound {
  /** The tasks that are still to be placed, and what all others cost, begin and end at. */
  private readonly inPlay: Int32Array;
  private inPlayCount = 0;
  /** Minutes from the first start to the last end, and the first start, at the least. */
  private readonly leastSpan: number;
  private readonly firstStart: number;
  private restCost = 0;
  private restFirst = 0;
  private restLast = 0;
  private first = 0;
  private last = 0;

  constructor(
    private readonly model: Model,
    private readonly windows: Windows,
    private readonly occupancy: Occupancy,
  ) {
    this.inPlay = new Int32Array(model.n);
    this.leastSpan = leastSpan(model);
    this.firstStart = model.horizon;
    for (let i = 0; i < model.n; i++) this.firstStart = Math.min(this.firstStart, windows.lo[2 * i]);
    this.setInPlay();
  }

  /** Lower bound of the cost of any schedule inside the present windows. */
  value(): number {
    this.first = this.restFirst;
    this.last = this.restLast;
    let cost = this.restCost;
    for (let k = 0; k < this.inPlayCount; k++) cost += this.leastCost(this.inPlay[k]);
    if (this.model.n === 0) return 0;
    return cost + this.endsCost(this.last, this.last - this.first);
  }

  /** What the span and the last end of the day cost at the least, in any schedule. */
  get leastEnds(): number {
    return this.endsCost(0, 0);
  }

  /** The same where the last end and the span are known to be no less than these, min. */
  private endsCost(last: number, minutes: number): number {
    const { makespan, span } = this.model;
    return makespan * Math.max(last, this.firstStart + this.leastSpan) + span * Math.max(minutes, this.leastSpan);
  }

  /** What a task costs at the least inside its windows; counts it into the first start and the last end. */
  private leastCost(i: number): number {
    const { lo, hi } = this.windows;
    const { due, early, late, stretch, least } = this.model;
    const s = 2 * i;
    const e = s + 1;
    if (lo[e] > this.last) this.last = lo[e];
    if (hi[s] < this.first) this.first = hi[s];
    const over = stretch[i] > 0 ? Math.max(0, lo[e] - hi[s] - least[i]) : 0;
    const off = hi[e] < due[i] ? early[i] * (due[i] - hi[e]) : lo[e] > due[i] ? late[i] * (lo[e] - due[i]) : 0;
    return off + stretch[i] * over;
  }

  /** Of what is placed only the sum is kept: its windows do not change until the next pass. */
  setInPlay(): void {
    const { model, occupancy } = this;
    this.inPlayCount = 0;
    this.restCost = 0;
    this.first = model.horizon;
    this.last = 0;
    for (let i = 0; i < model.n; i++)
      if (occupancy.isPlaced(i)) this.restCost += this.leastCost(i);
      else this.inPlay[this.inPlayCount++] = i;
    this.restFirst = this.first;
    this.restLast = this.last;
  }
}
