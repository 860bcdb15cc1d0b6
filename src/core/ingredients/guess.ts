import Fuse from "fuse.js";
import type { Ingredient } from "./catalogue";

const SEARCHES = new WeakMap<ReadonlyMap<string, Ingredient>, Fuse<{ text: string; ingredient: Ingredient }>>();

/** A search over all names, made once for a catalogue. */
function searchIn(all: ReadonlyMap<string, Ingredient>): Fuse<{ text: string; ingredient: Ingredient }> {
  const before = SEARCHES.get(all);
  if (before) return before;
  const entries = [...all.values()].flatMap((ingredient) => ingredient.names.map((text) => ({ text, ingredient })));
  const search = new Fuse(entries, { keys: ["text"], threshold: 0.45, ignoreLocation: true, minMatchCharLength: 2 });
  SEARCHES.set(all, search);
  return search;
}

/** Longest name that guesses are made for: a sentence is near to nothing. */
const MOST_LETTERS = 60;

/** The nearest ingredients to a name that is not known, best first, at most so many. */
export function guesses(name: string, all: ReadonlyMap<string, Ingredient>, most = 3): { id: string; name: string }[] {
  const fuse = searchIn(all);
  const seen = new Map<string, string>();
  // The last word is the noun: "zorbel paste" is nearer to a paste than to a zorbet.
  const words = name.split(/[,(]/)[0].trim();
  for (const query of [words, words.split(/\s+/).at(-1) ?? ""]) {
    if (query.length < 3 || query.length > MOST_LETTERS) continue;
    for (const { item } of fuse.search(query, { limit: 8 }))
      if (seen.size < most && !seen.has(item.ingredient.id)) seen.set(item.ingredient.id, item.ingredient.name);
  }
  return [...seen].map(([id, shown]) => ({ id, name: shown }));
}
