import { down, EPSILON, near } from "../shared/rounding";
import { measureOf, spoonsOf, type System } from "./unit-table";
import { fahrenheitOf } from "./temperature";

/** Step to which a mass is shown: finer the smaller it is, g. */
const STEPS: readonly (readonly [below: number, step: number])[] = [
  [10, 0.1],
  [50, 0.5],
  [250, 1],
  [1000, 5],
  [5000, 10],
];

/** At most so many decimals, without zeros at the end. */
const short = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));

/** Grams as a cook weighs them on a scale of this resolution; `belowScale` where a spoon says it better. */
export function displayMass({ grams, resolutionG }: { grams: number; resolutionG: number }) {
  const stepG = Math.max(STEPS.find(([below]) => grams < below)?.[1] ?? 50, resolutionG);
  const rounded = near(grams / stepG) * stepG;
  const value = Number((rounded === 0 && grams > 0 ? stepG : rounded).toFixed(6));
  const text = value >= 1000 ? `${short(value / 1000, 3)} kg` : `${short(value, 2)} g`;
  return { value, stepG, text, belowScale: grams > 0 && grams < 2 * resolutionG };
}

const SIGNS: readonly (readonly [share: number, sign: string])[] = [
  [1 / 8, "⅛"],
  [1 / 4, "¼"],
  [1 / 3, "⅓"],
  [1 / 2, "½"],
  [2 / 3, "⅔"],
  [3 / 4, "¾"],
];

/** A whole number and a fraction sign: 1.5 is "1½", 0.25 is "¼". */
export function fractionText(value: number): string {
  const whole = Math.floor(value + EPSILON);
  const sign = SIGNS.find(([share]) => Math.abs(value - whole - share) < 1e-6)?.[1] ?? "";
  return whole === 0 ? sign || "0" : `${whole}${sign}`;
}

/** The nearest of whole + share, and of the next whole; of two the smaller. */
function nearest(x: number, shares: readonly number[]): number {
  const whole = Math.floor(x);
  return [...shares.map((share) => whole + share), whole + 1].reduce((best, value) =>
    Math.abs(value - x) < Math.abs(best - x) - 1e-12 ? value : best,
  );
}

const CUP_SHARES = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4];
/** So much off, and a single measure will do. */
const CLOSE = 0.03;

/** Millilitres as cups and spoons, with how far that is off. */
export function displayVolume({ ml, system }: { ml: number; system: System }): {
  text: string;
  shownMl: number;
  errorPct: number;
} {
  const answer = (text: string, shownMl: number) => ({ text, shownMl, errorPct: ml === 0 ? 0 : (100 * (shownMl - ml)) / ml });
  const { cup, tbsp, tsp } = spoonsOf(system);
  if (ml === 0) return answer("0", 0);
  if (ml < (3 / 32) * tsp) return answer("a pinch", tsp / 16);
  const isClose = (shown: number) => Math.abs(shown - ml) <= CLOSE * ml + EPSILON;
  if (ml >= cup / 4 - EPSILON) {
    const n = nearest(ml / cup, CUP_SHARES);
    if (isClose(n * cup)) return answer(`${fractionText(n)} cup`, n * cup);
    const whole = Math.floor(ml / cup + EPSILON);
    const base = whole + Math.max(...CUP_SHARES.filter((share) => whole + share <= ml / cup + EPSILON));
    const spoons = near((ml - base * cup) / tbsp);
    return answer(`${fractionText(base)} cup${spoons > 0 ? ` + ${spoons} tbsp` : ""}`, base * cup + spoons * tbsp);
  }
  if (ml >= tbsp - EPSILON) {
    const n = nearest(ml / tbsp, [0, 1 / 2]);
    if (isClose(n * tbsp)) return answer(`${fractionText(n)} tbsp`, n * tbsp);
    const base = down(ml / tbsp);
    const spoons = near((2 * (ml - base * tbsp)) / tsp) / 2;
    if (spoons * tsp >= tbsp - EPSILON) return answer(`${base + 1} tbsp`, (base + 1) * tbsp);
    if (spoons === 0) return answer(`${base} tbsp`, base * tbsp);
    return answer(`${base} tbsp + ${fractionText(spoons)} tsp`, base * tbsp + spoons * tsp);
  }
  const n = nearest(ml / tsp, ml < tsp ? [1 / 8, 1 / 4, 1 / 2, 3 / 4] : [0, 1 / 4, 1 / 2, 3 / 4]);
  return answer(`${fractionText(n)} tsp`, n * tsp);
}

