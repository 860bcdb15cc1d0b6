import { Layout } from "./layout";
import { capacitiesOf, chamberOf, usesEquipment, type Carrier } from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { overlaps, sizeOf, type Range } from "../shared/range";
import { groupsOf, MADE, type Group } from "./groups";
import type { Item } from "../item/schema";
import type { Step } from "../item/step";
import { Obstacles, type Obstacle } from "./obstacle";
import { joinAlike } from "./joint";
import { cutAt, lotsOf } from "./partition";
import type { Kitchen } from "../kitchen/schema";
import type { Strategy } from "./strategy";

/** Pieces of one item and the step of that item that is done to them. */
export interface Share {
  readonly item: Item;
  readonly step: Step;
  readonly range: Range;
}

/** One piece of work: a step done to a range of pieces. Becomes one task of the problem. */
export interface Work extends Share {
  readonly id: string;
  /** Pieces of other items in the same mix: the same step under the name it has there. */
  readonly also: readonly Share[];
  /** Demands whose pieces it carries. */
  readonly demands: readonly Demand[];
  readonly carrier?: Carrier;
  /** Carriers in use: trays of a load, tiers of a load, else 1. */
  readonly carriers: number;
  /** Carriers of each pool where they are of several sizes. */
  readonly sizes?: Readonly<Record<string, number>>;
  /** Chambers or pans that it may go into where they are of several sizes. */
  readonly into?: readonly string[];
  readonly chamber?: "oven" | "steamer" | "fryer" | "lidded-pan";
  /** True for steps that dough or filling share between demands. */
  readonly shared: boolean;
}

/** The pieces of every item that a work is done to, its own first. */
export const sharesOf = (work: Work): readonly Share[] => [work, ...work.also];

/** Pieces that a work is done to, of whatever item. */
export const piecesIn = (work: Work): number => sharesOf(work).reduce((sum, { range }) => sum + sizeOf(range), 0);

/** The pools that a work's carriers come from, and how many from each. */
export const carriersOf = ({ carrier, carriers, sizes }: Work): readonly (readonly [string, number])[] =>
  sizes ? Object.entries(sizes) : carrier ? [[carrier, carriers]] : [];

/** Everything there is to do, before any time is given to it. */
export interface Workload {
  readonly works: readonly Work[];
  readonly groups: readonly Group[];
  /** What makes the whole impossible. */
  readonly obstacles: readonly Obstacle[];
}

/**
 * Divides what a gathering wants into works: shared doughs and fillings, mixes, lots and loads.
 * @param mixTogether doughs and fillings that are the same in several items are made once
 */
export function workloadOf(
  demands: readonly Demand[],
  kitchen: Kitchen,
  strategy: Strategy,
  mixTogether: boolean = false,
): Workload {
  const works: Work[] = [];
  const obstacles = new Obstacles();
  const items = [...new Set(demands.map((demand) => demand.item))];
  const apart = items.flatMap((item) => {
    const own = demands.filter((demand) => demand.item === item);
    const capacities = capacitiesOf(item, kitchen);
    return MADE.flatMap((what) => groupsOf(own, what, kitchen, capacities, obstacles, strategy.smallLots));
  });
  const groups = mixTogether ? joinAlike(apart, kitchen) : apart;
  for (const item of items) {
    const own = demands.filter((demand) => demand.item === item);
    const add = (
      share: Share,
      rest: Pick<Work, "carrier" | "carriers" | "sizes" | "into" | "shared">,
      also: readonly Share[] = [],
    ) => {
      const { step } = share;
      const carried = demands.filter((d) => [share, ...also].some((s) => s.item === d.item && overlaps(s.range, d.range)));
      works.push({ id: workId(share), ...share, also, demands: carried, chamber: chamberOf(step), ...rest });
    };
    for (const group of groups.filter((g) => g.item === item && !isGuest(g))) addShared(group, kitchen, add);
    for (const demand of own) {
      const made = groups.filter((group) => group.demands.includes(demand));
      const shared = new Set(made.flatMap((group) => group.steps.map((step) => step.id)));
      const mixes = made.find((group) => group.part === "dough")?.mixes ?? [demand.range];
      const steps = demand.steps.filter((step) => !shared.has(step.id));
      const layout = new Layout(demand, steps, cutAt(demand.range, mixes), capacitiesOf(item, kitchen), kitchen, strategy);
      for (const step of steps)
        for (const { range, ...carried } of layout.partsOf(step)) add({ item, step, range }, { ...carried, shared: false });
      layout.obstacles.forEach((obstacle) => obstacles.add(obstacle));
    }
  }
  return { works, groups, obstacles: obstacles.all };
}

/** Stable: the same pieces at the same step have the same name in every plan. */
const workId = ({ item, step, range }: Share): string => `${item.id}/${step.id}/${range[0]}-${range[1]}`;

const isGuest = (group: Group): boolean => group.together !== undefined && group.guests.length === 0;

/** The works of a dough or filling, with the shares of the items that are made with it. */
function addShared(
  group: Group,
  kitchen: Kitchen,
  add: (share: Share, rest: Pick<Work, "carrier" | "carriers" | "sizes" | "into" | "shared">, also: readonly Share[]) => void,
): void {
  group.steps.forEach((step, i) => {
    const carrier = step.equipment.some((e) => e.id === "tray") ? ("tray" as const) : undefined;
    const byMix = group.byMix.has(step.id);
    const ranges = byMix ? group.mixes : withinTins(step, group.range, kitchen);
    ranges.forEach((range, mix) => {
      const also = group.guests.map((guest): Share => ({
        item: guest.item,
        step: guest.steps[i],
        range: byMix ? guest.mixes[mix] : guest.range,
      }));
      const shares = [{ item: group.item, step, range }, ...also].filter((share) => sizeOf(share.range) > 0);
      add(shares[0], { shared: true, carriers: 1, carrier }, shares.slice(1));
    });
  });
}

/** Parts for which there are tins enough: a step takes one a piece. */
function withinTins(step: Step, range: Range, kitchen: Kitchen): Range[] {
  const tins = kitchen.equipment.tins?.count ?? 0;
  return tins > 0 && usesEquipment(step, "tins") ? lotsOf(range, tins) : [range];
}
