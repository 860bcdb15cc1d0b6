// src/core/schedule/problem.ts
import { z } from "zod";

// src/core/shared/issue.ts
var ok = (value) => ({ ok: true, value });
var fail = (...issues) => ({ ok: false, issues });

// src/core/shared/parse.ts
var valueAt = (input, path) => path.reduce(
  (value, key) => value !== null && typeof value === "object" ? value[key] : void 0,
  input
);
var article = (noun) => /^[aeiou]/.test(noun) ? `an ${noun}` : `a ${noun}`;
var TYPE_NAMES = {
  int: "whole number",
  number: "number",
  string: "text",
  boolean: "yes or no",
  array: "list"
};
var ZODS_WORDS = /^(Invalid|Too |Unrecognized|Expected)/;
function wantedOf(issue) {
  if (!ZODS_WORDS.test(issue.message)) return issue.message;
  switch (issue.code) {
    case "invalid_type":
      return article(TYPE_NAMES[issue.expected] ?? issue.expected);
    case "too_small":
      return issue.origin === "array" || issue.origin === "string" ? issue.minimum === 1 ? "at least one entry" : `at least ${issue.minimum} entries` : `a number ${issue.inclusive === false ? "above" : "of at least"} ${issue.minimum}`;
    case "too_big":
      return issue.origin === "array" || issue.origin === "string" ? `at most ${issue.maximum} entries` : `a number ${issue.inclusive === false ? "below" : "of at most"} ${issue.maximum}`;
    case "invalid_value":
      return `one of ${issue.values.map((v) => JSON.stringify(v)).join(", ")}`;
    default:
      return issue.message;
  }
}
function codeOf(issue, got) {
  if (got === void 0) return "missing";
  switch (issue.code) {
    case "invalid_type":
      return issue.expected === "int" ? "not_an_integer" : "wrong_type";
    case "too_small":
    case "too_big":
      return "out_of_range";
    case "invalid_value":
      return "unknown";
    case "custom":
    case "invalid_format":
      return "unreadable";
    default:
      return "wrong_type";
  }
}
function parseWith(schema, input) {
  const parsed = schema.safeParse(input);
  if (parsed.success) return ok(parsed.data);
  const issues = parsed.error.issues.map((issue) => {
    const got = valueAt(input, issue.path);
    return { code: codeOf(issue, got), path: issue.path, got, wanted: wantedOf(issue) };
  });
  return fail(...issues);
}

// src/core/schedule/problem.ts
var MAX_TASKS = 2e4;
var LARGE = 1e7;
var minutes = z.int().min(-LARGE).max(LARGE);
var count = z.int().min(0).max(LARGE);
var cost = z.number().min(0).max(1e9);
var id = z.string().min(1);
var PoolSchema = z.object({
  id,
  kind: z.literal("pool"),
  capacity: count,
  calendar: z.array(z.tuple([minutes, minutes, count], { error: "[from, to, units], three whole numbers" })).optional()
});
var ChamberSchema = z.object({
  id,
  kind: z.literal("chamber"),
  slots: count,
  start: z.number(),
  heat: z.number().gt(0),
  cool: z.number().gt(0),
  recovery: count.default(0),
  ranked: z.boolean().default(false)
});
var UseSchema = z.object({
  resource: z.union([id, z.array(id).min(1)], { error: "a resource id or a list of them that is not empty" }),
  amount: z.int().min(1).max(LARGE).default(1),
  setting: z.number().optional(),
  sealed: count.default(0),
  rank: z.number().default(0),
  from: minutes.optional(),
  minutes: z.union([count, z.array(count).min(1)], { error: "whole minutes, or a list of them" }).optional()
});
var DurationSchema = z.union([count, z.tuple([count, count]), z.object({ of: count, minutes: z.array(count).min(1) })], {
  error: "whole minutes, [min, max], or { of, minutes }"
});
var TaskSchema = z.object({
  id,
  label: z.string().optional(),
  duration: DurationSchema,
  uses: z.array(UseSchema).default([]),
  after: z.array(z.object({ task: id, min: minutes.default(0), max: minutes.optional() })).default([]),
  earliest: minutes.optional(),
  latest: minutes.optional(),
  due: minutes.optional(),
  earlyCost: cost.default(0),
  lateCost: cost.default(0),
  stretchCost: cost.default(0)
});
var ProblemSchema = z.object({
  format: z.literal("unisynth-problem/1"),
  horizon: z.int().min(0).max(LARGE),
  resources: z.array(z.discriminatedUnion("kind", [PoolSchema, ChamberSchema], { error: 'a kind "pool" or "chamber"' })),
  tasks: z.array(TaskSchema).max(MAX_TASKS),
  costs: z.object({ makespan: cost.default(0), span: cost.default(0) }).default({ makespan: 0, span: 0 })
});
var candidatesOf = (use) => typeof use.resource === "string" ? [use.resource] : use.resource;
function leastDuration(task) {
  if (typeof task.duration === "number") return task.duration;
  return Array.isArray(task.duration) ? task.duration[0] : Math.min(...task.duration.minutes);
}
function parseProblem(input) {
  const raw = input;
  if (raw !== null && typeof raw === "object" && Array.isArray(raw.tasks) && raw.tasks.length > MAX_TASKS)
    return fail({
      code: "out_of_range",
      path: ["tasks"],
      got: `${raw.tasks.length} tasks`,
      wanted: `at most ${MAX_TASKS} tasks`
    });
  const parsed = parseWith(ProblemSchema, input);
  if (!parsed.ok) return parsed;
  const issues = [...resourceIssues(parsed.value), ...taskIssues(parsed.value)];
  if (issues.length === 0) issues.push(...ringIssues(parsed.value));
  return issues.length > 0 ? fail(...issues) : ok(parsed.value);
}
function duplicates(ids, list) {
  const seen = /* @__PURE__ */ new Set();
  return ids.flatMap(({ id: id2 }, index) => {
    const repeated = seen.has(id2);
    seen.add(id2);
    return repeated ? [{ code: "inconsistent", path: [list, index, "id"], got: id2, wanted: "an id that no other has" }] : [];
  });
}
function resourceIssues(problem) {
  const issues = [...duplicates(problem.resources, "resources"), ...duplicates(problem.tasks, "tasks")];
  problem.resources.forEach((resource, index) => {
    if (resource.kind !== "pool" || !resource.calendar) return;
    const path = ["resources", index, "calendar"];
    resource.calendar.forEach(([from, to], i) => {
      if (from >= to) issues.push({ code: "inconsistent", path: [...path, i], got: [from, to], wanted: "from before to" });
    });
    const sorted = [...resource.calendar].sort((a, b) => a[0] - b[0]);
    for (let i = 1; i < sorted.length; i++)
      if (sorted[i][0] < sorted[i - 1][1])
        issues.push({ code: "inconsistent", path, got: [sorted[i - 1], sorted[i]], wanted: "windows that do not overlap" });
  });
  return issues;
}
function taskIssues(problem) {
  const issues = [];
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  const tasks = new Set(problem.tasks.map((task) => task.id));
  problem.tasks.forEach((task, t) => {
    const at = (...path) => ["tasks", t, ...path];
    const { duration } = task;
    if (Array.isArray(duration) && duration[0] > duration[1])
      issues.push({ code: "inconsistent", path: at("duration"), got: duration, wanted: "[min, max] with min at most max" });
    if (typeof duration === "object" && !Array.isArray(duration)) {
      const use = task.uses[duration.of];
      const fits = use && Array.isArray(use.resource) && use.from === void 0 && use.resource.length === duration.minutes.length;
      if (!fits)
        issues.push({
          code: "inconsistent",
          path: at("duration", "of"),
          got: duration.of,
          wanted: "the number of a whole-task use whose resource list is as long as minutes"
        });
      else if (resources.get(use.resource[0])?.kind === "chamber")
        issues.push({ code: "inconsistent", path: at("duration", "of"), got: duration.of, wanted: "a use of pools" });
    }
    const least = leastDuration(task);
    task.uses.forEach((use, u) => issues.push(...useIssues(use, least, resources, (...path) => at("uses", u, ...path), task)));
    task.after.forEach((link, a) => {
      if (!tasks.has(link.task))
        issues.push({ code: "unknown", path: at("after", a, "task"), got: link.task, wanted: "the id of a task" });
      if (link.max !== void 0 && link.max < link.min)
        issues.push({ code: "inconsistent", path: at("after", a, "max"), got: link.max, wanted: `at least min (${link.min})` });
    });
  });
  return issues;
}
function useIssues(use, least, resources, at, task) {
  const issues = [];
  const listed = Array.isArray(use.resource);
  const candidates = candidatesOf(use);
  const kinds = /* @__PURE__ */ new Set();
  candidates.forEach((candidate, i) => {
    const resource = resources.get(candidate);
    const path = listed ? at("resource", i) : at("resource");
    if (!resource) return issues.push({ code: "unknown", path, got: candidate, wanted: "the id of a resource" });
    kinds.add(resource.kind);
    const room = resource.kind === "pool" ? resource.capacity : resource.slots;
    if (use.amount > room && candidates.length === 1)
      issues.push({
        code: "out_of_range",
        path: at("amount"),
        got: use.amount,
        wanted: `at most the ${room} that ${candidate} has`
      });
  });
  if (kinds.size > 1)
    issues.push({ code: "inconsistent", path: at("resource"), got: use.resource, wanted: "all pools or all chambers" });
  const byChoice = Array.isArray(use.minutes) || typeof task.duration === "object" && !Array.isArray(task.duration) && task.uses[task.duration.of] === use;
  if (byChoice && listed && new Set(candidates).size < candidates.length)
    issues.push({ code: "inconsistent", path: at("resource"), got: use.resource, wanted: "a list that names no resource twice" });
  if (use.from === void 0 !== (use.minutes === void 0))
    issues.push({
      code: "missing",
      path: at(use.from === void 0 ? "from" : "minutes"),
      wanted: "from and minutes together, or neither"
    });
  if (kinds.has("chamber")) {
    if (use.setting === void 0) issues.push({ code: "missing", path: at("setting"), wanted: "a setting in \xB0C for a chamber" });
    if (use.from !== void 0)
      issues.push({ code: "inconsistent", path: at("from"), got: use.from, wanted: "no part use of a chamber" });
    if (least < 1) issues.push({ code: "out_of_range", path: at("resource"), got: least, wanted: "a load of at least 1 minute" });
    if (use.sealed > least)
      issues.push({ code: "out_of_range", path: at("sealed"), got: use.sealed, wanted: `at most ${least} minutes` });
  }
  if (use.from !== void 0 && use.minutes !== void 0) {
    const lengths = Array.isArray(use.minutes) ? use.minutes : [use.minutes];
    if (Array.isArray(use.minutes) && (!listed || lengths.length !== candidates.length))
      issues.push({
        code: "inconsistent",
        path: at("minutes"),
        got: use.minutes,
        wanted: "as many entries as the resource list has"
      });
    const { from } = use;
    const inside2 = (length) => from >= 0 ? from + length <= least : -from <= least && length <= -from;
    if (!lengths.every(inside2))
      issues.push({
        code: "out_of_range",
        path: at("minutes"),
        got: use.minutes,
        wanted: `a part inside the task's ${least} minutes`
      });
  }
  return issues;
}
function ringIssues(problem) {
  const index = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const waiting = problem.tasks.map((task) => task.after.length);
  const followers = problem.tasks.map(() => []);
  problem.tasks.forEach((task, i) => task.after.forEach((link) => followers[index.get(link.task)].push(i)));
  const ready = waiting.flatMap((n, i) => n === 0 ? [i] : []);
  let done = 0;
  while (ready.length > 0) {
    done++;
    for (const next of followers[ready.pop()]) if (--waiting[next] === 0) ready.push(next);
  }
  if (done === problem.tasks.length) return [];
  const stuck = waiting.findIndex((n) => n > 0);
  const { id: id2, after } = problem.tasks[stuck];
  return [
    {
      code: "inconsistent",
      path: ["tasks", stuck, "after"],
      got: after.map((l) => l.task),
      wanted: `no ring of afters (${id2} waits for itself)`
    }
  ];
}

// src/core/shared/random.ts
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
function seeded(seed) {
  const generator = xoroshiro128plus(seed | 0);
  const unit = () => (generator.next() >>> 0) / 2 ** 32;
  return { unit, below: (n) => Math.floor(unit() * n) };
}

// src/core/shared/clock.ts
var MINUTES_A_DAY = 1440;
var two = (n) => String(n).padStart(2, "0");
function clockText(minute, style = "24") {
  const ofDay = (minute % MINUTES_A_DAY + MINUTES_A_DAY) % MINUTES_A_DAY;
  const hour = Math.floor(ofDay / 60);
  if (style === "24") return `${two(hour)}:${two(ofDay % 60)}`;
  return `${hour % 12 === 0 ? 12 : hour % 12}:${two(ofDay % 60)} ${hour < 12 ? "am" : "pm"}`;
}

// src/core/schedule/explain.ts
var nameOf = (problem, task) => problem.tasks[task].label ?? problem.tasks[task].id;
function whyNone(problem, model, task) {
  const { earliest, latest } = reach(model, task);
  const name = nameOf(problem, task);
  const between = `minute ${earliest} (${clockText(earliest)}) and minute ${latest} (${clockText(latest)})`;
  if (latest - earliest < model.least[task])
    return [
      `${name} takes at least ${model.least[task]} min, but what comes before and after it leaves only the time between ${between}.`
    ];
  const short = problem.tasks[task].uses.flatMap((use, u) => {
    const need = model.uses[task][u];
    if (need.chamber) return [];
    const minutes2 = need.minutes.length > 0 ? Math.min(...need.minutes) : model.least[task];
    const fits = Array.from(need.resources).some((r) => longestRun(model.units[r], need.amount, earliest, latest) >= minutes2);
    return fits ? [] : [`${use.amount} of ${typeof use.resource === "string" ? use.resource : use.resource.join(" or ")} for ${minutes2} min`];
  });
  return [
    short.length > 0 ? `${name} must lie between ${between}, and in that time there is never ${short.join(", nor ")}.` : `${name} must lie between ${between}, and in that time what it needs is never there all at once.`
  ];
}
function longestRun(units, amount, from, to) {
  let run = 0;
  let best = 0;
  for (let minute = Math.max(0, from); minute < Math.min(to, units.length); minute++) {
    run = units[minute] >= amount ? run + 1 : 0;
    best = Math.max(best, run);
  }
  return best;
}
var NAMED = 4;
function whyNotFound(problem, model, search, proven, leftOut) {
  const hardest = Array.from({ length: model.n }, (_, i) => i).filter((i) => search.trouble[i] > 1.5).sort((a, b) => search.trouble[b] - search.trouble[a]).slice(0, 3);
  const tightest = Array.from({ length: model.resourceCount }, (_, r) => r).filter((r) => search.refusals[r] > 0).sort((a, b) => search.refusals[b] - search.refusals[a]).slice(0, 2);
  search.clear();
  const lines = [
    proven ? "All these tasks cannot be fitted together: every way was ruled out." : "No timetable was found; it is not proven that there is none."
  ];
  if (leftOut.length > 0) {
    const names2 = leftOut.slice(0, NAMED).map((task) => nameOf(problem, task));
    const more = leftOut.length > NAMED ? ` and ${leftOut.length - NAMED} more` : "";
    lines.push(
      `The nearest timetable has ${model.n - leftOut.length} of ${model.n} tasks; without a place in it: ${names2.join(", ")}${more}.`
    );
  }
  for (const task of hardest) {
    const low = search.windows.lo[2 * task];
    const high = search.windows.hi[2 * task + 1];
    lines.push(
      `${nameOf(problem, task)} found no place between minute ${low} and minute ${high} (${clockText(low)} to ${clockText(high)})` + (tightest.length > 0 ? `; most often ${tightest.map((r) => problem.resources[r].id).join(" or ")} was taken.` : ".")
    );
  }
  return lines;
}
function reach(model, task) {
  const low = model.lo0.slice();
  const high = model.hi0.slice();
  const { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight } = model;
  const settle = (rounds) => {
    for (let round = 0; round < rounds; round++)
      for (let node = 0; node < 2 * model.n; node++) {
        for (let a = arcStart[node]; a < arcStart[node + 1]; a++)
          if (forward(node, arcTo[a])) low[arcTo[a]] = Math.max(low[arcTo[a]], low[node] + arcWeight[a]);
        for (let a = backStart[node]; a < backStart[node + 1]; a++)
          if (forward(backFrom[a], node)) high[backFrom[a]] = Math.min(high[backFrom[a]], high[node] - backWeight[a]);
      }
  };
  const forward = (from, to) => (from & 1) === 0 ? to === from + 1 : (to & 1) === 0 && to >> 1 !== from >> 1;
  settle(Math.min(model.n, 200));
  return { earliest: low[2 * task], latest: high[2 * task + 1] };
}

// src/core/schedule/cursor.ts
var MOST_BIAS = 20;
var Cursor = class {
  constructor(model, windows, occupancy) {
    this.model = model;
    this.windows = windows;
    this.occupancy = occupancy;
  }
  task = -1;
  start = 0;
  end = 0;
  /** Placements handed out so far. */
  handed = 0;
  wishEarly = false;
  down = 0;
  up = 0;
  low = 0;
  high = 0;
  anchor = 0;
  inner = 0;
  innerEnd = -1;
  stride = 1;
  /** Moments at which the other end's parts could have their units, in the order of growing stretch; filled when first needed. */
  moments = new Int32Array(0);
  momentCount = -1;
  /** From a wished minute, so many earlier places are tried for each later one. */
  bias = 1;
  downs = 0;
  begin(task, wish) {
    const { lo, hi } = this.windows;
    this.task = task;
    this.handed = 0;
    this.stride = 1;
    this.momentCount = -1;
    this.wishEarly = wish === "early";
    this.downs = 0;
    this.bias = 1;
    const node = 2 * task + (this.wishEarly ? 0 : 1);
    this.low = lo[node];
    this.high = hi[node];
    if (wish === "late") {
      this.down = this.high;
      this.up = this.high + 1;
    } else if (wish === "early") {
      this.up = this.low;
      this.down = this.low - 1;
    } else {
      const middle = Math.min(this.high, Math.max(this.low, wish));
      this.down = middle;
      this.up = middle + 1;
      const { early, late } = this.model;
      if (late[task] > early[task])
        this.bias = Math.min(MOST_BIAS, Math.round(late[task] / Math.max(early[task], late[task] / MOST_BIAS)));
    }
    this.innerEnd = -1;
    this.inner = 0;
  }
  /** After a placement turned out badly: the next will be this many minutes away, at the anchor or (`inner`) at the other end. */
  skip(stride, inner) {
    if (stride <= 1) return;
    if (inner && this.innerEnd >= 0 && this.inner + stride - 1 <= this.innerEnd) {
      this.inner += stride - 1;
      return;
    }
    this.stride = stride;
    this.innerEnd = -1;
  }
  /** Takes the next placement that fits; false when there is none. The caller removes it again when it fails later. */
  next() {
    const { model, task } = this;
    const stretchable = model.durationOf[task] < 0 && model.most[task] > model.least[task];
    const byChoice = model.durationOf[task] >= 0;
    for (; ; ) {
      if (this.innerEnd >= 0) {
        if (stretchable ? this.nextStretch() : this.nextChoice()) {
          this.handed++;
          return true;
        }
        this.innerEnd = -1;
      }
      if (!this.nextAnchor()) return false;
      if (stretchable || byChoice) {
        this.openInner(byChoice);
        continue;
      }
      const length = model.least[task];
      const start = this.wishEarly ? this.anchor : this.anchor - length;
      if (this.take(start, start + length, -1)) {
        this.handed++;
        return true;
      }
      this.leap(this.occupancy.back, this.occupancy.on);
    }
  }
  lastWasDown = true;
  nextAnchor() {
    const stride = this.stride;
    this.stride = 1;
    if (stride > 1) {
      this.down -= stride - 1;
      this.up += stride - 1;
    }
    const canDown = this.down >= this.low;
    const canUp = this.up <= this.high;
    if (!canDown && !canUp) return false;
    this.lastWasDown = canDown && (!canUp || this.downs < this.bias);
    this.downs = this.lastWasDown ? this.downs + 1 : 0;
    this.anchor = this.lastWasDown ? this.down-- : this.up++;
    return true;
  }
  /** Nothing fits nearer than this: moves the pointer that was used on by as much. */
  leap(back, on) {
    if (this.lastWasDown) this.down -= Math.max(0, back - 1);
    else this.up += Math.max(0, on - 1);
  }
  take(start, end, forced) {
    if (!this.meetsTies(start, false) || !this.meetsTies(end, true)) {
      this.occupancy.back = this.occupancy.on = 1;
      return false;
    }
    if (!this.occupancy.place(this.task, start, end, forced)) return false;
    this.start = start;
    this.end = end;
    return true;
  }
  /** Whether what is tied to this end of the task, and not placed yet, could have its units there. */
  meetsTies(moment, atEnd) {
    const { model, occupancy, task } = this;
    const tied = atEnd ? model.tiedAfter[task] : model.tiedBefore[task];
    for (let k = 0; k < tied.length; k++) {
      const other = tied[k];
      if (occupancy.isPlaced(other)) continue;
      if (!occupancy.canAnchor(other, moment, !atEnd)) return false;
      const least = model.least[other];
      if (!occupancy.canHold(other, atEnd ? moment : moment - least, atEnd ? moment + least : moment)) return false;
    }
    return true;
  }
  openInner(byChoice) {
    const { model, task } = this;
    this.inner = 0;
    if (byChoice) {
      this.innerEnd = model.durations[task].length - 1;
      return;
    }
    const { lo, hi } = this.windows;
    const node = 2 * task + (this.wishEarly ? 1 : 0);
    if (!this.occupancy.canAnchor(task, this.anchor, !this.wishEarly) || !this.meetsTies(this.anchor, !this.wishEarly)) {
      this.innerEnd = -1;
      return;
    }
    if (this.momentCount < 0) this.findMoments(lo[node], hi[node]);
    const near = this.wishEarly ? Math.max(lo[node], this.anchor + model.least[task]) : Math.min(hi[node], this.anchor - model.least[task]);
    const far = this.wishEarly ? Math.min(hi[node], this.anchor + model.most[task]) : Math.max(lo[node], this.anchor - model.most[task]);
    this.inner = this.firstMoment(near);
    this.innerEnd = this.firstMoment(this.wishEarly ? far + 1 : far - 1) - 1;
    if (this.inner > this.innerEnd) this.innerEnd = -1;
  }
  findMoments(low, high) {
    const { task, occupancy, wishEarly } = this;
    if (this.moments.length <= high - low) this.moments = new Int32Array(high - low + 1);
    const { moments } = this;
    let count2 = 0;
    for (let k = 0; k <= high - low; k++) {
      const moment = wishEarly ? low + k : high - k;
      if (occupancy.canAnchor(task, moment, wishEarly) && this.meetsTies(moment, wishEarly)) moments[count2++] = moment;
    }
    this.momentCount = count2;
  }
  /** Position of the first moment that is at `value` or beyond it, in the list's direction. */
  firstMoment(value) {
    let a = 0;
    let b = this.momentCount;
    while (a < b) {
      const middle = a + b >> 1;
      const before2 = this.wishEarly ? this.moments[middle] < value : this.moments[middle] > value;
      if (before2) a = middle + 1;
      else b = middle;
    }
    return a;
  }
  nextStretch() {
    const { task, anchor, occupancy } = this;
    while (this.inner <= this.innerEnd) {
      const moment = this.moments[this.inner++];
      const start = this.wishEarly ? anchor : moment;
      const end = this.wishEarly ? moment : anchor;
      if (this.take(start, end, -1)) return true;
      if (!occupancy.canHold(task, start, end)) return false;
    }
    return false;
  }
  nextChoice() {
    const { model, task, anchor, occupancy, windows } = this;
    const order = occupancy.orderOfDuration(task);
    while (this.inner <= this.innerEnd) {
      const choice = order[this.inner++];
      const length = model.durations[task][choice];
      const start = this.wishEarly ? anchor : anchor - length;
      const end = start + length;
      if (start < windows.lo[2 * task] || start > windows.hi[2 * task]) continue;
      if (end < windows.lo[2 * task + 1] || end > windows.hi[2 * task + 1]) continue;
      if (this.take(start, end, choice)) return true;
    }
    return false;
  }
};

