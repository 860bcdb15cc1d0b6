import type { Model } from "../model";
import type { Occupancy } from "./occupancy";
import type { Windows } from "./windows";

/** Whether what is tied to a task, and what of its own hangs on one of its ends, could have its units at a moment. */
export class Ties {
  private task = -1;
  /** Of each minute of one end's window: 0 not looked at yet, 1 what hangs on it could have its units there, 2 not. */
  private known = new Uint8Array(0);
  private knownFrom = 0;
  private knowsAny = false;

  constructor(
    private readonly model: Model,
    private readonly windows: Windows,
    private readonly occupancy: Occupancy,
  ) {}

  /** Forgets what it knew of the task before. */
  begin(task: number): void {
    this.task = task;
    this.knowsAny = false;
  }

  /** Whether what is tied to this end of the task, and not placed yet, could have its units there. */
  meet(moment: number, atEnd: boolean): boolean {
    const { model, occupancy, task } = this;
    const tied = atEnd ? model.tiedAfter[task] : model.tiedBefore[task];
    for (let k = 0; k < tied.length; k++) {
      const other = tied[k];
      if (occupancy.isPlaced(other)) continue;
      if (!occupancy.canAnchor(other, moment, !atEnd)) return false;
      const least = model.least[other];
      if (!occupancy.canHold(other, atEnd ? moment : moment - least, atEnd ? moment + least : moment)) return false;
    }
    return true;
  }

  /** The same with the task's own parts; asked for one end only between two beginnings, and remembered. */
  allow(moment: number, atEnd: boolean): boolean {
    const { task, model, occupancy } = this;
    const node = 2 * task + (atEnd ? 1 : 0);
    if (model.anchored[node] === 0) return true;
    if (!this.knowsAny) {
      this.knowsAny = true;
      this.knownFrom = this.windows.lo[node];
      const minutes = this.windows.hi[node] - this.knownFrom + 1;
      if (this.known.length < minutes) this.known = new Uint8Array(minutes);
      else this.known.fill(0, 0, minutes);
    }
    const k = moment - this.knownFrom;
    if (this.known[k] === 0) this.known[k] = occupancy.canAnchor(task, moment, atEnd) && this.meet(moment, atEnd) ? 1 : 2;
    return this.known[k] === 1;
  }
}
