import { OPERATIONS } from "../hands";
import { freezesRaw, isBaked, type Making } from "../making";
import { byHand, text, waiting, type StepInput } from "./step-input";
import { heatFigures, heatStep, type HeatFigures } from "./heat-steps";

/** Spaced on a tray until they are hard, min. */
const FREEZE = { min: 90, target: 120, max: 1440 } as const;
/** Cooked pieces are no warmer than 25 °C when they go in: so long after the heat, min. */
const COOL_FIRST_MIN = 30;
/** From frozen a raw piece takes so much longer. */
const RAW_FROZEN = 1.3;
const RAW_FROZEN_PAN = 1.25;
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
      sources: { minutes: "table" },
    },
    { ...FREEZE, atC: -18, where: "freezer" },
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

function fromFrozen(making: Making, raw: boolean): StepInput {
  const { method } = making;
  const extra: Partial<StepInput> = { path: ["from-freezer"], kind: "reheat", after: [{ step: "bag" }] };
  if (raw) {
    const fresh = heatFigures(making);
    const factor = method.id === "pan" || method.id === "steam" ? RAW_FROZEN_PAN : RAW_FROZEN;
    const figures: HeatFigures = {
      ...fresh,
      minutes: Math.round(fresh.minutes * factor * 2) / 2,
      settingC: method.id === "fry" ? fresh.settingC - 10 : fresh.settingC,
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
