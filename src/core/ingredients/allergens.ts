import { fail, ok, type Result } from "../shared/issue";

export type Regime = "eu" | "us";

/** Groups that must be named, in the order in which they are shown. Public lists; local rules come first. */
const GROUPS: Readonly<Record<Regime, readonly string[]>> = {
  eu: [
    "gluten",
    "crustaceans",
    "eggs",
    "fish",
    "peanuts",
    "soy",
    "milk",
    "nuts",
    "celery",
    "mustard",
    "sesame",
    "sulphites",
    "lupin",
    "molluscs",
  ],
  us: ["milk", "eggs", "fish", "crustaceans", "nuts", "peanuts", "wheat", "soy", "sesame"],
};
const GLUTEN = ["wheat", "rye", "barley", "oats"];

const groupsOf = (tags: ReadonlySet<string>, regime: Regime): string[] =>
  GROUPS[regime].filter((group) => (group === "gluten" ? GLUTEN.some((tag) => tags.has(tag)) : tags.has(group)));

interface Ingredient {
  readonly id: string;
  readonly contains: readonly string[];
  readonly mayContain: readonly string[];
  readonly uses: readonly string[];
}
interface Item {
  readonly id: string;
  readonly ingredients: readonly string[];
  readonly medium: readonly string[];
}

/**
 * Allergens of items from their ingredients, through sub-recipes to any depth, with what shared oil or steam may bring.
 * Issues on `items[k].ingredients[j]`: `unknown` (no such ingredient), `inconsistent` (one that uses itself).
 */
export function propagateAllergens(input: {
  regime: Regime;
  ingredients: readonly Ingredient[];
  items: readonly Item[];
}): Result<{
  items: Record<string, { contains: string[]; mayContain: string[] }>;
}> {
  const byId = new Map(input.ingredients.map((ingredient) => [ingredient.id, ingredient]));
  const items: Record<string, { contains: string[]; mayContain: string[] }> = {};
  for (const [k, item] of input.items.entries()) {
    const contains = new Set<string>();
    const may = new Set<string>(item.medium);
    /** What is wrong below an ingredient, if anything. */
    const walk = (id: string, above: readonly string[]): "unknown" | "inconsistent" | undefined => {
      const ingredient = byId.get(id);
      if (!ingredient) return "unknown";
      if (above.includes(id)) return "inconsistent";
      ingredient.contains.forEach((tag) => contains.add(tag));
      ingredient.mayContain.forEach((tag) => may.add(tag));
      for (const used of ingredient.uses) {
        const wrong = walk(used, [...above, id]);
        if (wrong) return wrong;
      }
      return undefined;
    };
    for (const [j, id] of item.ingredients.entries()) {
      const wrong = walk(id, []);
      if (wrong)
        return fail({
          code: wrong,
          path: ["items", k, "ingredients", j],
          got: id,
          wanted: wrong === "unknown" ? "ingredients that are all listed" : "an ingredient that does not use itself",
        });
    }
    const shown = groupsOf(contains, input.regime);
    items[item.id] = { contains: shown, mayContain: groupsOf(may, input.regime).filter((group) => !shown.includes(group)) };
  }
  return ok({ items });
}

interface Load {
  readonly id: string;
  readonly tags: readonly string[];
  readonly avoid: readonly string[];
}

/** More loads than this are too many orders to try. */
const MOST_LOADS = 8;

/**
 * The order of loads in one oil or steam that brings each the least of what is not its own, first of all nothing it
 * must avoid. Issues: `out_of_range` loads, `inconsistent` loads[i].avoid (its own tag).
 */
export function orderLoads(input: { medium: readonly string[]; loads: readonly Load[] }): Result<{
  order: string[];
  crossContact: Record<string, string[]>;
  pairs: number;
  ok: boolean;
}> {
  const { loads } = input;
  if (loads.length > MOST_LOADS)
    return fail({ code: "out_of_range", path: ["loads"], got: loads.length, wanted: `at most ${MOST_LOADS} loads` });
  const own = loads.findIndex((load) => load.avoid.some((tag) => load.tags.includes(tag)));
  if (own >= 0)
    return fail({
      code: "inconsistent",
      path: ["loads", own, "avoid"],
      got: loads[own].avoid,
      wanted: "tags that are not the load's own",
    });
  let best: { order: number[]; hits: number; pairs: number } | undefined;
  const walk = (order: number[], dirty: ReadonlySet<string>, hits: number, pairs: number): void => {
    if (best && (hits > best.hits || (hits === best.hits && pairs > best.pairs))) return;
    if (order.length === loads.length) {
      // Orders come in lexicographic order, so the first of equals stays.
      if (!best || hits < best.hits || pairs < best.pairs) best = { order, hits, pairs };
      return;
    }
    for (let i = 0; i < loads.length; i++) {
      if (order.includes(i)) continue;
      const contact = contactOf(loads[i], dirty);
      const more = contact.filter((tag) => loads[i].avoid.includes(tag)).length;
      walk([...order, i], new Set([...dirty, ...loads[i].tags]), hits + more, pairs + contact.length);
    }
  };
  walk([], new Set(input.medium), 0, 0);
  const crossContact: Record<string, string[]> = {};
  const dirty = new Set(input.medium);
  for (const i of best!.order) {
    crossContact[loads[i].id] = contactOf(loads[i], dirty);
    loads[i].tags.forEach((tag) => dirty.add(tag));
  }
  return ok({ order: best!.order.map((i) => loads[i].id), crossContact, pairs: best!.pairs, ok: best!.hits === 0 });
}

const contactOf = (load: Load, dirty: ReadonlySet<string>): string[] =>
  [...dirty].filter((tag) => !load.tags.includes(tag)).sort();
