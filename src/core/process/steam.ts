import { fail, ok, type Result } from "../shared/issue";
import { up } from "../shared/rounding";

/** Latent heat of steam and heat of water, kJ/kg and kJ/kgK. */
const STEAM = 2257;
const WATER = 4.18;

export interface SteamWaterInput {
  readonly minutes: number;
  readonly evapGPerMin?: number | undefined;
  readonly powerW: number;
  readonly efficiency: number;
  readonly potDiameterMm: number;
  readonly minDepthMm: number;
  readonly maxDepthMm: number;
  readonly tapC: number;
}

/** Water for so many minutes of steam, when and how much to top up, and minutes to the boil. Issues: `inconsistent` maxDepthMm. */
export function steamWater(input: SteamWaterInput): Result<{
  readonly evapGPerMin: number;
  readonly neededMl: number;
  readonly startMl: number;
  readonly topUps: number;
  readonly topUpEveryMin: number | null;
  readonly topUpMl: number;
  readonly heatUpMin: number;
}> {
  const { minutes, powerW, efficiency, potDiameterMm, minDepthMm, maxDepthMm, tapC } = input;
  if (maxDepthMm <= minDepthMm)
    return fail({ code: "inconsistent", path: ["maxDepthMm"], got: maxDepthMm, wanted: `more than minDepthMm, ${minDepthMm}` });
  const evapGPerMin = input.evapGPerMin ?? (powerW * efficiency * 60) / STEAM;
  const mlPerMm = ((Math.PI / 4) * potDiameterMm ** 2) / 1000;
  const [least, most] = [mlPerMm * minDepthMm, mlPerMm * maxDepthMm];
  const neededMl = evapGPerMin * minutes + least;
  const startMl = Math.min(neededMl, most);
  const topUps = Math.max(0, up((evapGPerMin * minutes) / (most - least)) - 1);
  return ok({
    evapGPerMin,
    neededMl,
    startMl,
    topUps,
    topUpEveryMin: topUps > 0 ? (most - least) / evapGPerMin : null,
    topUpMl: topUps > 0 ? (neededMl - startMl) / topUps : 0,
    heatUpMin: (startMl * WATER * (100 - tapC)) / (powerW * efficiency) / 60,
  });
}

/** Minutes from full steam for another piece, from a time that is known. */
export const steamTime = ({
  refMin,
  refPieceG,
  pieceG = refPieceG,
  tiers,
  frozen,
  lidLifts,
  factor,
}: {
  readonly refMin: number;
  readonly refPieceG: number;
  readonly pieceG?: number | undefined;
  readonly tiers: number;
  readonly frozen: boolean;
  readonly lidLifts: number;
  readonly factor: number;
}) => ({
  minutes: refMin * Math.sqrt(pieceG / refPieceG) * (1 + 0.08 * (tiers - 1)) * (frozen ? 1.3 : 1) * factor + lidLifts,
});
