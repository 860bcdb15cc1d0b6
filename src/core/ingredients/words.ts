import { DESCRIPTORS } from "../tables/descriptors";

/** A text as words are compared: without accents, in small letters, typographic signs plain. */
export const folded = (text: string): string =>
  text
    .replace(/[’‘`´]/g, "'")
    .replace(/[œŒ]/g, "oe")
    .replace(/ß/g, "ss")
    .replace(/[łŁ]/g, "l")
    .replace(/ı/g, "i")
    .normalize("NFD")
    // Marks of Latin letters only: those of Hindi and the voicing marks of Japanese belong to the letter.
    .replace(/[\u0300-\u036f]/g, "")
    .normalize("NFC")
    .toLowerCase();

const IRREGULAR: Readonly<Record<string, string>> = {
  leaves: "leaf",
  halves: "half",
  loaves: "loaf",
  chillies: "chilli",
  chilies: "chili",
  chiles: "chile",
  chile: "chile",
  tomatoes: "tomato",
  potatoes: "potato",
  mangoes: "mango",
  radishes: "radish",
  peaches: "peach",
  squashes: "squash",
  molasses: "molasses",
  hummus: "hummus",
  asparagus: "asparagus",
  couscous: "couscous",
  swiss: "swiss",
};

/** An English word in the singular; words of other languages only have to come out the same each time. */
export function singular(word: string): string {
  if (Object.hasOwn(IRREGULAR, word)) return IRREGULAR[word];
  if (word.length <= 3 || !word.endsWith("s") || word.endsWith("ss") || word.endsWith("us")) return word;
  if (word.endsWith("ies") && word.length > 5) return `${word.slice(0, -3)}y`;
  if (/(?:sh|ch|x|ss)es$/.test(word)) return word.slice(0, -2);
  return word.replace(/'s$/, "").replace(/s$/, "");
}

/** Words of a text in order, singular and folded; "celery-free" and "self-raising" stay one. */
export const wordsOf = (text: string): string[] =>
  (folded(text).match(/[\p{L}\p{M}\p{N}]+(?:['-][\p{L}\p{M}\p{N}]+)*/gu) ?? []).map(singular);

/** Writing without spaces between words: names are looked for inside it. */
export const UNSPACED = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u;

const PLAIN: ReadonlySet<string> = new Set(DESCRIPTORS.flatMap((word) => [folded(word), singular(folded(word))]));
/** Whether a word only says how an ingredient is. */
export const isDescriptor = (word: string): boolean => PLAIN.has(word) || /^[\d.,/]+$/.test(word);
