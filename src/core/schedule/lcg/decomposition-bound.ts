import type { Chance } from "../../shared/chance";
import { rows } from "../compile";
import type { Model } from "../model";
import { costOf, type Schedule } from "../construct/schedule";
import { isAimed } from "../construct/wishes";
import { ClauseSearch } from "./clause-search";
import { part } from "./subproblem";

/** Dead ends that one look at a part may have. */
const CONFLICTS = 150;
const EQUAL = 1e-6;

/** Some tasks of a large day as a problem of their own, in which all others are not there. */
interface Part {
  readonly tasks: readonly number[];
  readonly model: Model;
  /** Made when the part is first looked at. */
  search: ClauseSearch | undefined;
  readonly low: Int32Array;
  readonly high: Int32Array;
  /** The cheapest schedule of these tasks alone that is known. */
  best: Schedule;
  bound: number;
}

/**
 * A lower bound for days that are too large to be searched as a whole. The tasks are dealt out into parts. In every
 * schedule of the day the tasks of a part keep their own rules among themselves and stay in their windows, so that they
 * cost there at least what they cost alone at their best; and what is due, late or stretched is the sum over all tasks.
 * (The span and the end of the whole day belong to no part.) Each part is searched like a small problem.
 */
export class Parts {
  private readonly parts: Part[];

  /**
   * @param low,high least and greatest value of each start (2i) and end (2i + 1) in any schedule
   * @param like a schedule of the day: what is close in it is dealt out together
   * @param most tasks that one part takes at most: the more, the higher the bound and the longer the search
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
    this.parts = dealOut(model, like, most).map((tasks, k) => {
      const alone = aloneOf(k === 0 ? model : { ...model, span: 0, makespan: 0 }, tasks, low, high);
      const starts = Int32Array.from(tasks, (i) => like.starts[i] - alone.from);
      const ends = Int32Array.from(tasks, (i) => like.ends[i] - alone.from);
      const best = { starts, ends, choices: tasks.map((i) => like.choices[i]), cost: costOf(alone.model, starts, ends) };
      return { ...alone, tasks, search: undefined, best, bound: 0 };
    });
  }

  /** No schedule of the day costs less than this. */
  get bound(): number {
    return this.parts.reduce((sum, { bound }, k) => sum + (k === 0 ? Math.max(bound, this.endsCost) : bound), 0);
  }

  /** True when no further search can raise the bound. */
  get done(): boolean {
    return this.parts.every((part) => part.best.cost - part.bound <= EQUAL);
  }

  /** Searches the part with the widest gap of some drawn by chance for something cheaper, which raises its bound or lowers its best. */
  step(spent: () => boolean): void {
    const open = this.parts.filter((part) => part.best.cost - part.bound > EQUAL);
    if (open.length === 0) return;
    let part = open[this.chance.below(open.length)];
    for (let k = 0; k < 3; k++) {
      const other = open[this.chance.below(open.length)];
      if (other.best.cost - other.bound > part.best.cost - part.bound) part = other;
    }
    const gap = part.best.cost - part.bound;
    const target = part.best.cost - Math.max(gap * [0.5, 0.1, 0][this.chance.below(3)], Math.min(gap, 1e-4));
    part.search ??= new ClauseSearch(part.model, part.low, part.high, this.chance);
    const outcome = part.search.run({
      target,
      conflicts: CONFLICTS,
      spent,
      like: part.best,
      late: (k) => this.late(part.tasks[k]),
    });
    if (outcome.kind === "found") part.best = outcome.schedule;
    part.bound = Math.min(part.best.cost, Math.max(part.bound, part.search.bound));
    // What is settled needs its search no more, and a large day has many.
    if (part.best.cost - part.bound <= EQUAL) part.search = undefined;
  }
}

/** Clusters in the order in which they are due or else stand, a few at a time; the first part has some from both ends. */
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
  const parts: number[][] = [ends];
  for (const { tasks } of order) {
    const last = parts.at(-1)!;
    if (parts.length > 1 && last.length + tasks.length <= most) last.push(...tasks);
    else parts.push([...tasks]);
  }
  return parts;
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
    // What is not in the part may bridge a pause between two loads that are.
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
