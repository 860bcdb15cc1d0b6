import type { DocumentKind } from "../shared/documents";
import { z } from "zod";
import { ALLERGENS, allergensCalled } from "../ingredients/allergen";
import { DIETS } from "../ingredients/kinds";
import { BesideSchema } from "./beside";
import { EQUIPMENT_COUNTS } from "../kitchen/counts";
import { SKILLS } from "../process/hands";
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
/** Parts of one item that are filled or made otherwise; `choices` on top of the entry's own. */
const split = z
  .array(z.object({ filling: id, pieces, choices: z.record(id, id).optional() }))
  .max(20)
  .optional();

/** To what the pieces of an entry are rounded up: full trays or loads, nothing, half or whole batches of the recipe. */
export const ROUNDINGS = ["carriers", "exact", "half-batch", "whole-batch"] as const;
export type Rounding = (typeof ROUNDINGS)[number];

const hours = z.array(z.object({ day, from: clock, to: clock })).max(100);

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
          /** What one of them eats, an adult being 1; without it what the item says for the age. */
          appetite: z.number({ error: "a number from 0 to 5" }).min(0).max(5).optional(),
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
          /** Pieces of all kinds together that one adult eats; without it what the items say. */
          piecesAHead: z.number({ error: "a number from 0.1 to 60" }).min(0.1).max(60).optional(),
          items: z
            .array(
              withInformative(
                z.object({
                  recipe: id,
                  pieces: pieces.optional(),
                  choices,
                  split,
                  /** Of what is eaten in the wave, %; what no item claims is shared by those without. */
                  share: z.number({ error: "a number from 0 to 100" }).min(0).max(100).optional(),
                  rounding: z.enum(ROUNDINGS).optional(),
                  /** Where the pieces go that rounding adds. */
                  surplus: z.enum(["table", "freezer"]).optional(),
                  /** What is fried waits in the warm oven, see `item/keep-warm`. */
                  keepWarm: z.boolean().optional(),
                  /** One piece goes into the heat before the others: what it took tells of the rest. */
                  firstPiece: z.boolean().optional(),
                }),
                ["why"],
              ),
            )
            .max(100),
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
          /** To have in the freezer afterwards, what is there already included. */
          pieces: z.int().min(0).max(2000),
          onHand: z.int({ error: "a whole number from 0 to 2000" }).min(0).max(2000).optional(),
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
  /** Who is there when, where it is not as usual in the kitchen; somebody whom the kitchen does not know has a name. */
  attendance: z
    .array(
      z.object({
        cook: id,
        name: z.string().trim().min(1, { error: "a name" }).max(80).optional(),
        skill: z.enum(SKILLS).optional(),
        hours,
        notFor: z.array(z.string().max(80)).max(100).optional(),
      }),
    )
    .max(20)
    .optional(),
  /** Breaks of this gathering, in place of the kitchen's. */
  breaks: z
    .array(z.object({ day, from: clock, to: clock, why: line.optional() }))
    .max(100)
    .optional(),
  /** Dips, drinks and sides. */
  beside: z.array(BesideSchema).max(30).optional(),
  /** How many there are of a piece of equipment this time, where it is not as many as the kitchen has; see `EQUIPMENT_COUNTS`. */
  equipment: z.partialRecord(z.enum(EQUIPMENT_COUNTS), z.int().min(0).max(500)).optional(),
  /** Work that has a day of its own before the gathering: all steps of an item through this one. */
  ahead: z
    .array(z.object({ recipe: id, through: id, day }))
    .max(100)
    .optional(),
  /** Made beyond what the guests eat, % of the pieces that follow from them. */
  sparePct: z.number().min(0).max(25).optional(),
  /** Doughs and fillings that are the same in several items are made in one and divided by weight. */
  mixTogether: z.boolean().optional(),
  /** How long steps take this time, min, by the cook's word, and how long they were planned to: what they take is in that proportion. */
  lengths: z
    .array(z.object({ recipe: id, step: id, minutes: z.number().min(0.5).max(2880), instead: z.number().gt(0).max(20000) }))
    .max(200)
    .optional(),
  /** Bakes whose settings lie close are done at one that all of them bear, their minutes moved. */
  bakeTogether: z.boolean().optional(),
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
