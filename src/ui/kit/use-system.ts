"use client";
import type { System } from "@/core/quantities/unit-table";
import { useStored } from "./use-stored";

export const SYSTEMS: readonly { value: System; name: string }[] = [
  { value: "metric", name: "metric cup, 250 ml" },
  { value: "us", name: "US cup, 240 ml" },
  { value: "au", name: "Australian spoons, 20 ml" },
  { value: "imperial", name: "imperial cup, 284 ml" },
];

/** Whose cups and spoons this cook uses, remembered in this browser. */
export function useSystem(): [System, (system: System) => void] {
  const [text, put] = useStored("unisynth-measures");
  return [SYSTEMS.find(({ value }) => value === text)?.value ?? "metric", put];
}
