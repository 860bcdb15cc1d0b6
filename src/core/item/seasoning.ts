import { sum } from "../shared/rounding";

/** Salt still to add, half now and the rest after tasting, g. Raw meat is never tasted: fry a test piece. */
export function saltBudget(
  totalG: number,
  saltPct: number,
  carried: readonly { grams: number; saltPct: number }[],
): { wantedG: number; carriedG: number; leftG: number; firstG: number } {
  const wantedG = (totalG * saltPct) / 100;
  const carriedG = sum(carried.map((line) => (line.grams * line.saltPct) / 100));
  const leftG = Math.max(0, wantedG - carriedG);
  return { wantedG, carriedG, leftG, firstG: leftG / 2 };
}

/** Starch that binds a liquid at a rate (% of it), the same bind from flour, and the water to stir the starch into (twice its weight), g. */
export function thicken(
  liquidG: number,
  ratePct: number,
): { starchG: number; flourG: number; slurryWaterG: number; thirdsG: number } {
  const starchG = (liquidG * ratePct) / 100;
  return { starchG, flourG: 2 * starchG, slurryWaterG: 2 * starchG, thirdsG: starchG / 3 };
}

/** A learner closes about two thirds of what a practised hand does. */
const LEARNER_SHARE = 2 / 3;

/** The most filling a skin closes over, and a learner's first pieces, g. `ratio` is filling to skin by weight. */
export const fillingLimit = (skinG: number, ratio: number): { mostG: number; learnerG: number } => ({
  mostG: skinG * ratio,
  learnerG: skinG * ratio * LEARNER_SHARE,
});

/** A level and a rounded tablespoon (15 ml) of a filling, g. */
export const spoonGrams = (densityGPerMl: number): { levelG: number; roundedG: number } => ({
  levelG: 15 * densityGPerMl,
  roundedG: 22.5 * densityGPerMl,
});

/** Salt in what is salty already, %. Usual figures of labels. */
const SALT_PCT: readonly (readonly [name: RegExp, pct: number])[] = [
  [/soy sauce/i, 15],
  [/fish sauce/i, 22],
  [/oyster sauce/i, 9],
  [/\bmiso\b/i, 12],
  [/stock cube|bouillon/i, 50],
  [/\b(stock|broth)\b/i, 0.8],
  [/bacon|ham|cured|smoked (?:fish|trout|salmon)/i, 3],
  [/sausage/i, 2],
  [/olives?\b|capers?|pickle|sauerkraut|kimchi/i, 2.5],
  [/feta|brined cheese/i, 2.5],
  [/parmesan/i, 3],
  [/cheddar|hard cheese/i, 1.8],
  [/mozzarella|cheese/i, 1],
  [/salted (?:butter|margarine)/i, 1.5],
];
const UNSALTED = /\b(?:un-?salted|low-salt|salt-free)\b/i;

/** What of a filling brings salt with it, g and %, and the salt that is weighed as such, g. */
export function saltSources(components: readonly { name: string; grams: number }[]): {
  carried: { name: string; grams: number; saltPct: number }[];
  addedG: number;
} {
  const isSalt = (name: string) => /^(?:\w+ )?salt\b/i.test(name) && !UNSALTED.test(name);
  return {
    addedG: sum(components.filter((c) => isSalt(c.name)).map((c) => c.grams)),
    carried: components.flatMap(({ name, grams }) => {
      const found = isSalt(name) || UNSALTED.test(name) ? undefined : SALT_PCT.find(([words]) => words.test(name));
      return found ? [{ name, grams, saltPct: found[1] }] : [];
    }),
  };
}

/** What of a filling runs and is to be bound, g. */
export const bindable = (components: readonly { name: string; grams: number }[]): number =>
  sum(
    components
      .filter((c) => /\b(water|milk|stock|broth|cream(?! cheese)|wine|passata|tomatoes|juice|cider|beer)\b/i.test(c.name))
      .map((c) => c.grams),
  );

/** Raw meat, fish or egg in a filling: it is never tasted, a spoonful is fried. */
export const isRaw = (components: readonly { name: string; cook?: boolean }[]): boolean =>
  components.some(
    (c) =>
      !c.cook &&
      /\b(beef|pork|lamb|turkey|chicken|mince|prawns?|fish)\b/i.test(c.name) &&
      !/\b(cooked|smoked|cured)\b/i.test(c.name),
  );
