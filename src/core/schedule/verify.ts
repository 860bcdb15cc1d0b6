import { leastDuration, type Chamber, type Pool, type Problem, type Task, type Use } from "./problem";
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
 * it is written from the rules. Its time grows with what there is to look at and not with how long the day is; where many
 * loads break one rule together, each is told with one of the others.
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
    else checkPool(resource, list, report);
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

type Window = readonly [from: number, to: number, units: number];

/** Sums of what is taken, minute by minute, against what is there: one pass over the minutes at which either changes. */
function checkPool({ id, capacity, calendar }: Pool, bookings: readonly Booking[], report: Report): void {
  const windows: readonly Window[] = calendar ? [...calendar].sort((a, b) => a[0] - b[0]) : [[-Infinity, Infinity, capacity]];
  const changes = bookings
    .filter(({ from, to }) => to > from)
    .flatMap(({ use, from, to }) => [
      { at: from, by: use.amount },
      { at: to, by: -use.amount },
    ])
    .sort((a, b) => a.at - b.at);
  let taken = 0;
  let w = 0;
  for (let i = 0; i < changes.length;) {
    const { at } = changes[i];
    for (; i < changes.length && changes[i].at === at; i++) taken += changes[i].by;
    if (taken === 0 || i === changes.length) continue;
    const until = changes[i].at;
    // Up to the next change the same is taken: each stretch of the calendar in it must have so much.
    for (let minute = at; minute < until;) {
      while (w < windows.length && windows[w][1] <= minute) w++;
      const [from, to, units] = windows[w] ?? [Infinity, Infinity, 0];
      const there = from <= minute ? Math.min(capacity, units) : 0;
      if (taken > there) return overfull(id, minute, taken, there, bookings, report);
      minute = from <= minute ? to : from;
    }
  }
}

function overfull(id: string, minute: number, taken: number, there: number, bookings: readonly Booking[], report: Report): void {
  const about = bookings.filter(({ from, to }) => from <= minute && minute < to).map(({ task }) => task.id);
  report("pools", [id, ...about], `${id}: ${taken} taken at minute ${minute}, ${there} there (${some(about)})`);
}

/** The first few of a list that may be long. */
const some = (ids: readonly string[]): string =>
  ids.length > MOST_NAMED ? `${ids.slice(0, MOST_NAMED).join(", ")} and ${ids.length - MOST_NAMED} others` : ids.join(", ");
const MOST_NAMED = 12;

function checkChamber(chamber: Chamber, bookings: readonly Booking[], report: Report): void {
  const loads = [...bookings].sort((a, b) => a.from - b.from || a.to - b.to);
  if (loads.length === 0) return;
  const say: Say = (about, text) =>
    report(
      "chambers",
      [chamber.id, ...about.map((b) => b.task.id)],
      `${chamber.id}: ${text} (${some(about.map((b) => b.task.id))})`,
    );
  const [first] = loads;
  for (const load of loads.filter((l) => l.from === first.from)) {
    const warm = Math.ceil((load.use.setting! - chamber.start) / chamber.heat);
    if (load.from < warm) say([load], `cannot be at ${load.use.setting} °C before minute ${warm}`);
  }
  checkInside(chamber, loads, say);
  checkChanges(chamber, loads, say);
  checkSealed(loads, say);
  if (chamber.ranked) checkRanks(loads, say);
  checkRecovery(chamber, loads, say);
}

type Say = (about: readonly Booking[], text: string) => void;

/** What is inside together: slots, and one setting for all. `loads` by their start. */
function checkInside(chamber: Chamber, loads: readonly Booking[], say: Say): void {
  let inside: Booking[] = [];
  let fullSaid = -1;
  for (const load of loads) {
    inside = inside.filter((other) => other.to > load.from);
    const other = inside.find(({ use }) => use.setting !== load.use.setting);
    if (other) say([other, load], `${other.use.setting} and ${load.use.setting} °C at once`);
    inside.push(load);
    const slots = inside.reduce((sum, { use }) => sum + use.amount, 0);
    if (slots > chamber.slots && fullSaid !== load.from) {
      fullSaid = load.from;
      say(inside, `${slots} slots taken at minute ${load.from}, ${chamber.slots} there`);
    }
    // In a chamber that is overfull what fits is told from: beyond that every load is one too many.
    if (inside.length > MOST_INSIDE) inside = inside.slice(-MOST_INSIDE);
  }
}
/** Loads at once beyond which a chamber is full beyond all doubt, and the first are no longer looked at. */
const MOST_INSIDE = 2000;

/** The time that a change of setting takes: from the last load at each other setting to each load. `loads` by their start. */
function checkChanges(chamber: Chamber, loads: readonly Booking[], say: Say): void {
  const byEnd = [...loads].sort((a, b) => a.to - b.to);
  const last = new Map<number, Booking>();
  let ended = 0;
  for (const load of loads) {
    const setting = load.use.setting!;
    for (; ended < byEnd.length && byEnd[ended].to <= load.from; ended++) last.set(byEnd[ended].use.setting!, byEnd[ended]);
    for (const [other, before] of last) {
      if (other === setting || before === load) continue;
      const rise = setting - other;
      const change = Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
      const gap = load.from - before.to;
      if (gap >= change) continue;
      say([before, load], `${gap} min to change from ${other} to ${setting} °C, ${change} are needed`);
      break;
    }
  }
}

/** While a load is sealed in no other comes or goes. */
function checkSealed(loads: readonly Booking[], say: Say): void {
  const moments = loads
    .flatMap((load) => [
      { at: load.from, load },
      { at: load.to, load },
    ])
    .sort((a, b) => a.at - b.at);
  for (const load of loads) {
    const shut = load.from + load.use.sealed;
    if (load.use.sealed === 0) continue;
    for (let k = firstAfter(moments, load.from); k < moments.length && moments[k].at < shut; k++) {
      if (moments[k].load === load) continue;
      say([load, moments[k].load], `opened while sealed to minute ${shut}`);
      break;
    }
  }
}

/** Position of the first moment after a minute, among moments in order. */
function firstAfter(moments: readonly { readonly at: number }[], minute: number): number {
  let [low, high] = [0, moments.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (moments[middle].at > minute) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Lower ranks never start after higher ones. `loads` by their start. */
function checkRanks(loads: readonly Booking[], say: Say): void {
  let highest: Booking | undefined;
  for (let i = 0; i < loads.length;) {
    const { from } = loads[i];
    let top = highest;
    for (; i < loads.length && loads[i].from === from; i++) {
      const load = loads[i];
      if (highest && load.use.rank < highest.use.rank)
        say([load, highest], `rank ${load.use.rank} starts after rank ${highest.use.rank}`);
      if (!top || load.use.rank > top.use.rank) top = load;
    }
    highest = top;
  }
}

/** The pause between two groups of loads. `loads` by their start. */
function checkRecovery(chamber: Chamber, loads: readonly Booking[], say: Say): void {
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
