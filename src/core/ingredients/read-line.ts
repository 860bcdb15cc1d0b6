import { ASSUMED_ML, measureOf, type System } from "../quantities/unit-table";
import units from "../tables/units.json";
import { splitLine, type Amount, type Split } from "./amount";
import type { Ingredient } from "./catalogue";
import { findIngredient, type Found, type Index } from "./find";
import { gramsOfUnit, ofSize, type Size } from "./grams";
import { wordsOf } from "./words";

/** What is still missing of a line. */
export type Gap = "no-amount" | "not-known" | "no-measure" | "unreadable";

/** One line of a recipe and what was understood of it. It is never dropped: what is missing is its gap. */
export interface Reading {
  /** As it was written. */
  readonly text: string;
  /** "For the dough:" */
  readonly heading: boolean;
  readonly found: Found | undefined;
  /** The words that are left without the amount, as they stand in a formula. */
  readonly name: string;
  /** The amount as written; null where there is none. */
  readonly amount: string | null;
  /** g as it goes in, at the middle of a range; null where it cannot be weighed. */
  readonly grams: number | null;
  readonly minG: number | null;
  readonly maxG: number | null;
  /** g as it is bought, where something is trimmed off. */
  readonly wholeG: number | null;
  readonly via: "mass" | "density" | "unitWeight" | null;
  /** A measure that was taken to be of a usual size: "glass", 200 ml. */
  readonly assumed: { readonly unit: string; readonly ml: number } | null;
  readonly approx: boolean;
  readonly toTaste: boolean;
  readonly gap: Gap | null;
  /** What was expected where an amount cannot be read. */
  readonly wanted?: string;
}

/** What is sold in tins is meant as it comes out of one: "1 can tomatoes". */
function foundIn(name: string, split: Split, index: Index): Found | undefined {
  const found = findIngredient(name, index);
  if (!found || split.amounts[0]?.unit !== "can") return found;
  const tinned = findIngredient(`canned ${name}`, index);
  return tinned && tinned.main !== found.main ? tinned : found;
}

const PACKS: ReadonlySet<string> = new Set(
  "can jar bottle carton tub pack sachet tube bar block log ball punnet stick".split(" "),
);
/** Words for one thing by other words. */
const UNIT_SAME: Readonly<Record<string, readonly string[]>> = {
  can: ["can", "tin"],
  stalk: ["stalk", "rib", "stick", "each"],
  pack: ["pack", "packet", "block", "sachet", "bag", "tub"],
  sachet: ["sachet", "bag", "pack"],
  tub: ["tub", "pot"],
  ear: ["ear", "cob", "each"],
  bulb: ["bulb", "head", "each"],
  fillet: ["fillet", "each"],
  wedge: ["wedge"],
  slice: ["slice"],
  cube: ["cube", "each"],
  each: ["each", "head", "bulb"],
  clove: ["clove", "each"],
  bunch: ["bunch", "handful"],
  pod: ["pod", "each"],
  ball: ["ball", "each"],
};

interface Weight {
  readonly grams: number;
  readonly whole: number;
  readonly via: "mass" | "density" | "unitWeight";
}

/** g of one unit of an ingredient, as it goes in and whole. */
function weightOf(
  unit: string,
  words: readonly string[],
  size: Size,
  system: System,
  main: Ingredient | undefined,
): Weight | undefined {
  const length = measureOf(unit, system);
  if (length?.dimension === "length") {
    const inch = main?.pieces.inch;
    if (inch === undefined) return undefined;
    const grams = (length.factor / 25.4) * ofSize(inch, size);
    return { grams, whole: grams, via: "unitWeight" };
  }
  // "6 cabbage leaves", "2 celery stalks": the word for the piece stands with the name.
  const worded =
    unit === "each" && main ? Object.keys(main.pieces).find((piece) => piece !== "each" && words.includes(piece)) : undefined;
  for (const tried of worded ? [worded] : (UNIT_SAME[unit] ?? [unit])) {
    const one = gramsOfUnit(tried, size, system, main);
    if (!one) continue;
    const trimmed = tried === "each" && main?.trimmed !== undefined ? ofSize(main.trimmed, size) : one.grams;
    return { grams: trimmed, whole: one.grams, via: one.via };
  }
  // What is counted by its stalk is what is counted.
  if (unit === "each" && main?.pieces.stalk !== undefined) {
    const grams = ofSize(main.pieces.stalk, size);
    return { grams, whole: grams, via: "unitWeight" };
  }
  return undefined;
}

/** Longer than any line of a recipe. */
const MOST_CHARACTERS = 500;
const LINE = `a line of at most ${MOST_CHARACTERS} characters`;