/** Grams in pounds and ounces; `belowScale` under half an ounce, where a spoon says it better. */
export function displayOunces({ grams }: { grams: number }): { text: string; shownG: number; belowScale: boolean } {
  const ounce = measureOf("oz", "us")!.factor;
  const oz = grams / ounce;
  if (oz === 0) return { text: "0 oz", shownG: 0, belowScale: false };
  const step = oz < 4 ? 0.25 : oz < 16 ? 0.5 : 1;
  const n = Math.max(step, near(oz / step) * step);
  const lb = Math.floor(n / 16);
  const rest = n - 16 * lb;
  const text = lb === 0 ? `${fractionText(rest)} oz` : rest === 0 ? `${lb} lb` : `${lb} lb ${fractionText(rest)} oz`;
  return { text, shownG: n * ounce, belowScale: oz < 0.5 };
}

/** Grams as short as they are useful: "860 g", "2.16 kg"; or in pounds and ounces, "1 lb 14.3 oz". */
export function weightText(grams: number, weights: "g" | "oz" = "g"): string {
  if (weights === "g") return grams >= 1000 ? `${(grams / 1000).toFixed(2)} kg` : `${Math.round(grams)} g`;
  const ounces = Math.round((grams * 10) / OUNCE_G) / 10;
  const pounds = Math.floor(ounces / 16);
  return pounds > 0 ? `${pounds} lb ${short(ounces - 16 * pounds, 1)} oz` : `${short(ounces, 1)} oz`;
}
const OUNCE_G = measureOf("oz", "us")!.factor;

/** Millilitres or grams, as short as they are useful: "660 ml", "4.25 l", "1.20 kg". */
export const amountText = (amount: number, unit: "ml" | "g"): string =>
  unit === "g" ? weightText(amount) : amount >= 1000 ? `${short(amount / 1000, 2)} l` : `${Math.round(amount)} ml`;

/** The same to a tenth of a gram where so little is weighed, below 100 g: "15.9 g". */
export const fineWeightText = (grams: number, weights: "g" | "oz" = "g"): string =>
  weights === "g" && grams < 100 ? `${short(grams, 1)} g` : weightText(grams, weights);

/** A temperature in a scale, from 100 °C on to the nearest 5 °F as dials have it. */
export function degreesText(celsius: number, scale: "C" | "F"): string {
  if (scale === "C") return `${celsius} °C`;
  const f = fahrenheitOf(celsius);
  return `${celsius >= 100 ? 5 * near(f / 5) : near(f)} °F`;
}

/** A text that a cook wrote, with every temperature in °C shown in a scale. */
export function heatText(text: string, scale: "C" | "F"): string {
  if (scale === "C") return text;
  const shown = (celsius: string) => degreesText(Number(celsius), scale);
  return text
    .replace(RANGE, (_, from: string, to: string, end: string) => `${shown(from).replace(/ °F$/, "")}${to}${shown(end)}`)
    .replace(/(-?\d+(?:\.\d+)?) °C/g, (_, c: string) => shown(c));
}
/** "57 to 21 °C": both are temperatures. */
const RANGE = /(-?\d+(?:\.\d+)?)( to | or |–)(-?\d+(?:\.\d+)?) °C/g;
