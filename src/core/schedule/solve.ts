import { seeded, type Chance } from "../shared/random";
import type { Wish } from "./cursor";
import { whyNone, whyNotFound } from "./explain";
import { compile, type Model } from "./model";
import type { Problem } from "./problem";
import { costOf, Search, type Schedule } from "./search";
import type { Solution } from "./solution";

export interface SolveOptions {
  /** Milliseconds on some clock that only goes forward; with `seconds` it limits the search. */
  readonly now: () => number;
  /** Time limit, s. Without it only `iterations` limits the search. */
  readonly seconds?: number;
  /** Steps of improvement after the first schedule. Default: 20,000 with no time limit, else unlimited. */
  readonly iterations?: number;
  readonly seed?: number;
  /** Attempts at a first schedule before the search says that it found none. Default: 4,000 with no time limit, else unlimited. */
  readonly dives?: number;
  /** Moment on the clock by which a first schedule must be there, else the search gives up. */
  readonly firstBy?: number;
  /** Told of each better schedule as it is found. */
  readonly better?: (solution: Solution) => void;
  /** Told now and then how many steps are done; answering false ends the search. */
  readonly progress?: (state: Progress) => boolean | void;
}

export interface Progress {
  readonly phase: "first" | "improve";
  readonly iterations: number;
  /** Cost of the best schedule so far; undefined while there is none. */
  readonly cost?: number;
  /** Most tasks that any attempt has placed, of `tasks`. */
  readonly placed: number;
  readonly tasks: number;
}

/** A solution; `proven` where it says infeasible and no schedule exists for certain. */
export type Answer = Solution & { readonly proven?: boolean };

const DEFAULT_ITERATIONS = 20000;
/** Dives for a first schedule before the search says that it found none, where no time limit says it. */
const DIVES = 4000;
const EQUAL = 1e-6;

/**
 * Schedules a problem: construction dives until one succeeds, then neighbourhoods are freed and placed anew for less
 * cost. Deterministic for a seed and an iteration limit when no time limit cuts in.
 * @returns the best schedule found, with a proven lower bound; or status "infeasible" with what binds
 */
export function solve(problem: Problem, options: SolveOptions): Answer {
  const model = compile(problem);
  const chance = seeded(options.seed ?? 1);
  const search = new Search(model, chance);
  if (search.stuck >= 0) return { ...refusal(whyNone(problem, model, search.stuck)), proven: true };
  const bound = Math.max(0, search.costBound());
  const started = options.now();
  const limit = options.seconds === undefined ? Infinity : started + options.seconds * 1000;
  const budget = new Budget(options, limit);

  const first = firstSchedule(search, budget, chance);
  if (!first) return refusal(whyNotFound(problem, model, search));
  options.better?.(toSolution(model, problem, first, bound));
  const best = improve(search, first, bound, budget, chance, options, problem);
  return toSolution(model, problem, best, bound);
}

const refusal = (why: readonly string[]): Solution => ({
  format: "unisynth-solution/1",
  status: "infeasible",
  cost: 0,
  bound: 0,
  tasks: [],
  why: [...why],
});

class Budget {
  private ticks = 0;
  cancelled = false;
  constructor(
    private readonly options: SolveOptions,
    private readonly limit: number,
  ) {}
  get dives(): number {
    return this.options.dives ?? (this.options.seconds === undefined ? DIVES : Infinity);
  }
  get iterations(): number {
    return this.options.iterations ?? (this.options.seconds === undefined ? DEFAULT_ITERATIONS : Infinity);
  }
  /** Too late for a first schedule. */
  late(): boolean {
    return this.options.firstBy !== undefined && this.options.now() >= this.options.firstBy;
  }
  spent(state: () => Progress): boolean {
    if (this.cancelled) return true;
    if (this.options.progress && (this.ticks++ & 7) === 0 && this.options.progress(state()) === false) this.cancelled = true;
    return this.cancelled || (this.limit !== Infinity && this.options.now() >= this.limit);
  }
}

/** Up to this many tasks the improvement begins anew from elsewhere when it is stuck; beyond, it goes back to the best. */
const SMALL = 60;

/** Repairs of one partial schedule without progress before a new one is begun. */
const REPAIRS = 120;

/**
 * Dives, and repairs of what they leave undone: the fullest partial schedule is kept, a neighbourhood of a task that
 * found no place is freed, and both are placed anew, the hardest first. Without progress a new dive begins.
 */
