import { OURS, type Catalogue } from "../../ingredients/own";
import { resolveItem } from "../resolve";
import type { Item } from "../schema";
import { asMade, remakeFrom } from "./remake";
import type { Remade } from "./step-edits";

/** What goes in, and what is said of it: what is done follows from these. */
const LINES: ReadonlySet<keyof Item> = new Set(["dough", "filling", "finish", "gaps", "measures", "without", "alsoContains"]);

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Whether two versions of an item differ, and only in what goes in. */
export const onlyLinesDiffer = (before: Item, next: Item): boolean => {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(next)])] as (keyof Item)[];
  const changed = keys.filter((key) => !isSame(before[key], next[key]));
  return changed.length > 0 && changed.every((key) => LINES.has(key));
};

/** A kind of filling that nobody chose: it is read from the lines. */
const UNSAID = { filling: "" } as const;

/**
 * An item after its lines were changed, with steps, cores, cautions, times and keeping that follow from what is in it now. What the
 * cook changed about steps stays where it has a place. A kind of filling that was read from the lines is read again.
 * @param from the item as it stood before its lines were changed, however many changes ago: what the cook made of its steps is read
 * from it, so that a word half typed costs nothing
 * @param now the item before the last change
 */
export function followLines(from: Item, now: Item, next: Item, catalogue: Catalogue = OURS): Remade {
  const { making } = from;
  const asItIs: Remade = { item: next, unused: [] };
  const before = asMade(from, making, catalogue);
  if (!making || !before) return asItIs;
  // With steps of its own, how its filling is made is the cook's word.
  const proposed = making.called ? undefined : asMade(from, { ...making, ...UNSAID }, catalogue)?.filling.value;
  const own: Item = {
    ...from,
    dough: next.dough,
    filling: { ...next.filling, ...keptOfFilling(from, next) },
    finish: isSame(now.finish, next.finish) ? from.finish : next.finish,
    gaps: next.gaps,
    measures: next.measures,
    without: next.without,
    alsoContains: next.alsoContains,
  };
  const remade = remakeFrom(before, own, proposed === making.filling ? UNSAID : {}, catalogue) ?? asItIs;
  return making.called ? { ...remade, item: withCores(remade.item, catalogue) } : remade;
}

/** Of an item with steps of its own: the cores that its further fillings ask for, where its steps have none so high. */
function withCores(item: Item, catalogue: Catalogue): Item {
  const { variants } = item.filling;
  if (!variants) return item;
  return {
    ...item,
    filling: {
      ...item.filling,
      variants: variants.map((variant) => {
        const alone: Item = { ...item, filling: { ...item.filling, components: variant.components, variants: undefined } };
        const asked = asMade(alone, item.making, catalogue)?.item.steps ?? [];
        const has = new Map(resolveItem(item, {}, variant.id).steps.map(({ id, coreC }) => [id, coreC ?? -Infinity]));
        const more = asked.filter(({ id, coreC }) => coreC !== undefined && coreC > (has.get(id) ?? Infinity));
        const changes = more.map(({ id, coreC }) => ({ kind: "set" as const, step: id, fields: { coreC } }));
        return { ...variant, stepChanges: [...variant.stepChanges, ...changes] };
      }),
    },
  };
}

/** What of the fillings follows from the making, as it was: the changes of steps, and how cold it is filled in. */
function keptOfFilling({ filling }: Item, next: Item): Partial<Item["filling"]> {
  return {
    useAtMaxC: filling.useAtMaxC,
    stepChanges: filling.stepChanges,
    ...(next.filling.variants && {
      variants: next.filling.variants.map((variant) => ({
        ...variant,
        stepChanges: filling.variants?.find(({ id }) => id === variant.id)?.stepChanges ?? variant.stepChanges,
      })),
    }),
  };
}
