"use client";
import { useSyncExternalStore } from "react";
import type { System } from "@/core/quantities/unit-table";

export const SYSTEMS: readonly { value: System; name: string }[] = [
  { value: "metric", name: "metric cup, 250 ml" },
  { value: "us", name: "US cup, 240 ml" },
  { value: "au", name: "Australian spoons, 20 ml" },
  { value: "imperial", name: "imperial cup, 284 ml" },
];

const KEY = "unisynth-measures";
const listeners = new Set<() => void>();
const read = (): System => SYSTEMS.find(({ value }) => value === localStorage.getItem(KEY))?.value ?? "metric";

/** Whose cups and spoons this cook uses, remembered in this browser. */
export function useSystem(): [System, (system: System) => void] {
  const system = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    read,
    () => "metric" as const,
  );
  return [
    system,
    (next) => {
      localStorage.setItem(KEY, next);
      listeners.forEach((tell) => tell());
    },
  ];
}
