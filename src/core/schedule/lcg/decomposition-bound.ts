import type { Chance } from "../../shared/chance";
import { rows, type Model } from "../model";
import { costOf, type Schedule } from "../construct/schedule";
import { isAimed } from "../construct/wishes";
import { LearningSearch } from "./clause-search";
import { part } from "./subproblem";

/** Dead ends that one look at a share may have. */
const CONFLICTS = 150;
const EQUAL = 1e-6;

/** Some tasks of a large day as a problem of their own, in which all others are not there. */
interface Share {
  readonly tasks: readonly number[];
  readonly model: Model;
  /** Made when the share is first looked at. */
  search: LearningSearch | undefined;
  readonly low: Int32Array;
  readonly high: Int32Array;
  /** The cheapest schedule of these tasks alone that is known. */
  best: Schedule;
  bound: number;
}

/**
 * A lower bound for days that are too large to be searched as a whole. The tasks are dealt out into shares. In every
 * schedule of the day the tasks of a share keep their own rules among themselves and stay in their windows, so that they
 * cost there at least what they cost alone at their best; and what is due, late or stretched is the sum over all tasks.
 * (The span and the end of the whole day belong to no share.) Each share is searched like a small problem.
 */
export class Shares {
  private readonly shares: Share[];

  /**
   * @param low,high least and greatest value of each start (2i) and end (2i + 1) in any schedule
   * @param like a schedule of the day: what is close in it is dealt out together
   * @param most tasks that one share takes at most: the more, the higher the bound and the longer the search
   * @param endsCost what the span and the end of the day cost at the least
   */
  constructor(
    model: Model,
    low: Int32Array,
    high: Int32Array,
    like: Schedule,
    most: number,
    private readonly endsCost: number,
    private readonly chance: Chance,
    private readonly late: (task: number) => boolean,
  ) {
    this.shares = dealOut(model, like, most).map((tasks, k) => {
      const alone = aloneOf(k === 0 ? model : { ...model, span: 0, makespan: 0 }, tasks, low, high);
      const starts = Int32Array.from(tasks, (i) => like.starts[i] - alone.from);
      const ends = Int32Array.from(tasks, (i) => like.ends[i] - alone.from);
      const best = { starts, ends, choices: tasks.map((i) => like.choices[i]), cost: costOf(alone.model, starts, ends) };
      return { ...alone, tasks, search: undefined, best, bound: 0 };
    });
  }

  /** No schedule of the day costs less than this. */
  get bound(): number {
    return this.shares.reduce((sum, { bound }, k) => sum + (k === 0 ? Math.max(bound, this.endsCost) : bound), 0);
  }

  /** True when no further search can raise the bound. */
  get done(): boolean {
    return this.shares.every((share) => share.best.cost - share.bound <= EQUAL);
  }

  /** Searches the share with the widest gap of some drawn by chance for something cheaper, which raises its bound or lowers its best. */
  step(spent: () => boolean): void {
    const open = this.shares.filter((share) => share.best.cost - share.bound > EQUAL);
    if (open.length === 0) return;
    let share = open[this.chance.below(open.length)];
    for (let k = 0; k < 3; k++) {
      const other = open[this.chance.below(open.length)];
      if (other.best.cost - other.bound > share.best.cost - share.bound) share = other;
    }
    const gap = share.best.cost - share.bound;
    const target = share.best.cost - Math.max(gap * [0.5, 0.1, 0][this.chance.below(3)], Math.min(gap, 1e-4));
    share.search ??= new LearningSearch(share.model, share.low, share.high, this.chance);
    const outcome = share.search.run({
      target,
      conflicts: CONFLICTS,
      spent,
      like: share.best,
      late: (k) => this.late(share.tasks[k]),
    });
    if (outcome.kind === "found") share.best = outcome.schedule;
    share.bound = Math.min(share.best.cost, Math.max(share.bound, share.search.bound));
    // What is settled needs its search no more, and a large day has many.
    if (share.best.cost - share.bound <= EQUAL) share.search = undefined;
  }
}

/** Clusters in the order in which they are due or else stand, a few at a time; the first share has some from both ends. */
function dealOut(model: Model, like: Schedule, most: number): number[][] {
  const clusters: number[][] = Array.from({ length: model.clusterCount }, () => []);
  for (let i = 0; i < model.n; i++) clusters[model.cluster[i]].push(i);
  const when = (i: number) => (isAimed(model, i) ? model.due[i] : like.ends[i]);
  const end = (tasks: readonly number[]) => tasks.reduce((last, i) => Math.max(last, when(i)), 0);
  const order = clusters.map((tasks) => ({ tasks, end: end(tasks) })).sort((a, b) => a.end - b.end);
  const ends: number[] = [];
  for (let k = 0; order.length > 0; k++) {
    const at = k % 2 === 0 ? 0 : order.length - 1;
    if (k > 0 && ends.length + order[at].tasks.length > most) break;
    ends.push(...order.splice(at, 1)[0].tasks);
  }
  const shares: number[][] = [ends];
  for (const { tasks } of order) {
    const last = shares.at(-1)!;
    if (shares.length > 1 && last.length + tasks.length <= most) last.push(...tasks);
    else shares.push([...tasks]);
  }
  return shares;
}

function aloneOf(model: Model, tasks: readonly number[], low: Int32Array, high: Int32Array) {
  const place = new Map(tasks.map((i, k) => [i, k]));
  const n = tasks.length;
  const nodes = Array.from({ length: 2 * n }, (_, own) => 2 * tasks[own >> 1] + (own & 1));
  const from = Math.min(...nodes.map((node) => low[node]));
  const to = Math.max(...nodes.map((node) => high[node]));
  const arcs = nodes.flatMap((node, own): [number, number, number][] =>
    Array.from({ length: model.arcStart[node + 1] - model.arcStart[node] }, (_, a) => model.arcStart[node] + a).flatMap((a) => {
      const other = place.get(model.arcTo[a] >> 1);
      return other === undefined ? [] : [[own, 2 * other + (model.arcTo[a] & 1), model.arcWeight[a]] as [number, number, number]];
    }),
  );
  const low1 = Int32Array.from(nodes, (node) => low[node] - from);
  const high1 = Int32Array.from(nodes, (node) => high[node] - from);
  const inner = part(model, tasks);
  const sub: Model = {
    ...inner,
    n,
    horizon: to - from,
    due: inner.due.map((due) => due - from),
    lo0: low1,
    hi0: high1,
    ...rows(2 * n, arcs),
    units: model.units.map((units) => units?.slice(from, to + 1)),
    // What is not in the share may bridge a pause between two loads that are.
    chambers: model.chambers.map(
      (chamber, r) => chamber && { ...chamber, on: chamber.on - from, recovery: mayShare(model, r) ? 0 : chamber.recovery },
    ),
  };
  return { model: sub, low: low1, high: high1, from };
}

/** Whether any two loads of the day could be in a chamber together. */
function mayShare(model: Model, chamber: number): boolean {
  const { slots } = model.chambers[chamber]!;
  // Of each setting the two smallest loads are enough.
  const least = new Map<number, [number, number]>();
  for (const i of model.takers[chamber])
    for (const { resources, setting, amount } of model.uses[i]) {
      if (!resources.includes(chamber)) continue;
      const [a, b] = least.get(setting) ?? [Infinity, Infinity];
      least.set(setting, amount < a ? [amount, a] : [a, Math.min(b, amount)]);
    }
  return [...least.values()].some(([a, b]) => a + b <= slots);
}
