import type { Problem, Use } from "./problem";

/** One use of a task, with resources as numbers. */
export interface ModelUse {
  readonly resources: Int32Array;
  readonly amount: number;
  /** From the start (≥ 0) or the end (< 0); NO_PART for the whole task. */
  readonly from: number;
  /** Length of the part by choice, min; empty for the whole task. */
  readonly minutes: Int32Array;
  readonly setting: number;
  readonly sealed: number;
  readonly rank: number;
  readonly chamber: boolean;
}

export const NO_PART = 1 << 30;

/** What holds of a chamber: °C, °C per minute, minutes. */
export interface Chamber {
  readonly slots: number;
  readonly start: number;
  readonly heat: number;
  readonly cool: number;
  readonly recovery: number;
  readonly ranked: boolean;
  /** The minute at which it is switched on: 0, or before minute 0 in a part of a day. */
  readonly on: number;
}

/**
 * A problem as flat arrays for the search. Node 2i is the start of task i, node 2i + 1 its end; an arc a → b with
 * weight w says value(b) − value(a) ≥ w.
 */
export interface Model {
  readonly n: number;
  readonly horizon: number;
  readonly ids: readonly string[];
  readonly least: Int32Array;
  readonly most: Int32Array;
  /** Number of the use that sets the duration, −1 where none does. */
  readonly durationOf: Int32Array;
  readonly durations: readonly Int32Array[];
  readonly uses: readonly (readonly ModelUse[])[];
  /** True where two uses of a task could want the same unit in the same minute, so that choices must be tried together. */
  readonly entangled: readonly boolean[];
  readonly due: Float64Array;
  readonly early: Float64Array;
  readonly late: Float64Array;
  readonly stretch: Float64Array;
  readonly makespan: number;
  readonly span: number;
  readonly lo0: Int32Array;
  readonly hi0: Int32Array;
  readonly arcStart: Int32Array;
  readonly arcTo: Int32Array;
  readonly arcWeight: Int32Array;
  readonly backStart: Int32Array;
  readonly backFrom: Int32Array;
  readonly backWeight: Int32Array;
  readonly resourceCount: number;
  /** Units at each minute of a pool; undefined for a chamber. */
  readonly units: readonly (Int32Array | undefined)[];
  readonly chambers: readonly (Chamber | undefined)[];
  /** Of each resource the tasks that may take it. */
  readonly takers: readonly (readonly number[])[];
  /** Clusters: tasks held together by maximum lags. */
  readonly cluster: Int32Array;
  readonly clusterCount: number;
  /** Tasks linked by an `after`, either way. */
  readonly neighbours: readonly Int32Array[];
  /** Tasks that begin in the minute in which this one ends, and those that end when it begins. */
  readonly tiedAfter: readonly Int32Array[];
  readonly tiedBefore: readonly Int32Array[];
  /** 1 for each node at which parts of the task lie or another task is tied, so that not every minute will do. */
  readonly anchored: Uint8Array;
}

/** The first minute in which a use of a task on [start, end) takes its units. */
export function takenFrom(use: ModelUse, start: number, end: number): number {
  return use.from === NO_PART ? start : (use.from >= 0 ? start : end) + use.from;
}

/** The minute in which it gives them back, with one of its resources (a position in its list). */
export function takenUntil(use: ModelUse, choice: number, start: number, end: number): number {
  return use.from === NO_PART ? end : takenFrom(use, start, end) + use.minutes[choice];
}

/** The first minute in which a chamber can be at a setting, °C. */
export function warmAt(chamber: Chamber, setting: number): number {
  return Math.max(0, chamber.on + Math.ceil((setting - chamber.start) / chamber.heat));
}

/** Minutes that a chamber takes from one setting to another, °C; 0 where they are the same. */
export function changeover(chamber: { heat: number; cool: number }, from: number, to: number): number {
  return Math.ceil(Math.abs(to - from) / (to > from ? chamber.heat : chamber.cool));
}

