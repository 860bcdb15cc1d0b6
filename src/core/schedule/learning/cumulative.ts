import type { Engine, Propagator } from "./engine";

/** What one use takes of a pool: `amount` on [start, end), each a variable and an offset. */
export interface Demand {
  readonly start: number;
  readonly startOffset: number;
  readonly end: number;
  readonly endOffset: number;
  readonly amount: number;
  /** Least length of the interval, min. */
  readonly least: number;
  /** Variable that is 1 where this use takes this pool; −1: it always does. */
  readonly taken: number;
}

/**
 * Units of a pool minute by minute: what must be taken whatever happens is summed up, and no interval may lie where
 * that leaves too little. Explained by the intervals that cover the minute in question.
 */
export class Cumulative implements Propagator {
  private readonly usage: Int32Array;
  private readonly from: Int32Array;
  private readonly to: Int32Array;

  /**
   * @param capacity units at the most
   * @param missing  units that are not there, by minute; its length is the horizon + 1
   */
  constructor(
    private readonly demands: readonly Demand[],
    private readonly capacity: number,
    private readonly missing: Int32Array,
  ) {
    this.usage = new Int32Array(missing.length);
    this.from = new Int32Array(demands.length);
    this.to = new Int32Array(demands.length);
  }

  propagate(engine: Engine): boolean {
    const { demands, usage, from, to, capacity } = this;
    const { lb } = engine;
    const horizon = usage.length;
    usage.set(this.missing);
    for (let i = 0; i < demands.length; i++) {
      const d = demands[i];
      from[i] = 0;
      to[i] = 0;
      if (d.taken >= 0 && lb[2 * d.taken] < 1) continue;
      const a = Math.max(0, -lb[2 * d.start + 1] + d.startOffset);
      const b = Math.min(horizon, lb[2 * d.end] + d.endOffset);
      if (a >= b) continue;
      from[i] = a;
      to[i] = b;
      for (let t = a; t < b; t++) {
        usage[t] += d.amount;
        if (usage[t] > capacity) return engine.fail(this.covering(t, -1, capacity - this.missing[t], []));
      }
    }
    for (let i = 0; i < demands.length; i++) {
      const d = demands[i];
      if (d.taken >= 0 && lb[2 * d.taken + 1] === 0) continue;
      const open = lb[2 * d.start] + lb[2 * d.start + 1] < 0 || lb[2 * d.end] + lb[2 * d.end + 1] < 0;
      if (d.taken >= 0 && lb[2 * d.taken] < 1) {
        if (!this.rule(engine, i)) return false;
      } else if (open && !(this.pushOn(engine, i) && this.pushBack(engine, i))) return false;
    }
    return true;
  }

  private isOver(i: number, t: number): boolean {
    const own = this.from[i] <= t && t < this.to[i] ? this.demands[i].amount : 0;
    return this.usage[t] - own + this.demands[i].amount > this.capacity;
  }

  /** Intervals that cover minute t, as literals, until their amounts exceed `room`. */
  private covering(t: number, without: number, room: number, into: number[]): number[] {
    let left = room;
    for (let j = 0; j < this.demands.length && left >= 0; j++) {
      if (j === without || t < this.from[j] || t >= this.to[j]) continue;
      const d = this.demands[j];
      into.push(2 * d.start + 1, -(t - d.startOffset), 2 * d.end, t + 1 - d.endOffset);
      if (d.taken >= 0) into.push(2 * d.taken, 1);
      left -= d.amount;
    }
    return into;
  }

  private roomFor(i: number, t: number): number {
    return this.capacity - this.missing[t] - this.demands[i].amount;
  }

  /** The earliest start moves on while a minute of its least length is over. */
  private pushOn(engine: Engine, i: number): boolean {
    const d = this.demands[i];
    const { lb } = engine;
    for (;;) {
      const start = lb[2 * d.start] + d.startOffset;
      let t = Math.min(start + d.least, this.usage.length) - 1;
      while (t >= start && !this.isOver(i, t)) t--;
      if (t < start) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [2 * d.start, t - d.least + 1 - d.startOffset]);
      if (d.taken >= 0) why.push(2 * d.taken, 1);
      if (!engine.enqueue(2 * d.start, t + 1 - d.startOffset, engine.because(why))) return false;
    }
  }

  /** The latest end moves back likewise. */
  private pushBack(engine: Engine, i: number): boolean {
    const d = this.demands[i];
    const { lb } = engine;
    for (;;) {
      const end = -lb[2 * d.end + 1] + d.endOffset;
      let t = Math.max(0, end - d.least);
      while (t < end && !this.isOver(i, t)) t++;
      if (t >= end) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [2 * d.end + 1, -(t + d.least - d.endOffset)]);
      if (d.taken >= 0) why.push(2 * d.taken, 1);
      if (!engine.enqueue(2 * d.end + 1, -(t - d.endOffset), engine.because(why))) return false;
    }
  }

  /** Whether a use that may take this pool still could; where no start is left, it does not take it. */
  private rule(engine: Engine, i: number): boolean {
    const d = this.demands[i];
    const { lb } = engine;
    const first = lb[2 * d.start] + d.startOffset;
    const last = -lb[2 * d.start + 1] + d.startOffset;
    let start = first;
    const why: number[] = [];
    while (start <= last) {
      let t = Math.min(start + d.least, this.usage.length) - 1;
      while (t >= start && !this.isOver(i, t)) t--;
      if (t < start) return true;
      this.covering(t, i, this.roomFor(i, t), why);
      start = t + 1;
    }
    why.push(2 * d.start, first - d.startOffset, 2 * d.start + 1, -(last - d.startOffset));
    return engine.enqueue(2 * d.taken + 1, 0, engine.because(why));
  }
}
