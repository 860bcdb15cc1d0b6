"use client";
import { useEffect, useState, useSyncExternalStore } from "react";
import { DocumentSession, type DocumentOptions, type DocumentState } from "./document-session";
import type { Unsaved } from "./document-session";
import { useOutbox } from "./OutboxProvider";
import { browserTimers, noStore, tabChannel, tabStore } from "./platform";
import type { LetterKind } from "./senders";

export interface DocumentForm<T extends object>
  extends DocumentState<T>, Pick<DocumentSession<T>, "change" | "undo" | "retry" | "resolve"> {}

/** A document session of this tab, bound to a view. What it keeps is read once the page is there. `kind`: how it is sent without it. */
export function useDocument<T extends object>(
  options: Omit<DocumentOptions<T>, "timers" | "store" | "device"> & { readonly kind: LetterKind },
): DocumentForm<T> {
  const outbox = useOutbox();
  const [session] = useState(() => {
    const there = typeof window !== "undefined";
    return new DocumentSession<T>({
      ...options,
      timers: browserTimers,
      store: there ? tabStore : noStore,
      device: {
        hold: (unsaved, changes, hasFailed) => outbox.hold(options.key, options.kind, unsaved, changes, hasFailed),
        drop: () => outbox.drop(options.key),
      },
    });
  });
  const state = useSyncExternalStore(
    session.subscribe,
    () => session.state,
    () => session.pristine,
  );
  const { key } = options;
  useEffect(() => {
    session.open();
    const channel = tabChannel(`unisynth-${key}`);
    const hangUp = channel && session.connect(channel);
    // What a tab that was closed could not save is taken up here.
    void outbox.claim(key).then((left) => {
      if (left) session.takeUp(left.body as Unsaved<T>, left.changes);
    });
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
      outbox.release(key);
    };
  }, [session, key, outbox]);
  return { ...state, change: session.change, undo: session.undo, retry: session.retry, resolve: session.resolve };
}
