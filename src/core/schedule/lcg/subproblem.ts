import { rows } from "../compile";
import { takenFrom, takenUntil, type Model } from "../model";
import { reachOf } from "../construct/occupancy";
import type { Schedule } from "../construct/schedule";
import { Windows } from "../construct/windows";

/** A few tasks of a schedule as a problem of its own: all others stay, and what they take is gone. */
export interface Piece {
  readonly model: Model;
  readonly low: Int32Array;
  readonly high: Int32Array;
  /** Where the tasks stand now, in the piece's own minutes. */
  readonly like: Schedule;
  /** Minute of the whole problem at which the piece begins. */
  readonly from: number;
  /** The tasks of the whole problem that it has first; behind them come loads and ends that stand still. */
  readonly tasks: readonly number[];
}

/**
 * Cuts the freed tasks out of a schedule, with the minutes in which they can lie, so that searching them costs by their
 * number and not by that of all. Loads that stay near them in a chamber come along fixed; ranks of loads further off are
 * not looked at, so what is found is to be checked against the whole.
 * @param low,high least and greatest value of each start (2i) and end (2i + 1) in any schedule
 * @param reach minutes by which a task may move at most either way
 * @returns undefined where nothing can move
 */
export function pieceOf(
  model: Model,
  schedule: Schedule,
  freed: Uint8Array,
  low: Int32Array,
  high: Int32Array,
  reach: number,
): Piece | undefined {
  const tasks: number[] = [];
  const place = new Int32Array(model.n).fill(-1);
  for (let i = 0; i < model.n; i++) if (freed[i]) place[i] = tasks.push(i) - 1;
  const at = (node: number) => (node & 1 ? schedule.ends : schedule.starts)[node >> 1];

  // What the tasks that stay leave to those that do not.
  const lo0 = new Int32Array(2 * tasks.length);
  const hi0 = new Int32Array(2 * tasks.length);
  const arcs: [number, number, number][] = [];
  tasks.forEach((i, k) => {
    for (const side of [0, 1]) {
      const node = 2 * i + side;
      const own = 2 * k + side;
      lo0[own] = Math.max(low[node], at(node) - reach);
      hi0[own] = Math.min(high[node], at(node) + reach);
      for (let a = model.arcStart[node]; a < model.arcStart[node + 1]; a++) {
        const to = model.arcTo[a];
        if (place[to >> 1] >= 0) arcs.push([own, 2 * place[to >> 1] + (to & 1), model.arcWeight[a]]);
        else hi0[own] = Math.min(hi0[own], at(to) - model.arcWeight[a]);
      }
      for (let a = model.backStart[node]; a < model.backStart[node + 1]; a++) {
        const other = model.backFrom[a];
        if (place[other >> 1] < 0) lo0[own] = Math.max(lo0[own], at(other) + model.backWeight[a]);
      }
    }
  });
  const inner = part(model, tasks);
  const draft = { ...inner, n: tasks.length, lo0, hi0, ...rows(2 * tasks.length, arcs) };
  const windows = new Windows(draft);
  if (!windows.propagateAll()) return undefined;

  let from = Math.min(...windows.lo);
  let to = Math.max(...windows.hi);
  const loads = loadsNear(model, schedule, place, tasks, from, to);
  for (const { task } of loads) {
    from = Math.min(from, schedule.starts[task]);
    to = Math.max(to, schedule.ends[task]);
  }
  // The first start and the last end of what stays; beyond the piece's minutes only that they are there counts.
  const ends = model.span > 0 || model.makespan > 0 ? endsOfRest(schedule, place, from, to) : [];
  const still = [...loads.map(({ task }) => [schedule.starts[task], schedule.ends[task]]), ...ends.map((t) => [t, t])];
  const n = tasks.length + still.length;
  const starts = new Int32Array(n);
  const finish = new Int32Array(n);
  const lengths = new Int32Array(n);
  const low1 = new Int32Array(2 * n);
  const high1 = new Int32Array(2 * n);
  tasks.forEach((i, k) => {
    starts[k] = schedule.starts[i] - from;
    finish[k] = schedule.ends[i] - from;
    for (const side of [0, 1]) {
      low1[2 * k + side] = windows.lo[2 * k + side] - from;
      high1[2 * k + side] = windows.hi[2 * k + side] - from;
    }
  });
  still.forEach(([s, e], j) => {
    const k = tasks.length + j;
    starts[k] = low1[2 * k] = high1[2 * k] = s - from;
    finish[k] = low1[2 * k + 1] = high1[2 * k + 1] = e - from;
    lengths[k] = e - s;
  });

  const padded = <T>(own: readonly T[], rest: readonly T[]): T[] => [...own, ...rest];
  const grown = (own: Float64Array, value: number) => Float64Array.from({ length: n }, (_, k) => own[k] ?? value);
  const stillUses = [...loads.map(({ use }) => [use]), ...ends.map(() => [])];
  const sub: Model = {
    ...inner,
    n,
    horizon: to - from,
    least: Int32Array.from({ length: n }, (_, k) => inner.least[k] ?? lengths[k]),
    most: Int32Array.from({ length: n }, (_, k) => inner.most[k] ?? lengths[k]),
    durationOf: Int32Array.from({ length: n }, (_, k) => inner.durationOf[k] ?? -1),
    durations: padded(
      inner.durations,
      still.map(() => new Int32Array(0)),
    ),
    uses: padded(inner.uses, stillUses),
    due: grown(inner.due, NaN).map((d) => d - from),
    early: grown(inner.early, 0),
    late: grown(inner.late, 0),
    stretch: grown(inner.stretch, 0),
    lo0: low1,
    hi0: high1,
    ...rows(2 * n, arcs),
    units: unitsLeft(model, schedule, place, tasks, from, to),
    chambers: model.chambers.map((chamber) => chamber && { ...chamber, on: chamber.on - from }),
  };
  const choices = padded(
    tasks.map((i) => schedule.choices[i]),
    stillUses.map((uses) => new Int32Array(uses.length)),
  );
  return { model: sub, low: low1, high: high1, like: { starts, ends: finish, choices, cost: 0 }, from, tasks };
}

