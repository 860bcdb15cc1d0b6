/** Keys and list positions from the root of a document. */
export type Path = readonly (string | number)[];

/** A field in which two versions of a document differ; undefined where one of them does not have it. */
export interface Difference {
  readonly path: Path;
  readonly mine: unknown;
  readonly theirs: unknown;
}

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields => value !== null && typeof value === "object" && !Array.isArray(value);
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Whether two lists hold the same things in the same order: each entry has an id, and the ids agree. */
const areAlike = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length &&
  a.every((entry, i) => {
    const other = b[i];
    return isFields(entry) && isFields(other) && typeof entry.id === "string" && entry.id === other.id;
  });

/**
 * The fields in which two versions differ, in their order. Lists whose entries are the same by their ids are compared entry
 * by entry; any other list is one field: by its place alone nobody can tell which entry became which.
 */
export function differences(mine: unknown, theirs: unknown, path: Path = []): Difference[] {
  if (same(mine, theirs)) return [];
  if (isFields(mine) && isFields(theirs))
    return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].flatMap((key) =>
      differences(mine[key], theirs[key], [...path, key]),
    );
  if (Array.isArray(mine) && Array.isArray(theirs) && areAlike(mine, theirs))
    return mine.flatMap((entry: unknown, i) => differences(entry, theirs[i], [...path, i]));
  return [{ path, mine, theirs }];
}

/** What stands at a path; undefined where there is nothing. */
export const valueAt = (document: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (value, key) => (value !== null && typeof value === "object" ? (value as Fields)[key] : undefined),
    document,
  );

/** A copy of the document with another value at a path; `undefined` takes the field away. */
export function withValue(document: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(document)) return document.map((entry: unknown, i) => (i === key ? withValue(entry, rest, value) : entry));
  const fields = isFields(document) ? document : {};
  const next = withValue(fields[key], rest, value);
  if (next !== undefined) return { ...fields, [key]: next };
  const { [key]: _gone, ...others } = fields;
  return others;
}

/** Whether a difference was made on this side: theirs is still what both began from. */
export const isMine = ({ path, theirs }: Difference, base: unknown): boolean => same(valueAt(base, path), theirs);

/** Their version with those of my fields that are chosen. */
export const merged = <T>(theirs: T, chosen: readonly Difference[]): T =>
  chosen.reduce<unknown>((document, { path, mine }) => withValue(document, path, mine), theirs) as T;
