"use client";
import { useEffect, useRef, useState } from "react";

export type Saving = "saved" | "saving" | "not-saved" | "invalid";

/** Typing pauses this long before anything is saved or looked for, ms. */
export const PAUSE_MS = 350;

/**
 * Saves a draft when typing pauses, but not the one it began with; at once where the page is left before the pause is
 * over. A draft that is not right waits; one that could not be saved stays in the form and says so.
 */
export function useAutosave<T>(draft: T, isRight: boolean, save: (draft: T) => Promise<{ ok: boolean }>): Saving {
  const [settled, setSettled] = useState<{ draft: T; state: Saving }>({ draft, state: "saved" });
  const sent = useRef(draft);
  const pending = useRef<(() => void) | undefined>(undefined);
  useEffect(() => {
    if (draft === sent.current || !isRight) {
      pending.current = undefined;
      return;
    }
    const settle = (state: Saving) => setSettled({ draft, state });
    const now = () => {
      pending.current = undefined;
      sent.current = draft;
      save(draft).then(
        ({ ok }) => settle(ok ? "saved" : "not-saved"),
        () => settle("not-saved"),
      );
    };
    pending.current = now;
    const timer = setTimeout(now, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [draft, isRight, save]);
  useEffect(() => {
    const flush = () => pending.current?.();
    window.addEventListener("pagehide", flush);
    return () => {
      window.removeEventListener("pagehide", flush);
      flush();
    };
  }, []);
  if (!isRight) return "invalid";
  return settled.draft === draft ? settled.state : "saving";
}

export const SAVING_TEXT: Readonly<Record<Saving, string>> = {
  saved: "Saved",
  saving: "Saving …",
  "not-saved": "Not saved: the form is kept here",
  invalid: "Not saved yet: a field needs you",
};
