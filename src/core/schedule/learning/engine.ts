import { Arcs } from "./arcs";
import { ClauseStore, grown } from "./clauses";

/**
 * Whole-number variables whose bounds are narrowed by propagation, with every change explained, so that a dead end
 * teaches a clause ("not all of these bounds together") that holds for the rest of the search.
 *
 * Each variable x has two nodes: 2x stands for x, 2x + 1 for −x. Everything is said as "node ≥ value": the lower bound
 * of node 2x + 1 is minus the upper bound of x. The opposite of "p ≥ v" is "p ^ 1 ≥ 1 − v".
 */
export class Engine {
  /** Lower bound of each node. */
  lb = new Int32Array(64);
  vars = 0;
  level = 0;
  conflicts = 0;
  /** Set when the constraints are shown to have no solution at all. */
  broken = false;

  // The trail: which node was raised, from what, to what, why, and the trail entry of that node before.
  private trailNode = new Int32Array(1024);
  private trailOld = new Int32Array(1024);
  private trailNew = new Int32Array(1024);
  private trailPrev = new Int32Array(1024);
  private trailReason = new Int32Array(1024);
  private trailLevel = new Int32Array(1024);
  private marked = new Uint8Array(1024);
  private needed = new Int32Array(1024);
  private length = 0;
  private head = 0;
  private readonly levelStart: number[] = [0];
  private readonly levelPool: number[] = [0];
  private last = new Int32Array(64).fill(-1);

  /** Explanations that propagators give, as [count, node, value, …]; cut back with the trail. */
  private pool = new Int32Array(4096);
  private poolLength = 0;

  private readonly arcs = new Arcs();
  private readonly clauses = new ClauseStore();
  /** Per node that a watched literal's opposite is about: [clause position, threshold, …]. */
  private readonly watches: number[][] = [];

  private readonly propagators: Propagator[] = [];
  private readonly wakes: number[][] = [];
  private queued: Uint8Array = new Uint8Array(0);
  private queue: number[] = [];

  /** The literals whose conjunction failed, as node, value pairs. */
  private conflict: number[] = [];

  activity = new Float64Array(32);
  private step = 1;
  private readonly scratch: number[] = [];

  newVar(lo: number, hi: number): number {
    const x = this.vars++;
    if (2 * x + 1 >= this.lb.length) {
      this.lb = grown(this.lb);
      const last = new Int32Array(this.last.length * 2).fill(-1);
      last.set(this.last);
      this.last = last;
      const activity = new Float64Array(this.activity.length * 2);
      activity.set(this.activity);
      this.activity = activity;
    }
    this.lb[2 * x] = lo;
    this.lb[2 * x + 1] = -hi;
    for (let k = 0; k < 2; k++) {
      this.arcs.addNode();
      this.watches.push([]);
      this.wakes.push([]);
    }
    if (lo > hi) this.broken = true;
    return x;
  }

  lo(x: number): number {
    return this.lb[2 * x];
  }
  hi(x: number): number {
    return 0 - this.lb[2 * x + 1];
  }
  isFixed(x: number): boolean {
    return this.lb[2 * x] + this.lb[2 * x + 1] === 0;
  }

  /** to ≥ from + weight for nodes; with a switch only while that node is ≥ 1. The contrapositive goes with it. */
  addArc(from: number, to: number, weight: number, when = -1): void {
    this.arcs.add(from, to, weight, when);
    if ((from ^ 1) !== to) this.arcs.add(to ^ 1, from ^ 1, weight, when);
  }

  /** One of the literals (node, value pairs) must hold. Only at the root. */
  addClause(literals: readonly number[]): void {
    const open: number[] = [];
    for (let i = 0; i < literals.length; i += 2) {
      const [node, value] = [literals[i], literals[i + 1]];
      if (this.lb[node] >= value) return;
      if (value + this.lb[node ^ 1] > 0) continue;
      open.push(node, value);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) {
      if (!this.enqueue(open[0], open[1], 0)) this.broken = true;
    } else this.attach(open, false, 0);
  }

