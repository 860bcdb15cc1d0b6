import { NO_PART, type Model, type ModelUse } from "./model";

interface Load {
  task: number;
  start: number;
  end: number;
  amount: number;
  setting: number;
  sealed: number;
  rank: number;
}

/**
 * What is taken of every resource, minute by minute for pools and load by load for chambers.
 * `place` finds units for all uses of a task at a given time and takes them, or changes nothing.
 */
export class Occupancy {
  /** Units left at each minute of each pool. */
  private readonly free: (Int32Array | undefined)[];
  private readonly loads: Load[][];
  private readonly starts: Int32Array;
  private readonly ends: Int32Array;
  /** Position in the resource list of each use of each placed task. */
  readonly choices: Int32Array[];
  /** The order in which each use tries its resources. */
  private readonly order: Int32Array[][];
  /** Uses with several candidates, and how many of them list each resource. */
  private readonly lists: (readonly [task: number, use: number])[] = [];
  private readonly demand: Float64Array;
  private readonly weighed: Float64Array;
  /** After a failed `place`: how far the whole task must move back (or on) at the least before it can fit. */
  back = 1;
  on = 1;
  /** The resource that refused last. */
  refusedBy = -1;

  constructor(private readonly model: Model) {
    this.free = model.units.map((row) => row?.slice());
    this.loads = model.chambers.map(() => []);
    this.starts = new Int32Array(model.n).fill(-1);
    this.ends = new Int32Array(model.n).fill(-1);
    this.choices = model.uses.map((uses) => new Int32Array(uses.length));
    this.order = model.uses.map((uses) => uses.map((use) => Int32Array.from(use.resources, (_, i) => i)));
    this.demand = new Float64Array(model.resourceCount);
    this.weighed = new Float64Array(model.resourceCount);
    model.uses.forEach((uses, task) =>
      uses.forEach((use, u) => {
        if (use.resources.length < 2) return;
        this.lists.push([task, u]);
        for (const r of use.resources) this.demand[r]++;
      }),
    );
    this.preferScarce(() => 0);
  }

  /**
   * Sets the order of choice: the resource that fewest uses list comes first, so that the cook who may do most stays
   * free for what only they may do. `noise` (0 to 1) disturbs that order for variety between attempts.
   */
  preferScarce(noise: () => number): void {
    for (let r = 0; r < this.demand.length; r++) this.weighed[r] = this.demand[r] * (1 + noise());
    const { weighed } = this;
    for (const [task, u] of this.lists) {
      const order = this.order[task][u];
      const { resources } = this.model.uses[task][u];
      // Insertion: the lists are short and nearly in order.
      for (let k = 1; k < order.length; k++) {
        const choice = order[k];
        let j = k - 1;
        for (; j >= 0 && weighed[resources[order[j]]] > weighed[resources[choice]]; j--) order[j + 1] = order[j];
        order[j + 1] = choice;
      }
    }
  }

  isPlaced(task: number): boolean {
    return this.starts[task] >= 0;
  }
  startOf(task: number): number {
    return this.starts[task];
  }
  endOf(task: number): number {
    return this.ends[task];
  }

  /** Duration that choice `choice` of the deciding use gives, min; −1 where the duration is not by choice. */
  orderOfDuration(task: number): Int32Array {
    return this.order[task][this.model.durationOf[task]];
  }

  /**
   * Takes what the task needs on [start, end). With a duration by choice, `forced` is the position in the deciding
   * use's list; otherwise −1.
   * @returns false, with nothing taken, when something is not free; `back`, `on` and `refusedBy` then say more
   */
  place(task: number, start: number, end: number, forced = -1): boolean {
    if (!this.placeFrom(task, 0, start, end, forced)) return false;
    this.starts[task] = start;
    this.ends[task] = end;
    return true;
  }

  /** Takes exactly the given choices, for putting back what was there before. */
  placeExactly(task: number, start: number, end: number, choices: ArrayLike<number>): boolean {
    const uses = this.model.uses[task];
    for (let u = 0; u < uses.length; u++) {
      if (this.tryUse(task, uses[u], choices[u], start, end)) {
        this.choices[task][u] = choices[u];
        continue;
      }
      for (let v = u - 1; v >= 0; v--) this.release(task, uses[v], this.choices[task][v], start, end);
      return false;
    }
    this.starts[task] = start;
    this.ends[task] = end;
    return true;
  }

  remove(task: number): void {
    const uses = this.model.uses[task];
    for (let u = 0; u < uses.length; u++) this.release(task, uses[u], this.choices[task][u], this.starts[task], this.ends[task]);
    this.starts[task] = this.ends[task] = -1;
  }

  private placeFrom(task: number, u: number, start: number, end: number, forced: number): boolean {
    const uses = this.model.uses[task];
    if (u === uses.length) return true;
    const use = uses[u];
    const decides = forced >= 0 && u === this.model.durationOf[task];
    const order = this.order[task][u];
    let back = 1 << 29;
    let on = 1 << 29;
    for (let k = 0; k < order.length; k++) {
      const choice = decides ? forced : order[k];
      if (this.tryUse(task, use, choice, start, end)) {
        this.choices[task][u] = choice;
        if (this.placeFrom(task, u + 1, start, end, forced)) return true;
        this.release(task, use, choice, start, end);
        // Another choice here can only help a later use that wants the same units in the same minutes.
        if (!this.model.entangled[task]) return false;
        back = on = 1;
      } else {
        back = Math.min(back, this.back);
        on = Math.min(on, this.on);
      }
      if (decides) break;
    }
    this.back = back;
    this.on = on;
    return false;
  }

