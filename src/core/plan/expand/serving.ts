import { COST } from "./costs";
import type { Hold } from "../../item/step";
import { eatenOf, servingsAfter } from "./ready";
import { type Workload } from "../../batching/work";
import { leastMinutes, type TaskInput } from "./task-input";

/** A piece that may wait this long counts its minutes of age at full weight; one that may wait longer at less. */
const FRESH_REFERENCE_MIN = 30;

/** Waves and freezer deadlines: the last works end by then, pieces are ready no longer before than they may wait, and fresh is better. */
export function addServing(tasks: readonly TaskInput[], workload: Workload, readyAfter: ReadonlyMap<string, number>): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const followed = new Set(workload.works.flatMap((work) => byId.get(work.id)!.after!.map((link) => link.task)));
  const tighten = (task: TaskInput, field: "earliest" | "latest", value: number) => {
    const old = task[field];
    task[field] = old === undefined ? value : field === "latest" ? Math.min(old, value) : Math.max(old, value);
  };
  for (const work of workload.works) {
    const task = byId.get(work.id)!;
    const demand = eatenOf(work);
    const serves = work.step.kind === "serve";
    if (!work.shared && (serves || !followed.has(work.id))) tighten(task, "latest", work.demands[0].by);
    if (!demand) continue;
    if (serves) {
      task.due = demand.by;
      task.earlyCost = COST.early;
    }
    const least = readyAfter.get(work.id) ?? leastMinutes(task);
    const holds = servingsAfter(work, workload).flatMap(({ hold }) => hold ?? []);
    if (holds.length === 0) continue;
    for (const { maxMin } of holds) tighten(task, "earliest", Math.ceil(demand.by - maxMin - least - 1e-9));
    if (demand.path === "from-freezer" && !work.shared) tighten(task, "latest", demand.by);
    const siblings = workload.works.filter((w) => w.step.id === work.step.id && w.demands[0] === work.demands[0]).length;
    const cost = Math.round((1000 * Math.max(...holds.map(freshnessOf))) / siblings) / 1000;
    task.due = demand.by;
    task.earlyCost = cost;
    // What cools until it is eaten is no fresher for cooling on: its minutes beyond the least count as well.
    if (Array.isArray(task.duration)) task.stretchCost = Math.max(task.stretchCost ?? 0, cost);
  }
}

/** Cost of a minute's wait of all pieces: in full for what may wait only shortly, or is best warm. */
const freshnessOf = ({ best, maxMin }: Hold): number =>
  (isBestWarm(best) ? 1 : Math.min(1, FRESH_REFERENCE_MIN / Math.max(1, maxMin))) * COST.freshness;

/** Whether it is best hot or warm, by the recipe's word: then its minutes count in full, however long it may wait. */
export const isBestWarm = (best: string): boolean => /\b(?:hot|warm)\b/i.test(best);