// src/core/schedule/model.ts
var NO_PART = 1 << 30;
var FOREVER = 1 << 28;
function compile(problem) {
  const n = problem.tasks.length;
  const horizon = problem.horizon;
  const resourceIndex = new Map(problem.resources.map((resource, i) => [resource.id, i]));
  const taskIndex = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const least = new Int32Array(n);
  const most = new Int32Array(n);
  const durationOf = new Int32Array(n).fill(-1);
  const durations = [];
  const due = new Float64Array(n).fill(NaN);
  const early = new Float64Array(n);
  const late = new Float64Array(n);
  const stretch = new Float64Array(n);
  const lo0 = new Int32Array(2 * n);
  const hi0 = new Int32Array(2 * n).fill(horizon);
  const arcs = [];
  const tiedAfter = problem.tasks.map(() => []);
  const tiedBefore = problem.tasks.map(() => []);
  const neighbourSets = problem.tasks.map(() => /* @__PURE__ */ new Set());
  const parent = Int32Array.from({ length: n }, (_, i) => i);
  const root = (i) => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]];
    return i;
  };
  const chambers = problem.resources.map(
    (r) => r.kind === "chamber" ? { slots: r.slots, start: r.start, heat: r.heat, cool: r.cool, recovery: r.recovery, ranked: r.ranked } : void 0
  );
  const units = problem.resources.map((r) => {
    if (r.kind === "chamber") return void 0;
    const row = new Int32Array(horizon + 1);
    if (!r.calendar) row.fill(r.capacity);
    for (const [from, to, count2] of r.calendar ?? []) row.fill(Math.min(count2, r.capacity), Math.max(0, from), Math.max(0, to));
    return row;
  });
  const uses = problem.tasks.map((task, i) => {
    const { duration } = task;
    if (typeof duration === "number") least[i] = most[i] = duration;
    else if (Array.isArray(duration)) [least[i], most[i]] = duration;
    else {
      least[i] = Math.min(...duration.minutes);
      most[i] = Math.max(...duration.minutes);
      durationOf[i] = duration.of;
    }
    durations.push(
      typeof duration === "object" && !Array.isArray(duration) ? Int32Array.from(duration.minutes) : new Int32Array(0)
    );
    if (task.due !== void 0) {
      due[i] = task.due;
      early[i] = task.earlyCost;
      late[i] = task.lateCost;
    }
    if (Array.isArray(duration)) stretch[i] = task.stretchCost;
    lo0[2 * i] = Math.max(0, task.earliest ?? 0);
    hi0[2 * i + 1] = Math.min(horizon, task.latest ?? horizon);
    arcs.push([2 * i, 2 * i + 1, least[i]], [2 * i + 1, 2 * i, -most[i]]);
    for (const { task: other, min, max } of task.after) {
      const j = taskIndex.get(other);
      arcs.push([2 * j + 1, 2 * i, min]);
      neighbourSets[i].add(j);
      neighbourSets[j].add(i);
      if (max === void 0) continue;
      if (min === 0 && max === 0) {
        tiedAfter[j].push(i);
        tiedBefore[i].push(j);
      }
      arcs.push([2 * i, 2 * j + 1, -max]);
      if (max <= horizon) parent[root(i)] = root(j);
    }
    return task.uses.map((use) => compileUse(use, resourceIndex, chambers));
  });
  problem.tasks.forEach(
    (task, i) => task.uses.forEach((use) => {
      const warm = (typeof use.resource === "string" ? [use.resource] : use.resource).map((id2) => {
        const r = problem.resources[resourceIndex.get(id2)];
        return r.kind === "chamber" ? Math.max(0, Math.ceil((use.setting - r.start) / r.heat)) : 0;
      });
      lo0[2 * i] = Math.max(lo0[2 * i], Math.min(...warm));
    })
  );
  const cluster = new Int32Array(n);
  const clusterIds = /* @__PURE__ */ new Map();
  for (let i = 0; i < n; i++) {
    const r = root(i);
    if (!clusterIds.has(r)) clusterIds.set(r, clusterIds.size);
    cluster[i] = clusterIds.get(r);
  }
  return {
    n,
    horizon,
    ids: problem.tasks.map((task) => task.id),
    least,
    most,
    durationOf,
    durations,
    uses,
    entangled: uses.map(isEntangled),
    due,
    early,
    late,
    stretch,
    makespan: problem.costs.makespan,
    span: problem.costs.span,
    lo0,
    hi0,
    ...rows(2 * n, arcs),
    resourceCount: problem.resources.length,
    units,
    chambers,
    cluster,
    clusterCount: clusterIds.size,
    neighbours: neighbourSets.map((set) => Int32Array.from(set)),
    tiedAfter: tiedAfter.map((list) => Int32Array.from(list)),
    tiedBefore: tiedBefore.map((list) => Int32Array.from(list))
  };
}
function compileUse(use, index, chambers) {
  const resources = Int32Array.from(typeof use.resource === "string" ? [use.resource] : use.resource, (id2) => index.get(id2));
  const part2 = use.from !== void 0 && use.minutes !== void 0;
  const minutes2 = !part2 ? new Int32Array(0) : typeof use.minutes === "number" ? new Int32Array(resources.length).fill(use.minutes) : Int32Array.from(use.minutes);
  return {
    resources,
    amount: use.amount,
    from: part2 ? use.from : NO_PART,
    minutes: minutes2,
    setting: use.setting ?? 0,
    sealed: use.sealed,
    rank: use.rank,
    chamber: chambers[resources[0]] !== void 0
  };
}
function isEntangled(uses) {
  return uses.some(
    (a, i) => uses.some((b, j) => {
      if (j <= i || a.chamber || !a.resources.some((r) => b.resources.includes(r))) return false;
      if (a.from === NO_PART || b.from === NO_PART) return true;
      if (a.from >= 0 !== b.from >= 0) return true;
      const [first, second] = a.from <= b.from ? [a, b] : [b, a];
      return first.from + Math.max(...first.minutes) > second.from;
    })
  );
}
function rows(nodes, arcs) {
  const arcStart = new Int32Array(nodes + 1);
  const backStart = new Int32Array(nodes + 1);
  for (const [a, b] of arcs) {
    arcStart[a + 1]++;
    backStart[b + 1]++;
  }
  for (let i = 0; i < nodes; i++) {
    arcStart[i + 1] += arcStart[i];
    backStart[i + 1] += backStart[i];
  }
  const arcTo = new Int32Array(arcs.length);
  const arcWeight = new Int32Array(arcs.length);
  const backFrom = new Int32Array(arcs.length);
  const backWeight = new Int32Array(arcs.length);
  const nextArc = arcStart.slice();
  const nextBack = backStart.slice();
  for (const [a, b, w] of arcs) {
    arcTo[nextArc[a]] = b;
    arcWeight[nextArc[a]++] = w;
    backFrom[nextBack[b]] = a;
    backWeight[nextBack[b]++] = w;
  }
  return { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight };
}

// src/core/schedule/occupancy.ts
var Occupancy = class {
  constructor(model) {
    this.model = model;
    this.free = model.units.map((row) => row?.slice());
    this.loads = model.chambers.map(() => []);
    this.reach = reachOf(model);
    this.starts = new Int32Array(model.n).fill(-1);
    this.ends = new Int32Array(model.n).fill(-1);
    this.choices = model.uses.map((uses) => new Int32Array(uses.length));
    this.order = model.uses.map((uses) => uses.map((use) => Int32Array.from(use.resources, (_, i) => i)));
    this.demand = new Float64Array(model.resourceCount);
    this.weighed = new Float64Array(model.resourceCount);
    model.uses.forEach(
      (uses, task) => uses.forEach((use, u) => {
        if (use.resources.length < 2) return;
        this.lists.push([task, u]);
        for (const r of use.resources) this.demand[r]++;
      })
    );
    this.preferScarce(() => 0);
  }
  /** Units left at each minute of each pool. */
  free;
  loads;
  reach;
  starts;
  ends;
  /** Position in the resource list of each use of each placed task. */
  choices;
  /** The order in which each use tries its resources. */
  order;
  /** Uses with several candidates, and how many of them list each resource. */
  lists = [];
  demand;
  weighed;
  /** After a failed `place`: how far the whole task must move back (or on) at the least before it can fit. */
  back = 1;
  on = 1;
  /** The resource that refused last. */
  refusedBy = -1;
  /**
   * Sets the order of choice: the resource that fewest uses list comes first, so that the cook who may do most stays
   * free for what only they may do. `noise` (0 to 1) disturbs that order for variety between attempts.
   */
  preferScarce(noise) {
    for (let r = 0; r < this.demand.length; r++) this.weighed[r] = this.demand[r] * (1 + noise());
    const { weighed } = this;
    for (const [task, u] of this.lists) {
      const order = this.order[task][u];
      const { resources } = this.model.uses[task][u];
      for (let k = 1; k < order.length; k++) {
        const choice = order[k];
        let j = k - 1;
        for (; j >= 0 && weighed[resources[order[j]]] > weighed[resources[choice]]; j--) order[j + 1] = order[j];
        order[j + 1] = choice;
      }
    }
  }
  isPlaced(task) {
    return this.starts[task] >= 0;
  }
  startOf(task) {
    return this.starts[task];
  }
  endOf(task) {
    return this.ends[task];
  }
  /** Duration that choice `choice` of the deciding use gives, min; −1 where the duration is not by choice. */
  orderOfDuration(task) {
    return this.order[task][this.model.durationOf[task]];
  }
  /**
   * Takes what the task needs on [start, end). With a duration by choice, `forced` is the position in the deciding
   * use's list; otherwise −1.
   * @returns false, with nothing taken, when something is not free; `back`, `on` and `refusedBy` then say more
   */
  place(task, start, end, forced = -1) {
    if (!this.placeFrom(task, 0, start, end, forced)) return false;
    this.starts[task] = start;
    this.ends[task] = end;
    return true;
  }
  /** Takes exactly the given choices, for putting back what was there before. */
  placeExactly(task, start, end, choices) {
    const uses = this.model.uses[task];
    for (let u = 0; u < uses.length; u++) {
      if (this.tryUse(task, uses[u], choices[u], start, end)) {
        this.choices[task][u] = choices[u];
        continue;
      }
      for (let v = u - 1; v >= 0; v--) this.release(task, uses[v], this.choices[task][v], start, end);
      return false;
    }
    this.starts[task] = start;
    this.ends[task] = end;
    return true;
  }
  remove(task) {
    const uses = this.model.uses[task];
    for (let u = 0; u < uses.length; u++) this.release(task, uses[u], this.choices[task][u], this.starts[task], this.ends[task]);
    this.starts[task] = this.ends[task] = -1;
  }
  placeFrom(task, u, start, end, forced) {
    const uses = this.model.uses[task];
    if (u === uses.length) return true;
    const use = uses[u];
    const decides = forced >= 0 && u === this.model.durationOf[task];
    const order = this.order[task][u];
    let back = 1 << 29;
    let on = 1 << 29;
    for (let k = 0; k < order.length; k++) {
      const choice = decides ? forced : order[k];
      if (this.tryUse(task, use, choice, start, end)) {
        this.choices[task][u] = choice;
        if (this.placeFrom(task, u + 1, start, end, forced)) return true;
        this.release(task, use, choice, start, end);
        if (!this.model.entangled[task]) return false;
        back = on = 1;
      } else {
        back = Math.min(back, this.back);
        on = Math.min(on, this.on);
      }
      if (decides) break;
    }
    this.back = back;
    this.on = on;
    return false;
  }
  tryUse(task, use, choice, start, end) {
    const resource = use.resources[choice];
    if (use.chamber) return this.tryLoad(task, use, resource, start, end);
    const row = this.free[resource];
    let from = start;
    let to = end;
    if (use.from !== NO_PART) {
      from = (use.from >= 0 ? start : end) + use.from;
      to = from + use.minutes[choice];
    }
    const { amount } = use;
    for (let minute = from; minute < to; minute++) {
      if (row[minute] >= amount) continue;
      let last = to - 1;
      while (row[last] >= amount) last--;
      this.back = to - minute;
      this.on = last - from + 1;
      this.refusedBy = resource;
      return false;
    }
    for (let minute = from; minute < to; minute++) row[minute] -= amount;
    return true;
  }
  release(task, use, choice, start, end) {
    const resource = use.resources[choice];
    if (use.chamber) {
      const loads = this.loads[resource];
      for (let i = firstFrom(loads, start); i < loads.length; i++)
        if (loads[i].task === task && loads[i].amount === use.amount && loads[i].rank === use.rank) {
          loads.splice(i, 1);
          return;
        }
      return;
    }
    const row = this.free[resource];
    let from = start;
    let to = end;
    if (use.from !== NO_PART) {
      from = (use.from >= 0 ? start : end) + use.from;
      to = from + use.minutes[choice];
    }
    for (let minute = from; minute < to; minute++) row[minute] += use.amount;
  }
  refuse(resource, back, on) {
    this.refusedBy = resource;
    this.back = Math.max(1, back);
    this.on = Math.max(1, on);
    return false;
  }
  /**
   * Puts a load in where slots, settings, seals, ranks and recovery of the chamber allow it. Loads stay sorted by start,
   * then rank; only those near enough to meet the load, or its change of setting, are looked at.
   */
  tryLoad(task, use, resource, start, end) {
    const chamber = this.model.chambers[resource];
    const loads = this.loads[resource];
    const { amount, setting, sealed, rank } = use;
    if (amount > chamber.slots) return this.refuse(resource, 1 << 28, 1 << 28);
    if (chamber.ranked && !this.ranksHold(loads, rank, resource, start)) return false;
    const { span, change: widest } = this.reach[resource];
    const near = Math.max(widest, chamber.recovery);
    let beside = 0;
    for (let i = firstFrom(loads, start - span - near); i < loads.length; i++) {
      const other = loads[i];
      if (other.start >= end + near) break;
      if (other.start < end && start < other.end) {
        if (other.setting !== setting) return this.refuse(resource, end - other.start, other.end - start);
        beside += other.amount;
      } else if (other.setting !== setting) {
        const gap = other.end <= start ? start - other.end : other.start - end;
        const rise = other.end <= start ? setting - other.setting : other.setting - setting;
        const change = Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
        if (gap < change)
          return other.end <= start ? this.refuse(resource, 1, change - gap) : this.refuse(resource, change - gap, 1);
      }
      const { start: s, end: e, sealed: seal } = other;
      if (inside(s, start, sealed)) return this.refuse(resource, start + sealed - s, s - start);
      if (inside(e, start, sealed)) return this.refuse(resource, start + sealed - e, e - start);
      if (inside(start, s, seal)) return this.refuse(resource, start - s, s + seal - start);
      if (inside(end, s, seal)) return this.refuse(resource, end - s, s + seal - end);
    }
    if (beside + amount > chamber.slots && !this.slotsHold(resource, amount, start, end)) return false;
    let at = firstFrom(loads, start + 1);
    while (at > 0 && loads[at - 1].start === start && loads[at - 1].rank > rank) at--;
    loads.splice(at, 0, { task, start, end, amount, setting, sealed, rank });
    if (chamber.recovery === 0 || this.recovers(resource, start, end)) return true;
    loads.splice(at, 1);
    return this.refuse(resource, 1, 1);
  }
  /** A lower rank never starts after a higher one has: ranks in order of start never fall. */
  ranksHold(loads, rank, resource, start) {
    let a = 0;
    let b = loads.length;
    while (a < b) {
      const middle = a + b >> 1;
      if (loads[middle].rank > rank) b = middle;
      else a = middle + 1;
    }
    if (a < loads.length && start > loads[a].start) return this.refuse(resource, start - loads[a].start, 1 << 28);
    for (b = a - 1; b >= 0 && loads[b].rank === rank; ) b--;
    if (b >= 0 && start < loads[b].start) return this.refuse(resource, 1 << 28, loads[b].start - start);
    return true;
  }
  /** Whether the slots suffice at every minute of [start, end); if not, the load must leave the first minute at which they do not. */
  slotsHold(resource, amount, start, end) {
    const loads = this.loads[resource];
    const { slots } = this.model.chambers[resource];
    const from = firstFrom(loads, start - this.reach[resource].span);
    const full = (minute) => {
      let sum = amount;
      let leaves = 1 << 28;
      for (let i = from; i < loads.length && loads[i].start <= minute; i++)
        if (minute < loads[i].end) {
          sum += loads[i].amount;
          leaves = Math.min(leaves, loads[i].end);
        }
      if (sum <= slots) return false;
      this.refuse(resource, end - minute, leaves - start);
      return true;
    };
    if (full(start)) return false;
    for (let i = from; i < loads.length && loads[i].start < end; i++)
      if (loads[i].start > start && full(loads[i].start)) return false;
    return true;
  }
  /** Whether the pauses between the groups of loads near [start, end) are long enough. */
  recovers(resource, start, end) {
    const loads = this.loads[resource];
    const { recovery } = this.model.chambers[resource];
    const around = this.reach[resource].span + recovery;
    let last = -Infinity;
    for (let i = firstFrom(loads, start - 2 * around); i < loads.length; i++) {
      const load = loads[i];
      if (load.start >= end + around) break;
      if (load.start >= last && load.start - last < recovery && load.start >= start - around) return false;
      if (load.end > last) last = load.end;
    }
    return true;
  }
  /** Whether every whole-task use of the task could hold on [start, end) by itself; for stretching, quick and necessary only. */
  canHold(task, from, to) {
    if (from < 0 || to > this.model.horizon) return false;
    for (const use of this.model.uses[task]) {
      if (use.chamber || use.from !== NO_PART) continue;
      let some = false;
      for (let c = 0; c < use.resources.length && !some; c++) {
        const row = this.free[use.resources[c]];
        let minute = from;
        while (minute < to && row[minute] >= use.amount) minute++;
        some = minute >= to;
      }
      if (!some) return false;
    }
    return true;
  }
  /** Whether the parts that stay with the start (or the end) could have their units by themselves. */
  canAnchor(task, moment, atEnd) {
    for (const use of this.model.uses[task]) {
      if (use.from === NO_PART || use.from < 0 !== atEnd) continue;
      let some = false;
      const from = moment + use.from;
      if (from < 0) return false;
      for (let c = 0; c < use.resources.length && !some; c++) {
        const row = this.free[use.resources[c]];
        const to = from + use.minutes[c];
        let minute = from;
        while (minute < to && row[minute] >= use.amount) minute++;
        some = minute >= to;
      }
      if (!some) return false;
    }
    return true;
  }
};
var inside = (moment, from, length) => from < moment && moment < from + length;
function firstFrom(loads, minute) {
  let a = 0;
  let b = loads.length;
  while (a < b) {
    const middle = a + b >> 1;
    if (loads[middle].start < minute) a = middle + 1;
    else b = middle;
  }
  return a;
}
function reachOf(model) {
  const reach2 = model.chambers.map(() => ({ span: 0, change: 0, low: Infinity, high: -Infinity }));
  model.uses.forEach((uses, task) => {
    for (const use of uses)
      if (use.chamber)
        for (const r of use.resources) {
          const of = reach2[r];
          of.span = Math.max(of.span, model.most[task]);
          of.low = Math.min(of.low, use.setting);
          of.high = Math.max(of.high, use.setting);
        }
  });
  return reach2.map(({ span, low, high }, r) => {
    const chamber = model.chambers[r];
    return { span, change: chamber && high > low ? Math.ceil((high - low) / Math.min(chamber.heat, chamber.cool)) : 0 };
  });
}

// src/core/schedule/tighten.ts
function tighten(model, windows, occupancy) {
  const early = new Cursor(model, windows, occupancy);
  const late = new Cursor(model, windows, occupancy);
  for (let changed = true; changed; ) {
    changed = false;
    for (let i = 0; i < model.n; i++) {
      if (model.uses[i].length === 0) continue;
      const s = 2 * i;
      early.begin(i, "early");
      if (!early.next()) return i;
      occupancy.remove(i);
      late.begin(i, "late");
      if (!late.next()) return i;
      occupancy.remove(i);
      const low = early.start;
      const high = late.end;
      if (low <= windows.lo[s] && high >= windows.hi[s + 1]) continue;
      changed = true;
      if (!windows.narrow(i, low, high)) return windows.failedAt >> 1;
    }
  }
  return -1;
}

