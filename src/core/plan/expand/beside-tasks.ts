import type { BesideAmount } from "../../gathering/beside";
import type { PlanDays } from "../../gathering/calendar";
import { poolSize } from "../../kitchen/equipment";
import type { Kitchen } from "../../kitchen/schema";
import { largestPot } from "../../batching/split";
import { Obstacles, type Obstacle } from "../../batching/obstacle";
import { COST } from "./costs";
import type { TaskInfo } from "../schema";
import type { TaskInput } from "./task-input";
import type { PoolUse } from "./task-builder";
import { ABOUT, type EquipmentUse } from "./uses";

/** Without a word about keeping, what is made is served within so long, min. */
const FRESH_MIN = 240;

export interface BesideTasks {
  readonly tasks: readonly TaskInput[];
  readonly poolUses: readonly PoolUse[];
  readonly info: ReadonlyMap<string, TaskInfo>;
  readonly obstacles: readonly Obstacle[];
}

/** Id of what stands beside, where a plan names items. */
export const besideItem = (id: string): string => `beside-${id}`;

/**
 * Dips, drinks and sides as tasks: hands, then the hob in as many pots as it takes, then cooling or waiting until it is served,
 * no longer than it keeps.
 * @param amounts what is to be made
 * @param byOf minute by which a wave is eaten
 */
export function besideTasks(amounts: readonly BesideAmount[], kitchen: Kitchen, byOf: (wave: string) => number): BesideTasks {
  const tasks: TaskInput[] = [];
  const poolUses: PoolUse[] = [];
  const info = new Map<string, TaskInfo>();
  const obstacles = new Obstacles();
  const cooks = kitchen.cooks.filter((cook) => cook.hours.length > 0).map((cook) => cook.id);
  const inOnePot = largestPot(kitchen) ?? Infinity;
  for (const { of, total } of amounts) {
    if (total <= 0) continue;
    const item = besideItem(of.id);
    const by = byOf(of.wave);
    const keeps = Math.floor(Math.max(of.coolMin, of.keepsH === undefined ? FRESH_MIN : of.keepsH * 60));
    const add = (task: TaskInput, job: "prepare" | "cook" | "wait", amount: number): TaskInput => {
      tasks.push(task);
      info.set(task.id, {
        item,
        step: null,
        pieces: 0,
        range: [0, 0],
        for: [of.wave],
        what: { code: "beside", job, amount: Math.round(amount), unit: of.unit },
        source: "plan",
      });
      return task;
    };
    const label = (job: string) => `${of.name}: ${job}`;
    let last: TaskInput[] = [];
    if (of.handsMin > 0) {
      if (cooks.length === 0) obstacles.add({ code: "no-cook", item, kind: "cook-filling", step: of.id });
      const task = add(
        {
          id: `${item}/prepare`,
          label: label("prepare"),
          duration: Math.ceil(of.handsMin),
          uses: cooks.length > 0 ? [{ resource: cooks.length === 1 ? cooks[0] : cooks }] : [],
          after: [],
          earliest: Math.max(0, by - keeps - Math.ceil(of.hobMin) - Math.ceil(of.handsMin)),
          latest: by,
        },
        "prepare",
        total,
      );
      last = [task];
    }
    if (of.hobMin > 0) {
      for (const need of ["hob", "pot"] as const)
        if (!poolSize(need, kitchen)) obstacles.add({ code: "not-there", item, kind: "cook-filling", equipment: need });
      const inPots = Math.max(1, Math.ceil(total / inOnePot - 1e-9));
      last = Array.from({ length: inPots }, (_, n) => {
        const take = (resource: string): EquipmentUse => ({ resource, fraction: 1 });
        const uses = (["hob", "pot"] as const).filter((need) => poolSize(need, kitchen)).map(take);
        for (const use of uses) poolUses.push({ use, pool: use.resource as string });
        return add(
          {
            id: `${item}/cook/${n + 1}`,
            label: label("cook"),
            duration: Math.ceil(of.hobMin),
            uses: [...uses, { resource: ABOUT }],
            after: last.map(({ id }) => ({ task: id, min: 0 })),
            earliest: Math.max(0, by - keeps - Math.ceil(of.hobMin)),
            latest: by - Math.ceil(of.coolMin),
          },
          "cook",
          total / inPots,
        );
      });
    }
    if (of.coolMin > 0) {
      const most = Math.floor(keeps);
      add(
        {
          id: `${item}/wait`,
          label: label("cool"),
          duration: [Math.ceil(of.coolMin), Math.max(Math.ceil(of.coolMin), most)],
          uses: [],
          after: last.map(({ id }) => ({ task: id, min: 0 })),
          latest: by,
          stretchCost: COST.wait,
          due: by,
          earlyCost: COST.wait,
        },
        "wait",
        total,
      );
    } else for (const task of last) Object.assign(task, { due: by, earlyCost: COST.wait });
  }
  return { tasks, poolUses, info, obstacles: obstacles.all };
}

/** Minute by which each wave is eaten. */
export const wavesBy = (waves: readonly { readonly id: string; readonly time: string }[], days: PlanDays) => (wave: string) =>
  days.minute(0, waves.find(({ id }) => id === wave)?.time ?? "24:00");
