/** A clause: one of its literals holds. `at` is where it lies in the arena. */
interface Clause {
  readonly at: number;
  readonly learned: boolean;
  /** How many levels of decisions it speaks of; the fewer, the more useful. */
  readonly lbd: number;
  activity: number;
}

/** Clauses in one row of whole numbers, [size, node, value, node, value, …] each, with what tells the useful from the rest. */
export class ClauseStore {
  arena = new Int32Array(8192);
  private length = 0;
  private list: Clause[] = [];
  private byPosition = new Map<number, Clause>();
  private step = 1;

  get count(): number {
    return this.list.length;
  }

  /** Adds a clause of node, value pairs. @returns its position */
  add(literals: readonly number[], learned: boolean, lbd: number, activity = this.step): number {
    const at = this.length;
    while (at + 1 + literals.length > this.arena.length) this.arena = grown(this.arena);
    this.arena[at] = literals.length / 2;
    for (let i = 0; i < literals.length; i++) this.arena[at + 1 + i] = literals[i];
    this.length = at + 1 + literals.length;
    const clause = { at, learned, lbd, activity };
    this.list.push(clause);
    this.byPosition.set(at, clause);
    return at;
  }

  /** A clause had a part in a dead end. */
  credit(at: number): void {
    this.byPosition.get(at)!.activity += this.step;
  }

  /** Later credit counts for more. */
  age(): void {
    this.step *= 1.001;
    if (this.step < 1e90) return;
    for (const clause of this.list) clause.activity /= this.step;
    this.step = 1;
  }

  /** Empties the store and hands out what is worth keeping: all but the less useful half of what was learned. */
  takeUseful(): { literals: number[]; learned: boolean; lbd: number; activity: number }[] {
    const learned = this.list.filter((c) => c.learned && c.lbd > 2).sort((a, b) => a.lbd - b.lbd || b.activity - a.activity);
    const dropped = new Set(learned.slice(learned.length >> 1).map((c) => c.at));
    const kept = this.list
      .filter((c) => !dropped.has(c.at))
      .map(({ at, ...rest }) => ({ ...rest, literals: Array.from(this.arena.subarray(at + 1, at + 1 + 2 * this.arena[at])) }));
    this.length = 0;
    this.list = [];
    this.byPosition = new Map();
    return kept;
  }
}

/** A copy of a row with twice the room. */
export function grown(row: Int32Array<ArrayBuffer>): Int32Array<ArrayBuffer> {
  const more = new Int32Array(row.length * 2);
  more.set(row);
  return more;
}
