import { id, text, minutes, celsius, StepSchema } from "./step";
import { z } from "zod";
import { StepPatchesSchema } from "./step-patch";
import { ALLERGENS } from "../ingredients/allergen";
import { SYSTEM_IDS } from "../quantities/unit-table";
const grams = z.number().gt(0).max(100000);
const gramsOrNone = z.number().min(0).max(100000);
const pct = z.number().min(0).max(100);

export const ComponentSchema = z.object({
  id,
  name: z.string().min(1).max(120),
  grams,
  flour: z.boolean().optional(),
  cook: z.boolean().optional(),
  /** The cook's own words for the amount, kept beside the grams: "2½ cups". */
  measure: z.string().max(60).optional(),
  /** The whole line as it was written. */
  text: z.string().max(300).optional(),
  /** Which of the catalogue's it is, where the cook said so; else its name tells. */
  ingredient: z.string().min(1).max(80).optional(),
  /** In it by the cook's word, beyond what its name tells. */
  contains: z.array(z.enum(ALLERGENS)).optional(),
  /** Lost over heat, %, where the cook knows better than the filling's own figure. */
  lossPct: z.number().min(-900).max(95).optional(),
  note: text.optional(),
  /** What went in by feel the last time, g for a base batch, and the flour that it was for. */
  lastUsed: z.object({ grams, flour: z.string().max(120) }).optional(),
});

const HoldBackSchema = z.object({ component: id, pct });
const HeadSchema = z.object({
  adult: z.number().min(0).max(50),
  teen: z.number().min(0).max(50),
  child: z.number().min(0).max(50),
});

const FinishSchema = z.object({
  step: id,
  what: z.string().min(1).max(120),
  /** Its weights are for the base batch, or for each load of the step: the oil of a pan. */
  per: z.enum(["base", "load"]).optional(),
  components: z.array(ComponentSchema),
});

const OptionSchema = z.object({
  id,
  name: z.string().min(1),
  default: z.boolean().optional(),
  effect: text.default(""),
  changes: StepPatchesSchema.default([]),
  finish: z.array(FinishSchema).optional(),
  omit: z.array(id).optional(),
  doughVariant: id.optional(),
  fillingSwap: z.array(z.object({ from: id, to: ComponentSchema })).optional(),
  fryerRefill: z.object({ coolDrainFillMin: minutes, handsMin: minutes }).optional(),
});

const FillingNumbers = {
  state: z.string().optional(),
  components: z.array(ComponentSchema),
  cookingLossPct: pct,
  handlingLossPct: z.number().min(0).max(99),
  /** g in 1 ml of it, as the cook found it. */
  gPerMl: z.number().min(0.2).max(2).optional(),
  mustBeCold: z.boolean().optional(),
  useAtMaxC: celsius.optional(),
  note: text.optional(),
};

