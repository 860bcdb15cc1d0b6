import { Schedule, Guess, sameChoices, costOf } from "./schedule";
import type { Chance } from "../../shared/chance";
import type { Wish } from "./anchor-walk";
import { Cursor } from "./cursor";
import { CostBound } from "./cost-bound";
import type { Model } from "../model";
import { Occupancy } from "./occupancy";
import { tighten } from "./tighten";
import { Windows } from "./windows";
import { Unplaced } from "./unplaced";

export interface PassOptions {
  /** Dead ends after which the pass is given up. */
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
  /** Tasks left out after which a pass that leaves clusters out is given up. */
  readonly mostOut?: number;
  /** Clusters begin at the task whose due time their cost hangs on: good where the day has room, too greedy where it has none. */
  readonly aims: boolean;
  /** Asked now and then; true ends the pass where it stands. */
  readonly spent?: () => boolean;
}

/** Tasks placed, or tried in vain, between two looks at the time. */
const LOOK_EVERY = 128;

/**
 * Depth-first construction of schedules: the task with the least room for its size of trouble is placed next,
 * its time windows are propagated to all others, and a dead end takes the last placement back. Tasks that maximum
 * lags hold together are placed together. A task that led to dead ends is taken earlier in later passes.
 *
 * Invariants of a pass: `cursors[0..depth)` are the tasks it placed, in order, each with the windows before it at
 * `marks[d]`; `cursors[depth]` is the open one; every other task of the pass waits in `unplaced` or is among the `out`.
 */
