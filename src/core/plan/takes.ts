import { sum } from "../shared/rounding";
import { chamberIds, isChamber } from "../kitchen/equipment";
import { sizesOf } from "../kitchen/sizes";
import { leastMinutes } from "./expand/task-input";
import type { PlanRequest } from "./request";
import type { Quantities } from "./quantities";
import type { Plan } from "./schema";

/** What a plan takes of one piece of equipment. */
export interface Taken {
  /** As the plan's problem names it. */
  readonly resource: string;
  /** Minutes in which something is in it or on it. */
  readonly busyMin: number;
  /** Most that is taken at once, of how many there are. */
  readonly most: number;
  readonly capacity: number;
  /** Minute of the plan from which the most is taken. */
  readonly at: number;
}

/** A stretch of time in which a task takes something, min. */
export interface Taking {
  readonly task: string;
  readonly resource: string;
  readonly from: number;
  readonly to: number;
  readonly amount: number;
}

/** All that the tasks of a plan take, hands included, task after task. */
export function takingsOf({ problem, solution }: Pick<Plan, "problem" | "solution">): Taking[] {
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  return problem.tasks.flatMap((task) => {
    const entry = placed.get(task.id);
    if (!entry) return [];
    return task.uses.flatMap((use, u): Taking[] => {
      const resource = entry.taken[u];
      if (resource === undefined) return [];
      const minutes = Array.isArray(use.minutes) ? use.minutes[(use.resource as string[]).indexOf(resource)] : use.minutes;
      const from = use.from === undefined ? entry.start : (use.from >= 0 ? entry.start : entry.end) + use.from;
      return [{ task: task.id, resource, from, to: minutes === undefined ? entry.end : from + minutes, amount: use.amount ?? 1 }];
    });
  });
}

/** What each piece of equipment of a plan is taken for, in the order of the problem; hands are not equipment. */
export function takenOf(plan: Plan): Taken[] {
  const { problem, day } = plan;
  const cooks = new Set(day.cooks.map((cook) => cook.id));
  const events = new Map<string, { at: number; amount: number }[]>();
  for (const { resource, from, to, amount } of takingsOf(plan)) {
    if (cooks.has(resource)) continue;
    const list = events.get(resource) ?? [];
    list.push({ at: from, amount }, { at: to, amount: -amount });
    events.set(resource, list);
  }
  return problem.resources.flatMap((resource): Taken[] => {
    const list = events.get(resource.id);
    if (!list) return [];
    // What ends makes room for what begins in the same minute.
    list.sort((a, b) => a.at - b.at || a.amount - b.amount);
    let now = 0;
    let since = 0;
    let busyMin = 0;
    let most = { amount: 0, at: 0 };
    for (const { at, amount } of list) {
      if (now > 0) busyMin += at - since;
      since = at;
      now += amount;
      if (now > most.amount) most = { amount: now, at };
    }
    const capacity = resource.kind === "pool" ? resource.capacity : resource.slots;
    return [{ resource: resource.id, busyMin, most: most.amount, capacity, at: most.at }];
  });
}

/** Loads of one item that go one after another through what there is of a thing. */
export interface InTurn {
  readonly item: string;
  readonly chamber: string;
  readonly loads: number;
  /** Minutes of one load, what the thing needs before the next one included. */
  readonly eachMin: number;
  /** How many of the thing there are. */
  readonly units: number;
  /** Minutes until the last load is done, if nothing else is in the way; and with one more of the thing. */
  readonly totalMin: number;
  readonly withOneMoreMin: number;
  /** A cook stays with each load. */
  readonly handsOn: boolean;
}

/** How long the loads of each item take in turn, before any timetable is looked for. */
export function inTurnOf({ expansion }: Quantities, { kitchen }: PlanRequest): InTurn[] {
  const minutes = new Map(expansion.problem.tasks.map((task) => [task.id, leastMinutes(task)]));
  const groups = new Map<string, { item: string; chamber: string; each: number[]; handsOn: boolean }>();
  for (const work of expansion.workload.works) {
    if (!work.chamber || work.step.rest) continue;
    const key = `${work.item.id} ${work.step.id} ${work.chamber}`;
    const recovery = work.step.equipment.find((e) => e.id === work.chamber)?.recoveryMin ?? 0;
    const group = groups.get(key) ?? {
      item: work.item.id,
      chamber: work.chamber,
      each: [],
      handsOn: work.step.attention === "hands-on",
    };
    group.each.push((minutes.get(work.id) ?? 0) + Math.ceil(recovery));
    groups.set(key, group);
  }
  return [...groups.values()].map(({ item, chamber, each, handsOn }): InTurn => {
    const units = isChamber(chamber)
      ? chamberIds(chamber, kitchen).length
      : sum(sizesOf("lidded-pan", kitchen).map(({ count }) => count));
    const eachMin = Math.max(...each);
    const rounds = (n: number) => Math.ceil(each.length / Math.max(1, n)) * eachMin;
    const all = sum(each);
    return {
      item,
      chamber,
      loads: each.length,
      eachMin,
      units,
      totalMin: units <= 1 ? all : Math.min(all, rounds(units)),
      withOneMoreMin: Math.min(all, rounds(units + 1)),
      handsOn,
    };
  });
}

/** What a cook does in a stretch of time. */
export interface HandsIn {
  readonly cook: string;
  readonly thereMin: number;
  readonly busyMin: number;
}

/** How long each cook is there between two minutes of a plan, and at work. */
export function handsIn(plan: Plan, from: number, to: number): HandsIn[] {
  const within = (a: number, b: number) => Math.max(0, Math.min(b, to) - Math.max(a, from));
  const takings = takingsOf(plan);
  return plan.day.cooks.map(({ id }) => {
    const calendar = plan.problem.resources.find((resource) => resource.id === id);
    const hours = calendar?.kind === "pool" ? (calendar.calendar ?? []) : [];
    return {
      cook: id,
      thereMin: sum(hours.map(([a, b]) => within(a, b))),
      busyMin: sum(takings.filter(({ resource }) => resource === id).map((one) => within(one.from, one.to))),
    };
  });
}
