"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import { EventSchema, type RunEvent } from "@/core/run/events";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { parseKnown } from "@/core/shared/parse";

/** How often the other devices' news is asked for, and what was not taken is sent again, ms. */
const ASK_MS = 1000;

export type Tell = (input: { run: string; events: RunEvent[] }) => Promise<Result<{ kept: number }>>;
interface Received {
  readonly sequence: number;
  readonly event: RunEvent;
}

const ReceivedSchema = z.object({ received: z.array(z.object({ sequence: z.int(), event: EventSchema })) });
const keyOf = (run: string) => `unisynth-run ${run}`;

/** What this device told and the server has not taken yet; a text that cannot be read is none. */
function unsentOf(run: string): RunEvent[] {
  try {
    const read = parseKnown(z.array(EventSchema), JSON.parse(localStorage.getItem(keyOf(run)) ?? "[]"));
    return read.ok ? read.value : [];
  } catch {
    return [];
  }
}

/** The name of this device among those of a run, made once. */
export function deviceName(): string {
  const known = localStorage.getItem("unisynth-device");
  if (known) return known;
  const made = crypto.randomUUID();
  localStorage.setItem("unisynth-device", made);
  return made;
}

export interface RunAtWork {
  readonly events: readonly RunEvent[];
  /** How many the server has not taken yet. */
  readonly unsent: number;
  /** Why it did not take them. */
  readonly trouble: string | undefined;
  readonly say: (event: RunEvent) => void;
}

/**
 * A run at work: what happened here is kept on the device at once and sent until it is taken; what happened on other devices comes
 * in. Nothing said is lost by a reload or a line that is down.
 */
export function useRun(run: string, received: readonly Received[], tell: Tell): RunAtWork {
  const [events, setEvents] = useState<readonly RunEvent[]>(() => received.map(({ event }) => event));
  const [unsent, setUnsent] = useState<readonly RunEvent[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const last = useRef(Math.max(0, ...received.map(({ sequence }) => sequence)));
  const waiting = useRef<readonly RunEvent[]>([]);
  const isSending = useRef(false);

  const add = useCallback((more: readonly RunEvent[]) => {
    setEvents((known) => {
      const ids = new Set(known.map(({ id }) => id));
      const fresh = more.filter(({ id }) => !ids.has(id));
      return fresh.length === 0 ? known : [...known, ...fresh];
    });
  }, []);
  const keep = useCallback(
    (now: readonly RunEvent[]) => {
      waiting.current = now;
      localStorage.setItem(keyOf(run), JSON.stringify(now));
      setUnsent(now);
    },
    [run],
  );

  const send = useCallback(async () => {
    if (isSending.current || waiting.current.length === 0) return;
    isSending.current = true;
    const sent = waiting.current;
    try {
      const answer = await tell({ run, events: [...sent] });
      if (answer.ok) keep(waiting.current.filter((event) => !sent.includes(event)));
      setTrouble(answer.ok ? undefined : issueText(answer.issues[0]));
    } catch {
      setTrouble("the server cannot be reached");
    } finally {
      isSending.current = false;
    }
  }, [keep, run, tell]);

  const ask = useCallback(async () => {
    try {
      const response = await fetch(`/cook/${run}/events?after=${last.current}`);
      const read = parseKnown(ReceivedSchema, await response.json());
      if (!read.ok) return;
      last.current = Math.max(last.current, ...read.value.received.map(({ sequence }) => sequence));
      add(read.value.received.map(({ event }) => event));
    } catch {
      // The line is down: what is known stays, and it is asked again.
    }
  }, [add, run]);

  useEffect(() => {
    // What an earlier page of this device could not send.
    const left = unsentOf(run);
    const begin = setTimeout(() => {
      add(left);
      if (left.length > 0) keep(left);
    });
    const timer = setInterval(() => {
      void send();
      void ask();
    }, ASK_MS);
    return () => {
      clearTimeout(begin);
      clearInterval(timer);
    };
  }, [add, ask, keep, run, send]);

  const say = useCallback(
    (event: RunEvent) => {
      add([event]);
      keep([...waiting.current, event]);
      void send();
    },
    [add, keep, send],
  );
  return { events, unsent: unsent.length, trouble, say };
}