export class Search {
  readonly windows: Windows;
  readonly occupancy: Occupancy;
  /** How often each task was a dead end; grows over the whole search and says what is hard. */
  readonly trouble: Float64Array;
  /** How often each resource refused the task that was a dead end. */
  readonly refusals: Float64Array;
  /** The fullest schedule that the last failed pass came to, and how many tasks it leaves out. */
  partial: Schedule | undefined;
  left = 0;
  private readonly cursors: Cursor[] = [];
  private readonly marks: Int32Array;
  private readonly rootMark: number;
  /** Of the present pass: how many tasks are placed, dead ends so far, tasks left out, and the windows it began with. */
  private depth = 0;
  private deadEnds = 0;
  private out = 0;
  private base = 0;
  /** The cluster that is being placed, and the dead ends in it since it was begun. */
  private active = -1;
  private inCluster = 0;
  private readonly unplaced: Unplaced;
  private readonly bound: CostBound;
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
    this.marks = new Int32Array(model.n + 1);
    this.unplaced = new Unplaced(model, this.windows, this.trouble);
    this.bound = new CostBound(model, this.windows, this.occupancy);
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
    return this.bound.value();
  }

  /** What the span and the last end of the day cost at the least, in any schedule. */
  get leastEnds(): number {
    return this.bound.leastEnds;
  }

  /** Places every task that is not placed yet. On success the schedule is left in place and returned. */
  construct(options: PassOptions): Schedule | undefined {
    this.beginPass(options);
    if (this.unplaced.count === 0) return this.snapshot(false);
    this.open(options);
    for (let step = 1; ; step++) {
      if (step % LOOK_EVERY === 0 && options.spent?.()) return this.giveUp(this.unplaced.count + this.out + 1);
      if (this.placeNext(options)) {
        if (this.unplaced.count > 0) this.open(options);
        else return this.out === 0 ? this.snapshot(false) : this.giveUp(this.out);
        continue;
      }
      this.noteDeadEnd();
      if (this.mayLeaveOut(options)) {
        this.leaveOutCluster();
        if (this.unplaced.count === 0 || this.out > (options.mostOut ?? Infinity))
          return this.giveUp(this.unplaced.count + this.out);
        this.open(options);
      } else if (!this.takeBack(options)) return this.giveUp(this.unplaced.count + this.out);
    }
  }

  private beginPass(options: PassOptions): void {
    const { model, occupancy } = this;
    this.unplaced.clear();
    this.bound.setInPlay();
    for (let i = 0; i < model.n; i++) {
      if (occupancy.isPlaced(i)) continue;
      this.unplaced.add(i, options.whim > 0 ? 2 ** (options.whim * (this.chance.unit() - 0.5)) : 1);
    }
    this.base = this.windows.mark();
    this.depth = 0;
    this.deadEnds = 0;
    this.active = -1;
    this.out = 0;
    this.inCluster = 0;
    this.partial = undefined;
    this.left = model.n + 1;
  }

  /** Gives the open task a place that the times of all others leave it, and goes one deeper. False: it has none. */
  private placeNext({ tries, below }: PassOptions): boolean {
    const { model, occupancy, windows } = this;
    const cursor = this.cursors[this.depth];
    while (cursor.handed < tries && cursor.next()) {
      this.marks[this.depth] = windows.mark();
      if (windows.fix(cursor.task, cursor.start, cursor.end) && (below === Infinity || this.costBound() < below)) {
        if (this.active !== model.cluster[cursor.task]) this.inCluster = 0;
        this.active = model.cluster[cursor.task];
        this.depth++;
        return true;
      }
      windows.undo(this.marks[this.depth]);
      occupancy.remove(cursor.task);
      this.moveOn(cursor);
    }
    return false;
  }

  private noteDeadEnd(): void {
    this.deadEnds++;
    this.trouble[this.cursors[this.depth].task] += 1;
    if (this.occupancy.refusedBy >= 0) this.refusals[this.occupancy.refusedBy]++;
  }

  /** Whether the cluster of the open task is left out rather than what was placed before it moved. */
  private mayLeaveOut({ patience, deadEnds }: PassOptions): boolean {
    if (patience === 0) return false;
    const { cluster } = this.model;
    const alone = this.depth === 0 || cluster[this.cursors[this.depth - 1].task] !== cluster[this.cursors[this.depth].task];
    return (alone || ++this.inCluster > patience) && this.deadEnds <= deadEnds;
  }

  /** The cluster of the open task is left out with what of it was placed last; the others go on from before it. */
  private leaveOutCluster(): void {
    const { cluster } = this.model;
    const stuckIn = cluster[this.cursors[this.depth].task];
    this.inCluster = 0;
    this.out++;
    while (this.depth > 0 && cluster[this.cursors[this.depth - 1].task] === stuckIn) {
      this.unplace(--this.depth);
      this.out++;
    }
    this.out += this.unplaced.dropCluster(stuckIn);
    this.active = -1;
  }

  /** The last placement is taken back and moved on. False: there is none, or the pass has had its dead ends. */
  private takeBack({ deadEnds }: PassOptions): boolean {
    this.unplaced.add(this.cursors[this.depth].task);
    this.keepIfFuller(this.unplaced.count + this.out);
    if (this.depth === 0 || this.deadEnds > deadEnds) return false;
    const above = this.cursors[--this.depth];
    this.unplace(this.depth);
    this.moveOn(above);
    this.active = this.model.cluster[above.task];
    return true;
  }

  private unplace(depth: number): void {
    this.windows.undo(this.marks[depth]);
    this.occupancy.remove(this.cursors[depth].task);
  }

  private keepIfFuller(left: number): void {
    if (left >= this.left) return;
    this.left = left;
    this.partial = this.snapshot(true);
  }

  /** Takes everything back; what was reached is kept as a partial schedule where it is the fullest. */
  private giveUp(left: number): undefined {
    this.keepIfFuller(left);
    for (let d = this.depth - 1; d >= 0; d--) this.occupancy.remove(this.cursors[d].task);
    this.windows.undo(this.base);
    return undefined;
  }

  /** After a placement failed: small steps at first, then leaps, so that another evening comes into reach. */
  private moveOn(cursor: Cursor): void {
    cursor.skip(1 + this.chance.below(1 << Math.min(cursor.handed, 10)), this.chance.below(2) === 0);
  }

  /** Opens the next task: its placements are walked through from now on. */
  private open(options: PassOptions): void {
    const { depth } = this;
    const task = this.unplaced.pick(this.active, options.aims);
    this.unplaced.take(task);
    this.cursors[depth] ??= new Cursor(this.model, this.windows, this.occupancy);
    this.cursors[depth].begin(task, options.wish(task));
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
