"use client";
import { useEffect, useRef, useState } from "react";

export type Saving = "saved" | "saving" | "not-saved" | "invalid";

/** Typing pauses this long before anything is saved or looked for, ms. */
export const PAUSE_MS = 350;

/**
 * Saves a draft when typing pauses, but not the one it began with. A draft that is not right waits; one that could not
 * be saved stays in the form and says so.
 */
export function useAutosave<T>(draft: T, isRight: boolean, save: (draft: T) => Promise<{ ok: boolean }>): Saving {
  const [saving, setSaving] = useState<Saving>("saved");
  const firstPass = useRef(true);
  useEffect(() => {
    const first = firstPass.current;
    firstPass.current = false;
    if (first) return;
    const timer = setTimeout(() => {
      if (!isRight) return setSaving("invalid");
      setSaving("saving");
      save(draft).then(
        ({ ok }) => setSaving(ok ? "saved" : "not-saved"),
        () => setSaving("not-saved"),
      );
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [draft, isRight, save]);
  return saving;
}

export const SAVING_TEXT: Readonly<Record<Saving, string>> = {
  saved: "Saved",
  saving: "Saving …",
  "not-saved": "Not saved: the form is kept here",
  invalid: "Not saved yet: a field needs you",
};
