import { countUp } from "../../shared/count-up";
import { changeover, NO_PART, takenFrom, takenUntil, warmAt, type Model, type ModelUse } from "../model";

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
  private readonly reach: readonly { readonly span: number; readonly change: number }[];
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
  private looksAtRecovery = true;

  constructor(private readonly model: Model) {
    this.free = model.units.map((row) => row?.slice());
    this.loads = model.chambers.map(() => []);
    this.reach = reachOf(model);
    this.starts = new Int32Array(model.n).fill(-1);
    this.ends = new Int32Array(model.n).fill(-1);
    this.choices = model.uses.map((uses) => new Int32Array(uses.length));
    this.order = model.uses.map((uses) => uses.map((use) => countUp(use.resources.length)));
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

  /**
   * Takes exactly the given choices, for putting back what was there before. `alone` false: other loads are still to come
   * that may bridge a pause, so that recovery is left to `recoversEverywhere`.
   */
  placeExactly(task: number, start: number, end: number, choices: ArrayLike<number>, alone = true): boolean {
    const uses = this.model.uses[task];
    this.looksAtRecovery = alone;
    const placed = this.placeUses(task, uses, start, end, choices);
    this.looksAtRecovery = true;
    return placed;
  }

  private placeUses(task: number, uses: readonly ModelUse[], start: number, end: number, choices: ArrayLike<number>): boolean {
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
    const from = takenFrom(use, start, end);
    const to = takenUntil(use, choice, start, end);
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
      for (let i = firstFrom(loads, start); i < loads.length; i++)
        if (loads[i].task === task && loads[i].amount === use.amount && loads[i].rank === use.rank) {
          loads.splice(i, 1);
          return;
        }
      return;
    }
    const row = this.free[resource]!;
    const from = takenFrom(use, start, end);
    const to = takenUntil(use, choice, start, end);
    for (let minute = from; minute < to; minute++) row[minute] += use.amount;
  }

  private refuse(resource: number, back: number, on: number): false {
    this.refusedBy = resource;
    this.back = Math.max(1, back);
    this.on = Math.max(1, on);
    return false;
  }

  /**
   * Puts a load in where slots, settings, seals, ranks and recovery of the chamber allow it. Loads stay sorted by start,
   * then rank; only those near enough to meet the load, or its change of setting, are looked at.
   */
  private tryLoad(task: number, use: ModelUse, resource: number, start: number, end: number): boolean {
    const chamber = this.model.chambers[resource]!;
    const loads = this.loads[resource];
    const { amount, setting, sealed, rank } = use;
    if (amount > chamber.slots) return this.refuse(resource, 1 << 28, 1 << 28);
    // The task's window knows only when the first of its chambers is warm.
    const warm = warmAt(chamber, setting);
    if (start < warm) return this.refuse(resource, 1 << 28, warm - start);
    if (chamber.ranked && !this.ranksHold(loads, rank, resource, start)) return false;
    const { span, change: widest } = this.reach[resource];
    const near = Math.max(widest, chamber.recovery);
    let beside = 0;
    for (let i = firstFrom(loads, start - span - near); i < loads.length; i++) {
      const other = loads[i];
      if (other.start >= end + near) break;
      if (other.start < end && start < other.end) {
        if (other.setting !== setting) return this.refuse(resource, end - other.start, other.end - start);
        beside += other.amount;
      } else if (other.setting !== setting) {
        const gap = other.end <= start ? start - other.end : other.start - end;
        const change =
          other.end <= start ? changeover(chamber, other.setting, setting) : changeover(chamber, setting, other.setting);
        if (gap < change)
          return other.end <= start ? this.refuse(resource, 1, change - gap) : this.refuse(resource, change - gap, 1);
      }
      const { start: s, end: e, sealed: seal } = other;
      if (inside(s, start, sealed)) return this.refuse(resource, start + sealed - s, s - start);
      if (inside(e, start, sealed)) return this.refuse(resource, start + sealed - e, e - start);
      if (inside(start, s, seal)) return this.refuse(resource, start - s, s + seal - start);
      if (inside(end, s, seal)) return this.refuse(resource, end - s, s + seal - end);
    }
    if (beside + amount > chamber.slots && !this.slotsHold(resource, amount, start, end)) return false;
    let at = firstFrom(loads, start + 1);
    while (at > 0 && loads[at - 1].start === start && loads[at - 1].rank > rank) at--;
    loads.splice(at, 0, { task, start, end, amount, setting, sealed, rank });
    if (chamber.recovery === 0 || !this.looksAtRecovery || this.recovers(resource, start, end)) return true;
    loads.splice(at, 1);
    return this.refuse(resource, 1, 1);
  }

  /** A lower rank never starts after a higher one has: ranks in order of start never fall. */
  private ranksHold(loads: readonly Load[], rank: number, resource: number, start: number): boolean {
    let a = 0;
    let b = loads.length;
    while (a < b) {
      const middle = (a + b) >> 1;
      if (loads[middle].rank > rank) b = middle;
      else a = middle + 1;
    }
    if (a < loads.length && start > loads[a].start) return this.refuse(resource, start - loads[a].start, 1 << 28);
    for (b = a - 1; b >= 0 && loads[b].rank === rank;) b--;
    if (b >= 0 && start < loads[b].start) return this.refuse(resource, 1 << 28, loads[b].start - start);
    return true;
  }

  /** Whether the slots suffice at every minute of [start, end); if not, the load must leave the first minute at which they do not. */
  private slotsHold(resource: number, amount: number, start: number, end: number): boolean {
    const loads = this.loads[resource];
    const { slots } = this.model.chambers[resource]!;
    const from = firstFrom(loads, start - this.reach[resource].span);
    const full = (minute: number): boolean => {
      let sum = amount;
      let leaves = 1 << 28;
      for (let i = from; i < loads.length && loads[i].start <= minute; i++)
        if (minute < loads[i].end) {
          sum += loads[i].amount;
          leaves = Math.min(leaves, loads[i].end);
        }
      if (sum <= slots) return false;
      this.refuse(resource, end - minute, leaves - start);
      return true;
    };
    if (full(start)) return false;
    for (let i = from; i < loads.length && loads[i].start < end; i++)
      if (loads[i].start > start && full(loads[i].start)) return false;
    return true;
  }

  /** Whether the pauses between all groups of loads are long enough. */
  recoversEverywhere(): boolean {
    return this.model.chambers.every(
      (chamber, resource) => !chamber || chamber.recovery === 0 || this.recovers(resource, 0, this.model.horizon),
    );
  }

  /** Whether the pauses between the groups of loads near [start, end) are long enough. */
  private recovers(resource: number, start: number, end: number): boolean {
    const loads = this.loads[resource];
    const { recovery } = this.model.chambers[resource]!;
    const around = this.reach[resource].span + recovery;
    let last = -Infinity;
    for (let i = firstFrom(loads, start - 2 * around); i < loads.length; i++) {
      const load = loads[i];
      if (load.start >= end + around) break;
      if (load.start >= last && load.start - last < recovery && load.start >= start - around) return false;
      if (load.end > last) last = load.end;
    }
    return true;
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

/** Position of the first load that starts at `minute` or later. */
function firstFrom(loads: readonly Load[], minute: number): number {
  let a = 0;
  let b = loads.length;
  while (a < b) {
    const middle = (a + b) >> 1;
    if (loads[middle].start < minute) a = middle + 1;
    else b = middle;
  }
  return a;
}

/** Of each chamber: the longest that a load stays in, and the longest change between two settings that it is used at, min. */
export function reachOf(model: Model): { span: number; change: number }[] {
  const reach = model.chambers.map(() => ({ span: 0, change: 0, low: Infinity, high: -Infinity }));
  model.uses.forEach((uses, task) => {
    for (const use of uses)
      if (use.chamber)
        for (const r of use.resources) {
          const of = reach[r];
          of.span = Math.max(of.span, model.most[task]);
          of.low = Math.min(of.low, use.setting);
          of.high = Math.max(of.high, use.setting);
        }
  });
  return reach.map(({ span, low, high }, r) => {
    const chamber = model.chambers[r];
    return { span, change: chamber && high > low ? Math.ceil((high - low) / Math.min(chamber.heat, chamber.cool)) : 0 };
  });
}
