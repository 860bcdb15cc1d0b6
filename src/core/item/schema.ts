import { id, text, minutes, celsius, StepSchema } from "./step";
import { z } from "zod";
import { line, length, mm } from "../shared/fields";
import { withInformative } from "../shared/known-keys";
import { StepPatchesSchema } from "./step-patch";
import { ALLERGENS } from "../ingredients/allergen";
import { SYSTEM_IDS } from "../quantities/unit-table";
const grams = z.number().gt(0).max(100000);
const gramsOrNone = z.number().min(0).max(100000);
const pct = z.number().min(0).max(100);
const name = z.string().trim().min(1, { error: "a name" }).max(120);
const few = z.int().min(1).max(2000);
/** Pieces on whatever is no tray, where it is known. */
const OTHER_CARRIERS = {
  perBoard: few.optional(),
  perSteamerTier: few.optional(),
  perSteamerLoad: few.optional(),
  perFryerLoad: few.optional(),
  perPanLoad: few.optional(),
  perFreezerTray: few.optional(),
};
/** Hours and months that something keeps. */
const hours = z.number().min(0).max(2000);
const months = z.number().min(0).max(36);

export const ComponentSchema = withInformative(
  z.object({
    id,
    name,
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
    /** Of the base that all fillings share. */
    base: z.literal(true).optional(),
    note: text.optional(),
    /** What went in by feel the last time, g for a base batch, and the flour that it was for. */
    lastUsed: z.object({ grams, flour: z.string().max(120) }).optional(),
  }),
  ["bakersPct"],
);
const components = z.array(ComponentSchema).max(200);

/** Sums that recipes state beside the weights they follow from. */
const DOUGH_SUMS = ["bakersPctTotal", "flourG", "flourNote", "lossPct", "offcut", "totalG", "usableG", "note"];
const FILLING_SUMS = ["addedAfterG", "cookedInG", "usableG"];

const HoldBackSchema = z.object({ component: id, pct });
const HeadSchema = z.object({
  adult: z.number().min(0).max(50),
  teen: z.number().min(0).max(50),
  child: z.number().min(0).max(50),
});

const FinishSchema = z.object({
  step: id,
  what: name,
  /** Its weights are for the base batch, or for each load of the step: the oil of a pan. */
  per: z.enum(["base", "load"]).optional(),
  components,
});

const OptionSchema = z.object({
  id,
  name,
  default: z.boolean().optional(),
  effect: text.default(""),
  changes: StepPatchesSchema.default([]),
  finish: z.array(FinishSchema).max(50).optional(),
  omit: z.array(id).max(50).optional(),
  doughVariant: id.optional(),
  fillingSwap: z
    .array(z.object({ from: id, to: ComponentSchema }))
    .max(50)
    .optional(),
  fryerRefill: z.object({ coolDrainFillMin: minutes, handsMin: minutes }).optional(),
});

const FillingNumbers = {
  state: z.string().max(120).optional(),
  components,
  cookingLossPct: pct,
  handlingLossPct: z.number().min(0).max(99),
  /** g in 1 ml of it, as the cook found it. */
  gPerMl: z.number().min(0.2).max(2).optional(),
  mustBeCold: z.boolean().optional(),
  useAtMaxC: celsius.optional(),
  note: text.optional(),
};

const DoughSchema = withInformative(
  z.object({
    parts: z
      .array(z.object({ id, name: z.string().max(120), components: components.min(1) }))
      .min(1)
      .max(20),
    holdBack: HoldBackSchema.optional(),
    netLossPct: z.number().min(0).max(95),
    targetC: celsius.optional(),
    variants: z
      .array(
        withInformative(
          z.object({
            id,
            name: z.string().max(120),
            holdBack: HoldBackSchema.optional(),
            components: components.min(1),
          }),
          DOUGH_SUMS,
        ),
      )
      .max(20)
      .optional(),
  }),
  DOUGH_SUMS,
);

