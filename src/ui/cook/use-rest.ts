"use client";
import { useEffect, useState } from "react";
import type { RunState } from "@/core/run/replay";
import { restInput } from "@/core/run/rest-of-day";
import type { Plan } from "@/core/plan/schema";
import type { Replanned } from "@/core/schedule/replan/replan";
import { runReplan } from "@/workers/plan.client";

/** So long the rest of the day is worked on after something happened, s. */
const SECONDS = 1.5;

/** The rest of the day, planned again whenever something happened or a minute went by; undefined until the first answer. */
export function useRest(plan: Plan, state: RunState, minute: number | undefined): Replanned | undefined {
  const [rest, setRest] = useState<Replanned>();
  useEffect(() => {
    if (minute === undefined) return;
    const input = restInput(plan, state, minute);
    const run = runReplan(input.plan, input.soFar, SECONDS, (better) => setRest(better));
    void run.done.then((answer) => {
      if (answer.ok && answer.value.solution.tasks.length > 0) setRest(answer.value);
    });
    return run.cancel;
  }, [plan, state, minute]);
  return rest;
}
