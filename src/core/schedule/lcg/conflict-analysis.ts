import { grown } from "./clauses";
import { Literals } from "./literals";
import type { Trail } from "./trail";

/**
 * What a dead end teaches. Source: conflict analysis to the first unique implication point, the clause made smaller by
 * what it implies itself.
 */
export interface Lesson {
  /** Node, value pairs; all were false, the first becomes true when the search has gone back. */
  readonly clause: readonly number[];
  /** The level to go back to: there all but the first are false already. */
  readonly back: number;
  /** How many levels the clause speaks of. */
  readonly levels: number;
}

/** Looks for what is enough for a dead end: back from it to the first literal that, with those of earlier levels, forces it. */
export class DeadEnd {
  /** Entries of the trail that have a part in it, and the bound that each is needed for. */
  private marked = new Uint8Array(1024);
  private needed = new Int32Array(1024);
  private open = 0;
  private level = 0;
  private readonly lower: number[] = [];
  private readonly buffer = new Literals();

  /**
   * @param explain appends the literals that forced "node ≥ value", an entry of the trail, under a reason
   * @param credit  told of each variable that has a part
   */
  constructor(
    private readonly trail: Trail,
    private readonly explain: (reason: number, node: number, value: number, at: number, into: Literals) => void,
    private readonly credit: (x: number) => void,
  ) {}

  /** @param conflict literals that cannot hold together, true now; some of them only since `level`, the present one, above 0 */
  lessonOf(conflict: Literals, level: number): Lesson {
    const { trail, lower } = this;
    while (this.marked.length < trail.length) {
      this.needed = grown(this.needed);
      this.marked = new Uint8Array(this.needed.length);
    }
    this.open = 0;
    this.level = level;
    lower.length = 0;
    this.addAll(conflict);
    let at = trail.length;
    for (;;) {
      do at--;
      while (!this.marked[at]);
      if (this.open === 1) break;
      this.marked[at] = 0;
      this.open--;
      this.addAll(this.reasonsOf(at));
    }
    const lesson = this.sayWith(at);
    this.marked[at] = 0;
    for (const i of lower) this.marked[i] = 0;
    return lesson;
  }

  private addAll({ row, used }: Literals): void {
    for (let k = 0; k < used; k += 2) this.add(row[k], row[k + 1]);
  }

  private add(node: number, value: number): void {
    const i = this.trail.entryOf(node, value);
    if (i < 0) return;
    if (this.marked[i]) {
      if (this.needed[i] < value) this.needed[i] = value;
      return;
    }
    this.marked[i] = 1;
    this.needed[i] = value;
    this.credit(node >> 1);
    if (this.trail.level[i] === this.level) this.open++;
    else this.lower.push(i);
  }

  private reasonsOf(i: number): Literals {
    this.buffer.clear();
    this.explain(this.trail.reason[i], this.trail.node[i], this.needed[i], i, this.buffer);
    return this.buffer;
  }

  /** The clause of the first entry that is enough and what of the lower ones the others do not imply. */
  private sayWith(first: number): Lesson {
    const { node, level } = this.trail;
    const clause: number[] = [node[first] ^ 1, 1 - this.needed[first]];
    const seen = new Set<number>([node[first]]);
    const levels = new Set<number>();
    let back = 0;
    // Of two bounds on one node the later says more.
    for (const i of this.lower.filter((i) => !this.isImplied(i)).sort((a, b) => b - a)) {
      if (seen.has(node[i])) continue;
      seen.add(node[i]);
      clause.push(node[i] ^ 1, 1 - this.needed[i]);
      levels.add(level[i]);
      back = Math.max(back, level[i]);
      // The second watch stands on the level to which the search goes back.
      if (level[i] === back && clause.length > 4) {
        const end = clause.length - 2;
        [clause[2], clause[end]] = [clause[end], clause[2]];
        [clause[3], clause[end + 1]] = [clause[end + 1], clause[3]];
      }
    }
    return { clause, back, levels: levels.size };
  }

  /** Whether the other marked entries already imply this one, so that the clause need not say it. */
  private isImplied(i: number): boolean {
    if (this.trail.reason[i] === 0) return false;
    const { row, used } = this.reasonsOf(i);
    for (let k = 0; k < used; k += 2) {
      const j = this.trail.entryOf(row[k], row[k + 1]);
      if (j >= 0 && !(this.marked[j] && this.needed[j] >= row[k + 1])) return false;
    }
    return true;
  }
}
