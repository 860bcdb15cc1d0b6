import { clockText } from "../shared/clock";
import { listed } from "../shared/words";
import type { Problem } from "./problem";
import type { ScheduleReason } from "./reason";

/** How whoever reads calls tasks, resources and minutes. */
export interface Names {
  readonly task: (id: string) => string;
  readonly resource: (id: string) => string;
  readonly moment: (minute: number) => string;
}

/** Names as the problem itself gives them. */
export const namesIn = (problem: Problem): Names => {
  const labels = new Map(problem.tasks.map((task) => [task.id, task.label ?? task.id]));
  return {
    task: (id) => labels.get(id) ?? id,
    resource: (id) => id,
    moment: (minute) => `minute ${minute} (${clockText(minute)})`,
  };
};

/** Tasks named in a sentence before "and n more". */
const NAMED = 4;

/** One sentence for one reason. The only place that words them. */
export function scheduleReasonText(reason: ScheduleReason, { task, resource, moment }: Names): string {
  switch (reason.code) {
    case "too-long":
      return `${task(reason.task)} takes at least ${reason.minutes} min, but what comes before and after it leaves only the time between ${moment(reason.earliest)} and ${moment(reason.latest)}.`;
    case "no-room": {
      const short = reason.short.map(
        ({ amount, resources, minutes }) =>
          `${amount === 1 ? "" : `${amount} of `}${resources.map(resource).join(" or ")} ${amount === 1 ? "is" : "are"} never free for ${minutes} min`,
      );
      const missing = short.length > 0 ? short.join(", and ") : "what it needs is never there all at once";
      return `${task(reason.task)} must lie between ${moment(reason.earliest)} and ${moment(reason.latest)}, and in that time ${missing}.`;
    }
    case "ruled-out":
      return "All these tasks cannot be fitted together: every way was ruled out.";
    case "none-found":
      return "No timetable was found; it is not proven that there is none.";
    case "nearest": {
      const names = reason.leftOut.slice(0, NAMED).map(task);
      const more = reason.leftOut.length > NAMED ? ` and ${reason.leftOut.length - NAMED} more` : "";
      return `The nearest timetable has ${reason.placed} of ${reason.of} tasks; without a place in it: ${names.join(", ")}${more}.`;
    }
    case "no-place":
      return (
        `${task(reason.task)} found no place between ${moment(reason.earliest)} and ${moment(reason.latest)}` +
        (reason.taken.length > 0 ? `; most often ${reason.taken.map(resource).join(" or ")} was taken.` : ".")
      );
    case "infeasible-subset": {
      const name = (timed: { task: string; minutes: number }) => `${task(timed.task)} (${timed.minutes} min)`;
      const { tasks, shares, others } = reason;
      return (
        `${listed(tasks.map(name))} cannot ${tasks.length === 2 ? "both" : "all"} be done between ${moment(reason.earliest)} and ${moment(reason.latest)}` +
        (shares ? ` with ${shares.units} of ${resource(shares.resource)}` : "") +
        (others.length > 0 ? `, as ${listed(others.map(name))} ${others.length === 1 ? "asks" : "ask"}.` : ".")
      );
    }
  }
}
