import { type AllergenTag, tagsFor } from "./allergen";
import { STANDARD, type Ingredient } from "./catalogue";
import { folded, isDescriptor, singular, UNSPACED, wordsOf } from "./words";

/** What a text of a recipe names. */
export interface Found {
  /** What is weighed and bought. */
  readonly main: Ingredient;
  /** Everything that the text names, `main` first: "ham and cheese", "onions, fried in butter". */
  readonly all: readonly Ingredient[];
  /** Said to be free of these. */
  readonly free: readonly AllergenTag[];
  /** "vegan", "vegetarian", "halal", "kosher": said in so many words. */
  readonly said: ReadonlySet<Said>;
  /** How many the first part names: what is bought. */
  readonly inHead: number;
  /** Words that nothing explains and that may make another food of it: it is not quite known. */
  readonly strange: readonly string[];
}
export type Said = "vegan" | "vegetarian" | "halal" | "kosher" | "alcohol-free" | "meat-free" | "dairy-free";

interface Entry {
  readonly words: readonly string[];
  readonly ingredient: Ingredient;
}

/** What is looked through: by the first word of a name, and names that are written without spaces. */
export interface Index {
  readonly byWord: ReadonlyMap<string, readonly Entry[]>;
  readonly inside: readonly { readonly text: string; readonly ingredient: Ingredient }[];
  readonly cache: Map<string, Found | null>;
}

/** Makes names findable. Later ingredients win where two share a name. */
export function indexOf(ingredients: Iterable<Ingredient>): Index {
  const byWord = new Map<string, Entry[]>();
  const inside: { text: string; ingredient: Ingredient }[] = [];
  const seen = new Map<string, Ingredient>();
  for (const ingredient of ingredients) for (const name of ingredient.names) seen.set(folded(name), ingredient);
  for (const [name, ingredient] of seen) {
    if (UNSPACED.test(name)) {
      inside.push({ text: name, ingredient });
      continue;
    }
    const words = wordsOf(name);
    if (words.length === 0) continue;
    byWord.set(words[0], [...(byWord.get(words[0]) ?? []), { words, ingredient }]);
  }
  inside.sort((a, b) => b.text.length - a.text.length);
  return { byWord, inside, cache: new Map() };
}
export const STANDARD_INDEX: Index = indexOf(STANDARD.values());

interface Hit {
  readonly at: readonly number[];
  readonly ingredient: Ingredient;
}

/** Words that begin something else. */
const JOINS: ReadonlySet<string> = new Set([
  "and",
  "plus",
  "&",
  "or",
  "with",
  "in",
  "for",
  "into",
  "und",
  "oder",
  "mit",
  "et",
  "ou",
  "avec",
]);
/** Words that a name may have between its own: "minced lean pork". */
const MOST_BETWEEN = 2;

function hitAt(words: readonly string[], from: number, name: readonly string[]): number[] | undefined {
  const at = [from];
  for (const wanted of name.slice(1)) {
    let next = at[at.length - 1] + 1;
    let between = 0;
    while (
      next < words.length &&
      words[next] !== wanted &&
      between < MOST_BETWEEN &&
      isDescriptor(words[next]) &&
      !JOINS.has(words[next])
    ) {
      next++;
      between++;
    }
    if (words[next] !== wanted) return undefined;
    at.push(next);
  }
  return at;
}

/** The names in a row of words, the longest first, none over another. */
function hitsIn(words: readonly string[], index: Index): Hit[] {
  const hits: Hit[] = words.flatMap((word, i) =>
    (index.byWord.get(word) ?? []).flatMap((entry) => {
      const at = hitAt(words, i, entry.words);
      return at ? [{ at, ingredient: entry.ingredient }] : [];
    }),
  );
  const span = (hit: Hit) => hit.at[hit.at.length - 1] - hit.at[0];
  hits.sort((a, b) => b.at.length - a.at.length || span(a) - span(b) || a.at[0] - b.at[0]);
  const taken = new Set<number>();
  const chosen: Hit[] = [];
  for (const hit of hits) {
    if (hit.at.some((i) => taken.has(i))) continue;
    hit.at.forEach((i) => taken.add(i));
    chosen.push(hit);
  }
  return chosen.sort((a, b) => a.at[0] - b.at[0]);
}

