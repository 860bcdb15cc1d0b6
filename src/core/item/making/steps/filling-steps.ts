import { ingredientOf } from "../../../ingredients/lookup";
import { sum } from "../../../shared/rounding";
import { listed } from "../../../shared/words";
import { FRIDGE_HOURS, OUT_OF_COLD_MIN } from "../../../tables/keeping";
import { REHEAT_CORE_C } from "../fillings";
import { PREP_SEC_PER_100_G } from "../hands";
import { countedOut } from "../../whole-spices";
import { fillAtMostC, type Making } from "../making";
import { byHand, middleOf, namesIn, restAs, text, waiting, type StepInput } from "./step-input";

const COOL = { min: 25, target: 40, max: 120 } as const;
const CHILL = { min: 45, target: 60, max: 2880 } as const;
const SHELF = 0.5;
/** Long on the hob: looked at so often, min. */
const GLANCE_MIN = 45;

/** Minutes of cutting for one piece, s: a part of what goes in is cut, and not all of it. */
function prepSeconds(making: Making): number {
  const grams = sum(making.lines.filling.map((line) => line.grams));
  const cut = (grams / 100 / Math.max(1, making.pieces)) * PREP_SEC_PER_100_G * 0.5;
  const dice = making.diced ? (meatG(making) / 100 / Math.max(1, making.pieces)) * PREP_SEC_PER_100_G : 0;
  return Math.min(90, Math.round(cut)) + Math.round(dice);
}

/** From cutting to a filling that is cold enough to be wrapped. */
export function fillingSteps(making: Making): StepInput[] {
  const { filling, lines } = making;
  if (lines.filling.length === 0) return [];
  const names = namesIn(lines.filling);
  const keeps = FRIDGE_HOURS[filling.fridge] ?? 24;
  const steps: StepInput[] = [
    byHand(
      {
        id: "prep-filling",
        kind: "weigh",
        part: "filling",
        do: text(
          `Weigh and cut for the filling: ${names}.`,
          making.diced && "The meat by hand, in even dice of 6 mm.",
          filling.tasteNot && "Raw: a board and a knife of its own, hands washed.",
        ),
        equipment: [{ id: "worktop" }, { id: "scale" }],
        ahead: { hours: Math.min(12, keeps), where: "fridge" },
        sources: { hands: "table" },
      },
      { fixedMin: 3 + lines.filling.length / 2, secPerPiece: prepSeconds(making) },
    ),
  ];
  let last = "prep-filling";
  const base = baseSteps(making);
  const then = (step: StepInput, maxGapMin?: number) => {
    const isFirst = last === "prep-filling" && base.length > 0;
    steps.push({
      ...step,
      after: [{ step: last, ...(maxGapMin !== undefined && { maxGapMin }) }, ...(isFirst ? [{ step: base.at(-1)!.id }] : [])],
    });
    last = step.id;
  };
  const soaked = soaking(making);
  if (soaked) then(soaked);
  if (making.says.blanch) then(blanching(making.says.blanch));
  if (filling.cookMin) {
    cooking(making)
      .filter(({ id }) => !making.hotFilling || id === "cook-filling")
      .forEach((step) => then(step, step.id === "cool-filling" ? 15 : undefined));
  }
  if (making.pounded) then(pounding(making));
  if (making.alkali) tenderising.forEach((step) => then(step, step.id === "rinse-meat" ? 0 : undefined));
  if (making.saltsApart) salting.forEach((step) => then(step));
  if (filling.mixMin !== undefined)
    then(
      byHand(
        {
          id: "mix-filling",
          kind: "mix",
          part: "filling",
          do: text(
            filling.id === "raw-meat" && liquidText(making),
            filling.tasteNot
              ? "Mix it cold. Taste none of it raw: fry a little, taste that."
              : filling.set?.where === "room"
                ? "Mix with the salt."
                : "Mix it; season it now.",
          ),
          equipment: [{ id: "bowl" }],
          cue: { early: filling.cue.early, see: filling.cue.right, late: filling.cue.late },
          ...(filling.tasteNot && { caution: COLD_CAUTION }),
          sources: { minutes: "filling" },
        },
        { fixedMin: filling.mixMin, secPerPiece: 2 },
      ),
    );
  const set = setting(making, keeps);
  if (set) then(set);
  if (filling.set?.where === "room")
    then(
      byHand(
        {
          id: "squeeze-filling",
          kind: "mix",
          part: "filling",
          do: "Squeeze it well; the rest of the seasoning goes in now.",
          equipment: [{ id: "bowl" }],
          sources: { minutes: "filling" },
        },
        { fixedMin: 4, secPerPiece: 1 },
      ),
    );
  if (making.tempered && steps.at(-1)?.id === "set-filling")
    then(
      waiting(
        {
          id: "temper-filling",
          kind: "bench-rest",
          part: "filling",
          do: "Take the filling out of the fridge, covered: it need not be cold to be wrapped.",
          equipment: [{ id: "bowl" }],
          cue: { early: "Fridge-cold.", see: "Cool, still firm.", late: "Soft, it spreads." },
          sources: { minutes: "cook" },
        },
        { ...TEMPER, atC: 21, where: "room" },
      ),
    );
  // What is only weighed meets the base when it is divided.
  if (last === "prep-filling" && base.length > 0) steps[0] = { ...steps[0], after: [{ step: base.at(-1)!.id }] };
  // What nothing waits for keeps in the fridge as long as its kind does.
  const end = steps.at(-1)!;
  if (!end.ahead && end.id !== "temper-filling")
    end.ahead = { hours: filling.tasteNot ? Math.min(12, keeps) : keeps, where: "fridge" };
  return [...base, ...steps];
}