  /** @param watched nodes whose rise wakes the propagator, each with the slot it is told by `touch` */
  addPropagator(propagator: Propagator, watched: readonly (readonly [node: number, slot: number])[]): void {
    const id = this.propagators.push(propagator) - 1;
    for (const [node, slot] of watched) this.wakes[node].push(id, slot);
    const queued = new Uint8Array(this.propagators.length);
    queued.set(this.queued);
    this.queued = queued;
    this.wake(id);
  }

  private wake(id: number): void {
    if (this.queued[id]) return;
    this.queued[id] = 1;
    this.queue.push(id);
  }

  private attach(literals: readonly number[], learned: boolean, lbd: number, activity?: number): number {
    const at = this.clauses.add(literals, learned, lbd, activity);
    this.watch(at, 0);
    this.watch(at, 1);
    return at;
  }

  private watch(at: number, which: number): void {
    const node = this.clauses.arena[at + 1 + 2 * which];
    const value = this.clauses.arena[at + 2 + 2 * which];
    this.watches[node ^ 1].push(at, 1 - value);
  }

  // ——— changes ———

  /** Starts a new level of decisions. */
  decide(node: number, value: number): boolean {
    this.level++;
    this.levelStart.push(this.length);
    this.levelPool.push(this.poolLength);
    return this.enqueue(node, value, 0);
  }

  /** Keeps an explanation (literals that together force something) and returns its code for `enqueue`. */
  because(literals: readonly number[]): number {
    const at = this.poolLength;
    while (at + 1 + literals.length > this.pool.length) this.pool = grown(this.pool);
    this.pool[at] = literals.length;
    for (let i = 0; i < literals.length; i++) this.pool[at + 1 + i] = literals[i];
    this.poolLength = at + 1 + literals.length;
    return (at << 2) | 3;
  }

  /** Raises a node's bound. False: it contradicts the opposite bound; the conflict is then set. */
  enqueue(node: number, value: number, reason: number): boolean {
    const old = this.lb[node];
    if (value <= old) return true;
    if (value + this.lb[node ^ 1] > 0) {
      this.conflict.length = 0;
      this.conflict.push(node ^ 1, 1 - value);
      if (reason !== 0) this.explain(reason, node, value, this.conflict);
      else this.conflict.push(node, value);
      return false;
    }
    const i = this.length++;
    if (i >= this.trailNode.length) this.growTrail();
    this.trailNode[i] = node;
    this.trailOld[i] = old;
    this.trailNew[i] = value;
    this.trailPrev[i] = this.last[node];
    this.trailReason[i] = reason;
    this.trailLevel[i] = this.level;
    this.last[node] = i;
    this.lb[node] = value;
    const wakes = this.wakes[node];
    for (let k = 0; k < wakes.length; k += 2) {
      this.propagators[wakes[k]].touch(wakes[k + 1]);
      this.wake(wakes[k]);
    }
    return true;
  }

  /** A propagator found that these literals cannot hold together. */
  fail(literals: readonly number[]): false {
    this.conflict.length = 0;
    for (let i = 0; i < literals.length; i++) this.conflict.push(literals[i]);
    return false;
  }

  private growTrail(): void {
    this.trailNode = grown(this.trailNode);
    this.trailOld = grown(this.trailOld);
    this.trailNew = grown(this.trailNew);
    this.trailPrev = grown(this.trailPrev);
    this.trailReason = grown(this.trailReason);
    this.trailLevel = grown(this.trailLevel);
    this.needed = grown(this.needed);
    const marked = new Uint8Array(this.marked.length * 2);
    marked.set(this.marked);
    this.marked = marked;
  }

