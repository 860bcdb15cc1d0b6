"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import type { Plan } from "@/core/plan/schema";
import { EventSchema, type RunEvent } from "@/core/run/events";
import { replay } from "@/core/run/replay";
import type { RunState } from "@/core/run/run-state";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { parseKnown } from "@/core/shared/parse";
import { deviceEvents } from "./device-events";

/** What was not taken is sent again so often, and a line that broke is tried again, ms. */
const AGAIN_MS = 1000;
/** What was pressed is kept on the device at once; the stove comes first, and the line after it, ms. */
const SENT_AFTER_MS = 120;
/** In one sending at the most. */
const MOST_SENT = 400;

export type Tell = (input: { run: string; events: RunEvent[] }) => Promise<Result<{ kept: number }>>;

const ReceivedSchema = z.object({ sequence: z.int(), event: EventSchema });
export type Received = z.output<typeof ReceivedSchema>;

/** The name of this device among those of a run, made once. */
export function deviceName(): string {
  const known = localStorage.getItem("unisynth-device");
  if (known) return known;
  const made = crypto.randomUUID();
  localStorage.setItem("unisynth-device", made);
  return made;
}

export interface RunAtWork {
  /** What comes of all that happened. */
  readonly state: RunState;
  /** How many the server has not taken yet. */
  readonly unsent: number;
  /** Why it did not take them. */
  readonly trouble: string | undefined;
  /** Whether news of other devices comes in. */
  readonly isOnLine: boolean;
  readonly say: (events: readonly RunEvent[]) => void;
}

/**
 * A run at work: what happened here is kept on the device at once and sent until it is taken; what happens on other devices comes in
 * as it happens. Nothing said is lost by a reload or a line that is down.
 * @param told called with what comes of it as soon as something happened, before it is drawn; always the same function
 */
export function useRun(
  run: string,
  plan: Plan,
  received: readonly Received[],
  tell: Tell,
  told: (state: RunState) => void,
): RunAtWork {
  const [now, setNow] = useState(() => {
    const events: readonly RunEvent[] = received.map(({ event }) => event);
    return { events, state: replay(plan, events) };
  });
  const newest = useRef(now);
  const [unsent, setUnsent] = useState<readonly RunEvent[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const [isOnLine, setOnLine] = useState(true);
  const waiting = useRef<readonly RunEvent[]>([]);
  const isSending = useRef(false);

  const add = useCallback(
    (more: readonly RunEvent[]) => {
      const known = newest.current;
      const ids = new Set(known.events.map(({ id }) => id));
      const fresh = more.filter(({ id }) => !ids.has(id));
      if (fresh.length === 0) return;
      const events = [...known.events, ...fresh];
      newest.current = { events, state: replay(plan, events) };
      told(newest.current.state);
      setNow(newest.current);
    },
    [plan, told],
  );
  const wait = useCallback((now: readonly RunEvent[]) => {
    waiting.current = now;
    setUnsent(now);
  }, []);
  const hold = useCallback(
    (all: readonly RunEvent[], isTaken: boolean) =>
      void deviceEvents
        .put(all.map((event) => ({ run, id: event.id, isTaken, event })))
        // A browser that keeps nothing works on as long as the page is open.
        .catch(() => undefined),
    [run],
  );

  const send = useCallback(async () => {
    if (isSending.current) return;
    isSending.current = true;
    try {
      while (waiting.current.length > 0) {
        const sent = waiting.current.slice(0, MOST_SENT);
        const answer = await tell({ run, events: [...sent] });
        if (!answer.ok) {
          setTrouble(issueText(answer.issues[0]));
          break;
        }
        setTrouble(undefined);
        const ids = new Set(sent.map(({ id }) => id));
        wait(waiting.current.filter(({ id }) => !ids.has(id)));
        hold(sent, true);
      }
    } catch {
      setTrouble("the server cannot be reached");
    } finally {
      isSending.current = false;
    }
  }, [hold, run, tell, wait]);

  useEffect(() => {
    let isOver = false;
    let line: EventSource | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;
    let last = Math.max(0, ...received.map(({ sequence }) => sequence));
    const listen = () => {
      if (isOver) return;
      line = new EventSource(`/cook/${run}/stream?after=${last}`);
      line.onopen = () => setOnLine(true);
      line.onmessage = ({ data }) => {
        const read = parseKnown(ReceivedSchema, JSON.parse(String(data)));
        if (!read.ok) return;
        const { sequence, event } = read.value;
        last = Math.max(last, sequence);
        add([event]);
        hold([event], true);
        if (waiting.current.some(({ id }) => id === event.id)) wait(waiting.current.filter(({ id }) => id !== event.id));
      };
      line.onerror = () => {
        setOnLine(false);
        line?.close();
        again = setTimeout(listen, AGAIN_MS);
      };
    };
    const down = () => {
      setOnLine(false);
      line?.close();
    };
    const up = () => {
      clearTimeout(again);
      line?.close();
      listen();
      void send();
    };
    // What this device holds from before: told by others while a page was open, or told here and not sent.
    const begin = async () => {
      const held = await deviceEvents.of(run).catch(() => []);
      if (isOver) return;
      const known = new Set(received.map(({ event }) => event.id));
      add(held.map(({ event }) => event));
      const left = held.filter(({ isTaken, id }) => !isTaken && !known.has(id)).map(({ event }) => event);
      if (left.length > 0) wait([...left, ...waiting.current.filter(({ id }) => !left.some((one) => one.id === id))]);
      listen();
      void send();
    };
    void begin();
    const timer = setInterval(() => void send(), AGAIN_MS);
    // Whoever pockets the phone right after a press has it sent.
    const hidden = () => void (document.visibilityState === "hidden" && send());
    document.addEventListener("visibilitychange", hidden);
    window.addEventListener("offline", down);
    window.addEventListener("online", up);
    return () => {
      isOver = true;
      line?.close();
      clearTimeout(again);
      clearInterval(timer);
      document.removeEventListener("visibilitychange", hidden);
      window.removeEventListener("offline", down);
      window.removeEventListener("online", up);
    };
  }, [add, hold, received, run, send, wait]);

  const say = useCallback(
    (said: readonly RunEvent[]) => {
      if (said.length === 0) return;
      add(said);
      wait([...waiting.current, ...said]);
      hold(said, false);
      setTimeout(() => void send(), SENT_AFTER_MS);
    },
    [add, hold, send, wait],
  );
  return { state: now.state, unsent: unsent.length, trouble, isOnLine, say };
}
