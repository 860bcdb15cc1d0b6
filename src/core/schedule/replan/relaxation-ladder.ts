import { leastDuration, takenIn, type Problem, type Task } from "../problem";
import { longer, OVERRUN, unbroken, withHours } from "./hours";
import { beganId, isDeadline, type ExecutionState } from "./execution-state";

/** Cost of a minute by which a deadline is missed once it cannot be met. */
const LATE_COST = 5;

/**
 * The rest of a day in which more and more gives way: nothing, deadlines, the end of hours, pauses, and at last how long
 * what is begun may wait and when it is looked after. All have the same tasks.
 */
export function rungsOf(strict: Problem, soFar: ExecutionState): Problem[] {
  const fixed = new Set([...soFar.done.map((d) => d.id), ...soFar.running.map((r) => beganId(r.id)), ...soFar.locked]);
  const soft = softened(strict, fixed);
  const long = withHours(soft, longer);
  const through = withHours(long, unbroken);
  return [strict, soft, long, through, patient(through, soFar)];
}

/** The problem with deadlines that cost a lot to miss, but may be missed; those of tasks that are fixed stay. */
function softened(problem: Problem, fixed: ReadonlySet<string>): Problem {
  return {
    ...problem,
    horizon: problem.horizon + OVERRUN,
    tasks: problem.tasks.map((task) => {
      if (task.latest === undefined || fixed.has(task.id)) return task;
      const gives = { ...task, latest: undefined };
      return isDeadline(task) ? { ...gives, due: task.latest, lateCost: LATE_COST } : gives;
    }),
  };
}

/**
 * The problem in which what is over or under way may be waited on for longer than it should be, and in which what goes
 * on by itself is not looked after while that which runs late takes longer.
 */
function patient(problem: Problem, { done, running }: ExecutionState): Problem {
  const begun = new Map<string, { start: number; end?: number }>([...done, ...running].map((task) => [task.id, task]));
  const taken = Math.max(0, ...running.map((task) => task.end ?? 0));
  return {
    ...problem,
    tasks: problem.tasks.map((task) => {
      const { duration } = task;
      const own = begun.get(task.id);
      const after = task.after.map((link) => (begun.has(link.task) ? { ...link, max: undefined } : link));
      if (!own) return { ...task, after };
      const end = own.start + leastDuration(task);
      const uses = task.uses.map((use) =>
        own.end === undefined && use.from !== undefined && takenIn(use, 0, own.start, end)[0] < taken
          ? { ...use, minutes: 0 }
          : use,
      );
      return { ...task, after, uses, ...(Array.isArray(duration) && { duration: [duration[0], duration[1] + OVERRUN] }) } as Task;
    }),
  };
}
