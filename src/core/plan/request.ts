import { z } from "zod";
import { minutesOfClock } from "../shared/clock";
import { ItemSchema } from "../item/schema";

const id = z.string().min(1).max(80);
const clock = z.string().refine((t) => minutesOfClock(t) !== undefined, { error: "a time of day, hh:mm" });
const day = z.int().min(-30).max(30);
const mm = z.tuple([z.number().gt(0), z.number().gt(0)]);
const stock = z.int().min(0).max(500);

const CookSchema = z.object({
  id,
  name: z.string().min(1).max(80),
  skill: z.enum(["beginner", "intermediate", "experienced"]),
  hours: z.array(z.object({ day, from: clock, to: clock })),
  notFor: z.array(z.string()).default([]),
});

const OvenSchema = z.object({
  count: stock,
  fan: z.boolean().default(true),
  shelfPositions: z.int().min(1).max(20),
  shelfMm: mm.optional(),
  startC: z.number().default(20),
  heatCPerMin: z.number().gt(0),
  coolCPerMin: z.number().gt(0),
  maxC: z.number().gt(0),
});

const EquipmentSchema = z
  .object({
    worktop: z.object({ places: stock }).optional(),
    tray: z.object({ count: stock, mm }).optional(),
    board: z.object({ count: stock, mm }).optional(),
    rack: z.object({ count: stock, mm: mm.optional() }).optional(),
    tins: z.object({ count: stock, mm: z.number().optional() }).optional(),
    mixer: z.object({ count: stock, maxDoughG: z.number().gt(0).optional(), minDoughG: z.number().min(0).optional() }).optional(),
    oven: OvenSchema.optional(),
    hob: z.object({ count: stock }).optional(),
    pot: z.object({ litres: z.array(z.number().gt(0)) }).optional(),
    "lidded-pan": z.object({ count: stock, mm: z.number().gt(0).default(300) }).optional(),
    steamer: z
      .object({
        count: stock,
        tiers: z.int().min(1).max(10).default(1),
        mm: z.number().gt(0).default(280),
        hobs: stock.default(1),
        heatUpMin: z.number().min(0).default(12),
      })
      .optional(),
    fryer: z
      .object({
        count: stock,
        oilMl: z.number().gt(0).default(4000),
        startC: z.number().default(20),
        heatCPerMin: z.number().gt(0).default(10),
        coolCPerMin: z.number().gt(0).default(1),
        maxC: z.number().gt(0).default(190),
        filterMin: z.number().min(0).default(12),
        refillMin: z.number().min(0).default(25),
      })
      .optional(),
    "fridge-shelf": z.object({ count: stock, fitsTraysEach: z.number().gt(0).default(1), c: z.number().default(4) }).optional(),
    "freezer-tray": z.object({ count: stock, c: z.number().default(-18) }).optional(),
  })
  .catchall(z.object({ count: stock }).loose());

/** Cooks and their hours, equipment and its sizes, the room through the day. */
export const KitchenSchema = z.object({
  id,
  name: z.string().min(1).max(120),
  line: z.string().default(""),
  roomC: z.array(z.object({ from: clock, to: clock, c: z.number().min(0).max(45) })).min(1),
  cooks: z.array(CookSchema).min(1, { error: "at least one cook" }),
  breaks: z.array(z.object({ day, from: clock, to: clock, why: z.string().optional() })).default([]),
  equipment: EquipmentSchema,
});

const choices = z.record(z.string(), z.string()).default({});
const split = z.array(z.object({ filling: id, pieces: z.int().min(1).max(2000) })).optional();

export const GatheringSchema = z.object({
  id,
  name: z.string().min(1, { error: "a name" }).max(120),
  kitchen: id.optional(),
  line: z.string().default(""),
  date: z.union(
    [
      z.object({ relative: z.string().regex(/^next (Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day$/), until: z.int().optional() }),
      z.object({ on: z.iso.date(), until: z.int().optional() }),
    ],
    { error: '{ "relative": "next Saturday" } or { "on": "2026-11-28" }' },
  ),
  guests: z
    .array(
      z.object({
        count: z
          .int({ error: "a whole number from 0 to 500" })
          .min(0, { error: "a whole number from 0 to 500" })
          .max(500, { error: "a whole number from 0 to 500" }),
        age: z.enum(["adult", "teen", "child"]),
        diet: z.array(z.string()).default([]),
        avoid: z.array(z.string()).default([]),
      }),
    )
    .default([]),
  waves: z
    .array(
      z.object({
        id,
        name: z.string().min(1).max(80),
        time: clock,
        items: z.array(z.object({ recipe: id, pieces: z.int().min(1).max(2000).optional(), choices, split })),
      }),
    )
    .default([]),
  freezer: z
    .array(
      z.object({
        recipe: id,
        pieces: z.int().min(1).max(2000),
        as: z.enum(["raw", "cooked"]).optional(),
        choices,
        split,
        by: z.object({ day, time: clock }),
      }),
    )
    .default([]),
  doneAhead: z
    .array(
      z.object({
        recipe: id,
        pieces: z.int().min(1).max(2000).optional(),
        through: id,
        when: z.object({ day, where: z.string().optional() }).optional(),
        held: z.string().optional(),
      }),
    )
    .default([]),
  /** Made beyond what the guests eat, % of the pieces that follow from them. */
  sparePct: z.number().min(0).max(25).optional(),
  /** Doughs and fillings that are the same in several items are made in one and divided by weight. */
  mixTogether: z.boolean().optional(),
  rules: z.array(z.object({ id, text: z.string(), steps: z.array(z.string()) })).default([]),
});

export const RequestSchema = z.object({
  format: z.literal("unisynth-request/1"),
  today: z.iso.date({ error: "a date, yyyy-mm-dd" }),
  items: z.array(ItemSchema).min(1),
  kitchen: KitchenSchema,
  gathering: GatheringSchema,
  calibration: z.record(z.string(), z.unknown()).optional(),
  solve: z
    .object({ seconds: z.number().gt(0).max(3600).optional(), seed: z.int().optional(), iterations: z.int().min(0).optional() })
    .default({}),
});

export type PlanRequest = z.output<typeof RequestSchema>;
export type PlanRequestInput = z.input<typeof RequestSchema>;
export type Kitchen = z.output<typeof KitchenSchema>;
export type Gathering = z.output<typeof GatheringSchema>;
export type GatheringInput = z.input<typeof GatheringSchema>;
export type Guests = Gathering["guests"][number];
export type Cook = Kitchen["cooks"][number];

/** Factor on hands-on minutes by skill. Our own kitchen figures. */
export const SKILL_FACTOR: Readonly<Record<Cook["skill"], number>> = { beginner: 1.5, intermediate: 1, experienced: 0.8 };
