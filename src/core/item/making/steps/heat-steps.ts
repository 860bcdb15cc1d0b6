import { bakeTime } from "../../../process/oven";
import { steamTime, steamWater } from "../../../process/steam";
import { CORE_C } from "../fillings";
import { OPERATIONS } from "../hands";
import { formedRule, isBaked, type Making } from "../making";
import { BLIND, DISH, holdMin, LIDDED_TIN, PAN_AROUND, referenceHeat, STEAM_SETTLE, type ReferenceHeat } from "../methods";
import { capacityOf, footprintMm } from "../piece-geometry";
import { byHand, middleOf, text, waiting, type StepInput } from "./step-input";

/** How hot and how long, and what says so. */
export interface HeatFigures {
  readonly minutes: number;
  readonly settingC: number;
  readonly minutesFrom: "recipe" | "method";
  readonly heatFrom: "recipe" | "method";
  /** Usual settings, °C, and minutes. */
  readonly usualC: readonly [number, number];
  readonly usualMin: readonly [number, number];
}

/** Step: the first of two settings. */
const FIRST_HEAT = "heat-first";

/** Nothing is heated for less, or for longer at once, min. */
const LEAST_MIN = 1;
const MOST_MIN = 240;

/** Lighter and heavier pieces than these parts of the reference are taken for them. */
const WEIGHTS = { least: 0.4, most: 2.5 } as const;
/** Pieces go in as warm as the place they come from, °C. */
const FRIDGE_C = 4;
const ROOM_C = 20;
/** Farther from the setting that a time is known for, °C, nothing is worked out. */
const FARTHEST_C = 30;

/** Minutes of a heat for a piece of this weight at this setting, in a load as its tray or tier holds it. */
function plainMinutes(making: Making, reference: ReferenceHeat, settingC: number): number {
  const { method, dough, piece, shape, pieces } = making;
  const grams = piece.doughG + piece.fillingG;
  const { min: refMin, pieceG: refPieceG, settingC: refC, trayG: refTrayG } = reference;
  if (refPieceG <= 0 || grams <= 0) return refMin;
  const pieceG = Math.min(WEIGHTS.most * refPieceG, Math.max(WEIGHTS.least * refPieceG, grams));
  if (method.id === "steam")
    return steamTime({ refMin, refPieceG, pieceG, tiers: 1, frozen: false, lidLifts: 0, factor: 1 }).minutes;
  if (!isBaked(method.id)) return refMin * Math.sqrt(pieceG / refPieceG);
  const foot = footprintMm(shape, dough, piece.doughG, grams, pieces);
  const onTray = Math.min(pieces, capacityOf(shape, dough, foot, grams).perTray);
  const baked = bakeTime({
    refMin,
    refC,
    ovenC: Math.min(refC + FARTHEST_C, Math.max(refC - FARTHEST_C, settingC)),
    refPieceG,
    pieceG,
    refTrayG: refTrayG ?? 1,
    ...(refTrayG !== undefined && { trayG: onTray * grams }),
    trays: 1,
    mode: "fan",
    startC: (dough.final ?? formedRule(making))?.where === "fridge" ? FRIDGE_C : ROOM_C,
    coldOvenPreheatMin: 0,
    factor: 1,
  });
  return baked.ok ? baked.value.minutes : refMin;
}

/** Minutes and setting: the recipe's own, else the method's for a piece of this weight. */
export function heatFigures(making: Making): HeatFigures {
  const { method, dough, says, isRaw, shape } = making;
  const reference = referenceHeat(method.id, dough.id);
  const dish = shape.id === "double-dish" ? DISH.double : shape.id === "lattice-dish" ? DISH.lattice : DISH.lid;
  const settingC =
    method.id === "steam"
      ? 100
      : (says.heat?.celsius ?? says.blind?.celsius ?? (method.id === "dish" ? dish.settingC : reference.settingC));
  const plain =
    method.id === "dish"
      ? dish.min
      : shape.id === "tartlet-lidded" || shape.id === "tartlet-lattice"
        ? LIDDED_TIN.min
        : plainMinutes(making, reference, settingC);
  const looks = making.looks ?? 0;
  const usual =
    looks + plain * (isRaw && method.id !== "dish" ? method.rawFactor : 1) + (method.id === "pan" ? around(making) : 0);
  const said = says.heat?.length;
  const minutes =
    said && !said.night ? middleOf(said) + looks + (method.id === "pan" && middleOf(said) < 8 ? around(making) : 0) : usual;
  return {
    minutes: Math.round(Math.min(MOST_MIN, Math.max(LEAST_MIN, minutes)) * 2) / 2,
    settingC,
    minutesFrom: said && !said.night ? "recipe" : "method",
    heatFrom: (says.heat?.celsius ?? says.blind?.celsius) !== undefined && method.id !== "steam" ? "recipe" : "method",
    usualC: [reference.fromC, reference.toC],
    usualMin: [Math.round(usual * 0.75), Math.round(usual * 1.25)],
  };
}

