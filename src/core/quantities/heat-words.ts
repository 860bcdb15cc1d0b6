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

/**
 * A recipe's word for heat as numbers of this cook's dial, lowest and highest; undefined for a word that says nothing.
 * @param most   the dial's highest number
 * @param medium the number that this cook calls medium
 */
export function dialOf(word: string, most: number, medium: number): { from: number; to: number } | undefined {
  const text = word.toLowerCase().replace(/\s+/g, "-");
  const found = WORDS.find(([name]) => text.includes(name));
  if (!found) return undefined;
  // The scale is bent so that half way is the cook's own medium.
  const at = (share: number) => (share <= 0.55 ? (share / 0.55) * medium : medium + ((share - 0.55) / 0.45) * (most - medium));
  const within = (value: number) => Math.min(most, Math.max(1, Math.round(value)));
  return { from: within(at(found[1])), to: within(at(found[2])) };
}
