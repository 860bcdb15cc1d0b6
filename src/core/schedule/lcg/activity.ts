import { grown } from "./clauses";

/** A part in the newest dead end counts for this many times one in the dead end before. */
const GROWTH = 1.05;

/**
 * How large a part each variable had in recent dead ends, and a heap of the variables by that: the largest part first,
 * of equals the one that was made first.
 */
export class Activity {
  private part = new Float64Array(32);
  private heap = new Int32Array(32);
  /** Where each variable stands in the heap, −1: not in it. */
  private place = new Int32Array(32).fill(-1);
  private count = 0;
  private vars = 0;
  private step = 1;

  addVar(): void {
    const x = this.vars++;
    if (x >= this.part.length) {
      const part = new Float64Array(this.part.length * 2);
      part.set(this.part);
      this.part = part;
      this.heap = grown(this.heap);
      this.place = grown(this.place);
    }
    this.place[x] = -1;
    this.part[x] = 0;
    this.putBack(x);
  }

  /** A variable has a part in the present dead end. */
  credit(x: number): void {
    this.part[x] += this.step;
    if (this.place[x] >= 0) this.rise(this.place[x]);
  }

  /** The dead end is dealt with. */
  age(): void {
    this.step *= GROWTH;
    if (this.step < 1e90) return;
    for (let x = 0; x < this.vars; x++) this.part[x] /= this.step;
    this.step = 1;
    // Parts of long ago are all 0 now: equals, where they were not.
    for (let at = this.count >> 1; at >= 0; at--) this.sink(at);
  }

  /** A variable may be open again. */
  putBack(x: number): void {
    if (this.place[x] >= 0) return;
    this.heap[this.count] = x;
    this.place[x] = this.count;
    this.rise(this.count++);
  }

  /** The variable that comes first; it stays in the heap. −1: none is left. */
  first(): number {
    return this.count > 0 ? this.heap[0] : -1;
  }

  /** Takes the first one out, until it is put back. */
  dropFirst(): void {
    this.place[this.heap[0]] = -1;
    const moved = this.heap[--this.count];
    if (this.count === 0) return;
    this.heap[0] = moved;
    this.place[moved] = 0;
    this.sink(0);
  }

  private isBefore(x: number, y: number): boolean {
    const { part } = this;
    return part[x] > part[y] || (part[x] === part[y] && x < y);
  }

  private rise(from: number): void {
    const { heap, place } = this;
    const x = heap[from];
    let at = from;
    while (at > 0) {
      const above = heap[(at - 1) >> 1];
      if (!this.isBefore(x, above)) break;
      heap[at] = above;
      place[above] = at;
      at = (at - 1) >> 1;
    }
    heap[at] = x;
    place[x] = at;
  }

  private sink(from: number): void {
    const { heap, place, count } = this;
    if (from >= count) return;
    const x = heap[from];
    let at = from;
    for (;;) {
      let below = 2 * at + 1;
      if (below >= count) break;
      if (below + 1 < count && this.isBefore(heap[below + 1], heap[below])) below++;
      if (!this.isBefore(heap[below], x)) break;
      heap[at] = heap[below];
      place[heap[at]] = at;
      at = below;
    }
    heap[at] = x;
    place[x] = at;
  }
}
