"use client";
import { useCallback, useSyncExternalStore } from "react";

const listeners = new Set<() => void>();

/** A text kept in this browser under a key; every user of the key sees a change at once. */
export function useStored(key: string): [string, (text: string) => void] {
  const text = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => localStorage.getItem(key) ?? "",
    () => "",
  );
  const put = useCallback(
    (next: string) => {
      localStorage.setItem(key, next);
      listeners.forEach((tell) => tell());
    },
    [key],
  );
  return [text, put];
}

export interface Ticks {
  readonly has: (id: string) => boolean;
  readonly toggle: (id: string) => void;
  readonly clear: () => void;
  readonly count: number;
}

/** What is ticked off at the scale, remembered in this browser until it is cleared. */
export function useTicks(key: string): Ticks {
  const [text, put] = useStored(key);
  const ticked = new Set(text === "" ? [] : text.split("\n"));
  return {
    has: (id) => ticked.has(id),
    toggle: (id) => {
      if (!ticked.delete(id)) ticked.add(id);
      put([...ticked].join("\n"));
    },
    clear: () => put(""),
    count: ticked.size,
  };
}

export function useStoredFlag(key: string): [boolean, (on: boolean) => void] {
  const [text, put] = useStored(key);
  return [text === "on", (on) => put(on ? "on" : "")];
}
