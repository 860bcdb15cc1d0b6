"use client";
import { useEffect, useRef, useState } from "react";
import type { Telling } from "@/core/run/events";
import type { RunState } from "@/core/run/run-state";
import type { Plan } from "@/core/plan/schema";
import type { Replanned } from "@/core/schedule/replan/replan";
import { restDesk, type RestDesk } from "@/workers/plan.client";

/** The rest of the day as it is now, and of what it is the rest. */
export interface Rest {
  readonly rest: Replanned;
  readonly state: RunState;
  readonly minute: number;
  /** What is told of it; undefined where it follows from what happened, or is not worked out to its end. */
  readonly arranged: Telling | undefined;
  readonly isLast: boolean;
}

/** Name under which the browser keeps how long first answers took: read by the tests that count them. */
export const FIRST_ANSWER = "unisynth first answer";

/**
 * The rest of the day, planned again whenever something happened or a minute went by; undefined until the first answer.
 * @returns `answer`: the newest, which may be worked at still; `settled`: the last that was worked out to its end
 */
export function useRest(
  plan: Plan,
  state: RunState,
  minute: number | undefined,
): { readonly answer: Rest | undefined; readonly settled: Rest | undefined } {
  const [answer, setAnswer] = useState<Rest>();
  const [settled, setSettled] = useState<Rest>();
  const desk = useRef<RestDesk>(undefined);
  const asked = useRef<{ state: RunState; at: number }>(undefined);
  const [hired, setHired] = useState(0);
  useEffect(() => {
    const own = restDesk(plan, {
      first(rest, of, at) {
        if (asked.current?.state === of) {
          performance.measure(FIRST_ANSWER, { start: asked.current.at });
          asked.current = undefined;
        }
        // A minute that went by is no reason to show what is not worked out yet.
        setAnswer((was) =>
          was?.state === of || rest.solution.tasks.length === 0
            ? was
            : { rest, state: of, minute: at, arranged: undefined, isLast: false },
        );
      },
      last({ rest, arranged }, of, at) {
        if (rest.solution.tasks.length === 0) return;
        const now: Rest = { rest, state: of, minute: at, arranged, isLast: true };
        setAnswer(now);
        setSettled(now);
      },
      broken: () => setTimeout(() => setHired((count) => count + 1), 1000),
    });
    desk.current = own;
    return () => own.close();
  }, [plan, hired]);
  useEffect(() => {
    if (asked.current?.state !== state) asked.current = { state, at: performance.now() };
  }, [state]);
  useEffect(() => {
    if (minute !== undefined) desk.current?.ask(state, minute);
  }, [state, minute, hired]);
  return { answer, settled };
}
