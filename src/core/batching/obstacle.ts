import { z } from "zod";
import { STEP_KINDS } from "../item/step";

const at = { item: z.string(), kind: z.enum(STEP_KINDS) };

/** What makes a day impossible whatever its timetable, proven from items and kitchen alone. Worded in `plan/reason-text.ts`. */
export const ObstacleSchema = z.discriminatedUnion("code", [
  z.object({ code: z.literal("no-cook"), ...at, step: z.string() }),
  z.object({ code: z.literal("not-there"), ...at, equipment: z.string() }),
  z.object({ code: z.literal("too-few"), ...at, equipment: z.string(), needed: z.number(), there: z.number() }),
  z.object({ code: z.literal("too-hot"), ...at, equipment: z.string(), settingC: z.number(), mostC: z.number() }),
  z.object({ code: z.literal("no-load"), ...at }),
  z.object({ code: z.literal("mixer-too-small"), item: z.string(), pieceG: z.number(), mixerG: z.number() }),
  /** From now on the steps one after another take longer than there is until the table: the longest of them, min. */
  z.object({
    code: z.literal("too-late"),
    item: z.string(),
    /** Minute of the plan that is now, when it would have to be ready, and when it could be at the earliest. */
    now: z.number(),
    by: z.number(),
    earliest: z.number(),
    longest: z.array(z.object({ kind: z.enum(STEP_KINDS), minutes: z.number() })),
  }),
  /** What follows a step begins later than the piece may wait. */
  z.object({ code: z.literal("cannot-wait"), ...at, mayWaitMin: z.number(), mustWaitMin: z.number() }),
  /** Loads one after another: the first would be older at the table than it may be. Minutes and pieces. */
  z.object({
    code: z.literal("too-many-loads"),
    item: z.string(),
    chamber: z.string(),
    pieces: z.number(),
    loads: z.number(),
    perLoad: z.number(),
    apartMin: z.number(),
    oldestMin: z.number(),
    holdMin: z.number(),
    most: z.number(),
  }),
]);
export type Obstacle = z.output<typeof ObstacleSchema>;

/** A set of obstacles, each once. */
export class Obstacles {
  private readonly known = new Map<string, Obstacle>();

  add(obstacle: Obstacle): void {
    this.known.set(JSON.stringify(obstacle), obstacle);
  }

  get all(): readonly Obstacle[] {
    return [...this.known.values()];
  }
}
