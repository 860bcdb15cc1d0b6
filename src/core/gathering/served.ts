import { claimsOf, type ItemClaims, type SharedOil } from "../item/claims";
import { resolveItem, type ResolvedItem } from "../item/resolve";
import type { Choices, Item } from "../item/schema";
import { OURS, type Catalogue } from "../ingredients/own";
import type { Gathering } from "./schema";

/** An item as it is made for a wave or the freezer, with what is said about it. */
export interface Served {
  readonly resolved: ResolvedItem;
  /** From what it is made of. */
  readonly own: ItemClaims;
  /** And from the oil it shares: what its guests are told. */
  readonly claims: ItemClaims;
}

/** What an entry of a wave or the freezer says of how its pieces are made. */
export type MadeAs = Pick<Gathering["freezer"][number], "choices" | "split">;

/** The ways in which an entry is made: one, or one for each of its parts. */
export const variantsOf = ({ choices, split }: MadeAs): { readonly choices: Choices; readonly filling: string }[] =>
  split && split.length > 0
    ? split.map((part) => ({ filling: part.filling, choices: { ...choices, ...part.choices } }))
    : [{ choices, filling: "base" }];

/** Finds what is said of an item under its options and with its filling in this gathering. */
export type ServedIn = (item: Item, choices: Choices, filling: string) => Served;

const isFried = ({ steps }: ResolvedItem): boolean => steps.some((step) => step.equipment.some((e) => e.id === "fryer"));

/** Whether the same allergens are in both. */
const sameIn = (a: ItemClaims, b: ItemClaims): boolean =>
  JSON.stringify([a.contains, a.may].map((list) => list.map(({ tags }) => tags))) ===
  JSON.stringify([b.contains, b.may].map((list) => list.map(({ tags }) => tags)));

/** Where an item stands in the order of the oil: what leaves no taste first, and among equals what keeps the oil vegan. */
export const oilRank = (item: Item, own: ItemClaims): number =>
  (item.fryOil?.order ?? 0) * 2 + (own.diets.vegan.answer === "yes" ? 0 : 1);

/**
 * Claims of everything that a gathering makes, the shared oil included: what is fried first passes on what it contains,
 * unless the oil is changed between.
 */
export function servedIn(gathering: Gathering, items: ReadonlyMap<string, Item>, catalogue: Catalogue = OURS): ServedIn {
  const known = new Map<string, { resolved: ResolvedItem; own: ItemClaims }>();
  const keyOf = (item: Item, choices: Choices, filling: string) =>
    JSON.stringify([item.id, Object.entries(choices).sort(([a], [b]) => (a < b ? -1 : 1)), filling]);
  const made = (item: Item, choices: Choices, filling: string) => {
    const key = keyOf(item, choices, filling);
    const before = known.get(key);
    if (before) return before;
    const resolved = resolveItem(item, choices, filling);
    const entry = { resolved, own: claimsOf(resolved, catalogue) };
    known.set(key, entry);
    return entry;
  };
  const all = [...gathering.waves.flatMap((wave) => wave.items), ...gathering.freezer].flatMap((entry) => {
    const item = items.get(entry.recipe);
    if (!item) return [];
    return variantsOf(entry).map(({ choices, filling }) => made(item, choices, filling));
  });
  const frying = [...new Set(all)].filter(({ resolved }) => isFried(resolved));
  return (item, choices, filling) => {
    const { resolved, own } = made(item, choices, filling);
    if (!isFried(resolved)) return { resolved, own, claims: own };
    const rank = oilRank(item, own);
    const oil = frying
      .filter((other) => other.resolved.item.id !== item.id || other.resolved.filling !== filling || !sameIn(other.own, own))
      .filter((other) => oilRank(other.resolved.item, other.own) <= rank)
      // What waits for fresh oil meets only what waits for it as well.
      .filter((other) => !resolved.fryerRefill || other.resolved.fryerRefill !== undefined)
      .map((other): SharedOil => ({ name: other.resolved.item.name, claims: other.own }));
    return { resolved, own, claims: oil.length === 0 ? own : claimsOf(resolved, catalogue, oil) };
  };
}
