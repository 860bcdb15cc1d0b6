import type { Engine, Propagator } from "./engine";
import type { Literals } from "./literals";

/** cost · (node − base) for a variable above its base, or cost · (to − from − base) for a stretch. */
export interface Term {
  readonly cost: number;
  readonly node: number;
  /** Second node of a stretch (the minus of its start), −1 for a plain term. */
  readonly minus: number;
  readonly base: number;
}

const EQUAL = 1e-7;

/**
 * Ties the sum of all costs to one variable, in whole units of 1/scale: its upper bound is the limit that a search
 * supposes, its lower bound what every schedule costs at the least.
 */
export class Objective implements Propagator {
  private readonly own: Float64Array;
  private readonly scale: number;
  private readonly exact: boolean;
  private readonly x: number;
  private id = -1;

  constructor(
    private readonly terms: readonly Term[],
    engine: Engine,
  ) {
    this.own = new Float64Array(terms.length);
    const most = terms.reduce(
      (sum, t) => sum + t.cost * (-engine.lb[t.node ^ 1] - (t.minus >= 0 ? engine.lb[t.minus ^ 1] : 0) - t.base),
      0,
    );
    ({ scale: this.scale, exact: this.exact } = scaleOf(terms, most));
    this.x = engine.newVar(0, MOST);
  }

  /** Puts the sum into the search. */
  addTo(engine: Engine): void {
    this.id = engine.addPropagator(this);
    const { id } = this;
    for (const { node, minus } of this.terms) {
      engine.wakeByNode(node, id, 0);
      if (minus >= 0) engine.wakeByNode(minus, id, 0);
    }
    engine.wakeByNode(2 * this.x + 1, id, 0);
  }

  touch(): void {}

  /** The literal "the cost is at most `cost`", as a node and a value. */
  atMost(cost: number): [node: number, value: number] {
    return [2 * this.x + 1, -Math.min(MOST, Math.floor(cost * this.scale + EQUAL))];
  }

  /** Cost that no schedule goes below, as far as the present bounds say. */
  proven(engine: Engine): number {
    return Math.max(0, engine.lb[2 * this.x] - (this.exact ? 0 : 1)) / this.scale;
  }

  /** The least that all terms cost inside the present bounds. */
  bound(engine: Engine): number {
    let sum = 0;
    for (let k = 0; k < this.terms.length; k++) {
      const term = this.terms[k];
      this.own[k] = costAt(term, engine.lb[term.node], term.minus >= 0 ? engine.lb[term.minus] : 0);
      sum += this.own[k];
    }
    return sum;
  }

  propagate(engine: Engine): boolean {
    const sum = this.bound(engine);
    const node = 2 * this.x;
    const least = Math.ceil(sum * this.scale - EQUAL);
    if (least > engine.lb[node] && !engine.enqueue(node, Math.min(least, MOST), engine.later(this.id, SUM))) return false;
    const limit = -engine.lb[node + 1];
    if (limit >= MOST) return true;
    const room = limit / this.scale - sum;
    const { lb } = engine;
    for (let k = 0; k < this.terms.length; k++) {
      const { cost, node, minus, base } = this.terms[k];
      if (cost === 0) continue;
      const most = base + Math.floor((this.own[k] + room) / cost + EQUAL);
      if (minus < 0) {
        // node ≤ most
        if (-lb[node ^ 1] > most && !engine.enqueue(node ^ 1, -most, engine.later(this.id, k))) return false;
        continue;
      }
      // node + minus ≤ most, for each of the two from the other's bound
      if (-lb[node ^ 1] > most - lb[minus] && !engine.enqueue(node ^ 1, lb[minus] - most, engine.later(this.id, k))) return false;
      if (-lb[minus ^ 1] > most - lb[node] && !engine.enqueue(minus ^ 1, lb[node] - most, engine.later(this.id, k))) return false;
    }
    return true;
  }

  /** Why the sum, or a node of term `k`, has this bound: the (other) terms cost so much already, and the sum is limited. */
  explain(engine: Engine, k: number, node: number, value: number, at: number, into: Literals): void {
    let others = 0;
    for (let t = 0; t < this.terms.length; t++) if (t !== k) others += this.own[t] = this.costBefore(engine, t, at);
    if (k === SUM) {
      this.because(engine, k, others - (value - 1) / this.scale, at, into);
      return;
    }
    const { cost, node: own, minus, base } = this.terms[k];
    const limit = -engine.boundBefore(2 * this.x + 1, at);
    into.add(2 * this.x + 1, -limit);
    // One more than the bound allows, which is too much.
    let over = 1 - value - base;
    if (minus >= 0) {
      const other = node === (own ^ 1) ? minus : own;
      const bound = engine.boundBefore(other, at);
      into.add(other, bound);
      over += bound;
    }
    this.because(engine, k, others + cost * over - limit / this.scale, at, into);
  }

  private costBefore(engine: Engine, k: number, at: number): number {
    const term = this.terms[k];
    return costAt(term, engine.boundBefore(term.node, at), term.minus >= 0 ? engine.boundBefore(term.minus, at) : 0);
  }

  /** What the other terms (`own`) cost before an entry of the trail, as literals; less than `spare` of it need not be said. */
  private because(engine: Engine, without: number, spare: number, at: number, into: Literals): void {
    let left = Math.max(0, spare - 2 * EQUAL);
    for (let k = 0; k < this.terms.length; k++) {
      if (k === without || this.own[k] === 0) continue;
      if (this.own[k] <= left) {
        left -= this.own[k];
        continue;
      }
      const { cost, node, minus } = this.terms[k];
      const weaker = Math.floor(left / cost);
      left -= weaker * cost;
      into.add(node, engine.boundBefore(node, at) - weaker);
      if (minus >= 0) into.add(minus, engine.boundBefore(minus, at));
    }
  }
}

const MOST = 1 << 29;
/** In the place of a term's number: the sum of all. */
const SUM = -1;

/** What a term costs with its node, and its second one (0 where it has none), at these bounds. */
function costAt({ cost, base }: Term, bound: number, second: number): number {
  const over = bound + second - base;
  return over > 0 ? cost * over : 0;
}

/** Units of cost that make every rate a whole number, where the sums then still fit; else as fine as they fit. */
function scaleOf(terms: readonly Term[], most: number): { scale: number; exact: boolean } {
  const fits = (k: number) => most * k < MOST;
  const whole = (k: number) => terms.every(({ cost }) => Math.abs(cost * k - Math.round(cost * k)) < 1e-9);
  const scale = [1, 2, 4, 5, 10, 20, 50, 100, 200, 500, 1000, 10000, 100000].find((k) => fits(k) && whole(k));
  if (scale !== undefined) return { scale, exact: true };
  return { scale: 10 ** Math.floor(Math.log10(MOST / Math.max(1, most))), exact: false };
}
