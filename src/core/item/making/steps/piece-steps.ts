import { capitalised } from "../../../shared/words";
import { FRIDGE_HOURS } from "../../../tables/keeping";
import type { DoughRest } from "../doughs";
import { OPERATIONS } from "../hands";
import { fillAtMostC, formedRule, isBaked, type Making } from "../making";
import { byHand, namesIn, restAs, text, waiting, type StepInput } from "./step-input";

/** Wet fillings wait so long in an open piece at the most, min. */
const WET_MIN = 30;
/** From the seal to the second rise, min. */
const TO_PROOF_MIN = 5;

/** On what formed pieces lie: a steamer's tiers or a board, else a tray. */
const carrierOf = ({ method }: Making): NonNullable<StepInput["equipment"]> =>
  method.id === "steam"
    ? [{ id: "steamer-tier", or: "board" }]
    : method.id === "fry"
      ? [{ id: "tray", or: "board" }]
      : [{ id: "tray" }];
const lotOf = ({ method }: Making): "tray" | "load" => (method.id === "steam" ? "load" : "tray");

function rollingStep(making: Making): { operation: (typeof OPERATIONS)[keyof typeof OPERATIONS]; say: string } {
  const { dough, shape, piece } = making;
  const [centre, rim] = dough.thicknessMm;
  const thick = rim === undefined ? `${centre} mm` : `${centre} mm in the middle, ${rim} mm at the rim`;
  if (shape.foot.of === "dish")
    return { operation: OPERATIONS.lineDish, say: `Roll the sheet to ${thick}, 20 mm wider than the dish.` };
  if (shape.foot.of === "tin")
    return { operation: OPERATIONS.lineTin, say: `Roll to ${thick}, cut the rounds, line the tins with them.` };
  switch (dough.blank) {
    case "disc":
      return { operation: OPERATIONS.rollDisc, say: `Roll each of ${Math.round(piece.doughG)} g to a disc: ${thick}.` };
    case "wrapper":
      return { operation: OPERATIONS.rollWrapper, say: `Roll each of ${Math.round(piece.doughG)} g to a thin round: ${thick}.` };
    case "cut":
      return {
        operation: OPERATIONS.cutRound,
        say: `Roll the sheet to ${thick}, even; cut the blanks, ${Math.round(piece.doughG)} g each.`,
      };
    case "sheet":
      return {
        operation: OPERATIONS.stretchSheet,
        say: `Stretch each of ${Math.round(piece.doughG)} g thin, ${thick}, with a film of fat.`,
      };
    case "cup":
      return { operation: OPERATIONS.cup, say: `Press each of ${Math.round(piece.doughG)} g to a cup: ${thick}.` };
  }
}

/** Rolling, filling, sealing, what formed pieces need before the heat, wash and vent. @returns the steps and the last of them */
export function formingSteps(making: Making, dough: string, filling: string | undefined): { steps: StepInput[]; last: string } {
  if (making.bought === "pieces") return { steps: [], last: "" };
  const { dough: kind, shape } = making;
  const fillsLater = shape.id === "filled-after" || making.method.id === "blind";
  const rolling = rollingStep(making);
  const steps: StepInput[] = [];
  if (!(making.bought === "dough" && kind.blank === "wrapper"))
    steps.push(
      byHand(
        {
          id: "roll",
          kind: "roll",
          part: "piece",
          do: rolling.say,
          equipment: [{ id: "worktop" }, { id: "rolling-pin" }],
          after: [{ step: dough, ...(kind.bench && { maxGapMin: 20 }) }],
          cue: { early: "It springs back: cover it, 10 min.", see: "Even, it keeps its shape." },
          sources: { hands: "table" },
        },
        { ...rolling.operation, secPerPiece: rolling.operation.secPerPiece + (making.rollMoreSec ?? 0) },
      ),
    );
  let last = steps.at(-1)?.id ?? dough;
  if (!fillsLater) {
    const grams = Math.round(making.piece.fillingG);
    steps.push(
      byHand(
        {
          id: "fill",
          kind: "fill",
          part: "piece",
          do: text(
            shape.foot.of === "dish"
              ? making.hotFilling
                ? "Hot filling into the dish to 12 mm below its rim; the lid is laid on, not sealed. Into the oven within 5 min."
                : "Fill the dish to 12 mm below its rim."
              : grams > 0 && `${grams} g of filling on each, no warmer than ${Math.round(fillAtMostC(making))} °C.`,
            "The rim stays clean.",
          ),
          equipment: [{ id: "worktop" }, { id: "scale" }],
          after: [
            { step: last, ...(last === "roll" && { maxGapMin: kind.rolledMaxMin }) },
            ...(filling !== undefined ? [{ step: filling }] : []),
          ],
          cue: { early: "Liquid runs on a tilted spoon: drain or thicken it.", see: "It stands in a heap and is cold enough." },
          ...(making.isRaw && { caution: "Raw filling: small lots, the rest in the fridge; taste none of it." }),
          sources: { hands: "table" },
        },
        OPERATIONS.fill,
      ),
    );
    last = "fill";
  }
  steps.push(
    byHand(
      {
        id: "seal",
        kind: "seal",
        part: "piece",
        lot: lotOf(making),
        do: text(
          `${shape.how} ${making.rim ? `A thin film of ${making.rim.name} on the rim; press the air out` : capitalised(kind.seal)}.`,
          `It lies ${shape.down}.`,
        ),
        equipment: [{ id: "worktop" }, ...carrierOf(making)],
        after: [{ step: last, maxGapMin: last === "fill" ? WET_MIN : kind.rolledMaxMin }],
        cue: { early: "A gap at the seam.", see: "Closed all round, no filling in the seam." },
        sources: { hands: "shape" },
      },
      { fixedMin: 2, secPerPiece: shape.seconds },
    ),
  );
  last = "seal";
  const wait = formedRest(making);
  if (wait) {
    steps.push(wait);
    last = wait.id;
  }
  if (isBaked(making.method.id) && making.lines.finish.length > 0) {
    steps.push(
      byHand(
        {
          id: "wash",
          kind: "glaze",
          part: "piece",
          path: ["fresh", "freezer"],
          lot: lotOf(making),
          do: `Brush with ${namesIn(making.lines.finish)}: the face, not the edge.`,
          equipment: carrierOf(making),
          after: [{ step: last, ...(kind.final && { maxGapMin: 10 }) }],
          sources: { hands: "table" },
        },
        OPERATIONS.wash,
      ),
    );
    last = "wash";
    if (making.secondCoat) {
      steps.push(...secondCoat(making));
      last = SECOND_COAT;
    }
  }
  if (kind.vent && isBaked(making.method.id) && !shape.open && making.method.id !== "blind") {
    steps.push(
      byHand(
        {
          id: "vent",
          kind: "dock",
          title: "Vent",
          part: "piece",
          lot: lotOf(making),
          do: `${capitalised(kind.vent)}: steam goes out there, or the seam opens.`,
          equipment: carrierOf(making),
          after: [{ step: last }],
          sources: { hands: "table" },
        },
        OPERATIONS.vent,
      ),
    );
    last = "vent";
  }
  return { steps, last };
}

