import { capitalised } from "@/core/shared/words";
import { bottleneckOf, chainOf, holdsOf, type Hold, type Holds } from "@/core/schedule/explain/binding-constraints";
import type { Plan } from "@/core/plan/schema";
import { resourceText } from "@/core/plan/reason-text";
import type { PlanShown } from "../plan/use-plan-display";

export interface WhyStep {
  /** The task that is held here. */
  readonly task: string;
  readonly text: string;
}

export interface Why {
  readonly direction: "later" | "earlier";
  readonly steps: readonly WhyStep[];
}

/** What holds every task of a plan, worked out once for a plan, whoever asks. */
export function planHolds(plan: Plan): readonly Holds[] {
  const known = KNOWN.get(plan) ?? holdsOf(plan.problem, plan.solution);
  KNOWN.set(plan, known);
  return known;
}
const KNOWN = new WeakMap<Plan, readonly Holds[]>();

/** The reason for a task's time as sentences, step by step to the wave or to the beginning; none where it could move freely. */
export function whyHere(
  plan: Plan,
  holds: readonly Holds[],
  task: string,
  { clock, task: textOfTask }: Pick<PlanShown, "clock" | "task">,
): Why {
  const { tasks, resources } = plan.problem;
  const at = tasks.findIndex((t) => t.id === task);
  if (at < 0) return { direction: "later", steps: [] };
  const { direction, steps } = chainOf(holds, at);
  const placed = new Map(plan.solution.tasks.map((t) => [t.id, t]));
  const nameOf = (r: number) => resourceName(plan, resources[r].id);
  const textOf = (i: number) => textOfTask(tasks[i].id);
  const sentence = (hold: Hold, i: number): string => {
    const { start, end } = placed.get(tasks[i].id)!;
    const later = direction === "later";
    switch (hold.kind) {
      case "link":
        return later ? `${textOf(hold.task)} follows at once` : `${textOf(hold.task)} is done only then`;
      case "wait":
        return `${textOf(hold.task)}: it may not stand longer ${later ? "after" : "before"} that`;
      case "taken":
        return later
          ? `${nameOf(hold.resource)} is wanted from then on: ${textOf(hold.task)}`
          : `${nameOf(hold.resource)} is taken until then: ${textOf(hold.task)}`;
      case "change":
        return `${nameOf(hold.resource)} needs ${hold.minutes} min between it and ${textOf(hold.task)}`;
      case "heat":
        return `${nameOf(hold.resource)} is hot only then`;
      case "hours":
        return `${nameOf(hold.resource)} is not there ${later ? "after" : "before"} ${clock(later ? end : start)}`;
      case "due":
      case "limit": {
        const wave = plan.day.targets.find((t) => t.minute === end);
        return later ? `${wave ? wave.name : "its time"} is at ${clock(end)}` : `it may not begin before ${clock(start)}`;
      }
      case "edge":
        return later ? "the plan ends here" : "the plan begins here";
    }
  };
  return {
    direction,
    steps: steps.map((step) => ({ task: tasks[step.task].id, text: capitalised(sentence(step.hold, step.task)) })),
  };
}

const resourceName = (plan: Plan, id: string): string =>
  plan.day.cooks.some((cook) => cook.id === id) ? resourceText(plan, id) : `the ${resourceText(plan, id)}`;

/** "The oven, 78 % of its time; 14 steps wait for it" — what the day hangs on; undefined where nothing waits. */
export function bottleneckText(plan: Plan, holds: readonly Holds[]): string | undefined {
  const tight = bottleneckOf(plan.problem, plan.solution, holds);
  if (!tight) return undefined;
  const name = resourceName(plan, plan.problem.resources[tight.resource].id);
  return `${capitalised(name)}, ${Math.round(100 * tight.use)} % taken; ${tight.holds} ${tight.holds === 1 ? "step is" : "steps are"} held by it`;
}
