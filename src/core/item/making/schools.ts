import { ingredientOf, isYeast } from "../../ingredients/lookup";
import type { Dough, DoughRest } from "./doughs";
import { isBaked, type Making } from "./making";

/** One way of doing it. `of`: the making done so. */
interface SchoolOption {
  readonly id: string;
  readonly name: string;
  /** What it is good for, and what it asks of the cook. */
  readonly note: string;
  readonly of: (making: Making) => Making;
}

/** A question on which cooks differ, as a rule: whatever it fits is asked it. Kitchen figures of our own. */
export interface School {
  readonly id: string;
  readonly question: string;
  readonly fits: (making: Making) => boolean;
  /** What is done where nobody says: by the recipe, else as is usual for it. */
  readonly usual: (making: Making) => string;
  readonly options: readonly SchoolOption[];
}

const asIs = (making: Making): Making => making;
const withDough = (making: Making, change: Partial<Dough>): Making => ({ ...making, dough: { ...making.dough, ...change } });
const ownDough = ({ bought }: Making): boolean => bought === undefined;
const isShort = (making: Making): boolean => ["SH", "FS"].includes(making.dough.id);
/** The rest of the recipe's own words about a stage falls away where the cook decides otherwise. */
const unsaid = (making: Making, ...stages: (keyof Making["says"])[]): Making => ({
  ...making,
  says: { ...making.says, ...Object.fromEntries(stages.map((stage) => [stage, undefined])) },
});
const times = (rest: DoughRest, factor: number): DoughRest => ({
  ...rest,
  min: Math.round(rest.min * factor),
  target: Math.round(rest.target * factor),
  max: Math.round(rest.max * factor),
});
const lasting = (rest: DoughRest | undefined, min: number, target: number, max: number): DoughRest | undefined =>
  rest && { ...rest, min, target, max };

/** Seconds a piece more where a soft or tight dough is rolled. */
const SOFT_ROLL = 6;
const TIGHT_ROLL = 8;

const isMeat = ({ filling }: Making): boolean => filling.id === "raw-meat";
const hasVegetable = ({ lines }: Making): boolean =>
  lines.filling.some((line) => ingredientOf(line)?.kinds.includes("vegetable") === true);

/** By how much a rise after a night in the fridge takes longer, since the dough is cold, min. */
const COLD_START_MIN = 20;
const NIGHT = { text: "overnight", least: 480, most: 960, night: true } as const;

const later = (rest: DoughRest | undefined, minutes: number): DoughRest | undefined =>
  rest && { ...rest, min: rest.min + minutes, target: rest.target + minutes, max: rest.max + minutes };

