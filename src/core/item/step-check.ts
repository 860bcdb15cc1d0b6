import { HEAT_KINDS, type Step } from "./step";
import { workMinutes } from "./step-minutes";
import type { Issue } from "../shared/issue";

const isHeated = (step: Step): boolean => (HEAT_KINDS as readonly string[]).includes(step.kind);

/** Minutes that a step lasts at least with so many pieces: what is timed, or the least of a rest. */
const lasts = (step: Step, pieces: number): number => (step.rest ? step.rest.max : Math.ceil(workMinutes(step, pieces) - 1e-9));

/**
 * What a step says of itself that cannot be: heat for no time, hands before it begins or after it has ended.
 * @param pieces of the base batch: a step that takes longer with more of them is as long as for all
 * Issues: `out_of_range`, at a path below the step's.
 */
export function stepIssues(
  step: Step,
  pieces: number,
): { readonly path: (string | number)[]; readonly issue: Omit<Issue, "path"> }[] {
  const length = lasts(step, pieces);
  if (isHeated(step) && !step.rest && length < 1)
    return [{ path: ["time"], issue: { code: "out_of_range", got: "0 min", wanted: "a time above 0 for a step with heat" } }];
  return (step.tend ?? []).flatMap((tend, t) => {
    const from = tend.fromMin >= 0 ? tend.fromMin : -tend.fromMin - tend.minutes;
    const fits = from >= 0 && from + tend.minutes <= length;
    return fits || tend.minutes === 0
      ? []
      : [
          {
            path: ["tend", t],
            issue: {
              code: "out_of_range" as const,
              got: `${tend.minutes} min from ${tend.fromMin}`,
              wanted: `minutes inside the step, which lasts ${length}`,
            },
          },
        ];
  });
}
