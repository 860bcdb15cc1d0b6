import { fryMaxLoad, type OilBath } from "../process/fry";
import type { Item } from "../item/schema";
import type { Kitchen } from "./schema";

type Fryer = Pick<NonNullable<Kitchen["equipment"]["fryer"]>, "oilMl" | "kW">;

/** Formed pieces as they go in, °C. */
const GOES_IN_C = 8;
/** What an electric fryer loses to the room, W; what of a raw piece boils off. */
const USUAL = { lossW: 150, evapFrac: 0.1 } as const;
/** Oil to food by weight; room in the basket is counted by the piece's own measures. */
const ROOM = { minOilRatio: 5, coverFrac: 0.9, panDiameterMm: 600, footprintMm2: 1 } as const;
const USUAL_SET_C = 177;

/** A fryer's oil with raw pieces from the fridge going in. */
export const bathOfFryer = (oilMl: number, kW: number): OilBath => ({
  ...USUAL,
  oilMl,
  powerW: kW * 1000,
  startC: GOES_IN_C,
  frozen: false,
});

/**
 * Pieces of an item that this fryer takes at once without its oil falling more than 15 °C, and with oil enough round them. Infinity
 * where the fryer's power is not known, or where the cook says how many the item's own fryer takes.
 */
export function fryLoadByHeat(item: Item, { oilMl, kW }: Fryer): number {
  const { making, piece, steps } = item;
  const isOwn = !making || making.ownCapacity?.perFryerLoad !== undefined;
  const pieceG = piece.doughG + piece.fillingG;
  if (kW === undefined || isOwn || pieceG <= 0) return Infinity;
  const set = steps.flatMap(({ equipment }) => equipment).find(({ id }) => id === "fryer")?.settingC ?? USUAL_SET_C;
  const load = fryMaxLoad({ ...bathOfFryer(oilMl, kW), ...ROOM, setC: set, pieceG });
  return load.ok ? Math.max(1, Math.min(load.value.byHeat, load.value.byRatio)) : Infinity;
}
