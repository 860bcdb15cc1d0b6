import type { Chance } from "../../shared/chance";
import type { Shop } from "./shop";

/** Moves without a better schedule before the search goes back to one of the best, shaken. */
const PATIENCE = 6000;
/** How many of the best schedules are gone back to. */
const ELITE = 8;

/**
 * Tabu search on the critical blocks of a job-shop: a task of a block is moved behind (before) another of it where that
 * closes no ring, the most promising move by an estimate of the longest way through what moved; a pair that was turned
 * round stays so for a while. Source: the neighbourhood of Balas and Vazacopoulos with Taillard's estimate.
 */
export class ShopTabu {
  /** Sequence of each machine, and the place of each task in its own. */
  private readonly sequence: Int32Array[];
  private readonly place: Int32Array;
  private readonly head: Int32Array;
  private readonly tail: Int32Array;
  private readonly order: Int32Array;
  private readonly open: Int32Array;
  private readonly tabu: Int32Array;
  private readonly tenure: number;
  private readonly elite: { end: number; sequence: Int32Array[] }[] = [];
  private move = 0;
  private idle = 0;
  private end = 0;
  bestEnd = Infinity;
  bestStarts: Int32Array;

  constructor(
    private readonly shop: Shop,
    starts: ArrayLike<number>,
    private readonly chance: Chance,
  ) {
    const { n } = shop;
    this.place = new Int32Array(n).fill(-1);
    this.head = new Int32Array(n);
    this.tail = new Int32Array(n);
    this.order = new Int32Array(n);
    this.open = new Int32Array(n);
    this.tabu = new Int32Array(n * n);
    this.sequence = Array.from({ length: shop.machines }, (_, m) =>
      Int32Array.from(
        Array.from({ length: n }, (_, i) => i)
          .filter((i) => shop.machine[i] === m)
          .sort((a, b) => starts[a] - starts[b] || a - b),
      ),
    );
    const used = this.sequence.filter((s) => s.length > 0);
    this.tenure = 10 + Math.round(n / Math.max(1, used.length) / Math.max(1, used.length));
    this.bestStarts = new Int32Array(n);
    this.replace();
    this.evaluate();
    this.keepBest();
  }

  private replace(): void {
    for (const sequence of this.sequence) for (let k = 0; k < sequence.length; k++) this.place[sequence[k]] = k;
  }

  private machineBefore(i: number): number {
    const m = this.shop.machine[i];
    return m < 0 || this.place[i] === 0 ? -1 : this.sequence[m][this.place[i] - 1];
  }
  private machineAfter(i: number): number {
    const m = this.shop.machine[i];
    return m < 0 || this.place[i] === this.sequence[m].length - 1 ? -1 : this.sequence[m][this.place[i] + 1];
  }

  /** Heads, tails and the last end of the present sequences; false where they close a ring. */
  private evaluate(): boolean {
    const { shop, head, tail, order, open } = this;
    const { n, length, before, after, release } = shop;
    let count = 0;
    for (let i = 0; i < n; i++) {
      open[i] = before[i].length + (this.machineBefore(i) >= 0 ? 1 : 0);
      head[i] = release[i];
      if (open[i] === 0) order[count++] = i;
    }
    this.end = 0;
    for (let k = 0; k < count; k++) {
      const i = order[k];
      const done = head[i] + length[i];
      if (done > this.end) this.end = done;
      for (const { task, lag } of after[i]) {
        if (done + lag > head[task]) head[task] = done + lag;
        if (--open[task] === 0) order[count++] = task;
      }
      const next = this.machineAfter(i);
      if (next >= 0) {
        if (done > head[next]) head[next] = done;
        if (--open[next] === 0) order[count++] = next;
      }
    }
    if (count < n) return false;
    for (let k = n - 1; k >= 0; k--) {
      const i = order[k];
      let longest = 0;
      for (const { task, lag } of after[i]) longest = Math.max(longest, lag + length[task] + tail[task]);
      const next = this.machineAfter(i);
      if (next >= 0) longest = Math.max(longest, length[next] + tail[next]);
      tail[i] = longest;
    }
    return true;
  }

