import { isHeat, type Step } from "../../item/step";
import { roomIn } from "../../plan/room-in";
import { stepIn, type Plan } from "../../plan/schema";
import { seeded } from "../../shared/chance";
import { candidatesOf } from "../../schedule/problem";
import { oilSetC } from "../oil";
import { partGrams } from "../windows";
import { plannedMinutes } from "../replay";
import type { RunState } from "../run-state";
import type { KitchenDevices } from "./kitchen-devices";

/** What can be made to go wrong in a practice. */
export const FAULTS = ["slow-rise", "burnt-tray", "cook-leaves", "cold-oil", "hot-spot"] as const;
export type Fault = (typeof FAULTS)[number];

/** A rise that is late takes so many times as long; a hot spot bakes in so much of the time. */
const SLOW = 1.4;
const HOT = 0.75;
/** No rise and no heat is just as expected. */
const SPREAD = { rest: 0.1, heat: 0.06 } as const;
/** Pieces go into the heat as warm as this; they get no hotter than the water in them. °C. */
const FROM_C = 20;
/** Pieces divided by a hand are off by so much of their weight at the most. */
const PIECE_OFF = 0.08;
const MOST_C = 99;
/** A core that is reached is over its figure by so much, °C. */
const OVER_C = 1.5;
/** Oil that is cold at first is short by so much, °C, and comes back with this time constant, min. */
const COLD_OIL = { shortC: 35, tauMin: 6 } as const;

/** A kitchen that is not there: when what runs by itself is truly ready, and what its instruments read. The same for one seed. */
export interface SimulatedKitchen extends Pick<KitchenDevices, "roomC"> {
  /** The core of a heat with so many minutes of it gone, °C. */
  readonly coreAfter: (task: string, minutes: number) => number | undefined;
  /** Minutes after its start at which a task is truly ready. */
  readonly readyAfter: (task: string) => number;
  /** The task whose pieces burn, if any. */
  readonly burns: string | undefined;
  /** Who leaves, and at which minute. */
  readonly leaves: { readonly cook: string; readonly minute: number } | undefined;
  /** A piece of a task as it comes off the scale, g: the same one each time. */
  readonly pieceG: (task: string, nth: number) => number | undefined;
  /** The oil as it is set for a task, °C. */
  readonly oilSetC: (task: string) => number | undefined;
  /** The oil of a task so long after it was measured last; `from` undefined: it was not yet. °C. */
  readonly oilAfter: (task: string, from: number | undefined, minutes: number) => number | undefined;
}

