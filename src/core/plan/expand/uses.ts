import type { Obstacle } from "../../batching/obstacle";
import { chambersAt, isChamber, poolSize } from "../../kitchen/equipment";
import { sizesOf } from "../../kitchen/sizes";
import { isCarrier, type Capacities } from "../../kitchen/capacity";
import { sizeOf } from "../../shared/range";
import type { Cook, Kitchen } from "../../kitchen/schema";
import type { Tend } from "./timing";
import { carriersOf, piecesIn, type Work } from "../../batching/work";

import type { TaskInput } from "./task-input";
export type UseInput = NonNullable<TaskInput["uses"]>[number];

/** Needed only while hands are at work; the first four are done without where the kitchen has none. */
const SMALL_TOOLS = ["scale", "probe", "rolling-pin", "piping-bag", "worktop"];

/** Pool in which "somebody is about" is counted, for steps that only need a cook within reach. */
export const ABOUT = "somebody-about";

export interface EquipmentUse extends UseInput {
  /** Amount before fractions are made whole, with the pool it belongs to. */
  readonly fraction?: number;
}

/** What a work takes of the equipment; what the kitchen lacks goes to `lacks`. */
export function equipmentUses(
  work: Work,
  tends: readonly Tend[],
  kitchen: Kitchen,
  capacities: Capacities,
  fryRank: (work: Work) => number,
  lacks: (obstacle: Obstacle) => void,
): EquipmentUse[] {
  const { step } = work;
  const uses: EquipmentUse[] = [];
  const at = { item: work.item.id, kind: step.kind };
  for (const entry of step.equipment) {
    if (isChamber(entry.id)) {
      const { ids, setting, mostC } = chambersAt(entry.id, entry.settingC ?? 100, kitchen, work.into);
      if (mostC === undefined) lacks({ code: "not-there", ...at, equipment: entry.id });
      else if (ids.length === 0) lacks({ code: "too-hot", ...at, equipment: entry.id, settingC: setting, mostC });
      else uses.push(chamberUse(entry, ids, setting, work, kitchen, fryRank));
      if (entry.id === "steamer" && poolSize("steamer-tier", kitchen))
        uses.push({ resource: "steamer-tier", fraction: tiersOf(work, capacities, kitchen) });
      continue;
    }
    if (isCarrier(entry.id) && work.sizes) {
      for (const [pool, n] of carriersOf(work)) {
        const most = poolSize(pool, kitchen) ?? 0;
        if (n > most) lacks({ code: "too-few", ...at, equipment: pool, needed: n, there: most });
        else uses.push({ resource: pool, fraction: n });
      }
      continue;
    }
    const id =
      isCarrier(entry.id) && work.carrier ? work.carrier : (work.into?.find((pan) => pan.startsWith(entry.id)) ?? entry.id);
    const there = poolSize(id, kitchen) ?? 0;
    const small = SMALL_TOOLS.includes(id);
    if (there <= 0) {
      if (!small || id === "worktop") lacks({ code: "not-there", ...at, equipment: id });
      continue;
    }
    const each = entry.amount ?? 1;
    const fraction = id === "tins" ? piecesIn(work) : isCarrier(id) ? each * work.carriers : each;
    if (fraction > there) {
      lacks({ code: "too-few", ...at, equipment: id, needed: fraction, there });
      continue;
    }
    if (!small || step.attention === "hands-on") uses.push({ resource: id, fraction });
    else for (const tend of tends) uses.push({ resource: id, fraction, from: tend.from, minutes: Math.max(...tend.minutes) });
  }
  return uses;
}

/** Tiers of steamers of one size. */
const tiersIn = (ids: readonly string[] | undefined, kitchen: Kitchen): number =>
  sizesOf("steamer", kitchen).find((size) => !ids || size.ids.some((id) => ids.includes(id)))?.is.tiers ?? 1;

/** Shelves of the smallest of these ovens. */
const shelvesIn = (ids: readonly string[], kitchen: Kitchen): number =>
  Math.min(
    ...sizesOf("oven", kitchen)
      .filter((size) => size.ids.some((id) => ids.includes(id)))
      .map(({ is }) => is.shelfPositions),
  );

function tiersOf(work: Work, capacities: Capacities, kitchen: Kitchen): number {
  const room = capacities.rooms.steamer.find(({ ids }) => ids.some((id) => work.into?.includes(id)));
  const tier = room?.tier ?? capacities.tier ?? sizeOf(work.range);
  return Math.min(tiersIn(work.into, kitchen), Math.max(1, Math.ceil(sizeOf(work.range) / tier)));
}

function chamberUse(
  { id, most }: Work["step"]["equipment"][number],
  ids: readonly string[],
  setting: number,
  work: Work,
  kitchen: Kitchen,
  fryRank: (work: Work) => number,
): EquipmentUse {
  const resource = ids.length === 1 ? ids[0] : [...ids];
  // Trays that are to be in by themselves have all the shelves.
  if (id === "oven") return { resource, amount: most === undefined ? work.carriers : shelvesIn(ids, kitchen), setting };
  // The lid stays shut: a steamer filling has the whole stack to itself, whatever tiers it needs.
  if (id === "steamer") return { resource, amount: tiersIn(ids, kitchen), setting };
  return { resource, amount: 1, setting, rank: fryRank(work) };
}

/** Hands for a work: throughout for hands-on work, else for its tends, each a choice of its own. */
export function handUses(work: Work, tends: readonly Tend[], cooks: readonly Cook[]): UseInput[] {
  const ids = cooks.map((cook) => cook.id);
  const resource = ids.length === 1 ? ids[0] : ids;
  const uses: UseInput[] = [];
  if (work.step.attention === "hands-on") for (let i = 0; i < Math.max(1, work.step.hands); i++) uses.push({ resource });
  else
    for (const { from, minutes } of tends)
      uses.push({
        resource,
        from,
        minutes: ids.length === 1 || minutes.every((m) => m === minutes[0]) ? minutes[0] : [...minutes],
      });
  if (work.step.attention === "glance") uses.push({ resource: ABOUT });
  return uses;
}

/** Smallest whole factor that makes every fraction of a pool a whole number. */
export function wholeFactor(shares: readonly number[]): number {
  const whole = (k: number) => shares.every((fraction) => Math.abs(fraction * k - Math.round(fraction * k)) < 1e-9);
  for (let k = 1; k <= 100; k++) if (whole(k)) return k;
  return 1000;
}
