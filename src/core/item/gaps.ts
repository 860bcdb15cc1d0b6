import { OURS, type Catalogue } from "../ingredients/own";
import { readLine, type Reading } from "../ingredients/read-line";
import { addComponent, changeComponent, componentsAt, type Place } from "./desk";
import { isWeighed } from "./recipe";
import { isTried } from "./runs";
import type { Item } from "./schema";

export type GapLine = NonNullable<Item["gaps"]>[number];

/** Whether something of an item is not understood, or still guessed and not tried often enough either. */
export const isProvisional = (item: Item): boolean =>
  (item.gaps?.length ?? 0) > 0 || ((item.guessed?.length ?? 0) > 0 && !isTried(item));

/** What a gap's line is read as now: what the cook has taught the catalogue since counts. */
export const readGap = (item: Item, gap: GapLine, catalogue: Catalogue = OURS): Reading =>
  readLine(gap.text, item.measures ?? "metric", catalogue.index);

const without = (item: Item, id: string): Item => {
  const gaps = item.gaps?.filter((gap) => gap.id !== id) ?? [];
  return { ...item, gaps: gaps.length > 0 ? gaps : undefined };
};

/** The place in which a gap's line belongs; undefined for a finish that is not there. */
function placeOf(item: Item, gap: GapLine): Place | undefined {
  if (gap.in === "filling") return { in: "filling" };
  if (gap.in === "dough") return { in: "dough", part: item.dough.parts.length - 1 };
  return item.finish.length > 0 ? { in: "finish", entry: item.finish.length - 1 } : undefined;
}

/** A gap written anew: a line of the formula where it can be weighed now, else still a gap with the new words. */
export function rewriteGap(item: Item, id: string, text: string, catalogue: Catalogue = OURS): Item {
  const gap = item.gaps?.find((one) => one.id === id);
  const written = text.trim();
  if (!gap || written === "") return item;
  const reading = readLine(written, item.measures ?? "metric", catalogue.index);
  const place = placeOf(item, gap);
  if (!isWeighed(reading) || !place)
    return { ...item, gaps: item.gaps!.map((one) => (one.id === id ? { ...one, text: written.slice(0, 300) } : one)) };
  return fillGap(item, id, Math.round(reading.grams * 10) / 10, {
    name: reading.name.slice(0, 120),
    measure: reading.amount?.slice(0, 60),
    catalogue,
  });
}

/** Gives a gap its weight, and with `ingredient` says what it is. */
export function fillGap(
  item: Item,
  id: string,
  grams: number,
  as: { readonly name: string; readonly ingredient?: string; readonly measure?: string; readonly catalogue?: Catalogue },
): Item {
  const gap = item.gaps?.find((one) => one.id === id);
  const place = gap && placeOf(item, gap);
  if (!gap || !place) return item;
  const added = addComponent(without(item, id), place, as.name, grams, as.measure, as.catalogue ?? OURS);
  const last = componentsAt(added, place).length - 1;
  return changeComponent(added, place, last, (c) => ({
    ...c,
    text: gap.text,
    ...(as.ingredient !== undefined && { ingredient: as.ingredient }),
  }));
}

/** Leaves a gap's line out, by the cook's word. */
export const dropGap = without;
