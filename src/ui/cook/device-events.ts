import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import { EventSchema, type RunEvent } from "@/core/run/events";
import { parseKnown } from "@/core/shared/parse";

/** An event of a run as it lies on the device, and whether the server has it. */
export interface Held {
  readonly run: string;
  readonly id: string;
  readonly isTaken: boolean;
  readonly event: RunEvent;
}

interface Schema extends DBSchema {
  events: { key: [string, string]; value: Held; indexes: { run: string } };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const database = () =>
  (opened ??= openDB<Schema>("unisynth-runs", 1, {
    upgrade: (db) => db.createObjectStore("events", { keyPath: ["run", "id"] }).createIndex("run", "run"),
    terminated: () => (opened = undefined),
  }));

/** What this device holds of runs, over closing the browser and without a line. */
export const deviceEvents = {
  async put(all: readonly Held[]): Promise<void> {
    const changes = (await database()).transaction("events", "readwrite", { durability: "strict" });
    await Promise.all([...all.map((one) => changes.store.put(one)), changes.done]);
  },
  /** All of a run; what cannot be read is left out. */
  async of(run: string): Promise<Held[]> {
    const rows = await (await database()).getAllFromIndex("events", "run", run);
    return rows.filter(({ event }) => parseKnown(EventSchema, event).ok);
  },
};
