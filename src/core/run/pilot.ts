import type { Plan } from "../plan/schema";

/** As much of where a day stands as first pieces need. */
interface Stand {
  readonly tasks: ReadonlyMap<string, { readonly status: string; readonly pilotSince?: number; readonly minutes?: number }>;
}

/** Loads of a task's step that are still to come, itself included: what a first piece tells of. */
export function loadsToCome(plan: Plan, { tasks }: Stand, task: string): string[] {
  const { item, step } = plan.tasks[task];
  return [...tasks].flatMap(([id, { status }]) => {
    const info = plan.tasks[id];
    return status === "waiting" && step !== null && info?.item === item && info.step === step ? [id] : [];
  });
}

/** First pieces that are in the heat, and since when. */
export const pilotsIn = ({ tasks }: Stand): { readonly task: string; readonly since: number }[] =>
  [...tasks].flatMap(([task, { status, pilotSince, minutes }]) =>
    status === "waiting" && pilotSince !== undefined && minutes === undefined ? [{ task, since: pilotSince }] : [],
  );
