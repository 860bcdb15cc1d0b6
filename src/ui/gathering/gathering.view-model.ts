import { batchesFor } from "@/core/batching/batches";
import { alikeGroups } from "@/core/batching/joint";
import type { Quantities } from "@/core/plan/quantities";
import type { Item } from "@/core/item/schema";
import { suits } from "@/core/item/claims";
import { claimsLine, oilText } from "@/core/item/claims-text";
import type { PlanRequest } from "@/core/plan/request";
import { apportion } from "@/core/quantities/apportion";
import { carrierText } from "@/core/plan/task-text";

/** What one item of a wave or of the freezer comes to. */
export interface DemandRow {
  readonly pieces: number;
  /** From the guests, with the spare, before rounding; null where a number was asked for. */
  readonly wanted: number | null;
  readonly doughG: number;
  readonly fillingG: number;
  /** "1 oven load · 3 trays", or what is done ahead. */
  readonly loads: string;
  /** How many guests like these the pieces would feed; undefined where nobody is counted for it. */
  readonly feeds: number | undefined;
  /** Pieces on one full carrier or in one full load; 1 where nothing is filled. */
  readonly perCarrier: number;
  /** Who may eat it and what is in it, under its options and with the oil it shares; a line for each filling. */
  readonly claims: readonly string[];
}

const CHAMBER_WORD: Readonly<Record<string, string>> = { oven: "oven", steamer: "steamer", fryer: "fryer", "lidded-pan": "pan" };

/** Row for an item in a wave (its id) or in the freezer ("freezer"); undefined while it has no pieces. */
export function demandRow(q: Quantities, target: string, recipe: string): DemandRow | undefined {
  const own = q.pieces.filter((count) => count.for === target && count.item === recipe);
  if (own.length === 0) return undefined;
  const pieces = own.reduce((sum, count) => sum + count.pieces, 0);
  const all = q.pieces.filter((count) => count.item === recipe).reduce((sum, count) => sum + count.pieces, 0);
  const count = q.headcount.counts.find((c) => c.wave === target && c.recipe === recipe);
  const weighed = (part: string) =>
    q.batches.filter((b) => b.item === recipe && b.part === part).reduce((sum, b) => sum + b.totalG, 0);
  return {
    pieces,
    wanted: count && count.needed !== null ? count.wanted : null,
    doughG: (weighed("dough") * pieces) / all,
    fillingG: (weighed("filling") * pieces) / all,
    loads: loadsText(q, target, recipe),
    feeds: feedsOf(q, target, recipe, pieces),
    perCarrier: count?.perCarrier ?? 1,
    claims: [
      ...new Set(
        q.demands
          .filter((d) => d.for === target && d.item.id === recipe)
          .map(({ claims }) => [claimsLine(claims), oilText(claims)].filter(Boolean).join("; may contain ")),
      ),
    ],
  };
}

/** The question the other way round: guests in the same mixture for whom so many pieces are enough. */
function feedsOf(q: Quantities, target: string, recipe: string, pieces: number): number | undefined {
  const count = q.headcount.counts.find((c) => c.wave === target && c.recipe === recipe);
  if (!count || !(count.fromGuests > 0)) return undefined;
  return Math.floor((pieces * q.headcount.guests) / count.fromGuests + 1e-9);
}

/** Who may eat what in one wave. */
export interface Coverage {
  readonly wave: string;
  readonly name: string;
  readonly rows: readonly { readonly who: string; readonly count: number; readonly items: readonly string[] }[];
}

/** Guests who keep to something, wave by wave, with what there is for them; guests who eat everything need no line. */
export function coverage(request: PlanRequest, q: Quantities): Coverage[] {
  return request.gathering.waves
    .filter((wave) => wave.items.length > 0)
    .map((wave) => {
      const groups = new Map<string, { who: string; count: number; items: string[] }>();
      for (const guests of request.gathering.guests) {
        if (guests.count <= 0 || (guests.diet.length === 0 && guests.avoid.length === 0)) continue;
        const demands = q.demands.filter((d) => d.for === wave.id && suits(guests, d.claims));
        const who = [guests.diet.at(-1), guests.avoid.length > 0 ? `no ${guests.avoid.join(", no ")}` : undefined]
          .filter(Boolean)
          .join(", ");
        const known = groups.get(who);
        groups.set(who, { who, count: (known?.count ?? 0) + guests.count, items: [...new Set(demands.map((d) => d.item.name))] });
      }
      return { wave: wave.id, name: wave.name, rows: [...groups.values()] };
    })
    .filter(({ rows }) => rows.length > 0);
}

