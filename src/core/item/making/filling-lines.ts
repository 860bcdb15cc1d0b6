import { worstHazard, type Hazard } from "../../ingredients/kinds";
import type { Reading } from "../../ingredients/read-line";
import { sum } from "../../shared/rounding";
import type { Component } from "../schema";
import type { Filling } from "./fillings";

/** Lost of a filling on its way into the pieces, %. */
export const HANDLING_PCT = 2;

/** The lines of a filling, and what all that is cooked of it loses together, %: by what its lines lose, where that is known. */
export function weighed(components: readonly Component[], kind: Filling): { lines: Component[]; lossPct: number } {
  const isCooked = kind.cookMin !== undefined;
  const lines = components.map(({ lossPct: _own, ...line }) => ({ ...line, cook: isCooked }));
  if (!isCooked) return { lines, lossPct: 0 };
  const grams = sum(components.map((c) => c.grams));
  const known = components.some((c) => c.lossPct !== undefined);
  const lost = sum(components.map((c) => (c.grams * (c.lossPct ?? kind.lossPct)) / 100));
  const lossPct = known && grams > 0 ? (100 * lost) / grams : kind.lossPct;
  return { lines, lossPct: Math.round(10 * Math.min(95, Math.max(0, lossPct))) / 10 };
}

/** What decides the core: raw things by themselves, cooked and cooled ones as leftovers; plants by the cue. */
export function hazardFor(lines: readonly Reading[], kind: Filling, hazardOf: (line: Reading) => Hazard | null): Hazard | null {
  const worst = worstHazard(lines.map(hazardOf));
  // Cooked and cooled cream, milk and rice are left over as meat is.
  const spoils = lines.some(({ found }) => found?.main.kinds.some((one) => one === "dairy" || one === "cooked-starch"));
  if (kind.cookMin && spoils) return "leftovers";
  if (worst === null || worst === "vegetable") return worst;
  if (kind.tasteNot) return worst === "meat" ? "mincedMeat" : worst;
  return "leftovers";
}
