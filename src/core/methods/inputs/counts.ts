import { fields, filled, list, num, oneOf, whole } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const COUNTS = {
  "scale.ingredient": fields({
    amount: num(0, 1000000),
    kind: oneOf([
      "flour",
      "water",
      "fat",
      "sugar",
      "egg",
      "salt",
      "yeast",
      "chemicalLeavening",
      "spiceMild",
      "spiceStrong",
      "garlic",
      "alcohol",
      "panFat",
      "simmerLiquid",
    ]),
    factor: num(0, 100, { above: true }),
  }),
  "batches.capacity": fields({
    bowlMl: num(0, 100000, { above: true, unit: "ml" }),
    use: oneOf(["mix", "bulk", "pot"]),
    growth: num(1, 4, { unit: "× volume" }).default(2),
    density: num(0.4, 1.5, { unit: "g/ml" }).default(1.1),
    maxFlourG: num(0, 10000, { above: true, unit: "g" }).optional(),
    sumPct: num(100, 600, { unit: "%" }).default(170),
  }),
  "batches.split": fields({
    pieces: whole(1, 5000, { unit: "pieces" }),
    doughPerPieceG: num(0, 2000, { above: true, unit: "g" }),
    capacityG: num(0, 100000, { above: true, unit: "g" }),
    bowlLossG: num(0, 200, { unit: "g" }).default(8),
    handlingLossPct: num(0, 20, { unit: "%" }).default(2),
    minG: num(0, 100000, { unit: "g" }).default(0),
  }),
  "count.pieces": fields({
    guests: list(fields({ appetite: oneOf(["child", "small", "normal", "large"]), n: whole(0, 500, { unit: "people" }) }), 1),
    role: oneOf(["snack", "starter", "buffet", "mainWithSides", "main"]),
    pieceG: num(0, 2000, { above: true, unit: "g" }),
    kinds: whole(1, 20, { unit: "kinds" }).default(1),
    sparePct: num(0, 100, { unit: "%" }).default(10),
    freezerPieces: whole(0, 5000, { unit: "pieces" }).default(0),
    fromStock: whole(0, 5000, { unit: "pieces" }).default(0),
  }),
  "count.apportion": fields({
    total: whole(0, 100000, { unit: "pieces" }),
    shares: list(
      fields({
        id: filled,
        weight: num(0, 1000000),
        min: whole(0, 100000, { unit: "pieces" }).default(0),
        max: whole(0, 100000, { unit: "pieces" }).optional(),
      }),
      1,
    ),
  }),
  "count.diets": fields({
    groups: list(fields({ diet: filled, pieces: num(0, 100000, { unit: "pieces" }) }), 1),
    kinds: list(fields({ id: filled, weight: num(0, 1000000), suits: list(filled) }), 1),
    guardPct: num(0, 200, { unit: "%" }).default(20),
  }),
  "count.roundUp": fields({
    pieces: whole(0, 100000, { unit: "pieces" }),
    perCarrier: whole(1, 1000, { unit: "pieces" }),
    maxExtraPct: num(0, 100, { unit: "%" }).default(10),
  }),
  "count.fromLimiting": fields({
    basePieces: num(0, 100000, { above: true, unit: "pieces" }),
    lines: list(
      fields({ id: filled, needG: num(0, 1000000, { unit: "g" }), haveG: num(0, 1000000, { unit: "g" }).optional() }),
      1,
    ),
  }),
  "loads.split": fields({
    pieces: whole(0, 100000, { unit: "pieces" }),
    capacity: whole(1, 10000, { unit: "pieces" }),
    mode: oneOf(["full", "even"]).default("even"),
  }),
} as const;
