import type { Replanned, SoFar } from "../schedule/replan";
import type { Plan } from "./plan";

/**
 * The day as it stands at the moment at which a step should be over and is not: what the plan has before that is done or
 * under way, and this step takes so many minutes more.
 */
export function slipOf(plan: Plan, task: string, minutes: number): SoFar {
  const placed = plan.solution.tasks;
  const late = placed.find((entry) => entry.id === task)!;
  const now = late.end;
  const begun = placed.filter((entry) => entry.id !== task && entry.start < now);
  return {
    now,
    done: begun.filter((entry) => entry.end <= now).map(({ id, start, end }) => ({ id, start, end })),
    running: [
      { id: task, start: late.start, end: late.end + minutes },
      ...begun.filter((entry) => entry.end > now).map(({ id, start }) => ({ id, start })),
    ],
    locked: [],
    changed: [],
  };
}

/** What a slip comes to: waves that are late and by how many minutes, and the steps that move, in order. */
export interface Slip {
  readonly late: readonly { readonly target: string; readonly minutes: number }[];
  readonly moves: readonly { readonly task: string; readonly text: string; readonly from: number; readonly to: number }[];
}

export function readSlip(plan: Plan, task: string, { late, moves }: Replanned): Slip {
  const byTarget = new Map<string, number>();
  for (const { id, minutes } of late)
    for (const target of plan.tasks[id]?.for ?? []) byTarget.set(target, Math.max(minutes, byTarget.get(target) ?? 0));
  return {
    late: [...byTarget].map(([target, minutes]) => ({ target, minutes })),
    // Trays that wait go with their pieces, and a minute is nothing that a cook would notice.
    moves: moves
      .filter(({ id, from, to }) => id !== task && plan.tasks[id]?.step && Math.abs(from.start - to.start) > 1)
      .map(({ id, from, to }) => ({ task: id, text: plan.tasks[id].text, from: from.start, to: to.start }))
      .sort((a, b) => a.to - b.to),
  };
}
