import { freezePlank, frozenCookTime } from "../../../process/freeze";
import { OPERATIONS } from "../hands";
import { freezesRaw, isBaked, type Making } from "../making";
import { footprintMm, thicknessOf } from "../piece-geometry";
import { byHand, text, waiting, type StepInput } from "./step-input";
import { heatFigures, heatStep, type HeatFigures } from "./heat-steps";

/** Spaced on a tray until they are hard: a home freezer takes up to a third longer, and they may stay, min. */
const ROOMY = 1.3;
const FREEZE_MAX_MIN = 1440;
/** As they go in, raw and cooked, °C. */
const GOES_IN_C = { raw: 8, cooked: 25 } as const;
const IN_FREEZER = {
  mode: "freeze",
  shape: "slab",
  endC: -12,
  ambientC: -18,
  waterFrac: 0.5,
  freezeC: -3,
  h: 10,
  rho: 1050,
} as const;
/** Cooked pieces are no warmer than 25 °C when they go in: so long after the heat, min. */
const COOL_FIRST_MIN = 30;
/** From frozen a raw piece in steam, or in a lidded pan, takes so much longer. */
const STEAM_FROZEN = 1.3;
const PAN_FROZEN = 1.35;
/** Reheating is once, and to this core, °C. */
const REHEAT_C = 74;

/** Cooked pieces out of the freezer: °C and min, by how they were made. */
function reheatOf({ method, shape }: Making): HeatFigures {
  const figures = (settingC: number, minutes: number): HeatFigures => ({
    settingC,
    minutes,
    minutesFrom: "method",
    heatFrom: "method",
    usualC: [settingC, settingC],
    usualMin: [minutes, minutes],
  });
  if (shape.foot.of === "dish") return figures(180, 70);
  if (shape.foot.of === "tin") return figures(160, 12);
  switch (method.id) {
    case "steam":
      return figures(100, 14);
    case "fry":
      return figures(185, 12);
    case "pan":
    case "dry":
      return figures(190, 10);
    default:
      return figures(160, 24);
  }
}

/**
 * Into the freezer, and from it to the table. Pieces freeze raw or cooked as is right for their dough; what does not freeze has no such way.
 * @param finished the step after which cooked pieces are
 */
export function frozenSteps(making: Making, finished: string): StepInput[] {
  const { filling, method } = making;
  const freezes = filling.freezer !== undefined || filling.tasteNot === true || making.lines.filling.length === 0;
  if (!freezes || making.bought === "pieces" || method.id === "blind" || making.shape.id === "filled-after") return [];
  const raw = freezesRaw(making);
  const from = raw ? "seal" : finished;
  const frozen = freezePlank({
    ...IN_FREEZER,
    sizeMm: thicknessIn(making),
    startC: raw ? GOES_IN_C.raw : GOES_IN_C.cooked,
  });
  // Within the ranges of a kitchen it always has an answer.
  const hardMin = Math.max(30, Math.round((frozen.ok && frozen.value.bagMin) || 90));
  const freeze = waiting(
    {
      id: "freeze",
      kind: "freeze",
      part: "piece",
      path: ["freezer"],
      lot: "tray",
      do: "Spaced on a tray until they are hard; none touches another.",
      equipment: [{ id: "freezer-tray", amount: 1 }, { id: "tray" }],
      after: [{ step: from, ...(raw ? { maxGapMin: 60 } : { minGapMin: COOL_FIRST_MIN }) }],
      sources: { minutes: "model" },
    },
    { min: hardMin, target: Math.round(hardMin * ROOMY), max: FREEZE_MAX_MIN, atC: IN_FREEZER.ambientC, where: "freezer" },
  );
  const bag = byHand(
    {
      id: "bag",
      kind: "bag",
      part: "piece",
      path: ["freezer"],
      lot: "tray",
      do: `Bag and label: ${raw ? "raw, cook from frozen" : "cooked, reheat once"}.`,
      equipment: [{ id: "worktop" }],
      after: [{ step: "freeze" }],
      sources: { hands: "table" },
    },
    OPERATIONS.bag,
  );
  return [freeze, bag, fromFrozen(making, raw)];
}

const thicknessIn = ({ shape, dough, piece, pieces }: Making): number => {
  const grams = piece.doughG + piece.fillingG;
  return thicknessOf(footprintMm(shape, dough, piece.doughG, grams, pieces), grams);
};

/** A raw piece straight from the freezer: minutes, and by how much another setting, °C. */
function rawFromFrozen(making: Making, freshMin: number): { readonly minutes: number; readonly deltaC: number } {
  const { method } = making;
  if (method.id === "steam") return { minutes: freshMin * STEAM_FROZEN, deltaC: 0 };
  if (method.id === "pan" || method.id === "dry") return { minutes: freshMin * PAN_FROZEN, deltaC: 0 };
  const how = method.id === "fry" ? "fry" : "bake";
  const cooked = frozenCookTime({ freshMin, method: how, thicknessMm: thicknessIn(making), rawYeastDough: false });
  return cooked.ok ? { minutes: cooked.value.minutes, deltaC: cooked.value.settingDeltaC } : { minutes: freshMin, deltaC: 0 };
}

function fromFrozen(making: Making, raw: boolean): StepInput {
  const { method } = making;
  const extra: Partial<StepInput> = { path: ["from-freezer"], kind: "reheat", after: [{ step: "bag" }] };
  if (raw) {
    const fresh = heatFigures(making);
    const { minutes, deltaC } = rawFromFrozen(making, fresh.minutes);
    const figures: HeatFigures = {
      ...fresh,
      minutes: Math.round(minutes * 2) / 2,
      settingC: fresh.settingC + deltaC,
      minutesFrom: "method",
    };
    const step = heatStep(making, "reheat", figures, extra);
    return { ...step, do: text("From frozen, not thawed.", step.do) };
  }
  // Fried pieces come crisp from the oven, not from the fryer again.
  const isOven = isBaked(method.id) || method.id === "fry" || method.id === "dry" || method.id === "pan";
  const how: Making = {
    ...making,
    ...(isOven && { method: { ...method, id: "tray", kind: "bake" } }),
    hazard: null,
    says: { ...making.says, heat: undefined },
  };
  const step = heatStep(how, "reheat", reheatOf(making), extra);
  return {
    ...step,
    coreC: REHEAT_C,
    equipment: [...(step.equipment ?? []), { id: "probe" }],
    do: text("Reheat once, from frozen.", step.do),
    sources: { ...step.sources, core: "table" },
  };
}
