import type { Chance } from "../../shared/chance";
import { Cursor, type Wish } from "./cursor";
import { leastSpan } from "./energy";
import type { Model } from "../model";
import { Occupancy } from "./occupancy";
import { candidatesOf, type Problem } from "../problem";
import type { Placed, Solution } from "../solution";
import { tighten } from "./tighten";
import { Windows } from "./windows";
import { isAimed } from "./wishes";

/** A schedule in arrays: start and end of each task (−1: not placed), and the choice of each use. */
export interface Schedule {
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  readonly choices: readonly Int32Array[];
  readonly cost: number;
}

/** Where tasks might stand and what they might take; it need not keep the rules. */
export type Guess = Omit<Schedule, "cost">;

/** A solution as a guess at a problem with the same tasks; undefined where a task or what it takes is not there. */
export function guessAt(problem: Problem, solution: Solution): Guess | undefined {
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  if (problem.tasks.length !== placed.size || problem.tasks.some(({ id }) => !placed.has(id))) return undefined;
  const at = problem.tasks.map(({ id }) => placed.get(id)!);
  const choices = problem.tasks.map((task, i) =>
    Int32Array.from(task.uses, (use, u) => candidatesOf(use).indexOf(at[i].taken[u])),
  );
  if (choices.some((list) => list.includes(-1))) return undefined;
  return { starts: Int32Array.from(at, (t) => t.start), ends: Int32Array.from(at, (t) => t.end), choices };
}

/** A schedule as the tasks of a solution. */
export function placedIn(problem: Problem, { starts, ends, choices }: Guess): Placed[] {
  return problem.tasks.map((task, i) => ({
    id: task.id,
    start: starts[i],
    end: ends[i],
    taken: task.uses.map((use, u) => candidatesOf(use)[choices[i][u]]),
  }));
}

export interface DiveOptions {
  /** Dead ends after which the dive is given up. */
  readonly deadEnds: number;
  /** Placements tried for one task before its predecessor in the search is moved. */
  readonly tries: number;
  /** Schedules that cost this much or more are not wanted. */
  readonly below: number;
  readonly wish: (task: number) => Wish;
  /** 0: the tightest task first; more: chance has a say in the order, up to a factor of 2^whim. */
  readonly whim: number;
  /**
   * Dead ends in one cluster after which it is left out and the others go on; what is left out is for a repair. 0: never,
   * a dead end then moves what was placed before it.
   */
  readonly patience: number;
  /** Tasks left out after which a dive that leaves clusters out is given up. */
  readonly mostOut?: number;
  /** Clusters begin at the task whose due time their cost hangs on: good where the day has room, too greedy where it has none. */
  readonly aims: boolean;
}

/**
 * Depth-first construction of schedules: the task with the least room for its size of trouble is placed next,
 * its time windows are propagated to all others, and a dead end takes the last placement back. Tasks that maximum
 * lags hold together are placed together. A task that led to dead ends is taken earlier in later dives.
 */
export class Search {
  readonly windows: Windows;
  readonly occupancy: Occupancy;
  /** How often each task was a dead end; grows over the whole search and says what is hard. */
  readonly trouble: Float64Array;
  /** How often each resource refused the task that was a dead end. */
  readonly refusals: Float64Array;
  /** The fullest schedule that the last failed dive came to, and how many tasks it leaves out. */
  partial: Schedule | undefined;
  left = 0;
  private readonly cursors: Cursor[] = [];
  private readonly marks: Int32Array;
  private readonly rootMark: number;
  /** Clusters with a task that has a due time. */
  private readonly aimed: Uint8Array;
  private readonly unplaced: Int32Array;
  private readonly whims: Float64Array;
  private readonly position: Int32Array;
  private unplacedCount = 0;
  /** The tasks that the present dive is to place, and what all others cost, begin and end at. */
  private readonly inPlay: Int32Array;
  private inPlayCount = 0;
  /** Minutes from the first start to the last end, and the first start, at the least. */
  private readonly leastSpan: number;
  private readonly firstStart: number;
  private restCost = 0;
  private restFirst = 0;
  private restLast = 0;
  private first = 0;
  private last = 0;
  /** The choices of the last snapshot. */
  private copied: readonly Int32Array[];
  /** −1, or a task that fits nowhere even alone: a proof that no schedule exists. */
  readonly stuck: number;

