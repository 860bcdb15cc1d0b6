import type { Seen } from "../item/gates/answer";
import type { Gate } from "../item/gates/gates";
import type { Placed } from "../schedule/solution";
import type { AmountKind, Counted, Place } from "./events";

export type Status = "waiting" | "running" | "done" | "skipped";

/** A task as it stands: minutes of the plan, whole. */
export interface TaskRun {
  readonly status: Status;
  readonly start?: number;
  readonly end?: number;
  /** When it is expected to be over, while it runs. */
  readonly expectedEnd?: number;
  /** When to look again, where it was not right yet. */
  readonly lookAgain?: number;
  /** The last of its looks. */
  readonly seen?: "early" | "right" | "late";
  /** Highest core that was measured, °C. */
  readonly coreC?: number;
  /** Who began it. */
  readonly cook?: string;
  /** What it takes, as the problem's uses have it, where that was said. */
  readonly taken?: readonly string[];
  /** Nobody said that it was over: what comes after it was begun. */
  readonly isAssumed?: true;
  readonly reason?: string;
  /** Its pieces are gone, or lie in the freezer instead. */
  readonly gone?: "lost" | "frozen";
  /** It begins no sooner, min. */
  readonly notBefore?: number;
  /** It takes so many minutes, as a first piece showed. */
  readonly minutes?: number;
  /** Heavy pieces in it, g of dough each, and how many minutes they stay in longer than the others. */
  readonly odd?: { readonly grams: readonly number[]; readonly minutes: number };
  /** When one piece went into the heat before the others. */
  readonly pilotSince?: number;
  /** Where it waits, being ready too early, and since when. */
  readonly held?: { readonly place: Place; readonly since: number };
}

/** A part of a lot that went back into the fridge, or came out of it. */
export interface Cooled {
  readonly minute: number;
  readonly share: number;
  readonly isOut: boolean;
}

/** What was seen at a gate, and why work went on where it was shut. */
export interface Answered {
  readonly seen: Seen & { readonly which?: readonly string[] | undefined };
  readonly note?: string;
  readonly minute: number;
}

/** A gate of a task, as answers are kept by. */
export const gateKey = (task: string, gate: Gate["kind"]): string => `${task} ${gate}`;

/** What does not fit: an event that says something of nothing, or a core that is short. */
export type Oddity =
  | { readonly code: "no-such-task"; readonly event: string; readonly task: string }
  | { readonly code: "no-such-cook"; readonly event: string; readonly who: string }
  | { readonly code: "already-over"; readonly event: string; readonly task: string }
  | {
      readonly code: "core-short";
      readonly event: string;
      readonly task: string;
      readonly coreC: number | null;
      readonly wantedC: number;
    };

export interface RunState {
  readonly tasks: ReadonlyMap<string, TaskRun>;
  /** Cooks who left, and since when. */
  readonly away: ReadonlyMap<string, number>;
  /** Who joined: names by id, and since when. */
  readonly joined: ReadonlyMap<string, { readonly name: string; readonly since: number }>;
  readonly roomC?: number;
  /** The last that was measured of the oil, °C, and at which minute. */
  readonly oil?: { readonly c: number; readonly minute: number };
  /** The rest of the day as it was chosen last. */
  readonly arranged?: readonly Placed[];
  /** How it was arranged before whatever happened last. */
  readonly arrangedBefore?: readonly Placed[];
  /** Whether nothing happened since then that could change it. */
  readonly isArranged: boolean;
  /** Waves that are agreed to be served later, min. */
  readonly agreed: ReadonlyMap<string, number>;
  /** How the clock of a practice goes: from a minute, and the moment on the wall at it. */
  readonly pace?: { readonly at: string; readonly wall: string; readonly rate: number };
  /** What was seen at gates, by `gateKey`. */
  readonly answers: ReadonlyMap<string, Answered>;
  /** Parts of lots in and out of the fridge, by the heat that they wait for. */
  readonly cooled: ReadonlyMap<string, readonly Cooled[]>;
  /** What heats are set to, by their resource, and since when. */
  readonly set: ReadonlyMap<string, { readonly c: number; readonly minute: number }>;
  /** Tasks whose lid was lifted, though it should stay shut. */
  readonly opened: ReadonlySet<string>;
  /** Ovens that take two trays at once from here. */
  readonly doubled: ReadonlySet<string>;
  /** What was weighed and counted, by item: the last of each. */
  readonly amounts: ReadonlyMap<string, Partial<Readonly<Record<AmountKind, number>>>>;
  /** Figures that were taken over, by their key, and the revision that has them. */
  readonly tookOver: ReadonlyMap<string, number>;
  readonly faults: readonly { readonly item: string; readonly fault: string; readonly minute: number }[];
  readonly odd: readonly Oddity[];
  readonly notes: readonly { readonly minute: number; readonly task?: string; readonly text: string }[];
  /** The events as they count: what all the rest follows from. */
  readonly counted: Counted;
  /** Minute of the last event; undefined before the first. */
  readonly lastMinute?: number;
}

/** Whether there is anything left to do of a task; not of one that the plan does not have. */
export const isOpen = (task: Pick<TaskRun, "status"> | undefined): boolean =>
  task?.status === "waiting" || task?.status === "running";
