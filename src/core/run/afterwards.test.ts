import { cookedDay, demoPlan } from "@tests/cooked-day";
import { demoItem } from "@tests/demo";
import { stepIn } from "../plan/schema";
import { amountsAfter, causesOf, piecesOf, stepsAfter, tracesOf } from "./afterwards";
import { replay } from "./replay";
import { takenIntoItem, takenIntoKitchen, takeoversOf, TakeoverSchema } from "./take-over";
import { demoKitchen } from "@tests/demo";

const plan = demoPlan("first-try");
const { said, own, asPlanned } = cookedDay(plan);
const end = Math.max(...plan.solution.tasks.map((one) => one.end));
const bake = own.find(({ id }) => stepIn(plan, id)?.kind === "bake")!;
const { item, step } = plan.tasks[bake.id];
const bakes = own.filter(({ id }) => plan.tasks[id].item === item && plan.tasks[id].step === step);

const isLater = (task: string) => {
  const { start } = own.find(({ id }) => id === task)!;
  return plan.tasks[task].item === item && start > bake.start && bakes.every(({ id }) => id !== task);
};
/** The day as planned up to a bake that took so many times as long; what comes after it is not told. */
const slow = (times: number) =>
  asPlanned(end)
    .filter((one) => !("task" in one) || !isLater(one.task!))
    .map((one) => {
      const mine = bakes.find(({ id }) => "task" in one && id === one.task && one.kind === "done");
      return mine ? said(mine.start + Math.round((mine.end - mine.start) * times), { kind: "done", task: mine.id }) : one;
    });

test("planned and happened stand side by side, step by step; what nobody did says so", () => {
  const steps = stepsAfter(plan, replay(plan, slow(1.2)));
  const mine = steps.find(({ task }) => task === bake.id)!;
  const planned = bake.end - bake.start;
  expect(mine.planned).toEqual({ start: bake.start, minutes: planned });
  expect(mine.went).toEqual({ start: bake.start, minutes: Math.round(planned * 1.2) });
  expect(stepsAfter(plan, replay(plan, [])).every(({ went }) => went === undefined)).toBe(true);
});

test("a bake that took 24 for 20 is taken over into the item, and then is that long there", () => {
  const state = replay(plan, slow(1.2));
  const takeovers = takeoversOf(plan, state);
  const mine = takeovers.find((one) => one.code === "step" && one.item === item && one.step === step)!;
  expect(TakeoverSchema.parse(mine)).toEqual(mine);
  if (mine.code !== "step") throw new Error("no step");
  expect(mine.timesAsLong).toBeCloseTo(1.2, 1);
  const was = demoItem(item);
  const now = takenIntoItem(was, mine);
  if (!now.ok) throw new Error(JSON.stringify(now.issues));
  const { time } = was.steps.find(({ id }) => id === step)!;
  const saidMin = time.fixedMin + (time.secPerPiece * was.base.pieces) / 60;
  expect(now.value.steps.find(({ id }) => id === step)!.tookMin).toBe(Math.round(saidMin * mine.timesAsLong));
  expect(takeoversOf(plan, replay(plan, asPlanned(end)))).toEqual([]);
});

test("the room as it was measured is taken over into the kitchen", () => {
  const state = replay(plan, [...asPlanned(end), said(end, { kind: "measured", what: "room", value: 16 })]);
  const room = takeoversOf(plan, state).find((one) => one.code === "room")!;
  if (room.code !== "room") throw new Error("no room");
  const kitchen = takenIntoKitchen(demoKitchen(plan.day.kitchen.id), room);
  expect(kitchen.roomC).toEqual([{ from: "00:00", to: "24:00", c: 16 }]);
});

test("the causes of a fault: those first that the day's own record speaks for", () => {
  const traces = tracesOf(
    plan,
    replay(plan, [...slow(1.5), said(end, { kind: "amount", item, what: "pieces", value: 3 })]),
    item,
  );
  expect(traces).toContainEqual(expect.objectContaining({ code: "longer", task: bake.id }));
  const causes = causesOf("too strong a heat, baked too long or no egg", traces);
  expect(causes.map(({ text }) => text)).toEqual(["baked too long", "too strong a heat", "no egg"]);
  expect(causes[0].because.length).toBeGreaterThan(0);
  expect(causesOf("steam too strong, too much water", [{ code: "more-water", grams: 1500, plannedG: 780 }])[0]).toEqual({
    text: "too much water",
    because: [{ code: "more-water", grams: 1500, plannedG: 780 }],
  });
});

test("a first piece that is heavier than planned tells how many there will be", () => {
  const pieces = plan.pieces.filter((one) => one.item === item).reduce((sum, one) => sum + one.pieces, 0);
  const { planned } = amountsAfter(plan, replay(plan, []), item).find(({ what }) => what === "piece")!;
  expect(piecesOf(plan, item, planned)).toBe(pieces);
  expect(piecesOf(plan, item, planned * 1.1)).toBe(Math.floor(pieces / 1.1));
  expect(piecesOf(plan, item, 0)).toBe(0);
});
