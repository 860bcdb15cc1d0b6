import type { Component, Item } from "./schema";
import { matchIngredient } from "../ingredients/names";
import { componentsAt, freshId, withComponents, type Place } from "./desk";
import { exchangeFat, exchangeForSelfRaising, FATS, type Fat } from "../ingredients/exchange";

/** What stands in for an ingredient: its lines, what else changes, and what that does to the piece. */
export interface Swap {
  readonly id: string;
  /** "lard and water" */
  readonly name: string;
  readonly lines: readonly { readonly name: string; readonly grams: number }[];
  /** Other lines of the same dough or filling that change, by table id, g (< 0: leave out). */
  readonly also: readonly { readonly ingredient: string; readonly name: string; readonly grams: number }[];
  /** Cue and keeping that change, one sentence. */
  readonly effect: string;
}

type Rule = (grams: number, around: readonly Component[]) => Swap;

const swap = (id: string, name: string, lines: Swap["lines"], effect: string, also: Swap["also"] = []): Swap => ({
  id,
  name,
  lines: lines.filter((line) => line.grams > 0),
  also: also.filter((a) => Math.abs(a.grams) >= 0.05),
  effect,
});

/** As much of another fat as brings the same fat; water and salt are set right. */
const fat =
  (from: Fat, id: string, name: string, to: Fat, effect: string): Rule =>
  (grams) => {
    const other = exchangeFat(grams, from, to);
    return swap(id, name, [{ name, grams: other.grams }], effect, [
      { ingredient: "water", name: "water", grams: other.addWaterG },
      { ingredient: "salt", name: "salt", grams: -other.leaveOutSaltG },
    ]);
  };

const toSelfRaising: Rule = (grams, around) => {
  const powder = around.filter((c) => matchIngredient(c.name) === "baking-powder").reduce((sum, c) => sum + c.grams, 0);
  const { inItG, leaveOutG, consequence } = exchangeForSelfRaising(grams, powder);
  return swap(
    "self-raising",
    "self-raising flour",
    [{ name: "self-raising flour", grams }],
    `${consequence}; ${Math.round(inItG)} g of leavener is in it already`,
    [{ ingredient: "baking-powder", name: "baking powder", grams: -leaveOutG }],
  );
};
const flour =
  (id: string, name: string, effect: string): Rule =>
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
    "softer and shorter; rolls thin with less spring, tears sooner",
  );

/** Exchanges of each ingredient. Usual kitchen figures of our own; a first try that the cook corrects. */
const RULES: Readonly<Record<string, readonly Rule[]>> = {
  "flour-plain": [
    toSelfRaising,
    flour("strong", "strong wheat flour", "more bite and spring; takes about 2 % more water and a longer rest"),
    flour("weak", "low-protein flour", "softer, tears easily; start with 3 % less water"),
    weakened,
  ],
  "flour-bread": [flour("plain", "plain wheat flour", "softer, rolls with less spring; start with 2 % less water"), weakened],
  "flour-self-raising": [
    (grams) =>
      swap(
        "plain-and-powder",
        "plain flour and baking powder",
        [
          { name: "plain wheat flour", grams: grams * 0.95 },
          { name: "baking powder", grams: grams * 0.05 },
        ],
        "the same lift; with less powder flatter and smoother",
      ),
  ],
  butter: [
    fat(FATS.butter, "lard", "lard", FATS.lard, "flakier and crisper, less flavour; firm for longer in a warm room"),
    fat(FATS.butter, "shortening", "shortening", FATS.shortening, "tender and even, mild; keeps its shape, browns less"),
    fat(FATS.butter, "oil", "oil", FATS.oil, "sandy instead of flaky; no chilling needed, softens sooner when kept"),
    fat(
      FATS.butter,
      "salted-margarine",
      "salted margarine",
      FATS["salted-margarine"],
      "softer at once, so chill it longer; browns a little less",
    ),
  ],
  margarine: [
    fat(FATS.margarine, "butter", "unsalted butter", FATS.butter, "firmer from the fridge, more flavour, browns sooner"),
  ],
  lard: [fat(FATS.lard, "butter", "unsalted butter", FATS.butter, "more flavour, softer in a warm room, browns sooner")],
  shortening: [
    fat(FATS.shortening, "butter", "unsalted butter", FATS.butter, "more flavour, softer in a warm room, browns sooner"),
  ],
  "rice-wine": [
    (grams) =>
      swap(
        "soy-and-water",
        "soy sauce and water",
        [
          { name: "soy sauce", grams: grams / 3 },
          { name: "water", grams: (2 * grams) / 3 },
        ],
        "no alcohol; darker and saltier, so count its salt before you add more",
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
        "no alcohol; add the vinegar at the end and taste",
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
        "no egg; paler, less tender, binds less: keep the filling drier",
      ),
  ],
  milk: [
    (grams) => swap("plant", "oat drink", [{ name: "oat drink", grams }], "no milk; browns a little less"),
    (grams) =>
      swap(
        "water-and-butter",
        "water and butter",
        [
          { name: "water", grams: grams * 0.93 },
          { name: "unsalted butter", grams: grams * 0.04 },
        ],
        "a little leaner; browns later",
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
        "the same tenderness after ten minutes' standing",
      ),
  ],
  honey: [
    (grams) =>
      swap(
        "sugar-and-water",
        "sugar and water",
        [
          { name: "sugar", grams: grams * 0.8 },
          { name: "water", grams: grams * 0.18 },
        ],
        "browns later, dries sooner when kept",
      ),
  ],
};
const SALTED = /\bsalted\b/i;
const SALTED_RULES: readonly Rule[] = [
  fat(FATS["salted-margarine"], "unsalted", "unsalted butter", FATS.butter, "the salt it brought is added by hand; more flavour"),
];
const STOCK = /\b(chicken|beef|poultry|meat|fish)\b.*\b(stock|broth|bouillon)\b/i;

/** What could stand in for a line of the formula; none where no rule is known. */
export function swapsFor(item: Item, place: Place, index: number): Swap[] {
  const around = componentsAt(item, place);
  const { name, grams } = around[index];
  if (STOCK.test(name))
    return [
      swap(
        "vegetable-stock",
        "vegetable stock",
        [{ name: "vegetable stock", grams }],
        "suits vegetarians; often saltier: taste first",
      ),
    ];
  const id = matchIngredient(name) ?? (/\bwine\b/i.test(name) ? "wine" : "");
  const salted = SALTED.test(name) && !/\bunsalted\b/i.test(name) && (id === "butter" || id === "margarine");
  return (salted ? SALTED_RULES : (RULES[id] ?? [])).map((rule) => rule(grams, around));
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
    const at = lines.findIndex((c) => matchIngredient(c.name) === ingredient);
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
