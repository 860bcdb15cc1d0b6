import { allergensOf } from "../ingredients/allergen";
import { lineClaims } from "../ingredients/claims";
import { findIngredient } from "../ingredients/find";
import { isHeat } from "../item/step";
import { roomIn } from "../plan/room-in";
import { havePiecesInCommon, stepIn, type Plan, type TaskInfo } from "../plan/schema";
import { coolToEatMin } from "../process/eat";
import type { Solution } from "../schedule/solution";
import { oilSetC } from "./oil";
import { isOpen, type RunState } from "./run-state";

/** Food that changes by itself while nobody looks at it, minutes of the plan. `soonAt`: from when it is said; `until`: its stop. */
export type FoodWindow =
  /** Meat in soda goes on softening until it is rinsed. */
  | { readonly code: "alkali"; readonly task: string; readonly since: number; readonly soonAt: number; readonly until: number }
  /** Egg for brushing that stands in the kitchen. */
  | { readonly code: "egg-wash"; readonly item: string; readonly since: number; readonly soonAt: number; readonly until: number }
  /** Something that is open to the air, or wet, and waits for its next step. */
  | { readonly code: "waits"; readonly task: string; readonly since: number; readonly soonAt: number; readonly until: number }
  /** Oil that is hot with nothing in it; `nextAt`: when something goes in again. */
  | {
      readonly code: "hot-oil";
      readonly resource: string;
      readonly since: number;
      readonly soonAt: number;
      readonly until: number;
      readonly nextAt?: number;
    }
  /** Pieces out of the heat that would burn a mouth: not to be eaten before `until`, by children before `childUntil`. */
  | {
      readonly code: "too-hot";
      readonly task: string;
      readonly since: number;
      readonly until: number;
      readonly childUntil: number;
      /** °C; measured, or the most that it may be. */
      readonly coreC: number;
      readonly isMeasured: boolean;
    };

/** Where it stands: running, about to stop, past it. */
export type WindowLevel = "ok" | "soon" | "over";

/** A window for how long it may stand, of which so much is over when it is said. */
const SOON_SHARE = 0.75;
/** Egg for brushing stands outside the fridge for no longer than this, min: usual guidance; local rules come first. */
const EGG_WASH_MIN = 120;
/** Oil with nothing in it is turned down or off after so long, min. */
const IDLE_OIL_MIN = 10;
/** Nobody measured it: pieces out of the heat are taken to be as hot as this in their middle, °C. */
const UNMEASURED_C = 95;
/** Words of a step that has soda or lye at work. */
const ALKALI = /\b(baking soda|bicarbonate|bicarb|soda|alkali(ne)?|lye|kansui)\b/i;

/** Windows of food that are open at a minute. `rest`: the rest of the day as it is now. */
export function foodWindows(
  plan: Plan,
  state: RunState,
  rest: Pick<Plan, "problem"> & { solution: Solution },
  now: number,
): FoodWindow[] {
  return [
    ...alkaliWindows(plan, state),
    ...waitWindows(plan, state, now),
    ...eggWindows(plan, state),
    ...oilWindows(plan, state, rest, now),
    ...hotPieces(plan, state, now),
  ];
}

export const windowLevel = (window: FoodWindow, now: number): WindowLevel =>
  window.code === "too-hot"
    ? now >= window.until
      ? "ok"
      : "soon"
    : now >= window.until
      ? "over"
      : now >= window.soonAt
        ? "soon"
        : "ok";

/** A window with the minute from which it is said. */
const opened = (since: number, least: number, most: number) => ({
  since,
  soonAt: since + Math.round(least + SOON_SHARE * (most - least)),
  until: since + most,
});

function alkaliWindows(plan: Plan, { tasks }: RunState): FoodWindow[] {
  return [...tasks].flatMap(([task, { status, start }]): FoodWindow[] => {
    const step = stepIn(plan, task);
    const isIt = status === "running" && step?.rest && step.part === "filling" && start !== undefined && ALKALI.test(step.do);
    return isIt ? [{ code: "alkali", task, ...opened(start, step.rest!.min, step.rest!.max) }] : [];
  });
}

/** Longer than this a step may wait for so many reasons that nobody stands beside it, min. */
const LONG_WAIT_MIN = 60;

