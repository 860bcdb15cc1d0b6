import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { kitchen } from "@tests/kitchens";
import { seeded } from "../../shared/chance";
import { Budget } from "../budget";
import { compile } from "../compile";
import { Search } from "../construct/search";
import { costOf, placedIn } from "../construct/schedule";
import { solve } from "../solve";
import { Solver } from "../solver";
import { verify } from "../verify";
import { ClauseSearch } from "./clause-search";
import { pieceOf } from "./subproblem";

test("what stands is a schedule of the piece, and what is found in it one of the whole", () => {
  let tried = 0;
  fc.assert(
    fc.property(anyProblem(), fc.integer({ min: 1, max: 511 }), fc.constantFrom(10, 60, 400), (input, mask, reach) => {
      const problem = expectProblem(input);
      const solver = new Solver(problem, 1);
      if (solver.findFirst(new Budget({ now: () => 0, passes: 60 })) !== "found") return;
      const best = solver.best!;
      const model = compile(problem);
      const search = new Search(model, seeded(1));
      search.clear();
      const freed = Uint8Array.from({ length: model.n }, (_, i) => (mask >> i) & 1);
      if (!freed.includes(1)) return;
      const piece = pieceOf(model, best, freed, search.windows.lo, search.windows.hi, reach);
      expect(piece).toBeDefined();
      const { like, tasks, from } = piece!;
      const target = costOf(piece!.model, like.starts, like.ends);
      const options = { target, conflicts: 400, spent: () => false, like, late: () => true };
      const outcome = new ClauseSearch(piece!.model, piece!.low, piece!.high, seeded(2)).run(options);
      expect(outcome.kind).not.toBe("none");
      if (outcome.kind !== "found") return;
      tried++;
      const moved = { ...best, starts: best.starts.slice(), ends: best.ends.slice(), choices: best.choices.slice() };
      tasks.forEach((i, k) => {
        moved.starts[i] = outcome.schedule.starts[k] + from;
        moved.ends[i] = outcome.schedule.ends[k] + from;
        moved.choices[i] = outcome.schedule.choices[k];
      });
      const cost = costOf(model, moved.starts, moved.ends);
      expect(cost).toBeLessThanOrEqual(best.cost + 1e-6);
      // Ranks of loads further off are not part of a piece: the solver checks those before it takes what was found.
      const broken = verify(problem, { ...solver.solution(), cost, tasks: placedIn(problem, moved) }).filter(
        (violation) => !/rank/.test(violation.text),
      );
      expect(broken).toEqual([]);
    }),
    { numRuns: 150 },
  );
  expect(tried).toBeGreaterThan(60);
});

test("a day of 240 tasks is improved piece by piece and keeps every rule", () => {
  const problem = expectProblem(kitchen(240, 3));
  const first = solve(problem, { now: () => 0, seed: 1, iterations: 0 });
  const later = solve(problem, { now: () => 0, seed: 1, iterations: 120 });
  expect(verify(problem, later)).toEqual([]);
  expect(later.cost).toBeLessThan(0.8 * first.cost);
});
