import { fail, ok, type Result } from "../shared/issue";
import { down, EPSILON } from "../shared/rounding";
import { crossing } from "./crossing";

/** Oil, g/ml and kJ/kgK. */
const OIL = { density: 0.9, heat: 2.3 } as const;
/** Seconds in which a load takes its heat. */
const TAU_S = { fresh: 30, frozen: 40 } as const;

export interface OilBath {
  readonly oilMl: number;
  /** Heat that reaches the oil, and what it loses, W. */
  readonly powerW: number;
  readonly lossW: number;
  readonly startC: number;
  readonly frozen: boolean;
  readonly evapFrac: number;
  readonly tauS?: number | undefined;
}

const wrongStart = ({ frozen, startC }: OilBath): boolean => (frozen ? startC > -2 : startC < 0);
const startFault = ({ startC, frozen }: OilBath) =>
  fail({
    code: "inconsistent",
    path: ["startC"],
    got: startC,
    wanted: frozen ? "-2 °C or less where it is frozen" : "0 °C or more where it is not frozen",
  });

/** Heat that 1 kg of food takes, kJ. */
const heatPerKg = ({ frozen, startC, evapFrac }: OilBath): number =>
  (frozen ? 1.9 * (-2 - Math.min(startC, -2)) + 130 + 2.8 * 97 : 2.8 * (95 - startC)) + 2257 * evapFrac;

const bathOf = (bath: OilBath) => ({
  capacity: ((bath.oilMl * OIL.density) / 1000) * OIL.heat,
  power: Math.max(0, bath.powerW - bath.lossW) / 1000,
  tau: bath.tauS ?? (bath.frozen ? TAU_S.frozen : TAU_S.fresh),
});

/** By how much the oil cools for so much heat, °C, and after how many seconds it is coldest (null without power). */
function dropFor(heatKJ: number, { capacity, power, tau }: ReturnType<typeof bathOf>): { dropC: number; atS: number | null } {
  if (power === 0) return { dropC: heatKJ / capacity, atS: null };
  const x = heatKJ / (tau * power);
  if (x <= 1) return { dropC: 0, atS: 0 };
  const atS = tau * Math.log(x);
  return { dropC: (heatKJ * (1 - 1 / x) - power * atS) / capacity, atS };
}

/**
 * The oil after a load goes in: how far it falls, how low, when, and seconds until it is back (null: never). Usual guidance for oil
 * and the pan's own marks come first. Issues: `inconsistent` startC.
 */
export function fryDrop(input: OilBath & { readonly loadG: number; readonly setC: number }): Result<{
  readonly heatKJ: number;
  readonly dropC: number;
  readonly lowestC: number;
  readonly lowestAtS: number | null;
  readonly recoveryS: number | null;
}> {
  if (wrongStart(input)) return startFault(input);
  const bath = bathOf(input);
  const heatKJ = (heatPerKg(input) * input.loadG) / 1000;
  const { dropC, atS } = dropFor(heatKJ, bath);
  const { power, tau } = bath;
  const recoveryS =
    power === 0
      ? null
      : atS === 0
        ? 0
        : crossing((s) => power * s - heatKJ * (1 - Math.exp(-s / tau)), atS!, heatKJ / power + tau);
  return ok({ heatKJ, dropC, lowestC: input.setC - dropC, lowestAtS: atS, recoveryS });
}

export interface LoadInput extends OilBath {
  readonly pieceG: number;
  readonly setC: number;
  readonly floorC?: number | undefined;
  readonly panDiameterMm: number;
  readonly footprintMm2: number;
  readonly coverFrac: number;
  readonly minOilRatio: number;
}

/**
 * The largest load that keeps the oil above its floor, leaves surface free and has oil enough round it, in pieces, and which of the
 * three binds. 0 is an answer. Issues: `inconsistent` startC, floorC.
 */
