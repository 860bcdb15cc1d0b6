import { z } from "zod";
import { withInformative } from "../shared/known-keys";

export const id = z.string().min(1).max(80);

export const text = z.string().max(600);

/** Longest name of a step: it stands in big type where hands are full. */
export const LONGEST_TITLE = 40;

export const minutes = z.number().min(0).max(20000);

export const celsius = z.number().min(-40).max(320);

export const RestSchema = z.object({
  min: minutes,
  target: minutes,
  max: minutes,
  atC: celsius,
  where: z.string().max(80),
  yeasted: z.boolean().optional(),
  /** The room's temperature moves when it is ready, from `min` at `atC`. */
  follows: z
    .discriminatedUnion("by", [
      z.object({ by: z.literal("relaxation") }),
      z.object({
        by: z.literal("cooling"),
        fromC: celsius,
        toC: celsius,
        depthMm: z.number().min(2).max(200),
      }),
      z.object({ by: z.literal("chilling"), thicknessMm: z.number().min(2).max(200), toC: celsius }),
    ])
    .optional(),
});

export const TimeSchema = z.object({ fixedMin: minutes, secPerPiece: z.number().min(0).max(3600) });

export const TendSchema = z.object({ fromMin: z.int().min(-2000).max(2000), minutes: z.int().min(0).max(600) });

const EquipmentSchema = withInformative(
  z.object({
    id,
    amount: z.number().gt(0).max(100).optional(),
    or: id.optional(),
    settingC: celsius.optional(),
    slots: z.number().gt(0).max(20).optional(),
    tiers: z.number().gt(0).max(20).optional(),
    recoveryMin: minutes.optional(),
    /** Carriers at once, where it takes no more even if there is room; nothing else is in with them. */
    most: z.int().min(1).max(20).optional(),
  }),
  ["speed", "note"],
);

export const HEAT_KINDS = ["bake", "blind-bake", "steam", "fry", "pan-fry", "reheat"] as const;

export const STEP_KINDS = [
  ...[
    "weigh",
    "mix",
    "knead",
    "bulk-rest",
    "bench-rest",
    "chill",
    "cook-filling",
    "cool-filling",
    "divide",
    "preshape",
    "roll",
    "fill",
  ],
  ...["seal", "final-proof", "glaze", "dock", "cool", "hold-warm", "freeze", "bag", "serve"],
  ...HEAT_KINDS,
] as const;

export const PATHS = ["fresh", "freezer", "from-freezer"] as const;

export type Path = (typeof PATHS)[number];

export const ATTENTION = ["hands-on", "glance", "none"] as const;
export const AheadSchema = z.object({ hours: z.number().min(0).max(1000), where: z.string().max(80) });
export const HoldSchema = z.object({ best: z.string().max(120), maxMin: minutes, how: text.default("") });
export const CueSchema = z.object({
  see: text.optional(),
  feel: text.optional(),
  hear: text.optional(),
  smell: text.optional(),
  /** What it is like too early and too late. */
  early: text.optional(),
  late: text.optional(),
});

/** What a dose goes by: lines of the step's own part that are of a kind. */
export const DOSED_BY = ["meat", "vegetables", "dried-mushrooms", "liquid", "flour", "baking-soda"] as const;
export type DosedBy = (typeof DOSED_BY)[number];

/** An amount that goes by the weight of something else, whatever the batch at hand weighs. */
export const DoseSchema = z.object({
  what: z.string().min(1).max(80),
  by: z.enum(DOSED_BY),
  gPerKg: z.number().gt(0).max(20000),
  /** It is in none of the lines: it is bought beside them. */
  beside: z.literal(true).optional(),
});
export type Dose = z.output<typeof DoseSchema>;

/** Figures of a step that come from somewhere, and where from. */
export const FIGURE_SOURCES = ["recipe", "family", "method", "shape", "filling", "table", "model", "cook"] as const;
export type FigureSource = (typeof FIGURE_SOURCES)[number];
const figure = z.enum(FIGURE_SOURCES).optional();

/** What a step is called where its kind does not say it: "Rinse the meat". */
const title = z.string().regex(/\S/).max(LONGEST_TITLE);

/** Fields of a step that an option of a school may set anew, none with a default: what a patch leaves out stays. */
export const STEP_FIELDS = {
  kind: z.enum(STEP_KINDS),
  title,
  do: text,
  after: z.array(z.object({ step: id, minGapMin: minutes.optional(), maxGapMin: minutes.optional() })).max(50),
  time: TimeSchema,
  hands: z.int().min(0).max(6),
  attention: z.enum(ATTENTION),
  lot: z.enum(["batch", "tray", "load"]),
  tend: z.array(TendSchema).max(50),
  equipment: z.array(EquipmentSchema).max(20),
  rest: RestSchema,
  ahead: AheadSchema,
  hold: HoldSchema,
  coreC: celsius,
  cue: CueSchema,
  caution: text,
  doses: z.array(DoseSchema).max(6),
} as const;

export const StepSchema = z.object({
  ...STEP_FIELDS,
  id,
  title: title.optional(),
  part: z.enum(["dough", "filling", "piece"]),
  path: z.array(z.enum(PATHS)).min(1).max(3),
  do: text.default(""),
  after: STEP_FIELDS.after.default([]),
  time: TimeSchema.default({ fixedMin: 0, secPerPiece: 0 }),
  hands: STEP_FIELDS.hands.default(0),
  tend: STEP_FIELDS.tend.optional(),
  equipment: STEP_FIELDS.equipment.default([]),
  rest: RestSchema.optional(),
  /** What it took here, min, where that is longer than what the recipe says: planned with, and the recipe's figure kept. */
  tookMin: minutes.optional(),
  ahead: AheadSchema.optional(),
  hold: HoldSchema.optional(),
  coreC: celsius.optional(),
  when: z.object({ school: id, option: id }).optional(),
  alt: z
    .array(z.object({ equipment: id, time: TimeSchema, attention: z.enum(ATTENTION), tend: STEP_FIELDS.tend.optional() }))
    .max(10)
    .optional(),
  cue: CueSchema.optional(),
  caution: text.optional(),
  doses: STEP_FIELDS.doses.optional(),
  /** Of a filling: done once for all fillings of the item, before they go their own ways. */
  base: z.literal(true).optional(),
  /** Where its figures come from, for a step that was made by rule. */
  sources: z.object({ minutes: figure, heat: figure, hands: figure, core: figure }).optional(),
});

export type Hold = z.output<typeof HoldSchema>;

/** One stage of the process. Times in minutes, temperatures in °C. */
export type Step = z.output<typeof StepSchema>;

/** Whether the step is what cooks the pieces. */
export const isHeat = ({ kind }: Pick<Step, "kind">): boolean => (HEAT_KINDS as readonly string[]).includes(kind);
