import type { Item } from "./schema";
import { idOf, ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { down, sum } from "../shared/rounding";
import { deskTotals, doughComponents, isSalt } from "./desk";
import { doughShares, familyOf, type Family } from "./families";
import { usualMinutes, workMinutes } from "./step-minutes";
import { bindable } from "./seasoning";
import { effectiveProtein } from "../ingredients/exchange";
import { celsiusOf } from "../quantities/temperature";

/** A figure of the dough that a family has limits for. */
export type DoughFigure = "water" | "fat" | "sugar" | "salt" | "yeast";

/** What a cook would ask about, in codes: a figure that can hardly be meant, or one that is not there. Worded in `checks-text.ts`. */
export type Check =
  /** Of the flour, %. */
  | { readonly kind: "doubt"; readonly code: "much-of"; readonly ingredient: string; readonly pct: number; readonly most: number }
  /** Against what is usual of this kind of dough, % of the flour. */
  | {
      readonly kind: "doubt";
      readonly code: "unusual";
      readonly figure: DoughFigure;
      readonly pct: number;
      readonly family: Family;
    }
  | {
      readonly kind: "doubt";
      readonly code: "thickness";
      readonly mm: number;
      readonly family: Family;
      readonly proposedMm: number;
    }
  /** Weights in g a piece. */
  | {
      readonly kind: "doubt";
      readonly code: "short-of-dough" | "short-of-filling";
      readonly pieces: number;
      readonly pieceG: number;
      readonly possibleG: number;
    }
  | { readonly kind: "doubt"; readonly code: "oven"; readonly step: string; readonly settingC: number; readonly family?: Family }
  /** Cooked for too short a time to be done, min. */
  | {
      readonly kind: "doubt";
      readonly code: "cooked-short";
      readonly step: string;
      readonly what: string;
      readonly minutes: number;
      readonly least: number;
    }
  /** Starch of the liquid it binds, %. */
  | {
      readonly kind: "doubt";
      readonly code: "much-starch";
      readonly pct: number;
      readonly grams: number;
      readonly usualG: number;
    }
  | {
      readonly kind: "doubt";
      readonly code: "much-spoon";
      readonly name: string;
      readonly grams: number;
      readonly totalG: number;
    }
  /** Salt on raw vegetables that give off water, with nothing done about it. */
  | { readonly kind: "doubt"; readonly code: "salt-on-watery"; readonly names: readonly string[] }
  /** Raw roots that get soft in the pastry only where they are cut small: mm as they are cut, where it is said, and at the most. */
  | {
      readonly kind: "doubt";
      readonly code: "raw-root";
      readonly names: readonly string[];
      readonly mm: number | undefined;
      readonly mostMm: number;
      readonly minutes: number;
    }
  /** A liquid's temperature without a scale: it could be either. */
  | {
      readonly kind: "doubt";
      readonly code: "bare-degrees";
      readonly name: string;
      readonly value: number;
      readonly yeasted: boolean;
    }
  | {
      readonly kind: "doubt";
      readonly code: "kills-yeast";
      readonly name: string;
      readonly celsius: number;
      readonly mostC: number;
    }
  | { readonly kind: "gap"; readonly code: "no-flour" | "no-filling-weight" | "no-filling" }
  | { readonly kind: "gap"; readonly code: "no-oven-setting"; readonly step: string; readonly family?: Family };

/** Usual limits on flour, %: beyond them a slip of the pen is likelier than a recipe. Our own kitchen figures. */
const USUAL: readonly { readonly of: readonly string[]; readonly ingredient: string; readonly most: number }[] = [
  { of: ["baking-powder"], ingredient: "baking powder", most: 6 },
  { of: ["baking-soda"], ingredient: "baking soda", most: 2 },
];

/** What takes its time over heat when it is raw and diced, min. */
const SLOW: Readonly<Record<string, number>> = {
  potato: 8,
  carrot: 6,
  beetroot: 15,
  celeriac: 8,
  "sweet-potato": 7,
  pumpkin: 6,
  turnip: 8,
};
/** Starch that binds a liquid to a paste, % of it; more is a slip. */
const MOST_STARCH_PCT = 9;
const USUAL_STARCH_PCT = 4;
/** More of a filling than this is no seasoning, %. */
const MOST_SPICE_PCT = 4;

/** What a cook would ask about: figures outside the usual, weights that do not add up, and what is not said at all. */
export function itemChecks(item: Item, catalogue: Catalogue = OURS): Check[] {
  const totals = deskTotals(item, catalogue);
  const dough = doughComponents(item);
  const family = familyOf(item, catalogue);
  const checks: Check[] = [];
  const onFlour = (ids: readonly string[]) =>
    totals.flourG > 0
      ? (100 * sum(dough.filter((c) => ids.includes(idOf(c, catalogue) ?? "")).map((c) => c.grams))) / totals.flourG
      : 0;
  if (totals.flourG === 0) checks.push({ kind: "gap", code: "no-flour" });
  for (const { of, ingredient, most } of USUAL) {
    const pct = onFlour(of);
    if (pct > most) checks.push({ kind: "doubt", code: "much-of", ingredient, pct, most });
  }
  if (family) checks.push(...unusual(item, family, catalogue));
  checks.push(...liquidDoubts(item, family?.yeast !== undefined, catalogue));
  checks.push(...thicknessDoubt(item, family));
  checks.push(...weightDoubts(item, totals.usableDoughG, totals.usableFillingG));
  if (item.filling.components.length > 0 && item.piece.fillingG === 0) checks.push({ kind: "gap", code: "no-filling-weight" });
  if (item.piece.fillingG > 0 && item.filling.components.length === 0) checks.push({ kind: "gap", code: "no-filling" });
  checks.push(...fillingDoubts(item, catalogue), ...rawRoots(item, catalogue));
  for (const step of item.steps) {
    const oven = step.equipment.find((e) => e.id === "oven");
    if (oven && oven.settingC === undefined) checks.push({ kind: "gap", code: "no-oven-setting", step: step.id, family });
    if (oven?.settingC !== undefined && (oven.settingC < 120 || oven.settingC > 260))
      checks.push({ kind: "doubt", code: "oven", step: step.id, settingC: oven.settingC, family });
  }
  return checks;
}

/** Warmer than this no liquid meets yeast, °C. */
const YEAST_MOST_C = 43;
const LIQUIDS: ReadonlySet<string> = new Set(["water", "milk", "buttermilk", "oat-drink", "soy-drink"]);

/** Temperatures that stand with a liquid: without a scale they are asked, and with one they may kill the yeast. */
function liquidDoubts(item: Item, yeasted: boolean, catalogue: Catalogue): Check[] {
  return item.dough.parts
    .flatMap((part) => part.components)
    .filter((c) => LIQUIDS.has(idOf(c, catalogue) ?? ""))
    .flatMap((c): Check[] => {
      const found = /(\d{2,3})\s*(?:°|º)?\s*([cf])?\b/i.exec(c.name);
      if (!found) return [];
      const value = Number(found[1]);
      const name = c.name.split(/[,(\d]/)[0].trim();
      if (!found[2]) return [{ kind: "doubt", code: "bare-degrees", name, value, yeasted }];
      const celsius = found[2].toUpperCase() === "F" ? celsiusOf(value) : value;
      return yeasted && Math.round(celsius) > YEAST_MOST_C
        ? [{ kind: "doubt", code: "kills-yeast", name, celsius, mostC: YEAST_MOST_C }]
        : [];
    });
}

/** Shares of the dough outside what its family ever has. */
function unusual(item: Item, family: Family, catalogue: Catalogue): Check[] {
  const shares = doughShares(doughComponents(item), catalogue)!;
  return (["water", "fat", "sugar", "salt", "yeast"] as const).flatMap((figure): Check[] => {
    const usual = family[figure];
    const pct = shares[figure];
    // Salt that is left to taste, or a fat in the filling, is no slip: only what is too much of nothing is asked.
    if (!usual || (pct === 0 && figure !== "water")) return [];
    return pct < usual.least || pct > usual.most ? [{ kind: "doubt", code: "unusual", figure, pct, family }] : [];
  });
}

function thicknessDoubt(item: Item, family: Family | undefined): Check[] {
  const { thicknessMm: mm } = item.piece;
  const usual = family?.sheetMm;
  if (mm === undefined || !usual || family === undefined || (mm >= usual.least && mm <= Math.max(usual.most, 15))) return [];
  // A decimal point lost, more often than not.
  const tenth = mm / 10;
  const proposedMm = tenth >= usual.least && tenth <= usual.most ? tenth : Math.min(usual.to, Math.max(usual.from, mm));
  return [{ kind: "doubt", code: "thickness", mm, family, proposedMm }];
}

function weightDoubts(item: Item, usableDoughG: number, usableFillingG: number): Check[] {
  const { pieces } = item.base;
  const { doughG, fillingG } = item.piece;
  // A piece too few is rounding; more is a sum that does not add up.
  const short = (each: number, usable: number) => each > 0 && down(usable / each) < pieces && usable / each < pieces * 0.97;
  return [
    ...(short(doughG, usableDoughG)
      ? [{ kind: "doubt", code: "short-of-dough", pieces, pieceG: doughG, possibleG: usableDoughG / pieces } as const]
      : []),
    ...(item.filling.components.length > 0 && short(fillingG, usableFillingG)
      ? [{ kind: "doubt", code: "short-of-filling", pieces, pieceG: fillingG, possibleG: usableFillingG / pieces } as const]
      : []),
  ];
}

/** Times too short for what is cooked, starch and spices beyond what a filling takes. */
function fillingDoubts(item: Item, catalogue: Catalogue): Check[] {
  const { components } = item.filling;
  const raw = components.filter((c) => c.cook && !/\b(?:cooked|mashed|canned|tinned|leftover)\b/i.test(c.name));
  const slowest = raw
    .map((c) => ({ c, least: SLOW[idOf(c, catalogue) ?? ""] ?? 0 }))
    .sort((a, b) => b.least - a.least)
    .at(0);
  const cook = item.steps.filter((step) => step.kind === "cook-filling");
  const minutes = sum(cook.map((step) => usualMinutes(step, item.base.pieces)));
  const checks: Check[] = [];
  if (slowest && slowest.least > 0 && cook.length > 0 && minutes < slowest.least)
    checks.push({
      kind: "doubt",
      code: "cooked-short",
      step: cook[0].id,
      what: slowest.c.name.split(",")[0],
      minutes,
      least: slowest.least,
    });
  const starchG = sum(components.filter((c) => ingredientOf(c, catalogue)?.kinds.includes("starch")).map((c) => c.grams));
  const liquidG = bindable(components, catalogue);
  if (liquidG > 0 && (100 * starchG) / liquidG > MOST_STARCH_PCT && starchG > 20)
    checks.push({
      kind: "doubt",
      code: "much-starch",
      pct: (100 * starchG) / liquidG,
      grams: starchG,
      usualG: (liquidG * USUAL_STARCH_PCT) / 100,
    });
  const totalG = sum(components.map((c) => c.grams));
  const watery = wateryIn(item, totalG, catalogue);
  if (watery.length > 0) checks.push({ kind: "doubt", code: "salt-on-watery", names: watery });
  for (const c of components) {
    const kinds = ingredientOf(c, catalogue)?.kinds ?? [];
    if ((kinds.includes("spice") || isSalt(c, catalogue)) && totalG > 0 && (100 * c.grams) / totalG > MOST_SPICE_PCT)
      checks.push({ kind: "doubt", code: "much-spoon", name: c.name.split(",")[0], grams: c.grams, totalG });
  }
  return checks;
}

/** Raw dice of this size are soft after so many minutes in a closed pastry. */
const SOFT = { mm: 8, min: 40, leastMm: 4 } as const;

/** Roots that go raw into what is baked, cut larger than they get soft there, or nobody says how small. */
function rawRoots({ filling, steps, base }: Item, catalogue: Catalogue): Check[] {
  const bakes = steps.filter(({ kind, path }) => kind === "bake" && path.includes("fresh"));
  if (bakes.length === 0) return [];
  const cooks = steps.some(({ kind, part }) => kind === "cook-filling" && part === "filling");
  const minutes = sum(bakes.map((step) => workMinutes(step, base.pieces)));
  const roots = filling.components
    .filter(({ cook }) => cook === false || (cook === undefined && !cooks))
    .filter((c) => SLOW[idOf(c, catalogue) ?? ""] !== undefined && !/cooked|mashed|canned|tinned|leftover|grated/i.test(c.name))
    .map((c) => {
      const said = /(\d+(?:[.,]\d+)?)\s*(mm|cm)\b/i.exec(`${c.name} ${c.text ?? ""}`);
      return {
        name: c.name.split(",")[0],
        mm: said ? Number(said[1].replace(",", ".")) * (said[2].toLowerCase() === "cm" ? 10 : 1) : undefined,
      };
    });
  const mostMm = Math.max(SOFT.leastMm, Math.round((SOFT.mm * minutes) / SOFT.min));
  const doubted = roots.filter(({ mm }) => mm === undefined || mm > mostMm);
  if (doubted.length === 0) return [];
  const sizes = doubted.flatMap(({ mm }) => (mm === undefined ? [] : [mm]));
  return [
    {
      kind: "doubt",
      code: "raw-root",
      names: doubted.map(({ name }) => name),
      mm: sizes.length > 0 ? Math.max(...sizes) : undefined,
      mostMm,
      minutes,
    },
  ];
}

/** Vegetables with more water than this give it off when they are salted raw, % of them. */
const WATERY_PCT = 88;
/** Less of them in a filling does no harm. */
const WATERY_SHARE = 0.2;

/** Names of raw, watery vegetables that stand with salt in a filling which is neither cooked nor squeezed. */
function wateryIn({ filling, steps }: Item, totalG: number, catalogue: Catalogue): string[] {
  const salted = filling.components.some((c) => isSalt(c, catalogue));
  const isDealtWith = steps.some(
    ({ kind, part, do: text }) => part === "filling" && (kind === "cook-filling" || /squeez|press|drain/i.test(text)),
  );
  if (!salted || isDealtWith) return [];
  const watery = filling.components.filter((c) => {
    const ingredient = ingredientOf(c, catalogue);
    return ingredient?.kinds.includes("vegetable") === true && (ingredient.per100.water ?? 0) >= WATERY_PCT;
  });
  return sum(watery.map((c) => c.grams)) >= WATERY_SHARE * totalG ? watery.map((c) => c.name.split(",")[0]) : [];
}

/** Protein of the dough's flours and starches together, %; undefined where none is known. */
export function doughProtein(item: Item, catalogue: Catalogue = OURS): number | undefined {
  const lines = item.dough.parts
    .flatMap((part) => part.components)
    .flatMap((c) => {
      const ingredient = ingredientOf(c, catalogue);
      const proteinPct = ingredient?.per100.protein;
      const counts = ingredient?.flour || ingredient?.kinds.includes("starch");
      return counts && proteinPct !== undefined ? [{ grams: c.grams, proteinPct }] : [];
    });
  return lines.length > 0 ? effectiveProtein(lines) : undefined;
}

/** Bite to expect of a flour mixture by its protein. */
export type Bite = "soft" | "tender" | "strong";
export const biteOf = (proteinPct: number): Bite => (proteinPct < 9.5 ? "soft" : proteinPct < 11.5 ? "tender" : "strong");
