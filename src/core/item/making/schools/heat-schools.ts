import { bakeTime, SAME_LOAD } from "../../../process/oven";
import { isBaked, type Making } from "../making";
import { heatFigures } from "../steps/heat-steps";
import { asIs, type School } from "./school";

/** A hot start sets the crust: this part of the time, so much hotter; what follows is cooler by less. */
const HOT_START = { part: 1 / 3, hotterC: 20, coolerC: 10, mostC: 230, leastMin: 15 } as const;
/** A setting away from the usual one, and what it does to the time. */
const GENTLER = { byC: -15, factor: 1.2 } as const;
const HOTTER = { byC: 15, factor: 0.85 } as const;
const LOOK_MIN = 1;

/** The heat at other figures than the recipe's or the usual ones. */
function heated(making: Making, minutes: number, celsius: number): Making {
  const rounded = Math.round(minutes * 2) / 2;
  const length = { least: rounded, most: rounded, text: "" };
  return { ...making, says: { ...making.says, heat: { text: making.says.heat?.text ?? "", length, celsius } } };
}
const at =
  ({ byC, factor }: { readonly byC: number; readonly factor: number }) =>
  (making: Making): Making => {
    const { minutes, settingC } = heatFigures(making);
    return heated(making, minutes * factor, settingC + byC);
  };

/** Hot first, then lower: the same time in all. */
function hotFirst(making: Making): Making {
  const { minutes, settingC } = heatFigures(making);
  const first = Math.round(minutes * HOT_START.part);
  const later = heated(making, minutes - first, settingC - HOT_START.coolerC);
  const celsius = Math.min(HOT_START.mostC, settingC + HOT_START.hotterC);
  return { ...later, says: { ...later.says, heatFirst: { text: "", length: { least: first, most: first, text: "" }, celsius } } };
}

/** Two trays shield each other. */
function twoTrays(making: Making): Making {
  const { minutes: refMin, settingC: refC } = heatFigures(making);
  const longer = bakeTime({ ...SAME_LOAD, refMin, refC, trays: 2 });
  return { ...heated(making, longer.ok ? longer.value.minutes : refMin, refC), traysAtOnce: 2 };
}

const isBakedOnce = (making: Making): boolean =>
  isBaked(making.method.id) && making.says.heatFirst === undefined && making.bought !== "pieces";

/** How they are heated. */
export const HEAT_SCHOOLS: readonly School[] = [
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
    id: "setting",
    question: "How hot an oven?",
    fits: isBakedOnce,
    usual: () => "usual",
    options: [
      { id: "usual", name: "as it stands", note: "the recipe's own setting, or what is usual", of: asIs },
      { id: "gentler", name: "15 °C lower", note: "even colour, a drier crust", of: at(GENTLER) },
      { id: "hotter", name: "15 °C higher", note: "sooner and darker; the middle must be hot as well", of: at(HOTTER) },
    ],
  },
  {
    id: "trays",
    question: "How many trays at once?",
    fits: ({ method, bought }) => method.id === "tray" && bought !== "pieces",
    usual: () => "shelves",
    options: [
      { id: "shelves", name: "one a shelf", note: "as many as the oven has shelves", of: asIs },
      {
        id: "one",
        name: "one at a time",
        note: "every tray in the middle, the most even; the others wait",
        of: (making) => ({ ...making, traysAtOnce: 1 }),
      },
      { id: "two", name: "two, changed at half", note: "they shield each other: longer, and each is turned", of: twoTrays },
    ],
  },
  {
    id: "stages",
    question: "One setting, or a hot start?",
    fits: (making) => isBakedOnce(making) && heatFigures(making).minutes >= HOT_START.leastMin,
    usual: () => "one",
    options: [
      { id: "one", name: "one setting", note: "nothing to turn down", of: asIs },
      {
        id: "hot-start",
        name: "hot for a third, then lower",
        note: "sets the crust; the oven has to be turned down, and takes its time for it",
        of: hotFirst,
      },
    ],
  },
  {
    id: "lid",
    question: "Does the lid stay shut?",
    fits: ({ method }) => method.id === "steam" || method.id === "pan",
    usual: () => "shut",
    options: [
      { id: "shut", name: "shut to the end", note: "no steam is lost, nothing falls in", of: asIs },
      {
        id: "looked",
        name: "one look in the middle",
        note: `each look costs ${LOOK_MIN} min; yeast dough may fall in`,
        of: (making) => ({ ...making, looks: 1 }),
      },
    ],
  },
  {
    id: "flame",
    question: "How hard does the water boil?",
    fits: ({ method }) => method.id === "steam",
    usual: ({ dough }) => (["SY", "EY", "PY"].includes(dough.id) ? "gentle" : "full"),
    options: [
      {
        id: "gentle",
        name: "gently, a finger of lid open",
        note: "smooth skins on yeast dough",
        of: (making) => ({ ...making, flame: "gentle" }),
      },
      { id: "full", name: "hard", note: "for thin skins; yeast dough cracks", of: (making) => ({ ...making, flame: "full" }) },
    ],
  },
  {
    id: "lace",
    question: "Plain, or with a lacy crust?",
    fits: ({ method, dough }) => method.id === "pan" && ["HW", "CW"].includes(dough.id),
    usual: () => "plain",
    options: [
      { id: "plain", name: "plain", note: "each piece by itself, more of them crisp all round", of: asIs },
      {
        id: "lace",
        name: "lacy, turned out in one",
        note: "starch in the water, pieces touching; the pan is turned over on a plate",
        of: (making) => ({ ...making, lace: true, coldStart: true }),
      },
    ],
  },
];
