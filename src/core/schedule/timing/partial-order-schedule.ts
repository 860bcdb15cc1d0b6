import { changeover, NO_PART, takenFrom, takenUntil, warmAt, type Chamber, type Model, type ModelUse } from "../model";
import type { Guess } from "../construct/schedule";

/** Arcs from → to with value(to) − value(from) ≥ weight, and the least and greatest value of each node. */
export interface Order {
  readonly nodes: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly weight: Int32Array;
  readonly lo: Int32Array;
  readonly hi: Int32Array;
}

interface Part {
  readonly task: number;
  readonly amount: number;
  /** Node and what is added to it for where the part begins and ends. */
  readonly startNode: number;
  readonly startPlus: number;
  readonly endNode: number;
  readonly endPlus: number;
  readonly start: number;
  readonly end: number;
  readonly use: ModelUse;
}

/** Of each minute of a pool: the first minute of its stretch with the same units, and the first behind it. */
interface Hours {
  readonly units: Int32Array;
  readonly from: Int32Array;
  readonly until: Int32Array;
}

/**
 * What a schedule decides besides its times: which unit serves whom after whom, which load comes after which, in which
 * hours a part lies. Any times that keep these arcs and bounds are a schedule again (loads that overlap under a seal or
 * a recovery keep their distance, which is more than the rules ask).
 * Nodes: 2i the start of task i, 2i + 1 its end, then the first start and the last end of all.
 */
export class Orders {
  private readonly own: Int32Array;
  private readonly hours: readonly (Hours | undefined)[];

  /** @param low least value of each start and end in any schedule; `high`: the greatest */
  constructor(
    private readonly model: Model,
    readonly low: Int32Array,
    readonly high: Int32Array,
  ) {
    const { n, arcStart, arcTo, arcWeight } = model;
    const own: number[] = [];
    for (let node = 0; node < 2 * n; node++)
      for (let a = arcStart[node]; a < arcStart[node + 1]; a++) own.push(node, arcTo[a], arcWeight[a]);
    for (let i = 0; i < n; i++) own.push(2 * n, 2 * i, 0, 2 * i + 1, 2 * n + 1, 0);
    this.own = new Int32Array(own);
    this.hours = model.units.map((units) => units && hoursOf(units));
  }

  of(schedule: Guess): Order {
    const { model } = this;
    const { n } = model;
    const nodes = 2 * n + 2;
    const lo = new Int32Array(nodes);
    const hi = new Int32Array(nodes).fill(model.horizon);
    lo.set(this.low.subarray(0, 2 * n));
    hi.set(this.high.subarray(0, 2 * n));
    const arcs: number[] = [];
    for (let i = 0; i < n; i++)
      if (model.durationOf[i] >= 0) rigid(arcs, 2 * i, 2 * i + 1, model.durations[i][schedule.choices[i][model.durationOf[i]]]);
    const parts: Part[][] = Array.from({ length: model.resourceCount }, () => []);
    for (let i = 0; i < n; i++)
      model.uses[i].forEach((use, u) => {
        const part = partOf(schedule, i, use, schedule.choices[i][u]);
        // What has no length now may get some where the task can stretch.
        const grows = use.from === NO_PART && model.most[i] > model.least[i];
        if ((part.end > part.start || grows) && part.amount > 0) parts[use.resources[schedule.choices[i][u]]].push(part);
      });
    parts.forEach((list, r) => {
      list.sort((a, b) => a.start - b.start || a.end - b.end || a.task - b.task);
      const chamber = model.chambers[r];
      if (chamber) chamberOrder(arcs, lo, list, chamber);
      else poolOrder(arcs, lo, hi, list, this.hours[r]!);
    });
    const own = this.own.length / 3;
    const count = own + arcs.length / 3;
    const order = { nodes, lo, hi, from: new Int32Array(count), to: new Int32Array(count), weight: new Int32Array(count) };
    for (let a = 0; a < count; a++) {
      const source = a < own ? this.own : arcs;
      const k = 3 * (a < own ? a : a - own);
      order.from[a] = source[k];
      order.to[a] = source[k + 1];
      order.weight[a] = source[k + 2];
    }
    return order;
  }
}

function hoursOf(units: Int32Array): Hours {
  const from = new Int32Array(units.length);
  const until = new Int32Array(units.length);
  let first = 0;
  for (let m = 1; m <= units.length; m++) {
    if (m < units.length && units[m] === units[first]) continue;
    from.fill(first, first, m);
    until.fill(m, first, m);
    first = m;
  }
  return { units, from, until };
}

function rigid(arcs: number[], a: number, b: number, distance: number): void {
  arcs.push(a, b, distance, b, a, -distance);
}

function partOf(schedule: Guess, task: number, use: ModelUse, choice: number): Part {
  const s = 2 * task;
  const start = schedule.starts[task];
  const end = schedule.ends[task];
  const whole = use.from === NO_PART;
  const atStart = whole || use.from >= 0;
  const plus = whole ? 0 : use.from;
  const minutes = whole ? 0 : use.minutes[choice];
  return {
    task,
    use,
    amount: use.amount,
    startNode: atStart ? s : s + 1,
    startPlus: plus,
    endNode: whole || !atStart ? s + 1 : s,
    endPlus: plus + minutes,
    start: takenFrom(use, start, end),
    end: takenUntil(use, choice, start, end),
  };
}

