import { z } from "zod";
import { passingOver } from "../shared/known-keys";

/** A minute of a solution; one beyond the horizon is a violation, not an error of the format. */
const minute = z.int();

/** Where a task lies, and the resource each of its uses took. */
export const PlacedSchema = passingOver(
  z.object({ id: z.string().min(1), start: minute, end: minute, taken: z.array(z.string()).default([]) }),
);

export const SolutionSchema = passingOver(
  z.object({
    format: z.literal("unisynth-solution/1"),
    status: z.enum(["optimal", "feasible", "infeasible"]),
    cost: z.number(),
    bound: z.number(),
    tasks: z.array(PlacedSchema),
    why: z.array(z.string()).default([]),
  }),
);

/** Start and end of every task in minutes from the origin, and the resource each of its uses took. */
export type Solution = z.output<typeof SolutionSchema>;
export type Placed = Solution["tasks"][number];
