import { roomAt, USUAL_ROOM } from "../kitchen/room";
import type { Plan } from "./schema";

/** How warm the room is that a plan was made for, °C, at a minute of it; where nobody said, a usual one. */
export const roomIn = ({ day }: Pick<Plan, "day">, minute: number): number =>
  roomAt({ roomC: day.kitchen.roomC ?? USUAL_ROOM }, minute);
