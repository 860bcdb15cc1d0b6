import type { Model } from "../model";

/**
 * The time windows of all starts and ends under the difference constraints: for each node its least and greatest
 * value. Changes are recorded, so that the search can take them back to any earlier mark.
 */
export class Windows {
  readonly lo: Int32Array;
  readonly hi: Int32Array;
  private readonly queue: Int32Array;
  private readonly queued: Uint8Array;
  private readonly visits: Int32Array;
  private trail: Int32Array;
  private length = 0;
  /** Node at which the last propagation failed. */
  failedAt = -1;

  constructor(private readonly model: Model) {
    this.lo = model.lo0.slice();
    this.hi = model.hi0.slice();
    const nodes = 2 * model.n;
    this.queue = new Int32Array(nodes + 1);
    this.queued = new Uint8Array(nodes);
    this.visits = new Int32Array(nodes);
    this.trail = new Int32Array(4096);
  }

  /**
   * All constraints from scratch. False: no values exist. First a sweep each way in the order in which nodes follow one
   * another: a long chain is then settled at once, and not a link at a time.
   */
  propagateAll(): boolean {
    const { lo, hi } = this;
    const { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight } = this.model;
    const order = this.inOrder();
    for (const node of order)
      for (let a = arcStart[node]; a < arcStart[node + 1]; a++) {
        const value = lo[node] + arcWeight[a];
        if (value > hi[arcTo[a]]) return this.failed(arcTo[a]);
        this.setLo(arcTo[a], value);
      }
    for (let k = order.length - 1; k >= 0; k--)
      for (let a = backStart[order[k]]; a < backStart[order[k] + 1]; a++) {
        const value = hi[order[k]] - backWeight[a];
        if (value < lo[backFrom[a]]) return this.failed(backFrom[a]);
        this.setHi(backFrom[a], value);
      }
    return this.propagate(order);
  }

  private failed(node: number): false {
    this.failedAt = node;
    return false;
  }

  /** The nodes, each after those that it comes after: depth first along the constraints that do not look back. */
  private inOrder(): Int32Array {
    const { arcStart, arcTo, arcWeight, n } = this.model;
    const nodes = 2 * n;
    const order = new Int32Array(nodes);
    const next = arcStart.slice(0, nodes);
    const seen = new Uint8Array(nodes);
    const stack = new Int32Array(nodes);
    let at = nodes;
    for (let root = 0; root < nodes; root++) {
      if (seen[root]) continue;
      let depth = 0;
      stack[0] = root;
      seen[root] = 1;
      while (depth >= 0) {
        const node = stack[depth];
        let into = -1;
        while (into < 0 && next[node] < arcStart[node + 1]) {
          const a = next[node]++;
          if (arcWeight[a] >= 0 && !seen[arcTo[a]]) into = arcTo[a];
        }
        if (into >= 0) {
          seen[into] = 1;
          stack[++depth] = into;
        } else {
          order[--at] = node;
          depth--;
        }
      }
    }
    return order;
  }

  mark(): number {
    return this.length;
  }

  /** Takes back every change since the mark. */
  undo(mark: number): void {
    const { trail } = this;
    while (this.length > mark) {
      this.length -= 2;
      const node = trail[this.length];
      if (node >= 0) this.lo[node] = trail[this.length + 1];
      else this.hi[~node] = trail[this.length + 1];
    }
  }

  /** Fixes a task's start and end and propagates. False: some window is empty (undo to the mark afterwards). */
  fix(task: number, start: number, end: number): boolean {
    const s = 2 * task;
    const e = s + 1;
    if (start < this.lo[s] || start > this.hi[s] || end < this.lo[e] || end > this.hi[e]) return false;
    this.setLo(s, start);
    this.setHi(s, start);
    this.setLo(e, end);
    this.setHi(e, end);
    return this.propagate([s, e]);
  }

  /** Raises a task's earliest start and lowers its latest end. False: some window is empty. */
  narrow(task: number, start: number, end: number): boolean {
    this.failedAt = 2 * task;
    if (start > this.hi[2 * task] || end < this.lo[2 * task + 1]) return false;
    this.setLo(2 * task, start);
    this.setHi(2 * task + 1, end);
    return this.propagate([2 * task, 2 * task + 1]);
  }

  /** Fixes every task but the freed ones to the given times and propagates once. */
  fixMany(starts: Int32Array, ends: Int32Array, freed: Uint8Array): boolean {
    const seeds: number[] = [];
    for (let i = 0; i < this.model.n; i++) {
      if (freed[i] || starts[i] < 0) continue;
      const s = 2 * i;
      if (starts[i] < this.lo[s] || starts[i] > this.hi[s] || ends[i] < this.lo[s + 1] || ends[i] > this.hi[s + 1]) return false;
      this.setLo(s, starts[i]);
      this.setHi(s, starts[i]);
      this.setLo(s + 1, ends[i]);
      this.setHi(s + 1, ends[i]);
      seeds.push(s, s + 1);
    }
    return this.propagate(seeds);
  }

  private setLo(node: number, value: number): void {
    if (value <= this.lo[node]) return;
    this.record(node, this.lo[node]);
    this.lo[node] = value;
  }

  private setHi(node: number, value: number): void {
    if (value >= this.hi[node]) return;
    this.record(~node, this.hi[node]);
    this.hi[node] = value;
  }

  private record(key: number, old: number): void {
    if (this.length + 2 > this.trail.length) {
      const grown = new Int32Array(this.trail.length * 2);
      grown.set(this.trail);
      this.trail = grown;
    }
    this.trail[this.length++] = key;
    this.trail[this.length++] = old;
  }

  private propagate(seeds: ArrayLike<number>): boolean {
    const { lo, hi, queue, queued, visits } = this;
    const { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight } = this.model;
    const ring = queue.length;
    let head = 0;
    let tail = 0;
    // A node seen this often is on a ring of positive length that would only creep up to the horizon.
    const limit = 2 * this.model.n + 8;
    visits.fill(0);
    for (let i = 0; i < seeds.length; i++) {
      queue[tail] = seeds[i];
      tail = (tail + 1) % ring;
      queued[seeds[i]] = 1;
    }
    const stop = (node: number): false => {
      while (head !== tail) {
        queued[queue[head]] = 0;
        head = (head + 1) % ring;
      }
      this.failedAt = node;
      return false;
    };
    while (head !== tail) {
      const node = queue[head];
      head = (head + 1) % ring;
      queued[node] = 0;
      if (++visits[node] > limit) return stop(node);
      const low = lo[node];
      for (let a = arcStart[node]; a < arcStart[node + 1]; a++) {
        const to = arcTo[a];
        const value = low + arcWeight[a];
        if (value <= lo[to]) continue;
        if (value > hi[to]) return stop(to);
        this.setLo(to, value);
        if (!queued[to]) {
          queued[to] = 1;
          queue[tail] = to;
          tail = (tail + 1) % ring;
        }
      }
      const high = hi[node];
      for (let a = backStart[node]; a < backStart[node + 1]; a++) {
        const from = backFrom[a];
        const value = high - backWeight[a];
        if (value >= hi[from]) continue;
        if (value < lo[from]) return stop(from);
        this.setHi(from, value);
        if (!queued[from]) {
          queued[from] = 1;
          queue[tail] = from;
          tail = (tail + 1) % ring;
        }
      }
    }
    return true;
  }
}
