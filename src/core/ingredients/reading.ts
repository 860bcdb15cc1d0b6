import { allergensOf, type Allergen } from "./allergen";
import { lineClaims } from "./claims";
import type { Catalogue } from "./own";
import { guesses } from "./guess";
import { TRUTH, type Hazard } from "./kinds";
import { isRecognised, readLine, type Reading } from "./read-line";
import { GAP_TEXT } from "./read-line-text";
import type { System } from "../quantities/unit-table";

/** A line as the `read` command tells it. g; diets are true, false, or null where that is not known. */
export interface ReadingDocument {
  readonly text: string;
  readonly ingredient: string | null;
  readonly grams: number | null;
  readonly gramsMin: number | null;
  readonly gramsMax: number | null;
  readonly amount: string | null;
  readonly allergens: readonly Allergen[];
  readonly mayContain: readonly Allergen[];
  readonly diets: Readonly<Record<"vegetarian" | "vegan" | "halal" | "kosher", boolean | null>>;
  readonly hazard: Hazard | null;
  readonly gap: string | null;
  readonly guesses: readonly string[];
}

const tenth = (grams: number | null): number | null => (grams === null ? null : Math.round(grams * 10) / 10);

/** The most guesses for a line of which it is not known what it is. */
const GUESSES = 3;

/** What a line is missing in a phrase; null where nothing is. A heading names no ingredient. */
export const gapOf = (reading: Reading): string | null =>
  reading.heading ? "nothing to weigh: a heading" : reading.gap === null ? null : `missing: ${GAP_TEXT[reading.gap]}`;

/** Ids of the nearest ingredients: what a part of the words names comes first. */
function nearest({ found, name }: Reading, catalogue: Catalogue): string[] {
  const near = guesses(name, catalogue.ingredients, GUESSES).map(({ id }) => id);
  return found ? [...new Set([found.main.id, ...near])].slice(0, GUESSES) : near;
}

/** Recipe lines as `unisynth-reading/1`; blank ones are passed over. */
export function readingDocument(
  text: string,
  system: System,
  catalogue: Catalogue,
): { format: "unisynth-reading/1"; measures: System; lines: ReadingDocument[] } {
  const lines = text
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== "")
    .map((line): ReadingDocument => {
      const reading = readLine(line, system, catalogue.index);
      const sure = isRecognised(reading);
      const claims = lineClaims(reading.found, reading.name);
      const { vegetarian, vegan, halal, kosher } = claims.diets;
      return {
        text: line,
        ingredient: sure ? reading.found!.main.id : null,
        grams: tenth(reading.grams),
        gramsMin: tenth(reading.minG),
        gramsMax: tenth(reading.maxG),
        amount: reading.amount,
        allergens: allergensOf(claims.contains),
        mayContain: allergensOf(claims.may),
        diets: { vegetarian: TRUTH[vegetarian], vegan: TRUTH[vegan], halal: TRUTH[halal], kosher: TRUTH[kosher] },
        hazard: claims.hazard,
        gap: gapOf(reading),
        guesses: sure || reading.heading ? [] : nearest(reading, catalogue),
      };
    });
  return { format: "unisynth-reading/1", measures: system, lines };
}
