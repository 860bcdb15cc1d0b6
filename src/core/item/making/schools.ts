import type { Making } from "./making";
import { DOUGH_SCHOOLS } from "./schools/dough-schools";
import { FILLING_SCHOOLS } from "./schools/filling-schools";
import { HEAT_SCHOOLS } from "./schools/heat-schools";
import { PIECE_SCHOOLS } from "./schools/piece-schools";
import type { School } from "./schools/school";

export const SCHOOLS: readonly School[] = [...DOUGH_SCHOOLS, ...PIECE_SCHOOLS, ...HEAT_SCHOOLS, ...FILLING_SCHOOLS];

/** Which option of each school a cook chose, by their ids. */
export type SchoolChoices = Readonly<Record<string, string>>;

/** The making as a cook does it: choices of schools that it fits, one after the other. */
export const withChoices = (making: Making, choices: SchoolChoices): Making =>
  SCHOOLS.reduce((now, school) => {
    const option = school.options.find(({ id }) => id === choices[school.id]);
    return option && school.fits(making) ? option.of(now) : now;
  }, making);
