import type { Obstacle } from "../../batching/obstacle";
import { bakedTogether } from "../../batching/shared-bakes";
import type { Strategy } from "../../batching/strategy";
import { workloadOf, type Work, type Workload } from "../../batching/work";
import { minuteNow, type PlanDays } from "../../gathering/calendar";
import type { Demand } from "../../gathering/demands";
import type { ProblemInput } from "../../schedule/problem";
import type { PlanRequest } from "../request";
import type { TaskInfo } from "../schema";
import { COST } from "./costs";
import { firstPieces, wantsFirst } from "./first-pieces";
import { oilOrder } from "./oil";
import { limitOutOfCold } from "./cold-links";
import { notBefore, tooLate, type OfTask } from "./from-now";
import { linkWorks } from "./precedences";
import { leavingTimes } from "../../gathering/attendance";
import type { BesideAmount } from "../../gathering/beside";
import { besideTasks, wavesBy } from "./beside-tasks";
import { washing } from "./washing";
import { onOwnDay } from "./own-day";
import { chamberResources, poolResources } from "./resources";
import { isServedWarm, lotSpread } from "./rest-case";
import { loosened, windowsOf } from "./rest-windows";
import { stepsHere } from "./steps-here";
import { TaskBuilder } from "./task-builder";
import { waitInfo, type StepTable } from "./task-info";
import type { TaskInput } from "./task-input";
import { bare, timeSpans } from "./time-spans";
import type { EquipmentUse } from "./uses";

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

/** Turns demands into a schedule problem: every step of every piece as tasks with all that they take. */
export function expand(
  request: PlanRequest,
  days: PlanDays,
  demands: readonly Demand[],
  strategy: Strategy,
  beside: readonly BesideAmount[],
): Expansion {
  const { kitchen } = request;
  const { bakeTogether, lengths } = request.gathering;
  const { here, lengthFrom } = stepsHere(bakeTogether ? bakedTogether(demands) : demands, kitchen, lengths);
  const workload = workloadOf(here, kitchen, strategy, request.gathering.mixTogether);
  const { works } = workload;
  const linked = linkWorks(works);
  const oil = oilOrder(here, kitchen);
  const horizon = horizonOf(request, days, here);
  const builder = new TaskBuilder(kitchen, workload, linked, lengthFrom, (work) => oil.rankOf(work.demands[0]));

  const caseOf = (work: Work) => ({
    spreadMin: lotSpread(work, linked.links, kitchen),
    slow: strategy.slowRises && isServedWarm(work),
  });
  const always = windowsOf(works, kitchen, days.clockChanges, () => [0, horizon], caseOf);
  const now = minuteNow(days, request);
  const inTime = (tasks: readonly TaskInput[]) => notBefore(onOwnDay(tasks, works, request.gathering.ahead ?? [], days), now);
  const loose = builder.build(loosened(works, always));
  const spans = timeSpans({ format: "unisynth-problem/1", horizon, resources: [], tasks: inTime(loose.tasks).map(bare) });
  const exact = windowsOf(works, kitchen, days.clockChanges, (work) => spans.get(work.id) ?? [0, horizon], caseOf);
  const { tasks: built, poolUses, readyAfter } = builder.build(exact);
  if (strategy.soonFromCold) limitOutOfCold(built, works, kitchen);
  const more = besideTasks(beside, kitchen, wavesBy(request.gathering.waves, days));
  const washed = washing(works, kitchen, lastHands(request, days));
  const { info, steps, obstacles } = builder;
  const firsts = firstPieces(works, built, info, wantsFirst(request.gathering), (why) =>
    obstacles.add({ code: "cannot-wait", ...why }),
  );
  const tasks = inTime([...built, ...firsts.tasks, ...oil.changes(works, built), ...more.tasks, ...washed.tasks]);
  for (const wait of linked.waits) info.set(wait.id, waitInfo(wait, kitchen));
  for (const [id, what] of [...firsts.info, ...more.info, ...washed.info]) info.set(id, what);
  for (const task of tasks) if (!info.has(task.id)) info.set(task.id, oil.infoOf());
  const pools = poolResources(
    request,
    days,
    horizon,
    [...poolUses, ...firsts.poolUses, ...more.poolUses, ...washed.poolUses],
    tasks,
  );
  return {
    problem: {
      format: "unisynth-problem/1",
      horizon,
      resources: [...pools, ...chamberResources(kitchen, works)],
      tasks: tasks.map(clean),
      costs: { makespan: 0, span: COST.span },
    },
    info,
    workload,
    steps,
    obstacles: [...obstacles.all, ...more.obstacles, ...tooLate({ tasks }, now, stepOf(info))],
    readyAfter,
  };
}

/** The item and the step that a task is; undefined for what the plan adds by itself. */
const stepOf =
  (info: ReadonlyMap<string, TaskInfo>) =>
  (task: string): OfTask | undefined => {
    const found = info.get(task);
    return found?.what.code === "step" ? { item: found.item, kind: found.what.kind } : undefined;
  };

/** When the last cook leaves, min. */
const lastHands = ({ kitchen }: PlanRequest, days: PlanDays): number => Math.max(0, ...leavingTimes(kitchen, days));

const horizonOf = (request: PlanRequest, days: PlanDays, demands: readonly Demand[]): number =>
  Math.max(1, lastHands(request, days), ...demands.map((demand) => demand.by));

/** Drops the planner's own notes from the uses. */
const clean = (task: TaskInput): TaskInput => ({
  ...task,
  uses: task.uses?.map((use) => {
    const { fraction, ...rest } = use as EquipmentUse;
    void fraction;
    return rest;
  }),
});
