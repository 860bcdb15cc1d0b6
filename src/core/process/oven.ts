import { fail, ok, type Result } from "../shared/issue";
import { up } from "../shared/rounding";

export interface BakeInput {
  readonly refMin: number;
  readonly refC: number;
  readonly ovenC?: number | undefined;
  readonly refPieceG: number;
  readonly pieceG?: number | undefined;
  readonly refTrayG: number;
  readonly trayG?: number | undefined;
  readonly trays: number;
  readonly mode: "fan" | "conventional";
  readonly startC: number;
  readonly coldOvenPreheatMin: number;
  readonly factor: number;
}

/** The same piece in the same load, in a warm oven with a fan: what is left to say is the setting and the trays. */
export const SAME_LOAD = { refPieceG: 1, refTrayG: 1, mode: "fan", startC: 20, coldOvenPreheatMin: 0, factor: 1 } as const;

/** So far from the setting that a time is known for, °C. */
const FARTHEST_C = 30;

/**
 * Minutes for another piece, tray load or setting, from a bake that is known. A kitchen rule: time goes with the setting above 70 °C and
 * with the root of the mass. Issues: `out_of_range` ovenC; `inconsistent` startC (frozen pieces have a rule of their own).
 */
export function bakeTime(
  input: BakeInput,
): Result<{ readonly minutes: number; readonly checkAtMin: number; readonly swapAtMin: number | null }> {
  const { refMin, refC, refPieceG, refTrayG, trays, mode, startC, coldOvenPreheatMin, factor } = input;
  const ovenC = input.ovenC ?? refC;
  if (Math.abs(ovenC - refC) > FARTHEST_C)
    return fail({ code: "out_of_range", path: ["ovenC"], got: ovenC, wanted: `within ${FARTHEST_C} °C of ${refC}` });
  if (startC < 0)
    return fail({
      code: "inconsistent",
      path: ["startC"],
      got: startC,
      wanted: "0 °C or more; frozen pieces have a rule of their own",
    });
  const load = Math.min(4, Math.max(0.25, (input.trayG ?? refTrayG) / refTrayG));
  const perTray = mode === "fan" ? 0.06 : 0.15;
  const minutes =
    refMin *
      ((refC - 70) / (ovenC - 70)) *
      Math.sqrt((input.pieceG ?? refPieceG) / refPieceG) *
      load ** 0.12 *
      (1 + perTray * (trays - 1)) *
      (1 + 0.006 * (20 - startC)) *
      factor +
    0.5 * coldOvenPreheatMin;
  return ok({ minutes, checkAtMin: 0.8 * minutes, swapAtMin: trays === 1 && mode === "fan" ? null : 0.5 * minutes });
}

/** Whole minutes from one setting to another, and for the oven to even out. */
export const ovenChange = ({
  fromC,
  toC,
  heatRate,
  coolRate,
  soakMin,
}: Readonly<Record<"fromC" | "toC" | "heatRate" | "coolRate" | "soakMin", number>>) => ({
  minutes: up(Math.abs(toC - fromC) / (toC > fromC ? heatRate : coolRate)) + up(soakMin),
});

/** What opening the door costs: °C of the air and minutes of one opening, and minutes to add for all of them. */
export function doorLoss({
  ovenC,
  roomC,
  openS,
  powerW,
  times,
}: Readonly<Record<"ovenC" | "roomC" | "openS" | "powerW" | "times", number>>) {
  const dropC = times === 0 ? 0 : 0.75 * Math.max(0, ovenC - roomC) * (1 - Math.exp(-openS / 15));
  const recoveryMin = (dropC * 2500) / (0.8 * powerW) / 60;
  return { dropC, recoveryMin, addMin: 0.5 * recoveryMin * times };
}
