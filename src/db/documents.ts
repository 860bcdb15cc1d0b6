import type { z } from "zod";
import { readDocument, type DocumentKind } from "@/core/shared/documents";
import { fail, ok, type Issue, type Result } from "@/core/shared/issue";

/** A document as it is stored, with the revision that whoever changes it begins from. */
export interface Stored<T> {
  readonly document: T;
  readonly revision: number;
}

/** A row whose document cannot be read: it is shown as such and stands in nobody's way. */
export interface Unreadable {
  readonly id: string;
  readonly name: string;
  readonly issue: Issue;
}

interface Row {
  readonly id: string;
  readonly name: string;
  readonly data: string;
  readonly schemaVersion: number;
  readonly revision: number;
}

/** A column's JSON; undefined where it is none, for a schema to refuse. */
export function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Reads a row: its document is the JSON with the id and the name of its columns. */
export function readRow<S extends z.ZodType>(kind: DocumentKind<S>, row: Row): Result<Stored<z.output<S>>> {
  let data: unknown;
  try {
    data = JSON.parse(row.data);
  } catch {
    return fail({ code: "unreadable", path: ["data"], got: row.data.slice(0, 40), wanted: "JSON" });
  }
  const document = data !== null && typeof data === "object" ? { ...data, id: row.id, name: row.name } : data;
  const read = readDocument(kind, row.schemaVersion, document);
  return read.ok ? ok({ document: read.value, revision: row.revision }) : read;
}

export interface Listed<T> {
  readonly readable: readonly Stored<T>[];
  readonly unreadable: readonly Unreadable[];
}

/** All rows of a table, those that cannot be read apart. */
export function readRows<S extends z.ZodType>(kind: DocumentKind<S>, rows: readonly Row[]): Listed<z.output<S>> {
  const readable: Stored<z.output<S>>[] = [];
  const unreadable: Unreadable[] = [];
  for (const row of rows) {
    const read = readRow(kind, row);
    if (read.ok) readable.push(read.value);
    else unreadable.push({ id: row.id, name: row.name, issue: read.issues[0] });
  }
  return { readable, unreadable };
}

/** How a document is saved: when, and from which revision its changes began: 0 for a new one, none to replace whatever is there. */
export interface Saving {
  readonly savedAt: string;
  readonly from?: number;
}

/** What a saver is told whose changes began from an older revision: the document as it stands, to choose field by field. */
export function conflict(kind: DocumentKind<z.ZodType>, row: Row | undefined) {
  const stored = row && readRow(kind, row);
  return fail({
    code: "conflict",
    path: [],
    got: stored?.ok ? stored.value : null,
    wanted: stored?.ok ? "the revision that is stored" : "a document that is still there",
  });
}

/** The columns of a document for its table. */
export function toRow<T extends { readonly id: string; readonly name: string }>(kind: DocumentKind<z.ZodType>, document: T) {
  const { id, name, ...data } = document;
  return { id, name, data: JSON.stringify(data), schemaVersion: kind.version };
}
