import { allergenOf, ALLERGENS, tagsFor, type Allergen, type AllergenTag } from "../ingredients/allergen";
import { propagateAllergens } from "../ingredients/allergens";
import { lineClaims, UNKNOWN, type LineClaims } from "../ingredients/claims";
import { findIngredient } from "../ingredients/find";
import { DIETS, worst, worstHazard, type Answer, type Diet, type Hazard } from "../ingredients/kinds";
import { OURS, type Catalogue } from "../ingredients/own";
import { readLine } from "../ingredients/read-line";
import type { Component } from "./schema";
import type { ResolvedItem } from "./resolve";

/** One answer about an item and the lines that it follows from: those against it, or those not known. */
export interface Claim {
  readonly answer: Answer;
  readonly because: readonly string[];
}

/** How an allergen gets in: by a line, by what its label may say, by the oil it shares. */
export interface AllergenClaim {
  readonly allergen: Allergen;
  readonly tags: readonly AllergenTag[];
  readonly from: readonly string[];
}

/** Everything that is said about what is in an item. Derived from its lines each time, never stored. */
export interface ItemClaims {
  readonly diets: Readonly<Record<Diet, Claim>>;
  readonly contains: readonly AllergenClaim[];
  readonly may: readonly AllergenClaim[];
  /** May come with the oil that others were fried in before. */
  readonly oil: readonly AllergenClaim[];
  /** Lines of which it is not known what they are. */
  readonly unknown: readonly string[];
  readonly hazard: Hazard | null;
  /** Lines with honey, which is not for infants. */
  readonly honey: readonly string[];
  /** Cheeses that are vegetarian only where they were set without animal rennet. */
  readonly rennet: readonly string[];
}

/** A line that claims follow from. */
export interface ClaimLine {
  readonly name: string;
  readonly claims: LineClaims;
}

/** What is said of one component: by its chosen ingredient, else by its name, with what the cook added to it. */
export function componentClaims(
  component: Pick<Component, "name" | "ingredient" | "contains">,
  catalogue: Catalogue = OURS,
): LineClaims {
  const chosen = component.ingredient === undefined ? undefined : catalogue.ingredients.get(component.ingredient);
  const named = findIngredient(component.name, catalogue.index);
  const found = chosen
    ? {
        main: chosen,
        all: [chosen, ...(named?.all ?? []).filter((one) => one !== chosen)],
        free: named?.free ?? [],
        said: named?.said ?? new Set<never>(),
        inHead: 1,
        strange: [],
      }
    : named;
  const claims = lineClaims(found, component.name);
  const added = (component.contains ?? [])
    .flatMap((allergen) => tagsFor(allergen))
    .filter((tag) => !claims.contains.includes(tag));
  // "Gluten" by hand does not say of which grain; it is named as gluten all the same.
  return added.length === 0
    ? claims
    : { ...claims, contains: [...claims.contains, ...added], may: claims.may.filter((tag) => !added.includes(tag)) };
}

/** What a component is called in a sentence. */
export const shortName = (name: string): string => name.split(",")[0].trim();

/** The lines of an item under its options: dough, filling, what finishes it on its steps, what it is fried in, and its gaps. */
export function claimLines(resolved: ResolvedItem, catalogue: Catalogue = OURS): ClaimLine[] {
  const { item, steps } = resolved;
  const there = new Set(steps.map((step) => step.id));
  const fried = steps.some((step) => step.equipment.some((e) => e.id === "fryer"));
  const components = [
    ...resolved.dough,
    ...resolved.fillingComponents,
    ...resolved.finish.filter((entry) => there.has(entry.step)).flatMap((entry) => entry.components),
    ...(fried ? [{ name: item.fryOil?.oil ?? "frying oil" }] : []),
  ];
  const gaps = (item.gaps ?? []).map(({ text }) => {
    const reading = readLine(text, item.measures ?? "metric", catalogue.index);
    return { name: shortName(reading.name), claims: reading.found ? lineClaims(reading.found, reading.name) : UNKNOWN };
  });
  return [...components.map((c) => ({ name: shortName(c.name), claims: componentClaims(c, catalogue) })), ...gaps];
}

const names = (lines: readonly ClaimLine[]): string[] => [...new Set(lines.map((line) => line.name))];

function dietClaim(diet: Diet, lines: readonly ClaimLine[]): Claim {
  const answer = worst(lines.map((line) => line.claims.diets[diet]));
  const because = answer === "yes" ? [] : names(lines.filter((line) => line.claims.diets[diet] === answer));
  if (diet !== "kosher" || answer === "no") return { answer, because };
  // Milk and meat do not go together, wherever in the piece each is.
  const meat = lines.filter((line) => line.claims.kosherClasses.includes("meat"));
  const dairy = lines.filter((line) => line.claims.kosherClasses.includes("dairy"));
  return meat.length > 0 && dairy.length > 0 ? { answer: "no", because: names([...dairy, ...meat]) } : { answer, because };
}

