import type { Chance } from "../../shared/chance";
import type { Model, ModelUse } from "../model";
import type { Schedule } from "../construct/schedule";

/**
 * Frees the tasks of a partial schedule that stand near one that found no place: in its cluster, in its time, at its
 * resources.
 */
export function freeAround(model: Model, current: Schedule, freed: Uint8Array, trouble: Float64Array, chance: Chance): void {
  const open: number[] = [];
  for (let i = 0; i < model.n; i++) if (current.starts[i] < 0) open.push(i);
  let seed = open[chance.below(open.length)];
  for (let k = 0; k < 2; k++) {
    const other = open[chance.below(open.length)];
    if (trouble[other] > trouble[seed]) seed = other;
  }
  const size = 6 + chance.below(40);
  const kind = chance.below(3);
  // Where the seed would stand: near its neighbours that are placed.
  let around = 0;
  let known = 0;
  for (let i = 0; i < model.n; i++)
    if (current.starts[i] >= 0 && (model.cluster[i] === model.cluster[seed] || model.neighbours[seed].includes(i))) {
      around += current.starts[i];
      known++;
    }
  const middle = known > 0 ? around / known : (model.lo0[2 * seed] + model.hi0[2 * seed]) / 2;
  const wanted = kind === 1 ? takersOf(model, model.uses[seed]) : undefined;
  const near = nearest(current.starts, middle, (i) => current.starts[i] >= 0 && (!wanted || wanted[i] === 1));
  if (kind === 0) {
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === model.cluster[seed]) freed[i] = 1;
    const other = model.cluster[near.length > 0 ? near[chance.below(near.length)] : seed];
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === other) freed[i] = 1;
  }
  for (let k = 0; k < Math.min(size, near.length); k++) freed[near[k]] = 1;
}

/** Marks a neighbourhood: what lies in a stretch of time, hangs together, or shares a resource. */
export function freeSome(model: Model, current: Schedule, freed: Uint8Array, size: number, chance: Chance): void {
  const { n } = model;
  if (size >= n) {
    freed.fill(1);
    return;
  }
  const dear = chance.below(2) === 0;
  const seed = dear ? costly(model, current, chance) : chance.below(n);
  let count = 0;
  const free = (i: number) => {
    if (!freed[i]) {
      freed[i] = 1;
      count++;
    }
  };
  free(seed);
  /** Spreads along the links, from what is freed already. */
  const spread = (most: number) => {
    const queue = Array.from({ length: n }, (_, i) => i).filter((i) => freed[i]);
    for (let k = 0; k < queue.length && count < most; k++)
      for (const next of model.neighbours[queue[k]])
        if (count < most && !freed[next]) {
          free(next);
          queue.push(next);
        }
  };
  if (dear && Math.abs(current.ends[seed] - model.due[seed]) > ASTRAY && chance.below(2) === 0) {
    // What is far from its due time needs room there, not where it is.
    spread(size >> 1);
    const wanted = takersOf(
      model,
      model.uses.flatMap((uses, i) => (freed[i] ? uses : [])),
    );
    const near = nearest(current.starts, model.due[seed] - model.least[seed], (i) => wanted[i] === 1);
    for (let k = 0; k < near.length && count < size; k++) free(near[k]);
    return;
  }
  const kind = chance.below(4);
  if (kind === 0) {
    const near = nearest(current.starts, current.starts[seed], () => true);
    for (let k = 0; k < n && count < size; k++) free(near[k]);
    return;
  }
  if (kind === 1) {
    const uses = model.uses[seed];
    const wanted = uses.length > 0 ? takersOf(model, [uses[chance.below(uses.length)]]) : new Uint8Array(n);
    const near = nearest(current.starts, current.starts[seed], (i) => wanted[i] === 1);
    for (let k = 0; k < near.length && count < size; k++) free(near[k]);
  }
  spread(kind === 1 ? Math.min(n, size + 6) : size);
}

/** Tasks by the distance of their start from a minute, the nearest first. */
function nearest(starts: Int32Array, minute: number, wanted: (task: number) => boolean): Int32Array {
  const keys = new Float64Array(starts.length);
  let count = 0;
  // Distance and number in one figure: figures are sorted several times as fast as tasks by a rule.
  for (let i = 0; i < starts.length; i++) if (wanted(i)) keys[count++] = Math.abs(starts[i] - minute) * NUMBERS + i;
  const near = new Int32Array(count);
  keys.subarray(0, count).sort();
  for (let k = 0; k < count; k++) near[k] = keys[k] % NUMBERS;
  return near;
}
/** More than there are tasks in any problem. */
const NUMBERS = 1 << 20;

/** 1 for each task that may take one of the resources that some uses list. */
function takersOf(model: Model, uses: readonly ModelUse[]): Uint8Array {
  const takes = new Uint8Array(model.n);
  for (const use of uses) for (const r of use.resources) for (const task of model.takers[r]) takes[task] = 1;
  return takes;
}

/** How many tasks are looked at for one that costs much: so many, or as often a quarter of all. */
const DRAWN = 8;
/** Minutes from its due time at which a task is looked for a place there. */
const ASTRAY = 60;

/** Of some tasks drawn by chance the one that costs the most where it stands. */
function costly(model: Model, { starts, ends }: Schedule, chance: Chance): number {
  const { due, early, late, stretch, least } = model;
  const drawn = chance.below(2) === 0 ? DRAWN : Math.max(DRAWN, model.n >> 2);
  let pick = chance.below(model.n);
  let most = 0;
  for (let k = 0; k < drawn; k++) {
    const i = chance.below(model.n);
    const off = ends[i] < due[i] ? early[i] * (due[i] - ends[i]) : ends[i] > due[i] ? late[i] * (ends[i] - due[i]) : 0;
    const cost = off + stretch[i] * (ends[i] - starts[i] - least[i]);
    if (cost <= most) continue;
    most = cost;
    pick = i;
  }
  return pick;
}
