import type { Work } from "../../batching/work";
import type { Kitchen } from "../../kitchen/schema";
import type { ClockChange } from "../../shared/clock";
import { leastForTends, restWindow, type RestCase, type RestWindow } from "./timing";

type Windows = ReadonlyMap<string, RestWindow>;

/** The window of each work that rests, for the span of minutes in which it can lie. */
export const windowsOf = (
  works: readonly Work[],
  kitchen: Kitchen,
  clockChanges: readonly ClockChange[],
  spanOf: (work: Work) => readonly [number, number],
  caseOf: (work: Work) => RestCase,
): Windows =>
  new Map(
    works
      .filter((work) => work.step.rest)
      .map((work) => [work.id, restWindow(work.step, kitchen, spanOf(work), clockChanges, caseOf(work))]),
  );

/** Windows half as short and twice as long, at any time: a rest lies within whatever the warmth of its hour makes of them. */
export const loosened = (works: readonly Work[], windows: Windows): Windows =>
  new Map(
    works.flatMap((work) => {
      const window = windows.get(work.id);
      if (!window) return [];
      const min = Math.max(leastForTends(work.step), Math.floor(window.min / 2));
      return [[work.id, { ...window, min, max: window.max * 2, earliest: undefined }] as const];
    }),
  );
