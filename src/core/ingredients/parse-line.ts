import { fail, ok, type Result } from "../shared/issue";
import units from "../tables/units.json";
import { otherUnitAt, unitOf } from "../quantities/unit-table";

/** What was understood of an ingredient line. */
export interface ParsedLine {
  readonly kind: "exact" | "range" | "toTaste" | "none";
  /** Amount in `unit`; null where the line names none. */
  readonly min: number | null;
  readonly max: number | null;
  /** Canonical unit; "each" for what is counted, null where there is no amount. */
  readonly unit: string | null;
  /** What is left: the ingredient and how it is prepared. */
  readonly rest: string;
  /** "about 2 cups": the amount is not meant exactly. */
  readonly approx: boolean;
}

const SIGNS = new RegExp(`[${Object.keys(units.fractions).join("")}]`, "g");
const WORDS: Readonly<Record<string, number>> = units.numberWords;
const FRACTIONS: Readonly<Record<string, string>> = units.fractions;
const NUMBER_WORDS = Object.keys(WORDS).filter((word) => word !== "half" && word !== "quarter");
const WORD = new RegExp(`^(${NUMBER_WORDS.sort((a, b) => b.length - a.length).join("|")})(?=\\s)`, "i");

const normal = (text: string): string =>
  text
    .replace(/[–—−‒]/g, "-")
    .replace(/⁄/g, "/")
    .replace(SIGNS, (sign) => ` ${FRACTIONS[sign]}`)
    .replace(/\s+/g, " ")
    .trim();

interface Read {
  readonly value: number;
  readonly length: number;
}

/** A number at the start of a text; "unreadable" for a fraction over nothing, undefined where there is none. */
function readNumber(text: string): Read | "unreadable" | undefined {
  const mixed = /^(\d+) +(\d+) ?\/ ?(\d+)/.exec(text) ?? dashed(text);
  if (mixed) {
    const [all, whole, over, under] = mixed;
    return Number(under) === 0 ? "unreadable" : { value: Number(whole) + Number(over) / Number(under), length: all.length };
  }
  const fraction = /^(\d+) ?\/ ?(\d+)/.exec(text);
  if (fraction)
    return Number(fraction[2]) === 0
      ? "unreadable"
      : { value: Number(fraction[1]) / Number(fraction[2]), length: fraction[0].length };
  const thousands = /^[1-9]\d{0,2}(?:,\d{3})+(?!\d)(?:\.\d+)?/.exec(text);
  if (thousands) return { value: Number(thousands[0].replace(/,/g, "")), length: thousands[0].length };
  const decimal = /^\d*[.,]\d+/.exec(text);
  if (decimal) return { value: Number(decimal[0].replace(",", ".")), length: decimal[0].length };
  const whole = /^\d+/.exec(text);
  if (whole) return { value: Number(whole[0]), length: whole[0].length };
  const part = /^(?:a )?(half|quarter)(?: an?(?= |$))?(?= |$)/i.exec(text);
  if (part) return { value: WORDS[part[1].toLowerCase()], length: part[0].length };
  const word = WORD.exec(text);
  return word ? { value: WORDS[word[1].toLowerCase()], length: word[0].length } : undefined;
}

/** "1-1/2": a mixed number where the fraction is a proper one, else the start of a range. */
function dashed(text: string): RegExpExecArray | undefined {
  const found = /^(\d+)-(\d+)\/(\d+)/.exec(text);
  return found && Number(found[2]) < Number(found[3]) ? found : undefined;
}

const nothing = (rest: string, kind: "toTaste" | "none", approx: boolean): Result<ParsedLine> =>
  ok({ kind, min: null, max: null, unit: null, rest, approx });

/**
 * Reads one ingredient line as cooks write it: mixed fractions, ½, ranges, pinches, "2 eggs", "to taste".
 * @returns the amount with its unit and what is left. Issues on `text`: `missing`, `out_of_range`, `unreadable`, `inconsistent`.
 */
