import { firstStage, iceBathMin, SPREAD_MM, trayCoolingMin } from "../../../process/cool";
import { lengthText } from "../../../shared/clock";
import { sum } from "../../../shared/rounding";
import { listed } from "../../../shared/words";
import { FRIDGE_HOURS, OUT_OF_COLD_MIN } from "../../../tables/keeping";
import { REHEAT_CORE_C } from "../fillings";
import { PREP_SEC_PER_100_G } from "../hands";
import { gramsOf } from "../../doses";
import { countedOut } from "../../whole-spices";
import { fillAtMostC, type Making } from "../making";
import { baseSteps } from "./base-steps";
import { blanching, meatG, pounding, salting, soaking, TEMPER, tenderising } from "./filling-before";
import { byHand, middleOf, namesIn, restAs, SHELF, text, waiting, type StepInput } from "./step-input";

/** Off the hob, and in the room in which its recipe stands, °C. */
const HOT_C = 95;
const ROOM_C = 21;
/** In the fridge until it is cold: at the least, and at the most, min. */
const CHILL = { leastMin: 15, maxMin: 2880 } as const;
/** As it is planned: so much longer than it takes by the model, for a spoonful that is deeper than the rest. */
const ROOMY = 1.3;
/** It may stand out so long, min. */
const OUT_MIN = 120;

/** How a cooked filling cools, min: in the room as far as that goes, and in the fridge. */
function coolingOf(making: Making) {
  const depthMm = making.coolDepthMm ?? SPREAD_MM;
  const toC = Math.max(FRIDGE_LEAST_C, fillAtMostC(making));
  if (making.coolsInIce) return { roomMin: iceBathMin(HOT_C, toC), fridgeMin: 0, depthMm, inRoomMin: iceBathMin(HOT_C, toC) };
  const cools = trayCoolingMin(HOT_C, toC, ROOM_C, depthMm);
  return { ...cools, depthMm, inRoomMin: setsCold(making) ? cools.roomMin : cools.roomMin + cools.fridgeMin };
}
/** The fridge's own temperature is never quite reached, °C. */
const FRIDGE_LEAST_C = 5;

