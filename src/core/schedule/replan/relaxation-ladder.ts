import type { Problem, Task } from "../problem";
import { longer, OVERRUN, unbroken, withHours } from "./hours";
import { beganId, isDeadline, type ExecutionState } from "./execution-state";

/** Cost of a minute by which a deadline is missed once it cannot be met. */
const LATE_COST = 5;

/**
 * The rest of a day in which more and more gives way: nothing, deadlines, the end of hours, pauses, and at last how long
 * what is begun may wait and whether anybody has their hands free to look after it. All have the same tasks.
 */
export function rungsOf(strict: Problem, soFar: ExecutionState): Problem[] {
  const fixed = new Set([...soFar.done.map((d) => d.id), ...soFar.running.map((r) => beganId(r.id)), ...soFar.locked]);
  const soft = softened(strict, fixed, soFar.now);
  const runOn = longer(soFar.now);
  const gone = new Set(soFar.gone);
  const long = withHours(soft, (hours, pool) => (gone.has(pool) ? hours : runOn(hours)));
  const through = withHours(long, (hours, pool) => (gone.has(pool) ? hours : unbroken(hours)));
  const tasks = patient(soft.tasks, soFar);
  const rungs = [strict, soft, long, through, { ...through, tasks }];
  // Whoever left is asked back only where nothing goes without them.
  const asked = withHours(through, (hours, pool) => (gone.has(pool) ? unbroken(runOn(hours)) : hours));
  return gone.size === 0 ? rungs : [...rungs, { ...asked, tasks }];
}

/** The problem with deadlines that cost a lot to miss, but may be missed; those of tasks that are fixed stay. */
function softened(problem: Problem, fixed: ReadonlySet<string>, now: number): Problem {
  return {
    ...problem,
    horizon: Math.max(problem.horizon, now) + OVERRUN,
    tasks: problem.tasks.map((task) => {
      if (task.latest === undefined || fixed.has(task.id)) return task;
      const gives = { ...task, latest: undefined };
      return isDeadline(task) ? { ...gives, due: task.latest, lateCost: LATE_COST } : gives;
    }),
  };
}

/**
 * The tasks where what is over or under way may be waited on for longer than it should be, and where what goes on by itself
 * is looked after by hands that are at something else.
 */
function patient(tasks: readonly Task[], { done, running }: ExecutionState): Task[] {
  const begun = new Map<string, { start: number; end?: number }>([...done, ...running].map((task) => [task.id, task]));
  return tasks.map((task) => {
    const { duration } = task;
    const own = begun.get(task.id);
    const after = task.after.map((link) => (begun.has(link.task) ? { ...link, max: undefined } : link));
    if (!own) return { ...task, after };
    // A look takes whoever is nearest, whatever else they are at.
    const uses = task.uses.map((use) => (use.from === undefined ? use : { ...use, minutes: 0 }));
    return { ...task, after, uses, ...(Array.isArray(duration) && { duration: [duration[0], duration[1] + OVERRUN] }) } as Task;
  });
}
