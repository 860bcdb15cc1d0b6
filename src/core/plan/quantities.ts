import type { Obstacle } from "../batching/obstacle";
import { batchesOf, type Batch } from "../batching/batches";
import { besideAmounts, type BesideAmount } from "../gathering/beside";
import { sizeOf } from "../shared/range";
import { sum } from "../shared/rounding";
import { planDays, type PlanDays } from "../gathering/calendar";
import { catalogueOf } from "../ingredients/own";
import { demandsOf, type Demand } from "../gathering/demands";
import type { ExtraNeed } from "../batching/shopping-list";
import { vesselNeeds } from "../batching/vessels";
import { expand, type Expansion } from "./expand/expand";
import { type HeadcountAnswer } from "../gathering/headcount";
import { holdLimits } from "./limits";
import type { PieceCount } from "./schema";
import { type PlanRequest } from "./request";
import { PLAIN, strategies, type Strategy } from "../batching/strategy";

/** The part of a plan that needs no timetable: at hand at once, while the cook types. */
export interface Quantities {
  readonly days: PlanDays;
  readonly demands: readonly Demand[];
  readonly headcount: HeadcountAnswer;
  readonly pieces: readonly PieceCount[];
  readonly batches: readonly Batch[];
  /** What fills vessels: the oil of the fryer. */
  readonly vessels: readonly ExtraNeed[];
  /** Dips, drinks and sides. */
  readonly beside: readonly BesideAmount[];
  readonly expansion: Expansion;
  /** What already proves that there is no timetable. */
  readonly limits: readonly Obstacle[];
}

/** Counts, batches and the problem of a request, and what already proves that there is no timetable. g, pieces, min. */
export function quantitiesOf(request: PlanRequest): Quantities {
  const days = planDays(request);
  const { demands, headcount } = demandsOf(request, days, catalogueOf(request.own));
  const beside = besideOf(request, demands, headcount);
  const expansion = expand(request, days, demands, PLAIN, beside);
  const limits = [...expansion.obstacles, ...holdLimits(demands, request.kitchen)];
  return {
    days,
    demands,
    headcount,
    pieces: piecesOf(demands, headcount),
    batches: batchesOf(expansion.workload.groups, demands, request.kitchen),
    vessels: vesselNeeds(demands, request.kitchen),
    beside,
    expansion,
    limits,
  };
}

const besideOf = (request: PlanRequest, demands: readonly Demand[], { guests }: HeadcountAnswer): BesideAmount[] =>
  besideAmounts(
    request.gathering.beside ?? [],
    (wave, recipe) =>
      sum(
        demands
          .filter((demand) => demand.for === wave && (recipe === undefined || demand.item.id === recipe))
          .map(({ range }) => sizeOf(range)),
      ),
    guests,
    catalogueOf(request.own),
  );

function piecesOf(demands: readonly Demand[], headcount: HeadcountAnswer): PieceCount[] {
  return demands.map((demand) => {
    const count = headcount.counts.find((c) => c.wave === demand.for && c.recipe === demand.item.id);
    const pieces = demand.range[1] - demand.range[0];
    const whole = count?.pieces === pieces;
    return {
      for: demand.for,
      item: demand.item.id,
      variant: demand.resolved.filling,
      needed: whole ? (count?.needed ?? null) : null,
      pieces,
      range: demand.range,
    };
  });
}

/** The ways in which the work of these quantities can be divided, in the order in which they are tried. */
export function strategiesFor({ expansion }: Quantities): Strategy[] {
  const works = expansion.workload.works.filter((work) => work.step.equipment.some((e) => e.or));
  const inLoads = new Map<string, number>();
  for (const { chamber, step, item } of expansion.workload.works)
    if (chamber && chamber !== "oven" && !step.rest)
      inLoads.set(`${item.id} ${step.id}`, (inLoads.get(`${item.id} ${step.id}`) ?? 0) + 1);
  return strategies(
    [...new Set(works.map((work) => work.item.id))],
    [...inLoads.values()].some((n) => n > 1),
  );
}
