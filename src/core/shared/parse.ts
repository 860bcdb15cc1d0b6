import { z } from "zod";
import { hostileIn } from "./guard";
import { nearest, unknownKeys } from "./known-keys";
import { fail, failWith, MOST_ISSUES, ok, type Issue, type Result } from "./issue";

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

const didYouMean = (got: unknown, known: readonly unknown[]): string => {
  const near = typeof got === "string" ? nearest(got, known.map(String)) : undefined;
  return near === undefined ? "" : `; did you mean “${near}”?`;
};

function wantedOf(issue: z.core.$ZodIssue, got: unknown): string {
  if (!ZODS_WORDS.test(issue.message))
    return issue.code === "invalid_value" ? `${issue.message}${didYouMean(got, issue.values)}` : issue.message;
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
      if (issue.origin === "string") return `at most ${issue.maximum} characters`;
      return issue.origin === "array"
        ? `at most ${issue.maximum} entries`
        : `a number ${issue.inclusive === false ? "below" : "of at most"} ${issue.maximum}`;
    case "invalid_value":
      return `one of ${issue.values.map((v) => JSON.stringify(v)).join(", ")}${didYouMean(got, issue.values)}`;
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

/** What is said of a value: of a list that is too long or too short how long it is. */
const gotOf = (issue: z.core.$ZodIssue, got: unknown): unknown =>
  issue.code === "too_big" && Array.isArray(got) ? `${got.length} entries` : got;

function issuesOf(error: z.ZodError, input: unknown): Issue[] {
  return error.issues.slice(0, MOST_ISSUES).flatMap((issue): Issue[] => {
    const path = issue.path as (string | number)[];
    const got = valueAt(input, issue.path);
    // Of a field that is not one its name is what is wrong.
    if (issue.code === "unrecognized_keys")
      return issue.keys.map((key) => ({ code: "unknown", path: [...path, key], got: key, wanted: "the name of a field" }));
    return [{ code: codeOf(issue, got), path, got: gotOf(issue, got), wanted: wantedOf(issue, got) }];
  });
}

const read = <S extends z.ZodType>(schema: S, input: unknown, strange: (most: number) => Issue[]): Result<z.output<S>> => {
  const hostile = hostileIn(input);
  if (hostile) return fail(hostile);
  const parsed = schema.safeParse(input);
  const wrong = parsed.success ? [] : issuesOf(parsed.error, input);
  // A document of another kind is told so; else the strange field comes first, since what is missing may be meant by it.
  const [format, rest] = [wrong.filter(isOfFormat), wrong.filter((issue) => !isOfFormat(issue))];
  const issues = [...format, ...strange(MOST_ISSUES), ...rest];
  return issues.length > 0 ? failWith(issues) : ok(parsed.data as z.output<S>);
};

const isOfFormat = ({ path }: Issue): boolean => path.length === 1 && path[0] === "format";

/**
 * Parses anything that comes from outside with its one schema; fields that the schema does not know are refused.
 * A schema may give its own expectation as its error text, e.g. `z.union([...], { error: "a number or [min, max]" })`.
 * What no schema should be shown (prototype keys, endless texts, cycles) is refused before.
 * @returns the parsed value, or the first twenty issues: the strange fields, then in the order in which Zod found them
 */
export const parseWith = <S extends z.ZodType>(schema: S, input: unknown): Result<z.output<S>> =>
  read(schema, input, (most) => unknownKeys(schema, input, most));

/** Reads what is known of a document and lets other fields go: one that this application stored in an older version. */
export const parseKnown = <S extends z.ZodType>(schema: S, input: unknown): Result<z.output<S>> => read(schema, input, () => []);
