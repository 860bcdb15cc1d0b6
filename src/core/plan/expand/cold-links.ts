import type { Work } from "../../batching/work";
import { isHeat } from "../../item/step";
import { throughStep } from "../../item/resolve";
import type { Kitchen } from "../../kitchen/schema";
import { overlaps } from "../../shared/range";
import { sum } from "../../shared/rounding";
import { isColdRest, leavesCold, usualLimitMin } from "../out-of-cold";
import { leastMinutes, slowestMinutes, type TaskInput } from "./task-input";

/**
 * Keeps what is raw from being out of the cold for longer than is usual: its heat begins soon enough after it came out of the fridge.
 * Where the work alone takes longer than that no limit is set; the plan says so.
 */
export function limitOutOfCold(tasks: readonly TaskInput[], works: readonly Work[], kitchen: Kitchen): void {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const limitMin = usualLimitMin(kitchen, Math.max(...kitchen.roomC.map(({ c }) => c)));
  for (const heat of works) {
    const { step, item, range } = heat;
    if (!isHeat(step) || step.coreC === undefined || step.part !== "piece") continue;
    const before = throughStep(heat.demands[0].steps, step.id);
    const way = heat.demands[0].steps.filter(({ id, part }) => id !== step.id && before.has(id) && part !== "dough");
    const raw = way.slice(way.findLastIndex(({ kind }) => kind === "cook-filling" || kind === "cool-filling") + 1);
    const outFrom = raw.findLastIndex((one) => leavesCold(one)) + 1;
    const worksOf = (steps: typeof raw) =>
      works.filter((work) => work.item === item && overlaps(work.range, range) && steps.some(({ id }) => id === work.step.id));
    const earlier = worksOf(raw.slice(0, outFrom).filter((one) => !isColdRest(one)));
    const out = worksOf(raw.slice(outFrom));
    const left = limitMin - sum(earlier.map((work) => slowestMinutes(byId.get(work.id)!)));
    const ids = new Set(out.map((work) => work.id));
    // Step after step the longest of its parts: they may be done beside each other.
    const least = sum(
      raw.slice(outFrom).map((one) => Math.max(0, ...worksOf([one]).map((work) => leastMinutes(byId.get(work.id)!)))),
    );
    if (least > left) continue;
    for (const work of out) {
      const task = byId.get(work.id)!;
      // Those that follow another of them are within its limit.
      if (task.after?.some((link) => ids.has(link.task))) continue;
      byId.get(heat.id)!.after!.push({ task: work.id, min: 0, max: Math.max(0, left - slowestMinutes(task)) });
    }
  }
}