/** Units of a pool, or slots of a chamber, that are there at the most. */
export function mostUnits(model: Model, resource: number): number {
  const chamber = model.chambers[resource];
  if (chamber) return chamber.slots;
  const units = model.units[resource]!;
  let most = 0;
  for (let t = 0; t < units.length; t++) if (units[t] > most) most = units[t];
  return most;
}

/** Translates a checked problem. Static bounds (earliest, latest, warm-up) are in `lo0` and `hi0`. */
export function compile(problem: Problem): Model {
  const n = problem.tasks.length;
  const horizon = problem.horizon;
  const resourceIndex = new Map(problem.resources.map((resource, i) => [resource.id, i]));
  const taskIndex = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const least = new Int32Array(n);
  const most = new Int32Array(n);
  const durationOf = new Int32Array(n).fill(-1);
  const durations: Int32Array[] = [];
  const due = new Float64Array(n).fill(NaN);
  const early = new Float64Array(n);
  const late = new Float64Array(n);
  const stretch = new Float64Array(n);
  const lo0 = new Int32Array(2 * n);
  const hi0 = new Int32Array(2 * n).fill(horizon);
  const arcs: [number, number, number][] = [];
  const tiedAfter: number[][] = problem.tasks.map(() => []);
  const tiedBefore: number[][] = problem.tasks.map(() => []);
  const neighbourSets = problem.tasks.map(() => new Set<number>());
  const parent = Int32Array.from({ length: n }, (_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]];
    return i;
  };

  const chambers = problem.resources.map((r) =>
    r.kind === "chamber"
      ? { slots: r.slots, start: r.start, heat: r.heat, cool: r.cool, recovery: r.recovery, ranked: r.ranked, on: 0 }
      : undefined,
  );
  const units = problem.resources.map((r) => {
    if (r.kind === "chamber") return undefined;
    const row = new Int32Array(horizon + 1);
    if (!r.calendar) row.fill(r.capacity);
    for (const [from, to, count] of r.calendar ?? []) row.fill(Math.min(count, r.capacity), Math.max(0, from), Math.max(0, to));
    return row;
  });

  const uses = problem.tasks.map((task, i) => {
    const { duration } = task;
    if (typeof duration === "number") least[i] = most[i] = duration;
    else if (Array.isArray(duration)) [least[i], most[i]] = duration;
    else {
      least[i] = Math.min(...duration.minutes);
      most[i] = Math.max(...duration.minutes);
      durationOf[i] = duration.of;
    }
    durations.push(
      typeof duration === "object" && !Array.isArray(duration) ? Int32Array.from(duration.minutes) : new Int32Array(0),
    );
    if (task.due !== undefined) {
      due[i] = task.due;
      early[i] = task.earlyCost;
      late[i] = task.lateCost;
    }
    if (Array.isArray(duration)) stretch[i] = task.stretchCost;
    lo0[2 * i] = Math.max(0, task.earliest ?? 0);
    hi0[2 * i + 1] = Math.min(horizon, task.latest ?? horizon);
    arcs.push([2 * i, 2 * i + 1, least[i]], [2 * i + 1, 2 * i, -most[i]]);
    for (const { task: other, min, max } of task.after) {
      const j = taskIndex.get(other)!;
      arcs.push([2 * j + 1, 2 * i, min]);
      neighbourSets[i].add(j);
      neighbourSets[j].add(i);
      if (max === undefined) continue;
      if (min === 0 && max === 0) {
        tiedAfter[j].push(i);
        tiedBefore[i].push(j);
      }
      arcs.push([2 * i, 2 * j + 1, -max]);
      if (max <= horizon) parent[root(i)] = root(j);
    }
    return task.uses.map((use): ModelUse => compileUse(use, resourceIndex, chambers));
  });
  problem.tasks.forEach((task, i) =>
    task.uses.forEach((use) => {
      const warm = (typeof use.resource === "string" ? [use.resource] : use.resource).map((id) => {
        const chamber = chambers[resourceIndex.get(id)!];
        return chamber ? warmAt(chamber, use.setting!) : 0;
      });
      lo0[2 * i] = Math.max(lo0[2 * i], Math.min(...warm));
    }),
  );

  const takers = problem.resources.map((): number[] => []);
  uses.forEach((list, i) => {
    for (const r of new Set(list.flatMap((use) => [...use.resources]))) takers[r].push(i);
  });
  const anchored = new Uint8Array(2 * n);
  uses.forEach((list, i) => {
    const at = (end: boolean) => list.some(({ from }) => from !== NO_PART && from < 0 === end);
    anchored[2 * i] = at(false) || tiedBefore[i].length > 0 ? 1 : 0;
    anchored[2 * i + 1] = at(true) || tiedAfter[i].length > 0 ? 1 : 0;
  });
  const cluster = new Int32Array(n);
  const clusterIds = new Map<number, number>();
  for (let i = 0; i < n; i++) {
    const r = root(i);
    if (!clusterIds.has(r)) clusterIds.set(r, clusterIds.size);
    cluster[i] = clusterIds.get(r)!;
  }
  return {
    n,
    horizon,
    ids: problem.tasks.map((task) => task.id),
    least,
    most,
    durationOf,
    durations,
    uses,
    entangled: uses.map(isEntangled),
    due,
    early,
    late,
    stretch,
    makespan: problem.costs.makespan,
    span: problem.costs.span,
    lo0,
    hi0,
    ...rows(2 * n, arcs),
    resourceCount: problem.resources.length,
    units,
    chambers,
    takers,
    cluster,
    clusterCount: clusterIds.size,
    neighbours: neighbourSets.map((set) => Int32Array.from(set)),
    tiedAfter: tiedAfter.map((list) => Int32Array.from(list)),
    tiedBefore: tiedBefore.map((list) => Int32Array.from(list)),
    anchored,
  };
}

