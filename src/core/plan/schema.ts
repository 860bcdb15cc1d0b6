import { z } from "zod";
import { ObstacleSchema } from "../batching/obstacle";
import { STEP_KINDS, StepSchema, type Step } from "../item/step";
import { KitchenSchema } from "../kitchen/schema";
import { SKILLS } from "../process/hands";
import { ProblemSchema } from "../schedule/problem";
import { ScheduleReasonSchema } from "../schedule/reason";
import { SolutionSchema } from "../schedule/solution";
import { overlaps } from "../shared/range";

const range = z.tuple([z.int(), z.int()]).readonly();
/** Pieces `[from, to)` of an item, numbered through all that is made of it. */
const pieces = { item: z.string(), pieces: z.int(), range };

/** Across, or length and width, mm. */
const SizeSchema = z.union([z.number(), z.tuple([z.number(), z.number()]).readonly()]);
/** Carriers by size, where the kitchen has several sizes of them. */
const sizes = z
  .array(z.object({ count: z.int(), mm: SizeSchema }))
  .readonly()
  .optional();

/**
 * What a task is, in codes: a step of an item; pieces that wait where they are; a change of oil; or what stands beside.
 * `settingC` as it is set in this kitchen, `carriers` where there is more to say than "a tray".
 */
const WhatSchema = z.discriminatedUnion("code", [
  z.object({
    code: z.literal("step"),
    kind: z.enum(STEP_KINDS),
    /** What it is called where its kind does not say it. */
    title: z.string().optional(),
    part: z.enum(["dough", "filling", "piece"]),
    /** Of what all fillings share. */
    base: z.literal(true).optional(),
    carrier: z.string().optional(),
    carriers: z.int().optional(),
    sizes,
    /** Across the pan, where there are several. */
    panMm: z.number().optional(),
    settingC: z.number().optional(),
    /** One piece of a load, before all loads. */
    first: z.literal(true).optional(),
  }),
  z.object({ code: z.literal("wait"), carrier: z.string().optional(), carriers: z.int(), sizes, onShelf: z.boolean() }),
  z.object({ code: z.literal("oil-change") }),
  /** Stands dirty, and is washed in its last minutes. */
  z.object({ code: z.literal("wash"), equipment: z.string() }),
  /** What stands beside the pieces: so much of it. */
  z.object({
    code: z.literal("beside"),
    job: z.enum(["prepare", "cook", "wait"]),
    amount: z.number(),
    unit: z.enum(["ml", "g"]),
  }),
]);

/** Where the length of a task comes from. */
export const DURATION_SOURCES = [
  /** The recipe's own figure. */
  "recipe",
  /** What is usual for such a dough, heat, shape or filling. */
  "usual",
  /** Worked out for what is in it and how large it is. */
  "model",
  /** Changed by the cook on the item's desk. */
  "cook",
  /** Typed for this gathering. */
  "typed",
  /** What it took here before, longer than the recipe says. */
  "took-here",
  /** The recipe's way without a machine that this kitchen lacks. */
  "by-hand",
  /** The recipe's window, moved by the warmth of this kitchen's room. */
  "room",
  /** The plan's own: until what comes next begins. */
  "plan",
] as const;
export type DurationSource = (typeof DURATION_SOURCES)[number];

const TaskInfoSchema = z.object({
  /** Null for what the plan adds by itself: a tray that waits, a change of oil. */
  step: z.string().nullable(),
  /** Key in the plan's `steps` of the step as it is done here. */
  as: z.string().optional(),
  ...pieces,
  /** Pieces of other items that are mixed or cooked in one with these, under the step's name there. */
  also: z.array(z.object({ step: z.string(), ...pieces })).optional(),
  /** Ids of the waves, or "freezer". */
  for: z.array(z.string()),
  what: WhatSchema,
  source: z.enum(DURATION_SOURCES),
  /** Of a rise, min after its start: when it is first looked at, and when it is ready by what is expected. */
  rise: z.object({ firstLookMin: z.int(), readyMin: z.int() }).optional(),
});

const NoteSchema = z.discriminatedUnion("code", [
  /** Guests who have nothing to eat in a wave. `about` begins with the wave. */
  z.object({
    level: z.literal("caution"),
    code: z.literal("unserved-diet"),
    about: z.array(z.string()),
    guests: z.int(),
    who: z.array(z.object({ diet: z.array(z.string()), avoid: z.array(z.string()) })),
  }),
  /** A vegan item fried after one that is not, without a change of oil. `about`: the item, the one before it. */
  z.object({ level: z.literal("caution"), code: z.literal("oil-not-vegan"), about: z.array(z.string()) }),
  /** Items whose core is to be measured, in a kitchen without a thermometer. */
  z.object({ level: z.literal("caution"), code: z.literal("no-reading"), about: z.array(z.string()) }),
  /** Items of which a lot is out of the cold for longer than is usual on its way to the heat: the longest, and the usual limit, min. */
  z.object({
    level: z.literal("caution"),
    code: z.literal("out-of-cold"),
    about: z.array(z.string()),
    usedMin: z.number(),
    limitMin: z.number(),
  }),
  /** Items of which the first piece of a lot has risen for longer than is right when the lot goes on: the longest, and the right one, min. */
  z.object({
    level: z.literal("caution"),
    code: z.literal("first-too-far"),
    about: z.array(z.string()),
    ageMin: z.number(),
    limitMin: z.number(),
  }),
  /** More goes into the freezer on a day than it freezes in one, g. */
  z.object({
    level: z.literal("caution"),
    code: z.literal("freezer-full"),
    about: z.array(z.string()),
    loadG: z.number(),
    limitG: z.number(),
  }),
  /** Something served warm has no time in hand should its dough rise as slowly as it may. */
  z.object({ level: z.literal("caution"), code: z.literal("no-time-to-rise"), about: z.array(z.string()) }),
]);