/** One kind of piece: formula, filling, finish, piece, steps, schools, storage. Weights are for `base.pieces`. */
export const ItemSchema = z.object({
  id,
  name: z.string().min(1).max(120),
  line: text.default(""),
  family: z.string().max(4).default(""),
  course: z.string().optional(),
  /** In it by the cook's word, wherever it comes from. */
  alsoContains: z.array(z.object({ allergen: z.enum(ALLERGENS), note: text.optional() })).optional(),
  /** Not in it although these lines tell so: the cook's word, with the reason. A line that comes later is not excused. */
  without: z
    .array(
      z.object({
        allergen: z.enum(ALLERGENS),
        why: z.string().trim().min(3).max(300),
        of: z.array(z.string().min(1).max(300)).min(1),
      }),
    )
    .optional(),
  /** Lines that are not understood yet, as they were written. With any the item is provisional. */
  gaps: z.array(z.object({ id, in: z.enum(["dough", "filling", "finish"]), text: z.string().min(1).max(300) })).optional(),
  /** Figures that were taken from what is usual, since the recipe does not say them. With any the item is provisional. */
  guessed: z.array(z.enum(["oven", "minutes", "fillingG", "family"])).optional(),
  /** The recipe as it was written. */
  written: z.object({ dough: z.string().max(20000), filling: z.string().max(20000), oven: z.string().max(200) }).optional(),
  piecesPerGuest: HeadSchema,
  piecesPerGuestAlone: HeadSchema,
  /** Whose cups and spoons its measures are in: a tablespoon of 15 or of 20 ml; unsaid, the cook's own. */
  measures: z.enum(SYSTEM_IDS).optional(),
  base: z.object({ pieces: z.int().min(1).max(10000), batch: text.optional() }),
  dough: z.object({
    parts: z.array(z.object({ id, name: z.string(), components: z.array(ComponentSchema).min(1) })).min(1),
    holdBack: HoldBackSchema.optional(),
    netLossPct: z.number().min(0).max(95),
    targetC: celsius.optional(),
    variants: z
      .array(
        z.object({
          id,
          name: z.string(),
          holdBack: HoldBackSchema.optional(),
          components: z.array(ComponentSchema).min(1),
        }),
      )
      .optional(),
  }),
  filling: z.object({
    ...FillingNumbers,
    variants: z
      .array(
        z.object({
          ...FillingNumbers,
          // A variant that says nothing of a loss has the filling's own.
          cookingLossPct: pct.optional(),
          handlingLossPct: pct.optional(),
          id,
          name: z.string(),
          coreC: celsius.optional(),
          stepChanges: StepPatchesSchema.default([]),
        }),
      )
      .optional(),
  }),
  finish: z.array(FinishSchema).default([]),
  piece: z.object({
    doughG: gramsOrNone,
    fillingG: gramsOrNone,
    shape: z.string().default(""),
    thicknessMm: z.number().min(0).optional(),
    /** Rounds are cut from a sheet with this diameter. */
    cutDiameterMm: z.number().gt(0).max(600).optional(),
    /** Divided on the scale, or by eye. */
    portionBy: z.enum(["scale", "eye"]).optional(),
    /** Offcuts are chilled and rolled again, or pressed into one last piece. */
    scraps: z.enum(["chill", "merge"]).optional(),
    footprintMm: z.tuple([z.number().gt(0), z.number().gt(0)]).optional(),
  }),
  capacity: z.object({
    perTray: z.int().min(1),
    perBoard: z.int().min(1).optional(),
    perSteamerTier: z.int().min(1).optional(),
    perSteamerLoad: z.int().min(1).optional(),
    perFryerLoad: z.int().min(1).optional(),
    perPanLoad: z.int().min(1).optional(),
    perFreezerTray: z.int().min(1).optional(),
    panDiameterMm: z.number().gt(0).optional(),
  }),
  fryOil: z
    .object({
      order: z.number(),
      leavesTaste: z.string().optional(),
      /** What it is fried in; unsaid, a plant oil. */
      oil: z.string().min(1).max(120).optional(),
    })
    .optional(),
  /** What children's pieces have otherwise: a part of the heat, and their own weight of filling. */
  child: z
    .object({ heat: z.number().min(0).max(1), fillingG: gramsOrNone.optional(), mark: z.string().max(120).optional() })
    .optional(),
  /** What becomes of the dough or filling that is over. */
  rest: z.enum(["freeze", "topping", "another-time"]).optional(),
  storage: z
    .object({
      fridge: z.object({ rawHours: z.number(), cookedHours: z.number() }).optional(),
      freezer: z.object({ as: z.enum(["raw", "cooked"]), rawMonths: z.number(), cookedMonths: z.number() }).optional(),
    })
    .loose()
    .optional(),
  faults: z.array(z.object({ id, sign: text, cause: text, remedy: text, steps: z.array(id) })).default([]),
  schools: z.array(z.object({ id, question: text.default(""), options: z.array(OptionSchema).min(1) })).default([]),
  steps: z.array(StepSchema).min(1, { error: "at least one step" }),
});

export type Item = z.output<typeof ItemSchema>;
export type Component = z.output<typeof ComponentSchema>;
export type Choices = Readonly<Record<string, string>>;
