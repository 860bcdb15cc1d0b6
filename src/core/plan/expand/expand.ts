import { isReadyWork } from "./ready";
import { Obstacles, type Obstacle } from "../../batching/obstacle";
import type { Step } from "../../item/step";
import type { Kitchen } from "../../kitchen/schema";
import type { TaskInfo } from "../schema";
import { taskText } from "../task-text";
import { infoOf, labelOf, sourceOf, StepTable, waitInfo } from "./task-info";
import { compile } from "../../schedule/model";
import { parseProblem, type ProblemInput } from "../../schedule/problem";
import { Windows } from "../../schedule/construct/windows";
import { capacitiesOf, isCarrier } from "../../kitchen/capacity";
import type { PlanDays } from "../../gathering/calendar";
import { type Demand } from "../../gathering/demands";
import { sizeOf } from "../../shared/range";
import { linkWorks, type Linked, type Wait } from "./precedences";
import { chamberResources, poolResources } from "./resources";
import { oilOrder } from "./oil";
import type { PlanRequest } from "../request";
import type { Strategy } from "../../batching/strategy";
import {
  cooksFor,
  fixedMinutes,
  leastForTends,
  minutesByCook,
  restWindow,
  scalesWithSkill,
  stepHere,
  tendsOf,
  type RestWindow,
} from "./timing";
import { equipmentUses, handUses, type EquipmentUse } from "./uses";
import { settingHere } from "../../kitchen/equipment";
import { sharesOf, workloadOf, type Work, type Workload } from "../../batching/work";

type TaskInput = ProblemInput["tasks"][number];

export interface Expansion {
  readonly problem: ProblemInput;
  readonly info: ReadonlyMap<string, TaskInfo>;
  readonly workload: Workload;
  /** The steps that tasks are, as they are done here. */
  readonly steps: StepTable;
  /** What makes the whole impossible; the problem is then not worth solving. */
  readonly obstacles: readonly Obstacle[];
  /** Least time of each rest, min, by task: when its pieces could be ready. */
  readonly readyAfter: ReadonlyMap<string, number>;
}

/** Costs per minute. Freshness outweighs a short day, a short day outweighs short rests. */
const COST = { early: 0.5, freshness: 0.5, span: 0.2, stretch: 0.02, wait: 0.02 } as const;
/** A piece that may wait this long counts its minutes of age at full weight; one that may wait longer at less. */
const FRESH_REFERENCE_MIN = 30;

/** Turns demands into a schedule problem: every step of every piece as tasks with all that they take. */
export function expand(request: PlanRequest, days: PlanDays, demands: readonly Demand[], strategy: Strategy): Expansion {
  const { kitchen } = request;
  const { here, byHand } = stepsHere(demands, kitchen);
  const steps = new StepTable();
  const info = new Map<string, TaskInfo>();
  const workload = workloadOf(here, kitchen, strategy, request.gathering.mixTogether);
  const linked = linkWorks(workload.works);
  const obstacles = new Obstacles();
  workload.obstacles.forEach((obstacle) => obstacles.add(obstacle));
  const oil = oilOrder(here, kitchen);
  const horizon = horizonOf(request, days, here);
  const cooksOf = new Map(workload.works.map((work) => [work, cooksFor(work.step, kitchen)]));

  const shares: { use: EquipmentUse; pool: string }[] = [];
  const build = (windows: ReadonlyMap<string, RestWindow>): { tasks: TaskInput[]; readyAfter: Map<string, number> } => {
    shares.length = 0;
    const readyAfter = new Map<string, number>();
    const tasks = workload.works.map((work) => {
      const cooks = cooksOf.get(work)!;
      const { step } = work;
      const window = step.rest ? windows.get(work.id)! : undefined;
      const least = window
        ? window.min
        : Math.min(...(step.attention === "hands-on" ? minutesByCook(work, cooks) : [fixedMinutes(work)]));
      const tends = step.attention === "hands-on" ? [] : tendsOf(step, cooks, least);
      if (cooks.length === 0 && (step.attention === "hands-on" || tends.length > 0))
        obstacles.add({ code: "no-cook", item: work.item.id, kind: step.kind, step: step.id });
      const hands = cooks.length > 0 ? handUses(work, tends, cooks) : [];
      const equipment = equipmentUses(
        work,
        tends,
        kitchen,
        capacitiesOf(work.item, kitchen),
        (w) => oil.rankOf(w.demands[0]),
        (obstacle) => obstacles.add(obstacle),
      );
      for (const use of equipment) if (use.share !== undefined) shares.push({ use, pool: use.resource as string });
      const about = infoOf(work, kitchen, steps.keyOf(work.item, step), sourceOf(work, byHand.has(step), window));
      info.set(work.id, about);
      const task: TaskInput = {
        id: work.id,
        label: labelOf(about, work),
        duration: durationOf(work, window, cooks.length > 1 ? minutesByCook(work, cooks) : undefined, least, linked),
        uses: [...hands, ...equipment],
        after: [],
      };
      if (window) {
        task.stretchCost = COST.stretch;
        readyAfter.set(work.id, window.ready);
        if (window.earliest !== undefined) task.earliest = window.earliest;
      }
      return task;
    });
    addLinks(tasks, linked, workload, windows);
    addWaits(tasks, linked, shares);
    addServing(tasks, workload, readyAfter);
    return { tasks, readyAfter };
  };

  const wide = new Map(
    workload.works
      .filter((w) => w.step.rest)
      .map((work) => [work.id, restWindow(work.step, kitchen, [0, horizon], days.clockChanges)]),
  );
  const loose = new Map(
    [...wide].map(([id, w]) => [
      id,
      {
        ...w,
        min: Math.max(leastForTends(workOf(workload, id).step), Math.floor(w.min / 2)),
        max: w.max * 2,
        earliest: undefined,
      },
    ]),
  );
  const spans = timeSpans({ format: "unisynth-problem/1", horizon, resources: [], tasks: build(loose).tasks.map(bare) });
  const exact = new Map(
    workload.works
      .filter((w) => w.step.rest)
      .map((work) => [work.id, restWindow(work.step, kitchen, spans.get(work.id) ?? [0, horizon], days.clockChanges)]),
  );
  const { tasks, readyAfter } = build(exact);
  tasks.push(...oil.changes(workload.works, tasks));

  for (const wait of linked.waits) info.set(wait.id, waitInfo(wait));
  for (const task of tasks) if (!info.has(task.id)) info.set(task.id, oil.infoOf());

  const pools = poolResources(request, days, horizon, shares, tasks);
  const resources = [...pools, ...chamberResources(kitchen, workload.works)];
  return {
    problem: {
      format: "unisynth-problem/1",
      horizon,
      resources,
      tasks: tasks.map(clean),
      costs: { makespan: 0, span: COST.span },
    },
    info,
    workload,
    steps,
    obstacles: obstacles.all,
    readyAfter,
  };
}

