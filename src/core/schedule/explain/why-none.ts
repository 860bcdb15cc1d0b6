import type { Model } from "../model";
import { candidatesOf, type Problem } from "../problem";
import type { ScheduleReason } from "../reason";
import type { Search } from "../construct/search";

/**
 * Reasons for a problem in which `task` fits nowhere even alone (proven): its own window from what comes before and
 * after, and which of its resources has no room there.
 */
export function whyNone(problem: Problem, model: Model, task: number): ScheduleReason[] {
  const { earliest, latest } = reach(model, task);
  const { id } = problem.tasks[task];
  if (latest - earliest < model.least[task])
    return [{ code: "too-long", task: id, minutes: model.least[task], earliest, latest }];
  const short = problem.tasks[task].uses.flatMap((use, u) => {
    const need = model.uses[task][u];
    if (need.chamber) return [];
    const minutes = need.minutes.length > 0 ? Math.min(...need.minutes) : model.least[task];
    const fits = Array.from(need.resources).some((r) => longestRun(model.units[r]!, need.amount, earliest, latest) >= minutes);
    return fits ? [] : [{ amount: use.amount, resources: candidatesOf(use).slice(), minutes }];
  });
  return [{ code: "no-room", task: id, earliest, latest, short }];
}

function longestRun(units: Int32Array, amount: number, from: number, to: number): number {
  let run = 0;
  let best = 0;
  for (let minute = Math.max(0, from); minute < Math.min(to, units.length); minute++) {
    run = units[minute] >= amount ? run + 1 : 0;
    best = Math.max(best, run);
  }
  return best;
}

/**
 * Reasons for a search that found nothing: first whether that is proven, then what the nearest timetable leaves out
 * and what stood in the way most often.
 */
export function whyNotFound(
  problem: Problem,
  model: Model,
  search: Search,
  proven: boolean,
  leftOut: readonly number[],
): ScheduleReason[] {
  const hardest = Array.from({ length: model.n }, (_, i) => i)
    .filter((i) => search.trouble[i] > 1.5)
    .sort((a, b) => search.trouble[b] - search.trouble[a])
    .slice(0, 3);
  const tightest = Array.from({ length: model.resourceCount }, (_, r) => r)
    .filter((r) => search.refusals[r] > 0)
    .sort((a, b) => search.refusals[b] - search.refusals[a])
    .slice(0, 2);
  search.clear();
  const reasons: ScheduleReason[] = [{ code: proven ? "ruled-out" : "none-found" }];
  if (leftOut.length > 0)
    reasons.push({
      code: "nearest",
      placed: model.n - leftOut.length,
      of: model.n,
      leftOut: leftOut.map((task) => problem.tasks[task].id),
    });
  for (const task of hardest)
    reasons.push({
      code: "no-place",
      task: problem.tasks[task].id,
      earliest: search.windows.lo[2 * task],
      latest: search.windows.hi[2 * task + 1],
      taken: tightest.map((r) => problem.resources[r].id),
    });
  return reasons;
}

/** Longest way to the task from its predecessors' earliest times, and shortest from its successors' latest, one pass each way. */
function reach(model: Model, task: number): { earliest: number; latest: number } {
  const low = model.lo0.slice();
  const high = model.hi0.slice();
  const { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight } = model;
  const settle = (rounds: number) => {
    for (let round = 0; round < rounds; round++)
      for (let node = 0; node < 2 * model.n; node++) {
        // Only forward steps in time: minimum lags and least durations.
        for (let a = arcStart[node]; a < arcStart[node + 1]; a++)
          if (forward(node, arcTo[a])) low[arcTo[a]] = Math.max(low[arcTo[a]], low[node] + arcWeight[a]);
        for (let a = backStart[node]; a < backStart[node + 1]; a++)
          if (forward(backFrom[a], node)) high[backFrom[a]] = Math.min(high[backFrom[a]], high[node] - backWeight[a]);
      }
  };
  const forward = (from: number, to: number) => ((from & 1) === 0 ? to === from + 1 : (to & 1) === 0 && to >> 1 !== from >> 1);
  settle(Math.min(model.n, 200));
  return { earliest: low[2 * task], latest: high[2 * task + 1] };
}
