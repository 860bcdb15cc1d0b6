import { z } from "zod";
import { fail, ok, type Issue, type Issues, type Result } from "./issue";

const valueAt = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (value, key) => (value !== null && typeof value === "object" ? (value as Record<PropertyKey, unknown>)[key] : undefined),
    input,
  );

const article = (noun: string) => (/^[aeiou]/.test(noun) ? `an ${noun}` : `a ${noun}`);

const TYPE_NAMES: Record<string, string> = {
  int: "whole number",
  number: "number",
  string: "text",
  boolean: "yes or no",
  array: "list",
};

/** Zod's own words, which a schema's own text replaces. */
const ZODS_WORDS = /^(Invalid|Too |Unrecognized|Expected)/;

function wantedOf(issue: z.core.$ZodIssue): string {
  if (!ZODS_WORDS.test(issue.message)) return issue.message;
  switch (issue.code) {
    case "invalid_type":
      return article(TYPE_NAMES[issue.expected] ?? issue.expected);
    case "too_small":
      return issue.origin === "array" || issue.origin === "string"
        ? issue.minimum === 1
          ? "at least one entry"
          : `at least ${issue.minimum} entries`
        : `a number ${issue.inclusive === false ? "above" : "of at least"} ${issue.minimum}`;
    case "too_big":
      return issue.origin === "array" || issue.origin === "string"
        ? `at most ${issue.maximum} entries`
        : `a number ${issue.inclusive === false ? "below" : "of at most"} ${issue.maximum}`;
    case "invalid_value":
      return `one of ${issue.values.map((v) => JSON.stringify(v)).join(", ")}`;
    default:
      return issue.message;
  }
}

function codeOf(issue: z.core.$ZodIssue, got: unknown): Issue["code"] {
  if (got === undefined) return "missing";
  switch (issue.code) {
    case "invalid_type":
      return issue.expected === "int" ? "not_an_integer" : "wrong_type";
    case "too_small":
    case "too_big":
      return "out_of_range";
    case "invalid_value":
      return "unknown";
    case "custom":
    case "invalid_format":
      return "unreadable";
    default:
      return "wrong_type";
  }
}

/**
 * Parses anything that comes from outside with its one schema.
 * A schema may give its own expectation as its error text, e.g. `z.union([...], { error: "a number or [min, max]" })`.
 * @returns the parsed value, or every issue in the order in which Zod found them
 */
export function parseWith<S extends z.ZodType>(schema: S, input: unknown): Result<z.output<S>> {
  const parsed = schema.safeParse(input);
  if (parsed.success) return ok(parsed.data);
  const issues = parsed.error.issues.map((issue): Issue => {
    const got = valueAt(input, issue.path);
    return { code: codeOf(issue, got), path: issue.path as (string | number)[], got, wanted: wantedOf(issue) };
  });
  return fail(...(issues as unknown as Issues));
}
