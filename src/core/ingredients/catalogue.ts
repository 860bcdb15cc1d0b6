import { ROWS } from "../tables/catalogue";
import { MEASURED } from "../tables/catalogue/measured";
import units from "../tables/ingredients.json";
import { tagsFor, type AllergenTag } from "./allergen";
import { DIETS, kindOf, worst, worstHazard, type Answer, type Diet, type Diets, type Hazard, type KosherClass } from "./kinds";

/** What a figure of an ingredient rests on: tables of measured foods, a usual label, or a kitchen's own experience. */
export type Basis = "measured" | "label" | "kitchen" | "own";

/** A weight a piece, g: one, or small, medium and large. */
export type PieceWeight = number | readonly [small: number, medium: number, large: number];

/** Of 100 g, g; what is not known is absent. */
export interface Per100 {
  readonly water?: number;
  readonly fat?: number;
  readonly protein?: number;
  readonly sugar?: number;
  readonly salt?: number;
}

/** An entry of the catalogue. */
export interface Ingredient {
  readonly id: string;
  /** As it is shown. */
  readonly name: string;
  /** Every name that cooks know it by, the shown one first. */
  readonly names: readonly string[];
  readonly kinds: readonly string[];
  readonly shopGroup: string;
  readonly flour: boolean;
  /** Its water does not wet a dough. */
  readonly dry: boolean;
  /** A food as it grows or is cut: a word before its name does not make another food of it. */
  readonly whole: boolean;
  readonly per100: Per100;
  readonly basis: Basis;
  /** g in 240 ml. */
  readonly gramsPerCup?: number;
  /** By unit: "each", "clove", "tin"; whole, as it is bought. */
  readonly pieces: Readonly<Record<string, PieceWeight>>;
  /** One piece trimmed, as it goes in; absent where nothing is trimmed off. */
  readonly trimmed?: PieceWeight;
  readonly contains: readonly AllergenTag[];
  /** What a label may say. */
  readonly may: readonly AllergenTag[];
  readonly diets: Diets;
  readonly kosherClass: KosherClass;
  readonly honey: boolean;
  readonly hazard: Hazard | null;
  /** Weight that is lost over heat, %; less than 0 where it takes up water. */
  readonly cookLossPct?: number;
}

const slug = (name: string): string =>
  name
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");

const numberOr = (text: string): number | undefined => (text === "-" || text === "" ? undefined : Number(text));

/** Bad rows are mistakes of ours, found by the tests. */
function check(value: boolean, row: string, what: string): void {
  if (!value) throw new Error(`the catalogue's row “${row.slice(0, 40)}” ${what}`);
}

function piecesFrom(text: string, row: string): { pieces: Record<string, PieceWeight>; trimmed?: PieceWeight } {
  const pieces: Record<string, PieceWeight> = {};
  let trimmed: PieceWeight | undefined;
  for (const part of text === "-" || text === "" ? [] : text.split(",")) {
    const [unit, ...numbers] = part.trim().split(/\s+/);
    const grams = numbers.map(Number);
    check((grams.length === 1 || grams.length === 3) && grams.every((g) => g > 0), row, `has no weight for “${unit}”`);
    const weight: PieceWeight = grams.length === 1 ? grams[0] : [grams[0], grams[1], grams[2]];
    if (unit === "used") trimmed = weight;
    else pieces[unit] = weight;
  }
  return { pieces, trimmed };
}

const CUPS: Readonly<Record<string, number>> = units.gramsPerCup240;
const measuredPieces = (id: string): Record<string, PieceWeight> =>
  Object.fromEntries(units.unitWeights.filter((w) => w.ingredient === id).map((w) => [w.unit, w.g as PieceWeight] as const));

const ANSWER: Readonly<Record<string, Answer>> = { no: "no", "?": "depends" };
const SHORT: Readonly<Record<string, Diet>> = { veg: "vegetarian", vegan: "vegan", halal: "halal", kosher: "kosher" };