/** Part a is over, and `gap` minutes gone, when part b begins. */
const before = (arcs: number[], a: Part, b: Part, gap = 0): void => {
  const weight = a.endPlus + gap - b.startPlus;
  // Parts of one task at one of its ends lie as they lie.
  if (a.endNode !== b.startNode) arcs.push(a.endNode, b.startNode, weight);
};

/** Units are handed on from part to part, those that were free the longest first; nobody leaves their stretch of hours. */
function poolOrder(arcs: number[], lo: Int32Array, hi: Int32Array, parts: readonly Part[], hours: Hours): void {
  const { units, from, until } = hours;
  const stretches = new Map<number, Part[]>();
  const join = (stretch: number, part: Part) => {
    const list = stretches.get(stretch);
    if (list) list.push(part);
    else stretches.set(stretch, [part]);
  };
  for (const part of parts) {
    const minute = Math.min(part.start, units.length - 1);
    if (until[minute] < part.end) {
      // It runs through a change of hours: it stays where it is, and has its units in every stretch of its way.
      lo[part.startNode] = hi[part.startNode] = part.start - part.startPlus;
      lo[part.endNode] = hi[part.endNode] = part.end - part.endPlus;
      for (let m = minute; m < Math.min(part.end, units.length); m = until[m]) join(from[m], part);
      continue;
    }
    if (from[minute] > 0) lo[part.startNode] = Math.max(lo[part.startNode], from[minute] - part.startPlus);
    if (until[minute] < units.length) hi[part.endNode] = Math.min(hi[part.endNode], until[minute] - part.endPlus);
    join(from[minute], part);
  }
  for (const [stretch, list] of stretches) {
    const fitting = list.filter((part) => part.amount <= units[stretch]);
    // A guess may come from a day with other hours: what needs more than there is has no time in this order.
    for (const part of list) if (part.amount > units[stretch]) hi[part.startNode] = lo[part.startNode] - 1;
    handOn(arcs, fitting, units[stretch]);
  }
}

/** Chains parts, in order of start, over so many units; none may need more than that. */
function handOn(arcs: number[], parts: readonly Part[], units: number): void {
  if (parts.reduce((sum, part) => sum + part.amount, 0) <= units) return;
  const held: { amount: number; last: Part | undefined; until: number }[] = [{ amount: units, last: undefined, until: -1 }];
  for (const part of parts) {
    if (part.end === part.start) {
      const idle = held.reduce((sum, chunk) => sum + (chunk.until <= part.start ? chunk.amount : 0), 0);
      if (idle < part.amount) {
        rigid(arcs, part.startNode, part.endNode, 0);
        continue;
      }
    }
    let need = part.amount;
    while (need > 0) {
      let pick = 0;
      for (let k = 1; k < held.length; k++) if (held[k].until < held[pick].until) pick = k;
      const chunk = held[pick];
      const taken = Math.min(need, chunk.amount);
      if (chunk.last) before(arcs, chunk.last, part);
      need -= taken;
      if (taken === chunk.amount) held.splice(pick, 1);
      else chunk.amount -= taken;
      held.push({ amount: taken, last: part, until: part.end });
    }
  }
}

/** No load starts before one of the next lower rank: with several slots the chains alone do not see to that. */
function rankOrder(arcs: number[], loads: readonly Part[]): void {
  const ranks = [...new Set(loads.map((load) => load.use.rank))].sort((a, b) => a - b);
  const byRank = ranks.map((rank) => loads.filter((load) => load.use.rank === rank));
  for (let k = 1; k < byRank.length; k++)
    for (const low of byRank[k - 1]) for (const high of byRank[k]) arcs.push(low.startNode, high.startNode, 0);
}

function chamberOrder(arcs: number[], lo: Int32Array, loads: readonly Part[], chamber: Chamber): void {
  for (const load of loads) lo[load.startNode] = Math.max(lo[load.startNode], warmAt(chamber, load.use.setting));
  if (chamber.ranked) rankOrder(arcs, loads);
  const close = chamber.recovery > 0 || loads.some((load) => load.use.sealed > 0);
  let previous: Part[] = [];
  for (let k = 0; k < loads.length;) {
    // A run: loads that follow at one setting; with seals or recovery only as long as they overlap.
    const run = [loads[k]];
    let until = loads[k].end;
    for (k++; k < loads.length && loads[k].use.setting === run[0].use.setting && (!close || loads[k].start < until); k++) {
      run.push(loads[k]);
      until = Math.max(until, loads[k].end);
    }
    if (close)
      for (const load of run) {
        if (load !== run[0]) rigid(arcs, run[0].startNode, load.startNode, load.start - run[0].start);
        if (run.length > 1) rigid(arcs, load.startNode, load.endNode, load.end - load.start);
      }
    else handOn(arcs, run, chamber.slots);
    const change = previous.length > 0 ? changeover(chamber, previous[0].use.setting, run[0].use.setting) : 0;
    for (const a of previous) for (const b of run) before(arcs, a, b, Math.max(change, chamber.recovery));
    previous = run;
  }
}
