/** A name as the beginning of an id: plain letters, figures and hyphens. */
export const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .split(",")[0]
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40) || "part";

/** An id from a name that none of the others has. */
export function freshId(name: string, taken: readonly string[]): string {
  const base = slugOf(name);
  let id = base;
  for (let n = 2; taken.includes(id); n++) id = `${base}-${n}`;
  return id;
}