/** The step of a second coat of wash, which takes as much again. */
export const SECOND_COAT = "wash-again";
const COAT_DRIES = { min: 8, target: 12, max: 20 } as const;

/** The first coat dries, then the second. */
const secondCoat = (making: Making): StepInput[] => [
  waiting(
    {
      id: "wash-dries",
      kind: "bench-rest",
      title: "Let dry",
      part: "piece",
      lot: lotOf(making),
      do: "Let the first coat dry.",
      equipment: carrierOf(making),
      after: [{ step: "wash" }],
      cue: { early: "Wet and shiny.", see: "Dull, it does not stick to a finger.", late: "The dough dries with it." },
      sources: { minutes: "cook" },
    },
    { ...COAT_DRIES, atC: 21, where: "room" },
  ),
  byHand(
    {
      id: SECOND_COAT,
      kind: "glaze",
      title: "Brush again",
      part: "piece",
      path: ["fresh", "freezer"],
      lot: lotOf(making),
      do: `Brush a second time with ${namesIn(making.lines.finish)}.`,
      equipment: carrierOf(making),
      after: [{ step: "wash-dries" }],
      sources: { hands: "table" },
    },
    OPERATIONS.wash,
  ),
];

/** The second rise, the chill, or the drying of formed pieces. */
function formedRest(making: Making): StepInput | undefined {
  const { dough, says, isRaw } = making;
  const rule = dough.final ?? formedRule(making);
  const said = says.formedRest?.length;
  if (!rule && !said) return undefined;
  const night = said?.night || (said !== undefined && said.least >= 240);
  const own: DoughRest = rule ?? {
    kind: "bench-rest" as const,
    min: 10,
    target: 15,
    max: 30,
    atC: 22,
    where: "room" as const,
    early: "",
    right: "Relaxed.",
    late: "Dry.",
  };
  const { min, target, max, atC, where, yeasted } = own;
  const { rest, from } = restAs({ min, target, max, atC, where, ...(yeasted && !night && { yeasted }) }, said);
  const cold = where === "fridge" || Boolean(night);
  const keeps = FRIDGE_HOURS[isRaw ? "shaped-raw-meat" : "shaped-cooked-filling"] ?? 24;
  return waiting(
    {
      id: "rest-formed",
      kind: night && own.kind === "final-proof" ? "chill" : own.kind,
      part: "piece",
      lot: lotOf(making),
      // Raw pieces go into the freezer as they are formed.
      path: dough.freeze === "raw" ? ["fresh"] : ["fresh", "freezer"],
      do: cold
        ? "Into the fridge, uncovered at the edges so that they dry."
        : own.kind === "final-proof"
          ? "Cover them and let them rise: the last one formed decides."
          : "Let them rest.",
      equipment: cold ? [{ id: "fridge-shelf", amount: 1 }, ...carrierOf(making)] : carrierOf(making),
      after: [
        {
          step: "seal",
          ...(own.kind === "final-proof" && !cold && { maxGapMin: TO_PROOF_MIN }),
          ...(dough.sealedMaxMin !== undefined && !cold && { maxGapMin: dough.sealedMaxMin }),
        },
      ],
      ...(cold && { ahead: { hours: keeps, where: "fridge" } }),
      cue: { early: own.early, see: own.right, late: own.late },
      sources: { minutes: from === "family" ? (own.from ?? from) : from },
    },
    night ? { min: 480, target: 600, max: keeps * 60, atC: 4, where: "fridge" } : rest,
  );
}
