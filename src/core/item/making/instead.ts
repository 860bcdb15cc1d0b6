import type { Item, ItemMaking } from "../schema";
import { isPut } from "./put";

type Instead = NonNullable<ItemMaking["instead"]>;
const WASH = "wash";

/** Choices that put something of their own in the place of what the recipe has. */
const replacesDough = ({ choices }: ItemMaking): boolean => choices?.bought === "bought";
const replacesWash = ({ choices }: ItemMaking): boolean => choices?.[WASH] !== undefined && choices[WASH] !== "recipe";

/** What the recipe has in the place of what choices put there; undefined where they put nothing. */
export function insteadOf(item: Item, making: ItemMaking, next: ItemMaking): Instead | undefined {
  const wash = item.finish.find(({ step }) => step === WASH)?.components ?? [];
  const instead = {
    ...(replacesDough(next) && { dough: making.instead?.dough ?? item.dough }),
    ...(replacesWash(next) && { wash: making.instead?.wash ?? wash }),
  };
  return Object.keys(instead).length > 0 ? instead : undefined;
}

/** What pieces are finished with when they are made otherwise: the cook's own, and what choices put there. */
export function finishAfter(item: Item, making: ItemMaking, made: Item, instead: Instead | undefined): Item["finish"] {
  const own = [...item.finish, ...(making.finish ?? [])];
  const isSame = (one: Item["finish"][number], other: Item["finish"][number]) =>
    one.step === other.step && one.what === other.what;
  const put = made.finish.filter(isPut);
  const kept = own.filter((entry) => !isPut(entry) || put.some((one) => isSame(one, entry)));
  const all = [...kept, ...put.filter((entry) => !kept.some((one) => isSame(one, entry)))];
  const chosen = made.finish.find(({ step }) => step === WASH);
  const isNew =
    instead?.wash !== undefined && JSON.stringify(making.choices?.[WASH]) !== JSON.stringify(made.making?.choices?.[WASH]);
  if (isNew) return [...(chosen ? [chosen] : []), ...all.filter(({ step }) => step !== WASH)];
  return instead?.wash ? all : withWash(all, making.instead?.wash);
}

/** The finish with the recipe's own wash where a choice had put another in its place. */
function withWash(finish: Item["finish"], wash: Instead["wash"]): Item["finish"] {
  if (!wash) return finish;
  const others = finish.filter(({ step }) => step !== WASH);
  return wash.length > 0 ? [{ step: WASH, what: "Wash", components: wash }, ...others] : others;
}

/** An item with the recipe's own dough and wash where choices put others in their place. */
export const asWritten = (item: Item, instead: Instead | undefined): Item => ({
  ...item,
  dough: instead?.dough ?? item.dough,
  finish: withWash(item.finish, instead?.wash),
});
