import { isRecognised, type Reading } from "../../ingredients/read-line";
import { VERBS } from "./words";

/** Where an amount begins within a sentence: a figure, a fraction, "a teaspoon", "eine Prise". */
const AMOUNT =
  /(?<![\p{L}\d.,/])(?:(?:\d+(?:[.,]\d+)?(?:\s*(?:-|–|to|bis|à)\s*\d+(?:[.,]\d+)?)?(?:\s+\d\/\d|\/\d+|\s*[¼½¾⅓⅔⅛])?|[¼½¾⅓⅔⅛])|(?:an?|one|two|three|half an?|ein(?:e[nmrs]?)?|une?|una?|uno)(?=\s+(?:level\s+|heaped\s+|good\s+|large\s+|small\s+|big\s+)?(?:teaspoons?|tablespoons?|tsp|tbsp|cups?|pinch|handfuls?|knob|dash|clove|bunch|tin|can|eggs?|egg|onions?|prise|handvoll|teelöffel|esslöffel|el|tl|pincée|cuill|poignée|pizca|pu[ñn]ado|pizzico|\p{L}+onion|zwiebel|ei)\b))/giu;

/** Words that end what an amount is of: what comes then is done with it, or is something else. */
const STOPS = new Set(
  (
    "and or with in into to for until till from on onto at by over under is are was were go goes going get gets come comes so that which who when while then " +
    "all each per through about has have it its them they i we you bit little together added adding add worked mashed whisked beaten-in " +
    "und oder mit in im ins zu zum zur auf bis aus für bei werden wird dann et ou avec dans en pour jusqu puis sur con y o hasta para e con fino per poi"
  ).split(" "),
);
const LINKS = /^(?:of|d['’]|de|du|des|di|von)$/iu;
const isStop = (word: string): boolean => {
  const bare = word.toLowerCase().replace(/[^\p{L}'’-]/gu, "");
  return STOPS.has(bare) || (!LINKS.test(bare) && /(?:ing|kneten|rühren|kochen|geben|mischen)$/u.test(bare) && isVerb(bare));
};
/** What was done with it, or is: "flour rubbed with", "beef browned". */
const isDoneTo = (word: string): boolean => /(?:ed|makes?|gets?|goes?)$/iu.test(word.replace(/[^\p{L}]/gu, ""));
const isVerb = (word: string): boolean =>
  Object.values(VERBS).some((verb) => verb.test(word)) || /(?:kneten|rühren|kochen|geben|mischen)$/u.test(word);

/** Units of time, heat and length: they are of no ingredient. */
const NO_INGREDIENT =
  /^\s*(?:min|mins|minutes?|minuten|hours?|hrs?|h|stunden?|heures?|horas?|ore|days?|tage?|secs?|seconds?|[°º]\s*[cf]?|degrees?|grad|c|f|mm|cm|inch(?:es)?|%|times?|mal|sides?|pieces?|stücke?|rounds?|circles?|balls?|parts?|people|persons?)(?!\p{L})/iu;

/** Most words that name an ingredient. */
const MOST_WORDS = 6;

/** What a sentence names with an amount: the reading, and where it stands. */
export interface Named {
  readonly reading: Reading;
  readonly at: number;
}

/**
 * Ingredients with their amounts, as a sentence names them in passing: "rub 200 g of cold butter into the flour". What nobody knows
 * is kept where it is weighed; an amount of time, heat or length is none.
 * @param read reads a line of a recipe
 */
export function amountsIn(sentence: string, read: (line: string) => Reading): Named[] {
  const named: Named[] = [];
  const starts = [...sentence.matchAll(AMOUNT)].map((match) => ({ at: match.index, text: match[0] }));
  starts.forEach(({ at, text }, k) => {
    const rest = sentence.slice(at + text.length, starts[k + 1]?.at ?? sentence.length);
    if (NO_INGREDIENT.test(rest)) return;
    const clause = rest.split(/[,;.:!?()](?!\d)|\s[-–—]\s|\s(?:cut|rubbed|worked) in(?:to)?\b/u)[0];
    const words: string[] = [];
    for (const word of clause.split(/\s+/).filter((one) => one !== "")) {
      if (words.length > 0 && isStop(word)) break;
      if (words.length === MOST_WORDS) break;
      words.push(word);
    }
    // The longest run of words that names one thing and nothing strange; what is weighed and not known stays as it is called.
    let known: Reading | undefined;
    for (let most = words.length; most > 0; most--) {
      const reading = read(`${text} ${words.slice(0, most).join(" ")}`);
      if (!isRecognised(reading) || reading.grams === null) continue;
      known ??= reading;
      const next = words[most];
      if (next === undefined || isStop(next) || isVerb(next) || isDoneTo(next)) {
        named.push({ reading, at });
        return;
      }
    }
    const whole = read(`${text} ${words.join(" ")}`);
    // What is weighed and not known stays as it is called; what is counted is known by its first words, or not at all.
    if (whole.via === "mass" || isRecognised(whole)) named.push({ reading: whole, at });
    else if (known) named.push({ reading: known, at });
  });
  return named;
}

/** A sentence's words between what ends an ingredient. */
function chunksOf(sentence: string): string[] {
  const chunks: string[][] = [[]];
  for (const clause of sentence.split(/[,;.:!?()]|\s[-–—]\s/u)) {
    chunks.push([]);
    for (const word of clause.split(/\s+/).filter((one) => one !== ""))
      if (isStop(word)) chunks.push([]);
      else chunks.at(-1)!.push(word);
  }
  return chunks.filter((chunk) => chunk.length > 0 && chunk.length <= MOST_WORDS).map((chunk) => chunk.join(" "));
}

/** What goes into no formula where nobody says how much: what it is boiled, steamed and fried in. */
const AROUND: readonly string[] = ["water", "oil"];

/** Words that are done, or how a thing looks, and by chance an ingredient's as well. */
const NO_MENTION =
  /^(?:then\s+|and\s+)?(?:wrap|crisp|roll|brown|stock|season|dust|sponge|turn|fold|rounds?|sheets?|skins?|dough|paste|pastry)(?:\s|$)/iu;

/** Ingredients that a sentence names without an amount. */
export const mentionedIn = (sentence: string, read: (line: string) => Reading): Reading[] =>
  chunksOf(sentence)
    .filter((chunk) => !NO_MENTION.test(chunk))
    .map((chunk) => read(chunk.replace(/^(?:some|a (?:little|bit)|plenty|etwas|ein wenig|un peu|un poco)\s+(?:of\s+)?/iu, "")))
    .filter(
      (one) =>
        one.amount === null &&
        isRecognised(one) &&
        !AROUND.some((kind) => (one.found!.main.kinds as readonly string[]).includes(kind)),
    );

/** What belongs to a dough, whatever it is. */
const OF_DOUGH: readonly string[] = [
  ...["water", "dairy", "plant-drink", "butter", "oil", "fat", "plant-fat", "animal-fat", "salt", "sugar", "yeast", "leavener"],
  ...["egg", "acid"],
];
const isOfDough = ({ found }: Reading): boolean =>
  found !== undefined && (found.main.flour || (found.main.kinds as readonly string[]).some((kind) => OF_DOUGH.includes(kind)));

const INSIDE = /filling|stuffing|inside|füllung|fülle|farce|garniture|relleno|ripieno|harç|farsz|nadzienie|vulling|isian/iu;
const ON_TOP = /\b(?:brush|glaze|egg ?wash|sprinkle|bestreichen|bepinseln|dorer|spennella)/iu;
const WITH_IT = /\b(?:serve[sd]? with|dip(?:ping)? sauce|as a dip|dazu)\b/iu;

/** A recipe that is told and not listed, by its parts. */
export interface Told {
  readonly dough: readonly Reading[];
  readonly filling: readonly Reading[];
  readonly finish: readonly Reading[];
}

/**
 * What a told recipe takes: what stands with the flour, and what makes a dough before a filling is spoken of, is the dough; the rest
 * is the filling. What is named without an amount is kept, as a line that is not weighed.
 */
export function readTold(sentences: readonly string[], read: (line: string) => Reading): Told {
  const dough: Reading[] = [];
  const filling: Reading[] = [];
  const finish: Reading[] = [];
  let isInside = false;
  for (const sentence of sentences) {
    if (WITH_IT.test(sentence)) continue;
    const named = amountsIn(sentence, read).map(({ reading }) => reading);
    if (ON_TOP.test(sentence)) {
      finish.push(...named);
      continue;
    }
    const isDough = named.some(({ found }) => found?.main.flour);
    if (INSIDE.test(sentence)) isInside = true;
    else if (isDough && dough.length === 0) isInside = false;
    const begun = dough.some(({ found }) => found?.main.flour) || isDough;
    const goesInDough = !isInside && (isDough || (begun && named.every(isOfDough)));
    if (begun && !goesInDough && named.length > 0) isInside = true;
    const known = (reading: Reading) =>
      [...dough, ...filling, ...named].some(({ found }) => found !== undefined && found.main === reading.found?.main);
    const others = mentionedIn(sentence, read).filter(
      (reading, k, all) => !known(reading) && all.findIndex(({ found }) => found?.main === reading.found?.main) === k,
    );
    (goesInDough ? dough : filling).push(...named);
    // What makes a dough and is spoken of before anything else is in it; what comes later is in the filling.
    for (const reading of others) (!isInside && isOfDough(reading) ? dough : filling).push(reading);
  }
  return { dough, filling, finish };
}
