import type { Model } from "../model";
import { isAimed } from "./wishes";
import type { Windows } from "./windows";

/**
 * Tasks that wait for a place, and which of them comes next. Invariant: `tasks[0..count)` are those that wait, each at
 * `position[task]`; what is taken out or dropped is put back only by `add`.
 */
export class Unplaced {
  count = 0;
  private readonly tasks: Int32Array;
  private readonly position: Int32Array;
  /** Factors by which chance has a say in the order. */
  private readonly whims: Float64Array;
  /** Clusters with a task that has a due time. */
  private readonly aimed: Uint8Array;

  constructor(
    private readonly model: Model,
    private readonly windows: Windows,
    private readonly trouble: Float64Array,
  ) {
    this.tasks = new Int32Array(model.n);
    this.position = new Int32Array(model.n);
    this.whims = new Float64Array(model.n).fill(1);
    this.aimed = new Uint8Array(model.clusterCount);
    for (let i = 0; i < model.n; i++) if (isAimed(model, i)) this.aimed[model.cluster[i]] = 1;
  }

  add(task: number, whim?: number): void {
    if (whim !== undefined) this.whims[task] = whim;
    this.position[task] = this.count;
    this.tasks[this.count++] = task;
  }

  /** Takes a task out to be placed. */
  take(task: number): void {
    const last = this.tasks[--this.count];
    this.tasks[this.position[task]] = last;
    this.position[last] = this.position[task];
  }

  clear(): void {
    this.count = 0;
  }

  /** Tasks of a cluster that wait for a place wait no longer; how many they were. */
  dropCluster(cluster: number): number {
    let dropped = 0;
    for (let k = this.count - 1; k >= 0; k--) {
      const task = this.tasks[k];
      if (this.model.cluster[task] !== cluster) continue;
      const last = this.tasks[--this.count];
      this.tasks[k] = last;
      this.position[last] = k;
      dropped++;
    }
    return dropped;
  }

  /** The next task: one without any room at once, else the tightest of the active cluster, else the tightest of all. */
  pick(active: number, aims: boolean): number {
    const { lo, hi } = this.windows;
    const { cluster, least, most } = this.model;
    const { aimed } = this;
    let best = -1;
    let bestKey = Infinity;
    for (let k = 0; k < this.count; k++) {
      const i = this.tasks[k];
      const room = hi[2 * i] - lo[2 * i] + (most[i] > least[i] ? hi[2 * i + 1] - lo[2 * i + 1] : 0);
      let key = (room * this.whims[i]) / this.trouble[i];
      // A new cluster is begun at the task that its cost hangs on.
      if (room > 0 && cluster[i] !== active) key += aims && aimed[cluster[i]] && !isAimed(this.model, i) ? 2e7 : 1e7;
      if (key < bestKey) {
        bestKey = key;
        best = i;
      }
    }
    return best;
  }
}
