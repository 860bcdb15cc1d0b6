import { z } from "zod";
import { evenParts, roundUpToCarrier } from "./quantities/apportion";
import type { Result } from "./shared/issue";
import { ok } from "./shared/issue";
import { parseWith } from "./shared/parse";

/** A method of the arithmetic by name: one object in, one object out, or the first fault. */
export type Method = (input: unknown) => Result<unknown>;

const method =
  <S extends z.ZodType>(schema: S, run: (input: z.output<S>) => unknown): Method =>
  (input) => {
    const parsed = parseWith(schema, withoutNulls(input));
    return parsed.ok ? ok(run(parsed.value)) : parsed;
  };

/** A field that is null counts as not given, at any depth of an object. */
function withoutNulls(value: unknown): unknown {
  if (value === null || typeof value !== "object" || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).flatMap(([key, v]) => (v === null ? [] : [[key, withoutNulls(v)]])));
}

/** Every method there is; the runner of vector files and the command line look names up here. */
export const METHODS: Readonly<Record<string, Method | undefined>> = {
  "count.roundUp": method(
    z.object({
      pieces: z.int().min(0).max(100000),
      perCarrier: z.int().min(1).max(1000),
      maxExtraPct: z.number().min(0).max(100).default(10),
    }),
    ({ pieces, perCarrier, maxExtraPct }) => roundUpToCarrier(pieces, perCarrier, maxExtraPct),
  ),
  "loads.split": method(
    z.object({
      pieces: z.int().min(0).max(100000),
      capacity: z.int().min(1).max(10000),
      mode: z.enum(["full", "even"]).default("even"),
    }),
    ({ pieces, capacity, mode }) => {
      const loads = Math.ceil(pieces / capacity);
      const full = Array.from({ length: loads }, (_, i) => Math.min(capacity, pieces - i * capacity));
      return { loads, perLoad: loads === 0 ? [] : mode === "even" ? evenParts(pieces, loads) : full };
    },
  ),
};
