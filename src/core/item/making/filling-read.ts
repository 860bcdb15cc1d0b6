import { worstHazard, type Hazard } from "../../ingredients/kinds";
import { ingredientOf } from "../../ingredients/lookup";
import type { Catalogue } from "../../ingredients/own";
import type { Reading } from "../../ingredients/read-line";
import { sum } from "../../shared/rounding";
import { componentClaims } from "../claims";
import type { MethodRead } from "../paper/method-text";
import { isNamedIn, wordsOf } from "../paper/named-in";
import type { Paper } from "../paper/sections";
import { lengthOf, plannedOf } from "../paper/times";
import { VERBS } from "../paper/words";
import { fromLines } from "../recipe";
import type { Component, Item } from "../schema";
import { hazardFor, weighed } from "./filling-lines";
import { FILLINGS, type Filling, type FillingId } from "./fillings";
import { byWord, proposeFilling, type Proposed } from "./propose";

/** One filling of a recipe and what it is. */
export interface FillingRead {
  readonly name: string | undefined;
  readonly lines: readonly Reading[];
  readonly proposed: Proposed<FillingId>;
  readonly kind: Filling;
  readonly isRaw: boolean;
  readonly hazard: Hazard | null;
  /** Its own lines by weight; those of the base are not among them. */
  readonly own: readonly Component[];
  /** Lost over heat by what is cooked of it, %. */
  readonly lossPct: number;
  /** Lines that cannot be weighed. */
  readonly gaps: NonNullable<Item["gaps"]>;
  /** Heavy lines of which nobody knows what they are. */
  readonly unknown: readonly Reading[];
}

/** A part of a filling that nobody knows, and that may be meat: a spice weighs less. */
const UNKNOWN_SHARE = 0.15;

/** Lines of a filling of which nothing is known, as far as they weigh something. */
function unknownIn(lines: readonly Reading[]): readonly Reading[] {
  const total = lines.reduce((sum, line) => sum + (line.grams ?? 0), 0);
  return lines.filter((line) => line.found === undefined && (line.grams ?? 0) > UNKNOWN_SHARE * total);
}

/** "Base for the fillings", "Filling base": what all fillings share. */
const BASE = /\bbase\b|\bcommon\b|\bfor (?:all|both)\b|grundmasse|basis\b|commun/iu;

/** The fillings of a recipe, and the base that they share where it has one. */
export function dividedFillings(fillings: Paper["fillings"]): {
  readonly base: readonly Reading[];
  readonly fillings: Paper["fillings"];
} {
  const isBase = ({ name }: Paper["fillings"][number]) => name !== undefined && BASE.test(name);
  const others = fillings.filter((one) => !isBase(one));
  // What is called a base and goes its way alone is a filling like any other.
  return others.length > 1
    ? { base: fillings.filter(isBase).flatMap(({ lines }) => lines), fillings: others }
    : { base: [], fillings };
}

interface Around {
  readonly read: MethodRead;
  /** All that the recipe says. */
  readonly whole: string;
  readonly catalogue: Catalogue;
  /** Lines of the base that goes into it. */
  readonly base: readonly Reading[];
  /** Lines of the other fillings. */
  readonly others: readonly Reading[];
  /** By the cook's word. */
  readonly chosen: FillingId | undefined;
  readonly gapsBefore: NonNullable<Item["gaps"]>;
}

const wordsIn = (lines: readonly Reading[]): string[] => lines.flatMap(({ name }) => wordsOf(name.toLowerCase()));

const isOfBase = (sentence: string, base: readonly Reading[]): boolean =>
  base.length > 0 && (/\bbase\b/i.test(sentence) || isNamedIn(sentence, wordsIn(base)));

/** How long a method cooks the base that all fillings share, min; undefined where it does not say. */
export function baseMinutes(read: MethodRead, base: readonly Reading[]): number | undefined {
  const said = read.sentences.find((sentence) => VERBS.cookFilling.test(sentence) && isOfBase(sentence, base));
  const length = said === undefined ? undefined : lengthOf(said);
  return length && !length.night ? plannedOf(length) : undefined;
}

/** What a method says of one filling of several: that another one is cooked is nothing about it. */
function ofThis(read: MethodRead, lines: readonly Reading[], others: readonly Reading[], base: readonly Reading[]): MethodRead {
  if (others.length === 0 || !read.cooksFilling) return read;
  const cooking = read.sentences.filter((sentence) => VERBS.cookFilling.test(sentence) && !isOfBase(sentence, base));
  const [mine, theirs] = [wordsIn(lines), wordsIn(others)];
  const isCooked = cooking.some((sentence) => isNamedIn(sentence, mine) || !isNamedIn(sentence, theirs));
  return isCooked ? read : { ...read, cooksFilling: false, fillingCook: undefined };
}

/** What a filling is: its kind, what is raw in it, and the core that this asks for. */
export function readFilling(
  { name, lines }: Paper["fillings"][number],
  { read, whole, catalogue, base, others, chosen, gapsBefore }: Around,
): FillingRead {
  const hazardOf = (line: Reading): Hazard | null => componentClaims({ name: line.name }, catalogue).hazard;
  const proposed: Proposed<FillingId> = chosen
    ? byWord(chosen)
    : proposeFilling(lines, ofThis(read, lines, others, base), whole, hazardOf);
  const kind = FILLINGS[proposed.value];
  const all = [...base, ...lines];
  const unknown = unknownIn(all);
  const told = hazardFor(all, kind, hazardOf);
  const { components, gaps } = fromLines(lines, "filling", { components: [], gaps: gapsBefore }, catalogue);
  const made = weighed(components, kind);
  return {
    name,
    lines,
    proposed,
    kind,
    isRaw: kind.tasteNot === true,
    hazard: unknown.length > 0 ? worstHazard([told, "leftovers"]) : told,
    own: made.lines,
    lossPct: made.lossPct,
    gaps,
    unknown,
  };
}

/** Lost over heat by lines that are all cooked, %: what is known of each. */
const BASE_LOSS_PCT = 20;

/** The base of several fillings: cooked, whatever is done with the rest. */
export const baseComponents = (
  lines: readonly Reading[],
  catalogue: Catalogue,
  gapsBefore: NonNullable<Item["gaps"]>,
): { readonly components: readonly Component[]; readonly gaps: NonNullable<Item["gaps"]> } => {
  const { components, gaps } = fromLines(lines, "filling", { components: [], gaps: gapsBefore }, catalogue);
  return {
    components: components.map((line) => ({
      ...line,
      id: `base-${line.id}`,
      base: true as const,
      cook: true,
      lossPct: line.lossPct ?? ingredientOf(line, catalogue)?.cookLossPct ?? BASE_LOSS_PCT,
    })),
    gaps,
  };
};

/** The base's part of one filling where so many share it. */
export const baseShare = (base: readonly Component[], fillings: number): Component[] =>
  base.map(({ lossPct: _own, ...line }) => ({ ...line, grams: Math.round((10 * line.grams) / fillings) / 10 }));

/** What all that is cooked of a filling loses together with its part of the base, %. */
export function lossWithBase(base: readonly Component[], fillings: number, own: readonly Component[], ownPct: number): number {
  const parts = [
    ...base.map(({ grams, lossPct = 0 }) => ({ grams: grams / fillings, lossPct })),
    ...own.filter(({ cook }) => cook).map(({ grams }) => ({ grams, lossPct: ownPct })),
  ];
  const grams = sum(parts.map((part) => part.grams));
  return base.length === 0 || grams === 0
    ? ownPct
    : Math.round((10 * sum(parts.map((part) => part.grams * part.lossPct))) / grams) / 10;
}
