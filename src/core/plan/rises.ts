import { restInRoom, slowRiseMin } from "../item/rest-in-room";
import type { Step } from "../item/step";
import { roomAt } from "../kitchen/room";
import type { Kitchen } from "../kitchen/schema";
import { wallMinute } from "../shared/clock";
import { isBestWarm } from "./expand/serving";
import { stepIn, type Note, type Plan } from "./schema";

type Placed = Plan["solution"]["tasks"][number];

/** Whole minutes: less than this is no difference. */
const SAME_MIN = 1;

/** A rise as it is planned. */
interface Rise {
  readonly item: string;
  readonly step: Step;
  readonly placed: Placed;
  readonly readyMin: number;
  readonly longestMin: number;
}

function risesOf(plan: Plan): Rise[] {
  const durations = new Map(plan.problem.tasks.map(({ id, duration }) => [id, duration]));
  return plan.solution.tasks.flatMap((placed) => {
    const { rise, item } = plan.tasks[placed.id];
    const step = stepIn(plan, placed.id);
    const duration = durations.get(placed.id);
    if (!rise || !step || duration === undefined) return [];
    const longestMin = Array.isArray(duration) ? duration[1] : placed.end - placed.start;
    return [{ item, step, placed, readyMin: rise.readyMin, longestMin }];
  });
}

/** How old the first piece of a lot is when its rise ends, min since it was shaped, and how old it may be in that room. */
function firstPiece(plan: Plan, { placed, step }: Rise, kitchen: Pick<Kitchen, "roomC">) {
  const at = new Map(plan.solution.tasks.map((one) => [one.id, one]));
  const before = plan.problem.tasks.find(({ id }) => id === placed.id)!.after.map(({ task }) => task);
  const shaped = before.flatMap((id) => {
    const { attention, part, time } = stepIn(plan, id) ?? step;
    return attention === "hands-on" && part === "piece" ? [at.get(id)!.start + time.secPerPiece / 60] : [];
  });
  const roomC = roomAt(kitchen, wallMinute(placed.end - 1, plan.clockChanges));
  return { ageMin: placed.end - Math.min(placed.start, ...shaped), limitMin: restInRoom(step.rest!, roomC).tooFarMin };
}

/** Items of a plan that are eaten warm at a wave. */
const isWarm = (plan: Plan, task: string): boolean => {
  const { item, for: targets } = plan.tasks[task];
  const ends = Object.entries(plan.steps).filter(([key, { kind }]) => key.startsWith(`${item}/`) && kind === "serve");
  return targets.some((id) => id !== "freezer") && ends.some(([, { hold }]) => hold !== undefined && isBestWarm(hold.best));
};

/** What is to be said about the rises of a plan: a lot whose first piece goes too far, and no time in hand for a slow one. */
export function riseNotes(plan: Plan, kitchen: Pick<Kitchen, "roomC">): Note[] {
  const rises = risesOf(plan);
  const about = (those: readonly { readonly item: string }[]) => [...new Set(those.map(({ item }) => item))];
  const old = rises
    .map((rise) => ({ item: rise.item, ...firstPiece(plan, rise, kitchen) }))
    .filter(({ ageMin, limitMin }) => ageMin > limitMin + SAME_MIN);
  const hurried = rises.filter(
    ({ placed, readyMin, longestMin }) =>
      isWarm(plan, placed.id) && placed.end - placed.start + SAME_MIN < Math.min(longestMin, slowRiseMin(readyMin)),
  );
  const notes: Note[] = [];
  if (old.length > 0) {
    const { ageMin, limitMin } = old.reduce((most, one) =>
      one.ageMin - one.limitMin > most.ageMin - most.limitMin ? one : most,
    );
    notes.push({ level: "caution", code: "first-too-far", about: about(old), ageMin, limitMin });
  }
  if (hurried.length > 0) notes.push({ level: "caution", code: "no-time-to-rise", about: about(hurried) });
  return notes;
}
