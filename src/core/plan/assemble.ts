import { sizesOf, SIZED_POOLS } from "../kitchen/sizes";
import { batchesOf } from "../batching/batches";
import { suits } from "../item/claims";
import { parseProblem, type Problem } from "../schedule/problem";
import type { Solution } from "../schedule/solution";
import type { Demand } from "../gathering/demands";
import { freezesInADay } from "../kitchen/freezes";
import { MINUTES_A_DAY } from "../shared/clock";
import { sizeOf } from "../shared/range";
import { sum } from "../shared/rounding";
import { besideItem } from "./expand/beside-tasks";
import type { Expansion } from "./expand/expand";
import type { Quantities } from "./quantities";
import { isUnread } from "./expand/steps-here";
import { outOfCold } from "./out-of-cold";
import { riseNotes } from "./rises";
import { loadsIn, lotsIn, oilNotes, servesIn } from "./read";
import type { PlanRequest } from "./request";
import type { Note, Plan, Reason } from "./schema";
import { targetsOf } from "./targets";

/** A solution in which nothing had to be done. */
export const emptySolution = (): Solution => ({
  format: "unisynth-solution/1",
  status: "optimal",
  cost: 0,
  bound: 0,
  tasks: [],
  why: [],
});

/** The plan of a day that has no timetable: what is to be made, and why it cannot be. */
export const refuse = (request: PlanRequest, q: Quantities, refusal: readonly Reason[]): Plan =>
  assemble(request, q, q.expansion, { ...emptySolution(), status: "infeasible" }, undefined, refusal);

/** Puts a plan together from quantities, problem and solution, with all that reads it later without the request. */
export function assemble(
  request: PlanRequest,
  q: Quantities,
  expansion: Expansion,
  { format, status, cost, bound, tasks }: Solution,
  problem?: Problem,
  refusal: readonly Reason[] = [],
): Plan {
  const solution: Solution = { format, status, cost, bound, tasks, why: [] };
  const parsed = problem ? ({ ok: true, value: problem } as const) : parseProblem(expansion.problem);
  const plan: Plan = {
    format: "unisynth-plan/1",
    origin: `${q.days.originDate}T00:00`,
    ...(request.zone !== undefined && { zone: request.zone }),
    clockChanges: q.days.clockChanges,
    day: dayOf(request, q),
    pieces: q.pieces,
    batches: expansion === q.expansion ? q.batches : batchesOf(expansion.workload.groups, q.demands, request.kitchen),
    lots: lotsIn(expansion),
    loads: loadsIn(expansion, solution),
    problem: parsed.ok
      ? parsed.value
      : { format: "unisynth-problem/1", horizon: 0, resources: [], tasks: [], costs: { makespan: 0, span: 0 } },
    solution,
    steps: expansion.steps.all,
    tasks: Object.fromEntries(expansion.info),
    serves: servesIn(expansion, q.demands, solution),
    notes: [...dietNotes(request, q), ...oilNotes(expansion, solution), ...readingNotes(request, q), ...freezerNotes(request, q)],
    refusal,
  };
  return { ...plan, notes: [...plan.notes, ...coldNotes(plan, request), ...riseNotes(plan, request.kitchen)] };
}

/** A note where a lot of raw pieces is out of the cold for longer than is usual, all stretches together. */
function coldNotes(plan: Plan, { kitchen }: PlanRequest): Note[] {
  const late = plan.solution.tasks.flatMap(({ id }) => {
    const cold = outOfCold(plan, id, kitchen);
    return cold && !cold.isWithin ? [{ ...cold, item: plan.tasks[id].item }] : [];
  });
  if (late.length === 0) return [];
  const { usedMin, limitMin } = late.reduce((most, one) => (one.usedMin > most.usedMin ? one : most));
  return [{ level: "caution", code: "out-of-cold", about: [...new Set(late.map(({ item }) => item))], usedMin, limitMin }];
}

function dayOf(request: PlanRequest, { days, beside }: Quantities): Plan["day"] {
  const { gathering, kitchen, items } = request;
  const shelf = kitchen.equipment["fridge-shelf"];
  const sizes = SIZED_POOLS.flatMap((kind) => {
    const all = sizesOf(kind, kitchen);
    return all.length > 1 ? all.map(({ ids: [pool], is }) => [pool, is.mm] as const) : [];
  });
  return {
    gathering: {
      id: gathering.id,
      name: gathering.name,
      guests: gathering.guests.reduce((sum, group) => sum + group.count, 0),
    },
    kitchen: {
      id: kitchen.id,
      name: kitchen.name,
      roomC: kitchen.roomC,
      ...(kitchen.guide !== undefined && { guide: kitchen.guide }),
    },
    date: days.date,
    cooks: kitchen.cooks.map(({ id, name, skill }) => ({ id, name, skill })),
    // What stands beside is named like an item; it is none.
    items: [...items, ...beside.map(({ of }) => ({ id: besideItem(of.id), name: of.name }))].map(({ id, name }) => ({
      id,
      name,
    })),
    targets: targetsOf(gathering, days),
    rules: gathering.rules,
    ...(shelf && { fridgePlaces: shelf.count * shelf.fitsTraysEach }),
    ...(sizes.length > 0 && { sizes: Object.fromEntries(sizes) }),
  };
}

/** A note where more is to be frozen on a day than the freezer freezes in one. */
function freezerNotes({ kitchen }: PlanRequest, { demands }: Quantities): Note[] {
  const limitG = freezesInADay(kitchen);
  const frozen = demands.filter((demand) => demand.for === "freezer");
  if (limitG === undefined || frozen.length === 0) return [];
  const dayOf = ({ by }: Demand) => Math.floor(by / MINUTES_A_DAY);
  const days = [...new Set(frozen.map(dayOf))].map((day) => frozen.filter((demand) => dayOf(demand) === day));
  const weightOf = (some: readonly Demand[]) =>
    sum(some.map(({ item, range }) => sizeOf(range) * (item.piece.doughG + item.piece.fillingG)));
  return days
    .filter((some) => weightOf(some) > limitG)
    .map((some) => ({
      level: "caution",
      code: "freezer-full",
      about: [...new Set(some.map(({ item }) => item.id))],
      loadG: weightOf(some),
      limitG,
    }));
}

/** A note where cores are to be measured and nothing is there to measure them with. */
function readingNotes({ kitchen }: PlanRequest, { demands }: Quantities): Note[] {
  const about = demands.filter(({ steps }) => steps.some((step) => isUnread(step, kitchen))).map(({ item }) => item.id);
  return about.length > 0 ? [{ level: "caution", code: "no-reading", about: [...new Set(about)] }] : [];
}

/** A note for each wave in which some guests have nothing to eat. */
function dietNotes(request: PlanRequest, { headcount, demands }: Quantities): Note[] {
  if (headcount.unserved.length === 0) return [];
  return request.gathering.waves.flatMap((wave): Note[] => {
    const inWave = demands.filter((demand) => demand.for === wave.id);
    const hungry = request.gathering.guests.filter((g) => g.count > 0 && !inWave.some((demand) => suits(g, demand.claims)));
    const guests = hungry.reduce((sum, g) => sum + g.count, 0);
    if (guests === 0) return [];
    const about = [wave.id, ...inWave.map((demand) => demand.item.id)];
    const who = hungry.map(({ diet, avoid }) => ({ diet, avoid }));
    return [{ level: "caution", code: "unserved-diet", about, guests, who }];
  });
}
