import { stepIn, type Plan } from "../../plan/schema";
import type { Replanned } from "../../schedule/replan/replan";
import { SHARES, type Telling } from "../events";
import { peopleIn } from "../helpers";
import { OIL_OFF_C } from "../oil";
import { isOpen, type RunState } from "../run-state";
import { clocksOf, foodClocks, soonMin } from "../stand";
import type { KitchenDevices } from "./kitchen-devices";
import { devicesOf, type SimulatedKitchen } from "./simulated-kitchen";

/** Oil that is too cold is waited for so long, min. */
const OIL_WAIT_MIN = 3;

/** Tasks with a step or hands that have to be over before a task begins: waits are nobody's to end. */
function beforeOf(plan: Plan): ReadonlyMap<string, readonly string[]> {
  const links = new Map(
    plan.problem.tasks.map(({ id, after }) => [id, after.filter(({ min }) => min >= 0).map(({ task }) => task)]),
  );
  const isWait = (id: string) => plan.tasks[id]?.what.code === "wait";
  const through = (id: string): string[] => (links.get(id) ?? []).flatMap((one) => (isWait(one) ? through(one) : [one]));
  return new Map([...links.keys()].map((id) => [id, through(id)]));
}

/**
 * What cooks who go by the screen press at a minute: they begin what is due, end what hands do, look at what is to be looked at and
 * measure what is to be measured. `rest`: the rest of the day as it is now.
 */
export function pressesAt(
  plan: Plan,
  state: RunState,
  rest: Pick<Replanned, "solution">,
  now: number,
  kitchen: SimulatedKitchen,
): Telling[] {
  const said: Telling[] = [];
  const people = new Set(peopleIn(plan, state).map(({ id }) => id));
  const { leaves, burns } = kitchen;
  const devices = devicesOf(plan, kitchen, state);
  if (leaves && now >= leaves.minute && !state.away.has(leaves.cook))
    said.push({ kind: "changed", who: leaves.cook, isThere: false });
  const clocks = new Map(clocksOf(plan, state).map((clock) => [clock.task, clock]));
  const before = beforeOf(plan);
  const isOver = (id: string) => !isOpen(state.tasks.get(id));
  for (const { id, start, end, taken } of rest.solution.tasks) {
    const stand = state.tasks.get(id);
    if (!stand || isOver(id) || plan.tasks[id]?.what.code === "wait") continue;
    const by = taken.find((one) => people.has(one));
    const cook = by === undefined ? {} : { cook: by };
    if (stand.status === "waiting") {
      if (start > now || !(before.get(id) ?? []).every(isOver)) continue;
      const set = kitchen.oilSetC(id);
      const oil = devices.oilC(id, now);
      if (set !== undefined && oil !== undefined && oil < set - OIL_OFF_C) {
        said.push(
          { ...cook, kind: "measured", task: id, what: "oil", value: oil },
          { ...cook, kind: "late", task: id, minutes: OIL_WAIT_MIN },
        );
      } else said.push({ ...cook, kind: "started", task: id, taken });
      continue;
    }
    const clock = clocks.get(id);
    if (!clock) {
      if (end <= now) said.push({ ...cook, kind: "done", task: id });
      continue;
    }
    if (now < clock.lookAt) continue;
    if (burns === id) said.push({ ...cook, kind: "lost", task: id, reason: "burnt" });
    else said.push(...looked(plan, id, clock, now, kitchen, devices).map((one) => ({ ...cook, ...one })));
  }
  // A lot that was out of the cold for nearly too long goes back, unless its heat begins now.
  const begins = new Set(said.flatMap((one) => (one.kind === "started" ? [one.task] : [])));
  for (const { task, level, isCold } of foodClocks(plan, state, now))
    if (level !== "ok" && !isCold && !begins.has(task)) said.push({ kind: "cooled", task, share: 1 });
  // What is not ready yet comes first: what was to begin may have to wait for it.
  const isEarly = said.some((one) => one.kind === "checked" && one.seen === "early");
  return isEarly ? said.filter(({ kind }) => kind !== "started") : said;
}

/** A look at what runs by itself: what it is like, and its core where there is one. */
function looked(
  plan: Plan,
  task: string,
  { since, tooFar }: { since: number; tooFar?: number },
  now: number,
  kitchen: SimulatedKitchen,
  devices: KitchenDevices,
): Telling[] {
  const share = (now - since) / kitchen.readyAfter(task);
  if (share < 1) {
    const nearest = SHARES.filter((one) => one <= share).at(-1) ?? SHARES[0];
    return [{ kind: "checked", task, seen: "early", share: nearest }];
  }
  const core = stepIn(plan, task)?.coreC === undefined ? undefined : devices.coreC(task, now);
  return [
    ...(core === undefined ? [] : [{ kind: "measured" as const, task, what: "core" as const, value: core }]),
    { kind: "checked", task, seen: tooFar !== undefined && now > tooFar ? "late" : "right" },
  ];
}

/** The next minute at which such cooks have anything to do; undefined where the day is over. */
export function nextMinute(
  plan: Plan,
  state: RunState,
  rest: Pick<Replanned, "solution">,
  now: number,
  { leaves }: SimulatedKitchen,
): number | undefined {
  const clocks = new Map(clocksOf(plan, state).map((clock) => [clock.task, clock.lookAt]));
  const minutes = rest.solution.tasks.flatMap(({ id, start, end }) => {
    const status = state.tasks.get(id)?.status;
    if (plan.tasks[id]?.what.code === "wait") return [];
    return status === "waiting" ? start : status === "running" ? (clocks.get(id) ?? end) : [];
  });
  if (minutes.length === 0) return undefined;
  for (const { usedMin, limitMin, level, isCold } of foodClocks(plan, state, now))
    if (level === "ok" && !isCold) minutes.push(now + Math.ceil(soonMin(limitMin) - usedMin));
  if (leaves && !state.away.has(leaves.cook)) minutes.push(leaves.minute);
  return Math.max(now + 1, Math.min(...minutes));
}