function loadsText(q: Quantities, target: string, recipe: string): string {
  const works = q.expansion.workload.works.filter(
    (work) => !work.shared && work.item.id === recipe && work.demands[0].for === target,
  );
  const parts: string[] = [];
  const chambers = new Map<string, number>();
  for (const work of works)
    if (work.chamber && !work.step.rest) chambers.set(work.chamber, (chambers.get(work.chamber) ?? 0) + 1);
  for (const [chamber, n] of chambers) parts.push(`${n} ${CHAMBER_WORD[chamber]} ${n === 1 ? "load" : "loads"}`);
  const carried = works.filter((work) => work.carrier && work.carriers === 1);
  const step = carried.at(-1)?.step.id;
  const lots = carried.filter((work) => work.step.id === step);
  if (lots.length > 0) parts.push(carrierText(lots[0].carrier!, lots.length));
  const demand = q.demands.find((d) => d.for === target && d.item.id === recipe);
  if (demand && demand.done.size > 0) parts.push(demand.steps.length <= 3 ? "mostly done ahead" : "partly done ahead");
  return parts.join(" · ");
}

/** A dough or filling that several items have in common, and what each takes of it. */
export interface Common {
  readonly part: "dough" | "filling";
  readonly totalG: number;
  readonly shares: readonly { readonly name: string; readonly grams: number }[];
}

export function commonOf(q: Quantities): Common[] {
  return alikeGroups(q.expansion.workload.groups).map((set) => {
    const shares = set.map(({ item, part, range }) => ({
      name: item.name,
      grams: batchesFor(q.batches, item.id, range)
        .filter((batch) => batch.part === part)
        .reduce((sum, batch) => sum + batch.totalG, 0),
    }));
    return { part: set[0].part, totalG: shares.reduce((sum, share) => sum + share.grams, 0), shares };
  });
}

/** A group of guests as far as its count and its needs go. */
interface GroupSize {
  readonly count: number;
  readonly diet?: readonly unknown[];
  readonly avoid?: readonly unknown[];
}

/**
 * Spreads a new total over the groups that eat everything, in proportion to what they were, largest remainder first.
 * Who keeps a diet or has an allergy stays: nobody's need is scaled away.
 * @returns the counts, or how many the groups with a need are where the total is less than they
 */
export function spreadTotal(groups: readonly GroupSize[], total: number): { counts: number[] } | { least: number } {
  const counts = groups.map(({ count }) => (Number.isFinite(count) ? Math.max(0, count) : 0));
  const kept = groups.map(({ diet = [], avoid = [] }) => diet.length > 0 || avoid.length > 0);
  const least = counts.reduce((sum, count, i) => sum + (kept[i] ? count : 0), 0);
  if (total < least) return { least };
  const open = counts.map((count, i) => (kept[i] ? 0 : count));
  const free = kept.flatMap((stays, i) => (stays ? [] : [i]));
  if (free.length === 0) return total === least ? { counts } : { least };
  if (open.every((count) => count === 0)) return { counts: counts.map((count, i) => (i === free[0] ? total - least : count)) };
  const shared = apportion({ total: total - least, shares: free.map((i) => ({ id: String(i), weight: open[i], min: 0 })) });
  if (!shared.ok) return { counts };
  return { counts: counts.map((count, i) => (kept[i] ? count : shared.value.counts[i])) };
}

/** Place of each item in the cook's list, for its tone. */
export const itemOrder = (items: readonly Item[]): ReadonlyMap<string, number> => new Map(items.map((item, i) => [item.id, i]));
