import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import type { Kitchen } from "@/core/kitchen/schema";
import { requestWith, type Change } from "@/core/plan/ways/change";
import { changesFor, pairsOf } from "@/core/plan/ways/changes";
import { byGain, gainOf, type Gain } from "@/core/plan/ways/gain";
import { laterBy } from "@/core/plan/ways/hours";

/** How many are tried side by side. */
const SIDE_BY_SIDE = 2;
/** The earliest serving is looked for to so many minutes. */
const EARLIEST_WITHIN_MIN = 20;
const STEP_MIN = 10;

export interface Tried {
  readonly change: Change;
  readonly gain: Gain;
}

export interface WaysState {
  /** The most helpful first; of the changes of a group the least that does. */
  readonly tried: readonly Tried[];
  readonly left: number;
  /** Changes whose worker broke down. */
  readonly broken: number;
}

/** One planning that is under way. */
export interface Trial {
  readonly done: Promise<Plan | undefined>;
  readonly cancel: () => void;
}

interface Asked {
  /** The day as it stands, and its plan; without a plan it is refused. */
  readonly request: PlanRequest;
  readonly base: Plan | undefined;
  readonly kitchens: readonly Kitchen[];
  readonly run: (request: PlanRequest) => Trial;
  readonly tell: (state: WaysState) => void;
}

/**
 * Tries changes to a day, each planned anew. For a day that can be done, what makes it shorter or fresher. For a refused one, what
 * makes it possible: when it could be served at the earliest, and two changes at once where none does by itself.
 * @returns how to stop
 */
export function searchWays({ request, base, kitchens, run, tell }: Asked): () => void {
  const singles = changesFor(request, kitchens).filter(({ group }, k, all) => !base || firstOfGroup(group, k, all));
  const waiting = [...singles];
  const trials = new Set<Trial>();
  let tried: readonly Tried[] = [];
  let broken = 0;
  let asItIs = base;
  let pairsTried = false;
  let stopped = false;

  const tellNow = () => tell({ tried: leastOfGroups(tried), left: waiting.length + trials.size, broken });
  const plan = (what: PlanRequest, then: (made: Plan | undefined) => void) => {
    const trial = run(what);
    trials.add(trial);
    void trial.done.then((made) => {
      trials.delete(trial);
      if (stopped) return;
      if (!made) broken++;
      then(made);
    });
  };
  const isDone = ({ group }: Change) =>
    group !== undefined && tried.some((one) => one.change.group === group && one.gain.possible);
  const goOn = (): void => {
    while (trials.size < SIDE_BY_SIDE && waiting.length > 0) {
      const change = waiting.shift()!;
      // Of a group the least that does is enough: but looking closer for the earliest goes on from what was found.
      if (singles.includes(change) && isDone(change)) continue;
      plan(requestWith(request, change, kitchens), (made) => {
        if (made) tried = [...tried, { change, gain: gainOf(change, made, asItIs) }].sort((a, b) => byGain(a.gain, b.gain));
        goOn();
      });
    }
    if (!base && trials.size === 0) {
      waiting.push(...further());
      if (waiting.length > 0) return goOn();
    }
    tellNow();
  };
  /** What a refused day is asked once all single changes are tried. */
  const further = (): readonly Change[] => {
    const closer = closerTo(tried, request);
    if (closer) return [closer];
    if (pairsTried || tried.some(({ gain }) => gain.possible)) return [];
    pairsTried = true;
    return pairsOf(
      singles,
      singles.filter(({ id }) => tried.some(({ change, gain }) => change.id === id && gain.near)),
    );
  };
  if (base)
    // The day as it is gets the same time first, so that a change is not praised for what more searching would bring.
    plan(request, (made) => {
      if (made && made.solution.tasks.length > 0 && made.solution.cost < base.solution.cost) asItIs = made;
      goOn();
    });
  else goOn();
  tellNow();
  return () => {
    stopped = true;
    waiting.length = 0;
    trials.forEach((trial) => trial.cancel());
    trials.clear();
    tellNow();
  };
}

const firstOfGroup = (group: string | undefined, k: number, all: readonly Change[]): boolean =>
  group === undefined || all.findIndex((other) => other.group === group) === k;

/** Halfway between what was too soon and what does, until the two are close. */
function closerTo(tried: readonly Tried[], request: PlanRequest): Change | undefined {
  const later = tried.flatMap(({ change: { kind }, gain }) =>
    kind.code === "later" ? [{ minutes: kind.minutes, possible: gain.possible }] : [],
  );
  const least = Math.min(...later.filter(({ possible }) => possible).map(({ minutes }) => minutes));
  if (!Number.isFinite(least)) return undefined;
  const most = Math.max(
    0,
    ...later.filter(({ possible, minutes }) => !possible && minutes < least).map(({ minutes }) => minutes),
  );
  if (least - most <= EARLIEST_WITHIN_MIN) return undefined;
  const between = Math.round((least + most) / 2 / STEP_MIN) * STEP_MIN;
  return later.some(({ minutes }) => minutes === between) ? undefined : laterBy(request, between);
}

/** Without what is more of the same than is needed. */
const leastOfGroups = (tried: readonly Tried[]): Tried[] =>
  tried.filter(
    (one) =>
      one.change.group === undefined ||
      !one.gain.possible ||
      !tried.some((other) => other.change.group === one.change.group && other.gain.possible && isLess(other, one)),
  );

/** Of two changes of one group: later by less, earlier by less, a nearer day. */
function isLess({ change: { kind: a } }: Tried, { change: { kind: b } }: Tried): boolean {
  if (a.code === "later" && b.code === "later") return a.minutes < b.minutes;
  if (a.code === "earlier" && b.code === "earlier") return a.from > b.from;
  return a.code === "another-day" && b.code === "another-day" && a.date < b.date;
}