function fromRow(row: string): Ingredient[] {
  const cells = row.split("|").map((cell) => cell.trim());
  check(cells.length === 7, row, `has ${cells.length} columns`);
  const [id, kindNames, names, per100, cup, pieceText, claims] = cells;
  const kindList = kindNames.split(/\s+/);
  const kinds = kindList.map(kindOf);
  const contains = new Set(kinds.flatMap((kind) => kind.contains ?? []));
  const may = new Set<AllergenTag>();
  const answers: Record<Diet, Answer[]> = { vegetarian: [], vegan: [], halal: [], kosher: [], "alcohol-free": [] };
  for (const kind of kinds) for (const diet of DIETS) if (kind.diets?.[diet]) answers[diet].push(kind.diets[diet]);
  let hazard = kinds.map((kind) => kind.cooked).find((cooked) => cooked !== undefined) as Hazard | "none" | undefined;
  let basis: Basis = "kitchen";
  let honey = false;
  let cookLossPct: number | undefined;
  for (const rule of claims.match(/[+?](?:tree nuts|\w+)|\S+/g) ?? []) {
    const [key, value] = rule.split(":");
    if (/^[+?]/.test(rule)) {
      const tags = tagsFor(rule.slice(1));
      check(tags.length > 0, row, `has no allergen “${rule}”`);
      for (const tag of tags) (rule.startsWith("+") ? contains : may).add(tag);
    } else if (key in SHORT) {
      check(value in ANSWER, row, `says “${rule}”`);
      answers[SHORT[key]].push(ANSWER[value]);
    } else if (key === "alcohol") answers["alcohol-free"].push("no");
    else if (key === "honey") honey = true;
    else if (key === "hazard") hazard = value as Hazard | "none";
    else if (key === "loss") cookLossPct = Number(value);
    else if (key === "basis") basis = value as Basis;
    else check(false, row, `says “${rule}”`);
  }
  const [water, fat, protein, sugar, salt] = per100.split(/\s+/).map(numberOr);
  const found = hazard === "none" ? null : (hazard ?? worstHazard(kinds.map((kind) => kind.hazard ?? null)));
  const { pieces, trimmed } = piecesFrom(pieceText, row);
  const shared = {
    kinds: kindList,
    shopGroup: kinds.findLast((kind) => kind.group)?.group ?? "Other",
    flour: kinds.some((kind) => kind.flour),
    dry: kinds.some((kind) => kind.dry),
    whole: kinds.every((kind) => kind.whole !== undefined || !kind.diets),
    per100: { water, fat, protein, sugar, salt },
    trimmed,
    contains: [...contains],
    may: [...may].filter((tag) => !contains.has(tag)),
    diets: Object.fromEntries(DIETS.map((diet) => [diet, worst(answers[diet])])) as Diets,
    kosherClass: kinds.find((kind) => kind.kosherClass)?.kosherClass ?? "pareve",
    honey,
    hazard: found,
    cookLossPct,
  };
  return names.split(";").map((group, i) => {
    const known = group
      .split(",")
      .map((name) => name.trim())
      .filter(Boolean);
    check(known.length > 0, row, "has a group without a name");
    const own = i === 0 ? id : slug(known[0]);
    return {
      ...shared,
      id: own,
      name: known[0],
      names: known,
      basis: basis === "kitchen" && own in MEASURED ? "measured" : basis,
      gramsPerCup: numberOr(cup) ?? CUPS[own] ?? CUPS[id],
      pieces: { ...measuredPieces(id), ...measuredPieces(own), ...pieces },
    };
  });
}

/** Every ingredient that we know of ourselves, by id. */
export const STANDARD: ReadonlyMap<string, Ingredient> = (() => {
  const all = new Map<string, Ingredient>();
  for (const row of ROWS)
    for (const ingredient of fromRow(row)) {
      check(!all.has(ingredient.id), row, `has the id “${ingredient.id}” twice`);
      all.set(ingredient.id, ingredient);
    }
  return all;
})();
