import type { Order } from "./partial-order-schedule";

const EPS = 1e-9;
const FAR = 1 << 28;

/** Arcs by the node at one of their ends: those of node v are `arcs[start[v]]` to `arcs[start[v + 1] − 1]`; `other` is their far end. */
interface Rows {
  readonly start: Int32Array;
  readonly arcs: Int32Array;
  readonly other: Int32Array;
}

/**
 * Sets of nodes that gain by moving a minute together: with every node all that an arc without slack pushes along. The
 * best such set is a cut of least capacity (a maximum closure of a weighted graph), found by augmenting flow (Dinic) from the nodes that gain
 * to those that lose; what the gain that is left over still reaches is the set.
 */
export class Closure {
  private readonly out: Rows;
  private readonly into: Rows;
  private readonly flow: Float64Array;
  private readonly tight: Uint8Array;
  /** Steps from the nodes that gain, −1 where they reach nothing. */
  private readonly level: Int32Array;
  private readonly queue: Int32Array;
  private readonly nextPush: Int32Array;
  private readonly nextPull: Int32Array;
  /** Arcs of the way that is being looked for; those taken back along a flow are complemented. */
  private readonly way: Int32Array;
  private readonly excess: Float64Array;
  private readonly lack: Float64Array;
  /** Which arcs push: those out of a node when it moves later, those into it when it moves earlier. */
  private push: Rows;
  private pull: Rows;

  constructor(private readonly order: Order) {
    const { nodes, from, to } = order;
    this.out = this.push = rowsOf(nodes, from, to);
    this.into = this.pull = rowsOf(nodes, to, from);
    this.flow = new Float64Array(from.length);
    this.tight = new Uint8Array(from.length);
    this.level = new Int32Array(nodes);
    this.queue = new Int32Array(nodes);
    this.nextPush = new Int32Array(nodes);
    this.nextPull = new Int32Array(nodes);
    this.way = new Int32Array(nodes);
    this.excess = new Float64Array(nodes);
    this.lack = new Float64Array(nodes);
  }

  /**
   * The connected sets that gain by a minute later (or earlier); none where no set does.
   * @param gain what each node by itself gains by that minute
   */
  best(at: Int32Array, gain: Float64Array, later: boolean): number[][] {
    const { nodes, from, to, weight, lo, hi } = this.order;
    const { flow, tight, excess, lack } = this;
    this.push = later ? this.out : this.into;
    this.pull = later ? this.into : this.out;
    flow.fill(0);
    for (let a = 0; a < from.length; a++) tight[a] = at[to[a]] - at[from[a]] === weight[a] ? 1 : 0;
    for (let v = 0; v < nodes; v++) {
      const blocked = later ? at[v] >= hi[v] : at[v] <= lo[v];
      // What cannot move helps nothing else to move.
      excess[v] = blocked ? 0 : Math.max(0, gain[v]);
      lack[v] = blocked ? Infinity : Math.max(0, -gain[v]);
    }
    while (this.setLevels()) {
      this.nextPush.set(this.push.start.subarray(0, nodes));
      this.nextPull.set(this.pull.start.subarray(0, nodes));
      for (let v = 0; v < nodes; v++)
        while (excess[v] > EPS) {
          const sent = this.send(v, excess[v]);
          if (sent <= EPS) break;
          excess[v] -= sent;
        }
    }
    return this.connected();
  }

  /** How far a set may move before it pushes something outside it, min. */
  room(at: Int32Array, members: readonly number[], inside: Uint8Array, later: boolean): number {
    const { weight } = this.order;
    const { start, arcs, other } = later ? this.out : this.into;
    let least = FAR;
    for (const v of members)
      for (let k = start[v]; k < start[v + 1]; k++) {
        const w = other[k];
        if (inside[w]) continue;
        const slack = (later ? at[w] - at[v] : at[v] - at[w]) - weight[arcs[k]];
        if (slack < least) least = slack;
      }
    return least;
  }

