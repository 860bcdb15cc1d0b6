import { ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { componentClaims } from "./claims";
import { isSalt } from "./desk";
import type { Component } from "./schema";
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

/** A way to bind a liquid: what goes in, g, as lines of a formula. */
export interface Binder {
  readonly id: "slurry" | "roux" | "paste" | "egg" | "gelatin";
  readonly lines: readonly { readonly name: string; readonly grams: number }[];
}

/** Egg that sets a liquid, and gelatin that does in the cold, % of it. Kitchen figures. */
const EGG_PCT = 10;
const GELATIN_PCT = 2;

/** Ways to bind a liquid at a rate of starch, % of it: stirred in cold, as a roux, as a paste of fat and flour, by egg, by the cold. */
export function binders(liquidG: number, ratePct: number): Binder[] {
  const { starchG, flourG, slurryWaterG } = thicken(liquidG, ratePct);
  return [
    {
      id: "slurry",
      lines: [
        { name: "corn starch", grams: starchG },
        { name: "water, cold", grams: slurryWaterG },
      ],
    },
    {
      id: "roux",
      lines: [
        { name: "butter", grams: flourG },
        { name: "plain flour", grams: flourG },
      ],
    },
    {
      id: "paste",
      lines: [
        { name: "butter, soft", grams: flourG },
        { name: "plain flour", grams: flourG },
      ],
    },
    { id: "egg", lines: [{ name: "egg, beaten", grams: (liquidG * EGG_PCT) / 100 }] },
    { id: "gelatin", lines: [{ name: "gelatin", grams: (liquidG * GELATIN_PCT) / 100 }] },
  ];
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

/** What of a filling brings salt with it, g and %, the salt that is weighed as such, and the lines of which it is not known. */
export function saltSources(
  components: readonly Pick<Component, "name" | "ingredient" | "grams">[],
  catalogue: Catalogue = OURS,
): {
  carried: { name: string; grams: number; saltPct: number }[];
  addedG: number;
  unknown: string[];
} {
  const unsalted = (name: string) => /\b(?:un-?salted|low-salt|low-sodium|salt-free)\b/i.test(name);
  const salty = components.filter((c) => !isSalt(c, catalogue) && !unsalted(c.name));
  return {
    addedG: sum(components.filter((c) => isSalt(c, catalogue)).map((c) => c.grams)),
    carried: salty.flatMap((c) => {
      const saltPct = ingredientOf(c, catalogue)?.per100.salt;
      return saltPct !== undefined && saltPct >= WORTH_COUNTING_PCT ? [{ name: c.name, grams: c.grams, saltPct }] : [];
    }),
    unknown: salty.filter((c) => ingredientOf(c, catalogue)?.per100.salt === undefined).map((c) => c.name.split(",")[0]),
  };
}

/** Less salt than this is in nearly everything that grows, %. */
const WORTH_COUNTING_PCT = 0.5;

const RUNS: ReadonlySet<string> = new Set(["water", "broth", "wine", "wine-grain", "juice", "plant-drink", "drink"]);
const RUNNY: ReadonlySet<string> = new Set([
  "milk",
  "buttermilk",
  "kefir",
  "cream",
  "passata",
  "tomatoes-canned",
  "cider",
  "beer",
]);

/** What of a filling runs and is to be bound, g. */
export const bindable = (
  components: readonly Pick<Component, "name" | "ingredient" | "grams">[],
  catalogue: Catalogue = OURS,
): number =>
  sum(
    components
      .filter((c) => {
        const ingredient = ingredientOf(c, catalogue);
        return ingredient && (RUNNY.has(ingredient.id) || ingredient.kinds.some((kind) => RUNS.has(kind)));
      })
      .map((c) => c.grams),
  );

/** Raw meat, fish or egg in a filling: it is never tasted, a spoonful is fried. */
export const isRaw = (
  components: readonly Pick<Component, "name" | "ingredient" | "cook">[],
  catalogue: Catalogue = OURS,
): boolean =>
  components.some((c) => {
    const { hazard } = componentClaims(c, catalogue);
    return !c.cook && hazard !== null && hazard !== "vegetable" && hazard !== "leftovers";
  });
