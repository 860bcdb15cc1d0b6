import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { kitchen } from "@tests/kitchens";
import { seeded } from "../../shared/chance";
import { Budget } from "../budget";
import type { Problem } from "../problem";
import { compile } from "../compile";
import type { Model } from "../model";
import { Search } from "../construct/search";
import { costOf, placedIn, type Schedule } from "../construct/schedule";
import { solve } from "../solve";
import { Solver } from "../solver";
import { verify } from "../verify";
import { Orders, type Order } from "./partial-order-schedule";
import { retime } from "./retime";

/** A first schedule, the model and the orders of a problem; undefined where it has none. */
function begun(problem: Problem, seed: number) {
  const solver = new Solver(problem, seed);
  if (solver.findFirst(new Budget({ now: () => 0, passes: 60 })) !== "found") return undefined;
  const model = compile(problem);
  const search = new Search(model, seeded(seed));
  search.clear();
  const orders = new Orders(model, search.windows.lo.slice(), search.windows.hi.slice());
  return { model, orders, schedule: solver.best!, solver };
}

const after = (problem: Problem, { solver, model }: { solver: Solver; model: Model }, schedule: Schedule) => ({
  ...solver.solution(),
  cost: costOf(model, schedule.starts, schedule.ends),
  tasks: placedIn(problem, schedule),
});

/** Times that break no arc and no bound of an order. */
const keeps = ({ from, to, weight, lo, hi }: Order, at: Int32Array): boolean =>
  from.every((v, a) => at[to[a]] - at[v] >= weight[a]) && at.every((t, v) => t >= lo[v] && t <= hi[v]);

test("what it gives is a schedule again, and never costs more", () => {
  fc.assert(
    fc.property(anyProblem(), fc.integer({ min: 1, max: 99 }), (input, seed) => {
      const problem = expectProblem(input);
      const known = begun(problem, seed);
      if (!known) return;
      const better = retime(known.model, known.orders, known.schedule, 500);
      expect(better.cost).toBeLessThanOrEqual(known.schedule.cost);
      expect(verify(problem, after(problem, known, better))).toEqual([]);
    }),
    { numRuns: 150 },
  );
});

test("where some tasks stand still, the others get times that keep the rules, and never cost more", () => {
  let gained = 0;
  fc.assert(
    fc.property(anyProblem(), fc.integer({ min: 1, max: 99 }), fc.integer({ min: 0, max: 255 }), (input, seed, mask) => {
      const problem = expectProblem(input);
      const known = begun(problem, seed);
      if (!known) return;
      const { model, orders, schedule } = known;
      const still = Uint8Array.from({ length: model.n }, (_, i) => (mask >> i) & 1);
      const better = retime(model, orders, schedule, 500, still);
      expect(better.cost).toBeLessThanOrEqual(schedule.cost);
      if (better.cost < schedule.cost) gained++;
      for (let i = 0; i < model.n; i++)
        if (still[i]) expect([better.starts[i], better.ends[i]]).toEqual([schedule.starts[i], schedule.ends[i]]);
      expect(verify(problem, after(problem, known, better))).toEqual([]);
    }),
    { numRuns: 150 },
  );
  expect(gained).toBeGreaterThan(20);
});

test("no set of starts and ends would cost less a minute later or earlier in the same order", () => {
  fc.assert(
    fc.property(anyProblem(4), fc.integer({ min: 1, max: 99 }), (input, seed) => {
      const known = begun(expectProblem(input), seed);
      if (!known) return;
      const { model, orders, schedule } = known;
      const { n } = model;
      const better = retime(model, orders, schedule, 500);
      // The order that was kept is the one of the schedule that it began with.
      const order = orders.of(schedule);
      const at = new Int32Array(2 * n + 2);
      for (let set = 1; set < 1 << (2 * n); set++)
        for (const by of [1, -1]) {
          for (let v = 0; v < 2 * n; v++) at[v] = (v % 2 ? better.ends : better.starts)[v >> 1] + ((set >> v) & 1 ? by : 0);
          const starts = at.filter((_, v) => v < 2 * n && v % 2 === 0);
          const ends = at.filter((_, v) => v < 2 * n && v % 2 === 1);
          at[2 * n] = Math.min(...starts);
          at[2 * n + 1] = Math.max(...ends);
          if (keeps(order, at)) expect(costOf(model, starts, ends)).toBeGreaterThanOrEqual(better.cost - 1e-6);
        }
    }),
    { numRuns: 80 },
  );
});