// src/core/schedule/windows.ts
var Windows = class {
  constructor(model) {
    this.model = model;
    this.lo = model.lo0.slice();
    this.hi = model.hi0.slice();
    const nodes = 2 * model.n;
    this.queue = new Int32Array(nodes + 1);
    this.queued = new Uint8Array(nodes);
    this.visits = new Int32Array(nodes);
    this.trail = new Int32Array(4096);
  }
  lo;
  hi;
  queue;
  queued;
  visits;
  trail;
  length = 0;
  /** Node at which the last propagation failed. */
  failedAt = -1;
  /** All constraints from scratch. False: no values exist. */
  propagateAll() {
    return this.propagate(Int32Array.from({ length: 2 * this.model.n }, (_, i) => i));
  }
  mark() {
    return this.length;
  }
  /** Takes back every change since the mark. */
  undo(mark) {
    const { trail } = this;
    while (this.length > mark) {
      this.length -= 2;
      const node = trail[this.length];
      if (node >= 0) this.lo[node] = trail[this.length + 1];
      else this.hi[~node] = trail[this.length + 1];
    }
  }
  /** Fixes a task's start and end and propagates. False: some window is empty (undo to the mark afterwards). */
  fix(task, start, end) {
    const s = 2 * task;
    const e = s + 1;
    if (start < this.lo[s] || start > this.hi[s] || end < this.lo[e] || end > this.hi[e]) return false;
    this.setLo(s, start);
    this.setHi(s, start);
    this.setLo(e, end);
    this.setHi(e, end);
    return this.propagate([s, e]);
  }
  /** Raises a task's earliest start and lowers its latest end. False: some window is empty. */
  narrow(task, start, end) {
    this.failedAt = 2 * task;
    if (start > this.hi[2 * task] || end < this.lo[2 * task + 1]) return false;
    this.setLo(2 * task, start);
    this.setHi(2 * task + 1, end);
    return this.propagate([2 * task, 2 * task + 1]);
  }
  /** Fixes every task but the freed ones to the given times and propagates once. */
  fixMany(starts, ends, freed) {
    const seeds2 = [];
    for (let i = 0; i < this.model.n; i++) {
      if (freed[i] || starts[i] < 0) continue;
      const s = 2 * i;
      if (starts[i] < this.lo[s] || starts[i] > this.hi[s] || ends[i] < this.lo[s + 1] || ends[i] > this.hi[s + 1]) return false;
      this.setLo(s, starts[i]);
      this.setHi(s, starts[i]);
      this.setLo(s + 1, ends[i]);
      this.setHi(s + 1, ends[i]);
      seeds2.push(s, s + 1);
    }
    return this.propagate(seeds2);
  }
  setLo(node, value) {
    if (value <= this.lo[node]) return;
    this.record(node, this.lo[node]);
    this.lo[node] = value;
  }
  setHi(node, value) {
    if (value >= this.hi[node]) return;
    this.record(~node, this.hi[node]);
    this.hi[node] = value;
  }
  record(key, old) {
    if (this.length + 2 > this.trail.length) {
      const grown2 = new Int32Array(this.trail.length * 2);
      grown2.set(this.trail);
      this.trail = grown2;
    }
    this.trail[this.length++] = key;
    this.trail[this.length++] = old;
  }
  propagate(seeds2) {
    const { lo, hi, queue, queued, visits } = this;
    const { arcStart, arcTo, arcWeight, backStart, backFrom, backWeight } = this.model;
    const ring = queue.length;
    let head = 0;
    let tail = 0;
    const limit = 2 * this.model.n + 8;
    visits.fill(0);
    for (let i = 0; i < seeds2.length; i++) {
      queue[tail] = seeds2[i];
      tail = (tail + 1) % ring;
      queued[seeds2[i]] = 1;
    }
    const stop = (node) => {
      while (head !== tail) {
        queued[queue[head]] = 0;
        head = (head + 1) % ring;
      }
      this.failedAt = node;
      return false;
    };
    while (head !== tail) {
      const node = queue[head];
      head = (head + 1) % ring;
      queued[node] = 0;
      if (++visits[node] > limit) return stop(node);
      const low = lo[node];
      for (let a = arcStart[node]; a < arcStart[node + 1]; a++) {
        const to = arcTo[a];
        const value = low + arcWeight[a];
        if (value <= lo[to]) continue;
        if (value > hi[to]) return stop(to);
        this.setLo(to, value);
        if (!queued[to]) {
          queued[to] = 1;
          queue[tail] = to;
          tail = (tail + 1) % ring;
        }
      }
      const high = hi[node];
      for (let a = backStart[node]; a < backStart[node + 1]; a++) {
        const from = backFrom[a];
        const value = high - backWeight[a];
        if (value >= hi[from]) continue;
        if (value < lo[from]) return stop(from);
        this.setHi(from, value);
        if (!queued[from]) {
          queued[from] = 1;
          queue[tail] = from;
          tail = (tail + 1) % ring;
        }
      }
    }
    return true;
  }
};

// src/core/schedule/wishes.ts
function clusterWishes(model, aimed, chance, variety) {
  const late = new Uint8Array(model.clusterCount);
  for (let i = 0; i < model.n; i++) if (aimed[i]) late[model.cluster[i]] = 1;
  return Array.from(late, (isLate) => {
    if (chance.unit() < (isLate ? variety : 3 * variety)) return chance.below(2) === 0 ? "late" : "early";
    return isLate ? "late" : "early";
  });
}
function lateTasks(model) {
  const aimed = new Uint8Array(model.n);
  const queue = [];
  for (let i = 0; i < model.n; i++)
    if (model.early[i] > 0) {
      aimed[i] = 1;
      queue.push(i);
    }
  for (let i = queue.pop(); i !== void 0; i = queue.pop())
    for (let a = model.backStart[2 * i]; a < model.backStart[2 * i + 1]; a++) {
      const from = model.backFrom[a];
      if ((from & 1) === 0 || from >> 1 === i || aimed[from >> 1]) continue;
      aimed[from >> 1] = 1;
      queue.push(from >> 1);
    }
  return aimed;
}
function wishFor(model, current, task, style, chance) {
  if (isAimed(model, task)) return model.due[task];
  switch (style) {
    case 0:
      return "late";
    case 1:
      return "early";
    case 2:
      return current.ends[task] + (chance.below(2) === 0 ? 1 : -1) * chance.below(12);
    default:
      return chance.below(2) === 0 ? "late" : "early";
  }
}
var isAimed = (model, task) => !Number.isNaN(model.due[task]) && (model.early[task] > 0 || model.late[task] > 0);

// src/core/schedule/search.ts
var Search = class {
  constructor(model, chance) {
    this.model = model;
    this.chance = chance;
    this.windows = new Windows(model);
    this.occupancy = new Occupancy(model);
    this.stuck = this.windows.propagateAll() ? tighten(model, this.windows, this.occupancy) : this.windows.failedAt >> 1;
    this.rootMark = this.windows.mark();
    this.trouble = new Float64Array(model.n).fill(1);
    this.refusals = new Float64Array(model.resourceCount);
    this.whims = new Float64Array(model.n).fill(1);
    this.aimed = new Uint8Array(model.clusterCount);
    for (let i = 0; i < model.n; i++) if (isAimed(model, i)) this.aimed[model.cluster[i]] = 1;
    this.marks = new Int32Array(model.n + 1);
    this.unplaced = new Int32Array(model.n);
    this.position = new Int32Array(model.n);
  }
  windows;
  occupancy;
  /** How often each task was a dead end; grows over the whole search and says what is hard. */
  trouble;
  /** How often each resource refused the task that was a dead end. */
  refusals;
  /** The fullest schedule that the last failed dive came to, and how many tasks it leaves out. */
  partial;
  left = 0;
  cursors = [];
  marks;
  rootMark;
  /** Clusters with a task that has a due time. */
  aimed;
  unplaced;
  whims;
  position;
  unplacedCount = 0;
  /** −1, or a task that fits nowhere even alone: a proof that no schedule exists. */
  stuck;
  /** Everything unplaced, windows as at the root. */
  clear() {
    for (let i = 0; i < this.model.n; i++) if (this.occupancy.isPlaced(i)) this.occupancy.remove(i);
    this.windows.undo(this.rootMark);
  }
  /** Keeps `schedule` except the tasks in `freed`, which are left to be placed. False if they cannot be (a bug in the caller's schedule). */
  loosen(schedule, freed) {
    const { occupancy, windows, model } = this;
    this.windows.undo(this.rootMark);
    for (let i = 0; i < model.n; i++) {
      const keeps = !freed[i] && occupancy.isPlaced(i) && occupancy.startOf(i) === schedule.starts[i] && occupancy.endOf(i) === schedule.ends[i];
      if (occupancy.isPlaced(i) && !(keeps && sameChoices(occupancy.choices[i], schedule.choices[i]))) occupancy.remove(i);
    }
    let good = true;
    for (let i = 0; i < model.n; i++) {
      if (freed[i] || schedule.starts[i] < 0) continue;
      if (!occupancy.isPlaced(i))
        good = occupancy.placeExactly(i, schedule.starts[i], schedule.ends[i], schedule.choices[i]) && good;
    }
    return windows.fixMany(schedule.starts, schedule.ends, freed) && good;
  }
  /** Places tasks where a guess has them, the ones with the least room first, and leaves out what no longer fits. */
  keepWhatFits(guess) {
    this.clear();
    const { lo, hi } = this.windows;
    const room = (i) => hi[2 * i] - lo[2 * i] + hi[2 * i + 1] - lo[2 * i + 1];
    const order = guess.map((_, i) => ({ i, room: Math.min(room(i), 60) }));
    order.sort((a, b) => a.room - b.room || guess[a.i].start - guess[b.i].start || a.i - b.i);
    for (const { i } of order) {
      const { start, end, choices } = guess[i];
      if (start < lo[2 * i] || start > hi[2 * i] || end < lo[2 * i + 1] || end > hi[2 * i + 1]) continue;
      const length = end - start;
      if (length < this.model.least[i] || length > this.model.most[i]) continue;
      const mark = this.windows.mark();
      if (!this.occupancy.placeExactly(i, start, end, choices)) continue;
      if (this.windows.fix(i, start, end)) continue;
      this.windows.undo(mark);
      this.occupancy.remove(i);
    }
  }
  /** Lower bound of the cost of any schedule inside the present windows. */
  costBound() {
    const { lo, hi } = this.windows;
    const { n, due, early, late, stretch, least, makespan, span } = this.model;
    let cost2 = 0;
    let last = 0;
    let first = this.model.horizon;
    for (let i = 0; i < n; i++) {
      const s = 2 * i;
      const e = s + 1;
      if (hi[e] < due[i]) cost2 += early[i] * (due[i] - hi[e]);
      else if (lo[e] > due[i]) cost2 += late[i] * (lo[e] - due[i]);
      if (stretch[i] > 0) {
        const over = lo[e] - hi[s] - least[i];
        if (over > 0) cost2 += stretch[i] * over;
      }
      if (lo[e] > last) last = lo[e];
      if (hi[s] < first) first = hi[s];
    }
    return n === 0 ? 0 : cost2 + makespan * last + span * Math.max(0, last - first);
  }
  /** Places every task that is not placed yet. On success the schedule is left in place and returned. */
  dive(options) {
    const { model, occupancy, windows } = this;
    this.unplacedCount = 0;
    for (let i = 0; i < model.n; i++) {
      if (occupancy.isPlaced(i)) continue;
      this.addUnplaced(i);
      this.whims[i] = options.whim > 0 ? 2 ** (options.whim * (this.chance.unit() - 0.5)) : 1;
    }
    const base = windows.mark();
    let depth = 0;
    let deadEnds = 0;
    let active = -1;
    let out = 0;
    let inCluster = 0;
    if (this.unplacedCount === 0) return this.snapshot();
    this.partial = void 0;
    this.left = model.n + 1;
    this.open(depth, this.pick(active, options.aims), options);
    for (; ; ) {
      const cursor = this.cursors[depth];
      let advanced = false;
      while (cursor.handed < options.tries && cursor.next()) {
        this.marks[depth] = windows.mark();
        if (windows.fix(cursor.task, cursor.start, cursor.end) && (options.below === Infinity || this.costBound() < options.below)) {
          advanced = true;
          break;
        }
        windows.undo(this.marks[depth]);
        occupancy.remove(cursor.task);
        this.moveOn(cursor);
      }
      if (advanced) {
        if (active !== model.cluster[cursor.task]) inCluster = 0;
        active = model.cluster[cursor.task];
        if (this.unplacedCount === 0) {
          if (out === 0) return this.snapshot();
          return this.giveUp(depth + 1, base, out);
        }
        depth++;
        this.open(depth, this.pick(active, options.aims), options);
        continue;
      }
      deadEnds++;
      this.trouble[cursor.task] += 1;
      if (occupancy.refusedBy >= 0) this.refusals[occupancy.refusedBy]++;
      const stuckIn = model.cluster[cursor.task];
      const alone = depth === 0 || model.cluster[this.cursors[depth - 1].task] !== stuckIn;
      if (options.patience > 0 && (alone || ++inCluster > options.patience) && deadEnds <= options.deadEnds) {
        inCluster = 0;
        out++;
        for (; depth > 0 && model.cluster[this.cursors[depth - 1].task] === stuckIn; depth--) {
          const above2 = this.cursors[depth - 1];
          windows.undo(this.marks[depth - 1]);
          occupancy.remove(above2.task);
          out++;
        }
        out += this.dropCluster(stuckIn);
        active = -1;
        if (this.unplacedCount === 0 || out > (options.mostOut ?? Infinity))
          return this.giveUp(depth, base, this.unplacedCount + out);
        this.open(depth, this.pick(active, options.aims), options);
        continue;
      }
      this.addUnplaced(cursor.task);
      if (this.unplacedCount + out < this.left) {
        this.left = this.unplacedCount + out;
        this.partial = this.snapshot();
      }
      if (depth === 0 || deadEnds > options.deadEnds) return this.giveUp(depth, base, this.unplacedCount + out);
      depth--;
      const above = this.cursors[depth];
      windows.undo(this.marks[depth]);
      occupancy.remove(above.task);
      this.moveOn(above);
      active = model.cluster[above.task];
    }
  }
  /** Takes everything back; what was reached is kept as a partial schedule where it is the fullest. */
  giveUp(depth, base, left) {
    if (left < this.left) {
      this.left = left;
      this.partial = this.snapshot(true);
    }
    for (let d = depth - 1; d >= 0; d--) this.occupancy.remove(this.cursors[d].task);
    this.windows.undo(base);
    return void 0;
  }
  /** Tasks of a cluster that wait for a place wait no longer; how many they were. */
  dropCluster(cluster) {
    let dropped = 0;
    for (let k = this.unplacedCount - 1; k >= 0; k--) {
      const task = this.unplaced[k];
      if (this.model.cluster[task] !== cluster) continue;
      const last = this.unplaced[--this.unplacedCount];
      this.unplaced[k] = last;
      this.position[last] = k;
      dropped++;
    }
    return dropped;
  }
  /** After a placement failed: small steps at first, then leaps, so that another evening comes into reach. */
  moveOn(cursor) {
    cursor.skip(1 + this.chance.below(1 << Math.min(cursor.handed, 10)), this.chance.below(2) === 0);
  }
  addUnplaced(task) {
    this.position[task] = this.unplacedCount;
    this.unplaced[this.unplacedCount++] = task;
  }
  open(depth, task, options) {
    const last = this.unplaced[--this.unplacedCount];
    this.unplaced[this.position[task]] = last;
    this.position[last] = this.position[task];
    this.cursors[depth] ??= new Cursor(this.model, this.windows, this.occupancy);
    this.cursors[depth].begin(task, options.wish(task));
  }
  /** The next task: one without any room at once, else the tightest of the active cluster, else the tightest of all. */
  pick(active, aims) {
    const { lo, hi } = this.windows;
    const { cluster, least, most } = this.model;
    const { aimed } = this;
    let best = -1;
    let bestKey = Infinity;
    for (let k = 0; k < this.unplacedCount; k++) {
      const i = this.unplaced[k];
      const room = hi[2 * i] - lo[2 * i] + (most[i] > least[i] ? hi[2 * i + 1] - lo[2 * i + 1] : 0);
      let key = room * this.whims[i] / this.trouble[i];
      if (room > 0 && cluster[i] !== active) key += aims && aimed[cluster[i]] && !isAimed(this.model, i) ? 2e7 : 1e7;
      if (key < bestKey) {
        bestKey = key;
        best = i;
      }
    }
    return best;
  }
  snapshot(partial = this.unplacedCount > 0) {
    const { model, occupancy } = this;
    const starts = new Int32Array(model.n);
    const ends = new Int32Array(model.n);
    for (let i = 0; i < model.n; i++) {
      starts[i] = occupancy.startOf(i);
      ends[i] = occupancy.endOf(i);
    }
    return {
      starts,
      ends,
      choices: occupancy.choices.map((c) => c.slice()),
      cost: partial ? Infinity : costOf(model, starts, ends)
    };
  }
};
var sameChoices = (a, b) => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};
function costOf(model, starts, ends) {
  let cost2 = 0;
  let first = Infinity;
  let last = 0;
  for (let i = 0; i < model.n; i++) {
    if (ends[i] < model.due[i]) cost2 += model.early[i] * (model.due[i] - ends[i]);
    else if (ends[i] > model.due[i]) cost2 += model.late[i] * (ends[i] - model.due[i]);
    if (model.stretch[i] > 0) cost2 += model.stretch[i] * (ends[i] - starts[i] - model.least[i]);
    first = Math.min(first, starts[i]);
    last = Math.max(last, ends[i]);
  }
  return model.n === 0 ? 0 : cost2 + model.makespan * last + model.span * (last - first);
}

// src/core/schedule/learning/cumulative.ts
var Cumulative = class {
  /**
   * @param capacity units at the most
   * @param missing  units that are not there, by minute; its length is the horizon + 1
   */
  constructor(demands, capacity, missing) {
    this.demands = demands;
    this.capacity = capacity;
    this.missing = missing;
    const n = demands.length;
    this.usage = missing.slice();
    this.from = new Int32Array(n);
    this.to = new Int32Array(n);
    this.oldFrom = new Int32Array(n);
    this.oldTo = new Int32Array(n);
    this.changed = new Int32Array(n);
    this.moved = new Slots(n);
    this.stale = new Slots(n);
    for (let i = 0; i < n; i++) this.touch(i);
  }
  /** Units taken for certain, and those that are not there, minute by minute; kept up from call to call. */
  usage;
  /** The minutes that each interval covers for certain, as they are counted in `usage`. */
  from;
  to;
  oldFrom;
  oldTo;
  changed;
  /** Intervals whose bounds moved since they were counted, and those that must be looked at. */
  moved;
  stale;
  /** Minutes that were found to be over. */
  over = [];
  /** Minutes [growFrom, growTo) in which `usage` grew since the intervals there were marked. */
  growFrom = 1 << 30;
  growTo = 0;
  watched() {
    return this.demands.flatMap(
      (d, i) => [d.start, ...d.end === d.start ? [] : [d.end], ...d.taken >= 0 ? [d.taken] : []].flatMap((x) => [
        [2 * x, i],
        [2 * x + 1, i]
      ])
    );
  }
  touch(slot) {
    this.moved.add(slot);
    this.stale.add(slot);
  }
  propagate(engine) {
    const { demands, stale } = this;
    const { lb } = engine;
    const over = this.count(lb);
    if (over >= 0) return engine.fail(this.covering(over, -1, this.capacity - this.missing[over], []));
    if (this.growFrom < this.growTo) {
      for (let i = 0; i < demands.length; i++) {
        const d = demands[i];
        if (lb[2 * d.start] + d.startOffset < this.growTo && d.endOffset - lb[2 * d.end + 1] > this.growFrom) stale.add(i);
      }
      this.growFrom = this.usage.length;
      this.growTo = 0;
    }
    for (let i = stale.take(); i >= 0; i = stale.take()) {
      const d = demands[i];
      if (d.taken >= 0 && lb[2 * d.taken + 1] === 0) continue;
      if (d.taken >= 0 && lb[2 * d.taken] < 1) {
        if (this.rule(engine, i)) continue;
      } else {
        const open = lb[2 * d.start] + lb[2 * d.start + 1] < 0 || lb[2 * d.end] + lb[2 * d.end + 1] < 0;
        if (!open || this.pushOn(engine, i) && this.pushBack(engine, i)) continue;
      }
      stale.add(i);
      return false;
    }
    return true;
  }
  /** Brings `usage` up to the present bounds. @returns a minute that is over, or −1 */
  count(lb) {
    const { demands, from, to, changed, oldFrom, oldTo, moved } = this;
    const horizon = this.usage.length;
    let changes = 0;
    for (let i = moved.take(); i >= 0; i = moved.take()) {
      const d = demands[i];
      let a = 0;
      let b = 0;
      if (d.taken < 0 || lb[2 * d.taken] >= 1) {
        a = Math.max(0, d.startOffset - lb[2 * d.start + 1]);
        b = Math.min(horizon, lb[2 * d.end] + d.endOffset);
        if (a >= b) a = b = 0;
      }
      if (a === from[i] && b === to[i]) continue;
      changed[changes++] = i;
      oldFrom[i] = from[i];
      oldTo[i] = to[i];
      from[i] = a;
      to[i] = b;
      this.addOutside(oldFrom[i], oldTo[i], a, b, -d.amount);
    }
    for (let k = 0; k < changes; k++) {
      const i = changed[k];
      if (from[i] === to[i]) continue;
      this.addOutside(from[i], to[i], oldFrom[i], oldTo[i], demands[i].amount);
      this.growFrom = Math.min(this.growFrom, from[i]);
      this.growTo = Math.max(this.growTo, to[i]);
    }
    while (this.over.length > 0 && this.usage[this.over[this.over.length - 1]] <= this.capacity) this.over.pop();
    return this.over.length > 0 ? this.over[this.over.length - 1] : -1;
  }
  /** Adds to the minutes of [a, b) that are not in [x, y); those that are then over go on the list. */
  addOutside(a, b, x, y, amount) {
    const { usage, capacity } = this;
    const firstEnd = x < y ? Math.min(b, x) : b;
    for (let t = a; t < firstEnd; t++) {
      usage[t] += amount;
      if (usage[t] > capacity && amount > 0) this.over.push(t);
    }
    if (x < y)
      for (let t = Math.max(a, y); t < b; t++) {
        usage[t] += amount;
        if (usage[t] > capacity && amount > 0) this.over.push(t);
      }
  }
  isOver(i, t) {
    const own = this.from[i] <= t && t < this.to[i] ? this.demands[i].amount : 0;
    return this.usage[t] - own + this.demands[i].amount > this.capacity;
  }
  /** Intervals that cover minute t, as literals, until their amounts exceed `room`. */
  covering(t, without, room, into) {
    let left = room;
    for (let j = 0; j < this.demands.length && left >= 0; j++) {
      if (j === without || t < this.from[j] || t >= this.to[j]) continue;
      const d = this.demands[j];
      into.push(2 * d.start + 1, -(t - d.startOffset), 2 * d.end, t + 1 - d.endOffset);
      if (d.taken >= 0) into.push(2 * d.taken, 1);
      left -= d.amount;
    }
    return into;
  }
  roomFor(i, t) {
    return this.capacity - this.missing[t] - this.demands[i].amount;
  }
  /** The earliest start moves on while a minute of its least length is over. */
  pushOn(engine, i) {
    const d = this.demands[i];
    const { lb } = engine;
    for (; ; ) {
      const start = lb[2 * d.start] + d.startOffset;
      let t = Math.min(start + d.least, this.usage.length) - 1;
      while (t >= start && !this.isOver(i, t)) t--;
      if (t < start) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [2 * d.start, t - d.least + 1 - d.startOffset]);
      if (d.taken >= 0) why.push(2 * d.taken, 1);
      if (!engine.enqueue(2 * d.start, t + 1 - d.startOffset, engine.because(why))) return false;
    }
  }
  /** The latest end moves back likewise. */
  pushBack(engine, i) {
    const d = this.demands[i];
    const { lb } = engine;
    for (; ; ) {
      const end = -lb[2 * d.end + 1] + d.endOffset;
      let t = Math.max(0, end - d.least);
      while (t < end && !this.isOver(i, t)) t++;
      if (t >= end) return true;
      const why = this.covering(t, i, this.roomFor(i, t), [2 * d.end + 1, -(t + d.least - d.endOffset)]);
      if (d.taken >= 0) why.push(2 * d.taken, 1);
      if (!engine.enqueue(2 * d.end + 1, -(t - d.endOffset), engine.because(why))) return false;
    }
  }
  /** Whether a use that may take this pool still could; where no start is left, it does not take it. */
  rule(engine, i) {
    const d = this.demands[i];
    const { lb } = engine;
    const first = lb[2 * d.start] + d.startOffset;
    const last = -lb[2 * d.start + 1] + d.startOffset;
    let start = first;
    const why = [];
    while (start <= last) {
      let t = Math.min(start + d.least, this.usage.length) - 1;
      while (t >= start && !this.isOver(i, t)) t--;
      if (t < start) return true;
      this.covering(t, i, this.roomFor(i, t), why);
      start = t + 1;
    }
    why.push(2 * d.start, first - d.startOffset, 2 * d.start + 1, -(last - d.startOffset));
    return engine.enqueue(2 * d.taken + 1, 0, engine.because(why));
  }
};
var Slots = class {
  held;
  stack;
  count = 0;
  constructor(n) {
    this.held = new Uint8Array(n);
    this.stack = new Int32Array(n);
  }
  add(i) {
    if (this.held[i]) return;
    this.held[i] = 1;
    this.stack[this.count++] = i;
  }
  /** −1 when it is empty. */
  take() {
    if (this.count === 0) return -1;
    const i = this.stack[--this.count];
    this.held[i] = 0;
    return i;
  }
};

