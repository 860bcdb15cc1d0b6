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
  /** Units taken for certain, and those that are not there, minute by minute; kept up from call to call. */
  private readonly usage: Int32Array;
  /** The minutes that each interval covers for certain, as they are counted in `usage`. */
  private readonly from: Int32Array;
  private readonly to: Int32Array;
  private readonly oldFrom: Int32Array;
  private readonly oldTo: Int32Array;
  private readonly changed: Int32Array;
  /** Intervals whose bounds moved since they were counted, and those that must be looked at. */
  private readonly moved: Slots;
  private readonly stale: Slots;
  /** Minutes that were found to be over. */
  private readonly over: number[] = [];
  /** Minutes [growFrom, growTo) in which `usage` grew since the intervals there were marked. */
  private growFrom = 1 << 30;
  private growTo = 0;

  /**
   * @param capacity units at the most
   * @param missing  units that are not there, by minute; its length is the horizon + 1
   */
  constructor(
    private readonly demands: readonly Demand[],
    private readonly capacity: number,
    private readonly missing: Int32Array,
  ) {
    const n = demands.length;
    this.usage = missing.slice();
    this.from = new Int32Array(n);
    this.to = new Int32Array(n);
    this.oldFrom = new Int32Array(n);
    this.oldTo = new Int32Array(n);
    this.changed = new Int32Array(n);
    this.moved = new Slots(n);
    this.stale = new Slots(n);
    for (let i = 0; i < n; i++) this.touch(i);
  }

  watched(): [node: number, slot: number][] {
    return this.demands.flatMap((d, i) =>
      [d.start, ...(d.end === d.start ? [] : [d.end]), ...(d.taken >= 0 ? [d.taken] : [])].flatMap((x): [number, number][] => [
        [2 * x, i],
        [2 * x + 1, i],
      ]),
    );
  }

  touch(slot: number): void {
    this.moved.add(slot);
    this.stale.add(slot);
  }

  propagate(engine: Engine): boolean {
    const { demands, stale } = this;
    const { lb } = engine;
    const over = this.count(lb);
    if (over >= 0) return engine.fail(this.covering(over, -1, this.capacity - this.missing[over], []));
    if (this.growFrom < this.growTo) {
      for (let i = 0; i < demands.length; i++) {
        const d = demands[i];
        if (lb[2 * d.start] + d.startOffset < this.growTo && d.endOffset - lb[2 * d.end + 1] > this.growFrom) stale.add(i);
      }
      this.growFrom = this.usage.length;
      this.growTo = 0;
    }
    for (let i = stale.take(); i >= 0; i = stale.take()) {
      const d = demands[i];
      if (d.taken >= 0 && lb[2 * d.taken + 1] === 0) continue;
      if (d.taken >= 0 && lb[2 * d.taken] < 1) {
        if (this.rule(engine, i)) continue;
      } else {
        const open = lb[2 * d.start] + lb[2 * d.start + 1] < 0 || lb[2 * d.end] + lb[2 * d.end + 1] < 0;
        if (!open || (this.pushOn(engine, i) && this.pushBack(engine, i))) continue;
      }
      stale.add(i);
      return false;
    }
    return true;
  }

  /** Brings `usage` up to the present bounds. @returns a minute that is over, or −1 */
  private count(lb: Int32Array): number {
    const { demands, from, to, changed, oldFrom, oldTo, moved } = this;
    const horizon = this.usage.length;
    let changes = 0;
    for (let i = moved.take(); i >= 0; i = moved.take()) {
      const d = demands[i];
      let a = 0;
      let b = 0;
      if (d.taken < 0 || lb[2 * d.taken] >= 1) {
        a = Math.max(0, d.startOffset - lb[2 * d.start + 1]);
        b = Math.min(horizon, lb[2 * d.end] + d.endOffset);
        if (a >= b) a = b = 0;
      }
      if (a === from[i] && b === to[i]) continue;
      changed[changes++] = i;
      oldFrom[i] = from[i];
      oldTo[i] = to[i];
      from[i] = a;
      to[i] = b;
      this.addOutside(oldFrom[i], oldTo[i], a, b, -d.amount);
    }
    // What is no longer covered has gone first, so that a minute that is over is truly over.
    for (let k = 0; k < changes; k++) {
      const i = changed[k];
      if (from[i] === to[i]) continue;
      this.addOutside(from[i], to[i], oldFrom[i], oldTo[i], demands[i].amount);
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

/** A set of small whole numbers, taken out last in first out. */
class Slots {
  private readonly held: Uint8Array;
  private readonly stack: Int32Array;
  private count = 0;
  constructor(n: number) {
    this.held = new Uint8Array(n);
    this.stack = new Int32Array(n);
  }
  add(i: number): void {
    if (this.held[i]) return;
    this.held[i] = 1;
    this.stack[this.count++] = i;
  }
  /** −1 when it is empty. */
  take(): number {
    if (this.count === 0) return -1;
    const i = this.stack[--this.count];
    this.held[i] = 0;
    return i;
  }
}