  /** Takes back everything above a level. */
  backTo(level: number): void {
    if (level >= this.level) return;
    const from = this.levelStart[level + 1];
    for (let i = this.length - 1; i >= from; i--) {
      const node = this.trailNode[i];
      this.lb[node] = this.trailOld[i];
      this.last[node] = this.trailPrev[i];
      const wakes = this.wakes[node];
      for (let k = 0; k < wakes.length; k += 2) this.propagators[wakes[k]].touch(wakes[k + 1]);
    }
    this.poolLength = this.levelPool[level + 1];
    this.length = from;
    this.head = from;
    this.level = level;
    this.levelStart.length = level + 1;
    this.levelPool.length = level + 1;
    for (const id of this.queue) this.queued[id] = 0;
    this.queue.length = 0;
  }

  // ——— propagation ———

  /** Draws every consequence. False: a contradiction, with the conflict set. */
  propagate(): boolean {
    if (this.arcs.start.length === 0) {
      this.arcs.layOut();
      for (let node = 0; node < 2 * this.vars; node++) if (!this.followArcs(node)) return false;
    }
    for (;;) {
      while (this.head < this.length) {
        const i = this.head++;
        if (!this.followArcs(this.trailNode[i]) || !this.followClauses(this.trailNode[i])) return false;
      }
      const id = this.queue.shift();
      if (id === undefined) return true;
      this.queued[id] = 0;
      if (!this.propagators[id].propagate(this)) return false;
    }
  }

  private followArcs(node: number): boolean {
    const { lb, arcs } = this;
    const out = arcs.row;
    const end = arcs.start[node + 1];
    const value = lb[node];
    for (let k = arcs.start[node]; k < end; k += 4) {
      const to = out[k + 1];
      const least = value + out[k + 2];
      if (least <= lb[to]) continue;
      const when = out[k + 3];
      if (when < 0 || lb[when] >= 1) {
        if (!this.enqueue(to, least, (out[k] << 2) | 2)) return false;
      } else if (least + lb[to ^ 1] > 0 && !this.switchOff(out[k])) return false;
    }
    if (value >= 1) {
      const on = arcs.bySwitch[node];
      for (let k = 0; k < on.length; k++) {
        const arc = on[k];
        const least = lb[this.arcs.from[arc]] + this.arcs.weight[arc];
        if (least > lb[this.arcs.to[arc]] && !this.enqueue(this.arcs.to[arc], least, (arc << 2) | 2)) return false;
      }
    }
    return true;
  }

  private switchOff(arc: number): boolean {
    const when = this.arcs.when[arc];
    if (this.lb[when ^ 1] >= 0) return true;
    const value = this.lb[this.arcs.from[arc]];
    // from ≥ value and to < value + weight cannot both stand while the arc is on.
    this.scratch.length = 0;
    this.scratch.push(this.arcs.from[arc], value, this.arcs.to[arc] ^ 1, 1 - (value + this.arcs.weight[arc]));
    return this.enqueue(when ^ 1, 0, this.because(this.scratch));
  }

  private followClauses(node: number): boolean {
    const list = this.watches[node];
    const { lb } = this;
    const { arena } = this.clauses;
    const value = lb[node];
    let kept = 0;
    let k = 0;
    let good = true;
    for (; k < list.length; k += 2) {
      const at = list[k];
      const threshold = list[k + 1];
      if (threshold > value) {
        list[kept++] = at;
        list[kept++] = threshold;
        continue;
      }
      // The false literal goes to the second place.
      if ((arena[at + 1] ^ 1) === node && 1 - arena[at + 2] === threshold) {
        const n = arena[at + 1];
        const v = arena[at + 2];
        arena[at + 1] = arena[at + 3];
        arena[at + 2] = arena[at + 4];
        arena[at + 3] = n;
        arena[at + 4] = v;
      }
      const first = arena[at + 1];
      const firstValue = arena[at + 2];
      if (lb[first] >= firstValue) {
        list[kept++] = at;
        list[kept++] = threshold;
        continue;
      }
      const size = arena[at];
      let moved = false;
      for (let j = 2; j < size; j++) {
        const n = arena[at + 1 + 2 * j];
        const v = arena[at + 2 + 2 * j];
        if (v + lb[n ^ 1] > 0) continue;
        arena[at + 1 + 2 * j] = arena[at + 3];
        arena[at + 2 + 2 * j] = arena[at + 4];
        arena[at + 3] = n;
        arena[at + 4] = v;
        this.watches[n ^ 1].push(at, 1 - v);
        moved = true;
        break;
      }
      if (moved) continue;
      list[kept++] = at;
      list[kept++] = threshold;
      if (!this.enqueue(first, firstValue, (at << 2) | 1)) {
        good = false;
        k += 2;
        break;
      }
    }
    for (; k < list.length; k++) list[kept++] = list[k];
    list.length = kept;
    return good;
  }

