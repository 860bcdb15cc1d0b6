import { STEP_FIELDS, type Step } from "../step";
import type { StepPatch } from "../step-patch";

/** Steps of an item with several fillings: all that any of them needs, and what is otherwise for each. */
export interface Together {
  readonly steps: readonly Step[];
  /** For each filling, in their order: what of the steps is not its own. */
  readonly changes: readonly (readonly StepPatch[])[];
}

type Field = keyof typeof STEP_FIELDS;
const FIELDS = Object.keys(STEP_FIELDS) as Field[];

/** What a filling's own step is otherwise than the one that all share. A field that it does not have stays as it is there. */
function patchFor(shared: Step, own: Step): StepPatch[] {
  const fields = Object.fromEntries(
    FIELDS.flatMap((field) =>
      own[field] !== undefined && JSON.stringify(own[field]) !== JSON.stringify(shared[field]) ? [[field, own[field]]] : [],
    ),
  );
  return Object.keys(fields).length > 0 ? [{ kind: "set", step: own.id, fields }] : [];
}

/**
 * One list of steps for several fillings, each made as it has to be: what one of them does not need is skipped for it, what it does
 * otherwise is set for it.
 * @param fillings the steps of each filling, made for it alone; at least one
 */
export function stepsTogether(fillings: readonly (readonly Step[])[]): Together {
  const steps: Step[] = [...fillings[0]];
  for (const own of fillings.slice(1))
    for (const step of own) {
      if (steps.some(({ id }) => id === step.id)) continue;
      const before = Math.max(-1, ...step.after.map((link) => steps.findIndex(({ id }) => id === link.step)));
      steps.splice(before + 1, 0, step);
    }
  return {
    steps,
    changes: fillings.map((own) => {
      const has = new Map(own.map((step) => [step.id, step]));
      return steps.flatMap((step): StepPatch[] => {
        const mine = has.get(step.id);
        return mine ? patchFor(step, mine) : [{ kind: "skip", step: step.id }];
      });
    }),
  };
}