// src/core/schedule/learning/chamber.ts
function addChamber(engine, chamber, loads, arc, horizon) {
  const zero = { x: engine.newVar(0, 0), plus: 0 };
  for (const load of loads) {
    const warm = Math.max(0, Math.ceil((load.use.setting - chamber.start) / chamber.heat));
    if (warm > 0) arc(zero, load.start, warm, load.taken >= 0 ? 2 * load.taken : -1);
    if (load.use.amount > chamber.slots) engine.addClause(load.taken >= 0 ? [2 * load.taken + 1, 0] : []);
  }
  const canShare = (a, b) => a.use.setting === b.use.setting && a.use.amount + b.use.amount <= chamber.slots;
  const recovery = loads.some((a, i) => loads.some((b, j) => j > i && canShare(a, b))) ? 0 : chamber.recovery;
  for (let a = 0; a < loads.length; a++)
    for (let b = a + 1; b < loads.length; b++) addPair(engine, { ...chamber, recovery }, loads[a], loads[b], arc);
  const total = loads.reduce((sum, load) => sum + load.use.amount, 0);
  if (total <= chamber.slots) return;
  const demands = loads.map(({ start, end, use, taken, task: _ }) => ({
    start: start.x,
    startOffset: start.plus,
    end: end.x,
    endOffset: end.plus,
    amount: use.amount,
    least: start.x === end.x ? end.plus - start.plus : 1,
    taken
  }));
  const missing = new Int32Array(horizon + 1);
  missing[horizon] = chamber.slots;
  const slots = new Cumulative(demands, chamber.slots, missing);
  engine.addPropagator(slots, slots.watched());
}
function addPair(engine, chamber, a, b, arc) {
  const unless = [a, b].flatMap((load) => load.taken >= 0 ? [2 * load.taken + 1, 0] : []);
  if (a.task === b.task) {
    if (a.use.setting !== b.use.setting || a.use.amount + b.use.amount > chamber.slots) engine.addClause(unless);
    return;
  }
  const flag = () => 2 * engine.newVar(0, 1);
  const oneOf = (...switches) => engine.addClause([...unless, ...switches.flatMap((s) => [s, 1])]);
  const apart = a.use.setting !== b.use.setting || a.use.amount + b.use.amount > chamber.slots;
  if (apart) {
    const change = (from, to) => {
      const rise = to.setting - from.setting;
      return Math.max(chamber.recovery, Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool)));
    };
    const [first, second] = [flag(), flag()];
    oneOf(first, second);
    engine.addClause([first ^ 1, 0, second ^ 1, 0]);
    arc(a.end, b.start, change(a.use, b.use), first);
    arc(b.end, a.start, change(b.use, a.use), second);
  } else {
    for (const [sealed, other] of [
      [a, b],
      [b, a]
    ]) {
      const { sealed: minutes2 } = sealed.use;
      if (minutes2 < 2) continue;
      for (const moment of [other.start, other.end]) {
        const [before2, after] = [flag(), flag()];
        oneOf(before2, after);
        arc(moment, sealed.start, 0, before2);
        arc(sealed.start, moment, minutes2, after);
      }
    }
  }
  if (chamber.ranked && a.use.rank !== b.use.rank) {
    const [low, high] = a.use.rank < b.use.rank ? [a, b] : [b, a];
    const ordered = unless.length > 0 ? flag() : -1;
    if (ordered >= 0) oneOf(ordered);
    arc(low.start, high.start, 0, ordered);
  }
}
function breaksRecovery(at, recovery) {
  let last = -Infinity;
  for (const [start, end] of [...at].sort((a, b) => a[0] - b[0])) {
    if (start >= last && start - last < recovery) return true;
    last = Math.max(last, end);
  }
  return false;
}

// src/core/schedule/learning/arcs.ts
var Arcs = class {
  from = [];
  to = [];
  weight = [];
  when = [];
  /** Arcs that each node switches. */
  bySwitch = [];
  outOf = [];
  /** The arcs out of each node in one row, [arc, to, weight, switch, …]; made by `layOut`. */
  start = new Int32Array(0);
  row = new Int32Array(0);
  addNode() {
    this.bySwitch.push([]);
    this.outOf.push([]);
  }
  add(from, to, weight, when) {
    const arc = this.from.length;
    this.from.push(from);
    this.to.push(to);
    this.weight.push(weight);
    this.when.push(when);
    this.outOf[from].push(arc);
    if (when >= 0) this.bySwitch[when].push(arc);
  }
  /** Lays the arcs out for quick reading, when all are there. */
  layOut() {
    const nodes = this.outOf.length;
    this.start = new Int32Array(nodes + 1);
    this.row = new Int32Array(4 * this.from.length);
    let at = 0;
    for (let node = 0; node < nodes; node++) {
      this.start[node] = at;
      for (const arc of this.outOf[node]) {
        this.row[at++] = arc;
        this.row[at++] = this.to[arc];
        this.row[at++] = this.weight[arc];
        this.row[at++] = this.when[arc];
      }
    }
    this.start[nodes] = at;
  }
};

// src/core/schedule/learning/clauses.ts
var ClauseStore = class {
  arena = new Int32Array(8192);
  length = 0;
  list = [];
  byPosition = /* @__PURE__ */ new Map();
  step = 1;
  get count() {
    return this.list.length;
  }
  /** Adds a clause of node, value pairs. @returns its position */
  add(literals, learned, lbd, activity = this.step) {
    const at = this.length;
    while (at + 1 + literals.length > this.arena.length) this.arena = grown(this.arena);
    this.arena[at] = literals.length / 2;
    for (let i = 0; i < literals.length; i++) this.arena[at + 1 + i] = literals[i];
    this.length = at + 1 + literals.length;
    const clause = { at, learned, lbd, activity };
    this.list.push(clause);
    this.byPosition.set(at, clause);
    return at;
  }
  /** A clause had a part in a dead end. */
  credit(at) {
    this.byPosition.get(at).activity += this.step;
  }
  /** Later credit counts for more. */
  age() {
    this.step *= 1.001;
    if (this.step < 1e90) return;
    for (const clause of this.list) clause.activity /= this.step;
    this.step = 1;
  }
  /** Empties the store and hands out what is worth keeping: all but the less useful half of what was learned. */
  takeUseful() {
    const learned = this.list.filter((c) => c.learned && c.lbd > 2).sort((a, b) => a.lbd - b.lbd || b.activity - a.activity);
    const dropped = new Set(learned.slice(learned.length >> 1).map((c) => c.at));
    const kept = this.list.filter((c) => !dropped.has(c.at)).map(({ at, ...rest }) => ({ ...rest, literals: Array.from(this.arena.subarray(at + 1, at + 1 + 2 * this.arena[at])) }));
    this.length = 0;
    this.list = [];
    this.byPosition = /* @__PURE__ */ new Map();
    return kept;
  }
};
function grown(row) {
  const more = new Int32Array(row.length * 2);
  more.set(row);
  return more;
}

// src/core/schedule/learning/engine.ts
var Engine = class {
  /** Lower bound of each node. */
  lb = new Int32Array(64);
  vars = 0;
  level = 0;
  conflicts = 0;
  /** Set when the constraints are shown to have no solution at all. */
  broken = false;
  // The trail: which node was raised, from what, to what, why, and the trail entry of that node before.
  trailNode = new Int32Array(1024);
  trailOld = new Int32Array(1024);
  trailNew = new Int32Array(1024);
  trailPrev = new Int32Array(1024);
  trailReason = new Int32Array(1024);
  trailLevel = new Int32Array(1024);
  marked = new Uint8Array(1024);
  needed = new Int32Array(1024);
  length = 0;
  head = 0;
  levelStart = [0];
  levelPool = [0];
  last = new Int32Array(64).fill(-1);
  /** Explanations that propagators give, as [count, node, value, …]; cut back with the trail. */
  pool = new Int32Array(4096);
  poolLength = 0;
  arcs = new Arcs();
  clauses = new ClauseStore();
  /** Per node that a watched literal's opposite is about: [clause position, threshold, …]. */
  watches = [];
  propagators = [];
  wakes = [];
  queued = new Uint8Array(0);
  queue = [];
  /** The literals whose conjunction failed, as node, value pairs. */
  conflict = [];
  activity = new Float64Array(32);
  step = 1;
  scratch = [];
  newVar(lo, hi) {
    const x = this.vars++;
    if (2 * x + 1 >= this.lb.length) {
      this.lb = grown(this.lb);
      const last = new Int32Array(this.last.length * 2).fill(-1);
      last.set(this.last);
      this.last = last;
      const activity = new Float64Array(this.activity.length * 2);
      activity.set(this.activity);
      this.activity = activity;
    }
    this.lb[2 * x] = lo;
    this.lb[2 * x + 1] = -hi;
    for (let k = 0; k < 2; k++) {
      this.arcs.addNode();
      this.watches.push([]);
      this.wakes.push([]);
    }
    if (lo > hi) this.broken = true;
    return x;
  }
  lo(x) {
    return this.lb[2 * x];
  }
  hi(x) {
    return 0 - this.lb[2 * x + 1];
  }
  isFixed(x) {
    return this.lb[2 * x] + this.lb[2 * x + 1] === 0;
  }
  /** to ≥ from + weight for nodes; with a switch only while that node is ≥ 1. The contrapositive goes with it. */
  addArc(from, to, weight, when = -1) {
    this.arcs.add(from, to, weight, when);
    if ((from ^ 1) !== to) this.arcs.add(to ^ 1, from ^ 1, weight, when);
  }
  /** One of the literals (node, value pairs) must hold. Only at the root. */
  addClause(literals) {
    const open = [];
    for (let i = 0; i < literals.length; i += 2) {
      const [node, value] = [literals[i], literals[i + 1]];
      if (this.lb[node] >= value) return;
      if (value + this.lb[node ^ 1] > 0) continue;
      open.push(node, value);
    }
    if (open.length === 0) this.broken = true;
    else if (open.length === 2) {
      if (!this.enqueue(open[0], open[1], 0)) this.broken = true;
    } else this.attach(open, false, 0);
  }
  /** @param watched nodes whose rise wakes the propagator, each with the slot it is told by `touch` */
  addPropagator(propagator, watched) {
    const id2 = this.propagators.push(propagator) - 1;
    for (const [node, slot] of watched) this.wakes[node].push(id2, slot);
    const queued = new Uint8Array(this.propagators.length);
    queued.set(this.queued);
    this.queued = queued;
    this.wake(id2);
  }
  wake(id2) {
    if (this.queued[id2]) return;
    this.queued[id2] = 1;
    this.queue.push(id2);
  }
  attach(literals, learned, lbd, activity) {
    const at = this.clauses.add(literals, learned, lbd, activity);
    this.watch(at, 0);
    this.watch(at, 1);
    return at;
  }
  watch(at, which) {
    const node = this.clauses.arena[at + 1 + 2 * which];
    const value = this.clauses.arena[at + 2 + 2 * which];
    this.watches[node ^ 1].push(at, 1 - value);
  }
  // ——— changes ———
  /** Starts a new level of decisions. */
  decide(node, value) {
    this.level++;
    this.levelStart.push(this.length);
    this.levelPool.push(this.poolLength);
    return this.enqueue(node, value, 0);
  }
  /** Keeps an explanation (literals that together force something) and returns its code for `enqueue`. */
  because(literals) {
    const at = this.poolLength;
    while (at + 1 + literals.length > this.pool.length) this.pool = grown(this.pool);
    this.pool[at] = literals.length;
    for (let i = 0; i < literals.length; i++) this.pool[at + 1 + i] = literals[i];
    this.poolLength = at + 1 + literals.length;
    return at << 2 | 3;
  }
  /** Raises a node's bound. False: it contradicts the opposite bound; the conflict is then set. */
  enqueue(node, value, reason) {
    const old = this.lb[node];
    if (value <= old) return true;
    if (value + this.lb[node ^ 1] > 0) {
      this.conflict.length = 0;
      this.conflict.push(node ^ 1, 1 - value);
      if (reason !== 0) this.explain(reason, node, value, this.conflict);
      else this.conflict.push(node, value);
      return false;
    }
    const i = this.length++;
    if (i >= this.trailNode.length) this.growTrail();
    this.trailNode[i] = node;
    this.trailOld[i] = old;
    this.trailNew[i] = value;
    this.trailPrev[i] = this.last[node];
    this.trailReason[i] = reason;
    this.trailLevel[i] = this.level;
    this.last[node] = i;
    this.lb[node] = value;
    const wakes = this.wakes[node];
    for (let k = 0; k < wakes.length; k += 2) {
      this.propagators[wakes[k]].touch(wakes[k + 1]);
      this.wake(wakes[k]);
    }
    return true;
  }
  /** A propagator found that these literals cannot hold together. */
  fail(literals) {
    this.conflict.length = 0;
    for (let i = 0; i < literals.length; i++) this.conflict.push(literals[i]);
    return false;
  }
  growTrail() {
    this.trailNode = grown(this.trailNode);
    this.trailOld = grown(this.trailOld);
    this.trailNew = grown(this.trailNew);
    this.trailPrev = grown(this.trailPrev);
    this.trailReason = grown(this.trailReason);
    this.trailLevel = grown(this.trailLevel);
    this.needed = grown(this.needed);
    const marked = new Uint8Array(this.marked.length * 2);
    marked.set(this.marked);
    this.marked = marked;
  }
  /** Takes back everything above a level. */
  backTo(level) {
    if (level >= this.level) return;
    const from = this.levelStart[level + 1];
    for (let i = this.length - 1; i >= from; i--) {
      const node = this.trailNode[i];
      this.lb[node] = this.trailOld[i];
      this.last[node] = this.trailPrev[i];
      const wakes = this.wakes[node];
      for (let k = 0; k < wakes.length; k += 2) this.propagators[wakes[k]].touch(wakes[k + 1]);
    }
    this.poolLength = this.levelPool[level + 1];
    this.length = from;
    this.head = from;
    this.level = level;
    this.levelStart.length = level + 1;
    this.levelPool.length = level + 1;
    for (const id2 of this.queue) this.queued[id2] = 0;
    this.queue.length = 0;
  }
  // ——— propagation ———
  /** Draws every consequence. False: a contradiction, with the conflict set. */
  propagate() {
    if (this.arcs.start.length === 0) {
      this.arcs.layOut();
      for (let node = 0; node < 2 * this.vars; node++) if (!this.followArcs(node)) return false;
    }
    for (; ; ) {
      while (this.head < this.length) {
        const i = this.head++;
        if (!this.followArcs(this.trailNode[i]) || !this.followClauses(this.trailNode[i])) return false;
      }
      const id2 = this.queue.shift();
      if (id2 === void 0) return true;
      this.queued[id2] = 0;
      if (!this.propagators[id2].propagate(this)) return false;
    }
  }
  followArcs(node) {
    const { lb, arcs } = this;
    const out = arcs.row;
    const end = arcs.start[node + 1];
    const value = lb[node];
    for (let k = arcs.start[node]; k < end; k += 4) {
      const to = out[k + 1];
      const least = value + out[k + 2];
      if (least <= lb[to]) continue;
      const when = out[k + 3];
      if (when < 0 || lb[when] >= 1) {
        if (!this.enqueue(to, least, out[k] << 2 | 2)) return false;
      } else if (least + lb[to ^ 1] > 0 && !this.switchOff(out[k])) return false;
    }
    if (value >= 1) {
      const on = arcs.bySwitch[node];
      for (let k = 0; k < on.length; k++) {
        const arc = on[k];
        const least = lb[this.arcs.from[arc]] + this.arcs.weight[arc];
        if (least > lb[this.arcs.to[arc]] && !this.enqueue(this.arcs.to[arc], least, arc << 2 | 2)) return false;
      }
    }
    return true;
  }
  switchOff(arc) {
    const when = this.arcs.when[arc];
    if (this.lb[when ^ 1] >= 0) return true;
    const value = this.lb[this.arcs.from[arc]];
    this.scratch.length = 0;
    this.scratch.push(this.arcs.from[arc], value, this.arcs.to[arc] ^ 1, 1 - (value + this.arcs.weight[arc]));
    return this.enqueue(when ^ 1, 0, this.because(this.scratch));
  }
  followClauses(node) {
    const list = this.watches[node];
    const { lb } = this;
    const { arena } = this.clauses;
    const value = lb[node];
    let kept = 0;
    let k = 0;
    let good = true;
    for (; k < list.length; k += 2) {
      const at = list[k];
      const threshold = list[k + 1];
      if (threshold > value) {
        list[kept++] = at;
        list[kept++] = threshold;
        continue;
      }
      if ((arena[at + 1] ^ 1) === node && 1 - arena[at + 2] === threshold) {
        const n = arena[at + 1];
        const v = arena[at + 2];
        arena[at + 1] = arena[at + 3];
        arena[at + 2] = arena[at + 4];
        arena[at + 3] = n;
        arena[at + 4] = v;
      }
      const first = arena[at + 1];
      const firstValue = arena[at + 2];
      if (lb[first] >= firstValue) {
        list[kept++] = at;
        list[kept++] = threshold;
        continue;
      }
      const size = arena[at];
      let moved = false;
      for (let j = 2; j < size; j++) {
        const n = arena[at + 1 + 2 * j];
        const v = arena[at + 2 + 2 * j];
        if (v + lb[n ^ 1] > 0) continue;
        arena[at + 1 + 2 * j] = arena[at + 3];
        arena[at + 2 + 2 * j] = arena[at + 4];
        arena[at + 3] = n;
        arena[at + 4] = v;
        this.watches[n ^ 1].push(at, 1 - v);
        moved = true;
        break;
      }
      if (moved) continue;
      list[kept++] = at;
      list[kept++] = threshold;
      if (!this.enqueue(first, firstValue, at << 2 | 1)) {
        good = false;
        k += 2;
        break;
      }
    }
    for (; k < list.length; k++) list[kept++] = list[k];
    list.length = kept;
    return good;
  }
  // ——— learning ———
  /** Appends the literals that forced "node ≥ value" under a reason. */
  explain(reason, node, value, into) {
    const at = reason >> 2;
    switch (reason & 3) {
      case 1: {
        const { arena } = this.clauses;
        const size = arena[at];
        this.clauses.credit(at);
        for (let j = 0; j < size; j++) {
          const n = arena[at + 1 + 2 * j];
          const v = arena[at + 2 + 2 * j];
          if (n === node && v >= value) continue;
          into.push(n ^ 1, 1 - v);
        }
        return;
      }
      case 2: {
        into.push(this.arcs.from[at], value - this.arcs.weight[at]);
        if (this.arcs.when[at] >= 0) into.push(this.arcs.when[at], 1);
        return;
      }
      case 3:
        for (let j = 0; j < this.pool[at]; j++) into.push(this.pool[at + 1 + j]);
    }
  }
  /** The trail entry that made "node ≥ value" true, −1 where it held from the root on. */
  entryOf(node, value) {
    let i = this.last[node];
    if (i < 0 || this.lb[node] < value) return -1;
    while (i >= 0 && this.trailOld[i] >= value) i = this.trailPrev[i];
    return i >= 0 && this.trailLevel[i] > 0 ? i : -1;
  }
  /** The highest level that has a part in the conflict. */
  conflictLevel() {
    let top = 0;
    for (let k = 0; k < this.conflict.length; k += 2) {
      const i = this.entryOf(this.conflict[k], this.conflict[k + 1]);
      if (i >= 0) top = Math.max(top, this.trailLevel[i]);
    }
    return top;
  }
  /** Opens a level on which all these literals (node, value pairs) are supposed. False: they contradict what is known. */
  suppose(literals) {
    this.level++;
    this.levelStart.push(this.length);
    this.levelPool.push(this.poolLength);
    for (let k = 0; k < literals.length; k += 2) if (!this.enqueue(literals[k], literals[k + 1], 0)) return false;
    return true;
  }
  /**
   * Learns from the conflict, goes back and asserts what was learned. False: nothing is left to try; the constraints
   * have no solution.
   */
  learn() {
    this.conflicts++;
    if (this.level === 0) {
      this.broken = true;
      return false;
    }
    const lower = [];
    let open = 0;
    let at = this.length;
    const literals = this.conflict.slice();
    const top = this.conflictLevel();
    if (top === 0) {
      this.broken = true;
      return false;
    }
    if (top < this.level) {
      this.backTo(top);
      at = this.length;
    }
    const add = (node, value) => {
      const i = this.entryOf(node, value);
      if (i < 0) return;
      if (this.marked[i]) {
        if (this.needed[i] < value) this.needed[i] = value;
        return;
      }
      this.marked[i] = 1;
      this.needed[i] = value;
      this.bump(node >> 1);
      if (this.trailLevel[i] === this.level) open++;
      else lower.push(i);
    };
    for (let k = 0; k < literals.length; k += 2) add(literals[k], literals[k + 1]);
    const buffer = [];
    for (; ; ) {
      do
        at--;
      while (!this.marked[at]);
      if (open === 1) break;
      this.marked[at] = 0;
      open--;
      buffer.length = 0;
      this.explain(this.trailReason[at], this.trailNode[at], this.needed[at], buffer);
      for (let k = 0; k < buffer.length; k += 2) add(buffer[k], buffer[k + 1]);
    }
    const uip = at;
    const kept = lower.filter((i) => !this.isImplied(i));
    kept.sort((a, b) => b - a);
    const seen = /* @__PURE__ */ new Set([this.trailNode[uip]]);
    const clause = [this.trailNode[uip] ^ 1, 1 - this.needed[uip]];
    const levels = /* @__PURE__ */ new Set();
    let back = 0;
    for (const i of kept) {
      const node = this.trailNode[i];
      if (seen.has(node)) continue;
      seen.add(node);
      clause.push(node ^ 1, 1 - this.needed[i]);
      levels.add(this.trailLevel[i]);
      back = Math.max(back, this.trailLevel[i]);
      if (this.trailLevel[i] === back && clause.length > 4) {
        const end = clause.length - 2;
        [clause[2], clause[end]] = [clause[end], clause[2]];
        [clause[3], clause[end + 1]] = [clause[end + 1], clause[3]];
      }
    }
    this.marked[uip] = 0;
    for (const i of lower) this.marked[i] = 0;
    this.backTo(back);
    this.step *= 1.05;
    this.clauses.age();
    if (this.step > 1e90) this.rescale();
    if (clause.length === 2) return this.enqueue(clause[0], clause[1], 0) || !(this.broken = true);
    const where = this.attach(clause, true, levels.size);
    return this.enqueue(clause[0], clause[1], where << 2 | 1) || !(this.broken = true);
  }
  /** Whether the other marked entries already imply this one, so that the clause need not say it. */
  isImplied(i) {
    const reason = this.trailReason[i];
    if (reason === 0) return false;
    const buffer = [];
    this.explain(reason, this.trailNode[i], this.needed[i], buffer);
    for (let k = 0; k < buffer.length; k += 2) {
      const j = this.entryOf(buffer[k], buffer[k + 1]);
      if (j >= 0 && !(this.marked[j] && this.needed[j] >= buffer[k + 1])) return false;
    }
    return true;
  }
  bump(x) {
    this.activity[x] += this.step;
  }
  rescale() {
    for (let x = 0; x < this.vars; x++) this.activity[x] /= this.step;
    this.step = 1;
  }
  learnedCount() {
    return this.clauses.count;
  }
  /** Forgets the less useful half of what was learned. Only at the root. */
  forget() {
    const useful = this.clauses.takeUseful();
    for (const list of this.watches) list.length = 0;
    for (const { literals, learned, lbd, activity } of useful) {
      const open = [];
      let holds = false;
      for (let k = 0; k < literals.length && !holds; k += 2) {
        if (this.lb[literals[k]] >= literals[k + 1]) holds = true;
        else if (literals[k + 1] + this.lb[literals[k] ^ 1] <= 0) open.push(literals[k], literals[k + 1]);
      }
      if (holds) continue;
      if (open.length === 0) this.broken = true;
      else if (open.length === 2) {
        if (!this.enqueue(open[0], open[1], 0)) this.broken = true;
      } else this.attach(open, learned, lbd, activity);
    }
  }
  /** At the root, with everything propagated: what is settled needs no trail any more. */
  settle() {
    if (this.level !== 0 || this.head < this.length) return;
    for (let i = 0; i < this.length; i++) this.last[this.trailNode[i]] = -1;
    this.length = this.head = 0;
    this.poolLength = 0;
  }
};

