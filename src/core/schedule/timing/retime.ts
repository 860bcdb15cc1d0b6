import { countUp } from "../../shared/count-up";
import type { Model } from "../model";
import { costOf, type Guess, type Schedule } from "../construct/schedule";
import { Windows } from "../construct/windows";
import { Closure } from "./closure";
import { leastTimes } from "./least-times";
import { nearOf, type Near } from "./near";
import { Orders, type Order } from "./partial-order-schedule";

const EPS = 1e-9;

/**
 * The cheapest times for what a schedule has decided (order, choices, hours).
 * @param most moves after which it ends with what it has
 * @param still 1 for each task that stays where it is; without it all may move
 * @returns the same schedule where its times are the best already
 */
export function retime(model: Model, orders: Orders, schedule: Schedule, most: number, still?: Uint8Array): Schedule {
  const order = orders.of(schedule);
  const at = timesOf(model, schedule);
  if (still) {
    // The first start and the last end of all may always move.
    const near = nearOf(
      order,
      at,
      Uint8Array.from({ length: order.nodes }, (_, node) => (node < 2 * model.n ? still[node >> 1] : 0)),
    );
    settle(model, near, most);
    near.names.forEach((node, k) => (at[node] = near.at[k]));
  } else settle(model, whole(order, at), most);
  const found = scheduleAt(model, at, schedule.choices);
  return found.cost < schedule.cost - EPS ? found : schedule;
}

/**
 * The order of a schedule that has become impossible as it stands (a task takes longer, may not begin yet) at its
 * cheapest times; undefined where no times keep it.
 */
export function sameOrder(
  model: Model,
  orders: Orders,
  schedule: Guess,
  most: number,
  inOrder: Guess = schedule,
): Schedule | undefined {
  const order = orders.of(inOrder);
  const was = timesOf(model, schedule);
  const { lo } = order;
  // What can stay where it was stays; only where that is too late for something everything is moved up first.
  const at =
    leastTimes(
      order,
      was.map((value, node) => (node === 2 * model.n ? lo[node] : Math.max(value, lo[node]))),
    ) ?? leastTimes(order, lo);
  if (!at) return undefined;
  settle(model, whole(order, at), most);
  return scheduleAt(model, at, schedule.choices);
}

/** Whether there may be times that keep an order: where not, none do; where so, no look was taken yet at what each task finds free. */
export function mayKeepOrder(model: Model, inOrder: Guess): boolean {
  const windows = new Windows(model);
  if (!windows.propagateAll()) return false;
  const order = new Orders(model, windows.lo, windows.hi).of(inOrder);
  return leastTimes(order, order.lo) !== undefined;
}

const whole = (order: Order, at: Int32Array): Near => ({ order, at, names: countUp(at.length) });

function scheduleAt(model: Model, at: Int32Array, choices: Schedule["choices"]): Schedule {
  const starts = Int32Array.from({ length: model.n }, (_, i) => at[2 * i]);
  const ends = Int32Array.from({ length: model.n }, (_, i) => at[2 * i + 1]);
  return { starts, ends, choices, cost: costOf(model, starts, ends) };
}

/**
 * As long as some set of starts and ends costs less when all of it moves by a minute, the best such set moves as far as
 * that pays; the times are moved in place. Every cost of the format is convex, so that where no set gains by moving later
 * and none by moving earlier, no times in this order are cheaper.
 */
function settle(model: Model, { order, names, at }: Near, most: number): void {
  const closure = new Closure(order);
  const gain = new Float64Array(order.nodes);
  const inside = new Uint8Array(order.nodes);
  let idle = 0;
  for (let move = 0; move < most && idle < 2; move++) {
    const later = move % 2 === 0;
    for (let v = 0; v < order.nodes; v++) gain[v] = gainOf(model, names[v], at[v], later);
    idle++;
    for (const members of closure.best(at, gain, later)) {
      for (const v of members) inside[v] = 1;
      const room = Math.min(closure.room(at, members, inside, later), boundsOf(order, at, members, later));
      for (const v of members) inside[v] = 0;
      const far = members.reduce((least, v) => Math.min(least, toDue(model, names[v], at[v], later)), room);
      if (far <= 0) continue;
      for (const v of members) at[v] += later ? far : -far;
      idle = 0;
    }
  }
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

/** What a node gains by a minute later (earlier). */
function gainOf(model: Model, node: number, at: number, later: boolean): number {
  const { n, due, early, late, stretch, makespan, span } = model;
  const sign = later ? 1 : -1;
  const i = node >> 1;
  if (i === n) return node === 2 * n ? sign * span : -sign * (span + makespan);
  if (node % 2 === 0) return sign * stretch[i];
  // Without a due time (NaN) both comparisons are false, and both rates are 0.
  const before = later ? at < due[i] : at <= due[i];
  return sign * ((before ? early[i] : -late[i]) - stretch[i]);
}

/** Minutes to the due time, where the gain changes; none where it is passed or not this way. */
function toDue(model: Model, node: number, at: number, later: boolean): number {
  if (node % 2 === 0 || node > 2 * model.n) return Infinity;
  const minutes = later ? model.due[node >> 1] - at : at - model.due[node >> 1];
  return minutes > 0 ? minutes : Infinity;
}

/** Minutes that a set may move inside the bounds of its members. */
function boundsOf({ lo, hi }: Order, at: Int32Array, members: readonly number[], later: boolean): number {
  let far = Infinity;
  for (const v of members) far = Math.min(far, later ? hi[v] - at[v] : at[v] - lo[v]);
  return far;
}
