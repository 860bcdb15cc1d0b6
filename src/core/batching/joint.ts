import { evenParts } from "../quantities/apportion";
import { usesEquipment } from "../kitchen/capacity";
import { sizeOf, type Range } from "../shared/range";
import type { Step } from "../item/step";
import type { Kitchen } from "../kitchen/schema";
import { mixedDoughG } from "../item/yields";
import { mostInPotG, rawFillingG, type Group } from "./groups";

/** What a set of ingredients is, whatever its amount: names and shares to half a percent. */
export function mixtureOf(lines: readonly { name: string; grams: number }[]): string {
  const total = lines.reduce((sum, line) => sum + line.grams, 0);
  return lines
    .map((line) => `${line.name.trim().toLowerCase()} ${Math.round((200 * line.grams) / total)}`)
    .sort()
    .join();
}

/** What is done to it, whatever the steps are called and however they are worded. */
function treatmentOf(steps: readonly Step[]): string {
  const place = new Map(steps.map((step, i) => [step.id, i]));
  return JSON.stringify(
    steps.map(({ kind, part, time, hands, attention, lot, tend, equipment, rest, tookMin, ahead, after }) => [
      [kind, part, time, hands, attention, lot, tend, equipment, rest, tookMin, ahead],
      after.map((link) => [place.get(link.step) ?? -1, link.minGapMin, link.maxGapMin]),
    ]),
  );
}

function keyOf({ part, demands, steps }: Group): string {
  const [{ resolved }] = demands;
  const { dough, fillingComponents, cookingLossPct, handlingLossPct } = resolved;
  if (part === "dough") return `dough ${mixtureOf(dough)} ${treatmentOf(steps)}`;
  const pan = mixtureOf(fillingComponents.filter((c) => c.cook));
  return `filling ${mixtureOf(fillingComponents)} ${pan} ${cookingLossPct} ${handlingLossPct} ${treatmentOf(steps)}`;
}

/** Doughs, or fillings, of different items that are the same mixture treated the same way: each set could be one mix. */
export function alikeGroups(groups: readonly Group[]): Group[][] {
  const sets = new Map<string, Group[]>();
  for (const group of groups) {
    if (group.base || group.ahead || group.steps.some((step) => usesEquipment(step, "tins"))) continue;
    const key = keyOf(group);
    sets.set(key, [...(sets.get(key) ?? []), group]);
  }
  return [...sets.values()].filter((set) => new Set(set.map((group) => group.item)).size > 1);
}

/**
 * The groups with alike ones made one: the first of each set is mixed and rested for all, the others take their share
 * by weight. Where the mixer takes less than all of it, every mix holds the same share of each item.
 */
export function joinAlike(groups: readonly Group[], kitchen: Kitchen): Group[] {
  const joined = new Map<Group, Group>();
  for (const set of alikeGroups(groups)) {
    const { item, part } = set[0];
    const together = `${item.id}/${part}/together`;
    const shares = mixesTogether(set, kitchen);
    if (!shares) continue;
    const parts = set.map((group, i): Group => ({ ...group, mixes: shares[i], together, guests: [] }));
    parts.forEach((group, i) => joined.set(set[i], i === 0 ? { ...group, guests: parts.slice(1) } : group));
  }
  return groups.map((group) => joined.get(group) ?? group);
}

/** Each group's share of each mix, pieces; undefined where the mixer is too small for one piece of each. */
function mixesTogether(set: readonly Group[], kitchen: Kitchen): Range[][] | undefined {
  const { mixer } = kitchen.equipment;
  const machine = mixer && mixer.count > 0 && set[0].steps.some((step) => usesEquipment(step, "mixer"));
  const isDough = set[0].part === "dough";
  const most = !isDough ? mostInPotG(set[0].steps, kitchen) : machine ? (mixer.maxDoughG ?? Infinity) : Infinity;
  const perPiece = set.map((group) => (isDough ? mixedDoughG(group.item, 1) : rawFillingG(group.demands[0])));
  const pieces = set.map((group) => sizeOf(group.range));
  const total = pieces.reduce((sum, n, i) => sum + n * perPiece[i], 0);
  const least = Number.isFinite(most) ? Math.max(1, Math.ceil(total / most - 1e-9)) : 1;
  for (let count = least; count <= Math.max(...pieces); count++) {
    const sizes = pieces.map((n) => evenParts(n, count));
    const fits = sizes[0].every((_, mix) => sizes.reduce((sum, own, i) => sum + own[mix] * perPiece[i], 0) <= most + 1e-6);
    if (fits) return sizes.map((own, i) => ranges(set[i].range, own));
  }
  return undefined;
}

/** Parts of the given sizes, empty ones included. */
function ranges([from]: Range, sizes: readonly number[]): Range[] {
  let at = from;
  return sizes.map((size) => [at, (at += size)] as const);
}
