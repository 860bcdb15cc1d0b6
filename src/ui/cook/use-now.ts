"use client";
import { useEffect, useState } from "react";
import { minuteReader } from "@/core/run/clock";
import type { Plan } from "@/core/plan/schema";
import { zoneHere } from "../kit/zone";

const TICK_MS = 1000;

/** The moment of a run, UTC: that on the wall, or where a plan is practised the one that it is in the plan. */
export const runMoment = (shiftMs: number): string => new Date(Date.now() + shiftMs).toISOString();

/** The whole minute of the plan that is now; undefined until the page is alive. */
export function useMinute(plan: Plan, shiftMs: number): number | undefined {
  const [minute, setMinute] = useState<number>();
  useEffect(() => {
    const read = minuteReader(plan);
    const look = () => setMinute(Math.floor(read(runMoment(shiftMs), zoneHere())));
    const first = setTimeout(look);
    const timer = setInterval(look, TICK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [plan, shiftMs]);
  return minute;
}
