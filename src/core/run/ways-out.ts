import { USUAL_ROOM_C } from "../kitchen/room";
import { isHeat } from "../item/step";
import { isRise } from "../item/rest-in-room";
import { stepIn, type Plan } from "../plan/schema";
import type { RunEvent, Telling } from "./events";
import { replay, type RunState } from "./replay";
import { restOfDay, REST_SEARCH } from "./rest-of-day";
import { slipOfRest } from "./run-text";
import { momentOf } from "./clock";

/** Something that can be done where serving is in danger, in codes. */
export type WayOut =
  /** A rise goes where it is warm, °C. */
  | { readonly code: "warmer"; readonly task: string; readonly toC: number; readonly tell: Telling }
  /** What is still raw of an item's load goes into the freezer. */
  | { readonly code: "freezer"; readonly task: string; readonly tell: Telling }
  | { readonly code: "hands"; readonly tell: Telling }
  | { readonly code: "stays"; readonly cook: string; readonly tell: Telling }
  /** The wave waits; or, where only some of it is late, that is served when it is ready. */
  | {
      readonly code: "later";
      readonly target: string;
      readonly minutes: number;
      readonly items: readonly string[];
      readonly isWhole: boolean;
      readonly tell: Telling;
    };

/** What a way leads to: by how much each wave is late then, min. */
export interface WayEffect {
  readonly way: WayOut;
  readonly late: readonly { readonly target: string; readonly minutes: number }[];
}

/** A warm place in a kitchen: beside the stove, in the oven with its lamp, °C. */
const WARM_C = 28;
/** The name of hands that are lent, which no cook has. */
export const LENT = "lent-hands";

/** What can be tried on a day that is late; none of it is worked out yet. */
export function waysOut(
  plan: Plan,
  state: RunState,
  late: readonly { readonly target: string; readonly minutes: number }[],
): WayOut[] {
  const room = state.roomC ?? USUAL_ROOM_C;
  const ids = [...state.tasks];
  const rises = ids.flatMap(([task, { status }]): WayOut[] => {
    const rest = stepIn(plan, task)?.rest;
    const isIt = status === "running" && rest && isRise(rest) && plan.tasks[task].rise && room < WARM_C - 2;
    return isIt ? [{ code: "warmer", task, toC: WARM_C, tell: { kind: "measured", task, what: "room", value: WARM_C } }] : [];
  });
  const lateIds = new Set(late.map(({ target }) => target));
  // One load of each late item: the last that is still raw.
  const raw = new Map<string, string>();
  for (const { id } of [...plan.solution.tasks].sort((a, b) => a.start - b.start)) {
    const step = stepIn(plan, id);
    const info = plan.tasks[id];
    if (
      step &&
      isHeat(step) &&
      step.part === "piece" &&
      step.path.includes("fresh") &&
      state.tasks.get(id)?.status === "waiting" &&
      info.for.some((one) => lateIds.has(one))
    )
      raw.set(info.item, id);
  }
  const frozen = [...raw.values()].map((task): WayOut => ({ code: "freezer", task, tell: { kind: "frozen", task } }));
  const hands: WayOut[] =
    state.joined.has(LENT) && !state.away.has(LENT)
      ? []
      : [{ code: "hands", tell: { kind: "joined", who: LENT, name: "Lent hands" } }];
  const back = [...state.away.keys()].map((cook): WayOut => ({
    code: "stays",
    cook,
    tell: { kind: "changed", who: cook, isThere: true },
  }));
  const later = late.map(({ target, minutes }): WayOut => {
    const own = plan.serves.filter((one) => one.for === target);
    return {
      code: "later",
      target,
      minutes,
      items: own.map(({ item }) => item),
      isWhole: own.length < 2,
      tell: { kind: "agreed", target, minutes: Math.min(600, minutes) },
    };
  });
  return [...rises, ...frozen, ...hands, ...back, ...later];
}

/** What a way leads to, planned again with it. */
export function effectOf(plan: Plan, events: readonly RunEvent[], way: WayOut, now: number): WayEffect {
  const told = { ...way.tell, id: "a way that is tried", device: "this one", at: momentOf(plan, now) } as RunEvent;
  const state = replay(plan, [...events, told]);
  const { late } = slipOfRest(plan, restOfDay(plan, state, now, REST_SEARCH), state);
  return { way, late };
}

/** Minutes by which all that is late is late together. */
export const totalLate = (late: WayEffect["late"]): number => late.reduce((sum, { minutes }) => sum + minutes, 0);
