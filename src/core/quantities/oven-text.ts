import { fail, ok, type Result } from "../shared/issue";
import { celsiusOf, convertTemperature } from "./temperature";
import { ovenDial } from "./oven-dial";

/** One heat of an oven as it was written, in °C: without a fan, and as a fan oven is set. */
export interface OvenHeat {
  readonly staticC: number;
  readonly fanC: number;
  /** Upper end where a range was written. */
  readonly toFanC?: number;
  readonly gas?: number;
}

/** What a recipe says of its oven. */
export interface OvenRead extends OvenHeat {
  /** As it was understood: "375 to 400 °F, then 350 °F". */
  readonly read: string;
  /** What follows the first heat: "400 °F, then 350 °F". */
  readonly then: readonly OvenHeat[];
}

/** How much cooler a fan oven is set than one without, °C, unless this cook's differs. */
const FAN_LESS_C = 20;

const THEN = /\s*(?:,?\s*\bthen\b|;|→|,?\s*\b(?:reduce|lower|drop|turn down|increase)\b[^\d]*(?:to)?)\s*/i;

/**
 * Oven temperatures as written in a recipe ("375 °F", "gas 5", "190", "375-400 °F", "400 F, then 350 F") as °C of a fan
 * oven. Without a unit, 300 and more is °F and 100 to 199 is °C; between them nobody can tell, and it asks.
 * @param fanLessC how much cooler this cook's fan oven is set, °C
 * Issues on `temperature`: `missing`, `unreadable` (also where the unit is missing and not plain), `out_of_range`.
 */
export function readOvenTemperature(text: string, fanLessC = FAN_LESS_C): Result<OvenRead> {
  if (text.trim() === "")
    return fail({ code: "missing", path: ["temperature"], wanted: "an oven temperature, such as 375 °F, 190 °C or gas 5" });
  const parts = text.split(THEN).filter((part) => /\d/.test(part));
  if (parts.length === 0) return refuse(text, "unreadable", "a number with °C or °F, or a gas mark");
  // A unit that stands once holds for what has none.
  const unit = /\d\s*(?:°|º|degrees?)?\s*([cf])\b/i.exec(text)?.[1].toUpperCase() as "C" | "F" | undefined;
  const heats: (OvenHeat & { read: string })[] = [];
  for (const part of parts) {
    const heat = readHeat(part, text, unit, fanLessC);
    if (!heat.ok) return heat;
    heats.push(heat.value);
  }
  const [first, ...then] = heats;
  return ok({ ...first, read: heats.map((heat) => heat.read).join(", then "), then });
}

const refuse = (got: string, code: "unreadable" | "out_of_range", wanted: string) =>
  fail({ code, path: ["temperature"], got, wanted });

function readHeat(
  text: string,
  whole: string,
  anywhere: "C" | "F" | undefined,
  fanLessC: number,
): Result<OvenHeat & { read: string }> {
  const gas = /\bgas(?: mark)?\s*(\d+(?:[.,/]\d+)?|[¼½])/i.exec(text);
  const number =
    /(\d+(?:[.,]\d+)?)(?:\s*(?:°|º)?\s*[cf]?\s*(?:-|–|to|or)\s*(\d+(?:[.,]\d+)?))?\s*(?:°|º|degrees?)?\s*([cf])?\b/i.exec(text);
  const fan = /\bfan\b|\bconvection\b/i.test(text);
  if (gas && !/\d\s*(?:°|º)\s*[cf]/i.test(text)) {
    const mark = gas[1].includes("/")
      ? Number(gas[1].split("/")[0]) / Number(gas[1].split("/")[1])
      : ({ "¼": 0.25, "½": 0.5 }[gas[1]] ?? Number(gas[1].replace(",", ".")));
    const c = convertTemperature({ value: mark, from: "gas", to: "C" });
    if (!c.ok) return refuse(whole, "out_of_range", "a gas mark from ¼ to 9");
    return ok({ ...heatOf(c.value.value, false, fanLessC), read: `gas mark ${gas[1]}` });
  }
  if (!number) return refuse(whole, "unreadable", "a number with °C or °F, or a gas mark");
  const values = [number[1], number[2]].filter(Boolean).map((value) => Number(value.replace(",", ".")));
  const [value, upper] = values;
  const unit = (number[3]?.toUpperCase() as "C" | "F" | undefined) ?? anywhere ?? unitBySize(value);
  if (!unit) return refuse(whole, "unreadable", "°C or °F behind it: it could be either");
  const celsius = values.map((v) => (unit === "F" ? celsiusOf(v) : v));
  if (celsius.some((c) => c < 50 || c > 300)) return refuse(whole, "out_of_range", "an oven temperature from 50 to 300 °C");
  if (upper !== undefined && upper <= value) return refuse(whole, "unreadable", "a range that goes up");
  const heat = heatOf(celsius[0], fan, fanLessC);
  return ok({
    ...heat,
    ...(upper !== undefined && { toFanC: heatOf(celsius[1], fan, fanLessC).fanC }),
    read: `${value}${upper === undefined ? "" : ` to ${upper}`} °${unit}${fan ? ", fan" : ""}`,
  });
}

/** Ovens are hotter than 300 only in °F, and of 100 to 199 only in °C. */
export const unitBySize = (value: number): "C" | "F" | undefined =>
  value >= 300 ? "F" : value >= 100 && value < 200 ? "C" : undefined;

/** One heat with and without a fan, and as a gas mark where an oven has one. */
export function heatOf(celsius: number, isFan: boolean, fanLessC = FAN_LESS_C): OvenHeat {
  const own = fanLessC - FAN_LESS_C;
  const staticC = isFan ? ovenDial({ celsius: celsius + own, from: "fan", to: "conventional" }).celsius : celsius;
  const fanC = isFan
    ? ovenDial({ celsius, from: "fan", to: "fan" }).dialC
    : ovenDial({ celsius: ovenDial({ celsius, from: "conventional", to: "fan" }).celsius - own, from: "fan", to: "fan" }).dialC;
  const gas = convertTemperature({ value: staticC, from: "C", to: "gas" });
  return { staticC: Math.round(staticC), fanC, ...(gas.ok && { gas: gas.value.value }) };
}
