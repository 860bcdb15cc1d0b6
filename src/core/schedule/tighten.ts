import { Cursor } from "./cursor";
import type { Model } from "./model";
import type { Occupancy } from "./occupancy";
import type { Windows } from "./windows";

/**
 * Narrows the windows by what each task could get if it were alone: hours, breaks, capacities, warm-up. Valid for
 * every schedule, so an empty window is a proof that none exists.
 * @returns the task that fits nowhere, or −1
 */
export function tighten(model: Model, windows: Windows, occupancy: Occupancy): number {
  const early = new Cursor(model, windows, occupancy);
  const late = new Cursor(model, windows, occupancy);
  for (let changed = true; changed;) {
    changed = false;
    for (let i = 0; i < model.n; i++) {
      if (model.uses[i].length === 0) continue;
      const s = 2 * i;
      early.begin(i, "early");
      if (!early.next()) return i;
      occupancy.remove(i);
      late.begin(i, "late");
      if (!late.next()) return i;
      occupancy.remove(i);
      // The first start that works, and the last end: what lies outside works with no choice of cook or stretch.
      const low = early.start;
      const high = late.end;
      if (low <= windows.lo[s] && high >= windows.hi[s + 1]) continue;
      changed = true;
      if (!windows.narrow(i, low, high)) return windows.failedAt >> 1;
    }
  }
  return -1;
}
