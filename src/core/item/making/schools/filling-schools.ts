import { ingredientOf } from "../../../ingredients/lookup";
import type { Making } from "../making";
import { asIs, type School } from "./school";

const isMeat = ({ filling }: Making): boolean => filling.id === "raw-meat";
const hasVegetable = ({ lines }: Making): boolean =>
  lines.filling.some((line) => ingredientOf(line)?.kinds.includes("vegetable") === true);

const isStewed = ({ filling }: Making): boolean => filling.id === "meat-in-sauce";

/** How a filling is made. */
export const FILLING_SCHOOLS: readonly School[] = [
  {
    id: "cooling",
    question: "How does the filling cool?",
    fits: ({ filling, hotFilling }) => filling.cookMin !== undefined && hotFilling === undefined,
    usual: () => "flat",
    options: [
      { id: "flat", name: "10 mm deep on trays", note: "quickest; takes the most room", of: asIs },
      {
        id: "dish",
        name: "25 mm deep in a dish",
        note: "one dish; stir it once",
        of: (making) => ({ ...making, coolDepthMm: 25 }),
      },
      {
        id: "deep",
        name: "40 mm deep",
        note: "so slow that the usual guidance is not kept",
        of: (making) => ({ ...making, coolDepthMm: 40 }),
      },
      {
        id: "ice",
        name: "in flat bags in ice water",
        note: "no trays and no fridge place; as much ice as filling",
        of: (making) => ({ ...making, coolsInIce: true }),
      },
    ],
  },
  {
    id: "hot-filling",
    question: "Is the filling cold before the lid goes on?",
    fits: ({ method, filling, isRaw }) => method.id === "dish" && filling.cookMin !== undefined && !isRaw,
    usual: () => "cold",
    options: [
      { id: "cold", name: "cold", note: "the lid can be sealed and may wait; the base stays dry", of: asIs },
      {
        id: "hot",
        name: "hot, under a lid that is not sealed",
        note: "no cooling and nothing to keep; it goes into the oven within 5 min",
        of: (making) => ({ ...making, hotFilling: true }),
      },
    ],
  },
  {
    id: "salting",
    question: "Are watery vegetables salted by themselves first?",
    fits: (making) => isMeat(making) && hasVegetable(making),
    usual: () => "together",
    options: [
      { id: "together", name: "all at once", note: "quicker; liquid may run later", of: asIs },
      {
        id: "apart",
        name: "salted, squeezed, added last",
        note: "the filling stays firm and the dough dry",
        of: (making) => ({ ...making, saltsApart: true }),
      },
    ],
  },
  {
    id: "tenderising",
    question: "Is the meat tenderised with baking soda?",
    // Poultry is not rinsed: what splashes off it makes people ill.
    fits: (making) => isMeat(making) && making.hazard !== "poultry",
    usual: ({ alkali }) => (alkali ? "alkali" : "no"),
    options: [
      { id: "no", name: "no", note: "as it comes from the board", of: (making) => ({ ...making, alkali: undefined }) },
      {
        id: "alkali",
        name: "a quarter of an hour, then rinsed",
        note: "3 g for 1 kg of meat; red meat 24 min at the most, and never before a wait: it goes slimy",
        of: (making) => ({ ...making, alkali: true }),
      },
      {
        id: "pounded",
        name: "pounded",
        note: "2 min more by hand for each 250 g, and nothing to rinse",
        of: (making) => ({ ...making, alkali: undefined, pounded: true }),
      },
    ],
  },
  {
    id: "cut",
    question: "Is the meat minced, or cut by hand?",
    fits: (making) => isMeat(making) || isStewed(making),
    usual: () => "minced",
    options: [
      { id: "minced", name: "minced", note: "even, quickly done", of: asIs },
      {
        id: "diced",
        name: "in dice of 6 mm",
        note: "more bite; 40 s more for each 100 g, and 10 min more where it is stewed",
        of: (making) => ({ ...making, diced: true }),
      },
    ],
  },
  {
    id: "tempering",
    question: "Does a filling from the fridge stand before it is wrapped?",
    fits: (making) =>
      !making.isRaw && making.hazard !== "egg" && making.hotFilling === undefined && making.filling.cookMin !== undefined,
    usual: () => "cold",
    options: [
      {
        id: "cold",
        name: "straight from the fridge",
        note: "firm, it shapes well; a yeast dough rises a little later",
        of: asIs,
      },
      {
        id: "tempered",
        name: "20 min on the table",
        note: "a yeast dough is not held up; not for a warm kitchen and a fatty dough",
        of: (making) => ({ ...making, tempered: true }),
      },
    ],
  },
];
