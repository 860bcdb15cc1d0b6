"use client";
import { useEffect } from "react";

/** What a key presses: an elbow or a knuckle is enough. */
export const KEYS = { d: "done, begun or right", n: "not yet", m: "5 min more", u: "undo" } as const;
type Key = keyof typeof KEYS;

/** What a key presses, for a button of the page: the first of each counts. */
export const keyed = (key: Key) => ({ "data-key": key, "aria-keyshortcuts": key.toUpperCase() });

/** Presses the first button of the page that a key is for; not while somebody types. */
export function useKeys(): void {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const isTyping = (event.target as HTMLElement).closest("input, textarea, select, [role=dialog], [role=listbox]") !== null;
      if (isTyping || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const button = document.querySelector<HTMLButtonElement>(`[data-key="${CSS.escape(event.key.toLowerCase())}"]:enabled`);
      if (button) button.click();
    };
    document.addEventListener("keydown", pressed);
    return () => document.removeEventListener("keydown", pressed);
  }, []);
}
