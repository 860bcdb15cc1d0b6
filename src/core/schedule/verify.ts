import { leastDuration, type Chamber, type Problem, type Task, type Use } from "./problem";
import type { Placed, Solution } from "./solution";

/** One broken rule: which one (numbers as in the format), where, and in words. */
export interface Violation {
  readonly rule: "tasks" | "time" | "limits" | "after" | "pools" | "chambers" | "choices" | "cost" | "status";
  readonly about: readonly string[];
  readonly text: string;
}

const AGREE = 1e-6;

interface Booking {
  readonly task: Task;
  readonly use: Use;
  readonly from: number;
  readonly to: number;
}

/**
 * Checks a solution against every rule of the format, trusting neither side. Shares no code with the solver:
 * it is written from the rules, minute by minute, for clarity and not for speed.
 * @returns every violation found; empty when the solution keeps all rules and states its own cost truly
 */
export function verify(problem: Problem, solution: Solution): Violation[] {
  if (solution.status === "infeasible") return verifyRefusal(solution);
  const violations: Violation[] = [];
  const report = (rule: Violation["rule"], about: readonly string[], text: string) => violations.push({ rule, about, text });
  const placed = new Map<string, Placed>();
  const known = new Set(problem.tasks.map((task) => task.id));
  for (const entry of solution.tasks) {
    if (!known.has(entry.id)) report("tasks", [entry.id], `${entry.id} is not a task of the problem`);
    else if (placed.has(entry.id)) report("tasks", [entry.id], `${entry.id} stands twice`);
    else placed.set(entry.id, entry);
  }
  for (const task of problem.tasks) if (!placed.has(task.id)) report("tasks", [task.id], `${task.id} is missing`);
  if (violations.length > 0) return violations;

  const bookings = new Map<string, Booking[]>(problem.resources.map((resource) => [resource.id, []]));
  for (const task of problem.tasks) {
    const entry = placed.get(task.id)!;
    checkTime(problem, task, entry, report);
    checkAfter(task, entry, placed, report);
    book(task, entry, bookings, report);
  }
  for (const resource of problem.resources) {
    const list = bookings.get(resource.id)!;
    if (resource.kind === "chamber") checkChamber(resource, list, report);
    else {
      const units = unitsOf(resource.capacity, resource.calendar);
      checkPool(resource.id, units, list, report);
    }
  }
  checkCost(problem, solution, placed, report);
  return violations;
}

type Report = (rule: Violation["rule"], about: readonly string[], text: string) => void;

function verifyRefusal(solution: Solution): Violation[] {
  const violations: Violation[] = [];
  if (solution.tasks.length > 0) violations.push({ rule: "status", about: [], text: "infeasible, yet it has tasks" });
  if (solution.why.length === 0) violations.push({ rule: "status", about: [], text: "infeasible, yet it does not say why" });
  return violations;
}

function checkTime(problem: Problem, task: Task, { start, end, taken }: Placed, report: Report): void {
  const length = end - start;
  if (start < 0 || end > problem.horizon)
    report("time", [task.id], `${task.id} at [${start}, ${end}) leaves [0, ${problem.horizon}]`);
  const { duration } = task;
  if (typeof duration === "number") {
    if (length !== duration) report("time", [task.id], `${task.id} lasts ${length} min, not ${duration}`);
  } else if (Array.isArray(duration)) {
    if (length < duration[0] || length > duration[1])
      report("time", [task.id], `${task.id} lasts ${length} min, outside ${duration[0]} to ${duration[1]}`);
  } else {
    const choice = (task.uses[duration.of].resource as string[]).indexOf(taken[duration.of]);
    if (choice < 0 || duration.minutes[choice] !== length)
      report("time", [task.id], `${task.id} lasts ${length} min, not what ${taken[duration.of]} takes`);
  }
  if (task.earliest !== undefined && start < task.earliest)
    report("limits", [task.id], `${task.id} starts at ${start}, before its earliest ${task.earliest}`);
  if (task.latest !== undefined && end > task.latest)
    report("limits", [task.id], `${task.id} ends at ${end}, after its latest ${task.latest}`);
}

function checkAfter(task: Task, entry: Placed, placed: ReadonlyMap<string, Placed>, report: Report): void {
  for (const { task: other, min, max } of task.after) {
    const gap = entry.start - placed.get(other)!.end;
    if (gap < min)
      report("after", [task.id, other], `${task.id} starts ${gap} min after ${other} ends, at least ${min} are needed`);
    if (max !== undefined && gap > max)
      report("after", [task.id, other], `${task.id} starts ${gap} min after ${other} ends, at most ${max} are allowed`);
  }
}

function book(task: Task, { start, end, taken }: Placed, bookings: Map<string, Booking[]>, report: Report): void {
  if (taken.length !== task.uses.length && task.uses.length > 0)
    report("choices", [task.id], `${task.id} names ${taken.length} resources for ${task.uses.length} uses`);
  task.uses.forEach((use, index) => {
    const chosen = taken[index];
    const allowed = typeof use.resource === "string" ? [use.resource] : use.resource;
    const choice = allowed.indexOf(chosen);
    if (choice < 0) return report("choices", [task.id], `${task.id} takes ${chosen}, which use ${index} does not list`);
    if (use.from === undefined || use.minutes === undefined) {
      bookings.get(chosen)!.push({ task, use, from: start, to: end });
      return;
    }
    const minutes = typeof use.minutes === "number" ? use.minutes : use.minutes[choice];
    const from = (use.from >= 0 ? start : end) + use.from;
    bookings.get(chosen)!.push({ task, use, from, to: from + minutes });
  });
}

