import { fail, ok, type Result } from "../shared/issue";
import { sum } from "../shared/rounding";

/** Heat capacities, kJ/kgK. */
const HEAT_CAPACITY = {
  flour: 1.8,
  water: 4.18,
  milk: 3.9,
  egg: 3.3,
  fat: 2.1,
  sugar: 1.25,
  salt: 0.9,
  dough: 2.8,
  preferment: 3.0,
  paste: 3.3,
  other: 2.5,
} as const;
/** kJ/kg of melting ice, and kJ/kgK of ice. */
const ICE = { melting: 334, capacity: 2.1 } as const;

/** What goes into a dough, g and °C. */
export interface HeatPart {
  readonly kind: keyof typeof HEAT_CAPACITY;
  readonly grams: number;
  readonly tempC: number;
}

const capacityOf = (parts: readonly HeatPart[]): number => sum(parts.map(({ kind, grams }) => grams * HEAT_CAPACITY[kind]));
const heatOf = (parts: readonly HeatPart[]): number =>
  sum(parts.map(({ kind, grams, tempC }) => grams * HEAT_CAPACITY[kind] * tempC));

/** Temperature of a mix, °C: calorimetry, no heat to the bowl, none of melting fat; kneading adds `riseC`. */
export const doughTemperature = ({ parts, riseC }: { readonly parts: readonly HeatPart[]; readonly riseC: number }) => ({
  doughC: heatOf(parts) / capacityOf(parts) + riseC,
});

/** °C a minute. Kitchen figures. */
const FRICTION = {
  none: 0,
  fold: 0.1,
  hand: 0.2,
  mixerSlow: 0.5,
  mixerMedium: 0.9,
  breadMachine: 0.4,
  foodProcessor: 12,
} as const;
const MOST_RISE_C = 20;

/** By how much kneading warms a dough, °C. */
export const kneadingRise = ({ mixing, minutes }: { readonly mixing: keyof typeof FRICTION; readonly minutes: number }) => ({
  riseC: Math.min(MOST_RISE_C, FRICTION[mixing] * minutes),
});

export interface WantedDough {
  readonly desiredC: number;
  readonly riseC: number;
  readonly waterG: number;
  readonly tapC: number;
  readonly iceC: number;
  readonly parts: readonly HeatPart[];
  readonly yeastMaxC?: number | undefined;
}

/**
 * How warm the water has to be, and how much of it ice, for a dough of `desiredC`. Water that would harm yeast is capped, and the dough
 * that comes of it is told. Issues: `infeasible` desiredC (not even ice alone makes it so cold).
 */
export function waterFor({ desiredC, riseC, waterG, tapC, iceC, parts, yeastMaxC }: WantedDough): Result<{
  readonly waterC: number;
  readonly useC: number;
  readonly liquidG: number;
  readonly iceG: number;
  readonly doughC: number;
  readonly note: "ok" | "ice" | "muchIce" | "capped";
}> {
  const [mass, heat] = [capacityOf(parts), heatOf(parts)];
  const water = HEAT_CAPACITY.water * waterG;
  const waterC = ((desiredC - riseC) * (mass + water) - heat) / water;
  const cap = yeastMaxC ?? 100;
  if (waterC > cap)
    return ok({
      waterC,
      useC: cap,
      liquidG: waterG,
      iceG: 0,
      doughC: (heat + water * cap) / (mass + water) + riseC,
      note: "capped",
    });
  if (waterC >= tapC) return ok({ waterC, useC: waterC, liquidG: waterG, iceG: 0, doughC: desiredC, note: "ok" });
  const { water: cw } = HEAT_CAPACITY;
  const iceG = (waterG * cw * (tapC - waterC)) / (cw * tapC + ICE.melting - ICE.capacity * iceC);
  if (iceG > waterG)
    return fail({
      code: "infeasible",
      path: ["desiredC"],
      got: desiredC,
      wanted: "a dough that ice in all of its water can make so cold",
    });
  const note = iceG > 0.5 * waterG ? "muchIce" : "ice";
  return ok({ waterC, useC: tapC, liquidG: waterG - iceG, iceG, doughC: desiredC, note });
}