const around = ({ coldStart }: Making): number =>
  PAN_AROUND.beforeMin + PAN_AROUND.afterMin + (coldStart ? PAN_AROUND.coldStartMin : 0);

const CORE_TEXT =
  "Measure the core of the two largest pieces of each load, one of each tray, from the side into the filling; short of it: 2 min more and again. Time alone never says that it is safe.";

/** A usual steamer: its pot, the ring under it, and what of the ring's heat gets into the water. */
const STEAMER = { potDiameterMm: 280, powerW: 1200, efficiency: 0.6, minDepthMm: 15, maxDepthMm: 60, tapC: 15 } as const;
/** What boils off under a pan's lid, g a minute, and what is left to dry off, ml. */
const UNDER_LID = { gPerMin: 12, leftMl: 45 } as const;
const tens = (ml: number): number => Math.round(ml / 10) * 10;

/** Water for so many minutes of steam. */
function steamerWater(minutes: number): string {
  const water = steamWater({ minutes, ...STEAMER });
  if (!water.ok) return "the water dosed for the minutes";
  const { startMl, topUps } = water.value;
  return `about ${tens(startMl)} ml of water in a pot 28 cm across${topUps > 0 ? ", topped up with boiling water" : ""}`;
}

/** Water of a lidded pan, ml: what boils off under the lid and a little to dry off. */
const panWaterMl = (making: Making, minutes: number): number =>
  tens(UNDER_LID.gPerMin * Math.max(3, minutes - around(making)) + UNDER_LID.leftMl);

/** How it is steamed. */
function steamText({ flame, looks }: Making, minutes: number): string {
  const how =
    flame === "gentle"
      ? "Over gently boiling water, the lid a finger open"
      : flame === "full"
        ? "Over hard boiling water"
        : "Steam over full steam";
  return `${how}, ${steamerWater(minutes)}; ${looks ? "one look in the middle, shut again at once" : "the lid stays shut"}.`;
}

/** How it is done in a lidded pan of 30 cm. */
function panText(making: Making, minutes: number): string {
  const water = `${panWaterMl(making, minutes)} ml of water`;
  if (making.lace)
    return `Oil and pieces, touching, into the cold pan; the starch stirred into ${water} and poured round them; lid on, boil, steam; lid off until the crust is gold and comes loose. Oil poured off, a plate wider than the pan on it, turned over.`;
  return making.coldStart
    ? `Oil, pieces and ${water} in the cold pan, the lid on; boil, steam, then lid off until it crackles.`
    : `Oil, pieces flat side down until the base is gold; heat off, ${water}, measured, the lid as a shield; steam; lid off until it crackles.`;
}

