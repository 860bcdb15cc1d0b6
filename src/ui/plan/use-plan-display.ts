"use client";
import { useMemo } from "react";
import { refusalTexts, noteText } from "@/core/plan/reason-text";
import type { Note, Plan } from "@/core/plan/schema";
import { planTaskText } from "@/core/plan/task-text";
import { wallMinute } from "@/core/shared/clock";
import { useDisplay, type Shown } from "../kit/use-display";

/** How a plan is shown to this cook: minutes of the plan as clock times, tasks and reasons in words, degrees in their scale. */
export interface PlanShown extends Shown {
  readonly task: (id: string) => string;
  readonly refusal: () => readonly string[];
  readonly note: (note: Note) => string;
}

/** The cook's display settings for one plan; a clock change in its nights is counted in. */
export function usePlanDisplay(plan: Plan | undefined): PlanShown {
  const shown = useDisplay();
  return useMemo(
    () => ({
      ...shown,
      clock: (minute) => shown.clock(wallMinute(minute, plan?.clockChanges ?? [])),
      task: (id) => (plan ? planTaskText(plan, id, shown.degrees) : id),
      refusal: () => (!plan ? [] : refusalTexts(plan, { heat: shown.degrees, clock: shown.clock })),
      note: (note) => (plan ? noteText(plan, note) : note.code),
    }),
    [shown, plan],
  );
}