  constructor(
    readonly model: Model,
    private readonly chance: Chance,
  ) {
    this.windows = new Windows(model);
    this.occupancy = new Occupancy(model);
    this.stuck = this.windows.propagateAll() ? tighten(model, this.windows, this.occupancy) : this.windows.failedAt >> 1;
    this.rootMark = this.windows.mark();
    this.copied = this.occupancy.choices.map((choices) => choices.slice());
    this.trouble = new Float64Array(model.n).fill(1);
    this.refusals = new Float64Array(model.resourceCount);
    this.whims = new Float64Array(model.n).fill(1);
    this.aimed = new Uint8Array(model.clusterCount);
    for (let i = 0; i < model.n; i++) if (isAimed(model, i)) this.aimed[model.cluster[i]] = 1;
    this.marks = new Int32Array(model.n + 1);
    this.unplaced = new Int32Array(model.n);
    this.position = new Int32Array(model.n);
    this.inPlay = new Int32Array(model.n);
    this.leastSpan = leastSpan(model);
    this.firstStart = model.horizon;
    for (let i = 0; i < model.n; i++) this.firstStart = Math.min(this.firstStart, this.windows.lo[2 * i]);
    this.setInPlay();
  }

  /** Everything unplaced, windows as at the root. */
  clear(): void {
    for (let i = 0; i < this.model.n; i++) if (this.occupancy.isPlaced(i)) this.occupancy.remove(i);
    this.windows.undo(this.rootMark);
  }

  /**
   * Keeps `schedule` except the tasks in `freed`, which are left to be placed. False if what is kept does not hold without
   * them: a load that is freed may have bridged the pause of two others.
   */
  loosen(schedule: Schedule, freed: Uint8Array): boolean {
    const { occupancy, windows, model } = this;
    this.windows.undo(this.rootMark);
    for (let i = 0; i < model.n; i++) {
      const keeps =
        !freed[i] &&
        occupancy.isPlaced(i) &&
        occupancy.startOf(i) === schedule.starts[i] &&
        occupancy.endOf(i) === schedule.ends[i];
      if (occupancy.isPlaced(i) && !(keeps && sameChoices(occupancy.choices[i], schedule.choices[i]))) occupancy.remove(i);
    }
    let good = true;
    for (let i = 0; i < model.n; i++) {
      if (freed[i] || schedule.starts[i] < 0) continue;
      if (!occupancy.isPlaced(i))
        good = occupancy.placeExactly(i, schedule.starts[i], schedule.ends[i], schedule.choices[i], false) && good;
    }
    return windows.fixMany(schedule.starts, schedule.ends, freed) && good && occupancy.recoversEverywhere();
  }

  /** Places tasks where a guess has them, the ones with the least room first, and leaves out what no longer fits. */
  keepWhatFits({ starts, ends, choices }: Guess): void {
    this.clear();
    const { lo, hi } = this.windows;
    const room = Array.from(starts, (_, i) => Math.min(60, hi[2 * i] - lo[2 * i] + hi[2 * i + 1] - lo[2 * i + 1]));
    const order = Array.from(starts, (_, i) => i).sort((a, b) => room[a] - room[b] || starts[a] - starts[b] || a - b);
    for (const i of order) {
      if (starts[i] < lo[2 * i] || starts[i] > hi[2 * i] || ends[i] < lo[2 * i + 1] || ends[i] > hi[2 * i + 1]) continue;
      const length = ends[i] - starts[i];
      if (length < this.model.least[i] || length > this.model.most[i]) continue;
      const mark = this.windows.mark();
      if (!this.occupancy.placeExactly(i, starts[i], ends[i], choices[i])) continue;
      if (this.windows.fix(i, starts[i], ends[i])) continue;
      this.windows.undo(mark);
      this.occupancy.remove(i);
    }
  }

  /** Lower bound of the cost of any schedule inside the present windows. */
  costBound(): number {
    this.first = this.restFirst;
    this.last = this.restLast;
    let cost = this.restCost;
    for (let k = 0; k < this.inPlayCount; k++) cost += this.leastCost(this.inPlay[k]);
    if (this.model.n === 0) return 0;
    return cost + this.endsCost(this.last, this.last - this.first);
  }

  /** What the span and the last end of the day cost at the least, in any schedule. */
  get leastEnds(): number {
    return this.endsCost(0, 0);
  }

  /** The same where the last end and the span are known to be no less than these, min. */
  private endsCost(last: number, minutes: number): number {
    const { makespan, span } = this.model;
    return makespan * Math.max(last, this.firstStart + this.leastSpan) + span * Math.max(minutes, this.leastSpan);
  }

