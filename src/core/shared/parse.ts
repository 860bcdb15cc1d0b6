import { z } from "zod";
import { hostileIn } from "./guard";
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
      return (issue.params?.code as Issue["code"] | undefined) ?? "unreadable";
    case "invalid_format":
      return "unreadable";
    default:
      return "wrong_type";
  }
}

/**
 * Parses anything that comes from outside with its one schema.
 * A schema may give its own expectation as its error text, e.g. `z.union([...], { error: "a number or [min, max]" })`.
 * What no schema should be shown (prototype keys, endless texts, cycles) is refused before.
 * @returns the parsed value, or every issue in the order in which Zod found them
 */
export function parseWith<S extends z.ZodType>(schema: S, input: unknown): Result<z.output<S>> {
  const hostile = hostileIn(input);
  if (hostile) return fail(hostile);
  const parsed = schema.safeParse(input);
  if (parsed.success) return ok(parsed.data);
  const issues = parsed.error.issues.flatMap((issue): Issue[] => {
    const path = issue.path as (string | number)[];
    const got = valueAt(input, issue.path);
    // Of a field that is not one its name is what is wrong.
    if (issue.code === "unrecognized_keys")
      return issue.keys.map((key) => ({ code: "unknown", path: [...path, key], got: key, wanted: "the name of a field" }));
    return [{ code: codeOf(issue, got), path, got, wanted: wantedOf(issue) }];
  });
  return fail(...(issues as unknown as Issues));
}