/** Ends the part of a line that says what is bought: "tuna | in oil", "cream | for the glaze". */
const JOINTS: ReadonlySet<string> = new Set(
  "in with from for into à mit aus für en con para per au aux avec dengan untuk without ohne sans senza sin tanpa"
    .split(" ")
    .map(folded),
);
const ALTERNATIVE = /\s(?:or|oder|ou|o|oppure|veya|lub|atau)\s|\s?\/\s?(?=\p{L})/iu;
/** How something is prepared may make another food of it, also when it stands behind a comma. */
const MAKES_ANOTHER: ReadonlySet<string> = new Set(
  "minced ground mince dried smoked cooked canned tinned mashed desiccated hard-boiled".split(" "),
);
const SAYS: Readonly<Record<string, Said>> = {
  vegan: "vegan",
  "plant-based": "vegan",
  vegetarian: "vegetarian",
  veggie: "vegetarian",
  meatless: "vegetarian",
  "meat-free": "vegetarian",
  vegane: "vegan",
  veganer: "vegan",
  veganes: "vegan",
  vegana: "vegan",
  vegano: "vegan",
  vegetarisch: "vegetarian",
  halal: "halal",
  kosher: "kosher",
  "alcohol-free": "alcohol-free",
  "non-alcoholic": "alcohol-free",
  "dairy-free": "dairy-free",
  "non-dairy": "dairy-free",
  "milk-free": "dairy-free",
};
const FREE = /^(.+)-(?:free|frei|freie|freier|freies)$/;
const NOT =
  /\b(?:without|no|not|free (?:of|from)|instead of|never|excluding|except|ohne|sans|senza|sin|tanpa|size of(?: an?)?|like an?)\s+((?:added\s+)?[\p{L}-]+(?:\s+(?:or|and|nor)\s+[\p{L}-]+)?)/giu;

const GRAINED: Readonly<Record<string, string>> = { egg: "egg", nut: "tree nuts" };

/** The tags that "X-free" takes away: an allergen's word, or what an ingredient of that name contains. */
function freed(word: string, index: Index): readonly AllergenTag[] {
  const named = tagsFor(GRAINED[word] ?? word);
  if (named.length > 0) return word === "nut" ? [...named, "peanuts"] : named;
  const [hit] = hitsIn([singular(word)], index);
  return hit?.ingredient.contains ?? [];
}

/**
 * Finds what a text names. What stands before the first comma says what it is; what follows says how it is prepared,
 * and names no more than what goes along. Undefined where nothing in it is known.
 */
export function findIngredient(text: string, index: Index = STANDARD_INDEX): Found | undefined {
  const known = index.cache.get(text);
  if (known !== undefined) return known ?? undefined;
  const found = search(text, index);
  if (index.cache.size > 20000) index.cache.clear();
  index.cache.set(text, found ?? null);
  return found;
}

