import { isFat, isYeast } from "../../../ingredients/lookup";
import { sum } from "../../../shared/rounding";
import type { Mixing } from "../doughs";
import type { Making } from "../making";
import { line } from "./line";
import { asIs, isShort, lasting, later, ownDough, times, unsaid, withDough, type School } from "./school";

/** Seconds a piece more where a soft or tight dough is rolled. */
const SOFT_ROLL = 6;
const TIGHT_ROLL = 8;
/** By how much a rise after a night in the fridge takes longer, since the dough is cold, min. */
const COLD_START_MIN = 20;
const NIGHT = { text: "overnight", least: 480, most: 960, night: true } as const;

/** Work that is done in part, against all of it; the wait takes over what the hands leave. */
const SHORT_KNEAD = { work: 0.5, rest: 1.3 } as const;
/** Against rubbing with the fingers, min: pulses and the washing of a processor; a masher. */
const RUB_MORE_MIN = { processor: -2.5, masher: 1 } as const;
const rubbed = ({ dough }: Making, tool: keyof typeof RUB_MORE_MIN): Mixing => ({
  ...dough.mixing,
  handMin: dough.mixing.handMin + RUB_MORE_MIN[tool],
});

const halfKneaded = (mixing: Mixing): Mixing => ({
  ...mixing,
  handMin: Math.round(mixing.handMin * SHORT_KNEAD.work),
  ...(mixing.mixer && {
    mixer: { ...mixing.mixer, mediumMin: Math.max(1, Math.round(mixing.mixer.mediumMin * SHORT_KNEAD.work)) },
  }),
  stop: "Even, no dry flour; it need not be smooth yet.",
});

/** What is bought in place of a dough, by its kind. */
const BOUGHT = {
  SH: "shortcrust pastry, bought",
  FS: "puff pastry, bought",
  SS: "filo sheets, bought",
  HW: "dumpling wrappers, bought",
  CW: "dumpling wrappers, bought",
} as const;
const boughtFor = (id: string): string | undefined => (id in BOUGHT ? BOUGHT[id as keyof typeof BOUGHT] : undefined);

/** How a dough is made. */
export const DOUGH_SCHOOLS: readonly School[] = [
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
    id: "kneaded",
    question: "How long is it kneaded?",
    fits: (making) => ownDough(making) && making.dough.mixing.gather === undefined && making.dough.first !== undefined,
    usual: () => "smooth",
    options: [
      { id: "smooth", name: "until smooth", note: "as strong as it gets; it holds thin and rises high", of: asIs },
      {
        id: "short",
        name: "half as long, and it rests longer",
        note: "the wait does the rest of the work; a little less even",
        of: (making) => {
          const short = withDough(making, {
            mixing: halfKneaded(making.dough.mixing),
            first: making.dough.first && times(making.dough.first, SHORT_KNEAD.rest),
          });
          return unsaid(short, "knead", "firstRest");
        },
      },
    ],
  },
  {
    id: "rubbing",
    question: "With what is the fat rubbed in?",
    fits: (making) => ownDough(making) && making.dough.mixing.gather === true && making.dough.mixing.mixer === undefined,
    usual: () => "fingers",
    options: [
      { id: "fingers", name: "fingers", note: "stops in time; slow for large batches", of: asIs },
      {
        id: "masher",
        name: "a masher or two knives",
        note: "colder than fingers, and slower",
        of: (making) => unsaid(withDough(making, { mixing: rubbed(making, "masher") }), "knead"),
      },
      {
        id: "processor",
        name: "a food processor",
        note: "8 to 12 pulses, 40 s at the most, its washing counted in; liquid goes in by hand",
        of: (making) =>
          unsaid(
            withDough(making, {
              mixing: {
                ...rubbed(making, "processor"),
                how: "In the processor by 8 to 12 pulses to crumbs, 40 s at the most; then the liquid in steps by hand.",
              },
            }),
            "knead",
          ),
      },
    ],
  },
  {
    id: "fat-form",
    question: "How does the fat go in?",
    fits: (making) => ownDough(making) && isShort(making) && making.lines.dough.some((one) => isFat(one)),
    usual: () => "chilled",
    options: [
      { id: "chilled", name: "chilled, in cubes", note: "right where the room is at 20 °C or less", of: asIs },
      {
        id: "frozen",
        name: "frozen for half an hour",
        note: "stays in bits in a warm room; half an hour earlier",
        of: (making) => ({ ...making, fatFrozen: "cubes" }),
      },
      {
        id: "grated",
        name: "frozen and grated",
        note: "quickly in, flaky; a cold grater",
        of: (making) => ({ ...making, fatFrozen: "grated" }),
      },
    ],
  },
  {
    id: "bought",
    question: "Is the dough made, or bought?",
    fits: (making) => ownDough(making) && boughtFor(making.dough.id) !== undefined,
    usual: () => "home",
    options: [
      { id: "home", name: "made here", note: "your own formula, weighed and mixed", of: asIs },
      {
        id: "bought",
        name: "bought",
        note: "no mixing, no rest: only thawed or taken out; what is in it stands on the packet",
        of: (making) => ({
          ...making,
          bought: "dough",
          lines: {
            ...making.lines,
            dough: [line(boughtFor(making.dough.id)!, sum(making.lines.dough.map(({ grams }) => grams)))],
          },
        }),
      },
    ],
  },
];
