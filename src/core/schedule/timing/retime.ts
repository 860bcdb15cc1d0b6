import type { Model } from "../model";
import { costOf, type Guess, type Schedule } from "../search";
import { Closure } from "./closure";
import { leastTimes } from "./least-times";
import type { Order, Orders } from "./order";

const EPS = 1e-9;

/**
 * The cheapest times for what a schedule has decided (order, choices, hours).
 * @param most moves after which it ends with what it has
 * @returns the same schedule where its times are the best already
 */
export function retime(model: Model, orders: Orders, schedule: Schedule, most: number): Schedule {
  const found = settle(model, orders.of(schedule), timesOf(model, schedule), schedule.choices, most);
  return found.cost < schedule.cost - EPS ? found : schedule;
}

/**
 * The order of a schedule that has become impossible as it stands (a task takes longer, may not begin yet) at its
 * cheapest times; undefined where no times keep it.
 */
export function sameOrder(model: Model, orders: Orders, schedule: Guess, most: number): Schedule | undefined {
  const order = orders.of(schedule);
  const was = timesOf(model, schedule);
  const { lo } = order;
  // What can stay where it was stays; only where that is too late for something everything is moved up first.
  const at = leastTimes(
    order,
    was.map((value, node) => (node === 2 * model.n ? lo[node] : Math.max(value, lo[node]))),
  );
  const found = at ?? leastTimes(order, lo);
  return found && settle(model, order, found, schedule.choices, most);
}

/**
 * As long as some set of starts and ends costs less when all of it moves by a minute, the best such set moves as far as
 * that pays. Every cost of the format is convex, so that where no set gains by moving later and none by moving earlier,
 * no times in this order are cheaper.
 * @param at times that keep the order; taken over and moved
 */
function settle(model: Model, order: Order, at: Int32Array, choices: Schedule["choices"], most: number): Schedule {
  const { n } = model;
  const closure = new Closure(order);
  const gain = new Float64Array(order.nodes);
  const inside = new Uint8Array(order.nodes);
  let idle = 0;
  for (let move = 0; move < most && idle < 2; move++) {
    const later = move % 2 === 0;
    setGains(model, at, gain, later);
    idle++;
    for (const members of closure.best(at, gain, later)) {
      inside.fill(0);
      for (const v of members) inside[v] = 1;
      const far = Math.min(pays(model, order, at, members, later), closure.room(at, members, inside, later));
      if (far <= 0) continue;
      for (const v of members) at[v] += later ? far : -far;
      idle = 0;
    }
  }
  const starts = new Int32Array(n);
  const ends = new Int32Array(n);
  for (let i = 0; i < n; i++) {
    starts[i] = at[2 * i];
    ends[i] = at[2 * i + 1];
  }
  return { starts, ends, choices, cost: costOf(model, starts, ends) };
}

/** Values of the nodes: starts and ends, then the first start and the last end. */
function timesOf(model: Model, { starts, ends }: Guess): Int32Array {
  const { n } = model;
  const at = new Int32Array(2 * n + 2);
  at[2 * n] = model.horizon;
  for (let i = 0; i < n; i++) {
    at[2 * i] = starts[i];
    at[2 * i + 1] = ends[i];
    at[2 * n] = Math.min(at[2 * n], starts[i]);
    at[2 * n + 1] = Math.max(at[2 * n + 1], ends[i]);
  }
  return at;
}

/** What each node gains by a minute later (earlier). */
function setGains(model: Model, at: Int32Array, gain: Float64Array, later: boolean): void {
  const { n, due, early, late, stretch, makespan, span } = model;
  const sign = later ? 1 : -1;
  for (let i = 0; i < n; i++) {
    const end = at[2 * i + 1];
    // Without a due time (NaN) both comparisons are false, and both rates are 0.
    const before = later ? end < due[i] : end <= due[i];
    gain[2 * i + 1] = sign * ((before ? early[i] : -late[i]) - stretch[i]);
    gain[2 * i] = sign * stretch[i];
  }
  gain[2 * n] = sign * span;
  gain[2 * n + 1] = -sign * (span + makespan);
}

/** Minutes that a set may move inside its bounds with the gain that it has now: as far as the nearest due time. */
function pays(model: Model, { lo, hi }: Order, at: Int32Array, members: readonly number[], later: boolean): number {
  let far = Infinity;
  for (const v of members) {
    far = Math.min(far, later ? hi[v] - at[v] : at[v] - lo[v]);
    if (v % 2 === 0 || v > 2 * model.n) continue;
    const toDue = later ? model.due[v >> 1] - at[v] : at[v] - model.due[v >> 1];
    if (toDue > 0) far = Math.min(far, toDue);
  }
  return far;
}
