import { resourceText } from "../plan/reason-text";
import type { Plan } from "../plan/schema";
import { itemNameIn } from "../plan/task-text";
import { windowLevel, type FoodWindow } from "./windows";

/** How minutes of the plan and °C are shown. */
export interface WindowWords {
  readonly clock: (minute: number) => string;
  readonly degrees: (celsius: number) => string;
}

/** What a clock of food is called. */
export function windowTitle(plan: Plan, window: FoodWindow, task: (id: string) => string): string {
  switch (window.code) {
    case "alkali":
    case "waits":
      return task(window.task);
    case "egg-wash":
      return `Egg for brushing: ${itemNameIn(plan, window.item)}`;
    case "hot-oil":
      return `Hot oil: ${resourceText(plan, window.resource)}`;
    case "too-hot":
      return `Not to be eaten yet: ${task(window.task)}`;
  }
}

/** A clock of food as it stands, and what to do about it. */
export function windowText(window: FoodWindow, minute: number, shown: WindowWords): string {
  const isOver = windowLevel(window, minute) === "over";
  const until = shown.clock(window.until);
  switch (window.code) {
    case "alkali":
      return isOver
        ? `Past ${until}: rinse it well now and cook it at once.`
        : `Softens until it is rinsed: rinse from ${shown.clock(window.soonAt)} on, by ${until} at the latest.`;
    case "waits":
      return `Open since ${shown.clock(window.since)}, to go on by ${until}: what was made first goes first, the rest is covered.`;
    case "egg-wash":
      return isOver
        ? `Out since ${shown.clock(window.since)}: throw it away, beat a new one. Local rules come first.`
        : `Out since ${shown.clock(window.since)}; no longer than ${until}, usual guidance 2 h.`;
    case "hot-oil":
      return window.nextAt === undefined
        ? "Nothing more goes in: heat off, lid on, never moved while hot."
        : `Nothing in it until ${shown.clock(window.nextAt)}: ${isOver ? "turn it down now" : "stay by it"}; smoke means off at once.`;
    case "too-hot":
      return minute < window.until
        ? `Before ${until} it burns a mouth, a child's before ${shown.clock(window.childUntil)}; ${window.isMeasured ? `the core was ${shown.degrees(window.coreC)}` : `no core was measured, ${shown.degrees(window.coreC)} assumed`}. About, by its weight: break one open.`
        : `Children wait until ${shown.clock(window.childUntil)}; break one open.`;
  }
}
