import { readOvenTemperature } from "../../quantities/oven-text";
import { isNamedIn } from "./named-in";
import { DOUBT, lengthOf, lengthsIn, type Length } from "./times";
import { VERBS, type Verb } from "./words";

/** What a recipe's own words say of a stage: how long, how hot, in which sentence. */
export interface Said {
  readonly text: string;
  readonly length?: Length;
  /** °C of a fan oven, or of the oil. */
  readonly celsius?: number;
  /** Another setting that is said for the same thing; `celsius` is used. */
  readonly otherC?: number;
}

/** The stages that a method names, each with its first mention that says the most. */
export interface MethodRead {
  readonly verbs: ReadonlySet<Verb>;
  /** Something is cooked before the pieces are formed. */
  readonly cooksFilling: boolean;
  readonly knead?: Said;
  /** Before the pieces are formed, and after. */
  readonly firstRest?: Said;
  readonly formedRest?: Said;
  readonly fillingCook?: Said;
  readonly fillingSet?: Said;
  /** What of the filling is dipped into boiling water. */
  readonly blanch?: Said;
  readonly heat?: Said;
  /** What it is heated with before that, at a setting of its own. */
  readonly heatFirst?: Said;
  readonly blind?: Said;
  readonly sentences: readonly string[];
  /** Sentences in which nothing was recognised. */
  readonly strange: readonly string[];
}

const mentions = (sentence: string): Verb[] => (Object.keys(VERBS) as Verb[]).filter((verb) => VERBS[verb].test(sentence));

/** Temperatures in °C or °F in a sentence; gas marks; words for heat. */
const TEMPERATURE =
  /\d{2,3}(?:[.,]\d)?\s*(?:-|–|to|bis|à)?\s*\d{0,3}\s*(?:°|º|degrees?|grad|grados|gradi|derece|stopni|graden)\s*[cf]?\b|\b\d{3}\s*[cf]\b|\bgas(?: mark)?\s*[\d¼½]+|(?<=\b(?:at|to|bei|auf|à|a)\s)[1-4]\d\d\b(?!\s*(?:[-–]\s*\d+\s*)?(?:g|kg|ml|l|mm|cm|min|minutes|pieces|grams?)\b)/iu;
/** "A moderate oven" and its like, °C of a fan oven. */
const OVEN_WORDS: readonly (readonly [RegExp, number])[] = [
  [/very hot oven|sehr heiße[nr]? ofen/iu, 220],
  [/(?:moderately|fairly) hot oven/iu, 180],
  [/hot oven|heiße[nr]? ofen|four chaud|horno fuerte/iu, 200],
  [/(?:moderate|medium) oven|mittlere[rn]? hitze|four moyen|horno (?:medio|moderado)|forno medio/iu, 165],
  [/(?:low|slow|cool) oven/iu, 130],
];

/** More than what one setting is by another scale, °C. */
const OTHER_SETTING_C = 7;

/** A temperature as it is written, °C of a fan oven: of one already where the words around it say so. */
function fanC(written: string, around: string, fanLessC: number | undefined): number | undefined {
  const read = readOvenTemperature(/fan|umluft|ventil/iu.test(around) ? `${written} fan` : written, fanLessC);
  return read.ok ? Math.round(read.value.fanC) : undefined;
}

/** Settings of an oven in a sentence, °C with a fan, each once, in their order. */
function settingsIn(sentence: string, fanLessC: number | undefined): number[] {
  const all = [...sentence.matchAll(new RegExp(TEMPERATURE.source, "giu"))].flatMap((match) => {
    const around = sentence.slice(match.index, match.index + match[0].length + 12);
    return fanC(match[0], around, fanLessC) ?? [];
  });
  return all.filter((one, k) => all.findIndex((other) => Math.abs(other - one) <= OTHER_SETTING_C) === k);
}

function celsiusIn(sentence: string, fanLessC: number | undefined): number | undefined {
  const match = TEMPERATURE.exec(sentence);
  const written = match ? fanC(match[0], sentence, fanLessC) : undefined;
  return written ?? OVEN_WORDS.find(([words]) => words.test(sentence))?.[1];
}

/** Another setting said of the same thing: "at 180 °C (my oven: 200 °C)". */
function otherSetting(sentence: string, celsius: number | undefined, fanLessC: number | undefined): number | undefined {
  if (celsius === undefined || !DOUBT.test(sentence)) return undefined;
  const settings = settingsIn(sentence, fanLessC);
  return settings.length === 2 ? settings.find((one) => Math.abs(one - celsius) > OTHER_SETTING_C) : undefined;
}

