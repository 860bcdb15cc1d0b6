import { disc } from "../../quantities/geometry";
import { piecesOnCarrier } from "../../quantities/packing";
import type { Item } from "../schema";
import type { Dough } from "./doughs";
import { spaceOf, type Shape } from "./shapes";

/** g/ml of dough, and of a closed piece. */
export const DOUGH_DENSITY = 1.2;
const PIECE_DENSITY = 1.05;
/** Sizes for which an item's capacities hold, mm and ml: see `kitchen/capacity`. */
const TRAY = [400, 300] as const;
const BOARD = [600, 400] as const;
const TIER_MM = 280;
const PAN_MM = 300;
const MARGIN_MM = 5;
/** A basket of the usual fryer, mm; and what of its 4 l of oil a load may weigh at the most, g: more, and it cools too far. */
const BASKET_MM = [210, 190] as const;
const FRY_LOAD_G = 290;
/** A small tin, and a dish for several, across, mm. */
export const TIN_MM = 80;
const DISH_MM = { one: 100, several: 240 } as const;
/** So many dishes are small ones, one for each eater. */
const SMALL_DISHES = 4;

/** The finished piece as it lies, length and width, mm. `pieces`: of the recipe, for the size of its dishes. */
export function footprintMm(shape: Shape, dough: Dough, doughG: number, totalG: number, pieces = 1): readonly [number, number] {
  const { foot } = shape;
  const round = (mm: number) => Math.max(10, Math.round(mm));
  if (foot.of === "tin") return [TIN_MM, TIN_MM];
  if (foot.of === "dish") {
    const across = pieces >= SMALL_DISHES ? DISH_MM.one : DISH_MM.several;
    return [across, across];
  }
  if (foot.of === "blank") {
    const [thicknessMm] = dough.thicknessMm;
    const made = disc({ massG: Math.max(1, doughG), thicknessMm, density: DOUGH_DENSITY });
    const across = made.ok ? made.value.diameterMm : 100;
    return [round(across * foot.length), round(across * foot.width)];
  }
  const across = 10 * Math.cbrt((6 * Math.max(1, totalG)) / PIECE_DENSITY / Math.PI);
  return [round(across * foot.length), round(across * foot.width)];
}

/** Of the box around it a piece fills so much. */
const FULL = 0.75;

/** How thick a piece of this weight lies, mm; a dish or a tin as deep as it is filled. */
export function thicknessOf(foot: readonly [number, number], totalG: number): number {
  const thick = (1000 * Math.max(1, totalG)) / PIECE_DENSITY / (foot[0] * foot[1] * FULL);
  return Math.min(150, Math.max(3, thick));
}

/** Pieces that carriers and chambers of the standard sizes take, by the piece's own measures; one at the least. */
export function capacityOf(shape: Shape, dough: Dough, foot: readonly [number, number], totalG: number): Item["capacity"] {
  const on = (
    carrier: { readonly rect?: readonly [number, number]; readonly round?: number },
    where: "tray" | "steam" | "fry" | "pan",
    extra: { growth?: number } = {},
  ): number => {
    const { growth, gapMm } = spaceOf(shape, dough.id, where);
    const isRound = Math.abs(foot[0] - foot[1]) < 1;
    const made = piecesOnCarrier({
      carrier: carrier.rect ? "rect" : "round",
      widthMm: carrier.rect ? carrier.rect[1] : carrier.round!,
      ...(carrier.rect && { lengthMm: carrier.rect[0] }),
      marginMm: MARGIN_MM,
      piece: isRound ? "round" : "rect",
      pieceMm: foot[0],
      piece2Mm: foot[1],
      growth: extra.growth ?? growth,
      gapMm,
      stagger: true,
    });
    return Math.max(1, made.ok ? made.value.pieces : 1);
  };
  const fits = (methods: readonly string[]) => dough.methods.some((method) => methods.includes(method));
  return {
    perTray: on({ rect: TRAY }, "tray"),
    perBoard: on({ rect: BOARD }, "tray"),
    perFreezerTray: on({ rect: TRAY }, "tray", { growth: 1 }),
    ...(fits(["steam"]) && { perSteamerTier: on({ round: TIER_MM }, "steam") }),
    perPanLoad: on({ round: PAN_MM }, "pan"),
    panDiameterMm: PAN_MM,
    ...(fits(["fry"]) && {
      perFryerLoad: Math.max(1, Math.min(on({ rect: BASKET_MM }, "fry"), Math.floor(FRY_LOAD_G / Math.max(1, totalG)))),
    }),
  };
}
