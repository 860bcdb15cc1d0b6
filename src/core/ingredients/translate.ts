import words from "../tables/words.json";

const PAIRS = Object.entries(words)
  .flatMap(([english, others]) => others.map((other) => [other, english] as const))
  .sort(([a], [b]) => b.length - a.length);
const ENGLISH: ReadonlyMap<string, string> = new Map(PAIRS);
const FOREIGN = new RegExp(`(?<![\\p{L}-])(${PAIRS.map(([other]) => other).join("|")})(?![\\p{L}-])`, "giu");

/**
 * A name with the everyday ingredients of some other languages in English, for finding densities and allergens; the
 * cook's own words stay what is shown. Words that mean something in English too are left alone.
 */
export const inEnglish = (name: string): string =>
  name.replace(/’/g, "'").replace(FOREIGN, (word) => ENGLISH.get(word.toLowerCase()) ?? word);