  private tryUse(task: number, use: ModelUse, choice: number, start: number, end: number): boolean {
    const resource = use.resources[choice];
    if (use.chamber) return this.tryLoad(task, use, resource, start, end);
    const row = this.free[resource]!;
    let from = start;
    let to = end;
    if (use.from !== NO_PART) {
      from = (use.from >= 0 ? start : end) + use.from;
      to = from + use.minutes[choice];
    }
    const { amount } = use;
    for (let minute = from; minute < to; minute++) {
      if (row[minute] >= amount) continue;
      let last = to - 1;
      while (row[last] >= amount) last--;
      this.back = to - minute;
      this.on = last - from + 1;
      this.refusedBy = resource;
      return false;
    }
    for (let minute = from; minute < to; minute++) row[minute] -= amount;
    return true;
  }

  private release(task: number, use: ModelUse, choice: number, start: number, end: number): void {
    const resource = use.resources[choice];
    if (use.chamber) {
      const loads = this.loads[resource];
      for (let i = loads.length - 1; i >= 0; i--)
        if (loads[i].task === task && loads[i].amount === use.amount && loads[i].rank === use.rank) {
          loads.splice(i, 1);
          return;
        }
      return;
    }
    const row = this.free[resource]!;
    let from = start;
    let to = end;
    if (use.from !== NO_PART) {
      from = (use.from >= 0 ? start : end) + use.from;
      to = from + use.minutes[choice];
    }
    for (let minute = from; minute < to; minute++) row[minute] += use.amount;
  }

  private refuse(resource: number, back: number, on: number): false {
    this.refusedBy = resource;
    this.back = Math.max(1, back);
    this.on = Math.max(1, on);
    return false;
  }

  /** Puts a load in where slots, settings, seals, ranks and recovery of the chamber allow it. Loads stay sorted by start. */
  private tryLoad(task: number, use: ModelUse, resource: number, start: number, end: number): boolean {
    const chamber = this.model.chambers[resource]!;
    const loads = this.loads[resource];
    const { amount, setting, sealed, rank } = use;
    if (amount > chamber.slots) return this.refuse(resource, 1 << 28, 1 << 28);
    let beside = 0;
    for (let i = 0; i < loads.length; i++) {
      const other = loads[i];
      if (other.start < end && start < other.end) {
        if (other.setting !== setting) return this.refuse(resource, end - other.start, other.end - start);
        beside += other.amount;
      } else if (other.setting !== setting) {
        const gap = other.end <= start ? start - other.end : other.start - end;
        const rise = other.end <= start ? setting - other.setting : other.setting - setting;
        const change = Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
        if (gap < change)
          return other.end <= start ? this.refuse(resource, 1, change - gap) : this.refuse(resource, change - gap, 1);
      }
      if (inside(other.start, start, sealed) || inside(other.end, start, sealed)) return this.refuse(resource, 1, 1);
      if (inside(start, other.start, other.sealed) || inside(end, other.start, other.sealed)) return this.refuse(resource, 1, 1);
      if (chamber.ranked && ((rank < other.rank && start > other.start) || (rank > other.rank && start < other.start)))
        return rank < other.rank
          ? this.refuse(resource, start - other.start, 1 << 28)
          : this.refuse(resource, 1 << 28, other.start - start);
    }
    if (beside + amount > chamber.slots && this.mostBeside(loads, start, end) + amount > chamber.slots)
      return this.refuse(resource, 1, 1);
    const load: Load = { task, start, end, amount, setting, sealed, rank };
    let at = loads.length;
    while (at > 0 && loads[at - 1].start > start) at--;
    loads.splice(at, 0, load);
    if (chamber.recovery === 0 || recovers(loads, chamber.recovery)) return true;
    loads.splice(at, 1);
    return this.refuse(resource, 1, 1);
  }

  private mostBeside(loads: readonly Load[], start: number, end: number): number {
    let most = 0;
    const at = (minute: number) => {
      let sum = 0;
      for (const load of loads) if (load.start <= minute && minute < load.end) sum += load.amount;
      most = Math.max(most, sum);
    };
    at(start);
    for (const load of loads) if (load.start > start && load.start < end) at(load.start);
    return most;
  }

  /** Whether every whole-task use of the task could hold on [start, end) by itself; for stretching, quick and necessary only. */
  canHold(task: number, from: number, to: number): boolean {
    if (from < 0 || to > this.model.horizon) return false;
    for (const use of this.model.uses[task]) {
      if (use.chamber || use.from !== NO_PART) continue;
      let some = false;
      for (let c = 0; c < use.resources.length && !some; c++) {
        const row = this.free[use.resources[c]]!;
        let minute = from;
        while (minute < to && row[minute] >= use.amount) minute++;
        some = minute >= to;
      }
      if (!some) return false;
    }
    return true;
  }

  /** Whether the parts that stay with the start (or the end) could have their units by themselves. */
  canAnchor(task: number, moment: number, atEnd: boolean): boolean {
    for (const use of this.model.uses[task]) {
      if (use.from === NO_PART || use.from < 0 !== atEnd) continue;
      let some = false;
      const from = moment + use.from;
      if (from < 0) return false;
      for (let c = 0; c < use.resources.length && !some; c++) {
        const row = this.free[use.resources[c]]!;
        const to = from + use.minutes[c];
        let minute = from;
        while (minute < to && row[minute] >= use.amount) minute++;
        some = minute >= to;
      }
      if (!some) return false;
    }
    return true;
  }
}

const inside = (moment: number, from: number, length: number): boolean => from < moment && moment < from + length;

function recovers(loads: readonly Load[], recovery: number): boolean {
  let end = -Infinity;
  for (const load of loads) {
    if (load.start >= end && load.start - end < recovery) return false;
    if (load.end > end) end = load.end;
  }
  return true;
}
