import fc from "fast-check";
import { Engine } from "./engine";
import { Literals } from "./literals";
import { Objective, type Term } from "./objective";

const VARS = 6;
const MOST = 3;
const EVERY = Array.from({ length: (MOST + 1) ** VARS }, (_, k) =>
  Array.from({ length: VARS }, (_, x) => Math.floor(k / (MOST + 1) ** x) % (MOST + 1)),
);

/** Cost of a variable above a value, or of how far one is above another (from another variable's) by more than that. */
const term = fc.record({
  cost: fc.constantFrom(0, 0.1, 0.5, 1, 3),
  x: fc.nat(VARS - 1),
  minus: fc.option(fc.nat(VARS - 1), { nil: -1 }),
  base: fc.integer({ min: 0, max: 2 }),
});
const literal = fc.record({ x: fc.nat(VARS - 1), atLeast: fc.boolean(), value: fc.integer({ min: 0, max: MOST }) });

/** Decides and learns; the values found, or undefined where there are none within what is supposed. */
function settle(engine: Engine, supposed: [number, number]): number[] | undefined {
  for (;;) {
    if (!engine.propagate()) {
      if (engine.conflictLevel() === 0 || !engine.learn()) return undefined;
    } else if (engine.level === 0) {
      if (!engine.suppose(supposed)) return undefined;
    } else {
      const open = Array.from({ length: engine.vars }, (_, x) => x).find((x) => !engine.isFixed(x));
      if (open === undefined) return Array.from({ length: VARS }, (_, x) => engine.lo(x));
      // Every other from above, so that the limit has something to forbid.
      if (open < VARS && open % 2 === 0) engine.decide(2 * open, Math.ceil((engine.lo(open) + engine.hi(open)) / 2));
      else engine.decide(2 * open + 1, -engine.lo(open));
    }
  }
}

test("limit after limit it comes down to the least cost that trying everything finds, and proves it", () => {
  let learned = 0;
  fc.assert(
    fc.property(
      fc.array(term, { minLength: 4, maxLength: 10 }),
      fc.array(fc.array(literal, { minLength: 2, maxLength: 4 }), { minLength: 6, maxLength: 24 }),
      (sketches, clauses) => {
        const engine = new Engine();
        for (let x = 0; x < VARS; x++) engine.newVar(0, MOST);
        const terms = sketches.map(({ cost, x, minus, base }): Term => {
          const two = minus >= 0 && minus !== x;
          return { cost, node: 2 * x, minus: two ? 2 * minus + 1 : -1, base };
        });
        for (const clause of clauses)
          engine.addClause(clause.flatMap(({ x, atLeast, value }) => (atLeast ? [2 * x, value] : [2 * x + 1, -value])));
        const objective = new Objective(terms, engine);
        objective.addTo(engine);
        const costAt = (at: readonly number[]) =>
          terms.reduce((sum, t) => {
            const over = at[t.node >> 1] - (t.minus >= 0 ? at[t.minus >> 1] : 0) - t.base;
            return sum + t.cost * Math.max(0, over);
          }, 0);
        const keeps = (at: readonly number[]) =>
          clauses.every((clause) => clause.some(({ x, atLeast, value }) => (atLeast ? at[x] >= value : at[x] <= value)));
        const least = EVERY.filter(keeps).reduce((low, at) => Math.min(low, costAt(at)), Infinity);
        let best = Infinity;
        for (;;) {
          engine.backTo(0);
          const found = engine.broken ? undefined : settle(engine, objective.atMost(best === Infinity ? 1000 : best - 1e-4));
          if (!found) break;
          expect(keeps(found)).toBe(true);
          best = costAt(found);
        }
        learned += engine.conflicts;
        if (least === Infinity) expect(best).toBe(Infinity);
        else expect(best).toBeCloseTo(least, 6);
        engine.backTo(0);
        if (least < Infinity && !engine.broken && engine.propagate())
          expect(objective.proven(engine)).toBeLessThanOrEqual(least + 1e-6);
      },
    ),
    { numRuns: 200 },
  );
  expect(learned).toBeGreaterThan(100);
});

test("why a term can be no higher holds for all values that are as said, and no more of the others is said than is needed", () => {
  let weaker = 0;
  const levels = fc.array(fc.integer({ min: 0, max: MOST }), { minLength: VARS, maxLength: VARS });
  const costs = fc.array(fc.constantFrom(0.1, 0.5, 1, 3), { minLength: VARS, maxLength: VARS });
  fc.assert(
    fc.property(costs, levels, fc.integer({ min: 1, max: 12 }), (rates, least, limit) => {
      const engine = new Engine();
      const terms = rates.map((cost) => ({ cost, node: 2 * engine.newVar(0, MOST), minus: -1, base: 0 }));
      const objective = new Objective(terms, engine);
      objective.addTo(engine);
      engine.propagate();
      const limited = objective.atMost(limit);
      engine.suppose(limited);
      const decided = VARS - 2;
      for (let x = 0; x < decided; x++) if (!engine.propagate() || !engine.decide(2 * x, least[x])) return;
      if (!engine.propagate()) return;
      for (let x = decided; x < VARS; x++)
        for (let value = engine.hi(x); value < MOST; value++) {
          const why = new Literals();
          objective.explain(engine, x, 2 * x + 1, -value, engine.now, why);
          const said = Array.from({ length: why.used / 2 }, (_, k): [number, number] => [why.row[2 * k], why.row[2 * k + 1]]);
          if (said.some(([node, bound]) => node < 2 * decided && bound < engine.lb[node])) weaker++;
          for (const [node, bound] of said) expect(engine.lb[node]).toBeGreaterThanOrEqual(bound);
          const isAsSaid = (at: readonly number[]) =>
            said.every(([node, bound]) =>
              node === limited[0]
                ? rates.reduce((sum, rate, k) => sum + rate * at[k], 0) <= limit + 1e-9
                : at[node >> 1] >= bound,
            );
          for (const at of EVERY) if (isAsSaid(at)) expect(at[x]).toBeLessThanOrEqual(value);
        }
    }),
    { numRuns: 300 },
  );
  expect(weaker).toBeGreaterThan(10);
});
