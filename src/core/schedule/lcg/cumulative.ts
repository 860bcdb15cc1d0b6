import type { Engine, Propagator } from "./engine";
import { Intervals, type Interval } from "./intervals";
import { Slots } from "./slots";
import { UsageProfile } from "./usage-profile";

/**
 * Units of a pool minute by minute: what must be taken whatever happens is summed up, and no interval may lie where
 * that leaves too little. Explained by the intervals that cover the minute in question, pointwise.
 * Source: time-table filtering with lazily generated explanations (lazy clause generation).
 */
export class Cumulative implements Propagator {
  private readonly intervals: Intervals;
  private readonly profile: UsageProfile;
  /** Intervals that must be looked at. */
  private readonly stale: Slots;
  /** A start at which each interval fitted when it was looked at last. */
  private readonly fits: Int32Array;

  /**
   * @param capacity units at the most
   * @param missing  units that are not there, by minute; its length is the horizon + 1
   */
  constructor(
    private readonly demands: readonly Interval[],
    private readonly capacity: number,
    private readonly missing: Int32Array,
  ) {
    this.intervals = new Intervals(demands);
    this.profile = new UsageProfile(this.intervals, capacity, missing);
    const n = demands.length;
    this.fits = new Int32Array(n).fill(-1);
    this.stale = new Slots(n);
    for (let i = 0; i < n; i++) this.touch(i);
  }

  /** Puts the pool into the search. */
  addTo(engine: Engine): void {
    const id = engine.addPropagator(this);
    this.demands.forEach(({ start, end, taken }, i) => {
      engine.wakeBy(start, id, i);
      if (end !== start) engine.wakeBy(end, id, i);
      if (taken >= 0) engine.wakeBy(taken, id, i);
    });
  }

  touch(slot: number): void {
    this.profile.touch(slot);
    this.stale.add(slot);
  }

  propagate(engine: Engine): boolean {
    const { stale, profile } = this;
    const { startNode, endNode, takenNode } = this.intervals;
    const { lb } = engine;
    const over = profile.update(lb);
    if (over >= 0) return engine.fail(this.covering(over, -1, this.capacity - this.missing[over], []));
    profile.takeGrowth((from, to) => this.markWithin(from, to, lb));
    for (let i = stale.take(); i >= 0; i = stale.take()) {
      const taken = takenNode[i];
      if (taken >= 0 && lb[taken + 1] === 0) continue;
      if (taken >= 0 && lb[taken] < 1) {
        if (this.rule(engine, i)) continue;
      } else {
        const s = startNode[i];
        const e = endNode[i];
        const open = lb[s] + lb[s + 1] < 0 || lb[e] + lb[e + 1] < 0;
        if (!open || (this.pushOn(engine, i) && this.pushBack(engine, i))) continue;
      }
      stale.add(i);
      return false;
    }
    return true;
  }

  /** What may lie in minutes that have grown must be looked at again. */
  private markWithin(growFrom: number, growTo: number, lb: Int32Array): void {
    const { count, startNode, startPlus, endNode, endPlus } = this.intervals;
    for (let i = 0; i < count; i++)
      if (lb[startNode[i]] + startPlus[i] < growTo && endPlus[i] - lb[endNode[i] + 1] > growFrom) this.stale.add(i);
  }

  /** Intervals that cover minute t, as literals, until their amounts exceed `room`. */
  private covering(t: number, without: number, room: number, into: number[]): number[] {
    let left = room;
    const { from, to } = this.profile;
    const { startNode, startPlus, endNode, endPlus, takenNode, amount } = this.intervals;
    for (let j = 0; j < from.length && left >= 0; j++) {
      if (j === without || t < from[j] || t >= to[j]) continue;
      into.push(startNode[j] + 1, startPlus[j] - t, endNode[j], t + 1 - endPlus[j]);
      if (takenNode[j] >= 0) into.push(takenNode[j], 1);
      left -= amount[j];
    }
    return into;
  }

  private roomFor(i: number, t: number): number {
    return this.capacity - this.missing[t] - this.intervals.amount[i];
  }

  /** The earliest start moves on while a minute of its least length is over. */
  private pushOn(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.intervals.startNode[i];
    const plus = this.intervals.startPlus[i];
    for (;;) {
      const start = lb[node] + plus;
      const t = this.profile.lastOver(i, start);
      if (t < start) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [node, t - this.intervals.least[i] + 1 - plus]);
      if (this.intervals.takenNode[i] >= 0) why.push(this.intervals.takenNode[i], 1);
      if (!engine.enqueue(node, t + 1 - plus, engine.because(why))) return false;
    }
  }

  /** The latest end moves back likewise. */
  private pushBack(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.intervals.endNode[i] + 1;
    const plus = this.intervals.endPlus[i];
    const least = this.intervals.least[i];
    for (;;) {
      const end = plus - lb[node];
      let t = Math.max(0, end - least);
      while (t < end && !this.profile.isOver(i, t)) t++;
      if (t >= end) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [node, plus - t - least]);
      if (this.intervals.takenNode[i] >= 0) why.push(this.intervals.takenNode[i], 1);
      if (!engine.enqueue(node, plus - t, engine.because(why))) return false;
    }
  }

  /** Whether a use that may take this pool still could; where no start is left, it does not take it. */
  private rule(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.intervals.startNode[i];
    const plus = this.intervals.startPlus[i];
    const first = lb[node] + plus;
    const last = plus - lb[node + 1];
    // Mostly it still fits where it fitted the last time.
    const known = this.fits[i];
    if (first <= known && known <= last && this.profile.lastOver(i, known) < known) return true;
    for (let start = first; start <= last;) {
      const t = this.profile.lastOver(i, start);
      if (t < start) {
        this.fits[i] = start;
        return true;
      }
      start = t + 1;
    }
    const why: number[] = [];
    for (let start = first; start <= last;) {
      const t = this.profile.lastOver(i, start);
      this.covering(t, i, this.roomFor(i, t), why);
      start = t + 1;
    }
    why.push(node, first - plus, node + 1, plus - last);
    return engine.enqueue(this.intervals.takenNode[i] + 1, 0, engine.because(why));
  }
}
