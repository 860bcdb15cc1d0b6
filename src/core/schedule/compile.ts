import { countUp } from "../shared/count-up";
import { NO_PART, warmAt, type Model, type ModelUse } from "./model";
import { candidatesOf, type Problem, type Use } from "./problem";

/** What of a model hangs on hours, bounds and costs alone. */
type Times = "horizon" | "due" | "early" | "late" | "stretch" | "makespan" | "span" | "lo0" | "hi0" | "units";
type Shape = Omit<Model, Times>;

/**
 * Translates a checked problem. Static bounds (earliest, latest, warm-up) are in `lo0` and `hi0`.
 * @param like the model of a problem that `hasSameShape`, which saves most of the work
 */
export function compile(problem: Problem, like?: Shape): Model {
  const shape = like ?? shapeOf(problem);
  return { ...shape, ...timesOf(problem, shape) };
}

/** Whether two problems differ by their hours, bounds and costs alone; what they have in common has to be the same objects. */
export function hasSameShape(a: Problem, b: Problem): boolean {
  return (
    a.tasks.length === b.tasks.length &&
    a.tasks.every((one, i) => {
      const other = b.tasks[i];
      const isTied = ({ max }: { readonly max?: number | undefined }, { horizon }: Problem) =>
        max !== undefined && max <= horizon;
      return (
        one.uses === other.uses &&
        one.duration === other.duration &&
        one.after === other.after &&
        (a.horizon === b.horizon || one.after.every((link) => isTied(link, a) === isTied(link, b)))
      );
    })
  );
}

function shapeOf(problem: Problem): Shape {
  const n = problem.tasks.length;
  const resourceIndex = new Map(problem.resources.map((resource, i) => [resource.id, i]));
  const taskIndex = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const least = new Int32Array(n);
  const most = new Int32Array(n);
  const durationOf = new Int32Array(n).fill(-1);
  const durations: Int32Array[] = [];
  const arcs: [number, number, number][] = [];
  const tiedAfter: number[][] = problem.tasks.map(() => []);
  const tiedBefore: number[][] = problem.tasks.map(() => []);
  const neighbourSets = problem.tasks.map(() => new Set<number>());
  const parent = countUp(n);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]];
    return i;
  };

  const chambers = problem.resources.map((r) =>
    r.kind === "chamber"
      ? { slots: r.slots, start: r.start, heat: r.heat, cool: r.cool, recovery: r.recovery, ranked: r.ranked, on: 0 }
      : undefined,
  );
  // Lists that many uses have in common are one list: a day is compiled for every answer, and each takes its time to be made.
  const lists = new Map<string, Int32Array>();
  const resourcesOf = (use: Use): Int32Array => {
    const ids = candidatesOf(use);
    const key = ids.join("\n");
    const known = lists.get(key);
    if (known) return known;
    const list = new Int32Array(ids.map((id) => resourceIndex.get(id)!));
    lists.set(key, list);
    return list;
  };
  const uses = problem.tasks.map((task, i) => {
    const { duration } = task;
    if (typeof duration === "number") least[i] = most[i] = duration;
    else if (Array.isArray(duration)) [least[i], most[i]] = duration;
    else {
      least[i] = Math.min(...duration.minutes);
      most[i] = Math.max(...duration.minutes);
      durationOf[i] = duration.of;
    }
    durations.push(typeof duration === "object" && !Array.isArray(duration) ? numbers(duration.minutes) : NOTHING);
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
      if (max <= problem.horizon) parent[root(i)] = root(j);
    }
    return task.uses.map((use): ModelUse => compileUse(use, resourcesOf(use), chambers));
  });

  const takers = problem.resources.map((): number[] => []);
  uses.forEach((list, i) => {
    for (const { resources } of list)
      for (let k = 0; k < resources.length; k++) {
        const own = takers[resources[k]];
        // Tasks come one after another: one that is there already is the last.
        if (own.at(-1) !== i) own.push(i);
      }
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
    ids: problem.tasks.map((task) => task.id),
    least,
    most,
    durationOf,
    durations,
    uses,
    entangled: uses.map(isEntangled),
    ...rows(2 * n, arcs),
    resourceCount: problem.resources.length,
    chambers,
    takers,
    cluster,
    clusterCount: clusterIds.size,
    neighbours: neighbourSets.map((set) => numbers([...set])),
    tiedAfter: tiedAfter.map(numbers),
    tiedBefore: tiedBefore.map(numbers),
    anchored,
  };
}

function timesOf(problem: Problem, { n, uses, chambers }: Shape): Pick<Model, Times> {
  const { horizon } = problem;
  const due = new Float64Array(n).fill(NaN);
  const early = new Float64Array(n);
  const late = new Float64Array(n);
  const stretch = new Float64Array(n);
  const lo0 = new Int32Array(2 * n);
  const hi0 = new Int32Array(2 * n).fill(horizon);
  problem.tasks.forEach((task, i) => {
    if (task.due !== undefined) {
      due[i] = task.due;
      early[i] = task.earlyCost;
      late[i] = task.lateCost;
    }
    if (Array.isArray(task.duration)) stretch[i] = task.stretchCost;
    let from = Math.max(0, task.earliest ?? 0);
    for (const { resources, setting } of uses[i]) {
      let warm = Infinity;
      for (let k = 0; k < resources.length; k++) {
        const chamber = chambers[resources[k]];
        warm = Math.min(warm, chamber ? warmAt(chamber, setting) : 0);
      }
      from = Math.max(from, warm);
    }
    lo0[2 * i] = from;
    hi0[2 * i + 1] = Math.min(horizon, task.latest ?? horizon);
  });
  const { makespan, span } = problem.costs;
  return { horizon, due, early, late, stretch, makespan, span, lo0, hi0, units: unitsOf(problem) };
}

function unitsOf({ resources, horizon }: Problem): Model["units"] {
  return resources.map((one) => {
    if (one.kind === "chamber") return undefined;
    const row = new Int32Array(horizon + 1);
    if (!one.calendar) row.fill(one.capacity);
    for (const [from, to, count] of one.calendar ?? [])
      row.fill(Math.min(count, one.capacity), Math.max(0, from), Math.max(0, to));
    return row;
  });
}

/** `new` of a list and not `from`, which walks an iterator and takes some ten times as long; of nothing there is one. */
const numbers = (list: readonly number[]): Int32Array => (list.length === 0 ? NOTHING : new Int32Array(list));
const NOTHING = new Int32Array(0);

function compileUse(use: Use, resources: Int32Array, chambers: Model["chambers"]): ModelUse {
  const part = use.from !== undefined && use.minutes !== undefined;
  const minutes = !part
    ? NOTHING
    : typeof use.minutes === "number"
      ? new Int32Array(resources.length).fill(use.minutes)
      : numbers(use.minutes as number[]);
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
