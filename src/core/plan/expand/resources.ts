import type { ProblemInput } from "../../schedule/problem";
import type { PlanDays } from "../../gathering/calendar";
import type { PlanRequest } from "../request";
import { ABOUT, chamberIds, poolSize, wholeFactor, type EquipmentUse } from "./uses";
import type { Kitchen } from "../request";
import type { Work } from "../../batching/work";

type ResourceInput = ProblemInput["resources"][number];
type Span = readonly [number, number];

/** Spans merged where they touch or overlap, in order. */
function merged(spans: readonly Span[]): Span[] {
  const result: [number, number][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = result.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else if (from < to) result.push([from, to]);
  }
  return result;
}

function without(spans: readonly Span[], holes: readonly Span[]): Span[] {
  return holes.reduce<Span[]>(
    (left, [from, to]) =>
      left.flatMap(([a, b]) => [[a, Math.min(b, from)] as const, [Math.max(a, to), b] as const].filter(([x, y]) => x < y)),
    [...spans],
  );
}

/** Minutes of the plan in which a cook works: hours less breaks. */
export function cookSpans(cook: PlanRequest["kitchen"]["cooks"][number], request: PlanRequest, days: PlanDays): Span[] {
  const hours = merged(cook.hours.map((h) => [days.minute(h.day, h.from), days.minute(h.day, h.to)] as const));
  return without(hours, breakSpans(request, days));
}

const breakSpans = (request: PlanRequest, days: PlanDays): Span[] =>
  request.kitchen.breaks.map((b) => [days.minute(b.day, b.from), days.minute(b.day, b.to)] as const);

/**
 * Pools: each cook by their hours, somebody about (hours and breaks together), and every piece of equipment that a
 * task takes. Where tasks take fractions, the pool and its amounts are multiplied to whole numbers; amounts are set here.
 */
export function poolResources(
  request: PlanRequest,
  days: PlanDays,
  horizon: number,
  shares: readonly { use: EquipmentUse; pool: string }[],
  tasks: ProblemInput["tasks"],
): ResourceInput[] {
  const { kitchen } = request;
  const cooks = kitchen.cooks.map((cook): ResourceInput => ({
    id: cook.id,
    kind: "pool",
    capacity: 1,
    calendar: cookSpans(cook, request, days).map(([from, to]) => [from, to, 1]),
  }));
  const pools: ResourceInput[] = [];
  for (const pool of new Set(shares.map((entry) => entry.pool))) {
    const own = shares.filter((entry) => entry.pool === pool);
    const factor = wholeFactor(own.map(({ use }) => use.share!));
    for (const { use } of own) use.amount = Math.max(1, Math.round(use.share! * factor));
    pools.push({ id: pool, kind: "pool", capacity: Math.floor((poolSize(pool, kitchen) ?? 0) * factor + 1e-9) });
  }
  const about = tasks.some((task) => task.uses?.some((use) => use.resource === ABOUT));
  if (about) {
    const spans = merged([
      ...kitchen.cooks.flatMap((cook) => cook.hours.map((h) => [days.minute(h.day, h.from), days.minute(h.day, h.to)] as const)),
      ...breakSpans(request, days),
    ]);
    pools.push({
      id: ABOUT,
      kind: "pool",
      capacity: tasks.length,
      calendar: spans.map(([from, to]) => [from, Math.min(to, horizon), tasks.length]),
    });
  }
  return [...cooks, ...pools];
}

/** Chambers that some work uses, with the rates of this kitchen. */
export function chamberResources(kitchen: Kitchen, works: readonly Work[]): ResourceInput[] {
  const { oven, steamer, fryer } = kitchen.equipment;
  const needed = (id: string) => works.some((work) => work.step.equipment.some((e) => e.id === id));
  const chambers: ResourceInput[] = [];
  if (oven && needed("oven"))
    for (const id of chamberIds("oven", kitchen))
      chambers.push({
        id,
        kind: "chamber",
        slots: oven.shelfPositions,
        start: oven.startC,
        heat: oven.heatCPerMin,
        cool: oven.coolCPerMin,
      });
  if (steamer && needed("steamer"))
    for (const id of chamberIds("steamer", kitchen))
      chambers.push({ id, kind: "chamber", slots: steamer.tiers, start: 20, heat: 80 / Math.max(1, steamer.heatUpMin), cool: 5 });
  if (fryer && needed("fryer")) {
    const recovery = Math.max(
      0,
      ...works.flatMap((w) => w.step.equipment.map((e) => (e.id === "fryer" ? (e.recoveryMin ?? 0) : 0))),
    );
    for (const id of chamberIds("fryer", kitchen))
      chambers.push({
        id,
        kind: "chamber",
        slots: 1,
        start: fryer.startC,
        heat: fryer.heatCPerMin,
        cool: fryer.coolCPerMin,
        recovery: Math.ceil(recovery),
        ranked: true,
      });
  }
  return chambers;
}
