import type { Channel, Store, Timers } from "@/ui/session/platform";

/** Timers that stand still until a test lets time pass. */
export function handTimers(): Timers & { pass(ms: number): Promise<void> } {
  let now = 0;
  let next = 1;
  const waiting = new Map<number, { at: number; work: () => void }>();
  const settle = async () => {
    for (let i = 0; i < 20; i++) await Promise.resolve();
  };
  return {
    now: () => now,
    set(work, ms) {
      waiting.set(next, { at: now + ms, work });
      return next++;
    },
    clear: (timer) => void waiting.delete(timer as number),
    /** Lets time pass, and every promise on the way come to its end. */
    async pass(ms) {
      const end = now + ms;
      await settle();
      for (;;) {
        const due = [...waiting].filter(([, { at }]) => at <= end).sort((a, b) => a[1].at - b[1].at)[0];
        if (!due) break;
        waiting.delete(due[0]);
        now = Math.max(now, due[1].at);
        due[1].work();
        await settle();
      }
      now = end;
    },
  };
}

export function memoryStore(): Store {
  const texts = new Map<string, string>();
  return { get: (key) => texts.get(key) ?? null, put: (key, text) => void texts.set(key, text) };
}

/** Channels that hear each other, but not themselves. */
export function tabs(count: number): Channel[] {
  const hear: ((news: unknown) => void)[] = [];
  return Array.from({ length: count }, (_, i) => ({
    tell: (news) => hear.forEach((own, other) => other !== i && own(structuredClone(news))),
    listen: (own) => void (hear[i] = own),
    close: () => void (hear[i] = () => undefined),
  }));
}