function firstSchedule(search: Search, budget: Budget, chance: Chance): Schedule | undefined {
  const { model } = search;
  const freed = new Uint8Array(model.n);
  let most = 0;
  let steps = 0;
  const spent = () => budget.spent(() => ({ phase: "first", iterations: steps, placed: most, tasks: model.n })) || budget.late();
  for (let dive = 0; steps < budget.dives; dive++) {
    steps++;
    search.clear();
    search.occupancy.preferScarce(() => (dive === 0 ? 0 : chance.unit()));
    const wishes = clusterWishes(model, chance, dive === 0 ? 0 : 0.3);
    const found = search.dive({
      deadEnds: 40 + 20 * luby(dive + 1),
      tries: 6 + 2 * (dive % 5),
      below: Infinity,
      whim: 0,
      wish: (task) => wishes[model.cluster[task]],
    });
    if (found) return found;
    let current = search.partial!;
    let left = search.left;
    most = Math.max(most, model.n - left);
    for (let idle = 0; idle < REPAIRS && steps < budget.dives; idle++) {
      if (spent()) return undefined;
      steps++;
      freed.fill(0);
      freeAround(model, current, freed, search.trouble, chance);
      if (!search.loosen(current, freed)) throw new Error("a partial schedule does not fit into its own problem");
      search.occupancy.preferScarce(() => chance.unit());
      const again = clusterWishes(model, chance, 0.3);
      const contrary = chance.below(3) === 0 ? 0.4 * chance.unit() : 0;
      const mended = search.dive({
        deadEnds: 20 + chance.below(40),
        tries: 4 + chance.below(8),
        below: Infinity,
        whim: chance.below(2) === 0 ? 0 : 5 * chance.unit(),
        wish: (task) => (chance.unit() < contrary ? (chance.below(2) === 0 ? "late" : "early") : again[model.cluster[task]]),
      });
      if (mended) return mended;
      if (search.left > left || !search.partial) continue;
      if (search.left < left) idle = 0;
      left = search.left;
      current = search.partial;
      most = Math.max(most, model.n - left);
    }
    if (spent()) return undefined;
    for (let i = 0; i < model.n; i++) search.trouble[i] = 1 + (search.trouble[i] - 1) * 0.6;
  }
  return undefined;
}

/** Frees the tasks of a partial schedule that stand near one that found no place: in its cluster, in its time, at its resources. */
function freeAround(model: Model, current: Schedule, freed: Uint8Array, trouble: Float64Array, chance: Chance): void {
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
  const wanted = new Set(model.uses[seed].flatMap((use) => Array.from(use.resources)));
  const near = Array.from({ length: model.n }, (_, i) => i)
    .filter((i) => current.starts[i] >= 0)
    .filter((i) => kind !== 1 || model.uses[i].some((use) => use.resources.some((r) => wanted.has(r))))
    .sort((a, b) => Math.abs(current.starts[a] - middle) - Math.abs(current.starts[b] - middle) || a - b);
  if (kind === 0) {
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === model.cluster[seed]) freed[i] = 1;
    const other = model.cluster[near.length > 0 ? near[chance.below(near.length)] : seed];
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === other) freed[i] = 1;
  }
  for (let k = 0; k < Math.min(size, near.length); k++) freed[near[k]] = 1;
}

/**
 * Late where a due time that costs earliness waits at the end of the cluster; early where there is at most a deadline.
 * In `variety` of the cases (0 to 1) chance decides instead.
 */
function clusterWishes(model: Model, chance: Chance, variety: number): Wish[] {
  const late = new Uint8Array(model.clusterCount);
  const aimed = new Uint8Array(model.n);
  const queue: number[] = [];
  for (let i = 0; i < model.n; i++)
    if (model.early[i] > 0) {
      aimed[i] = 1;
      queue.push(i);
    }
  // What leads up to an aimed task is late as well.
  while (queue.length > 0) {
    const i = queue.pop()!;
    late[model.cluster[i]] = 1;
    for (let a = model.backStart[2 * i]; a < model.backStart[2 * i + 1]; a++) {
      const from = model.backFrom[a];
      if ((from & 1) === 0 || from >> 1 === i || aimed[from >> 1]) continue;
      aimed[from >> 1] = 1;
      queue.push(from >> 1);
    }
  }
  return Array.from(late, (isLate) => {
    if (chance.unit() < (isLate ? variety : 3 * variety)) return chance.below(2) === 0 ? "late" : "early";
    return isLate ? "late" : "early";
  });
}

/** 1 1 2 1 1 2 4 …: restarts that are mostly short and sometimes long. */
function luby(i: number): number {
  let k = 1;
  while ((1 << k) - 1 < i) k++;
  return (1 << k) - 1 === i ? 1 << (k - 1) : luby(i - (1 << (k - 1)) + 1);
}

