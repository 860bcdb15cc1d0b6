import { otherUnitAt, measureOf, unitOf } from "../quantities/unit-table";
import { parseLine } from "./parse-line";
import { FRACTIONS, plainAmounts } from "./plain-amounts";
import { isDescriptor, wordsOf } from "./words";

/** An amount in a line, as it stands there. */
export interface Amount {
  readonly min: number;
  readonly max: number;
  /** Canonical; "each" where only a number is said. */
  readonly unit: string;
  readonly written: string;
  readonly approx: boolean;
}

/** What a line has of amounts, and its other words. */
export interface Split {
  /** The first is how it is measured; the others say the same in another measure. */
  readonly amounts: readonly Amount[];
  /** Said in brackets: of the whole, or of each. */
  readonly brackets: readonly { readonly amount: Amount; readonly each: boolean }[];
  /** "1 tablespoon plus 1 teaspoon": comes on top. */
  readonly plus: readonly Amount[];
  /** Added by eye on top of the first, in its unit. */
  readonly added: number;
  /** A heaped spoon holds more than a level one. */
  readonly heaped: boolean;
  readonly words: string;
  readonly toTaste: boolean;
  /** Why the amount cannot be read, in the words of the issue. */
  readonly unreadable?: string;
}

const HEAPED = /\b(?:heaped|heaping|rounded)\s+(?:tbsp|table|tsp|tea|dessert)/i;
const NUMBER = `(?:\\d+\\s+\\d+/\\d+|\\d+\\s*[${FRACTIONS}]|[${FRACTIONS}]|\\d+/\\d+|\\d{1,3}(?:,\\d{3})+|\\d*[.,]?\\d+)`;
const RANGE = `${NUMBER}(?:\\s*(?:-|–|—|to|or|bis|à|a)\\s*${NUMBER})?`;
const AMOUNT = new RegExp(`(?<![\\p{L}\\d.,/-])${RANGE}(?![\\d/])`, "giu");
/** Sizes, temperatures and kinds are no amounts. */
const NO_AMOUNT = /^\s*(?:°|º|%|degrees?\b|mm\b|x\s*\d|-?minutes?\b|min\b|hours?\b|days?\b)/i;

const asAmount = (written: string): Amount | undefined => {
  const parsed = parseLine(written);
  if (!parsed.ok || parsed.value.min === null || parsed.value.max === null || parsed.value.unit === null) return undefined;
  const { min, max, unit, approx } = parsed.value;
  return { min, max, unit, approx, written: written.trim() };
};

/** How long the unit at the start of a text is, 0 where there is none. */
function unitLength(text: string): number {
  const lead = /^\s*/.exec(text)![0].length;
  const rest = text.slice(lead);
  if (/^fl\.?\s*oz\b/i.test(rest)) return lead + /^fl\.?\s*oz\.?/i.exec(rest)![0].length;
  const other = otherUnitAt(rest);
  if (other) return lead + other.length;
  const word = /^(\p{L}+)\.?/u.exec(rest);
  return word && (unitOf(word[1]) || word[1] === "T" || word[1] === "t") ? lead + word[0].length : 0;
}

