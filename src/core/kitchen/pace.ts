import { sum } from "../shared/rounding";
import { SKILL_FACTOR } from "../process/hands";
import type { Cook } from "./schema";

/** By how much longer a cook's hands take than a recipe says: their own where it is known, else their skill's. */
export const paceOf = ({ pace, skill }: Pick<Cook, "pace" | "skill">): number => pace ?? SKILL_FACTOR[skill];

/** Several pairs of hands on pieces that are made independently: times what a recipe says, or minutes a piece, of all together. */
export const paceTogether = (paces: readonly number[]): number => 1 / sum(paces.map((pace) => 1 / pace));
