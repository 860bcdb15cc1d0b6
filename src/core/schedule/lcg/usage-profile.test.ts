import fc from "fast-check";
import { Intervals } from "./intervals";
import { Slots } from "./slots";
import { UsageProfile } from "./usage-profile";

const HORIZON = 30;

/** Intervals over variables 0 … 2n − 1: start and end of each, without offsets; `lb` as the engine keeps it. */
function profileOf(amounts: readonly number[], capacity: number) {
  const intervals = new Intervals(
    amounts.map((amount, i) => ({ start: 2 * i, startOffset: 0, end: 2 * i + 1, endOffset: 0, amount, least: 1, taken: -1 })),
  );
  const missing = new Int32Array(HORIZON + 1);
  missing[HORIZON] = capacity;
  return new UsageProfile(intervals, capacity, missing);
}
type Bounds = { readonly start: readonly [number, number]; readonly end: readonly [number, number] };
function boundsOf(all: readonly Bounds[]): Int32Array {
  const lb = new Int32Array(4 * all.length);
  all.forEach(({ start, end }, i) => lb.set([start[0], -start[1], end[0], -end[1]], 4 * i));
  return lb;
}

test("what must be in use whatever happens is counted: from the latest start to the earliest end", () => {
  const profile = profileOf([2], 3);
  profile.touch(0);
  expect(profile.update(boundsOf([{ start: [2, 5], end: [9, 12] }]))).toBe(-1);
  expect([...profile.usage.slice(3, 11)]).toEqual([0, 0, 2, 2, 2, 2, 0, 0]);
});

test("a minute with more than there is is told, and is gone when it no longer is", () => {
  const profile = profileOf([2, 2], 3);
  [0, 1].forEach((slot) => profile.touch(slot));
  const both: Bounds = { start: [2, 5], end: [9, 12] };
  const over = profile.update(boundsOf([both, both]));
  expect(over).toBeGreaterThanOrEqual(5);
  expect(over).toBeLessThan(9);
  profile.touch(1);
  expect(profile.update(boundsOf([both, { start: [2, 20], end: [9, 25] }]))).toBe(-1);
});

test("kept up from call to call it is what counting anew gives", () => {
  const bounds = fc.tuple(fc.nat(20), fc.nat(6), fc.nat(8)).map(([low, slack, length]): Bounds => ({
    start: [low, low + slack],
    end: [low + length, Math.min(HORIZON, low + length + slack)],
  }));
  const moment = fc.array(bounds, { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(fc.array(moment, { minLength: 1, maxLength: 6 }), (moments) => {
      const kept = profileOf([1, 2, 3], 3);
      for (const all of moments) {
        [0, 1, 2].forEach((slot) => kept.touch(slot));
        kept.update(boundsOf(all));
      }
      const anew = profileOf([1, 2, 3], 3);
      [0, 1, 2].forEach((slot) => anew.touch(slot));
      const over = anew.update(boundsOf(moments.at(-1)!));
      expect([...kept.usage]).toEqual([...anew.usage]);
      [0, 1, 2].forEach((slot) => kept.touch(slot));
      expect(kept.update(boundsOf(moments.at(-1)!)) >= 0).toBe(over >= 0);
    }),
  );
});

test("the stretch that grew is told once", () => {
  const profile = profileOf([1], 3);
  profile.touch(0);
  profile.update(boundsOf([{ start: [2, 5], end: [9, 12] }]));
  const told: [number, number][] = [];
  profile.takeGrowth((from, to) => told.push([from, to]));
  profile.takeGrowth((from, to) => told.push([from, to]));
  expect(told).toEqual([[5, 9]]);
});

test("a set of slots holds each once and gives the last first", () => {
  const slots = new Slots(4);
  [1, 3, 1].forEach((slot) => slots.add(slot));
  expect([slots.take(), slots.take(), slots.take()]).toEqual([3, 1, -1]);
  slots.add(1);
  expect(slots.take()).toBe(1);
});
