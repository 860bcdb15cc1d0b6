import { Activity } from "./activity";
import { Arcs } from "./arcs";
import { grown } from "./clauses";
import { DeadEnd } from "./conflict-analysis";
import { Literals } from "./literals";
import { ARC, CLAUSE, kindOf, placeOf, reason, SAID } from "./reason";
import { Trail } from "./trail";
import { Waiting } from "./propagation-queue";
import { WatchedClauses } from "./watched-clauses";

/**
 * Whole-number variables whose bounds are narrowed by propagation, with every change explained, so that a dead end
 * teaches a clause ("not all of these bounds together") that holds for the rest of the search.
 *
 * Each variable x has two nodes: 2x stands for x, 2x + 1 for −x. Everything is said as "node ≥ value": the lower bound
 * of node 2x + 1 is minus the upper bound of x. The opposite of "p ≥ v" is "p ^ 1 ≥ 1 − v".
 *
 * Invariants: `lb` only rises within a level; whatever raised it is on the trail with its reason; after `propagate` nothing
 * that any propagator or clause knows is left undrawn, or there is a contradiction.
 * Source: lazy clause generation, a finite-domain solver whose propagators explain themselves to a clause learner.
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
  private readonly clauses = new WatchedClauses(this);

  private readonly propagators: Propagator[] = [];
  private readonly wakes: number[][] = [];
  /** Propagators that wait for their turn. */
  private readonly waiting = new Waiting();

  /** The literals whose conjunction failed, as node, value pairs. */
  private readonly conflict = new Literals();

  private readonly activity = new Activity();
  private readonly deadEnd = new DeadEnd(
    this.trail,
    (why, node, value, at, into) => this.explain(why, node, value, at, into),
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
      this.clauses.addNode();
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
    } else this.clauses.add(open, false, 0);
  }

  /** The propagator is looked at once, and again whenever something wakes it. @returns its number, for `wakeBy` */
  addPropagator(propagator: Propagator): number {
    const id = this.propagators.push(propagator) - 1;
    this.waiting.grow(id + 1);
    this.waiting.add(id);
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
    return reason(SAID, at);
  }

  /** The code for `enqueue` of a reason that the propagator gives when it is asked, under a number of its own. */
  later(id: number, slot: number): number {
    const at = this.poolLength;
    while (at + 3 > this.pool.length) this.pool = grown(this.pool);
    this.pool[at] = LATER;
    this.pool[at + 1] = id;
    this.pool[at + 2] = slot;
    this.poolLength = at + 3;
    return reason(SAID, at);
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
  enqueue(node: number, value: number, why: number): boolean {
    const { lb } = this.trail;
    if (value <= lb[node]) return true;
    if (value + lb[node ^ 1] > 0) {
      this.conflict.clear();
      this.conflict.add(node ^ 1, 1 - value);
      if (why !== 0) this.explain(why, node, value, this.now, this.conflict);
      else this.conflict.add(node, value);
      return false;
    }
    this.trail.raise(node, value, why, this.level);
    const wakes = this.wakes[node];
    for (let k = 0; k < wakes.length; k += 2) {
      this.propagators[wakes[k]].touch(wakes[k + 1]);
      this.waiting.add(wakes[k]);
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
    this.waiting.clear();
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
        if (!this.followArcs(node) || !this.clauses.follow(node, this.trail.old[i])) return false;
      }
      const id = this.waiting.next();
      if (id < 0) return true;
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
        if (!this.enqueue(to, least, reason(ARC, out[k]))) return false;
      } else if (least + lb[to ^ 1] > 0 && !this.switchOff(out[k])) return false;
    }
    if (value >= 1) {
      const on = arcs.bySwitch[node];
      for (let k = 0; k < on.length; k++) {
        const arc = on[k];
        const least = lb[this.arcs.from[arc]] + this.arcs.weight[arc];
        if (least > lb[this.arcs.to[arc]] && !this.enqueue(this.arcs.to[arc], least, reason(ARC, arc))) return false;
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

  // ——— learning ———

  /** Appends the literals that forced "node ≥ value", the trail's entry `when`, for a reason. */
  private explain(why: number, node: number, value: number, when: number, into: Literals): void {
    const at = placeOf(why);
    switch (kindOf(why)) {
      case CLAUSE:
        return this.clauses.explain(at, node, value, into);
      case ARC:
        into.add(this.arcs.from[at], value - this.arcs.weight[at]);
        if (this.arcs.when[at] >= 0) into.add(this.arcs.when[at], 1);
        return;
      case SAID: {
        const { pool } = this;
        if (pool[at] === LATER) this.propagators[pool[at + 1]].explain!(this, pool[at + 2], node, value, when, into);
        else for (let j = 0; j < pool[at]; j += 2) into.add(pool[at + 1 + j], pool[at + 2 + j]);
      }
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
    const why = clause.length === 2 ? 0 : reason(CLAUSE, this.clauses.add(clause, true, levels));
    return this.enqueue(clause[0], clause[1], why) || !(this.broken = true);
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
    for (const left of this.clauses.forget()) if (left.length === 0 || !this.enqueue(left[0], left[1], 0)) this.broken = true;
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
