import ingredients from "../tables/ingredients.json";
import { inEnglish } from "./translate";

/** Words that cooks use for what the table calls otherwise. */
const SAME: Readonly<Record<string, string>> = {
  strong: "bread",
  wholegrain: "wholemeal",
  wholewheat: "wholemeal",
  "all-purpose": "plain",
  cornstarch: "corn starch",
  cornflour: "corn starch",
  maize: "corn",
  confectioners: "icing",
  powdered: "icing",
  superfine: "caster",
  scallion: "spring onion",
  zucchini: "courgette",
  eggplant: "aubergine",
  cilantro: "coriander leaf",
  greek: "strained",
  yoghurt: "yogurt",
  stick: "",
  brined: "",
};
/** What a word means where nothing more is said. */
const PLAIN: Readonly<Record<string, string>> = {
  flour: "flour-plain",
  sugar: "sugar-granulated",
  starch: "starch-corn",
  yeast: "yeast-instant",
  oil: "oil",
};

const singular = (word: string): string =>
  word.length > 3 && word.endsWith("s") && !word.endsWith("ss") ? word.replace(/(?<=o)es$|s$/, "") : word;
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-zà-ÿ0-9-]+/)
    .flatMap((word) => (SAME[word] ?? SAME[singular(word)] ?? word).split(/[ ]/))
    .flatMap((word) => (word.includes("-") ? [word, ...word.split("-")] : [word]))
    .filter(Boolean)
    .map(singular);

const IDS = [
  ...new Set([
    ...Object.keys(ingredients.gramsPerCup240),
    ...ingredients.unitWeights.map((w) => w.ingredient),
    ...Object.keys(ingredients.waterPct),
  ]),
];
const TABLE = IDS.map((id) => ({ id, words: id.split("-").map(singular) }));

/**
 * The ingredient of the table that a name means: the one whose words all occur in it, the most of them first, then the
 * one that is named earliest. Undefined where none does.
 */
export function matchIngredient(name: string): string | undefined {
  // What stands behind a comma says how it is prepared.
  const main = wordsOf(
    inEnglish(name)
      .split(",")[0]
      .replace(/\bstrong (?!.*flour)/i, "")
      .replace(/\bsweet pepper/i, "bell pepper"),
  );
  let best: { id: string; size: number; at: number } | undefined;
  for (const { id, words } of TABLE) {
    if (!words.every((word) => main.includes(word))) continue;
    const at = Math.min(...words.map((word) => main.indexOf(word)));
    if (!best || words.length > best.size || (words.length === best.size && at > best.at)) best = { id, size: words.length, at };
  }
  if (best && best.size > 1) return best.id;
  const plain = Object.keys(PLAIN).find((word) => main.includes(word));
  return plain ? PLAIN[plain] : best?.id;
}

/** Where in a shop an ingredient is found; "Other" for what the table does not have. */
export function shopGroup(id: string | undefined): string {
  const groups: Readonly<Record<string, string>> = ingredients.groups;
  return (id && groups[id]) || "Other";
}
/** The groups in the order in which a list is walked. */
export const SHOP_GROUPS: readonly string[] = [...new Set(Object.values(ingredients.groups)), "Other"];
