import { breakSpans } from "../../gathering/attendance";
import { merged, cookSpans } from "../../gathering/attendance";
import type { ProblemInput } from "../../schedule/problem";
import type { PlanDays } from "../../gathering/calendar";
import type { PlanRequest } from "../request";
import { ABOUT, wholeFactor, type EquipmentUse } from "./uses";
import { chamberIds, poolSize } from "../../kitchen/equipment";
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
