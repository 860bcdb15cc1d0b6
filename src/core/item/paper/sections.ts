import { isRecognised, readLine, type Reading } from "../../ingredients/read-line";
import { OURS, type Catalogue } from "../../ingredients/own";
import type { System } from "../../quantities/unit-table";
import { isBoughtDough, isFrozenPieces } from "./bought";
import { expandLine, finishLine, isCount, withoutMore } from "./inline";
import { amountsIn, mentionedIn, readTold } from "./prose";
import { HEADINGS, VERBS, type Section } from "./words";

/** A recipe in the cook's words, divided: lines that are weighed, by the part that they belong to, and what is done. */
export interface Paper {
  readonly dough: readonly Reading[];
  readonly fillings: readonly { readonly name: string | undefined; readonly lines: readonly Reading[] }[];
  readonly finish: readonly Reading[];
  /** It is brushed on when the pieces are baked already. */
  readonly finishedAfter?: true;
  /** Dips, sauces and drinks that are served with it, each with its lines. */
  readonly beside: readonly { readonly name: string | undefined; readonly lines: readonly Reading[] }[];
  /** Sentences of what is done, in order. */
  readonly method: readonly string[];
}

const LONGEST_INGREDIENT = 110;
/** "1.", "2)", "Step 3:", "-" before a line. */
const LEAD = /^\s*(?:(?:step|schritt|étape|paso|passo|krok|stap)\s*\d+\s*[:.)-]*|\d{1,2}\s*[.)](?!\d)|[-–•*·▪◦])\s*/iu;
const ORDINAL = /^\s*(?:(?:step|schritt|étape|paso|passo|krok|stap)\s*\d+|\d{1,2}\s*[.)](?![\d/]))/iu;

/** The sentences of a text: by lines, by what ends a sentence. A point in a number ends none. */
export const sentencesOf = (text: string): string[] =>
  text
    .split(/\r\n|\r|\n|(?<=[.!?。])\s+(?=\p{Lu}|\d)|(?<=。)/u)
    .map((sentence) => sentence.replace(LEAD, "").trim())
    .filter((sentence) => sentence !== "");

