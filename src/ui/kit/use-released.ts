"use client";
import { useCallback, useEffect, useRef } from "react";

/** The click of a tap comes a little after its release, ms. */
const CLICK_MS = 80;
/** A press counts for no longer: the list that a select opens, or a menu of the system, may keep its release to itself, ms. */
const PRESS_MS = 1000;

/**
 * For changes of the screen that nobody asked for: makes them at once, or when what is pressed has been let go.
 * What moves away between a press and its release gets no click.
 */
export function useReleased(): (change: () => void) => void {
  const waiting = useRef<(() => void)[] | undefined>(undefined);
  useEffect(() => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    const letGo = () => {
      const changes = waiting.current ?? [];
      waiting.current = undefined;
      changes.forEach((change) => change());
    };
    const letGoIn = (ms: number) => {
      clearTimeout(soon);
      soon = setTimeout(letGo, ms);
    };
    const press = () => {
      waiting.current ??= [];
      letGoIn(PRESS_MS);
    };
    const release = () => letGoIn(CLICK_MS);
    const releases = ["pointerup", "pointercancel"];
    window.addEventListener("pointerdown", press, true);
    for (const event of releases) window.addEventListener(event, release, true);
    return () => {
      clearTimeout(soon);
      window.removeEventListener("pointerdown", press, true);
      for (const event of releases) window.removeEventListener(event, release, true);
    };
  }, []);
  return useCallback((change) => {
    if (waiting.current) waiting.current.push(change);
    else change();
  }, []);
}
