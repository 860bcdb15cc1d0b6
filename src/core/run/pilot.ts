import type { Plan } from "../plan/schema";
import type { RunState } from "./run-state";

/** Whether a task is the one piece that goes in before its loads, as it was planned. */
export const isFirstPiece = ({ tasks }: Pick<Plan, "tasks">, task: string): boolean => {
  const what = tasks[task]?.what;
  return what?.code === "step" && what.first === true;
};

/** Whether the plan has such a piece for the step of a task. */
export const hasFirstPiece = (plan: Pick<Plan, "tasks">, task: string): boolean => {
  const { item, step } = plan.tasks[task];
  return Object.keys(plan.tasks).some(
    (id) => plan.tasks[id].item === item && plan.tasks[id].step === step && isFirstPiece(plan, id),
  );
};

/** Loads of a task's step that are still to come, itself included: what a first piece tells of. */
export function loadsToCome(plan: Plan, { tasks }: Pick<RunState, "tasks">, task: string): string[] {
  const { item, step } = plan.tasks[task];
  return [...tasks].flatMap(([id, { status }]) => {
    const info = plan.tasks[id];
    return status === "waiting" && !isFirstPiece(plan, id) && step !== null && info?.item === item && info.step === step
      ? [id]
      : [];
  });
}

/** First pieces that are in the heat, and since when: as planned, or as somebody chose on the day. */
export const pilotsIn = (plan: Plan, { tasks }: Pick<RunState, "tasks">): { readonly task: string; readonly since: number }[] =>
  [...tasks].flatMap(([task, { status, start, pilotSince, minutes }]) => {
    if (minutes !== undefined) return [];
    if (isFirstPiece(plan, task)) return status === "running" && start !== undefined ? [{ task, since: start }] : [];
    return status === "waiting" && pilotSince !== undefined ? [{ task, since: pilotSince }] : [];
  });
