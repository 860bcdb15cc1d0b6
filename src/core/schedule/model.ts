/** One use of a task, with resources as numbers. */
export interface ModelUse {
  readonly resources: Int32Array;
  readonly amount: number;
  /** From the start (≥ 0) or the end (< 0); NO_PART for the whole task. */
  readonly from: number;
  /** Length of the part by choice, min; empty for the whole task. */
  readonly minutes: Int32Array;
  readonly setting: number;
  readonly sealed: number;
  readonly rank: number;
  readonly chamber: boolean;
}

export const NO_PART = 1 << 30;

/** What holds of a chamber: °C, °C per minute, minutes. */
export interface Chamber {
  readonly slots: number;
  readonly start: number;
  readonly heat: number;
  readonly cool: number;
  readonly recovery: number;
  readonly ranked: boolean;
  /** The minute at which it is switched on: 0, or before minute 0 in a part of a day. */
  readonly on: number;
}

/**
 * A problem as flat arrays for the search. Node 2i is the start of task i, node 2i + 1 its end; an arc a → b with
 * weight w says value(b) − value(a) ≥ w.
 */
export interface Model {
  readonly n: number;
  readonly horizon: number;
  readonly ids: readonly string[];
  readonly least: Int32Array;
  readonly most: Int32Array;
  /** Number of the use that sets the duration, −1 where none does. */
  readonly durationOf: Int32Array;
  readonly durations: readonly Int32Array[];
  readonly uses: readonly (readonly ModelUse[])[];
  /** True where two uses of a task could want the same unit in the same minute, so that choices must be tried together. */
  readonly entangled: readonly boolean[];
  readonly due: Float64Array;
  readonly early: Float64Array;
  readonly late: Float64Array;
  readonly stretch: Float64Array;
  readonly makespan: number;
  readonly span: number;
  readonly lo0: Int32Array;
  readonly hi0: Int32Array;
  readonly arcStart: Int32Array;
  readonly arcTo: Int32Array;
  readonly arcWeight: Int32Array;
  readonly backStart: Int32Array;
  readonly backFrom: Int32Array;
  readonly backWeight: Int32Array;
  readonly resourceCount: number;
  /** Units at each minute of a pool; undefined for a chamber. */
  readonly units: readonly (Int32Array | undefined)[];
  readonly chambers: readonly (Chamber | undefined)[];
  /** Of each resource the tasks that may take it. */
  readonly takers: readonly (readonly number[])[];
  /** Clusters: tasks held together by maximum lags. */
  readonly cluster: Int32Array;
  readonly clusterCount: number;
  /** Tasks linked by an `after`, either way. */
  readonly neighbours: readonly Int32Array[];
  /** Tasks that begin in the minute in which this one ends, and those that end when it begins. */
  readonly tiedAfter: readonly Int32Array[];
  readonly tiedBefore: readonly Int32Array[];
  /** 1 for each node at which parts of the task lie or another task is tied, so that not every minute will do. */
  readonly anchored: Uint8Array;
}

/** The first minute in which a use of a task on [start, end) takes its units. */
export function takenFrom(use: ModelUse, start: number, end: number): number {
  return use.from === NO_PART ? start : (use.from >= 0 ? start : end) + use.from;
}

/** The minute in which it gives them back, with one of its resources (a position in its list). */
export function takenUntil(use: ModelUse, choice: number, start: number, end: number): number {
  return use.from === NO_PART ? end : takenFrom(use, start, end) + use.minutes[choice];
}

/** The first minute in which a chamber can be at a setting, °C. */
export function warmAt(chamber: Chamber, setting: number): number {
  return Math.max(0, chamber.on + Math.ceil((setting - chamber.start) / chamber.heat));
}

/** Minutes that a chamber takes from one setting to another, °C; 0 where they are the same. */
export function changeover(chamber: { heat: number; cool: number }, from: number, to: number): number {
  return Math.ceil(Math.abs(to - from) / (to > from ? chamber.heat : chamber.cool));
}

/** Units of a pool, or slots of a chamber, that are there at the most. */
export function mostUnits(model: Model, resource: number): number {
  const chamber = model.chambers[resource];
  if (chamber) return chamber.slots;
  const units = model.units[resource]!;
  let most = 0;
  for (let t = 0; t < units.length; t++) if (units[t] > most) most = units[t];
  return most;
}