test("a lone chain slides to its due time, a rest no longer than it must be", () => {
  const problem = expectProblem({
    format: "unisynth-problem/1",
    horizon: 300,
    resources: [{ id: "ada", kind: "pool", capacity: 1 }],
    tasks: [
      { id: "mix", duration: 10, uses: [{ resource: "ada" }] },
      { id: "rest", duration: [20, 90], stretchCost: 0.1, after: [{ task: "mix", max: 0 }] },
      { id: "bake", duration: 15, uses: [{ resource: "ada" }], after: [{ task: "rest", max: 0 }], due: 200, earlyCost: 1 },
    ],
    costs: { span: 1 },
  });
  const { model, orders } = begun(problem, 1)!;
  const early = {
    starts: Int32Array.from([0, 10, 100]),
    ends: Int32Array.from([10, 100, 115]),
    choices: [Int32Array.from([0]), new Int32Array(0), Int32Array.from([0])],
    cost: 85 + 7 + 115,
  };
  const best = retime(model, orders, early, 500);
  expect([Array.from(best.starts), Array.from(best.ends), best.cost]).toEqual([[155, 165, 185], [165, 185, 200], 45]);
});

test("with several slots a lower rank still never starts after a higher one", () => {
  const load = (id: string, rank: number, due: number) => ({
    id,
    duration: 10,
    uses: [{ resource: "fryer", setting: 180, rank }],
    due,
    earlyCost: 1,
    lateCost: 1,
  });
  const problem = expectProblem({
    format: "unisynth-problem/1",
    horizon: 300,
    resources: [{ id: "fryer", kind: "chamber", slots: 3, start: 180, heat: 10, cool: 5, ranked: true }],
    tasks: [load("low", 0, 200), load("low too", 0, 60), load("high", 1, 40)],
    costs: { span: 0 },
  });
  const known = begun(problem, 1)!;
  const { model, orders } = known;
  const starts = Int32Array.from([50, 50, 50]);
  const ends = starts.map((start) => start + 10);
  const choices = starts.map(() => 0);
  const at = { starts, ends, choices: Array.from(choices, () => Int32Array.from([0])), cost: costOf(model, starts, ends) };
  const better = retime(model, orders, at, 500);
  expect(verify(problem, after(problem, known, better))).toEqual([]);
});

test("large days begin far from their due times and come near them", () => {
  const problem = expectProblem(kitchen(150, 1));
  const { model, orders, schedule } = begun(problem, 1)!;
  expect(retime(model, orders, schedule, 500).cost).toBeLessThan(0.8 * schedule.cost);
  expect(solve(problem, { now: () => 0, seed: 1, iterations: 40 }).cost).toBeLessThan(0.7 * schedule.cost);
});

test("a guess of any kind, such as one from a day with other hours, comes to a schedule that keeps the rules or to none", () => {
  let kept = 0;
  fc.assert(
    fc.property(anyProblem(), fc.integer({ min: 1, max: 9999 }), fc.constantFrom(12, 400), (input, seed, spread) => {
      const problem = expectProblem(input);
      const model = compile(problem);
      const chance = seeded(seed);
      const starts = Int32Array.from(model.durations, () => chance.below(spread));
      const guess = {
        starts,
        ends: starts.map((start) => start + chance.below(30)),
        choices: model.uses.map((uses) => Int32Array.from(uses, ({ resources }) => chance.below(resources.length))),
      };
      const solver = new Solver(problem, seed);
      if (!solver.keepOrder(guess)) return;
      kept++;
      expect(verify(problem, solver.solution())).toEqual([]);
    }),
    { numRuns: 300 },
  );
  expect(kept).toBeGreaterThan(20);
});
