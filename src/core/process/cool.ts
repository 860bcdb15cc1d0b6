import { fail, ok, type Result } from "../shared/issue";
import { EPSILON } from "../shared/rounding";

/** W/m²K at the surface. */
const SURFACE = { air: 20, fan: 35, fridge: 12, freezer: 15, bath: 150 } as const;

export interface CoolInput {
  readonly startC: number;
  readonly ambientC: number;
  readonly targetC?: number | undefined;
  readonly minutes?: number | undefined;
  readonly depthMm: number;
  readonly faces: number;
  readonly medium: keyof typeof SURFACE;
  /** W/m²K, W/mK, MJ/m³K. */
  readonly h?: number | undefined;
  readonly k: number;
  readonly rhoC: number;
}

/**
 * Newton's cooling of a pot or tray, the surface and half the depth in series: minutes to `targetC`, or °C after `minutes`.
 * Issues: `inconsistent` targetC (both or neither of the two); `infeasible` targetC (it never gets there).
 */
export function coolNewton(
  input: CoolInput,
): Result<{ readonly tauMin: number; readonly minutes?: number; readonly tempC?: number }> {
  const { startC, ambientC, targetC, minutes, depthMm, faces, medium, k, rhoC } = input;
  if ((targetC === undefined) === (minutes === undefined))
    return fail({ code: "inconsistent", path: ["targetC"], got: targetC, wanted: "either a temperature or minutes" });
  const half = depthMm / 1000 / faces;
  const tauMin = (rhoC * 1e6 * half * (1 / (input.h ?? SURFACE[medium]) + half / (3 * k))) / 60;
  if (minutes !== undefined) return ok({ tauMin, tempC: ambientC + (startC - ambientC) * Math.exp(-minutes / tauMin) });
  if (targetC === startC) return ok({ tauMin, minutes: 0 });
  const ratio = (startC - ambientC) / (targetC! - ambientC);
  if (!(Number.isFinite(ratio) && ratio > 1))
    return fail({ code: "infeasible", path: ["targetC"], got: targetC, wanted: `between ${startC} and ${ambientC} °C` });
  return ok({ tauMin, minutes: tauMin * Math.log(ratio) });
}

/** Food as it cools on a tray: air above and below. */
export const ON_TRAY = { faces: 2, k: 0.5, rhoC: 3.7 } as const;
/** As deep as it is spread, mm. */
export const SPREAD_MM = 10;
/** The air in a fridge, °C. */
export const FRIDGE_C = 4;
/** So close to the room a tray gets on its own, °C; the rest takes the fridge. */
const ROOM_LEAVES_C = 4;

/** How cold food gets in a room before the fridge has to go on, on its way to `toC`, °C. */
export const leavesRoomAtC = (toC: number, roomC: number): number => Math.max(toC, roomC + ROOM_LEAVES_C);

const trayMin = (startC: number, targetC: number, ambientC: number, medium: "air" | "fridge", depthMm: number): number => {
  if (startC <= targetC) return 0;
  const cooled = coolNewton({ ...ON_TRAY, depthMm, startC, targetC, ambientC, medium });
  return cooled.ok ? (cooled.value.minutes ?? 0) : 0;
};

/**
 * Minutes until food that is spread is as cold as it must be: in the room as far as that goes, then in the fridge. A deep pot takes
 * many times as long.
 * @param toC above the fridge's 4 °C
 */
export function trayCoolingMin(
  fromC: number,
  toC: number,
  roomC: number,
  depthMm: number = SPREAD_MM,
): { roomMin: number; fridgeMin: number } {
  const roomToC = leavesRoomAtC(toC, roomC);
  return {
    roomMin: trayMin(fromC, roomToC, roomC, "air", depthMm),
    fridgeMin: trayMin(Math.min(fromC, roomToC), Math.max(toC, FRIDGE_C + 0.5), FRIDGE_C, "fridge", depthMm),
  };
}

/** A bath of water and ice, °C, and how thick a closed bag lies in it, mm. */
const ICE_BATH = { c: 1, depthMm: 20 } as const;

