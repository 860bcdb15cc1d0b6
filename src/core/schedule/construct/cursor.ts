import type { Model } from "../model";
import type { Occupancy } from "./occupancy";
import type { Windows } from "./windows";

/** Which times are tried first: the latest, the earliest, or outward from a wished end. */
export type Wish = "late" | "early" | number;

/** A minute late costs at most this many times one early, as far as the order of trying goes. */
const MOST_BIAS = 20;

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
  private wishEarly = false;
  private down = 0;
  private up = 0;
  private low = 0;
  private high = 0;
  private anchor = 0;
  private inner = 0;
  private innerEnd = -1;
  private stride = 1;
  /** The first moment that the other end is tried at, at the present anchor. */
  private nearest = 0;
  /** Of each minute of the other end's window: 0 not looked at yet, 1 its parts and ties could have their units there, 2 not. */
  private known = new Uint8Array(0);
  private knownFrom = 0;
  private knowsAny = false;
  /** From a wished minute, so many earlier places are tried for each later one. */
  private bias = 1;
  private downs = 0;

  constructor(
    private readonly model: Model,
    private readonly windows: Windows,
    private readonly occupancy: Occupancy,
  ) {}

  begin(task: number, wish: Wish): void {
    const { lo, hi } = this.windows;
    this.task = task;
    this.handed = 0;
    this.stride = 1;
    this.knowsAny = false;
    this.wishEarly = wish === "early";
    this.downs = 0;
    this.bias = 1;
    const node = 2 * task + (this.wishEarly ? 0 : 1);
    this.low = lo[node];
    this.high = hi[node];
    if (wish === "late") {
      this.down = this.high;
      this.up = this.high + 1;
    } else if (wish === "early") {
      this.up = this.low;
      this.down = this.low - 1;
    } else {
      const middle = Math.min(this.high, Math.max(this.low, wish));
      this.down = middle;
      this.up = middle + 1;
      const { early, late } = this.model;
      if (late[task] > early[task])
        this.bias = Math.min(MOST_BIAS, Math.round(late[task] / Math.max(early[task], late[task] / MOST_BIAS)));
    }
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
    this.stride = stride;
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
      if (!this.nextAnchor()) return false;
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
      this.leap(this.occupancy.back, this.occupancy.on);
    }
  }

  private lastWasDown = true;

  private nextAnchor(): boolean {
    const stride = this.stride;
    this.stride = 1;
    if (stride > 1) {
      this.down -= stride - 1;
      this.up += stride - 1;
    }
    const canDown = this.down >= this.low;
    const canUp = this.up <= this.high;
    if (!canDown && !canUp) return false;
    this.lastWasDown = canDown && (!canUp || this.downs < this.bias);
    this.downs = this.lastWasDown ? this.downs + 1 : 0;
    this.anchor = this.lastWasDown ? this.down-- : this.up++;
    return true;
  }

  /** Nothing fits nearer than this: moves the pointer that was used on by as much. */
  private leap(back: number, on: number): void {
    if (this.lastWasDown) this.down -= Math.max(0, back - 1);
    else this.up += Math.max(0, on - 1);
  }

  private take(start: number, end: number, forced: number): boolean {
    if (!this.meetsTies(start, false) || !this.meetsTies(end, true)) {
      this.occupancy.back = this.occupancy.on = 1;
      return false;
    }
    if (!this.occupancy.place(this.task, start, end, forced)) return false;
    this.start = start;
    this.end = end;
    return true;
  }

  /** Whether what is tied to this end of the task, and not placed yet, could have its units there. */
  private meetsTies(moment: number, atEnd: boolean): boolean {
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

  private openInner(byChoice: boolean): void {
    const { model, task } = this;
    this.inner = 0;
    if (byChoice) {
      this.innerEnd = model.durations[task].length - 1;
      return;
    }
    const { lo, hi } = this.windows;
    const node = 2 * task + (this.wishEarly ? 1 : 0);
    if (!this.occupancy.canAnchor(task, this.anchor, !this.wishEarly) || !this.meetsTies(this.anchor, !this.wishEarly)) {
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

  /** Whether parts and ties at the other end could have their units at this moment. */
  private willDo(moment: number): boolean {
    const { task, model, occupancy, wishEarly } = this;
    const node = 2 * task + (wishEarly ? 1 : 0);
    if (model.anchored[node] === 0) return true;
    if (!this.knowsAny) {
      this.knowsAny = true;
      this.knownFrom = this.windows.lo[node];
      const minutes = this.windows.hi[node] - this.knownFrom + 1;
      if (this.known.length < minutes) this.known = new Uint8Array(minutes);
      else this.known.fill(0, 0, minutes);
    }
    const k = moment - this.knownFrom;
    if (this.known[k] === 0)
      this.known[k] = occupancy.canAnchor(task, moment, wishEarly) && this.meetsTies(moment, wishEarly) ? 1 : 2;
    return this.known[k] === 1;
  }

  private nextStretch(): boolean {
    const { task, anchor, occupancy } = this;
    while (this.inner <= this.innerEnd) {
      const moment = this.wishEarly ? this.nearest + this.inner++ : this.nearest - this.inner++;
      if (!this.willDo(moment)) continue;
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