export function fryMaxLoad(input: LoadInput): Result<{
  readonly pieces: number;
  readonly byHeat: number;
  readonly bySurface: number;
  readonly byRatio: number;
  readonly binding: "heat" | "surface" | "ratio";
}> {
  if (wrongStart(input)) return startFault(input);
  const { setC, pieceG, oilMl } = input;
  const floorC = input.floorC ?? setC - 15;
  if (floorC >= setC) return fail({ code: "inconsistent", path: ["floorC"], got: floorC, wanted: `below setC, ${setC}` });
  const bath = bathOf(input);
  const allowedC = setC - floorC;
  const begins = bath.tau * bath.power;
  const mostKJ =
    bath.power === 0
      ? bath.capacity * allowedC
      : crossing((kJ) => dropFor(kJ, bath).dropC - allowedC, begins, begins + 10 * bath.capacity * allowedC + 100 * begins);
  const byHeat = down((mostKJ * 1000) / heatPerKg(input) / pieceG);
  const bySurface = down((input.coverFrac * (Math.PI / 4) * input.panDiameterMm ** 2) / input.footprintMm2);
  const byRatio = down((oilMl * OIL.density) / input.minOilRatio / pieceG);
  const pieces = Math.min(byHeat, bySurface, byRatio);
  return ok({
    pieces,
    byHeat,
    bySurface,
    byRatio,
    binding: byHeat === pieces ? "heat" : bySurface === pieces ? "surface" : "ratio",
  });
}

/**
 * Temperature of the oil through loads that go in one after another, °C, at times in s: never above its setting.
 * @param loadG of each load
 * @param cycleS from one load in to the next
 */
export function oilCurve(
  bath: OilBath,
  { setC, loadG, loads, cycleS }: Readonly<Record<"setC" | "loadG" | "loads" | "cycleS", number>>,
): readonly { readonly s: number; readonly tempC: number }[] {
  const { capacity, power, tau } = bathOf(bath);
  const takes = (heatPerKg(bath) * loadG) / 1000;
  const points: { s: number; tempC: number }[] = [];
  let tempC = setC;
  for (let s = 0; s <= loads * cycleS; s += CURVE_STEP_S) {
    points.push({ s, tempC });
    for (let k = 0; k < CURVE_STEP_S; k++) {
      const since = (s + k) % cycleS;
      const drawn = s + k < loads * cycleS ? (takes / tau) * Math.exp(-(since + 0.5) / tau) : 0;
      tempC = Math.min(setC, tempC + (power - drawn) / capacity);
    }
  }
  return points;
}
const CURVE_STEP_S = 5;

/** Loads, the time from one to the next, and all of it, min. Issues: `infeasible` powerW (the oil never gets hot). */
export function frySchedule({
  pieces,
  perLoad,
  fryMin,
  recoveryS,
  handlingMin,
  oilMl,
  setC,
  roomC,
  powerW,
  lossW,
}: Readonly<
  Record<"pieces" | "perLoad" | "fryMin" | "recoveryS" | "handlingMin" | "oilMl" | "setC" | "roomC" | "powerW" | "lossW", number>
>): Result<{ readonly loads: number; readonly heatUpMin: number; readonly cycleMin: number; readonly totalMin: number }> {
  if (powerW <= lossW)
    return fail({ code: "infeasible", path: ["powerW"], got: powerW, wanted: `more than is lost, ${lossW} W` });
  const loads = Math.ceil(pieces / perLoad);
  const capacity = ((oilMl * OIL.density) / 1000) * OIL.heat;
  const heatUpMin = (capacity * (setC - roomC)) / ((powerW - lossW) / 1000) / 60;
  const cycleMin = Math.max(fryMin + handlingMin, recoveryS / 60);
  return ok({ loads, heatUpMin, cycleMin, totalMin: heatUpMin + (loads - 1) * cycleMin + fryMin });
}

/** Whether a pot is safe to fill so: never more than a third, half with the load, and deep enough. */
export function fryFill({
  potDiameterMm,
  potHeightMm,
  oilMl,
  loadG,
  maxFrac,
  minDepthMm,
}: Readonly<Record<"potDiameterMm" | "potHeightMm" | "oilMl" | "loadG" | "maxFrac" | "minDepthMm", number>>): {
  readonly depthMm: number;
  readonly maxOilMl: number;
  readonly ok: boolean;
  readonly why: "ok" | "overfilled" | "overfilledWithLoad" | "tooShallow";
} {
  const area = (Math.PI / 4) * potDiameterMm ** 2;
  const potMl = (area * potHeightMm) / 1000;
  const maxOilMl = potMl * maxFrac;
  const depthMm = (oilMl * 1000) / area;
  const why =
    oilMl > maxOilMl + EPSILON
      ? "overfilled"
      : oilMl + loadG / OIL.density > potMl / 2 + EPSILON
        ? "overfilledWithLoad"
        : depthMm < minDepthMm - EPSILON
          ? "tooShallow"
          : "ok";
  return { depthMm, maxOilMl, ok: why === "ok", why };
}
