import { grown } from "./clauses";

const NONE = new Int32Array(0);

/**
 * The clauses that are to be looked at once a node's bound reaches `bound`, three numbers each: position of the clause, and
 * another literal of it (node, value) that spares the look while it holds.
 */
export class Watch {
  row: Int32Array<ArrayBuffer> = NONE;
  used = 0;
  constructor(readonly bound: number) {}

  add(clause: number, otherNode: number, otherValue: number): void {
    if (this.used === this.row.length) this.row = this.used === 0 ? new Int32Array(6) : grown(this.row);
    const { row, used } = this;
    row[used] = clause;
    row[used + 1] = otherNode;
    row[used + 2] = otherValue;
    this.used = used + 3;
  }
}

/** Who watches which bound of which node; of each node the lower bounds first. */
export class Watches {
  readonly of: Watch[][] = [];

  addNode(): void {
    this.of.push([]);
  }

  at(node: number, bound: number): Watch {
    const list = this.of[node];
    const k = firstAbove(list, bound - 1);
    if (k < list.length && list[k].bound === bound) return list[k];
    const watch = new Watch(bound);
    list.splice(k, 0, watch);
    return watch;
  }

  clear(): void {
    for (const list of this.of) list.length = 0;
  }
}

/** Position of the first watch of a bound above `value`. */
export function firstAbove(list: readonly Watch[], value: number): number {
  let a = 0;
  let b = list.length;
  while (a < b) {
    const middle = (a + b) >> 1;
    if (list[middle].bound <= value) a = middle + 1;
    else b = middle;
  }
  return a;
}
