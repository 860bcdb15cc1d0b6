import type { Model } from "../model";
import type { Occupancy } from "./occupancy";
import { AnchorWalk, type Wish } from "./anchor-walk";
import { Ties } from "./ties";
import type { Windows } from "./windows";

/** Minutes of placements that a task is tried at before its walk is given up: long stretches in long windows have no end. */
const MOST_MINUTES = 20_000_000;

/**
 * Walks through the placements of one task, best wish first, and takes each that the resources allow.
 * The anchor is the end (wish late or a minute) or the start (wish early); a stretchable task has an inner walk over
 * its other end, a task by choice one over its cooks.
 */
export class Cursor {
  task = -1;
  start = 0;
  end = 0;
  /** Placements handed out so far. */
  handed = 0;
  /** Minutes of all placements tried so far. */
  minutes = 0;
  private wishEarly = false;
  private readonly anchors = new AnchorWalk();
  private readonly ties: Ties;
  private anchor = 0;
  /** The inner walk: over steps from `nearest`, or over choices; `innerEnd` −1 while it is not open. */
  private inner = 0;
  private innerEnd = -1;
  /** The first moment that the other end is tried at, at the present anchor. */
  private nearest = 0;

  constructor(
    private readonly model: Model,
    private readonly windows: Windows,
    private readonly occupancy: Occupancy,
  ) {
    this.ties = new Ties(model, windows, occupancy);
  }

  /** Whether the walk ended before its last placement: that nothing was found is then no proof. */
  get gaveUp(): boolean {
    return this.minutes > MOST_MINUTES;
  }

  begin(task: number, wish: Wish): void {
    const { lo, hi } = this.windows;
    const { early, late } = this.model;
    this.task = task;
    this.handed = 0;
    this.minutes = 0;
    this.wishEarly = wish === "early";
    this.ties.begin(task);
    const node = 2 * task + (this.wishEarly ? 0 : 1);
    this.anchors.begin(lo[node], hi[node], wish, early[task], late[task]);
    this.innerEnd = -1;
    this.inner = 0;
  }

  /** After a placement turned out badly: the next will be this many minutes away, at the anchor or (`inner`) at the other end. */
  skip(stride: number, inner: boolean): void {
    if (stride <= 1) return;
    if (inner && this.innerEnd >= 0 && this.inner + stride - 1 <= this.innerEnd) {
      this.inner += stride - 1;
      return;
    }
    this.anchors.skip(stride);
    this.innerEnd = -1;
  }

  /** Takes the next placement that fits; false when there is none. The caller removes it again when it fails later. */
  next(): boolean {
    const { model, task } = this;
    const stretchable = model.durationOf[task] < 0 && model.most[task] > model.least[task];
    const byChoice = model.durationOf[task] >= 0;
    for (;;) {
      if (this.innerEnd >= 0) {
        if (stretchable ? this.nextStretch() : this.nextChoice()) {
          this.handed++;
          return true;
        }
        this.innerEnd = -1;
      }
      if (this.gaveUp) return false;
      this.anchor = this.anchors.next();
      if (this.anchor < 0) return false;
      if (stretchable || byChoice) {
        this.openInner(byChoice);
        continue;
      }
      const length = model.least[task];
      const start = this.wishEarly ? this.anchor : this.anchor - length;
      if (this.take(start, start + length, -1)) {
        this.handed++;
        return true;
      }
      this.anchors.leap(this.occupancy.back, this.occupancy.on);
    }
  }

  private take(start: number, end: number, forced: number): boolean {
    this.minutes += end - start + 1;
    if (!this.ties.meet(start, false) || !this.ties.meet(end, true)) {
      this.occupancy.back = this.occupancy.on = 1;
      return false;
    }
    if (!this.occupancy.place(this.task, start, end, forced)) return false;
    this.start = start;
    this.end = end;
    return true;
  }

  private openInner(byChoice: boolean): void {
    const { model, task } = this;
    this.inner = 0;
    if (byChoice) {
      this.innerEnd = model.durations[task].length - 1;
      return;
    }
    const { lo, hi } = this.windows;
    const node = 2 * task + (this.wishEarly ? 1 : 0);
    if (!this.occupancy.canAnchor(task, this.anchor, !this.wishEarly) || !this.ties.meet(this.anchor, !this.wishEarly)) {
      this.innerEnd = -1;
      return;
    }
    // How far the task may be stretched here, as a range of moments.
    const near = this.wishEarly
      ? Math.max(lo[node], this.anchor + model.least[task])
      : Math.min(hi[node], this.anchor - model.least[task]);
    const far = this.wishEarly
      ? Math.min(hi[node], this.anchor + model.most[task])
      : Math.max(lo[node], this.anchor - model.most[task]);
    this.nearest = near;
    this.innerEnd = this.wishEarly ? far - near : near - far;
    if (this.innerEnd < 0) this.innerEnd = -1;
  }

  private nextStretch(): boolean {
    const { task, anchor, occupancy } = this;
    while (this.inner <= this.innerEnd && !this.gaveUp) {
      const moment = this.wishEarly ? this.nearest + this.inner++ : this.nearest - this.inner++;
      this.minutes++;
      if (!this.ties.allow(moment, this.wishEarly)) continue;
      const start = this.wishEarly ? anchor : moment;
      const end = this.wishEarly ? moment : anchor;
      if (this.take(start, end, -1)) return true;
      if (!occupancy.canHold(task, start, end)) return false;
    }
    return false;
  }

  private nextChoice(): boolean {
    const { model, task, anchor, occupancy, windows } = this;
    const order = occupancy.orderOfDuration(task);
    while (this.inner <= this.innerEnd) {
      const choice = order[this.inner++];
      const length = model.durations[task][choice];
      const start = this.wishEarly ? anchor : anchor - length;
      const end = start + length;
      if (start < windows.lo[2 * task] || start > windows.hi[2 * task]) continue;
      if (end < windows.lo[2 * task + 1] || end > windows.hi[2 * task + 1]) continue;
      if (this.take(start, end, choice)) return true;
    }
    return false;
  }
}
