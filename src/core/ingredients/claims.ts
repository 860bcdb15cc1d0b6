import { ALLERGEN_TAGS, type AllergenTag } from "./allergen";
import type { Ingredient } from "./catalogue";
import type { Found } from "./find";
import { DIETS, worst, worstHazard, type Answer, type Diet, type Diets, type Hazard, type KosherClass } from "./kinds";

/** What is said about one line of a recipe. */
export interface LineClaims {
  readonly diets: Diets;
  readonly contains: readonly AllergenTag[];
  /** What a label may say, or what is not known of it; all of the list where the ingredient itself is not known. */
  readonly may: readonly AllergenTag[];
  readonly hazard: Hazard | null;
  readonly kosherClasses: readonly KosherClass[];
  /** Not for infants. */
  readonly honey: boolean;
  /** Cheese that is vegetarian only where it was set without animal rennet. */
  readonly rennet: boolean;
  /** Whether it is known what this is. */
  readonly known: boolean;
}

const every = (answer: Answer): Diets => Object.fromEntries(DIETS.map((diet) => [diet, answer])) as Record<Diet, Answer>;

/** Of what nobody knows: no diet is claimed, and any allergen may be in it. */
export const UNKNOWN: LineClaims = {
  diets: every("depends"),
  contains: [],
  may: ALLERGEN_TAGS,
  hazard: null,
  kosherClasses: ["pareve"],
  honey: false,
  rennet: false,
  known: false,
};

const ANIMAL: readonly AllergenTag[] = ["milk", "egg", "fish", "crustaceans", "molluscs"];
/** What stands in for meat, milk or egg is often made of these. */
const STAND_INS: readonly AllergenTag[] = ["soy", "wheat", "tree nuts"];

const MEATS: ReadonlySet<string> = new Set(["meat", "beef", "lamb", "goat", "game", "pork", "poultry", "offal", "sausage-meat"]);
/** Cut small and mixed: what was outside is inside. */
const CUT =
  /\b(?:minced?|ground|diced?|cubed?|cubes|chopped|shredded|strips?|slivers?|haché\w*|gehackt\w*|gewürfelt\w*|picad[ao]s?|tritat[ao]|kıyma|mielon\w*|cincang|giling)\b|ひき肉|末|丁/iu;
const COOKED =
  /\b(?:cooked|roasted?|leftover|poached|braised|confit|boiled|rotisserie|gekocht\w*|gebraten\w*|cuite?s?|cocid[ao]s?|cott[ao]|pişmiş|gotowan\w*|rebus)\b/iu;
const UNCOOKED = /\b(?:uncooked|raw|not cooked|to be cooked)\b/iu;

/** The hazard of an ingredient as a line has it: cooked, cut small, or whole. */
function hazardOf(ingredient: Ingredient, text: string): Hazard | null {
  const { hazard } = ingredient;
  const isMeat = ingredient.kinds.some((kind) => MEATS.has(kind));
  const raw = hazard !== null && hazard !== "vegetable" && hazard !== "leftovers";
  if (raw && (isMeat || hazard === "fish") && COOKED.test(text) && !UNCOOKED.test(text)) return "leftovers";
  if (hazard === "meat" && CUT.test(text)) return "mincedMeat";
  return hazard;
}

/**
 * What follows from the words of one line. A word that nothing explains takes every good answer back to "depends";
 * what is known to be in it stays. "Vegan" and "celery-free" are believed, in so many words.
 */
export function lineClaims(found: Found | undefined, text: string): LineClaims {
  if (!found) return UNKNOWN;
  const { all, said, strange } = found;
  const free = new Set(found.free);
  const vegan = said.has("vegan");
  const meatless = vegan || said.has("vegetarian");
  const contains = new Set<AllergenTag>();
  const may = new Set<AllergenTag>();
  const answers: Record<Diet, Answer[]> = { vegetarian: [], vegan: [], halal: [], kosher: [], "alcohol-free": [] };
  let standIn = false;
  for (const one of all) {
    const animal = one.diets.vegan !== "yes";
    const fleshless = meatless && one.diets.vegetarian !== "yes";
    const replaced = (vegan && animal) || fleshless || (said.has("dairy-free") && one.contains.includes("milk"));
    standIn ||= replaced;
    for (const tag of one.contains) if (!replaced || !ANIMAL.includes(tag)) contains.add(tag);
    for (const tag of one.may) if (!vegan || !ANIMAL.includes(tag)) may.add(tag);
    if (replaced) STAND_INS.forEach((tag) => may.add(tag));
    if (fleshless && !vegan) ["milk", "egg"].forEach((tag) => may.add(tag as AllergenTag));
    for (const diet of DIETS) answers[diet].push(replaced && one.diets[diet] === "no" ? "depends" : one.diets[diet]);
  }
  const diets = Object.fromEntries(
    DIETS.map((diet) => {
      const plain = worst(answers[diet]);
      if (diet === "vegan" && vegan) return [diet, "yes"];
      if (diet === "vegetarian" && meatless) return [diet, "yes"];
      if ((diet === "halal" || diet === "kosher") && said.has(diet) && plain === "depends") return [diet, "yes"];
      if (diet === "alcohol-free" && said.has("alcohol-free")) return [diet, "yes"];
      // A food without its milk or egg is another food: whether it is vegan then is for the label to say.
      if (diet === "vegan" && plain === "no" && free.size > 0 && onlyFor(all, free)) return [diet, "depends"];
      return [diet, strange.length > 0 && plain === "yes" ? "depends" : plain];
    }),
  ) as Diets;
  const known = strange.length === 0;
  const mayAlso = known ? [...may] : ALLERGEN_TAGS;
  return {
    diets: said.has("alcohol-free") && diets.halal === "no" ? { ...diets, halal: "depends" } : diets,
    contains: [...contains].filter((tag) => !free.has(tag)),
    may: mayAlso.filter((tag) => !contains.has(tag) && !free.has(tag)),
    hazard: standIn ? (all.some((one) => one.hazard) ? "vegetable" : null) : worstHazard(all.map((one) => hazardOf(one, text))),
    kosherClasses: standIn ? ["pareve"] : [...new Set(all.map((one) => one.kosherClass))],
    honey: !vegan && all.some((one) => one.honey),
    rennet: !meatless && all.some((one) => one.kinds.includes("cheese")),
    known,
  };
}

/** Whether what speaks against vegan is only what it is said to be free of. */
const onlyFor = (all: readonly Ingredient[], free: ReadonlySet<AllergenTag>): boolean =>
  all.every((one) => one.diets.vegan === "yes" || (one.diets.vegetarian === "yes" && one.contains.some((tag) => free.has(tag))));
