import type { Work } from "../../batching/work";
import { sharesOf } from "../../batching/work";
import type { PlanDays } from "../../gathering/calendar";
import type { Gathering } from "../../gathering/schema";
import { throughStep } from "../../item/resolve";
import type { TaskInput } from "./task-input";

/**
 * Work that has a day of its own before the gathering: begins and, but for rests, ends on it. What keeps in between is said by
 * the steps themselves.
 */
export function onOwnDay(
  tasks: readonly TaskInput[],
  works: readonly Work[],
  ahead: NonNullable<Gathering["ahead"]>,
  days: PlanDays,
): TaskInput[] {
  if (ahead.length === 0) return [...tasks];
  const byId = new Map(works.map((work) => [work.id, work]));
  return tasks.map((task) => {
    const work = byId.get(task.id);
    const own = work && ahead.filter((entry) => isThrough(work, entry));
    if (!work || !own || own.length === 0) return task;
    const day = Math.min(...own.map((entry) => entry.day));
    const [from, to] = [days.minute(day, "00:00"), days.minute(day, "24:00")];
    return {
      ...task,
      earliest: Math.max(task.earliest ?? 0, from),
      ...(!work.step.rest && { latest: Math.min(task.latest ?? Infinity, to) }),
    };
  });
}

/** Whether all that a work is done to is done ahead through this step or a later one. */
const isThrough = (work: Work, { recipe, through }: NonNullable<Gathering["ahead"]>[number]): boolean =>
  sharesOf(work).some(
    ({ item, step }) =>
      item.id === recipe &&
      work.demands.some((demand) => demand.item === item && throughStep(demand.resolved.steps, through).has(step.id)),
  );
