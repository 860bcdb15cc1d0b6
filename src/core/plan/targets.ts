import type { PlanDays } from "../gathering/calendar";
import type { Gathering } from "../gathering/schema";
import type { Plan, Target } from "./schema";

/** What the day is counted back from: waves with something to eat, and the freezer's deadlines, in the order of their times. */
export function targetsOf(gathering: Gathering, days: PlanDays): Target[] {
  const waves = gathering.waves
    .filter((wave) => wave.items.length > 0)
    .map((wave) => ({ id: wave.id, name: wave.name, minute: days.minute(0, wave.time) }));
  const byMinute = new Map<number, Target>();
  for (const entry of gathering.freezer) {
    const minute = days.minute(entry.by.day, entry.by.time);
    byMinute.set(minute, { id: `freezer-${minute}`, name: "Freezer", minute });
  }
  return [...waves, ...byMinute.values()].sort((a, b) => a.minute - b.minute);
}

/** Whether a target is a deadline of the freezer, and no wave. */
export const isFreezerDeadline = (target: string): boolean => target.startsWith("freezer");

/** What a wave or a deadline is called. */
export const targetName = ({ day }: Pick<Plan, "day">, id: string): string =>
  day.targets.find((target) => target.id === id)?.name ?? id;

/** Ids of the waves and deadlines of the freezer that a task of a plan is for; the freezer's where the task itself has to be over by it. */
export function targetsIn({ tasks, problem, day }: Pick<Plan, "tasks" | "problem" | "day">, id: string): string[] {
  const latest = problem.tasks.find((task) => task.id === id)?.latest;
  return (tasks[id]?.for ?? []).flatMap((target) =>
    target !== "freezer"
      ? target
      : day.targets.filter((one) => isFreezerDeadline(one.id) && one.minute === latest).map((one) => one.id),
  );
}
