import { fryDrop, fryFill, fryMaxLoad, frySchedule, oilCurve } from "@/core/process/fry";
import { coreFor, lethality, type CoreContent, type Guide } from "@/core/process/safety";
import { steamWater } from "@/core/process/steam";
import { lengthText } from "@/core/shared/clock";
import { fail, ok, type Result } from "@/core/shared/issue";
import { readNumber } from "@/core/shared/typed";
import { counted } from "@/core/shared/words";
import { run, type Calculator } from "../calculator";
import { degrees, millilitres, millimetres, one } from "./words";

/** From one load out to the next in, min. */
const HANDLING_MIN = 1;
/** The oil may fall by so much, °C. */
const FALL_C = 15;
/** Loads that are drawn at the most. */
const MOST_DRAWN = 6;

const oil: Calculator = {
  id: "oil",
  when: "Heat",
  question: "How many fry at once?",
  fields: [
    { kind: "number", key: "pieces", label: "In all", unit: "pieces", usual: 26 },
    { kind: "number", key: "pieceG", label: "A piece weighs", unit: "g", usual: 47 },
    { kind: "number", key: "lengthMm", label: "It lies long", unit: "mm", usual: 90 },
    { kind: "number", key: "widthMm", label: "And wide", unit: "mm", usual: 50 },
    {
      kind: "choice",
      key: "frozen",
      label: "It goes in",
      usual: "no",
      options: [
        ["no", "from the fridge"],
        ["yes", "frozen"],
      ],
    },
    { kind: "number", key: "setC", label: "Oil wanted at", unit: "°C", usual: 177 },
    { kind: "number", key: "fryMin", label: "A load fries", unit: "min", usual: 4 },
    { kind: "number", key: "oilMl", label: "Oil", unit: "ml", usual: 3000 },
    { kind: "number", key: "powerW", label: "Heat that reaches it", unit: "W", usual: 2000 },
    { kind: "number", key: "potDiameterMm", label: "The pot is across", unit: "mm", usual: 240 },
    { kind: "number", key: "potHeightMm", label: "And high", unit: "mm", usual: 250 },
  ],
  answer: ({ number, text }) => {
    const frozen = text("frozen") === "yes";
    const bath = { oilMl: number("oilMl"), powerW: number("powerW"), startC: frozen ? -18 : 8, frozen };
    const setC = number("setC");
    const [long, wide] = [number("lengthMm"), number("widthMm")];
    const most = run("fry.maxLoad", fryMaxLoad, {
      ...bath,
      setC,
      floorC: setC === undefined ? undefined : setC - FALL_C,
      pieceG: number("pieceG"),
      panDiameterMm: number("potDiameterMm"),
      footprintMm2: long !== undefined && wide !== undefined ? long * wide : undefined,
    });
    if (!most.ok) return most;
    const { pieces: perLoad, binding } = most.value;
    if (perLoad === 0)
      return fail({ code: "infeasible", path: ["oilMl"], got: number("oilMl"), wanted: "enough oil and heat for one piece" });
    const loadG = perLoad * number("pieceG")!;
    const drop = run("fry.drop", fryDrop, { ...bath, setC, loadG });
    if (!drop.ok) return drop;
    const { lowestC, recoveryS } = drop.value;
    const all = run("fry.schedule", frySchedule, {
      pieces: number("pieces"),
      perLoad,
      fryMin: number("fryMin"),
      recoveryS: recoveryS ?? undefined,
      handlingMin: HANDLING_MIN,
      oilMl: bath.oilMl,
      setC,
      powerW: bath.powerW,
    });
    if (!all.ok) return all;
    const fill = run("fry.fill", fryFill, {
      potDiameterMm: number("potDiameterMm"),
      potHeightMm: number("potHeightMm"),
      oilMl: bath.oilMl,
      loadG,
    });
    if (!fill.ok) return fill;
    const { loads, heatUpMin, cycleMin, totalMin } = all.value;
    const drawn = Math.min(MOST_DRAWN, loads);
    const curve = oilCurve(
      { oilMl: bath.oilMl!, powerW: bath.powerW!, lossW: 150, startC: bath.startC, frozen, evapFrac: 0.1 },
      { setC: setC!, loadG, loads: drawn, cycleS: Math.round(cycleMin * 60) },
    );
    return ok({
      headline: `${counted(perLoad, "piece")} at once: ${counted(loads, "load")}`,
      says: [
        ["What limits it", { heat: "the heat", surface: "the room in the pot", ratio: "the oil round them" }[binding]],
        ["The oil falls to", degrees(lowestC)],
        ["Hot again after", recoveryS === null ? "never: too little heat" : `${Math.round(recoveryS)} s`],
        ["Heating up takes", lengthText(Math.round(heatUpMin))],
        ["All of it", lengthText(Math.round(totalMin))],
        ["Oil in this pot, at the most", millilitres(fill.value.maxOilMl)],
      ],
      caution: `${FILL_TEXT[fill.value.why]} Dry pieces, no frost; the lid at hand; stay beside it. It smokes: heat off. Fire: cover it, never water. The pot's own marks and local rules come first.`,
      chart: {
        title: drawn < loads ? `The oil through the first ${drawn} loads` : "The oil through the loads",
        x: "min",
        y: "°C",
        series: [
          { name: "oil", points: curve.map(({ s, tempC }) => [Math.round((s / 60) * 100) / 100, Math.round(tempC * 10) / 10]) },
        ],
        lines: [{ y: Math.round(setC! - FALL_C), label: "no colder" }],
      },
      by: ["fry.maxLoad", "fry.drop", "fry.schedule"],
      use: { text: "Your kitchen's fryer", href: "/kitchens" },
    });
  },
};

