import type { SchoolEffect } from "@/core/item/making/school-offers";
import type { Step } from "@/core/item/step";
import { VERB } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";
import { capitalised, listed, uncapitalised } from "@/core/shared/words";

const PART: Readonly<Record<Step["part"], string>> = { dough: "the dough", filling: "the filling", piece: "the pieces" };
const named = (steps: readonly Step[]): string =>
  listed([...new Set(steps.map(({ kind, part }) => `${uncapitalised(VERB[kind])} ${PART[part]}`))]);

/** What another way of doing it does, in words: "20 min more of hands, 1 h 02 sooner; without: let rise the dough". */
export function effectText({ handsMin, leadMin, added, removed, changed }: SchoolEffect): string {
  const minutes = [
    handsMin !== 0 && `${lengthText(Math.abs(handsMin))} ${handsMin > 0 ? "more" : "less"} of hands`,
    leadMin !== 0 && `${lengthText(Math.abs(leadMin))} ${leadMin > 0 ? "longer" : "sooner"} from first to last`,
  ].filter(Boolean);
  const steps = [
    added.length > 0 && `also: ${named(added)}`,
    removed.length > 0 && `without: ${named(removed)}`,
    added.length + removed.length === 0 && changed.length > 0 && `otherwise: ${named(changed)}`,
  ].filter(Boolean);
  return capitalised([minutes.join(", ") || "as long as now", ...steps].join("; "));
}