/** Units there are at a minute: the capacity, or the least of it and the calendar's window, 0 outside all windows. */
function unitsOf(
  capacity: number,
  calendar: readonly (readonly [number, number, number])[] | undefined,
): (minute: number) => number {
  if (!calendar) return () => capacity;
  return (minute) => Math.min(capacity, calendar.find(([from, to]) => from <= minute && minute < to)?.[2] ?? 0);
}

function checkPool(id: string, units: (minute: number) => number, bookings: readonly Booking[], report: Report): void {
  const taken = new Map<number, number>();
  for (const { use, from, to } of bookings)
    for (let minute = from; minute < to; minute++) taken.set(minute, (taken.get(minute) ?? 0) + use.amount);
  const over = [...taken].filter(([minute, amount]) => amount > units(minute)).map(([minute]) => minute);
  if (over.length === 0) return;
  const first = Math.min(...over);
  const about = bookings.filter(({ from, to }) => from <= first && first < to).map(({ task }) => task.id);
  report(
    "pools",
    [id, ...about],
    `${id}: ${taken.get(first)} taken at minute ${first}, ${units(first)} there (${about.join(", ")})`,
  );
}

function checkChamber(chamber: Chamber, bookings: readonly Booking[], report: Report): void {
  const loads = [...bookings].sort((a, b) => a.from - b.from || a.to - b.to);
  const say = (about: readonly Booking[], text: string) =>
    report(
      "chambers",
      [chamber.id, ...about.map((b) => b.task.id)],
      `${chamber.id}: ${text} (${about.map((b) => b.task.id).join(", ")})`,
    );
  for (const load of loads) {
    const inside = loads.filter((other) => other.from <= load.from && load.from < other.to);
    const slots = inside.reduce((sum, other) => sum + other.use.amount, 0);
    if (slots > chamber.slots) say(inside, `${slots} slots taken at minute ${load.from}, ${chamber.slots} there`);
  }
  if (loads.length > 0) {
    const [first] = loads;
    for (const load of loads.filter((l) => l.from === first.from)) {
      const warm = Math.ceil((load.use.setting! - chamber.start) / chamber.heat);
      if (load.from < warm) say([load], `cannot be at ${load.use.setting} °C before minute ${warm}`);
    }
  }
  for (const a of loads)
    for (const b of loads) {
      if (a === b) continue;
      if (a.from < b.to && b.from < a.to) {
        if (a.use.setting !== b.use.setting && a.from <= b.from) say([a, b], `${a.use.setting} and ${b.use.setting} °C at once`);
      } else if (a.to <= b.from && a.use.setting !== b.use.setting) {
        const rise = b.use.setting! - a.use.setting!;
        const change = Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
        if (b.from - a.to < change)
          say([a, b], `${b.from - a.to} min to change from ${a.use.setting} to ${b.use.setting} °C, ${change} are needed`);
      }
      const shut = a.from + a.use.sealed;
      if ([b.from, b.to].some((moment) => a.from < moment && moment < shut)) say([a, b], `opened while sealed to minute ${shut}`);
      if (chamber.ranked && a.use.rank < b.use.rank && a.from > b.from)
        say([a, b], `rank ${a.use.rank} starts after rank ${b.use.rank}`);
    }
  let groupEnd = -Infinity;
  let last: Booking | undefined;
  for (const load of loads) {
    if (last && load.from >= groupEnd && load.from - groupEnd < chamber.recovery)
      say([last, load], `${load.from - groupEnd} min to recover, ${chamber.recovery} are needed`);
    if (load.to > groupEnd) {
      groupEnd = load.to;
      last = load;
    }
  }
}

function checkCost(problem: Problem, solution: Solution, placed: ReadonlyMap<string, Placed>, report: Report): void {
  let cost = 0;
  let first = Infinity;
  let last = 0;
  for (const task of problem.tasks) {
    const { start, end } = placed.get(task.id)!;
    if (task.due !== undefined)
      cost += task.earlyCost * Math.max(0, task.due - end) + task.lateCost * Math.max(0, end - task.due);
    if (Array.isArray(task.duration)) cost += task.stretchCost * (end - start - leastDuration(task));
    first = Math.min(first, start);
    last = Math.max(last, end);
  }
  if (problem.tasks.length > 0) cost += problem.costs.makespan * last + problem.costs.span * (last - first);
  if (Math.abs(cost - solution.cost) > AGREE) report("cost", [], `the cost is ${cost}, not ${solution.cost}`);
  if (solution.bound > solution.cost + AGREE)
    report("status", [], `the bound ${solution.bound} is above the cost ${solution.cost}`);
  if (solution.status === "optimal" && Math.abs(solution.bound - solution.cost) > AGREE)
    report("status", [], `called optimal with a bound of ${solution.bound} and a cost of ${solution.cost}`);
}
