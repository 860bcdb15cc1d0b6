import { UNITS } from "./units";
import { FORMULAS } from "./formulas";
import { COUNTS } from "./counts";
import { GEOMETRY } from "./geometry";
import { SHOPPING } from "./shopping";

/** What each method accepts, by its name. */
export const INPUTS = { ...UNITS, ...FORMULAS, ...COUNTS, ...GEOMETRY, ...SHOPPING } as const;