// src/core/schedule/learning/objective.ts
var EQUAL = 1e-7;
var Objective = class {
  constructor(terms, engine) {
    this.terms = terms;
    this.own = new Float64Array(terms.length);
    const most = terms.reduce(
      (sum, t) => sum + t.cost * (-engine.lb[t.node ^ 1] - (t.minus >= 0 ? engine.lb[t.minus ^ 1] : 0) - t.base),
      0
    );
    ({ scale: this.scale, exact: this.exact } = scaleOf(terms, most));
    this.x = engine.newVar(0, MOST);
  }
  own;
  scale;
  exact;
  x;
  /** The nodes whose bounds matter. */
  watched() {
    const nodes = this.terms.flatMap(({ node, minus }) => minus >= 0 ? [node, minus] : [node]);
    return [...nodes, 2 * this.x + 1].map((node) => [node, 0]);
  }
  touch() {
  }
  /** The literal "the cost is at most `cost`", as a node and a value. */
  atMost(cost2) {
    return [2 * this.x + 1, -Math.min(MOST, Math.floor(cost2 * this.scale + EQUAL))];
  }
  /** Cost that no schedule goes below, as far as the present bounds say. */
  proven(engine) {
    return Math.max(0, engine.lb[2 * this.x] - (this.exact ? 0 : 1)) / this.scale;
  }
  /** The least that all terms cost inside the present bounds. */
  bound(engine) {
    let sum = 0;
    for (let k = 0; k < this.terms.length; k++) {
      const { cost: cost2, node, minus, base } = this.terms[k];
      const over = engine.lb[node] + (minus >= 0 ? engine.lb[minus] : 0) - base;
      this.own[k] = over > 0 ? cost2 * over : 0;
      sum += this.own[k];
    }
    return sum;
  }
  propagate(engine) {
    const sum = this.bound(engine);
    const least = Math.ceil(sum * this.scale - EQUAL);
    const node = 2 * this.x;
    if (least > engine.lb[node]) {
      const spare = sum - (least - 1) / this.scale - 2 * EQUAL;
      if (!engine.enqueue(node, Math.min(least, MOST), engine.because(this.because(engine, -1, Math.max(0, spare), []))))
        return false;
    }
    const limit = -engine.lb[node + 1];
    if (limit >= MOST) return true;
    const room = limit / this.scale - sum;
    const capped = [node + 1, -limit];
    const { lb } = engine;
    for (let k = 0; k < this.terms.length; k++) {
      const { cost: cost2, node: node2, minus, base } = this.terms[k];
      if (cost2 === 0) continue;
      const most = base + Math.floor((this.own[k] + room) / cost2 + EQUAL);
      if (minus < 0) {
        if (-lb[node2 ^ 1] > most && !engine.enqueue(node2 ^ 1, -most, engine.because(this.because(engine, k, 0, [...capped]))))
          return false;
        continue;
      }
      if (-lb[node2 ^ 1] > most - lb[minus]) {
        const why = this.because(engine, k, 0, [...capped, minus, lb[minus]]);
        if (!engine.enqueue(node2 ^ 1, lb[minus] - most, engine.because(why))) return false;
      }
      if (-lb[minus ^ 1] > most - lb[node2]) {
        const why = this.because(engine, k, 0, [...capped, node2, lb[node2]]);
        if (!engine.enqueue(minus ^ 1, lb[node2] - most, engine.because(why))) return false;
      }
    }
    return true;
  }
  /** What the other terms cost already, as literals; up to `spare` of it need not be said. */
  because(engine, without, spare, into) {
    let left = spare;
    for (let k = 0; k < this.terms.length; k++) {
      if (k === without || this.own[k] === 0) continue;
      const { cost: cost2, node, minus } = this.terms[k];
      const value = engine.lb[node];
      if (this.own[k] <= left) {
        left -= this.own[k];
        continue;
      }
      const weaker = minus < 0 ? Math.floor(left / cost2) : 0;
      left -= weaker * cost2;
      into.push(node, value - weaker);
      if (minus >= 0) into.push(minus, engine.lb[minus]);
    }
    return into;
  }
};
var MOST = 1 << 29;
function scaleOf(terms, most) {
  const fits = (k) => most * k < MOST;
  const whole = (k) => terms.every(({ cost: cost2 }) => Math.abs(cost2 * k - Math.round(cost2 * k)) < 1e-9);
  const scale = [1, 2, 4, 5, 10, 20, 50, 100, 200, 500, 1e3, 1e4, 1e5].find((k) => fits(k) && whole(k));
  if (scale !== void 0) return { scale, exact: true };
  return { scale: 10 ** Math.floor(Math.log10(MOST / Math.max(1, most))), exact: false };
}

// src/core/schedule/learning/build.ts
var PAIRED = 45;
function build(model, low, high) {
  const engine = new Engine();
  const start = [];
  const end = [];
  for (let i = 0; i < model.n; i++) {
    const fixed = model.least[i] === model.most[i];
    const s = engine.newVar(low[2 * i], high[2 * i]);
    start.push({ x: s, plus: 0 });
    end.push(fixed ? { x: s, plus: model.least[i] } : { x: engine.newVar(low[2 * i + 1], high[2 * i + 1]), plus: 0 });
  }
  const momentOf = (node) => node & 1 ? end[node >> 1] : start[node >> 1];
  const arc = (from, to, weight, when = -1) => {
    const w = weight + from.plus - to.plus;
    if (from.x !== to.x) engine.addArc(2 * from.x, 2 * to.x, w, when);
    else if (w > 0) {
      if (when < 0) engine.broken = true;
      else engine.addClause([when ^ 1, 0]);
    }
  };
  for (let node = 0; node < 2 * model.n; node++)
    for (let a = model.arcStart[node]; a < model.arcStart[node + 1]; a++)
      arc(momentOf(node), momentOf(model.arcTo[a]), model.arcWeight[a]);
  const taken = model.uses.map(
    (uses, i) => uses.map((use, u) => {
      if (use.resources.length < 2) return [];
      const choice = Array.from(use.resources, () => engine.newVar(0, 1));
      engine.addClause(choice.flatMap((x) => [2 * x, 1]));
      for (let a = 0; a < choice.length; a++)
        for (let b = a + 1; b < choice.length; b++) engine.addClause([2 * choice[a] + 1, 0, 2 * choice[b] + 1, 0]);
      if (model.durationOf[i] === u && model.least[i] < model.most[i])
        choice.forEach((x, c) => {
          const length = model.durations[i][c];
          arc(start[i], end[i], length, 2 * x);
          arc(end[i], start[i], -length, 2 * x);
        });
      return choice;
    })
  );
  const demands = Array.from({ length: model.resourceCount }, () => []);
  const loads = Array.from({ length: model.resourceCount }, () => []);
  const shared = /* @__PURE__ */ new Map();
  model.uses.forEach(
    (uses, i) => uses.forEach((use, u) => {
      use.resources.forEach((r, c) => {
        const x = taken[i][u].length > 0 ? taken[i][u][c] : -1;
        if (use.chamber) {
          loads[r].push({ task: i, start: start[i], end: end[i], use, taken: x });
          return;
        }
        const demand2 = demandOf(model, i, use, c, start[i], end[i], x);
        if (demand2) demands[r].push(demand2);
      });
      if (use.chamber || use.resources.length < 2) return;
      const key = [...use.resources].sort((a, b) => a - b).join();
      const pool = shared.get(key) ?? { resources: use.resources, demands: [] };
      shared.set(key, pool);
      const shortest = use.minutes.length > 0 ? use.minutes.indexOf(Math.min(...use.minutes)) : 0;
      const demand = demandOf(model, i, use, shortest, start[i], end[i], -1);
      if (demand) pool.demands.push(demand);
    })
  );
  demands.forEach((list, r) => {
    if (list.length === 0) return;
    addPool(engine, list, model.units[r]);
    const sure = list.filter((d) => d.taken < 0);
    if (Math.max(...model.units[r]) === 1 && sure.length > 1 && sure.length <= PAIRED) addPairs(engine, sure);
  });
  const pools = [...shared.values()];
  for (const pool of pools) {
    const within = pools.filter((other) => other !== pool && [...other.resources].every((r) => pool.resources.includes(r)));
    const single = [...pool.resources].flatMap((r) => demands[r].filter((d) => d.taken < 0));
    const all = [...pool.demands, ...within.flatMap((other) => other.demands), ...single];
    const units = new Int32Array(model.horizon + 1);
    for (const r of pool.resources) for (let t = 0; t <= model.horizon; t++) units[t] += model.units[r][t];
    addPool(engine, all, units);
  }
  model.chambers.forEach((chamber, r) => {
    if (chamber && loads[r].length > 0) addChamber(engine, chamber, loads[r], arc, model.horizon);
  });
  const objective = new Objective(termsOf(model, engine, start, end, arc), engine);
  engine.addPropagator(objective, objective.watched());
  return { engine, objective, start, end, taken, loads };
}
function demandOf(model, i, use, c, start, end, taken) {
  if (use.from === NO_PART) {
    if (model.most[i] === 0) return void 0;
    return {
      start: start.x,
      startOffset: start.plus,
      end: end.x,
      endOffset: end.plus,
      amount: use.amount,
      least: model.least[i],
      taken
    };
  }
  const minutes2 = use.minutes[c];
  if (minutes2 === 0) return void 0;
  const anchor = use.from >= 0 ? start : end;
  const from = anchor.plus + use.from;
  return {
    start: anchor.x,
    startOffset: from,
    end: anchor.x,
    endOffset: from + minutes2,
    amount: use.amount,
    least: minutes2,
    taken
  };
}
function addPool(engine, demands, units) {
  const capacity = Math.max(0, ...units);
  const missing = units.map((n) => capacity - n);
  missing[missing.length - 1] = capacity;
  const everFull = demands.reduce((sum, d) => sum + d.amount, 0) > Math.min(...units.subarray(0, units.length - 1));
  if (!everFull) return;
  const pool = new Cumulative(demands, capacity, missing);
  engine.addPropagator(pool, pool.watched());
}
function addPairs(engine, list) {
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++) {
      const [p, q] = [list[a], list[b]];
      if (p.start === q.start || p.end === q.end || p.start === q.end || p.end === q.start) continue;
      const before2 = engine.newVar(0, 1);
      engine.addArc(2 * p.end, 2 * q.start, p.endOffset - q.startOffset, 2 * before2);
      const after = engine.newVar(0, 1);
      engine.addClause([2 * before2, 1, 2 * after, 1]);
      engine.addClause([2 * before2 + 1, 0, 2 * after + 1, 0]);
      engine.addArc(2 * q.end, 2 * p.start, q.endOffset - p.startOffset, 2 * after);
    }
}
function termsOf(model, engine, start, end, arc) {
  const terms = [];
  for (let i = 0; i < model.n; i++) {
    const { x, plus } = end[i];
    if (model.early[i] > 0) {
      const early = engine.newVar(0, Math.max(0, model.due[i]));
      engine.addArc(2 * x + 1, 2 * early, model.due[i] - plus);
      terms.push({ cost: model.early[i], node: 2 * early, minus: -1, base: 0 });
    }
    if (model.late[i] > 0) {
      const late = engine.newVar(0, Math.max(0, model.horizon - model.due[i]));
      engine.addArc(2 * x, 2 * late, plus - model.due[i]);
      terms.push({ cost: model.late[i], node: 2 * late, minus: -1, base: 0 });
    }
    if (model.stretch[i] > 0 && model.most[i] > model.least[i])
      terms.push({ cost: model.stretch[i], node: 2 * x, minus: 2 * start[i].x + 1, base: model.least[i] });
  }
  if (model.n === 0 || model.makespan === 0 && model.span === 0) return terms;
  const last = { x: engine.newVar(0, model.horizon), plus: 0 };
  for (const e of end) arc(e, last, 0);
  if (model.makespan > 0) terms.push({ cost: model.makespan, node: 2 * last.x, minus: -1, base: 0 });
  if (model.span > 0) {
    const first = { x: engine.newVar(0, model.horizon), plus: 0 };
    for (const s of start) arc(first, s, 0);
    terms.push({ cost: model.span, node: 2 * last.x, minus: 2 * first.x + 1, base: 0 });
  }
  return terms;
}

