/** Numbers that wait for their turn, first come first served, each at most once. */
export class Waiting {
  private inLine: Uint8Array = new Uint8Array(0);
  /** A ring with one place more than there are numbers, so that full and empty differ. */
  private ring: Int32Array = new Int32Array(1);
  private head = 0;
  private tail = 0;

  /** Makes room for numbers below `count`. Only while nobody has had a turn. */
  grow(count: number): void {
    const inLine = new Uint8Array(count);
    inLine.set(this.inLine);
    this.inLine = inLine;
    const ring = new Int32Array(count + 1);
    ring.set(this.ring);
    this.ring = ring;
  }

  add(id: number): void {
    if (this.inLine[id]) return;
    this.inLine[id] = 1;
    this.ring[this.tail] = id;
    if (++this.tail === this.ring.length) this.tail = 0;
  }

  /** The next one; −1: nobody waits. */
  next(): number {
    if (this.head === this.tail) return -1;
    const id = this.ring[this.head];
    if (++this.head === this.ring.length) this.head = 0;
    this.inLine[id] = 0;
    return id;
  }

  clear(): void {
    this.inLine.fill(0);
    this.head = this.tail = 0;
  }
}
