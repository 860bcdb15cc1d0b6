import type { Intervals } from "./intervals";
import { Slots } from "./slots";

/**
 * The time-table of a pool: units that are taken for certain, and those that are not there, minute by minute.
 * Invariants: `usage` counts interval i on [from[i], to[i]), its compulsory part as it was at the last update; `over` holds
 * every minute with more than `capacity`; [growFrom, growTo) holds every minute that grew since `growth` was taken.
 * Source: time-table filtering for the cumulative constraint.
 */
export class UsageProfile {
  readonly usage: Int32Array;
  readonly from: Int32Array;
  readonly to: Int32Array;
  private readonly oldFrom: Int32Array;
  private readonly oldTo: Int32Array;
  private readonly changed: Int32Array;
  /** Intervals whose bounds moved since they were counted. */
  private readonly moved: Slots;
  private readonly over: number[] = [];
  private growFrom = 1 << 30;
  private growTo = 0;

  /** @param missing units that are not there, by minute; its length is the horizon + 1 */
  constructor(
    private readonly intervals: Intervals,
    private readonly capacity: number,
    missing: Int32Array,
  ) {
    const n = intervals.count;
    this.usage = missing.slice();
    this.from = new Int32Array(n);
    this.to = new Int32Array(n);
    this.oldFrom = new Int32Array(n);
    this.oldTo = new Int32Array(n);
    this.changed = new Int32Array(n);
    this.moved = new Slots(n);
  }

  /** The bounds of an interval moved. */
  touch(slot: number): void {
    this.moved.add(slot);
  }

  /** Tells of the minutes [from, to) that grew since this was asked last. */
  takeGrowth(tell: (from: number, to: number) => void): void {
    if (this.growFrom >= this.growTo) return;
    tell(this.growFrom, this.growTo);
    this.growFrom = this.usage.length;
    this.growTo = 0;
  }

  /** Brings `usage` up to the present bounds. @returns a minute that is over, or −1 */
  update(lb: Int32Array): number {
    const { startNode, startPlus, endNode, endPlus, takenNode, amount } = this.intervals;
    const { from, to, changed, oldFrom, oldTo, moved } = this;
    const horizon = this.usage.length;
    let changes = 0;
    for (let i = moved.take(); i >= 0; i = moved.take()) {
      let a = 0;
      let b = 0;
      if (takenNode[i] < 0 || lb[takenNode[i]] >= 1) {
        a = Math.max(0, startPlus[i] - lb[startNode[i] + 1]);
        b = Math.min(horizon, lb[endNode[i]] + endPlus[i]);
        if (a >= b) a = b = 0;
      }
      if (a === from[i] && b === to[i]) continue;
      changed[changes++] = i;
      oldFrom[i] = from[i];
      oldTo[i] = to[i];
      from[i] = a;
      to[i] = b;
      this.addOutside(oldFrom[i], oldTo[i], a, b, -amount[i]);
    }
    // What is no longer covered has gone first, so that a minute that is over is truly over.
    for (let k = 0; k < changes; k++) {
      const i = changed[k];
      if (from[i] === to[i]) continue;
      this.addOutside(from[i], to[i], oldFrom[i], oldTo[i], amount[i]);
      this.growFrom = Math.min(this.growFrom, from[i]);
      this.growTo = Math.max(this.growTo, to[i]);
    }
    // A minute stays on the list until it is not over any more: what was taken back may have come again unchanged.
    while (this.over.length > 0 && this.usage[this.over[this.over.length - 1]] <= this.capacity) this.over.pop();
    return this.over.length > 0 ? this.over[this.over.length - 1] : -1;
  }

  /** Adds to the minutes of [a, b) that are not in [x, y); those that are then over go on the list. */
  private addOutside(a: number, b: number, x: number, y: number, amount: number): void {
    const { usage, capacity } = this;
    const firstEnd = x < y ? Math.min(b, x) : b;
    for (let t = a; t < firstEnd; t++) {
      usage[t] += amount;
      if (usage[t] > capacity && amount > 0) this.over.push(t);
    }
    if (x < y)
      for (let t = Math.max(a, y); t < b; t++) {
        usage[t] += amount;
        if (usage[t] > capacity && amount > 0) this.over.push(t);
      }
  }

  isOver(i: number, t: number): boolean {
    const own = this.from[i] <= t && t < this.to[i] ? this.intervals.amount[i] : 0;
    return this.usage[t] - own + this.intervals.amount[i] > this.capacity;
  }

  /** The last minute that is over while the interval, at its least length, would lie from `start` on; before that none is. */
  lastOver(i: number, start: number): number {
    const { usage, capacity } = this;
    const room = capacity - this.intervals.amount[i];
    const from = this.from[i];
    const to = this.to[i];
    let t = Math.min(start + this.intervals.least[i], usage.length) - 1;
    for (; t >= start; t--) if (usage[t] > room && (t < from || t >= to || usage[t] > capacity)) break;
    return t;
  }
}
