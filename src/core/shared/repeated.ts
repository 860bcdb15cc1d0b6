import type { Issue } from "./issue";

/** Entries of a list whose id another had before them, in it or in `seen`. `wanted`: "an id that no other task has". */
export function repeatedIds(
  entries: readonly { readonly id: string }[],
  path: Issue["path"],
  wanted: string,
  seen: Set<string> = new Set(),
): Issue[] {
  return entries.flatMap(({ id }, index): Issue[] => {
    const repeated = seen.has(id);
    seen.add(id);
    return repeated ? [{ code: "inconsistent", path: [...path, index, "id"], got: id, wanted }] : [];
  });
}