/** A wave, or a deadline of the freezer. */
const TargetSchema = z.object({ id: z.string(), name: z.string(), minute: z.int() });

/** What a plan says about the day beside its tasks, so that it can be read without the request it was made from. */
const DaySchema = z.object({
  gathering: z.object({ id: z.string(), name: z.string(), guests: z.int() }),
  /** `roomC` and `guide` as the kitchen has them; undefined in plans that were made before they were kept. */
  kitchen: z.object({
    id: z.string(),
    name: z.string(),
    roomC: KitchenSchema.shape.roomC.optional(),
    guide: KitchenSchema.shape.guide,
  }),
  /** yyyy-mm-dd */
  date: z.string(),
  cooks: z.array(z.object({ id: z.string(), name: z.string(), skill: z.enum(SKILLS) })),
  items: z.array(z.object({ id: z.string(), name: z.string() })),
  targets: z.array(TargetSchema),
  rules: z.array(z.object({ id: z.string(), text: z.string(), steps: z.array(z.string()) })),
  /** Tray places in the fridge; undefined without a fridge. */
  fridgePlaces: z.number().optional(),
  /** Sizes of carriers and pans, by pool, where the kitchen has several of a kind. */
  sizes: z.record(z.string(), SizeSchema).optional(),
});

/** Everything a cook needs: quantities, the problem, its solution, the steps as they are done here, and why there is no plan. */
export const PlanSchema = z.object({
  format: z.literal("unisynth-plan/1"),
  /** Local date and time of minute 0. */
  origin: z.string(),
  /** IANA name of the zone that `origin` is in; undefined where nobody said: then every day has 24 hours. */
  zone: z.string().optional(),
  /** From minute `at` on the wall clock is `shiftMin` minutes from where 24-hour days would have it. */
  clockChanges: z.array(z.object({ at: z.int(), shiftMin: z.int() })).default([]),
  day: DaySchema,
  pieces: z.array(z.object({ for: z.string(), variant: z.string(), needed: z.number().nullable(), ...pieces })),
  batches: z.array(
    z.object({
      id: z.string(),
      part: z.enum(["dough", "filling", "finish"]),
      ingredients: z
        .array(
          z.object({
            id: z.string(),
            in: z.string(),
            name: z.string(),
            ingredient: z.string().optional(),
            grams: z.number(),
            holdBackPct: z.number().optional(),
            base: z.literal(true).optional(),
          }),
        )
        .readonly(),
      totalG: z.number(),
      ahead: z.literal(true).optional(),
      together: z.string().optional(),
      ...pieces,
    }),
  ),
  /** `pool`: of which size the carrier is, where that is not the first. */
  lots: z.array(z.object({ id: z.string(), carrier: z.string(), pool: z.string().optional(), ...pieces })),
  loads: z.array(z.object({ id: z.string(), step: z.string(), chamber: z.string(), carriers: z.int(), ...pieces })),
  problem: ProblemSchema,
  solution: SolutionSchema,
  steps: z.record(z.string(), StepSchema),
  tasks: z.record(z.string(), TaskInfoSchema),
  /** `ready`: when the last piece is ready; `at`: when it is eaten or put away; minutes from the origin. */
  serves: z.array(z.object({ for: z.string(), item: z.string(), pieces: z.int(), ready: z.number(), at: z.number() })),
  notes: z.array(NoteSchema),
  /** Why there is no timetable; empty where there is one. */
  refusal: z.array(z.union([ObstacleSchema, ScheduleReasonSchema])).default([]),
});

type Parsed = z.output<typeof PlanSchema>;
export type Plan = { readonly [K in keyof Parsed]: Parsed[K] extends (infer T)[] ? readonly T[] : Parsed[K] };
export type PieceCount = Plan["pieces"][number];
export type Lot = Plan["lots"][number];
export type Load = Plan["loads"][number];
export type Serve = Plan["serves"][number];
export type Note = Plan["notes"][number];
export type Target = z.output<typeof TargetSchema>;
export type TaskInfo = z.output<typeof TaskInfoSchema>;
export type Reason = Plan["refusal"][number];

/** Whether a refusal is one for certain; else no timetable was found in the time that there was. */
export const isProvenNo = ({ refusal }: Pick<Plan, "refusal">): boolean => !refusal.some(({ code }) => code === "none-found");

/** The step of a task as it is done in a plan; undefined for what the plan adds by itself. */
export const stepIn = ({ tasks, steps }: Pick<Plan, "tasks" | "steps">, task: string): Step | undefined => {
  const as = tasks[task]?.as;
  return as === undefined ? undefined : steps[as];
};

/** Whether two tasks or shares of a plan have pieces in common. */
export const havePiecesInCommon = (a: Pick<TaskInfo, "item" | "range">, b: Pick<TaskInfo, "item" | "range">): boolean =>
  a.item === b.item && overlaps(a.range, b.range);

/** Pieces that a task is for, item by item, with the name of the step in each. */
export const taskShares = ({ item, step, pieces, range, also = [] }: TaskInfo) => [{ item, step, pieces, range }, ...also];
