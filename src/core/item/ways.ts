import { freshId } from "../shared/fresh-id";
import type { Component, Item } from "./schema";
import { disc } from "../quantities/geometry";
import { idOf, isFat, isYeast } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { doughProtein } from "./checks";
import { deskTotals, doughComponents } from "./desk";
import { cutWithRerolls } from "./dough";
import { fillingLimit } from "./seasoning";

/** Questions on which cooks differ. Worded in `ways-text.ts`, with what each answer does. */
export type WayId = "leavener" | "sugar" | "flour" | "circles" | "scraps" | "measuring" | "fullness" | "amounts";

/** Figures that an answer's words need: g, mm, % and counts, by the names that `ways-text.ts` gives them. */
export type Figures = Readonly<Record<string, number>>;

/** One answer, with its figures and the item as it would be. */
export interface WayOption {
  readonly id: string;
  readonly figures: Figures;
  readonly item: Item;
}
export interface Way {
  readonly id: WayId;
  readonly options: readonly WayOption[];
  /** Option that the item follows now; undefined where it follows none of them. */
  readonly chosen: string | undefined;
}

const isA = (ids: readonly string[]) => (c: Component) => ids.includes(idOf(c) ?? "");
const isSugar = isA(["sugar-granulated", "sugar-caster", "sugar-icing", "sugar-brown"]);
const isPowder = isA(["baking-powder"]);
const isStarch = isA(["starch-corn", "starch-potato", "starch-tapioca", "starch-wheat"]);

const withDough = (item: Item, change: (components: readonly Component[], part: number) => readonly Component[]): Item => ({
  ...item,
  dough: { ...item.dough, parts: item.dough.parts.map((part, i) => ({ ...part, components: [...change(part.components, i)] })) },
});

const gramsOf = (item: Item, which: (c: Component) => boolean): number =>
  doughComponents(item)
    .filter(which)
    .reduce((sum, c) => sum + c.grams, 0);

/** Brings what is of a kind in the dough to a share of the flour, %; 0 takes it out, and it is added where there is none. */
function setShare(item: Item, which: (c: Component) => boolean, name: string, pct: number): Item {
  const { flourG } = deskTotals(item);
  const now = gramsOf(item, which);
  const target = Math.round(flourG * pct) / 100;
  if (now > 0)
    return withDough(item, (components) =>
      components.flatMap((c) =>
        !which(c) ? [c] : target > 0 ? [{ ...c, grams: (c.grams * target) / now, measure: undefined }] : [],
      ),
    );
  if (target === 0) return item;
  const taken = doughComponents(item).map((c) => c.id);
  const last = item.dough.parts.length - 1;
  return withDough(item, (components, part) =>
    part === last ? [...components, { id: freshId(name, taken), name, grams: target }] : components,
  );
}

/** A short or flaky dough: no yeast, and fat enough to be shaped by it. */
const isShort = (item: Item): boolean => !doughComponents(item).some((c) => isYeast(c)) && deskTotals(item).fatPct >= 30;

/** The range in which fat to flour of a short dough is set, g of fat for 1 g of flour. */
export const RICHNESS = { min: 0.4, max: 0.95 } as const;

/** Fat to flour of a short dough by weight; undefined for any other dough. */
export const richnessOf = (item: Item): number | undefined => (isShort(item) ? deskTotals(item).fatPct / 100 : undefined);

/** Sets fat to flour of a short dough: what the butter, lard or oil weighs follows, the rest stands. */
export function setRichness(item: Item, ratio: number): Item {
  const { flourG } = deskTotals(item);
  const fatG = gramsOf(item, (c) => isFat(c));
  const factor = (ratio * flourG) / fatG;
  return fatG > 0
    ? withDough(item, (components) =>
        components.map((c) => (isFat(c) ? { ...c, grams: c.grams * factor, measure: undefined } : c)),
      )
    : item;
}

/** Share of a rolled sheet that rounds cut side by side take, and how often the offcuts are rolled again. */
const CUT = { cutFrac: 0.7, rerolls: 2 } as const;
/** Of a dough that is portioned by weight so much stays on board and bowl, %. */
const PORTIONED_LOSS_PCT = 2;
const near = (a: number, b: number, tolerance: number): boolean => Math.abs(a - b) <= tolerance;

/** A question of how much of a kind of ingredient goes on the flour, %. */
function shareWay(
  item: Item,
  id: WayId,
  ingredient: { which: (c: Component) => boolean; name: string },
  shares: readonly number[],
): Way {
  const now = (100 * gramsOf(item, ingredient.which)) / Math.max(1, deskTotals(item).flourG);
  return {
    id,
    options: shares.map((pct) => ({
      id: String(pct),
      figures: {},
      item: setShare(item, ingredient.which, ingredient.name, pct),
    })),
    chosen: shares.find((pct) => near(pct, now, 0.3))?.toString(),
  };
}

