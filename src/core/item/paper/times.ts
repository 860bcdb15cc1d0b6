import { readNumber } from "../../shared/typed";
import { OVERNIGHT, TIME_UNITS } from "./words";

/** A length of time as it was written, min. */
export interface Length {
  readonly least: number;
  readonly most: number;
  /** As it was written. */
  readonly text: string;
  readonly night?: true;
  /** Two values for one thing, `least` and `most`: both are kept, and the longer one is planned with. */
  readonly twice?: true;
}

/** What is planned with, min: the middle of a range; of two values for one thing the longer. */
export const plannedOf = ({ least, most, twice }: Length): number => (twice ? most : (least + most) / 2);

/** "Overnight" as a length, min. */
const NIGHT = { least: 480, most: 720 } as const;
const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?\s*[¼½¾⅓⅔]?|[¼½¾⅓⅔]|\d+\s+\d\/\d|\d\/\d|an?|one|two|three|half an?|une?|un|eine[rn]?|zwei|deux|dos|due)`;
const UNIT = TIME_UNITS.map(([unit]) => unit.source.slice(1, -1)).join("|");
const LENGTH = new RegExp(
  String.raw`(?<![\p{L}\d])(${NUMBER})\s*(?:(?:-|–|—|to|bis|à|a|ile|do|tot|or)\s*(${NUMBER})\s*)?(${UNIT})(?!\p{L})(?:\s*(?:and|und|et|y|e|i|en)?\s*(\d+)\s*(?:min|minutes?|minuten|')(?!\p{L}))?`,
  "giu",
);
const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  un: 1,
  une: 1,
  ein: 1,
  eine: 1,
  einer: 1,
  einen: 1,
  two: 2,
  zwei: 2,
  deux: 2,
  dos: 2,
  due: 2,
  three: 3,
  "half a": 0.5,
  "half an": 0.5,
};

const figure = (text: string): number => WORDS[text.toLowerCase().replace(/\s+/g, " ")] ?? readNumber(text.trim()) ?? NaN;
const factorOf = (unit: string): number => TIME_UNITS.find(([pattern]) => pattern.test(unit))?.[1] ?? NaN;

/** Between two values for the same thing: "40 min (mine took 75)", "an hour or 90 minutes". */
export const DOUBT =
  /\bor\b|\boder\b|\bou\b|\bmine\b|\bmy (?:oven|kitchen|house|fryer|steamer)\b|\bactually\b|\btook\b|\bin fact\b|\bfor me\b|\bwith me\b|bei mir|chez moi/iu;

/** The length that is said of a stage: the longest that is named; two values for one thing as both. */
export function lengthOf(said: string): Length | undefined {
  const sentence = inFigures(said);
  const lengths = lengthsIn(sentence);
  const longest = [...lengths].sort((a, b) => b.most - a.most)[0];
  const [first, second] = lengths;
  if (lengths.length !== 2 || first.night || second.night || first.most === second.most) return longest;
  const from = sentence.indexOf(first.text) + first.text.length;
  const to = sentence.indexOf(second.text, from);
  if (to < 0 || /[.;]/.test(sentence.slice(from, to)) || !DOUBT.test(sentence.slice(from, to + second.text.length + 20)))
    return longest;
  return {
    least: Math.min(first.most, second.most),
    most: Math.max(first.most, second.most),
    text: sentence.slice(sentence.indexOf(first.text), to + second.text.length),
    twice: true,
  };
}

/** "An hour and a half", "two and a half hours", with figures. */
const inFigures = (sentence: string): string =>
  sentence
    .replace(/\b(?:an?|one|1)\s+hour\s+and\s+a\s+half\b/giu, "90 minutes")
    .replace(
      /\b(\d+|one|two|three)\s+and\s+a\s+half\s+hours?\b/giu,
      (_, hours: string) => `${(WORDS[hours.toLowerCase()] ?? Number(hours)) + 0.5} hours`,
    );

/** The lengths of time that a sentence names, in their order; "overnight" is one of them. Lengths of seconds and of days over a week are none. */
export function lengthsIn(said: string): Length[] {
  const sentence = inFigures(said);
  const found: (Length & { readonly at: number })[] = [];
  for (const match of sentence.matchAll(LENGTH)) {
    const [text, first, second, unit, minutes] = match;
    const factor = factorOf(unit);
    const least = figure(first) * factor + (minutes ? Number(minutes) : 0);
    const most = second === undefined ? least : figure(second) * factor;
    if (!(least > 0) || !(most >= least) || most > 10080) continue;
    found.push({ least, most, text: text.trim(), at: match.index });
  }
  const night = OVERNIGHT.exec(sentence);
  if (night) found.push({ ...NIGHT, text: night[0], night: true, at: night.index });
  return found.sort((a, b) => a.at - b.at).map(({ at: _at, ...length }) => length);
}