export function parseLine(text: string): Result<ParsedLine> {
  const refuse = (code: "out_of_range" | "unreadable" | "inconsistent", wanted: string) =>
    fail({ code, path: ["text"], got: text, wanted });
  let left = normal(text);
  if (left === "") return fail({ code: "missing", path: ["text"], wanted: "an ingredient line" });
  const about = /^(?:(?:about|approximately|approx|around|circa|ca)(?=[ .\d]|$)\.?|[~≈]) */i.exec(left);
  const approx = about !== null;
  if (about) left = left.slice(about[0].length);
  if (/^- *\.?\d/.test(left)) return refuse("out_of_range", "an amount of 0 or more");
  const times = /^(\d+) *[x×] *(?=[\d.])/.exec(left);
  const multiplier = times ? Number(times[1]) : 1;
  if (times) left = left.slice(times[0].length);
  const vague = /^(?:a )?(?:little|few|handful|some)(?: of)? (.*)$/i.exec(left);
  if (vague) return nothing(vague[1].trim(), "toTaste", approx);

  const first = readNumber(left);
  if (first === "unreadable") return refuse("unreadable", "a fraction whose lower number is not 0");
  if (!first) return withoutNumber(left, approx);
  left = left.slice(first.length);
  let max = first.value;
  const joint = /^ ?(?:-|to\b|or\b) ?(?=\d|\.|an?\b|half\b)/i.exec(left);
  let ranged = false;
  if (joint) {
    const second = readNumber(left.slice(joint[0].length));
    if (second === "unreadable") return refuse("unreadable", "a fraction whose lower number is not 0");
    if (second) {
      ranged = true;
      max = second.value;
      left = left.slice(joint[0].length + second.length);
    }
  }
  if (max < first.value) return refuse("inconsistent", "a range that goes up");
  if (max === 0) return refuse("out_of_range", "an amount above 0");
  const { unit, rest } = readUnit(left.trim());
  return ok({
    kind: ranged ? "range" : "exact",
    min: first.value * multiplier,
    max: max * multiplier,
    unit,
    rest: tidy(rest),
    approx,
  });
}

function withoutNumber(left: string, approx: boolean): Result<ParsedLine> {
  const small = /^(pinch|dash|drop|knob|sprig|bunch)(?: of)?(?= |$)/i.exec(left);
  if (small)
    return ok({ kind: "exact", min: 1, max: 1, unit: small[1].toLowerCase(), rest: tidy(left.slice(small[0].length)), approx });
  const taste = /(?:,? *)\b(?:to taste|as needed|as required|for (?:dusting|frying|greasing|brushing|serving))\b/i;
  if (taste.test(left)) return nothing(left.replace(taste, "").replace(/^[, ]+|[, ]+$/g, ""), "toTaste", approx);
  return nothing(left, "none", approx);
}

function readUnit(text: string): { unit: string; rest: string } {
  const ounces = /^(?:fl\.?\s*oz|fluid ounces?)\.?(?= |$)/i.exec(text);
  if (ounces) return { unit: "floz", rest: text.slice(ounces[0].length) };
  const other = otherUnitAt(text);
  if (other) return { unit: other.unit, rest: text.slice(other.length) };
  const word = /^(\p{L}+)\.?(?=[ ,)]|$)/u.exec(text);
  if (!word) return { unit: "each", rest: text };
  // Case tells tablespoon from teaspoon in these two only.
  const unit = word[1] === "T" ? "tbsp" : word[1] === "t" ? "tsp" : unitOf(word[1]);
  return unit ? { unit, rest: text.slice(word[0].length) } : { unit: "each", rest: text };
}

const tidy = (rest: string): string =>
  rest
    .trim()
    .replace(/^(?:of |de |di |du |des |d['’](?=\p{L}))/iu, "")
    .replace(/^,/, "")
    .trim();
