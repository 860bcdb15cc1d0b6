import { fields, num, oneOf, yesOrNo } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const GEOMETRY = {
  "geometry.disc": fields({
    massG: num(0, 5000, { above: true, unit: "g" }).optional(),
    thicknessMm: num(0, 100, { above: true, unit: "mm" }).optional(),
    diameterMm: num(0, 1000, { above: true, unit: "mm" }).optional(),
    density: num(0.4, 1.6, { unit: "g/ml" }).default(1.1),
  }),
  "geometry.capacity": fields({
    shape: oneOf(["halfMoon", "purse", "triangle", "pillow"]),
    sizeMm: num(20, 600, { unit: "mm: disc diameter, or side of the square" }),
    seamMm: num(0, 40, { unit: "mm" }).default(10),
    size2Mm: num(20, 600, { unit: "mm: second side of a pillow" }).optional(),
    fillDensity: num(0.2, 1.5, { unit: "g/ml" }).default(1),
  }),
  "geometry.coil": fields({
    massG: num(0, 5000, { above: true, unit: "g" }),
    ropeDiameterMm: num(5, 80, { unit: "mm" }),
    density: num(0.4, 1.6, { unit: "g/ml" }).default(1.1),
  }),
  "geometry.case": fields({
    baseMm: num(20, 400, { unit: "mm" }),
    topMm: num(20, 450, { unit: "mm" }),
    heightMm: num(5, 120, { unit: "mm" }),
    overhangMm: num(0, 30, { unit: "mm" }).default(5),
    thicknessMm: num(1, 10, { unit: "mm" }).default(3),
    density: num(0.4, 1.6, { unit: "g/ml" }).default(1.2),
    lidded: yesOrNo.default(false),
    fillFrac: num(0.1, 1).default(0.85),
  }),
  "geometry.log": fields({
    doughG: num(0, 20000, { above: true, unit: "g" }),
    logDiameterMm: num(8, 150, { unit: "mm" }),
    pieceG: num(0, 1000, { above: true, unit: "g" }),
    density: num(0.4, 1.6, { unit: "g/ml" }).default(1.1),
  }),
  "geometry.rounds": fields({
    widthMm: num(20, 2000, { unit: "mm" }),
    lengthMm: num(20, 2000, { unit: "mm" }),
    cutMm: num(10, 500, { unit: "mm" }),
    gapMm: num(0, 20, { unit: "mm" }).default(2),
    layout: oneOf(["square", "hex", "best"]).default("best"),
  }),
  "geometry.carrier": fields({
    carrier: oneOf(["rect", "round"]),
    widthMm: num(50, 1500, { unit: "mm: width, or diameter" }),
    lengthMm: num(50, 1500, { unit: "mm (rect only)" }).optional(),
    marginMm: num(0, 100, { unit: "mm" }).default(10),
    piece: oneOf(["round", "rect"]),
    pieceMm: num(10, 600, { unit: "mm: diameter, or length" }),
    piece2Mm: num(10, 600, { unit: "mm: width (rect only)" }).optional(),
    growth: num(1, 2.5, { unit: "× linear" }).default(1),
    gapMm: num(0, 100, { unit: "mm" }).default(15),
    stagger: yesOrNo.default(false),
  }),
} as const;
