import { MINUTES_A_DAY, minutesOfClock } from "../shared/clock";
import type { Kitchen } from "./schema";

/** A room where nobody said how warm it is, °C. */
export const USUAL_ROOM_C = 21;
export const USUAL_ROOM: Kitchen["roomC"] = [{ from: "00:00", to: "24:00", c: USUAL_ROOM_C }];

const curves = new WeakMap<Kitchen["roomC"], Float64Array>();

/** Room temperature at each minute of a day, °C; before the first and after the last entry the nearest holds. */
function dayCurve(roomC: Kitchen["roomC"]): Float64Array {
  const known = curves.get(roomC);
  if (known) return known;
  const bands = roomC.map(({ from, to, c }) => ({ from: minutesOfClock(from) ?? 0, to: minutesOfClock(to) ?? MINUTES_A_DAY, c }));
  const distance = ({ from, to }: { from: number; to: number }, minute: number) =>
    from <= minute && minute < to ? -1 : Math.min(Math.abs(minute - from), Math.abs(minute - to + 1));
  const curve = Float64Array.from(
    { length: MINUTES_A_DAY },
    (_, minute) => bands.reduce((best, band) => (distance(band, minute) < distance(best, minute) ? band : best)).c,
  );
  curves.set(roomC, curve);
  return curve;
}

/** Room temperature, °C, at a minute of the plan. */
export const roomAt = (kitchen: Pick<Kitchen, "roomC">, minute: number): number =>
  dayCurve(kitchen.roomC)[((minute % MINUTES_A_DAY) + MINUTES_A_DAY) % MINUTES_A_DAY];
