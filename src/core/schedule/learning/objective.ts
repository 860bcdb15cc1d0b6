import type { Engine, Propagator } from "./engine";

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
    const id = engine.addPropagator(this);
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
      const { cost, node, minus, base } = this.terms[k];
      const over = engine.lb[node] + (minus >= 0 ? engine.lb[minus] : 0) - base;
      this.own[k] = over > 0 ? cost * over : 0;
      sum += this.own[k];
    }
    return sum;
  }

  propagate(engine: Engine): boolean {
    const sum = this.bound(engine);
    const least = Math.ceil(sum * this.scale - EQUAL);
    const node = 2 * this.x;
    if (least > engine.lb[node]) {
      const spare = sum - (least - 1) / this.scale - 2 * EQUAL;
      if (!engine.enqueue(node, Math.min(least, MOST), engine.because(this.because(engine, -1, Math.max(0, spare), []))))
        return false;
    }
    const limit = -engine.lb[node + 1];
    if (limit >= MOST) return true;
    const room = limit / this.scale - sum;
    const capped: readonly number[] = [node + 1, -limit];
    const { lb } = engine;
    for (let k = 0; k < this.terms.length; k++) {
      const { cost, node, minus, base } = this.terms[k];
      if (cost === 0) continue;
      const most = base + Math.floor((this.own[k] + room) / cost + EQUAL);
      if (minus < 0) {
        // node ≤ most
        if (-lb[node ^ 1] > most && !engine.enqueue(node ^ 1, -most, engine.because(this.because(engine, k, 0, [...capped]))))
          return false;
        continue;
      }
      // node + minus ≤ most, for each of the two from the other's bound
      if (-lb[node ^ 1] > most - lb[minus]) {
        const why = this.because(engine, k, 0, [...capped, minus, lb[minus]]);
        if (!engine.enqueue(node ^ 1, lb[minus] - most, engine.because(why))) return false;
      }
      if (-lb[minus ^ 1] > most - lb[node]) {
        const why = this.because(engine, k, 0, [...capped, node, lb[node]]);
        if (!engine.enqueue(minus ^ 1, lb[node] - most, engine.because(why))) return false;
      }
    }
    return true;
  }

  /** What the other terms cost already, as literals; up to `spare` of it need not be said. */
  private because(engine: Engine, without: number, spare: number, into: number[]): number[] {
    let left = spare;
    for (let k = 0; k < this.terms.length; k++) {
      if (k === without || this.own[k] === 0) continue;
      const { cost, node, minus } = this.terms[k];
      const value = engine.lb[node];
      if (this.own[k] <= left) {
        left -= this.own[k];
        continue;
      }
      const weaker = minus < 0 ? Math.floor(left / cost) : 0;
      left -= weaker * cost;
      into.push(node, value - weaker);
      if (minus >= 0) into.push(minus, engine.lb[minus]);
    }
    return into;
  }
}

const MOST = 1 << 29;

/** Units of cost that make every rate a whole number, where the sums then still fit; else as fine as they fit. */
function scaleOf(terms: readonly Term[], most: number): { scale: number; exact: boolean } {
  const fits = (k: number) => most * k < MOST;
  const whole = (k: number) => terms.every(({ cost }) => Math.abs(cost * k - Math.round(cost * k)) < 1e-9);
  const scale = [1, 2, 4, 5, 10, 20, 50, 100, 200, 500, 1000, 10000, 100000].find((k) => fits(k) && whole(k));
  if (scale !== undefined) return { scale, exact: true };
  return { scale: 10 ** Math.floor(Math.log10(MOST / Math.max(1, most))), exact: false };
}
