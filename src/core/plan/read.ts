import type { Solution } from "../schedule/solution";
import { isCarrier } from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { sizeOf } from "../shared/range";
import { type Expansion } from "./expand/expand";
import { isReadyWork } from "./expand/ready";
import { isHeat } from "../item/step";
import type { Load, Lot, Note, Serve } from "./schema";
import { carriersOf, type Work } from "../batching/work";

/** Carriers and what lies on them: one lot for each set of pieces that share carriers at some step. */
export function lotsIn(expansion: Expansion): Lot[] {
  const lots: Lot[] = [];
  const seen = new Set<string>();
  const number = new Map<string, number>();
  for (const work of expansion.workload.works) {
    if (!work.carrier || !isCarrier(work.carrier) || work.shared || work.step.kind === "serve") continue;
    // A load of several trays is no lot of its own: its trays are.
    if (work.carrier !== "steamer-tier" && work.carriers > 1) continue;
    const key = `${work.item.id} ${work.carrier} ${work.range.join()}`;
    if (seen.has(key)) continue;
    seen.add(key);
    const n = (number.get(work.item.id) ?? 0) + 1;
    number.set(work.item.id, n);
    lots.push({
      id: `${work.item.id}/lot/${n}`,
      item: work.item.id,
      pieces: sizeOf(work.range),
      range: work.range,
      carrier: work.carrier,
      ...(work.sizes && { pool: carriersOf(work)[0][0] }),
    });
  }
  return lots;
}

/** One load for each task that bakes, steams, fries or reheats. */
export function loadsIn(expansion: Expansion, solution: Solution): Load[] {
  const taken = new Map(solution.tasks.map((task) => [task.id, task.taken]));
  const number = new Map<string, number>();
  return expansion.workload.works
    .filter((work) => isHeat(work.step))
    .map((work) => {
      const key = `${work.item.id}/${work.step.kind}`;
      number.set(key, (number.get(key) ?? 0) + 1);
      const family = work.chamber ?? work.step.equipment[0]?.id ?? "hob";
      const chamber = taken.get(work.id)?.find((id) => id === family || id.startsWith(`${family}-`)) ?? family;
      return {
        id: `${key}/${number.get(key)}`,
        item: work.item.id,
        step: work.step.id,
        chamber,
        pieces: sizeOf(work.range),
        range: work.range,
        carriers: work.carriers,
      };
    });
}

/** When each demand is ready and when it is eaten or put away. */
export function servesIn(expansion: Expansion, demands: readonly Demand[], solution: Solution): Serve[] {
  if (solution.status === "infeasible") return [];
  const placed = new Map(solution.tasks.map((task) => [task.id, task]));
  const all = expansion.workload.works.filter((work) => placed.has(work.id));
  const works = all.filter((work) => !work.shared);
  const merged = new Map<string, { serve: Serve; works: Work[] }>();
  for (const demand of demands) {
    const own = works.filter((work) => sameDemand(work.demands[0], demand));
    if (own.length === 0) continue;
    const readyWorks =
      demand.for === "freezer"
        ? own
        : all.filter((work) => work.demands.some((one) => sameDemand(one, demand)) && isReadyWork(work, expansion.workload));
    const readyAt = (work: Work) => {
      const { start, end } = placed.get(work.id)!;
      const least = expansion.readyAfter.get(work.id);
      return demand.for !== "freezer" && least !== undefined ? start + least : end;
    };
    const ready = Math.max(...(readyWorks.length > 0 ? readyWorks : own).map(readyAt));
    const at = demand.for === "freezer" ? Math.max(...own.map((work) => placed.get(work.id)!.end)) : demand.by;
    const key = `${demand.for} ${demand.item.id}`;
    const before = merged.get(key)?.serve;
    const pieces = sizeOf(demand.range) + (before?.pieces ?? 0);
    merged.set(key, {
      serve: {
        for: demand.for,
        item: demand.item.id,
        pieces,
        ready: Math.max(ready, before?.ready ?? 0),
        at: Math.max(at, before?.at ?? 0),
      },
      works: own,
    });
  }
  return [...merged.values()].map(({ serve }) => serve);
}

const sameDemand = (a: Demand, b: Demand): boolean => a.for === b.for && a.item.id === b.item.id && a.range[0] === b.range[0];

/** Vegan items that go into oil that fried something else before, with no change of oil between. */
export function oilNotes(expansion: Expansion, solution: Solution): Note[] {
  const start = new Map(solution.tasks.map((task) => [task.id, task.start]));
  const change = start.get("fryer/oil-change");
  const frying = expansion.workload.works.filter((work) => work.chamber === "fryer" && start.has(work.id));
  const spoils = frying.filter((work) => work.demands[0].own.diets.vegan.answer !== "yes");
  const notes = new Map<string, Note>();
  for (const work of frying) {
    const { own, item } = work.demands[0];
    if (own.diets.vegan.answer !== "yes") continue;
    const at = start.get(work.id)!;
    const cause = spoils.find((other) => {
      const before = start.get(other.id)!;
      return before < at && !(change !== undefined && before < change && change < at);
    });
    if (cause)
      notes.set(item.id, {
        level: "caution",
        code: "oil-not-vegan",
        about: [item.id, cause.item.id],
      });
  }
  return [...notes.values()];
}