  /** What a task costs at the least inside its windows; counts it into the first start and the last end. */
  private leastCost(i: number): number {
    const { lo, hi } = this.windows;
    const { due, early, late, stretch, least } = this.model;
    const s = 2 * i;
    const e = s + 1;
    if (lo[e] > this.last) this.last = lo[e];
    if (hi[s] < this.first) this.first = hi[s];
    const over = stretch[i] > 0 ? Math.max(0, lo[e] - hi[s] - least[i]) : 0;
    const off = hi[e] < due[i] ? early[i] * (due[i] - hi[e]) : lo[e] > due[i] ? late[i] * (lo[e] - due[i]) : 0;
    return off + stretch[i] * over;
  }

  /** Of what is placed only the sum is kept: its windows do not change until the next dive. */
  private setInPlay(): void {
    const { model, occupancy } = this;
    this.inPlayCount = 0;
    this.restCost = 0;
    this.first = model.horizon;
    this.last = 0;
    for (let i = 0; i < model.n; i++)
      if (occupancy.isPlaced(i)) this.restCost += this.leastCost(i);
      else this.inPlay[this.inPlayCount++] = i;
    this.restFirst = this.first;
    this.restLast = this.last;
  }

  /** Places every task that is not placed yet. On success the schedule is left in place and returned. */
  dive(options: DiveOptions): Schedule | undefined {
    const { model, occupancy, windows } = this;
    this.unplacedCount = 0;
    this.setInPlay();
    for (let i = 0; i < model.n; i++) {
      if (occupancy.isPlaced(i)) continue;
      this.addUnplaced(i);
      this.whims[i] = options.whim > 0 ? 2 ** (options.whim * (this.chance.unit() - 0.5)) : 1;
    }
    const base = windows.mark();
    let depth = 0;
    let deadEnds = 0;
    let active = -1;
    let out = 0;
    let inCluster = 0;
    this.partial = undefined;
    this.left = model.n + 1;
    if (this.unplacedCount === 0) return this.snapshot(false);
    this.open(depth, this.pick(active, options.aims), options);
    for (;;) {
      const cursor = this.cursors[depth];
      let advanced = false;
      while (cursor.handed < options.tries && cursor.next()) {
        this.marks[depth] = windows.mark();
        if (
          windows.fix(cursor.task, cursor.start, cursor.end) &&
          (options.below === Infinity || this.costBound() < options.below)
        ) {
          advanced = true;
          break;
        }
        windows.undo(this.marks[depth]);
        occupancy.remove(cursor.task);
        this.moveOn(cursor);
      }
      if (advanced) {
        if (active !== model.cluster[cursor.task]) inCluster = 0;
        active = model.cluster[cursor.task];
        if (this.unplacedCount === 0) {
          if (out === 0) return this.snapshot(false);
          return this.giveUp(depth + 1, base, out);
        }
        depth++;
        this.open(depth, this.pick(active, options.aims), options);
        continue;
      }
      deadEnds++;
      this.trouble[cursor.task] += 1;
      if (occupancy.refusedBy >= 0) this.refusals[occupancy.refusedBy]++;
      const stuckIn = model.cluster[cursor.task];
      const alone = depth === 0 || model.cluster[this.cursors[depth - 1].task] !== stuckIn;
      if (options.patience > 0 && (alone || ++inCluster > options.patience) && deadEnds <= options.deadEnds) {
        // The cluster is left out with what of it was placed last; the others go on from before it.
        inCluster = 0;
        out++;
        for (; depth > 0 && model.cluster[this.cursors[depth - 1].task] === stuckIn; depth--) {
          const above = this.cursors[depth - 1];
          windows.undo(this.marks[depth - 1]);
          occupancy.remove(above.task);
          out++;
        }
        out += this.dropCluster(stuckIn);
        active = -1;
        if (this.unplacedCount === 0 || out > (options.mostOut ?? Infinity))
          return this.giveUp(depth, base, this.unplacedCount + out);
        this.open(depth, this.pick(active, options.aims), options);
        continue;
      }
      this.addUnplaced(cursor.task);
      if (this.unplacedCount + out < this.left) {
        this.left = this.unplacedCount + out;
        this.partial = this.snapshot(true);
      }
      if (depth === 0 || deadEnds > options.deadEnds) return this.giveUp(depth, base, this.unplacedCount + out);
      depth--;
      const above = this.cursors[depth];
      windows.undo(this.marks[depth]);
      occupancy.remove(above.task);
      this.moveOn(above);
      active = model.cluster[above.task];
    }
  }