/** The demands with their steps as this kitchen does them, and the steps that are done by hand for want of a machine. */
function stepsHere(demands: readonly Demand[], kitchen: Kitchen): { here: Demand[]; byHand: ReadonlySet<Step> } {
  const byHand = new Set<Step>();
  const here = demands.map((demand) => ({
    ...demand,
    steps: demand.steps.map((step) => {
      const own = stepHere(step, kitchen);
      if (own !== step) byHand.add(own);
      return own;
    }),
  }));
  return { here, byHand };
}

const workOf = (workload: Workload, id: string): Work => workload.works.find((work) => work.id === id)!;

function horizonOf(request: PlanRequest, days: PlanDays, demands: readonly Demand[]): number {
  const ends = request.kitchen.cooks.flatMap((cook) => cook.hours.map((h) => days.minute(h.day, h.to)));
  return Math.max(1, ...ends, ...demands.map((demand) => demand.by));
}

function durationOf(
  work: Work,
  window: RestWindow | undefined,
  byCook: readonly number[] | undefined,
  least: number,
  linked: Linked,
): TaskInput["duration"] {
  if (window) return linked.shortRests.has(work.id) || window.min === window.max ? window.min : [window.min, window.max];
  if (work.step.attention !== "hands-on" || !byCook || byCook.every((m) => m === byCook[0]) || !scalesWithSkill(work.step))
    return least;
  return { of: 0, minutes: [...byCook] };
}

function addLinks(
  tasks: readonly TaskInput[],
  linked: Linked,
  workload: Workload,
  windows: ReadonlyMap<string, RestWindow>,
): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  for (const { before, after, min, max, withinRest } of linked.links) {
    const window = windows.get(before.id);
    const limit = withinRest && window ? window.max - window.min : max;
    byId.get(after.id)!.after!.push({ task: before.id, min, ...(limit !== undefined && { max: limit }) });
  }
  const startOrder = (first: Work, second: Work) => {
    const task = byId.get(first.id)!;
    const length = typeof task.duration === "number" ? task.duration : undefined;
    if (length !== undefined) byId.get(second.id)!.after!.push({ task: first.id, min: -length });
  };
  for (const [first, second] of linked.order) startOrder(first, second);
  // Loads of one demand in a chamber are alike: their order is fixed, which halves the search again and again.
  const last = new Map<string, Work>();
  for (const work of workload.works) {
    if (!work.chamber || work.step.rest) continue;
    const key = `${work.item.id} ${work.step.id} ${work.demands.map((d) => d.range[0]).join()}`;
    const earlier = last.get(key);
    if (earlier && !linked.order.some(([a, b]) => a === earlier && b === work)) startOrder(earlier, work);
    last.set(key, work);
  }
}

