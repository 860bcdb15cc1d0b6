import { dishScale, type Dish } from "@/core/item/dish";
import { cutWithRerolls } from "@/core/item/dough";
import { cutLog, disc } from "@/core/quantities/geometry";
import { piecesOnCarrier, roundsFromSheet } from "@/core/quantities/packing";
import { carrierSpots, roundSpots } from "@/core/quantities/packing-spots";
import { fail, ok } from "@/core/shared/issue";
import { counted } from "@/core/shared/words";
import { run, type Calculator, type Values } from "../calculator";
import { factor, grams, millimetres } from "./words";

const discOf: Calculator = {
  id: "disc",
  when: "Forming",
  question: "How large is the disc?",
  fields: [
    { kind: "number", key: "massG", label: "Weighs", unit: "g", usual: 24 },
    { kind: "number", key: "thicknessMm", label: "Thick", unit: "mm", usual: 2.5 },
    { kind: "number", key: "diameterMm", label: "Across: empty where it is asked", unit: "mm" },
    { kind: "number", key: "density", label: "1 ml of dough weighs", unit: "g", usual: 1.15 },
  ],
  answer: ({ number }) => {
    const found = run("geometry.disc", disc, {
      massG: number("massG"),
      thicknessMm: number("thicknessMm"),
      diameterMm: number("diameterMm"),
      density: number("density"),
    });
    if (!found.ok) return found;
    const { massG, thicknessMm, diameterMm } = found.value;
    return ok({
      headline: `${millimetres(diameterMm)} across, ${millimetres(thicknessMm)} thick, ${grams(massG)}`,
      says: [["Give two of the three", "the one that is left empty is worked out"]],
      by: ["geometry.disc"],
      use: { text: "The size of an item's piece", href: "/items" },
    });
  },
};

const log: Calculator = {
  id: "log",
  when: "Forming",
  question: "Where is the log cut?",
  fields: [
    { kind: "number", key: "doughG", label: "Dough", unit: "g", usual: 960 },
    { kind: "number", key: "logDiameterMm", label: "The log is thick", unit: "mm", usual: 35 },
    { kind: "number", key: "pieceG", label: "A piece weighs", unit: "g", usual: 40 },
    { kind: "number", key: "density", label: "1 ml of dough weighs", unit: "g", usual: 1.15 },
  ],
  answer: ({ number }) => {
    const found = run("geometry.log", cutLog, {
      doughG: number("doughG"),
      logDiameterMm: number("logDiameterMm"),
      pieceG: number("pieceG"),
      density: number("density"),
    });
    if (!found.ok) return found;
    const { lengthMm, cutMm, pieces, endG } = found.value;
    return ok({
      headline: `A cut every ${millimetres(cutMm)}: ${counted(pieces, "piece")}`,
      says: [
        ["The log is long", millimetres(lengthMm)],
        ["Left at its end", grams(endG)],
      ],
      caution: "Equal lengths weigh the same only where the log is even: roll it from the middle outwards.",
      by: ["geometry.log"],
    });
  },
};

const SHAPES = [
  ["round", "round"],
  ["rect", "oblong"],
] as const;

const tray: Calculator = {
  id: "tray",
  when: "Forming",
  question: "How many lie on it?",
  fields: [
    {
      kind: "choice",
      key: "carrier",
      label: "On a",
      usual: "rect",
      options: [
        ["rect", "tray or board"],
        ["round", "round tier or pan"],
      ],
    },
    { kind: "number", key: "widthMm", label: "It is wide, or across", unit: "mm", usual: 300 },
    { kind: "number", key: "lengthMm", label: "And long", unit: "mm", usual: 400, where: { key: "carrier", is: "rect" } },
    { kind: "choice", key: "piece", label: "A piece is", usual: "round", options: SHAPES },
    { kind: "number", key: "pieceMm", label: "Across, or long", unit: "mm", usual: 60 },
    { kind: "number", key: "piece2Mm", label: "And wide", unit: "mm", where: { key: "piece", is: "rect" } },
    { kind: "number", key: "growth", label: "It grows by the factor", unit: "×", usual: 1.35 },
    { kind: "number", key: "gapMm", label: "Between two", unit: "mm", usual: 10 },
  ],
  answer: ({ number, text }) => {
    const input = {
      carrier: text("carrier") as "rect" | "round",
      widthMm: number("widthMm"),
      lengthMm: number("lengthMm"),
      marginMm: 5,
      piece: text("piece") as "round" | "rect",
      pieceMm: number("pieceMm"),
      piece2Mm: text("piece") === "rect" ? number("piece2Mm") : undefined,
      growth: number("growth"),
      gapMm: number("gapMm"),
      stagger: true,
    };
    const found = run("geometry.carrier", piecesOnCarrier, input);
    if (!found.ok) return found;
    const full = {
      ...input,
      widthMm: input.widthMm!,
      pieceMm: input.pieceMm!,
      growth: input.growth ?? 1,
      gapMm: input.gapMm ?? 0,
    };
    const { lengthMm, piece2Mm, ...rest } = full;
    const isRound = full.carrier === "round";
    return ok({
      headline: `${counted(found.value.pieces, "piece")}`,
      says: [["Covered, once they have grown", `${Math.round(found.value.coverPct)} %`]],
      drawing: {
        title: "As they lie, grown",
        isRound,
        widthMm: full.widthMm,
        lengthMm: isRound ? full.widthMm : (lengthMm ?? full.widthMm),
        arePiecesRound: full.piece === "round",
        spots: carrierSpots({
          ...rest,
          ...(lengthMm !== undefined && { lengthMm }),
          ...(piece2Mm !== undefined && { piece2Mm }),
        }),
      },
      by: ["geometry.carrier"],
      use: { text: "The trays of your kitchen", href: "/kitchens" },
    });
  },
};

