/** What was tried of one kind of fault, and what of it did not end as it should. */
export class Tally {
  tried = 0;
  readonly failed: string[] = [];
  /** What else came of the trials. */
  note = "";

  constructor(readonly name: string) {}

  /** Counts one trial; `wrong`: what did not hold, undefined where all did. */
  count(wrong: string | undefined): void {
    this.tried++;
    if (wrong !== undefined) this.failed.push(wrong);
  }

  get line(): string {
    return `${this.name}: ${this.tried} tried, ${this.failed.length} failed${this.note && ` (${this.note})`}`;
  }
}

/** A trace of a program's own functions, in what it says or answers. */
export const hasTrace = (text: string): boolean => /^\s+at .+[:(]\d+|node:internal|\/node_modules\/|webpack-internal/m.test(text);

let stopped = false;

/** No further trial is begun: what was tried so far is counted. */
export const stopTrials = (): void => void (stopped = true);
export const isStopped = (): boolean => stopped;

/** Runs so many works, at most `width` of them at a time. */
export async function inTurn(count: number, width: number, work: (i: number) => Promise<void>): Promise<void> {
  let next = 0;
  await Promise.all(
    Array.from({ length: width }, async () => {
      for (let i = next++; i < count && !stopped; i = next++) await work(i);
    }),
  );
}
