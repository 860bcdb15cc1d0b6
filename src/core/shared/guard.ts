import type { Issue } from "./issue";

/** Keys that would reach an object's prototype instead of its fields. */
const HOSTILE_KEYS: ReadonlySet<string> = new Set(["__proto__", "constructor", "prototype"]);

/** More levels, or a longer text, than any document of ours has. */
export const MOST_LEVELS = 100;
export const LONGEST_TEXT = 100_000;
/** More entries of one list, and more values in all, than any document of ours has. */
export const LONGEST_LIST = 50_000;
export const MOST_VALUES = 2_000_000;

/**
 * Looks for what no schema should ever be shown: keys that are no fields but an object's inside, texts without end, and
 * documents that nest deeper than any of ours or contain themselves.
 * @returns the first fault with its place, or undefined
 */
export function hostileIn(input: unknown): Issue | undefined {
  const path: (string | number)[] = [];
  let values = 0;
  const walk = (value: unknown): Issue | undefined => {
    if (typeof value === "string" && value.length > LONGEST_TEXT)
      return {
        code: "out_of_range",
        path: [...path],
        got: `${value.slice(0, 20)}… (${value.length} characters)`,
        wanted: `at most ${LONGEST_TEXT} characters`,
      };
    if (++values > MOST_VALUES)
      return { code: "out_of_range", path: [], got: `more than ${MOST_VALUES} values`, wanted: "a smaller document" };
    if (value === null || typeof value !== "object") return undefined;
    if (Array.isArray(value) && value.length > LONGEST_LIST)
      return {
        code: "out_of_range",
        path: [...path],
        got: `${value.length} entries`,
        wanted: `at most ${LONGEST_LIST} entries`,
      };
    if (path.length >= MOST_LEVELS)
      return { code: "out_of_range", path: path.slice(0, 3), got: "deeper levels", wanted: `at most ${MOST_LEVELS} levels` };
    for (const key of Object.keys(value)) {
      path.push(Array.isArray(value) ? Number(key) : key);
      if (!Array.isArray(value) && HOSTILE_KEYS.has(key))
        return { code: "unknown", path: [...path], got: key, wanted: "the name of a field" };
      const found = walk((value as Record<string, unknown>)[key]);
      if (found) return found;
      path.pop();
    }
    return undefined;
  };
  return walk(input);
}
