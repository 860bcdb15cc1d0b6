import { ownDay } from "@tests/cooked-day";
import { stepIn } from "../plan/schema";
import { verify } from "../schedule/verify";
import { oddLoad } from "./odd-pieces";
import { replay } from "./replay";
import { restOfDay } from "./rest-of-day";

const { plan, item, said, own, start } = ownDay(
  {
    name: "Rolls",
    makes: 24,
    dough: ["900 g flour", "500 g water", "9 g instant yeast", "40 g butter"],
    fillings: ["720 g ham"],
    method: ["Let rise 1 hour. Fill. Let rise 30 min. Bake 20 min at 190 C."],
  },
  24,
);
const HEAVY = 95;
const bakes = own.filter(({ id }) => stepIn(plan, id)?.kind === "bake").sort((a, b) => a.start - b.start);
const last = bakes.at(-1)!;
const bakedMin = last.end - last.start;

test("a piece of 95 g where 60 g are right stays in the last load for 5 min longer; one that is nearly right does not", () => {
  const state = replay(plan, []);
  expect(bakedMin).toBeGreaterThanOrEqual(18);
  expect(oddLoad(plan, state, item.id, [60, 95, 51, 60.5], 60)).toEqual({ kind: "odd", task: last.id, grams: [95], minutes: 5 });
  expect(oddLoad(plan, state, item.id, [51, 58, 62], 60)).toBeUndefined();
});

test("in the steamer it stays longer by the same rule; for oil nobody has one", () => {
  const day = (heat: string) =>
    ownDay(
      {
        name: "Buns",
        makes: 12,
        dough: ["400 g flour", "210 g water", "5 g instant yeast"],
        fillings: ["300 g ham"],
        method: [`Let rise 1 hour. Fill. Let rise 30 min. ${heat}`],
      },
      12,
    );
  const steamed = day("Steam 12 min.");
  const load = steamed.own
    .filter(({ id }) => stepIn(steamed.plan, id)?.kind === "steam")
    .sort((a, b) => a.start - b.start)
    .at(-1)!;
  const steamMin = load.end - load.start;
  expect(oddLoad(steamed.plan, replay(steamed.plan, []), steamed.item.id, [60, HEAVY], 60)).toEqual({
    kind: "odd",
    task: load.id,
    grams: [HEAVY],
    minutes: Math.round(steamMin * Math.sqrt(HEAVY / 60) - steamMin),
  });
  const fried = day("Deep-fry 4 min at 175 C.");
  expect(fried.own.some(({ id }) => stepIn(fried.plan, id)?.kind === "fry")).toBe(true);
  expect(oddLoad(fried.plan, replay(fried.plan, []), fried.item.id, [HEAVY], 60)).toBeUndefined();
});

test("it is planned so: that load takes as much longer, said twice once, and no rule is broken", () => {
  const now = start + 1;
  const odd = oddLoad(plan, replay(plan, []), item.id, [95], 60)!;
  const lengthOf = (events: Parameters<typeof replay>[1]) => {
    const rest = restOfDay(plan, replay(plan, events), now);
    expect(verify(rest.problem, rest.solution)).toEqual([]);
    const placed = rest.solution.tasks.find(({ id }) => id === last.id)!;
    return placed.end - placed.start;
  };
  expect(lengthOf([])).toBe(bakedMin);
  expect(lengthOf([said(now, odd)])).toBe(bakedMin + 5);
  expect(lengthOf([said(now, odd), said(now, { ...odd, grams: [95, 80] })])).toBe(bakedMin + 5);
  // With the time that a first piece showed, it is longer than that.
  expect(lengthOf([said(now, odd), said(now, { kind: "retimed", task: last.id, minutes: bakedMin + 2 })])).toBe(bakedMin + 7);
});
