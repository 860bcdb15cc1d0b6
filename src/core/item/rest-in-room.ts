import { roomFactor, yeastFactor } from "../process/in-room";
import type { Step } from "./step";

type Rest = NonNullable<Step["rest"]>;

/** What the models of rests and cooling may be wrong by. */
const SURE = 0.8;

/** Whether the room's temperature moves a rest. */
export const followsRoom = ({ yeasted, follows, where }: Rest): boolean =>
  where === "room" && (yeasted === true || follows !== undefined);

/** When a rest is ready in a room, and when too far, min, not rounded. Dough and food keep as long as they keep: only yeast goes too far sooner where it is warm. */
export function restInRoom(rest: Rest, roomC: number): { readonly readyMin: number; readonly tooFarMin: number } {
  const { min, max, atC, yeasted, follows } = rest;
  if (!followsRoom(rest)) return { readyMin: min, tooFarMin: max };
  if (yeasted) {
    const factor = yeastFactor(atC, roomC);
    return { readyMin: min * factor, tooFarMin: max * factor };
  }
  const readyMin = min * roomFactor(follows!, atC, roomC);
  // A few degrees more make no sure difference; what is shorter by more than one can be wrong is believed.
  return { readyMin: readyMin < min && readyMin > SURE * min ? min : readyMin, tooFarMin: max };
}
