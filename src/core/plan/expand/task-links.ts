import type { Obstacles } from "../../batching/obstacle";
import { COST } from "./costs";
import { taskText } from "../task-text";
import { waitInfo } from "./task-info";
import { isCarrier } from "../../kitchen/capacity";
import { isChamber, poolSize } from "../../kitchen/equipment";
import { type Linked } from "./precedences";
import { type RestWindow } from "./timing";
import { type EquipmentUse } from "./uses";
import { carriersOf, type Work, type Workload } from "../../batching/work";
import type { Kitchen } from "../../kitchen/schema";
import type { TaskInput } from "./task-input";

/** Puts the lags between works into their tasks, min from end to start, and the order of loads that are alike. */
export function addLinks(
  tasks: readonly TaskInput[],
  linked: Linked,
  workload: Workload,
  windows: ReadonlyMap<string, RestWindow>,
  obstacles: Obstacles,
): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  for (const { before, after, min, max, withinRest } of linked.links) {
    const window = windows.get(before.id);
    const limit = withinRest && window ? window.max - window.min : max;
    if (limit !== undefined && limit < min)
      obstacles.add({
        code: "cannot-wait",
        item: before.item.id,
        kind: before.step.kind,
        mayWaitMin: Math.round(limit),
        mustWaitMin: Math.round(min),
      });
    byId.get(after.id)!.after!.push({ task: before.id, min, ...(limit !== undefined && { max: Math.max(min, limit) }) });
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

/** Adds a task for each carrier (or rest) that stays taken between two works; what it takes goes to `poolUses`. */
export function addWaits(
  tasks: TaskInput[],
  linked: Linked,
  kitchen: Kitchen,
  shares: { use: EquipmentUse; pool: string }[],
): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const take = (pool: string, fraction: number): EquipmentUse => {
    const use: EquipmentUse = { resource: pool, fraction };
    shares.push({ use, pool });
    return use;
  };
  for (const wait of linked.waits) {
    // A chamber is no place to wait in: what rested in one stands on its carrier. What is done without where there is none holds nothing.
    const isThere = ({ id, amount = 1 }: { readonly id: string; readonly amount?: number | undefined }) =>
      (poolSize(id, kitchen) ?? 0) >= amount;
    const held = wait.asBefore
      ? wait.before.step.equipment.filter((e) => !isCarrier(e.id) && !isChamber(e.id) && e.id !== "worktop" && isThere(e))
      : [];
    tasks.push({
      id: wait.id,
      label: taskText(waitInfo(wait, kitchen), () => wait.before.item.name),
      duration: [wait.min, Math.max(wait.min, wait.max)],
      uses: [
        ...carriersOf(wait.before).map(([pool, n]) => take(pool, n)),
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
