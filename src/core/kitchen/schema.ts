import type { DocumentKind } from "../shared/documents";
import { z } from "zod";
import { SKILLS } from "../process/hands";
import { id, clock, day, mm, stock } from "../shared/fields";

const CookSchema = z.object({
  id,
  name: z.string().min(1).max(80),
  skill: z.enum(SKILLS),
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

export type Kitchen = z.output<typeof KitchenSchema>;

export type Cook = Kitchen["cooks"][number];

/** Kitchens as they are stored. */
export const KITCHEN_DOCUMENT: DocumentKind<typeof KitchenSchema> = { schema: KitchenSchema, version: 1, upcasters: {} };
