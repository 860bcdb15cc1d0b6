import { z } from "zod";
import { AheadSchema, CueSchema, HoldSchema, id, RestSchema, STEP_FIELDS, text, TimeSchema, type Step } from "./step";

const optional = <S extends Record<string, z.ZodType>>(fields: S) =>
  Object.fromEntries(Object.entries(fields).map(([key, schema]) => [key, schema.optional()])) as {
    [K in keyof S]: z.ZodOptional<S[K]>;
  };

/** Fields as a whole: each replaces what the step had. */
const FieldsSchema = z.strictObject(optional(STEP_FIELDS));

/** Parts of a step of which single figures can be set, the others staying as they are. */
const PARTS = {
  time: TimeSchema.shape,
  rest: RestSchema.shape,
  ahead: AheadSchema.shape,
  hold: { ...HoldSchema.shape, how: text },
  cue: CueSchema.shape,
} as const;
type PartName = keyof typeof PARTS;
const PART_NAMES = Object.keys(PARTS) as PartName[];

const WithinSchema = z.strictObject({
  time: z.strictObject(optional(PARTS.time)).optional(),
  rest: z.strictObject(optional(PARTS.rest)).optional(),
  ahead: z.strictObject(optional(PARTS.ahead)).optional(),
  hold: z.strictObject(optional(PARTS.hold)).optional(),
  cue: z.strictObject(optional(PARTS.cue)).optional(),
});

/** One change to one step: it falls away, fields of it are replaced, or single figures within a part of it. */
export const StepPatchSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("skip"), step: id }),
  z.strictObject({ kind: z.literal("set"), step: id, fields: FieldsSchema }),
  z.strictObject({ kind: z.literal("adjust"), step: id, within: WithinSchema }),
]);
export type StepPatch = z.output<typeof StepPatchSchema>;

const DOTTED = Object.fromEntries(
  PART_NAMES.flatMap((part) =>
    Object.entries(PARTS[part] as Record<string, z.ZodType>).map(([field, schema]) => [`${part}.${field}`, schema.optional()]),
  ),
);

/** A change as recipes are written by hand: fields by name, figures within a part by a dotted name ("time.fixedMin"). */
const WrittenSchema = z.strictObject({
  step: id,
  set: z.strictObject({ ...optional(STEP_FIELDS), ...DOTTED }).optional(),
  skip: z.boolean().optional(),
});

/** The patches that a written change stands for: whole fields first, then single figures. */
function patchesOf({ step, set, skip }: z.output<typeof WrittenSchema>): StepPatch[] {
  if (skip) return [{ kind: "skip", step }];
  const fields: Record<string, unknown> = {};
  const within: Partial<Record<PartName, Record<string, unknown>>> = {};
  for (const [key, value] of Object.entries(set ?? {})) {
    if (value === undefined) continue;
    const [part, field] = key.split(".");
    if (field === undefined) fields[key] = value;
    else (within[part as PartName] ??= {})[field] = value;
  }
  return [
    ...(Object.keys(fields).length > 0 ? [{ kind: "set" as const, step, fields }] : []),
    ...(Object.keys(within).length > 0 ? [{ kind: "adjust" as const, step, within }] : []),
  ];
}

/** One entry of a list of changes, in either form, as patches. */
const ChangeSchema = z.unknown().transform((value, ctx): StepPatch[] => {
  const typed = value !== null && typeof value === "object" && "kind" in value;
  const read = typed
    ? StepPatchSchema.transform((patch) => [patch]).safeParse(value)
    : WrittenSchema.transform(patchesOf).safeParse(value);
  if (read.success) return read.data;
  for (const issue of read.error.issues) ctx.issues.push({ ...issue, input: value } as z.core.$ZodRawIssue);
  return z.NEVER;
});

/** Changes to steps, as patches or as they are written by hand; either way they come out as patches. */
export const StepPatchesSchema = z
  .array(ChangeSchema)
  .max(200)
  .transform((lists) => lists.flat());

/** The step with a patch laid over it; undefined where it falls away. What the step does not have is not adjusted. */
export function patchStep(step: Step, patch: StepPatch): Step | undefined {
  switch (patch.kind) {
    case "skip":
      return undefined;
    case "set":
      return { ...step, ...defined(patch.fields) };
    case "adjust": {
      const parts = PART_NAMES.flatMap((part) =>
        step[part] && patch.within[part] ? [[part, { ...step[part], ...defined(patch.within[part]) }]] : [],
      );
      return { ...step, ...Object.fromEntries(parts) };
    }
  }
}

const defined = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;

/** The steps with all patches laid over them, those that fall away left out. */
export const patchSteps = (steps: readonly Step[], patches: readonly StepPatch[]): Step[] =>
  steps.flatMap((step) => {
    const patched = patches
      .filter((patch) => patch.step === step.id)
      .reduce<Step | undefined>((now, patch) => now && patchStep(now, patch), step);
    return patched ? [patched] : [];
  });
