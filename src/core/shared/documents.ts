import type { z } from "zod";
import { fail, type Result } from "./issue";
import { parseKnown } from "./parse";

/** A document of an older version as one of the next. What it cannot make sense of it leaves for the schema to refuse. */
export type Upcaster = (document: Record<string, unknown>) => Record<string, unknown>;

/** A kind of document that is stored: what it looks like today, and how each older version becomes the next. */
export interface DocumentKind<S extends z.ZodType> {
  readonly schema: S;
  /** Today's version, 1 or more. */
  readonly version: number;
  /** By the version that they read. */
  readonly upcasters: Readonly<Record<number, Upcaster>>;
}

/**
 * Reads a stored document of any version up to today's.
 * @param written the version that it was written in
 * Issues: those of the schema; `unknown` schemaVersion where a newer version of the application wrote it.
 */
export function readDocument<S extends z.ZodType>(
  kind: DocumentKind<S>,
  written: number,
  document: unknown,
): Result<z.output<S>> {
  if (!Number.isInteger(written) || written < 1 || written > kind.version)
    return fail({ code: "unknown", path: ["schemaVersion"], got: written, wanted: `a version from 1 to ${kind.version}` });
  let now = document;
  for (let version = written; version < kind.version; version++)
    if (now !== null && typeof now === "object" && !Array.isArray(now))
      now = kind.upcasters[version](now as Record<string, unknown>);
  return parseKnown(kind.schema, now);
}
