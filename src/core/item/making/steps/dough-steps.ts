import { FRIDGE_HOURS } from "../../../tables/keeping";
import type { DoughRest } from "../doughs";
import { OPERATIONS } from "../hands";
import type { Making } from "../making";
import { byHand, middleOf, namesIn, restAs, text, waiting, type StepInput } from "./step-input";

const BLOOM = { min: 5, target: 10, max: 12 } as const;
const PASTE_MIN = 5;
const PASTE_COOL = { min: 20, target: 30, max: 1440 } as const;
/** A shelf's part that a packet of dough takes. */
const PACKET = 0.25;
/** In the fridge overnight: yeast goes on slowly, and is warm again after so long, min. */
const COLD_NIGHT = { min: 480, target: 720, max: 960 } as const;

const namesOf = (making: Making): string => namesIn(making.lines.dough);

/** From weighing to a dough that can be divided. A dough that is bought is only got out. */
export function doughSteps(making: Making): StepInput[] {
  const { dough } = making;
  if (making.bought) return boughtSteps(making);
  const weigh = byHand(
    {
      id: "weigh-dough",
      kind: "weigh",
      part: "dough",
      do: text(
        `Weigh out ${namesOf(making)}.`,
        dough.doughC !== undefined && `The liquid so warm that the dough comes to ${dough.doughC} °C.`,
        dough.holdBackPct > 0 && `Hold ${dough.holdBackPct} % of the liquid back.`,
      ),
      equipment: [{ id: "scale" }, { id: "bowl" }],
      ahead: { hours: 4, where: "room" },
      sources: { hands: "family" },
    },
    { fixedMin: 3 + making.lines.dough.length / 2, secPerPiece: 0 },
  );
  const steps = [weigh];
  let last = "weigh-dough";
  const then = (step: StepInput, maxGapMin?: number) => {
    steps.push({ ...step, after: [{ step: last, ...(maxGapMin !== undefined && { maxGapMin }) }] });
    last = step.id;
  };
  if (making.paste) {
    then(
      byHand(
        {
          id: "cook-paste",
          kind: "mix",
          title: "Cook the flour paste",
          part: "dough",
          do: "Cook a small part of the flour in part of the liquid, stirring, until it draws lines.",
          equipment: [{ id: "hob" }, { id: "pot" }],
          cue: { early: "Thin as milk.", see: "Thick, 65 °C and more.", late: "Lumps." },
          sources: { minutes: "family" },
        },
        { fixedMin: PASTE_MIN, secPerPiece: 0 },
      ),
    );
    then(
      waiting(
        {
          id: "cool-paste",
          kind: "cool",
          title: "Cool the flour paste",
          part: "dough",
          do: "Cover it and let it cool. Only at 29 °C and below does it go to the yeast: measure it.",
          equipment: [{ id: "bowl" }],
          ahead: { hours: 24, where: "fridge" },
          sources: { minutes: "family" },
        },
        { ...PASTE_COOL, atC: 20, where: "room" },
      ),
    );
  }
  if (making.blooms)
    then(
      waiting(
        {
          id: "wake-yeast",
          kind: "bench-rest",
          title: "Wake the yeast",
          part: "dough",
          do: "Stir the yeast into part of the liquid at 37 °C with a pinch of sugar. No froth after 12 min: do not go on with it.",
          equipment: [{ id: "bowl" }],
          cue: { early: "Flat and grey.", see: "A head of froth.", late: "The froth falls in." },
          sources: { minutes: "family" },
        },
        { ...BLOOM, atC: 37, where: "room" },
      ),
    );
  if (making.fatFrozen) then(freezingFat(making.fatFrozen));
  then(mixing(making));
  if (dough.first) {
    const { rest, from } = firstRest(dough.first, making);
    const cold = rest.where === "fridge";
    then(
      waiting(
        {
          id: "rest-dough",
          kind: dough.first.yeasted && !cold ? "bulk-rest" : cold ? "chill" : dough.first.kind,
          part: "dough",
          do: text(
            dough.first.yeasted
              ? cold
                ? "Cover it; it rises slowly in the fridge."
                : "Cover it and let it rise: the volume counts, not the clock."
              : cold
                ? "Wrap it flat and put it into the fridge. Half of it stays there while the other half is rolled."
                : "Cover it and let it rest.",
          ),
          equipment: cold ? [{ id: "fridge-shelf", amount: PACKET }] : dough.first.yeasted ? [{ id: "bowl" }] : [],
          ...(!dough.first.yeasted && {
            ahead: cold
              ? { hours: FRIDGE_HOURS[dough.fridge] ?? 24, where: "fridge" }
              : { hours: Math.max(0.5, Math.round((rest.max / 60) * 10) / 10), where: "room" },
          }),
          ...(dough.first.yeasted && cold && { ahead: { hours: 8, where: "fridge" } }),
          cue: { early: dough.first.early, see: dough.first.right, late: dough.first.late },
          sources: { minutes: from },
        },
        rest,
      ),
      dough.first.yeasted ? 10 : undefined,
    );
  }
  return steps;
}

const FROZEN_FAT = { min: 20, target: 30, max: 720 } as const;