const rounds: Calculator = {
  id: "rounds",
  when: "Forming",
  question: "How many rounds from this sheet?",
  fields: [
    { kind: "number", key: "widthMm", label: "The sheet is wide", unit: "mm", usual: 400 },
    { kind: "number", key: "lengthMm", label: "And long", unit: "mm", usual: 300 },
    { kind: "number", key: "cutMm", label: "The cutter", unit: "mm", usual: 90 },
    { kind: "number", key: "gapMm", label: "Between two", unit: "mm", usual: 2 },
    { kind: "number", key: "doughG", label: "The sheet weighs", unit: "g", usual: 450 },
    { kind: "number", key: "rerolls", label: "Rolled again", unit: "times", usual: 1 },
  ],
  answer: ({ number }) => {
    const sheet = { widthMm: number("widthMm"), lengthMm: number("lengthMm"), cutMm: number("cutMm"), gapMm: number("gapMm") };
    const found = run("geometry.rounds", roundsFromSheet, { ...sheet, layout: "best" });
    if (!found.ok) return found;
    const { pieces, cutFrac, layout } = found.value;
    const doughG = number("doughG");
    const pieceG = doughG === undefined || pieces === 0 ? undefined : (doughG * cutFrac) / pieces;
    const again =
      pieceG === undefined
        ? undefined
        : run("dough.rerolls", cutWithRerolls, { doughG, pieceG, cutFrac, rerolls: number("rerolls") ?? 0 });
    if (again && !again.ok) return again;
    return ok({
      headline:
        again && (number("rerolls") ?? 0) > 0
          ? `${counted(pieces, "round")}; ${again.value.pieces} with the offcuts rolled again`
          : counted(pieces, "round"),
      says: [
        ["Laid", layout === "hex" ? "in shifted rows" : "in rows"],
        ["Of the sheet", `${Math.round(cutFrac * 100)} %`],
        ...(pieceG !== undefined ? ([["A round weighs", grams(pieceG)]] as const) : []),
        ...(again ? ([["Left in the end", grams(again.value.scrapsG)]] as const) : []),
      ],
      ...(pieces > 0 && {
        drawing: {
          title: "The sheet from above",
          isRound: false,
          widthMm: sheet.widthMm!,
          lengthMm: sheet.lengthMm!,
          arePiecesRound: true,
          spots: roundSpots({
            widthMm: sheet.widthMm!,
            lengthMm: sheet.lengthMm!,
            cutMm: sheet.cutMm!,
            gapMm: sheet.gapMm ?? 0,
            layout,
          }),
        },
      }),
      by: ["geometry.rounds"],
      use: { text: "The size of an item's piece", href: "/items" },
    });
  },
};

const KINDS = [
  ["round", "round"],
  ["rectangle", "oblong"],
] as const;

/** A dish as it was typed, by the first letters of its fields; undefined where a size is missing. */
function dishOf({ number, text }: Values, of: "from" | "to"): Dish | undefined {
  const [widthMm, lengthMm, depthMm] = ["WidthMm", "LengthMm", "DepthMm"].map((key) => number(`${of}${key}`));
  if (!widthMm || !depthMm || !(widthMm > 0) || !(depthMm > 0)) return undefined;
  return {
    kind: text(`${of}Kind`) === "rectangle" ? "rectangle" : "round",
    widthMm,
    depthMm,
    ...(lengthMm !== undefined && lengthMm > 0 && { lengthMm }),
  };
}

const dish: Calculator = {
  id: "dish",
  when: "Forming",
  question: "Another dish: how much of it?",
  fields: [
    { kind: "choice", key: "fromKind", label: "The recipe's dish is", usual: "round", options: KINDS },
    { kind: "number", key: "fromWidthMm", label: "Across, or wide", unit: "mm", usual: 230 },
    { kind: "number", key: "fromLengthMm", label: "And long", unit: "mm", where: { key: "fromKind", is: "rectangle" } },
    { kind: "number", key: "fromDepthMm", label: "Filled deep", unit: "mm", usual: 40 },
    { kind: "choice", key: "toKind", label: "Mine is", usual: "rectangle", options: KINDS },
    { kind: "number", key: "toWidthMm", label: "Across, or wide", unit: "mm", usual: 200 },
    { kind: "number", key: "toLengthMm", label: "And long", unit: "mm", usual: 300, where: { key: "toKind", is: "rectangle" } },
    { kind: "number", key: "toDepthMm", label: "Filled deep", unit: "mm", usual: 45 },
    { kind: "number", key: "fromMl", label: "Or: the recipe's holds", unit: "ml" },
    { kind: "number", key: "toMl", label: "And mine", unit: "ml" },
  ],
  answer: (values) => {
    const [from, to] = [dishOf(values, "from"), dishOf(values, "to")];
    if (!from || !to)
      return fail({
        code: "missing",
        path: [from ? "toWidthMm" : "fromWidthMm"],
        wanted: "how wide and how deep the dish is, above 0 mm",
      });
    const [fromMl, toMl] = [values.number("fromMl"), values.number("toMl")];
    const known = fromMl !== undefined && toMl !== undefined && fromMl > 0 && toMl > 0 ? { fromMl, toMl } : undefined;
    const { fill, lid } = dishScale(from, to, known);
    return ok({
      headline: `Filling × ${factor(fill)}, lid × ${factor(lid)}`,
      says: [
        ["The filling goes by", known ? "what the dishes hold" : "the room in the dish"],
        ["A lid goes by", "its area"],
      ],
      caution: "A deeper filling takes longer to get hot in the middle: measure its core.",
      by: [],
    });
  },
};

export const FORMING: readonly Calculator[] = [discOf, log, tray, rounds, dish];