/** The base of several fillings, min: over the heat, and dividing it on the scale. */
const BASE = { cookMin: 15, divideMin: 3 } as const;

/** What all fillings share is cooked once, and before anything of an animal is on the board. */
function baseSteps({ base }: Making): StepInput[] {
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

/** Dried mushrooms soak for so long, min; they weigh three times as much after it, and leave six times their weight of liquor. */
const SOAK = { min: 20, target: 30, max: 240 } as const;
const SOAKED = { weighs: 3, liquor: 6 } as const;
const DRIED =
  /\bdried\b.*(?:mushroom|shiitake|porcini|morel|wood ear|cep)|(?:mushroom|shiitake|porcini|morel|wood ear|ceps?)s?\b.*\bdried\b|getrocknete?.*pilz|champignons? séchés?|setas? secas?|funghi secchi|干(?:香)?菇|干しいたけ/iu;

/** Dried mushrooms of a filling: rinsed, covered with boiling water, pressed; what they stood in is kept. */
function soaking({ lines }: Making): StepInput | undefined {
  const dried = lines.filling.filter(({ name }) => DRIED.test(name));
  const grams = Math.round(sum(dried.map((line) => line.grams)));
  if (grams === 0) return undefined;
  return waiting(
    {
      id: "soak-filling",
      kind: "bench-rest",
      part: "filling",
      do: `Rinse ${namesIn(dried)}, cover with boiling water, a plate on top; then press them. ${grams} g come to about ${grams * SOAKED.weighs} g. Keep the liquor without its grit: ${grams * SOAKED.liquor} ml take the place of as much water.`,
      equipment: [{ id: "bowl" }],
      cue: { early: "Hard in the middle.", see: "Soft all through." },
      ahead: { hours: 12, where: "fridge" },
      sources: { minutes: "filling" },
    },
    { ...SOAK, atC: 21, where: "room" },
  );
}

/** Blanched for so long where nobody says, and until a pot boils again, min; drained and squeezed by hands after it. */
const BLANCH = { min: 3, boilsAgainMin: 2, drainMin: 3 } as const;

/** In boiling water and out again: the minutes count from when it boils again. */
function blanching({ length, text: said }: NonNullable<Making["says"]["blanch"]>): StepInput {
  const minutes = length && !length.night ? middleOf(length) : BLANCH.min;
  return byHand(
    {
      id: "blanch-filling",
      kind: "cook-filling",
      part: "filling",
      do: text(
        `Into plenty of boiling water: ${minutes} min from when it boils again. Cold water, drain, squeeze, chop.`,
        length && `The recipe: ${said}`,
      ),
      equipment: [{ id: "hob" }, { id: "pot" }],
      cue: { early: "Stiff, raw green.", see: "Bends, bright.", late: "Grey, falls apart." },
      caution: "Boiling water: lower it in with a spoon, pour it off away from you.",
      sources: { minutes: length ? "recipe" : "filling" },
    },
    { fixedMin: BLANCH.boilsAgainMin + minutes + BLANCH.drainMin, secPerPiece: 0 },
  );
}

/** What wets a filling. */
const LIQUIDS = ["water", "broth", "cooked-stock", "dairy", "plant-drink"] as const;
/** Of what comes from milk, what is none. */
const SOLID = ["cheese", "fresh-cheese", "rennet-cheese", "butter"] as const;
/** So much of the meat, % by weight, it takes up; more runs out again. */
const TAKEN_UP_PCT = 30;

/** Meat of a filling, g. */
const meatG = ({ lines }: Making): number =>
  sum(lines.filling.map((line) => (isMeatHazard(ingredientOf(line)?.hazard) ? line.grams : 0)));
const isMeatHazard = (hazard: string | null | undefined): boolean =>
  hazard === "poultry" || hazard === "mincedMeat" || hazard === "meat";

/** min */
const TEMPER = { min: 10, target: 20, max: 30 } as const;
const POUND = { min: 2, perG: 250 } as const;
const pounding = (making: Making): StepInput =>
  byHand(
    {
      id: "pound-meat",
      kind: "mix",
      part: "filling",
      do: "Pound the meat under a sheet until its fibres part.",
      equipment: [{ id: "worktop" }],
      caution: "Raw: a board and tools of its own, hands and worktop washed after it.",
      sources: { hands: "cook" },
    },
    { fixedMin: Math.max(POUND.min, (POUND.min * meatG(making)) / POUND.perG), secPerPiece: 0 },
  );

/** How liquid goes into raw meat; nothing where there is hardly any. */
function liquidText(making: Making): string | undefined {
  const isLiquid = (kinds: readonly string[]) =>
    LIQUIDS.some((kind) => kinds.includes(kind)) && !SOLID.some((kind) => kinds.includes(kind));
  const liquidG = sum(making.lines.filling.map((line) => (isLiquid(ingredientOf(line)?.kinds ?? []) ? line.grams : 0)));
  const meat = meatG(making);
  if (meat === 0 || liquidG < 0.03 * meat) return undefined;
  const pct = Math.round((100 * liquidG) / meat);
  const much =
    pct > TAKEN_UP_PCT ? ` That is ${pct} % of the meat, and it takes up about ${TAKEN_UP_PCT} %: the rest may run.` : "";
  return `The liquid (${Math.round(liquidG)} g) into the meat by thirds, stirred one way, each taken up before the next.${much}`;
}

const ALKALI = { min: 8, target: 15, max: 24 } as const;
/** Meat in baking soda: it goes on working, so it is rinsed on time and used at once. */
const tenderising: readonly StepInput[] = [
  waiting(
    {
      id: "tenderise-meat",
      kind: "chill",
      part: "filling",
      do: "Stir 3 g of baking soda for each kg into the meat; into the fridge.",
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
      part: "filling",
      do: "Rinse it well in cold water, dry it; use it at once.",
      equipment: [{ id: "bowl" }],
      caution: "Water that ran off raw meat splashes: clean the sink after it.",
      sources: { hands: "filling" },
    },
    { fixedMin: 3, secPerPiece: 0 },
  ),
];

const SALTED = { min: 15, target: 20, max: 30 } as const;
/** Watery vegetables by themselves, before raw meat is on the table. */
const salting: readonly StepInput[] = [
  waiting(
    {
      id: "salt-vegetables",
      kind: "bench-rest",
      part: "filling",
      do: "Salt the vegetables with 1.5 to 2 % of their weight, out of the salt of the filling; let them stand.",
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
      part: "filling",
      do: "Squeeze them until nothing runs; they go in last.",
      equipment: [{ id: "bowl" }],
      sources: { hands: "filling" },
    },
    { fixedMin: 4, secPerPiece: 1 },
  ),
];

/** Dice take longer to get tender than mince, min. */
const DICED_MORE_MIN = 10;

const COLD_CAUTION = `Raw: out of the cold for ${OUT_OF_COLD_MIN / 60} h in all at the most, mixing, shaping and waiting together; usual guidance, local rules first.`;

function cooking(making: Making): StepInput[] {
  const { filling, lines, says } = making;
  const said = says.fillingCook?.length;
  const [, usual] = filling.cookMin!;
  const minutes =
    (said && !said.night ? Math.min(600, Math.max(middleOf(said), 3)) : usual) + (making.diced ? DICED_MORE_MIN : 0);
  const counted = countedOut(lines.filling).map(({ name }) => name);
  const meat = filling.fridge === "cooked-meat-filling";
  const stirred = filling.stirred === true;
  const glances = Array.from({ length: Math.max(0, Math.floor((minutes - 5) / GLANCE_MIN)) }, (_, k) => ({
    fromMin: (k + 1) * GLANCE_MIN,
    minutes: 1,
  }));
  const cook: StepInput = {
    id: "cook-filling",
    kind: "cook-filling",
    part: "filling",
    path: ["fresh", "freezer"],
    lot: "batch",
    attention: stirred ? "hands-on" : "glance",
    hands: stirred ? 1 : 0,
    time: { fixedMin: minutes, secPerPiece: 0 },
    ...(!stirred && {
      tend: [
        { fromMin: 0, minutes: Math.min(5, Math.max(1, Math.floor(minutes / 3))) },
        ...(minutes <= GLANCE_MIN && minutes > 14 ? [{ fromMin: Math.floor(minutes / 2), minutes: 2 }] : glances),
        { fromMin: -2, minutes: 2 },
      ],
    }),
    equipment: making.roastC !== undefined ? [{ id: "oven", settingC: making.roastC }] : [{ id: "hob" }, { id: "pot" }],
    do: text(
      making.roastC !== undefined
        ? "Roast the filling."
        : `Cook the filling: ${namesIn(lines.filling.filter(({ cook: hot }) => hot !== false))}.`,
      said && `The recipe: ${says.fillingCook!.text}`,
      counted.length > 0 && `Count in: ${listed(counted)}; count them out again before it is wrapped.`,
      "Does liquid run on a tilted spoon? Then a few minutes more.",
    ),
    cue: { early: filling.cue.early, see: filling.cue.right, late: filling.cue.late },
    ...(meat && { coreC: REHEAT_CORE_C }),
    sources: { minutes: said ? "recipe" : "filling", ...(meat && { core: "table" as const }) },
  };
  return [
    cook,
    waiting(
      {
        id: "cool-filling",
        kind: "cool-filling",
        part: "filling",
        do: "Spread it 10 mm deep on a cold dish; it cools quickly only so.",
        equipment: [{ id: "dish" }],
        ...(meat && {
          caution: "At 21 °C within 2 h, at 5 °C within 6 h: usual guidance, local rules first. A deep pot does neither.",
        }),
        ahead: { hours: meat ? 1 : (FRIDGE_HOURS[filling.fridge] ?? 24), where: meat ? "room" : "fridge" },
        cue: { early: "Steam rises.", see: "No warmer than the hand." },
        sources: { minutes: "filling" },
      },
      { ...COOL, atC: 21, where: "room" },
    ),
  ];
}

/** The last wait of a filling: it sets, or it gets as cold as its dough wants it. */
function setting(making: Making, keepsHours: number): StepInput | undefined {
  const { filling, says } = making;
  const atMost = fillAtMostC(making);
  if (making.hotFilling) return undefined;
  const own = filling.set;
  const needsCold = own === undefined && filling.cookMin !== undefined && atMost <= 20;
  if (!own && !needsCold) return undefined;
  const cold = own ? own.where === "fridge" : true;
  const base = own ? { min: own.min, target: own.target, max: own.max } : { ...CHILL };
  const { rest, from } = restAs({ ...base, atC: cold ? 4 : 21, where: cold ? "fridge" : "room" }, says.fillingSet?.length);
  const max = cold ? Math.max(rest.max, Math.min(keepsHours * 60, 2880)) : rest.max;
  return waiting(
    {
      id: "set-filling",
      kind: "chill",
      part: "filling",
      do: text(cold ? `Into the fridge until it is at ${Math.round(atMost)} °C.` : "Let it stand.", own?.why),
      equipment: cold ? [{ id: "fridge-shelf", amount: SHELF }] : [{ id: "bowl" }],
      ...(cold && { ahead: { hours: keepsHours, where: "fridge" } }),
      cue: { early: "Soft, it runs.", see: cold ? `Firm, ${Math.round(atMost)} °C and less.` : filling.cue.right },
      sources: { minutes: from === "recipe" ? "recipe" : own ? "filling" : "family" },
    },
    { ...rest, max },
  );
}
