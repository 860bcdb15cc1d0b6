import { up } from "../shared/rounding";
import { coolNewton, ON_TRAY } from "./cool";

/** A piece of so many grams is about so thick, mm; others by the cube root of their mass. */
const REFERENCE = { g: 150, thickMm: 25 } as const;
/** A mouth takes food as warm as this without being burnt: grown up, and a child's, °C. Usual figures; nobody is promised anything. */
const EATABLE_C = { adult: 60, child: 50 } as const;
export type Eater = keyof typeof EATABLE_C;

/**
 * Minutes until a piece out of the heat may be eaten without burning the mouth: about, by its mass, closed all round. Newton's cooling of
 * its middle on a board.
 * @param coreC as it comes out, °C
 */
export function coolToEatMin({
  coreC,
  pieceG,
  roomC,
  eater,
}: {
  readonly coreC: number;
  readonly pieceG: number;
  readonly roomC: number;
  readonly eater: Eater;
}): number {
  const targetC = EATABLE_C[eater];
  if (coreC <= targetC || roomC >= targetC) return 0;
  const depthMm = REFERENCE.thickMm * Math.cbrt(Math.max(1, pieceG) / REFERENCE.g);
  const cooled = coolNewton({ ...ON_TRAY, depthMm, startC: coreC, targetC, ambientC: roomC, medium: "air" });
  return cooled.ok ? up(cooled.value.minutes ?? 0) : 0;
}
