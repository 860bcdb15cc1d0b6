import { type Demand } from "../../gathering/demands";
import { oilRank } from "../../gathering/served";
import { sizeOf } from "../../shared/range";
import type { TaskInfo } from "../schema";
import type { Kitchen } from "../../kitchen/schema";
import type { Work } from "../../batching/work";
import { cooksFor } from "./timing";

import type { TaskInput } from "./task-input";

const fries = (demand: Demand): boolean => demand.steps.some((step) => step.equipment.some((e) => e.id === "fryer"));

/**
 * The order of the oil: what leaves no taste goes in first, and among equals what keeps the oil vegan. A demand that
 * is to be fried in fresh oil afterwards comes behind a change of oil.
 */
export function oilOrder(demands: readonly Demand[], kitchen: Kitchen) {
  const frying = demands.filter(fries);
  const orderOf = (demand: Demand) => oilRank(demand.item, demand.own);
  const top = Math.max(0, ...frying.map(orderOf)) + 1;
  const fresh = frying.filter((demand) => demand.resolved.fryerRefill && frying.some((other) => !other.resolved.fryerRefill));
  const rankOf = (demand: Demand): number => (fresh.includes(demand) ? top + 1 + orderOf(demand) : orderOf(demand));
  const changeId = "fryer/oil-change";

  return {
    rankOf,
    /** The change of oil as a task, and the lag after it in which the fresh oil heats up. */
    changes(works: readonly Work[], tasks: readonly TaskInput[]): TaskInput[] {
      const { fryer } = kitchen.equipment;
      if (fresh.length === 0 || !fryer) return [];
      const byId = new Map(tasks.map((task) => [task.id, task]));
      const settingOf = (work: Work) => work.step.equipment.find((e) => e.id === "fryer")?.settingC ?? fryer.maxC;
      const before = works.filter((work) => work.chamber === "fryer" && !fresh.includes(work.demands[0]));
      const after = works.filter((work) => work.chamber === "fryer" && fresh.includes(work.demands[0]));
      if (before.length === 0 || after.length === 0) return [];
      const hands = Math.min(Math.ceil(fresh[0].resolved.fryerRefill!.handsMin), Math.ceil(fryer.refillMin));
      const cooks = cooksFor(after[0].step, kitchen).map((cook) => cook.id);
      for (const work of after) {
        const heatUp = Math.ceil((settingOf(work) - fryer.startC) / fryer.heatCPerMin);
        byId.get(work.id)!.after!.push({ task: changeId, min: heatUp });
      }
      return [
        {
          id: changeId,
          label: "Change the oil",
          duration: Math.max(1, Math.ceil(fryer.refillMin)),
          uses: [
            { resource: "fryer", setting: settingOf(before[before.length - 1]), rank: top },
            ...(hands > 0 && cooks.length > 0 ? [{ resource: cooks, from: 0, minutes: hands }] : []),
          ],
          after: before.map((work) => ({ task: work.id, min: 0 })),
        },
      ];
    },
    infoOf(): TaskInfo {
      const [demand] = fresh;
      return {
        item: demand.item.id,
        step: null,
        pieces: sizeOf(demand.range),
        range: demand.range,
        for: [demand.for],
        what: { code: "oil-change" },
        source: "plan",
      };
    },
  };
}
