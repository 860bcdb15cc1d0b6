import fc from "fast-check";
import { anyProblem, expectProblem } from "@tests/any-problem";
import { cookedDay, demoPlan } from "@tests/cooked-day";
import { replay } from "@/core/run/replay";
import { restInput, REST_SEARCH } from "@/core/run/rest-of-day";
import { compile, hasSameShape } from "../compile";
import { solve } from "../solve";
import { Solver } from "../solver";
import { mayKeepOrder } from "../timing/retime";
import { guessOf, restOf, type ExecutionState } from "./execution-state";
import { rungsOf } from "./relaxation-ladder";
import { replan, type Replanned } from "./replan";

const LIMITS = { now: () => 0, iterations: 0, passes: 40, seed: 1 } as const;

/** A day in the middle of which a task takes some minutes more. */
const anySlip = fc
  .record({ input: anyProblem(6), at: fc.integer({ min: 0, max: 100 }), more: fc.integer({ min: 1, max: 60 }) })
  .map(({ input, at, more }) => {
    const problem = expectProblem(input);
    const old = solve(problem, LIMITS);
    const ends = old.tasks.map((task) => task.end);
    const now = Math.floor((Math.max(0, ...ends) * at) / 100);
    const coming = old.tasks.find((task) => task.start > now);
    const soFar: ExecutionState = {
      now,
      done: old.tasks.filter(({ end }) => end <= now),
      running: old.tasks.filter(({ start, end }) => start < now && end > now).map(({ id, start }) => ({ id, start })),
      locked: [],
      changed: coming ? [{ id: coming.id, minutes: coming.end - coming.start + more }] : [],
    };
    return { problem, old, soFar };
  })
  .filter(({ old }) => old.tasks.length > 0);

test("what is seen at a glance not to keep an order has no times that do", () =>
  fc.assert(
    fc.property(anySlip, ({ problem, old, soFar }) => {
      const strict = restOf(problem, old, soFar);
      const was = guessOf(strict, problem, old, soFar);
      for (const rung of rungsOf(strict, soFar)) {
        if (mayKeepOrder(compile(rung), was)) continue;
        expect(new Solver(rung, 1).keepOrder(was)).toBe(false);
      }
    }),
  ));

test("a rung that is compiled like another is the same as compiled by itself", () =>
  fc.assert(
    fc.property(anySlip, ({ problem, old, soFar }) => {
      const rungs = rungsOf(restOf(problem, old, soFar), soFar);
      for (const [i, one] of rungs.entries())
        for (const other of rungs.slice(0, i))
          if (hasSameShape(other, one)) expect(compile(one, compile(other))).toEqual(compile(one));
      expect(hasSameShape(rungs[1], rungs[2])).toBe(true);
    }),
    { numRuns: 25 },
  ));

test("the first answer alone is the first that is told, whatever becomes of the day", () => {
  const big = demoPlan("launch-night");
  const { asPlanned, said, start, own } = cookedDay(big);
  for (const at of [60, 150, 240]) {
    const now = start + at;
    const late = own.find((one) => one.start > now)!;
    const state = replay(big, [...asPlanned(now), said(now, { kind: "late", task: late.id, minutes: 25 })]);
    const { plan, soFar } = restInput(big, state, now);
    const told: Replanned[] = [];
    replan(plan.problem, plan.solution, soFar, { ...REST_SEARCH, better: (answer) => told.push(answer) });
    const first = replan(plan.problem, plan.solution, soFar, { ...REST_SEARCH, onlyFirst: true });
    expect(told.length).toBeGreaterThan(0);
    expect(first).toEqual(told[0]);
  }
});
