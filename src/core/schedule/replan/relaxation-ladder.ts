import type { Problem, Task } from "../problem";
import { longer, OVERRUN, unbroken, withHours } from "./hours";
import { beganId, isDeadline, type ExecutionState } from "./execution-state";

/** Cost of a minute by which a deadline is missed once it cannot be met. */
const LATE_COST = 5;

/**
 * The rest of a day in which more and more gives way: nothing, deadlines, the end of hours, pauses, how long what is over
 * may be waited on, and at last how long what is under way is waited on and whether anybody has their hands free to look after it. All
 * have the same tasks.
 */
export function rungsOf(strict: Problem, soFar: ExecutionState): Problem[] {
  const fixed = new Set([...soFar.done.map((d) => d.id), ...soFar.running.map((r) => beganId(r.id)), ...soFar.locked]);
  const soft = softened(strict, fixed, soFar.now);
  const runOn = longer(soFar.now);
  const gone = new Set(soFar.gone);
  const long = withHours(soft, (hours, pool) => (gone.has(pool) ? hours : runOn(hours)));
  const through = withHours(long, (hours, pool) => (gone.has(pool) ? hours : unbroken(hours)));
  const waiting = { ...through, tasks: waitedOn(soft.tasks, soFar) };
  const tasks = patient(waiting.tasks, soFar);
  const rungs = [strict, soft, long, through, waiting, { ...through, tasks }];
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

/** The tasks where what is over may be waited on for longer than it should be. */
function waitedOn(tasks: readonly Task[], { done }: ExecutionState): Task[] {
  const over = new Set(done.map(({ id }) => id));
  return tasks.map((task) => withoutMost(task, over));
}

/** A task that may begin as late after some others as it must. */
const withoutMost = (task: Task, others: ReadonlySet<string>): Task => ({
  ...task,
  after: task.after.map((link) => (others.has(link.task) ? { ...link, max: undefined } : link)),
});

/**
 * The tasks where what is under way may be waited on for longer than it should be, and is looked after by hands that are at something
 * else.
 */
function patient(tasks: readonly Task[], { running }: ExecutionState): Task[] {
  const begun = new Set(running.map(({ id }) => id));
  return tasks.map((each) => {
    const task = withoutMost(each, begun);
    if (!begun.has(task.id)) return task;
    // A look takes whoever is nearest, whatever else they are at.
    const uses = task.uses.map((use) => (use.from === undefined ? use : { ...use, minutes: 0 }));
    return { ...task, uses };
  });
}