// src/core/schedule/learning/learning-search.ts
var RESTART = 120;
var LearningSearch = class {
  constructor(model, low, high, chance) {
    this.model = model;
    this.chance = chance;
    this.built = build(model, low, high);
    const { vars } = this.built.engine;
    this.phase = new Int32Array(vars);
    this.hasPhase = new Uint8Array(vars);
    this.owner = new Int32Array(vars).fill(-1);
    for (let i = 0; i < model.n; i++) this.owner[this.built.start[i].x] = this.owner[this.built.end[i].x] = i;
  }
  built;
  /** Value that each variable had last, followed when it is decided again. */
  phase;
  hasPhase;
  /** Task whose start or end a variable is, −1 for choices, orders and sums. */
  owner;
  /** True when it is proven that there is no schedule at all. */
  get exhausted() {
    return this.built.engine.broken;
  }
  /** Cost that no schedule goes below, as far as it is proven. */
  get bound() {
    return this.built.objective.proven(this.built.engine);
  }
  run(options) {
    const { engine, objective } = this.built;
    engine.backTo(0);
    if (!this.tidy()) return { kind: "none" };
    if (options.like) this.follow(options.like);
    const target = options.target === void 0 ? [] : objective.atMost(options.target);
    const kept = options.keep && options.like ? this.assumptions(options.like, options.keep) : [];
    const stopAt = engine.conflicts + options.conflicts;
    for (let round = 1; ; round++) {
      const outcome = this.round(options, target, kept, Math.min(stopAt, engine.conflicts + RESTART * luby(round)));
      engine.backTo(0);
      if (outcome) return outcome;
      if (engine.conflicts >= stopAt || options.spent()) return { kind: "stopped" };
      if (!this.tidy()) return { kind: "none" };
    }
  }
  /** At the root: draws what follows there and forgets what is of little use. False: there is no schedule. */
  tidy() {
    const { engine } = this.built;
    if (engine.broken || !engine.propagate()) {
      engine.broken = true;
      return false;
    }
    engine.settle();
    if (engine.learnedCount() <= 4e3 + 40 * this.model.n) return true;
    engine.forget();
    if (!engine.broken && engine.propagate()) return true;
    engine.broken = true;
    return false;
  }
  /** Searches until a schedule, a proof or the number of conflicts; undefined for the last. */
  round(options, target, kept, stopAt) {
    const { engine } = this.built;
    const supposed = [target, kept].filter((literals) => literals.length > 0);
    const byActivity = this.chance.below(2) === 0;
    let good = true;
    for (let steps = 0; ; steps++) {
      if (!good || !engine.propagate()) {
        good = true;
        const level = engine.conflictLevel();
        if (level === 0) engine.broken = true;
        if (level === 0 || kept.length > 0 && level === supposed.length) return { kind: "none" };
        this.remember();
        if (!engine.learn()) return { kind: "none" };
        if (engine.conflicts >= stopAt) return void 0;
        if ((engine.conflicts & 31) === 0 && options.spent()) return void 0;
        continue;
      }
      if ((steps & 255) === 255 && options.spent()) return void 0;
      if (engine.level < supposed.length) {
        if (!engine.suppose(supposed[engine.level])) return { kind: "none" };
        continue;
      }
      const x = this.pick(options, byActivity);
      if (x >= 0) {
        this.branch(x, options);
        continue;
      }
      if (this.leavesNoRecovery()) {
        good = false;
        continue;
      }
      return { kind: "found", schedule: this.read() };
    }
  }
  /** Every task that is kept stays at its times and with its choices. */
  assumptions(like, keep) {
    const { start, end, taken } = this.built;
    const out = [];
    const fix = (x, value) => out.push(2 * x, value, 2 * x + 1, -value);
    for (let i = 0; i < this.model.n; i++) {
      if (!keep(i)) continue;
      fix(start[i].x, like.starts[i] - start[i].plus);
      if (end[i].x !== start[i].x) fix(end[i].x, like.ends[i] - end[i].plus);
      taken[i].forEach((choice, u) => choice.length > 0 && out.push(2 * choice[like.choices[i][u]], 1));
    }
    return out;
  }
  follow(like) {
    const { start, end, taken } = this.built;
    const set = (x, value) => {
      this.phase[x] = value;
      this.hasPhase[x] = 1;
    };
    this.hasPhase.fill(0);
    for (let i = 0; i < this.model.n; i++) {
      if (like.starts[i] < 0) continue;
      set(start[i].x, like.starts[i] - start[i].plus);
      set(end[i].x, like.ends[i] - end[i].plus);
      taken[i].forEach((choice, u) => choice.forEach((x, c) => set(x, like.choices[i][u] === c ? 1 : 0)));
    }
  }
  /** Values at a dead end, to be followed again: most of what was decided was not what failed. */
  remember() {
    const { engine } = this.built;
    for (let x = 0; x < this.phase.length; x++)
      if (engine.isFixed(x)) {
        this.phase[x] = engine.lo(x);
        this.hasPhase[x] = 1;
      }
  }
  pick(options, byActivity) {
    const { engine } = this.built;
    if (byActivity && engine.conflicts > 0) return this.pickByActivity();
    return this.pickByTime(options);
  }
  /** The open task whose turn it is: the earliest of those that go early, else the latest of those that go late. */
  pickByTime(options) {
    const { engine, start, end, taken } = this.built;
    let best = -1;
    let bestKey = Infinity;
    for (let i = 0; i < this.model.n; i++) {
      const s = start[i].x;
      const e = end[i].x;
      const open = !engine.isFixed(s) || !engine.isFixed(e);
      if (!open) {
        for (const choice of taken[i]) for (const x of choice) if (!engine.isFixed(x)) return x;
        continue;
      }
      const late = options.late(i);
      const key = late ? this.model.horizon - (engine.hi(e) + end[i].plus) + engine.hi(s) - engine.lo(s) : engine.lo(s) + start[i].plus + 1e-3 * engine.hi(s);
      if (key < bestKey) {
        bestKey = key;
        best = late ? engine.isFixed(e) ? s : e : engine.isFixed(s) ? e : s;
      }
    }
    return best >= 0 ? best : this.pickByActivity();
  }
  /** The open variable that had a part in most of the recent dead ends; −1 when all are settled. */
  pickByActivity() {
    const { engine } = this.built;
    const { lb, activity } = engine;
    let best = -1;
    let most = -1;
    for (let x = 0; x < this.phase.length; x++)
      if (activity[x] > most && lb[2 * x] + lb[2 * x + 1] < 0) {
        most = activity[x];
        best = x;
      }
    return best;
  }
  branch(x, options) {
    const { engine } = this.built;
    const lo = engine.lo(x);
    const hi = engine.hi(x);
    const task = this.owner[x];
    const wanted = this.hasPhase[x] ? this.phase[x] : task >= 0 && options.late(task) ? hi : lo;
    if (wanted <= lo) engine.decide(2 * x + 1, -lo);
    else engine.decide(2 * x, Math.min(hi, wanted));
  }
  /** Whether the whole schedule at hand leaves a chamber no time to recover; the conflict is then set. */
  leavesNoRecovery() {
    const { engine, loads } = this.built;
    for (let r = 0; r < loads.length; r++) {
      const recovery = this.model.chambers[r]?.recovery ?? 0;
      if (recovery === 0) continue;
      const inside2 = loads[r].filter((load) => load.taken < 0 || engine.lo(load.taken) === 1);
      const at = (moment) => engine.lo(moment.x) + moment.plus;
      if (!breaksRecovery(
        inside2.map((load) => [at(load.start), at(load.end)]),
        recovery
      ))
        continue;
      const why = inside2.flatMap((load) => [
        ...[load.start.x, load.end.x].flatMap((x) => [2 * x, engine.lo(x), 2 * x + 1, -engine.lo(x)]),
        ...load.taken >= 0 ? [2 * load.taken, 1] : []
      ]);
      for (const load of loads[r]) if (load.taken >= 0 && engine.lo(load.taken) === 0) why.push(2 * load.taken + 1, 0);
      engine.fail(why);
      return true;
    }
    return false;
  }
  read() {
    const { engine, start, end, taken } = this.built;
    const at = (moment) => engine.lo(moment.x) + moment.plus;
    const starts = Int32Array.from(start, at);
    const ends = Int32Array.from(end, at);
    const choices = taken.map(
      (uses) => Int32Array.from(
        uses,
        (choice) => Math.max(
          0,
          choice.findIndex((x) => engine.lo(x) === 1)
        )
      )
    );
    return { starts, ends, choices, cost: costOf(this.model, starts, ends) };
  }
};
function luby(i) {
  let k = 1;
  while ((1 << k) - 1 < i) k++;
  return (1 << k) - 1 === i ? 1 << k - 1 : luby(i - (1 << k - 1) + 1);
}

// src/core/schedule/neighbourhood.ts
function freeAround(model, current, freed, trouble, chance) {
  const open = [];
  for (let i = 0; i < model.n; i++) if (current.starts[i] < 0) open.push(i);
  let seed = open[chance.below(open.length)];
  for (let k = 0; k < 2; k++) {
    const other = open[chance.below(open.length)];
    if (trouble[other] > trouble[seed]) seed = other;
  }
  const size = 6 + chance.below(40);
  const kind = chance.below(3);
  let around = 0;
  let known = 0;
  for (let i = 0; i < model.n; i++)
    if (current.starts[i] >= 0 && (model.cluster[i] === model.cluster[seed] || model.neighbours[seed].includes(i))) {
      around += current.starts[i];
      known++;
    }
  const middle = known > 0 ? around / known : (model.lo0[2 * seed] + model.hi0[2 * seed]) / 2;
  const wanted = new Set(model.uses[seed].flatMap((use) => Array.from(use.resources)));
  const near = Array.from({ length: model.n }, (_, i) => i).filter((i) => current.starts[i] >= 0).filter((i) => kind !== 1 || model.uses[i].some((use) => use.resources.some((r) => wanted.has(r)))).sort((a, b) => Math.abs(current.starts[a] - middle) - Math.abs(current.starts[b] - middle) || a - b);
  if (kind === 0) {
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === model.cluster[seed]) freed[i] = 1;
    const other = model.cluster[near.length > 0 ? near[chance.below(near.length)] : seed];
    for (let i = 0; i < model.n; i++) if (model.cluster[i] === other) freed[i] = 1;
  }
  for (let k = 0; k < Math.min(size, near.length); k++) freed[near[k]] = 1;
}
function freeSome(model, current, freed, size, chance) {
  const { n } = model;
  if (size >= n) {
    freed.fill(1);
    return;
  }
  const seed = chance.below(2) === 0 ? chance.below(n) : costly(model, current, chance);
  let count2 = 0;
  const free = (i) => {
    if (!freed[i]) {
      freed[i] = 1;
      count2++;
    }
  };
  free(seed);
  const kind = chance.below(4);
  if (kind === 0) {
    const middle = current.starts[seed];
    const near = Array.from({ length: n }, (_, i) => i).sort(
      (a, b) => Math.abs(current.starts[a] - middle) - Math.abs(current.starts[b] - middle) || a - b
    );
    for (let k = 0; k < n && count2 < size; k++) free(near[k]);
    return;
  }
  if (kind === 1) {
    const wanted = model.uses[seed].length > 0 ? model.uses[seed][chance.below(model.uses[seed].length)].resources : new Int32Array(0);
    const near = Array.from({ length: n }, (_, i) => i).filter((i) => model.uses[i].some((use) => use.resources.some((r) => wanted.includes(r)))).sort(
      (a, b) => Math.abs(current.starts[a] - current.starts[seed]) - Math.abs(current.starts[b] - current.starts[seed]) || a - b
    );
    for (let k = 0; k < near.length && count2 < size; k++) free(near[k]);
  }
  const queue = Array.from({ length: n }, (_, i) => i).filter((i) => freed[i]);
  const target = kind === 1 ? Math.min(n, size + 6) : size;
  for (let k = 0; k < queue.length && count2 < target; k++)
    for (const next of model.neighbours[queue[k]])
      if (count2 < target && !freed[next]) {
        free(next);
        queue.push(next);
      }
}
var DRAWN = 8;
function costly(model, { starts, ends }, chance) {
  const { due, early, late, stretch, least } = model;
  let pick = chance.below(model.n);
  let most = 0;
  for (let k = 0; k < DRAWN; k++) {
    const i = chance.below(model.n);
    const off = ends[i] < due[i] ? early[i] * (due[i] - ends[i]) : ends[i] > due[i] ? late[i] * (ends[i] - due[i]) : 0;
    const cost2 = off + stretch[i] * (ends[i] - starts[i] - least[i]);
    if (cost2 <= most) continue;
    most = cost2;
    pick = i;
  }
  return pick;
}

// src/core/schedule/jobshop/shop.ts
function shopOf(model) {
  const { n, least, most, due, early, late } = model;
  if (model.span > 0 || model.makespan <= 0 || n === 0) return void 0;
  const machine = new Int32Array(n).fill(-1);
  const before2 = Array.from({ length: n }, () => []);
  const after = Array.from({ length: n }, () => []);
  for (let i = 0; i < n; i++) {
    if (least[i] !== most[i] || least[i] < 1 || model.durationOf[i] >= 0 || model.uses[i].length > 1) return void 0;
    if (!Number.isNaN(due[i]) && (early[i] > 0 || late[i] > 0)) return void 0;
    if (model.hi0[2 * i + 1] < model.horizon) return void 0;
    for (const use of model.uses[i]) {
      if (use.chamber || use.from !== NO_PART || use.resources.length !== 1) return void 0;
      const units = model.units[use.resources[0]];
      if (use.amount < 1 || units.some((u) => u < use.amount || u >= 2 * use.amount)) return void 0;
      machine[i] = use.resources[0];
    }
    for (let a = model.arcStart[2 * i + 1]; a < model.arcStart[2 * i + 2]; a++) {
      const to = model.arcTo[a];
      if (to >> 1 === i) continue;
      if ((to & 1) !== 0 || model.arcWeight[a] < 0) return void 0;
      after[i].push({ task: to >> 1, lag: model.arcWeight[a] });
      before2[to >> 1].push({ task: i, lag: model.arcWeight[a] });
    }
    for (let a = model.arcStart[2 * i]; a < model.arcStart[2 * i + 1]; a++) if (model.arcTo[a] >> 1 !== i) return void 0;
  }
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++)
      if (machine[i] >= 0 && machine[i] === machine[j] && model.uses[i][0].amount !== model.uses[j][0].amount) return void 0;
  const release = Int32Array.from({ length: n }, (_, i) => model.lo0[2 * i]);
  return { n, length: least, release, machine, machines: model.resourceCount, before: before2, after };
}
function headsAndTails(shop) {
  const { n, length, before: before2, after } = shop;
  const head = shop.release.slice();
  const tail = new Int32Array(n);
  const open = Int32Array.from(before2, (links) => links.length);
  const order = [];
  for (let i = 0; i < n; i++) if (open[i] === 0) order.push(i);
  for (let k = 0; k < order.length; k++)
    for (const { task, lag } of after[order[k]]) {
      head[task] = Math.max(head[task], head[order[k]] + length[order[k]] + lag);
      if (--open[task] === 0) order.push(task);
    }
  for (let k = order.length - 1; k >= 0; k--)
    for (const { task, lag } of after[order[k]]) tail[order[k]] = Math.max(tail[order[k]], lag + length[task] + tail[task]);
  return { head, tail };
}
function shopBound(shop) {
  const { head, tail } = headsAndTails(shop);
  let bound = 0;
  for (let i = 0; i < shop.n; i++) bound = Math.max(bound, head[i] + shop.length[i] + tail[i]);
  for (let m = 0; m < shop.machines; m++) {
    const tasks = Array.from({ length: shop.n }, (_, i) => i).filter((i) => shop.machine[i] === m);
    bound = Math.max(bound, preemptive(tasks, head, shop.length, tail));
  }
  return bound;
}
function preemptive(tasks, head, length, tail) {
  const waiting = [...tasks].sort((a, b) => head[a] - head[b]);
  const left = new Map(tasks.map((i) => [i, length[i]]));
  const ready = [];
  let next = 0;
  let now = 0;
  let end = 0;
  while (next < waiting.length || ready.length > 0) {
    if (ready.length === 0) now = Math.max(now, head[waiting[next]]);
    while (next < waiting.length && head[waiting[next]] <= now) ready.push(waiting[next++]);
    const task = ready.reduce((best, i) => tail[i] > tail[best] ? i : best);
    const until = next < waiting.length ? Math.min(now + left.get(task), head[waiting[next]]) : now + left.get(task);
    left.set(task, left.get(task) - (until - now));
    now = until;
    if (left.get(task) === 0) {
      ready.splice(ready.indexOf(task), 1);
      end = Math.max(end, now + tail[task]);
    }
  }
  return end;
}

// src/core/schedule/learning/piece.ts
function pieceOf(model, schedule, freed, low, high, reach2) {
  const tasks = [];
  const place = new Int32Array(model.n).fill(-1);
  for (let i = 0; i < model.n; i++) if (freed[i]) place[i] = tasks.push(i) - 1;
  const at = (node) => (node & 1 ? schedule.ends : schedule.starts)[node >> 1];
  const lo0 = new Int32Array(2 * tasks.length);
  const hi0 = new Int32Array(2 * tasks.length);
  const arcs = [];
  tasks.forEach((i, k) => {
    for (const side of [0, 1]) {
      const node = 2 * i + side;
      const own = 2 * k + side;
      lo0[own] = Math.max(low[node], at(node) - reach2);
      hi0[own] = Math.min(high[node], at(node) + reach2);
      for (let a = model.arcStart[node]; a < model.arcStart[node + 1]; a++) {
        const to2 = model.arcTo[a];
        if (place[to2 >> 1] >= 0) arcs.push(own, 2 * place[to2 >> 1] + (to2 & 1), model.arcWeight[a]);
        else hi0[own] = Math.min(hi0[own], at(to2) - model.arcWeight[a]);
      }
      for (let a = model.backStart[node]; a < model.backStart[node + 1]; a++) {
        const other = model.backFrom[a];
        if (place[other >> 1] < 0) lo0[own] = Math.max(lo0[own], at(other) + model.backWeight[a]);
      }
    }
  });
  const draft = { ...part(model, tasks), n: tasks.length, lo0, hi0, ...rows2(2 * tasks.length, arcs) };
  const windows = new Windows(draft);
  if (!windows.propagateAll()) return void 0;
  let from = Math.min(...windows.lo);
  let to = Math.max(...windows.hi);
  const loads = loadsNear(model, schedule, place, tasks, from, to);
  for (const { task } of loads) {
    from = Math.min(from, schedule.starts[task]);
    to = Math.max(to, schedule.ends[task]);
  }
  const ends = model.span > 0 || model.makespan > 0 ? endsOfRest(schedule, place, from, to) : [];
  const still = [...loads.map(({ task }) => [schedule.starts[task], schedule.ends[task]]), ...ends.map((t) => [t, t])];
  const n = tasks.length + still.length;
  const starts = new Int32Array(n);
  const finish = new Int32Array(n);
  const lengths = new Int32Array(n);
  const low1 = new Int32Array(2 * n);
  const high1 = new Int32Array(2 * n);
  tasks.forEach((i, k) => {
    starts[k] = schedule.starts[i] - from;
    finish[k] = schedule.ends[i] - from;
    const warm = warmUp(model, i);
    for (const side of [0, 1]) {
      low1[2 * k + side] = windows.lo[2 * k + side] - from;
      high1[2 * k + side] = windows.hi[2 * k + side] - from;
    }
    low1[2 * k] = Math.max(low1[2 * k], warm - from);
  });
  still.forEach(([s, e], j) => {
    const k = tasks.length + j;
    starts[k] = low1[2 * k] = high1[2 * k] = s - from;
    finish[k] = low1[2 * k + 1] = high1[2 * k + 1] = e - from;
    lengths[k] = e - s;
  });
  for (let node = 0; node < 2 * n; node++) if (low1[node] > high1[node]) return void 0;
  const inner = part(model, tasks);
  const padded = (own, rest) => [...own, ...rest];
  const grown2 = (own, value) => Float64Array.from({ length: n }, (_, k) => own[k] ?? value);
  const stillUses = [...loads.map(({ use }) => [use]), ...ends.map(() => [])];
  const sub = {
    ...inner,
    n,
    horizon: to - from,
    least: Int32Array.from({ length: n }, (_, k) => inner.least[k] ?? lengths[k]),
    most: Int32Array.from({ length: n }, (_, k) => inner.most[k] ?? lengths[k]),
    durationOf: Int32Array.from({ length: n }, (_, k) => inner.durationOf[k] ?? -1),
    durations: padded(inner.durations, still.map(() => new Int32Array(0))),
    uses: padded(inner.uses, stillUses),
    due: grown2(inner.due, NaN).map((d) => d - from),
    early: grown2(inner.early, 0),
    late: grown2(inner.late, 0),
    stretch: grown2(inner.stretch, 0),
    lo0: low1,
    hi0: high1,
    ...rows2(2 * n, arcs),
    units: unitsLeft(model, schedule, place, tasks, from, to),
    // Warm-up is in the bounds already.
    chambers: model.chambers.map((chamber) => chamber && { ...chamber, start: Infinity })
  };
  const choices = padded(
    tasks.map((i) => schedule.choices[i]),
    stillUses.map((uses) => new Int32Array(uses.length))
  );
  return { model: sub, low: low1, high: high1, like: { starts, ends: finish, choices, cost: 0 }, from, tasks };
}
function part(model, tasks) {
  const pick = (of) => tasks.map((i) => of[i]);
  const whole = (of) => Int32Array.from(tasks, (i) => of[i]);
  const real = (of) => Float64Array.from(tasks, (i) => of[i]);
  return {
    ...model,
    ids: [],
    least: whole(model.least),
    most: whole(model.most),
    durationOf: whole(model.durationOf),
    durations: pick(model.durations),
    uses: pick(model.uses),
    entangled: [],
    due: real(model.due),
    early: real(model.early),
    late: real(model.late),
    stretch: real(model.stretch),
    cluster: new Int32Array(0),
    neighbours: [],
    tiedAfter: [],
    tiedBefore: []
  };
}
function rows2(nodes, arcs) {
  const count2 = arcs.length / 3;
  const side = (end) => {
    const start = new Int32Array(nodes + 1);
    for (let a = 0; a < count2; a++) start[arcs[3 * a + end] + 1]++;
    for (let v = 0; v < nodes; v++) start[v + 1] += start[v];
    const next = start.slice();
    const other = new Int32Array(count2);
    const weight = new Int32Array(count2);
    for (let a = 0; a < count2; a++) {
      const k = next[arcs[3 * a + end]]++;
      other[k] = arcs[3 * a + 1 - end];
      weight[k] = arcs[3 * a + 2];
    }
    return { start, other, weight };
  };
  const out = side(0);
  const into = side(1);
  return {
    arcStart: out.start,
    arcTo: out.other,
    arcWeight: out.weight,
    backStart: into.start,
    backFrom: into.other,
    backWeight: into.weight
  };
}
function warmUp(model, task) {
  let warm = 0;
  for (const use of model.uses[task])
    for (const r of use.resources) {
      const chamber = model.chambers[r];
      if (chamber) warm = Math.max(warm, Math.ceil((use.setting - chamber.start) / chamber.heat));
    }
  return warm;
}
function loadsNear(model, schedule, place, tasks, from, to) {
  const near = new Float64Array(model.resourceCount).fill(-1);
  for (const i of tasks)
    for (const use of model.uses[i]) if (use.chamber) for (const r of use.resources) near[r] = 0;
  if (near.every((m) => m < 0)) return [];
  const settings = model.chambers.map(() => [Infinity, -Infinity]);
  for (const uses of model.uses)
    for (const use of uses)
      if (use.chamber)
        for (const r of use.resources)
          settings[r] = [Math.min(settings[r][0], use.setting), Math.max(settings[r][1], use.setting)];
  model.chambers.forEach((chamber, r) => {
    if (!chamber || near[r] < 0) return;
    const [coldest, hottest] = settings[r];
    near[r] = Math.max(chamber.recovery, Math.ceil((hottest - coldest) / Math.min(chamber.heat, chamber.cool)));
  });
  const loads = [];
  for (let i = 0; i < model.n; i++) {
    if (place[i] >= 0) continue;
    model.uses[i].forEach((use, u) => {
      const r = use.resources[schedule.choices[i][u]];
      if (!use.chamber || near[r] < 0) return;
      if (schedule.starts[i] < to + near[r] && schedule.ends[i] + near[r] > from)
        loads.push({ task: i, use: { ...use, resources: Int32Array.of(r) } });
    });
  }
  return loads;
}
function endsOfRest(schedule, place, from, to) {
  let first = Infinity;
  let last = -Infinity;
  for (let i = 0; i < place.length; i++) {
    if (place[i] >= 0) continue;
    first = Math.min(first, schedule.starts[i]);
    last = Math.max(last, schedule.ends[i]);
  }
  if (last < first) return [];
  const inside2 = (t) => Math.min(to, Math.max(from, t));
  return [inside2(first), inside2(last)];
}
function unitsLeft(model, schedule, place, tasks, from, to) {
  const left = model.units.map(() => void 0);
  for (const i of tasks)
    for (const use of model.uses[i]) for (const r of use.resources) left[r] ??= model.units[r]?.slice(from, to + 1);
  for (let i = 0; i < model.n; i++) {
    if (place[i] >= 0 || schedule.ends[i] <= from || schedule.starts[i] >= to) continue;
    model.uses[i].forEach((use, u) => {
      const choice = schedule.choices[i][u];
      const row = left[use.resources[choice]];
      if (!row) return;
      const whole = use.from === NO_PART;
      const begin = whole ? schedule.starts[i] : (use.from >= 0 ? schedule.starts[i] : schedule.ends[i]) + use.from;
      const end = whole ? schedule.ends[i] : begin + use.minutes[choice];
      for (let m = Math.max(begin, from); m < Math.min(end, to); m++) row[m - from] -= use.amount;
    });
  }
  return left;
}

