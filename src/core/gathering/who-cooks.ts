import type { Issue } from "../shared/issue";
import { repeatedIds } from "../shared/repeated";
import { spanIssues } from "../kitchen/check";
import { withCounts } from "../kitchen/counts";
import type { Cook, Kitchen } from "../kitchen/schema";
import type { Gathering } from "./schema";

type Attendance = Pick<Gathering, "attendance" | "breaks" | "equipment">;

/**
 * The kitchen as it is for a gathering: its cooks with the hours they have then, those who come only then, the breaks of that day
 * and what is borrowed for it. Asked again of its own answer it says the same.
 */
export function kitchenFor({ attendance = [], breaks, equipment = {} }: Attendance, kitchen: Kitchen): Kitchen {
  if (attendance.length === 0 && !breaks && Object.keys(equipment).length === 0) return kitchen;
  const there = kitchen.cooks.map((cook): Cook => {
    const { name, skill, hours, notFor } = attendance.find((entry) => entry.cook === cook.id) ?? {};
    return { ...cook, ...(name && { name }), ...(skill && { skill }), ...(hours && { hours }), ...(notFor && { notFor }) };
  });
  const more = attendance
    .filter((entry) => !kitchen.cooks.some((cook) => cook.id === entry.cook))
    .map(({ cook, name, skill, hours, notFor }): Cook => ({
      id: cook,
      name: name ?? cook,
      skill: skill ?? "intermediate",
      hours,
      notFor: notFor ?? [],
    }));
  return { ...withCounts(kitchen, equipment), cooks: [...there, ...more], ...(breaks && { breaks }) };
}

/** What attendance says that does not fit. Issues: `missing` (the name of a cook whom the kitchen does not know), `inconsistent` (hours that overlap or end before they begin, a cook twice). */
export function attendanceIssues({ attendance = [], breaks = [] }: Attendance, kitchen: Kitchen): Issue[] {
  const path = ["gathering", "attendance"];
  return [
    ...repeatedIds(
      attendance.map(({ cook }) => ({ id: cook })),
      path,
      "each cook once",
    ),
    ...attendance.flatMap(({ cook, name, hours }, i): Issue[] => [
      ...(name === undefined && !kitchen.cooks.some(({ id }) => id === cook)
        ? [{ code: "missing" as const, path: [...path, i, "name"], got: undefined, wanted: "a name" }]
        : []),
      ...spanIssues(hours, [...path, i, "hours"]),
    ]),
    ...spanIssues(breaks, ["gathering", "breaks"], true),
  ];
}
