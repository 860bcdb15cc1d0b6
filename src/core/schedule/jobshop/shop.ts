import { NO_PART, type Model } from "../model";

/**
 * A job-shop: tasks of fixed length, each on at most one machine that takes one at a time, least lags between them, and
 * the last end as the only cost. Arrays over tasks; `machine` −1: none.
 */
export interface Shop {
  readonly n: number;
  readonly length: Int32Array;
  readonly release: Int32Array;
  readonly machine: Int32Array;
  readonly machines: number;
  /** Predecessors and successors of each task with the least lag from end to start, min ≥ 0. */
  readonly before: readonly (readonly Link[])[];
  readonly after: readonly (readonly Link[])[];
}

export interface Link {
  readonly task: number;
  readonly lag: number;
}

/** The job-shop that a problem is, or undefined where it is more than that. */
export function shopOf(model: Model): Shop | undefined {
  const { n, least, most, due, early, late } = model;
  if (model.span > 0 || model.makespan <= 0 || n === 0) return undefined;
  const machine = new Int32Array(n).fill(-1);
  const before: Link[][] = Array.from({ length: n }, () => []);
  const after: Link[][] = Array.from({ length: n }, () => []);
  for (let i = 0; i < n; i++) {
    if (least[i] !== most[i] || least[i] < 1 || model.durationOf[i] >= 0 || model.uses[i].length > 1) return undefined;
    if (!Number.isNaN(due[i]) && (early[i] > 0 || late[i] > 0)) return undefined;
    // A deadline is left to the other searches.
    if (model.hi0[2 * i + 1] < model.horizon) return undefined;
    for (const use of model.uses[i]) {
      if (use.chamber || use.from !== NO_PART || use.resources.length !== 1) return undefined;
      const units = model.units[use.resources[0]]!;
      if (use.amount < 1 || units.some((u) => u < use.amount || u >= 2 * use.amount)) return undefined;
      machine[i] = use.resources[0];
    }
    for (let a = model.arcStart[2 * i + 1]; a < model.arcStart[2 * i + 2]; a++) {
      const to = model.arcTo[a];
      if (to >> 1 === i) continue;
      if ((to & 1) !== 0 || model.arcWeight[a] < 0) return undefined;
      after[i].push({ task: to >> 1, lag: model.arcWeight[a] });
      before[to >> 1].push({ task: i, lag: model.arcWeight[a] });
    }
    for (let a = model.arcStart[2 * i]; a < model.arcStart[2 * i + 1]; a++) if (model.arcTo[a] >> 1 !== i) return undefined;
  }
  // Different amounts on one machine could still fit side by side.
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++)
      if (machine[i] >= 0 && machine[i] === machine[j] && model.uses[i][0].amount !== model.uses[j][0].amount) return undefined;
  const release = Int32Array.from({ length: n }, (_, i) => model.lo0[2 * i]);
  return { n, length: least, release, machine, machines: model.resourceCount, before, after };
}

/** Longest ways from the beginning to each start (heads) and from each end to the finish (tails), by links alone. */
function headsAndTails(shop: Shop): { head: Int32Array; tail: Int32Array } {
  const { n, length, before, after } = shop;
  const head = shop.release.slice();
  const tail = new Int32Array(n);
  const open = Int32Array.from(before, (links) => links.length);
  const order: number[] = [];
  for (let i = 0; i < n; i++) if (open[i] === 0) order.push(i);
  for (let k = 0; k < order.length; k++)
    for (const { task, lag } of after[order[k]]) {
      head[task] = Math.max(head[task], head[order[k]] + length[order[k]] + lag);
      if (--open[task] === 0) order.push(task);
    }
  for (let k = order.length - 1; k >= 0; k--)
    for (const { task, lag } of after[order[k]]) tail[order[k]] = Math.max(tail[order[k]], lag + length[task] + tail[task]);
  return { head, tail };
}

/**
 * A last end that no schedule comes before: on each machine the best that its tasks could do with interruptions, between
 * heads and tails. Source: Jackson's preemptive schedule for one machine.
 */
export function shopBound(shop: Shop): number {
  const { head, tail } = headsAndTails(shop);
  let bound = 0;
  for (let i = 0; i < shop.n; i++) bound = Math.max(bound, head[i] + shop.length[i] + tail[i]);
  for (let m = 0; m < shop.machines; m++) {
    const tasks = Array.from({ length: shop.n }, (_, i) => i).filter((i) => shop.machine[i] === m);
    bound = Math.max(bound, preemptive(tasks, head, shop.length, tail));
  }
  return bound;
}

function preemptive(tasks: readonly number[], head: Int32Array, length: Int32Array, tail: Int32Array): number {
  const waiting = [...tasks].sort((a, b) => head[a] - head[b]);
  const left = new Map(tasks.map((i) => [i, length[i]]));
  const ready: number[] = [];
  let next = 0;
  let now = 0;
  let end = 0;
  while (next < waiting.length || ready.length > 0) {
    if (ready.length === 0) now = Math.max(now, head[waiting[next]]);
    while (next < waiting.length && head[waiting[next]] <= now) ready.push(waiting[next++]);
    const task = ready.reduce((best, i) => (tail[i] > tail[best] ? i : best));
    const until = next < waiting.length ? Math.min(now + left.get(task)!, head[waiting[next]]) : now + left.get(task)!;
    left.set(task, left.get(task)! - (until - now));
    now = until;
    if (left.get(task) === 0) {
      ready.splice(ready.indexOf(task), 1);
      end = Math.max(end, now + tail[task]);
    }
  }
  return end;
}
