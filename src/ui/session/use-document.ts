"use client";
import { useEffect, useState, useSyncExternalStore } from "react";
import { DocumentSession, type DocumentOptions, type DocumentState } from "./document-session";
import { browserTimers, noStore, tabChannel, tabStore } from "./platform";

export interface DocumentForm<T extends object>
  extends DocumentState<T>, Pick<DocumentSession<T>, "change" | "undo" | "retry" | "resolve"> {}

/** A document session of this tab, bound to a view. What it keeps is read once the page is there. */
export function useDocument<T extends object>(options: Omit<DocumentOptions<T>, "timers" | "store">): DocumentForm<T> {
  const [session] = useState(() => {
    const there = typeof window !== "undefined";
    return new DocumentSession<T>({
      ...options,
      timers: browserTimers,
      store: there ? tabStore : noStore,
    });
  });
  const state = useSyncExternalStore(
    session.subscribe,
    () => session.state,
    () => session.pristine,
  );
  const { key } = options;
  useEffect(() => {
    const channel = tabChannel(`unisynth-${key}`);
    const hangUp = channel && session.connect(channel);
    const leave = () => session.flush();
    const warn = (event: BeforeUnloadEvent) => {
      session.flush();
      if (session.state.saving === "not-saved" || session.state.saving === "conflict") event.preventDefault();
    };
    window.addEventListener("pagehide", leave);
    window.addEventListener("beforeunload", warn);
    return () => {
      window.removeEventListener("pagehide", leave);
      window.removeEventListener("beforeunload", warn);
      session.flush();
      hangUp?.();
    };
  }, [session, key]);
  return { ...state, change: session.change, undo: session.undo, retry: session.retry, resolve: session.resolve };
}
