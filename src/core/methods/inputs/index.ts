import { UNITS } from "./units";
import { FORMULAS } from "./formulas";
import { COUNTS } from "./counts";
import { GEOMETRY } from "./geometry";
import { SHOPPING } from "./shopping";
import { DOUGH } from "./dough";
import { HEAT } from "./heat";
import { CARE } from "./care";

/** What each method accepts, by its name. */
export const INPUTS = { ...UNITS, ...FORMULAS, ...COUNTS, ...GEOMETRY, ...SHOPPING, ...DOUGH, ...HEAT, ...CARE } as const;
