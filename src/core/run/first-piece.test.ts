import { cookedDay, firstPlan } from "@tests/cooked-day";
import { demoInput, expectRequest } from "@tests/demo";
import { isHeat } from "../item/step";
import { makePlan } from "../plan/pipeline";
import { refusalTexts } from "../plan/reason-text";
import { stepIn } from "../plan/schema";
import { verify } from "../schedule/verify";
import { hasFirstPiece, isFirstPiece, loadsToCome, pilotsIn } from "./pilot";
import { replay } from "./replay";
import { restOfDay } from "./rest-of-day";

/** The big day, with one piece of each item of its first wave that is fried or baked going first. */
const input = demoInput("launch-night");
const gathering = input.gathering as { waves: { items: { recipe: string; firstPiece?: boolean }[] }[] };
const withFirst = (firstPiece: boolean) => ({
  ...gathering,
  waves: gathering.waves.map((wave) => ({ ...wave, items: wave.items.map((one) => ({ ...one, firstPiece })) })),
});
const planned = (firstPiece: boolean) => firstPlan(expectRequest({ ...input, gathering: withFirst(firstPiece) }));
/** A rest that leaves two minutes. */
const HASTY = { min: 10, target: 10, max: 12, atC: 22, where: "room" };
const plan = planned(true);
const firsts = Object.keys(plan.tasks).filter((id) => isFirstPiece(plan, id));
const at = (id: string) => plan.solution.tasks.find((one) => one.id === id)!;
const loadsOf = (first: string) => loadsToCome(plan, replay(plan, []), first);

test("a first piece is in the plan where it is wanted: before every load, as long in its heat as they, with hands", () => {
  const without = planned(false);
  expect(Object.keys(without.tasks).filter((id) => isFirstPiece(without, id))).toEqual([]);
  expect(firsts.length).toBeGreaterThan(1);
  expect(verify(plan.problem, plan.solution)).toEqual([]);
  for (const first of firsts) {
    const loads = loadsOf(first);
    expect(loads.length).toBeGreaterThan(0);
    expect(plan.tasks[first]).toMatchObject({ pieces: 1, what: { code: "step", first: true } });
    for (const load of loads) {
      expect(at(load).start).toBeGreaterThanOrEqual(at(first).end);
      expect(hasFirstPiece(plan, load)).toBe(true);
    }
    expect(at(first).taken.length).toBeGreaterThan(1);
  }
});

test("it took 5 min where 4 were planned: every load to come takes a minute longer, and the day is planned again with it", () => {
  const { said, own } = cookedDay(plan);
  const [first] = [...firsts].sort((a, b) => loadsOf(b).length - loadsOf(a).length);
  const loads = loadsOf(first);
  const minutes = at(first).end - at(first).start;
  const { start } = at(first);
  const before = own
    .filter(({ end, id }) => end <= start && id !== first)
    .map(({ id, end }) => said(end, { kind: "done", task: id }));
  const began = [...before, said(start, { kind: "started", task: first })];
  expect(pilotsIn(plan, replay(plan, began))).toEqual([{ task: first, since: start }]);
  const end = start + minutes + 1;
  const events = [
    ...began,
    said(end, { kind: "measured", task: first, what: "core", value: 95 }),
    said(end, { kind: "retimed", task: first, minutes: minutes + 1 }),
    said(end, { kind: "checked", task: first, seen: "right" }),
  ];
  const state = replay(plan, events);
  expect(state.tasks.get(first)?.status).toBe("done");
  expect(pilotsIn(plan, state)).toEqual([]);
  const rest = restOfDay(plan, state, end);
  expect(verify(rest.problem, rest.solution)).toEqual([]);
  const length = (id: string) => {
    const placed = rest.solution.tasks.find((one) => one.id === id)!;
    return placed.end - placed.start;
  };
  expect(loads.map(length)).toEqual(loads.map(() => minutes + 1));
});

test("whoever puts a load in without it has left it out, and no more than that", () => {
  const { said } = cookedDay(plan);
  const [first] = firsts;
  const [load] = loadsOf(first);
  const state = replay(plan, [said(at(load).start, { kind: "started", task: load })]);
  expect(state.tasks.get(first)?.status).toBe("skipped");
  const others = Object.keys(plan.tasks).filter((id) => {
    const step = stepIn(plan, id);
    return step && isHeat(step) && id !== first && id !== load;
  });
  expect(others.filter((id) => state.tasks.get(id)?.status === "skipped")).toEqual([]);
});

test("where the pieces may not wait as long as the first is in its heat, the plan says so, and is none", () => {
  const hasty = input.items.map((item) => ({
    ...item,
    steps: item.steps.map((step) => ({ ...step, ...(step.kind === "bench-rest" && step.part === "piece" && { rest: HASTY }) })),
  }));
  const request = expectRequest({ ...input, items: hasty, gathering: withFirst(true) });
  const plan = makePlan(request, { now: () => 0 });
  expect(plan.solution.status).toBe("infeasible");
  expect(refusalTexts(plan)).toEqual([
    expect.stringMatching(/may wait 2 min, and what follows begins 4 min later at the earliest$/),
  ]);
});
