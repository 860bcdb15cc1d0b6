import { gramsOf, linesOf } from "../../doses";
import type { Making } from "../making";
import { byHand, middleOf, namesIn, SHELF, text, waiting, type StepInput } from "./step-input";

/** Dried mushrooms soak for so long, min; they weigh three times as much after it, and leave six times their weight of liquor. */
const SOAK = { min: 20, target: 30, max: 240 } as const;
const SOAKED = { weighs: 3, liquor: 6 } as const;
/** Dried mushrooms of a filling: rinsed, covered with boiling water, pressed; what they stood in is kept. */
export function soaking({ lines }: Making): StepInput | undefined {
  const dried = linesOf("dried-mushrooms", lines.filling);
  if (dried.length === 0) return undefined;
  return waiting(
    {
      id: "soak-filling",
      kind: "bench-rest",
      title: "Soak the mushrooms",
      part: "filling",
      do: `Rinse ${namesIn(dried)}, cover with boiling water, a plate on top; then press them. Keep the liquor without its grit: it takes the place of as much water.`,
      doses: [
        { what: "Soaked and pressed, about", by: "dried-mushrooms", gPerKg: 1000 * SOAKED.weighs },
        { what: "Liquor, about", by: "dried-mushrooms", gPerKg: 1000 * SOAKED.liquor },
      ],
      equipment: [{ id: "bowl" }],
      cue: { early: "Hard in the middle.", see: "Soft all through." },
      ahead: { hours: 12, where: "fridge" },
      sources: { minutes: "filling" },
    },
    { ...SOAK, atC: 21, where: "room" },
  );
}

/** Blanched for so long where nobody says, and no longer than so much more; until a pot boils again, drained and squeezed by hands, min. */
const BLANCH = { min: 3, graceMin: 1, boilsAgainMin: 2, drainMin: 3 } as const;

/** Into boiling water, its minutes from when that boils again, and out at once. */
export function blanching({ length, text: said }: NonNullable<Making["says"]["blanch"]>): StepInput[] {
  const minutes = length && !length.night ? middleOf(length) : BLANCH.min;
  const pot = [{ id: "hob" }, { id: "pot" }];
  return [
    byHand(
      {
        id: "into-boiling",
        kind: "cook-filling",
        title: "Lower into boiling water",
        part: "filling",
        do: "A big pot of water boils; in a little at a time. Its minutes count from when it boils again.",
        equipment: pot,
        caution: "Boiling water: lower it in with a spoon.",
        sources: { hands: "filling" },
      },
      { fixedMin: BLANCH.boilsAgainMin, secPerPiece: 0 },
    ),
    waiting(
      {
        id: "blanch-filling",
        kind: "cook-filling",
        title: "Blanch the filling",
        part: "filling",
        do: text(`${minutes} min from when it boils again.`, length && `The recipe: ${said}`),
        equipment: pot,
        cue: { early: "Stiff, raw green.", see: "Bends, bright.", late: "Grey, falls apart." },
        sources: { minutes: length ? "recipe" : "filling" },
      },
      { min: minutes, target: minutes, max: minutes + BLANCH.graceMin, atC: 100, where: "pot" },
    ),
    byHand(
      {
        id: "drain-filling",
        kind: "mix",
        title: "Drain and squeeze",
        part: "filling",
        do: "Cold water, drain, squeeze, chop.",
        equipment: [{ id: "bowl" }],
        caution: "Boiling water: pour it off away from you.",
        sources: { hands: "filling" },
      },
      { fixedMin: BLANCH.drainMin, secPerPiece: 0 },
    ),
  ];
}

/** Meat of a filling, g. */
export const meatG = ({ lines }: Making): number => gramsOf("meat", lines.filling);

/** min */
export const TEMPER = { min: 10, target: 20, max: 30 } as const;
const POUND = { min: 2, perG: 250 } as const;
export const pounding = (making: Making): StepInput =>
  byHand(
    {
      id: "pound-meat",
      kind: "mix",
      title: "Pound the meat",
      part: "filling",
      do: "Pound the meat under a sheet until its fibres part.",
      equipment: [{ id: "worktop" }],
      caution: "Raw: a board and tools of its own, hands and worktop washed after it.",
      sources: { hands: "cook" },
    },
    { fixedMin: Math.max(POUND.min, (POUND.min * meatG(making)) / POUND.perG), secPerPiece: 0 },
  );

const ALKALI = { min: 8, target: 15, max: 24 } as const;
/** For each kg of meat, g. */
const SODA_G = 3;
/** Meat in baking soda: it goes on working, so it is rinsed on time and used at once. As much as the recipe weighs, else what is usual. */
export function tenderising({ lines }: Making): StepInput[] {
  const isWeighed = linesOf("baking-soda", lines.filling).length > 0;
  return [
    waiting(
      {
        id: "tenderise-meat",
        kind: "chill",
        title: "Tenderise the meat",
        part: "filling",
        do: isWeighed
          ? "Stir the baking soda into the meat; into the fridge."
          : `Stir baking soda into the meat, ${SODA_G} g for each kg; into the fridge.`,
        doses: [
          isWeighed
            ? { what: "Baking soda", by: "baking-soda", gPerKg: 1000 }
            : { what: "Baking soda", by: "meat", gPerKg: SODA_G, beside: true },
        ],
        equipment: [{ id: "fridge-shelf", amount: SHELF }],
        cue: { early: "Firm as before.", see: "Soft and slippery.", late: "Pasty, it tastes of soap." },
        caution: "Red meat 24 min at the most. Rinse it on time: it goes on until it is rinsed.",
        sources: { minutes: "filling" },
      },
      { ...ALKALI, atC: 4, where: "fridge" },
    ),
    byHand(
      {
        id: "rinse-meat",
        kind: "mix",
        title: "Rinse the meat",
        part: "filling",
        do: "Rinse it well in cold water, dry it; use it at once.",
        equipment: [{ id: "bowl" }],
        caution: "Water that ran off raw meat splashes: clean the sink after it.",
        sources: { hands: "filling" },
      },
      { fixedMin: 3, secPerPiece: 0 },
    ),
  ];
}

/** For each kg of vegetables, g. */
const SALT_G = 17.5;
const SALTED = { min: 15, target: 20, max: 30 } as const;
/** Watery vegetables by themselves, before raw meat is on the table. */
export const salting: readonly StepInput[] = [
  waiting(
    {
      id: "salt-vegetables",
      kind: "bench-rest",
      title: "Salt the vegetables",
      part: "filling",
      do: "Salt the vegetables with 1.5 to 2 % of their weight, out of the salt of the filling; let them stand.",
      doses: [{ what: "Salt", by: "vegetables", gPerKg: SALT_G }],
      equipment: [{ id: "bowl" }],
      cue: { early: "Dry and stiff.", see: "They stand in their own water and bend.", late: "Limp." },
      sources: { minutes: "filling" },
    },
    { ...SALTED, atC: 21, where: "room" },
  ),
  byHand(
    {
      id: "squeeze-vegetables",
      kind: "mix",
      title: "Squeeze the vegetables",
      part: "filling",
      do: "Squeeze them until nothing runs; they go in last.",
      equipment: [{ id: "bowl" }],
      sources: { hands: "filling" },
    },
    { fixedMin: 4, secPerPiece: 1 },
  ),
];
