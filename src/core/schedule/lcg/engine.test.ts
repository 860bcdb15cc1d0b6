import fc from "fast-check";
import { Cumulative } from "./cumulative";
import { Engine } from "./engine";

/** Decides and learns until everything is settled (true) or nothing is left to try (false). */
function settle(engine: Engine): boolean {
  for (;;) {
    if (!engine.propagate()) {
      if (engine.conflictLevel() === 0 || !engine.learn()) return false;
      continue;
    }
    let open = -1;
    for (let x = 0; x < engine.vars && open < 0; x++) if (!engine.isFixed(x)) open = x;
    if (open < 0) return true;
    engine.decide(2 * open + 1, -engine.lo(open));
  }
}

test("a chain of lags narrows both ends", () => {
  const engine = new Engine();
  const [a, b, c] = [0, 1, 2].map(() => engine.newVar(0, 20));
  engine.addArc(2 * a, 2 * b, 5);
  engine.addArc(2 * b, 2 * c, 7);
  expect(engine.propagate()).toBe(true);
  expect([engine.lo(c), engine.hi(a), engine.hi(b)]).toEqual([12, 8, 13]);
});

test("a ring that only goes up has no solution", () => {
  const engine = new Engine();
  const [a, b] = [0, 1].map(() => engine.newVar(0, 20));
  engine.addArc(2 * a, 2 * b, 1);
  engine.addArc(2 * b, 2 * a, 1);
  expect(settle(engine)).toBe(false);
});

test("a switch that would break a lag is turned off, and turned on it holds", () => {
  const engine = new Engine();
  const [a, b, on, off] = [engine.newVar(0, 9), engine.newVar(0, 9), engine.newVar(0, 1), engine.newVar(0, 1)];
  engine.addArc(2 * a, 2 * b, 4, 2 * on);
  engine.addArc(2 * a, 2 * b, 12, 2 * off);
  expect(engine.propagate()).toBe(true);
  expect(engine.hi(off)).toBe(0);
  engine.decide(2 * on, 1);
  expect(engine.propagate()).toBe(true);
  expect([engine.lo(b), engine.hi(a)]).toEqual([4, 5]);
  engine.backTo(0);
  expect([engine.lo(b), engine.hi(a)]).toEqual([0, 9]);
});

const MOST = 3;
const literal = fc.record({ x: fc.nat(4), atLeast: fc.boolean(), value: fc.integer({ min: 0, max: MOST }) });
const holds = ({ x, atLeast, value }: { x: number; atLeast: boolean; value: number }, at: readonly number[]) =>
  atLeast ? at[x] >= value : at[x] <= value;
const lag = fc.record({ from: fc.nat(4), to: fc.nat(4), weight: fc.integer({ min: -2, max: 2 }) });

test("whatever clauses and lags there are, it finds values exactly where there are some, and they keep all", () => {
  const every = Array.from({ length: (MOST + 1) ** 5 }, (_, k) =>
    Array.from({ length: 5 }, (_, x) => Math.floor(k / (MOST + 1) ** x) % (MOST + 1)),
  );
  let none = 0;
  fc.assert(
    fc.property(
      fc.array(fc.array(literal, { minLength: 1, maxLength: 4 }), { minLength: 4, maxLength: 40 }),
      fc.array(lag, { maxLength: 5 }),
      (clauses, lags) => {
        const keeps = (at: readonly number[]) =>
          clauses.every((clause) => clause.some((l) => holds(l, at))) &&
          lags.every(({ from, to, weight }) => from === to || at[to] >= at[from] + weight);
        const engine = new Engine();
        for (let x = 0; x < 5; x++) engine.newVar(0, MOST);
        for (const { from, to, weight } of lags) if (from !== to) engine.addArc(2 * from, 2 * to, weight);
        for (const clause of clauses)
          engine.addClause(clause.flatMap(({ x, atLeast, value }) => (atLeast ? [2 * x, value] : [2 * x + 1, -value])));
        const found = !engine.broken && settle(engine);
        if (!found) none++;
        if (found) expect(keeps([0, 1, 2, 3, 4].map((x) => engine.lo(x)))).toBe(true);
        else expect(every.some(keeps)).toBe(false);
      },
    ),
    { numRuns: 400 },
  );
  expect(none).toBeGreaterThan(20);
});

test("five cannot sit on four chairs, whatever is tried", () => {
  const engine = new Engine();
  const sits = Array.from({ length: 5 }, () => Array.from({ length: 4 }, () => engine.newVar(0, 1)));
  for (const row of sits) engine.addClause(row.flatMap((x) => [2 * x, 1]));
  for (let chair = 0; chair < 4; chair++)
    for (let p = 0; p < 5; p++)
      for (let q = p + 1; q < 5; q++) engine.addClause([2 * sits[p][chair] + 1, 0, 2 * sits[q][chair] + 1, 0]);
  expect(settle(engine)).toBe(false);
  expect(engine.conflicts).toBeGreaterThan(0);
});

