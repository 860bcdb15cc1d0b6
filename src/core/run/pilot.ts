import type { Plan } from "../plan/schema";
import type { RunState } from "./run-state";

/** Loads of a task's step that are still to come, itself included: what a first piece tells of. */
export function loadsToCome(plan: Plan, { tasks }: Pick<RunState, "tasks">, task: string): string[] {
  const { item, step } = plan.tasks[task];
  return [...tasks].flatMap(([id, { status }]) => {
    const info = plan.tasks[id];
    return status === "waiting" && step !== null && info?.item === item && info.step === step ? [id] : [];
  });
}

/** First pieces that are in the heat, and since when. */
export const pilotsIn = ({ tasks }: Pick<RunState, "tasks">): { readonly task: string; readonly since: number }[] =>
  [...tasks].flatMap(([task, { status, pilotSince, minutes }]) =>
    status === "waiting" && pilotSince !== undefined && minutes === undefined ? [{ task, since: pilotSince }] : [],
  );
