import { VERBS } from "./words";

/** Where an amount begins: figures, fractions, words for one. */
const AMOUNT =
  /^\s*(?:about |ca\.? |approx\.? |etwa |environ |unos? |circa )?(?:[\d¼½¾⅓⅔⅛]|(?:an?|one|two|three|half|ein(?:e|en)?|une?|una?|uno|pinch|prise|pincée|pizca|pizzico)\b)/iu;
const FIGURE = /^\s*(?:about |ca\.? |approx\.? |etwa |environ |unos? |circa )?[\d¼½¾⅓⅔⅛]/iu;

/** An amount of time or heat. */
const TIME = /\d\s*(?:min|minutes?|minuten|hours?|hrs?|h\b|stunden?|heures?|horas?|ore\b|dakika|saat|°|degrees?|sec)/iu;
/** How large something is cut, and no amount of anything. */
const SIZE = /^\s*(?:in(?:to)?\s+)?[\d.,½¼¾]+\s*-?\s*(?:mm|cm|inch(?:es)?|in|")(?!\p{L})(?!\s+of\b)/iu;

/** Parts of a list on one line: at commas and semicolons outside brackets and numbers, and at "and" before an amount. */
function partsOf(text: string): string[] {
  const parts: string[] = [""];
  let depth = 0;
  for (let k = 0; k < text.length; k++) {
    const one = text[k];
    if (one === "(") depth++;
    if (one === ")") depth = Math.max(0, depth - 1);
    // "1,5 kg": a comma between figures is none that divides.
    const isDecimal = one === "," && /\d/.test(text[k - 1] ?? "") && /\d/.test(text[k + 1] ?? "");
    if (depth === 0 && (one === "," || one === ";") && !isDecimal) parts.push("");
    else parts[parts.length - 1] += one;
  }
  return parts.flatMap((part) => part.split(/\s+(?:and|und|et|y|e|en|plus|\+)\s+(?=[\d¼½¾⅓⅔⅛])/iu));
}

/**
 * The ingredients of a list that stands on one line: "500 g flour, 300 ml water, a pinch of salt". What says how a thing is cut
 * belongs to the thing before it.
 * @param isKnown whether some words name an ingredient by themselves
 */
function itemsOf(text: string, isKnown: (words: string) => boolean): string[] {
  const items: string[] = [];
  for (const raw of partsOf(text)) {
    const part = raw.trim().replace(/\.$/, "");
    if (part === "") continue;
    const isOwn = items.length === 0 || (AMOUNT.test(part) && !SIZE.test(part)) || (isKnown(part) && !isCut(part));
    if (isOwn) items.push(part);
    else items[items.length - 1] += `, ${part}`;
  }
  return items;
}

/** How a thing is cut or kept, and no thing. */
const isCut = (part: string): boolean =>
  /^(?:finely|coarsely|roughly|thinly|very|well|freshly|lightly)?\s*(?:chopped|diced|sliced|grated|minced|shredded|melted|softened|soft|cold|warm|beaten|peeled|crushed|cubed|drained|cooked|boiled|washed|ground|cut|crumbled|squeezed|toasted|fein|gehackt|gewürfelt|gerieben|haché|coupé|râpé|picad[ao]s?|rallad[ao]|tritat[ao])\b/iu.test(
    part,
  );

/**
 * A line of a recipe as the lines that it stands for: a heading with its list behind it is a heading and the list, and a list
 * on one line is one line each. Any other line is itself.
 * @param isHeading whether a line is a heading of a part that is weighed
 */
export function expandLine(line: string, isHeading: (line: string) => boolean, isKnown: (words: string) => boolean): string[] {
  const headed = /^([^:：\d]{2,60}?)\s*(?:[:：]|\s[-–—])\s*(\S.*)$/u.exec(line);
  if (headed) {
    const head = `${headed[1].trim()}:`;
    if (isHeading(head)) {
      // What is done stands behind the list: "300 g flour, salt. Rest in oil for an hour."
      const [list, ...done] = headed[2].split(/(?<=\p{L}\p{L}|\))\.\s+(?=\p{Lu})/u);
      return [head, ...itemsOf(list, isKnown), ...done.map((sentence) => sentence.replace(/\.?\s*$/, "."))];
    }
    // A list under a name of its own, such as "Custard: 300 ml milk, 4 yolks".
    const listed = partsOf(headed[2]).filter((part) => FIGURE.test(part)).length;
    if (listed >= 2 && headed[1].trim().split(/\s+/).length <= 4)
      return [FLOUR.test(headed[2]) ? "Dough:" : `${headed[1].trim()} filling:`, ...itemsOf(headed[2], isKnown)];
  }
  // "2. Knead, 8 to 10 minutes" is a step with a number, and minutes are no amount of anything.
  if (/^\s*\d{1,2}\s*[.)]\s/u.test(line)) return [line];
  const amounts = partsOf(line).filter((part) => FIGURE.test(part) && !TIME.test(part) && !SIZE.test(part)).length;
  return FIGURE.test(line) && amounts >= 2 && !isTold(line) ? itemsOf(line, isKnown) : [line];
}

/** A sentence that tells what is done, and no list. */
const isTold = (line: string): boolean =>
  /[.!?]\s+\p{Lu}/u.test(line) || (/[.!]\s*$/.test(line) && Object.values(VERBS).some((verb) => verb.test(line)));

const FLOUR = /\b(?:flours?|mehl|farine|harina|farina|un|mąk[ai]|bloem|maida|atta|tepung)\b/iu;

/** "Makes 16", "For 12 tarts", "Ergibt ca. 20 Stück": how many it makes, and no ingredient. */
export const isCount = (line: string): boolean =>
  /^(?:makes|yields?|serves|for|ergibt|für|pour|para|per|makes about)\s+(?:about |approx\.? |ca\.? |etwa |environ |unos |circa )?\d{1,3}(?:\s*[-–]\s*\d{1,3})?(?:\s+\p{L}+){0,5}(?:\s*\([^)]*\))?\s*[:.]?$/iu.test(
    line.trim(),
  ) && !/\d\s*(?:g|kg|ml|l|cups?|tbsp|tsp|el|tl)\b/iu.test(line);

/** "60 ml oil, plus more for the bowl": the amount that is said is what goes in. */
export const withoutMore = (line: string): string =>
  line.replace(/[,(]?\s*\b(?:plus|and|\+)\s+(?:some\s+)?(?:more|extra)\b.*$/iu, "").trim() || line;

/** "1 egg to glaze", "1 Eigelb zum Bestreichen": it goes on the pieces, whatever list it stands in. */
const TO_FINISH =
  /[,(]?\s*\b(?:to (?:glaze|brush(?: with)?|finish)|for (?:glazing|brushing|the glaze|the wash|egg ?wash)|zum bestreichen|zum bepinseln|pour (?:dorer|la dorure|badigeonner)|para (?:pintar|pincelar)|per spennellare|do posmarowania)\)?\s*$/iu;

/** The line without the words that say that it goes on the pieces; undefined where it has none. */
export const finishLine = (line: string): string | undefined =>
  TO_FINISH.test(line) ? line.replace(TO_FINISH, "").trim() : undefined;
