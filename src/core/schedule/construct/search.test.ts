import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { seeded } from "../../shared/chance";
import { compile } from "../compile";
import { Search } from "./search";
import { costOf, guessAt, type Schedule } from "./schedule";
import { solve } from "../solve";
import type { Problem } from "../problem";

const NOW = { now: () => 0 };

function searchOf(problem: Problem) {
  const model = compile(problem);
  return { model, search: new Search(model, seeded(1)) };
}

describe("a load that bridges the pause of two others", () => {
  const fry = (id: string, duration: number) => ({ id, duration, uses: [{ resource: "fryer", setting: 180 }] });
  const { model, search } = searchOf(
    expectProblem({
      format: "unisynth-problem/1",
      horizon: 60,
      resources: [{ id: "fryer", kind: "chamber", slots: 2, start: 180, heat: 10, cool: 10, recovery: 5 }],
      tasks: [fry("first", 10), fry("third", 10), fry("bridge", 10)],
      costs: { makespan: 1, span: 0 },
    }),
  );
  // The pause from 10 to 12 is too short, but "bridge" is in from 5 to 15.
  const starts = Int32Array.of(0, 12, 5);
  const ends = Int32Array.of(10, 22, 15);
  const choices = [0, 1, 2].map(() => new Int32Array(1));
  const schedule: Schedule = { starts, ends, choices, cost: costOf(model, starts, ends) };

  test("is put back with them, whatever the order", () => expect(search.loosen(schedule, new Uint8Array(3))).toBe(true));
  test("cannot be freed by itself", () => expect(search.loosen(schedule, Uint8Array.of(0, 0, 1))).toBe(false));
  test("can be freed with one of them", () => expect(search.loosen(schedule, Uint8Array.of(0, 1, 1))).toBe(true));
});

test("whatever is freed of a schedule, the rest is kept and a pass fills the gap again or says that it cannot", () => {
  fc.assert(
    fc.property(anyProblem(8), fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }), (input, picks) => {
      const problem = expectProblem(input);
      const solution = solve(problem, { ...NOW, iterations: 10, passes: 40 });
      if (solution.status === "infeasible") return;
      const { model, search } = searchOf(problem);
      const { starts, ends, choices } = guessAt(problem, solution)!;
      const freed = Uint8Array.from({ length: model.n }, (_, i) => (picks[i % picks.length] ? 1 : 0));
      if (!search.loosen({ starts, ends, choices, cost: solution.cost }, freed)) return;
      const found = search.construct({
        deadEnds: 40,
        tries: 8,
        below: Infinity,
        whim: 0,
        patience: 0,
        aims: true,
        wish: (i) => ends[i],
      });
      const seen = found ?? search.partial!;
      for (let i = 0; i < model.n; i++) if (!freed[i]) expect([seen.starts[i], seen.ends[i]]).toEqual([starts[i], ends[i]]);
      if (found) expect(found.cost).toBeCloseTo(costOf(model, found.starts, found.ends), 6);
    }),
    { numRuns: 60 },
  );
});
