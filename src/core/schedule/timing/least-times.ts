import { countUp } from "../../shared/count-up";
import { rowsOf } from "./closure";
import type { Order } from "./partial-order-schedule";

/**
 * The least values of all nodes that are no less than `from` and keep every arc (longest paths, by correcting labels);
 * undefined where there are none within the bounds.
 */
export function leastTimes(order: Order, from: Int32Array): Int32Array | undefined {
  const { nodes, hi } = order;
  const at = from.slice();
  for (let v = 0; v < nodes; v++) if (at[v] > hi[v]) return undefined;
  const { start, arcs, other } = rowsOf(nodes, order.from, order.to);
  const queue = countUp(nodes + 1);
  const queued = new Uint8Array(nodes).fill(1);
  const visits = new Int32Array(nodes);
  let head = 0;
  let tail = nodes;
  while (head !== tail) {
    const v = queue[head];
    head = (head + 1) % queue.length;
    queued[v] = 0;
    // Raised more often than there are nodes: a ring of arcs that pushes itself along.
    if (++visits[v] > nodes) return undefined;
    for (let k = start[v]; k < start[v + 1]; k++) {
      const w = other[k];
      const value = at[v] + order.weight[arcs[k]];
      if (value <= at[w]) continue;
      if (value > hi[w]) return undefined;
      at[w] = value;
      if (queued[w]) continue;
      queued[w] = 1;
      queue[tail] = w;
      tail = (tail + 1) % queue.length;
    }
  }
  return at;
}
