import type { Item } from "../schema";
import type { Step } from "../step";

/** What steps are called in an item, by what they are called by rule. */
export type Called = Readonly<Record<string, string>>;

/** An item as it is made by rule, its steps called as the cook's own are. */
export function calledAs(item: Item, called: Called | undefined): Item {
  if (!called) return item;
  const name = (id: string): string => (Object.hasOwn(called, id) ? called[id] : id);
  return {
    ...item,
    steps: item.steps.map((step) => ({
      ...step,
      id: name(step.id),
      after: step.after.map((link) => ({ ...link, step: name(link.step) })),
    })),
    finish: item.finish.map((entry) => ({ ...entry, step: name(entry.step) })),
    faults: item.faults.map((fault) => ({ ...fault, steps: fault.steps.map(name) })),
  };
}

const fits = (one: Step, other: Step): boolean =>
  one.kind === other.kind && one.part === other.part && one.path.some((path) => other.path.includes(path));

/** Which steps of the rule are which of the cook's own: the same is done to the same part on the same way, in their order. */
export function sameSteps(byRule: readonly Step[], own: readonly Step[]): Called {
  const left = [...own];
  const called: Record<string, string> = {};
  for (const step of byRule) {
    const at = left.findIndex((one) => fits(step, one));
    if (at < 0) continue;
    called[step.id] = left[at].id;
    left.splice(at, 1);
  }
  // A step of the rule that the cook has not done keeps off the names of those that are there.
  const taken = new Set([...own.map(({ id }) => id), ...Object.values(called)]);
  for (const { id } of byRule) if (!Object.hasOwn(called, id) && taken.has(id)) called[id] = `${id}-by-rule`;
  return called;
}
