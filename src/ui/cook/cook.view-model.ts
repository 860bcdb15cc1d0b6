import { resourceText } from "@/core/plan/reason-text";
import { stepIn, type Plan } from "@/core/plan/schema";
import { isHeat, type Step } from "@/core/item/step";
import { peopleIn } from "@/core/run/helpers";
import { isOpen, type RunState, type TaskRun } from "@/core/run/run-state";
import { earlyRises } from "@/core/run/ways-out";
import { heatsToSet, type HeatToSet } from "@/core/run/heats-to-set";
import { windowTitle } from "@/core/run/window-text";
import { foodWindows, windowLevel, type FoodWindow } from "@/core/run/windows";
import { lockIn } from "./lock";
import { clocksOf, cooksNow, firstLookAfter, foodClocks, type FoodClock, type RunningClock } from "@/core/run/stand";
import { sinceLast } from "@/core/run/rest-of-day";
import { clockWarnings, slipOfRest, slipSentence, warningText, type Warning } from "@/core/run/run-text";
import type { Replanned } from "@/core/schedule/replan/replan";

/** What one pair of hands does now. */
export interface Doing {
  readonly task: string;
  readonly step: Step | undefined;
  readonly run: TaskRun;
  /** By now: it is begun and over in one, put in, or judged. */
  readonly press: "done" | "begin" | "judge";
  /** Hands are at it over a heat, and it is soon right: to be looked at and listened to. */
  readonly isSoon?: boolean;
  /** Its lot was out of the cold for longer than is usual, min. */
  readonly cold?: FoodClock | undefined;
  /** Until when its lid stays shut, and why. */
  readonly lock?: { readonly until: number; readonly reason: string } | undefined;
}

/** Whether its core is still to be measured, or was short. */
export const lacksCore = ({ step, run }: Doing): boolean =>
  step?.coreC !== undefined && (run.coreC === undefined || run.coreC < step.coreC);

export interface CookColumn {
  readonly cook: string;
  readonly name: string;
  readonly isAway: boolean;
  readonly now: readonly Doing[];
  /** `isLook`: it runs already, and is looked at then; `early`: what it is to whoever begins it now, where all that it comes after is over or under way. */
  readonly next: readonly {
    readonly task: string;
    readonly at: number;
    readonly isLook: boolean;
    readonly early?: Doing | undefined;
  }[];
}

export interface CookModel {
  readonly columns: readonly CookColumn[];
  readonly clocks: readonly RunningClock[];
  readonly food: readonly FoodClock[];
  readonly windows: readonly FoodWindow[];
  readonly heats: readonly HeatToSet[];
  /** Rises that may be ready before anything can go on with them. */
  readonly early: ReturnType<typeof earlyRises>;
  /** Waits that are longer than they should be. */
  readonly broken: Replanned["broken"];
  /** What is due at this minute beside what hands do, told aloud. */
  readonly due: readonly string[];
  readonly warnings: readonly { readonly code: Warning["code"]; readonly text: string }[];
  /** What the rest of the day comes to; undefined until it is known. */
  readonly sentence: string | undefined;
  readonly isOver: boolean;
  /** Waves that are late beyond what was agreed, min. */
  readonly late: readonly { readonly target: string; readonly minutes: number }[];
  /** When somebody's hands are wanted next; undefined where nothing is to come. */
  readonly nextMinute: number | undefined;
}

interface Shown {
  readonly task: (id: string) => string;
  readonly clock: (minute: number) => string;
}

/** A task as hands have it. */
function doingOf(plan: Plan, state: RunState, task: string): Doing {
  const step = stepIn(plan, task);
  const run = state.tasks.get(task) ?? { status: "waiting" as const };
  const isHandsOn = !step || step.attention === "hands-on";
  return { task, step, run, press: isHandsOn ? "done" : run.status === "running" ? "judge" : "begin" };
}

/**
 * Where a day stands at a minute, for the screen in the kitchen.
 * @param rest undefined: the plan as it was
 * @param settled the rest of the day as it was last worked out to its end: no alarm is raised over one that is worked at still
 */