/** One kind of piece: formula, filling, finish, piece, steps, schools, storage. Weights are for `base.pieces`. */
export const ItemSchema = withInformative(
  z.object({
    id,
    name,
    line: text.default(""),
    family: z.string().max(4).default(""),
    course: z.string().max(80).optional(),
    /** In it by the cook's word, wherever it comes from. */
    alsoContains: z
      .array(z.object({ allergen: z.enum(ALLERGENS), note: text.optional() }))
      .max(50)
      .optional(),
    /** Not in it although these lines tell so: the cook's word, with the reason. A line that comes later is not excused. */
    without: z
      .array(
        z.object({
          allergen: z.enum(ALLERGENS),
          why: z.string().trim().min(3).max(300),
          of: z.array(z.string().min(1).max(300)).min(1).max(200),
        }),
      )
      .max(50)
      .optional(),
    /** Lines that are not understood yet, as they were written. With any the item is provisional. */
    gaps: z
      .array(z.object({ id, in: z.enum(["dough", "filling", "finish"]), text: z.string().min(1).max(300) }))
      .max(200)
      .optional(),
    /** Figures that were taken from what is usual, since the recipe does not say them. With any the item is provisional. */
    guessed: z
      .array(z.enum(["oven", "minutes", "fillingG", "family"]))
      .max(4)
      .optional(),
    /** From what its steps were made: kind of dough, way of finishing, shape and kind of filling by their ids. */
    making: z
      .object({
        family: z.string().max(4),
        method: z.string().max(20),
        shape: z.string().max(40),
        filling: z.string().max(40),
        /** Where cooks differ: the option of each school that this cook follows, by their ids. */
        choices: z.record(id, id).optional(),
        /** What its own steps said before they were made by rule: their times and heat stand for a recipe's. */
        says: z.string().max(20000).optional(),
        /** Steps that were there before they were known by rule: what each is called here, by what it is called by rule. */
        called: z.record(id, id).optional(),
        /** What the recipe has where a choice puts something else in its place: it comes back with the choice taken back. */
        instead: z.object({ dough: DoughSchema.optional(), wash: components.optional() }).optional(),
        /** How many carriers and chambers take by the cook's word, where it is not as the piece's measures have it. */
        ownCapacity: z.object({ perTray: few.optional(), ...OTHER_CARRIERS }).optional(),
        /** What has no step as it is made now: the wash of what is fried. It is not in it, and comes back with its step. */
        finish: z.array(FinishSchema).max(50).optional(),
      })
      .optional(),
    /** What is served beside its base batch: a dip, a drink, a side, with its own lines and times. */
    beside: z
      .array(
        z.object({
          id,
          name: z.string().trim().min(1).max(80),
          kind: z.enum(["dip", "drink", "side"]),
          components: components.min(1),
          /** min on the hob, and until it has cooled. */
          hobMin: minutes.default(0),
          coolMin: minutes.default(0),
        }),
      )
      .max(10)
      .optional(),
    /** Times that its base batch was made, the newest last: how many came out, and what to remember. */
    runs: z
      .array(z.object({ on: z.iso.date(), pieces: z.int().min(1).max(10000), note: z.string().max(300).optional() }))
      .max(100)
      .optional(),
    /** The recipe as it was written. */
    written: z
      .object({
        dough: z.string().max(20000),
        filling: z.string().max(20000),
        oven: z.string().max(200),
        method: z.string().max(20000).optional(),
      })
      .optional(),
    piecesPerGuest: HeadSchema,
    piecesPerGuestAlone: HeadSchema,
    /** Whose cups and spoons its measures are in: a tablespoon of 15 or of 20 ml; unsaid, the cook's own. */
    measures: z.enum(SYSTEM_IDS).optional(),
    base: z.object({ pieces: z.int().min(1).max(10000), batch: text.optional() }),
    dough: DoughSchema,
    filling: withInformative(
      z.object({
        ...FillingNumbers,
        /** What it is called, where there are others beside it. */
        name: name.optional(),
        /** What of the steps is not this filling's own, where there are several. */
        stepChanges: StepPatchesSchema.optional(),
        variants: z
          .array(
            withInformative(
              z.object({
                ...FillingNumbers,
                // A variant that says nothing of a loss has the filling's own.
                cookingLossPct: pct.optional(),
                handlingLossPct: pct.optional(),
                id,
                name: z.string().max(120),
                coreC: celsius.optional(),
                stepChanges: StepPatchesSchema.default([]),
              }),
              FILLING_SUMS,
            ),
          )
          .max(20)
          .optional(),
      }),
      FILLING_SUMS,
    ),
    finish: z.array(FinishSchema).max(50).default([]),
    piece: withInformative(
      z.object({
        doughG: gramsOrNone,
        fillingG: gramsOrNone,
        shape: z.string().max(300).default(""),
        thicknessMm: z.number().min(0).max(300).optional(),
        /** Rounds are cut from a sheet with this diameter. */
        cutDiameterMm: z.number().min(5).max(600).optional(),
        /** Divided on the scale, or by eye. */
        portionBy: z.enum(["scale", "eye"]).optional(),
        /** Offcuts are chilled and rolled again, or pressed into one last piece. */
        scraps: z.enum(["chill", "merge"]).optional(),
        footprintMm: mm.optional(),
      }),
      ["bakeLossPct", "formedMm", "growthPct", "rolledDiameterMm", "stretchedMm", "note"],
    ),
    capacity: withInformative(
      z.object({
        perTray: few,
        ...OTHER_CARRIERS,
        panDiameterMm: length.optional(),
      }),
      ["edgeMm", "gapMm", "freezerLayers", "note"],
    ),
    fryOil: withInformative(
      z.object({
        order: z.number().min(-100).max(100),
        leavesTaste: z.string().max(120).optional(),
        /** What it is fried in; unsaid, a plant oil. */
        oil: z.string().min(1).max(120).optional(),
      }),
      ["absorbsGPerPiece", "fillMl", "keepVegan", "keepVeganOption", "note"],
    ).optional(),
    /** What children's pieces have otherwise: a part of the heat, and their own weight of filling. */
    child: z
      .object({ heat: z.number().min(0).max(1), fillingG: gramsOrNone.optional(), mark: z.string().max(120).optional() })
      .optional(),
    /** What becomes of the dough or filling that is over. */
    rest: z.enum(["freeze", "topping", "another-time"]).optional(),
    storage: withInformative(
      z.object({
        fridge: z.object({ rawHours: hours, cookedHours: hours, note: text.optional() }).optional(),
        freezer: z
          .object({ as: z.enum(["raw", "cooked"]), rawMonths: months, cookedMonths: months, note: text.optional() })
          .optional(),
        fromFrozen: z
          .object({
            step: id.optional(),
            method: line,
            settingC: celsius.optional(),
            extraMin: minutes.optional(),
            note: text.optional(),
          })
          .optional(),
        thaw: z
          .object({ needed: z.boolean(), hours: hours.optional(), where: line.optional(), note: text.optional() })
          .optional(),
        reheatCooked: z
          .object({
            method: line,
            settingC: celsius.optional(),
            minutes: minutes.optional(),
            coreC: celsius.optional(),
            note: text.optional(),
          })
          .optional(),
      }),
      ["note"],
    ).optional(),
    faults: z
      .array(z.object({ id, sign: text, cause: text, remedy: text, steps: z.array(id).max(200) }))
      .max(100)
      .default([]),
    schools: z
      .array(z.object({ id, question: text.default(""), options: z.array(OptionSchema).min(1).max(20) }))
      .max(40)
      .default([]),
    steps: z.array(StepSchema).min(1, { error: "at least one step" }).max(200),
  }),
  ["process", "role", "note", "flourNote"],
);

export type Item = z.output<typeof ItemSchema>;
export type Component = z.output<typeof ComponentSchema>;
/** What an item keeps of how it is made by rule. */
export type ItemMaking = NonNullable<Item["making"]>;
export type Choices = Readonly<Record<string, string>>;
