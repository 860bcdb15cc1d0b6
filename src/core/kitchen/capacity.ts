import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import type { Kitchen } from "./schema";

/** Sizes for which the items' capacities hold, mm and ml. */
const STANDARD = { tray: [400, 300], board: [600, 400], tierMm: 280, panMm: 300, oilMl: 4000 } as const;

const byArea = (pieces: number, own: readonly [number, number], standard: readonly [number, number]) =>
  Math.floor((pieces * own[0] * own[1]) / (standard[0] * standard[1]) + 1e-9);

export type Carrier = "tray" | "board" | "steamer-tier";
/** Whether a piece of equipment carries pieces from step to step. */
export const isCarrier = (id: string): id is Carrier => id === "tray" || id === "board" || id === "steamer-tier";

/** What this kitchen's sizes hold of one item, pieces; undefined where the item or the kitchen has no such thing. */
export interface Capacities {
  readonly tray: number;
  readonly freezerTray: number;
  readonly board?: number;
  readonly tier?: number;
  readonly steamerLoad?: number;
  readonly fryerLoad?: number;
  readonly panLoad?: number;
  readonly shelves: number;
}

/**
 * Capacities in proportion to the kitchen's sizes, rounded down: carriers and pans by area, the fryer by its oil. A board that an item
 * says nothing of holds as many by its area as a tray.
 */
export function capacitiesOf(item: Item, kitchen: Kitchen): Capacities {
  const { tray, board, steamer, fryer, oven } = kitchen.equipment;
  const pan = kitchen.equipment["lidded-pan"];
  const c = item.capacity;
  const trayOf = (pieces: number) => (tray ? byArea(pieces, tray.mm, STANDARD.tray) : pieces);
  const perTier = c.perSteamerTier ?? (c.perSteamerLoad ? Math.floor(c.perSteamerLoad / 3) : undefined);
  const tier = perTier && steamer ? Math.floor((perTier * steamer.mm ** 2) / STANDARD.tierMm ** 2 + 1e-9) : perTier;
  return {
    tray: trayOf(c.perTray),
    freezerTray: trayOf(c.perFreezerTray ?? c.perTray),
    board: board && (c.perBoard ? byArea(c.perBoard, board.mm, STANDARD.board) : byArea(c.perTray, board.mm, STANDARD.tray)),
    tier,
    steamerLoad: tier && steamer ? tier * steamer.tiers : undefined,
    fryerLoad: c.perFryerLoad && fryer ? Math.floor((c.perFryerLoad * fryer.oilMl) / STANDARD.oilMl + 1e-9) : c.perFryerLoad,
    panLoad:
      c.perPanLoad && pan
        ? Math.floor((c.perPanLoad * pan.mm ** 2) / (c.panDiameterMm ?? STANDARD.panMm) ** 2 + 1e-9)
        : c.perPanLoad,
    shelves: oven?.shelfPositions ?? 1,
  };
}

/** Whether a step takes a piece of equipment, by itself or as the other of two. */
export const usesEquipment = (step: Step, id: string): boolean => step.equipment.some((e) => e.id === id || e.or === id);

/** The closed and heated thing a step's load goes into, if any. */
export function chamberOf(step: Step): "oven" | "steamer" | "fryer" | "lidded-pan" | undefined {
  for (const id of ["oven", "steamer", "fryer"] as const) if (usesEquipment(step, id)) return id;
  return step.lot === "load" && usesEquipment(step, "lidded-pan") ? "lidded-pan" : undefined;
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