  private keepBest(): void {
    if (this.end >= this.bestEnd) return;
    this.bestEnd = this.end;
    this.bestStarts = this.head.slice();
    this.idle = 0;
    this.remember();
  }

  private remember(): void {
    if (this.elite.some((e) => e.end === this.end && e.sequence.every((s, m) => s.every((t, k) => t === this.sequence[m][k]))))
      return;
    this.elite.push({ end: this.end, sequence: this.sequence.map((s) => s.slice()) });
    this.elite.sort((a, b) => a.end - b.end);
    if (this.elite.length > ELITE) this.elite.pop();
  }

  /** Makes so many moves; true where the best became better. Ends early at `enough`. */
  run(moves: number, enough: number): boolean {
    const start = this.bestEnd;
    for (let k = 0; k < moves && this.bestEnd > enough; k++) {
      this.step();
      if (++this.idle < PATIENCE) continue;
      this.idle = 0;
      this.goBack();
    }
    return this.bestEnd < start;
  }

  /** From one of the best again, shaken by random moves on its critical ways. */
  private goBack(): void {
    this.remember();
    const from = this.elite[this.chance.below(this.elite.length)];
    from.sequence.forEach((s, m) => this.sequence[m].set(s));
    this.replace();
    this.tabu.fill(0);
    this.evaluate();
    for (let k = 6 + this.chance.below(14); k > 0; k--) {
      const candidates = this.candidates();
      if (candidates === 0) break;
      const c = this.chance.below(candidates);
      this.shift(this.from[c], this.to[c]);
      this.evaluate();
    }
    this.keepBest();
  }

  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private readonly guess: number[] = [];

  /** Moves on one critical way: task `from` goes to the place of task `to` on its machine. */
  private candidates(): number {
    const { shop, head, tail, place } = this;
    const { length } = shop;
    this.from.length = this.to.length = this.guess.length = 0;
    let at = -1;
    let seen = 0;
    for (let i = 0; i < shop.n; i++)
      if (head[i] + length[i] + tail[i] === this.end && head[i] === shop.release[i] && this.chance.below(++seen) === 0) at = i;
    const critical: number[] = [];
    while (at >= 0) {
      critical.push(at);
      at = this.nextCritical(at);
    }
    for (let k = 0; k < critical.length;) {
      let last = k;
      while (
        last + 1 < critical.length &&
        shop.machine[critical[k]] >= 0 &&
        shop.machine[critical[last + 1]] === shop.machine[critical[k]] &&
        place[critical[last + 1]] === place[critical[last]] + 1
      )
        last++;
      for (let a = k; a < last; a++) {
        // Each of the block behind its last and before its first, and neighbours turned round at the ends.
        this.offer(critical[a], critical[last]);
        this.offer(critical[a + 1], critical[k]);
        if (last - k > 1 && (a === k || a === last - 1)) {
          this.offer(critical[a], critical[a + 1]);
        }
      }
      k = last + 1;
    }
    return this.from.length;
  }

  private nextCritical(i: number): number {
    const { head, shop, tail } = this;
    const done = head[i] + shop.length[i];
    let next = -1;
    let seen = 0;
    const critical = (j: number) => head[j] + shop.length[j] + tail[j] === this.end;
    const along = this.machineAfter(i);
    if (along >= 0 && head[along] === done && critical(along) && this.chance.below(++seen) === 0) next = along;
    for (const { task, lag } of shop.after[i])
      if (head[task] === done + lag && critical(task) && this.chance.below(++seen) === 0) next = task;
    return next;
  }

  /** Adds the move of u to the place of v where it surely closes no ring. */
  private offer(u: number, v: number): void {
    const { shop, head, tail, place } = this;
    if (u === v) return;
    for (let k = 0; k < this.from.length; k++) if (this.from[k] === u && this.to[k] === v) return;
    if (place[u] < place[v]) {
      const way = shop.length[v] + tail[v];
      for (const { task } of shop.after[u]) if (shop.length[task] + tail[task] > way) return;
    } else {
      const way = head[v] + shop.length[v];
      for (const { task } of shop.before[u]) if (head[task] + shop.length[task] > way) return;
    }
    this.from.push(u);
    this.to.push(v);
    this.guess.push(this.estimate(u, v));
  }

