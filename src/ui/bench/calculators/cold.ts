import { coolCheck, coolNewton, FRIDGE_C, type CoolPoint } from "@/core/process/cool";
import { freezeLimit, freezePlank } from "@/core/process/freeze";
import { lengthText } from "@/core/shared/clock";
import { fail, ok, type Result } from "@/core/shared/issue";
import { counted } from "@/core/shared/words";
import { run, type Calculator } from "../calculator";
import { degrees, grams } from "./words";

/** So long the curve is followed, and so far apart its points are, min. */
const FOLLOWED_MIN = 720;
const STEP_MIN = 10;
/** As cold as it has to get, °C. */
const COLD_C = 5;

const VERDICT_TEXT = {
  ok: "Within the usual guidance",
  pending: "Not as cold as it has to be within 12 h",
  reheat: "Too slow: by the usual guidance heat it through again, then cool it flatter",
  discard: "Too slow: by the usual guidance it is thrown away",
} as const;

const cool: Calculator = {
  id: "cool",
  when: "Cold",
  question: "When is this cool?",
  fields: [
    { kind: "number", key: "startC", label: "It is at", unit: "°C", usual: 90 },
    { kind: "number", key: "depthMm", label: "It lies deep", unit: "mm", usual: 30 },
    {
      kind: "choice",
      key: "faces",
      label: "Air gets to",
      usual: "2",
      options: [
        ["2", "top and bottom"],
        ["1", "the top only"],
      ],
    },
    {
      kind: "choice",
      key: "medium",
      label: "First it stands",
      usual: "air",
      options: [
        ["air", "in the room"],
        ["fan", "before a fan"],
        ["bath", "in a bath of ice water, stirred"],
      ],
    },
    { kind: "number", key: "roomC", label: "There it is", unit: "°C", usual: 21 },
    { kind: "number", key: "firstMin", label: "For", unit: "min", usual: 40 },
    { kind: "number", key: "targetC", label: "Wanted at", unit: "°C", usual: 12 },
  ],
  answer: ({ number, text }) => {
    const firstMin = number("firstMin") ?? 0;
    if (!(firstMin >= 0 && firstMin <= FOLLOWED_MIN))
      return fail({ code: "out_of_range", path: ["firstMin"], got: firstMin, wanted: `0 to ${FOLLOWED_MIN} min` });
    const lies = { depthMm: number("depthMm"), faces: Number(text("faces")) };
    const first = { ...lies, medium: text("medium"), startC: number("startC"), ambientC: number("roomC") };
    const after = (minutes: number, from: typeof first): Result<number> => {
      const cooled = run("cool.newton", coolNewton, { ...from, minutes });
      return cooled.ok ? ok(cooled.value.tempC!) : cooled;
    };
    const left = after(firstMin, first);
    if (!left.ok) return left;
    const fridge = { ...lies, medium: "fridge", startC: left.value, ambientC: FRIDGE_C };
    const points: CoolPoint[] = [];
    for (let min = 0; min <= FOLLOWED_MIN; min += STEP_MIN) {
      const at = min < firstMin ? after(min, first) : after(min - firstMin, fridge);
      if (!at.ok) return at;
      points.push({ min, tempC: Math.round(at.value * 10) / 10 });
    }
    const target = number("targetC");
    const reached = target === undefined ? undefined : points.find(({ tempC }) => tempC <= target)?.min;
    const check = run("cool.check", coolCheck, { points, fridgeAtMin: firstMin });
    if (!check.ok) return check;
    const { to21Min, to5Min, verdict } = check.value;
    const shown = points.filter(({ min, tempC }, k) => k === 0 || tempC > COLD_C - 0.3 || min <= (reached ?? 0));
    return ok({
      headline:
        target === undefined || reached === undefined
          ? `Not at ${degrees(target ?? COLD_C)} within 12 h`
          : `At ${degrees(target)} after about ${lengthText(reached)}`,
      says: [
        ["Into the fridge", `after ${lengthText(Math.round(firstMin))}, at ${degrees(left.value)}`],
        ["From 57 to 21 °C", to21Min === null ? "not reached" : `${lengthText(Math.round(to21Min))}; usual guidance 2 h`],
        ["From 57 to 5 °C", to5Min === null ? "not within 12 h" : `${lengthText(Math.round(to5Min))}; usual guidance 6 h`],
      ],
      caution: `${VERDICT_TEXT[verdict]}. A model and no reading: measure it; local rules and trained advice come first.`,
      chart: {
        title: "How it cools",
        x: "min",
        y: "°C",
        series: [{ name: "middle", points: shown.map(({ min, tempC }) => [min, tempC]) }],
        lines: [
          { y: 57, label: "57 °C" },
          { y: 21, label: "21 °C" },
          { y: COLD_C, label: "5 °C" },
          ...(reached !== undefined ? [{ x: reached, label: "cold enough" }] : []),
        ],
      },
      by: ["cool.newton", "cool.check"],
      use: { text: "An item's filling: how it cools is asked on its desk", href: "/items" },
    });
  },
};

const freeze: Calculator = {
  id: "freeze",
  when: "Cold",
  question: "When are these frozen?",
  fields: [
    {
      kind: "choice",
      key: "shape",
      label: "A piece is",
      usual: "sphere",
      options: [
        ["sphere", "a ball"],
        ["slab", "flat"],
        ["cylinder", "a log"],
      ],
    },
    { kind: "number", key: "sizeMm", label: "Thick, or across", unit: "mm", usual: 35 },
    { kind: "number", key: "startC", label: "Goes in at", unit: "°C", usual: 8 },
    { kind: "number", key: "ambientC", label: "The freezer is at", unit: "°C", usual: -18 },
    { kind: "number", key: "loadG", label: "In all", unit: "g", usual: 2400 },
    { kind: "number", key: "litres", label: "The freezer holds", unit: "l", usual: 90 },
  ],
  answer: ({ number, text }) => {
    const found = run("freeze.plank", freezePlank, {
      shape: text("shape"),
      sizeMm: number("sizeMm"),
      startC: number("startC"),
      endC: -12,
      ambientC: number("ambientC"),
    });
    if (!found.ok) return found;
    const limit = run("freeze.limit", freezeLimit, { loadG: number("loadG"), litres: number("litres") });
    if (!limit.ok) return limit;
    const { minutes, bagMin } = found.value;
    const { limitG, days } = limit.value;
    const curve = [15, 20, 25, 30, 35, 40, 50, 60].map((sizeMm): [number, number] => {
      const one = run("freeze.plank", freezePlank, {
        shape: text("shape"),
        sizeMm,
        startC: number("startC"),
        endC: -12,
        ambientC: number("ambientC"),
      });
      return [sizeMm, one.ok ? Math.round(one.value.minutes) : 0];
    });
    return ok({
      headline: `Into the bag after ${lengthText(Math.round(bagMin ?? minutes))}, frozen through after ${lengthText(Math.round(minutes))}`,
      says: [
        ["The freezer takes in 24 h", grams(limitG)],
        ["All of it takes", counted(days, "day")],
      ],
      ...(days > 1 && {
        caution: "More at once warms what is in it already: the rest waits in the fridge, or goes in tomorrow.",
      }),
      chart: {
        title: "Frozen through, by thickness",
        x: "mm",
        y: "min",
        series: [{ name: "frozen through", points: curve }],
        lines: [{ x: number("sizeMm"), label: "this one" }],
      },
      by: ["freeze.plank", "freeze.limit"],
      use: { text: "Your kitchen's freezer", href: "/kitchens" },
    });
  },
};

export const COLD: readonly Calculator[] = [cool, freeze];
