import { z } from "zod";
import { ProblemSchema } from "../schedule/problem";
import { SolutionSchema } from "../schedule/solution";
import { RequestSchema } from "./request";

const range = z.tuple([z.int(), z.int()]);
const pieces = { item: z.string(), pieces: z.int(), range };

/** A plan that is kept with the request it was made from, as far as it is read again: by the action that keeps it and by the database. */
export const KeptPlanSchema = z.object({
  request: RequestSchema,
  plan: z.object({
    format: z.literal("unisynth-plan/1"),
    origin: z.string(),
    pieces: z.array(z.object({ for: z.string(), variant: z.string(), needed: z.number().nullable(), ...pieces })),
    batches: z.array(
      z.object({
        id: z.string(),
        part: z.enum(["dough", "filling", "finish"]),
        ingredients: z.array(
          z.object({ id: z.string(), in: z.string(), name: z.string(), grams: z.number(), holdBackPct: z.number().optional() }),
        ),
        totalG: z.number(),
        ahead: z.literal(true).optional(),
        together: z.string().optional(),
        ...pieces,
      }),
    ),
    lots: z.array(z.object({ id: z.string(), carrier: z.string(), ...pieces })),
    loads: z.array(z.object({ id: z.string(), step: z.string(), chamber: z.string(), carriers: z.int(), ...pieces })),
    problem: ProblemSchema,
    solution: SolutionSchema,
    tasks: z.record(
      z.string(),
      z.object({
        step: z.string().nullable(),
        for: z.array(z.string()),
        text: z.string(),
        also: z.array(z.object({ step: z.string(), ...pieces })).optional(),
        ...pieces,
      }),
    ),
    serves: z.array(z.object({ for: z.string(), item: z.string(), pieces: z.int(), ready: z.number(), at: z.number() })),
    notes: z.array(
      z.object({ level: z.enum(["caution", "note"]), code: z.string(), about: z.array(z.string()), text: z.string() }),
    ),
  }),
});
