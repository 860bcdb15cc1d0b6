import fc from "fast-check";
import { piecesOnCarrier, roundsFromSheet, type CarrierInput } from "./packing";
import { carrierSpots, roundSpots, type Spot } from "./packing-spots";

const mm = (min: number, max: number) => fc.integer({ min, max });
const apart = (a: Spot, b: Spot, isRound: boolean, gap: number): boolean => {
  const [dx, dy] = [Math.abs(a.x - b.x), Math.abs(a.y - b.y)];
  if (isRound) return Math.hypot(dx, dy) >= a.w + gap - 1e-3;
  return dx >= a.w + gap - 1e-6 || dy >= a.h + gap - 1e-6;
};

test("what is drawn is what is counted, apart from one another and inside", () => {
  const carriers = fc.record({
    carrier: fc.constantFrom("rect" as const, "round" as const),
    widthMm: mm(120, 500),
    lengthMm: mm(120, 500),
    marginMm: mm(0, 10),
    piece: fc.constantFrom("round" as const, "rect" as const),
    pieceMm: mm(25, 140),
    piece2Mm: mm(25, 140),
    growth: fc.constantFrom(1, 1.08, 1.35),
    gapMm: mm(0, 20),
    stagger: fc.boolean(),
  });
  fc.assert(
    fc.property(carriers, (input: CarrierInput) => {
      const counted = piecesOnCarrier(input);
      const spots = carrierSpots(input);
      expect(counted.ok && counted.value.pieces).toBe(spots.length);
      const isRound = input.piece === "round";
      spots.forEach((a, i) => spots.slice(i + 1).forEach((b) => expect(apart(a, b, isRound, input.gapMm)).toBe(true)));
      const [w, l] = [input.widthMm, input.carrier === "rect" ? input.lengthMm! : input.widthMm];
      for (const { x, y, w: a, h: b } of spots) {
        expect(Math.min(x - a / 2, y - b / 2)).toBeGreaterThan(-1e-6);
        expect(x + a / 2).toBeLessThan(w + 1e-6);
        expect(y + b / 2).toBeLessThan(l + 1e-6);
      }
    }),
    { numRuns: 300 },
  );
});

test("rounds of a sheet are drawn as they are counted", () => {
  fc.assert(
    fc.property(
      mm(100, 600),
      mm(100, 600),
      mm(30, 150),
      mm(0, 5),
      fc.constantFrom("best", "square", "hex"),
      (w, l, cut, gap, layout) => {
        const input = { widthMm: w, lengthMm: l, cutMm: cut, gapMm: gap, layout: layout as "best" };
        expect(roundSpots(input)).toHaveLength(roundsFromSheet(input).pieces);
      },
    ),
    { numRuns: 300 },
  );
});
