import { Activity } from "./activity";
import { Arcs } from "./arcs";
import { ClauseStore, grown } from "./clauses";
import { DeadEnd } from "./dead-end";
import { Literals } from "./literals";
import { Trail } from "./trail";
import { firstAbove, Watches, type Watch } from "./watches";

/**
 * Whole-number variables whose bounds are narrowed by propagation, with every change explained, so that a dead end
 * teaches a clause ("not all of these bounds together") that holds for the rest of the search.
 *
 * Each variable x has two nodes: 2x stands for x, 2x + 1 for −x. Everything is said as "node ≥ value": the lower bound
 * of node 2x + 1 is minus the upper bound of x. The opposite of "p ≥ v" is "p ^ 1 ≥ 1 − v".
 */
export class Engine {
  vars = 0;
  level = 0;
  conflicts = 0;
  /** Set when the constraints are shown to have no solution at all. */
  broken = false;

  private readonly trail = new Trail();
  /** The first entry of the trail whose consequences are not drawn yet. */
  private head = 0;
  /** Where the trail and the explanations of each level begin. */
  private levelStart = new Int32Array(256);
  private levelPool = new Int32Array(256);

  /** Explanations that propagators give, as [count, node, value, …]; cut back with the trail. */
  private pool = new Int32Array(4096);
  private poolLength = 0;

  private readonly arcs = new Arcs();
  private readonly clauses = new ClauseStore();
  /** By the nodes that the opposites of watched literals are about. */
  private readonly watches = new Watches();

  private readonly propagators: Propagator[] = [];
  private readonly wakes: number[][] = [];
  private queued: Uint8Array = new Uint8Array(0);
  /** Propagators that wait for their turn, first come first served, in a ring. */
  private queue: Int32Array = new Int32Array(1);
  private queueHead = 0;
  private queueTail = 0;

  /** The literals whose conjunction failed, as node, value pairs. */
  private readonly conflict = new Literals();

  private readonly activity = new Activity();
  private readonly deadEnd = new DeadEnd(
    this.trail,
    (reason, node, value, at, into) => this.explain(reason, node, value, at, into),
    (x) => this.activity.credit(x),
  );
  private readonly four = new Int32Array(4);

  /** Lower bound of each node. */
  get lb(): Int32Array {
    return this.trail.lb;
  }

