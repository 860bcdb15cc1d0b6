import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import { fryLoadByHeat } from "./fry-load";
import type { Kitchen } from "./schema";
import { sizesOf, type OfOneSize, type Sized } from "./sizes";

/** Sizes for which the items' capacities hold, mm and ml. */
const STANDARD = { tray: [400, 300], board: [600, 400], tierMm: 280, panMm: 300, oilMl: 4000 } as const;

const byArea = (pieces: number, own: readonly [number, number], standard: readonly [number, number]) =>
  Math.floor((pieces * own[0] * own[1]) / (standard[0] * standard[1]) + 1e-9);

export type Carrier = "tray" | "board" | "steamer-tier";
/** Whether a piece of equipment carries pieces from step to step. */
export const isCarrier = (id: string): id is Carrier => id === "tray" || id === "board" || id === "steamer-tier";

/** Things of one size, and what each of them holds. */
export interface Room {
  /** Resources of a plan, see `sizesOf`. */
  readonly ids: readonly string[];
  readonly count: number;
  /** Pieces in one; of an oven: trays. */
  readonly pieces: number;
  /** Pieces on one tier of a steamer. */
  readonly tier?: number;
}

/**
 * What this kitchen's sizes hold of one item, pieces: of the largest of a kind; undefined where the item or the kitchen has no such
 * thing. `rooms`: every size, those first of which there is one, the largest first.
 */
export interface Capacities {
  readonly tray: number;
  readonly freezerTray: number;
  readonly board?: number;
  readonly tier?: number;
  readonly steamerLoad?: number;
  readonly fryerLoad?: number;
  readonly panLoad?: number;
  readonly shelves: number;
  readonly rooms: Readonly<Record<"tray" | "freezerTray" | "board" | "pan" | "steamer" | "fryer" | "oven", readonly Room[]>>;
}

/**
 * Capacities in proportion to the kitchen's sizes, rounded down: carriers and pans by area, the fryer by its oil and, where its power is
 * known, by what keeps that hot. A board that an item
 * says nothing of holds as many by its area as a tray.
 */
export function capacitiesOf(item: Item, kitchen: Kitchen): Capacities {
  const c = item.capacity;
  const perTier = c.perSteamerTier ?? (c.perSteamerLoad ? Math.floor(c.perSteamerLoad / 3) : undefined);
  const across = (pieces: number, own: number, standard: number) => Math.floor((pieces * own ** 2) / standard ** 2 + 1e-9);
  const rooms = <K extends Sized>(kind: K, pieces: (size: OfOneSize<K>["is"]) => Pick<Room, "pieces" | "tier">): Room[] =>
    sizesOf(kind, kitchen)
      .map(({ ids, count, is }) => ({ ids, count, ...pieces(is) }))
      .sort((a, b) => Number(b.count > 0) - Number(a.count > 0) || b.pieces - a.pieces);
  const onTray = (pieces: number) => rooms("tray", ({ mm }) => ({ pieces: byArea(pieces, mm, STANDARD.tray) }));
  const all: Capacities["rooms"] = {
    tray: onTray(c.perTray),
    freezerTray: onTray(c.perFreezerTray ?? c.perTray),
    board: rooms("board", ({ mm }) => ({
      pieces: c.perBoard ? byArea(c.perBoard, mm, STANDARD.board) : byArea(c.perTray, mm, STANDARD.tray),
    })),
    pan: c.perPanLoad
      ? rooms("lidded-pan", ({ mm }) => ({ pieces: across(c.perPanLoad!, mm, c.panDiameterMm ?? STANDARD.panMm) }))
      : [],
    steamer: perTier
      ? rooms("steamer", ({ mm, tiers }) => {
          const tier = across(perTier, mm, STANDARD.tierMm);
          return { pieces: tier * tiers, tier };
        })
      : [],
    fryer: c.perFryerLoad
      ? rooms("fryer", (fryer) => ({
          pieces: Math.min(Math.floor((c.perFryerLoad! * fryer.oilMl) / STANDARD.oilMl + 1e-9), fryLoadByHeat(item, fryer)),
        }))
      : [],
    oven: rooms("oven", ({ shelfPositions }) => ({ pieces: shelfPositions })),
  };
  return {
    tray: all.tray[0]?.pieces ?? c.perTray,
    freezerTray: all.freezerTray[0]?.pieces ?? c.perFreezerTray ?? c.perTray,
    board: all.board[0]?.pieces,
    tier: all.steamer[0]?.tier ?? perTier,
    steamerLoad: all.steamer[0]?.pieces,
    fryerLoad: all.fryer[0]?.pieces ?? c.perFryerLoad,
    panLoad: all.pan[0]?.pieces ?? c.perPanLoad,
    shelves: all.oven[0]?.pieces ?? 1,
    rooms: all,
  };
}

/** Whether a step takes a piece of equipment, by itself or as the other of two. */
export const usesEquipment = (step: Step, id: string): boolean => step.equipment.some((e) => e.id === id || e.or === id);

/** The closed and heated thing a step's load goes into, if any. */
export function chamberOf(step: Step): "oven" | "steamer" | "fryer" | "lidded-pan" | undefined {
  for (const id of ["oven", "steamer", "fryer"] as const) if (usesEquipment(step, id)) return id;
  return step.lot === "load" && usesEquipment(step, "lidded-pan") ? "lidded-pan" : undefined;
}

/** The chambers or pans of every size that a heated step's loads can go into, largest first; those of an oven in pieces on trays. */
export function loadRooms(step: Step, { rooms, tray }: Capacities): readonly Room[] {
  switch (chamberOf(step)) {
    case "oven":
      return rooms.oven.map((room) => ({ ...room, pieces: room.pieces * tray }));
    case "steamer":
      return rooms.steamer;
    case "fryer":
      return rooms.fryer;
    case "lidded-pan":
      return rooms.pan;
    default:
      return [];
  }
}

/** Most pieces of one load of the step: shelves × trays, tiers, a basket, a pan. */
export function loadCapacity(step: Step, capacities: Capacities): number | undefined {
  switch (chamberOf(step)) {
    case "oven":
      return capacities.shelves * capacities.tray;
    case "steamer":
      return capacities.steamerLoad;
    case "fryer":
      return capacities.fryerLoad;
    case "lidded-pan":
      return capacities.panLoad;
    default:
      return undefined;
  }
}
