import { grown } from "./clauses";

/** Literals ("node ≥ value") in a row, node and value by turns, that is emptied and filled again without a new one. */
export class Literals {
  row = new Int32Array(64);
  /** How much of the row is in use. */
  used = 0;

  clear(): void {
    this.used = 0;
  }

  add(node: number, value: number): void {
    if (this.used === this.row.length) this.row = grown(this.row);
    this.row[this.used++] = node;
    this.row[this.used++] = value;
  }
}
