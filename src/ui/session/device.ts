import { openDB, type IDBPDatabase } from "idb";
import type { Letter, Letters } from "./outbox";

const NAME = "unisynth";
const STORE = "letters";

let opened: Promise<IDBPDatabase> | undefined;
const database = () =>
  (opened ??= openDB(NAME, 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { keyPath: "id" }),
    terminated: () => (opened = undefined),
  }));

/** What this browser keeps of letters, over closing it as well. */
export const deviceLetters: Letters = {
  put: async (letter) => void (await (await database()).put(STORE, letter)),
  remove: async (id) => (await database()).delete(STORE, id),
  all: async () => (await (await database()).getAll(STORE)) as Letter[],
};

const lockOf = (tab: string): string => `unisynth-tab-${tab}`;

/** A name for this tab that no other open tab has: each holds a lock by its name until it is closed. */
export function nameOfTab(): string {
  const name = crypto.getRandomValues(new Uint32Array(3)).join("-");
  // Without locks (a page that came over the network, unencrypted) tabs look after each other's letters: sent twice is sent once.
  if (navigator.locks) void navigator.locks.request(lockOf(name), () => new Promise(() => undefined));
  return name;
}

/** Whether another tab is open now. */
export async function isOpenTab(tab: string): Promise<boolean> {
  if (!navigator.locks) return false;
  const { held = [] } = await navigator.locks.query();
  return held.some((lock) => lock.name === lockOf(tab));
}