/** Where one stage of a bake ends and the next begins. */
const THEN =
  /\b(?:then|reduc(?:e|ing)|lower(?:ing)?|turn(?:ing)? (?:it |the oven |the heat )?down|drop|another|further|dann|danach|anschließend|puis|ensuite|luego|después|poi)\b/iu;

/** °C of oil as it is written: no fan in it. */
function oilIn(sentence: string): number | undefined {
  const match = TEMPERATURE.exec(sentence);
  if (!match) return undefined;
  const read = readOvenTemperature(match[0], 0);
  return read.ok && read.value.staticC >= 120 && read.value.staticC <= 215 ? Math.round(read.value.staticC) : undefined;
}

/** What is said not to be done is not done. */
const withoutNots = (sentence: string): string =>
  sentence.replace(/\b(?:do not|don't|never|without|not|nicht|ne pas|no|non)\s+(?:\p{L}+\s+)?\p{L}+/giu, " ");

/** "Let them rise 30 minutes and bake at 180 °C" is said of two stages. */
function clausesOf(sentence: string): string[] {
  const heats = [VERBS.bake, VERBS.steam, VERBS.fry, VERBS.dryPan].map((verb) => verb.exec(sentence)?.index ?? Infinity);
  const rests = [VERBS.rise, VERBS.chill, VERBS.rest, VERBS.cookFilling, VERBS.marinate].map(
    (verb) => verb.exec(sentence)?.index ?? Infinity,
  );
  const heat = Math.min(...heats);
  const rest = Math.min(...rests);
  // A filling that is cooked, and what it is baked for afterwards.
  const isTwoHeats = VERBS.cookFilling.test(sentence.slice(0, heat)) && lengthsIn(sentence.slice(heat)).length > 0;
  if (!Number.isFinite(heat) || rest >= heat || (lengthsIn(sentence.slice(0, heat)).length === 0 && !isTwoHeats))
    return [sentence];
  const cut = Math.max(sentence.lastIndexOf(",", heat), sentence.lastIndexOf(" and ", heat), sentence.lastIndexOf(";", heat));
  return cut > rest
    ? [
        sentence.slice(0, cut).trim(),
        sentence
          .slice(cut)
          .replace(/^[,;\s]+(?:and\s+|then\s+)*/i, "")
          .trim(),
      ]
    : [sentence];
}

/** Whose stage a sentence is: by the words of what is in each part and not in the other. */
export interface PartWords {
  readonly dough: readonly string[];
  readonly filling: readonly string[];
}

/**
 * What a recipe's sentences say, stage by stage: a rest before the pieces are formed is the dough's, after it the pieces'; the last
 * heat is the one that finishes them.
 */
export function readMethod(sentences: readonly string[], words: PartWords, fanLessC?: number): MethodRead {
  const verbs = new Set<Verb>();
  const strange: string[] = [];
  const own = (these: readonly string[], others: readonly string[]) =>
    these
      .map((word) => word.toLowerCase())
      .filter((word) => word.length > 2 && !others.some((other) => other.toLowerCase() === word));
  const inFilling = own(words.filling, words.dough);
  const inDough = own(words.dough, words.filling);
  const ofFilling = (sentence: string) =>
    /filling|stuffing|füllung|farce|garniture|relleno|ripieno|harç|farsz|vulling|isian|餡|馅/iu.test(sentence) ||
    isNamedIn(sentence, inFilling);
  const ofDough = (sentence: string) =>
    /dough|pastry|rub (?:in|the)|flour|teig|pâte|masa|impasto|hamur|ciasto|deeg|adonan|生地|面团/iu.test(sentence) ||
    isNamedIn(sentence, inDough);
  const read: { -readonly [K in keyof MethodRead]?: MethodRead[K] } = {};
  type Stage = "knead" | "firstRest" | "formedRest" | "fillingCook" | "fillingSet" | "heat" | "blind" | "blanch";
  const put = (key: Stage, said: Said, last = false) => {
    const before = read[key];
    if (!before || last || (before.length === undefined && said.length !== undefined)) read[key] = { ...before, ...said };
  };
  let isFormed = false;
  let cooksFilling = false;
  let preheatC: number | undefined;
  for (const text of sentences.flatMap(clausesOf).flatMap((clause) => stagesOf(clause, fanLessC))) {
    const done = withoutNots(text);
    const found = mentions(done);
    found.forEach((verb) => verbs.add(verb));
    if (found.length === 0) strange.push(text);
    // "Fry onions and lamb": what is named in the filling is cooked, before anything is formed of it.
    if (!isFormed && /\b(?:fry|fries|fried|brown(?:ed)?)\b/iu.test(done) && isNamedIn(text, inFilling) && !found.includes("fry"))
      found.push("cookFilling");
    const is = (...any: readonly Verb[]) => any.some((verb) => found.includes(verb));
    const lengths = lengthsIn(text);
    const length = lengthOf(text);
    const celsius = celsiusIn(text, fanLessC);
    const otherC = otherSetting(text, celsius, fanLessC);
    const say = (said: Length | undefined, heat?: number): Said => ({
      text,
      ...(said && { length: said }),
      ...(heat !== undefined && { celsius: heat }),
      ...(heat !== undefined && otherC !== undefined && { otherC }),
    });
    if (PREHEAT.test(text) && celsius !== undefined) {
      preheatC = celsius;
      if (lengths.length === 0) continue;
    }
    const filling = ofFilling(text) && !isFormed;
    const resting =
      is("rise", "rest", "chill", "marinate") || lengths.some(({ night }) => night) || (is("cool") && !is("cookFilling", "bake"));
    const perSide = /(?:a|per|each|on each|both) sides?|je seite|par face|por lado|per lato/iu.test(text) ? 2 : 1;
    const times = (length: Length | undefined): Length | undefined =>
      length && perSide > 1 ? { ...length, least: length.least * perSide, most: length.most * perSide } : length;
    if (is("blanch") && !isFormed) put("blanch", say(lengthsIn(text)[0]));
    else if (is("blind")) put("blind", say(length, celsius));
    else if (is("fry") && !filling) put("heat", say(times(length), oilIn(text)), true);
    else if (is("bake") && filling && lengths.length > 0) put("fillingCook", say(length, celsius));
    else if (is("cookFilling") && resting && lengths.length > 1 && (filling || !ofDough(text))) {
      addCook(read, say(lengths[0]));
      put("fillingSet", say(lengths.at(-1)));
    } else if (is("cookFilling") && is("pan") && is("lid") && !filling && lengths.length > 0) put("heat", say(length), true);
    else if (is("cookFilling") && !filling && celsius !== undefined && celsius >= OVEN_C && lengths.length > 0)
      put("heat", say(length, celsius), true);
    else if (is("cookFilling") && !isFormed && lengths.length > 0 && (filling || !ofDough(text)) && !is("steam"))
      addCook(read, say(length));
    else if (isNext(text, read.heat, celsius, lengths)) {
      read.heatFirst = read.heat;
      read.heat = say(length, celsius);
    } else if (is("steam") || (is("bake") && (celsius !== undefined || lengths.length > 0 || isFormed)))
      put("heat", say(length, celsius ?? preheatC), lengths.length > 0 || read.heat === undefined);
    else if (isFormed && is("lid") && (is("cookFilling") || WATER.test(text)) && lengths.length > 0)
      put("heat", say(DOUBT.test(text) ? length : lengths.reduce<Length | undefined>(sumOf, undefined)), true);
    else if (found.length === 0 && celsius !== undefined && celsius >= OVEN_C && lengths.length > 0)
      put("heat", say(length, celsius), true);
    else if (is("dryPan", "pan") && !filling) put("heat", say(times(length)), true);
    else if (is("knead") && lengths.length === 1 && isKneadedFor(text, lengths[0])) put("knead", say(lengths[0]));
    else if (resting && lengths.length > 0) {
      if (ofFilling(text) && !ofDough(text) && !isFormed) put("fillingSet", say(length));
      else put(isFormed || isOfPieces(done) ? "formedRest" : "firstRest", say(length));
    } else if (is("knead") && lengths.length > 0) {
      // Nobody kneads for so long: it stands.
      if (lengths[0].least > LONGEST_KNEADING) put("firstRest", say(lengths[0]));
      else put("knead", say(lengths[0]));
    } else if (read.heat !== undefined && read.heat.length === undefined && isFormed && lengths.length > 0)
      put("heat", say(length));
    const isOven = celsius !== undefined && celsius >= OVEN_C && !filling;
    if (is("cookFilling") && !isFormed && !isOven && (filling || !ofDough(text)) && !is("pan", "steam")) cooksFilling = true;
    const isPot = /fill (?:a|the) (?:pan|pot|steamer|saucepan)/iu.test(text);
    if (!isPot && (is("fill") || (is("divide") && /shape|form|rolle? (?:each|into)/iu.test(text)))) isFormed = true;
    // One sentence may knead and let rise.
    if (is("knead") && resting && lengths.length > 1) put("knead", say(lengths[0]));
  }
  if (read.heat && read.heat.celsius === undefined && preheatC !== undefined && !verbs.has("fry"))
    read.heat = { ...read.heat, celsius: preheatC };
  if (!read.heat && preheatC !== undefined) read.heat = { text: "", celsius: preheatC };
  return { ...read, verbs, cooksFilling: cooksFilling || read.fillingCook !== undefined, sentences, strange };
}

/** Water goes into the pan. */
const WATER = /\b(?:water|wasser|eau|agua|acqua|wod[aęy]|air)\b|水/iu;

/** A second rise, or one after pieces are formed in the same sentence. */
function isOfPieces(text: string): boolean {
  if (/\b(?:second|final|last|2nd)\s+(?:rise|rising|proof|prove|proving)\b|\b(?:rise|prove|proof)\s+again\b/iu.test(text))
    return true;
  const formed =
    /\b(?:fill|stuff|crimp|pleat|shape|form)(?:ed|s)?\b(?! (?:it |the dough )?(?:in)?to an? (?:ball|disc|disk|log))/iu.exec(text);
  const rises = VERBS.rise.exec(text);
  return formed !== null && rises !== null && formed.index < rises.index;
}

/** "Knead 8 minutes, let it double": the time is the kneading's, what comes after it has none. */
function isKneadedFor(text: string, { text: said, most }: Length): boolean {
  const at = text.indexOf(said);
  const kneads = VERBS.knead.exec(text)?.index ?? Infinity;
  const rests = [VERBS.rise, VERBS.rest, VERBS.chill].flatMap((verb) => verb.exec(text)?.index ?? []);
  // In some languages what is done stands behind its time: only what is parted from it is something else.
  const end = at + said.length;
  const isParted = (index: number) => index > at && /[,;]|\b(?:and|then|und|dann|et|puis|y|e)\b/iu.test(text.slice(end, index));
  return most <= LONGEST_KNEADING && kneads < at && rests.every(isParted);
}

/** A bake at two settings in one sentence is said of two stages: "30 min at 200 °C, then 60 min at 170 °C". */
function stagesOf(clause: string, fanLessC: number | undefined): string[] {
  if (DOUBT.test(clause) || !VERBS.bake.test(clause) || settingsIn(clause, fanLessC).length !== 2) return [clause];
  const cut = THEN.exec(clause)?.index;
  if (cut === undefined) return [clause];
  const [first, second] = [clause.slice(0, cut), clause.slice(cut)].map((part) =>
    part.replace(/[,;\s]+(?:and\s*)?$/iu, "").trim(),
  );
  const isOne = (part: string) => settingsIn(part, fanLessC).length === 1;
  if (!isOne(first) || !isOne(second) || lengthsIn(first).length === 0 || PREHEAT.test(first)) return [clause];
  return [first, VERBS.bake.test(second) ? second : `${second}, in the oven`];
}

/** Whether a sentence goes on with a bake at another setting. */
const isNext = (text: string, before: Said | undefined, celsius: number | undefined, lengths: readonly Length[]): boolean =>
  before?.celsius !== undefined &&
  before.length !== undefined &&
  celsius !== undefined &&
  Math.abs(celsius - before.celsius) > OTHER_SETTING_C &&
  celsius >= OVEN_C &&
  lengths.length > 0 &&
  THEN.test(text);

/** min */
const LONGEST_KNEADING = 30;
/** No pot is so hot: what is cooked at this, °C, is in the oven. */
const OVEN_C = 120;

const PREHEAT =
  /pre-?heat|vorheizen|préchauff|precalent|preriscald|önceden ısıt|ısıtın|rozgrza[ćj]|nagrza[ćj]|voorverwarm|panaskan oven/iu;

/** Stages of one pot come one after another: their minutes add up. */
function addCook(read: { fillingCook?: Said }, said: Said): void {
  const before = read.fillingCook;
  read.fillingCook = before ? { ...said, text: `${before.text} ${said.text}`, length: sumOf(before.length, said.length) } : said;
}
const sumOf = (a: Length | undefined, b: Length | undefined): Length | undefined =>
  !a || !b ? (a ?? b) : { least: a.least + b.least, most: a.most + b.most, text: `${a.text} and ${b.text}` };
