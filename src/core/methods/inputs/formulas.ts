import { fields, filled, list, num, oneOf, whole } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const FORMULAS = {
  "formula.fromPercents": fields({
    lines: list(
      fields({
        id: filled,
        role: oneOf(["flour", "water", "liquid", "fat", "sugar", "salt", "yeast", "egg", "other"]),
        pct: num(0, 400, { unit: "%" }),
      }),
      1,
    ),
    flourG: num(0, 100000, { above: true, unit: "g" }).optional(),
    doughG: num(0, 200000, { above: true, unit: "g" }).optional(),
  }),
  "formula.toPercents": fields({
    lines: list(
      fields({
        id: filled,
        role: oneOf(["flour", "water", "liquid", "fat", "sugar", "salt", "yeast", "egg", "other"]),
        grams: num(0, 100000, { unit: "g" }),
      }),
      1,
    ),
  }),
  "formula.hydration": fields({
    flourG: num(0, 100000, { above: true, unit: "g" }),
    lines: list(fields({ id: filled, grams: num(0, 100000, { unit: "g" }), waterPct: num(0, 100, { unit: "%" }).optional() }), 1),
  }),
  "formula.fatRatio": fields({
    doughG: num(0, 100000, { above: true, unit: "g" }),
    flourParts: num(0, 20, { above: true, unit: "parts" }).default(2),
    fatParts: num(0, 20, { above: true, unit: "parts" }).default(1),
    waterPct: num(0, 80, { unit: "% of flour" }).default(25),
    saltPct: num(0, 5, { unit: "% of flour" }).default(1),
  }),
  "formula.holdBack": fields({
    flourG: num(0, 100000, { above: true, unit: "g" }),
    waterG: num(0, 100000, { above: true, unit: "g" }),
    holdBackPct: num(0, 30, { unit: "% of the water" }).default(10),
    addedG: num(0, 100000, { unit: "g" }).optional(),
  }),
  "dough.need": fields({
    pieces: whole(1, 5000, { unit: "pieces" }),
    doughPerPieceG: num(0, 2000, { above: true, unit: "g" }),
    batches: whole(1, 50, { unit: "batches" }).default(1),
    bowlLossG: num(0, 200, { unit: "g a batch" }).default(8),
    handlingLossPct: num(0, 20, { unit: "%" }).default(2),
  }),
  "dough.pieces": fields({
    doughG: num(0, 200000, { above: true, unit: "g" }),
    doughPerPieceG: num(0, 2000, { above: true, unit: "g" }),
    batches: whole(1, 50, { unit: "batches" }).default(1),
    bowlLossG: num(0, 200, { unit: "g a batch" }).default(8),
    handlingLossPct: num(0, 20, { unit: "%" }).default(2),
  }),
  "dough.rerolls": fields({
    doughG: num(0, 200000, { above: true, unit: "g" }),
    pieceG: num(0, 2000, { above: true, unit: "g" }),
    cutFrac: num(0.2, 1),
    rerolls: whole(0, 5, { unit: "times" }).default(1),
  }),
  "dough.forRounds": fields({
    pieces: whole(1, 5000, { unit: "pieces" }),
    pieceG: num(0, 2000, { above: true, unit: "g" }),
    cutFrac: num(0.2, 1),
    rerolls: whole(0, 5, { unit: "times" }).default(1),
  }),
  "filling.yield": fields({
    lines: list(fields({ id: filled, grams: num(0, 100000, { unit: "g" }), lossPct: num(0, 95, { unit: "%" }).default(0) }), 1),
    evaporationPct: num(0, 90, { unit: "%" }).default(0),
    drainPct: num(0, 80, { unit: "%" }).default(0),
    potLossG: num(0, 500, { unit: "g" }).default(10),
    needG: num(0, 100000, { above: true, unit: "g" }).optional(),
  }),
  "balance.doughFilling": fields({
    doughG: num(0, 200000, { above: true, unit: "g" }),
    fillingG: num(0, 200000, { above: true, unit: "g" }),
    doughPerPieceG: num(0, 2000, { above: true, unit: "g" }),
    fillingPerPieceG: num(0, 2000, { above: true, unit: "g" }),
    stretchPct: num(0, 50, { unit: "%" }).default(10),
  }),
  "eggs.round": fields({
    neededG: num(0, 10000, { unit: "g" }),
    washG: num(0, 1000, { unit: "g" }).default(0),
    region: oneOf(["eu", "us"]).default("eu"),
    size: oneOf(["S", "M", "L", "XL", "J"]).default("M"),
    shortPct: num(0, 20, { unit: "% of neededG" }).default(5),
  }),
  "yeast.convert": fields({
    grams: num(0, 10000, { unit: "g" }),
    from: oneOf(["fresh", "active-dry", "instant"]),
    to: oneOf(["fresh", "active-dry", "instant"]),
  }),
} as const;
