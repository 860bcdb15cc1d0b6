import type { z } from "zod";
import { fail, type Result } from "../shared/issue";
import { hostileIn } from "../shared/guard";
import { parseKnown } from "../shared/parse";

/** Null counts as not given, wherever it stands. */
function withoutNulls(value: unknown): unknown {
  if (value === null) return undefined;
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== "object") return value;
  return Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, withoutNulls(entry)]));
}

/** Reads a method's input: the value, or the first fault in the order of the fields. */
export function readInput<S extends z.ZodType>(schema: S, input: unknown): Result<z.output<S>> {
  if (input === null || input === undefined) return fail({ code: "wrong_type", path: [], got: input, wanted: "an object" });
  const hostile = hostileIn(input);
  if (hostile) return fail(hostile);
  const read = parseKnown(schema, withoutNulls(input));
  return read.ok ? read : fail(read.issues[0]);
}