/** Whether a step of its own makes it as cold as its dough wants it. */
const setsCold = (making: Making): boolean =>
  !making.hotFilling && (making.filling.set !== undefined || (making.filling.cookMin !== undefined && fillAtMostC(making) <= 20));
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
  if (making.says.blanch) blanching(making.says.blanch).forEach((step) => then(step, step.id === "into-boiling" ? undefined : 0));
  if (filling.cookMin) {
    cooking(making)
      .filter(({ id }) => !making.hotFilling || id === "cook-filling")
      .forEach((step) => then(step, step.id === "cool-filling" ? 15 : undefined));
  }
  if (making.saltsApart) salting.forEach((step) => then(step));
  if (making.pounded) then(pounding(making));
  if (making.alkali) tenderising(making).forEach((step) => then(step, step.id === "rinse-meat" ? 0 : undefined));
  const wet = filling.id === "raw-meat" ? intoMeat(making) : undefined;
  if (filling.mixMin !== undefined)
    then(
      byHand(
        {
          id: "mix-filling",
          kind: "mix",
          part: "filling",
          do: text(
            wet?.do,
            filling.tasteNot
              ? "Mix it cold. Taste none of it raw: fry a little, taste that."
              : filling.set?.where === "room"
                ? "Mix with the salt."
                : "Mix it; season it now.",
          ),
          ...(wet && { doses: wet.doses }),
          equipment: [{ id: "bowl" }],
          cue: { early: filling.cue.early, see: filling.cue.right, late: filling.cue.late },
          ...(filling.tasteNot && { caution: COLD_CAUTION }),
          sources: { minutes: "filling" },
        },
        { fixedMin: filling.mixMin, secPerPiece: 2 },
      ),
      making.alkali && RINSED_MIN,
    );
  const set = setting(making, keeps);
  if (set) then(set);
  if (filling.set?.where === "room")
    then(
      byHand(
        {
          id: "squeeze-filling",
          kind: "mix",
          title: "Squeeze the filling",
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
          title: "Take the filling out",
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
  if (!end.ahead && end.id !== "temper-filling" && !making.alkali)
    end.ahead = { hours: filling.tasteNot ? Math.min(12, keeps) : keeps, where: "fridge" };
  return [...base, ...steps];
}

/** So much of the meat, % by weight, it takes up; more runs out again. */
const TAKEN_UP_PCT = 30;

/** Rinsed meat is used at once: it waits so long at the most, min. */
const RINSED_MIN = 15;
/** Of a filling whose meat was in soda, once it is mixed, min. */
const ALKALI_WAIT_MIN = 60;
/** In how many goes liquid is stirred into raw meat. */
const GOES = 3;
/** How liquid goes into raw meat; nothing where there is hardly any. */
function intoMeat(making: Making): Required<Pick<StepInput, "do" | "doses">> | undefined {
  const liquidG = gramsOf("liquid", making.lines.filling);
  const meat = meatG(making);
  if (meat === 0 || liquidG < 0.03 * meat) return undefined;
  const pct = Math.round((100 * liquidG) / meat);
  const much =
    pct > TAKEN_UP_PCT ? ` That is ${pct} % of the meat, and it takes up about ${TAKEN_UP_PCT} %: the rest may run.` : "";
  return {
    do: `The liquid into the meat by thirds, stirred one way, each taken up before the next.${much}`,
    doses: [{ what: "Liquid each time", by: "liquid", gPerKg: 1000 / GOES }],
  };
}

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
  return [cook, coolingStep(making, meat)];
}

/** A cooked filling in closed bags in ice water: quick in any room. */
function iceStep({ filling }: Making, meat: boolean, readyMin: number): StepInput {
  return waiting(
    {
      id: "cool-filling",
      kind: "cool-filling",
      part: "filling",
      do: "Into closed bags, no thicker than 20 mm; lay them in water with as much ice as filling, turn them over now and then.",
      equipment: [{ id: "bowl" }],
      caution: text(
        "Hot filling burns through a thin bag: one for the freezer, closed tightly, no water in the food.",
        meat && "At 21 °C within 2 h, at 5 °C within 6 h: usual guidance, local rules first.",
      ),
      ahead: { hours: FRIDGE_HOURS[filling.fridge] ?? 24, where: "fridge" },
      cue: { early: "The ice is gone and the bag is warm: more ice.", see: "Cold to the hand all through." },
      sources: { minutes: "model" },
    },
    { min: readyMin, target: Math.round(readyMin * ROOMY), max: OUT_MIN, atC: ROOM_C, where: "room" },
  );
}

/** A cooked filling spread to cool in the room. */
function coolingStep(making: Making, meat: boolean): StepInput {
  const { filling } = making;
  if (making.coolsInIce) return iceStep(making, meat, Math.round(coolingOf(making).inRoomMin));
  const { depthMm, inRoomMin } = coolingOf(making);
  const first = firstStage(ROOM_C, depthMm);
  const readyMin = Math.round(inRoomMin);
  const target = Math.round(readyMin * ROOMY);
  return waiting(
    {
      id: "cool-filling",
      kind: "cool-filling",
      part: "filling",
      do: text(
        `Spread it ${depthMm} mm deep on a cold dish; it cools quickly only so.`,
        !setsCold(making) && fillAtMostC(making) < ROOM_C + 4 && "The last few minutes in the fridge.",
      ),
      equipment: [{ id: "dish" }],
      ...((meat || !first.isWithin) && {
        caution: text(
          !first.isWithin &&
            `So deep it takes about ${lengthText(Math.round(first.minutes))} from 57 to 21 °C: flatter, or in several dishes.`,
          "At 21 °C within 2 h, at 5 °C within 6 h: usual guidance, local rules first. A deep pot does neither.",
        ),
      }),
      ahead: { hours: meat ? 1 : (FRIDGE_HOURS[filling.fridge] ?? 24), where: meat ? "room" : "fridge" },
      cue: { early: "Steam rises.", see: "No warmer than the hand." },
      sources: { minutes: "model" },
    },
    {
      min: readyMin,
      target,
      max: Math.max(OUT_MIN, target),
      atC: ROOM_C,
      where: "room",
      follows: { by: "cooling", fromC: HOT_C, toC: Math.max(FRIDGE_LEAST_C, fillAtMostC(making)), depthMm },
    },
  );
}

/** The last wait of a filling: it sets, or it gets as cold as its dough wants it. */
function setting(making: Making, keepsHours: number): StepInput | undefined {
  const { filling, says } = making;
  const atMost = fillAtMostC(making);
  if (making.hotFilling) return undefined;
  const own = filling.set;
  if (!setsCold(making)) return undefined;
  const cold = own ? own.where === "fridge" : true;
  const coldMin = Math.max(CHILL.leastMin, Math.round(coolingOf(making).fridgeMin));
  const base = own
    ? { min: own.min, target: own.target, max: own.max }
    : { min: coldMin, target: Math.round(coldMin * ROOMY), max: CHILL.maxMin };
  const { rest, from } = restAs({ ...base, atC: cold ? 4 : 21, where: cold ? "fridge" : "room" }, says.fillingSet?.length);
  // Meat that was in soda goes on softening: it is not made before a wait.
  const max = making.alkali
    ? Math.max(rest.target, ALKALI_WAIT_MIN)
    : cold
      ? Math.max(rest.max, Math.min(keepsHours * 60, 2880))
      : rest.max;
  return waiting(
    {
      id: "set-filling",
      kind: "chill",
      part: "filling",
      do: text(cold ? `Into the fridge until it is at ${Math.round(atMost)} °C.` : "Let it stand.", own?.why),
      equipment: cold ? [{ id: "fridge-shelf", amount: SHELF }] : [{ id: "bowl" }],
      ...(cold && !making.alkali && { ahead: { hours: keepsHours, where: "fridge" } }),
      cue: { early: "Soft, it runs.", see: cold ? `Firm, ${Math.round(atMost)} °C and less.` : filling.cue.right },
      sources: { minutes: from === "recipe" ? "recipe" : own ? "filling" : "model" },
    },
    { ...rest, max },
  );
}
