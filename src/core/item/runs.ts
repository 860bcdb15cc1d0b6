import { sum } from "../shared/rounding";
import type { Item } from "./schema";

export type ItemRun = NonNullable<Item["runs"]>[number];

/** What an item yields by the runs that were noted, in pieces from its base batch. */
export interface RunYield {
  readonly runs: number;
  /** Middle of the runs, and how far they lie from it on average (root mean square); undefined before the first. */
  readonly pieces?: number;
  readonly plusMinus?: number;
}

export function runYield({ runs = [] }: Pick<Item, "runs">): RunYield {
  if (runs.length === 0) return { runs: 0 };
  const pieces = sum(runs.map((run) => run.pieces)) / runs.length;
  const plusMinus = Math.sqrt(sum(runs.map((run) => (run.pieces - pieces) ** 2)) / runs.length);
  return { runs: runs.length, pieces, plusMinus };
}

/** Runs after which what was guessed counts as tried. */
const TRIED_AFTER = 2;

/** Whether an item was made often enough that its guesses are no guesses any more. */
export const isTried = ({ runs = [] }: Pick<Item, "runs">): boolean => runs.length >= TRIED_AFTER;

/** Most runs that an item keeps: older ones fall away. */
const MOST_RUNS = 100;
export const withRun = (item: Item, run: ItemRun): Item => ({ ...item, runs: [...(item.runs ?? []), run].slice(-MOST_RUNS) });
