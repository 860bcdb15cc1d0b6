import type { Making } from "../making";
import { byHand, COOL, namesIn, waiting, type StepInput } from "./step-input";

/** The base of several fillings, min: over the heat, and dividing it on the scale. */
const BASE = { cookMin: 15, divideMin: 3 } as const;

/** What all fillings share is cooked once, and before anything of an animal is on the board. */
export function baseSteps({ base }: Making): StepInput[] {
  if (!base) return [];
  const names = namesIn(base.lines);
  return [
    byHand(
      {
        id: "prep-base",
        kind: "weigh",
        part: "filling",
        base: true,
        do: `Weigh and cut for the base of all fillings: ${names}.`,
        equipment: [{ id: "worktop" }, { id: "scale" }],
        ahead: { hours: 12, where: "fridge" },
        sources: { hands: "table" },
      },
      { fixedMin: 3 + base.lines.length, secPerPiece: 2 },
    ),
    {
      id: "cook-base",
      kind: "cook-filling",
      part: "filling",
      base: true,
      path: ["fresh", "freezer"],
      lot: "batch",
      attention: "glance",
      hands: 0,
      time: { fixedMin: base.minutes ?? BASE.cookMin, secPerPiece: 0 },
      tend: [
        { fromMin: 0, minutes: 4 },
        { fromMin: -2, minutes: 2 },
      ],
      equipment: [{ id: "hob" }, { id: "pot" }],
      do: `Cook the base of all fillings: ${names}. Only this goes into the pot before it is divided.`,
      cue: { early: "Raw at the edges.", see: "Soft, no steam any more." },
      after: [{ step: "prep-base" }],
      sources: { minutes: base.minutes === undefined ? "filling" : "recipe" },
    },
    waiting(
      {
        id: "cool-base",
        kind: "cool-filling",
        part: "filling",
        base: true,
        do: "Spread the base 10 mm deep on a cold dish: nothing raw meets it warm.",
        equipment: [{ id: "dish" }],
        after: [{ step: "cook-base", maxGapMin: 15 }],
        ahead: { hours: 24, where: "fridge" },
        cue: { early: "Steam rises.", see: "No warmer than the hand." },
        sources: { minutes: "filling" },
      },
      { ...COOL, atC: 21, where: "room" },
    ),
    byHand(
      {
        id: "divide-base",
        kind: "divide",
        part: "filling",
        base: true,
        do: "Divide the base by weight, a bowl for each filling with its name on it. What is plant only is finished first, with a board, a spoon and a pan of its own; meat, fish and egg come after it.",
        equipment: [{ id: "worktop" }, { id: "scale" }],
        after: [{ step: "cool-base" }],
        ahead: { hours: 24, where: "fridge" },
        sources: { hands: "filling" },
      },
      { fixedMin: BASE.divideMin, secPerPiece: 0 },
    ),
  ];
}