/** Steps that should have begun soon after what they come after, from when that is to be said. */
function waitWindows(plan: Plan, { tasks }: RunState, now: number): FoodWindow[] {
  /** What is over, by its step: this is asked each second, and a day has hundreds of tasks. */
  const over = new Map<string, { readonly task: TaskInfo; readonly end: number }[]>();
  for (const [id, { status, gone, end }] of tasks) {
    const task = plan.tasks[id];
    if (status === "done" && !gone && end !== undefined && task.step)
      over.set(task.step, [...(over.get(task.step) ?? []), { task, end }]);
  }
  return [...tasks].flatMap(([task, { status }]): FoodWindow[] => {
    const step = status === "waiting" ? stepIn(plan, task) : undefined;
    const limits = step?.after.filter(({ maxGapMin }) => maxGapMin !== undefined && maxGapMin > 0 && maxGapMin <= LONG_WAIT_MIN);
    const open = (limits ?? []).flatMap(({ step: before, maxGapMin = 0 }) => {
      const own = over.get(before)?.filter((one) => havePiecesInCommon(one.task, plan.tasks[task])) ?? [];
      return own.length === 0 ? [] : [opened(Math.min(...own.map(({ end }) => end)), 0, maxGapMin)];
    });
    const [first] = open.sort((a, b) => a.until - b.until);
    return first && now >= first.soonAt ? [{ code: "waits", task, ...first }] : [];
  });
}

const holdsEgg = (name: string): boolean => allergensOf(lineClaims(findIngredient(name), name).contains).includes("egg");

/** Whether pieces of an item are finished with something that has egg in it. */
const isBrushedWithEgg = ({ batches }: Plan, item: string): boolean =>
  batches.some((one) => one.item === item && one.part === "finish" && one.ingredients.some(({ name }) => holdsEgg(name)));

function eggWindows(plan: Plan, { tasks }: RunState): FoodWindow[] {
  return plan.day.items.flatMap(({ id: item }): FoodWindow[] => {
    const own = [...tasks].filter(([id]) => plan.tasks[id]?.item === item && stepIn(plan, id)?.kind === "glaze");
    const starts = own.flatMap(([, { status, start }]) => (status === "skipped" || start === undefined ? [] : [start]));
    // What is in it is looked up last: its words take longest to read, and this is asked each second.
    if (starts.length === 0 || own.every(([, run]) => !isOpen(run)) || !isBrushedWithEgg(plan, item)) return [];
    return [{ code: "egg-wash", item, ...opened(Math.min(...starts), 0, EGG_WASH_MIN) }];
  });
}

function oilWindows(plan: Plan, { tasks }: RunState, rest: { solution: Solution }, now: number): FoodWindow[] {
  const loads = rest.solution.tasks.filter(({ id }) => oilSetC(stepIn(plan, id)) !== undefined);
  const chambers = new Set(plan.problem.resources.flatMap((one) => (one.kind === "chamber" ? [one.id] : [])));
  const inOil = (resource: string) => loads.filter(({ taken }) => taken.includes(resource));
  const resources = new Set(loads.flatMap(({ taken }) => taken.filter((id) => chambers.has(id))));
  return [...resources].flatMap((resource): FoodWindow[] => {
    const own = inOil(resource);
    if (own.some(({ id }) => tasks.get(id)?.status === "running")) return [];
    const ends = own.flatMap(({ id }) => (tasks.get(id)?.status === "done" ? [tasks.get(id)!.end!] : []));
    if (ends.length === 0) return [];
    const since = Math.max(...ends);
    const next = own.flatMap(({ id, start }) => (tasks.get(id)?.status === "waiting" ? [start] : []));
    // Without anything to come it is turned off at once.
    const until = next.length === 0 ? since : since + IDLE_OIL_MIN;
    if (now < since || (next.length === 0 && now > since + IDLE_OIL_MIN)) return [];
    return [{ code: "hot-oil", resource, since, soonAt: until, until, ...(next.length > 0 && { nextAt: Math.min(...next) }) }];
  });
}

/** What a piece of an item has of its dough or its filling, g, as far as the plan's batches say. */
export function partGrams({ batches }: Plan, item: string, part: "dough" | "filling"): number {
  const own = batches.filter((one) => one.item === item && one.part === part);
  const pieces = own.reduce((all, one) => all + one.pieces, 0);
  return pieces === 0 ? 0 : own.reduce((all, { totalG }) => all + totalG, 0) / pieces;
}

function hotPieces(plan: Plan, { tasks, roomC: measuredC }: RunState, now: number): FoodWindow[] {
  const roomC = measuredC ?? roomIn(plan, now);
  return [...tasks].flatMap(([task, { status, end, coreC, gone }]): FoodWindow[] => {
    const step = stepIn(plan, task);
    const isOut = status === "done" && step && isHeat(step) && step.part === "piece" && step.kind !== "blind-bake" && !gone;
    if (!isOut || end === undefined) return [];
    const { item } = plan.tasks[task];
    const of = { coreC: coreC ?? UNMEASURED_C, pieceG: partGrams(plan, item, "dough") + partGrams(plan, item, "filling"), roomC };
    const until = end + coolToEatMin({ ...of, eater: "adult" });
    const childUntil = end + coolToEatMin({ ...of, eater: "child" });
    if (now >= childUntil) return [];
    return [{ code: "too-hot", task, since: end, until, childUntil, coreC: of.coreC, isMeasured: coreC !== undefined }];
  });
}
