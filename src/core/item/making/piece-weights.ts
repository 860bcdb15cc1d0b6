import { sum } from "../../shared/rounding";
import type { Component } from "../schema";
import { fillingFor, usableDoughG } from "../yields";
import type { Dough } from "./doughs";
import { HANDLING_PCT } from "./filling-lines";
import type { Shape } from "./shapes";

/** A dish that is said to make more is cut into so many: it is one all the same. */
const MOST_DISHES = 12;
/** A piece takes a little more filling than is usual of its shape. */
const STRETCH = 1.15;

const tenth = (g: number): number => Math.floor(g * 10) / 10;

/** How many pieces it makes, what one of them weighs, g, and what of the filling they do not hold, g. */
export interface PieceWeights {
  readonly pieces: number;
  readonly piece: { readonly doughG: number; readonly fillingG: number };
  readonly overG: number;
}

/**
 * Divides a dough and a filling into pieces, as many as is said or as are usual of the dough.
 * @param filling its lines and what they lose over heat, %
 */
export function pieceWeights(
  components: readonly Component[],
  filling: { readonly lines: readonly Component[]; readonly lossPct: number },
  dough: Dough,
  shape: Shape,
  said: number | undefined,
): PieceWeights {
  const usable = usableDoughG({ dough: { netLossPct: dough.lossPct } }, sum(components.map((c) => c.grams)));
  const isDish = shape.foot.of === "dish";
  const usual = isDish ? 1 : Math.max(1, Math.round(usable / dough.pieceG[1]));
  const pieces = said !== undefined && !(isDish && said > MOST_DISHES) ? said : usual;
  const { usableG } = fillingFor({
    components: filling.lines,
    cookingLossPct: filling.lossPct,
    handlingLossPct: HANDLING_PCT,
  });
  const doughG = tenth(usable / pieces);
  const wanted = usableG / pieces;
  const most = shape.ratio ? shape.ratio[2] * STRETCH * doughG : Infinity;
  return {
    pieces,
    piece: { doughG, fillingG: tenth(Math.min(wanted, Math.max(most, 1))) },
    overG: wanted > most + 1 ? Math.round((wanted - most) * pieces) : 0,
  };
}
