import type { RunEvent } from "@/core/run/events";

/** What a press says, without what every event says of itself. */
export type Saying = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, "id" | "device" | "at" | "zone" | "cook">
    : never
  : never;
export type Say = (saying: Saying) => void;
