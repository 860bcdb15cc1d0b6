import { Moment } from "./moment";
import type { Model, ModelUse } from "../model";
import { mostUnits, NO_PART } from "../model";
import { addChamber, type Load } from "./chamber";
import { Cumulative } from "./cumulative";
import type { Interval } from "./intervals";
import { Engine } from "./engine";
import { Objective, type Term } from "./objective";

/** A schedule problem as variables and constraints, and how to read them back. */
export interface Built {
  readonly engine: Engine;
  readonly objective: Objective;
  readonly start: readonly Moment[];
  readonly end: readonly Moment[];
  /** Per task and use: one 0/1 variable a candidate; empty where there is a single one. */
  readonly taken: readonly (readonly (readonly number[])[])[];
  /** All loads of each chamber, for what is checked on whole schedules only. */
  readonly loads: readonly (readonly Load[])[];
}

/** Uses up to this many that a pool of one unit surely takes get an order variable a pair. */
const PAIRED = 45;

/** @param low,high windows of starts (2i) and ends (2i + 1) that every schedule keeps, e.g. those of `tighten` */
export function build(model: Model, low: Int32Array, high: Int32Array): Built {
  const engine = new Engine();
  const start: Moment[] = [];
  const end: Moment[] = [];
  for (let i = 0; i < model.n; i++) {
    const fixed = model.least[i] === model.most[i];
    const s = engine.newVar(low[2 * i], high[2 * i]);
    start.push({ x: s, plus: 0 });
    end.push(fixed ? { x: s, plus: model.least[i] } : { x: engine.newVar(low[2 * i + 1], high[2 * i + 1]), plus: 0 });
  }
  const momentOf = (node: number): Moment => (node & 1 ? end[node >> 1] : start[node >> 1]);
  const arc = (from: Moment, to: Moment, weight: number, when = -1): void => {
    const w = weight + from.plus - to.plus;
    if (from.x !== to.x) engine.addArc(2 * from.x, 2 * to.x, w, when);
    else if (w > 0) {
      if (when < 0) engine.broken = true;
      else engine.addClause([when ^ 1, 0]);
    }
  };
  for (let node = 0; node < 2 * model.n; node++)
    for (let a = model.arcStart[node]; a < model.arcStart[node + 1]; a++)
      arc(momentOf(node), momentOf(model.arcTo[a]), model.arcWeight[a]);

  const taken = model.uses.map((uses, i) =>
    uses.map((use, u) => {
      if (use.resources.length < 2) return [];
      const choice = Array.from(use.resources, () => engine.newVar(0, 1));
      engine.addClause(choice.flatMap((x) => [2 * x, 1]));
      for (let a = 0; a < choice.length; a++)
        for (let b = a + 1; b < choice.length; b++) engine.addClause([2 * choice[a] + 1, 0, 2 * choice[b] + 1, 0]);
      if (model.durationOf[i] === u && model.least[i] < model.most[i])
        choice.forEach((x, c) => {
          const length = model.durations[i][c];
          arc(start[i], end[i], length, 2 * x);
          arc(end[i], start[i], -length, 2 * x);
        });
      return choice;
    }),
  );

  const demands: Interval[][] = Array.from({ length: model.resourceCount }, () => []);
  const loads: Load[][] = Array.from({ length: model.resourceCount }, () => []);
  const shared = new Map<string, { resources: Int32Array; demands: Interval[] }>();
  model.uses.forEach((uses, i) =>
    uses.forEach((use, u) => {
      use.resources.forEach((r, c) => {
        const x = taken[i][u].length > 0 ? taken[i][u][c] : -1;
        if (use.chamber) {
          loads[r].push({ task: i, start: start[i], end: end[i], use, taken: x });
          return;
        }
        const demand = intervalOf(model, i, use, c, start[i], end[i], x);
        if (demand) demands[r].push(demand);
      });
      if (use.chamber || use.resources.length < 2) return;
      // Whoever it is, somebody of the list is taken: one more pool of all of them together.
      const key = [...use.resources].sort((a, b) => a - b).join();
      const pool = shared.get(key) ?? { resources: use.resources, demands: [] };
      shared.set(key, pool);
      const shortest = use.minutes.length > 0 ? use.minutes.indexOf(Math.min(...use.minutes)) : 0;
      const demand = intervalOf(model, i, use, shortest, start[i], end[i], -1);
      if (demand) pool.demands.push(demand);
    }),
  );

  demands.forEach((list, r) => {
    if (list.length === 0) return;
    addPool(engine, list, model.units[r]!);
    // What may have no length takes nothing then, and may lie within another.
    const sure = list.filter((d) => d.taken < 0 && d.least > 0);
    if (mostUnits(model, r) === 1 && sure.length > 1 && sure.length <= PAIRED) addPairs(engine, sure);
  });
  const pools = [...shared.values()];
  for (const pool of pools) {
    // Uses whose candidates all belong to this group count for it as well.
    const within = pools.filter((other) => other !== pool && [...other.resources].every((r) => pool.resources.includes(r)));
    const single = [...pool.resources].flatMap((r) => demands[r].filter((d) => d.taken < 0));
    const all = [...pool.demands, ...within.flatMap((other) => other.demands), ...single];
    const units = new Int32Array(model.horizon + 1);
    for (const r of pool.resources) for (let t = 0; t <= model.horizon; t++) units[t] += model.units[r]![t];
    addPool(engine, all, units);
  }
  model.chambers.forEach((chamber, r) => {
    if (chamber && loads[r].length > 0) addChamber(engine, chamber, loads[r], arc, model.horizon);
  });

  const objective = new Objective(termsOf(model, engine, start, end, arc), engine);
  objective.addTo(engine);
  return { engine, objective, start, end, taken, loads };
}

