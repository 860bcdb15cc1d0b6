import type { Issue } from "../shared/issue";
import { candidatesOf, leastDuration, type Problem, type Resource } from "./problem";

/**
 * Fields that no timetable could meet whatever the other tasks do: a duration beyond the horizon, or longer than every
 * window of what it needs. For a boundary that would rather say so at once than search; each names its field.
 */
export function outOfReach(problem: Problem): Issue[] {
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  return problem.tasks.flatMap((task, t): Issue[] => {
    const least = leastDuration(task);
    if (least > problem.horizon)
      return [
        {
          code: "out_of_range",
          path: ["tasks", t, "duration"],
          got: least,
          wanted: `at most the horizon of ${problem.horizon} min`,
        },
      ];
    return task.uses.flatMap((use, u): Issue[] => {
      if (use.from !== undefined) return [];
      const room = Math.max(...candidatesOf(use).map((id) => longestWindow(resources.get(id)!, use.amount, problem.horizon)));
      return room >= least
        ? []
        : [
            {
              code: "out_of_range",
              path: ["tasks", t, "duration"],
              got: least,
              wanted: `at most ${room} min, the longest window with ${use.amount} of ${candidatesOf(use).join(" or ")} (uses[${u}])`,
            },
          ];
    });
  });
}

/** Longest stretch in which so many units are there, min. */
function longestWindow(resource: Resource, amount: number, horizon: number): number {
  if (resource.kind === "chamber") return amount <= resource.slots ? horizon : 0;
  if (!resource.calendar) return amount <= resource.capacity ? horizon : 0;
  let best = 0;
  let from = 0;
  let to = 0;
  for (const [start, end, units] of [...resource.calendar].sort((a, b) => a[0] - b[0])) {
    if (Math.min(units, resource.capacity) < amount) continue;
    if (start !== to) from = Math.max(0, start);
    to = Math.min(end, horizon);
    best = Math.max(best, to - from);
  }
  return best;
}
