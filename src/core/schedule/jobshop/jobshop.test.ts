import fc from "fast-check";
import { expectProblem } from "@tests/any-problem";
import { CLASSICS, SIX, TEN, jobShop } from "@tests/job-shops";
import { seeded } from "../../shared/chance";
import { compile } from "../compile";
import { solve } from "../solve";
import { verify } from "../verify";
import { shopBound, shopOf } from "./shop";
import { ShopTabu } from "./tabu";

const now = () => 0;
/** Jobs with each machine once, in any order. */
const anyJobs = fc
  .record({
    jobs: fc.integer({ min: 1, max: 6 }),
    machines: fc.integer({ min: 1, max: 4 }),
    seed: fc.integer({ min: 1, max: 1e6 }),
  })
  .map(({ jobs, machines, seed }) => {
    const chance = seeded(seed);
    return Array.from({ length: jobs }, () => {
      const order = Array.from({ length: machines }, (_, m) => m).sort(() => chance.unit() - 0.5);
      return order.map((m) => `${m} ${1 + chance.below(20)}`).join(" ");
    });
  });

describe("job-shops as pools", () => {
  test("six by six: 55, proven", () => {
    const problem = expectProblem(jobShop(SIX));
    const solution = solve(problem, { now, iterations: 400 });
    expect(verify(problem, solution)).toEqual([]);
    expect([solution.status, solution.cost]).toEqual(["optimal", 55]);
  });
  test("ten by ten: within one per cent of 930, and the bound below it", () => {
    const problem = expectProblem(jobShop(TEN));
    const solution = solve(problem, { now, iterations: 40 });
    expect(verify(problem, solution)).toEqual([]);
    expect(solution.cost).toBeGreaterThanOrEqual(930);
    expect(solution.cost).toBeLessThanOrEqual(958);
    expect(solution.bound).toBeLessThanOrEqual(930);
  });
  test.each(CLASSICS)("$name: within two per cent of $best, and no bound above it", ({ best, rows }) => {
    const problem = expectProblem(jobShop(rows));
    const solution = solve(problem, { now, iterations: 7 });
    expect(verify(problem, solution)).toEqual([]);
    expect(solution.cost).toBeGreaterThanOrEqual(best);
    expect(solution.cost).toBeLessThanOrEqual(1.02 * best);
    expect(solution.bound).toBeLessThanOrEqual(best);
  });
  test("the bound is never above what is proven cheapest, and the own search keeps the rules", () =>
    fc.assert(
      fc.property(anyJobs, (lines) => {
        const problem = expectProblem(jobShop(lines));
        const shop = shopOf(compile(problem))!;
        const solution = solve(problem, { now, iterations: 60 });
        expect(verify(problem, solution)).toEqual([]);
        expect(shopBound(shop)).toBeLessThanOrEqual(solution.cost);
        const tabu = new ShopTabu(
          shop,
          problem.tasks.map((task) => solution.tasks.find((t) => t.id === task.id)!.start),
          seeded(1),
        );
        tabu.run(300, 0);
        expect(tabu.bestEnd).toBeLessThanOrEqual(solution.cost);
        if (solution.status === "optimal") expect(tabu.bestEnd).toBe(solution.cost);
      }),
      { numRuns: 20 },
    ));
  test("anything more than a job-shop is left to the other searches", () => {
    const base = jobShop(["0 5 1 3", "1 2 0 4"]);
    const more = [
      { ...base, costs: { makespan: 1, span: 1 } },
      { ...base, tasks: base.tasks.map((task) => ({ ...task, duration: [3, 9] })) },
      { ...base, tasks: base.tasks.map((task) => ({ ...task, latest: 10 })) },
      { ...base, tasks: base.tasks.map((task) => ({ ...task, after: (task.after ?? []).map((link) => ({ ...link, max: 3 })) })) },
      { ...base, resources: base.resources.map((resource) => ({ ...resource, capacity: 2 })) },
    ];
    expect(shopOf(compile(expectProblem(base)))).toBeDefined();
    for (const input of more) expect(shopOf(compile(expectProblem(input)))).toBeUndefined();
  });
});
