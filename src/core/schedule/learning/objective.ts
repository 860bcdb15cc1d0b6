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

/** Keeps the sum of all costs at or below a limit, and tells how low it can be. */
export class Objective implements Propagator {
  /** Schedules must cost this or less. */
  limit = Infinity;
  private readonly own: Float64Array;

  constructor(private readonly terms: readonly Term[]) {
    this.own = new Float64Array(terms.length);
  }

  /** The nodes whose bounds matter. */
  nodes(): number[] {
    return this.terms.flatMap(({ node, minus }) => (minus >= 0 ? [node, minus, node ^ 1, minus ^ 1] : [node]));
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
    if (this.limit === Infinity) return true;
    const sum = this.bound(engine);
    const room = this.limit - sum;
    if (room < -EQUAL) return engine.fail(this.because(engine, -1, -room - EQUAL, []));
    const { lb } = engine;
    for (let k = 0; k < this.terms.length; k++) {
      const { cost, node, minus, base } = this.terms[k];
      const most = base + Math.floor((this.own[k] + room) / cost + EQUAL);
      if (minus < 0) {
        // node ≤ most
        if (-lb[node ^ 1] > most && !engine.enqueue(node ^ 1, -most, engine.because(this.because(engine, k, 0, [])))) return false;
        continue;
      }
      // node + minus ≤ most, for each of the two from the other's bound
      if (-lb[node ^ 1] > most - lb[minus]) {
        const why = this.because(engine, k, 0, [minus, lb[minus]]);
        if (!engine.enqueue(node ^ 1, lb[minus] - most, engine.because(why))) return false;
      }
      if (-lb[minus ^ 1] > most - lb[node]) {
        const why = this.because(engine, k, 0, [node, lb[node]]);
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