  private readonly segment: number[] = [];
  private readonly newHead: number[] = [];

  /** Longest way through the tasks between u and v after u moved to v's place. */
  private estimate(u: number, v: number): number {
    const { shop, head, tail, place, segment, newHead } = this;
    const { length, before, after } = shop;
    const sequence = this.sequence[shop.machine[u]];
    const a = Math.min(place[u], place[v]);
    const b = Math.max(place[u], place[v]);
    segment.length = 0;
    if (place[u] > place[v]) segment.push(u);
    for (let k = a; k <= b; k++) if (sequence[k] !== u) segment.push(sequence[k]);
    if (place[u] < place[v]) segment.push(u);
    let reached = a > 0 ? head[sequence[a - 1]] + length[sequence[a - 1]] : 0;
    for (let k = 0; k < segment.length; k++) {
      const i = segment[k];
      let h = Math.max(reached, shop.release[i]);
      for (const { task, lag } of before[i]) h = Math.max(h, head[task] + length[task] + lag);
      newHead[k] = h;
      reached = h + length[i];
    }
    let longest = 0;
    let rest = b + 1 < sequence.length ? length[sequence[b + 1]] + tail[sequence[b + 1]] : 0;
    for (let k = segment.length - 1; k >= 0; k--) {
      const i = segment[k];
      let q = rest;
      for (const { task, lag } of after[i]) q = Math.max(q, lag + length[task] + tail[task]);
      longest = Math.max(longest, newHead[k] + length[i] + q);
      rest = length[i] + q;
    }
    return longest;
  }

  private isTabu(u: number, v: number): boolean {
    const { n } = this.shop;
    const sequence = this.sequence[this.shop.machine[u]];
    const forward = this.place[u] < this.place[v];
    const [a, b] = forward ? [this.place[u] + 1, this.place[v]] : [this.place[v], this.place[u] - 1];
    for (let k = a; k <= b; k++) {
      const w = sequence[k];
      if (this.tabu[forward ? w * n + u : u * n + w] > this.move) return true;
    }
    return false;
  }

  private step(): void {
    this.move++;
    const count = this.candidates();
    if (count === 0) {
      this.idle = PATIENCE;
      return;
    }
    let best = -1;
    let bestGuess = Infinity;
    let ties = 0;
    for (let c = 0; c < count; c++) {
      if (this.guess[c] >= this.bestEnd && this.isTabu(this.from[c], this.to[c])) continue;
      if (this.guess[c] < bestGuess) {
        bestGuess = this.guess[c];
        best = c;
        ties = 1;
      } else if (this.guess[c] === bestGuess && this.chance.below(++ties) === 0) best = c;
    }
    if (best < 0) best = this.chance.below(count);
    const u = this.from[best];
    const v = this.to[best];
    this.forbid(u, v);
    const back = this.sequence[this.shop.machine[u]].slice();
    this.shift(u, v);
    if (this.evaluate()) return this.keepBest();
    // Tasks of no length can close a ring that the rule does not see.
    this.sequence[this.shop.machine[u]].set(back);
    this.replace();
    this.evaluate();
  }

  /** What stood before the other may not stand so again for a while. */
  private forbid(u: number, v: number): void {
    const { n } = this.shop;
    const sequence = this.sequence[this.shop.machine[u]];
    const until = this.move + this.tenure + this.chance.below(Math.ceil(this.tenure / 2) + 1);
    if (this.place[u] < this.place[v])
      for (let k = this.place[u] + 1; k <= this.place[v]; k++) this.tabu[u * n + sequence[k]] = until;
    else for (let k = this.place[v]; k < this.place[u]; k++) this.tabu[sequence[k] * n + u] = until;
  }

  private shift(u: number, v: number): void {
    const sequence = this.sequence[this.shop.machine[u]];
    const to = this.place[v];
    const step = this.place[u] < to ? 1 : -1;
    for (let k = this.place[u]; k !== to; k += step) {
      sequence[k] = sequence[k + step];
      this.place[sequence[k]] = k;
    }
    sequence[to] = u;
    this.place[u] = to;
  }
}
