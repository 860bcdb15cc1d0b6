import { cookedDay, demoPlan } from "@tests/cooked-day";
import { stepIn } from "@/core/plan/schema";
import type { RunEvent } from "@/core/run/events";
import { replay } from "@/core/run/replay";
import { restOfDay } from "@/core/run/rest-of-day";
import { clocksOf } from "@/core/run/stand";
import { cookModel } from "./cook.view-model";
import { lockIn } from "./lock";

const plan = demoPlan("launch-night");
const { own, said, asPlanned } = cookedDay(plan);
const shown = { task: (id: string) => id, clock: String };
const modelAt = (events: readonly RunEvent[], now: number) => {
  const state = replay(plan, events);
  const rest = restOfDay(plan, state, now);
  return cookModel(plan, state, { rest, settled: rest }, now, shown);
};
const of = (kind: string) => own.filter(({ id }) => stepIn(plan, id)?.kind === kind).sort((a, b) => a.start - b.start);

test("at minute 7 of 9 a heat that hands are at asks to be looked at and listened to, and at 6 it does not", () => {
  const [fry] = of("fry");
  const more = 9 - (fry.end - fry.start);
  const began = asPlanned(fry.start);
  const events = more > 0 ? [...began, said(fry.start, { kind: "extended", task: fry.id, minutes: more })] : began;
  const isSoon = (minute: number) =>
    modelAt(events, fry.start + minute)
      .columns.flatMap(({ now }) => now)
      .find(({ task }) => task === fry.id)?.isSoon;
  expect([isSoon(6), isSoon(7)]).toEqual([false, true]);
});

test("the lid over raised dough in the steam stays shut for eight tenths of its time, and says why", () => {
  const [steam] = of("steam");
  const [clock] = clocksOf(plan, replay(plan, asPlanned(steam.start))).filter(({ task }) => task === steam.id);
  const until = steam.start + Math.floor(0.8 * (clock.target - steam.start));
  const shut = replay(plan, []);
  expect(lockIn(plan, shut, clock, steam.start)).toMatchObject({ until, reason: expect.stringMatching(/lid stays shut/) });
  expect(lockIn(plan, shut, clock, until)).toBeUndefined();
  const opened = replay(plan, [said(steam.start, { kind: "opened", task: steam.id, reason: "it boils over" })]);
  expect(lockIn(plan, opened, clock, steam.start)).toBeUndefined();
  expect(opened.notes).toMatchObject([{ task: steam.id, text: "Lid opened: it boils over" }]);
  const [bake] = of("bake");
  const [baking] = clocksOf(plan, replay(plan, asPlanned(bake.start))).filter(({ task }) => task === bake.id);
  expect(lockIn(plan, shut, baking, bake.start)).toBeUndefined();
});

test("a lot that was out of the cold for too long is said; back in the fridge in time it is not", () => {
  const lots = own
    .filter(({ id }) => stepIn(plan, id)?.coreC !== undefined)
    .flatMap(({ id, start }) =>
      modelAt(asPlanned(start - 1), start - 1)
        .food.filter(({ task, level }) => task === id && level !== "over")
        .map(({ limitMin }) => ({ task: id, limitMin, at: start - 1 })),
    );
  expect(lots.length).toBeGreaterThan(0);
  const [{ task, limitMin, at }] = lots;
  const isSaid = (more: readonly RunEvent[]) =>
    modelAt([...asPlanned(at), ...more], at + limitMin + 1).warnings.some(
      ({ code, text }) => code === "out-of-cold" && text.startsWith(`${task}:`),
    );
  expect(isSaid([])).toBe(true);
  expect(isSaid([said(at, { kind: "cooled", task, share: 1 })])).toBe(false);
});

test("what is begun before its time is begun as carefully: a lot that was out for too long asks first", () => {
  /** A heat that is put off while all else goes on, and the day then. */
  const putOff = own
    .filter(
      ({ id, start }) =>
        stepIn(plan, id)?.coreC !== undefined && modelAt(asPlanned(start - 1), start - 1).food.some((lot) => lot.task === id),
    )
    .map(({ id, start }) => {
      const behind = new Set([id]);
      for (const task of plan.problem.tasks) if (task.after.some((link) => behind.has(link.task))) behind.add(task.id);
      const others = asPlanned(Infinity).filter((event) => !("task" in event && behind.has(event.task as string)));
      return { id, at: start + 200, events: [...others, said(start - 1, { kind: "late", task: id, minutes: 300 })] };
    });
  expect(putOff.length).toBeGreaterThan(0);
  const [{ id, at, events }] = putOff;
  const early = (told: readonly RunEvent[]) =>
    modelAt(told, at)
      .columns.flatMap(({ next }) => next)
      .find(({ task }) => task === id)?.early;
  expect(early(events)).toMatchObject({ task: id, cold: { level: "over" } });
  const kept = early([...events, said(at - 190, { kind: "cooled", task: id, share: 1 })]);
  expect(kept?.task).toBe(id);
  expect(kept?.cold).toBeUndefined();
});