/** A kitchen for a plan, with what goes wrong in it. */
export function simulatedKitchen(plan: Plan, seed: number, faults: readonly Fault[]): SimulatedKitchen {
  const chance = seeded(seed);
  const own = plan.solution.tasks.filter(({ id }) => plan.tasks[id]?.step).sort((a, b) => a.start - b.start);
  const of = (want: (step: Step) => boolean) => own.filter(({ id }) => want(stepIn(plan, id)!));
  const one = <T>(all: readonly T[]): T | undefined => (all.length === 0 ? undefined : all[chance.below(all.length)]);
  const has = (fault: Fault) => faults.includes(fault);
  const slowItem = has("slow-rise")
    ? one([...new Set(of(({ kind }) => kind === "final-proof").map(({ id }) => plan.tasks[id].item))])
    : undefined;
  const bakes = of(({ kind }) => kind === "bake");
  const hot = has("hot-spot") ? one(bakes)?.id : undefined;
  const burns = has("burnt-tray") ? burntOf(plan, one(bakes)?.id) : undefined;
  const [first, last] = [own[0]?.start ?? 0, own.at(-1)?.end ?? 0];
  const leaver = has("cook-leaves") && plan.day.cooks.length > 1 ? one(plan.day.cooks) : undefined;
  const factors = new Map(
    own.map(({ id }) => {
      const step = stepIn(plan, id)!;
      const isRise = plan.tasks[id].rise !== undefined;
      const spread = isHeat(step) ? SPREAD.heat : isRise ? SPREAD.rest : 0;
      const slow = step.kind === "final-proof" && plan.tasks[id].item === slowItem ? SLOW : 1;
      return [id, (1 + spread * (2 * chance.unit() - 1)) * slow * (id === hot ? HOT : 1)];
    }),
  );
  const lengths = plannedMinutes(plan);
  const readyAfter = (task: string) => Math.max(1, Math.ceil((lengths.get(task) ?? 1) * (factors.get(task) ?? 1)));
  return {
    readyAfter,
    burns,
    leaves: leaver && { cook: leaver.id, minute: Math.round((first + last) / 2) },
    roomC: (minute) => roomIn(plan, minute),
    coreAfter: (task, minutes) => {
      const step = stepIn(plan, task);
      if (step?.coreC === undefined) return undefined;
      // Heating as cooling by Newton, so that the figure is passed when it is truly ready.
      const wanted = Math.min(step.coreC + OVER_C, MOST_C - 1);
      const tau = readyAfter(task) / Math.log((MOST_C - FROM_C) / (MOST_C - wanted));
      return Math.round((MOST_C - (MOST_C - FROM_C) * Math.exp(-minutes / tau)) * 10) / 10;
    },
    pieceG: (task, nth) => {
      const grams = partGrams(plan, plan.tasks[task].item, "dough");
      const hand = seeded(seed);
      for (let k = 0; k < nth; k++) hand.unit();
      const off = PIECE_OFF * (2 * hand.unit() - 1);
      return grams > 0 ? Math.round(grams * (1 + off)) : undefined;
    },
    oilSetC: (task) => oilSetC(stepIn(plan, task)),
    oilAfter: (task, from, minutes) => {
      const set = oilSetC(stepIn(plan, task));
      if (set === undefined) return undefined;
      const begins = from ?? (has("cold-oil") ? set - COLD_OIL.shortC : set);
      return Math.round(set - (set - begins) * Math.exp(-minutes / COLD_OIL.tauMin));
    },
  };
}

/** What the instruments of a simulated kitchen read where a day has come so far. */
export const devicesOf = (plan: Plan, kitchen: SimulatedKitchen, state: RunState): KitchenDevices => {
  const { tasks, oil } = state;
  return {
    roomC: kitchen.roomC,
    oilC: (task, minute) => kitchen.oilAfter(task, oil?.c, oil ? minute - oil.minute : 0),
    coreC: (task, minute) => {
      const since = tasks.get(task)?.start;
      return since === undefined ? undefined : kitchen.coreAfter(task, minute - since);
    },
    ovenC: (resource, minute) => heatedC(plan, state, resource, minute),
    scaleG: kitchen.pieceG,
  };
};

/** An oven or a steamer as warm as it has become since it was set; with something in it as it was set for that. °C. */
function heatedC(plan: Plan, { tasks, set }: RunState, resource: string, minute: number): number | undefined {
  const chamber = plan.problem.resources.find(({ id }) => id === resource);
  if (chamber?.kind !== "chamber") return undefined;
  for (const { id, uses } of plan.problem.tasks) {
    const use = uses.find((one) => candidatesOf(one).includes(resource));
    if (use?.setting !== undefined && tasks.get(id)?.status === "running") return use.setting;
  }
  const now = set.get(resource);
  return now ? Math.round(Math.min(now.c, chamber.start + chamber.heat * Math.max(0, minute - now.minute))) : chamber.start;
}

/** What burns of a bake: its first tray, where what comes after is done tray by tray; else the whole load. */
function burntOf(plan: Plan, bake: string | undefined): string | undefined {
  if (bake === undefined) return undefined;
  const { item, range } = plan.tasks[bake];
  const end = plan.solution.tasks.find(({ id }) => id === bake)!.end;
  const after = plan.solution.tasks
    .filter(({ id, start }) => {
      const info = plan.tasks[id];
      return info?.step && info.item === item && start >= end && info.range[0] >= range[0] && info.range[1] <= range[1];
    })
    .sort((a, b) => a.start - b.start);
  return after.find(({ id }) => plan.tasks[id].pieces < plan.tasks[bake].pieces)?.id ?? bake;
}
