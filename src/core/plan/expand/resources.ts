import { breakSpans } from "../../gathering/attendance";
import { merged, cookSpans } from "../../gathering/attendance";
import type { ProblemInput } from "../../schedule/problem";
import type { PlanDays } from "../../gathering/calendar";
import type { PlanRequest } from "../request";
import { ABOUT, wholeFactor, type EquipmentUse } from "./uses";
import { poolSize } from "../../kitchen/equipment";
import { sizesOf, type ChamberKind, type OfOneSize } from "../../kitchen/sizes";
import type { Kitchen } from "../../kitchen/schema";
import type { Work } from "../../batching/work";

type ResourceInput = ProblemInput["resources"][number];

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
    const factor = wholeFactor(own.map(({ use }) => use.fraction!));
    for (const { use } of own) use.amount = Math.max(1, Math.round(use.fraction! * factor));
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
      calendar: spans.filter(([from]) => from < horizon).map(([from, to]) => [from, Math.min(to, horizon), tasks.length]),
    });
  }
  return [...cooks, ...pools];
}

/** Chambers that some work uses, with the rates of this kitchen. */
export function chamberResources(kitchen: Kitchen, works: readonly Work[]): ResourceInput[] {
  const each = <K extends ChamberKind>(kind: K, make: (id: string, is: OfOneSize<K>["is"]) => ResourceInput): ResourceInput[] =>
    works.some((work) => work.step.equipment.some((e) => e.id === kind))
      ? sizesOf(kind, kitchen).flatMap(({ ids, is }) => ids.map((id) => make(id, is)))
      : [];
  const recovery = Math.max(
    0,
    ...works.flatMap((w) => w.step.equipment.map((e) => (e.id === "fryer" ? (e.recoveryMin ?? 0) : 0))),
  );
  return [
    ...each("oven", (id, { shelfPositions, startC, heatCPerMin, coolCPerMin }) => ({
      id,
      kind: "chamber",
      slots: shelfPositions,
      start: startC,
      heat: heatCPerMin,
      cool: coolCPerMin,
    })),
    ...each("steamer", (id, { tiers, heatUpMin }) => ({
      id,
      kind: "chamber",
      slots: tiers,
      start: 20,
      heat: 80 / Math.max(1, heatUpMin),
      cool: 5,
    })),
    ...each("fryer", (id, { startC, heatCPerMin, coolCPerMin }) => ({
      id,
      kind: "chamber",
      slots: 1,
      start: startC,
      heat: heatCPerMin,
      cool: coolCPerMin,
      recovery: Math.ceil(recovery),
      ranked: true,
    })),
  ];
}