const middle = (amount: { min: number; max: number }): number => (amount.min + amount.max) / 2;

/** Whether a line names an ingredient by itself, with nothing strange beside it. */
export const isRecognised = ({ found }: Pick<Reading, "found">): boolean => found !== undefined && found.strange.length === 0;

/**
 * Reads a line as cooks write it, in the words of several languages: an amount anywhere, weights in brackets, ranges,
 * tins and packs with their sizes, parts of eggs. Amounts are weighed by the catalogue and by a system of cups and spoons.
 */
export function readLine(text: string, system: System, index: Index): Reading {
  const bare = text.trim();
  const nothing = { minG: null, maxG: null, grams: null, wholeG: null, via: null, assumed: null, amount: null, approx: false };
  if (bare.length > MOST_CHARACTERS)
    return { ...nothing, text, heading: false, found: undefined, name: bare, toTaste: false, gap: "unreadable", wanted: LINE };
  if (/^[^\d½¼¾]*:$/u.test(bare) || /^#+\s/.test(bare))
    return { ...nothing, text, heading: true, found: undefined, name: bare, toTaste: false, gap: null };
  const split = splitLine(bare);
  const name = nameOf(split.words);
  const found = name === "" ? undefined : foundIn(name, split, index);
  const base = { text, heading: false, found, name: name || bare, toTaste: split.toTaste };
  // "100 g each of butter and sugar" are two lines: nothing of it may get lost.
  if (found && found.inHead > 1 && /\beach\b/i.test(bare) && /\band\b|&/i.test(name))
    return { ...base, ...nothing, gap: "unreadable", wanted: "one ingredient a line" };
  if (split.unreadable !== undefined) return { ...base, ...nothing, gap: "unreadable", wanted: split.unreadable };
  const written = [
    ...split.amounts.map((a) => a.written),
    ...split.brackets.map((b) => `(${b.amount.written}${b.each ? " each" : ""})`),
  ];
  const lead = split.amounts.length > 0 ? leadOf(bare, split.words) : undefined;
  const amount = written.length > 0 ? (lead ?? asWritten(written.join(" "), bare)) : null;
  // What is not quite known is weighed by its weight alone: nobody knows how much a cup of it holds.
  const sure = isRecognised(base);
  const weighed = weigh(split, sure ? found : undefined, system);
  const approx = split.amounts.some((a) => a.approx) || split.brackets.some((b) => b.amount.approx);
  const assumedUnit = split.amounts.map((a) => a.unit).find((unit) => Object.hasOwn(ASSUMED_ML, unit));
  const assumed = assumedUnit && weighed?.via === "density" ? { unit: assumedUnit, ml: ASSUMED_ML[assumedUnit] } : null;
  if (!weighed)
    return {
      ...base,
      ...nothing,
      amount,
      approx,
      gap: !sure ? "not-known" : amount === null ? "no-amount" : "no-measure",
    };
  return { ...base, ...weighed, amount, approx, assumed, gap: sure ? null : "not-known" };
}

/** What stands before the words of a line, where that is the amount as it was written. */
function leadOf(line: string, words: string): string | undefined {
  if (words === "" || !line.endsWith(words)) return undefined;
  const lead = line
    .slice(0, line.length - words.length)
    .replace(/^\s*[-–—•*·]\s*/u, "")
    .replace(/(?:\s(?:of|de|di|du|des)|\sd['’])\s*$/i, "")
    .replace(/[\s:,]+$/, "")
    .trim();
  return lead === "" ? undefined : lead;
}

const SIGNS: Readonly<Record<string, string>> = units.fractions;
/** An amount with the fraction signs of the line it was read from. */
const asWritten = (amount: string, line: string): string =>
  Object.entries(SIGNS).reduce(
    (text, [sign, plain]) => (line.includes(sign) ? text.replace(` ${plain}`, sign).replace(plain, sign) : text),
    amount,
  );

interface Weighed {
  readonly grams: number;
  readonly minG: number;
  readonly maxG: number;
  readonly wholeG: number | null;
  readonly via: "mass" | "density" | "unitWeight";
}

function weigh(split: Split, found: Found | undefined, system: System): Weighed | undefined {
  const words = wordsOf(split.words);
  const size: Size =
    words.includes("large") || words.includes("big") || words.includes("jumbo")
      ? "large"
      : words.includes("small")
        ? "small"
        : "medium";
  const main = found?.main;
  const first: Amount | undefined = split.amounts[0];
  const by = (amount: Amount): Weighed | undefined => {
    const level = weightOf(amount.unit, words, size, system, main);
    if (!level) return undefined;
    const one =
      split.heaped && level.via === "density" ? { ...level, grams: HEAP * level.grams, whole: HEAP * level.whole } : level;
    const plus = split.plus.map((p) => middle(p) * (weightOf(p.unit, words, size, system, main)?.grams ?? 0));
    const more = partsOfEggs(split.words, main) + split.added * one.grams;
    const sure = plus.reduce((sum, g) => sum + g, 0);
    const wholeG = one.whole === one.grams ? null : middle(amount) * one.whole;
    const maxG = amount.max * one.grams + sure + more;
    const minG = amount.min * one.grams + sure + (split.added > 0 ? 0 : more);
    return { grams: middle(amount) * one.grams + sure + more, minG, maxG, wholeG, via: one.via };
  };
  const isMass = (amount: Amount) => measureOf(amount.unit, system)?.dimension === "mass";
  // Weights win over measures: in the line itself, then in brackets.
  const mass = split.amounts.find(isMass);
  const bracket =
    split.brackets.find(({ amount }) => isMass(amount)) ??
    split.brackets.find(({ amount }) => measureOf(amount.unit, system)?.dimension === "volume");
  if (mass && mass !== first && first !== undefined && !isMass(first)) return by(mass);
  if (mass) return by(mass);
  if (bracket) {
    const said = by(bracket.amount);
    if (said && first === undefined) return drained(said, split.words, main);
    if (said)
      return drained(
        times(said, first!, bracket.each, weightOf(first!.unit, words, size, system, main)?.whole),
        split.words,
        main,
      );
  }
  for (const amount of split.amounts) {
    const weighed = by(amount);
    if (weighed) return weighed;
  }
  return undefined;
}

/** Of a tin of pulses about three fifths are left without the liquid. */
function drained(weighed: Weighed, words: string, main: Ingredient | undefined): Weighed {
  if (!/\bdrained\b/i.test(words) || !main?.kinds.includes("pulse")) return weighed;
  const part = 0.6;
  return { ...weighed, grams: weighed.grams * part, minG: weighed.minG * part, maxG: weighed.maxG * part };
}

/** A heaped or rounded spoon to a level one. */
const HEAP = 1.5;

/** A weight in brackets is of all of what is counted, or of each pack. */
function times(said: Weighed, first: Amount, each: boolean, usual: number | undefined): Weighed {
  const count = middle(first);
  // "2 sticks (226 g)": each is what a stick weighs, so that was the whole.
  const isWhole = usual !== undefined && Math.abs(Math.log(said.grams / count / usual)) < 0.1;
  const per = each || (PACKS.has(first.unit) && !isWhole);
  if (!per) return said;
  return { ...said, grams: said.grams * count, minG: said.minG * first.min, maxG: said.maxG * first.max };
}

/** "1 egg plus 2 yolks": what is beside the eggs, g. */
function partsOfEggs(words: string, main: Ingredient | undefined): number {
  const more = /(?:\+|plus|and|&)\s*(\d+)\s*(?:egg\s+)?(yolk|white)s?\b/i.exec(words);
  if (!more || !main?.kinds.includes("egg")) return 0;
  return Number(more[1]) * (more[2].toLowerCase() === "yolk" ? 17 : 34);
}

const LEADING_PACK =
  /^(?:cans?|tins?|jars?|packs?|packets?|packages?|bags?|box(?:es)?|cartons?|tubs?|bottles?|sachets?|pieces?)\s+(?:of\s+)?(?=\p{L})/iu;

/** What is left of the words once packs and joints are gone; "1 lemon, juiced" is its juice, "egg, yolk only" the yolk. */
function nameOf(words: string): string {
  const plain = words
    .replace(LEADING_PACK, "")
    .replace(/^(?:of|de|di|du|des|d')\s+/i, "")
    .replace(/\s+/g, " ")
    .trim();
  const inBrackets = /^(.*\b(?:lemons?|limes?|oranges?)\b.*?)\s*\((juice|zest)(?: only)?\)$/i.exec(plain);
  if (inBrackets) return `${inBrackets[1].replace(/s$/i, "")} ${inBrackets[2].toLowerCase()}`;
  if (/\b(?:lemons?|limes?|oranges?)\b[^,]*,\s*(?:juiced|juice(?: only)?|squeezed)$/i.test(plain))
    return `${plain.split(",")[0]} juice`;
  if (/\b(?:lemons?|limes?|oranges?)\b[^,]*,\s*(?:zested|zest(?: only)?|grated zest|zest grated)$/i.test(plain))
    return `${plain.split(",")[0]} zest`;
  if (/^eggs?\b.*\b(yolk|white)s? only/i.test(plain)) return `egg ${/yolk/i.test(plain) ? "yolk" : "white"}`;
  return plain;
}
