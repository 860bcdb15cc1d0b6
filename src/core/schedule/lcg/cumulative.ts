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
  // The demands as rows of whole numbers: nodes of start and end and what is added to them, and the node of the choice.
  private readonly startNode: Int32Array;
  private readonly startPlus: Int32Array;
  private readonly endNode: Int32Array;
  private readonly endPlus: Int32Array;
  private readonly amount: Int32Array;
  private readonly least: Int32Array;
  private readonly takenNode: Int32Array;
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
  /** A start at which each interval fitted when it was looked at last. */
  private readonly fits: Int32Array;
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
    this.startNode = Int32Array.from(demands, (d) => 2 * d.start);
    this.startPlus = Int32Array.from(demands, (d) => d.startOffset);
    this.endNode = Int32Array.from(demands, (d) => 2 * d.end);
    this.endPlus = Int32Array.from(demands, (d) => d.endOffset);
    this.amount = Int32Array.from(demands, (d) => d.amount);
    this.least = Int32Array.from(demands, (d) => d.least);
    this.takenNode = Int32Array.from(demands, (d) => (d.taken < 0 ? -1 : 2 * d.taken));
    this.usage = missing.slice();
    this.from = new Int32Array(n);
    this.to = new Int32Array(n);
    this.oldFrom = new Int32Array(n);
    this.oldTo = new Int32Array(n);
    this.changed = new Int32Array(n);
    this.fits = new Int32Array(n).fill(-1);
    this.moved = new Slots(n);
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
    this.moved.add(slot);
    this.stale.add(slot);
  }

  propagate(engine: Engine): boolean {
    const { stale, startNode, endNode, takenNode } = this;
    const { lb } = engine;
    const over = this.count(lb);
    if (over >= 0) return engine.fail(this.covering(over, -1, this.capacity - this.missing[over], []));
    if (this.growFrom < this.growTo) this.markGrown(lb);
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

  /** What may lie where `usage` has grown must be looked at again. */
  private markGrown(lb: Int32Array): void {
    const { startNode, startPlus, endNode, endPlus, stale, growFrom, growTo } = this;
    for (let i = 0; i < startNode.length; i++)
      if (lb[startNode[i]] + startPlus[i] < growTo && endPlus[i] - lb[endNode[i] + 1] > growFrom) stale.add(i);
    this.growFrom = this.usage.length;
    this.growTo = 0;
  }

  /** Brings `usage` up to the present bounds. @returns a minute that is over, or −1 */
  private count(lb: Int32Array): number {
    const { startNode, startPlus, endNode, endPlus, takenNode, amount, from, to, changed, oldFrom, oldTo, moved } = this;
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

  private isOver(i: number, t: number): boolean {
    const own = this.from[i] <= t && t < this.to[i] ? this.amount[i] : 0;
    return this.usage[t] - own + this.amount[i] > this.capacity;
  }

  /** The last minute that is over while the interval, at its least length, would lie from `start` on; before that none is. */
  private lastOver(i: number, start: number): number {
    const { usage, capacity } = this;
    const room = capacity - this.amount[i];
    const from = this.from[i];
    const to = this.to[i];
    let t = Math.min(start + this.least[i], usage.length) - 1;
    for (; t >= start; t--) if (usage[t] > room && (t < from || t >= to || usage[t] > capacity)) break;
    return t;
  }

  /** Intervals that cover minute t, as literals, until their amounts exceed `room`. */
  private covering(t: number, without: number, room: number, into: number[]): number[] {
    let left = room;
    const { from, to, startNode, startPlus, endNode, endPlus, takenNode } = this;
    for (let j = 0; j < from.length && left >= 0; j++) {
      if (j === without || t < from[j] || t >= to[j]) continue;
      into.push(startNode[j] + 1, startPlus[j] - t, endNode[j], t + 1 - endPlus[j]);
      if (takenNode[j] >= 0) into.push(takenNode[j], 1);
      left -= this.amount[j];
    }
    return into;
  }

  private roomFor(i: number, t: number): number {
    return this.capacity - this.missing[t] - this.amount[i];
  }

  /** The earliest start moves on while a minute of its least length is over. */
  private pushOn(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.startNode[i];
    const plus = this.startPlus[i];
    for (;;) {
      const start = lb[node] + plus;
      const t = this.lastOver(i, start);
      if (t < start) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [node, t - this.least[i] + 1 - plus]);
      if (this.takenNode[i] >= 0) why.push(this.takenNode[i], 1);
      if (!engine.enqueue(node, t + 1 - plus, engine.because(why))) return false;
    }
  }

  /** The latest end moves back likewise. */
  private pushBack(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.endNode[i] + 1;
    const plus = this.endPlus[i];
    const least = this.least[i];
    for (;;) {
      const end = plus - lb[node];
      let t = Math.max(0, end - least);
      while (t < end && !this.isOver(i, t)) t++;
      if (t >= end) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [node, plus - t - least]);
      if (this.takenNode[i] >= 0) why.push(this.takenNode[i], 1);
      if (!engine.enqueue(node, plus - t, engine.because(why))) return false;
    }
  }

  /** Whether a use that may take this pool still could; where no start is left, it does not take it. */
  private rule(engine: Engine, i: number): boolean {
    const { lb } = engine;
    const node = this.startNode[i];
    const plus = this.startPlus[i];
    const first = lb[node] + plus;
    const last = plus - lb[node + 1];
    // Mostly it still fits where it fitted the last time.
    const known = this.fits[i];
    if (first <= known && known <= last && this.lastOver(i, known) < known) return true;
    for (let start = first; start <= last;) {
      const t = this.lastOver(i, start);
      if (t < start) {
        this.fits[i] = start;
        return true;
      }
      start = t + 1;
    }
    const why: number[] = [];
    for (let start = first; start <= last;) {
      const t = this.lastOver(i, start);
      this.covering(t, i, this.roomFor(i, t), why);
      start = t + 1;
    }
    why.push(node, first - plus, node + 1, plus - last);
    return engine.enqueue(this.takenNode[i] + 1, 0, engine.because(why));
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
