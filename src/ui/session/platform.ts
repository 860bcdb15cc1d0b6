/** What a session needs of the place it runs in: replaced by plain objects in tests. */
export interface Timers {
  /** ms since some moment. */
  readonly now: () => number;
  readonly set: (work: () => void, ms: number) => unknown;
  readonly clear: (timer: unknown) => void;
}

/** Texts by key that outlive a reload of the page. */
export interface Store {
  readonly get: (key: string) => string | null;
  readonly put: (key: string, text: string) => void;
}

/** News to and from the same document in other tabs. */
export interface Channel {
  readonly tell: (news: unknown) => void;
  readonly listen: (hear: (news: unknown) => void) => void;
  readonly close: () => void;
}

export const browserTimers: Timers = {
  now: () => performance.now(),
  set: (work, ms) => setTimeout(work, ms),
  clear: (timer) => clearTimeout(timer as ReturnType<typeof setTimeout>),
};

/** This tab's own store; a browser that keeps nothing, or is full, works without. */
export const tabStore: Store = {
  get(key) {
    try {
      return sessionStorage.getItem(key);
    } catch {
      return null;
    }
  },
  put(key, text) {
    try {
      sessionStorage.setItem(key, text);
    } catch {
      // Nothing is lost but what could be taken back after a reload.
    }
  },
};

export const noStore: Store = { get: () => null, put: () => undefined };

/** A channel to the other tabs of this browser; undefined on a server. */
export function tabChannel(name: string): Channel | undefined {
  if (typeof BroadcastChannel === "undefined" || typeof window === "undefined") return undefined;
  const channel = new BroadcastChannel(name);
  return {
    tell: (news) => channel.postMessage(news),
    listen: (hear) => {
      channel.onmessage = ({ data }) => hear(data);
    },
    close: () => channel.close(),
  };
}
