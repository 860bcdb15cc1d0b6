import type { Problem } from "../schedule/problem";
import type { Solution } from "../schedule/solution";
import type { Batch } from "../batching/batches";
import type { Range } from "../shared/range";
import type { TaskInfo } from "./task-info";

export interface PieceCount {
  readonly for: string;
  readonly item: string;
  readonly variant: string;
  readonly needed: number | null;
  readonly pieces: number;
  readonly range: Range;
}
export interface Lot {
  readonly id: string;
  readonly item: string;
  readonly pieces: number;
  readonly range: Range;
  readonly carrier: string;
}
export interface Load {
  readonly id: string;
  readonly item: string;
  readonly step: string;
  readonly chamber: string;
  readonly pieces: number;
  readonly range: Range;
  readonly carriers: number;
}
export interface Serve {
  readonly for: string;
  readonly item: string;
  readonly pieces: number;
  /** Minute at which the last piece is ready. */
  readonly ready: number;
  /** Minute at which it is eaten, or the last bag is put away. */
  readonly at: number;
}
export interface Note {
  readonly level: "caution" | "note";
  readonly code: string;
  readonly about: readonly string[];
  readonly text: string;
}

/** Everything a cook needs: quantities, the problem, its solution and where each task comes from. */
export interface Plan {
  readonly format: "unisynth-plan/1";
  /** Local date and time of minute 0. */
  readonly origin: string;
  readonly pieces: readonly PieceCount[];
  readonly batches: readonly Batch[];
  readonly lots: readonly Lot[];
  readonly loads: readonly Load[];
  readonly problem: Problem;
  readonly solution: Solution;
  readonly tasks: Readonly<Record<string, TaskInfo>>;
  readonly serves: readonly Serve[];
  readonly notes: readonly Note[];
}
