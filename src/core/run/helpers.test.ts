import { demoPlan } from "@tests/cooked-day";
import { verify } from "../schedule/verify";
import { momentOf } from "./clock";
import type { RunEvent, Telling } from "./events";
import { outcomeOf } from "./outcome";
import { replay } from "./replay";
import { restOfDay } from "./rest-of-day";
import { effectOf, LENT, totalLate, waysOut } from "./ways-out";

const plan = demoPlan("launch-night");
const start = Math.min(...plan.solution.tasks.map((one) => one.start));
const now = start + 5;
const told = (all: readonly Telling[]): RunEvent[] =>
  all.map((one, k) => ({ ...one, id: `t${k}`, device: "wall", at: momentOf(plan, now) }) as RunEvent);
const leave = plan.day.cooks.slice(2).map(({ id }): Telling => ({ kind: "changed", who: id, isThere: false }));
const joins: Telling = { kind: "joined", who: LENT, name: "Lent hands" };

test("where cooks have left, whoever joined does some of what is still to begin", () => {
  const state = replay(plan, told([...leave, joins]));
  const rest = restOfDay(plan, state, now);
  expect(verify(rest.problem, rest.solution)).toEqual([]);
  expect(rest.solution.tasks.some(({ taken }) => taken.includes(LENT))).toBe(true);
});

test("what only one who left can do falls to the others", () => {
  const alone = plan.problem.tasks.flatMap(({ id, uses }) =>
    uses.flatMap(({ resource }) => {
      const list = typeof resource === "string" ? [resource] : resource;
      return list.length === 1 && plan.day.cooks.some((cook) => cook.id === list[0]) ? [{ id, cook: list[0] }] : [];
    }),
  );
  expect(alone.length).toBeGreaterThan(0);
  const [{ id, cook }] = alone;
  const state = replay(plan, told([{ kind: "changed", who: cook, isThere: false }]));
  const rest = restOfDay(plan, state, now);
  expect(verify(rest.problem, rest.solution)).toEqual([]);
  const { taken } = rest.solution.tasks.find((task) => task.id === id)!;
  expect(taken).not.toContain(cook);
});

test("ways out of being late are tried with what they change; what is agreed is the last of them", () => {
  const late: Telling = { kind: "late", task: plan.solution.tasks.find(({ id }) => plan.tasks[id]?.step)!.id, minutes: 500 };
  const events = told([late]);
  const state = replay(plan, events);
  const target = plan.day.targets[0];
  const ways = waysOut(plan, state, { late: [{ target: target.id, minutes: 40 }], broken: [] });
  expect(ways.map(({ code }) => code)).toEqual(expect.arrayContaining(["freezer", "hands", "later"]));
  const frozen = ways.find(({ code }) => code === "freezer")!;
  const effect = effectOf(plan, events, frozen, now);
  expect(totalLate(effect.late)).toBeGreaterThanOrEqual(0);
  const after = replay(plan, [...events, ...told([frozen.tell]).map((one) => ({ ...one, id: "f" }))]);
  const served = outcomeOf(plan, after).served.find(({ frozen: count }) => count > 0);
  expect(served).toBeDefined();
});
