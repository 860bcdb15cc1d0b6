import { GatheringSchema } from "../gathering/schema";
import { KitchenSchema } from "../kitchen/schema";
import { z } from "zod";
import { clock } from "../shared/fields";
import { OwnIngredientSchema } from "../ingredients/own";
import { ItemSchema } from "../item/schema";
import { asToday } from "../item/versions";

/** Whether a name is one that the platform has a clock for. */
function isZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: name }) !== undefined;
  } catch {
    return false;
  }
}

export const RequestSchema = z.object({
  format: z.literal("unisynth-request/1"),
  today: z.iso.date({ error: "a date, yyyy-mm-dd" }),
  /** Time of day, where it matters: nothing begins before it. */
  now: clock.optional(),
  /** IANA name of the zone that dates and times are in. */
  zone: z.string().max(60).refine(isZone, { error: 'the name of a time zone, such as "Europe/Berlin"' }).optional(),
  items: z.array(z.preprocess(asToday, ItemSchema)).min(1),
  /** As it is on that day. */
  kitchen: KitchenSchema,
  /** The kitchen itself, before who is there and what is borrowed on that day changed it. */
  usual: KitchenSchema.optional(),
  gathering: GatheringSchema,
  /** What the cook knows better about ingredients than the catalogue. */
  own: z.array(OwnIngredientSchema).max(2000).optional(),
  calibration: z.record(z.string(), z.unknown()).optional(),
  solve: z
    .object({ seconds: z.number().gt(0).max(3600).optional(), seed: z.int().optional(), iterations: z.int().min(0).optional() })
    .default({}),
});

export type PlanRequest = z.output<typeof RequestSchema>;
