const { PI } = Math;

/** The plan of a dish: round by its diameter, or rectangular by its sides, mm; and how deep it is filled, mm. */
export interface Dish {
  readonly kind: "round" | "rectangle";
  readonly widthMm: number;
  /** The other side of a rectangle; ignored for a round dish. */
  readonly lengthMm?: number;
  readonly depthMm: number;
}

/** Area of the top of a dish, mm². */
export const dishArea = ({ kind, widthMm, lengthMm }: Dish): number =>
  kind === "round" ? (PI * widthMm ** 2) / 4 : widthMm * (lengthMm ?? widthMm);

/**
 * From one dish to another: the filling goes by volume and a lid by area, so that they grow by different factors.
 * @param volumes ml of the two dishes where they are known (a jug of water tells); else depth × area
 */
export function dishScale(from: Dish, to: Dish, volumes?: { fromMl: number; toMl: number }): { fill: number; lid: number } {
  const lid = dishArea(to) / dishArea(from);
  return { fill: volumes ? volumes.toMl / volumes.fromMl : (lid * to.depthMm) / from.depthMm, lid };
}

export type Crust = "lid" | "double" | "lattice";

/**
 * Dough of a dish by its crust, from what a lid alone takes: a double crust takes it twice. A lattice is a third of the
 * whole dough, kept back before the base is rolled.
 */
export function crustShares(lidG: number, crust: Crust): { baseG: number; topG: number; totalG: number } {
  if (crust === "lid") return { baseG: 0, topG: lidG, totalG: lidG };
  if (crust === "double") return { baseG: lidG, topG: lidG, totalG: 2 * lidG };
  return { baseG: lidG, topG: lidG / 2, totalG: 1.5 * lidG };
}

/** What a lattice is kept back from a whole dough, g. */
export const latticeReserve = (totalG: number): number => totalG / 3;

/** A milder part of a filling: how much to set aside before the heat goes in, and the heat of either part, g. */
export function milderPart(
  fillingG: number,
  heatG: number,
  share: number,
  factor: number,
): { asideG: number; restHeatG: number; asideHeatG: number } {
  const asideG = fillingG * share;
  return { asideG, restHeatG: heatG * (1 - share), asideHeatG: heatG * share * factor };
}
