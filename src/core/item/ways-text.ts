import { biteOf } from "./checks";
import { BITE_TEXT } from "./checks-text";
import type { Figures, Way, WayId } from "./ways";

/** Grams as the reader has them. */
type Weight = (grams: number) => string;
interface Answer {
  readonly name: string;
  readonly effect: string | ((figures: Figures, weight: Weight) => string);
}
interface Question {
  readonly question: string;
  readonly answers: Readonly<Record<string, Answer>>;
}

/** The questions on which cooks differ, and what each answer does. The only place that words them. */
const WORDS: Readonly<Record<WayId, Question>> = {
  leavener: {
    question: "Leavener in the pastry?",
    answers: {
      0: { name: "none", effect: "flat and crisp, sharp edges, keeps its shape" },
      1: { name: "1 % baking powder", effect: "a little lighter, edges soften slightly" },
      2: { name: "2 % baking powder", effect: "puffs and cracks; softer, staler sooner" },
    },
  },
  sugar: {
    question: "Sugar in a savoury crust?",
    answers: {
      0: { name: "none", effect: "browns slowest; plain beside a salty filling" },
      1: { name: "1 %", effect: "not tasted, browns a little sooner" },
      2: { name: "2 %", effect: "the most that is usual in a savoury crust; browns sooner, so look early" },
    },
  },
  flour: {
    question: "How strong a flour?",
    answers: {
      plain: { name: "plain", effect: biteText },
      strong: { name: "strong", effect: biteText },
      weakened: { name: "plain with a tenth of starch", effect: biteText },
    },
  },
  circles: {
    question: "Circles: cut from a sheet, or each rolled by itself?",
    answers: {
      cut: {
        name: "cut",
        effect: (f, weight) =>
          `rounds of ${f.acrossMm} mm from ${f.thicknessMm} mm: ${f.atOnce} at once, ${f.later} more from the offcuts, ${weight(f.leftG)} left for an odd last piece`,
      },
      portioned: {
        name: "portioned and rolled",
        effect: (f, weight) =>
          `all of one weight, ${weight(f.pieceG)}, with a thin rim, about ${Math.round(f.acrossMm)} mm across; no offcuts`,
      },
    },
  },
  scraps: {
    question: "What becomes of the offcuts?",
    answers: {
      chill: {
        name: "stack, chill, roll again",
        effect: "20 min in the fridge before each rolling; as tender as the first, for show",
      },
      merge: {
        name: "one big last piece",
        effect: (f, weight) =>
          `pressed together at once into one of about ${weight(f.pieceG)}: quicker, bakes about 5 min longer by itself`,
      },
    },
  },
  measuring: {
    question: "Pieces by the scale or by eye?",
    answers: {
      scale: { name: "scale", effect: "within 5 %: they proof and bake alike" },
      eye: { name: "by eye", effect: "halves, thirds and sectors; small ones go in together and come out first" },
    },
  },
  fullness: {
    question: "How full?",
    answers: {
      learner: { name: "level, until practised", effect: fullText("closes every time") },
      practised: { name: "enough, none bursts", effect: fullText("rounded spoon; press the air out") },
      generous: {
        name: "as heavy as the dough",
        effect: fullText("needs a wide, clean rim; close the first one as a trial"),
      },
    },
  },
  amounts: {
    question: "Follow the amounts exactly, or by feel?",
    answers: {
      exact: { name: "exactly", effect: (f, weight) => `all ${weight(f.liquidG)} at once: right for a flour you know` },
      feel: {
        name: "by feel",
        effect: (f, weight) =>
          `${weight(f.heldG)} of the liquid waits; what went in is noted and becomes the amount of the next time`,
      },
    },
  },
};

function biteText({ proteinPct }: Figures): string {
  return proteinPct === undefined ? "" : `${proteinPct.toFixed(1)} % protein: ${BITE_TEXT[biteOf(proteinPct)]}`;
}

function fullText(what: string): Answer["effect"] {
  return ({ fillingG, skinG }, weight) => `${weight(fillingG)} in a skin of ${weight(skinG)}: ${what}`;
}

/** A question on which cooks differ, in words. */
export const questionText = (way: Pick<Way, "id">): string => WORDS[way.id].question;

/** An answer's name and what it does, in words. */
export function answerText(
  way: Pick<Way, "id">,
  option: Way["options"][number],
  weight: Weight,
): { name: string; effect: string } {
  const { name, effect } = WORDS[way.id].answers[option.id];
  return { name, effect: typeof effect === "string" ? effect : effect(option.figures, weight) };
}