  /** Breadth first from all that still gain; true where something that still loses is reached. */
  private setLevels(): boolean {
    const { level, queue, excess, lack, tight, flow, push, pull } = this;
    level.fill(-1);
    let count = 0;
    for (let v = 0; v < level.length; v++)
      if (excess[v] > EPS) {
        level[v] = 0;
        queue[count++] = v;
      }
    let reached = false;
    for (let q = 0; q < count; q++) {
      const v = queue[q];
      if (lack[v] > EPS) reached = true;
      for (let k = push.start[v]; k < push.start[v + 1]; k++) {
        const w = push.other[k];
        if (level[w] >= 0 || !tight[push.arcs[k]]) continue;
        level[w] = level[v] + 1;
        queue[count++] = w;
      }
      for (let k = pull.start[v]; k < pull.start[v + 1]; k++) {
        const w = pull.other[k];
        if (level[w] >= 0 || flow[pull.arcs[k]] <= EPS) continue;
        level[w] = level[v] + 1;
        queue[count++] = w;
      }
    }
    return reached;
  }

  /**
   * Sends up to so much from a node to one that loses, a level at a time; how much went. The way is kept as a list of arcs
   * and not on the call stack: it is as long as the longest chain of tasks.
   */
  private send(from: number, amount: number): number {
    const { lack, flow, way } = this;
    let v = from;
    let length = 0;
    for (;;) {
      if (lack[v] > EPS) break;
      const arc = this.nextArc(v);
      if (arc !== undefined) {
        way[length++] = arc.back ? ~arc.arc : arc.arc;
        v = arc.to;
        continue;
      }
      // Nothing leads on from here: back to where it came from, and on from the arc after the one that led here.
      if (length === 0) return 0;
      const led = way[--length];
      v = this.tailOf(led);
      if (led < 0) this.nextPull[v]++;
      else this.nextPush[v]++;
    }
    let sent = Math.min(amount, lack[v]);
    for (let k = 0; k < length; k++) if (way[k] < 0) sent = Math.min(sent, flow[~way[k]]);
    lack[v] -= sent;
    for (let k = 0; k < length; k++)
      if (way[k] < 0) flow[~way[k]] -= sent;
      else flow[way[k]] += sent;
    return sent;
  }

  /** The next arc that leads a level on from a node, where there is one: along an arc without slack, or back along a flow. */
  private nextArc(v: number): { readonly arc: number; readonly to: number; readonly back: boolean } | undefined {
    const { level, tight, flow, push, pull, nextPush, nextPull } = this;
    for (; nextPush[v] < push.start[v + 1]; nextPush[v]++) {
      const arc = push.arcs[nextPush[v]];
      const to = push.other[nextPush[v]];
      if (tight[arc] && level[to] === level[v] + 1) return { arc, to, back: false };
    }
    for (; nextPull[v] < pull.start[v + 1]; nextPull[v]++) {
      const arc = pull.arcs[nextPull[v]];
      const to = pull.other[nextPull[v]];
      if (flow[arc] > EPS && level[to] === level[v] + 1) return { arc, to, back: true };
    }
    return undefined;
  }

  /** The node that an arc of the way was taken from; arcs that were taken back along a flow are complemented. */
  private tailOf(taken: number): number {
    const { from, to } = this.order;
    const later = this.push === this.out;
    return taken < 0 === later ? to[taken < 0 ? ~taken : taken] : from[taken < 0 ? ~taken : taken];
  }

  /** What is reached, in parts that no tight arc connects: each may move by a distance of its own. */
  private connected(): number[][] {
    const { level, tight, push, pull } = this;
    const seen = new Uint8Array(level.length);
    const parts: number[][] = [];
    for (let root = 0; root < level.length; root++) {
      if (level[root] < 0 || seen[root]) continue;
      const members = [root];
      seen[root] = 1;
      for (let m = 0; m < members.length; m++)
        for (const rows of [push, pull])
          for (let k = rows.start[members[m]]; k < rows.start[members[m] + 1]; k++) {
            const w = rows.other[k];
            if (level[w] < 0 || seen[w] || !tight[rows.arcs[k]]) continue;
            seen[w] = 1;
            members.push(w);
          }
      parts.push(members);
    }
    return parts;
  }
}

/** Arcs by the node `at` one end, with the node at the other. */
export function rowsOf(nodes: number, at: Int32Array, far: Int32Array): Rows {
  const start = new Int32Array(nodes + 1);
  for (const v of at) start[v + 1]++;
  for (let v = 0; v < nodes; v++) start[v + 1] += start[v];
  const next = start.slice();
  const arcs = new Int32Array(at.length);
  const other = new Int32Array(at.length);
  for (let a = 0; a < at.length; a++) {
    const k = next[at[a]]++;
    arcs[k] = a;
    other[k] = far[a];
  }
  return { start, arcs, other };
}
