import type { Chance } from "../../shared/chance";
import type { Wish } from "./anchor-walk";
import type { Model } from "../model";
import type { Schedule } from "./schedule";

/**
 * Late where a due time that costs earliness waits at the end of the cluster; early where there is at most a deadline.
 * In `variety` of the cases (0 to 1) chance decides instead.
 */
export function clusterWishes(model: Model, isLate: (task: number) => boolean, chance: Chance, variety: number): Wish[] {
  const late = new Uint8Array(model.clusterCount);
  for (let i = 0; i < model.n; i++) if (isLate(i)) late[model.cluster[i]] = 1;
  return Array.from(late, (goesLate) => {
    if (chance.unit() < (goesLate ? variety : 3 * variety)) return chance.below(2) === 0 ? "late" : "early";
    return goesLate ? "late" : "early";
  });
}

/** 1 for each task that costs something when it ends early, and for all that leads up to one. */
export function lateTasks(model: Model): Uint8Array {
  const aimed = new Uint8Array(model.n);
  const queue: number[] = [];
  for (let i = 0; i < model.n; i++)
    if (model.early[i] > 0) {
      aimed[i] = 1;
      queue.push(i);
    }
  for (let i = queue.pop(); i !== undefined; i = queue.pop())
    for (let a = model.backStart[2 * i]; a < model.backStart[2 * i + 1]; a++) {
      const from = model.backFrom[a];
      if ((from & 1) === 0 || from >> 1 === i || aimed[from >> 1]) continue;
      aimed[from >> 1] = 1;
      queue.push(from >> 1);
    }
  return aimed;
}

/** Where a task is tried first in an improvement: at its due time, else by the style of the step. */
export function wishFor(model: Model, current: Schedule, task: number, style: number, chance: Chance): Wish {
  if (isAimed(model, task)) return model.due[task];
  switch (style) {
    case 0:
      return "late";
    case 1:
      return "early";
    case 2:
      return current.ends[task] + (chance.below(2) === 0 ? 1 : -1) * chance.below(12);
    default:
      return chance.below(2) === 0 ? "late" : "early";
  }
}

/** Whether a task has a due time that costs something when it is missed. */
export const isAimed = (model: Model, task: number): boolean =>
  !Number.isNaN(model.due[task]) && (model.early[task] > 0 || model.late[task] > 0);
