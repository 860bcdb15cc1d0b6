import { z } from "zod";
import { PlacedSchema } from "../schedule/solution";
import { GATE_KINDS } from "../item/gates/gates";
import { line } from "../shared/fields";

const name = z.string().trim().min(1, { error: "a name" }).max(120);
const task = z.string().min(1, { error: "the key of a task: item/step/pieces" }).max(300);
const minutes = (least: number, most: number) =>
  z
    .number({ error: `minutes from ${least} to ${most}` })
    .min(least)
    .max(most);

/** What every event says of itself: made where, by whom and when. The id is made on the device, so that sent twice it counts once. */
const common = {
  id: name,
  device: name,
  cook: name.optional(),
  /** UTC. */
  at: z.iso.datetime({ error: "a moment in UTC, such as 2026-12-05T17:04:00Z" }),
  /** Where the clock on the wall stands, IANA. */
  zone: z.string().max(60).optional(),
};

/** How a judged step looks: as its cue has it, before that, or beyond. */
export const SEEN = ["early", "right", "late"] as const;
/** How far along it is said to be, of 1: as exact as an eye is. */
export const SHARES = [0.25, 0.5, 0.75, 0.9] as const;
export const MEASURED = {
  room: "°C",
  dough: "°C",
  core: "°C",
  oil: "°C",
} as const;

/** The fastest that a practice goes. */
export const MOST_RATE = 1200;

/** What is weighed or counted on the day, of one item: the liquid that went into the dough, one piece, pieces made, dough and filling left over. */
export const AMOUNTS = { water: "g", piece: "g", pieces: "pieces", "dough-left": "g", "filling-left": "g" } as const;
export type AmountKind = keyof typeof AMOUNTS;

/** Where a lot, a rise or pieces may wait: cold, knocked back to rise once more, or hot until the rest is there. */
export const PLACES = ["fridge", "knocked-back", "warm"] as const;
export type Place = (typeof PLACES)[number];

/** What was seen at a gate. */
const SeenSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.enum(["yes", "no", "instead"]) }),
  z.object({ kind: z.literal("measured"), value: z.number({ error: "a number from -40 to 320" }).min(-40).max(320) }),
  z.object({ kind: z.literal("ticked"), count: z.int().min(0).max(1000), which: z.array(line).max(200).readonly().optional() }),
]);

