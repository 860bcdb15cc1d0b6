import type { Making } from "./making";
import { DOUGH_SCHOOLS } from "./schools/dough-schools";
import { FILLING_SCHOOLS } from "./schools/filling-schools";
import { HEAT_SCHOOLS } from "./schools/heat-schools";
import { PIECE_SCHOOLS } from "./schools/piece-schools";
import type { School } from "./schools/school";

/** What the questions are about, in the order in which they are asked and in which answers are laid over each other. */
export const SCHOOL_PARTS = ["dough", "pieces", "heat", "filling"] as const;
export type SchoolPart = (typeof SCHOOL_PARTS)[number];
const BY_PART: Readonly<Record<SchoolPart, readonly School[]>> = {
  dough: DOUGH_SCHOOLS,
  pieces: PIECE_SCHOOLS,
  heat: HEAT_SCHOOLS,
  filling: FILLING_SCHOOLS,
};

export const SCHOOLS: readonly School[] = SCHOOL_PARTS.flatMap((part) => BY_PART[part]);
const PART_OF = new Map(SCHOOL_PARTS.flatMap((part) => BY_PART[part].map(({ id }) => [id, part] as const)));
export const schoolPart = (id: string): SchoolPart | undefined => PART_OF.get(id);

/** Which option of each school a cook chose, by their ids. */
export type SchoolChoices = Readonly<Record<string, string>>;

/** The making as a cook does it: choices of schools that it fits, one after the other. */
export const withChoices = (making: Making, choices: SchoolChoices): Making =>
  SCHOOLS.reduce((now, school) => {
    const option = school.options.find(({ id }) => id === choices[school.id]);
    return option && school.fits(making) ? option.of(now) : now;
  }, making);
