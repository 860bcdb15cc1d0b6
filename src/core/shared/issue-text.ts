import type { Issue } from "./issue";
import { oneLine } from "./one-line";

/** A path as people read it: `gathering.guests[0].count`. */
export const pathText = (path: Issue["path"]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === "number" ? `${text}[${key}]` : text === "" ? cut(key) : `${text}.${cut(key)}`),
    "",
  );

const LONGEST = 60;
const cut = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST - 3)}…` : text);

const shown = (value: unknown): string => {
  if (typeof value === "number") return Number.isNaN(value) ? "not a number" : String(value);
  // Of a long list or text the beginning is enough, and the whole of it need not be written first.
  const some = Array.isArray(value) ? value.slice(0, LONGEST) : typeof value === "string" ? value.slice(0, LONGEST * 2) : value;
  return cut(JSON.stringify(some) ?? "nothing");
};

const REASON: Record<Issue["code"], (issue: Issue) => string> = {
  missing: () => "is missing",
  wrong_type: (issue) => `is ${shown(issue.got)}`,
  not_an_integer: (issue) => `is ${shown(issue.got)}`,
  out_of_range: (issue) => `is ${shown(issue.got)}`,
  unknown: (issue) => `is ${shown(issue.got)}, which is not known`,
  unreadable: (issue) => `is ${shown(issue.got)} and cannot be read`,
  inconsistent: (issue) => `is ${shown(issue.got)}, which does not fit with the rest`,
  conflict: (issue) => (issue.got === null ? "is no longer there" : "was changed elsewhere in the meantime"),
  failed: (issue) => `did not work${typeof issue.got === "string" ? `: ${issue.got}` : ""}`,
  infeasible: (issue) => `is ${shown(issue.got)}, which cannot be met`,
};

/** One sentence for one issue: the field (its path, or the name it has on the screen), the value, what was expected. The only place that words issues. */
export function issueText(issue: Issue, name?: string): string {
  const field = name ?? (pathText(issue.path) || "the input");
  const expected = issue.wanted ? `; expected ${issue.wanted}` : "";
  return oneLine(`${field} ${REASON[issue.code](issue)}${expected}`);
}
