import type { FamilyId } from "./doughs";

/** How a piece is formed, what it is like afterwards, and the easier way. Ratios are g of filling to g of skin. */
export interface Shape {
  readonly id: string;
  readonly name: string;
  readonly fits: readonly FamilyId[];
  /** For a learner, practised, generous; undefined where a case is filled by volume. */
  readonly ratio?: readonly [learner: number, practised: number, generous: number];
  /** Hands of a practised cook, s a piece. */
  readonly seconds: number;
  /** Difficulty from 1 to 4, and the easier shape. */
  readonly difficulty: 1 | 2 | 3 | 4;
  readonly easier?: string;
  /** Which side goes down. */
  readonly down: string;
  /** What is done, and what it looks like when it is right. */
  readonly how: string;
  /** Footprint of the finished piece, as parts of the blank: length and width, or a factor on the ball of the same weight. */
  readonly foot: { readonly of: "blank" | "ball" | "tin" | "dish"; readonly length: number; readonly width: number };
  /** It never has a vent, however it is baked. */
  readonly open?: true;
  /** Words that a recipe calls it by. */
  readonly words: readonly string[];
}

const disc = (length: number, width: number) => ({ of: "blank" as const, length, width });
const ball = (length: number, width = length) => ({ of: "ball" as const, length, width });

