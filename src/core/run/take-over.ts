import { z } from "zod";
import { noteUsed } from "../item/by-feel";
import type { Item } from "../item/schema";
import { editStep } from "../item/step-edit";
import { usualMinutes } from "../item/step-minutes";
import type { Kitchen } from "../kitchen/schema";
import { roomIn } from "../plan/room-in";
import type { Plan } from "../plan/schema";
import { fail, type Result } from "../shared/issue";
import { amountsAfter, heldLiquid, stepsAfter } from "./afterwards";
import type { RunState } from "./run-state";

/** Longer than so many times a step was left lying, or nobody pressed. */
const MOST_TIMES = 4;
const name = z.string().min(1).max(120);
const grams = z.number().gt(0).max(100_000);
const celsius = z.number().min(0).max(45);

/** A figure of a day that an item or the kitchen may take over, so that the next plan has it. */
export const TakeoverSchema = z.discriminatedUnion("code", [
  /** A step took longer than it says: so many times as long, of those that somebody timed. */
  z.object({
    code: z.literal("step"),
    item: name,
    step: name,
    timesAsLong: z.number().gt(1).max(MOST_TIMES),
    count: z.int().min(1).max(10_000),
  }),
  z.object({ code: z.literal("liquid"), item: name, component: name, grams, plannedG: grams }),
  z.object({ code: z.literal("room"), c: celsius, plannedC: celsius }),
]);
export type Takeover = z.output<typeof TakeoverSchema>;

/** What a figure is of: the same one is taken over once a day. */
export const takeoverKey = (one: Takeover): string =>
  one.code === "room" ? "room" : `${one.code}/${one.item}/${one.code === "step" ? one.step : one.component}`;

/** Longer by less than this is chance: a share, and minutes. */
const LONGER = { share: 0.1, minutes: 2 } as const;

/** Figures of a day that are worth keeping; a time only where it was longer: what went quicker once may not do so again. */
export function takeoversOf(plan: Plan, state: RunState): Takeover[] {
  const bySteps = new Map<string, { planned: number; went: number; count: number }>();
  for (const { task, planned, went, isAssumed } of stepsAfter(plan, state)) {
    const { item, step } = plan.tasks[task];
    if (!went || isAssumed || step === null || planned.minutes <= 0) continue;
    const key = JSON.stringify([item, step]);
    const was = bySteps.get(key) ?? { planned: 0, went: 0, count: 0 };
    bySteps.set(key, { planned: was.planned + planned.minutes, went: was.went + went.minutes, count: was.count + 1 });
  }
  const steps = [...bySteps].flatMap(([key, { planned, went, count }]): Takeover[] => {
    const [item, step] = JSON.parse(key) as [string, string];
    const isLonger = went - planned >= LONGER.minutes * count && went >= planned * (1 + LONGER.share);
    return isLonger ? [{ code: "step", item, step, timesAsLong: Math.min(MOST_TIMES, went / planned), count }] : [];
  });
  const liquids = plan.day.items.flatMap(({ id: item }): Takeover[] => {
    const water = amountsAfter(plan, state, item).find(({ what }) => what === "water");
    const liquid = heldLiquid(plan, item);
    return liquid && water?.came !== undefined && Math.abs(water.came - liquid.grams) >= 1
      ? [{ code: "liquid", item, component: liquid.component, grams: water.came, plannedG: liquid.grams }]
      : [];
  });
  const { roomC } = state;
  const plannedC = roomIn(plan, state.lastMinute ?? 0);
  const room: Takeover[] = roomC !== undefined && Math.abs(roomC - plannedC) >= 1 ? [{ code: "room", c: roomC, plannedC }] : [];
  return [...liquids, ...steps, ...room];
}

/** An item with a figure of a day. Issues: `unknown` step or component, `out_of_range`. */
export function takenIntoItem(item: Item, takeover: Exclude<Takeover, { code: "room" }>): Result<Item> {
  if (takeover.code === "liquid") return noteUsed(item, takeover.component, takeover.grams, takeover.plannedG);
  const step = item.steps.find(({ id }) => id === takeover.step);
  if (!step) return fail({ code: "unknown", path: ["step"], got: takeover.step, wanted: "a step of this item" });
  // As it stands in the item, for its own batch: what this kitchen took longer it takes there too.
  const saidMin = step.tookMin ?? usualMinutes(step, item.base.pieces);
  return editStep(item, step.id, { tookMin: Math.round(saidMin * takeover.timesAsLong) });
}

/** A kitchen whose room is as warm as it was measured, all day. */
export const takenIntoKitchen = (kitchen: Kitchen, { c }: Extract<Takeover, { code: "room" }>): Kitchen => ({
  ...kitchen,
  roomC: [{ from: "00:00", to: "24:00", c }],
});
