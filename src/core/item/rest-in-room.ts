import { roomFactor, yeastFactor } from "../process/in-room";
import type { Step } from "./step";

type Rest = NonNullable<Step["rest"]>;

/** What the models of rests and cooling may be wrong by. */
const SURE = 0.8;

/** What a rise may be quicker or slower than its time by: yeast, flour and a measured room are never just the same. */
const RISE_MAY_DIFFER = 0.25;

/** Whether a rest is a rise in the room, whose end is judged and not timed. */
export const isRise = ({ where, yeasted }: Rest): boolean => where === "room" && yeasted === true;

/** When a rise is first looked at, min: as quick as is to be expected. */
export const firstLookMin = (readyMin: number): number => readyMin * (1 - RISE_MAY_DIFFER);

/** When a slow rise is ready, min: as late as is to be expected. */
export const slowRiseMin = (readyMin: number): number => readyMin * (1 + RISE_MAY_DIFFER);

/** Whether the room's temperature moves a rest: in it, or in the fridge for what comes warm out of it. */
export const followsRoom = ({ yeasted, follows, where }: Rest): boolean =>
  where === "room" ? yeasted === true || follows !== undefined : follows?.by === "chilling";

/** When a rest is ready in a room, and when too far, min, not rounded. Dough and food keep as long as they keep: only yeast goes too far sooner where it is warm. */
export function restInRoom(rest: Rest, roomC: number): { readonly readyMin: number; readonly tooFarMin: number } {
  const { min, max, atC, yeasted, follows } = rest;
  if (!followsRoom(rest)) return { readyMin: min, tooFarMin: max };
  if (yeasted && follows?.by !== "chilling") {
    const factor = yeastFactor(atC, roomC);
    return { readyMin: min * factor, tooFarMin: max * factor };
  }
  const readyMin = min * roomFactor(follows!, atC, roomC);
  // A few degrees more make no sure difference; what is shorter by more than one can be wrong is believed.
  return { readyMin: readyMin < min && readyMin > SURE * min ? min : readyMin, tooFarMin: max };
}