  // ——— learning ———

  /** Appends the literals that forced "node ≥ value" under a reason. */
  private explain(reason: number, node: number, value: number, into: number[]): void {
    const at = reason >> 2;
    switch (reason & 3) {
      case 1: {
        const { arena } = this.clauses;
        const size = arena[at];
        this.clauses.credit(at);
        for (let j = 0; j < size; j++) {
          const n = arena[at + 1 + 2 * j];
          const v = arena[at + 2 + 2 * j];
          if (n === node && v >= value) continue;
          into.push(n ^ 1, 1 - v);
        }
        return;
      }
      case 2: {
        into.push(this.arcs.from[at], value - this.arcs.weight[at]);
        if (this.arcs.when[at] >= 0) into.push(this.arcs.when[at], 1);
        return;
      }
      case 3:
        for (let j = 0; j < this.pool[at]; j++) into.push(this.pool[at + 1 + j]);
    }
  }

  /** The trail entry that made "node ≥ value" true, −1 where it held from the root on. */
  private entryOf(node: number, value: number): number {
    let i = this.last[node];
    if (i < 0 || this.lb[node] < value) return -1;
    while (i >= 0 && this.trailOld[i] >= value) i = this.trailPrev[i];
    return i >= 0 && this.trailLevel[i] > 0 ? i : -1;
  }

  /** The highest level that has a part in the conflict. */
  conflictLevel(): number {
    let top = 0;
    for (let k = 0; k < this.conflict.length; k += 2) {
      const i = this.entryOf(this.conflict[k], this.conflict[k + 1]);
      if (i >= 0) top = Math.max(top, this.trailLevel[i]);
    }
    return top;
  }

  /** Opens a level on which all these literals (node, value pairs) are supposed. False: they contradict what is known. */
  suppose(literals: readonly number[]): boolean {
    this.level++;
    this.levelStart.push(this.length);
    this.levelPool.push(this.poolLength);
    for (let k = 0; k < literals.length; k += 2) if (!this.enqueue(literals[k], literals[k + 1], 0)) return false;
    return true;
  }

