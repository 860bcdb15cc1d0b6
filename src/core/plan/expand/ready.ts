import type { Demand } from "../../gathering/demands";
import type { Hold } from "../../item/step";
import { type Work, type Workload } from "../../batching/work";

/** A serving that a work is the last before: what may be waited then, where the recipe says it. */
export interface Serving {
  readonly hold?: Hold;
}

/**
 * The servings that a work is the last before: an item may have several (the pieces, and what is drunk with them), each with its
 * own wait. None where other work follows first. Pieces whose path leads past every serving keep what the recipe says.
 */
export function servingsAfter(work: Work, workload: Workload): readonly Serving[] {
  const demand = eatenOf(work);
  if (!demand || work.step.kind === "serve") return [];
  const serves = demand.steps.filter((step) => step.kind === "serve");
  const leadsTo = (step: string) => step === work.step.id;
  if (serves.length > 0) return serves.filter(({ after }) => after.some((link) => leadsTo(link.step)));
  const isFollowed = workload.works.some(
    (other) => other.demands.includes(demand) && other.step.after.some((link) => leadsTo(link.step)),
  );
  if (work.shared || isFollowed) return [];
  return [demand.resolved.steps.find((step) => step.kind === "serve") ?? {}];
}

/** The first of the work's demands that is for the table. */
export const eatenOf = (work: Work): Demand | undefined => work.demands.find((demand) => demand.for !== "freezer");

/** Whether the work is the last before a serving. */
export const isReadyWork = (work: Work, workload: Workload): boolean => servingsAfter(work, workload).length > 0;
