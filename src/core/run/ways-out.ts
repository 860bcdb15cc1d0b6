import { USUAL_ROOM_C } from "../kitchen/room";
import { isHeat } from "../item/step";
import { isRise } from "../item/rest-in-room";
import { havePiecesInCommon, stepIn, type Plan } from "../plan/schema";
import type { RunEvent, Telling } from "./events";
import { replay } from "./replay";
import type { RunState } from "./run-state";
import { restOfDay, REST_SEARCH } from "./rest-of-day";
import type { Replanned } from "../schedule/replan/replan";
import { asItWent, coldIn } from "./stand";
import { ovensForTwo } from "./two-trays";
import { slipOfRest } from "./run-text";
import { momentOf } from "./clock";

/** Something that can be done where serving is in danger, in codes. */
export type WayOut =
  /** A rise goes where it is warm, °C. */
  | { readonly code: "warmer"; readonly task: string; readonly toC: number; readonly tell: Telling }
  /** What is still raw of an item's load goes into the freezer. */
  | { readonly code: "freezer"; readonly task: string; readonly tell: Telling }
  /** Two trays at once in an oven that takes them one by one: a little longer, changed about half way. */
  | { readonly code: "two-trays"; readonly resource: string; readonly tell: Telling }
  /** What is ready waits hot for the rest, longer than it is at its best. */
  | { readonly code: "keep-warm"; readonly task: string; readonly tell: Telling }
  /** A rise that is ready early: on with it, cold, or knocked back. */
  | { readonly code: "go-on" | "into-fridge" | "knock-back"; readonly task: string; readonly tell: Telling }
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
  /** Waits that become longer than they should be. */
  readonly broken: number;
  /** Of a way for a rise that is early: when what follows begins then, and how long its lot was out of the cold before its heat, min. */
  readonly next?: { readonly task: string; readonly at: number };
  readonly coldMin?: number;
}

/** A warm place in a kitchen: beside the stove, in the oven with its lamp, °C. */
const WARM_C = 28;
/** The name of hands that are lent, which no cook has. */
export const LENT = "lent-hands";

/** What can be tried on a day that is late; none of it is worked out yet. */
export function waysOut(
  plan: Plan,
  state: RunState,
  { late, broken }: { readonly late: WayEffect["late"]; readonly broken: Replanned["broken"] },
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
  const ovens = ovensForTwo(plan, state).map((resource): WayOut => ({
    code: "two-trays",
    resource,
    tell: { kind: "doubled", what: resource },
  }));
  const warm = waitingHot(plan, state, broken).map((task): WayOut => ({
    code: "keep-warm",
    task,
    tell: { kind: "held", task, place: "warm" },
  }));
  return [...rises, ...ovens, ...warm, ...frozen, ...hands, ...back, ...later];
}

/** Heats whose pieces wait longer for what follows than they should, and could do so hot. */
export const waitingHot = (plan: Plan, { tasks }: Pick<RunState, "tasks">, broken: Replanned["broken"]): string[] =>
  [...new Set(broken.map(([, heat]) => heat))].filter((task) => {
    const step = stepIn(plan, task);
    return step !== undefined && isHeat(step) && step.part === "piece" && tasks.get(task)?.held === undefined;
  });

/** So early before what follows is a rise ready that something is done about it, min. */
const EARLY_MIN = 8;

/** What follows a task, the first of it, as the rest of the day has it; not the plan's own waits. */
function nextOf(
  plan: Plan,
  rest: Pick<Replanned, "solution">,
  task: string,
): { readonly task: string; readonly at: number } | undefined {
  const through = (id: string): string[] =>
    plan.problem.tasks
      .filter(({ after }) => after.some((link) => link.task === id))
      .flatMap((one) => (plan.tasks[one.id]?.step ? [one.id] : through(one.id)));
  const ids = new Set(through(task));
  const [first] = rest.solution.tasks.filter(({ id }) => ids.has(id)).sort((a, b) => a.start - b.start);
  return first && { task: first.id, at: first.start };
}

/**
 * Rises that may be looked at now, and whose next step is some time off: should one be ready already, what can be done with it.
 * @returns by rise, with how long it would wait
 */
export function earlyRises(
  plan: Plan,
  state: RunState,
  rest: Pick<Replanned, "solution">,
  now: number,
): { readonly task: string; readonly waitMin: number; readonly ways: readonly WayOut[] }[] {
  return [...state.tasks].flatMap(([task, { status, held, start, expectedEnd = now }]) => {
    const step = stepIn(plan, task);
    const { rise } = plan.tasks[task] ?? {};
    if (status !== "running" || held || !step?.rest || !isRise(step.rest) || !rise || start === undefined) return [];
    // Once it is expected to be ready nothing about it is early.
    if (now < start + rise.firstLookMin || now >= expectedEnd) return [];
    const waitMin = (nextOf(plan, rest, task)?.at ?? now) - now;
    if (waitMin < EARLY_MIN) return [];
    const ways: WayOut[] = [
      { code: "go-on", task, tell: { kind: "checked", task, seen: "right" } },
      { code: "into-fridge", task, tell: { kind: "held", task, place: "fridge" } },
      // Shaped pieces are not knocked back.
      ...(step.part === "dough"
        ? [{ code: "knock-back" as const, task, tell: { kind: "held" as const, task, place: "knocked-back" as const } }]
        : []),
    ];
    return [{ task, waitMin, ways }];
  });
}

/** What a way leads to, planned again with it. */
export function effectOf(plan: Plan, events: readonly RunEvent[], way: WayOut, now: number): WayEffect {
  const told = { ...way.tell, id: "a way that is tried", device: "this one", at: momentOf(plan, now) } as RunEvent;
  const state = replay(plan, [...events, told]);
  const rest = restOfDay(plan, state, now, REST_SEARCH);
  const { late } = slipOfRest(plan, rest, state);
  const effect = { way, late, broken: rest.broken.length };
  if (way.code !== "go-on" && way.code !== "into-fridge" && way.code !== "knock-back") return effect;
  const next = nextOf(plan, rest, way.task);
  const coldMin = coldAfter(plan, state, rest, way.task);
  return { ...effect, ...(next && { next }), ...(coldMin !== undefined && { coldMin }) };
}

/** How long what comes of a task is out of the cold before its heat, as the rest of the day has it, min; undefined where nothing has a limit. */
function coldAfter(plan: Plan, state: RunState, rest: Pick<Replanned, "solution">, task: string): number | undefined {
  const went = new Map(asItWent(plan, state).map((one) => [one.id, one]));
  const day = rest.solution.tasks.filter(({ id }) => plan.tasks[id]).map((one) => went.get(one.id) ?? one);
  const heats = day.filter(({ id }) => {
    const step = stepIn(plan, id);
    return step && isHeat(step) && havePiecesInCommon(plan.tasks[id], plan.tasks[task]);
  });
  const used = heats.flatMap(({ id }) => coldIn(plan, day, id)?.usedMin ?? []);
  return used.length > 0 ? Math.max(...used) : undefined;
}

/** Minutes by which all that is late is late together. */
export const totalLate = (late: WayEffect["late"]): number => late.reduce((sum, { minutes }) => sum + minutes, 0);
