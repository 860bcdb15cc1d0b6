"use client";
import { useEffect } from "react";
import { momentOf } from "@/core/run/clock";
import { nextMinute, pressesAt } from "@/core/run/practice/simulated-hands";
import type { Fault, SimulatedKitchen } from "@/core/run/practice/simulated-kitchen";
import type { Telling } from "@/core/run/events";
import type { RunState } from "@/core/run/run-state";
import type { Plan } from "@/core/plan/schema";
import { zoneHere } from "../kit/zone";
import type { Rest } from "./use-rest";

/** What goes wrong in a practice that runs by itself, and which kitchen it is. */
export interface Practice {
  readonly seed: number;
  readonly faults: readonly Fault[];
}

/**
 * Cooks who go by the screen, in a kitchen that is not there. Its clock waits for them: it goes on to when something is to be done
 * next once the rest of the day is worked out and all is pressed that is due.
 * @param kitchen undefined: nobody goes by the screen
 * @param rate how many times as fast as on the wall it goes at the most
 */
export function usePractice(
  plan: Plan,
  kitchen: SimulatedKitchen | undefined,
  rate: number,
  state: RunState,
  rest: Rest | undefined,
  say: (all: readonly Telling[], at: string) => void,
): void {
  useEffect(() => {
    if (!kitchen || rate === 0 || !rest?.isLast || rest.arranged || rest.state !== state) return;
    const { minute } = rest;
    const presses = pressesAt(plan, state, rest.rest, minute, kitchen);
    const at = (when: number) => momentOf(plan, when, zoneHere());
    if (presses.length > 0) return say(presses, at(minute));
    const next = nextMinute(plan, state, rest.rest, minute, kitchen);
    if (next === undefined) return;
    const timer = setTimeout(
      () => say([{ kind: "paced", rate: 0, wall: new Date().toISOString() }], at(next)),
      ((next - minute) * 60_000) / rate,
    );
    return () => clearTimeout(timer);
    // Each answer is acted on once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rest, kitchen, rate]);
}
