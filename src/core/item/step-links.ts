import { fail, type Result } from "../shared/issue";
import { readNumber } from "../shared/typed";
import type { Item } from "./schema";
import { isHeat, StepSchema, type Step } from "./step";
import { workMinutes } from "./step-minutes";
import { withStep } from "./with-step";

/** Looks at a step, most of them, and the longest, min. */
const MOST_LOOKS = 20;
const LONGEST_LOOK = 60;
/** Longest that something is let wait before a step, min. */
const MOST_GAP_MIN = 2880;
/** Where nobody knows better, no longer than this in the fridge, h. Usual guidance; local rules come first. */
const MOST_HOURS = 72;

const changed = (item: Item, id: string, change: (step: Step) => object): Result<Item> =>
  withStep(item, id, (step) => StepSchema.parse({ ...step, ...change(step) }));

/** The looks at a step as they are typed: minute and length, from the end where the minute is below 0: "0 2, 14 1, -1 1". */
export const looksText = ({ tend = [] }: Pick<Step, "tend">): string =>
  tend.map(({ fromMin, minutes }) => `${fromMin} ${minutes}`).join(", ");

/** Sets when a step is looked at. Issues: `unknown` step; `unreadable`, `out_of_range` looks (outside the step, or too many). */
export function setLooks(item: Item, id: string, text: string): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  const rows = text
    .split(/[,;\n]+/)
    .map((row) => row.trim())
    .filter((row) => row !== "");
  const read = rows.map((row) => row.split(/\s+/).map(readNumber));
  const wrong = read.findIndex((row) => row.length !== 2 || row.some((one) => one === undefined || !Number.isInteger(one)));
  const wanted = "minutes from the beginning (below 0 from the end) and how long, such as 0 2, 14 1, -1 1";
  if (wrong >= 0) return fail({ code: "unreadable", path: ["looks"], got: rows[wrong], wanted });
  const lasts = step ? (step.rest?.max ?? workMinutes(step, item.base.pieces)) : 0;
  const outside = read.findIndex(
    ([from, minutes]) =>
      minutes! < 1 || minutes! > LONGEST_LOOK || (from! < 0 ? -from! > lasts || minutes! > -from! : from! + minutes! > lasts),
  );
  if (rows.length > MOST_LOOKS || (step && outside >= 0))
    return fail({
      code: "out_of_range",
      path: ["looks"],
      got: rows[Math.max(0, outside)],
      wanted: `up to ${MOST_LOOKS} looks within the ${Math.round(lasts)} min of the step`,
    });
  return changed(item, id, () => ({ tend: read.map(([fromMin, minutes]) => ({ fromMin: fromMin!, minutes: minutes! })) }));
}

/** How long after what is before it a step begins at the latest, min; undefined where that is the same. */
export const latestAfter = ({ after }: Pick<Step, "after">): number | undefined => {
  const gaps = after.flatMap(({ maxGapMin }) => maxGapMin ?? []);
  return gaps.length > 0 ? Math.min(...gaps) : undefined;
};

/** Sets it, or takes the limit away. Issues: `unknown` step, `out_of_range` gap (below what has to pass first). */
export function setLatestAfter(item: Item, id: string, minutes: number | undefined): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  const least = Math.max(0, ...(step?.after ?? []).map(({ minGapMin = 0 }) => minGapMin));
  if (minutes !== undefined && !(minutes >= least && minutes <= MOST_GAP_MIN))
    return fail({ code: "out_of_range", path: ["gap"], got: minutes, wanted: `${least} to ${MOST_GAP_MIN} min` });
  return changed(item, id, ({ after }) => ({
    after: after.map(({ maxGapMin: _before, ...link }) => ({ ...link, ...(minutes !== undefined && { maxGapMin: minutes }) })),
  }));
}

/**
 * Sets for how many hours what a step leaves may wait; undefined: it goes on as its recipe has it, at once or within its own limits.
 * Issues: `unknown` step, `out_of_range` hours.
 * @param mostHours what is in it keeps so long, by the usual guidance; undefined where that is not known
 */
export function setKeeps(item: Item, id: string, hours: number | undefined, mostHours: number | undefined): Result<Item> {
  const most = mostHours ?? MOST_HOURS;
  if (hours !== undefined && !(hours > 0 && hours <= most))
    return fail({
      code: "out_of_range",
      path: ["keeps"],
      got: hours,
      wanted: `above 0 and at most ${most} h by the usual guidance; local rules come first`,
    });
  return changed(item, id, ({ ahead, rest }) => ({
    ahead: hours === undefined ? undefined : { hours, where: ahead?.where ?? (rest?.where === "room" ? "room" : "fridge") },
  }));
}

/** Whether what a step is done to may be chosen: pieces go over heat load by load, doughs and fillings are one. */
export const canSetLot = (step: Step): boolean => step.part === "piece" && !isHeat(step);

/** Sets what a step is done to at a time. Issues: `unknown` step, `inconsistent` lot (it cannot be chosen). */
export function setLot(item: Item, id: string, lot: Step["lot"]): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  if (step && !canSetLot(step)) return fail({ code: "inconsistent", path: ["lot"], got: lot, wanted: "what it is done to now" });
  return changed(item, id, () => ({ lot }));
}