export function cookModel(
  plan: Plan,
  state: RunState,
  { rest, settled }: { readonly rest: Replanned | undefined; readonly settled: Replanned | undefined },
  now: number,
  shown: Shown,
): CookModel {
  const { solution } = rest ?? plan;
  const clocks = clocksOf(plan, state);
  const food = foodClocks(plan, state, now);
  const windows = foodWindows(plan, state, { problem: plan.problem, solution }, now);
  const heats = heatsToSet(plan, state, { solution });
  const slip = rest && slipOfRest(plan, sinceLast(plan, state, rest), state);
  const warnings: Warning[] = [
    ...state.odd.slice(-1),
    ...clockWarnings(clocks, now).filter(({ code }) => code === "too-far"),
    ...food.filter(({ level, isCold }) => level !== "ok" && !isCold).map((one) => ({ code: "out-of-cold" as const, ...one })),
  ];
  const doing = (task: string): Doing => {
    const clock = clocks.find((one) => one.task === task);
    const own = doingOf(plan, state, task);
    const { start, expectedEnd } = own.run;
    const isUnderWay = own.run.status === "running" && start !== undefined && expectedEnd !== undefined;
    const isLate = isUnderWay && now - start >= firstLookAfter(expectedEnd - start);
    return {
      ...own,
      isSoon: isLate && own.press === "done" && own.step !== undefined && isHeat(own.step),
      lock: clock && lockIn(plan, state, clock, now),
      cold: food.find((one) => one.task === task && one.level === "over" && !one.isCold),
    };
  };
  const names = new Map(peopleIn(plan, state).map(({ id, name }) => [id, name]));
  const starts = solution.tasks.filter(
    ({ id, start }) => state.tasks.get(id)?.status === "waiting" && plan.tasks[id]?.step && start > now,
  );
  const looks = clocks.map(({ lookAt }) => lookAt).filter((at) => at > now);
  const upcoming = [...starts.map(({ start }) => start), ...looks];
  // What was put in is nobody's to judge until it is time to look.
  const isDue = (task: string) => clocks.some((one) => one.task === task && now >= one.lookAt);
  const before = new Map(plan.problem.tasks.map(({ id, after }) => [id, after.map((link) => link.task)]));
  const mayBegin = (task: string) =>
    (before.get(task) ?? []).every((id) => stepIn(plan, id) === undefined || state.tasks.get(id)?.status !== "waiting");
  return {
    columns: cooksNow(plan, state, rest ?? plan, now).map((one) => ({
      cook: one.cook,
      name: names.get(one.cook) ?? one.cook,
      isAway: one.isAway,
      now: one.now
        .filter((task) => plan.tasks[task]?.what.code !== "wait")
        .map(doing)
        .filter(({ press, task }) => press !== "judge" || isDue(task)),
      next: one.next.map((entry) => {
        const isLook = state.tasks.get(entry.task)?.status === "running";
        return { ...entry, isLook, early: !isLook && mayBegin(entry.task) ? doing(entry.task) : undefined };
      }),
    })),
    clocks,
    food,
    windows,
    heats,
    early: earlyRises(plan, state, rest ?? plan, now),
    broken: settled?.broken ?? [],
    due: [
      ...heats.filter(({ at }) => at <= now).map(({ resource, task }) => `${resourceText(plan, resource)}: ${shown.task(task)}`),
      ...[...state.tasks].flatMap(([task, { status, expectedEnd }]) =>
        status === "running" && expectedEnd !== undefined && expectedEnd <= now && stepIn(plan, task)?.attention === "hands-on"
          ? [shown.task(task)]
          : [],
      ),
      ...windows
        .filter((one) => one.code !== "too-hot" && windowLevel(one, now) !== "ok")
        .map((one) => windowTitle(plan, one, shown.task)),
    ],
    warnings: warnings.map((warning) => ({ code: warning.code, text: warningText(plan, warning, shown.task) })),
    late: (settled ? slipOfRest(plan, settled, state).late : []).filter(
      ({ target, minutes }) => minutes > (state.agreed.get(target) ?? 0),
    ),
    nextMinute: upcoming.length > 0 ? Math.min(...upcoming) : undefined,
    sentence: slip && slipSentence(plan, slip, shown.task, shown.clock),
    isOver: [...state.tasks].every(([id, run]) => !isOpen(run) || !plan.tasks[id]?.step),
  };
}
