import { minutesOfClock } from "../shared/clock";
import type { Issue } from "../shared/issue";
import type { Kitchen } from "./schema";

/**
 * What a kitchen says that does not fit together. Issues: `inconsistent` (hours that end before they begin, a tray that does not fit the oven),
 * `missing` (nobody has hours).
 */
export function kitchenIssues({ kitchen }: { readonly kitchen: Kitchen }): Issue[] {
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
