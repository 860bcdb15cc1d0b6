import { workTime } from "../process/chill";
import { ingredientOf } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { doughComponents, doughTotals } from "./desk";
import type { Item } from "./schema";
import type { Step } from "./step";

/** As it comes out of the fridge, °C; a sheet on a table loses cold from above only. */
const FRIDGE_C = 5;
const SHEET = { h: 10, faces: 1 } as const;
/** Butter smears above this, lard a little later, °C. */
const LIMIT_C = { butter: 18, lard: 20 } as const;
/** Less fat on the flour than this is no matter of cold, %. */
const RICH_PCT = 45;
/** Of a recipe that says none, mm. */
const USUAL_MM = 3;

/**
 * How long a sheet of short dough may lie out before its fat smears, min; `null`: in this room it never gets there. Undefined for a
 * step that rolls none.
 */
export function coldFor(item: Item, step: Step, roomC: number, catalogue: Catalogue = OURS): number | null | undefined {
  if (step.kind !== "roll" || step.part !== "piece") return undefined;
  const lines = doughComponents(item);
  if (doughTotals(lines, catalogue).fatPct < RICH_PCT) return undefined;
  const kinds = lines.flatMap((line) => ingredientOf(line, catalogue)?.kinds ?? []);
  const limitC = kinds.includes("butter") ? LIMIT_C.butter : LIMIT_C.lard;
  return workTime({ thicknessMm: item.piece.thicknessMm ?? USUAL_MM, startC: FRIDGE_C, roomC, limitC, ...SHEET }).minutes;
}
