import { z } from "zod";

interface Range {
  /** The lower end is not included. */
  readonly above?: true;
  readonly unit?: string;
}

const rangeText = (least: number, most: number, { above, unit }: Range): string =>
  `${above ? `above ${least} and at most ${most}` : `${least} to ${most}`}${unit ? ` ${unit}` : ""}`;

const within = <S extends z.ZodNumber>(schema: S, least: number, most: number, error: string, above = false) =>
  (above ? schema.gt(least, { error }) : schema.min(least, { error })).max(most, { error });

/** A finite number from `least` to `most`, both included unless `above` is said. */
export function num(least: number, most: number, range: Range = {}) {
  const error = rangeText(least, most, range);
  return within(z.number({ error }), least, most, error, range.above);
}

/** The same for a whole number. */
export function whole(least: number, most: number, range: Range = {}) {
  const error = `a whole number ${rangeText(least, most, range)}`;
  return within(z.int({ error }), least, most, error, range.above);
}

/** One of a list of words. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `one of ${values.join(", ")}` });

/** One of some numbers. */
export const oneOfNumbers = <const T extends readonly [number, ...number[]]>(values: T) =>
  z.union(values.map((value) => z.literal(value)) as unknown as [z.ZodLiteral<T[number]>], {
    error: `one of ${values.join(", ")}`,
  });

/** A text that is not blank; a blank one counts as missing. */
export const filled = z
  .string({ error: "a text" })
  .refine((text) => text.trim() !== "", { error: "a text", params: { code: "missing" } });

export const yesOrNo = z.boolean({ error: "true or false" });

/** A list with at least so many entries, and no more than `most`; a shorter one counts as missing, before its entries are looked at. */
export function list<S extends z.ZodType>(entry: S, least = 0, most = 5000) {
  const error = least > 0 ? `a list of at least ${least}` : "a list";
  const entries = z.array(entry, { error }).max(most, { error: `a list of at most ${most}` });
  if (least === 0) return entries;
  return z
    .array(z.unknown(), { error })
    .refine((given) => given.length >= least, { error, params: { code: "missing" } })
    .pipe(entries);
}

/** An object; what it has beside these fields is not looked at. */
export const fields = <S extends z.ZodRawShape>(shape: S) => z.object(shape, { error: "an object" });
