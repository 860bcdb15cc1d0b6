import { disc } from "../../../quantities/geometry";
import type { Dough } from "../doughs";
import { DOUGH_DENSITY } from "../piece-geometry";
import type { Shape } from "../shapes";

/** g/ml. */
const FILLING_DENSITY = 1;

/** What a drawing is made from. */
export interface Piece {
  readonly shape: Shape;
  readonly dough: Dough;
  readonly doughG: number;
  readonly fillingG: number;
  /** The finished piece as it lies, mm. */
  readonly footprintMm: readonly [number, number];
  /** It is opened for steam before the oven. */
  readonly vented: boolean;
}

/** Sizes that follow from the weights, mm. */
export interface Measures {
  readonly thicknessMm: number;
  /** At the rim, where it is thinner there. */
  readonly rimMm: number | undefined;
  /** A round blank, across. */
  readonly acrossMm: number;
  /** Area of the blank, mm². */
  readonly areaMm2: number;
  /** Volume of the filling, mm³. */
  readonly fillingMm3: number;
  readonly length: number;
  readonly width: number;
}

export function measuresOf({ dough, doughG, fillingG, footprintMm }: Piece): Measures {
  const [thicknessMm, rimMm] = dough.thicknessMm;
  const grams = Math.max(1, doughG);
  const round = disc({ massG: grams, thicknessMm, density: DOUGH_DENSITY });
  const areaMm2 = (grams / DOUGH_DENSITY / thicknessMm) * 1000;
  return {
    thicknessMm,
    rimMm,
    acrossMm: round.ok ? round.value.diameterMm : Math.sqrt((4 * areaMm2) / Math.PI),
    areaMm2,
    fillingMm3: (fillingG / FILLING_DENSITY) * 1000,
    length: footprintMm[0],
    width: footprintMm[1],
  };
}

/** Radius of a heap of filling, a flat dome a third as high as it is wide: V = π r² h ⁄ 2. */
export const heapRadius = (fillingMm3: number): number => Math.cbrt((fillingMm3 * 3) / Math.PI);

/** The same on a blank: never wider than so much, so that the rim stays clean. */
export const heapOn = (m: Measures, most: number): number => Math.max(4, Math.min(heapRadius(m.fillingMm3), most));