  /**
   * Learns from the conflict, goes back and asserts what was learned. False: nothing is left to try; the constraints
   * have no solution.
   */
  learn(): boolean {
    this.conflicts++;
    if (this.level === 0) {
      this.broken = true;
      return false;
    }
    const lower: number[] = [];
    let open = 0;
    let at = this.length;
    const literals = this.conflict.slice();
    // The conflict may lie below the current level; go there first.
    const top = this.conflictLevel();
    if (top === 0) {
      this.broken = true;
      return false;
    }
    if (top < this.level) {
      this.backTo(top);
      at = this.length;
    }
    const add = (node: number, value: number): void => {
      const i = this.entryOf(node, value);
      if (i < 0) return;
      if (this.marked[i]) {
        if (this.needed[i] < value) this.needed[i] = value;
        return;
      }
      this.marked[i] = 1;
      this.needed[i] = value;
      this.bump(node >> 1);
      if (this.trailLevel[i] === this.level) open++;
      else lower.push(i);
    };
    for (let k = 0; k < literals.length; k += 2) add(literals[k], literals[k + 1]);
    const buffer: number[] = [];
    for (;;) {
      do at--;
      while (!this.marked[at]);
      if (open === 1) break;
      this.marked[at] = 0;
      open--;
      buffer.length = 0;
      this.explain(this.trailReason[at], this.trailNode[at], this.needed[at], buffer);
      for (let k = 0; k < buffer.length; k += 2) add(buffer[k], buffer[k + 1]);
    }
    const uip = at;
    const kept = lower.filter((i) => !this.isImplied(i));
    // Of two bounds on one node the later says more.
    kept.sort((a, b) => b - a);
    const seen = new Set<number>([this.trailNode[uip]]);
    const clause: number[] = [this.trailNode[uip] ^ 1, 1 - this.needed[uip]];
    const levels = new Set<number>();
    let back = 0;
    for (const i of kept) {
      const node = this.trailNode[i];
      if (seen.has(node)) continue;
      seen.add(node);
      clause.push(node ^ 1, 1 - this.needed[i]);
      levels.add(this.trailLevel[i]);
      back = Math.max(back, this.trailLevel[i]);
      // The second watch stands on the level to which the search goes back.
      if (this.trailLevel[i] === back && clause.length > 4) {
        const end = clause.length - 2;
        [clause[2], clause[end]] = [clause[end], clause[2]];
        [clause[3], clause[end + 1]] = [clause[end + 1], clause[3]];
      }
    }
    this.marked[uip] = 0;
    for (const i of lower) this.marked[i] = 0;
    this.backTo(back);
    this.step *= 1.05;
    this.clauses.age();
    if (this.step > 1e90) this.rescale();
    if (clause.length === 2) return this.enqueue(clause[0], clause[1], 0) || !(this.broken = true);
    const where = this.attach(clause, true, levels.size);
    return this.enqueue(clause[0], clause[1], (where << 2) | 1) || !(this.broken = true);
  }

  /** Whether the other marked entries already imply this one, so that the clause need not say it. */
  private isImplied(i: number): boolean {
    const reason = this.trailReason[i];
    if (reason === 0) return false;
    const buffer: number[] = [];
    this.explain(reason, this.trailNode[i], this.needed[i], buffer);
    for (let k = 0; k < buffer.length; k += 2) {
      const j = this.entryOf(buffer[k], buffer[k + 1]);
      if (j >= 0 && !(this.marked[j] && this.needed[j] >= buffer[k + 1])) return false;
    }
    return true;
  }

  bump(x: number): void {
    this.activity[x] += this.step;
  }

  private rescale(): void {
    for (let x = 0; x < this.vars; x++) this.activity[x] /= this.step;
    this.step = 1;
  }

  learnedCount(): number {
    return this.clauses.count;
  }

  /** Forgets the less useful half of what was learned. Only at the root. */
  forget(): void {
    const useful = this.clauses.takeUseful();
    for (const list of this.watches) list.length = 0;
    for (const { literals, learned, lbd, activity } of useful) {
      // What the root has settled meanwhile is dropped or shortened.
      const open: number[] = [];
      let holds = false;
      for (let k = 0; k < literals.length && !holds; k += 2) {
        if (this.lb[literals[k]] >= literals[k + 1]) holds = true;
        else if (literals[k + 1] + this.lb[literals[k] ^ 1] <= 0) open.push(literals[k], literals[k + 1]);
      }
      if (holds) continue;
      if (open.length === 0) this.broken = true;
      else if (open.length === 2) {
        if (!this.enqueue(open[0], open[1], 0)) this.broken = true;
      } else this.attach(open, learned, lbd, activity);
    }
  }

  /** At the root, with everything propagated: what is settled needs no trail any more. */
  settle(): void {
    if (this.level !== 0 || this.head < this.length) return;
    for (let i = 0; i < this.length; i++) this.last[this.trailNode[i]] = -1;
    this.length = this.head = 0;
    this.poolLength = 0;
  }
}

export interface Propagator {
  /** A bound that it watches under this slot has risen, or was taken back. */
  touch(slot: number): void;
  /** Narrows bounds by `enqueue` with an explanation; false after a conflict. */
  propagate(engine: Engine): boolean;
}