/** Minutes until a flat bag in ice water is as cold as it must be, turned over now and then; above 1 °C. */
export function iceBathMin(fromC: number, toC: number): number {
  const cooled = coolNewton({
    ...ON_TRAY,
    depthMm: ICE_BATH.depthMm,
    startC: fromC,
    targetC: Math.max(toC, ICE_BATH.c + 1),
    ambientC: ICE_BATH.c,
    medium: "bath",
  });
  return cooled.ok ? (cooled.value.minutes ?? 0) : 0;
}
/**
 * Minutes that spread food takes from 57 to 21 °C, in the room and then in the fridge, and whether that is within the usual guidance of
 * 2 h. Local rules come first.
 */
export function firstStage(roomC: number, depthMm: number): { readonly minutes: number; readonly isWithin: boolean } {
  const { roomMin, fridgeMin } = trayCoolingMin(GUIDANCE.from, GUIDANCE.first.toC, roomC, depthMm);
  return { minutes: roomMin + fridgeMin, isWithin: roomMin + fridgeMin <= GUIDANCE.first.min };
}

/** Usual guidance: from 57 °C to 21 °C, and to 5 °C, and into the fridge, min. Local rules come first. */
const GUIDANCE = { from: 57, first: { toC: 21, min: 120 }, second: { toC: 5, min: 360 }, fridgeMin: 90, reheatMin: 240 } as const;

export interface CoolPoint {
  readonly min: number;
  readonly tempC: number;
}

/** When a curve first is at a temperature or below, between its points; undefined where it never is. */
function reached(points: readonly CoolPoint[], tempC: number): number | undefined {
  if (points[0].tempC <= tempC) return points[0].min;
  const at = points.findIndex((point) => point.tempC <= tempC);
  if (at < 0) return undefined;
  const [a, b] = [points[at - 1], points[at]];
  return a.min + ((b.min - a.min) * (a.tempC - tempC)) / (a.tempC - b.tempC);
}

/** Times of a curve that do not go up: where. */
export const notAscending = (points: readonly CoolPoint[]): number | undefined => {
  const at = points.findIndex((point, i) => i > 0 && !(point.min > points[i - 1].min));
  return at < 0 ? undefined : at;
};
export const ascendingFault = (points: readonly CoolPoint[], at: number) =>
  fail({ code: "inconsistent", path: ["points", at, "min"], got: points[at].min, wanted: "later than the one before" });

type Stage = "ok" | "late" | "pending";

/**
 * A cooling curve against the usual two stages. Guidance, never a promise: local rules come first.
 * Issues: `inconsistent` points[i].min (times that do not go up).
 */
export function coolCheck({
  points,
  fridgeAtMin,
}: {
  readonly points: readonly CoolPoint[];
  readonly fridgeAtMin?: number | undefined;
}): Result<{
  readonly to21Min: number | null;
  readonly to5Min: number | null;
  readonly stage1: Stage;
  readonly stage2: Stage;
  readonly uk90: Stage;
  readonly verdict: "ok" | "pending" | "reheat" | "discard";
}> {
  const wrong = notAscending(points);
  if (wrong !== undefined) return ascendingFault(points, wrong);
  const from = reached(points, GUIDANCE.from);
  const end = points[points.length - 1].min;
  const stage = ({ toC, min }: { readonly toC: number; readonly min: number }): { took: number | null; is: Stage } => {
    if (from === undefined) return { took: null, is: "pending" };
    const to = reached(points, toC);
    if (to !== undefined) return { took: to - from, is: to - from <= min + EPSILON ? "ok" : "late" };
    return { took: null, is: end - from > min + EPSILON ? "late" : "pending" };
  };
  const [first, second] = [stage(GUIDANCE.first), stage(GUIDANCE.second)];
  const since = (fridgeAtMin ?? end) - points[0].min;
  const isLate = since > GUIDANCE.fridgeMin + EPSILON;
  const uk90 = isLate ? "late" : fridgeAtMin === undefined ? "pending" : "ok";
  const verdict =
    second.is === "late"
      ? "discard"
      : first.is === "late"
        ? first.took === null && end - from! <= GUIDANCE.reheatMin + EPSILON
          ? "reheat"
          : "discard"
        : first.is === "ok" && second.is === "ok"
          ? "ok"
          : "pending";
  return ok({ to21Min: first.took, to5Min: second.took, stage1: first.is, stage2: second.is, uk90, verdict });
}