/** The parent's arrays for these tasks only; what the learning search does not read is left empty. */
export function part(model: Model, tasks: readonly number[]): Model {
  const pick = <T>(of: readonly T[]): T[] => tasks.map((i) => of[i]);
  const whole = (of: Int32Array) => Int32Array.from(tasks, (i) => of[i]);
  const real = (of: Float64Array) => Float64Array.from(tasks, (i) => of[i]);
  return {
    ...model,
    ids: [],
    least: whole(model.least),
    most: whole(model.most),
    durationOf: whole(model.durationOf),
    durations: pick(model.durations),
    uses: pick(model.uses),
    entangled: [],
    due: real(model.due),
    early: real(model.early),
    late: real(model.late),
    stretch: real(model.stretch),
    cluster: new Int32Array(0),
    neighbours: [],
    tiedAfter: [],
    tiedBefore: [],
    takers: [],
    anchored: new Uint8Array(0),
  };
}

/** Loads that stay, in chambers that the tasks may take, so near that they could meet them or their change of setting. */
function loadsNear(model: Model, schedule: Schedule, place: Int32Array, tasks: readonly number[], from: number, to: number) {
  const near = new Float64Array(model.resourceCount).fill(-1);
  for (const i of tasks) for (const use of model.uses[i]) if (use.chamber) for (const r of use.resources) near[r] = 0;
  if (near.every((m) => m < 0)) return [];
  reachOf(model).forEach(({ change }, r) => {
    if (near[r] === 0) near[r] = Math.max(model.chambers[r]!.recovery, change);
  });
  const loads: { task: number; use: Model["uses"][number][number] }[] = [];
  for (let i = 0; i < model.n; i++) {
    if (place[i] >= 0) continue;
    model.uses[i].forEach((use, u) => {
      const r = use.resources[schedule.choices[i][u]];
      if (!use.chamber || near[r] < 0) return;
      if (schedule.starts[i] < to + near[r] && schedule.ends[i] + near[r] > from)
        loads.push({ task: i, use: { ...use, resources: Int32Array.of(r) } });
    });
  }
  return loads;
}

function endsOfRest(schedule: Schedule, place: Int32Array, from: number, to: number): number[] {
  let first = Infinity;
  let last = -Infinity;
  for (let i = 0; i < place.length; i++) {
    if (place[i] >= 0) continue;
    first = Math.min(first, schedule.starts[i]);
    last = Math.max(last, schedule.ends[i]);
  }
  if (last < first) return [];
  const inside = (t: number) => Math.min(to, Math.max(from, t));
  return [inside(first), inside(last)];
}

/** Units of the pools that the tasks may take, without what stays. */
function unitsLeft(
  model: Model,
  schedule: Schedule,
  place: Int32Array,
  tasks: readonly number[],
  from: number,
  to: number,
): (Int32Array | undefined)[] {
  const left: (Int32Array | undefined)[] = model.units.map(() => undefined);
  for (const i of tasks)
    for (const use of model.uses[i]) for (const r of use.resources) left[r] ??= model.units[r]?.slice(from, to + 1);
  for (let i = 0; i < model.n; i++) {
    if (place[i] >= 0 || schedule.ends[i] <= from || schedule.starts[i] >= to) continue;
    model.uses[i].forEach((use, u) => {
      const choice = schedule.choices[i][u];
      const row = left[use.resources[choice]];
      if (!row) return;
      const begin = takenFrom(use, schedule.starts[i], schedule.ends[i]);
      const end = takenUntil(use, choice, schedule.starts[i], schedule.ends[i]);
      for (let m = Math.max(begin, from); m < Math.min(end, to); m++) row[m - from] -= use.amount;
    });
  }
  return left;
}
