import { demoPlan } from "@tests/cooked-day";
import { verify } from "../../schedule/verify";
import { arrangementOf } from "../arrangement";
import { momentOf } from "../clock";
import type { RunEvent, Telling } from "../events";
import { outcomeOf } from "../outcome";
import { replay } from "../replay";
import { partGrams } from "../windows";
import { restOfDay } from "../rest-of-day";
import { nextMinute, pressesAt } from "./simulated-hands";
import { devicesOf, FAULTS, simulatedKitchen, type Fault } from "./simulated-kitchen";

const big = demoPlan("launch-night");

/** A whole day, cooked by those who go by the screen; every re-plan is checked against all rules. */
function cooked(plan: typeof big, seed: number, faults: readonly Fault[]) {
  const kitchen = simulatedKitchen(plan, seed, faults);
  const events: RunEvent[] = [];
  const broken: string[] = [];
  let now: number | undefined = Math.min(...plan.solution.tasks.map(({ start }) => start));
  let state = replay(plan, events);
  const most = Math.max(...plan.solution.tasks.map(({ end }) => end)) + 600;
  while (now !== undefined && now < most) {
    const rest = restOfDay(plan, state, now);
    broken.push(...verify(rest.problem, rest.solution).map(({ text }) => `${now}: ${text}`));
    const arranged = arrangementOf(plan, state, rest);
    const said: Telling[] = [...(arranged ? [arranged] : []), ...pressesAt(plan, state, rest, now, kitchen)];
    const at = Date.parse(momentOf(plan, now));
    events.push(
      ...said.map(
        (one, k) => ({ ...one, id: `e${events.length + k}`, device: "hands", at: new Date(at + k).toISOString() }) as RunEvent,
      ),
    );
    state = replay(plan, events);
    now = nextMinute(plan, state, rest, now, kitchen);
  }
  return { events, broken, state, outcome: outcomeOf(plan, state), kitchen };
}

test("a day without faults is served, hot and safe, with nothing lost", () => {
  const { outcome, broken } = cooked(demoPlan("first-try"), 3, []);
  expect(broken).toEqual([]);
  expect(outcome.isOver).toBe(true);
  expect(outcome.unsafe).toEqual([]);
  for (const one of outcome.served) expect(one).toMatchObject({ lost: 0, frozen: 0, wasHot: true });
});

test.each([1, 2, 3])(
  "a day with all that can go wrong ends with everything served, frozen or lost, and no rule broken (%i)",
  (seed) => {
    const { outcome, broken, events, state, kitchen } = cooked(demoPlan("first-try"), seed, FAULTS);
    expect(broken).toEqual([]);
    expect(outcome.isOver).toBe(true);
    expect(outcome.unsafe).toEqual([]);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
    expect(state.away.size).toBe(kitchen.leaves ? 1 : 0);
    expect(outcome.served.reduce((sum, { lost }) => sum + lost, 0)).toBeGreaterThan(0);
  },
);

test("oil that is too cold is measured, waited for, and put into when it is warm", () => {
  const kitchen = simulatedKitchen(big, 1, ["cold-oil"]);
  const fry = big.solution.tasks.find(({ id }) => kitchen.oilSetC(id) !== undefined)!;
  const upTo = big.solution.tasks
    .filter(({ id, end }) => big.tasks[id]?.step && end <= fry.start)
    .map(({ id, end }, k) => ({ id: `d${k}`, device: "x", at: momentOf(big, end), kind: "done", task: id }) as RunEvent);
  const rest = { solution: big.solution };
  const ofFry = (all: readonly Telling[]) => all.filter((one) => "task" in one && one.task === fry.id);
  const first = ofFry(pressesAt(big, replay(big, upTo), rest, fry.start, kitchen));
  expect(first.map(({ kind }) => kind)).toEqual(["measured", "late"]);
  const at = momentOf(big, fry.start);
  const measured = first.map((one, k) => ({ ...one, id: `m${k}`, device: "x", at }) as RunEvent);
  const later = ofFry(pressesAt(big, replay(big, [...upTo, ...measured]), rest, fry.start + 20, kitchen));
  expect(later.map(({ kind }) => kind)).toEqual(["started"]);
});

test("one seed gives one kitchen, another another", () => {
  const lengths = (seed: number) => {
    const { readyAfter } = simulatedKitchen(big, seed, []);
    return big.solution.tasks.map(({ id }) => readyAfter(id));
  };
  expect(lengths(1)).toEqual(lengths(1));
  expect(lengths(1)).not.toEqual(lengths(2));
});

test("a core passes its figure when it is ready, and no sooner", () => {
  const kitchen = simulatedKitchen(big, 1, []);
  const heats = big.solution.tasks.filter(({ id }) => kitchen.coreAfter(id, 0) !== undefined);
  expect(heats.length).toBeGreaterThan(0);
  for (const { id } of heats) {
    const ready = kitchen.readyAfter(id);
    const wanted = big.steps[big.tasks[id].as!].coreC!;
    expect(kitchen.coreAfter(id, ready)).toBeGreaterThanOrEqual(wanted);
    expect(kitchen.coreAfter(id, ready * 0.8)).toBeLessThan(wanted);
  }
});

test("an oven gets as hot as it is set and no hotter; a scale reads each piece the same each time, near its weight", () => {
  const kitchen = simulatedKitchen(big, 1, []);
  const oven = big.problem.resources.find(({ kind }) => kind === "chamber")!;
  const set = { id: "s", device: "x", at: momentOf(big, 600), kind: "set", what: oven.id, value: 190 } as RunEvent;
  const at = (minute: number, events: RunEvent[] = [set]) => devicesOf(big, kitchen, replay(big, events)).ovenC(oven.id, minute)!;
  expect(at(610, [])).toBeLessThan(60);
  expect(at(603)).toBeGreaterThan(at(600));
  expect([at(700), at(900)]).toEqual([190, 190]);
  const divide = big.solution.tasks.find(({ id }) => big.steps[big.tasks[id].as ?? ""]?.kind === "divide")!;
  const { scaleG } = devicesOf(big, kitchen, replay(big, []));
  const grams = partGrams(big, big.tasks[divide.id].item, "dough");
  const read = Array.from({ length: 20 }, (_, nth) => scaleG(divide.id, nth)!);
  expect(read).toEqual(Array.from({ length: 20 }, (_, nth) => scaleG(divide.id, nth)!));
  for (const one of read) expect(Math.abs(one / grams - 1)).toBeLessThan(0.1);
  expect(new Set(read).size).toBeGreaterThan(3);
});
