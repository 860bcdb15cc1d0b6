import type { Step } from "./step";

/** A lid that stays shut for the first part of a heat, and why. */
export interface LidLock {
  readonly code: "steam-falls" | "pan-falls";
  /** Of the length of the heat, from its start, is it locked. */
  readonly share: number;
}

/** A steamer stays shut for so much of its time, a pan to the end. */
const STEAM_SHARE = 0.8;

/**
 * Whether lifting the lid spoils what is under it: a dough that rises falls in when the steam leaves it. Without yeast nothing
 * is locked.
 * @param rises whether the dough of the item is raised by yeast
 */
export function lidLock(step: Pick<Step, "kind" | "equipment">, rises: boolean): LidLock | undefined {
  if (!rises) return undefined;
  if (step.kind === "steam") return { code: "steam-falls", share: STEAM_SHARE };
  const isLidded = step.kind === "pan-fry" && step.equipment.some(({ id }) => id === "lidded-pan");
  return isLidded ? { code: "pan-falls", share: 1 } : undefined;
}

/** Why it stays shut, as a sentence. */
export const LOCK_TEXT: Readonly<Record<LidLock["code"], string>> = {
  "steam-falls": "The lid stays shut: raised dough falls in when the steam leaves it.",
  "pan-falls": "The lid stays shut until the time is over: raised dough falls in when the steam leaves it.",
};
