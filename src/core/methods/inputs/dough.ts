import { fields, list, num, oneOf, oneOfNumbers, whole } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const DOUGH = {
  "temperature.dough": fields({
    parts: list(
      fields({
        kind: oneOf(["flour", "water", "milk", "egg", "fat", "sugar", "salt", "dough", "preferment", "paste", "other"]),
        grams: num(0, 100000, { above: true, unit: "g" }),
        tempC: num(-25, 100, { unit: "°C" }),
      }),
      1,
    ),
    riseC: num(0, 40, { unit: "°C" }).default(0),
  }),
  "temperature.friction": fields({
    mixing: oneOf(["none", "fold", "hand", "mixerSlow", "mixerMedium", "breadMachine", "foodProcessor"]),
    minutes: num(0, 60, { unit: "min" }),
  }),
  "temperature.water": fields({
    desiredC: num(0, 90, { unit: "°C" }),
    riseC: num(0, 40, { unit: "°C" }).default(0),
    waterG: num(0, 100000, { above: true, unit: "g" }),
    tapC: num(1, 40, { unit: "°C" }).default(15),
    iceC: num(-30, 0, { unit: "°C" }).default(-18),
    parts: list(
      fields({
        kind: oneOf(["flour", "water", "milk", "egg", "fat", "sugar", "salt", "dough", "preferment", "paste", "other"]),
        grams: num(0, 100000, { above: true, unit: "g" }),
        tempC: num(-25, 100, { unit: "°C" }),
      }),
      1,
    ),
    yeastMaxC: num(30, 100, { unit: "°C" }).optional(),
  }),
  "proof.rate": fields({
    tempC: num(-30, 80, { unit: "°C" }),
    refC: num(4, 40, { unit: "°C" }).default(26),
    q10Warm: num(1, 5).default(2),
    q10Cold: num(1, 10).default(4),
  }),
  "proof.minutes": fields({
    refMin: num(0, 2880, { above: true, unit: "min" }),
    refC: num(4, 40, { unit: "°C" }).default(26),
    tempC: num(-30, 80, { unit: "°C" }),
    ref: fields({
      yeastPct: num(0.02, 6, { unit: "% instant yeast on flour" }).default(1),
      sugarPct: num(0, 40, { unit: "%" }).default(0),
      saltPct: num(0, 4, { unit: "%" }).default(2),
      fatPct: num(0, 80, { unit: "%" }).default(0),
    }).default({ yeastPct: 1, sugarPct: 0, saltPct: 2, fatPct: 0 }),
    actual: fields({
      yeastPct: num(0.02, 6, { unit: "% instant yeast on flour" }).default(1),
      sugarPct: num(0, 40, { unit: "%" }).default(0),
      saltPct: num(0, 4, { unit: "%" }).default(2),
      fatPct: num(0, 80, { unit: "%" }).default(0),
    }).default({ yeastPct: 1, sugarPct: 0, saltPct: 2, fatPct: 0 }),
    yeastExponent: num(0.3, 1.2).default(0.8),
    factor: num(0.3, 3).default(1),
    tooFarFactor: num(1.05, 4).default(1.5),
    q10Warm: num(1, 5).default(2),
    q10Cold: num(1, 10).default(4),
  }),
  "proof.tau": fields({
    massG: num(0, 20000, { above: true, unit: "g" }),
    container: oneOf(["tray", "covered", "bowl"]).default("covered"),
  }),
  "proof.profile": fields({
    startMin: num(-10000, 20000, { unit: "min" }).default(0),
    atRefMin: num(0, 2880, { above: true, unit: "min" }),
    refC: num(4, 40, { unit: "°C" }).default(26),
    profile: list(fields({ atMin: num(-10000, 20000, { unit: "min" }), tempC: num(-30, 80, { unit: "°C" }) }), 1),
    tauMin: num(0, 600, { unit: "min" }).default(0),
    doughC: num(-30, 60, { unit: "°C" }).optional(),
    progress: num(0, 10).default(0),
    tooFarFactor: num(1.05, 4).default(1.5),
    horizonMin: num(1, 10080, { unit: "min" }).default(2880),
    q10Warm: num(1, 5).default(2),
    q10Cold: num(1, 10).default(4),
  }),
  "proof.lot": fields({
    pieces: whole(1, 2000, { unit: "pieces" }),
    secondsPerPiece: num(0, 3600, { above: true, unit: "s" }),
    cooks: whole(1, 10, { unit: "cooks" }).default(1),
    readyMin: num(0, 5760, { above: true, unit: "min" }),
    tooFarMin: num(0, 10080, { above: true, unit: "min" }),
  }),
  "rest.relaxation": fields({
    kind: oneOf(["wrapper", "hotWater", "flatbread", "stretched", "shortcrust", "puffTurn", "betweenRolls"]),
    tempC: num(0, 45, { unit: "°C" }).default(24),
    hydrationPct: num(20, 120, { unit: "%" }).default(50),
    factor: num(0.3, 3).default(1),
  }),
  "chill.slab": fields({
    thicknessMm: num(1, 150, { unit: "mm" }),
    faces: oneOfNumbers([1, 2]).default(2),
    startC: num(-30, 60, { unit: "°C" }),
    ambientC: num(-40, 60, { unit: "°C" }),
    targetC: num(-30, 60, { unit: "°C" }),
    h: num(2, 500, { unit: "W/m²K" }).default(8),
    k: num(0.1, 2, { unit: "W/mK" }).default(0.35),
    rho: num(600, 1500, { unit: "kg/m³" }).default(1200),
    c: num(1500, 4200, { unit: "J/kgK" }).default(2600),
  }),
  "chill.workTime": fields({
    thicknessMm: num(1, 60, { unit: "mm" }),
    startC: num(-10, 40, { unit: "°C" }),
    roomC: num(0, 45, { unit: "°C" }),
    limitC: num(0, 45, { unit: "°C" }).default(16),
    h: num(2, 100, { unit: "W/m²K" }).default(10),
    faces: oneOfNumbers([1, 2]).default(2),
  }),
};
