import type { Issue } from "../shared/issue";
import { repeatedIds } from "../shared/repeated";
import { sum } from "../shared/rounding";
import { gatheringDate, planDays } from "./calendar";
import type { Occasion } from "./occasion";
import type { Item } from "../item/schema";
import type { Gathering } from "./schema";
import type { MadeAs } from "./served";

/** More pieces in all than anybody makes at home, and than a plan is looked for. */
export const MOST_PIECES = 4000;

/**
 * What a gathering says that does not fit its items, its kitchen or today. Issues: `unknown` (an item, option, filling or step that is not there),
 * `inconsistent` (an item or an id twice, parts that do not add up), `out_of_range` (a day that is over, a time before anybody is there).
 */
export function gatheringIssues(request: Occasion): Issue[] {
  const { gathering, items, today } = request;
  const issues: Issue[] = [];
  const byId = new Map(items.map((item) => [item.id, item]));
  const known = "the id of an item of the request";
  const chosen = (item: Item, choices: Readonly<Record<string, string>>, path: (string | number)[]) => {
    for (const [school, option] of Object.entries(choices)) {
      const found = item.schools.find((s) => s.id === school);
      if (!found) issues.push({ code: "unknown", path: [...path, school], got: school, wanted: `a school of ${item.name}` });
      else if (!found.options.some((o) => o.id === option))
        issues.push({
          code: "unknown",
          path: [...path, school],
          got: option,
          wanted: `one of ${found.options.map((o) => o.id).join(", ")}`,
        });
    }
  };
  const entry = (recipe: string, { choices, split }: MadeAs, path: (string | number)[]) => {
    const item = byId.get(recipe);
    if (!item) return issues.push({ code: "unknown", path: [...path, "recipe"], got: recipe, wanted: known });
    chosen(item, choices, [...path, "choices"]);
    split?.forEach((part, i) => {
      if (part.choices) chosen(item, part.choices, [...path, "split", i, "choices"]);
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
      entry(item.recipe, item, [...path, "items", i]);
      splitSum(item.pieces, item.split, [...path, "items", i]);
    });
  });
  gathering.freezer.forEach((item, i) => {
    entry(item.recipe, item, ["gathering", "freezer", i]);
    splitSum(item.pieces, item.split, ["gathering", "freezer", i]);
  });
  const through = (list: "doneAhead" | "ahead", ahead: { recipe: string; through: string }, i: number) => {
    const item = byId.get(ahead.recipe);
    if (!item) issues.push({ code: "unknown", path: ["gathering", list, i, "recipe"], got: ahead.recipe, wanted: known });
    else if (!item.steps.some((step) => step.id === ahead.through))
      issues.push({
        code: "unknown",
        path: ["gathering", list, i, "through"],
        got: ahead.through,
        wanted: `a step of ${item.name}`,
      });
  };
  gathering.doneAhead.forEach((ahead, i) => through("doneAhead", ahead, i));
  gathering.ahead?.forEach((ahead, i) => {
    through("ahead", ahead, i);
    if (!request.kitchen.cooks.some((cook) => cook.hours.some((hours) => hours.day === ahead.day)))
      issues.push({
        code: "inconsistent",
        path: ["gathering", "ahead", i, "day"],
        got: ahead.day,
        wanted: "a day on which somebody cooks",
      });
  });
  const beside = gathering.beside ?? [];
  issues.push(...repeatedIds(beside, ["gathering", "beside"], "an id that nothing else beside has"));
  beside.forEach(({ wave, recipe }, i) => {
    if (recipe !== undefined && !items.some((item) => item.id === recipe))
      issues.push({ code: "unknown", path: ["gathering", "beside", i, "recipe"], got: recipe, wanted: "the id of an item" });
    if (!gathering.waves.some(({ id }) => id === wave))
      issues.push({ code: "unknown", path: ["gathering", "beside", i, "wave"], got: wave, wanted: "the id of a wave" });
  });
  const steps = new Set(items.flatMap((item) => item.steps.map((step) => step.id)));
  issues.push(...repeatedIds(gathering.rules, ["gathering", "rules"], "an id that no other rule has"));
  gathering.rules.forEach((rule, r) =>
    rule.steps.forEach((step, s) => {
      if (!steps.has(step))
        issues.push({
          code: "unknown",
          path: ["gathering", "rules", r, "steps", s],
          got: step,
          wanted: "the id of a step of one of the items",
        });
    }),
  );
  if (issues.length > 0) return issues;
  issues.push(...amountIssues(gathering));
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

/** Pieces that are asked for outright: in all no more than anybody makes, and of one item no more done ahead than there are. */
function amountIssues({ waves, freezer, doneAhead }: Gathering): Issue[] {
  const asked = new Map<string, (number | undefined)[]>();
  const ask = (recipe: string, pieces?: number) => asked.set(recipe, [...(asked.get(recipe) ?? []), pieces]);
  for (const { recipe, pieces } of [...waves.flatMap((wave) => wave.items), ...freezer]) ask(recipe, pieces);
  const all = sum([...asked.values()].flat().map((pieces) => pieces ?? 0));
  if (all > MOST_PIECES)
    return [{ code: "out_of_range", path: ["gathering"], got: `${all} pieces`, wanted: `at most ${MOST_PIECES} pieces in all` }];
  return doneAhead.flatMap(({ recipe, pieces }, i): Issue[] => {
    const wanted = asked.get(recipe) ?? [];
    // What follows from the guests is counted later.
    if (pieces === undefined || wanted.includes(undefined)) return [];
    const most = sum(wanted.map((count) => count ?? 0));
    return pieces > most
      ? [
          {
            code: "out_of_range",
            path: ["gathering", "doneAhead", i, "pieces"],
            got: pieces,
            wanted: `at most the ${most} pieces that are made`,
          },
        ]
      : [];
  });
}
