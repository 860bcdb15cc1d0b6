import type { Item } from "../schema";
import { SECOND_COAT } from "./steps/piece-steps";

/** What choices put on pieces and into pans, by its name on the list of what pieces are finished with. */
export const RIM = "On the rim";
export const LACE = "For the lacy crust";

/** Whether an entry follows from a choice, and is none of the recipe's own. */
export const isPut = ({ step, what }: Pick<Item["finish"][number], "step" | "what">): boolean =>
  step === SECOND_COAT || what === RIM || what === LACE;
