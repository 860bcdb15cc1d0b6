"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Telling } from "@/core/run/events";
import type { RunState } from "@/core/run/run-state";
import type { Plan } from "@/core/plan/schema";
import type { Replanned } from "@/core/schedule/replan/replan";
import { useReleased } from "../kit/use-released";
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

export interface RestAtWork {
  /** The newest answer, which may be worked at still. */
  readonly answer: Rest | undefined;
  /** The last that was worked out to its end. */
  readonly settled: Rest | undefined;
  /** Asks anew; without a minute, at the one asked for last. The same is asked once. */
  readonly ask: (state: RunState, minute?: number) => void;
}

/** The rest of the day, planned again whenever it is asked for; nothing until the first answer. */
export function useRest(plan: Plan): RestAtWork {
  const [answer, setAnswer] = useState<Rest>();
  const [settled, setSettled] = useState<Rest>();
  const desk = useRef<RestDesk>(undefined);
  const asked = useRef<{ readonly state: RunState; readonly minute: number }>(undefined);
  /** Since when an answer to what happened is waited for. */
  const since = useRef<{ readonly state: RunState; readonly at: number }>(undefined);
  const [hired, setHired] = useState(0);
  // What comes meanwhile does not move what is pressed.
  const { whenReleased } = useReleased();
  useEffect(() => {
    const own = restDesk(plan, {
      first: (rest, of, at) =>
        whenReleased(() => {
          if (since.current?.state === of) {
            performance.measure(FIRST_ANSWER, { start: since.current.at });
            since.current = undefined;
          }
          // A minute that went by is no reason to show what is not worked out yet.
          setAnswer((was) =>
            was?.state === of || rest.solution.tasks.length === 0
              ? was
              : { rest, state: of, minute: at, arranged: undefined, isLast: false },
          );
        }),
      last({ rest, arranged }, of, at) {
        if (rest.solution.tasks.length === 0) return;
        const now: Rest = { rest, state: of, minute: at, arranged, isLast: true };
        whenReleased(() => {
          setAnswer(now);
          setSettled(now);
        });
      },
      broken: () => setTimeout(() => setHired((count) => count + 1), 1000),
    });
    desk.current = own;
    if (asked.current) own.ask(asked.current.state, asked.current.minute);
    return () => own.close();
  }, [plan, hired, whenReleased]);
  const ask = useCallback((state: RunState, given?: number) => {
    const was = asked.current;
    // Where the clock was set, the minute is another than the last one.
    const minute = given ?? (was?.state.pace?.wall === state.pace?.wall ? was?.minute : undefined);
    if (minute === undefined || (was?.state === state && was.minute === minute)) return;
    if (was?.state !== state) since.current = { state, at: performance.now() };
    asked.current = { state, minute };
    desk.current?.ask(state, minute);
  }, []);
  return { answer, settled, ask };
}
