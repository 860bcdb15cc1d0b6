import { fields, filled, num, oneOf } from "../field";

/** What these methods accept, in the order in which their fields are checked. */
export const UNITS = {
  "units.parse": fields({ text: filled }),
  "units.convert": fields({
    value: num(0, 10000000),
    from: filled,
    to: filled,
    system: oneOf(["us", "metric", "au", "imperial"]).default("us"),
  }),
  "units.temperature": fields({ value: num(-300, 1000), from: oneOf(["C", "F", "gas"]), to: oneOf(["C", "F", "gas"]) }),
  "units.ovenDial": fields({
    celsius: num(50, 300, { unit: "°C" }),
    from: oneOf(["conventional", "fan"]),
    to: oneOf(["conventional", "fan"]),
  }),
  "units.toGrams": fields({
    amount: num(0, 1000000),
    unit: filled,
    ingredient: filled,
    size: oneOf(["small", "medium", "large"]).default("medium"),
    system: oneOf(["us", "metric", "au", "imperial"]).default("us"),
  }),
  "units.displayMass": fields({ grams: num(0, 1000000, { unit: "g" }), resolutionG: num(0.01, 50, { unit: "g" }).default(1) }),
  "units.displayVolume": fields({
    ml: num(0, 100000, { unit: "ml" }),
    system: oneOf(["us", "metric", "au", "imperial"]).default("us"),
  }),
  "units.egg": fields({
    count: num(0, 1000, { unit: "eggs" }),
    region: oneOf(["eu", "us"]).default("eu"),
    size: oneOf(["S", "M", "L", "XL", "J"]).default("M"),
    part: oneOf(["whole", "white", "yolk"]).default("whole"),
  }),
  "units.displayOunces": fields({ grams: num(0, 1000000, { unit: "g" }) }),
} as const;
