import fc from "fast-check";
import { spansOf } from "./spans";
import type { Block } from "./timeline.view-model";

const block = (start: number, end: number, row = 0, amount = 1): Block =>
  ({ task: `${start}`, start, end, row, amount, item: "x", text: "", kind: "hands" }) as Block;

describe("where blocks are drawn", () => {
  const scale = { x: (minute: number) => minute * 0.7 };

  it("leaves what is long enough where its minutes are", () => {
    const [a, b] = [block(0, 60), block(60, 100)];
    const spans = spansOf({ blocks: [a, b] }, scale);
    expect(spans.get(a)).toEqual({ left: 0, width: 41 });
    expect(spans.get(b)).toEqual({ left: 42, width: 27 });
  });

  it("never draws one block over another of its row, and none too narrow to press", () => {
    const lengths = fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 1, max: 40 })), { maxLength: 30 });
    fc.assert(
      fc.property(lengths, (all) => {
        let at = 0;
        const blocks = all.map(([gap, length]) => block((at += gap), (at += length)));
        const spans = blocks.map((one) => spansOf({ blocks }, scale).get(one)!);
        spans.forEach(({ left, width }, k) => {
          expect(width).toBeGreaterThanOrEqual(3.99);
          if (k > 0) expect(left).toBeGreaterThanOrEqual(spans[k - 1].left + spans[k - 1].width - 1e-9);
        });
      }),
    );
  });

  it("gives way in the places it takes and in no others", () => {
    const [low, high, both] = [block(0, 1, 0), block(0, 1, 1), block(1, 30, 0, 2)];
    const other = block(1, 30, 2);
    const spans = spansOf({ blocks: [low, high, both, other], units: 3 }, scale);
    expect(spans.get(both)!.left).toBe(4);
    expect(spans.get(other)!.left).toBeCloseTo(0.7);
  });
});