/** What a step of heat says and takes, for fresh pieces or from the freezer. */
export function heatStep(making: Making, id: string, figures: HeatFigures, extra: Partial<StepInput>): StepInput {
  const { method, hazard } = making;
  const { minutes, settingC } = figures;
  const coreC = hazard ? CORE_C[hazard] : undefined;
  const cue = { early: method.early, see: method.right, late: method.late };
  const base = {
    id,
    part: "piece" as const,
    lot: "load" as const,
    cue,
    caution: method.caution,
    ...(coreC !== undefined && { coreC }),
    sources: { minutes: figures.minutesFrom, heat: figures.heatFrom, ...(coreC !== undefined && { core: "table" as const }) },
  };
  const said = making.says.heat?.text;
  const core = coreC !== undefined ? CORE_TEXT : undefined;
  const path: StepInput["path"] = ["fresh"];
  if (method.id === "fry")
    return byHand(
      {
        path,
        ...base,
        kind: "fry",
        do: text(`Fry at ${settingC} °C, turning once, one load at a time.`, said, core),
        equipment: [{ id: "fryer", settingC, recoveryMin: 2 }],
        ...extra,
      },
      { fixedMin: minutes, secPerPiece: 0 },
    );
  const glance = (
    tend: NonNullable<StepInput["tend"]>,
    equipment: NonNullable<StepInput["equipment"]>,
    say: string,
  ): StepInput => ({
    path,
    ...base,
    kind: method.kind,
    attention: "glance",
    hands: 0,
    time: { fixedMin: minutes, secPerPiece: 0 },
    tend,
    equipment: [...equipment, ...(coreC !== undefined ? [{ id: "probe" }] : [])],
    do: text(say, said, core),
    ...extra,
  });
  const look = making.looks ? [{ fromMin: Math.max(2, Math.floor(minutes / 2)), minutes: 1 }] : [];
  const end = { fromMin: -(coreC !== undefined ? 2 : 1), minutes: coreC !== undefined ? 2 : 1 };
  switch (method.id) {
    case "steam":
      return glance(
        [{ fromMin: 0, minutes: 2 }, ...look, end],
        [{ id: "steamer", settingC: 100 }, { id: "hob" }],
        steamText(making, minutes),
      );
    case "pan":
      return glance(
        minutes >= 6
          ? [
              { fromMin: 0, minutes: 3 },
              { fromMin: 3, minutes: 1 },
              ...(minutes >= 10 ? look : []),
              { ...end, fromMin: -2, minutes: 2 },
            ]
          : [{ fromMin: 0, minutes: 2 }, end],
        [{ id: "lidded-pan", settingC: 200 }, { id: "hob" }],
        panText(making, minutes),
      );
    case "dry":
      return byHand(
        {
          path,
          ...base,
          kind: "pan-fry",
          do: text("Turn when the underside has freckles; the edges last.", said, core),
          equipment: [{ id: "lidded-pan", settingC }, { id: "hob" }],
          ...extra,
        },
        { fixedMin: minutes, secPerPiece: 0 },
      );
    default: {
      const { traysAtOnce } = making;
      const swapAt = traysAtOnce === 2 ? 0.5 : 0.6;
      const swaps = minutes > 12 && traysAtOnce !== 1;
      const how = swaps ? `, the trays changed about after ${swapAt === 0.5 ? "half" : "six tenths of"} the time` : "";
      return glance(
        [{ fromMin: 0, minutes: 1 }, ...(swaps ? [{ fromMin: Math.floor(minutes * swapAt), minutes: 1 }] : []), end],
        ovenFor(making, settingC),
        `${traysAtOnce === 1 ? "One tray at a time: bake" : "Bake"} at ${settingC} °C with a fan, ${settingC + 20} °C without${how}; look at the base as well.`,
      );
    }
  }
}

const ovenFor = ({ traysAtOnce }: Making, settingC: number) => [
  { id: "oven", settingC, ...(traysAtOnce !== undefined && { most: traysAtOnce }) },
  { id: "tray" },
];

/** Between two settings of one bake pieces wait no longer than an oven takes for it, min. */
const BETWEEN_SETTINGS_MIN = 15;

/** A bake at two settings, as the recipe has it: the first of them, as a step of its own before the one that ends it. */
export function firstHeat(making: Making, heat: StepInput): StepInput[] {
  const { heatFirst } = making.says;
  if (!isBaked(making.method.id) || heatFirst?.length === undefined || heatFirst.celsius === undefined) return [heat];
  const settingC = heatFirst.celsius;
  const minutes = Math.min(MOST_MIN, Math.max(LEAST_MIN, middleOf(heatFirst.length)));
  return [
    {
      id: FIRST_HEAT,
      kind: "bake",
      part: "piece",
      path: heat.path,
      lot: "load",
      attention: "glance",
      hands: 0,
      time: { fixedMin: minutes, secPerPiece: 0 },
      tend: [{ fromMin: 0, minutes: 1 }],
      equipment: ovenFor(making, settingC),
      do: text(
        `Bake at ${settingC} °C with a fan, ${settingC + 20} °C without; then the other setting, the pieces stay in.`,
        heatFirst.text,
      ),
      after: heat.after,
      caution: making.method.caution,
      sources: { minutes: "recipe", heat: "recipe" },
    },
    { ...heat, after: [{ step: FIRST_HEAT, maxGapMin: BETWEEN_SETTINGS_MIN }] },
  ];
}

/** Weights in, weights out, dried: a case before its filling. */
export const blindSteps = (making: Making, after: string): StepInput[] => [
  {
    id: "blind-bake",
    kind: "blind-bake",
    part: "piece",
    path: ["fresh", "freezer"],
    lot: "load",
    attention: "glance",
    hands: 0,
    time: { fixedMin: BLIND.weightsMin + BLIND.dryMin, secPerPiece: 0 },
    tend: [
      { fromMin: 0, minutes: 1 },
      { fromMin: BLIND.weightsMin, minutes: BLIND.handsMin },
      { fromMin: -1, minutes: 1 },
    ],
    equipment: [{ id: "oven", settingC: making.says.blind?.celsius ?? BLIND.settingC }, { id: "tray" }],
    do: text(`Paper and weights in; out after ${BLIND.weightsMin} min, then dry.`, making.says.blind?.text),
    after: [{ step: after }],
    cue: { early: "Grey, damp.", see: "Dry, sandy, pale gold.", late: "Brown." },
    caution: "Weights are scalding; rice that was a weight stays a weight.",
    sources: { minutes: "method", heat: making.says.blind?.celsius !== undefined ? "recipe" : "method" },
  },
];

