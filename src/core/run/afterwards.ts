import { isHeat } from "../item/step";
import { roomIn } from "../plan/room-in";
import { stepIn, type Plan } from "../plan/schema";
import { down } from "../shared/rounding";
import { AMOUNTS, type AmountKind } from "./events";
import { OIL_OFF_C, oilSetC } from "./oil";
import { plannedMinutes } from "./replay";
import type { RunState } from "./run-state";
import { partGrams } from "./windows";

/** One step of a day as it was planned and as it went, min of the plan, °C. */
export interface StepAfter {
  readonly task: string;
  readonly planned: { readonly start: number; readonly minutes: number };
  /** Undefined where nothing of it happened. */
  readonly went: { readonly start: number; readonly minutes: number } | undefined;
  /** Nobody said when it was over: what came after it was begun. */
  readonly isAssumed: boolean;
  readonly coreC?: { readonly wantedC: number; readonly measuredC: number | undefined };
  readonly gone?: "lost" | "frozen";
  readonly isLeftOut: boolean;
  readonly reason?: string;
}

/** The steps of a day in their order, planned and happened side by side. */
export function stepsAfter(plan: Plan, state: RunState): StepAfter[] {
  const minutes = plannedMinutes(plan);
  return plan.solution.tasks
    .filter(({ id }) => plan.tasks[id]?.step)
    .map(({ id, start }): StepAfter => {
      const step = stepIn(plan, id);
      const run = state.tasks.get(id)!;
      const isOver = run.start !== undefined && run.end !== undefined && run.status === "done";
      return {
        task: id,
        planned: { start, minutes: minutes.get(id)! },
        went: isOver ? { start: run.start!, minutes: run.end! - run.start! } : undefined,
        isAssumed: run.isAssumed === true,
        ...(step && isHeat(step) && step.coreC !== undefined && { coreC: { wantedC: step.coreC, measuredC: run.coreC } }),
        ...(run.gone && { gone: run.gone }),
        isLeftOut: run.status === "skipped",
        ...(run.reason !== undefined && { reason: run.reason }),
      };
    })
    .sort((a, b) => (a.went?.start ?? a.planned.start) - (b.went?.start ?? b.planned.start));
}

/** An amount of an item: what was planned of it, and what it came to; undefined where nobody said. */
export interface AmountAfter {
  readonly what: AmountKind;
  readonly planned: number;
  readonly came: number | undefined;
  /** The liquid that is held back, as the item knows it. */
  readonly component?: string;
}

/** The liquid of an item's dough that part of is held back, as its batches have it: what of it goes in is known on the day alone. */
export function heldLiquid(
  { batches }: Plan,
  item: string,
): { readonly component: string; readonly name: string; readonly grams: number } | undefined {
  const lines = batches
    .filter((batch) => batch.item === item && batch.part === "dough")
    .flatMap(({ ingredients }) => ingredients.filter(({ holdBackPct }) => holdBackPct !== undefined));
  const [first] = lines;
  return first && { component: first.id, name: first.name, grams: lines.reduce((sum, { grams }) => sum + grams, 0) };
}

/** Pieces of an item that a plan makes. */
export const piecesIn = ({ pieces }: Plan, item: string): number =>
  pieces.filter((one) => one.item === item).reduce((sum, one) => sum + one.pieces, 0);

/** What is weighed and counted of an item, beside its plan. */
export function amountsAfter(plan: Plan, state: RunState, item: string): AmountAfter[] {
  const came = state.amounts.get(item) ?? {};
  const liquid = heldLiquid(plan, item);
  const pieces = piecesIn(plan, item);
  const planned: Readonly<Record<AmountKind, number>> = {
    water: liquid?.grams ?? 0,
    piece: partGrams(plan, item, "dough") + partGrams(plan, item, "filling"),
    pieces,
    "dough-left": 0,
    "filling-left": 0,
  };
  return (Object.keys(AMOUNTS) as AmountKind[])
    .filter((what) => what !== "water" || liquid)
    .map((what) => ({
      what,
      planned: planned[what],
      came: came[what],
      ...(what === "water" && liquid && { component: liquid.component }),
    }));
}

/** How many pieces an item's dough and filling make when each weighs so much, g. */
export function piecesOf(plan: Plan, item: string, pieceG: number): number {
  const planned = partGrams(plan, item, "dough") + partGrams(plan, item, "filling");
  const pieces = piecesIn(plan, item);
  return pieceG > 0 ? down((pieces * planned) / pieceG) : 0;
}

