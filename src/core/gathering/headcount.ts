import { roundUpToCarrier } from "../quantities/round-up";
import { capacitiesOf, loadCapacity } from "../kitchen/capacity";
import type { Item } from "../item/schema";
import { ROUNDINGS, type Gathering, type Guests, type Rounding } from "./schema";
import type { Kitchen } from "../kitchen/schema";
import { suits } from "../item/claims";
import { OURS, type Catalogue } from "../ingredients/own";
import { throughStep, type ResolvedItem } from "../item/resolve";
import { sum } from "../shared/rounding";
import { ratesIn } from "./appetite";
import { batchOffers } from "./batch-rounding";
import { servedIn, variantsOf } from "./served";

/** Up to this much more than needed is made where that fills the last carrier, %. (A quarter is the most that is allowed.) */
const MAX_EXTRA_PCT = 15;
/** What restricted guests lose is given back from this share of a wave on; less is not worth another load. */
const WORTH_GIVING_BACK = 0.05;

export interface WaveCount {
  readonly wave: string;
  readonly recipe: string;
  /** From the guests, rounded up once; null where the host asked for a number. */
  readonly needed: number | null;
  /** With what is made to spare, before it is rounded to anything. */
  readonly wanted: number;
  readonly pieces: number;
  /** What the guests would eat of it at their rates, not rounded; also where the host asked for another number. */
  readonly fromGuests: number;
  /** Pieces on a full carrier or in a full load, the unit that `pieces` was rounded to. */
  readonly perCarrier: number;
}

export interface HeadcountAnswer {
  readonly guests: number;
  readonly counts: readonly WaveCount[];
  /** Guests who have nothing to eat in a wave. */
  readonly unserved: readonly { readonly wave: string; readonly guests: Guests }[];
}

/** Pieces by which a demand is best rounded: the last load it goes through, a tray for an oven; 1 where that is done ahead. */
export function carrierUnit(resolved: ResolvedItem, kitchen: Kitchen, done: ReadonlySet<string>): number {
  const capacities = capacitiesOf(resolved.item, kitchen);
  const heated = resolved.steps.filter(
    (step) => step.lot === "load" && step.path.includes("fresh") && loadCapacity(step, capacities),
  );
  const last = heated.filter((step) => step.kind !== "reheat").at(-1);
  if (!last || done.has(last.id)) return 1;
  return last.equipment.some((e) => e.id === "oven") ? capacities.tray : (loadCapacity(last, capacities) ?? capacities.tray);
}

/** Pieces with the spare on top; a quarter more than needed at the most. */
const spared = (needed: number, sparePct: number): number =>
  Math.max(needed, Math.min(Math.ceil(needed * (1 + sparePct / 100) - 1e-9), Math.floor(needed * 1.25)));

/** What is wanted, on full carriers where those cost little; a quarter more than needed at the most. */
function withSpare(needed: number, wanted: number, unit: number): number {
  const full = roundUpToCarrier(wanted, unit, MAX_EXTRA_PCT).pieces;
  return full <= needed * 1.25 ? full : wanted;
}

/**
 * Pieces of each item in each wave. A count that the host asked for stands. Else: the sum over those who may eat it
 * of pieces a head by age, rounded up once. What a guest may not eat is given back in the items that suit, first by
 * the pieces that fill carriers anyway, then in the one item with the smallest loads; nobody's share of an item grows by
 * more than (weight of all the wave's rates) ÷ (weight of those that suit).
 */
