import type { Step } from "./step";

type Link = Step["after"][number];

/** The links with others in the place of those to one step, none twice: those that were there stand. */
const relinked = (after: readonly Link[], from: string, to: (link: Link) => readonly Link[]): Link[] => {
  const kept = after.filter((link) => link.step !== from);
  const all = [...kept, ...after.filter((link) => link.step === from).flatMap(to)];
  return all.filter((link, i) => all.findIndex((other) => other.step === link.step) === i);
};

/** The steps without one of them: what came after it comes after what it came after. */
export function without(steps: readonly Step[], id: string): Step[] {
  const gone = steps.find((step) => step.id === id);
  if (!gone) return [...steps];
  return steps
    .filter((step) => step !== gone)
    .map((step) =>
      step.after.some((link) => link.step === id)
        ? { ...step, after: relinked(step.after, id, () => gone.after.map((link) => ({ step: link.step }))) }
        : step,
    );
}

/**
 * The steps with another one behind one of them: what came after that comes after the new one, no later than it had to.
 * A wait that keeps (in the fridge) has no hurry before what follows.
 */
export function withAfter(steps: readonly Step[], place: string, added: Step): Step[] {
  const at = steps.findIndex((step) => step.id === place);
  if (at < 0) return [...steps, { ...added, after: [] }];
  const onPath = (step: Step) => step.path.some((path) => added.path.includes(path));
  const follows = (step: Step) => onPath(step) && step.after.some((link) => link.step === place);
  const soonest = Math.min(
    ...steps.filter(follows).flatMap((step) => step.after.flatMap((link) => (link.step === place ? (link.maxGapMin ?? []) : []))),
  );
  const own: Step = { ...added, after: [{ step: place, ...(Number.isFinite(soonest) && { maxGapMin: soonest }) }] };
  const next = steps.map((step) =>
    follows(step)
      ? {
          ...step,
          after: relinked(step.after, place, ({ maxGapMin, minGapMin }) => [
            {
              step: added.id,
              ...(minGapMin !== undefined && { minGapMin }),
              ...(maxGapMin !== undefined && !added.ahead && { maxGapMin }),
            },
          ]),
        }
      : step,
  );
  return [...next.slice(0, at + 1), own, ...next.slice(at + 1)];
}

/** The same steps, each behind all that it comes after; otherwise in the order in which they were. */
export function inOrder(steps: readonly Step[]): Step[] {
  const left = [...steps];
  const done = new Set<string>();
  const all = new Set(steps.map(({ id }) => id));
  const ordered: Step[] = [];
  while (left.length > 0) {
    const ready = left.findIndex((step) => step.after.every((link) => done.has(link.step) || !all.has(link.step)));
    // A ring has no order; it is told elsewhere.
    const [step] = left.splice(Math.max(0, ready), 1);
    done.add(step.id);
    ordered.push(step);
  }
  return ordered;
}
