import type { Problem } from "./problem";
import { namesIn, scheduleReasonText } from "./reason-text";
import type { Solution } from "./solution";
import type { Refusal } from "./solver";

/** A refusal as a solution: no tasks, and in `why` a sentence for each reason, with the problem's own labels. */
export function refused(problem: Problem, { reasons, proof }: Refusal): Solution & Pick<Refusal, "proof"> {
  const names = namesIn(problem);
  const why = reasons.map((reason) => scheduleReasonText(reason, names));
  return { format: "unisynth-solution/1", status: "infeasible", cost: 0, bound: 0, tasks: [], why, ...(proof && { proof }) };
}
