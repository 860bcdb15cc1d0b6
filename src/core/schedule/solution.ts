import { z } from "zod";

export const SolutionSchema = z.object({
  format: z.literal("unisynth-solution/1"),
  status: z.enum(["optimal", "feasible", "infeasible"]),
  cost: z.number(),
  bound: z.number(),
  tasks: z.array(z.object({ id: z.string().min(1), start: z.int(), end: z.int(), taken: z.array(z.string()).default([]) })),
  why: z.array(z.string()).default([]),
});

/** Start and end of every task in minutes from the origin, and the resource each of its uses took. */
export type Solution = z.output<typeof SolutionSchema>;
export type Placed = Solution["tasks"][number];
