import type { Obstacle } from "../../batching/obstacle";
import type { ProblemInput } from "../../schedule/problem";
import type { Step } from "../../item/step";
import { leastMinutes, type TaskInput } from "./task-input";

/** What is known of a task for the sentence about it. */
export interface OfTask {
  readonly item: string;
  readonly kind: Step["kind"];
}

/** Steps that are named of a chain that is too long. */
const MOST_NAMED = 3;

/** Nothing begins before now. */
export const notBefore = (tasks: readonly TaskInput[], now: number): TaskInput[] =>
  now <= 0 ? [...tasks] : tasks.map((task) => ({ ...task, earliest: Math.max(task.earliest ?? 0, now) }));

/**
 * Items that cannot be ready in time any more, whatever the hands and the equipment: their steps one after another, from now on,
 * take longer than there is. Of each item the chain that is latest.
 */
export function tooLate(
  { tasks }: Pick<ProblemInput, "tasks">,
  now: number,
  of: (task: string) => OfTask | undefined,
): Obstacle[] {
  if (now <= 0) return [];
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const chains = new Map<string, { readonly end: number; readonly before: string | undefined }>();
  // Tasks stand in the order of their work, mostly; what is not known yet is looked for first.
  const open: string[] = [];
  for (const { id } of tasks) {
    open.push(id);
    while (open.length > 0) {
      const at = open.at(-1)!;
      const task = byId.get(at)!;
      const waits = (task.after ?? []).filter(({ task: other }) => byId.has(other));
      const unknown = chains.has(at) ? [] : waits.filter(({ task: other }) => !chains.has(other)).map(({ task: other }) => other);
      if (unknown.length > 0) {
        open.push(...unknown);
        continue;
      }
      open.pop();
      if (chains.has(at)) continue;
      let start = Math.max(now, task.earliest ?? 0);
      let before: string | undefined;
      for (const { task: other, min } of waits) {
        const ready = chains.get(other)!.end + (min ?? 0);
        if (ready <= start) continue;
        start = ready;
        before = other;
      }
      chains.set(at, { end: start + leastMinutes(task), before });
    }
  }
  const worst = new Map<string, { readonly task: TaskInput; readonly over: number }>();
  for (const task of tasks) {
    const info = of(task.id);
    const over = chains.get(task.id)!.end - (task.latest ?? Infinity);
    if (!info || over <= 0 || over <= (worst.get(info.item)?.over ?? 0)) continue;
    worst.set(info.item, { task, over });
  }
  return [...worst].map(([item, { task, over }]) => {
    const steps: { kind: Step["kind"]; minutes: number }[] = [];
    for (let at: string | undefined = task.id; at !== undefined; at = chains.get(at)!.before) {
      const kind = of(at)?.kind;
      if (kind) steps.push({ kind, minutes: leastMinutes(byId.get(at)!) });
    }
    const longest = steps.sort((a, b) => b.minutes - a.minutes).slice(0, MOST_NAMED);
    return { code: "too-late", item, now, by: task.latest!, earliest: task.latest! + over, longest };
  });
}
