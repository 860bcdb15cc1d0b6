import type { Demand } from "../../gathering/demands";
import { ingredientOf } from "../../ingredients/lookup";
import { overlaps } from "../../shared/range";
import { isCarrier } from "../../kitchen/capacity";
import { sharesOf, type Share, type Work } from "../../batching/work";

/** From the end of one work to the start of another, min; `max` undefined: no limit. */
export interface Link {
  readonly before: Work;
  readonly after: Work;
  readonly min: number;
  readonly max?: number;
  /** The next step begins in the minute in which this one ends. */
  readonly tied: boolean;
  /** Waiting after a rest of least length: the limit is what is left of the rest's window. */
  readonly withinRest?: boolean;
}

/** A carrier, or what a rest takes, that stays taken between two works. */
export interface Wait {
  readonly id: string;
  readonly before: Work;
  /** The works to whose starts it waits; with several it lasts until the last of them begins. */
  readonly until: readonly Work[];
  readonly min: number;
  readonly max: number;
  readonly carriers: number;
  /** Takes all that the rest before it took, not the carrier alone. */
  readonly asBefore: boolean;
  /** On the way into the freezer: also on a fridge shelf. */
  readonly onShelf: boolean;
}

export interface Linked {
  readonly links: readonly Link[];
  readonly waits: readonly Wait[];
  /** Rests that last exactly their least time, because several works follow them at different times. */
  readonly shortRests: ReadonlySet<string>;
  /** Works that follow one another in one chamber or from one lot: starts in this order. */
  readonly order: readonly (readonly [Work, Work])[];
}

const LONG = 6000;

/** Connects the works as the steps' `after` say, piece by piece, and finds where carriers wait between them. */
export function linkWorks(works: readonly Work[]): Linked {
  const byStep = new Map<string, Work[]>();
  for (const work of works)
    for (const { item, step } of sharesOf(work)) {
      const key = `${item.id}/${step.id}`;
      byStep.set(key, [...(byStep.get(key) ?? []), work]);
    }
  const raw: { before: Work; after: Work; minGap?: number; maxGap?: number }[] = [];
  for (const after of works) {
    // Items that are mixed together name the same work before: one link is enough.
    const named = new Set<Work>();
    for (const share of sharesOf(after))
      for (const { step, minGapMin, maxGapMin } of share.step.after)
        for (const before of byStep.get(`${share.item.id}/${step}`) ?? []) {
          if (named.has(before) || !meets(before, share) || !sharesDemand(before, after)) continue;
          named.add(before);
          raw.push({ before, after, minGap: minGapMin, maxGap: maxGapMin });
        }
  }

  const followers = new Map<Work, typeof raw>();
  const leaders = new Map<Work, number>();
  for (const link of raw) {
    followers.set(link.before, [...(followers.get(link.before) ?? []), link]);
    leaders.set(link.after, (leaders.get(link.after) ?? 0) + 1);
  }

  const links: Link[] = [];
  const waits: Wait[] = [];
  const shortRests = new Set<string>();
  const order: [Work, Work][] = [];
  for (const [before, list] of followers) {
    const { step } = before;
    const resting = step.rest !== undefined;
    const waitingRests = (link: (typeof raw)[number]) =>
      resting && link.minGap === undefined && link.maxGap === undefined && !step.ahead;
    const short = list.length > 1 && list.some(waitingRests);
    if (short) shortRests.add(before.id);
    const own = list.map((link): Link => {
      const ahead = step.ahead ? step.ahead.hours * 60 : undefined;
      const max = least(link.maxGap, ahead);
      const min = Math.ceil(link.minGap ?? 0);
      if (waitingRests(link)) {
        if (short) return { ...link, min: 0, tied: false, withinRest: true };
        return { ...link, min: 0, max: 0, tied: true };
      }
      const tied = list.length === 1 && min === 0 && goesStraightOn(before, link.after, leaders.get(link.after) ?? 1);
      return { ...link, min, max: tied ? 0 : max === undefined ? undefined : Math.floor(max), tied };
    });
    links.push(...own);
    waits.push(...waitsAfter(before, own, short, order));
  }
  return { links: [...links, ...plantFirst(works)], waits, shortRests, order };
}

const rankOf = ({ resolved }: Demand): number =>
  resolved.fillingComponents.some((line) => ANIMAL.includes(ingredientOf(line)?.hazard ?? "")) ? 1 : 0;
const ANIMAL: readonly string[] = ["poultry", "mincedMeat", "meat", "fish", "egg"];

/**
 * Where fillings share a base, those of plants are finished before those with meat, fish or egg: one board and one pan may do for
 * both only in that order.
 */
function plantFirst(works: readonly Work[]): Link[] {
  const own = works.filter(({ step, item }) => step.part === "filling" && !step.base && item.steps.some((one) => one.base));
  const done = own.filter(({ step }) => ["mix", "cook-filling"].includes(step.kind));
  return done.flatMap((before) =>
    done
      .filter((after) => after.item === before.item && rankOf(before.demands[0]) < rankOf(after.demands[0]))
      .map((after) => ({ before, after, min: 0, tied: false })),
  );
}

const meets = (work: Work, { item, range }: Share): boolean =>
  sharesOf(work).some((own) => own.item === item && overlaps(own.range, range));

const sharesDemand = (a: Work, b: Work): boolean => a.demands.some((demand) => b.demands.includes(demand));

const least = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined ? b : b === undefined ? a : Math.min(a, b);

/**
 * Whether the next step may as well begin at once: a rest that needs no more than what is there already, a rest on a
 * shelf where the piece keeps lying, the mixer going on, pricking after brushing.
 */
function goesStraightOn(before: Work, after: Work, leaders: number): boolean {
  if (leaders > 1) return false;
  if (before.step.rest) {
    const lies = before.step.equipment.length > 0 && before.step.ahead?.where === before.step.rest.where;
    return lies && before.step.rest.max >= 240;
  }
  const same = before.carrier !== undefined && before.carrier === after.carrier;
  if (after.step.rest) return after.step.rest.where === "room" && (same || before.carrier === undefined);
  const mixing = (work: Work) => work.step.equipment.some((e) => e.id === "mixer");
  if (mixing(before) && mixing(after)) return true;
  return same && before.step.attention === "hands-on" && after.step.kind === "dock";
}

function waitsAfter(before: Work, links: readonly Link[], short: boolean, order: [Work, Work][]): Wait[] {
  const carrying = before.carrier !== undefined && isCarrier(before.carrier);
  const takes = before.step.rest !== undefined && before.step.equipment.length > 0;
  if (!carrying && !(short && takes)) return [];
  const open = links.filter((link) => !link.tied);
  if (open.length === 0) return [];
  // Starts in the order of the pieces: the followers are alike, and one order is as good as another.
  const sorted = [...open].sort((a, b) => a.after.range[0] - b.after.range[0]);
  for (let i = 1; i < sorted.length; i++) order.push([sorted[i - 1].after, sorted[i].after]);
  return [
    {
      id: `${before.id}/wait`,
      before,
      until: sorted.map((link) => link.after),
      min: Math.max(...sorted.map((link) => link.min)),
      max: Math.min(LONG, Math.max(...sorted.map((link) => link.max ?? LONG))),
      carriers: before.carriers,
      asBefore: short,
      onShelf: sorted.some((link) => link.after.step.kind === "freeze"),
    },
  ];
}
