import { ALLERGEN_TAGS, type AllergenTag, type Regime } from "../ingredients/allergen";
import { propagateAllergens } from "../ingredients/allergens";
import { ok, type Result } from "../shared/issue";

/** The method's own words for two of the allergens. */
const WORDS: Readonly<Record<string, AllergenTag>> = { eggs: "egg", nuts: "tree nuts" };
const BACK: Readonly<Record<string, string>> = { egg: "eggs", "tree nuts": "nuts" };

/** The tags that the method is asked with. */
export const METHOD_TAGS = ALLERGEN_TAGS.map((tag) => BACK[tag] ?? tag) as [string, ...string[]];

const ours = (tags: readonly string[]): AllergenTag[] => tags.map((tag) => WORDS[tag] ?? (tag as AllergenTag));
const theirs = (groups: readonly string[]): string[] => groups.map((group) => BACK[group] ?? group);

interface Asked {
  readonly regime: Regime;
  readonly ingredients: readonly {
    readonly id: string;
    readonly contains: readonly string[];
    readonly mayContain: readonly string[];
    readonly uses: readonly string[];
  }[];
  readonly items: readonly { readonly id: string; readonly ingredients: readonly string[]; readonly medium: readonly string[] }[];
}

/** `propagateAllergens` in the method's words. Issues: its own. */
export function propagateInWords(input: Asked): Result<{ items: Record<string, { contains: string[]; mayContain: string[] }> }> {
  const answer = propagateAllergens({
    regime: input.regime,
    ingredients: input.ingredients.map((one) => ({ ...one, contains: ours(one.contains), mayContain: ours(one.mayContain) })),
    items: input.items.map((item) => ({ ...item, medium: ours(item.medium) })),
  });
  if (!answer.ok) return answer;
  return ok({
    items: Object.fromEntries(
      Object.entries(answer.value.items).map(([id, { contains, mayContain }]) => [
        id,
        { contains: theirs(contains), mayContain: theirs(mayContain) },
      ]),
    ),
  });
}