const isUnyeasted = (item: Item): boolean => item.piece.doughG > 0 && !doughComponents(item).some((c) => isYeast(c));

const leavener = (item: Item): Way | undefined =>
  isUnyeasted(item) ? shareWay(item, "leavener", { which: isPowder, name: "baking powder" }, [0, 1, 2]) : undefined;

const sugar = (item: Item): Way | undefined =>
  isUnyeasted(item) && item.course !== "sweet"
    ? shareWay(item, "sugar", { which: isSugar, name: "sugar" }, [0, 1, 2])
    : undefined;

const MAIN_FLOURS = ["flour-plain", "flour-bread", "flour-00", "flour-cake"];

/** The heaviest wheat flour becomes another one, and starch a share of the two. */
function withFlour(item: Item, name: string, starchPct: number): Item {
  const starchG = gramsOf(item, isStarch);
  const wheat = [...doughComponents(item)].filter(isA(MAIN_FLOURS)).sort((a, b) => b.grams - a.grams)[0];
  const total = wheat.grams + starchG;
  const starch = (total * starchPct) / 100;
  const taken = doughComponents(item).map((c) => c.id);
  return withDough(item, (components) => {
    const rest = components.filter((c) => !isStarch(c));
    if (!components.includes(wheat)) return rest;
    return rest.flatMap((c) =>
      c !== wheat
        ? [c]
        : [
            { ...c, name, grams: total - starch, measure: undefined },
            ...(starch > 0 ? [{ id: freshId("corn starch", taken), name: "corn starch", grams: starch, flour: true }] : []),
          ],
    );
  });
}

function strength(item: Item, catalogue: Catalogue): Way | undefined {
  const wheat = [...doughComponents(item)].filter(isA(MAIN_FLOURS)).sort((a, b) => b.grams - a.grams)[0];
  if (!wheat) return undefined;
  const starchG = gramsOf(item, isStarch);
  const now = starchG > 0.04 * wheat.grams ? "weakened" : idOf(wheat) === "flour-bread" ? "strong" : "plain";
  const options = (
    [
      ["plain", "plain wheat flour", 0],
      ["strong", "strong wheat flour", 0],
      ["weakened", "plain wheat flour", 10],
    ] as const
  ).map(([id, flour, starchPct]) => {
    const next = id === now ? item : withFlour(item, flour, starchPct);
    const protein = doughProtein(next, catalogue);
    const figures: Figures = protein === undefined ? {} : { proteinPct: protein };
    return { id, figures, item: next };
  });
  return { id: "flour", options, chosen: now };
}

function circles(item: Item): Way | undefined {
  const { doughG, thicknessMm, cutDiameterMm } = item.piece;
  if (!thicknessMm || thicknessMm > 8 || doughG === 0) return undefined;
  const round = disc({ massG: doughG, thicknessMm, density: 1.1 });
  if (!round.ok) return undefined;
  const across = Math.round(cutDiameterMm ?? round.value.diameterMm);
  const cut = cutWithRerolls({ doughG: deskTotals(item).doughG, pieceG: doughG, ...CUT });
  const cutLossPct = Math.round(1000 * (1 - CUT.cutFrac) ** (CUT.rerolls + 1)) / 10 + PORTIONED_LOSS_PCT;
  return {
    id: "circles",
    options: [
      {
        id: "cut",
        figures: {
          acrossMm: across,
          thicknessMm,
          atOnce: cut.byRoll[0],
          later: cut.pieces - cut.byRoll[0],
          leftG: cut.scrapsG,
        },
        // What is left when the offcuts were rolled twice is lost to the pieces.
        item: { ...item, piece: { ...item.piece, cutDiameterMm: across }, dough: { ...item.dough, netLossPct: cutLossPct } },
      },
      {
        id: "portioned",
        figures: { pieceG: doughG, acrossMm: round.value.diameterMm },
        item: {
          ...item,
          piece: { ...item.piece, cutDiameterMm: undefined, scraps: undefined },
          dough: { ...item.dough, netLossPct: PORTIONED_LOSS_PCT },
        },
      },
    ],
    chosen: cutDiameterMm === undefined ? "portioned" : "cut",
  };
}

