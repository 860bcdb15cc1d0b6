import { type Range } from "../shared/range";

/** Where a task of the problem comes from, for the plan that is read from its solution. */
export interface TaskInfo {
  readonly item: string;
  /** Null for what the plan adds by itself: a tray that waits, a change of oil. */
  readonly step: string | null;
  readonly pieces: number;
  readonly range: Range;
  /** Pieces of other items that are mixed or cooked in one with these, under the step's name there. */
  readonly also?: readonly { readonly item: string; readonly step: string; readonly pieces: number; readonly range: Range }[];
  readonly for: readonly string[];
  readonly text: string;
}

/** Pieces that a task is for, item by item, with the name of the step in each. */
export const taskShares = ({ item, step, pieces, range, also = [] }: TaskInfo) => [{ item, step, pieces, range }, ...also];