  /** Takes everything back; what was reached is kept as a partial schedule where it is the fullest. */
  private giveUp(depth: number, base: number, left: number): undefined {
    if (left < this.left) {
      this.left = left;
      this.partial = this.snapshot(true);
    }
    for (let d = depth - 1; d >= 0; d--) this.occupancy.remove(this.cursors[d].task);
    this.windows.undo(base);
    return undefined;
  }

  /** Tasks of a cluster that wait for a place wait no longer; how many they were. */
  private dropCluster(cluster: number): number {
    let dropped = 0;
    for (let k = this.unplacedCount - 1; k >= 0; k--) {
      const task = this.unplaced[k];
      if (this.model.cluster[task] !== cluster) continue;
      const last = this.unplaced[--this.unplacedCount];
      this.unplaced[k] = last;
      this.position[last] = k;
      dropped++;
    }
    return dropped;
  }

  /** After a placement failed: small steps at first, then leaps, so that another evening comes into reach. */
  private moveOn(cursor: Cursor): void {
    cursor.skip(1 + this.chance.below(1 << Math.min(cursor.handed, 10)), this.chance.below(2) === 0);
  }

  private addUnplaced(task: number): void {
    this.position[task] = this.unplacedCount;
    this.unplaced[this.unplacedCount++] = task;
  }

  private open(depth: number, task: number, options: DiveOptions): void {
    const last = this.unplaced[--this.unplacedCount];
    this.unplaced[this.position[task]] = last;
    this.position[last] = this.position[task];
    this.cursors[depth] ??= new Cursor(this.model, this.windows, this.occupancy);
    this.cursors[depth].begin(task, options.wish(task));
  }

  /** The next task: one without any room at once, else the tightest of the active cluster, else the tightest of all. */
  private pick(active: number, aims: boolean): number {
    const { lo, hi } = this.windows;
    const { cluster, least, most } = this.model;
    const { aimed } = this;
    let best = -1;
    let bestKey = Infinity;
    for (let k = 0; k < this.unplacedCount; k++) {
      const i = this.unplaced[k];
      const room = hi[2 * i] - lo[2 * i] + (most[i] > least[i] ? hi[2 * i + 1] - lo[2 * i + 1] : 0);
      let key = (room * this.whims[i]) / this.trouble[i];
      // A new cluster is begun at the task that its cost hangs on.
      if (room > 0 && cluster[i] !== active) key += aims && aimed[cluster[i]] && !isAimed(this.model, i) ? 2e7 : 1e7;
      if (key < bestKey) {
        bestKey = key;
        best = i;
      }
    }
    return best;
  }

  /** Most tasks take what they took in the last copy: those share it. */
  private copyOfChoices(): readonly Int32Array[] {
    const { choices } = this.occupancy;
    this.copied = this.copied.map((copy, i) => (sameChoices(copy, choices[i]) ? copy : choices[i].slice()));
    return this.copied;
  }

  private snapshot(partial: boolean): Schedule {
    const { model, occupancy } = this;
    const starts = new Int32Array(model.n);
    const ends = new Int32Array(model.n);
    for (let i = 0; i < model.n; i++) {
      starts[i] = occupancy.startOf(i);
      ends[i] = occupancy.endOf(i);
    }
    return {
      starts,
      ends,
      choices: this.copyOfChoices(),
      cost: partial ? Infinity : costOf(model, starts, ends),
    };
  }
}

const sameChoices = (a: Int32Array, b: Int32Array): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/** The objective of the format. */
export function costOf(model: Model, starts: ArrayLike<number>, ends: ArrayLike<number>): number {
  let cost = 0;
  let first = Infinity;
  let last = 0;
  for (let i = 0; i < model.n; i++) {
    if (ends[i] < model.due[i]) cost += model.early[i] * (model.due[i] - ends[i]);
    else if (ends[i] > model.due[i]) cost += model.late[i] * (ends[i] - model.due[i]);
    if (model.stretch[i] > 0) cost += model.stretch[i] * (ends[i] - starts[i] - model.least[i]);
    first = Math.min(first, starts[i]);
    last = Math.max(last, ends[i]);
  }
  return model.n === 0 ? 0 : cost + model.makespan * last + model.span * (last - first);
}
