import { Cursor } from "./cursor";
import type { Model } from "../model";
import type { Occupancy } from "./occupancy";
import type { Windows } from "./windows";

/** Minutes of placements tried in all: what is not narrowed by then stays as wide as it is. */
const MOST_MINUTES = 100_000_000;

/**
 * Narrows the windows by what each task could get if it were alone: hours, breaks, capacities, warm-up. Valid for
 * every schedule, so an empty window is a proof that none exists.
 * @returns the task that fits nowhere, or −1
 */
export function tighten(model: Model, windows: Windows, occupancy: Occupancy): number {
  const early = new Cursor(model, windows, occupancy);
  const late = new Cursor(model, windows, occupancy);
  // Windows with which each task was looked at last: within the same nothing new comes out.
  const { lo, hi } = windows;
  const seen = new Int32Array(4 * model.n).fill(-1);
  let minutes = 0;
  for (let changed = true; changed;) {
    changed = false;
    for (let i = 0; i < model.n; i++) {
      if (minutes > MOST_MINUTES) return -1;
      if (model.uses[i].length === 0) continue;
      const s = 2 * i;
      const e = s + 1;
      const at = 4 * i;
      if (lo[s] === seen[at] && hi[s] === seen[at + 1] && lo[e] === seen[at + 2] && hi[e] === seen[at + 3]) continue;
      // The first start that works, and the last end: what lies outside works with no choice of cook or stretch.
      let first = lo[s];
      let last = hi[e];
      early.begin(i, "early");
      if (early.next()) {
        first = early.start;
        occupancy.remove(i);
      } else if (!early.gaveUp) return i;
      late.begin(i, "late");
      if (late.next()) {
        last = late.end;
        occupancy.remove(i);
      } else if (!late.gaveUp) return i;
      minutes += early.minutes + late.minutes;
      if (first > lo[s] || last < hi[e]) {
        changed = true;
        if (!windows.narrow(i, first, last)) return windows.failedAt >> 1;
      }
      seen[at] = lo[s];
      seen[at + 1] = hi[s];
      seen[at + 2] = lo[e];
      seen[at + 3] = hi[e];
    }
  }
  return -1;
}
