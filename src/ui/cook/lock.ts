import { lidLock, LOCK_TEXT } from "@/core/item/lid-lock";
import { isRise } from "@/core/item/rest-in-room";
import { stepIn, type Plan } from "@/core/plan/schema";
import type { RunState } from "@/core/run/run-state";
import type { RunningClock } from "@/core/run/stand";

/** Until when the lid over a heat that is under way stays shut, and why; undefined where it may be lifted, or was. */
export function lockIn(
  plan: Plan,
  { opened }: Pick<RunState, "opened">,
  { task, since, target }: RunningClock,
  minute: number,
): { until: number; reason: string } | undefined {
  const step = stepIn(plan, task);
  if (!step || opened.has(task)) return undefined;
  const { item } = plan.tasks[task];
  const rises = Object.entries(plan.steps).some(([key, one]) => key.startsWith(`${item}/`) && one.rest && isRise(one.rest));
  const lock = lidLock(step, rises);
  const until = lock && since + Math.floor(lock.share * (target - since));
  return lock && until !== undefined && minute < until ? { until, reason: LOCK_TEXT[lock.code] } : undefined;
}