/** Tags gathered by allergen, in the order of the list. */
function byAllergen(found: readonly { tag: AllergenTag; from: string }[]): AllergenClaim[] {
  return ALLERGENS.flatMap((allergen) => {
    const own = found.filter(({ tag }) => allergenOf(tag) === allergen);
    if (own.length === 0) return [];
    return [{ allergen, tags: [...new Set(own.map(({ tag }) => tag))], from: [...new Set(own.map(({ from }) => from))] }];
  });
}

interface Source {
  readonly tag: AllergenTag;
  readonly from: string;
}

/** The groups that an item contains and those it may contain, what is contained not said twice. */
function propagated(contains: readonly Source[], may: readonly Source[], medium: readonly Source[]) {
  const answer = propagateAllergens({
    regime: "eu",
    ingredients: [{ id: "lines", contains: contains.map(({ tag }) => tag), mayContain: may.map(({ tag }) => tag), uses: [] }],
    items: [{ id: "item", ingredients: ["lines"], medium: medium.map(({ tag }) => tag) }],
  });
  if (!answer.ok) throw new Error("an ingredient that is listed is known and uses nothing");
  return answer.value.items.item;
}

/** What an item that is fried after others gets from their oil. */
export interface SharedOil {
  readonly name: string;
  readonly claims: ItemClaims;
}

/**
 * What is in an item and who may eat it, from its lines under its options, what it is fried in and what was fried in the
 * same oil before. Removing a line never adds an allergen; a line that is not known never makes it suit anybody.
 */
export function claimsOf(resolved: ResolvedItem, catalogue: Catalogue = OURS, oil: readonly SharedOil[] = []): ItemClaims {
  const { item } = resolved;
  const lines = claimLines(resolved, catalogue);
  const taken = ({ tag, from }: Source) =>
    !(item.without ?? []).some(({ allergen, of }) => allergen === allergenOf(tag) && of.includes(from));
  const said = (item.alsoContains ?? []).flatMap(({ allergen, note }) =>
    tagsFor(allergen).map((tag) => ({ tag, from: note ?? "as the cook says" })),
  );
  const contains = [
    ...lines.flatMap(({ name, claims }) => claims.contains.map((tag) => ({ tag, from: name }))).filter(taken),
    ...said,
  ];
  const may = lines.flatMap(({ name, claims }) => claims.may.map((tag) => ({ tag, from: name }))).filter(taken);
  const fromOil = oil.flatMap((other) =>
    [...other.claims.contains, ...other.claims.may].flatMap(({ tags }) => tags.map((tag) => ({ tag, from: other.name }))),
  );
  const groups = propagated(contains, may, fromOil);
  const diets = Object.fromEntries(
    DIETS.map((diet) => {
      const own = dietClaim(diet, lines);
      const spoiled = oil.filter((other) => other.claims.diets[diet].answer !== "yes");
      if (own.answer === "no" || spoiled.length === 0) return [diet, own];
      const answer = worst([own.answer, ...spoiled.map((other) => other.claims.diets[diet].answer)]);
      return [diet, { answer, because: [...own.because, ...spoiled.map((other) => `the oil of ${other.name}`)] }];
    }),
  ) as Record<Diet, Claim>;
  return {
    diets,
    contains: byAllergen(contains).filter(({ allergen }) => groups.contains.includes(allergen)),
    may: byAllergen(may).filter(({ allergen }) => groups.mayContain.includes(allergen)),
    oil: byAllergen(fromOil).filter(({ allergen }) => groups.mayContain.includes(allergen)),
    unknown: names(lines.filter((line) => !line.claims.known)),
    hazard: worstHazard(lines.map((line) => line.claims.hazard)),
    honey: names(lines.filter((line) => line.claims.honey)),
    rennet: names(lines.filter((line) => line.claims.rennet)),
  };
}

/** Whether somebody may eat it: every diet is known to be kept, and nothing they avoid is, or may be, in it. */
export function suits(
  guests: { readonly diet: readonly Diet[]; readonly avoid: readonly Allergen[] },
  claims: ItemClaims,
): boolean {
  const out = (list: readonly AllergenClaim[]) => list.some(({ allergen }) => guests.avoid.includes(allergen));
  return (
    guests.diet.every((diet) => claims.diets[diet].answer === "yes") &&
    !out(claims.contains) &&
    !out(claims.may) &&
    !out(claims.oil)
  );
}