function addWaits(tasks: TaskInput[], linked: Linked, shares: { use: EquipmentUse; pool: string }[]): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const take = (pool: string, share: number): EquipmentUse => {
    const use: EquipmentUse = { resource: pool, share };
    shares.push({ use, pool });
    return use;
  };
  for (const wait of linked.waits) {
    const held = wait.asBefore ? wait.before.step.equipment.filter((e) => !isCarrier(e.id) && e.id !== "worktop") : [];
    tasks.push({
      id: wait.id,
      label: taskText(waitInfo(wait), () => wait.before.item.name),
      duration: [wait.min, Math.max(wait.min, wait.max)],
      uses: [
        ...(wait.before.carrier ? [take(wait.before.carrier, wait.carriers)] : []),
        ...held.map((e) => take(e.id, e.amount ?? 1)),
        ...(wait.onShelf ? [take("fridge-shelf", wait.carriers)] : []),
      ],
      after: [{ task: wait.before.id, min: 0, max: 0 }],
      stretchCost: COST.wait,
    });
    // Several works may follow at different times: the wait ends with the start of the last, none starts after its end.
    const [only, ...others] = wait.until;
    if (others.length === 0) byId.get(only.id)!.after!.push({ task: wait.id, min: 0, max: 0 });
    else for (const work of wait.until) byId.get(work.id)!.after!.push({ task: wait.id, min: -wait.max, max: 0 });
  }
}

/** Waves and freezer deadlines: the last works end by then, pieces are ready no longer before than they may wait, and fresh is better. */
function addServing(tasks: readonly TaskInput[], workload: Workload, readyAfter: ReadonlyMap<string, number>): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const followed = new Set(workload.works.flatMap((work) => byId.get(work.id)!.after!.map((link) => link.task)));
  const tighten = (task: TaskInput, field: "earliest" | "latest", value: number) => {
    const old = task[field];
    task[field] = old === undefined ? value : field === "latest" ? Math.min(old, value) : Math.max(old, value);
  };
  for (const work of workload.works) {
    if (work.shared) continue;
    const [demand] = work.demands;
    const task = byId.get(work.id)!;
    const { hold } = servingOf(demand);
    const serves = work.step.kind === "serve";
    if (serves || !followed.has(work.id)) tighten(task, "latest", demand.by);
    if (demand.for === "freezer") continue;
    if (serves) {
      task.due = demand.by;
      task.earlyCost = COST.early;
    }
    if (hold === undefined || !isReadyWork(work, workload)) continue;
    const least = readyAfter.get(work.id) ?? leastDurationOf(task);
    tighten(task, "earliest", demand.by - hold - least);
    if (demand.path === "from-freezer") tighten(task, "latest", demand.by);
    const weight = Math.min(1, FRESH_REFERENCE_MIN / Math.max(1, hold)) * COST.freshness;
    const siblings = workload.works.filter((w) => w.step.id === work.step.id && w.demands[0] === demand).length;
    if (typeof task.duration === "number" || !Array.isArray(task.duration)) {
      task.due = demand.by;
      task.earlyCost = Math.round((1000 * weight) / siblings) / 1000;
    }
  }
}

/** The serve step's hold of a demand, also for pieces whose path leads past it. */
const servingOf = (demand: Demand): { hold?: number } => ({
  hold: demand.resolved.steps.find((step) => step.kind === "serve")?.hold?.maxMin,
});

function leastDurationOf(task: TaskInput): number {
  if (typeof task.duration === "number") return task.duration;
  return Array.isArray(task.duration) ? task.duration[0] : Math.min(...task.duration.minutes);
}

/** Earliest start and latest end of each task by links and deadlines alone. */
function timeSpans(problem: ProblemInput): Map<string, readonly [number, number]> {
  const parsed = parseProblem(problem);
  if (!parsed.ok) return new Map();
  const windows = new Windows(compile(parsed.value));
  if (!windows.propagateAll()) return new Map();
  return new Map(parsed.value.tasks.map((task, i) => [task.id, [windows.lo[2 * i], windows.hi[2 * i + 1]] as const]));
}

/** A task without what it takes, durations by choice as windows: for times alone. */
const bare = (task: TaskInput): TaskInput => ({
  ...task,
  uses: [],
  duration:
    typeof task.duration === "object" && !Array.isArray(task.duration)
      ? [Math.min(...task.duration.minutes), Math.max(...task.duration.minutes)]
      : task.duration,
});

/** Drops the planner's own notes from the uses. */
const clean = (task: TaskInput): TaskInput => ({
  ...task,
  uses: task.uses?.map((use) => {
    const { share, ...rest } = use as EquipmentUse;
    void share;
    return rest;
  }),
});
