import { wholeEggs, convertYeast } from "../ingredients/eggs";
import { displayVolume } from "./display";
import { cutLog, disc } from "./geometry";
import { matchIngredient } from "../ingredients/names";
import { divisionSteps } from "./portions";

/** Logs are rolled about this thick to be cut, mm. */
const LOG_MM = 45;
const DOUGH_DENSITY = 1.1;
const FILLING_DENSITY = 1.05;
/** Dry yeast is sold in sachets of this weight, g. */
const SACHET_G = 7;

const PART: Readonly<Record<number, string>> = { 2: "halves", 3: "thirds", 5: "fifths", 7: "sevenths" };

/** How a dough becomes n equal pieces: by weight, as a log, by eye; and how wide a disc of it is. */
export function doughPortions(
  pieces: number,
  pieceG: number,
  how: { divided: boolean; sheetMm?: number; cutMm?: number; byEye?: boolean; merge?: boolean },
): string[] {
  const lines = [`${pieces} pieces of ${pieceG} g`];
  if (how.divided) {
    const log = cutLog({ doughG: pieces * pieceG, logDiameterMm: LOG_MM, pieceG, density: DOUGH_DENSITY });
    lines.push(`a log ${LOG_MM} mm thick: ${Math.round(log.lengthMm)} mm long, a cut each ${Math.round(log.cutMm)} mm`);
    const steps = divisionSteps(pieces);
    if (pieces > 1 && steps.every((step) => step <= 5))
      lines.push(`${how.byEye ? "by eye" : "without a scale"}: ${steps.map((step) => PART[step]).join(", then ")}`);
    if (how.byEye) {
      const sectors = Math.min(8, Math.max(2, Math.round(pieces / 4)));
      lines.push(
        `filling: mark ${sectors} sectors in the bowl, ${Math.ceil(pieces / sectors)} pieces from each; small pieces in first and out first`,
      );
    }
  }
  if (how.cutMm !== undefined && how.sheetMm)
    lines.push(
      `rolled to ${how.sheetMm} mm, rounds of ${how.cutMm} mm; ${how.merge ? "offcuts pressed into one last big piece" : "offcuts stacked, chilled 20 min and rolled again"}`,
    );
  else if (how.sheetMm) {
    const round = disc({ massG: pieceG, thicknessMm: how.sheetMm, density: DOUGH_DENSITY });
    if (round.ok) lines.push(`a disc ${how.sheetMm} mm thick is ${Math.round(round.value.diameterMm)} mm across`);
  }
  return lines;
}

export const fillingPortion = (fillingG: number): string =>
  `${fillingG} g a piece, about ${displayVolume({ ml: fillingG / FILLING_DENSITY, system: "metric" }).text} level`;

/** What a weight is in whole eggs, with what is short or left and its use, or in sachets of yeast; undefined for anything else. */
export function wholeUnits(name: string, grams: number): string | undefined {
  const id = matchIngredient(name);
  if (id === "egg" && grams >= 15) {
    const whole = wholeEggs({ neededG: grams, washG: 0, region: "eu", size: "M", shortPct: 5 });
    if (!whole.ok) return undefined;
    const { eggs, shortG, leftG } = whole.value;
    const rest =
      shortG >= 1
        ? `, ${Math.round(shortG)} g short: water or milk`
        : leftG >= 1
          ? `, ${Math.round(leftG)} g over: keep it for a wash`
          : "";
    return `${eggs} ${eggs === 1 ? "egg" : "eggs"} (M), beaten${rest}`;
  }
  if (id === "yeast-instant") {
    const sachets = Math.round((2 * grams) / SACHET_G) / 2;
    const fresh = convertYeast({ grams, from: "instant", to: "fresh" }).grams;
    return `${Math.abs(sachets * SACHET_G - grams) <= 0.1 * grams && sachets > 0 ? `${sachets} sachet${sachets > 1 ? "s" : ""} of ${SACHET_G} g, ` : ""}or ${Math.round(fresh)} g fresh`;
  }
  return undefined;
}