function search(text: string, index: Index): Found | undefined {
  const plain = folded(text).replace(/\s+/g, " ").trim();
  const said = new Set<Said>();
  const free = new Set<AllergenTag>();
  const withoutNot = plain.replace(NOT, (_, what: string) => {
    for (const word of what.split(/\s+/)) freed(word, index).forEach((tag) => free.add(tag));
    return " ";
  });
  const [head, ...rest] = withoutNot
    .split(/[,;()[\]]+/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (head === undefined) return undefined;
  // "(organic) butter": what is bought stands in the first part that names anything.
  if (rest.length > 0 && !UNSPACED.test(plain) && hitsIn(wordsOf(head), index).length === 0 && wordsOf(head).every(isDescriptor))
    return search(rest.join(", "), index);
  const turned = rest.flatMap(wordsOf).filter((word) => MAKES_ANOTHER.has(word));
  const headWords = wordsOf(head);
  // "turkey thigh, minced" is minced turkey.
  const lead = turned.filter((word) => !headWords.includes(word));
  const words = [...lead, ...headWords];

  const inText = UNSPACED.test(plain) ? unspaced(plain, index) : { hits: [], strange: [] };
  const hits = hitsIn(words, index);
  const used = new Set(hits.flatMap((hit) => hit.at));
  words.forEach((word, i) => {
    if (used.has(i)) return;
    const without = FREE.exec(word);
    if (SAYS[word]) said.add(SAYS[word]);
    if (without) freed(without[1], index).forEach((tag) => free.add(tag));
  });
  const others = rest.flatMap((part) => {
    const partWords = wordsOf(part);
    for (const word of partWords) {
      const without = FREE.exec(word);
      if (SAYS[word]) said.add(SAYS[word]);
      if (without) freed(without[1], index).forEach((tag) => free.add(tag));
    }
    return hitsIn(
      partWords.filter((word) => !FREE.test(word)),
      index,
    ).map((hit) => hit.ingredient);
  });
  const named = [...inText.hits, ...hits.map((hit) => hit.ingredient)];
  if (named.length === 0 && others.length === 0) return undefined;
  const main = named.length === 0 ? others[0] : (mainOf(head, lead.length, words, hits) ?? named[0]);
  const lastHit = hits.length > 0 ? Math.max(...hits.flatMap((hit) => hit.at)) : -1;
  const unexplained = (i: number) => {
    const word = words[i];
    return !used.has(i) && !isDescriptor(word) && !JOINTS.has(word) && !SAYS[word] && !FREE.test(word) && !UNSPACED.test(word);
  };
  const strange = words.filter((_, i) => unexplained(i) && (i > lastHit || !main.whole));
  return {
    main,
    all: [...new Set([main, ...named, ...others])],
    free: [...free],
    said,
    inHead: new Set(named).size,
    strange: named.length === 0 ? headWords : [...strange, ...inText.strange],
  };
}

/** Ingredients whose name says no more than a kind when another stands before it. */
const KINDS_OF_THING: ReadonlySet<string> = new Set(["mushroom", "fish", "cheese", "meat", "beans-cooked", "nuts", "oil"]);

/** The noun of the first part: "onion soup" is soup, "tuna in oil" is tuna, "lard or butter" is lard. */
function mainOf(head: string, lead: number, words: readonly string[], hits: readonly Hit[]): Ingredient | undefined {
  if (hits.length === 0) return undefined;
  const first = wordsOf(head.split(ALTERNATIVE)[0]).length + lead;
  const joint = words.findIndex((word, i) => i > 0 && JOINTS.has(word));
  const plus = words.findIndex((word, i) => i > 0 && ["and", "plus", "&", "und", "et", "y", "e", "ve", "dan"].includes(word));
  const end = Math.min(first, ...[joint, plus].filter((i) => i > 0));
  const inside = hits.filter((hit) => hit.at[0] < end);
  const last = inside.at(-1) ?? hits[0];
  // "dried shiitake | mushrooms", "cod | fish": the word behind only says what kind of thing it is.
  const before = inside.at(-2);
  const beside = before && before.at[before.at.length - 1] + 1 === last.at[0];
  return (beside && KINDS_OF_THING.has(last.ingredient.id) ? before : last).ingredient;
}

function unspaced(text: string, index: Index): { hits: Ingredient[]; strange: string[] } {
  const hits: { at: number; ingredient: Ingredient }[] = [];
  let left = text;
  for (const { text: name, ingredient } of index.inside) {
    const at = left.indexOf(name);
    if (at < 0) continue;
    hits.push({ at, ingredient });
    left = left.replace(name, " ".repeat(name.length));
  }
  hits.sort((a, b) => a.at - b.at);
  const strange = (left.match(/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}ー]+/gu) ?? []).filter(
    (word) =>
      hits.length > 0 &&
      !isDescriptor(word) &&
      !/^[のをとや大小さじ杯個本枚片克毫升汤匙茶匙勺只块根瓣斤两少许適量カップ]+$/.test(word),
  );
  return { hits: hits.map((hit) => hit.ingredient), strange };
}