function intervalOf(
  model: Model,
  i: number,
  use: ModelUse,
  c: number,
  start: Moment,
  end: Moment,
  taken: number,
): Interval | undefined {
  if (use.from === NO_PART) {
    if (model.most[i] === 0) return undefined;
    return {
      start: start.x,
      startOffset: start.plus,
      end: end.x,
      endOffset: end.plus,
      amount: use.amount,
      least: model.least[i],
      taken,
    };
  }
  const minutes = use.minutes[c];
  if (minutes === 0) return undefined;
  const anchor = use.from >= 0 ? start : end;
  const from = anchor.plus + use.from;
  return {
    start: anchor.x,
    startOffset: from,
    end: anchor.x,
    endOffset: from + minutes,
    amount: use.amount,
    least: minutes,
    taken,
  };
}

function addPool(engine: Engine, demands: readonly Interval[], units: Int32Array): void {
  const last = units.length - 1;
  let capacity = units[last];
  let fewest = last > 0 ? units[0] : 0;
  for (let t = 0; t < last; t++) {
    if (units[t] > capacity) capacity = units[t];
    if (units[t] < fewest) fewest = units[t];
  }
  let wanted = 0;
  for (const { amount } of demands) wanted += amount;
  // Never full: nothing to keep.
  if (wanted <= fewest) return;
  const missing = new Int32Array(units.length);
  for (let t = 0; t < last; t++) missing[t] = capacity - units[t];
  // Beyond the horizon there is nothing.
  missing[last] = capacity;
  new Cumulative(demands, capacity, missing).addTo(engine);
}

/** For each two uses of a single unit: one before the other. */
function addPairs(engine: Engine, list: readonly Interval[]): void {
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++) {
      const [p, q] = [list[a], list[b]];
      if (p.start === q.start || p.end === q.end || p.start === q.end || p.end === q.start) continue;
      const before = engine.newVar(0, 1);
      engine.addArc(2 * p.end, 2 * q.start, p.endOffset - q.startOffset, 2 * before);
      // "not before" is minus the variable being at least 0: a second variable stands for it, so that it can switch.
      const after = engine.newVar(0, 1);
      engine.addClause([2 * before, 1, 2 * after, 1]);
      engine.addClause([2 * before + 1, 0, 2 * after + 1, 0]);
      engine.addArc(2 * q.end, 2 * p.start, q.endOffset - p.startOffset, 2 * after);
    }
}

function termsOf(
  model: Model,
  engine: Engine,
  start: readonly Moment[],
  end: readonly Moment[],
  arc: (from: Moment, to: Moment, weight: number) => void,
): Term[] {
  const terms: Term[] = [];
  for (let i = 0; i < model.n; i++) {
    const { x, plus } = end[i];
    if (model.early[i] > 0) {
      const early = engine.newVar(0, Math.max(0, model.due[i]));
      engine.addArc(2 * x + 1, 2 * early, model.due[i] - plus);
      terms.push({ cost: model.early[i], node: 2 * early, minus: -1, base: 0 });
    }
    if (model.late[i] > 0) {
      const late = engine.newVar(0, Math.max(0, model.horizon - model.due[i]));
      engine.addArc(2 * x, 2 * late, plus - model.due[i]);
      terms.push({ cost: model.late[i], node: 2 * late, minus: -1, base: 0 });
    }
    if (model.stretch[i] > 0 && model.most[i] > model.least[i])
      terms.push({ cost: model.stretch[i], node: 2 * x, minus: 2 * start[i].x + 1, base: model.least[i] });
  }
  if (model.n === 0 || (model.makespan === 0 && model.span === 0)) return terms;
  const last = { x: engine.newVar(0, model.horizon), plus: 0 };
  for (const e of end) arc(e, last, 0);
  if (model.makespan > 0) terms.push({ cost: model.makespan, node: 2 * last.x, minus: -1, base: 0 });
  if (model.span > 0) {
    const first = { x: engine.newVar(0, model.horizon), plus: 0 };
    for (const s of start) arc(first, s, 0);
    terms.push({ cost: model.span, node: 2 * last.x, minus: 2 * first.x + 1, base: 0 });
  }
  return terms;
}
