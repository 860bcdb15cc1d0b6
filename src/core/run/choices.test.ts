import { cookedDay, demoPlan, firstPlan } from "@tests/cooked-day";
import { expectRequest, supperInput } from "@tests/demo";
import { makeItem } from "../item/making/make-item";
import { RecipeInputSchema } from "../item/making/recipe-input";
import { stepIn } from "../plan/schema";
import { verify } from "../schedule/verify";
import type { RunEvent } from "./events";
import { replay } from "./replay";
import { reordered } from "./reorder";
import { restOfDay, sinceLast } from "./rest-of-day";
import { earlyRises, effectOf, totalLate, waysOut } from "./ways-out";

const big = demoPlan("launch-night");
const { said, own, asPlanned, start } = cookedDay(big);

describe("an order that somebody wants", () => {
  const now = start + 5;
  const state = replay(big, asPlanned(now));
  const waiting = own.filter(({ id }) => state.tasks.get(id)?.status === "waiting").sort((a, b) => a.start - b.start);

  it("is had where the work allows it, every rule kept, and stays when the day goes on", () => {
    const handsOn = waiting.filter(({ id }) => stepIn(big, id)?.attention === "hands-on");
    let tried = 0;
    let moves = 0;
    for (const [k, one] of handsOn.slice(0, 12).entries()) {
      const other = handsOn.slice(k + 1).find(({ id }) => big.tasks[id].item !== big.tasks[one.id].item)!;
      const got = reordered(big, state, now, { task: other.id, place: "before", other: one.id });
      if (!got.ok) continue;
      tried += 1;
      expect(verify(got.rest.problem, got.rest.solution)).toEqual([]);
      const at = (id: string, tasks = got.rest.solution.tasks) => tasks.find((task) => task.id === id)!.start;
      expect(at(other.id)).toBeLessThanOrEqual(at(one.id));
      const told = replay(big, [...asPlanned(now), said(now, got.tell)]);
      const onwards = restOfDay(big, told, now + 1);
      const later = onwards.solution.tasks;
      // What it comes to stays said once it is told, and is no longer said when something else happens.
      const moved = (since: typeof told) => sinceLast(big, since, onwards).moves.map(({ id }) => id);
      const there = got.rest.moves.filter(({ id, to }) => big.tasks[id]?.step && at(id, later) === to.start).map(({ id }) => id);
      expect(moved(told)).toEqual(expect.arrayContaining(there));
      const next = replay(big, [...told.counted.events, said(now + 1, { kind: "late", task: one.id, minutes: 1 })]);
      expect(moved({ ...next, isArranged: true }).filter((id) => there.includes(id))).toEqual([]);
      moves += there.length;
      expect(at(other.id, later)).toBeLessThanOrEqual(at(one.id, later));
    }
    expect(tried).toBeGreaterThan(3);
    expect(moves).toBeGreaterThan(3);
  });

  it("is refused where one needs what the other leaves, or has begun", () => {
    const bake = waiting.find(({ id }) => stepIn(big, id)?.kind === "bake")!;
    const [before] = big.problem.tasks.find(({ id }) => id === bake.id)!.after;
    const dough =
      waiting.find(({ id }) => id === before.task) ?? waiting.find(({ id }) => big.tasks[id].item === big.tasks[bake.id].item)!;
    expect(reordered(big, state, now, { task: bake.id, place: "before", other: dough.id })).toMatchObject({ ok: false });
    const begun = own.find(({ id }) => state.tasks.get(id)?.status !== "waiting")!;
    expect(reordered(big, state, now, { task: begun.id, place: "after", other: bake.id })).toEqual({ ok: false, code: "over" });
  });
});

