import type { DocumentKind } from "../shared/documents";
import { z } from "zod";
import { ALLERGENS, allergensCalled } from "../ingredients/allergen";
import { DIETS } from "../ingredients/kinds";
import { id, clock, day, line } from "../shared/fields";
import { withInformative } from "../shared/known-keys";

const choices = z.record(id, id).default({});

/** Allergens in the words of the closed list; cooks' other words for them are read as well. */
const allergens = z.array(z.enum(ALLERGENS, { error: `one of ${ALLERGENS.join(", ")}` })).default([]);
// To whoever writes one in this program it is the list of allergens; from outside, other words for them come too.
const avoid = z.preprocess(
  (words) => (Array.isArray(words) ? words.flatMap((word: unknown) => allergensCalled(word)) : words),
  allergens,
) as unknown as typeof allergens;

const pieces = z.int().min(1).max(2000);
const split = z
  .array(z.object({ filling: id, pieces }))
  .max(20)
  .optional();

export const GatheringSchema = z.object({
  id,
  name: z.string().trim().min(1, { error: "a name" }).max(120),
  kitchen: id.optional(),
  line: line.default(""),
  date: z.union(
    [
      z.object({ relative: z.string().regex(/^next (Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day$/), until: day.optional() }),
      z.object({ on: z.iso.date(), until: day.optional() }),
    ],
    { error: '{ "relative": "next Saturday" } or { "on": "2026-11-28" }' },
  ),
  guests: z
    .array(
      withInformative(
        z.object({
          count: z
            .int({ error: "a whole number from 0 to 500" })
            .min(0, { error: "a whole number from 0 to 500" })
            .max(500, { error: "a whole number from 0 to 500" }),
          age: z.enum(["adult", "teen", "child"]),
          diet: z.array(z.enum(DIETS, { error: `one of ${DIETS.join(", ")}` })).default([]),
          avoid,
        }),
        ["note"],
      ),
    )
    .max(100)
    .default([]),
  waves: z
    .array(
      withInformative(
        z.object({
          id,
          name: z.string().trim().min(1, { error: "a name" }).max(80),
          time: clock,
          items: z.array(withInformative(z.object({ recipe: id, pieces: pieces.optional(), choices, split }), ["why"])).max(100),
        }),
        ["share", "note"],
      ),
    )
    .max(50)
    .default([]),
  freezer: z
    .array(
      withInformative(
        z.object({
          recipe: id,
          pieces,
          as: z.enum(["raw", "cooked"]).optional(),
          choices,
          split,
          by: z.object({ day, time: clock }),
        }),
        ["why"],
      ),
    )
    .max(100)
    .default([]),
  doneAhead: z
    .array(
      withInformative(
        z.object({
          recipe: id,
          pieces: pieces.optional(),
          through: id,
          when: z.object({ day, where: line.optional() }).optional(),
          held: z.enum(["room", "fridge", "freezer"]).optional(),
        }),
        ["why"],
      ),
    )
    .max(100)
    .default([]),
  /** Made beyond what the guests eat, % of the pieces that follow from them. */
  sparePct: z.number().min(0).max(25).optional(),
  /** Doughs and fillings that are the same in several items are made in one and divided by weight. */
  mixTogether: z.boolean().optional(),
  rules: z
    .array(z.object({ id, text: line, steps: z.array(id).max(200) }))
    .max(100)
    .default([]),
});

export type Gathering = z.output<typeof GatheringSchema>;

export type GatheringInput = z.input<typeof GatheringSchema>;

export type Guests = Gathering["guests"][number];

/** Gatherings as they are stored. */
export const GATHERING_DOCUMENT: DocumentKind<typeof GatheringSchema> = { schema: GatheringSchema, version: 1, upcasters: {} };
