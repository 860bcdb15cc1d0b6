import { closest, distance } from "fastest-levenshtein";
import { z } from "zod";
import type { Issue } from "./issue";

/** What is said of the fields of a schema beyond its shape. */
interface FieldNotes {
  /** Fields that may be there and change no number: they are known, and not kept. */
  readonly informative?: readonly string[];
  /** Fields that are not named are passed over, as the format of this schema promises. */
  readonly open?: boolean;
}

const NOTES = z.registry<FieldNotes>();

/** A schema whose documents may bear these fields as well: they are known, and are not kept. */
export const withInformative = <S extends z.ZodType>(schema: S, informative: readonly string[]): S => {
  NOTES.add(schema, { informative });
  return schema;
};

/** A schema whose format lets other programs add fields of their own. */
export const passingOver = <S extends z.ZodType>(schema: S): S => {
  NOTES.add(schema, { open: true });
  return schema;
};

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields => value !== null && typeof value === "object" && !Array.isArray(value);

/** Share of a word's letters that may be other than in the known one that was meant. */
const MOST_OTHER = 0.5;

/** The known word that is nearest to one that is not known; undefined where none is near. */
export function nearest(word: string, known: readonly string[]): string | undefined {
  if (word.length > 60 || known.length === 0) return undefined;
  const near = closest(word, known);
  return distance(word, near) <= MOST_OTHER * Math.max(word.length, near.length) ? near : undefined;
}

const wantedFor = (key: string, known: readonly string[]): string => {
  const near = nearest(key, known);
  return near === undefined ? "the name of a field" : `the name of a field; did you mean “${near}”?`;
};

type Def = z.core.$ZodTypeDef & Record<string, unknown>;
const defOf = (schema: z.core.$ZodType): Def => schema._zod.def as unknown as Def;

/** What a schema that only wraps another wraps. */
const WRAPPERS: ReadonlySet<string> = new Set([
  "optional",
  "nullable",
  "default",
  "prefault",
  "nonoptional",
  "readonly",
  "catch",
  "success",
]);

/** The value as the inside of a pipe sees it. */
function before(schema: z.core.$ZodType, value: unknown): unknown {
  try {
    const transform = defOf(schema).transform as (value: unknown, context: unknown) => unknown;
    return transform(value, { issues: [], value, addIssue: () => undefined });
  } catch {
    return undefined;
  }
}

/**
 * The fields of a document that its schema does not know, in their order, each with the nearest that it does: Zod would
 * drop them, and what was meant by them with them.
 * @param most issues after which it stops
 */
export function unknownKeys(schema: z.ZodType, input: unknown, most: number): Issue[] {
  const found: Issue[] = [];
  const path: (string | number)[] = [];
  const inside = (at: string | number, child: z.core.$ZodType, value: unknown) => {
    if (found.length >= most) return;
    path.push(at);
    walk(child, value);
    path.pop();
  };
  const object = (of: z.core.$ZodType, value: Fields) => {
    const def = defOf(of);
    const shape = def.shape as Readonly<Record<string, z.core.$ZodType>>;
    const catchall = def.catchall as z.core.$ZodType | undefined;
    const { informative = [], open = false } = NOTES.get(of as z.ZodType) ?? {};
    for (const key of Object.keys(value)) {
      if (Object.hasOwn(shape, key)) inside(key, shape[key], value[key]);
      else if (catchall && defOf(catchall).type !== "never") inside(key, catchall, value[key]);
      else if (!catchall && !open && !informative.includes(key) && found.length < most)
        found.push({ code: "unknown", path: [...path, key], got: key, wanted: wantedFor(key, Object.keys(shape)) });
    }
  };
  const walk = (of: z.core.$ZodType, value: unknown): void => {
    const def = defOf(of);
    if (WRAPPERS.has(def.type)) return walk(def.innerType as z.core.$ZodType, value);
    switch (def.type) {
      case "object":
        if (isFields(value)) object(of, value);
        return;
      case "array":
        if (Array.isArray(value)) value.forEach((entry, i) => inside(i, def.element as z.core.$ZodType, entry));
        return;
      case "tuple":
        if (Array.isArray(value))
          (def.items as z.core.$ZodType[]).forEach((item, i) => i < value.length && inside(i, item, value[i]));
        return;
      case "record":
        if (isFields(value)) Object.keys(value).forEach((key) => inside(key, def.valueType as z.core.$ZodType, value[key]));
        return;
      case "union": {
        const fits = (def.options as z.core.$ZodType[]).find((option) => (option as z.ZodType).safeParse(value).success);
        if (fits) walk(fits, value);
        return;
      }
      case "pipe": {
        const from = def.in as z.core.$ZodType;
        if (defOf(from).type === "transform") walk(def.out as z.core.$ZodType, before(from, value));
        else walk(from, value);
        return;
      }
      case "lazy":
        return walk((def.getter as () => z.core.$ZodType)(), value);
      default:
        return;
    }
  };
  walk(schema, input);
  return found;
}
