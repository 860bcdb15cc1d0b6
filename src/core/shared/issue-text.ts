import type { Issue } from "./issue";

/** A path as people read it: `gathering.guests[0].count`. */
export const pathText = (path: Issue["path"]): string =>
  path.reduce<string>((text, key) => (typeof key === "number" ? `${text}[${key}]` : text === "" ? key : `${text}.${key}`), "");

const shown = (value: unknown): string => {
  if (typeof value === "number") return Number.isNaN(value) ? "not a number" : String(value);
  const text = JSON.stringify(value) ?? "nothing";
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
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
  return `${field} ${REASON[issue.code](issue)}${expected}`;
}
