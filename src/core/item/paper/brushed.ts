/** What pieces are brushed with, as a method says it in passing, and how much of it is usual. */
const BRUSHES: readonly (readonly [words: RegExp, line: string])[] = [
  [/egg yolks?|eigelb|jaunes? d.œufs?|jaunes? d'oeufs?|yemas?|tuorl[oi]/iu, "1 egg yolk"],
  [/egg ?wash|\beggs?\b|\bei(?:ern?)?\b|œufs?|\boeufs?\b|huevos?|\buov[oa]\b|yumurta|\bjaj(?:kiem|ko)\b/iu, "1 egg"],
  [/\bmilk\b|milch|\blait\b|leche|\blatte\b|\bsüt\b|mlek/iu, "1 tbsp milk"],
  [/\bbutter\b|beurre|mantequilla|\bburro\b|tereyağ|masł/iu, "1 tbsp butter"],
  [/\boil\b|\böl\b|huile|aceite|\bolio\b|\byağ\b|olej/iu, "1 tbsp oil"],
];
const BRUSH =
  /\b(?:brush(?:ed|ing)?|glaz(?:e|ed|ing)|egg-?wash(?:ed)?|paint(?:ed)?|wash)\b|bestreichen|bepinseln|dore[rz]|badigeonne|pinta[rd]?|pincela|spennella|sürün|posmaruj/iu;

const AFTER =
  /\b(?:after (?:baking|they (?:are|come))|when they (?:are|come)|as soon as they|while (?:still )?(?:hot|warm)|hot from|out of the oven|once baked|nach dem backen|noch (?:heiß|warm)|à la sortie|al salir|appena sfornat)/iu;

/** What pieces are brushed with, as lines, and whether that is done when they are baked already. */
export interface Brushed {
  readonly lines: readonly string[];
  readonly isAfter: boolean;
}

/** What the pieces are brushed with; no lines where the method does not say so. */
export function brushedWith(method: readonly string[]): Brushed {
  for (const sentence of method) {
    const at = sentence.search(BRUSH);
    if (at < 0) continue;
    // What is named with it, before or after in the same breath.
    const clause = sentence.slice(Math.max(0, at - 30), at + 60).split(/[.;]/)[0];
    const found = BRUSHES.find(([words]) => words.test(clause));
    if (found) return { lines: [found[1]], isAfter: AFTER.test(sentence) };
  }
  return { lines: [], isAfter: false };
}
