import type { Solution } from "./solution";

export interface SolveOptions {
  /** Milliseconds on some clock that only goes forward; with `seconds` it limits the search. */
  readonly now: () => number;
  /** Time limit, s. Without it only `iterations` limits the search. */
  readonly seconds?: number;
  /** Steps of improvement after the first schedule. Default: 20,000 with no time limit, else unlimited. */
  readonly iterations?: number;
  readonly seed?: number;
  /** Attempts at a first schedule before the search says that it found none. Default: 4,000 with no time limit, else unlimited. */
  readonly passes?: number;
  /** Moment on the clock by which a first schedule must be there, else the search gives up. */
  readonly firstBy?: number;
  /** Steps that are taken before `firstBy` ends a search: on a slow machine its time would be over before anything was tried. */
  readonly firstSteps?: number;
  /** Told of each better schedule as it is found. */
  readonly better?: (solution: Solution) => void;
  /** Told now and then how many steps are done; answering false ends the search. */
  readonly progress?: (state: Progress) => boolean | void;
}

export interface Progress {
  readonly phase: "first" | "improve";
  readonly iterations: number;
  /** Cost of the best schedule so far; undefined while there is none. */
  readonly cost?: number;
  /** Most tasks that any attempt has placed, of `tasks`. */
  readonly placed: number;
  readonly tasks: number;
}

const DEFAULT_ITERATIONS = 20000;
/** Steps towards a first schedule before the search says that it found none, where no time limit says it. */
const PASSES = 4000;

/** Time beyond the limit for a first schedule that is almost there, ms; with a tenth of the limit. */
const GRACE_MS = 100;

/** What is left of the limits of one search. */
export class Budget {
  private ticks = 0;
  cancelled = false;
  private readonly limit: number;
  constructor(private readonly options: SolveOptions) {
    this.limit = options.seconds === undefined ? Infinity : options.now() + options.seconds * 1000;
  }
  get passes(): number {
    return this.options.passes ?? (this.options.seconds === undefined ? PASSES : Infinity);
  }
  get iterations(): number {
    return this.options.iterations ?? (this.options.seconds === undefined ? DEFAULT_ITERATIONS : Infinity);
  }
  /** Too late for a first schedule, after so many steps towards one. */
  late(steps: number): boolean {
    const { firstBy, firstSteps = 0, now } = this.options;
    return firstBy !== undefined && steps >= firstSteps && now() >= firstBy;
  }
  /** So far beyond the time limit that even a first schedule in the making is given up. */
  overdue(): boolean {
    if (this.cancelled) return true;
    const { seconds = Infinity } = this.options;
    return this.limit !== Infinity && this.options.now() >= this.limit + 100 * seconds + GRACE_MS;
  }
  spent(state: () => Progress): boolean {
    if (this.cancelled) return true;
    if (this.options.progress && (this.ticks++ & 7) === 0 && this.options.progress(state()) === false) this.cancelled = true;
    return this.cancelled || (this.limit !== Infinity && this.options.now() >= this.limit);
  }
}