const DRAIN = { min: 2, target: 3, max: 20 } as const;

/**
 * From the heat to the table. @returns the steps, and the one after which pieces are finished
 * @param filling the last step of the filling, for pieces that are filled after the heat
 */
export function servingSteps(
  making: Making,
  heat: string,
  filling: string | undefined,
  paths: StepInput["path"],
): { steps: StepInput[]; finished: string } {
  const { method, dough, shape, piece } = making;
  const grams = piece.doughG + piece.fillingG;
  const hold = holdMin(method.id, dough.id);
  const eatAfter = method.id === "tray" ? (grams <= 60 ? 8 : grams <= 130 ? 12 : 15) : method.eatAfterMin;
  const steps: StepInput[] = [];
  let finished = heat;
  if (method.id === "steam") {
    steps.push(
      waiting(
        {
          id: "settle",
          kind: "cool",
          title: "Let settle",
          part: "piece",
          lot: "load",
          path: paths,
          do: "Heat off, the lid shut; it falls in when it is opened at once.",
          equipment: [{ id: "steamer", settingC: 100 }],
          after: [{ step: heat, maxGapMin: 0 }],
          sources: { minutes: "method" },
        },
        { min: STEAM_SETTLE.min, target: STEAM_SETTLE.min, max: STEAM_SETTLE.max, atC: 60, where: "steamer" },
      ),
    );
    finished = "settle";
  } else if (method.id === "fry") {
    steps.push(
      waiting(
        {
          id: "drain",
          kind: "cool",
          title: "Drain",
          part: "piece",
          lot: "load",
          path: paths,
          do: "Drain on a rack.",
          equipment: [{ id: "rack", amount: 0.25 }],
          after: [{ step: heat, maxGapMin: 0 }],
          sources: { minutes: "method" },
        },
        { ...DRAIN, max: Math.max(DRAIN.max, hold), atC: 22, where: "room" },
      ),
    );
    finished = "drain";
  } else if (isBaked(method.id)) {
    steps.push(
      waiting(
        {
          id: "cool",
          kind: "cool",
          part: "piece",
          lot: "tray",
          path: paths,
          do:
            shape.foot.of === "dish"
              ? "Let it stand: it is scalding inside."
              : shape.foot.of === "tin"
                ? "Let them stand in the tins, then turn them out on a rack."
                : "On a rack.",
          equipment: shape.foot.of === "dish" ? [] : [{ id: "rack" }],
          after: [{ step: heat, maxGapMin: 5 }],
          sources: { minutes: "method" },
        },
        { min: eatAfter, target: Math.round(eatAfter * 1.4), max: Math.max(240, hold), atC: 21, where: "room" },
      ),
    );
    finished = "cool";
  }
  if (making.bought !== "pieces" && shape.id === "filled-after") {
    steps.push(
      byHand(
        {
          id: "fill",
          kind: "fill",
          part: "piece",
          path: paths,
          do: text(shape.how, `${Math.round(piece.fillingG)} g each.`),
          equipment: [{ id: "worktop" }, { id: "piping-bag" }],
          after: [{ step: finished, minGapMin: 20 }, ...(filling !== undefined ? [{ step: filling }] : [])],
          sources: { hands: "shape" },
        },
        { fixedMin: 2, secPerPiece: shape.seconds },
      ),
    );
    finished = "fill";
  }
  steps.push(
    byHand(
      {
        id: "serve",
        kind: "serve",
        part: "piece",
        path: ["fresh"],
        lot: method.id === "pan" || method.id === "dry" ? "load" : "batch",
        do: `Serve ${method.best}; the filling is hotter than the crust, longer so for children.`,
        equipment: method.id === "steam" ? [] : [{ id: "board" }],
        after: [{ step: finished, ...(method.id === "steam" && { maxGapMin: hold }) }],
        hold: { best: method.best, maxMin: hold, how: "" },
        sources: { minutes: "method" },
      },
      OPERATIONS.serve,
    ),
  );
  return { steps, finished };
}