function scraps(item: Item): Way | undefined {
  if (item.piece.cutDiameterMm === undefined) return undefined;
  const left = cutWithRerolls({ doughG: deskTotals(item).doughG, pieceG: item.piece.doughG, ...CUT }).scrapsG;
  const set = (way: "chill" | "merge"): Item => ({ ...item, piece: { ...item.piece, scraps: way } });
  return {
    id: "scraps",
    options: [
      { id: "chill", figures: {}, item: set("chill") },
      { id: "merge", figures: { pieceG: left + (item.piece.doughG * 3) / 2 }, item: set("merge") },
    ],
    chosen: item.piece.scraps ?? "chill",
  };
}

function measuring(item: Item): Way | undefined {
  if (!item.steps.some((step) => step.kind === "divide") && item.piece.cutDiameterMm !== undefined) return undefined;
  const set = (way: "scale" | "eye"): Item => ({ ...item, piece: { ...item.piece, portionBy: way } });
  return {
    id: "measuring",
    options: [
      { id: "scale", figures: {}, item: set("scale") },
      { id: "eye", figures: {}, item: set("eye") },
    ],
    chosen: item.piece.portionBy ?? "scale",
  };
}

/** Filling to skin by weight that each shape closes over: a practised hand, and a generous one. Kitchen figures. */
const CLOSES: readonly (readonly [shape: RegExp, practised: number, generous: number])[] = [
  [/\b(?:half-?moon|crescent|turnover)\b.*\b(?:pleat|rope)/i, 0.85, 1],
  [/\b(?:half-?moon|crescent|turnover|crimp)/i, 0.9, 1.1],
  [/\bdumpling\b|\bwonton\b/i, 1, 1.2],
  [/\bparcel\b/i, 1, 1.3],
  [/\b(?:flat|pressed)\b/i, 0.75, 0.9],
  [/\b(?:bun|ball|purse|money bag|crown|pleat)/i, 0.65, 0.8],
  [/\b(?:roll|braid|woven|weave)/i, 0.55, 0.7],
  [/\btriangle\b|\bpillow\b/i, 0.7, 0.9],
];
/** Of any other shape. */
const PLAIN_CLOSES = [0.8, 1] as const;
/** A learner closes two thirds of what a practised hand does. */
const LEARNER = 2 / 3;

/** Filling to skin by weight that a learner, a practised hand and a generous one close in a shape. */
export function closesIn(shape: string): readonly (readonly ["learner" | "practised" | "generous", number])[] {
  const found = CLOSES.find(([words]) => words.test(shape));
  const [practised, generous] = found ? [found[1], found[2]] : PLAIN_CLOSES;
  return [
    ["learner", practised * LEARNER],
    ["practised", practised],
    ["generous", generous],
  ];
}

function fullness(item: Item): Way | undefined {
  const { doughG, fillingG } = item.piece;
  if (doughG === 0 || fillingG === 0) return undefined;
  return {
    id: "fullness",
    options: closesIn(item.piece.shape).map(([id, ratio]) => {
      const grams = Math.round(fillingLimit(doughG, ratio).mostG * 10) / 10;
      return { id, figures: { fillingG: grams, skinG: doughG }, item: { ...item, piece: { ...item.piece, fillingG: grams } } };
    }),
    chosen: closesIn(item.piece.shape).find(([, ratio]) => near(ratio, fillingG / doughG, 0.04))?.[0],
  };
}

/** Held back at first where amounts are adapted, %. */
const HELD_BACK_PCT = 10;

function amounts(item: Item): Way | undefined {
  const liquid = doughComponents(item)
    .filter(isA(["water", "milk", "buttermilk"]))
    .sort((a, b) => b.grams - a.grams)[0];
  if (!liquid) return undefined;
  const held = Math.round((liquid.grams * (item.dough.holdBack?.pct ?? HELD_BACK_PCT)) / 100);
  return {
    id: "amounts",
    options: [
      {
        id: "exact",
        figures: { liquidG: liquid.grams },
        item: { ...item, dough: { ...item.dough, holdBack: undefined } },
      },
      {
        id: "feel",
        figures: { heldG: held },
        item: item.dough.holdBack
          ? item
          : { ...item, dough: { ...item.dough, holdBack: { component: liquid.id, pct: HELD_BACK_PCT } } },
      },
    ],
    chosen: item.dough.holdBack ? "feel" : "exact",
  };
}

/** The questions on which cooks differ that this item raises, each with its answers worked out for it. */
export const waysOf = (item: Item, catalogue: Catalogue = OURS): Way[] =>
  [leavener, sugar, strength, circles, scraps, measuring, fullness, amounts].flatMap((of) => of(item, catalogue) ?? []);