  newVar(lo: number, hi: number): number {
    const x = this.vars++;
    this.trail.addNode(2 * x, lo);
    this.trail.addNode(2 * x + 1, -hi);
    for (let k = 0; k < 2; k++) {
      this.arcs.addNode();
      this.watches.addNode();
      this.wakes.push([]);
    }
    this.activity.addVar();
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
      let k = 0;
      while (k < open.length && open[k] !== node) k += 2;
      if (k === open.length) open.push(node, value);
      // Of two about one bound the lower is enough, and clauses rely on having one of each.
      else open[k + 1] = Math.min(open[k + 1], value);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) {
      if (!this.enqueue(open[0], open[1], 0)) this.broken = true;
    } else this.attach(open, false, 0);
  }

  /** The propagator is looked at once, and again whenever something wakes it. @returns its number, for `wakeBy` */
  addPropagator(propagator: Propagator): number {
    const id = this.propagators.push(propagator) - 1;
    const queued = new Uint8Array(id + 1);
    queued.set(this.queued);
    this.queued = queued;
    const queue = new Int32Array(id + 2);
    for (let k = 0; k < this.waiting; k++) queue[k] = this.queue[(this.queueHead + k) % this.queue.length];
    this.queueTail = this.waiting;
    this.queueHead = 0;
    this.queue = queue;
    this.wake(id);
    return id;
  }

  /** From now on the propagator is told of `slot`, and woken, when a bound of this variable moves. */
  wakeBy(x: number, id: number, slot: number): void {
    this.wakeByNode(2 * x, id, slot);
    this.wakeByNode(2 * x + 1, id, slot);
  }

  /** The same for one of its two bounds. */
  wakeByNode(node: number, id: number, slot: number): void {
    this.wakes[node].push(id, slot);
  }

  private get waiting(): number {
    const { length } = this.queue;
    return (this.queueTail - this.queueHead + length) % length;
  }

  private wake(id: number): void {
    if (this.queued[id]) return;
    this.queued[id] = 1;
    this.queue[this.queueTail] = id;
    if (++this.queueTail === this.queue.length) this.queueTail = 0;
  }

  private attach(literals: readonly number[], learned: boolean, lbd: number, activity?: number): number {
    const at = this.clauses.add(literals, learned, lbd, activity);
    this.watch(at, 0);
    this.watch(at, 1);
    return at;
  }

  private watch(at: number, which: number): void {
    const { arena } = this.clauses;
    const own = at + 1 + 2 * which;
    const other = at + 3 - 2 * which;
    this.watches.at(arena[own] ^ 1, 1 - arena[own + 1]).add(at, arena[other], arena[other + 1]);
  }

  // ——— changes ———

  /** Starts a new level of decisions. */
  decide(node: number, value: number): boolean {
    this.openLevel();
    return this.enqueue(node, value, 0);
  }

  private openLevel(): void {
    if (++this.level === this.levelStart.length) {
      this.levelStart = grown(this.levelStart);
      this.levelPool = grown(this.levelPool);
    }
    this.levelStart[this.level] = this.trail.length;
    this.levelPool[this.level] = this.poolLength;
  }

  /** Keeps an explanation (literals that together force something) and returns its code for `enqueue`. */
  because(literals: ArrayLike<number>): number {
    const at = this.poolLength;
    while (at + 1 + literals.length > this.pool.length) this.pool = grown(this.pool);
    this.pool[at] = literals.length;
    for (let i = 0; i < literals.length; i++) this.pool[at + 1 + i] = literals[i];
    this.poolLength = at + 1 + literals.length;
    return (at << 2) | 3;
  }

  /** The code for `enqueue` of a reason that the propagator gives when it is asked, under a number of its own. */
  later(id: number, slot: number): number {
    const at = this.poolLength;
    while (at + 3 > this.pool.length) this.pool = grown(this.pool);
    this.pool[at] = LATER;
    this.pool[at + 1] = id;
    this.pool[at + 2] = slot;
    this.poolLength = at + 3;
    return (at << 2) | 3;
  }

  /** The present, as an entry of the trail that is not there yet. */
  get now(): number {
    return this.trail.length;
  }

  /** The bound of a node just before an entry of the trail. */
  boundBefore(node: number, at: number): number {
    return this.trail.boundBefore(node, at);
  }

  /** Raises a node's bound. False: it contradicts the opposite bound; the conflict is then set. */
  enqueue(node: number, value: number, reason: number): boolean {
    const { lb } = this.trail;
    if (value <= lb[node]) return true;
    if (value + lb[node ^ 1] > 0) {
      this.conflict.clear();
      this.conflict.add(node ^ 1, 1 - value);
      if (reason !== 0) this.explain(reason, node, value, this.now, this.conflict);
      else this.conflict.add(node, value);
      return false;
    }
    this.trail.raise(node, value, reason, this.level);
    const wakes = this.wakes[node];
    for (let k = 0; k < wakes.length; k += 2) {
      this.propagators[wakes[k]].touch(wakes[k + 1]);
      this.wake(wakes[k]);
    }
    return true;
  }

  /** A propagator found that these literals cannot hold together. */
  fail(literals: readonly number[]): false {
    this.conflict.clear();
    for (let i = 0; i < literals.length; i += 2) this.conflict.add(literals[i], literals[i + 1]);
    return false;
  }

  /** Takes back everything above a level. */
  backTo(level: number): void {
    if (level >= this.level) return;
    const from = this.levelStart[level + 1];
    while (this.trail.length > from) {
      const node = this.trail.takeBack();
      this.activity.putBack(node >> 1);
      const wakes = this.wakes[node];
      for (let k = 0; k < wakes.length; k += 2) this.propagators[wakes[k]].touch(wakes[k + 1]);
    }
    this.poolLength = this.levelPool[level + 1];
    this.head = from;
    this.level = level;
    this.queued.fill(0);
    this.queueHead = this.queueTail = 0;
  }

  // ——— propagation ———

  /** Draws every consequence. False: a contradiction, with the conflict set. */
  propagate(): boolean {
    if (this.arcs.start.length === 0) {
      this.arcs.layOut();
      for (let node = 0; node < 2 * this.vars; node++) if (!this.followArcs(node)) return false;
    }
    for (;;) {
      while (this.head < this.trail.length) {
        const i = this.head++;
        const node = this.trail.node[i];
        if (!this.followArcs(node) || !this.followClauses(node, this.trail.old[i])) return false;
      }
      if (this.queueHead === this.queueTail) return true;
      const id = this.queue[this.queueHead];
      if (++this.queueHead === this.queue.length) this.queueHead = 0;
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
    this.four[0] = this.arcs.from[arc];
    this.four[1] = value;
    this.four[2] = this.arcs.to[arc] ^ 1;
    this.four[3] = 1 - (value + this.arcs.weight[arc]);
    return this.enqueue(when ^ 1, 0, this.because(this.four));
  }

  /** What follows by clauses from a rise of the node above `old`: what was false before has been looked at then. */
  private followClauses(node: number, old: number): boolean {
    const list = this.watches.of[node];
    const value = this.lb[node];
    for (let k = firstAbove(list, old); k < list.length && list[k].bound <= value; k++)
      if (!this.lookAt(list[k], node)) return false;
    return true;
  }

  /** A bound that clauses watch is reached: each watches another literal, or what is left of it must hold. */
  private lookAt(watch: Watch, node: number): boolean {
    const { lb, watches } = this;
    const { arena } = this.clauses;
    const { row, used, bound } = watch;
    let kept = 0;
    let k = 0;
    let good = true;
    for (; good && k < used; k += 3) {
      const at = row[k];
      let first = row[k + 1];
      let firstValue = row[k + 2];
      if (lb[first] < firstValue) {
        // The false literal goes to the second place.
        if ((arena[at + 1] ^ 1) === node && 1 - arena[at + 2] === bound) swap(arena, at + 1, at + 3);
        first = arena[at + 1];
        firstValue = arena[at + 2];
        if (lb[first] < firstValue) {
          const other = this.anotherWatch(at);
          if (other >= 0) {
            // Never to this node again: a clause has one literal of each.
            watches.at(arena[other] ^ 1, 1 - arena[other + 1]).add(at, first, firstValue);
            swap(arena, other, at + 3);
            continue;
          }
          good = this.enqueue(first, firstValue, (at << 2) | 1);
        }
      }
      row[kept] = at;
      row[kept + 1] = first;
      row[kept + 2] = firstValue;
      kept += 3;
    }
    if (kept < k) row.copyWithin(kept, k, used);
    watch.used = used - (k - kept);
    return good;
  }

  /** Where in the arena a literal of the clause lies that is not false and not watched yet; −1: there is none. */
  private anotherWatch(at: number): number {
    const { lb } = this;
    const { arena } = this.clauses;
    const end = at + 1 + 2 * arena[at];
    for (let k = at + 5; k < end; k += 2) if (arena[k + 1] + lb[arena[k] ^ 1] <= 0) return k;
    return -1;
  }

  // ——— learning ———

  /** Appends the literals that forced "node ≥ value", the trail's entry `when`, under a reason. */
  private explain(reason: number, node: number, value: number, when: number, into: Literals): void {
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
          into.add(n ^ 1, 1 - v);
        }
        return;
      }
      case 2: {
        into.add(this.arcs.from[at], value - this.arcs.weight[at]);
        if (this.arcs.when[at] >= 0) into.add(this.arcs.when[at], 1);
        return;
      }
      case 3:
        if (this.pool[at] === LATER)
          this.propagators[this.pool[at + 1]].explain!(this, this.pool[at + 2], node, value, when, into);
        else for (let j = 0; j < this.pool[at]; j += 2) into.add(this.pool[at + 1 + j], this.pool[at + 2 + j]);
    }
  }

  /** The highest level that has a part in the conflict. */
  conflictLevel(): number {
    return this.trail.highestLevel(this.conflict);
  }

  /** Opens a level on which all these literals (node, value pairs) are supposed. False: they contradict what is known. */
  suppose(literals: readonly number[]): boolean {
    this.openLevel();
    for (let k = 0; k < literals.length; k += 2) if (!this.enqueue(literals[k], literals[k + 1], 0)) return false;
    return true;
  }

  /**
   * Learns from the conflict, goes back and asserts what was learned. False: nothing is left to try; the constraints
   * have no solution.
   */
  learn(): boolean {
    this.conflicts++;
    const level = this.conflictLevel();
    if (level === 0) {
      this.broken = true;
      return false;
    }
    // The conflict may lie below the current level; go there first.
    this.backTo(level);
    const { clause, back, levels } = this.deadEnd.lessonOf(this.conflict, level);
    this.backTo(back);
    this.activity.age();
    this.clauses.age();
    const reason = clause.length === 2 ? 0 : (this.attach(clause, true, levels) << 2) | 1;
    return this.enqueue(clause[0], clause[1], reason) || !(this.broken = true);
  }

  /** The open variable that had the largest part in recent dead ends; −1 when all are settled. */
  mostActive(): number {
    const { activity, lb } = this;
    for (let x = activity.first(); x >= 0; x = activity.first()) {
      if (lb[2 * x] + lb[2 * x + 1] < 0) return x;
      activity.dropFirst();
    }
    return -1;
  }

  learnedCount(): number {
    return this.clauses.count;
  }

  /** Forgets the less useful half of what was learned. Only at the root. */
  forget(): void {
    const useful = this.clauses.takeUseful();
    this.watches.clear();
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
    if (this.level !== 0 || this.head < this.trail.length) return;
    this.trail.forget();
    this.head = 0;
    this.poolLength = 0;
  }
}

export interface Propagator {
  /** A bound that it watches under this slot has risen, or was taken back. */
  touch(slot: number): void;
  /** Narrows bounds by `enqueue` with an explanation; false after a conflict. */
  propagate(engine: Engine): boolean;
  /**
   * Appends the literals that forced "node ≥ value" for a reason given by `later`: bounds as they were before an entry of
   * the trail.
   */
  explain?(engine: Engine, slot: number, node: number, value: number, at: number, into: Literals): void;
}

/** Stands where the length of an explanation would, for one that is given later. */
const LATER = -1;

/** Two literals of a clause change places. */
function swap(arena: Int32Array, a: number, b: number): void {
  const node = arena[a];
  const value = arena[a + 1];
  arena[a] = arena[b];
  arena[a + 1] = arena[b + 1];
  arena[b] = node;
  arena[b + 1] = value;
}
