/** Where the words of a hob lie between off and full. Our own kitchen figures; the cook's own medium sets the scale. */
const WORDS: readonly (readonly [word: string, from: number, to: number])[] = [
  ["lowest", 0.1, 0.2],
  ["medium-low", 0.35, 0.45],
  ["low", 0.2, 0.35],
  ["medium-high", 0.62, 0.78],
  ["medium", 0.5, 0.6],
  ["highest", 0.95, 1],
  ["high", 0.8, 0.95],
];

/** A hob's word stands by itself: not in "below", "shallow", "slowly", nor with the speed of a mixer. */
const wordAlone = (name: string): RegExp => new RegExp(`(?<![\\p{L}-])${name.replace("-", "[ -]")}(?![\\p{L}-])`, "iu");
const HOB = /^(?!.*\b(?:mix(?:er|ing)?|beat|whisk|knead|speed|gluten|protein|fat|rack|shelf|sized?)\b)/is;
/** A text that names two heats, one after the other, is no single setting. */
const changes = (text: string): boolean => {
  const all = WORDS.map(([name]) => name).filter((name) => wordAlone(name).test(text));
  const apart = all.filter(
    (name) => !all.some((other) => other !== name && other.includes(name) && !alsoAlone(text, name, other)),
  );
  return apart.length > 1;
};
const alsoAlone = (text: string, name: string, other: string): boolean =>
  wordAlone(name).test(text.replace(new RegExp(wordAlone(other), "giu"), " "));

/**
 * A recipe's word for heat as numbers of this cook's dial, lowest and highest; undefined for a word that says nothing.
 * @param most   the dial's highest number
 * @param medium the number that this cook calls medium
 */
export function dialOf(word: string, most: number, medium: number): { from: number; to: number } | undefined {
  const found = WORDS.find(([name]) => HOB.test(word) && wordAlone(name).test(word));
  if (!found || changes(word)) return undefined;
  // The scale is bent so that half way is the cook's own medium.
  const at = (share: number) => (share <= 0.55 ? (share / 0.55) * medium : medium + ((share - 0.55) / 0.45) * (most - medium));
  const within = (value: number) => Math.min(most, Math.max(1, Math.round(value)));
  return { from: within(at(found[1])), to: within(at(found[2])) };
}
