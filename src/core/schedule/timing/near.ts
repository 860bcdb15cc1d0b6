import type { Order } from "./partial-order-schedule";

/** A part of an order in which all other nodes stand still: its nodes' numbers in the whole, and their values. */
export interface Near {
  readonly order: Order;
  readonly names: Int32Array;
  readonly at: Int32Array;
}

/**
 * Cuts the nodes that may move out of an order. An arc to or from one that stands still becomes a bound.
 * @param still 1 for each node that stands still at its value in `at`
 */
export function nearOf(order: Order, at: Int32Array, still: Uint8Array): Near {
  const { from, to, weight } = order;
  const place = new Int32Array(order.nodes).fill(-1);
  let nodes = 0;
  for (let v = 0; v < order.nodes; v++) if (!still[v]) place[v] = nodes++;
  const names = new Int32Array(nodes);
  for (let v = 0; v < order.nodes; v++) if (place[v] >= 0) names[place[v]] = v;
  const lo = names.map((v) => order.lo[v]);
  const hi = names.map((v) => order.hi[v]);
  const kept = new Int32Array(from.length);
  let count = 0;
  for (let a = 0; a < from.length; a++) {
    const f = place[from[a]];
    const t = place[to[a]];
    if (f >= 0 && t >= 0) kept[count++] = a;
    else if (f >= 0) hi[f] = Math.min(hi[f], at[to[a]] - weight[a]);
    else if (t >= 0) lo[t] = Math.max(lo[t], at[from[a]] + weight[a]);
  }
  const arcs = kept.subarray(0, count);
  return {
    names,
    at: names.map((v) => at[v]),
    order: {
      nodes,
      lo,
      hi,
      from: arcs.map((a) => place[from[a]]),
      to: arcs.map((a) => place[to[a]]),
      weight: arcs.map((a) => weight[a]),
    },
  };
}
