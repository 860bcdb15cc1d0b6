import { minutesOfClock } from "../shared/clock";
import type { Issue } from "../shared/issue";
import { gatheringDate, planDays } from "../gathering/calendar";
import type { PlanRequest } from "./request";

/** What the schema cannot see: references between items, kitchen and gathering, and what contradicts itself. */
export function requestIssues(request: PlanRequest): Issue[] {
  return [...itemIssues(request), ...kitchenIssues(request), ...gatheringIssues(request)];
}

/** References inside items that the schema cannot see: step ids, rings, rests that end before they begin. */
export function itemIssues({ items }: Pick<PlanRequest, "items">): Issue[] {
  const issues: Issue[] = [];
  const seen = new Set<string>();
  items.forEach((item, i) => {
    const at = (...path: (string | number)[]) => ["items", i, ...path];
    if (seen.has(item.id))
      issues.push({ code: "inconsistent", path: at("id"), got: item.id, wanted: "an id that no other item has" });
    seen.add(item.id);
    const ids = new Set(item.steps.map((step) => step.id));
    if (ids.size < item.steps.length)
      issues.push({ code: "inconsistent", path: at("steps"), got: item.id, wanted: "step ids that differ" });
    item.steps.forEach((step, s) => {
      step.after.forEach((link, a) => {
        if (!ids.has(link.step))
          issues.push({
            code: "unknown",
            path: at("steps", s, "after", a, "step"),
            got: link.step,
            wanted: "the id of a step of this item",
          });
        if (link.maxGapMin !== undefined && link.maxGapMin < (link.minGapMin ?? 0))
          issues.push({
            code: "inconsistent",
            path: at("steps", s, "after", a, "maxGapMin"),
            got: link.maxGapMin,
            wanted: "at least minGapMin",
          });
      });
      if (step.rest && step.rest.max < step.rest.min)
        issues.push({
          code: "inconsistent",
          path: at("steps", s, "rest", "max"),
          got: step.rest.max,
          wanted: `at least min (${step.rest.min})`,
        });
    });
    const ring = findRing(item.steps);
    if (ring)
      issues.push({
        code: "inconsistent",
        path: at(
          "steps",
          item.steps.findIndex((s) => s.id === ring),
          "after",
        ),
        got: ring,
        wanted: "steps that do not wait for themselves",
      });
  });
  return issues;
}

function findRing(steps: PlanRequest["items"][number]["steps"]): string | undefined {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const state = new Map<string, "open" | "done">();
  const walk = (id: string): string | undefined => {
    if (state.get(id) === "done") return undefined;
    if (state.get(id) === "open") return id;
    state.set(id, "open");
    for (const link of byId.get(id)?.after ?? []) {
      const ring = walk(link.step);
      if (ring) return ring;
    }
    state.set(id, "done");
    return undefined;
  };
  for (const step of steps) {
    const ring = walk(step.id);
    if (ring) return ring;
  }
  return undefined;
}

function kitchenIssues({ kitchen }: PlanRequest): Issue[] {
  const issues: Issue[] = [];
  kitchen.cooks.forEach((cook, c) =>
    cook.hours.forEach((hours, h) => {
      if (minutesOfClock(hours.to)! <= minutesOfClock(hours.from)!)
        issues.push({
          code: "inconsistent",
          path: ["kitchen", "cooks", c, "hours", h, "to"],
          got: hours.to,
          wanted: `a time after ${hours.from}`,
        });
    }),
  );
  if (kitchen.cooks.every((cook) => cook.hours.length === 0))
    issues.push({ code: "missing", path: ["kitchen", "cooks", 0, "hours"], got: [], wanted: "hours of at least one cook" });
  const { oven, tray } = kitchen.equipment;
  if (oven?.shelfMm && tray) {
    const [a, b] = [...oven.shelfMm].sort((x, y) => x - y);
    const [c, d] = [...tray.mm].sort((x, y) => x - y);
    if (c > a || d > b)
      issues.push({
        code: "inconsistent",
        path: ["kitchen", "equipment", "tray", "mm"],
        got: tray.mm,
        wanted: `a tray that fits the oven's shelf of ${oven.shelfMm.join(" × ")} mm`,
      });
  }
  return issues;
}