export const SCHOOLS: readonly School[] = [
  {
    id: "cold-rest",
    question: "How long does the dough rest in the cold before it is rolled?",
    fits: (making) => isShort(making) && ownDough(making),
    usual: ({ says }) => (says.firstRest ? "recipe" : "three-quarters"),
    options: [
      { id: "recipe", name: "as the recipe says", note: "the recipe's own time", of: asIs },
      {
        id: "none",
        name: "not at all",
        note: "rolled at once between two sheets: soft, it shrinks more; not in a warm kitchen",
        of: (making) => ({ ...unsaid(withDough(making, { first: undefined }), "firstRest"), rollMoreSec: SOFT_ROLL }),
      },
      {
        id: "half",
        name: "half an hour",
        note: "enough for a flat packet in a cold fridge",
        of: (making) => unsaid(withDough(making, { first: lasting(making.dough.first, 20, 30, 2880) }), "firstRest"),
      },
      {
        id: "three-quarters",
        name: "three quarters of an hour",
        note: "firm all through, rolls without sticking",
        of: (making) => unsaid(withDough(making, { first: lasting(making.dough.first, 30, 45, 2880) }), "firstRest"),
      },
      {
        id: "night",
        name: "overnight",
        note: "mixed the day before; hard when it comes out: 10 to 25 min on the table before it is rolled",
        of: (making) => unsaid(withDough(making, { first: lasting(making.dough.first, 480, 600, 2880) }), "firstRest"),
      },
    ],
  },
  {
    id: "rises",
    question: "How often, and where, does it rise?",
    fits: (making) => ownDough(making) && making.dough.first?.yeasted === true && making.dough.final !== undefined,
    usual: () => "twice",
    options: [
      { id: "twice", name: "twice, in the room", note: "as a lump, then as pieces", of: asIs },
      {
        id: "once",
        name: "once, as pieces",
        note: "sooner; the one rise takes longer, the crumb is less fine",
        of: (making) =>
          unsaid(
            withDough(making, { first: undefined, final: making.dough.final && times(making.dough.final, 1.4) }),
            "firstRest",
          ),
      },
      {
        id: "lump",
        name: "once, as a lump",
        note: "pieces only stand for a quarter of an hour: denser, they keep their shape",
        of: (making) => unsaid(withDough(making, { final: lasting(making.dough.final, 15, 20, 25) }), "formedRest"),
      },
      {
        id: "night",
        name: "overnight in the fridge, then as pieces",
        note: "mixed the evening before; cold dough, so the second rise takes longer",
        of: (making) => ({
          ...withDough(making, { final: later(making.dough.final, COLD_START_MIN) }),
          says: { ...making.says, firstRest: { text: "", length: NIGHT } },
        }),
      },
    ],
  },
  {
    id: "waking",
    question: "Is the yeast woken in warm liquid first?",
    fits: (making) => ownDough(making) && making.lines.dough.some((line) => isYeast(line)),
    usual: ({ blooms }) => (blooms ? "yes" : "no"),
    options: [
      {
        id: "no",
        name: "straight into the flour",
        note: "right for instant yeast",
        of: (making) => ({ ...making, blooms: false }),
      },
      {
        id: "yes",
        name: "woken first",
        note: "froth shows that it lives, before flour goes in; active dry yeast wants it",
        of: (making) => ({ ...making, blooms: true }),
      },
    ],
  },
  {
    id: "kneading",
    question: "By machine or by hand?",
    fits: (making) => ownDough(making) && making.dough.mixing.mixer !== undefined,
    usual: () => "machine",
    options: [
      { id: "machine", name: "by machine", note: "hands are free for something else; the machine is one thing less", of: asIs },
      {
        id: "hand",
        name: "by hand",
        note: "no machine to share and to wash; hands stay with it throughout",
        of: (making) => withDough(making, { mixing: { ...making.dough.mixing, mixer: undefined } }),
      },
    ],
  },
  {
    id: "relaxing",
    question: "Does the dough rest before it is rolled?",
    fits: (making) => ownDough(making) && ["HW", "CW"].includes(making.dough.id),
    usual: () => "yes",
    options: [
      { id: "yes", name: "yes, covered", note: "it rolls thin and stays so", of: asIs },
      {
        id: "no",
        name: "no",
        note: "sooner, but it springs back: rolling takes longer, and the rounds come out thicker",
        of: (making) => ({ ...unsaid(withDough(making, { first: undefined }), "firstRest"), rollMoreSec: TIGHT_ROLL }),
      },
    ],
  },
  {
    id: "formed-cold",
    question: "Do formed pieces go into the cold before the heat?",
    fits: (making) =>
      making.bought !== "pieces" &&
      making.dough.final === undefined &&
      (making.dough.formed !== undefined || making.says.formedRest !== undefined),
    usual: () => "yes",
    options: [
      { id: "yes", name: "yes", note: "seams hold, edges stay sharp, fat stays in the dough", of: asIs },
      {
        id: "no",
        name: "no, straight on",
        note: "sooner; seams may open and edges soften",
        of: (making) => unsaid(withDough(making, { formed: undefined }), "formedRest"),
      },
    ],
  },
  {
    id: "pan-start",
    question: "Into the hot pan, or all of it in cold?",
    fits: ({ method }) => method.id === "pan",
    usual: ({ coldStart }) => (coldStart ? "cold" : "hot"),
    options: [
      {
        id: "hot",
        name: "fried first, then water",
        note: "crisper; water on hot fat spits",
        of: (making) => ({ ...making, coldStart: false }),
      },
      {
        id: "cold",
        name: "oil, pieces and water in cold",
        note: "no water on hot fat: for learners and for frozen pieces",
        of: (making) => ({ ...making, coldStart: true }),
      },
    ],
  },
  {
    id: "coats",
    question: "How many coats of wash?",
    fits: ({ method, lines }) => isBaked(method.id) && lines.finish.length > 0,
    usual: () => "one",
    options: [
      { id: "one", name: "one", note: "even, and quick", of: asIs },
      {
        id: "two",
        name: "two",
        note: "darker and glossier; the first one dries before the second, which takes as much again",
        of: (making) => ({ ...making, secondCoat: true }),
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
    usual: () => "no",
    options: [
      { id: "no", name: "no", note: "", of: asIs },
      {
        id: "alkali",
        name: "a quarter of an hour, then rinsed",
        note: "3 g for 1 kg of meat; red meat 24 min at the most, and never before a wait: it goes slimy",
        of: (making) => ({ ...making, alkali: true }),
      },
    ],
  },
];

/** Which option of each school a cook chose, by their ids. */
export type SchoolChoices = Readonly<Record<string, string>>;

/** The making as a cook does it: choices of schools that it fits, one after the other. */
export const withChoices = (making: Making, choices: SchoolChoices): Making =>
  SCHOOLS.reduce((now, school) => {
    const option = school.options.find(({ id }) => id === choices[school.id]);
    return option && school.fits(making) ? option.of(now) : now;
  }, making);
