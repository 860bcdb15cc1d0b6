import { ok, type Result } from "../shared/issue";
import { EPSILON, sum } from "../shared/rounding";
import { FRIDGE_HOURS } from "../tables/keeping";
import { ascendingFault, notAscending, type CoolPoint } from "./cool";

/** Core temperatures by guide, °C. Usual guidance; local rules come first. */
const CORE_C = {
  us: { poultry: 74, mincedMeat: 71, meat: 63, fish: 63, egg: 71, leftovers: 74, vegetable: 60, reheat: 74 },
  uk: { poultry: 75, mincedMeat: 75, meat: 75, fish: 75, egg: 75, leftovers: 75, vegetable: 63, reheat: 75 },
} as const;
export const GUIDES = ["us", "uk"] as const satisfies readonly (keyof typeof CORE_C)[];
export type Guide = (typeof GUIDES)[number];
export type CoreContent = Exclude<keyof (typeof CORE_C)["us"], "reheat">;

/** The core that these contents ask for, and which of them decides, the first on a tie. */
export function coreFor({
  contents,
  reheat,
  guide,
}: {
  readonly contents: readonly CoreContent[];
  readonly reheat: boolean;
  readonly guide: Guide;
}): { readonly coreC: number; readonly because: CoreContent | "reheat" } {
  const table = CORE_C[guide];
  const because = contents.reduce((most, content) => (table[content] > table[most] ? content : most));
  return reheat && table.reheat >= table[because]
    ? { coreC: table.reheat, because: "reheat" }
    : { coreC: table[because], because };
}

/** Equivalent minutes that are asked for at 70 °C. */
const MINUTES_AT_70 = 2;

/**
 * Minutes at 70 °C that a core log comes to, by Bigelow's z-model, over what is at `fromC` and above; linear between the points.
 * Issues: `inconsistent` points[i].min (times that do not go up).
 */
export function lethality({
  points,
  fromC,
  z,
}: {
  readonly points: readonly CoolPoint[];
  readonly fromC: number;
  readonly z: number;
}): Result<{ readonly minutesAt70: number; readonly ok: boolean }> {
  const wrong = notAscending(points);
  if (wrong !== undefined) return ascendingFault(points, wrong);
  const b = Math.log(10) / z;
  const rate = (tempC: number) => Math.exp(b * (tempC - 70));
  const over = (a: CoolPoint, c: CoolPoint): number => {
    if (a.tempC < fromC && c.tempC < fromC) return 0;
    const crossing = (): CoolPoint => ({
      min: a.min + ((c.min - a.min) * (fromC - a.tempC)) / (c.tempC - a.tempC),
      tempC: fromC,
    });
    const from = a.tempC < fromC ? crossing() : a;
    const to = c.tempC < fromC ? crossing() : c;
    const minutes = to.min - from.min;
    const rise = to.tempC - from.tempC;
    return Math.abs(rise) < 1e-12 ? rate(from.tempC) * minutes : ((rate(to.tempC) - rate(from.tempC)) / (b * rise)) * minutes;
  };
  const minutesAt70 = sum(points.slice(1).map((point, i) => over(points[i], point)));
  return ok({ minutesAt70, ok: minutesAt70 >= MINUTES_AT_70 - EPSILON });
}

/** The zone in which food spoils, °C, and how long it may be there, min. Usual guidance. */
const ZONE = { us: [5, 60], uk: [8, 63] } as const;
/** What is held hot stays at least as hot as this, °C. Usual guidance; local rules come first. */
export const heldHotC = (guide: Guide): number => ZONE[guide][1];
const HELD_MIN = { us: 120, usHot: 60, ukHot: 120, ukCold: 240 } as const;
const HOT_DAY_C = 32;

export interface HoldPeriod {
  readonly minutes: number;
  readonly foodC: number;
  readonly ambientC: number;
}

/** Time out of the cold and out of the heat, all stretches together, against the usual limit, min. */
export function holdTime({
  periods,
  guide,
  service,
}: {
  readonly periods: readonly HoldPeriod[];
  readonly guide: Guide;
  readonly service: "hot" | "cold";
}) {
  const [low, high] = ZONE[guide];
  const counted = periods.filter(({ foodC, minutes }) => foodC > low && foodC < high && minutes > 0);
  const usedMin = sum(counted.map(({ minutes }) => minutes));
  const isHot = counted.some(({ ambientC }) => ambientC > HOT_DAY_C);
  const limitMin =
    guide === "us" ? (isHot ? HELD_MIN.usHot : HELD_MIN.us) : service === "cold" ? HELD_MIN.ukCold : HELD_MIN.ukHot;
  return { usedMin, limitMin, leftMin: Math.max(0, limitMin - usedMin), ok: usedMin <= limitMin };
}

/** A fridge that is warmer than it should be: half the time, then four hours. */
const WARM_FRIDGE = { halfAboveC: 5, hoursAboveC: 8, hours: 4 } as const;

/** How long something keeps in the fridge, h, and what is left of it. Usual guidance; local rules come first. */
export function fridgeTime({
  family,
  hours,
  fridgeC,
}: {
  readonly family: string;
  readonly hours: number;
  readonly fridgeC: number;
}) {
  const usual = FRIDGE_HOURS[family] ?? 0;
  const limitHours =
    fridgeC <= WARM_FRIDGE.halfAboveC ? usual : fridgeC <= WARM_FRIDGE.hoursAboveC ? usual / 2 : WARM_FRIDGE.hours;
  return { limitHours, leftHours: Math.max(0, limitHours - hours), ok: hours <= limitHours };
}
