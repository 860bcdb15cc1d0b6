import { chillSlab } from "./chill";
import { coolNewton, FRIDGE_C, leavesRoomAtC, ON_TRAY } from "./cool";
import { proofRate } from "./proof";
import { relaxation } from "./rest";

/** Recipes state their rises so: twice as fast for each 10 °C, whatever the temperature. */
const RECIPE_Q10 = { q10Warm: 2, q10Cold: 2 } as const;
/** Yeast is never slower than this, of its speed at the reference: a rest that would not end is no window. */
const SLOWEST = 0.01;

/** How much longer a yeasted rest takes at the room than at its reference: doubling for each 10 °C, up to 35 °C. */
export const yeastFactor = (atC: number, roomC: number): number =>
  1 / Math.max(SLOWEST, proofRate({ tempC: roomC, refC: atC, ...RECIPE_Q10 }).rate);

/**
 * What a wait does for which the room's temperature matters: gluten relaxes, a filling cools from so hot to so cold, or dough that was
 * worked in the room gets so cold in the fridge, °C.
 */
export type FollowsRoom =
  | { readonly by: "relaxation" }
  | { readonly by: "chilling"; readonly thicknessMm: number; readonly toC: number }
  | { readonly by: "cooling"; readonly fromC: number; readonly toC: number; readonly depthMm: number };

/** A wrapped packet of dough on a shelf: W/m²K, W/mK, kg/m³, J/kgK. */
const DOUGH_IN_FRIDGE = { h: 12, k: 0.3, rho: 1150, c: 2700 } as const;
/** The room in which recipes for it are written, °C. */
const RECIPE_ROOM_C = 21;

/** Minutes until it is ready in a room; undefined where it never is. */
function readyIn(wait: FollowsRoom, roomC: number): number | undefined {
  if (wait.by === "relaxation") return relaxation({ kind: "wrapper", tempC: roomC, hydrationPct: 50, factor: 1 }).readyMin;
  if (wait.by === "chilling") {
    const { thicknessMm, toC } = wait;
    const startC = Math.max(roomC, toC + 1);
    const chilled = chillSlab({ thicknessMm, faces: 2, startC, ambientC: FRIDGE_C, targetC: toC, ...DOUGH_IN_FRIDGE });
    return chilled.ok ? chilled.value.minutes : undefined;
  }
  const { fromC, toC, depthMm } = wait;
  const cooled = coolNewton({
    ...ON_TRAY,
    depthMm,
    startC: fromC,
    targetC: leavesRoomAtC(toC, roomC),
    ambientC: roomC,
    medium: "air",
  });
  return cooled.ok ? cooled.value.minutes : undefined;
}

/** How much longer (or, below 1, shorter) a wait takes at the room than at its reference. */
export function roomFactor(wait: FollowsRoom, atC: number, roomC: number): number {
  const [there, here] = [readyIn(wait, wait.by === "chilling" ? RECIPE_ROOM_C : atC), readyIn(wait, roomC)];
  return there && here ? here / there : 1;
}