export function countWaves(
  gathering: Gathering,
  items: ReadonlyMap<string, Item>,
  kitchen: Kitchen,
  catalogue: Catalogue = OURS,
): HeadcountAnswer {
  const served = servedIn(gathering, items, catalogue);
  const counts: WaveCount[] = [];
  const unserved: { wave: string; guests: Guests }[] = [];
  const present = gathering.guests.filter((guests) => guests.count > 0);
  for (const wave of gathering.waves) {
    const rates = ratesIn(
      wave,
      wave.items.map((entry) => items.get(entry.recipe)!),
    );
    const entries = wave.items.map((entry, i) => {
      const item = items.get(entry.recipe)!;
      const made = variantsOf(entry).map(({ choices, filling }) => served(item, choices, filling));
      const resolved = made.map((one) => one.resolved);
      const fits = (guests: Guests) => made.some(({ claims }) => suits(guests, claims));
      const ahead = gathering.doneAhead.filter((a) => a.recipe === entry.recipe && a.pieces === undefined);
      const done = new Set(ahead.flatMap((a) => [...throughStep(resolved[0].steps, a.through)]));
      return {
        entry,
        rate: (guests: Guests) => rates(guests)[i],
        fits,
        unit: Math.max(1, carrierUnit(resolved[0], kitchen, done)),
      };
    });
    for (const guests of present) if (!entries.some(({ fits }) => fits(guests))) unserved.push({ wave: wave.id, guests });

    const base = entries.map(({ rate, fits }) => present.reduce((sum, g) => sum + (fits(g) ? g.count * rate(g) : 0), 0));
    const rounded = base.map((pieces, i) => roundUpToCarrier(Math.ceil(pieces - 1e-9), entries[i].unit, MAX_EXTRA_PCT).pieces);
    const room = entries.map(() => 0);
    let lost = 0;
    for (const guests of present) {
      const all = entries.reduce((sum, { rate }) => sum + rate(guests), 0);
      const eaten = entries.reduce((sum, { rate, fits }) => sum + (fits(guests) ? rate(guests) : 0), 0);
      if (eaten === 0 || eaten === all) continue;
      lost += guests.count * (all - eaten);
      entries.forEach(({ rate, fits }, i) => {
        if (fits(guests)) room[i] += guests.count * rate(guests) * (all / eaten - 1);
      });
    }
    const covered = rounded.reduce((sum, pieces, i) => sum + (room[i] > 0 ? Math.min(room[i], pieces - base[i]) : 0), 0);
    const open = lost > WORTH_GIVING_BACK * base.reduce((sum, pieces) => sum + pieces, 0) ? Math.max(0, lost - covered) : 0;
    const given = entries.map(() => 0);
    for (const i of entries.map((_, i) => i).sort((a, b) => entries[a].unit - entries[b].unit || room[b] - room[a])) {
      const beyond = Math.max(0, rounded[i] - base[i]);
      const take = Math.min(open, room[i] - beyond);
      if (take <= 1e-9) continue;
      const needed = Math.ceil(base[i] + beyond + take - 1e-9);
      if (roundUpToCarrier(needed, entries[i].unit, MAX_EXTRA_PCT).pieces % entries[i].unit !== 0) {
        // Rather whole loads and a little less than a last load that is nearly empty.
        const whole = Math.floor(needed / entries[i].unit) * entries[i].unit;
        if (whole <= rounded[i]) continue;
        given[i] = whole - base[i];
        break;
      }
      given[i] = beyond + take;
      break;
    }
    entries.forEach(({ entry, unit }, i) => {
      const fromGuests = base[i] + given[i];
      const needed = Math.ceil(fromGuests - 1e-9);
      const wanted = spared(needed, gathering.sparePct ?? 0);
      const same = { wave: wave.id, recipe: entry.recipe, perCarrier: unit, wanted };
      if (entry.pieces !== undefined) counts.push({ ...same, needed: null, pieces: entry.pieces, fromGuests: base[i] });
      else {
        const isExact = entry.rounding !== undefined && entry.rounding !== "carriers";
        const pieces = needed === 0 ? 0 : isExact ? wanted : withSpare(needed, wanted, unit);
        counts.push({ ...same, needed, pieces, fromGuests });
      }
    });
  }
  return {
    counts: inBatches(counts, gathering, items),
    unserved,
    guests: present.reduce((sum, g) => sum + g.count, 0),
  };
}

/** Pieces that are made of each item in all: for the waves, and for the freezer beyond what is there. */
const madeInAll = (counts: readonly WaveCount[], { freezer }: Pick<Gathering, "freezer">, recipe: string): number =>
  sum(counts.filter((count) => count.recipe === recipe).map(({ pieces }) => pieces)) +
  sum(freezer.filter((entry) => entry.recipe === recipe).map(({ pieces, onHand }) => pieces - (onHand ?? 0)));

/** Raises what is made in half or whole batches of the recipe: all of an item together, in the entry that asks for it. */
function inBatches(counts: WaveCount[], gathering: Gathering, items: ReadonlyMap<string, Item>): WaveCount[] {
  for (const wave of gathering.waves)
    for (const { recipe, rounding, pieces } of wave.items) {
      if (pieces !== undefined || (rounding !== "half-batch" && rounding !== "whole-batch")) continue;
      const offers = batchOffers(Math.max(0, madeInAll(counts, gathering, recipe)), items.get(recipe)!.base.pieces);
      const { surplus } = rounding === "half-batch" ? offers.half : offers.whole;
      counts = counts.map((count) =>
        count.wave === wave.id && count.recipe === recipe ? { ...count, pieces: count.pieces + surplus } : count,
      );
    }
  return counts;
}

/** What rounding an entry one way comes to. */
export interface RoundingOffer {
  readonly rounding: Rounding;
  readonly pieces: number;
  /** Times the item's recipe, all that is made of it together. */
  readonly factor: number;
  /** Pieces beyond what is wanted. */
  readonly surplus: number;
}

/** Each way of rounding an item of a wave, with what it comes to; as if no number had been asked for. */
export const roundingOffers = (
  gathering: Gathering,
  items: ReadonlyMap<string, Item>,
  kitchen: Kitchen,
  wave: string,
  recipe: string,
  catalogue: Catalogue = OURS,
): RoundingOffer[] =>
  ROUNDINGS.map((rounding) => {
    const waves = gathering.waves.map((one) => ({
      ...one,
      items: one.items.map((entry) =>
        one.id === wave && entry.recipe === recipe ? { ...entry, rounding, pieces: undefined } : entry,
      ),
    }));
    const { counts } = countWaves({ ...gathering, waves }, items, kitchen, catalogue);
    const own = counts.find((count) => count.wave === wave && count.recipe === recipe)!;
    const factor = madeInAll(counts, gathering, recipe) / items.get(recipe)!.base.pieces;
    return { rounding, pieces: own.pieces, factor, surplus: Math.max(0, own.pieces - own.wanted) };
  });

/** How many come in all. */
export const guestTotal = (gathering: Pick<Gathering, "guests">): number => sum(gathering.guests.map((group) => group.count));