/** Frees a neighbourhood of tasks again and again and keeps what is no worse. */
function improve(
  search: Search,
  first: Schedule,
  bound: number,
  budget: Budget,
  chance: Chance,
  options: SolveOptions,
  problem: Problem,
): Schedule {
  const { model } = search;
  let current = first;
  let best = first;
  const freed = new Uint8Array(model.n);
  let size = Math.min(model.n, 8);
  let leeway = 0;
  let idle = 0;
  let lowest = first.cost;
  for (let iteration = 0; iteration < budget.iterations && best.cost > bound + EQUAL; iteration++) {
    if (budget.spent(() => ({ phase: "improve", iterations: iteration, cost: best.cost, placed: model.n, tasks: model.n })))
      break;
    freed.fill(0);
    freeSome(model, current, freed, size, chance);
    if (!search.loosen(current, freed)) throw new Error("a schedule does not fit into its own problem");
    search.occupancy.preferScarce(() => 3 * chance.unit());
    const style = chance.below(4);
    const found = search.dive({
      deadEnds: 12 + size,
      tries: 8,
      below: chance.below(3) === 0 ? best.cost + leeway * chance.unit() + EQUAL : current.cost - EQUAL,
      whim: 2,
      wish: (task) => wishFor(model, current, task, style, chance),
    });
    if (found) {
      if (found.cost < best.cost - EQUAL) {
        best = found;
        options.better?.(toSolution(model, problem, best, bound));
      }
      current = found;
    }
    idle = current.cost < lowest - EQUAL ? 0 : idle + 1;
    lowest = Math.min(lowest, current.cost);
    if (model.n <= SMALL && idle > 150 + 10 * model.n) {
      current = restart(search, chance) ?? best;
      lowest = current.cost;
      idle = 0;
    }
    // Wandering a little above the best, now further and now nearer, leaves hollows that no single neighbourhood leaves.
    if (iteration % 200 === 199) leeway = best.cost * 0.08 * chance.unit() * chance.unit();
    if (iteration % 500 === 499 && model.n > SMALL) current = best;
    if (iteration % 16 === 15) size = 3 + chance.below(Math.min(model.n, 40));
  }
  return best;
}

/** A new schedule by chance, to begin the improvement again from elsewhere. */
function restart(search: Search, chance: Chance): Schedule | undefined {
  search.clear();
  search.occupancy.preferScarce(() => 3 * chance.unit());
  const wishes = clusterWishes(search.model, chance, 1);
  return search.dive({ deadEnds: 200, tries: 10, below: Infinity, whim: 4, wish: (task) => wishes[search.model.cluster[task]] });
}

function wishFor(model: Model, current: Schedule, task: number, style: number, chance: Chance): Wish {
  if (!Number.isNaN(model.due[task]) && (model.early[task] > 0 || model.late[task] > 0)) return model.due[task];
  switch (style) {
    case 0:
      return "late";
    case 1:
      return "early";
    case 2:
      return current.ends[task] + (chance.below(2) === 0 ? 1 : -1) * chance.below(12);
    default:
      return chance.below(2) === 0 ? "late" : "early";
  }
}

/** Marks a neighbourhood: what lies in a stretch of time, hangs together, or shares a resource. */
function freeSome(model: Model, current: Schedule, freed: Uint8Array, size: number, chance: Chance): void {
  const { n } = model;
  if (size >= n) {
    freed.fill(1);
    return;
  }
  const seed = chance.below(n);
  let count = 0;
  const free = (i: number) => {
    if (!freed[i]) {
      freed[i] = 1;
      count++;
    }
  };
  free(seed);
  const kind = chance.below(4);
  if (kind === 0) {
    const middle = current.starts[seed];
    const near = Array.from({ length: n }, (_, i) => i).sort(
      (a, b) => Math.abs(current.starts[a] - middle) - Math.abs(current.starts[b] - middle) || a - b,
    );
    for (let k = 0; k < n && count < size; k++) free(near[k]);
    return;
  }
  if (kind === 1) {
    const wanted =
      model.uses[seed].length > 0 ? model.uses[seed][chance.below(model.uses[seed].length)].resources : new Int32Array(0);
    const near = Array.from({ length: n }, (_, i) => i)
      .filter((i) => model.uses[i].some((use) => use.resources.some((r) => wanted.includes(r))))
      .sort(
        (a, b) =>
          Math.abs(current.starts[a] - current.starts[seed]) - Math.abs(current.starts[b] - current.starts[seed]) || a - b,
      );
    for (let k = 0; k < near.length && count < size; k++) free(near[k]);
  }
  // Spread along the links, from what is freed already.
  const queue = Array.from({ length: n }, (_, i) => i).filter((i) => freed[i]);
  const target = kind === 1 ? Math.min(n, size + 6) : size;
  for (let k = 0; k < queue.length && count < target; k++)
    for (const next of model.neighbours[queue[k]])
      if (count < target && !freed[next]) {
        free(next);
        queue.push(next);
      }
}

function toSolution(model: Model, problem: Problem, schedule: Schedule, bound: number): Solution {
  const cost = costOf(model, schedule.starts, schedule.ends);
  const proven = Math.min(bound, cost);
  return {
    format: "unisynth-solution/1",
    status: cost - proven <= EQUAL ? "optimal" : "feasible",
    cost,
    bound: proven,
    tasks: problem.tasks.map((task, i) => ({
      id: task.id,
      start: schedule.starts[i],
      end: schedule.ends[i],
      taken: model.uses[i].map((use, u) => problem.resources[use.resources[schedule.choices[i][u]]].id),
    })),
    why: [],
  };
}
