import type { SchoolEffect } from "@/core/item/making/school-offers";
import type { Step } from "@/core/item/step";
import { stepWith } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";
import { capitalised, listed, uncapitalised } from "@/core/shared/words";

const PART: Readonly<Record<Step["part"], string>> = { dough: "the dough", filling: "the filling", piece: "the pieces" };
const named = (steps: readonly Step[]): string =>
  listed([...new Set(steps.map((step) => uncapitalised(stepWith(step, PART[step.part]))))]);

/** Lines that are told one by one; of more the others are counted. */
const MOST_LINES = 3;

/** "30 g more of milk, 51 g less of whole egg". */
function gramsText(grams: SchoolEffect["grams"], weight: (grams: number) => string): string {
  const told = [...grams].sort((a, b) => Math.abs(b.grams) - Math.abs(a.grams)).slice(0, MOST_LINES);
  const more = grams.length - told.length;
  const lines = told.map(
    (one) => `${weight(Math.abs(one.grams))} ${one.grams > 0 ? "more" : "less"} of ${one.name.split(",")[0]}`,
  );
  return [...lines, ...(more > 0 ? [`and ${more} more`] : [])].join(", ");
}

/** What another way of doing it does, in words: "20 min more of hands, 1 h 02 sooner; without: let rise the dough". */
export function effectText(
  { handsMin, leadMin, grams, added, removed, changed }: SchoolEffect,
  weight: (grams: number) => string,
): string {
  const minutes = [
    handsMin !== 0 && `${lengthText(Math.abs(handsMin))} ${handsMin > 0 ? "more" : "less"} of hands`,
    leadMin !== 0 && `${lengthText(Math.abs(leadMin))} ${leadMin > 0 ? "longer" : "sooner"} from first to last`,
  ].filter(Boolean);
  const steps = [
    grams.length > 0 && gramsText(grams, weight),
    added.length > 0 && `also: ${named(added)}`,
    removed.length > 0 && `without: ${named(removed)}`,
    added.length + removed.length === 0 && changed.length > 0 && `otherwise: ${named(changed)}`,
  ].filter(Boolean);
  return capitalised([minutes.join(", ") || "as long as now", ...steps].join("; "));
}
