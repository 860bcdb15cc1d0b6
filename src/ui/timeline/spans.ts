import type { TimeScale } from "./scale";
import type { Block, Lane } from "./timeline.view-model";

/** The narrowest that can be seen and pressed, px. */
const LEAST_WIDTH = 4;

export interface Span {
  readonly left: number;
  readonly width: number;
}

/**
 * Where each block of a lane is drawn. A minute of a long day is less than a pixel: what is too short to press is drawn
 * wider, and what follows in the same row gives way, so that no block lies under another.
 * @returns px from the start of the scale, by block
 */
export function spansOf(lane: Pick<Lane, "blocks" | "units">, scale: Pick<TimeScale, "x">): Map<Block, Span> {
  const taken = new Map<number, number>();
  const spans = new Map<Block, Span>();
  for (const block of [...lane.blocks].sort((a, b) => a.start - b.start || a.end - b.end)) {
    const rows = Array.from({ length: lane.units === undefined ? 1 : block.amount }, (_, k) => block.row + k);
    const left = Math.max(scale.x(block.start), ...rows.map((row) => taken.get(row) ?? 0));
    const right = Math.max(left + LEAST_WIDTH, scale.x(block.end) - 1);
    for (const row of rows) taken.set(row, right);
    spans.set(block, { left, width: right - left });
  }
  return spans;
}
