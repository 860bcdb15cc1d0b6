import { expectProblem } from "@tests/any-problem";
import { compile } from "../compile";
import type { Schedule } from "../construct/schedule";
import { Sideways } from "./plateau-tie-break";

const schedule = (starts: number[], cost: number): Schedule => ({
  starts: Int32Array.from(starts),
  ends: Int32Array.from(starts, (start) => start + 10),
  choices: starts.map(() => new Int32Array(0)),
  cost,
});
const sideways = (costs: { span?: number; makespan?: number }) =>
  new Sideways(
    compile(
      expectProblem({
        format: "unisynth-problem/1",
        horizon: 100,
        resources: [],
        tasks: [0, 1, 2].map((i) => ({ id: `t${i}`, duration: 10 })),
        costs,
      }),
    ),
  );

test("where the first start costs, the schedule that lies later has more room", () => {
  const side = sideways({ span: 1 });
  const [early, late] = [schedule([0, 20, 90], 100), schedule([0, 50, 90], 100)];
  expect([side.late, side.roomier(late, early), side.roomier(early, late), side.roomier(late, late)]).toEqual([
    true,
    true,
    false,
    false,
  ]);
});

test("where the last end costs, the one that lies earlier has", () => {
  const side = sideways({ makespan: 1 });
  expect([side.late, side.roomier(schedule([0, 20, 90], 100), schedule([0, 50, 90], 100))]).toEqual([false, true]);
});

test("neighbourhoods are searched for the same cost as the length of the day counts in it", () => {
  const least = schedule([0, 20, 90], 100);
  expect(sideways({ span: 1 }).share(least)).toBeCloseTo(0.6);
  expect(sideways({ span: 0.5 }).share(least)).toBeCloseTo(0.3);
  expect(sideways({}).share(least)).toBe(0);
  expect(sideways({ span: 1 }).share(schedule([0, 0, 0], 0))).toBe(0);
});
