import type { Replanned } from "../schedule/replan/replan";
import type { ExecutionState } from "../schedule/replan/execution-state";
import type { Plan } from "./schema";
import { ABOUT } from "./expand/uses";
import { targetsIn } from "./targets";

/**
 * The day as it stands at the moment at which a step should be over and is not: what the plan has before that is done or
 * under way, and this step takes so many minutes more.
 */
export function slipOf(plan: Plan, task: string, minutes: number): ExecutionState {
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

/** What a slip comes to. */
export interface Slip {
  /** Waves that are late, and by how many minutes. */
  readonly late: readonly { readonly target: string; readonly minutes: number }[];
  /** Steps that move, in order. */
  readonly moves: readonly { readonly task: string; readonly from: number; readonly to: number }[];
  /** Cooks who are needed outside their hours, and how long. */
  readonly beyond: readonly { readonly cook: string; readonly minutes: number }[];
  /** Steps, by task, that begin later after what they wait for than they may. */
  readonly waits: readonly string[];
  /** Steps under way that nobody can look after at a minute at which somebody should. */
  readonly unattended: readonly { readonly task: string; readonly minute: number }[];
}

/** What a re-planned day comes to for the cook, without the step that slipped; minutes of the plan, moves in the order of their new times. */
export function readSlip(plan: Plan, task: string, { late, moves, beyond, broken, unattended }: Replanned): Slip {
  const byTarget = new Map<string, number>();
  for (const { id, minutes } of late)
    for (const target of targetsIn(plan, id)) byTarget.set(target, Math.max(minutes, byTarget.get(target) ?? 0));
  return {
    late: [...byTarget].map(([target, minutes]) => ({ target, minutes })),
    // Trays that wait go with their pieces, and a minute is nothing that a cook would notice.
    moves: moves
      .filter(({ id, from, to }) => id !== task && plan.tasks[id]?.step && Math.abs(from.start - to.start) > 1)
      .map(({ id, from, to }) => ({ task: id, from: from.start, to: to.start }))
      .sort((a, b) => a.to - b.to),
    beyond: beyond.filter(({ resource }) => resource !== ABOUT).map(({ resource, minutes }) => ({ cook: resource, minutes })),
    waits: [...new Set(broken.map(([id]) => id))].filter((id) => plan.tasks[id]?.step),
    unattended: unattended.map(({ id, minute }) => ({ task: id, minute })),
  };
}
