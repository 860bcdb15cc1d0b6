import { freshId } from "../shared/fresh-id";
import type { Component, Item } from "./schema";
import { idOf, ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { convertYeast, type Yeast } from "../ingredients/yeast";
import { componentsAt, withComponents, type Place } from "./desk";
import { exchangeFat, exchangeForSelfRaising, FATS, type Fat } from "../ingredients/exchange";

/** What an exchange does to the piece, in codes. */
export type SwapEffect =
  | "stronger-flour"
  | "weaker-flour"
  | "plain-for-strong"
  | "weakened-flour"
  | "own-leavener"
  | "lard-for-butter"
  | "shortening-for-butter"
  | "oil-for-butter"
  | "margarine-for-butter"
  | "butter-for-margarine"
  | "butter-for-harder-fat"
  | "soy-for-wine"
  | "vinegar-for-wine"
  | "no-egg"
  | "no-milk"
  | "leaner"
  | "soured-milk"
  | "sugar-for-honey"
  | "salt-by-hand"
  | "vegetable-stock"
  | "self-raising"
  | "same-rise"
  | "yeast-bloomed";

/** What stands in for an ingredient: its lines, what else changes, and what that does to the piece. */
export interface Swap {
  readonly id: string;
  /** "lard and water" */
  readonly name: string;
  readonly lines: readonly { readonly name: string; readonly grams: number }[];
  /** Other lines of the same dough or filling that change, by table id, g (< 0: leave out). */
  readonly also: readonly { readonly ingredient: string; readonly name: string; readonly grams: number }[];
  /** Cue and keeping that change; worded in `swaps-text.ts`. */
  readonly effect: SwapEffect;
  /** Leavener that comes with it, g; undefined where none does. */
  readonly leavenerG?: number;
}

type Rule = (grams: number, around: readonly Component[]) => Swap;

const swap = (
  id: string,
  name: string,
  lines: Swap["lines"],
  effect: SwapEffect,
  also: Swap["also"] = [],
  leavenerG?: number,
): Swap => ({
  id,
  name,
  lines: lines.filter((line) => line.grams > 0),
  also: also.filter((a) => Math.abs(a.grams) >= 0.05),
  effect,
  ...(leavenerG !== undefined && { leavenerG }),
});

/** As much of another fat as brings the same fat; water and salt are set right. */
const fat =
  (from: Fat, id: string, name: string, to: Fat, effect: SwapEffect): Rule =>
  (grams) => {
    const other = exchangeFat(grams, from, to);
    return swap(id, name, [{ name, grams: other.grams }], effect, [
      { ingredient: "water", name: "water", grams: other.addWaterG },
      { ingredient: "salt", name: "salt", grams: -other.leaveOutSaltG },
    ]);
  };

/** The same rise from another kind of yeast. */
const yeast =
  (from: Yeast, to: Yeast, name: string): Rule =>
  (grams) =>
    swap(
      to,
      name,
      [{ name, grams: convertYeast({ grams, from, to }).grams }],
      to === "active-dry" ? "yeast-bloomed" : "same-rise",
    );

const toSelfRaising: Rule = (grams, around) => {
  const powder = around.filter((c) => idOf(c) === "baking-powder").reduce((sum, c) => sum + c.grams, 0);
  const { inItG, leaveOutG } = exchangeForSelfRaising(grams, powder);
  return swap(
    "self-raising",
    "self-raising flour",
    [{ name: "self-raising flour", grams }],
    "self-raising",
    [{ ingredient: "baking-powder", name: "baking powder", grams: -leaveOutG }],
    inItG,
  );
};
const flour =
  (id: string, name: string, effect: SwapEffect): Rule =>
  (grams) =>
    swap(id, name, [{ name, grams }], effect);
const weakened: Rule = (grams) =>
  swap(
    "weakened",
    "plain flour and starch",
    [
      { name: "plain wheat flour", grams: grams * 0.9 },
      { name: "corn starch", grams: grams * 0.1 },
    ],
    "weakened-flour",
  );

/** Exchanges of each ingredient. Usual kitchen figures of our own; a first try that the cook corrects. */
const RULES: Readonly<Record<string, readonly Rule[]>> = {
  "flour-plain": [
    toSelfRaising,
    flour("strong", "strong wheat flour", "stronger-flour"),
    flour("weak", "low-protein flour", "weaker-flour"),
    weakened,
  ],
  "flour-bread": [
    flour("plain", "plain wheat flour", "plain-for-strong"),
    flour("dumpling", "dumpling flour", "weaker-flour"),
    weakened,
  ],
  "flour-cake": [flour("plain", "plain wheat flour", "stronger-flour")],
  "flour-self-raising": [
    (grams) =>
      swap(
        "plain-and-powder",
        "plain flour and baking powder",
        [
          { name: "plain wheat flour", grams: grams * 0.95 },
          { name: "baking powder", grams: grams * 0.05 },
        ],
        "own-leavener",
      ),
  ],
  butter: [
    fat(FATS.butter, "lard", "lard", FATS.lard, "lard-for-butter"),
    fat(FATS.butter, "shortening", "shortening", FATS.shortening, "shortening-for-butter"),
    fat(FATS.butter, "oil", "oil", FATS.oil, "oil-for-butter"),
    fat(FATS.butter, "salted-margarine", "salted margarine", FATS["salted-margarine"], "margarine-for-butter"),
  ],
  margarine: [fat(FATS.margarine, "butter", "unsalted butter", FATS.butter, "butter-for-margarine")],
  lard: [fat(FATS.lard, "butter", "unsalted butter", FATS.butter, "butter-for-harder-fat")],
  shortening: [fat(FATS.shortening, "butter", "unsalted butter", FATS.butter, "butter-for-harder-fat")],
  "rice-wine": [
    (grams) =>
      swap(
        "soy-and-water",
        "soy sauce and water",
        [
          { name: "soy sauce", grams: grams / 3 },
          { name: "water", grams: (2 * grams) / 3 },
        ],
        "soy-for-wine",
      ),
  ],
  wine: [
    (grams) =>
      swap(
        "stock-and-vinegar",
        "vegetable stock and vinegar",
        [
          { name: "vegetable stock", grams: grams * 0.9 },
          { name: "vinegar", grams: grams * 0.1 },
        ],
        "vinegar-for-wine",
      ),
  ],
  egg: [
    (grams) =>
      swap(
        "water-and-oil",
        "water and oil",
        [
          { name: "water", grams: grams * 0.75 },
          { name: "oil", grams: grams * 0.1 },
        ],
        "no-egg",
      ),
  ],
  milk: [
    (grams) => swap("plant", "oat drink", [{ name: "oat drink", grams }], "no-milk"),
    (grams) =>
      swap(
        "water-and-butter",
        "water and butter",
        [
          { name: "water", grams: grams * 0.93 },
          { name: "unsalted butter", grams: grams * 0.04 },
        ],
        "leaner",
      ),
  ],
  buttermilk: [
    (grams) =>
      swap(
        "milk-and-vinegar",
        "milk and vinegar",
        [
          { name: "milk", grams: grams * 0.94 },
          { name: "vinegar", grams: grams * 0.06 },
        ],
        "soured-milk",
      ),
  ],
  "margarine-salted": [fat(FATS["salted-margarine"], "unsalted", "unsalted butter", FATS.butter, "salt-by-hand")],
  "yeast-instant": [yeast("instant", "active-dry", "active dry yeast"), yeast("instant", "fresh", "fresh yeast")],
  "yeast-active-dry": [yeast("active-dry", "instant", "instant yeast"), yeast("active-dry", "fresh", "fresh yeast")],
  "yeast-fresh": [yeast("fresh", "instant", "instant yeast"), yeast("fresh", "active-dry", "active dry yeast")],
  honey: [
    (grams) =>
      swap(
        "sugar-and-water",
        "sugar and water",
        [
          { name: "sugar", grams: grams * 0.8 },
          { name: "water", grams: grams * 0.18 },
        ],
        "sugar-for-honey",
      ),
  ],
};
/** Ingredients that are exchanged as others are. */
const ALIKE: Readonly<Record<string, string>> = {
  "butter-salted": "margarine-salted",
  "wine-white": "wine",
  "wine-red": "wine",
  sake: "rice-wine",
  "flour-00": "flour-plain",
  "flour-dumpling": "flour-bread",
};

/** What could stand in for a line of the formula; none where no rule is known. */
export function swapsFor(item: Item, place: Place, index: number, catalogue: Catalogue = OURS): Swap[] {
  const around = componentsAt(item, place);
  const { grams } = around[index];
  const ingredient = ingredientOf(around[index], catalogue);
  if (ingredient?.kinds.includes("broth") && ingredient.diets.vegetarian === "no")
    return [swap("vegetable-stock", "vegetable stock", [{ name: "vegetable stock", grams }], "vegetable-stock")];
  const id = ingredient?.id ?? "";
  return (RULES[ALIKE[id] ?? id] ?? []).map((rule) => rule(grams, around));
}

const tenth = (grams: number): number => Math.round(grams * 10) / 10;

/** Puts a swap in place of a line; lines that come to nothing leave, ones that are not there yet are added. */
export function applySwap(item: Item, place: Place, index: number, chosen: Swap): Item {
  const before = componentsAt(item, place);
  const target = before[index];
  const taken = before.map((c) => c.id);
  const fresh = (name: string, grams: number, like?: Component): Component => {
    const id = freshId(name, taken);
    taken.push(id);
    return {
      id,
      name,
      grams: tenth(grams),
      ...(like?.flour && { flour: true }),
      ...(like?.cook !== undefined && { cook: like.cook }),
    };
  };
  let lines = before.flatMap((c, i) => (i === index ? chosen.lines.map((line) => fresh(line.name, line.grams, target)) : [c]));
  for (const { ingredient, name, grams } of chosen.also) {
    const at = lines.findIndex((c) => idOf(c) === ingredient);
    if (at < 0) {
      if (grams > 0) lines.push(fresh(name, grams, { ...target, flour: undefined }));
      continue;
    }
    const left = tenth(lines[at].grams + grams);
    lines =
      left > 0
        ? lines.map((c, i) => (i === at ? { ...c, grams: left, measure: undefined } : c))
        : lines.filter((_, i) => i !== at);
  }
  return withComponents(item, place, lines);
}
