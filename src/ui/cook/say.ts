import type { Telling } from "@/core/run/events";

/** Tells what happened; `at`: another moment than now, UTC. */
export type Say = (telling: Telling, at?: string) => void;
