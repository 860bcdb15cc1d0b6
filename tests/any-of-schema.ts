import fc from "fast-check";
import type { z } from "zod";

type Def = Record<string, unknown> & { type: string };
const defOf = (schema: z.core.$ZodType): Def => schema._zod.def as unknown as Def;

interface Check {
  readonly check: string;
  readonly value?: number;
  readonly inclusive?: boolean;
  readonly minimum?: number;
}
const checksOf = (schema: z.core.$ZodType): Check[] =>
  ((defOf(schema).checks ?? []) as { _zod: { def: Check } }[]).map((check) => check._zod.def);

/** The bounds that a schema sets to a number; a hair inside where the bound itself is not taken. */
function boundsOf(schema: z.core.$ZodType): { min: number; max: number } {
  let [min, max] = [-FAR, FAR];
  for (const { check, value = 0, inclusive } of checksOf(schema)) {
    if (check === "greater_than") min = Math.max(min, inclusive ? value : value + 1e-6);
    if (check === "less_than") max = Math.min(max, inclusive ? value : value - 1e-6);
  }
  return { min, max };
}

/** Most entries of any list. */
const MOST = 3;
const FAR = 1e6;

/** Texts among which a schema finds one that it takes. */
const TEXTS = [
  "a",
  "b",
  "c",
  "flour",
  "wheat flour",
  "butter",
  "12:00",
  "08:30",
  "24:00",
  "00:00",
  "Europe/Berlin",
  "2026-12-05",
];
const ODD_TEXTS = ["next Friday", "next Sunday", "<b>x</b>", "ﷺ 12 °C", "'; drop table --", "𝔘", "a\u202eb", "constructor"];

/** Numbers that a schema takes, its bounds and zero often among them. */
function anyNumber(schema: z.core.$ZodType): fc.Arbitrary<number> {
  const whole = String(defOf(schema).format ?? "").includes("int");
  const { min, max } = boundsOf(schema);
  const usual = fc.constantFrom(0, 1, 2, 5, 10, 12, 30, 60, 180).filter((n) => n >= min && n <= max);
  const edge = fc.constantFrom(min, max);
  const any = whole ? fc.integer({ min: Math.ceil(min), max: Math.floor(max) }) : fc.double({ min, max, noNaN: true });
  const hasUsual = [0, 1, 2, 5, 10, 12, 30, 60, 180].some((n) => n >= min && n <= max);
  return fc.oneof(
    ...(hasUsual ? [{ arbitrary: usual, weight: 6 }] : []),
    { arbitrary: edge, weight: 1 },
    { arbitrary: any, weight: 2 },
  );
}

/** A text that the schema takes. */
function anyText(schema: z.ZodType): fc.Arbitrary<string> {
  const fits = [...TEXTS, ...ODD_TEXTS].filter((text) => schema.safeParse(text).success);
  if (fits.length === 0) throw new Error("no text that this schema takes is known");
  return fc.constantFrom(...fits);
}

/**
 * Anything that a schema accepts as input, lists short, bounds likely. Whoever refers to something refers to nothing yet:
 * what belongs together is for the caller to join.
 */
export function anyOfSchema(schema: z.core.$ZodType): fc.Arbitrary<unknown> {
  const def = defOf(schema);
  const inner = () => anyOfSchema(def.innerType as z.core.$ZodType);
  switch (def.type) {
    case "optional":
    case "default":
    case "prefault":
      return fc.option(inner(), { nil: undefined, freq: 2 });
    case "nullable":
      return fc.option(inner(), { nil: null });
    case "readonly":
    case "nonoptional":
      return inner();
    case "pipe": {
      const from = def.in as z.core.$ZodType;
      return anyOfSchema(defOf(from).type === "transform" ? (def.out as z.core.$ZodType) : from);
    }
    case "object": {
      const shape = def.shape as Record<string, z.core.$ZodType>;
      return fc
        .record(Object.fromEntries(Object.entries(shape).map(([key, child]) => [key, anyOfSchema(child)])))
        .map((value) => Object.fromEntries(Object.entries(value).filter(([, field]) => field !== undefined)));
    }
    case "array": {
      const least = checksOf(schema).find(({ check }) => check === "min_length")?.minimum ?? 0;
      return fc.array(anyOfSchema(def.element as z.core.$ZodType), { minLength: least, maxLength: Math.max(least, MOST) });
    }
    case "tuple":
      return fc.tuple(...(def.items as z.core.$ZodType[]).map(anyOfSchema));
    case "record":
      return fc.dictionary(fc.constantFrom("a", "b", "flour"), anyOfSchema(def.valueType as z.core.$ZodType), { maxKeys: 2 });
    case "union":
      return fc.oneof(...(def.options as z.core.$ZodType[]).map(anyOfSchema));
    case "enum":
      return fc.constantFrom(...Object.values(def.entries as Record<string, string>));
    case "literal":
      return fc.constantFrom(...(def.values as unknown[]));
    case "boolean":
      return fc.boolean();
    case "number":
      return anyNumber(schema);
    case "string":
      return anyText(schema as z.ZodType);
    case "unknown":
    case "any":
      return fc.constant(undefined);
    default:
      throw new Error(`schemas of type ${def.type} are not generated yet`);
  }
}
