import { Obstacles } from "../../batching/obstacle";
import type { Work, Workload } from "../../batching/work";
import type { Step } from "../../item/step";
import { capacitiesOf } from "../../kitchen/capacity";
import type { Cook, Kitchen } from "../../kitchen/schema";
import type { DurationSource, TaskInfo } from "../schema";
import { COST } from "./costs";
import type { Linked } from "./precedences";
import { addServing } from "./serving";
import { infoOf, labelOf, sourceOf, StepTable } from "./task-info";
import type { TaskInput } from "./task-input";
import { addLinks, addWaits } from "./task-links";
import { cooksFor, fixedMinutes, minutesByCook, scalesWithSkill, tendsOf, type RestWindow } from "./timing";
import { equipmentUses, handUses, type EquipmentUse } from "./uses";

/** A use of a pool whose amount may be a fraction until all of the pool's uses are known. */
export interface PoolUse {
  readonly use: EquipmentUse;
  readonly pool: string;
}

export interface Built {
  readonly tasks: TaskInput[];
  readonly poolUses: readonly PoolUse[];
  /** Least time of each rest, min, by task. */
  readonly readyAfter: ReadonlyMap<string, number>;
}

/**
 * Makes works into tasks, for given windows of their rests. It is asked twice: with loose windows to see when each rest can
 * lie, and with those that hold then. Invariant: what it says beside the tasks (`info`, `steps`, `obstacles`) is what the
 * last asking came to, and does not depend on the windows but for where a duration comes from.
 */
export class TaskBuilder {
  readonly info = new Map<string, TaskInfo>();
  readonly steps = new StepTable();
  readonly obstacles = new Obstacles();
  private readonly cooksOf: ReadonlyMap<Work, readonly Cook[]>;

  constructor(
    private readonly kitchen: Kitchen,
    private readonly workload: Workload,
    private readonly linked: Linked,
    /** Where lengths come from that are not the steps' own word. */
    private readonly lengthFrom: ReadonlyMap<Step, DurationSource>,
    private readonly fryRank: (work: Work) => number,
  ) {
    workload.obstacles.forEach((obstacle) => this.obstacles.add(obstacle));
    this.cooksOf = new Map(workload.works.map((work) => [work, cooksFor(work.step, kitchen)]));
  }

  build(windows: ReadonlyMap<string, RestWindow>): Built {
    const { workload, linked } = this;
    const poolUses: PoolUse[] = [];
    const tasks = workload.works.map((work) => this.taskOf(work, windows.get(work.id), poolUses));
    const readyAfter = new Map([...windows].map(([id, window]) => [id, window.ready]));
    addLinks(tasks, linked, workload, windows, this.obstacles);
    addWaits(tasks, linked, this.kitchen, poolUses);
    addServing(tasks, workload, readyAfter);
    return { tasks, poolUses, readyAfter };
  }

  private taskOf(work: Work, window: RestWindow | undefined, poolUses: PoolUse[]): TaskInput {
    const { step } = work;
    const cooks = this.cooksOf.get(work)!;
    const handsOn = step.attention === "hands-on";
    const least = window ? window.min : Math.min(...(handsOn ? minutesByCook(work, cooks) : [fixedMinutes(work)]));
    const tends = handsOn ? [] : tendsOf(step, cooks, least);
    if (cooks.length === 0 && (handsOn || tends.length > 0))
      this.obstacles.add({ code: "no-cook", item: work.item.id, kind: step.kind, step: step.id });
    const hands = cooks.length > 0 ? handUses(work, tends, cooks) : [];
    const equipment = equipmentUses(work, tends, this.kitchen, capacitiesOf(work.item, this.kitchen), this.fryRank, (obstacle) =>
      this.obstacles.add(obstacle),
    );
    for (const use of equipment) if (use.fraction !== undefined) poolUses.push({ use, pool: use.resource as string });
    const source = sourceOf(work, this.lengthFrom.get(step), window);
    const about = infoOf(work, this.kitchen, this.steps.keyOf(work.item, step), source, window);
    this.info.set(work.id, about);
    return {
      id: work.id,
      label: labelOf(about, work),
      duration: durationOf(work, window, cooks.length > 1 ? minutesByCook(work, cooks) : undefined, least, this.linked),
      uses: [...hands, ...equipment],
      after: [],
      ...(window && { stretchCost: COST.stretch }),
      ...(window?.earliest !== undefined && { earliest: window.earliest }),
    };
  }
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
