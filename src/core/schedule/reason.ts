import { z } from "zod";

const timed = z.object({ task: z.string(), minutes: z.number() });
const between = { earliest: z.number(), latest: z.number() };

/** Why a problem has no schedule, or none was found: task and resource ids, minutes from the origin. Worded in `reason-text.ts`. */
export const ScheduleReasonSchema = z.discriminatedUnion("code", [
  /** What comes before and after a task leaves it less time than it takes. */
  z.object({ code: z.literal("too-long"), task: z.string(), minutes: z.number(), ...between }),
  /** In the only time a task may have, what it needs is never there; `short` names what is missing by itself. */
  z.object({
    code: z.literal("no-room"),
    task: z.string(),
    ...between,
    short: z.array(z.object({ amount: z.number(), resources: z.array(z.string()), minutes: z.number() })),
  }),
  z.object({ code: z.literal("ruled-out") }),
  z.object({ code: z.literal("none-found") }),
  /** The fullest timetable that was come to. */
  z.object({ code: z.literal("nearest"), placed: z.number(), of: z.number(), leftOut: z.array(z.string()) }),
  z.object({ code: z.literal("no-place"), task: z.string(), ...between, taken: z.array(z.string()) }),
  /** An infeasible subset: tasks that cannot all be done in the time they have, what they share, and what asks for it. */
  z.object({
    code: z.literal("infeasible-subset"),
    tasks: z.array(timed),
    ...between,
    shares: z.object({ resource: z.string(), units: z.number() }).optional(),
    others: z.array(timed),
  }),
]);
export type ScheduleReason = z.output<typeof ScheduleReasonSchema>;
