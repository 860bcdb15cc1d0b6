import { grown } from "./clauses";
import type { Literals } from "./literals";

/**
 * The lower bound of each node and every rise of it, in order: which node, from what, why, on which level of decisions,
 * and the entry of the same node before.
 */
export class Trail {
  /** Lower bound of each node. */
  lb = new Int32Array(64);
  length = 0;
  node = new Int32Array(1024);
  old = new Int32Array(1024);
  reason = new Int32Array(1024);
  level = new Int32Array(1024);
  private previous = new Int32Array(1024);
  /** The last entry of each node, −1: none. */
  private last = new Int32Array(64).fill(-1);

  addNode(node: number, bound: number): void {
    if (node >= this.lb.length) {
      this.lb = grown(this.lb);
      this.last = grown(this.last);
    }
    this.lb[node] = bound;
    this.last[node] = -1;
  }

  raise(node: number, bound: number, reason: number, level: number): void {
    const i = this.length++;
    if (i >= this.node.length) this.grow();
    this.node[i] = node;
    this.old[i] = this.lb[node];
    this.reason[i] = reason;
    this.level[i] = level;
    this.previous[i] = this.last[node];
    this.last[node] = i;
    this.lb[node] = bound;
  }

  /** Takes the last entry back. @returns its node */
  takeBack(): number {
    const i = --this.length;
    const node = this.node[i];
    this.lb[node] = this.old[i];
    this.last[node] = this.previous[i];
    return node;
  }

  /** The entry that made "node ≥ value" true, −1 where it held from the root on. */
  entryOf(node: number, value: number): number {
    let i = this.last[node];
    if (i < 0 || this.lb[node] < value) return -1;
    while (i >= 0 && this.old[i] >= value) i = this.previous[i];
    return i >= 0 && this.level[i] > 0 ? i : -1;
  }

  /** The bound that a node had just before an entry. */
  boundBefore(node: number, entry: number): number {
    let bound = this.lb[node];
    for (let i = this.last[node]; i >= entry; i = this.previous[i]) bound = this.old[i];
    return bound;
  }

  /** The highest level at which one of these literals became true; 0: all hold at the root. */
  highestLevel({ row, used }: Literals): number {
    let top = 0;
    for (let k = 0; k < used; k += 2) {
      const i = this.entryOf(row[k], row[k + 1]);
      if (i >= 0 && this.level[i] > top) top = this.level[i];
    }
    return top;
  }

  /** Forgets how the bounds came to be what they are. */
  forget(): void {
    for (let i = 0; i < this.length; i++) this.last[this.node[i]] = -1;
    this.length = 0;
  }

  private grow(): void {
    this.node = grown(this.node);
    this.old = grown(this.old);
    this.reason = grown(this.reason);
    this.level = grown(this.level);
    this.previous = grown(this.previous);
  }
}
