import { piecesIn, type Work } from "../../batching/work";
import { paceOf } from "../../kitchen/pace";
import type { Kitchen } from "../../kitchen/schema";
import type { Link } from "./precedences";
import { eatenOf } from "./ready";
import { isBestWarm } from "./serving";
import { cooksFor } from "./timing";

/**
 * From the first piece of a lot to the last, min: what is shaped piece by piece right before a rest has rested that much longer at
 * one end of the tray than at the other, by the quickest hands that are there.
 */
export function lotSpread(rest: Work, links: readonly Link[], kitchen: Kitchen): number {
  const before = links.filter(({ after }) => after === rest).map((link) => link.before);
  return before.reduce((spread, work) => {
    const { step } = work;
    const cooks = cooksFor(step, kitchen);
    if (step.attention !== "hands-on" || step.part !== "piece" || cooks.length === 0) return spread;
    return spread + (step.time.secPerPiece / 60) * (piecesIn(work) - 1) * Math.min(...cooks.map(paceOf));
  }, 0);
}

/** Whether what rests is eaten hot or warm at a serving: a rise that takes longer would make it late. */
export const isServedWarm = (work: Work): boolean =>
  eatenOf(work)?.resolved.steps.some(({ kind, hold }) => kind === "serve" && hold !== undefined && isBestWarm(hold.best)) ??
  false;