test("two trays at once in an oven that takes one by one: less late, and every rule kept", () => {
  const made = makeItem(
    RecipeInputSchema.parse({
      name: "Pies",
      makes: 24,
      dough: ["500 g flour", "280 g butter", "150 g water"],
      fillings: ["900 g apples", "80 g sugar"],
      method: ["Cook the apples 10 min.", "Fold over.", "Bake 20 min at 190 C."],
    }),
    { taken: [], choices: { trays: "one" } },
  );
  if (!made.ok) throw new Error("not made");
  const { item } = made.value;
  item.capacity = { ...item.capacity, perTray: 12 };
  const plan = firstPlan(expectRequest(supperInput("launch-night", item, 48, "18:30")));
  const { said: say, own: tasks, asPlanned: upTo } = cookedDay(plan);
  const bakes = tasks.filter(({ id }) => stepIn(plan, id)?.kind === "bake").sort((a, b) => a.start - b.start);
  expect(bakes.length).toBeGreaterThan(2);
  const now = bakes[0].start;
  const events = [
    ...upTo(now - 1).filter((one) => !("task" in one) || one.task !== bakes[0].id),
    say(now, { kind: "late", task: bakes[0].id, minutes: 40 }),
  ];
  const state = replay(plan, events);
  const rest = restOfDay(plan, state, now);
  const late = plan.day.targets.map(({ id }) => ({ target: id, minutes: 40 }));
  const way = waysOut(plan, state, { late, broken: rest.broken }).find(({ code }) => code === "two-trays")!;
  const doubled = replay(plan, [...events, say(now, way.tell)]);
  const two = restOfDay(plan, doubled, now);
  expect(verify(two.problem, two.solution)).toEqual([]);
  const lastOf = (solution: typeof two.solution) =>
    Math.max(...bakes.map(({ id }) => solution.tasks.find((task) => task.id === id)!.end));
  expect(lastOf(two.solution)).toBeLessThan(lastOf(rest.solution));
  expect(totalLate(effectOf(plan, events, way, now).late)).toBeLessThan(
    rest.late.reduce((sum, { minutes }) => sum + minutes, 0) + 1,
  );
  expect(waysOut(plan, doubled, { late, broken: [] }).some(({ code }) => code === "two-trays")).toBe(false);
});

test("a rise that is ready early goes on, into the fridge or is knocked back, each with what it comes to", () => {
  const proofs = own.filter(({ id }) => big.tasks[id].rise !== undefined);
  const found = proofs.flatMap(({ id, start: from }) => {
    const now = from + big.tasks[id].rise!.firstLookMin;
    const state = replay(
      big,
      asPlanned(now).filter((one) => one.kind !== "done" || one.task !== id),
    );
    const rest = restOfDay(big, state, now);
    return earlyRises(big, state, rest, now)
      .filter(({ task }) => task === id)
      .map((one) => ({ ...one, now, events: state.counted.events }));
  });
  expect(found.length).toBeGreaterThan(0);
  for (const { ways, now, events, task, waitMin } of found.slice(0, 2)) {
    expect(waitMin).toBeGreaterThanOrEqual(8);
    expect(ways.some(({ code }) => code === "knock-back")).toBe(stepIn(big, task)!.part === "dough");
    for (const way of ways) {
      const effect = effectOf(big, events, way, now);
      expect(effect.next!.at).toBeGreaterThanOrEqual(now);
    }
    const held = replay(big, [...events, said(now, ways[1].tell)]);
    expect(held.tasks.get(task)).toMatchObject({ status: "running", held: { place: "fridge" } });
  }
});

test("what is kept hot may wait for as long as it must, and the rest keeps every rule", () => {
  const heat = own.find(({ id }) => {
    const step = stepIn(big, id);
    const isWaitedFor = big.problem.tasks.some(({ after }) => after.some((link) => link.task === id && link.max !== undefined));
    return step?.part === "piece" && step.kind === "steam" && isWaitedFor;
  })!;
  const now = heat.end;
  const longest = (events: readonly RunEvent[]) => {
    const rest = restOfDay(big, replay(big, events), now);
    expect(verify(rest.problem, rest.solution)).toEqual([]);
    const known = new Set(big.problem.tasks.map(({ id }) => id));
    return rest.problem.tasks
      .filter(({ id }) => known.has(id))
      .flatMap(({ after }) => after.filter((link) => link.task === heat.id).map(({ max }) => max));
  };
  const out = [...asPlanned(now - 1), said(now, { kind: "done", task: heat.id })];
  expect(longest(out).some((max) => max !== undefined)).toBe(true);
  const warm = said(now, { kind: "held", task: heat.id, place: "warm" });
  expect(longest([...out, warm]).every((max) => max === undefined)).toBe(true);
});
