/** Time constant of food spread 10 mm deep on a cold tray, min: 85 to 25 °C in a room at 21 °C takes 46. */
const SHALLOW_TAU_MIN = 16.6;
const FRIDGE_C = 4;
/** So close to the room a tray gets on its own, °C; the rest takes the fridge. */
const ROOM_LEAVES_C = 4;

const newton = (fromC: number, toC: number, aroundC: number): number =>
  fromC <= toC ? 0 : SHALLOW_TAU_MIN * Math.log((fromC - aroundC) / (toC - aroundC));

/**
 * Minutes until food that is spread 10 mm deep is as cold as it must be: in the room as far as that goes, then in the fridge.
 * Kitchen figures of our own; a deep pot takes many times as long.
 * @param toC above the fridge's 4 °C
 */
export function shallowCoolingMin(fromC: number, toC: number, roomC: number): { roomMin: number; fridgeMin: number } {
  const roomToC = Math.max(toC, roomC + ROOM_LEAVES_C);
  const reachedC = Math.min(fromC, roomToC);
  return {
    roomMin: newton(fromC, roomToC, roomC),
    fridgeMin: newton(reachedC, Math.max(toC, FRIDGE_C + 0.5), FRIDGE_C),
  };
}
