import { householdText } from "../ingredients/household";
import { ingredientOf, isFlour, type Named } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { displayMass } from "../quantities/display";
import { sum } from "../shared/rounding";
import { doughComponents } from "./desk";
import type { Component, Item } from "./schema";
import type { Dose, DosedBy, Step } from "./step";

type Line = Named & { readonly grams: number };

const DRIED =
  /\bdried\b.*(?:mushroom|shiitake|porcini|morel|wood ear|cep)|(?:mushroom|shiitake|porcini|morel|wood ear|ceps?)s?\b.*\bdried\b|getrocknete?.*pilz|champignons? séchés?|setas? secas?|funghi secchi|干(?:香)?菇|干しいたけ/iu;

/** What wets a filling. */
const LIQUIDS = ["water", "broth", "cooked-stock", "dairy", "plant-drink"] as const;
/** Of what comes from milk, what is none. */
const SOLID = ["cheese", "fresh-cheese", "rennet-cheese", "butter"] as const;

const MEAT: ReadonlySet<string> = new Set(["poultry", "mincedMeat", "meat"]);

const IS: Readonly<Record<DosedBy, (line: Named, catalogue: Catalogue) => boolean>> = {
  meat: (line, catalogue) => MEAT.has(ingredientOf(line, catalogue)?.hazard ?? ""),
  vegetables: (line, catalogue) => ingredientOf(line, catalogue)?.kinds.includes("vegetable") === true,
  "dried-mushrooms": ({ name }) => DRIED.test(name),
  liquid: (line, catalogue) => {
    const kinds: readonly string[] = ingredientOf(line, catalogue)?.kinds ?? [];
    return LIQUIDS.some((kind) => kinds.includes(kind)) && !SOLID.some((kind) => kinds.includes(kind));
  },
  flour: isFlour,
  "baking-soda": (line, catalogue) => ingredientOf(line, catalogue)?.id === "baking-soda",
};

/** Lines that are of a kind. */
export const linesOf = <L extends Named>(by: DosedBy, lines: readonly L[], catalogue: Catalogue = OURS): L[] =>
  lines.filter((line) => IS[by](line, catalogue));

/** What lines of a kind weigh together, g. */
export const gramsOf = (by: DosedBy, lines: readonly Line[], catalogue: Catalogue = OURS): number =>
  sum(linesOf(by, lines, catalogue).map(({ grams }) => grams));

/** What an item's recipe has for the part that a step is of. */
export const linesFor = (
  { dough, filling }: Pick<Item, "dough" | "filling">,
  { part }: Pick<Step, "part">,
): readonly Component[] => (part === "filling" ? filling.components : doughComponents({ dough }));

/** A dose for what is at hand: g, in level spoons where its density is known, and the weight it goes by, g. */
export interface AtHand {
  readonly dose: Dose;
  readonly grams: number;
  readonly spoons: string | undefined;
  readonly byG: number;
}

/**
 * The doses of a step for the lines that are weighed for it; none for what there is nothing of.
 * @param lines of the step's part, g
 */
export function dosesFor({ doses = [] }: Pick<Step, "doses">, lines: readonly Line[], catalogue: Catalogue = OURS): AtHand[] {
  return doses.flatMap((dose) => {
    const byG = asWeighed(gramsOf(dose.by, lines, catalogue));
    const grams = (dose.gPerKg * byG) / 1000;
    return grams > 0 ? [{ dose, grams, byG, spoons: spoonsOf(dose, grams, catalogue) }] : [];
  });
}

/** As a kitchen scale shows it, g: tenths only of little. A dose goes by what is read there. */
const asWeighed = (grams: number): number => (grams < 20 ? Math.round(grams * 10) / 10 : Math.round(grams));

/** More than this is weighed and not spooned, g. */
const SPOONED_G = 30;
const spoonsOf = ({ what }: Dose, grams: number, catalogue: Catalogue): string | undefined =>
  grams <= SPOONED_G ? householdText({ name: what }, grams, "metric", catalogue) : undefined;

const BY_WORD: Readonly<Record<DosedBy, string>> = {
  meat: "of meat",
  vegetables: "of vegetables",
  "dried-mushrooms": "of dried mushrooms",
  liquid: "of liquid",
  flour: "of flour",
  "baking-soda": "",
};

/** A scale for small weights shows tenths, g. */
const FINE_G = 0.1;

/** "2.3 g (½ tsp level), for 750 g of meat". */
export function doseText({ dose, grams, spoons, byG }: AtHand): string {
  const weight = (g: number) => displayMass({ grams: g, resolutionG: FINE_G }).text;
  const by = BY_WORD[dose.by] && `, for ${weight(byG)} ${BY_WORD[dose.by]}`;
  return `${weight(grams)}${spoons === undefined ? "" : ` (${spoons} level)`}${by}`;
}

/** The doses of a step in words, for lines of its part: "Baking soda: 2.3 g (½ tsp level), for 750 g of meat." */
export const doseTexts = (step: Pick<Step, "doses">, lines: readonly Line[], catalogue: Catalogue = OURS): string[] =>
  dosesFor(step, lines, catalogue).map((one) => `${one.dose.what}: ${doseText(one)}.`);