export const SHAPES: readonly Shape[] = [
  {
    id: "half-moon",
    name: "half-moon, crimped",
    fits: ["SH", "FS", "FR", "HW", "OS"],
    ratio: [0.6, 0.9, 1.1],
    seconds: 35,
    difficulty: 1,
    down: "face up",
    how: "Filling on one half, 10 mm of rim clean; fold over, press the air out, crimp with a fork.",
    foot: disc(1, 0.5),
    words: [
      "half-moon",
      "half moon",
      "half-circle",
      "half circle",
      "semicircle",
      "crescent",
      "fold over",
      "folded over",
      "fold in half",
      "turnover",
      "turnovers",
      "hand pie",
      "hand pies",
      "pasty",
      "pasties",
      "D shape",
    ],
  },
  {
    id: "pleated-half-moon",
    name: "half-moon, pleated",
    fits: ["SH", "FR", "LY"],
    ratio: [0.6, 0.85, 1],
    seconds: 50,
    difficulty: 3,
    easier: "half-moon",
    down: "face up",
    how: "Filling on one half; folds along the arc, all one way.",
    foot: disc(1, 0.5),
    words: ["pleat the edge", "pleated edge"],
  },
  {
    id: "rope-half-moon",
    name: "half-moon with a rope edge",
    fits: ["SH", "FR"],
    ratio: [0.6, 0.85, 1],
    seconds: 60,
    difficulty: 4,
    easier: "half-moon",
    down: "face up",
    how: "Filling on one half; the pressed edge turned over itself, bit by bit.",
    foot: disc(1, 0.5),
    words: ["rope edge", "rope", "braided edge", "twist the edge"],
  },
  {
    id: "dumpling-folded",
    name: "dumpling, folded",
    fits: ["HW", "CW"],
    ratio: [0.7, 1, 1.2],
    seconds: 15,
    difficulty: 1,
    down: "on its flat base",
    how: "Filling in the middle; fold to a plain arc, air out, tap the base flat.",
    foot: disc(0.8, 0.33),
    words: ["fold and seal", "fold into"],
  },
  {
    id: "dumpling-pleated",
    name: "dumpling, pleated",
    fits: ["HW", "CW"],
    ratio: [0.7, 1.05, 1.3],
    seconds: 28,
    difficulty: 3,
    easier: "dumpling-folded",
    down: "on its flat base",
    how: "Filling in the middle; 5 to 8 pleats on the near side only, base flat.",
    foot: disc(0.8, 0.33),
    words: ["pleat", "pleats", "pleated"],
  },
  {
    id: "pleated-bun",
    name: "bun, pleated",
    fits: ["SY", "PY", "EY"],
    ratio: [0.5, 0.65, 0.8],
    seconds: 50,
    difficulty: 4,
    easier: "smooth-bun",
    down: "on its base",
    how: "Thick centre; pleats round and round to a closed crown.",
    foot: ball(1),
    words: ["pleat", "pleats", "pleated", "crown"],
  },
  {
    id: "purse",
    name: "money bag",
    fits: ["HW", "CW", "SS"],
    ratio: [0.5, 0.8, 1],
    seconds: 45,
    difficulty: 2,
    easier: "dumpling-folded",
    down: "on its base",
    how: "Edges gathered to a neck over the filling, pinched.",
    foot: ball(1),
    words: ["purse", "money bag", "pouch", "gather the edges"],
  },
  {
    id: "smooth-bun",
    name: "smooth ball",
    fits: ["SY", "EY", "LY"],
    ratio: [0.5, 0.65, 0.8],
    seconds: 30,
    difficulty: 2,
    down: "on its seam",
    how: "Thick centre; gathered over the filling and pinched, rounded with the seam below, the top tight.",
    foot: ball(1),
    words: ["bun", "buns", "ball", "balls", "roll", "rolls", "round", "seam side down", "seam-side down", "seam down"],
  },
  {
    id: "flat-bun",
    name: "flat bun",
    fits: ["PY"],
    ratio: [0.6, 0.75, 1],
    seconds: 45,
    difficulty: 2,
    down: "on its seam",
    how: "Gathered over the filling, pinched, pressed to two thirds of its height.",
    foot: ball(1.15),
    words: ["flatten", "flat bun", "press flat", "press it flat", "bun", "buns"],
  },
  {
    id: "filled-after",
    name: "ball, filled when it is cool",
    fits: ["EY"],
    ratio: [0.3, 0.5, 0.6],
    seconds: 12,
    difficulty: 1,
    down: "on either side",
    how: "Nozzle into the pale waist, filled until it feels heavy.",
    foot: ball(1.2),
    words: ["pipe the filling into", "fill with a piping bag", "inject", "doughnut", "doughnuts"],
  },
  {
    id: "roll-up",
    name: "rolled up",
    fits: ["EY", "LY"],
    ratio: [0.4, 0.55, 0.7],
    seconds: 25,
    difficulty: 1,
    down: "on its seam",
    how: "Rectangle; sides in, then rolled up, the seam below.",
    foot: ball(1.3, 0.8),
    words: ["roll up", "rolled up", "roll it up", "sausage roll"],
  },
  {
    id: "woven",
    name: "woven rectangle",
    fits: ["EY"],
    ratio: [0.4, 0.5, 0.6],
    seconds: 150,
    difficulty: 4,
    easier: "roll-up",
    down: "on the plain sheet",
    how: "Two rectangles; the upper one slit, its strips laid crosswise over the filling.",
    foot: ball(1.5, 0.9),
    open: true,
    words: ["weave", "woven", "braid", "braided", "plait", "plaited"],
  },
  {
    id: "coil",
    name: "coil",
    fits: ["SS", "LY"],
    ratio: [0.6, 0.8, 1],
    seconds: 140,
    difficulty: 4,
    easier: "log",
    down: "with the tail under it",
    how: "Stretch the sheet with a film of fat, fill along the edge, roll to a rope, coil it, tuck the end under.",
    foot: ball(1.5),
    open: true,
    words: ["coil", "coils", "spiral", "snail", "rosette"],
  },
  {
    id: "log",
    name: "log",
    fits: ["SS", "LY"],
    ratio: [0.6, 0.8, 1],
    seconds: 29,
    difficulty: 2,
    down: "on its seam",
    how: "Filled along one edge, rolled evenly, cut at the marks.",
    foot: ball(1.4, 0.7),
    open: true,
    words: ["log", "logs", "strudel", "cut into pieces", "slice the roll"],
  },
  {
    id: "triangle",
    name: "triangle",
    fits: ["SS", "FS", "FR", "CW", "HW"],
    ratio: [0.5, 0.7, 0.9],
    seconds: 40,
    difficulty: 2,
    down: "on the last fold",
    how: "Corner to edge, turn by turn, the end tucked in.",
    foot: ball(1.6, 1.1),
    words: ["triangle", "triangles", "corner to corner", "cone"],
  },
  {
    id: "square-parcel",
    name: "square parcel",
    fits: ["BD", "LY", "SS"],
    ratio: [0.7, 1, 1.3],
    seconds: 40,
    difficulty: 3,
    easier: "half-moon",
    down: "on the fold",
    how: "Thin square, filling in the middle, folded in thirds both ways, edges over one another.",
    foot: ball(1.8, 1.8),
    words: ["square", "squares", "envelope", "parcel", "parcels"],
  },
  {
    id: "pillow",
    name: "pillow",
    fits: ["SH", "FS"],
    ratio: [0.5, 0.7, 0.9],
    seconds: 35,
    difficulty: 1,
    down: "on the lower sheet",
    how: "Upper rectangle on the lower, four seams pressed with a fork.",
    foot: ball(1.6, 1.2),
    words: ["rectangle", "rectangles", "pillow", "toaster"],
  },
  {
    id: "two-discs",
    name: "round of two discs",
    fits: ["SH", "FS", "FR"],
    ratio: [0.6, 0.8, 1],
    seconds: 45,
    difficulty: 2,
    down: "on the smaller disc",
    how: "Filling on one disc, the other a tenth wider over it, sealed all round to a dome.",
    foot: disc(0.75, 0.75),
    words: ["top with another", "second disc", "second circle", "two circles", "two discs"],
  },
  {
    id: "stuffed-disc",
    name: "stuffed disc",
    fits: ["OS", "LY", "BD"],
    ratio: [0.6, 0.85, 1],
    seconds: 45,
    difficulty: 3,
    easier: "smooth-bun",
    down: "on its seam",
    how: "A cup over the filling, closed to a ball, then pressed or rolled flat with the seam below.",
    foot: ball(1.6),
    words: ["flatten", "roll out gently", "press flat", "disc", "discs", "stuffed flatbread"],
  },
  {
    id: "tartlet",
    name: "tartlet, open",
    fits: ["SH", "FS"],
    seconds: 35,
    difficulty: 2,
    down: "in its tin",
    how: "The case eased into the tin, its edge even with the rim.",
    foot: { of: "tin", length: 1, width: 1 },
    open: true,
    words: ["tartlet", "tartlets", "tart", "tarts"],
  },
  {
    id: "tartlet-lidded",
    name: "small pie with a lid",
    fits: ["SH", "FS"],
    seconds: 55,
    difficulty: 3,
    easier: "tartlet",
    down: "in its tin",
    how: "Case in the tin, filled, the lid pressed on and slit.",
    foot: { of: "tin", length: 1, width: 1 },
    words: ["mini pie", "mini pies", "muffin tin", "small pies", "individual pies"],
  },
  {
    id: "tartlet-lattice",
    name: "tartlet with a lattice",
    fits: ["SH", "FS"],
    seconds: 125,
    difficulty: 4,
    easier: "tartlet",
    down: "in its tin",
    how: "Case in the tin, filled, strips over and under.",
    foot: { of: "tin", length: 1, width: 1 },
    open: true,
    words: ["lattice"],
  },
  {
    id: "lidded-dish",
    name: "dish with a lid",
    fits: ["SH", "FS"],
    seconds: 240,
    difficulty: 2,
    down: "with the lid on top",
    how: "The filling to 12 mm below the rim, the lid 20 mm wider than the dish, crimped over the rim, slits in it.",
    foot: { of: "dish", length: 1, width: 1 },
    words: ["pot pie", "pot pies", "lid", "top crust", "pie dish", "casserole", "ramekin", "ramekins", "cover the dish"],
  },
  {
    id: "double-dish",
    name: "dish with two crusts",
    fits: ["SH", "FS"],
    seconds: 360,
    difficulty: 3,
    easier: "lidded-dish",
    down: "on its base",
    how: "Line the dish, fill it, lid and slits.",
    foot: { of: "dish", length: 1, width: 1 },
    words: ["double crust", "bottom crust", "line the dish", "line the pie dish"],
  },
  {
    id: "lattice-dish",
    name: "dish with a lattice",
    fits: ["SH", "FS"],
    seconds: 600,
    difficulty: 4,
    easier: "lidded-dish",
    down: "on its base",
    how: "Line the dish, fill it, strips over and under.",
    foot: { of: "dish", length: 1, width: 1 },
    open: true,
    words: ["lattice"],
  },
];

