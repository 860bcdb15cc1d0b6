import type { ProblemInput } from "../../schedule/problem";

/** A task of the problem as it is put together. */
export type TaskInput = ProblemInput["tasks"][number];

/** The least that a task lasts, min: the number, the lower end of its window, or the quickest choice. */
export const leastMinutes = ({ duration }: Pick<TaskInput, "duration">): number =>
  typeof duration === "number" ? duration : Array.isArray(duration) ? duration[0] : Math.min(...duration.minutes);

/** The least that a task lasts with whoever is slowest at it, min. */
export const slowestMinutes = (task: Pick<TaskInput, "duration">): number =>
  typeof task.duration === "object" && !Array.isArray(task.duration) ? Math.max(...task.duration.minutes) : leastMinutes(task);