const EACH = /\b(?:each|apiece|per (?:can|tin|jar|pack|piece)|je|jeweils|chacun[e]?|cada un[ao]|l'un[ae]?)\b/i;

/** What comes on top of an amount, or off it: "1 cup plus 2 tbsp", "1 cup minus 1 tbsp". */
const MORE = /^(?:plus|\+|and|&|minus|less)\s+(?=[\d¼½¾])/i;

/** Takes the amounts of a line apart from its words. */
export function splitLine(text: string): Split {
  const brackets: { amount: Amount; each: boolean }[] = [];
  let line = plainAmounts(text).replace(/[([]([^)\]]*)[)\]]/g, (all, inside: string) => {
    const amount = firstAmount(inside);
    // "(6 medium)", "(1 packet)": how many that are says nothing about the weight.
    if (amount && measureOf(amount.amount.unit, "metric") === undefined && wordsOf(amount.left).every(isDescriptor)) return " ";
    if (!amount || measureOf(amount.amount.unit, "metric") === undefined) return all;
    brackets.push({ amount: amount.amount, each: EACH.test(inside) });
    const left = amount.left.replace(EACH, "").replace(/^[\s,;/|=-]+|[\s,;/|=-]+$/g, "");
    return left === "" || firstAmount(left) ? " " : `(${left})`;
  });
  line = line.replace(/\s+/g, " ").trim();

  let added = 0;
  const byEye = /(?:,\s*)?\bby eye\b|\bstart(?:ing)?\b(?: with)?/i.test(line);
  line = line.replace(/,?\s*\+\s*(\d+(?:[.,]\d+)?)\s*(?:g|ml)?(?=\s|$|,)/gi, (all, more: string) => {
    if (!byEye) return all;
    added += Number(more.replace(",", "."));
    return " ";
  });
  if (byEye)
    line = line
      .replace(/(?:,\s*)?\bby eye\b,?|\bstart(?:ing)?\b(?: with)?/gi, " ")
      .replace(/\s+/g, " ")
      .trim();

  const parsed = parseLine(line);
  if (!parsed.ok)
    return {
      amounts: [],
      brackets,
      plus: [],
      added,
      heaped: false,
      words: line,
      toTaste: false,
      unreadable: parsed.issues[0].wanted,
    };
  const amounts: Amount[] = [];
  let words = line;
  let toTaste = parsed.value.kind === "toTaste";
  if (
    parsed.value.min !== null &&
    parsed.value.max !== null &&
    parsed.value.unit !== null &&
    !NO_AMOUNT.test(parsed.value.rest)
  ) {
    const { min, max, unit, approx, rest } = parsed.value;
    const at = rest === "" ? -1 : line.lastIndexOf(rest);
    amounts.push({
      min,
      max,
      unit,
      approx,
      written: (at > 0 ? line.slice(0, at) : line).replace(/\s(?:of|de|di|d['’])\s*$/i, "").trim(),
    });
    words = rest;
  } else if (toTaste) words = parsed.value.rest;
  const plus: Amount[] = [];
  for (let more = MORE.exec(words); more && amounts.length > 0; more = MORE.exec(words)) {
    const found = firstAmount(words.slice(more[0].length));
    if (!found || found.before.trim() !== "" || found.amount.unit === "each") break;
    const less = /minus|less/i.test(more[0]) ? -1 : 1;
    plus.push({ ...found.amount, min: less * found.amount.min, max: less * found.amount.max });
    words = found.left;
  }
  // The same in another measure, or an amount that stands behind.
  for (let found = firstAmount(words); found && amounts.length < 3; found = firstAmount(words)) {
    const same = amounts.length > 0;
    const measured = measureOf(found.amount.unit, "metric");
    if (same && (measured === undefined || measured.dimension === "length" || !/(?:^|\/|\||=|\bor|,)\s*$/i.test(found.before)))
      break;
    amounts.push(found.amount);
    words = found.left;
  }
  if (amounts.length === 0 && !toTaste) {
    // "Eggs – two", "salt: a pinch": a word for the number stands behind.
    const found = firstAmount(
      words.replace(WORD_BEHIND, (_, before: string, n: string) => `${before}${NUMBERS[n.toLowerCase()]} `),
    );
    if (found) {
      amounts.push(found.amount);
      words = found.left;
    }
  }
  if (toTaste) words = words.replace(/^(?:drops?|sprigs?|slices?|pieces?|pinch(?:es)?|dash(?:es)?)\s+(?:of\s+)?/i, "");
  words = words
    .replace(/^(?:of|de|di|du|des)\s+/i, "")
    .replace(
      /\b(?:to taste|as needed|as required|nach geschmack|au goût|al gusto|quanto basta|q\.?b\.?|secukupnya|göre)\b/gi,
      () => {
        toTaste = true;
        return "";
      },
    )
    .replace(/\s+([,;])/g, "$1")
    .replace(/^[\s:;,/|=–—-]+|[\s:;,/|=–—x×-]+$/g, "")
    .trim();
  return { amounts, brackets, plus, added, heaped: HEAPED.test(text), words, toTaste };
}

const NUMBERS: Readonly<Record<string, string>> = {
  a: "1", an: "1", one: "1", two: "2", three: "3", four: "4", five: "5", six: "6", seven: "7", eight: "8", nine: "9", ten: "10", twelve: "12", half: "1/2",
}; // prettier-ignore
const WORD_BEHIND = new RegExp(`([\\s,:–—-])(${Object.keys(NUMBERS).join("|")})(?:\\s+|$)`, "i");

/** The first amount in a text, what stands before it, and the text without it. */
function firstAmount(text: string): { amount: Amount; before: string; left: string } | undefined {
  for (const match of text.matchAll(AMOUNT)) {
    const start = match.index;
    const after = text.slice(start + match[0].length);
    if (NO_AMOUNT.test(after) || /^0\d/.test(match[0])) continue;
    const length = unitLength(after);
    const before = text.slice(0, start);
    const bare = length === 0;
    // A number by itself counts pieces only at the end: "eggs 3", "eggs x 3".
    if (bare && !(after.trim() === "" || /^\s*[,;(]/.test(after) || wordsOf(after).every(isDescriptor))) continue;
    if (bare && (/\b(?:type|typ|typo|tipo|no\.?|nr\.?|t)\s*$/i.test(before) || before.trim() === "")) continue;
    const about = /(?:about|approx\.?|approximately|ca\.?|circa|around|~|≈)\s*$/i.exec(before);
    const amount = asAmount(`${about ? "about " : ""}${match[0]}${after.slice(0, length)}`);
    if (!amount) continue;
    const cut = before.slice(0, before.length - (about?.[0].length ?? 0)).replace(/\s[x×]\s*$/i, " ");
    return {
      amount: { ...amount, written: `${about ? about[0] : ""}${match[0]}${after.slice(0, length)}`.trim() },
      before: cut,
      left: `${cut} ${after.slice(length)}`.replace(/\s+/g, " ").trim(),
    };
  }
  return undefined;
}
