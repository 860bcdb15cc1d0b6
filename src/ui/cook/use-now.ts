"use client";
import { useEffect, useState } from "react";
import { minuteReader } from "@/core/run/clock";
import type { RunState } from "@/core/run/run-state";
import type { Plan } from "@/core/plan/schema";
import { zoneHere } from "../kit/zone";

const TICK_MS = 1000;
/** Where the clock is quicker than the one on the wall it is looked at so often. */
const QUICK_TICK_MS = 250;

/** How the clock of a run goes: `shiftMs` ahead of the wall's (0: it is the wall's), or in practice from a moment at a rate. */
export interface RunClock {
  readonly shiftMs: number;
  readonly pace: RunState["pace"];
}

/** The moment of a run, UTC: that on the wall, or where a plan is practised the one that it is in the plan. */
export function runMoment({ shiftMs, pace }: RunClock): string {
  const now = Date.now();
  if (shiftMs === 0 || !pace) return new Date(now + shiftMs).toISOString();
  return new Date(Date.parse(pace.at) + Math.max(0, now - Date.parse(pace.wall)) * pace.rate).toISOString();
}

/** The whole minute of the plan that is now; undefined until the page is alive. */
export function useMinute(plan: Plan, shiftMs: number, pace: RunState["pace"]): number | undefined {
  const [minute, setMinute] = useState<number>();
  useEffect(() => {
    const read = minuteReader(plan);
    const look = () => setMinute(Math.floor(read(runMoment({ shiftMs, pace }), zoneHere())));
    const first = setTimeout(look);
    const timer = setInterval(look, shiftMs !== 0 && pace && pace.rate > 1 ? QUICK_TICK_MS : TICK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [plan, shiftMs, pace]);
  return minute;
}