/** Fat so cold that it stays in bits. */
const freezingFat = (form: "cubes" | "grated"): StepInput =>
  waiting(
    {
      id: "freeze-fat",
      kind: "chill",
      title: "Freeze the fat",
      part: "dough",
      do:
        form === "cubes"
          ? "The weighed fat in cubes of 10 mm into the freezer."
          : "The weighed fat in one piece into the freezer, then grated into the flour straight away.",
      equipment: [],
      cue: { early: "It bends.", see: "Hard all through, it breaks." },
      sources: { minutes: "cook" },
    },
    { ...FROZEN_FAT, atC: -18, where: "freezer" },
  );

/** The first rest: as the recipe has it, and in the fridge where it says so or takes a night. */
function firstRest(first: DoughRest, { says, dough }: Making) {
  const said = says.firstRest;
  const { min, target, max, atC, where, yeasted, follows } = first;
  const own = { min, target, max, atC, where, ...(yeasted && { yeasted }), ...(follows && !said?.length && { follows }) };
  const night = said?.length?.night || (said?.length !== undefined && said.length.least >= 240);
  if (night && yeasted) return { rest: { ...COLD_NIGHT, atC: 4, where: "fridge" }, from: "recipe" as const };
  const read = restAs(own, said?.length);
  if (where === "fridge") {
    const keeps = (FRIDGE_HOURS[dough.fridge] ?? 48) * 60;
    return { rest: { ...read.rest, max: Math.max(read.rest.max, Math.min(max, keeps)) }, from: read.from };
  }
  return { ...read, from: read.from === "family" ? (first.from ?? read.from) : read.from };
}

function mixing(making: Making): StepInput {
  const { dough, says } = making;
  const { mixing: mix } = dough;
  const said = says.knead?.length;
  const hands = said ? Math.max(middleOf(said), 3) : mix.handMin;
  const base = {
    id: "mix-dough",
    kind: "mix" as const,
    part: "dough" as const,
    do: text(`Mix ${namesOf(making)} to a dough.`, mix.how, said && `The recipe: ${says.knead!.text}`),
    cue: {
      early: "Dry flour, it falls apart.",
      see: mix.stop,
      late: mix.gather ? "Greasy and tough." : "Warm, sticky, it tears.",
    },
    sources: { minutes: said ? ("recipe" as const) : ("family" as const) },
  };
  if (!mix.mixer)
    return byHand({ ...base, equipment: [{ id: "bowl" }, { id: "worktop" }] }, { fixedMin: hands + 3, secPerPiece: 0 });
  const machine = said ? Math.max(4, Math.round(hands * 0.8)) : mix.mixer.slowMin + mix.mixer.mediumMin;
  return {
    ...base,
    path: ["fresh", "freezer"],
    lot: "batch",
    attention: "glance",
    hands: 0,
    time: { fixedMin: machine, secPerPiece: 0 },
    tend: [
      { fromMin: 0, minutes: 2 },
      { fromMin: -1, minutes: 1 },
    ],
    equipment: [{ id: "mixer" }],
    alt: [
      {
        equipment: "hands",
        time: { fixedMin: said ? Math.max(hands, 5) + 3 : mix.handMin, secPerPiece: 0 },
        attention: "hands-on",
      },
    ],
  };
}

const BOUGHT_THAW = { min: 30, target: 45, max: 240 } as const;

/** What is bought ready is thawed, or taken out of its packet. */
const boughtSteps = (making: Making): StepInput[] =>
  making.bought === "pieces"
    ? []
    : [
        waiting(
          {
            id: "rest-dough",
            kind: "bench-rest",
            title: "Take the dough out",
            part: "dough",
            do: text(`Take ${namesOf(making)} out of the fridge, or thaw it covered; it stays covered while it is worked.`),
            equipment: [],
            ahead: { hours: 8, where: "fridge" },
            cue: {
              early: "Stiff, it cracks when it is bent.",
              see: "It bends and is still cold.",
              late: "Soft and sticky, or dry at the edge.",
            },
            sources: { minutes: "family" },
          },
          { ...BOUGHT_THAW, atC: 20, where: "room" },
        ),
      ];

/** Dividing, and the rest of the balls: for doughs that are rolled piece by piece. */
export function dividing(making: Making, after: string): StepInput[] {
  const { dough } = making;
  if (making.bought || dough.blank === "cut") return [];
  const grams = Math.round(making.piece.doughG);
  const divide = byHand(
    {
      id: "divide",
      kind: "divide",
      part: "piece",
      do: `Divide on the scale into pieces of ${grams} g${dough.first?.yeasted ? ", round each" : ""}; cover them.`,
      equipment: [{ id: "worktop" }, { id: "scale" }],
      after: [{ step: after }],
      sources: { hands: "table" },
    },
    {
      fixedMin: OPERATIONS.portion.fixedMin,
      secPerPiece: OPERATIONS.portion.secPerPiece + (dough.first?.yeasted ? OPERATIONS.preshape.secPerPiece : 0),
    },
  );
  if (!dough.bench) return [divide];
  const { min, target, max, atC, where } = dough.bench;
  return [
    divide,
    waiting(
      {
        id: "rest-pieces",
        kind: "bench-rest",
        part: "piece",
        do: "Let the balls rest under a cloth.",
        equipment: [{ id: "worktop" }],
        after: [{ step: "divide", maxGapMin: 10 }],
        cue: { early: dough.bench.early, see: dough.bench.right, late: dough.bench.late },
        sources: { minutes: "family" },
      },
      { min, target, max, atC, where },
    ),
  ];
}
