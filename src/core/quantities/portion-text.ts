import { displayVolume } from "./display";
import { cutLog, disc } from "./geometry";
import { divisionSteps } from "./portions";

/** Logs are rolled about this thick to be cut, mm. */
const LOG_MM = 45;
const DOUGH_DENSITY = 1.1;
const FILLING_DENSITY = 1.05;

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

/** How the filling of one piece is portioned by spoon, from its weight in g. */
export const fillingPortion = (fillingG: number): string =>
  `${fillingG} g a piece, about ${displayVolume({ ml: fillingG / FILLING_DENSITY, system: "metric" }).text} level`;