function compileUse(use: Use, index: ReadonlyMap<string, number>, chambers: Model["chambers"]): ModelUse {
  const resources = Int32Array.from(typeof use.resource === "string" ? [use.resource] : use.resource, (id) => index.get(id)!);
  const part = use.from !== undefined && use.minutes !== undefined;
  const minutes = !part
    ? new Int32Array(0)
    : typeof use.minutes === "number"
      ? new Int32Array(resources.length).fill(use.minutes)
      : Int32Array.from(use.minutes as number[]);
  return {
    resources,
    amount: use.amount,
    from: part ? use.from! : NO_PART,
    minutes,
    setting: use.setting ?? 0,
    sealed: use.sealed,
    rank: use.rank,
    chamber: chambers[resources[0]] !== undefined,
  };
}

/** Two uses of one task share a resource and neither is a part that plainly lies beside the other. */
function isEntangled(uses: readonly ModelUse[]): boolean {
  return uses.some((a, i) =>
    uses.some((b, j) => {
      if (j <= i || a.chamber || !a.resources.some((r) => b.resources.includes(r))) return false;
      if (a.from === NO_PART || b.from === NO_PART) return true;
      if (a.from >= 0 !== b.from >= 0) return true;
      const [first, second] = a.from <= b.from ? [a, b] : [b, a];
      return first.from + Math.max(...first.minutes) > second.from;
    }),
  );
}

/** Arcs as compressed rows, forwards and backwards. */
export function rows(nodes: number, arcs: readonly (readonly [number, number, number])[]) {
  const arcStart = new Int32Array(nodes + 1);
  const backStart = new Int32Array(nodes + 1);
  for (const [a, b] of arcs) {
    arcStart[a + 1]++;
    backStart[b + 1]++;
  }
  for (let i = 0; i < nodes; i++) {
    arcStart[i + 1] += arcStart[i];
    backStart[i + 1] += backStart[i];
  }
  const arcTo = new Int32Array(arcs.length);
  const arcWeight = new Int32Array(arcs.length);
  const backFrom = new Int32Array(arcs.length);
  const backWeight = new Int32Array(arcs.length);
  const nextArc = arcStart.slice();
  const nextBack = backStart.slice();
  for (const [a, b, w] of arcs) {
    arcTo[nextArc[a]] = b;
    arcWeight[nextArc[a]++] = w;
    backFrom[nextBack[b]] = a;
    backWeight[nextBack[b]++] = w;
  }
  return { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight };
}
