import Fuse from "fuse.js";
import type { Ingredient } from "./catalogue";

/** The nearest ingredients to a name that is not known, best first, at most so many. */
export function guesses(name: string, all: Iterable<Ingredient>, most = 3): { id: string; name: string }[] {
  const entries = [...all].flatMap((ingredient) => ingredient.names.map((text) => ({ text, ingredient })));
  const fuse = new Fuse(entries, { keys: ["text"], threshold: 0.45, ignoreLocation: true, minMatchCharLength: 2 });
  const seen = new Map<string, string>();
  // The last word is the noun: "zorbel paste" is nearer to a paste than to a zorbet.
  const words = name.split(/[,(]/)[0].trim();
  for (const query of [words, words.split(/\s+/).at(-1) ?? ""]) {
    if (query.length < 3) continue;
    for (const { item } of fuse.search(query, { limit: 8 }))
      if (seen.size < most && !seen.has(item.ingredient.id)) seen.set(item.ingredient.id, item.ingredient.name);
  }
  return [...seen].map(([id, shown]) => ({ id, name: shown }));
}