/** Something that happened on the day. Never changed: what was wrong is undone by another event. */
export const EventSchema = z.discriminatedUnion("kind", [
  /** `taken`: what it takes, where the rest of the day has other hands or another oven for it than the plan had. */
  z.object({ ...common, kind: z.literal("started"), task, taken: z.array(name).max(60).optional() }),
  /** `reason`: why it is over although its core is below its figure. */
  z.object({ ...common, kind: z.literal("done"), task, reason: line.optional() }),
  z.object({ ...common, kind: z.literal("extended"), task, minutes: minutes(1, 600) }),
  /** `share`: how far along it looks, of 1; `reason` as for `done`. */
  z.object({
    ...common,
    kind: z.literal("checked"),
    task,
    seen: z.enum(SEEN),
    share: z.number({ error: "a share from 0.05 to 0.95" }).min(0.05).max(0.95).optional(),
    reason: line.optional(),
  }),
  z.object({
    ...common,
    kind: z.literal("measured"),
    task: task.optional(),
    what: z.enum(Object.keys(MEASURED) as [keyof typeof MEASURED, ...(keyof typeof MEASURED)[]]),
    value: z.number({ error: "°C from -40 to 320" }).min(-40).max(320),
  }),
  /** A cook leaves, or is there again. */
  z.object({ ...common, kind: z.literal("changed"), who: name, isThere: z.boolean() }),
  /** Somebody the plan does not know lends a hand, at the pace of its slowest cook. */
  z.object({ ...common, kind: z.literal("joined"), who: name, name }),
  /** Pieces burnt, dropped or eaten: those of the task. */
  z.object({ ...common, kind: z.literal("lost"), task, reason: line.optional() }),
  /** Pieces of the task go raw into the freezer instead: nothing more is done to them today. */
  z.object({ ...common, kind: z.literal("frozen"), task }),
  z.object({ ...common, kind: z.literal("skipped"), task, reason: line.optional() }),
  /** It will begin so much later than planned. */
  z.object({ ...common, kind: z.literal("late"), task, minutes: minutes(1, 600) }),
  /** The rest of the day as somebody chose it: where its tasks stood then, in the plan's minutes. What comes after changes as little of it as it can. */
  z.object({ ...common, kind: z.literal("arranged"), tasks: z.array(PlacedSchema).max(5000) }),
  /** A wave is served so much later, and that is all right. */
  z.object({ ...common, kind: z.literal("agreed"), target: name, minutes: minutes(1, 600) }),
  /** In practice: from here the clock of the plan goes so many times as fast; 0 is a pause. `wall`: UTC, on the wall. */
  z.object({
    ...common,
    kind: z.literal("paced"),
    rate: z
      .number({ error: `a rate from 0 to ${MOST_RATE}` })
      .min(0)
      .max(MOST_RATE),
    wall: z.iso.datetime({ error: "a moment in UTC, such as 2026-12-05T17:04:00Z" }),
  }),
  /** What was seen at a gate before a step; `note`: why work went on all the same. */
  z.object({ ...common, kind: z.literal("answered"), task, gate: z.enum(GATE_KINDS), seen: SeenSchema, note: line.optional() }),
  /** So much of the lot of a heat that is still to come goes back into the fridge, or comes out of it again. */
  z.object({
    ...common,
    kind: z.literal("cooled"),
    task,
    share: z.number({ error: "a share from 0.05 to 1" }).min(0.05).max(1),
    isOut: z.boolean().optional(),
  }),
  /** What is ready too early waits: a rise in the fridge or knocked back, or cooked pieces kept hot. */
  z.object({ ...common, kind: z.literal("held"), task, place: z.enum(PLACES) }),
  /** A lid that should stay shut was lifted, and why. */
  z.object({ ...common, kind: z.literal("opened"), task, reason: line }),
  /** One piece goes into the heat first, before the load that it is of. */
  z.object({ ...common, kind: z.literal("piloted"), task }),
  /** Loads of a step take so many minutes, as its first piece showed. */
  z.object({ ...common, kind: z.literal("retimed"), task, minutes: minutes(1, 600), note: line.optional() }),
  /** Pieces that came out heavy go into this load and stay in so many minutes longer than the others: g of dough each. */
  z.object({
    ...common,
    kind: z.literal("odd"),
    task,
    grams: z
      .array(z.number({ error: "g from 0 to 10,000" }).min(0).max(10_000))
      .min(1)
      .max(200)
      .readonly(),
    minutes: minutes(1, 600),
  }),
  /** An oven, a steamer or the oil is set: its heat is on. */
  z.object({ ...common, kind: z.literal("set"), what: name, value: z.number({ error: "°C from 0 to 320" }).min(0).max(320) }),
  /** From here two trays at once go into an oven that had one. */
  z.object({ ...common, kind: z.literal("doubled"), what: name }),
  /** Weighed or counted, of an item. */
  z.object({
    ...common,
    kind: z.literal("amount"),
    item: name,
    what: z.enum(Object.keys(AMOUNTS) as [AmountKind, ...AmountKind[]]),
    value: z.number({ error: "a number from 0 to 100,000" }).min(0).max(100_000),
  }),
  /** A fault that was seen: its id in the item. */
  z.object({ ...common, kind: z.literal("fault"), item: name, fault: name }),
  /** A figure of the day was taken over into an item or the kitchen: `what` is its key. */
  z.object({ ...common, kind: z.literal("took-over"), what: z.string().min(1).max(300), revision: z.int().min(1) }),
  z.object({ ...common, kind: z.literal("note"), task: task.optional(), text: z.string().trim().min(1).max(2000) }),
  z.object({ ...common, kind: z.literal("undone"), event: name }),
]);
export type RunEvent = z.output<typeof EventSchema>;

type Without<E, K extends string> = E extends RunEvent ? Omit<E, K> : never;
/** What is told, without when and on which device: those know where it is made. */
export type Telling = Without<RunEvent, "id" | "device" | "at" | "zone">;

export const EventsSchema = z.array(EventSchema).max(100_000);

const inOrder = (a: RunEvent, b: RunEvent): number =>
  a.at < b.at
    ? -1
    : a.at > b.at
      ? 1
      : a.device < b.device
        ? -1
        : a.device > b.device
          ? 1
          : a.id < b.id
            ? -1
            : a.id > b.id
              ? 1
              : 0;

/** Events as they count: each once, in one order whatever order they came in, without what was undone. */
export interface Counted {
  readonly events: readonly RunEvent[];
  readonly doubled: number;
  /** Ids of what was undone. */
  readonly undone: ReadonlySet<string>;
}

/**
 * The same for any order of arrival: by moment, device and id. An undoing counts for what came before it, and may itself be undone.
 */
export function countedEvents(all: readonly RunEvent[]): Counted {
  const byId = new Map<string, RunEvent>();
  // Of two that claim one id the first in the order counts, whichever came first.
  for (const event of [...all].map(normal).sort(inOrder)) if (!byId.has(event.id)) byId.set(event.id, event);
  const sorted = [...byId.values()];
  const place = new Map(sorted.map(({ id }, k) => [id, k]));
  const undone = new Set<string>();
  for (let k = sorted.length - 1; k >= 0; k--) {
    const event = sorted[k];
    if (event.kind !== "undone" || undone.has(event.id)) continue;
    const target = place.get(event.event);
    if (target !== undefined && target < k) undone.add(event.event);
  }
  return { events: sorted.filter(({ id }) => !undone.has(id)), doubled: all.length - sorted.length, undone };
}

/** Moments written alike, so that they can be compared as texts. */
const normal = (event: RunEvent): RunEvent =>
  event.at.length === 24 ? event : { ...event, at: new Date(event.at).toISOString() };
