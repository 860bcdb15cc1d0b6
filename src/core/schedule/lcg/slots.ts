/** A set of small whole numbers, taken out last in first out. */
export class Slots {
  private readonly held: Uint8Array;
  private readonly stack: Int32Array;
  private count = 0;
  constructor(n: number) {
    this.held = new Uint8Array(n);
    this.stack = new Int32Array(n);
  }
  add(i: number): void {
    if (this.held[i]) return;
    this.held[i] = 1;
    this.stack[this.count++] = i;
  }
  /** −1 when it is empty. */
  take(): number {
    if (this.count === 0) return -1;
    const i = this.stack[--this.count];
    this.held[i] = 0;
    return i;
  }
}