const FILL_TEXT = {
  ok: "So much oil is safe in this pot.",
  overfilled: "Too much oil for this pot: it boils over.",
  overfilledWithLoad: "With the pieces in it this pot is too full: less oil or fewer pieces.",
  tooShallow: "Too shallow: the pieces lie on the bottom.",
} as const;

const steam: Calculator = {
  id: "steam",
  when: "Heat",
  question: "How much water for the steamer?",
  fields: [
    { kind: "number", key: "minutes", label: "Steamed for, in all", unit: "min", usual: 25 },
    { kind: "number", key: "potDiameterMm", label: "The pot is across", unit: "mm", usual: 260 },
    { kind: "number", key: "powerW", label: "The ring gives", unit: "W", usual: 1500 },
    { kind: "number", key: "minDepthMm", label: "Must stay in it", unit: "mm", usual: 15 },
    { kind: "number", key: "maxDepthMm", label: "Below the tier", unit: "mm", usual: 60 },
  ],
  answer: ({ number }) => {
    const found = run("steam.water", steamWater, {
      minutes: number("minutes"),
      potDiameterMm: number("potDiameterMm"),
      powerW: number("powerW"),
      minDepthMm: number("minDepthMm"),
      maxDepthMm: number("maxDepthMm"),
    });
    if (!found.ok) return found;
    const { startMl, topUps, topUpMl, topUpEveryMin, heatUpMin, evapGPerMin } = found.value;
    return ok({
      headline:
        topUps > 0
          ? `${millilitres(startMl)} to begin with, ${counted(topUps, "top-up")} of ${millilitres(topUpMl)}`
          : millilitres(startMl),
      says: [
        ["It boils after", lengthText(Math.round(heatUpMin))],
        ["Boils off", `${one(evapGPerMin)} g a minute`],
        ...(topUps > 0 && topUpEveryMin !== null
          ? ([["Boiling water again every", lengthText(Math.floor(topUpEveryMin))]] as const)
          : []),
        ["Most that goes in", millimetres(number("maxDepthMm") ?? 60)],
      ],
      caution:
        "Top up with boiling water only; lift the lid away from the face; never let it run dry. More water than it needs wets what stands above it.",
      by: ["steam.water"],
      use: { text: "Your kitchen's steamer", href: "/kitchens" },
    });
  },
};

const CONTENTS = [
  ["poultry", "poultry"],
  ["mincedMeat", "minced meat"],
  ["meat", "whole cuts of meat"],
  ["fish", "fish"],
  ["egg", "egg"],
  ["leftovers", "what was cooked before"],
  ["vegetable", "plants only"],
] as const;

/** Readings of a core: minute and °C, one to a line. */
function readingsOf(text: string): Result<{ min: number; tempC: number }[]> {
  const rows = text
    .split(/[\n;]+/)
    .map((row) => row.trim())
    .filter((row) => row !== "");
  const points = rows.map((row) => row.split(/[\s,]+(?=[-\d½¼¾])/).map(readNumber));
  const wrong = points.findIndex((row) => row.length !== 2 || row.some((one) => one === undefined));
  if (wrong >= 0 || points.length < 2)
    return fail({
      code: "unreadable",
      path: ["readings"],
      got: rows[wrong] ?? text,
      wanted: "two readings and more, each a minute and °C on a line of its own",
    });
  return ok(points.map(([min, tempC]) => ({ min: min!, tempC: tempC! })));
}

const core: Calculator = {
  id: "core",
  when: "Heat",
  question: "Is the core hot enough?",
  fields: [
    { kind: "choice", key: "content", label: "In it", usual: "mincedMeat", options: CONTENTS },
    {
      kind: "choice",
      key: "guide",
      label: "Figures usual in",
      usual: "us",
      options: [
        ["us", "the US"],
        ["uk", "the UK"],
      ],
    },
    {
      kind: "text",
      key: "readings",
      label: "Minute and °C, a reading a line",
      usual: "0 20\n10 48\n14 63\n17 70\n19 73",
      rows: 5,
    },
  ],
  answer: ({ text }) => {
    const wanted = run("safety.core", coreFor, {
      contents: [text("content") as CoreContent],
      guide: text("guide") as Guide,
    });
    if (!wanted.ok) return wanted;
    const points = readingsOf(text("readings"));
    if (!points.ok) return points;
    const heat = run("safety.lethality", lethality, { points: points.value });
    if (!heat.ok) return heat;
    const { coreC } = wanted.value;
    const top = Math.max(...points.value.map(({ tempC }) => tempC));
    const minutes = heat.value.minutesAt70;
    return ok({
      headline:
        top >= coreC
          ? `${degrees(top)}: the usual figure of ${degrees(coreC)} is reached`
          : `${degrees(top)}: short of the usual ${degrees(coreC)}`,
      says: [
        ["As long as at 70 °C for", `${one(minutes)} min`],
        ["Usual there is 2 min and more", heat.value.ok ? "reached" : "not reached"],
      ],
      caution:
        "Measure the thickest part of the two largest pieces. Time alone never says that it is safe; local rules and trained advice come first.",
      chart: {
        title: "The core",
        x: "min",
        y: "°C",
        series: [{ name: "core", points: points.value.map(({ min, tempC }) => [min, tempC]) }],
        lines: [{ y: coreC, label: "usual" }],
      },
      by: ["safety.core", "safety.lethality"],
      use: { text: "Whose figures your kitchen goes by", href: "/kitchens" },
    });
  },
};

export const HEAT: readonly Calculator[] = [oil, steam, core];