function gatheringIssues(request: PlanRequest): Issue[] {
  const { gathering, items, today } = request;
  const issues: Issue[] = [];
  const byId = new Map(items.map((item) => [item.id, item]));
  const known = "the id of an item of the request";
  const entry = (
    recipe: string,
    choices: Readonly<Record<string, string>>,
    split: readonly { filling: string }[] | undefined,
    path: (string | number)[],
  ) => {
    const item = byId.get(recipe);
    if (!item) return issues.push({ code: "unknown", path: [...path, "recipe"], got: recipe, wanted: known });
    for (const [school, option] of Object.entries(choices)) {
      const found = item.schools.find((s) => s.id === school);
      if (!found)
        issues.push({ code: "unknown", path: [...path, "choices", school], got: school, wanted: `a school of ${item.name}` });
      else if (!found.options.some((o) => o.id === option))
        issues.push({
          code: "unknown",
          path: [...path, "choices", school],
          got: option,
          wanted: `one of ${found.options.map((o) => o.id).join(", ")}`,
        });
    }
    split?.forEach((part, i) => {
      if (part.filling !== "base" && !item.filling.variants?.some((v) => v.id === part.filling))
        issues.push({
          code: "unknown",
          path: [...path, "split", i, "filling"],
          got: part.filling,
          wanted: "base or a filling variant of the item",
        });
    });
  };
  const splitSum = (pieces: number | undefined, split: readonly { pieces: number }[] | undefined, path: (string | number)[]) => {
    const sum = split?.reduce((total, part) => total + part.pieces, 0);
    if (pieces !== undefined && sum !== undefined && sum !== pieces)
      issues.push({ code: "inconsistent", path: [...path, "split"], got: sum, wanted: `parts that add up to ${pieces} pieces` });
  };
  const waveIds = new Set<string>(["freezer"]);
  gathering.waves.forEach((wave, w) => {
    const path = ["gathering", "waves", w];
    if (waveIds.has(wave.id))
      issues.push({ code: "inconsistent", path: [...path, "id"], got: wave.id, wanted: "an id that no other wave has" });
    waveIds.add(wave.id);
    const seen = new Set<string>();
    wave.items.forEach((item, i) => {
      if (seen.has(item.recipe))
        issues.push({
          code: "inconsistent",
          path: [...path, "items", i, "recipe"],
          got: item.recipe,
          wanted: "each item once in a wave",
        });
      seen.add(item.recipe);
      entry(item.recipe, item.choices, item.split, [...path, "items", i]);
      splitSum(item.pieces, item.split, [...path, "items", i]);
    });
  });
  gathering.freezer.forEach((item, i) => {
    entry(item.recipe, item.choices, item.split, ["gathering", "freezer", i]);
    splitSum(item.pieces, item.split, ["gathering", "freezer", i]);
  });
  gathering.doneAhead.forEach((ahead, i) => {
    const item = byId.get(ahead.recipe);
    if (!item) issues.push({ code: "unknown", path: ["gathering", "doneAhead", i, "recipe"], got: ahead.recipe, wanted: known });
    else if (!item.steps.some((step) => step.id === ahead.through))
      issues.push({
        code: "unknown",
        path: ["gathering", "doneAhead", i, "through"],
        got: ahead.through,
        wanted: `a step of ${item.name}`,
      });
  });
  if (issues.length > 0) return issues;

  const days = planDays(request);
  const date = gatheringDate(gathering.date, today);
  if (date < today)
    issues.push({
      code: "out_of_range",
      path: ["gathering", "date", "on"],
      got: date,
      wanted: `a day that is not before today (${today})`,
    });
  const start = Math.min(...request.kitchen.cooks.flatMap((cook) => cook.hours.map((h) => days.minute(h.day, h.from))));
  const needsHands = "a time after the first cook's hours begin";
  gathering.waves.forEach((wave, w) => {
    if (wave.items.length > 0 && days.minute(0, wave.time) <= start)
      issues.push({ code: "out_of_range", path: ["gathering", "waves", w, "time"], got: wave.time, wanted: needsHands });
  });
  gathering.freezer.forEach((item, i) => {
    if (days.minute(item.by.day, item.by.time) <= start)
      issues.push({ code: "out_of_range", path: ["gathering", "freezer", i, "by"], got: item.by.time, wanted: needsHands });
  });
  return issues;
}