/** What a heading says, without its colon; undefined where the line is none. */
function headingOf(line: string): Section | undefined {
  const bare = line
    .replace(/^#+\s*|\*\*|__/g, "")
    .replace(/İ/g, "i")
    .trim();
  const isMarked = /[:：]\s*$/.test(bare) || /^#|^\*\*/.test(line.trim());
  const words = bare
    .replace(/[:：]\s*$/, "")
    .replace(/^(?:for|the|für|pour|para|per|dla|voor|untuk|zum|na)\b\s*(?:the|den|die|das|la|le|les|el|il|lo|het|de)?\s*/iu, "")
    .trim();
  if (/\d/.test(words) || words.split(/\s+/).length > (isMarked ? 6 : 3)) return undefined;
  const order: readonly Section[] = ["method", "beside", "finish", "filling", "dough", "ingredients"];
  const found = order.find((section) => HEADINGS[section].test(words));
  if (found === undefined) return undefined;
  // Without a colon a line is a heading only where it is nothing but one.
  return isMarked || bare === bare.toUpperCase() || words.split(/\s+/).length <= 2 ? found : undefined;
}

/** A few words that name no ingredient, with an amount on the next line: the name of a part. */
const isTitle = (line: string, { found, toTaste, grams }: Reading, next: string | undefined): boolean =>
  found === undefined &&
  !toTaste &&
  grams === null &&
  !/\d|[.!?]$/.test(line) &&
  line.split(/\s+/).length <= 4 &&
  /^\s*[-–•*]?\s*[\d¼½¾⅓⅔]/.test(next ?? "");

/** Whether a line tells what is done: a numbered or long sentence, or one that begins with a verb and names no amount. */
function isDone(line: string, reading: Reading): boolean {
  if (ORDINAL.test(line) && line.length > 30) return true;
  if (line.length > LONGEST_INGREDIENT) return true;
  if (reading.grams !== null || reading.toTaste) return false;
  const verbs = Object.values(VERBS).some((verb) => verb.test(line));
  return verbs && (/[.。!]\s*$/.test(line) || line.split(/\s+/).length > 5) && !/^\s*[\d¼½¾⅓⅔]/.test(line);
}

/** Whether some words name an ingredient by themselves, with nothing strange beside it. */
export const knownIn =
  (system: System, catalogue: Catalogue) =>
  (words: string): boolean => {
    return isRecognised(readLine(words, system, catalogue.index));
  };

/**
 * Divides a recipe into its parts by its headings; without headings by the order in which things stand and by what they are: flour,
 * yeast and what wets them are a dough.
 */
export function readPaper(text: string, system: System, catalogue: Catalogue = OURS): Paper {
  const dough: Reading[] = [];
  const finish: Reading[] = [];
  const beside: { name: string | undefined; lines: Reading[] }[] = [];
  const fillings: { name: string | undefined; lines: Reading[] }[] = [];
  const loose: Reading[][] = [[]];
  const method: string[] = [];
  let section: Section | "loose" = "loose";
  const isPart = (line: string): boolean => {
    const heading = headingOf(line);
    return heading !== undefined && heading !== "method";
  };
  const isKnown = knownIn(system, catalogue);
  const read = (line: string) => readLine(line, system, catalogue.index);
  const lines = text.split(/\r\n|\r|\n/).flatMap((line) => expandLine(line.trim(), isPart, isKnown));
  for (const [k, line] of lines.entries()) {
    if (line === "") {
      if (section === "loose" && loose.at(-1)!.length > 0) loose.push([]);
      continue;
    }
    if (isCount(line)) continue;
    const heading = headingOf(line);
    if (heading) {
      section = heading === "ingredients" ? "loose" : heading;
      if (heading === "filling") fillings.push({ name: nameOf(line), lines: [] });
      if (heading === "beside") beside.push({ name: bareName(line), lines: [] });
      continue;
    }
    if (section === "method") {
      method.push(...sentencesOf(line));
      continue;
    }
    const onTop = finishLine(line);
    if (onTop !== undefined) {
      finish.push(readLine(onTop.replace(LEAD, ""), system, catalogue.index));
      continue;
    }
    const reading = readLine(withoutMore(line.replace(LEAD, "")), system, catalogue.index);
    if (isTitle(line, reading, lines[k + 1])) {
      const begun = dough.length > 0 || loose.flat().length > 0;
      if (section === "loose" && !begun) continue;
      section = "filling";
      fillings.push({ name: line.slice(0, 80), lines: [] });
      continue;
    }
    if (isDone(line, reading)) {
      method.push(...sentencesOf(line));
      continue;
    }
    if (reading.heading) continue;
    const named = asNamed(reading, read);
    if (named[0] !== reading) method.push(...sentencesOf(line));
    if (section === "dough") dough.push(...named);
    else if (section === "filling") fillings.at(-1)!.lines.push(...named);
    else if (section === "finish") finish.push(...named);
    else if (section === "beside") beside.at(-1)!.lines.push(...named);
    else loose.at(-1)!.push(...named);
  }
  const sorted = sortLoose(
    loose.filter((block) => block.length > 0),
    dough.length > 0,
    fillings.some(({ lines }) => lines.length > 0),
  );
  const listed: Paper = {
    dough: [...dough, ...sorted.dough],
    fillings: [
      ...fillings.filter(({ lines }) => lines.length > 0),
      ...(sorted.filling.length > 0 ? [{ name: undefined, lines: sorted.filling }] : []),
    ],
    finish: [...finish, ...sorted.finish],
    beside: beside.filter(({ lines }) => lines.length > 0),
    method,
  };
  return withTold(listed, read);
}

/** What is told and not listed, where there is no list of a dough or of anything that goes into it. */
export function withTold(paper: Paper, read: (line: string) => Reading): Paper {
  if (paper.dough.length > 0) return paper;
  const told = readTold(paper.method, read);
  return {
    ...paper,
    dough: told.dough,
    fillings:
      paper.fillings.length > 0 || told.filling.length === 0 ? paper.fillings : [{ name: undefined, lines: told.filling }],
    finish: paper.finish.length > 0 ? paper.finish : told.finish,
  };
}

/** What is done stands before the amount: "bring 150 ml water to the boil". */
const DONE_FIRST =
  /^\s*(?:bring|pour|add|put|take|stir|rub|melt|warm|heat|mix|use|pour onto|cook|boil|fry)\s+(?:\p{L}+\s+){0,2}(?=[\d¼½¾⅓⅔])/iu;

/**
 * A line that is half a sentence ("bring 150 ml water and 120 g lard to the boil", "250 g prunes simmered with 50 g sugar") as what it
 * names; any other as itself.
 */
export function asNamed(reading: Reading, read: (line: string) => Reading): readonly Reading[] {
  const named = amountsIn(reading.text, read).map((one) => one.reading);
  const isClear = named.length > 0 && named.every((one) => isRecognised(one) && one.grams !== null);
  if (!isClear) return [reading];
  const isKnown = isRecognised(reading) && reading.grams !== null;
  const several = new Set(named.map(({ found }) => found!.main)).size === named.length && named.length > 1;
  if (isKnown && !DONE_FIRST.test(reading.text) && !(several && !/[(]/.test(reading.text))) return [reading];
  // "1 onion and curry powder": what has no amount is in it all the same.
  const others = mentionedIn(reading.text, read).filter(({ found }) => !named.some((one) => one.found!.main === found!.main));
  return [...named, ...others];
}

const withoutMarks = (line: string): string => line.replace(/[:：#*]/g, "");

const bareName = (line: string): string =>
  withoutMarks(line)
    .replace(/^\s*(?:for|to|the|für|pour|para|per|dla|voor)\s+(?:the\s+)?/iu, "")
    .trim()
    .slice(0, 80);

/** "Mushroom filling:" is called "Mushroom filling"; "For the filling" has no name of its own. */
function nameOf(line: string): string | undefined {
  const words = withoutMarks(line).trim();
  return words.split(/\s+/).length > 1 && !/^(?:for|the|für|pour|para|per|dla|voor)\b/iu.test(words)
    ? words.slice(0, 80)
    : undefined;
}

const kindsOf = ({ found }: Reading): ReadonlySet<string> => new Set(found?.main.kinds ?? []);
const has = (reading: Reading, ...kinds: readonly string[]): boolean => kinds.some((kind) => kindsOf(reading).has(kind));
const isFlourLine = (reading: Reading): boolean => reading.found?.main.flour === true;
const raises = (reading: Reading): boolean => has(reading, "yeast", "leavener");

/** Lines under no heading. */
function sortLoose(
  blocks: readonly (readonly Reading[])[],
  hasDough: boolean,
  hasFilling: boolean,
): { dough: Reading[]; filling: Reading[]; finish: Reading[] } {
  if (blocks.length === 0) return { dough: [], filling: [], finish: [] };
  if (hasDough && !hasFilling) return { dough: [], filling: blocks.flat(), finish: [] };
  if (hasFilling && !hasDough) return { dough: blocks.flat(), filling: [], finish: [] };
  if (hasDough) return { dough: [], filling: [], finish: blocks.flat() };
  if (blocks.length > 1) {
    const at = blocks.findIndex((block) => block.some(isFlourLine));
    const doughBlock = blocks[Math.max(0, at)];
    const others = blocks.filter((block) => block !== doughBlock);
    const last = others.length > 1 && others.at(-1)!.length <= 2 ? others.at(-1)! : [];
    return { dough: [...doughBlock], filling: others.filter((block) => block !== last).flat(), finish: [...last] };
  }
  return oneBlock(blocks[0]);
}

/** One list of everything: what stands around the flour and makes a dough of it is the dough, the first of each sort. */
function oneBlock(block: readonly Reading[]): { dough: Reading[]; filling: Reading[]; finish: Reading[] } {
  // Pieces that are bought frozen need no dough: what stands beside them is what they are cooked in.
  const frozen = block.filter(isFrozenPieces);
  if (frozen.length > 0 && !block.some(isFlourLine))
    return { dough: frozen, filling: [], finish: block.filter((one) => !frozen.includes(one)) };
  const bought = block.filter(isBoughtDough);
  if (bought.length > 0) return { dough: bought, filling: block.filter((one) => !bought.includes(one)), finish: [] };
  const dough = new Set<Reading>();
  const firstOf = (...kinds: readonly string[]) => {
    const found = block.find((reading) => !dough.has(reading) && has(reading, ...kinds));
    if (found) dough.add(found);
  };
  block.filter((reading) => isFlourLine(reading) || raises(reading)).forEach((reading) => dough.add(reading));
  firstOf("water");
  firstOf("salt");
  firstOf("butter", "oil", "fat", "plant-fat", "animal-fat");
  if (![...dough].some((reading) => has(reading, "water"))) firstOf("dairy", "plant-drink");
  if ([...dough].some(raises)) firstOf("sugar");
  return { dough: block.filter((one) => dough.has(one)), filling: block.filter((one) => !dough.has(one)), finish: [] };
}
