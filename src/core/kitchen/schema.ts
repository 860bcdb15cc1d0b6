import type { DocumentKind } from "../shared/documents";
import { z } from "zod";
import { withInformative } from "../shared/known-keys";
import { SKILLS } from "../process/hands";
import { GUIDES } from "../process/safety";
import { id, clock, day, length, line, mm, rate, stock } from "../shared/fields";

const CookSchema = withInformative(
  z.object({
    id,
    name: z.string().trim().min(1, { error: "a name" }).max(80),
    skill: z.enum(SKILLS),
    /** Own pace where it is known: times the minutes that a recipe says; else the skill's. */
    pace: z.number({ error: "a number from 0.3 to 5" }).min(0.3).max(5).optional(),
    hours: z.array(z.object({ day, from: clock, to: clock })).max(100),
    notFor: z.array(z.string().max(80)).max(100).default([]),
  }),
  ["note"],
);

/** Temperatures that an oven or a fryer may stand at, °C. */
const chamberC = z.number().min(-20).max(500);
/** Minutes by which a piece of equipment keeps the cook waiting. */
const wait = z.number().min(0).max(600);

/** Ovens, steamers, fryers: each is a chamber of its own. */
const chambers = z.int().min(0).max(12);

const OVEN = {
  fan: z.boolean().default(true),
  shelfPositions: z.int().min(1).max(20),
  shelfMm: mm.optional(),
  startC: chamberC.default(20),
  heatCPerMin: rate,
  coolCPerMin: rate,
  maxC: z.number().min(50).max(500),
};
const STEAMER = {
  tiers: z.int().min(1).max(10).default(1),
  mm: length.default(280),
  heatUpMin: wait.default(12),
};
const FRYER = {
  oilMl: z.number().min(100).max(100000).default(4000),
  startC: chamberC.default(20),
  heatCPerMin: rate.default(10),
  coolCPerMin: rate.default(1),
  maxC: z.number().min(50).max(300).default(190),
  /** What its plate says. */
  kW: z.number().min(0.2).max(10).optional(),
};

/** The same kind in other sizes: so many of each beside the first. */
const others = <T extends z.ZodRawShape>(size: T) =>
  z
    .array(z.object({ count: stock, ...size }))
    .max(6)
    .optional();
/** Flat things by length and width, in several sizes. */
const flat = z.object({ count: stock, mm, others: others({ mm }) });

const EquipmentSchema = z
  .object({
    worktop: z.object({ places: stock, washMin: wait.optional() }).optional(),
    tray: flat.optional(),
    board: flat.extend({ washMin: wait.optional() }).optional(),
    rack: z.object({ count: stock, mm: mm.optional() }).optional(),
    tins: z.object({ count: stock, mm: length.optional() }).optional(),
    mixer: z
      .object({
        count: stock,
        maxDoughG: z.number().min(50).max(100000).optional(),
        minDoughG: z.number().min(0).max(100000).optional(),
        /** Between uses, min. */
        washMin: wait.optional(),
      })
      .optional(),
    oven: z.object({ count: chambers, ...OVEN, others: others(OVEN) }).optional(),
    hob: z.object({ count: stock }).optional(),
    pot: z.object({ litres: z.array(z.number().min(0.1).max(200)).max(50), washMin: wait.optional() }).optional(),
    "lidded-pan": z
      .object({ count: stock, mm: length.default(300), washMin: wait.optional(), others: others({ mm: length }) })
      .optional(),
    steamer: z
      .object({
        count: chambers,
        ...STEAMER,
        hobs: stock.default(1),
        others: others(STEAMER),
      })
      .optional(),
    fryer: withInformative(
      z.object({
        count: chambers,
        ...FRYER,
        others: others(FRYER),
        filterMin: wait.default(12),
        refillMin: wait.default(25),
      }),
      ["basketMm", "note"],
    ).optional(),
    "fridge-shelf": withInformative(
      z.object({ count: stock, fitsTraysEach: z.number().min(0.1).max(20).default(1), c: z.number().min(-5).max(20).default(4) }),
      ["note"],
    ).optional(),
    "freezer-tray": withInformative(
      z.object({
        count: stock,
        c: z.number().min(-90).max(0).default(-18),
        /** What the freezer holds in all, where it is known: so much it freezes in a day. */
        litres: z.number({ error: "litres from 5 to 2000" }).min(5).max(2000).optional(),
      }),
      ["note"],
    ).optional(),
  })
  // Whatever else a step names: the kitchen's check tells what no step does.
  .catchall(z.object({ count: stock, mm: z.union([mm, length]).optional(), note: line.optional() }));

/** Equipment that is known by its name; a step may name any other besides. */
export const KNOWN_EQUIPMENT: ReadonlySet<string> = new Set([
  ...Object.keys(EquipmentSchema.shape),
  ...["scale", "probe", "bowl", "dish", "rolling-pin", "piping-bag", "steamer-tier", "dry-pan"],
]);

/** Cooks and their hours, equipment and its sizes, the room through the day. */
export const KitchenSchema = z.object({
  id,
  name: z.string().trim().min(1, { error: "a name" }).max(120),
  line: line.default(""),
  /** Whose usual figures a core is measured against; unsaid, the first. Local rules come first. */
  guide: z.enum(GUIDES).optional(),
  roomC: z
    .array(z.object({ from: clock, to: clock, c: z.number().min(0).max(45) }))
    .min(1)
    .max(48),
  cooks: z.array(CookSchema).min(1, { error: "at least one cook" }).max(20),
  breaks: z
    .array(z.object({ day, from: clock, to: clock, why: line.optional() }))
    .max(100)
    .default([]),
  equipment: EquipmentSchema,
});

export type Kitchen = z.output<typeof KitchenSchema>;

export type Cook = Kitchen["cooks"][number];

/** Kitchens as they are stored. */
export const KITCHEN_DOCUMENT: DocumentKind<typeof KitchenSchema> = { schema: KitchenSchema, version: 1, upcasters: {} };
