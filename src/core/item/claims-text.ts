import type { Diet, Hazard } from "../ingredients/kinds";
import { listed } from "../shared/words";
import type { AllergenClaim, ItemClaims } from "./claims";

/** An allergen with its grain where the lists of nine ask for it: "gluten (wheat, rye)". */
export function allergenText({ allergen, tags }: AllergenClaim): string {
  const grains = tags.filter((tag) => tag !== allergen);
  return grains.length > 0 && grains.length < 4 ? `${allergen} (${grains.join(", ")})` : allergen;
}

/** Who may eat it, in a few words: the strictest diet that is known to be kept, or what is not known. */
export function dietWord(claims: ItemClaims): string {
  const { vegan, vegetarian } = claims.diets;
  if (vegan.answer === "yes") return "vegan";
  if (vegetarian.answer === "yes") return "vegetarian";
  if (vegetarian.answer === "no") return "with meat or fish";
  return `not known to be vegetarian: ${vegetarian.because.join(", ")}`;
}

/** One diet as a sentence with the lines that decide it. */
export function dietText(diet: Diet, { answer, because }: ItemClaims["diets"][Diet]): string {
  if (answer === "yes") return diet;
  return answer === "no" ? `not ${diet}: ${because.join(", ")}` : `not known to be ${diet}: ${because.join(", ")}`;
}

/** What it contains, in one line for a card, a label or a sheet; what is not known is said. */
export function containsText(claims: ItemClaims): string {
  const contains = claims.contains.map(allergenText);
  const parts = [contains.length > 0 ? `contains ${contains.join(", ")}` : ""];
  if (claims.unknown.length > 0) parts.push(`not known what is in ${listed(claims.unknown)}`);
  const said = parts.filter(Boolean).join("; ");
  return said || "no listed allergen known in it";
}

/** Allergens that come the same way, named together: "soy, milk (dry breadcrumbs)". */
function byCause(all: readonly { readonly allergen: string; readonly cause: string }[]): string[] {
  const causes = [...new Set(all.map(({ cause }) => cause))];
  return causes.map((cause) => `${all.flatMap((one) => (one.cause === cause ? [one.allergen] : [])).join(", ")} (${cause})`);
}

/** What may come with the oil that others were fried in; undefined where nothing does. */
export const oilText = (claims: ItemClaims): string | undefined =>
  claims.oil.length === 0
    ? undefined
    : byCause(claims.oil.map(({ allergen, from }) => ({ allergen, cause: `shares its oil with ${listed(from)}` }))).join("; ");

/** What it may contain and why; undefined where nothing is to be said. What is unknown altogether is not listed again. */
export function mayText(claims: ItemClaims): string | undefined {
  const unknown = new Set(claims.unknown);
  const own = claims.may.flatMap(({ allergen, from }) => {
    const known = from.filter((name) => !unknown.has(name));
    return known.length > 0 ? [{ allergen, cause: listed(known) }] : [];
  });
  const all = [...byCause(own), oilText(claims)].filter(Boolean);
  return all.length > 0 ? `may contain ${all.join("; ")}` : undefined;
}

/** Who may eat it and what is in it, in one line. */
export const claimsLine = (claims: ItemClaims): string => `${dietWord(claims)} · ${containsText(claims)}`;

/** What the core of a piece has to be cooked for. */
export const HAZARD_TEXT: Readonly<Record<Hazard, string>> = {
  poultry: "poultry",
  leftovers: "what was cooked before and is heated again",
  mincedMeat: "meat that is minced or cut small",
  egg: "egg",
  meat: "meat in the whole",
  fish: "fish or shellfish",
  vegetable: "vegetables only",
};

/** Cautions about who should not eat it, a sentence each. Local rules and trained advice come first. */
export function claimCautions(claims: ItemClaims): string[] {
  return [
    ...(claims.honey.length > 0 ? [`Honey (${listed(claims.honey)}) is not for children under 12 months.`] : []),
    ...(claims.rennet.length > 0 && claims.diets.vegetarian.answer === "yes"
      ? [`Vegetarian where ${listed(claims.rennet)} was set without animal rennet: the label says.`]
      : []),
    ...(claims.diets["alcohol-free"].answer === "no"
      ? [`Alcohol (${claims.diets["alcohol-free"].because.join(", ")}) does not cook off altogether.`]
      : []),
  ];
}
