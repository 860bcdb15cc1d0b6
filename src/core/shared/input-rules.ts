import { fail, ok, type Issue, type Result } from "./issue";

/**
 * What a method accepts, as data: field by field in the order of the checks. A rule is one of `num`, `int`, `oneOf`,
 * `text`, `bool`, `list` (with `least`) and `object`; without `default` and `optional` a field is needed.
 */
export interface Rule {
  readonly num?: readonly number[];
  readonly int?: readonly number[];
  readonly above?: boolean;
  readonly unit?: string;
  readonly oneOf?: readonly string[];
  readonly text?: boolean;
  readonly bool?: boolean;
  readonly list?: Rule;
  readonly least?: number;
  readonly object?: Rules;
  readonly default?: unknown;
  readonly optional?: boolean;
}
export type Rules = Readonly<Record<string, Rule>>;

type Path = readonly (string | number)[];

/** Reads an input by its rules. Fields that are not listed are ignored; null counts as not given; the first fault is the answer. */
export function readByRules(rules: Rules, input: unknown): Result<Record<string, unknown>> {
  if (input === null || typeof input !== "object" || Array.isArray(input))
    return fail({ code: "wrong_type", path: [], got: input, wanted: "an object" });
  return readFields(rules, input as Record<string, unknown>, []);
}

function readFields(rules: Rules, input: Record<string, unknown>, path: Path): Result<Record<string, unknown>> {
  const out: Record<string, unknown> = {};
  for (const [field, rule] of Object.entries(rules)) {
    const given = input[field];
    const at = [...path, field];
    if (given === undefined || given === null) {
      if ("default" in rule) out[field] = rule.default;
      else if (!rule.optional) return fail({ code: "missing", path: at, wanted: wanted(rule) });
      continue;
    }
    const read = readValue(rule, given, at);
    if (!read.ok) return read;
    out[field] = read.value;
  }
  return ok(out);
}

function readValue(rule: Rule, value: unknown, path: Path): Result<unknown> {
  const refuse = (code: Issue["code"]) => fail({ code, path, got: value, wanted: wanted(rule) });
  const bounds = rule.num ?? rule.int;
  if (bounds) {
    if (typeof value !== "number" || !Number.isFinite(value)) return refuse("wrong_type");
    if (rule.int && !Number.isInteger(value)) return refuse("not_an_integer");
    const [least, most] = bounds;
    return value < least || value > most || (rule.above && value === least) ? refuse("out_of_range") : ok(value);
  }
  if (rule.oneOf) return rule.oneOf.includes(value as string) ? ok(value) : refuse("unknown");
  if (rule.text) return typeof value !== "string" ? refuse("wrong_type") : value.trim() === "" ? refuse("missing") : ok(value);
  if (rule.bool) return typeof value === "boolean" ? ok(value) : refuse("wrong_type");
  if (rule.list) {
    if (!Array.isArray(value)) return refuse("wrong_type");
    if (value.length < (rule.least ?? 0)) return refuse("missing");
    const out: unknown[] = [];
    for (let i = 0; i < value.length; i++) {
      const item = value[i] as unknown;
      if (item === null || item === undefined) return fail({ code: "missing", path: [...path, i], wanted: wanted(rule.list) });
      const read = readValue(rule.list, item, [...path, i]);
      if (!read.ok) return read;
      out.push(read.value);
    }
    return ok(out);
  }
  if (typeof value !== "object" || Array.isArray(value)) return refuse("wrong_type");
  return readFields(rule.object ?? {}, value as Record<string, unknown>, path);
}

/** What a rule expects, as a phrase that follows "expected". */
function wanted(rule: Rule): string {
  const bounds = rule.num ?? rule.int;
  if (bounds) {
    const [least, most] = bounds;
    const range = rule.above ? `above ${least} and at most ${most}` : `${least} to ${most}`;
    return `${rule.int ? "a whole number " : ""}${range}${rule.unit && rule.unit !== "any" ? ` ${rule.unit}` : ""}`;
  }
  if (rule.oneOf) return `one of ${rule.oneOf.join(", ")}`;
  if (rule.text) return "a text";
  if (rule.bool) return "true or false";
  if (rule.list) return rule.least ? `a list of at least ${rule.least}` : "a list";
  return "an object";
}
