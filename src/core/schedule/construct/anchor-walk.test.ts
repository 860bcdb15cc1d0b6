import fc from "fast-check";
import { AnchorWalk, type Wish } from "./anchor-walk";

function walk(low: number, high: number, wish: Wish, early = 0, late = 0): number[] {
  const anchors = new AnchorWalk();
  anchors.begin(low, high, wish, early, late);
  const found: number[] = [];
  for (let at = anchors.next(); at >= 0; at = anchors.next()) found.push(at);
  return found;
}

test("late goes down, early goes up, a wish goes outward", () => {
  expect(walk(3, 6, "late")).toEqual([6, 5, 4, 3]);
  expect(walk(3, 6, "early")).toEqual([3, 4, 5, 6]);
  expect(walk(0, 6, 3)).toEqual([3, 4, 2, 5, 1, 6, 0]);
});

test("where a minute late costs three times one early, three earlier places are tried for each later one", () =>
  expect(walk(0, 20, 10, 1, 3).slice(0, 8)).toEqual([10, 9, 8, 11, 7, 6, 5, 12]));

test("every minute of the window comes once, whatever is wished", () => {
  const wish = fc.oneof(fc.constantFrom<Wish>("late", "early"), fc.integer({ min: -20, max: 80 }));
  const cost = fc.integer({ min: 0, max: 9 });
  fc.assert(
    fc.property(fc.nat(40), fc.nat(30), wish, cost, cost, (low, length, w, early, late) => {
      const found = walk(low, low + length, w, early, late);
      expect([...found].sort((a, b) => a - b)).toEqual(Array.from({ length: length + 1 }, (_, k) => low + k));
    }),
  );
});

test("an empty window has nothing", () => expect(walk(5, 4, "late")).toEqual([]));

test("a leap passes over what cannot fit, a skip over what turned out badly", () => {
  const anchors = new AnchorWalk();
  anchors.begin(0, 30, "early", 0, 0);
  expect(anchors.next()).toBe(0);
  anchors.leap(1, 10);
  expect(anchors.next()).toBe(10);
  anchors.skip(5);
  expect(anchors.next()).toBe(15);
  expect(anchors.next()).toBe(16);
});
