import { compile } from "../../schedule/compile";
import { parseProblem, type ProblemInput } from "../../schedule/problem";
import { Windows } from "../../schedule/construct/windows";
import type { TaskInput } from "./task-input";

/** Earliest start and latest end of each task by links and deadlines alone. */
export function timeSpans(problem: ProblemInput): Map<string, readonly [number, number]> {
  const parsed = parseProblem(problem);
  if (!parsed.ok) return new Map();
  const windows = new Windows(compile(parsed.value));
  if (!windows.propagateAll()) return new Map();
  return new Map(parsed.value.tasks.map((task, i) => [task.id, [windows.lo[2 * i], windows.hi[2 * i + 1]] as const]));
}

/** A task without what it takes, durations by choice as windows: for times alone. */
export const bare = (task: TaskInput): TaskInput => ({
  ...task,
  uses: [],
  duration:
    typeof task.duration === "object" && !Array.isArray(task.duration)
      ? [Math.min(...task.duration.minutes), Math.max(...task.duration.minutes)]
      : task.duration,
});
