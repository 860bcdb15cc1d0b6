"use client";
import { useEffect } from "react";
import { useStoredFlag } from "../kit/use-stored";
import { NIGHT_MARK } from "../theme/theme";

/** A dark screen for a dim kitchen, remembered on this device; the rest of the product stays light. */
export function useNight(): [boolean, (on: boolean) => void] {
  const [isNight, setNight] = useStoredFlag("unisynth-cook-night");
  useEffect(() => {
    // Dialogs and lists stand outside the page's own box.
    if (isNight) document.documentElement.setAttribute(NIGHT_MARK, "");
    return () => document.documentElement.removeAttribute(NIGHT_MARK);
  }, [isNight]);
  return [isNight, setNight];
}
