import { reach } from "./marks";
import { measuresOf, type Measures, type Piece } from "./measures";
import type { Item } from "../../schema";
import { madeOf } from "../settle";
import { cased } from "./cased";
import { halfMoon } from "./folded";
import { filledAfter, gathered } from "./gathered";
import { sandwich } from "./sandwich";
import { parcel, rolled, triangle, woven } from "./sheets";
import type { Stage } from "./stage";

/** How a piece is formed, in pictures of one scale. */
export interface Drawing {
  readonly stages: readonly Stage[];
  /** Half of the side of a square that holds every stage, mm. */
  readonly halfMm: number;
  readonly measures: Measures;
}

/** How deep a small tin and a dish are, mm. */
const DEEP = { tin: 25, dish: 45 } as const;
/** Around a drawing, mm. */
const MARGIN = 4;

function stagesOf({ shape, vented }: Piece, m: Measures): Stage[] {
  switch (shape.id) {
    case "half-moon":
      return halfMoon(m, "fork", vented);
    case "pleated-half-moon":
      return halfMoon(m, "pleats", vented);
    case "rope-half-moon":
      return halfMoon(m, "rope", vented);
    case "dumpling-folded":
      return halfMoon(m, "plain", false);
    case "dumpling-pleated":
      return halfMoon(m, "near-pleats", false);
    case "pleated-bun":
      return gathered(m, "pleats");
    case "purse":
      return gathered(m, "purse");
    case "flat-bun":
      return gathered(m, "flat");
    case "stuffed-disc":
      return gathered(m, "disc", vented);
    case "filled-after":
      return filledAfter(m);
    case "roll-up":
      return rolled(m, "bun");
    case "log":
      return rolled(m, "log");
    case "coil":
      return rolled(m, "coil");
    case "woven":
      return woven(m);
    case "triangle":
      return triangle(m);
    case "square-parcel":
      return parcel(m);
    case "pillow":
      return sandwich(m, false, vented);
    case "two-discs":
      return sandwich(m, true, vented);
    case "tartlet":
      return cased(m, "open", true, DEEP.tin);
    case "tartlet-lidded":
      return cased(m, "lid", true, DEEP.tin);
    case "tartlet-lattice":
      return cased(m, "lattice", true, DEEP.tin);
    case "lidded-dish":
      return cased(m, "lid", false, DEEP.dish);
    case "double-dish":
      return cased(m, "lid", true, DEEP.dish);
    case "lattice-dish":
      return cased(m, "lattice", true, DEEP.dish);
    default:
      return gathered(m, "seam", vented);
  }
}

/** Draws how a piece of this weight is formed, from the blank to how it lies, from its own measures in mm. */
export function draw(piece: Piece): Drawing {
  const measures = measuresOf(piece);
  const stages = stagesOf(piece, measures);
  const far = Math.max(...stages.flatMap(({ marks }) => marks.map(({ path }) => reach(path))));
  return { stages, measures, halfMm: Math.ceil(far) + MARGIN };
}

/** How an item's pieces are formed; undefined for one that was not made by rule, whose shape is only told in words. */
export function drawingOf(item: Item): Drawing | undefined {
  const made = madeOf(item);
  const { doughG, fillingG, footprintMm } = item.piece;
  if (!made || doughG === 0 || !footprintMm) return undefined;
  const vented = item.steps.some(({ kind, part }) => kind === "dock" && part === "piece");
  return draw({ ...made, doughG, fillingG, footprintMm: [footprintMm[0], footprintMm[1]], vented });
}
