import type { Plan } from "../plan/schema";
import { candidatesOf, type Problem, type Task, type Use } from "../schedule/problem";
import type { RunState } from "./run-state";

/** Who is about the kitchen: the plan's cooks and who joined, by id and name. */
export const peopleIn = (
  { day }: Plan,
  { joined }: Pick<RunState, "joined">,
): { readonly id: string; readonly name: string }[] => [...day.cooks, ...[...joined].map(([id, { name }]) => ({ id, name }))];

/** Whoever has not done a step before takes so many times as long for it. */
const STANDING_IN = 1.5;

/** A task that others may do as well: `ids`, in so many times the time of the slowest who could. */
function withOthers(task: Task, cooks: ReadonlySet<string>, ids: readonly string[], times: number): Task {
  const isTheirs = (use: Use) => candidatesOf(use).some((id) => cooks.has(id));
  const added = (use: Use) => ids.filter((id) => !candidatesOf(use).includes(id));
  const more = (minutes: readonly number[], count: number) => [
    ...minutes,
    ...Array<number>(count).fill(Math.ceil(Math.max(...minutes) * times)),
  ];
  const { duration } = task;
  return {
    ...task,
    uses: task.uses.map((use) => {
      if (!isTheirs(use)) return use;
      const others = added(use);
      const { minutes } = use;
      return {
        ...use,
        resource: [...candidatesOf(use), ...others],
        ...(Array.isArray(minutes) && { minutes: more(minutes, others.length) }),
      };
    }),
    ...(typeof duration === "object" &&
      !Array.isArray(duration) &&
      isTheirs(task.uses[duration.of]) && {
        duration: { ...duration, minutes: more(duration.minutes, added(task.uses[duration.of]).length) },
      }),
  };
}

/** Steps that only those can do who left fall to the others who are there. */
export function withStandIns(plan: Plan, problem: Problem, { away, tasks }: RunState): Problem {
  const there = plan.day.cooks.map(({ id }) => id).filter((id) => !away.has(id));
  if (away.size === 0 || there.length === 0) return problem;
  const cooks = new Set(plan.day.cooks.map(({ id }) => id));
  const needsThem = (use: Use) => {
    const theirs = candidatesOf(use).filter((id) => cooks.has(id));
    return theirs.length > 0 && theirs.every((id) => away.has(id));
  };
  return {
    ...problem,
    tasks: problem.tasks.map((task) =>
      tasks.get(task.id)?.status === "waiting" && task.uses.some(needsThem) ? withOthers(task, cooks, there, STANDING_IN) : task,
    ),
  };
}

/** A day on which who joined may do all that a cook of the plan could do. Tasks that are over or under way stay with who did them. */
export function withHelpers(plan: Plan, problem: Problem, { joined, away, tasks }: RunState): Problem {
  if (joined.size === 0) return problem;
  const cooks = new Set(plan.day.cooks.map(({ id }) => id));
  return {
    ...problem,
    resources: [
      ...problem.resources,
      ...[...joined].map(([id, { since }]) => ({
        id,
        kind: "pool" as const,
        capacity: 1,
        calendar: [[since, away.get(id) ?? problem.horizon, 1] as [number, number, number]].filter(([from, to]) => from < to),
      })),
    ],
    tasks: problem.tasks.map((task) =>
      tasks.get(task.id)?.status === "waiting" ? withOthers(task, cooks, [...joined.keys()], 1) : task,
    ),
  };
}