test("clauses over bounds are found true or false as trying everything finds them", () => {
  const literal = fc.record({ x: fc.nat(2), up: fc.boolean(), value: fc.integer({ min: 0, max: 4 }) });
  fc.assert(
    fc.property(fc.array(fc.array(literal, { minLength: 1, maxLength: 3 }), { maxLength: 14 }), (clauses) => {
      const engine = new Engine();
      for (let i = 0; i < 3; i++) engine.newVar(0, 3);
      // "x ≥ value" or "x ≤ value".
      for (const clause of clauses)
        engine.addClause(clause.flatMap(({ x, up, value }) => (up ? [2 * x, value] : [2 * x + 1, -value])));
      const holds = (at: number[]) =>
        clauses.every((clause) => clause.some(({ x, up, value }) => (up ? at[x] >= value : at[x] <= value)));
      let possible = false;
      for (let a = 0; a < 4; a++) for (let b = 0; b < 4; b++) for (let c = 0; c < 4; c++) possible ||= holds([a, b, c]);
      const found = !engine.broken && settle(engine);
      expect(found).toBe(possible);
      if (found) expect(holds([0, 1, 2].map((x) => engine.lo(x)))).toBe(true);
    }),
    { numRuns: 400 },
  );
});

test("what is supposed and does not hold is told, and taken back", () => {
  const engine = new Engine();
  const x = engine.newVar(0, 10);
  expect(engine.propagate()).toBe(true);
  expect(engine.suppose([2 * x, 11])).toBe(false);
  engine.backTo(0);
  expect(engine.suppose([2 * x, 4, 2 * x + 1, -6])).toBe(true);
  expect([engine.lo(x), engine.hi(x)]).toEqual([4, 6]);
  engine.backTo(0);
  expect([engine.lo(x), engine.hi(x)]).toEqual([0, 10]);
});

describe("a pool minute by minute", () => {
  const pool = (
    engine: Engine,
    starts: readonly (readonly [lo: number, hi: number, length: number])[],
    capacity: number,
    horizon = 30,
  ) => {
    const vars = starts.map(([lo, hi]) => engine.newVar(lo, hi));
    const demands = starts.map(([, , length], i) => ({
      start: vars[i],
      startOffset: 0,
      end: vars[i],
      endOffset: length,
      amount: 1,
      least: length,
      taken: -1,
    }));
    const cumulative = new Cumulative(demands, capacity, new Int32Array(horizon + 1));
    cumulative.addTo(engine);
    return vars;
  };

  test("what surely lies there pushes the others on and back", () => {
    const engine = new Engine();
    // The first covers minute 4 to 6 for certain: starts at 2 to 4, lasts 4.
    const [, second] = pool(
      engine,
      [
        [2, 4, 4],
        [3, 9, 3],
      ],
      1,
    );
    expect(engine.propagate()).toBe(true);
    expect(engine.lo(second)).toBeGreaterThanOrEqual(6);
  });

  test("two at once in one place are a contradiction", () => {
    const engine = new Engine();
    pool(
      engine,
      [
        [2, 3, 6],
        [3, 4, 6],
      ],
      1,
    );
    expect(engine.propagate()).toBe(false);
  });

  test("a full search agrees with trying every start", () => {
    const interval = fc.record({ lo: fc.nat(6), room: fc.nat(4), length: fc.integer({ min: 1, max: 5 }) });
    fc.assert(
      fc.property(fc.array(interval, { minLength: 2, maxLength: 4 }), fc.integer({ min: 1, max: 2 }), (list, capacity) => {
        const engine = new Engine();
        const vars = pool(
          engine,
          list.map(({ lo, room, length }) => [lo, lo + room, length] as const),
          capacity,
        );
        const fits = (starts: readonly number[]) => {
          for (let t = 0; t < 30; t++)
            if (starts.filter((s, i) => s <= t && t < s + list[i].length).length > capacity) return false;
          return true;
        };
        const tryAll = (starts: number[]): boolean => {
          const i = starts.length;
          if (i === list.length) return fits(starts);
          for (let s = list[i].lo; s <= list[i].lo + list[i].room; s++) if (tryAll([...starts, s])) return true;
          return false;
        };
        const found = settle(engine);
        expect(found).toBe(tryAll([]));
        if (found) expect(fits(vars.map((x) => engine.lo(x)))).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});
