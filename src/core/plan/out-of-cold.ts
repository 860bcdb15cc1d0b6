import type { Kitchen } from "../kitchen/schema";
import { roomAt } from "../kitchen/room";
import { holdTime, type Guide, type HoldPeriod } from "../process/safety";
import type { Step } from "../item/step";
import { stepIn, type Plan } from "./schema";

/** Raw food out of the fridge is taken to be as warm as this, °C: in the zone in which it spoils. */
const OUT_C = 12;
const COLD: ReadonlySet<string> = new Set(["fridge", "freezer"]);

/** What a lot was out of the cold on its whole way to the heat, min, against the usual limit. */
export interface OutOfCold {
  readonly usedMin: number;
  readonly limitMin: number;
  readonly isWithin: boolean;
}

/** Whether a step is a rest in the cold. */
export const isColdRest = (step: Step): boolean => COLD.has(step.rest?.where ?? "");

/** Whether what a step leaves lies in the fridge until the next begins. */
export const leavesCold = (step: Step): boolean => isColdRest(step) || COLD.has(step.ahead?.where ?? "");

/** How long raw food is usually out of the cold at the most, all stretches together, in a room of so many °C, min. */
export const usualLimitMin = ({ guide = "us" }: Pick<Kitchen, "guide">, roomC: number): number =>
  holdTime({ periods: [{ minutes: 1, foodC: OUT_C, ambientC: roomC }], guide, service: "hot" }).limitMin;

/**
 * How long the pieces of a heat were out of the cold before it: from where their filling is weighed or taken out, all stretches
 * together, mixing, shaping and waiting. Undefined for a task that is no heat with a core to be measured. Usual guidance; local rules
 * come first.
 */
export function outOfCold(plan: Plan, task: string, kitchen: Pick<Kitchen, "roomC" | "guide">): OutOfCold | undefined {
  const heat = stepIn(plan, task);
  const info = plan.tasks[task];
  const placed = plan.solution.tasks.find(({ id }) => id === task);
  if (!heat || !placed || heat.coreC === undefined || heat.part !== "piece") return undefined;
  const [first, end] = info.range;
  const own = plan.solution.tasks.flatMap((one) => {
    const step = stepIn(plan, one.id);
    const { item, range } = plan.tasks[one.id] ?? {};
    const isOn = step !== undefined && item === info.item && step.part !== "dough" && one.end <= placed.start;
    return isOn ? [{ ...one, step, range: range! }] : [];
  });
  // Lots go their own ways: the one that is out longest counts.
  const pieces = [...new Set([first, ...own.map(({ range }) => range[0])])].filter((piece) => piece >= first && piece < end);
  const guide: Guide = kitchen.guide ?? "us";
  const answers = pieces.map((piece) => {
    const way = own.filter(({ range }) => range[0] <= piece && piece < range[1]).sort((a, b) => a.start - b.start);
    return holdTime({ periods: periodsOf(way, placed.start, kitchen), guide, service: "hot" });
  });
  const worst = answers.reduce((most, one) => (one.usedMin > most.usedMin ? one : most));
  return { usedMin: worst.usedMin, limitMin: worst.limitMin, isWithin: worst.ok };
}

/** The stretches out of the cold on one piece's way, its steps in their order. */
function periodsOf(
  way: readonly { readonly start: number; readonly end: number; readonly step: Step }[],
  heat: number,
  kitchen: Pick<Kitchen, "roomC">,
): HoldPeriod[] {
  // Cooked before, it cools by guidance of its own: only what came out of the fridge since counts.
  const raw = way.slice(way.findLastIndex(({ step }) => step.kind === "cook-filling" || step.kind === "cool-filling") + 1);
  return raw.flatMap(({ start, end, step }, k) => {
    const until = leavesCold(step) ? end : (raw[k + 1]?.start ?? heat);
    return isColdRest(step) || until <= start ? [] : [{ minutes: until - start, foodC: OUT_C, ambientC: roomAt(kitchen, start) }];
  });
}
