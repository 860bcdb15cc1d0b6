import { minutesOfClock } from "../shared/clock";
import type { Issue } from "../shared/issue";
import { nearest } from "../shared/known-keys";
import { repeatedIds } from "../shared/repeated";
import { KNOWN_EQUIPMENT, type Kitchen } from "./schema";
import { sizesOf } from "./sizes";

interface Span {
  readonly day?: number;
  readonly from: string;
  readonly to: string;
}

const minutesOf = ({ day = 0, from, to }: Span): readonly [number, number] => [
  day * 1440 + minutesOfClock(from)!,
  day * 1440 + minutesOfClock(to)!,
];

/** Stretches of time that end before they begin, or run into one another. */
export function spanIssues(spans: readonly Span[], path: Issue["path"], mayOverlap = false): Issue[] {
  const issues: Issue[] = [];
  spans.forEach((span, i) => {
    const [from, to] = minutesOf(span);
    if (to <= from)
      issues.push({ code: "inconsistent", path: [...path, i, "to"], got: span.to, wanted: `a time after ${span.from}` });
    else if (!mayOverlap) {
      const other = spans.slice(0, i).find((before) => minutesOf(before)[0] < to && from < minutesOf(before)[1]);
      if (other)
        issues.push({
          code: "inconsistent",
          path: [...path, i],
          got: `${span.from} to ${span.to}`,
          wanted: `times that do not overlap ${other.from} to ${other.to}`,
        });
    }
  });
  return issues;
}

/** "oven-2" is a second oven. */
const withoutNumber = (key: string): string => key.replace(/-\d{1,2}$/, "");

/**
 * What a kitchen says that does not fit together. Issues: `inconsistent` (hours that overlap or end before they begin, an id
 * twice, a tray that does not fit the oven), `missing` (nobody has hours), `unknown` (equipment that no step needs and that
 * nobody knows).
 * @param named equipment that steps of the items at hand name
 */
export function kitchenIssues({
  kitchen,
  named = new Set(),
}: {
  readonly kitchen: Kitchen;
  readonly named?: ReadonlySet<string>;
}): Issue[] {
  const issues: Issue[] = repeatedIds(kitchen.cooks, ["kitchen", "cooks"], "an id that no other cook has");
  const equipment = Object.keys(kitchen.equipment);
  const taken = new Set([...equipment, ...KNOWN_EQUIPMENT, "somebody-about"]);
  kitchen.cooks.forEach((cook, c) => {
    if (taken.has(withoutNumber(cook.id)))
      issues.push({
        code: "inconsistent",
        path: ["kitchen", "cooks", c, "id"],
        got: cook.id,
        wanted: "an id that no piece of equipment has",
      });
    issues.push(...spanIssues(cook.hours, ["kitchen", "cooks", c, "hours"]));
  });
  issues.push(...spanIssues(kitchen.breaks, ["kitchen", "breaks"], true), ...spanIssues(kitchen.roomC, ["kitchen", "roomC"]));
  for (const key of equipment) {
    if (KNOWN_EQUIPMENT.has(withoutNumber(key)) || named.has(key)) continue;
    const near = nearest(key, [...KNOWN_EQUIPMENT]);
    issues.push({
      code: "unknown",
      path: ["kitchen", "equipment", key],
      got: key,
      wanted: near ? `equipment that a step names; did you mean “${near}”?` : "equipment that a step names",
    });
  }
  if (kitchen.cooks.every((cook) => cook.hours.length === 0))
    issues.push({ code: "missing", path: ["kitchen", "cooks", 0, "hours"], got: [], wanted: "hours of at least one cook" });
  const { oven } = kitchen.equipment;
  if (oven?.shelfMm) {
    const [a, b] = [...oven.shelfMm].sort((x, y) => x - y);
    sizesOf("tray", kitchen).forEach(({ is: { mm } }, n) => {
      const [c, d] = [...mm].sort((x, y) => x - y);
      if (c > a || d > b)
        issues.push({
          code: "inconsistent",
          path: ["kitchen", "equipment", "tray", ...(n === 0 ? [] : ["others", n - 1]), "mm"],
          got: mm,
          wanted: `a tray that fits the oven's shelf of ${oven.shelfMm!.join(" × ")} mm`,
        });
    });
  }
  return issues;
}

/** The same for a kitchen by itself: paths begin at the kitchen, not at a request. */
export const ownKitchenIssues = (kitchen: Kitchen, named: ReadonlySet<string>): Issue[] =>
  kitchenIssues({ kitchen, named }).map((issue) => ({ ...issue, path: issue.path.slice(1) }));