// src/core/schedule/timing/order.ts
var Orders = class {
  /** @param low least value of each start and end in any schedule; `high`: the greatest */
  constructor(model, low, high) {
    this.model = model;
    this.low = low;
    this.high = high;
    const { n, arcStart, arcTo, arcWeight } = model;
    const own = [];
    for (let node = 0; node < 2 * n; node++)
      for (let a = arcStart[node]; a < arcStart[node + 1]; a++) own.push(node, arcTo[a], arcWeight[a]);
    for (let i = 0; i < n; i++) own.push(2 * n, 2 * i, 0, 2 * i + 1, 2 * n + 1, 0);
    this.own = Int32Array.from(own);
    this.hours = model.units.map((units) => units && hoursOf(units));
  }
  own;
  hours;
  of(schedule) {
    const { model } = this;
    const { n } = model;
    const nodes = 2 * n + 2;
    const lo = new Int32Array(nodes);
    const hi = new Int32Array(nodes).fill(model.horizon);
    lo.set(this.low.subarray(0, 2 * n));
    hi.set(this.high.subarray(0, 2 * n));
    const arcs = [];
    for (let i = 0; i < n; i++)
      if (model.durationOf[i] >= 0) rigid(arcs, 2 * i, 2 * i + 1, schedule.ends[i] - schedule.starts[i]);
    const parts = Array.from({ length: model.resourceCount }, () => []);
    for (let i = 0; i < n; i++)
      model.uses[i].forEach((use, u) => {
        const part2 = partOf(schedule, i, use, schedule.choices[i][u]);
        const grows = use.from === NO_PART && model.most[i] > model.least[i];
        if ((part2.end > part2.start || grows) && part2.amount > 0) parts[use.resources[schedule.choices[i][u]]].push(part2);
      });
    parts.forEach((list, r) => {
      list.sort((a, b) => a.start - b.start || a.end - b.end || a.task - b.task);
      const chamber = model.chambers[r];
      if (chamber) chamberOrder(arcs, lo, list, chamber);
      else poolOrder(arcs, lo, hi, list, this.hours[r]);
    });
    const own = this.own.length / 3;
    const count2 = own + arcs.length / 3;
    const order = { nodes, own, lo, hi, from: new Int32Array(count2), to: new Int32Array(count2), weight: new Int32Array(count2) };
    for (let a = 0; a < count2; a++) {
      const source = a < own ? this.own : arcs;
      const k = 3 * (a < own ? a : a - own);
      order.from[a] = source[k];
      order.to[a] = source[k + 1];
      order.weight[a] = source[k + 2];
    }
    return order;
  }
};
function hoursOf(units) {
  const from = new Int32Array(units.length);
  const until = new Int32Array(units.length);
  for (let m = 1; m < units.length; m++) from[m] = units[m] === units[m - 1] ? from[m - 1] : m;
  for (let m = units.length - 1; m >= 0; m--) until[m] = units[m] === units[m + 1] ? until[m + 1] : m + 1;
  return { units, from, until };
}
function rigid(arcs, a, b, distance) {
  arcs.push(a, b, distance, b, a, -distance);
}
function partOf(schedule, task, use, choice) {
  const s = 2 * task;
  const start = schedule.starts[task];
  const end = schedule.ends[task];
  const whole = use.from === NO_PART;
  const atStart = whole || use.from >= 0;
  const plus = whole ? 0 : use.from;
  const minutes2 = whole ? 0 : use.minutes[choice];
  const from = (atStart ? start : end) + plus;
  return {
    task,
    use,
    amount: use.amount,
    startNode: atStart ? s : s + 1,
    startPlus: plus,
    endNode: whole || !atStart ? s + 1 : s,
    endPlus: plus + minutes2,
    start: from,
    end: whole ? end : from + minutes2
  };
}
var before = (arcs, a, b, gap = 0) => {
  const weight = a.endPlus + gap - b.startPlus;
  if (a.endNode !== b.startNode) arcs.push(a.endNode, b.startNode, weight);
};
function poolOrder(arcs, lo, hi, parts, hours) {
  const { units, from, until } = hours;
  const stretches = /* @__PURE__ */ new Map();
  const join = (stretch, part2) => {
    const list = stretches.get(stretch);
    if (list) list.push(part2);
    else stretches.set(stretch, [part2]);
  };
  for (const part2 of parts) {
    const minute = Math.min(part2.start, units.length - 1);
    if (until[minute] < part2.end) {
      lo[part2.startNode] = hi[part2.startNode] = part2.start - part2.startPlus;
      lo[part2.endNode] = hi[part2.endNode] = part2.end - part2.endPlus;
      for (let m = minute; m < part2.end; m = until[m]) join(from[m], part2);
      continue;
    }
    if (from[minute] > 0) lo[part2.startNode] = Math.max(lo[part2.startNode], from[minute] - part2.startPlus);
    if (until[minute] < units.length) hi[part2.endNode] = Math.min(hi[part2.endNode], until[minute] - part2.endPlus);
    join(from[minute], part2);
  }
  for (const [stretch, list] of stretches) handOn(arcs, list, units[stretch]);
}
function handOn(arcs, parts, units) {
  if (parts.reduce((sum, part2) => sum + part2.amount, 0) <= units) return;
  const held = [{ amount: units, last: void 0, until: -1 }];
  for (const part2 of parts) {
    if (part2.end === part2.start) {
      const idle = held.reduce((sum, chunk) => sum + (chunk.until <= part2.start ? chunk.amount : 0), 0);
      if (idle < part2.amount) {
        rigid(arcs, part2.startNode, part2.endNode, 0);
        continue;
      }
    }
    let need = part2.amount;
    while (need > 0) {
      let pick = -1;
      for (let k = 0; k < held.length; k++)
        if (held[k].until <= part2.start && (pick < 0 || held[k].until < held[pick].until)) pick = k;
      if (pick < 0) return;
      const chunk = held[pick];
      const taken = Math.min(need, chunk.amount);
      if (chunk.last) before(arcs, chunk.last, part2);
      need -= taken;
      if (taken === chunk.amount) held.splice(pick, 1);
      else chunk.amount -= taken;
      held.push({ amount: taken, last: part2, until: part2.end });
    }
  }
}
function chamberOrder(arcs, lo, loads, chamber) {
  for (const load of loads)
    lo[load.startNode] = Math.max(lo[load.startNode], Math.ceil((load.use.setting - chamber.start) / chamber.heat));
  if (chamber.ranked) {
    for (let k = 1; k < loads.length; k++)
      if (loads[k].use.rank !== loads[k - 1].use.rank) arcs.push(loads[k - 1].startNode, loads[k].startNode, 0);
  }
  const close = chamber.recovery > 0 || loads.some((load) => load.use.sealed > 0);
  let previous = [];
  for (let k = 0; k < loads.length; ) {
    const run = [loads[k]];
    let until = loads[k].end;
    for (k++; k < loads.length && loads[k].use.setting === run[0].use.setting && (!close || loads[k].start < until); k++) {
      run.push(loads[k]);
      until = Math.max(until, loads[k].end);
    }
    if (close)
      for (const load of run) {
        if (load !== run[0]) rigid(arcs, run[0].startNode, load.startNode, load.start - run[0].start);
        if (run.length > 1) rigid(arcs, load.startNode, load.endNode, load.end - load.start);
      }
    else handOn(arcs, run, chamber.slots);
    const rise = previous.length > 0 ? run[0].use.setting - previous[0].use.setting : 0;
    const change = rise === 0 ? 0 : Math.ceil(Math.abs(rise) / (rise > 0 ? chamber.heat : chamber.cool));
    for (const a of previous) for (const b of run) before(arcs, a, b, Math.max(change, chamber.recovery));
    previous = run;
  }
}

// src/core/schedule/timing/closure.ts
var EPS = 1e-9;
var FAR = 1 << 28;
var Closure = class {
  constructor(order) {
    this.order = order;
    const { nodes, from, to } = order;
    this.out = this.push = rowsOf(nodes, from, to);
    this.into = this.pull = rowsOf(nodes, to, from);
    this.flow = new Float64Array(from.length);
    this.tight = new Uint8Array(from.length);
    this.level = new Int32Array(nodes);
    this.queue = new Int32Array(nodes);
    this.nextPush = new Int32Array(nodes);
    this.nextPull = new Int32Array(nodes);
    this.excess = new Float64Array(nodes);
    this.lack = new Float64Array(nodes);
  }
  out;
  into;
  flow;
  tight;
  /** Steps from the nodes that gain, −1 where they reach nothing. */
  level;
  queue;
  nextPush;
  nextPull;
  excess;
  lack;
  /** Which arcs push: those out of a node when it moves later, those into it when it moves earlier. */
  push;
  pull;
  /**
   * The connected sets that gain by a minute later (or earlier); none where no set does.
   * @param gain what each node by itself gains by that minute
   */
  best(at, gain, later) {
    const { nodes, from, to, weight, lo, hi } = this.order;
    const { flow, tight, excess, lack } = this;
    this.push = later ? this.out : this.into;
    this.pull = later ? this.into : this.out;
    flow.fill(0);
    for (let a = 0; a < from.length; a++) tight[a] = at[to[a]] - at[from[a]] === weight[a] ? 1 : 0;
    for (let v = 0; v < nodes; v++) {
      const blocked = later ? at[v] >= hi[v] : at[v] <= lo[v];
      excess[v] = Math.max(0, gain[v]);
      lack[v] = blocked ? Infinity : Math.max(0, -gain[v]);
    }
    while (this.setLevels()) {
      this.nextPush.set(this.push.start.subarray(0, nodes));
      this.nextPull.set(this.pull.start.subarray(0, nodes));
      for (let v = 0; v < nodes; v++)
        while (excess[v] > EPS) {
          const sent = this.send(v, excess[v]);
          if (sent <= EPS) break;
          excess[v] -= sent;
        }
    }
    return this.connected();
  }
  /** How far a set may move before it pushes something outside it, min. */
  room(at, members, inside2, later) {
    const { weight } = this.order;
    const { start, arcs, other } = later ? this.out : this.into;
    let least = FAR;
    for (const v of members)
      for (let k = start[v]; k < start[v + 1]; k++) {
        const w = other[k];
        if (inside2[w]) continue;
        const slack = (later ? at[w] - at[v] : at[v] - at[w]) - weight[arcs[k]];
        if (slack < least) least = slack;
      }
    return least;
  }
  /** Breadth first from all that still gain; true where something that still loses is reached. */
  setLevels() {
    const { level, queue, excess, lack, tight, flow, push, pull } = this;
    level.fill(-1);
    let count2 = 0;
    for (let v = 0; v < level.length; v++)
      if (excess[v] > EPS) {
        level[v] = 0;
        queue[count2++] = v;
      }
    let reached = false;
    for (let q = 0; q < count2; q++) {
      const v = queue[q];
      if (lack[v] > EPS) reached = true;
      for (let k = push.start[v]; k < push.start[v + 1]; k++) {
        const w = push.other[k];
        if (level[w] >= 0 || !tight[push.arcs[k]]) continue;
        level[w] = level[v] + 1;
        queue[count2++] = w;
      }
      for (let k = pull.start[v]; k < pull.start[v + 1]; k++) {
        const w = pull.other[k];
        if (level[w] >= 0 || flow[pull.arcs[k]] <= EPS) continue;
        level[w] = level[v] + 1;
        queue[count2++] = w;
      }
    }
    return reached;
  }
  /** Sends up to so much from a node towards nodes that lose, one level at a time; how much went. */
  send(v, amount) {
    const { level, lack, tight, flow, push, pull, nextPush, nextPull } = this;
    if (lack[v] > EPS) {
      const taken = Math.min(amount, lack[v]);
      lack[v] -= taken;
      return taken;
    }
    for (; nextPush[v] < push.start[v + 1]; nextPush[v]++) {
      const a = push.arcs[nextPush[v]];
      const w = push.other[nextPush[v]];
      if (!tight[a] || level[w] !== level[v] + 1) continue;
      const sent = this.send(w, amount);
      if (sent <= EPS) continue;
      flow[a] += sent;
      return sent;
    }
    for (; nextPull[v] < pull.start[v + 1]; nextPull[v]++) {
      const a = pull.arcs[nextPull[v]];
      const w = pull.other[nextPull[v]];
      if (flow[a] <= EPS || level[w] !== level[v] + 1) continue;
      const sent = this.send(w, Math.min(amount, flow[a]));
      if (sent <= EPS) continue;
      flow[a] -= sent;
      return sent;
    }
    return 0;
  }
  /** What is reached, in parts that no tight arc connects: each may move by a distance of its own. */
  connected() {
    const { level, tight, push, pull } = this;
    const seen = new Uint8Array(level.length);
    const parts = [];
    for (let root = 0; root < level.length; root++) {
      if (level[root] < 0 || seen[root]) continue;
      const members = [root];
      seen[root] = 1;
      for (let m = 0; m < members.length; m++)
        for (const rows3 of [push, pull])
          for (let k = rows3.start[members[m]]; k < rows3.start[members[m] + 1]; k++) {
            const w = rows3.other[k];
            if (level[w] < 0 || seen[w] || !tight[rows3.arcs[k]]) continue;
            seen[w] = 1;
            members.push(w);
          }
      parts.push(members);
    }
    return parts;
  }
};
function rowsOf(nodes, at, far) {
  const start = new Int32Array(nodes + 1);
  for (const v of at) start[v + 1]++;
  for (let v = 0; v < nodes; v++) start[v + 1] += start[v];
  const next = start.slice();
  const arcs = new Int32Array(at.length);
  const other = new Int32Array(at.length);
  for (let a = 0; a < at.length; a++) {
    const k = next[at[a]]++;
    arcs[k] = a;
    other[k] = far[a];
  }
  return { start, arcs, other };
}

// src/core/schedule/timing/retime.ts
var EPS2 = 1e-9;
function retime(model, orders, schedule, most) {
  const { n } = model;
  const order = orders.of(schedule);
  const closure = new Closure(order);
  const at = timesOf(model, schedule);
  const gain = new Float64Array(order.nodes);
  const inside2 = new Uint8Array(order.nodes);
  let idle = 0;
  for (let move = 0; move < most && idle < 2; move++) {
    const later = move % 2 === 0;
    setGains(model, at, gain, later);
    idle++;
    for (const members of closure.best(at, gain, later)) {
      inside2.fill(0);
      for (const v of members) inside2[v] = 1;
      const far = Math.min(pays(model, order, at, members, later), closure.room(at, members, inside2, later));
      if (far <= 0) continue;
      for (const v of members) at[v] += later ? far : -far;
      idle = 0;
    }
  }
  const starts = new Int32Array(n);
  const ends = new Int32Array(n);
  for (let i = 0; i < n; i++) {
    starts[i] = at[2 * i];
    ends[i] = at[2 * i + 1];
  }
  const cost2 = costOf(model, starts, ends);
  return cost2 < schedule.cost - EPS2 ? { starts, ends, choices: schedule.choices, cost: cost2 } : schedule;
}
function timesOf(model, { starts, ends }) {
  const { n } = model;
  const at = new Int32Array(2 * n + 2);
  at[2 * n] = model.horizon;
  for (let i = 0; i < n; i++) {
    at[2 * i] = starts[i];
    at[2 * i + 1] = ends[i];
    at[2 * n] = Math.min(at[2 * n], starts[i]);
    at[2 * n + 1] = Math.max(at[2 * n + 1], ends[i]);
  }
  return at;
}
function setGains(model, at, gain, later) {
  const { n, due, early, late, stretch, makespan, span } = model;
  const sign = later ? 1 : -1;
  for (let i = 0; i < n; i++) {
    const end = at[2 * i + 1];
    const before2 = later ? end < due[i] : end <= due[i];
    gain[2 * i + 1] = sign * ((before2 ? early[i] : -late[i]) - stretch[i]);
    gain[2 * i] = sign * stretch[i];
  }
  gain[2 * n] = sign * span;
  gain[2 * n + 1] = -sign * (span + makespan);
}
function pays(model, { lo, hi }, at, members, later) {
  let far = Infinity;
  for (const v of members) {
    far = Math.min(far, later ? hi[v] - at[v] : at[v] - lo[v]);
    if (v % 2 === 0 || v > 2 * model.n) continue;
    const toDue = later ? model.due[v >> 1] - at[v] : at[v] - model.due[v >> 1];
    if (toDue > 0) far = Math.min(far, toDue);
  }
  return far;
}

// src/core/schedule/jobshop/tabu.ts
var PATIENCE = 6e3;
var ELITE = 8;
var ShopTabu = class {
  constructor(shop, starts, chance) {
    this.shop = shop;
    this.chance = chance;
    const { n } = shop;
    this.place = new Int32Array(n).fill(-1);
    this.head = new Int32Array(n);
    this.tail = new Int32Array(n);
    this.order = new Int32Array(n);
    this.open = new Int32Array(n);
    this.tabu = new Int32Array(n * n);
    this.sequence = Array.from(
      { length: shop.machines },
      (_, m) => Int32Array.from(
        Array.from({ length: n }, (_2, i) => i).filter((i) => shop.machine[i] === m).sort((a, b) => starts[a] - starts[b] || a - b)
      )
    );
    const used = this.sequence.filter((s) => s.length > 0);
    this.tenure = 10 + Math.round(n / Math.max(1, used.length) / Math.max(1, used.length));
    this.bestStarts = new Int32Array(n);
    this.replace();
    this.evaluate();
    this.keepBest();
  }
  /** Sequence of each machine, and the place of each task in its own. */
  sequence;
  place;
  head;
  tail;
  order;
  open;
  tabu;
  tenure;
  elite = [];
  move = 0;
  idle = 0;
  end = 0;
  bestEnd = Infinity;
  bestStarts;
  replace() {
    for (const sequence of this.sequence) for (let k = 0; k < sequence.length; k++) this.place[sequence[k]] = k;
  }
  machineBefore(i) {
    const m = this.shop.machine[i];
    return m < 0 || this.place[i] === 0 ? -1 : this.sequence[m][this.place[i] - 1];
  }
  machineAfter(i) {
    const m = this.shop.machine[i];
    return m < 0 || this.place[i] === this.sequence[m].length - 1 ? -1 : this.sequence[m][this.place[i] + 1];
  }
  /** Heads, tails and the last end of the present sequences; false where they close a ring. */
  evaluate() {
    const { shop, head, tail, order, open } = this;
    const { n, length, before: before2, after, release } = shop;
    let count2 = 0;
    for (let i = 0; i < n; i++) {
      open[i] = before2[i].length + (this.machineBefore(i) >= 0 ? 1 : 0);
      head[i] = release[i];
      if (open[i] === 0) order[count2++] = i;
    }
    this.end = 0;
    for (let k = 0; k < count2; k++) {
      const i = order[k];
      const done = head[i] + length[i];
      if (done > this.end) this.end = done;
      for (const { task, lag } of after[i]) {
        if (done + lag > head[task]) head[task] = done + lag;
        if (--open[task] === 0) order[count2++] = task;
      }
      const next = this.machineAfter(i);
      if (next >= 0) {
        if (done > head[next]) head[next] = done;
        if (--open[next] === 0) order[count2++] = next;
      }
    }
    if (count2 < n) return false;
    for (let k = n - 1; k >= 0; k--) {
      const i = order[k];
      let longest = 0;
      for (const { task, lag } of after[i]) longest = Math.max(longest, lag + length[task] + tail[task]);
      const next = this.machineAfter(i);
      if (next >= 0) longest = Math.max(longest, length[next] + tail[next]);
      tail[i] = longest;
    }
    return true;
  }
  keepBest() {
    if (this.end >= this.bestEnd) return;
    this.bestEnd = this.end;
    this.bestStarts = this.head.slice();
    this.idle = 0;
    this.remember();
  }
  remember() {
    if (this.elite.some((e) => e.end === this.end && e.sequence.every((s, m) => s.every((t, k) => t === this.sequence[m][k]))))
      return;
    this.elite.push({ end: this.end, sequence: this.sequence.map((s) => s.slice()) });
    this.elite.sort((a, b) => a.end - b.end);
    if (this.elite.length > ELITE) this.elite.pop();
  }
  /** Makes so many moves; true where the best became better. Ends early at `enough`. */
  run(moves, enough) {
    const start = this.bestEnd;
    for (let k = 0; k < moves && this.bestEnd > enough; k++) {
      this.step();
      if (++this.idle < PATIENCE) continue;
      this.idle = 0;
      this.goBack();
    }
    return this.bestEnd < start;
  }
  /** From one of the best again, shaken by random moves on its critical ways. */
  goBack() {
    this.remember();
    const from = this.elite[this.chance.below(this.elite.length)];
    from.sequence.forEach((s, m) => this.sequence[m].set(s));
    this.replace();
    this.tabu.fill(0);
    this.evaluate();
    for (let k = 6 + this.chance.below(14); k > 0; k--) {
      const candidates = this.candidates();
      if (candidates === 0) break;
      const c = this.chance.below(candidates);
      this.shift(this.from[c], this.to[c]);
      this.evaluate();
    }
    this.keepBest();
  }
  from = [];
  to = [];
  guess = [];
  /** Moves on one critical way: task `from` goes to the place of task `to` on its machine. */
  candidates() {
    const { shop, head, tail, place } = this;
    const { length } = shop;
    this.from.length = this.to.length = this.guess.length = 0;
    let at = -1;
    let seen = 0;
    for (let i = 0; i < shop.n; i++)
      if (head[i] + length[i] + tail[i] === this.end && head[i] === shop.release[i] && this.chance.below(++seen) === 0) at = i;
    const critical = [];
    while (at >= 0) {
      critical.push(at);
      at = this.nextCritical(at);
    }
    for (let k = 0; k < critical.length; ) {
      let last = k;
      while (last + 1 < critical.length && shop.machine[critical[k]] >= 0 && shop.machine[critical[last + 1]] === shop.machine[critical[k]] && place[critical[last + 1]] === place[critical[last]] + 1)
        last++;
      for (let a = k; a < last; a++) {
        this.offer(critical[a], critical[last]);
        this.offer(critical[a + 1], critical[k]);
        if (last - k > 1 && (a === k || a === last - 1)) {
          this.offer(critical[a], critical[a + 1]);
        }
      }
      k = last + 1;
    }
    return this.from.length;
  }
  nextCritical(i) {
    const { head, shop, tail } = this;
    const done = head[i] + shop.length[i];
    let next = -1;
    let seen = 0;
    const critical = (j) => head[j] + shop.length[j] + tail[j] === this.end;
    const along = this.machineAfter(i);
    if (along >= 0 && head[along] === done && critical(along) && this.chance.below(++seen) === 0) next = along;
    for (const { task, lag } of shop.after[i])
      if (head[task] === done + lag && critical(task) && this.chance.below(++seen) === 0) next = task;
    return next;
  }
  /** Adds the move of u to the place of v where it surely closes no ring. */
  offer(u, v) {
    const { shop, head, tail, place } = this;
    if (u === v) return;
    for (let k = 0; k < this.from.length; k++) if (this.from[k] === u && this.to[k] === v) return;
    if (place[u] < place[v]) {
      const way = shop.length[v] + tail[v];
      for (const { task } of shop.after[u]) if (shop.length[task] + tail[task] > way) return;
    } else {
      const way = head[v] + shop.length[v];
      for (const { task } of shop.before[u]) if (head[task] + shop.length[task] > way) return;
    }
    this.from.push(u);
    this.to.push(v);
    this.guess.push(this.estimate(u, v));
  }
  segment = [];
  newHead = [];
  /** Longest way through the tasks between u and v after u moved to v's place. */
  estimate(u, v) {
    const { shop, head, tail, place, segment, newHead } = this;
    const { length, before: before2, after } = shop;
    const sequence = this.sequence[shop.machine[u]];
    const a = Math.min(place[u], place[v]);
    const b = Math.max(place[u], place[v]);
    segment.length = 0;
    if (place[u] > place[v]) segment.push(u);
    for (let k = a; k <= b; k++) if (sequence[k] !== u) segment.push(sequence[k]);
    if (place[u] < place[v]) segment.push(u);
    let reached = a > 0 ? head[sequence[a - 1]] + length[sequence[a - 1]] : 0;
    for (let k = 0; k < segment.length; k++) {
      const i = segment[k];
      let h = Math.max(reached, shop.release[i]);
      for (const { task, lag } of before2[i]) h = Math.max(h, head[task] + length[task] + lag);
      newHead[k] = h;
      reached = h + length[i];
    }
    let longest = 0;
    let rest = b + 1 < sequence.length ? length[sequence[b + 1]] + tail[sequence[b + 1]] : 0;
    for (let k = segment.length - 1; k >= 0; k--) {
      const i = segment[k];
      let q = rest;
      for (const { task, lag } of after[i]) q = Math.max(q, lag + length[task] + tail[task]);
      longest = Math.max(longest, newHead[k] + length[i] + q);
      rest = length[i] + q;
    }
    return longest;
  }
  isTabu(u, v) {
    const { n } = this.shop;
    const sequence = this.sequence[this.shop.machine[u]];
    const forward = this.place[u] < this.place[v];
    const [a, b] = forward ? [this.place[u] + 1, this.place[v]] : [this.place[v], this.place[u] - 1];
    for (let k = a; k <= b; k++) {
      const w = sequence[k];
      if (this.tabu[forward ? w * n + u : u * n + w] > this.move) return true;
    }
    return false;
  }
  step() {
    this.move++;
    const count2 = this.candidates();
    if (count2 === 0) {
      this.idle = PATIENCE;
      return;
    }
    let best = -1;
    let bestGuess = Infinity;
    let ties = 0;
    for (let c = 0; c < count2; c++) {
      if (this.guess[c] >= this.bestEnd && this.isTabu(this.from[c], this.to[c])) continue;
      if (this.guess[c] < bestGuess) {
        bestGuess = this.guess[c];
        best = c;
        ties = 1;
      } else if (this.guess[c] === bestGuess && this.chance.below(++ties) === 0) best = c;
    }
    if (best < 0) best = this.chance.below(count2);
    const u = this.from[best];
    const v = this.to[best];
    this.forbid(u, v);
    const back = this.sequence[this.shop.machine[u]].slice();
    this.shift(u, v);
    if (this.evaluate()) return this.keepBest();
    this.sequence[this.shop.machine[u]].set(back);
    this.replace();
    this.evaluate();
  }
  /** What stood before the other may not stand so again for a while. */
  forbid(u, v) {
    const { n } = this.shop;
    const sequence = this.sequence[this.shop.machine[u]];
    const until = this.move + this.tenure + this.chance.below(Math.ceil(this.tenure / 2) + 1);
    if (this.place[u] < this.place[v])
      for (let k = this.place[u] + 1; k <= this.place[v]; k++) this.tabu[u * n + sequence[k]] = until;
    else for (let k = this.place[v]; k < this.place[u]; k++) this.tabu[sequence[k] * n + u] = until;
  }
  shift(u, v) {
    const sequence = this.sequence[this.shop.machine[u]];
    const to = this.place[v];
    const step = this.place[u] < to ? 1 : -1;
    for (let k = this.place[u]; k !== to; k += step) {
      sequence[k] = sequence[k + step];
      this.place[sequence[k]] = k;
    }
    sequence[to] = u;
    this.place[u] = to;
  }
};

