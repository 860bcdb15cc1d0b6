/** Differences: to ≥ from + weight, while the switch (a node that must be ≥ 1; −1: none) is on. */
export class Arcs {
  readonly from: number[] = [];
  readonly to: number[] = [];
  readonly weight: number[] = [];
  readonly when: number[] = [];
  /** Arcs that each node switches. */
  readonly bySwitch: number[][] = [];
  private readonly outOf: number[][] = [];
  /** The arcs out of each node in one row, [arc, to, weight, switch, …]; made by `layOut`. */
  start = new Int32Array(0);
  row = new Int32Array(0);

  addNode(): void {
    this.bySwitch.push([]);
    this.outOf.push([]);
  }

  add(from: number, to: number, weight: number, when: number): void {
    const arc = this.from.length;
    this.from.push(from);
    this.to.push(to);
    this.weight.push(weight);
    this.when.push(when);
    this.outOf[from].push(arc);
    if (when >= 0) this.bySwitch[when].push(arc);
  }

  /** Lays the arcs out for quick reading, when all are there. */
  layOut(): void {
    const nodes = this.outOf.length;
    this.start = new Int32Array(nodes + 1);
    this.row = new Int32Array(4 * this.from.length);
    let at = 0;
    for (let node = 0; node < nodes; node++) {
      this.start[node] = at;
      for (const arc of this.outOf[node]) {
        this.row[at++] = arc;
        this.row[at++] = this.to[arc];
        this.row[at++] = this.weight[arc];
        this.row[at++] = this.when[arc];
      }
    }
    this.start[nodes] = at;
  }
}