export const shapeOf = (id: string): Shape | undefined => SHAPES.find((shape) => shape.id === id);

/** "; easier: half-moon, crimped", or nothing where there is no easier one. */
export function easierText({ easier }: Shape): string {
  const other = easier === undefined ? undefined : shapeOf(easier);
  return other ? `; easier: ${other.name}` : "";
}

/** How it grows over heat and the gap that it wants, by carrier; mm. */
export function spaceOf(shape: Shape, family: FamilyId, on: "tray" | "steam" | "fry" | "pan"): { growth: number; gapMm: number } {
  const isYeast = ["EY", "LY", "SY", "PY"].includes(family);
  if (on === "steam") return isYeast ? { growth: 1.3, gapMm: 15 } : { growth: 1.06, gapMm: 10 };
  if (on === "fry") return { growth: isYeast ? 1.4 : 1.1, gapMm: 12 };
  if (on === "pan") return isYeast ? { growth: 1.25, gapMm: 8 } : { growth: 1.06, gapMm: 3 };
  if (isYeast) return { growth: 1.35, gapMm: 10 };
  if (shape.id === "coil") return { growth: 1.08, gapMm: 15 };
  if (shape.foot.of === "tin") return { growth: 1.02, gapMm: 8 };
  return family === "HW" || family === "CW" ? { growth: 1.06, gapMm: 10 } : { growth: 1.03, gapMm: 12 };
}