// src/core/schedule/solver.ts
var EQUAL2 = 1e-6;
var CHEAPER = 1e-4;
var LEARNING_MOST = 400;
var WHOLE_MOST = 60;
var PROVING_MOST = 200;
var REPAIRS = 120;
var FIRST_REPAIRS = 30;
var PATIENCE2 = 12;
var DIVES_PAY = 120;
var WHOLE_EVERY = 50;
var NEAR = { conflicts: 60, least: 10, more: 50 };
var PM = +(process.env.PM ?? 200);
var REACH = [30, 90, 240, 1e3];
var WORTH_TIMING = 1.03;
var MOST_SHIFTS = 500;
var SHOP_MOVES = 1e3;
var ROOMY_LEFT = 0.2;
var FIRST_CONFLICTS = 150;
var Solver = class {
  constructor(problem, seed) {
    this.problem = problem;
    this.model = compile(problem);
    this.chance = seeded(seed);
    this.search = new Search(this.model, this.chance);
    this.late = lateTasks(this.model);
    this.shop = this.search.stuck >= 0 ? void 0 : shopOf(this.model);
    this.floor = this.search.stuck >= 0 ? 0 : Math.max(0, this.search.costBound(), this.shop ? this.model.makespan * shopBound(this.shop) : 0);
  }
  best;
  model;
  chance;
  search;
  late;
  floor;
  made;
  rounds = 0;
  /** The fullest partial schedule of the last dive and its repairs. */
  fullest;
  placed = 0;
  /** The partial schedule with the fewest tasks left out so far. */
  nearest;
  nearestLeft = Infinity;
  /** The job-shop that the problem is, where it is one, and the search for it. */
  shop;
  tabu;
  orders;
  /** The search that learns, made when it is first needed. */
  get learning() {
    if (!this.made && this.model.n <= LEARNING_MOST) {
      this.search.clear();
      this.made = new LearningSearch(this.model, this.search.windows.lo, this.search.windows.hi, this.chance);
    }
    return this.made;
  }
  /** Cost that no schedule goes below. */
  get bound() {
    return Math.max(this.floor, this.made?.bound ?? 0);
  }
  /** Why there is no schedule, or none was found. */
  refusal() {
    const { search, problem, model } = this;
    const none = { format: "unisynth-solution/1", status: "infeasible", cost: 0, bound: 0, tasks: [] };
    if (search.stuck >= 0) return { ...none, why: whyNone(problem, model, search.stuck), proof: "windows" };
    const proven = this.made?.exhausted === true;
    const leftOut = proven || !this.nearest ? [] : problem.tasks.flatMap((_, i) => this.nearest.starts[i] < 0 ? [i] : []);
    return { ...none, why: whyNotFound(problem, model, search, proven, leftOut), ...proven && { proof: "search" } };
  }
  /** The best schedule so far. */
  solution() {
    const { problem, model, best } = this;
    if (!best) return this.refusal();
    const cost2 = costOf(model, best.starts, best.ends);
    const bound = Math.min(this.bound, cost2);
    return {
      format: "unisynth-solution/1",
      status: cost2 - bound <= EQUAL2 ? "optimal" : "feasible",
      cost: cost2,
      bound,
      tasks: problem.tasks.map((task, i) => ({
        id: task.id,
        start: best.starts[i],
        end: best.ends[i],
        taken: task.uses.map((use, u) => typeof use.resource === "string" ? use.resource : use.resource[best.choices[i][u]])
      })),
      why: []
    };
  }
  /** Looks for a first schedule. "none": it is proven that there is none. */
  findFirst(budget) {
    if (this.best) return "found";
    if (this.search.stuck >= 0) return "none";
    const { model } = this;
    const state = { steps: 0 };
    const spent = () => budget.spent(() => ({ phase: "first", iterations: state.steps, placed: this.placed, tasks: model.n })) || budget.late();
    while (state.steps < budget.dives && !spent()) {
      const round = this.rounds++;
      this.best = this.diveAndRepair(budget, round, state, spent);
      if (this.best) return "found";
      if (spent()) break;
      const outcome = this.learning?.run({
        conflicts: FIRST_CONFLICTS * luby(round + 1),
        spent,
        late: (task) => this.late[task] === 1,
        // What the dives could place is a good guess of where things go.
        like: this.fullest
      });
      state.steps++;
      if (outcome?.kind === "none") return "none";
      if (outcome?.kind !== "found") continue;
      this.best = outcome.schedule;
      return "found";
    }
    return "stopped";
  }
  /**
   * A first schedule near another one, which need not keep the rules: what of it still holds is kept, the rest is placed
   * as near as can be. False where the repairs come to nothing; the usual search may still find one.
   */
  mend(guess, budget) {
    const { model, search } = this;
    if (search.stuck >= 0) return false;
    const state = { steps: 0 };
    const spent = () => budget.spent(() => ({ phase: "first", iterations: state.steps, placed: this.placed, tasks: model.n })) || budget.late();
    const home = (task) => guess[task].end;
    search.keepWhatFits(guess);
    const found = search.dive({ deadEnds: 60, tries: 12, below: Infinity, whim: 0, patience: 0, aims: false, wish: home });
    this.best = found ?? this.repair(search.partial, search.left, REPAIRS, { budget, state, spent, aims: false, home });
    return this.best !== void 0;
  }
  /** One construction dive, then repairs of what it leaves undone until they come to nothing. */
  diveAndRepair(budget, dive, state, spent, aims = dive === 0 || this.model.n > LEARNING_MOST) {
    const { model, search, chance } = this;
    state.steps++;
    search.clear();
    search.occupancy.preferScarce(() => dive === 0 ? 0 : chance.unit());
    const wishes = clusterWishes(model, this.late, chance, dive === 0 ? 0 : 0.3);
    const found = search.dive({
      deadEnds: 40 + 20 * luby(dive + 1) + model.n,
      tries: 6 + 2 * (dive % 5),
      below: Infinity,
      whim: 0,
      patience: aims ? PATIENCE2 : 0,
      mostOut: model.n <= LEARNING_MOST ? ROOMY_LEFT * model.n : void 0,
      aims,
      wish: (task) => aims && isAimed(model, task) ? model.due[task] : wishes[model.cluster[task]]
    });
    if (found) return found;
    if (aims && model.n <= LEARNING_MOST && search.left > ROOMY_LEFT * model.n)
      return this.diveAndRepair(budget, dive, state, spent, false);
    return this.repair(search.partial, search.left, dive === 0 ? FIRST_REPAIRS : REPAIRS, { budget, state, spent, aims });
  }
  /**
   * Frees what stands around the tasks without a place and places all of them anew, until every task has one or so many
   * attempts in a row came to nothing. `home`: where a task is tried first, for a schedule that should stay as it was.
   */
  repair(first, firstLeft, patience, { budget, state, spent, aims, home }) {
    const { model, search, chance } = this;
    const freed = new Uint8Array(model.n);
    let current = first;
    let left = firstLeft;
    this.placed = Math.max(this.placed, model.n - left);
    for (let idle = 0; idle < patience && state.steps < budget.dives; idle++) {
      if (spent()) return void 0;
      state.steps++;
      freed.fill(0);
      freeAround(model, current, freed, search.trouble, chance);
      if (!search.loosen(current, freed)) throw new Error("a partial schedule does not fit into its own problem");
      search.occupancy.preferScarce(() => chance.unit());
      const again = clusterWishes(model, this.late, chance, 0.3);
      const contrary = chance.below(3) === 0 ? 0.4 * chance.unit() : 0;
      const mended = search.dive({
        deadEnds: 20 + chance.below(40),
        tries: 4 + chance.below(8),
        below: Infinity,
        whim: chance.below(2) === 0 ? 0 : 5 * chance.unit(),
        patience: 0,
        aims,
        wish: (task) => chance.unit() < contrary ? chance.below(2) === 0 ? "late" : "early" : home ? home(task) : aims && isAimed(model, task) ? model.due[task] : again[model.cluster[task]]
      });
      if (mended) return mended;
      if (search.left > left || !search.partial) continue;
      if (search.left < left) idle = 0;
      left = search.left;
      current = search.partial;
      this.placed = Math.max(this.placed, model.n - left);
    }
    this.fullest = current;
    if (left < this.nearestLeft) {
      this.nearestLeft = left;
      this.nearest = current;
    }
    for (let i = 0; i < model.n; i++) search.trouble[i] = 1 + (search.trouble[i] - 1) * 0.6;
    return void 0;
  }
  /**
   * Improves until the bound is met or the budget is spent. Steps of two kinds take turns: a neighbourhood is freed and
   * placed anew by dives, quick and rough; and the search that learns looks for something cheaper, on the whole of a
   * small problem (which ends in a proof), on a neighbourhood of a large one.
   */
  improve(budget, better) {
    const { model, chance } = this;
    if (!this.best) return;
    const whole = model.n <= WHOLE_MOST;
    const freed = new Uint8Array(model.n);
    let current = this.shop ? this.best : this.timed(this.best);
    if (current !== this.best) {
      this.best = current;
      better();
    }
    let size = Math.min(model.n, 8);
    let leeway = 0;
    let divesGained = 0;
    let iteration = 0;
    const spent = () => budget.spent(() => ({ phase: "improve", iterations: iteration, cost: this.best.cost, placed: model.n, tasks: model.n }));
    for (; iteration < budget.iterations && this.best.cost > this.bound + EQUAL2 && !spent(); iteration++) {
      if (this.shop) {
        const found2 = iteration % 8 === 7 && whole ? this.learnWhole(iteration, spent) : this.shopBetter(this.shop);
        if (!found2 || found2.cost >= this.best.cost - EQUAL2) continue;
        this.best = found2;
        better();
        continue;
      }
      const proves = model.n <= PROVING_MOST && iteration % WHOLE_EVERY === WHOLE_EVERY - 1;
      const learns = proves || !whole && (iteration - divesGained < DIVES_PAY ? iteration % 4 === 3 : iteration % 4 !== 0);
      let found = learns ? proves ? this.learnWhole(Math.floor(iteration / WHOLE_EVERY), spent) : this.learnNear(freed, spent) : this.diveAnew(current, freed, size, leeway);
      if (found && (found.cost < this.best.cost * WORTH_TIMING || found.cost < current.cost)) found = this.timed(found);
      if (found && found.cost < current.cost + leeway) {
        current = found;
        if (found.cost < this.best.cost - EQUAL2) {
          if (!learns) divesGained = iteration;
          this.best = found;
          better();
        }
      }
      if (iteration % 200 === 199) leeway = this.best.cost * 0.08 * chance.unit() * chance.unit();
      if (iteration % 500 === 499) current = this.best;
      if (iteration % 16 === 15) size = 3 + chance.below(Math.min(model.n, 40));
    }
  }
  /** The same order and choices at their cheapest times. */
  timed(schedule) {
    const { search, model } = this;
    if (!this.orders) {
      search.clear();
      this.orders = new Orders(model, search.windows.lo.slice(), search.windows.hi.slice());
    }
    return retime(model, this.orders, schedule, MOST_SHIFTS);
  }
  /** A stretch of the job-shop's own search; undefined where it comes to nothing better. */
  shopBetter(shop) {
    const { model } = this;
    this.tabu ??= new ShopTabu(shop, this.best.starts, this.chance);
    const { tabu } = this;
    tabu.run(SHOP_MOVES, this.bound / model.makespan);
    if (tabu.bestEnd > model.horizon || tabu.bestEnd * model.makespan >= this.best.cost - EQUAL2) return void 0;
    const starts = tabu.bestStarts.slice();
    const ends = starts.map((start, i) => start + shop.length[i]);
    return { starts, ends, choices: model.uses.map((uses) => new Int32Array(uses.length)), cost: costOf(model, starts, ends) };
  }
  /** A cheaper schedule by the search that learns, on a neighbourhood of the best. */
  learnNear(freed, spent) {
    const { learning, model, chance } = this;
    const best = this.best;
    if (model.n > PM) return this.learnPiece(freed, spent);
    if (!learning) return void 0;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const outcome = learning.run({
      target: best.cost - CHEAPER,
      conflicts: NEAR.conflicts,
      spent,
      like: best,
      keep: (task) => freed[task] === 0,
      late: (task) => this.late[task] === 1
    });
    return outcome.kind === "found" ? outcome.schedule : void 0;
  }
  /** The same with the neighbourhood cut out as a problem of its own: what it costs does not grow with the whole. */
  learnPiece(freed, spent) {
    const { model, search, chance } = this;
    const best = this.best;
    freed.fill(0);
    freeSome(model, best, freed, NEAR.least + chance.below(NEAR.more), chance);
    const { low, high } = this.orders;
    const piece = pieceOf(model, best, freed, low, high, REACH[chance.below(REACH.length)]);
    if (!piece) return void 0;
    const { like, tasks, from } = piece;
    const outcome = new LearningSearch(piece.model, piece.low, piece.high, chance).run({
      target: costOf(piece.model, like.starts, like.ends) - CHEAPER,
      conflicts: NEAR.conflicts,
      spent,
      like,
      late: (k) => k < tasks.length && this.late[tasks[k]] === 1
    });
    if (outcome.kind !== "found") return void 0;
    const found = outcome.schedule;
    const starts = best.starts.slice();
    const ends = best.ends.slice();
    const choices = best.choices.slice();
    tasks.forEach((i, k) => {
      starts[i] = found.starts[k] + from;
      ends[i] = found.ends[k] + from;
      choices[i] = found.choices[k];
    });
    const whole = { starts, ends, choices, cost: costOf(model, starts, ends) };
    freed.fill(0);
    return search.loosen(whole, freed) ? whole : void 0;
  }
  /**
   * The search that learns on everything: now anything cheaper, now a bold step into the gap. Each raises the bound when
   * it fails.
   */
  learnWhole(turn, spent) {
    const { learning } = this;
    const best = this.best;
    if (!learning) return void 0;
    const gap = best.cost - this.bound;
    const target = Math.min(best.cost - CHEAPER, best.cost - [0.3, 0.03, 0][turn % 3] * gap);
    const conflicts = 400 + 100 * turn;
    const outcome = learning.run({ target, conflicts, spent, like: best, late: (task) => this.late[task] === 1 });
    return outcome.kind === "found" ? outcome.schedule : void 0;
  }
  /** A neighbourhood of the current schedule is freed and placed anew; undefined where that comes out no better. */
  diveAnew(current, freed, size, leeway) {
    const { model, search, chance } = this;
    freed.fill(0);
    freeSome(model, current, freed, size, chance);
    if (!search.loosen(current, freed)) throw new Error("a schedule does not fit into its own problem");
    search.occupancy.preferScarce(() => 3 * chance.unit());
    const style = chance.below(4);
    return search.dive({
      deadEnds: 12 + size,
      tries: 8,
      below: chance.below(3) === 0 ? this.best.cost + leeway * chance.unit() + EQUAL2 : current.cost - EQUAL2,
      whim: 2,
      patience: 0,
      aims: true,
      wish: (task) => wishFor(model, current, task, style, chance)
    });
  }
};

// src/core/schedule/budget.ts
var DEFAULT_ITERATIONS = 2e4;
var DIVES = 4e3;
var Budget = class {
  constructor(options) {
    this.options = options;
    this.limit = options.seconds === void 0 ? Infinity : options.now() + options.seconds * 1e3;
  }
  ticks = 0;
  cancelled = false;
  limit;
  get dives() {
    return this.options.dives ?? (this.options.seconds === void 0 ? DIVES : Infinity);
  }
  get iterations() {
    return this.options.iterations ?? (this.options.seconds === void 0 ? DEFAULT_ITERATIONS : Infinity);
  }
  /** Too late for a first schedule. */
  late() {
    return this.options.firstBy !== void 0 && this.options.now() >= this.options.firstBy;
  }
  spent(state) {
    if (this.cancelled) return true;
    if (this.options.progress && (this.ticks++ & 7) === 0 && this.options.progress(state()) === false) this.cancelled = true;
    return this.cancelled || this.limit !== Infinity && this.options.now() >= this.limit;
  }
};

// .scratch/prof.ts
import { readFileSync } from "node:fs";
var [names, secs = "10", seeds = "1"] = process.argv.slice(2);
for (const n of names.split(",")) for (const seed of seeds.split(",").map(Number)) {
  const p = parseProblem(JSON.parse(readFileSync(`/tmp/inst/${n}.json`, "utf8")));
  if (!p.ok) throw 1;
  const s = new Solver(p.value, seed);
  const b = new Budget({ now: () => performance.now(), seconds: +secs });
  s.findFirst(b);
  const st = {};
  const wrap = (m, key = (a) => m) => {
    const o = s[m].bind(s);
    s[m] = (...a) => {
      const k = key(a);
      const t = performance.now();
      const before2 = s.best.cost;
      const r = o(...a);
      const e = st[k] ??= { n: 0, ms: 0, found: 0, better: 0 };
      e.n++;
      e.ms += performance.now() - t;
      if (r) {
        e.found++;
        if (r.cost < before2 - 1e-6) e.better++;
      }
      return r;
    };
  };
  wrap("diveAnew");
  wrap("learnNear");
  wrap("learnPiece");
  wrap("learnWhole");
  wrap("timed");
  s.improve(b, () => {
  });
  console.log(n, seed, s.best.cost, s.bound);
  for (const [k, e] of Object.entries(st)) console.log("  ", k.padEnd(10), "n", e.n, "ms", e.ms.toFixed(0), "per", (e.ms / e.n).toFixed(2), "found", e.found, "better", e.better);
}
