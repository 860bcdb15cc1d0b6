import { COST } from "./costs";
import { isReadyWork } from "./ready";
import { type Demand } from "../../gathering/demands";
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
    if (work.shared) continue;
    const [demand] = work.demands;
    const task = byId.get(work.id)!;
    const { hold, best } = servingOf(demand);
    const serves = work.step.kind === "serve";
    if (serves || !followed.has(work.id)) tighten(task, "latest", demand.by);
    if (demand.for === "freezer") continue;
    if (serves) {
      task.due = demand.by;
      task.earlyCost = COST.early;
    }
    if (hold === undefined || !isReadyWork(work, workload)) continue;
    const least = readyAfter.get(work.id) ?? leastMinutes(task);
    tighten(task, "earliest", demand.by - hold - least);
    if (demand.path === "from-freezer") tighten(task, "latest", demand.by);
    const weight = (isBestWarm(best) ? 1 : Math.min(1, FRESH_REFERENCE_MIN / Math.max(1, hold))) * COST.freshness;
    const siblings = workload.works.filter((w) => w.step.id === work.step.id && w.demands[0] === demand).length;
    const cost = Math.round((1000 * weight) / siblings) / 1000;
    task.due = demand.by;
    task.earlyCost = cost;
    // What cools until it is eaten is no fresher for cooling on: its minutes beyond the least count as well.
    if (Array.isArray(task.duration)) task.stretchCost = Math.max(task.stretchCost ?? 0, cost);
  }
}

/** The serve step's hold of a demand, also for pieces whose path leads past it. */
function servingOf(demand: Demand): { hold?: number; best?: string } {
  const hold = demand.resolved.steps.find((step) => step.kind === "serve")?.hold;
  return { hold: hold?.maxMin, best: hold?.best };
}

/** Whether it is best hot or warm, by the recipe's word: then its minutes count in full, however long it may wait. */
const isBestWarm = (best: string | undefined): boolean => best !== undefined && /\b(?:hot|warm)\b/i.test(best);
