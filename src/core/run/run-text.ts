import { resourceText } from "../plan/reason-text";
import type { Plan } from "../plan/schema";
import { readSlip, type Slip } from "../plan/slip";
import { targetName } from "../plan/targets";
import { planTaskText } from "../plan/task-text";
import type { Replanned } from "../schedule/replan/replan";
import { lengthText } from "../shared/clock";
import { listed } from "../shared/words";
import { wallClockOf } from "./clock";
import type { Oddity, RunState } from "./run-state";
import type { FoodClock, RunningClock } from "./stand";

/** What is to be known at once, in codes. */
export type Warning =
  | Oddity
  | { readonly code: "too-far"; readonly task: string; readonly minutes: number }
  | { readonly code: "look"; readonly task: string }
  | ({ readonly code: "out-of-cold" } & FoodClock)
  | { readonly code: "late"; readonly target: string; readonly minutes: number };

type TaskText = (task: string) => string;

/** A warning as a sentence. */
export function warningText(plan: Plan, warning: Warning, task: TaskText = (id) => planTaskText(plan, id)): string {
  switch (warning.code) {
    case "no-such-task":
      return `This plan has no ${warning.task}: what happened to it is kept, and changes nothing.`;
    case "no-such-cook":
      return `This plan has no cook ${warning.who}: that they come or go changes nothing.`;
    case "already-over":
      return `${task(warning.task)} is over already; undo that first.`;
    case "core-short":
      return `${task(warning.task)}: ${warning.coreC} °C in the core, ${warning.wantedC} °C wanted. It stays in the heat; measured again it may go on. Local rules come first.`;
    case "too-far":
      return `${task(warning.task)}: ${lengthText(warning.minutes)} longer than is right.`;
    case "look":
      return `${task(warning.task)}: have a look.`;
    case "out-of-cold":
      return `${task(warning.task)}: out of the cold for ${lengthText(warning.usedMin)}, usual guidance ${lengthText(warning.limitMin)}. ${warning.level === "over" ? "Heat it now or throw it away" : "Into the heat or the fridge soon"}; local rules come first.`;
    case "late":
      return `${targetName(plan, warning.target)} is ${lengthText(warning.minutes)} late.`;
  }
}

/** Moves that are named one by one. */
const NAMED = 2;

/**
 * What a re-planned day comes to, in a sentence: the waves first, then what moves.
 * @param clock a minute of the plan as the clock on the wall shows it
 */
export function slipSentence(
  plan: Plan,
  slip: Slip,
  task: TaskText = (id) => planTaskText(plan, id),
  clock: (minute: number) => string = wallClockOf(plan),
): string {
  const late = new Map(slip.late.map(({ target, minutes }) => [target, minutes]));
  const waves = plan.day.targets.map(({ id, name, minute }) => {
    const minutes = late.get(id);
    return minutes === undefined
      ? `${name} stays ${clock(minute)}`
      : `${name} is ${lengthText(minutes)} late, ${clock(minute + minutes)}`;
  });
  const moved = slip.moves
    .slice(0, NAMED)
    .map((move) => `${task(move.task)} begins ${clock(move.to)} instead of ${clock(move.from)}`);
  const more = slip.moves.length - moved.length;
  const beyond = slip.beyond.map(({ cook, minutes }) => `${resourceText(plan, cook)} is needed ${lengthText(minutes)} longer`);
  const parts = [
    listed(waves),
    moved.length === 0
      ? "nothing else moves"
      : `${listed(moved)}${more > 0 ? `, and ${more} more ${more === 1 ? "step moves" : "steps move"}` : ""}`,
    ...beyond,
    ...(slip.waits.length > 0 ? [`${task(slip.waits[0])} waits longer than it may${moreText(slip.waits.length - 1)}`] : []),
  ].filter((part) => part !== "");
  return `${parts.join("; ")}.`;
}

const moreText = (more: number): string => (more > 0 ? `, and so ${more === 1 ? "does one more step" : `do ${more} more`}` : "");

/** What the rest of a day, planned again, means: of what moves only what is still to begin. */
export function slipOfRest(plan: Plan, rest: Replanned, { tasks }: RunState): Slip {
  const slip = readSlip(plan, "", rest);
  return { ...slip, moves: slip.moves.filter(({ task }) => tasks.get(task)?.status === "waiting") };
}

/** Warnings of a clock: past its time, or to be looked at. */
export function clockWarnings(clocks: readonly RunningClock[], now: number): Warning[] {
  return clocks.flatMap(({ task, tooFar, lookAt }): Warning[] =>
    tooFar !== undefined && now > tooFar
      ? [{ code: "too-far", task, minutes: now - tooFar }]
      : now >= lookAt
        ? [{ code: "look", task }]
        : [],
  );
}
