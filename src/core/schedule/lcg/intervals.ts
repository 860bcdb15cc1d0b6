/** What one use takes of a pool: `amount` on [start, end), each a variable and an offset. */
export interface Interval {
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

/** Demands as rows of whole numbers: nodes of start and end and what is added to them, and the node of the choice (−1: none). */
export class Intervals {
  readonly count: number;
  readonly startNode: Int32Array;
  readonly startPlus: Int32Array;
  readonly endNode: Int32Array;
  readonly endPlus: Int32Array;
  readonly amount: Int32Array;
  readonly least: Int32Array;
  readonly takenNode: Int32Array;

  constructor(demands: readonly Interval[]) {
    this.count = demands.length;
    this.startNode = Int32Array.from(demands, (d) => 2 * d.start);
    this.startPlus = Int32Array.from(demands, (d) => d.startOffset);
    this.endNode = Int32Array.from(demands, (d) => 2 * d.end);
    this.endPlus = Int32Array.from(demands, (d) => d.endOffset);
    this.amount = Int32Array.from(demands, (d) => d.amount);
    this.least = Int32Array.from(demands, (d) => d.least);
    this.takenNode = Int32Array.from(demands, (d) => (d.taken < 0 ? -1 : 2 * d.taken));
  }
}
