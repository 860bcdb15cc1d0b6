import type { DocumentKind, Upcaster } from "../shared/documents";
import { ItemSchema } from "./schema";
import { StepPatchesSchema } from "./step-patch";

type Fields = Record<string, unknown>;
const isFields = (value: unknown): value is Fields => value !== null && typeof value === "object" && !Array.isArray(value);
/** Each entry of a list changed; what is no list, or no document in it, stays as it is. */
const inEach = (list: unknown, change: (entry: Fields) => Fields): unknown =>
  Array.isArray(list) ? list.map((entry: unknown) => (isFields(entry) ? change(entry) : entry)) : list;

/** Changes as patches where they can be read; else as they stand, for the schema to say what is wrong with them. */
const asPatches = (changes: unknown): unknown => {
  const read = StepPatchesSchema.safeParse(changes ?? []);
  return read.success ? read.data : changes;
};

/** Version 1 had changes to steps as free fields under dotted names; since 2 they are typed patches. */
const typedPatches: Upcaster = (item) => ({
  ...item,
  filling: isFields(item.filling)
    ? {
        ...item.filling,
        ...(item.filling.variants !== undefined && {
          variants: inEach(item.filling.variants, (variant) => ({ ...variant, stepChanges: asPatches(variant.stepChanges) })),
        }),
      }
    : item.filling,
  schools: inEach(item.schools, (school) => ({
    ...school,
    options: inEach(school.options, (option) => ({ ...option, changes: asPatches(option.changes) })),
  })),
});

/** Items as they are stored. */
export const ITEM_DOCUMENT: DocumentKind<typeof ItemSchema> = {
  schema: ItemSchema,
  version: 2,
  upcasters: { 1: typedPatches },
};
