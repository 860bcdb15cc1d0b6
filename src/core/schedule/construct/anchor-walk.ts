/** Which times are tried first: the latest, the earliest, or outward from a wished end. */
export type Wish = "late" | "early" | number;

/** A minute late costs at most this many times one early, as far as the order of trying goes. */
const MOST_BIAS = 20;

/**
 * Walks over the minutes of a window, best wish first, outward from where it begins.
 * Invariant: every minute of [low, high] that is neither in (down, up) nor was leapt over is still to come.
 */
export class AnchorWalk {
  private low = 0;
  private high = 0;
  private down = 0;
  private up = 0;
  /** From a wished minute, so many earlier places are tried for each later one. */
  private bias = 1;
  private downs = 0;
  private lastWasDown = true;
  private stride = 1;

  /**
   * @param low   first minute of the window (included)
   * @param high  last minute of the window (included)
   * @param early what a minute too early costs
   * @param late  what a minute too late costs
   */
  begin(low: number, high: number, wish: Wish, early: number, late: number): void {
    this.low = low;
    this.high = high;
    this.downs = 0;
    this.bias = 1;
    this.stride = 1;
    if (wish === "late") {
      this.down = high;
      this.up = high + 1;
    } else if (wish === "early") {
      this.up = low;
      this.down = low - 1;
    } else {
      const middle = Math.min(high, Math.max(low, wish));
      this.down = middle;
      this.up = middle + 1;
      if (late > early) this.bias = Math.min(MOST_BIAS, Math.round(late / Math.max(early, late / MOST_BIAS)));
    }
  }

  /** The next minute will be this many away. */
  skip(stride: number): void {
    this.stride = stride;
  }

  /** The next minute, or −1 where the window is walked through. */
  next(): number {
    const { stride } = this;
    this.stride = 1;
    if (stride > 1) {
      this.down -= stride - 1;
      this.up += stride - 1;
    }
    const canDown = this.down >= this.low;
    const canUp = this.up <= this.high;
    if (!canDown && !canUp) return -1;
    this.lastWasDown = canDown && (!canUp || this.downs < this.bias);
    this.downs = this.lastWasDown ? this.downs + 1 : 0;
    return this.lastWasDown ? this.down-- : this.up++;
  }

  /** Nothing fits nearer than this to the minute that was handed out last: moves on by as much. */
  leap(back: number, on: number): void {
    if (this.lastWasDown) this.down -= Math.max(0, back - 1);
    else this.up += Math.max(0, on - 1);
  }
}