/** Something of this day that was not as it should be: what may have caused a fault. */
export type Trace =
  | { readonly code: "longer" | "shorter"; readonly task: string; readonly minutes: number; readonly plannedMin: number }
  | { readonly code: "core-short"; readonly task: string; readonly coreC: number; readonly wantedC: number }
  | { readonly code: "oil-cold" | "oil-hot"; readonly c: number; readonly wantedC: number }
  | { readonly code: "room-cold" | "room-warm"; readonly c: number; readonly plannedC: number }
  | { readonly code: "more-water" | "less-water"; readonly grams: number; readonly plannedG: number };

/** From so much on a length is no longer as planned: a part of it, and minutes. */
const OFF = { share: 0.15, minutes: 3, roomC: 2, waterShare: 0.03 } as const;

/** What the day's own record says against an item's plan. */
export function tracesOf(plan: Plan, state: RunState, item: string): Trace[] {
  const own = stepsAfter(plan, state).filter(({ task }) => plan.tasks[task].item === item);
  const lengths = own.flatMap(({ task, planned, went }): Trace[] => {
    const step = stepIn(plan, task);
    if (!went || !step || step.kind === "serve") return [];
    const off = went.minutes - planned.minutes;
    if (Math.abs(off) < OFF.minutes || Math.abs(off) < OFF.share * planned.minutes) return [];
    return [{ code: off > 0 ? "longer" : "shorter", task, minutes: went.minutes, plannedMin: planned.minutes }];
  });
  const cores = own.flatMap(({ task, coreC }): Trace[] =>
    coreC?.measuredC !== undefined && coreC.measuredC < coreC.wantedC
      ? [{ code: "core-short", task, coreC: coreC.measuredC, wantedC: coreC.wantedC }]
      : [],
  );
  const { oil, roomC } = state;
  const setC = own.flatMap(({ task }) => oilSetC(stepIn(plan, task)) ?? [])[0];
  const ofOil: Trace[] =
    oil && setC !== undefined && Math.abs(oil.c - setC) > OIL_OFF_C
      ? [{ code: oil.c < setC ? "oil-cold" : "oil-hot", c: oil.c, wantedC: setC }]
      : [];
  const firstRise = own.find(({ task }) => plan.tasks[task].rise);
  const plannedC = roomIn(plan, firstRise?.planned.start ?? 0);
  const ofRoom: Trace[] =
    firstRise && roomC !== undefined && Math.abs(roomC - plannedC) >= OFF.roomC
      ? [{ code: roomC < plannedC ? "room-cold" : "room-warm", c: roomC, plannedC }]
      : [];
  const water = amountsAfter(plan, state, item).find(({ what }) => what === "water");
  const ofWater: Trace[] =
    water?.came !== undefined && water.planned > 0 && Math.abs(water.came / water.planned - 1) > OFF.waterShare
      ? [{ code: water.came > water.planned ? "more-water" : "less-water", grams: water.came, plannedG: water.planned }]
      : [];
  return [...ofWater, ...cores, ...ofOil, ...ofRoom, ...lengths];
}

/** Words of a cause that a trace speaks for. */
const SPEAKS_FOR: Readonly<Record<Trace["code"], RegExp>> = {
  longer: /too long|too far|over|dried|dry/i,
  shorter: /too short|too soon|too early|not long|not rested|under|raw|hurr/i,
  "core-short": /raw|too short|under|not done/i,
  "oil-cold": /cold|cool|low|too little heat/i,
  "oil-hot": /hot|high/i,
  "room-cold": /cool room|cold room|cool|cold/i,
  "room-warm": /warm room|warm|hot/i,
  "more-water": /wet|too much (water|liquid)|water/i,
  "less-water": /dry|too little (water|liquid)/i,
};

/** A cause of a fault, and what of this day speaks for it. */
export interface Cause {
  readonly text: string;
  readonly because: readonly Trace[];
}

/** The causes of a fault as the item has them, those first that this day's own record speaks for. */
export function causesOf(cause: string, traces: readonly Trace[]): Cause[] {
  return cause
    .split(/,\s*(?:or\s+)?|\s+or\s+|;\s*/)
    .map((text) => text.trim())
    .filter((text) => text !== "")
    .map((text) => ({ text, because: traces.filter(({ code }) => SPEAKS_FOR[code].test(text)) }))
    .sort((a, b) => Math.sign(b.because.length) - Math.sign(a.because.length));
}
