import type { Item } from "../schema";
import { DOUGHS, FAMILY_IDS, type Dough } from "./doughs";
import { capacityOf, footprintMm } from "./piece-geometry";
import { shapeOf, type Shape } from "./shapes";

type Capacity = Item["capacity"];
/** Carriers and chambers of which a number of pieces can be said. */
export const CARRIERS = [
  "perTray",
  "perBoard",
  "perSteamerTier",
  "perSteamerLoad",
  "perFryerLoad",
  "perPanLoad",
  "perFreezerTray",
] as const satisfies readonly (keyof Capacity)[];
export type Carrier = (typeof CARRIERS)[number];

/** Shape and dough of an item that was made by rule, rolled as thick as the cook has it; undefined for any other. */
export function madeOf({ making, piece }: Item): { shape: Shape; dough: Dough } | undefined {
  const shape = making && shapeOf(making.shape);
  const family = FAMILY_IDS.find((id) => id === making?.family);
  if (!shape || !family) return undefined;
  const usual = DOUGHS[family];
  const [centre, ...rim] = usual.thicknessMm;
  return { shape, dough: { ...usual, thicknessMm: [piece.thicknessMm ?? centre, ...rim] as Dough["thicknessMm"] } };
}

/** What carriers and chambers take by the piece's own measures; undefined for an item that was not made by rule. */
export function capacityByMeasures(item: Item): Capacity | undefined {
  const made = madeOf(item);
  const { footprintMm: foot, doughG, fillingG } = item.piece;
  return made && foot ? capacityOf(made.shape, made.dough, [foot[0], foot[1]], doughG + fillingG) : undefined;
}

/** By measures, but for what the cook says. */
export const withOwnCapacity = (capacity: Capacity, own: Partial<Record<Carrier, number>> | undefined): Capacity => ({
  ...capacity,
  ...own,
});

/** The cook's own number for a carrier, or none: then it goes by the piece's measures again. Without measures it is simply set. */
export function setCapacity(item: Item, carrier: Carrier, pieces: number | undefined): Item {
  const measured = capacityByMeasures(item);
  if (!item.making || !measured)
    return pieces === undefined ? item : { ...item, capacity: { ...item.capacity, [carrier]: pieces } };
  const { [carrier]: _before, ...others } = item.making.ownCapacity ?? {};
  const isOwn = pieces !== undefined && pieces !== measured[carrier];
  const own = { ...others, ...(isOwn && { [carrier]: pieces }) };
  const { ownCapacity: _all, ...making } = item.making;
  return {
    ...item,
    making: { ...making, ...(Object.keys(own).length > 0 && { ownCapacity: own }) },
    capacity: withOwnCapacity(measured, own),
  };
}

const weighs = ({ piece }: Item): string => JSON.stringify([piece.doughG, piece.fillingG, piece.thicknessMm]);

/**
 * An item after a change, with what follows from a piece's weight and thickness: how large it lies, and how many a carrier takes.
 * What the cook says of either stays.
 */
export function settled(before: Item, next: Item): Item {
  const made = madeOf(next);
  const { piece, base } = next;
  if (!made || !piece.footprintMm) return next;
  const isSized = JSON.stringify(piece.footprintMm) !== JSON.stringify(before.piece.footprintMm);
  const isWeighed = weighs(before) !== weighs(next);
  if (!isSized && !isWeighed) return next;
  const foot = isSized
    ? piece.footprintMm
    : footprintMm(made.shape, made.dough, piece.doughG, piece.doughG + piece.fillingG, base.pieces);
  const sized: Item = { ...next, piece: { ...piece, footprintMm: [foot[0], foot[1]] } };
  return { ...sized, capacity: withOwnCapacity(capacityByMeasures(sized) ?? next.capacity, next.making?.ownCapacity) };
}
